<script setup lang="ts">
import type { Label } from '../../core/pantry/box'
import { KINDS, type Allergen, type Kind } from '../../core/pantry/ingredient'
import type { OwnPacket } from '~/kitchen/database'
import { useCupboard } from '~/stores/cupboard'

/** An ingredient of the baker's own, from its label: something that the pantry does not know. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ name?: string; packet?: OwnPacket | null }>()
const emit = defineEmits<{ saved: [packet: OwnPacket] }>()
const cupboard = useCupboard()

const KIND_WORDS: Record<Kind, string> = {
  flour: 'a flour',
  starch: 'a starch',
  sugar: 'a sugar',
  syrup: 'a syrup',
  sweetener: 'a sweetener',
  fat: 'a fat or spread',
  egg: 'an egg product',
  dairy: 'a milk product',
  'plant-dairy': 'a plant milk, yogurt or cream',
  water: 'a watery drink',
  fruit: 'fruit or vegetable',
  nut: 'nuts or seeds',
  cocoa: 'cocoa or chocolate',
  leavener: 'a raising agent',
  acid: 'something sour',
  binder: 'a binder',
  mix: 'a mix',
  flavour: 'a flavouring',
  salt: 'salt',
  finish: 'sweets, biscuits, spreads',
}
const called = ref('')
const kind = ref<Kind>('finish')
const label = ref<Label>({ servingGrams: 100 })
const contains = ref<Allergen[]>([])
const perMl = ref('')
const problem = ref('')

watch(open, (now) => {
  if (!now) return
  problem.value = ''
  const p = props.packet
  called.value = p?.name ?? props.name ?? ''
  kind.value = p?.kind ?? 'finish'
  label.value = { ...(p?.label ?? { servingGrams: 100 }) }
  contains.value = [...(p?.contains ?? [])]
  perMl.value = p?.gramsPerMl ? String(Math.round(p.gramsPerMl * 240)) : ''
})
/** What the label leaves for water: a negative rest is a slip. */
const rest = computed(() => {
  const l = label.value
  const sum = (l.fat ?? 0) + (l.carbs ?? 0) + (l.fibreApart ? (l.fibre ?? 0) : 0) + (l.protein ?? 0)
  return (100 * (l.servingGrams - sum)) / l.servingGrams
})
async function save() {
  const l = label.value
  if (!called.value.trim()) return void (problem.value = 'Give it the name that your recipes use.')
  if (l.fat === undefined && l.carbs === undefined && l.protein === undefined)
    return void (problem.value = 'Type at least its fat, carbohydrate and protein: without them it is only water.')
  if (rest.value < -4)
    return void (problem.value = `Fat, carbohydrate and protein come to more than ${l.servingGrams} g: check the numbers, or what they are for.`)
  const packet: OwnPacket = {
    id: props.packet?.id ?? `own-${crypto.randomUUID()}`,
    name: called.value.trim(),
    kind: kind.value,
    label: { ...l },
    contains: [...contains.value],
    ...(Number(perMl.value) > 0 && { gramsPerMl: Math.min(3, Number(perMl.value) / 240) }),
    updatedAt: 0,
  }
  await cupboard.set(`“${packet.name}” from its label`, 'own', packet.id, packet)
  open.value = false
  emit('saved', packet)
}
</script>

<template>
  <ElDialog v-model="open" :title="packet ? 'The packet' : 'From its label'" width="min(560px, 96vw)" top="4vh">
    <form class="sheet" @submit.prevent="save">
      <div class="who">
        <label>Name<ElInput v-model="called" maxlength="120" placeholder="as recipes call it" /></label>
        <span class="field"
          >It acts like <PickOne v-model="kind" label="It acts like" :of="KINDS.map((k) => ({ value: k, label: KIND_WORDS[k] }))"
        /></span>
        <label
          >A cup of it weighs<span class="unit"><ElInput v-model="perMl" inputmode="decimal" placeholder="?" /> g</span></label
        >
      </div>
      <LabelFields v-model="label" v-model:contains="contains" />
      <p class="small quiet">
        What the label leaves is taken for water: {{ Math.max(0, Math.round(rest)) }} in 100 g. Read its list for what no number tells.
      </p>
      <p v-if="problem" class="look" role="alert">{{ problem }}</p>
      <div class="out">
        <ElButton @click="open = false">Leave it</ElButton>
        <ElButton type="primary" native-type="submit">Put it in the cupboard</ElButton>
      </div>
    </form>
  </ElDialog>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 12px;
  color: var(--ink);
}
.who {
  display: grid;
  grid-template-columns: 1.4fr 1.2fr auto;
  gap: 10px;
}
.who label {
  display: grid;
  gap: 4px;
  font-size: 0.875rem;
}
.who .pick {
  max-width: 100%;
}
.unit {
  display: flex;
  gap: 6px;
  align-items: center;
}
.unit .el-input {
  width: 88px;
}
.out {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  flex-wrap: wrap;
}
@media (max-width: 43.75em) {
  .who {
    grid-template-columns: 1fr;
  }
}
</style>
