<script setup lang="ts">
import IconDots from '~icons/ph/dots-six-vertical-bold'
import IconSplit from '~icons/ph/arrows-split-bold'
import IconTrash from '~icons/ph/trash-bold'
import { VueDraggable, type SortableEvent } from 'vue-draggable-plus'
import { ROLES, type Recipe, type Role } from '../../core/recipe/recipe'
import { readTin } from '../../core/language/tin'
import type { LineAnswer } from '../../core/contract/handle'
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import { ask } from '~/kitchen/core'
import { useBench } from '~/stores/bench'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'

/** The mix as text, line by line: every line is weighed as it is typed. */
const emit = defineEmits<{ done: []; text: []; problem: [message: string]; label: [name: string, part: number, line: number] }>()
const bench = useBench()
const kitchen = useKitchen()
const cupboard = useCupboard()
const root = ref<HTMLElement | null>(null)

const ROLE_WORDS: Record<Role, string> = {
  batter: 'batter',
  soak: 'soak',
  filling: 'filling',
  frosting: 'frosting',
  topping: 'topping',
  crust: 'crust',
  other: 'something else',
}
const recipe = computed<Recipe>(() => bench.setup.recipe)
/** Lists of line numbers that can be dragged about: the sheet itself moves only by what the store does. */
const order = ref<{ key: string; part: number; line: number }[][]>([])
watch(
  recipe,
  (r) => (order.value = r.parts.map((p, part) => p.lines.map((l, line) => ({ key: `${part}-${line}-${l.text}`, part, line })))),
  { immediate: true },
)

/** What is being typed, and what is read in it; one line at a time. */
const typing = ref<{ part: number; line: number; text: string } | null>(null)
const read = shallowRef<LineAnswer | null>(null)
let asked = 0
async function typed(part: number, line: number, text: string) {
  typing.value = { part, line, text }
  const mine = ++asked
  try {
    const found = await ask('line', { text, region: kitchen.region, own: cupboard.common().own, boxes: bench.setup.boxes })
    if (mine === asked) read.value = found
  } catch {
    // The line itself says nothing while it cannot be read; it is refused in words when it is set down.
  }
}
const isTyped = (part: number, line: number) => typing.value?.part === part && typing.value.line === line
const gramsOf = (part: number, line: number): string => {
  const lines =
    isTyped(part, line) && read.value ? read.value.lines : [recipe.value.parts[part]!.lines[line]].filter((l) => l !== undefined)
  const sum = lines.reduce((g, l) => g + l.grams.best, 0)
  return sum > 0 ? `${sum < 10 ? Math.round(sum * 10) / 10 : Math.round(sum)} g` : '–'
}
const isWhat = (part: number, line: number): { words: string; known: boolean } => {
  const lines =
    isTyped(part, line) && read.value ? read.value.lines : [recipe.value.parts[part]!.lines[line]].filter((l) => l !== undefined)
  const known = lines.every((l) => l.made || ingredientOf(l.ingredient))
  const names = lines.map((l) => {
    const i = ingredientOf(l.ingredient)
    return i ? nameOf(i, kitchen.region) : l.made ? `made here: ${l.made.toLowerCase()}` : 'not known'
  })
  return { words: names.join(' + '), known: known && lines.length > 0 }
}
async function set(part: number, line: number, text: string) {
  const was = recipe.value.parts[part]?.lines[line]?.text ?? ''
  typing.value = null
  read.value = null
  if (text.trim() === was) return
  try {
    if (line >= recipe.value.parts[part]!.lines.length) {
      if (text.trim()) await bench.editing.insert(part, line, text)
    } else await bench.editing.line(part, line, text)
  } catch (error) {
    emit('problem', (error as Error).message)
  }
}
const fields = () => [...(root.value?.querySelectorAll<HTMLInputElement>('.line input') ?? [])]
async function key(e: KeyboardEvent, part: number, line: number) {
  const field = e.target as HTMLInputElement
  const at = fields().indexOf(field)
  const focus = async (i: number) => {
    await nextTick()
    // A baker who has gone on to something else already is not called back.
    const now = document.activeElement
    if (now === field || now === document.body || fields().includes(now as HTMLInputElement)) fields()[Math.max(0, i)]?.focus()
  }
  if (e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
    e.preventDefault()
    if (line >= recipe.value.parts[part]!.lines.length) return
    await set(part, line, field.value)
    const to = placeFor(part, line, e.key === 'ArrowUp' ? -1 : 1)
    if (!to) return
    await bench.editing.move({ part, line }, to.before)
    await focus(fields().findIndex((f) => f.dataset.at === `${to.now.part}:${to.now.line}`))
  } else if (e.key === 'Enter') {
    e.preventDefault()
    await set(part, line, field.value)
    if (document.activeElement === field || document.activeElement === document.body) await focus(at + 1)
  } else if (e.key === 'Escape' && typing.value) {
    e.stopPropagation()
    field.value = recipe.value.parts[part]?.lines[line]?.text ?? ''
    typing.value = null
    read.value = null
  } else if (e.key === 'ArrowDown') {
    e.preventDefault()
    await focus(at + 1)
  } else if (e.key === 'ArrowUp') {
    e.preventDefault()
    await focus(at - 1)
  }
}
/** Where a line goes that moves up or down by one, over the edge of its part too. */
function placeFor(part: number, line: number, by: -1 | 1) {
  const parts = recipe.value.parts
  if (by < 0 && line > 0) return { before: { part, line: line - 1 }, now: { part, line: line - 1 } }
  if (by > 0 && line < parts[part]!.lines.length - 1) return { before: { part, line: line + 2 }, now: { part, line: line + 1 } }
  const next = part + by
  if (!parts[next]) return null
  const end = by < 0 ? parts[next].lines.length : 0
  return { before: { part: next, line: end }, now: { part: next, line: end } }
}
async function dropped(e: SortableEvent) {
  const from = { part: Number(e.from.dataset.part), line: e.oldIndex! }
  const to = { part: Number(e.to.dataset.part), line: e.newIndex! }
  const before = from.part === to.part && to.line > from.line ? to.line + 1 : to.line
  await bench.editing.move(from, { part: to.part, line: before })
}
function setTins(text: string) {
  const pieces = text
    .split(/[;,]\s*(?=\d)/)
    .map((t) => t.trim())
    .filter(Boolean)
  const tins = pieces.map((t) => readTin(t))
  const bad = pieces.find((_, i) => !tins[i])
  if (bad) return emit('problem', `“${bad}” is no tin: write it like 20 cm round x2, 9x13 in or 12 cupcakes.`)
  void bench.editing.tins(tins.filter((t) => t !== undefined))
}
function setTitle(text: string) {
  if (text.trim()) void bench.editing.title(text)
}
</script>

<template>
  <section ref="root" class="panel editor" aria-labelledby="edit-title">
    <header>
      <h2 id="edit-title">The mix <span class="quiet small">type in any line</span></h2>
      <div class="heads">
        <ScaleMenu
          :recipe="recipe"
          :region="kitchen.region"
          :tins="cupboard.tins"
          @scale="(to) => bench.scale(to).catch((e: Error) => emit('problem', e.message))"
          @problem="(m) => emit('problem', m)"
        />
        <ElButton @click="emit('text')">All as text</ElButton>
        <ElButton type="primary" @click="emit('done')">Done</ElButton>
      </div>
    </header>
    <div class="scroll">
      <div class="about">
        <label>Title<TypedField :value="recipe.title" maxlength="200" @set="setTitle" /></label>
        <label
          >Tins<TypedField
            :value="recipe.tins.map((t) => t.text).join('; ')"
            maxlength="200"
            placeholder="20 cm round x2"
            list="editor-tins"
            @set="setTins" /><datalist id="editor-tins">
            <option v-for="t in cupboard.tins" :key="t.id" :value="t.tin.text" /></datalist
        ></label>
      </div>
      <div v-for="(p, part) in recipe.parts" :key="part" class="part">
        <div class="name">
          <TypedField
            class="title"
            :value="p.name"
            :aria-label="`Name of part ${part + 1}`"
            maxlength="80"
            @set="(t: string) => bench.editing.rename(part, t)"
          />
          <PickOne
            :model-value="p.role"
            :label="`What ${p.name} is`"
            :of="ROLES.map((r) => ({ value: r, label: ROLE_WORDS[r] }))"
            @update:model-value="bench.editing.role(part, $event)"
          />
          <button v-if="part" class="plain small" type="button" @click="bench.editing.merge(part)">join to the part above</button>
          <button
            v-if="!p.lines.length && recipe.parts.length > 1"
            class="plain small"
            type="button"
            @click="bench.editing.removePart(part)"
          >
            take it out
          </button>
        </div>
        <VueDraggable
          v-model="order[part]!"
          tag="ul"
          :data-part="part"
          group="lines"
          handle=".grip"
          :animation="120"
          :aria-label="`Lines of ${p.name}`"
          @end="dropped"
        >
          <li v-for="(row, i) in order[part]" :key="row.key" class="row" :class="{ asks: !isWhat(part, i).known }">
            <span class="grip" aria-hidden="true" title="Drag to move; Alt with the arrows does too"><IconDots /></span>
            <ElInput
              class="line"
              :model-value="isTyped(part, i) ? typing!.text : (p.lines[i]?.text ?? '')"
              :aria-label="`Line ${i + 1} of ${p.name}`"
              :data-at="`${part}:${i}`"
              maxlength="500"
              spellcheck="false"
              @update:model-value="typed(part, i, $event)"
              @change="set(part, i, $event)"
              @keydown="key($event as KeyboardEvent, part, i)"
            />
            <span class="read small" :class="{ quiet: isWhat(part, i).known }">
              <button
                v-if="!isWhat(part, i).known && !isTyped(part, i)"
                class="plain"
                type="button"
                @click="emit('label', p.lines[i]?.named ?? '', part, i)"
              >
                from its label
              </button>
              <template v-else>{{ isWhat(part, i).words }}</template>
            </span>
            <b class="grams" :aria-live="isTyped(part, i) ? 'polite' : 'off'">{{ gramsOf(part, i) }}</b>
            <span class="tools">
              <ElButton
                v-if="i > 0"
                class="round"
                circle
                text
                :aria-label="`A new part from ${p.lines[i]?.text} on`"
                title="A new part from here on"
                @click="bench.editing.split(part, i, 'New part')"
              >
                <IconSplit />
              </ElButton>
              <ElButton
                class="round"
                circle
                text
                :aria-label="`Take out ${p.lines[i]?.text}`"
                title="Take it out"
                @click="bench.editing.line(part, i, '')"
              >
                <IconTrash />
              </ElButton>
            </span>
          </li>
        </VueDraggable>
        <div class="row add">
          <span />
          <ElInput
            class="line"
            :model-value="isTyped(part, p.lines.length) ? typing!.text : ''"
            :aria-label="`New line for ${p.name}`"
            :data-at="`${part}:${p.lines.length}`"
            maxlength="500"
            placeholder="add a line: 2 tbsp milk"
            @update:model-value="typed(part, p.lines.length, $event)"
            @change="set(part, p.lines.length, $event)"
            @keydown="key($event as KeyboardEvent, part, p.lines.length)"
          />
          <span class="read small quiet">{{ isTyped(part, p.lines.length) && read ? isWhat(part, p.lines.length).words : '' }}</span>
          <b class="grams">{{ isTyped(part, p.lines.length) && read ? gramsOf(part, p.lines.length) : '' }}</b>
          <span />
        </div>
      </div>
      <ElButton class="another" @click="bench.editing.addPart('New part', 'frosting')">Add a part</ElButton>
    </div>
  </section>
</template>

<style scoped>
.editor {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
header,
.heads {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  flex-wrap: wrap;
}
.heads .el-button.el-button,
.heads :deep(.el-button.el-button.chip) {
  min-height: 38px;
  padding: 0 12px;
  font-size: 0.92rem;
}
.scroll {
  overflow-y: auto;
  min-height: 0;
  margin: 8px -8px -6px;
  padding: 0 8px 6px;
}
.about {
  display: grid;
  grid-template-columns: 1.4fr 1fr;
  gap: 10px;
}
.about label {
  display: grid;
  gap: 2px;
  font-size: 0.875rem;
}
:is(.about, .name, .row) :deep(:is(.el-input__wrapper, .el-select__wrapper)) {
  min-height: 40px;
  border-color: transparent;
  border-radius: 10px;
  background: var(--mist);
}
:is(.about, .name, .row) :deep(.el-input__wrapper:hover) {
  border-color: var(--hair);
}
:is(.about, .name, .row) :deep(.el-input__wrapper:focus-within) {
  background: var(--enamel);
  border-color: var(--rim);
}
.part {
  margin-top: 12px;
}
.name {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 4px;
}
.title {
  width: 170px;
  font-family: var(--display);
  font-weight: 700;
}
.title :deep(.el-input__wrapper) {
  padding-left: 2px;
  background: none;
}
.name .plain {
  color: var(--spruce);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 36px;
}
.row {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) minmax(60px, 128px) 62px 76px;
  gap: 6px;
  align-items: center;
  padding: 2px 0;
}
.row.asks .line :deep(.el-input__wrapper) {
  background: var(--butter-soft);
  border-color: var(--butter);
}
.grip {
  display: grid;
  place-items: center;
  height: 40px;
  color: var(--quiet);
  cursor: grab;
  touch-action: none;
}
.read {
  line-height: 1.15;
  overflow-wrap: anywhere;
}
.read .plain {
  color: var(--beet);
  font-weight: 650;
  text-decoration: underline;
  min-height: 36px;
}
.grams {
  text-align: right;
}
.tools {
  display: flex;
  justify-content: flex-end;
}
.tools .el-button.el-button.round {
  width: 38px;
  height: 40px;
}
.add .line {
  background: none;
  border: 2px dashed var(--hair);
}
.another {
  margin-top: 12px;
  min-height: 40px;
}
@media (max-width: 43.75em) {
  .row {
    grid-template-columns: 24px minmax(0, 1fr) 54px 38px;
    border-bottom: 1px solid var(--hair);
  }
  .read {
    grid-column: 2 / 4;
    grid-row: 2;
  }
  .grams {
    grid-column: 3;
    grid-row: 1;
  }
  .tools {
    grid-column: 4;
    grid-row: 1 / 3;
    flex-direction: column-reverse;
  }
  .add .read:empty {
    display: none;
  }
  .about {
    grid-template-columns: 1fr;
  }
}
</style>
