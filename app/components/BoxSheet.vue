<script setup lang="ts">
import type { BoxAnswer } from '../../core/contract/handle'
import type { Label } from '../../core/pantry/box'
import { ask } from '~/kitchen/core'
import { BOXES, boxText, shrunkWords, type BoxId } from '~/kitchen/boxes'
import type { BoxLabel } from '~/kitchen/database'
import { useKitchen } from '~/stores/kitchen'

/** A boxed mix: a typical one, or as its label says. With `given` it is the label of a box already on the bench. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ given?: BoxLabel | null }>()
const emit = defineEmits<{ start: [text: string, boxes: BoxLabel[]]; label: [box: BoxLabel] }>()
const kitchen = useKitchen()

const id = ref<BoxId>('cake-mix')
const net = ref(432)
const typed = ref(false)
const label = ref<Label>({ servingGrams: 43 })
const list = ref('')
const eggs = ref(3)
const oil = ref(120)
const water = ref(240)
const tin = ref('9x13 in')
const title = ref('')
const made = shallowRef<BoxAnswer | null>(null)
const problem = ref('')

watch(open, (now) => {
  if (!now) return
  problem.value = ''
  const g = props.given
  choose((g?.ingredient as BoxId | undefined) ?? 'cake-mix')
  net.value = g?.netGrams ?? 432
  typed.value = Boolean(g)
  label.value = { ...(g?.label ?? { servingGrams: 43 }) }
  list.value = g?.label.ingredients?.join(', ') ?? ''
  title.value = ''
})
function choose(next: BoxId) {
  id.value = next
  const b = BOXES.find((x) => x.id === next)!
  eggs.value = b.eggs
  oil.value = b.oilMl
  water.value = b.waterMl
}
const whole = computed<Label>(() => ({
  ...label.value,
  ...(list.value.trim() && {
    ingredients: list.value
      .split(/[,;]/)
      .map((s) => s.trim().slice(0, 200))
      .filter(Boolean)
      .slice(0, 60),
  }),
}))
const said = computed(
  () => Object.entries(whole.value).filter(([k, v]) => k !== 'servingGrams' && k !== 'fibreApart' && v !== undefined).length,
)
watch([whole, typed, net], async () => {
  problem.value = ''
  if (!typed.value || !said.value) {
    made.value = null
    return
  }
  try {
    made.value = await ask('box', { label: whole.value, netGrams: Math.max(1, net.value), region: kitchen.region })
  } catch (error) {
    made.value = null
    problem.value = (error as Error).message
  }
})
const PARTS = {
  flour: 'flour',
  sugar: 'sugar',
  fat: 'fat',
  starch: 'starch',
  cocoa: 'cocoa',
  milkSolids: 'dry milk',
  leavener: 'raising agent',
  salt: 'salt',
} as const
const parts = computed(() =>
  made.value
    ? (Object.entries(made.value.composition) as [keyof typeof PARTS, number][])
        .filter(([, share]) => share >= 0.003)
        .sort((a, b) => b[1] - a[1])
    : [],
)
const sure = computed(() => (!made.value ? '' : made.value.confidence > 0.7 ? 'good' : made.value.confidence > 0.4 ? 'fair' : 'a guess'))
const shrunk = computed(() => shrunkWords(net.value, kitchen.region))

function take() {
  if (!(net.value > 0)) return void (problem.value = 'Say what the box weighs: the net weight on its front.')
  if (problem.value) return
  const box: BoxLabel | null = typed.value && said.value ? { ingredient: id.value, label: whole.value, netGrams: net.value } : null
  open.value = false
  if (props.given !== undefined && box) emit('label', box)
  else
    emit(
      'start',
      boxText(
        { id: id.value, netGrams: net.value, eggs: eggs.value, oilMl: oil.value, waterMl: water.value, tin: tin.value.trim() || '9x13 in' },
        title.value.trim() || `${BOXES.find((b) => b.id === id.value)!.label.replace(/^./, (c) => c.toUpperCase())} box cake`,
      ),
      box ? [box] : [],
    )
}
</script>

<template>
  <ElDialog v-model="open" :title="given !== undefined ? 'The label of the box' : 'Start from a box'" width="min(900px, 96vw)" top="4vh">
    <form class="sheet" @submit.prevent="take">
      <div class="start">
        <div class="kinds" role="group" aria-label="Which box">
          <ElButton v-for="b in BOXES" :key="b.id" class="chip" :aria-pressed="id === b.id" @click="choose(b.id)">
            {{ b.label }}
          </ElButton>
        </div>
        <label class="field"
          >Net weight on the front<span><ElInputNumber v-model="net" :min="50" :max="5000" :controls="false" /> g</span></label
        >
        <p v-if="shrunk" class="look small">{{ shrunk }}</p>
        <template v-if="given === undefined">
          <fieldset>
            <legend>What it asks for</legend>
            <label class="field"
              >Eggs<span><ElInputNumber v-model="eggs" :min="0" :max="24" :controls="false" /></span
            ></label>
            <label class="field"
              >Oil<span><ElInputNumber v-model="oil" :min="0" :max="2000" :controls="false" /> ml</span></label
            >
            <label class="field"
              >Water<span><ElInputNumber v-model="water" :min="0" :max="4000" :controls="false" /> ml</span></label
            >
            <label class="field"
              >Tin<span><ElInput v-model="tin" class="long" maxlength="80" /></span
            ></label>
          </fieldset>
          <label class="field"
            >Call it<span><ElInput v-model="title" class="long" maxlength="120" placeholder="a name" /></span
          ></label>
        </template>
      </div>
      <div class="typed">
        <div class="kinds" role="group" aria-label="What is known of it">
          <ElButton class="chip" :aria-pressed="!typed" :disabled="given !== undefined" @click="typed = false"> a typical one </ElButton>
          <ElButton class="chip" :aria-pressed="typed" @click="typed = true">type its label</ElButton>
        </div>
        <template v-if="typed">
          <LabelFields v-model="label" />
          <label class="list"
            >Its ingredients, in their order<ElInput
              v-model="list"
              type="textarea"
              :rows="2"
              placeholder="sugar, flour, palm fat, cocoa, …"
            />
          </label>
        </template>
        <p v-else class="quiet small">
          Mixes of a kind are much alike. With its label the sums follow your own box: how much sugar, fat and raising agent is in it.
        </p>
        <section v-if="parts.length" class="made" aria-live="polite">
          <h3>
            Made of, about <span class="quiet small">{{ sure }}</span>
          </h3>
          <ul>
            <li v-for="[part, share] in parts" :key="part">
              <span>{{ PARTS[part] }}</span><span class="bar" aria-hidden="true"><i :style="{ width: `${share * 160}%` }" /></span
              ><b>{{ Math.round(share * net) }} g</b>
            </li>
          </ul>
        </section>
      </div>
      <p v-if="problem" class="look wide" role="alert">{{ problem }}</p>
      <div class="out wide">
        <ElButton @click="open = false">Leave it</ElButton>
        <ElButton type="primary" native-type="submit">{{ given !== undefined ? 'Use this label' : 'Put it on the bench' }}</ElButton>
      </div>
    </form>
  </ElDialog>
</template>

<style scoped>
.sheet {
  display: grid;
  grid-template-columns: 1fr 1.15fr;
  gap: 14px 24px;
  color: var(--ink);
  align-items: start;
}
.start,
.typed,
fieldset {
  display: grid;
  gap: 8px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  font-weight: 650;
  padding: 0 0 4px;
}
.field {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}
.field span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.field .el-input-number {
  width: 104px;
}
.field span {
  min-width: 136px;
}
.field .long {
  width: 190px;
  text-align: left;
}
.list {
  display: grid;
  gap: 4px;
}
.made h3 {
  font-size: 1rem;
}
.made li {
  display: grid;
  grid-template-columns: 110px 1fr 64px;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
.made b {
  text-align: right;
}
.bar {
  height: 12px;
  border-radius: 6px;
  background: var(--mist);
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  max-width: 100%;
  background: var(--spruce);
  border-radius: 6px;
}
.wide {
  grid-column: 1 / -1;
}
.out {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  flex-wrap: wrap;
}
@media (max-width: 47.5em) {
  .sheet {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
