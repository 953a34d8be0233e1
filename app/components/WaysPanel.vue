<script setup lang="ts">
import type { Option } from '../../core/reformulate/option'
import { wayKey } from '~/stores/bench'

const props = defineProps<{ options: Option[]; current: Option | null; busy: boolean; tried: number }>()
defineEmits<{ try: [option: Option]; compare: []; stop: [] }>()

const side = (o: Option, about: string) => o.sides.find((s) => s.about === about)?.message ?? ''
/** The first school names the way; what goes with it stands below, small. */
const name = (o: Option) => o.title.split(', ')[0]!
const first = (o: Option, about: string) => side(o, about).split('; ')[0]!
const blurb = (o: Option) => {
  const rest = o.title.split(', ').slice(1)
  return rest.length ? `with ${rest.join(', ')}` : [first(o, 'crumb'), first(o, 'flavour')].filter((s) => s && !/^None/.test(s)).join('. ')
}
const flag = (o: Option) => {
  const loud = o.findings.filter((f) => f.severity !== 'note')
  if (loud.length) return loud[0]!.severity === 'fault' ? 'unsound' : 'unsure'
  return o.buy.length ? `+${o.buy.length} new` : 'nothing new'
}
</script>

<template>
  <section class="panel ways" aria-labelledby="ways-title" :aria-busy="busy">
    <header>
      <h2 id="ways-title">
        Ways
        <span class="quiet small">{{ busy && tried ? `${tried} tried, ${options.length} so far` : `${options.length} fit` }}</span>
      </h2>
      <ElButton v-if="busy && tried" @click="$emit('stop')">Enough</ElButton>
      <ElButton v-else-if="options.length > 1" @click="$emit('compare')">Side by side</ElButton>
    </header>
    <ol class="list" tabindex="0" aria-labelledby="ways-title">
      <li v-for="o in options" :key="o.id">
        <button class="way" type="button" :aria-pressed="current ? wayKey(o) === wayKey(current) : false" @click="$emit('try', o)">
          <span class="top"
            ><strong>{{ name(o) }}</strong
            ><span class="small tag">{{ props.current && wayKey(o) === wayKey(props.current) ? 'trying' : flag(o) }}</span></span
          >
          <span class="small quiet">{{ blurb(o) }}</span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.ways {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
header .el-button.el-button {
  min-height: 36px;
  padding: 0 12px;
  font-size: 0.9rem;
}
.list {
  overflow-y: auto;
  min-height: 0;
  margin: 8px -10px -8px;
  padding: 3px;
}
.way {
  width: 100%;
  text-align: left;
  border: 2px solid transparent;
  border-radius: 14px;
  background: none;
  padding: 8px 10px;
  display: grid;
  gap: 2px;
  line-height: 1.25;
  min-height: 52px;
}
.list li + li .way:not([aria-pressed='true']) {
  border-top: 1px solid var(--hair);
  border-radius: 0;
}
.way:hover {
  background: var(--mist);
}
.way[aria-pressed='true'] {
  background: var(--beet-soft);
  border: 2px solid var(--beet);
  border-radius: 14px;
}
.way[aria-pressed='true'] .quiet {
  color: var(--ink);
}
.top {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: baseline;
}
.tag {
  color: var(--quiet);
  white-space: nowrap;
}
.way[aria-pressed='true'] .tag {
  color: var(--beet);
  font-weight: 650;
}
</style>
