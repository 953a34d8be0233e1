<script setup lang="ts">
import type { LeftoversAnswer } from '../../core/contract/leftovers'
import { nameOf, ingredientOf } from '../../core/pantry/pantry'
import type { Keeping } from '../../core/table/leftovers'
import type { Made } from '../../core/table/made'
import { ask, CoreRefusal } from '~/kitchen/core'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'
import { useShelf } from '~/stores/shelf'

/** Spare yolks, half a can, a bowl of icing: how long they keep, and what on the shelf uses them up. */
const shelf = useShelf()
const kitchen = useKitchen()
const text = ref('')
const found = shallowRef<LeftoversAnswer | null>(null)
const problem = ref('')
/** So many versions are looked through. */
const MOST = 150
async function look() {
  problem.value = ''
  found.value = null
  try {
    const answer = await ask('leftovers', {
      text: text.value,
      candidates: shelf.versions.slice(0, MOST).map((v) => ({
        id: v.id,
        title: v.parentId === null ? v.recipe.title : `${v.recipe.title}: ${v.name}`,
        recipe: v.recipe,
      })),
      region: kitchen.region,
      own: useCupboard().common().own,
    })
    found.value = answer
    if (answer.unread.length) problem.value = `Not read: “${answer.unread.join('”, “')}”. Say how much there is, like “3 egg yolks”.`
  } catch (error) {
    problem.value = error instanceof CoreRefusal ? error.message : 'That could not be looked up.'
  }
}
const name = (id: string) => {
  const i = ingredientOf(id)
  return i ? nameOf(i, kitchen.region) : id
}
const MADE_NAMES: Record<Made, string> = {
  batter: 'batter',
  trimmings: 'trimmings',
  'butter-icing': 'butter icing',
  'cooked-butter-icing': 'cooked butter icing',
  'meringue-icing': 'meringue icing',
  'foam-butter-icing': 'foamed butter icing',
  'cream-cheese-icing': 'cream cheese icing',
  'whipped-cream': 'whipped cream',
  ganache: 'ganache',
  'crumb-icing': 'crumb icing',
  glaze: 'glaze',
  'pastry-cream': 'custard',
  compote: 'compote',
  soak: 'soak',
}
const rows = computed(() => [
  ...(found.value?.leftovers ?? []).map((l) => ({ ...l, name: name(l.ingredient), becomes: [] as string[], made: false })),
  ...(found.value?.made ?? []).map((m) => ({ ...m, name: MADE_NAMES[m.kind], made: true })),
])
const keeps = ({ fridgeDays, freezerDays, how }: Keeping) =>
  [
    fridgeDays ? `keeps about ${fridgeDays} ${fridgeDays === 1 ? 'day' : 'days'}, ${how}` : how,
    freezerDays ? `frozen ${Math.round(freezerDays / 30)} ${freezerDays < 60 ? 'month' : 'months'}` : '',
  ]
    .filter(Boolean)
    .join('; ')
const size = (scale: number) =>
  Math.abs(scale - 1) < 0.08
    ? 'just as written'
    : scale < 1
      ? `a bake of ${Math.round(100 * scale)} %`
      : `a bake ${scale.toFixed(1)} times as large`
</script>

<template>
  <section class="panel" aria-labelledby="left-title">
    <h2 id="left-title">Left over</h2>
    <form class="in-line" @submit.prevent="look">
      <ElInput v-model="text" maxlength="400" aria-label="What is left over" placeholder="3 egg yolks, 200 g buttercream" />
      <ElButton native-type="submit" :disabled="!text.trim() || !shelf.versions.length">Use it up</ElButton>
    </form>
    <p v-if="problem" class="look small" role="alert">{{ problem }}</p>
    <div v-for="l in rows" :key="l.name" aria-live="polite" class="left">
      <p>
        <b>{{ l.grams }} g {{ l.name }}</b
        >: {{ keeps(l.keeping) }}. <span class="small quiet">The label and your nose go first.</span>
      </p>
      <ul>
        <li v-for="b in l.becomes" :key="b">{{ b }}</li>
        <li v-for="u in l.uses" :key="u.id">
          <NuxtLink :to="`/bench/${u.id}`">{{ u.title }}</NuxtLink>
          <span class="small quiet">takes {{ u.takes }} g: {{ size(u.scale) }} uses it all</span>
        </li>
      </ul>
      <p v-if="!l.uses.length && !l.made" class="quiet small">Nothing on the shelf takes it. Ask what it can stand in for.</p>
    </div>
  </section>
</template>

<style scoped>
.in-line {
  margin: 8px 0;
}
.el-input {
  flex: 1 1 10rem;
  width: auto;
}

.left + .left {
  margin-top: 12px;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
  display: grid;
}
</style>
