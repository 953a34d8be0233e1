<script setup lang="ts">
import type { Option } from '../../core/reformulate/option'

const props = defineProps<{ options: Option[] }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ try: [option: Option] }>()

const side = (o: Option, about: string) => o.sides.find((s) => s.about === about)?.message ?? '–'
const nameOf = (o: Option, id: string) => o.lines.find((l) => l.ingredient === id)?.name ?? id
const rows = computed(() => [
  { label: 'Crumb', of: (o: Option) => side(o, 'crumb') },
  {
    label: 'Against the original',
    of: (o: Option) =>
      o.crumb
        .slice(0, 3)
        .map((c) => c.words)
        .join(', ') || 'much the same',
  },
  { label: 'Flavour', of: (o: Option) => side(o, 'flavour') },
  { label: 'Keeps', of: (o: Option) => side(o, 'keeps') },
  { label: 'Work', of: (o: Option) => side(o, 'effort') },
  { label: 'Cannot', of: (o: Option) => side(o, 'cannot') },
  { label: 'New in the kitchen', of: (o: Option) => o.buy.map((b) => nameOf(o, b)).join(', ') || 'nothing' },
  { label: 'Allergens in it', of: (o: Option) => o.allergens.join(', ') || 'none of the listed' },
  { label: 'To watch', of: (o: Option) => [...new Set(o.findings.map((f) => f.message))].join(' ') || 'in balance' },
])
function choose(o: Option) {
  emit('try', o)
  open.value = false
}
void props
</script>

<template>
  <ElDialog v-model="open" title="The ways side by side" width="96vw" align-center>
    <div class="wide" tabindex="0" role="group" aria-label="Comparison table">
      <table>
        <thead>
          <tr>
            <td />
            <th v-for="o in options" :key="o.id" scope="col">
              <ElButton @click="choose(o)">{{ o.title }}</ElButton>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.label">
            <th scope="row">{{ r.label }}</th>
            <td v-for="o in options" :key="o.id">{{ r.of(o) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </ElDialog>
</template>

<style scoped>
.wide {
  overflow: auto;
  max-height: 72vh;
}
table {
  border-collapse: collapse;
  color: var(--ink);
  font-size: 0.92rem;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 8px 12px;
  border-bottom: 1px solid var(--hair);
  min-width: 150px;
}
tbody th,
thead td {
  position: sticky;
  left: 0;
  background: var(--enamel);
  min-width: 110px;
  z-index: 1;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--enamel);
}
.el-button.el-button {
  min-height: 40px;
  padding: 0 12px;
  white-space: normal;
  text-align: left;
}
</style>
