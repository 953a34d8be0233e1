<script setup lang="ts">
import { useKitchen } from '~/stores/kitchen'
import { dateName } from '~/kitchen/dates'
import { wishWords } from '~/kitchen/wishes'
import { NEEDS } from '~/stores/bench'
import { useHistory } from '~/stores/history'
import { useShelf } from '~/stores/shelf'
import type { Version } from '~/kitchen/database'

/** The family line of a recipe: names, notes, what was baked; an old one brought back as the newest. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ versions: Version[]; current: string }>()
const emit = defineEmits<{ compare: [] }>()
const shelf = useShelf()
const history = useHistory()
const router = useRouter()

/** How deep in the family each stands. */
const depth = computed(() => {
  const of = new Map<string, number>()
  for (const v of props.versions) of.set(v.id, v.parentId === null ? 0 : (of.get(v.parentId) ?? -1) + 1)
  return of
})
/** Children under their parents, the oldest first. */
const tree = computed(() => {
  const rows: Version[] = []
  const add = (parentId: string | null) => {
    for (const v of props.versions.filter((x) => x.parentId === parentId)) {
      rows.push(v)
      add(v.id)
    }
  }
  add(null)
  return [...rows, ...props.versions.filter((v) => !rows.includes(v))]
})
const asked = (v: Version) => [...NEEDS.filter((n) => v.goals.includes(n.id)).map((n) => n.label), ...wishWords(v.goals)].join(', ')
const day = (at: number) => dateName(at, useKitchen().region)

async function put(seen: Version, change: Partial<Version>, label: string) {
  // As it is now, not as it was when this row was drawn.
  const before = { ...(shelf.versionById(seen.id) ?? seen) }
  await shelf.put({ ...before, ...change })
  history.did({ label, undo: () => shelf.put(before), redo: () => shelf.put({ ...before, ...change }) })
}
const rename = (v: Version, name: string) => name.trim() && name.trim() !== v.name && put(v, { name: name.trim() }, 'a version’s name')
const note = (v: Version, text: string) => text !== v.note && put(v, { note: text }, 'a note')
const baked = (v: Version) =>
  put(v, { bakedAt: v.bakedAt === null ? Date.now() : null }, v.bakedAt === null ? 'marked as baked' : 'no longer marked as baked')
async function restore(v: Version) {
  const newest = props.versions.at(-1)!
  const child = await shelf.addChild(newest, {
    name: `${v.name}, brought back`,
    recipe: v.recipe,
    questions: v.questions,
    boxes: v.boxes,
    goals: v.goals,
    schools: v.schools,
  })
  open.value = false
  await router.push(`/bench/${child.id}`)
}
async function remove(v: Version) {
  const here = v.id === props.current
  const to = v.parentId ?? props.versions.find((x) => x.id !== v.id)?.id
  await shelf.removeVersion(v)
  if (here && to) await router.push(`/bench/${to}`)
}
</script>

<template>
  <ElDialog v-model="open" title="Versions" width="min(820px, 96vw)" top="6vh">
    <ul class="tree">
      <li
        v-for="v in tree"
        :key="v.id"
        :style="{ marginLeft: `${Math.min(4, depth.get(v.id) ?? 0) * 22}px` }"
        :class="{ here: v.id === current }"
      >
        <div class="who">
          <TypedField :value="v.name" maxlength="120" :aria-label="`Name of ${v.name}`" @set="(t: string) => rename(v, t)" />
          <span class="small quiet"
            >{{ day(v.createdAt) }}<template v-if="asked(v)"> · {{ asked(v) }}</template></span
          >
        </div>
        <TypedField
          multiline
          class="note"
          :value="v.note"
          maxlength="2000"
          placeholder="a note"
          :aria-label="`Note for ${v.name}`"
          @set="(t: string) => note(v, t)"
        />
        <div class="acts">
          <ElButton class="chip" :aria-pressed="v.bakedAt !== null" @click="baked(v)">
            {{ v.bakedAt === null ? 'I baked this' : `baked ${day(v.bakedAt)}` }}
          </ElButton>
          <NuxtLink v-if="v.id !== current" class="push" :to="`/bench/${v.id}`" @click="open = false">Open</NuxtLink>
          <ElButton v-if="v.id !== versions.at(-1)!.id" @click="restore(v)">Bring back</ElButton>
          <ElButton v-if="versions.length > 1" :aria-label="`Remove version ${v.name}`" @click="remove(v)"> Remove </ElButton>
        </div>
      </li>
    </ul>
    <p class="small quiet">
      A version that was baked stays as it was: a change to it makes a new one. “Bring back” makes an old one the newest.
    </p>
    <template #footer>
      <ElButton v-if="versions.length > 1" @click="((open = false), emit('compare'))">Compare two</ElButton>
      <ElButton type="primary" @click="open = false">Done</ElButton>
    </template>
  </ElDialog>
</template>

<style scoped>
.tree {
  display: grid;
  gap: 8px;
  color: var(--ink);
  max-height: 62vh;
  overflow-y: auto;
  margin-bottom: 10px;
}
li {
  border: 2px solid var(--hair);
  border-radius: 14px;
  padding: 8px 12px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 12px;
}
li.here {
  border-color: var(--beet);
}
.who {
  display: grid;
}
.who :deep(.el-input__wrapper) {
  border-width: 0 0 2px;
  border-color: var(--hair);
  border-radius: 0;
  background: none;
  padding: 0;
  font-weight: 650;
}
.acts {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.acts .push,
.acts .el-button.el-button {
  min-height: 38px;
  padding: 0 14px;
}
@media (max-width: 43.75em) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
