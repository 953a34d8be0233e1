<script setup lang="ts">
import { numberOf } from '../../core/language/number'
import { pieceGrams, need } from '../../core/pantry/pantry'
import { readTin } from '../../core/language/tin'
import type { Recipe, Tin } from '../../core/recipe/recipe'
import type { Region } from '../../core/measure/region'
import type { ScaleTo } from '../../core/tin/scale'
import type { OwnTin } from '~/kitchen/database'

/** Another size: by a factor, by eggs, by one line, by tins. */
const props = defineProps<{ recipe: Recipe; region: Region; tins: OwnTin[] }>()
const emit = defineEmits<{ scale: [to: ScaleTo]; problem: [message: string] }>()

const FACTORS = [
  { label: 'half', factor: 0.5 },
  { label: '1½ ×', factor: 1.5 },
  { label: 'double', factor: 2 },
  { label: '3 ×', factor: 3 },
]
const eggs = computed(() => {
  const one = pieceGrams(need('egg-whole'), props.region)!
  const grams = props.recipe.parts.flatMap((p) => p.lines).reduce((sum, l) => sum + (l.ingredient === 'egg-whole' ? l.grams.best : 0), 0)
  return Math.round((grams / one) * 4) / 4
})
const wantedEggs = ref('')
const line = ref('0:0')
const grams = ref('')
const tin = ref('')
const lines = computed(() =>
  props.recipe.parts.flatMap((p, part) => p.lines.flatMap((l, i) => (l.grams.best > 0 ? [{ key: `${part}:${i}`, text: l.text }] : []))),
)
const amount = (text: string) => numberOf(text) ?? 0
function byEggs(close: () => void) {
  if (!(amount(wantedEggs.value) > 0)) return emit('problem', 'How many eggs? Type a number, like 3.')
  emit('scale', { eggs: amount(wantedEggs.value) })
  close()
}
function byLine(close: () => void) {
  const [part, i] = line.value.split(':').map(Number)
  if (!(amount(grams.value) > 0)) return emit('problem', 'How much of it? Type the grams, like 300.')
  emit('scale', { part: part!, line: i!, grams: amount(grams.value) })
  close()
}
function byTin(close: () => void) {
  const own = props.tins.find((t) => t.tin.text === tin.value)?.tin
  const read: Tin | undefined = own ?? readTin(tin.value)
  if (!read) return emit('problem', `“${tin.value}” is no tin: write it like 20 cm round x2, 9x13 in or 12 cupcakes.`)
  emit('scale', { tins: [read] })
  close()
}
</script>

<template>
  <Flap v-slot="{ close }" label="Size" name="Another size" left>
    <div class="sizes">
      <div class="row">
        <ElButton v-for="f in FACTORS" :key="f.label" class="chip" @click="(emit('scale', { factor: f.factor }), close())">
          {{ f.label }}
        </ElButton>
      </div>
      <form v-if="eggs" class="row" @submit.prevent="byEggs(close)">
        <label>for <ElInput v-model="wantedEggs" inputmode="decimal" :placeholder="String(eggs)" aria-label="Eggs" /> eggs</label>
        <ElButton native-type="submit">Set</ElButton>
      </form>
      <form class="row" @submit.prevent="byLine(close)">
        <span class="grow">so that <PickOne v-model="line" label="Line" :of="lines.map((l) => ({ value: l.key, label: l.text }))" /></span>
        <label>is <ElInput v-model="grams" inputmode="decimal" aria-label="Grams of it" /> g</label>
        <ElButton native-type="submit">Set</ElButton>
      </form>
      <form v-if="recipe.tins.length" class="row" @submit.prevent="byTin(close)">
        <label class="grow"
          >from {{ recipe.tins.map((t) => t.text).join(', ') }} to
          <ElInput v-model="tin" class="long" list="own-tins" placeholder="23 cm round" aria-label="New tins" />
          <datalist id="own-tins"><option v-for="t in tins" :key="t.id" :value="t.tin.text" /></datalist>
        </label>
        <ElButton native-type="submit">Set</ElButton>
      </form>
      <p v-else class="quiet small">To fit it to other tins, say first which tin it is for.</p>
    </div>
  </Flap>
</template>

<style scoped>
.sizes {
  display: grid;
  gap: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
label {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.grow {
  flex: 1;
}
.el-input {
  width: 84px;
}
.el-input.long {
  width: 190px;
}
.el-button.el-button {
  min-height: 40px;
  padding: 0 14px;
}
</style>
