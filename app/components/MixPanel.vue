<script setup lang="ts">
import IconDots from '~icons/ph/dots-three-outline-vertical-bold'
import IconPencil from '~icons/ph/pencil-simple-bold'
import IconPin from '~icons/ph/push-pin-bold'
import type { OptionLine } from '../../core/reformulate/option'
import type { HeldLine } from '~/components/RowTools.vue'
import { mixRows, threads } from '~/composables/useThreads'

const props = defineProps<{
  lines: OptionLine[]
  comparing: boolean
  pins: Record<string, number | 'keep'>
  avoided: string[]
  /** The most there is, g, by ingredient. */
  atMost: Record<string, number>
  fromCupboard: boolean
}>()
const emit = defineEmits<{
  pin: [ingredient: string, grams: number]
  avoid: [ingredient: string]
  limit: [ingredient: string, grams: number | null]
  cupboard: []
  edit: []
}>()
/** How amounts are shown and written back. */
const measures = defineModel<'own' | 'weight' | 'us' | 'metric'>('measures', { required: true })
const MEASURES = [
  { id: 'own', label: 'as written' },
  { id: 'weight', label: 'by weight' },
  { id: 'us', label: 'US cups' },
  { id: 'metric', label: 'metric cups' },
] as const

const ROW = 66
const GAP = 76
const groups = computed(() => {
  const parts = [...new Set(props.lines.map((l) => l.partIndex))]
  return parts.map((p) => {
    const rows = mixRows(props.lines.filter((l) => l.partIndex === p))
    return { name: props.lines.find((l) => l.partIndex === p)!.part, rows, threads: props.comparing ? threads(rows, ROW, GAP) : [] }
  })
})
const grams = (g: number) => (g < 10 ? Math.round(g * 10) / 10 : Math.round(g))
const measure = (kitchen: string, g: number) => (!kitchen || /^[\d.]+ g$/.test(kitchen) ? `${grams(g)} g` : `${kitchen} · ${grams(g)} g`)
const moved = (l: OptionLine) => {
  const by = grams(Math.abs(l.to - l.from))
  return l.status === 'changed' ? (l.to > l.from ? `+${by}` : `−${by}`) : ''
}

const held = (l: OptionLine): HeldLine => ({
  name: l.name,
  ingredient: l.ingredient,
  grams: grams(l.to),
  pinned: l.ingredient in props.pins,
  atMost: props.atMost[l.ingredient] ?? null,
})
/** Shown grams are rounded; what is held is what goes in. */
const exact = (l: HeldLine) => props.lines.find((x) => x.ingredient === l.ingredient && x.to > 0)?.to ?? l.grams
const inUse = computed(() => props.lines.filter((l) => l.to > 0))
const tools = useTemplateRef('tools')
/** The sheet closes as soon as one presses beside it: its own button, pressed again, must not open it anew. */
let closing: string | null = null
function ask(l: OptionLine, event: MouseEvent) {
  if (closing !== l.ingredient) void tools.value?.show(held(l), event.currentTarget as HTMLElement)
  closing = null
}
const toolsLabel = (l: HeldLine) =>
  `${l.name}: hold, limit or leave out${l.pinned ? ', held' : ''}${l.atMost === null ? '' : `, at most ${l.atMost} g`}`
</script>

<template>
  <section class="panel mix" aria-labelledby="mix-title">
    <header>
      <h2 id="mix-title">
        The mix <span class="quiet small said">{{ comparing ? 'as given, and what goes in now' : 'as given' }}</span>
      </h2>
      <span class="heads">
        <ElButton
          class="chip"
          :aria-pressed="fromCupboard"
          title="Only what is in the cupboard, and no more of it"
          @click="$emit('cupboard')"
        >
          from the cupboard
        </ElButton>
        <PickOne v-model="measures" label="Amounts" :of="MEASURES.map((m) => ({ value: m.id, label: m.label }))" />
        <ElButton class="edit" @click="$emit('edit')"><IconPencil aria-hidden="true" /> <span class="word">Edit</span></ElButton>
      </span>
    </header>
    <div v-if="avoided.length" class="avoided small">
      Left out by you:
      <ElButton v-for="a in avoided" :key="a" class="chip" aria-pressed="true" @click="$emit('avoid', a)">
        {{ a.replace(/-/g, ' ') }} <span aria-hidden="true">×</span><span class="visually-hidden">, allow it again</span>
      </ElButton>
    </div>
    <div class="scroll" tabindex="0" role="group" aria-labelledby="mix-title">
      <div v-for="g in groups" :key="g.name" class="group">
        <h3 v-if="groups.length > 1">{{ g.name }}</h3>
        <div class="grid" :class="{ comparing }">
          <svg v-if="comparing" class="threads" :width="GAP" :height="g.rows.length * ROW" aria-hidden="true">
            <path v-for="(t, i) in g.threads" :key="i" :d="t.path" :class="{ changed: t.changed }" />
          </svg>
          <ul>
            <li v-for="r in g.rows" :key="r.key" class="row" :style="{ minHeight: `${ROW}px` }">
              <div class="was">
                <template v-if="r.left">
                  <component :is="r.left.status === 'removed' ? 's' : 'span'" :class="['label', { gone: r.left.status === 'removed' }]">{{
                    r.left.name
                  }}</component>
                  <span class="quiet small">{{ measure(r.left.was, r.left.from) }}</span>
                </template>
              </div>
              <div v-if="comparing" class="gap" aria-hidden="true" />
              <div v-if="comparing" class="now">
                <template v-if="r.right && r.right.to > 0">
                  <span :class="['label', r.right.status]">{{ r.right.name }}</span>
                  <span :class="['small', r.right.status === 'kept' ? 'quiet' : 'amount']"
                    >{{ measure(r.right.kitchen, r.right.to) }} <b v-if="moved(r.right)" class="beet">{{ moved(r.right) }}</b></span
                  >
                  <span
                    v-if="r.right.status !== 'kept' && r.right.why.length"
                    class="why quiet"
                    :title="r.right.why.map((w) => w.message).join('; ')"
                    >{{ r.right.why.at(-1)!.message }}</span
                  >
                </template>
                <span v-else class="quiet small">{{ r.left?.why[0]?.message ?? 'out' }}</span>
              </div>
              <div class="tools">
                <ElButton
                  v-if="r.right && r.right.to > 0"
                  class="round"
                  circle
                  text
                  aria-haspopup="dialog"
                  :aria-expanded="tools?.showing === r.right.ingredient"
                  :aria-label="toolsLabel(held(r.right))"
                  :class="{ beet: held(r.right).pinned || held(r.right).atMost !== null }"
                  @pointerdown="closing = tools?.showing ?? null"
                  @click="ask(r.right, $event)"
                >
                  <IconPin v-if="held(r.right).pinned" /><IconDots v-else />
                </ElButton>
              </div>
            </li>
          </ul>
        </div>
      </div>
    </div>
    <RowTools
      ref="tools"
      :lines="inUse.map(held)"
      :comparing="comparing"
      @pin="(l) => emit('pin', l.ingredient, exact(l))"
      @avoid="(l) => emit('avoid', l.ingredient)"
      @limit="(l, g) => emit('limit', l.ingredient, g)"
    />
  </section>
</template>

<style scoped>
.mix {
  container-type: inline-size;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 6px 10px;
}
/* Where two columns need the room, the title alone says it. */
@container (max-width: 38.75em) {
  .said {
    display: none;
  }
}
.heads {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.heads :deep(.el-select__wrapper),
.heads .el-button.el-button.chip {
  min-height: 36px;
  padding: 0 10px;
  font-size: 0.9rem;
  border-radius: 12px;
}
.edit {
  min-height: 36px;
  padding: 0 12px;
  font-size: 0.9rem;
}
/* In the hand the tab says what this is, and the tools stand in one row. */
@container (max-width: 24em) {
  h2 {
    position: absolute;
    clip-path: inset(50%);
  }
  .heads :deep(.pick.el-select) {
    width: 7.4em !important;
  }
  .edit .word {
    position: absolute;
    clip-path: inset(50%);
  }
}
.scroll {
  overflow-y: auto;
  min-height: 0;
  margin: 6px -8px -6px;
  padding: 0 8px;
}
.avoided {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding-top: 6px;
}
.avoided .el-button.el-button.chip {
  min-height: 32px;
  padding: 0 10px;
}
h3 {
  font-size: 0.98rem;
  padding: 8px 0 2px;
}
.grid {
  position: relative;
}
.threads {
  position: absolute;
  left: calc((100% - 76px - 44px) * 0.42);
  top: 0;
  overflow: visible;
}
.threads path {
  fill: var(--thread);
}
.threads path.changed {
  fill: var(--thread-beet);
}
.row {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  gap: 0;
}
.comparing .row {
  grid-template-columns: calc((100% - 76px - 44px) * 0.42) 76px 1fr 44px;
  height: 66px;
}
.was,
.now {
  display: grid;
  line-height: 1.2;
  position: relative;
  min-width: 0;
}
.was {
  padding-right: 10px;
}
.now {
  padding-left: 10px;
}
.label {
  font-weight: 650;
  overflow-wrap: anywhere;
}
.label::first-letter {
  text-transform: uppercase;
}
.gone,
.label.added,
.label.changed {
  color: var(--beet);
}
.amount {
  font-weight: 650;
}
.why {
  font-size: 0.8rem;
  line-height: 1.15;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.tools .el-button.el-button.round {
  width: 44px;
}
.tools {
  display: flex;
  justify-content: flex-end;
}
@media (max-width: 43.75em) {
  .threads,
  .gap {
    display: none;
  }
  .comparing .row {
    grid-template-columns: 0.72fr 1fr 44px;
    border-bottom: 1px solid var(--hair);
    height: auto;
    padding: 4px 0;
  }
  .why {
    display: block;
  }
}
</style>
