<script setup lang="ts">
import { compareTrials, tastings, type Side } from '../../core/bakebook/compare'
import { panelsOf, type Panel } from '../../core/bakebook/panels'

/** Bakes against each other: mix, baking and plate as small pictures, and which of it the model can explain. */
const props = defineProps<{ sides: readonly (Side & { title: string })[] }>()
const LETTERS = ['A', 'B', 'C', 'D', 'E'] as const
const letters = computed(() => LETTERS.slice(0, props.sides.length))
const GROUPS: { id: Panel['group']; title: string }[] = [
  { id: 'plate', title: 'On the plate' },
  { id: 'baking', title: 'In the oven' },
  { id: 'mix', title: 'In the mix' },
]
const panels = computed(() => panelsOf(props.sides))
const groups = computed(() => GROUPS.map((g) => ({ ...g, panels: panels.value.filter((p) => p.group === g.id) })))
/** Each bake against the first. */
const against = computed(() =>
  props.sides.slice(1).map((s, i) => ({ letter: LETTERS[i + 1]!, title: s.title, ...compareTrials(props.sides[0]!, s) })),
)

const forA = ref(0)
const forB = ref(0)
watch(
  () => props.sides,
  () => (forA.value = forB.value = 0),
)
const tasted = computed(() => tastings(forA.value, forB.value))
const write = (v: number | null) => (v === null ? '–' : String(Math.round(100 * v) / 100))
</script>

<template>
  <div class="compare">
    <ul class="names">
      <li v-for="(s, i) in sides" :key="s.trial.id">
        <b>{{ LETTERS[i] }}</b> {{ s.title }}
      </li>
    </ul>
    <p class="small quiet key"><i class="got" /> as it came out <i class="expected" /> as expected, or just right</p>
    <template v-for="g in groups" :key="g.id">
      <h3>{{ g.title }}</h3>
      <p v-if="!g.panels.length" class="quiet small">
        {{ g.id === 'mix' ? 'The same in all, as far as it would be tasted.' : 'Nothing was written down.' }}
      </p>
      <div class="multiples">
        <SmallMultiple v-for="p in g.panels" :key="p.what" :panel="p" :letters="letters" />
      </div>
    </template>
    <section v-for="c in against" :key="c.letter" :aria-label="`${c.letter} against A`">
      <h3>Why {{ c.letter }} is not as A</h3>
      <p v-if="!c.outcome.length" class="quiet small">No mark differs by one or more.</p>
      <ul class="reasons">
        <li v-for="o in c.outcome" :key="o.what">
          <b>{{ o.what }}</b> {{ o.from }} → {{ o.to }}:
          <template v-if="o.because.length">as expected of {{ o.because.join(' and ') }}</template
          ><em v-else>the model cannot say why</em>
        </li>
        <li v-for="d in [...c.mix, ...c.process]" :key="d.what" class="quiet">{{ d.what }}: {{ d.from }} → {{ d.to }}</li>
      </ul>
    </section>
    <details>
      <summary>All of it as a table</summary>
      <div class="wide" tabindex="0" role="group" aria-label="Bakes side by side">
        <table>
          <thead>
            <tr>
              <td />
              <th v-for="l in letters" :key="l" scope="col">{{ l }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in panels" :key="p.group + p.what">
              <th scope="row">{{ p.what }} {{ p.unit }}</th>
              <td v-for="(v, i) in p.got" :key="i">
                {{ write(v) }}<span v-if="p.expected[i] !== null" class="quiet small"> ({{ write(p.expected[i] ?? null) }})</span>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
    <details v-if="sides.length === 2">
      <summary>Tasted blind, side by side</summary>
      <p class="small">
        Give both plates a number that says nothing, in another order for each taster, and ask which is better. Count what they say.
      </p>
      <div class="taste">
        <span>A {{ forA }}</span>
        <ElButton @click="forA++">one for A</ElButton>
        <span>B {{ forB }}</span>
        <ElButton @click="forB++">one for B</ElButton>
      </div>
      <p role="status">{{ tasted.words }}</p>
    </details>
  </div>
</template>

<style scoped>
.compare {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
h3 {
  font-size: 1.02rem;
  margin-top: 6px;
}
.names li {
  padding: 2px 0;
}
.names b {
  display: inline-block;
  min-width: 1.3em;
}
.key {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
.key i {
  width: 11px;
  height: 11px;
  border-radius: 50%;
}
.key .got {
  background: var(--beet);
}
.key .expected {
  border: 2px solid var(--spruce);
  margin-left: 8px;
}
.multiples {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 8px 14px;
}
.reasons li {
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.wide {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--hair);
}
tbody th {
  font-weight: 500;
}
.taste {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 8px 0;
}
summary {
  cursor: pointer;
  min-height: 36px;
}
</style>
