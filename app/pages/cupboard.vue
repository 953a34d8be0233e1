<script setup lang="ts">
import type { IngredientAnswer } from '../../core/contract/ingredients'
import { ask } from '~/kitchen/core'
import type { OwnPacket } from '~/kitchen/database'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'

useHead({ title: 'Cupboard · Kind Crumb' })
const cupboard = useCupboard()
const kitchen = useKitchen()
const route = useRoute()
const router = useRouter()
const query = ref('')
const found = shallowRef<IngredientAnswer[]>([])
const shown = shallowRef<IngredientAnswer | null>(null)
const sheet = ref(false)
const packet = shallowRef<OwnPacket | null>(null)
const newName = ref('')

watch(query, async (q) => {
  if (q.trim().length < 2) {
    found.value = []
    return
  }
  const { ingredients } = await ask('ingredients', { query: q, region: kitchen.region })
  if (q === query.value) found.value = ingredients.slice(0, 6)
})
/** An ingredient has an address of its own, so that it can be linked to. */
async function look(id: string) {
  const { ingredients } = await ask('ingredients', { query: id.replace(/-/g, ' '), region: kitchen.region })
  shown.value = ingredients.find((i) => i.id === id) ?? null
  found.value = []
  query.value = ''
}
watch(
  () => route.query.about,
  (id) => (typeof id === 'string' && id ? void look(id) : (shown.value = null)),
  { immediate: true },
)
const about = (id: string) => router.replace({ query: { about: id } })
function edit(p: OwnPacket | null, name = '') {
  packet.value = p
  newName.value = name
  sheet.value = true
}
</script>

<template>
  <div class="cupboard">
    <div class="side">
      <StockList :looked="shown?.id ?? null" @look="about" @unknown="(name: string) => edit(null, name)" />
      <LeftOver />
      <LearnedPanel />
    </div>
    <div class="side">
      <section class="panel" aria-labelledby="about-title">
        <h2 id="about-title">What does it do?</h2>
        <label class="ask"
          ><span class="visually-hidden">Ingredient</span
          ><ElInput v-model="query" type="search" maxlength="80" placeholder="egg, xanthan, buttermilk …"
        /></label>
        <ul v-if="found.length" class="found">
          <li v-for="i in found" :key="i.id">
            <ElButton class="chip" @click="about(i.id)">{{ i.name }}</ElButton>
          </li>
        </ul>
        <IngredientFacts v-if="shown" :ingredient="shown" />
        <p v-else-if="!found.length" class="quiet small">
          Tap anything in the house, or type a name: what it does in a cake, what can be used instead, whose label to read.
        </p>
      </section>
      <TinShelf />
      <section class="panel" aria-labelledby="own-title">
        <h2 id="own-title">Packets of your own</h2>
        <ul class="own">
          <li v-for="p in cupboard.own" :key="p.id">
            <button class="plain" type="button" @click="edit(p)">{{ p.name }}</button>
            <span class="small quiet">{{ p.contains?.length ? `holds ${p.contains.join(', ')}` : 'no listed allergen' }}</span>
            <ElButton :aria-label="`Forget ${p.name}`" @click="cupboard.set(`“${p.name}” forgotten`, 'own', p.id, null)"> Forget </ElButton>
          </li>
        </ul>
        <p v-if="!cupboard.own.length" class="quiet small">
          Something that the pantry does not know, from its label: a spread, a protein powder, a blend.
        </p>
        <ElButton @click="edit(null)">Describe one</ElButton>
      </section>
    </div>
    <PacketSheet v-model="sheet" :packet="packet" :name="newName" />
  </div>
</template>

<style scoped>
.cupboard {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.ask .el-input {
  margin: 8px 0;
}
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-bottom: 8px;
}
.own li {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 4px 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.own .plain {
  font-weight: 650;
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 36px;
}
.own + p,
.own + .el-button.el-button {
  margin: 8px 0;
}
@media (max-width: 53.75em) {
  .cupboard {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
