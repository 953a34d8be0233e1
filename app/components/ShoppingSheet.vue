<script setup lang="ts">
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import { shoppingFor } from '../../core/recipe/stock'
import { useCupboard } from '~/stores/cupboard'
import { useKitchen } from '~/stores/kitchen'

/** What is to buy for amounts that are wanted, less what is in the house. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ title: string; needs: readonly { ingredient: string; grams: number }[]; checks: readonly string[] }>()
const cupboard = useCupboard()
const kitchen = useKitchen()
const ticked = ref(new Set<string>())
const said = ref('')
const stock = computed(() => new Map(cupboard.stock.map((s) => [s.id, s.grams])))
const list = computed(() => shoppingFor(props.needs, stock.value, kitchen.region))
const name = (id: string) => {
  const i = ingredientOf(id)
  return i ? nameOf(i, kitchen.region) : id
}
const there = computed(() =>
  props.needs.filter((n) => !list.value.some((b) => b.ingredient === n.ingredient)).map((n) => name(n.ingredient)),
)
const amount = (b: (typeof list.value)[number]) =>
  b.packages ? `${b.packages} × ${b.packageGrams} g` : `${Math.max(1, Math.round(b.buy))} g`
const text = computed(() => [`To buy for ${props.title}`, ...list.value.map((b) => `- ${name(b.ingredient)}: ${amount(b)}`)].join('\n'))
async function copy() {
  try {
    await navigator.clipboard.writeText(text.value)
    said.value = 'Copied.'
  } catch {
    said.value = 'This browser does not let a page copy: mark the list and copy it by hand.'
  }
}
const print = () => window.print()
function tick(id: string) {
  const next = new Set(ticked.value)
  if (!next.delete(id)) next.add(id)
  ticked.value = next
}
</script>

<template>
  <ElDialog v-model="open" title="To buy" class="to-buy" width="min(520px, 96vw)" top="4vh">
    <p v-if="!list.length">Everything is in the house.</p>
    <ul v-else class="list" aria-label="To buy">
      <li v-for="b in list" :key="b.ingredient" :class="{ done: ticked.has(b.ingredient) }">
        <ElCheckbox :model-value="ticked.has(b.ingredient)" @change="tick(b.ingredient)"
          ><b>{{ name(b.ingredient) }}</b>
          <span class="how"
            >{{ amount(b)
            }}<span class="quiet small">
              · takes {{ Math.round(b.wants) }} g<template v-if="b.has">, {{ Math.round(b.has) }} in the house</template></span
            ></span
          ></ElCheckbox
        >
      </li>
    </ul>
    <p v-if="there.length" class="quiet small">In the house: {{ there.join(', ') }}.</p>
    <p v-if="checks.length" class="look small">Read the label of {{ checks.join(', ') }}.</p>
    <p role="status" class="small">{{ said }}</p>
    <div v-if="list.length" class="deeds">
      <ElButton type="primary" @click="copy">Copy the list</ElButton>
      <ElButton @click="print">Print it</ElButton>
    </div>
  </ElDialog>
</template>

<style scoped>
.list {
  display: grid;
}
li label {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 9px 0;
  border-bottom: 1px solid var(--hair);
}
li input {
  width: 20px;
  height: 20px;
  accent-color: var(--beet);
  align-self: center;
}
b {
  flex: 1;
}
.how {
  text-align: right;
}
.done {
  text-decoration: line-through;
  color: var(--quiet);
}
p {
  margin-top: 10px;
}
.deeds {
  display: flex;
  gap: 10px;
  margin-top: 10px;
}
</style>
<style>
/* While the list lies open, it alone is printed. */
@media print {
  body:has(.to-buy) * {
    visibility: hidden;
  }
  .to-buy,
  .to-buy * {
    visibility: visible;
  }
  .to-buy .deeds,
  .to-buy .el-dialog__headerbtn {
    display: none;
  }
}
</style>
