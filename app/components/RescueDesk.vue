<script setup lang="ts">
import type { BuildComponent } from '../../core/contract/build'
import type { FrostingAnswer } from '../../core/finish/frosting'
import { TROUBLES, type Trouble } from '../../core/finish/rescue'
import { ask } from '~/kitchen/core'
import { TROUBLE_WORDS } from '~/kitchen/finish-words'
import { useCupboard } from '~/stores/cupboard'
import { useFinish } from '~/stores/finish'
import { useKitchen } from '~/stores/kitchen'

/** What to do about a bowl that went wrong, with amounts for this bowl. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ components: readonly BuildComponent[]; first?: string }>()
const cupboard = useCupboard()
const kitchen = useKitchen()
const finish = useFinish()
const bowls = computed(() => props.components.filter((c) => c.recipe))
const which = ref('')
const trouble = ref<Trouble | null>(null)
const found = shallowRef<FrostingAnswer | null>(null)
const problem = ref('')

watch(open, (now) => {
  if (!now) return
  which.value = bowls.value.find((c) => c.component === props.first)?.component ?? bowls.value[0]?.component ?? ''
  trouble.value = null
  found.value = null
})
watch([which, trouble, open], async () => {
  const c = bowls.value.find((x) => x.component === which.value)
  if (!open.value || !c?.recipe) return
  problem.value = ''
  try {
    found.value = await ask('frosting', {
      recipe: JSON.parse(JSON.stringify(c.recipe)) as typeof c.recipe,
      ...cupboard.common(),
      use: c.use,
      roomC: kitchen.roomC,
      goals: [...finish.needs],
      ...(trouble.value && { trouble: trouble.value }),
    })
  } catch (error) {
    problem.value = (error as Error).message
  }
})
</script>

<template>
  <ElDialog v-model="open" title="Gone wrong?" width="min(640px, 96vw)" top="4vh">
    <div class="desk">
      <div v-if="bowls.length > 1" class="row" role="group" aria-label="Which bowl">
        <ElButton v-for="c in bowls" :key="c.component" class="chip" :aria-pressed="which === c.component" @click="which = c.component">
          {{ c.name }}
        </ElButton>
      </div>
      <div class="row" role="group" aria-label="What is wrong">
        <ElButton v-for="t in TROUBLES" :key="t" class="chip" :aria-pressed="trouble === t" @click="trouble = trouble === t ? null : t">
          {{ TROUBLE_WORDS[t] }}
        </ElButton>
      </div>
      <p v-if="problem" class="look" role="alert">{{ problem }}</p>
      <ol v-if="found?.rescue" class="steps" aria-live="polite">
        <li v-for="(s, i) in found.rescue" :key="i">
          <strong>{{ s.step }}</strong>
          <span class="quiet">{{ s.expect }}</span>
        </li>
      </ol>
      <template v-if="found?.nextSpoon.length && !trouble">
        <h3>One more spoon would…</h3>
        <table>
          <tbody>
            <tr v-for="n in found.nextSpoon" :key="n.add">
              <th scope="row">{{ n.add }}</th>
              <td>{{ n.grams }} g</td>
              <td>{{ n.effect }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </div>
  </ElDialog>
</template>

<style scoped>
.desk {
  display: grid;
  gap: 12px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.steps {
  list-style: decimal;
  display: grid;
  gap: 10px;
  padding-left: 1.4em;
  font-size: 1.06rem;
}
.steps span {
  display: block;
}
h3 {
  font-size: 1.05rem;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 6px 10px 6px 0;
  border-bottom: 1px solid var(--hair);
}
th::first-letter {
  text-transform: uppercase;
}
</style>
