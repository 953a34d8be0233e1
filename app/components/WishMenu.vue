<script setup lang="ts">
import { degreeWord, SWEETENERS, WISHES } from '~/kitchen/wishes'

const props = defineProps<{ goals: string[]; amount: Record<string, number>; sweetener: string }>()
const emit = defineEmits<{ toggle: [id: string]; degree: [id: string, share: number]; sweetener: [id: string] }>()

const chosen = computed(() => WISHES.filter((w) => props.goals.includes(w.id)))
const label = computed(() => (chosen.value.length ? `rather ${chosen.value.map((w) => w.label).join(', ')}` : 'rather…'))
const usual = (degrees: readonly number[]) => degrees[1]!
</script>

<template>
  <Flap :label="label" name="Wishes" :pressed="chosen.length > 0">
    <ul>
      <li v-for="w in WISHES" :key="w.id">
        <ElButton class="chip" :aria-pressed="goals.includes(w.id)" @click="emit('toggle', w.id)">{{ w.label }}</ElButton>
        <span v-if="w.degrees && goals.includes(w.id)" class="degrees" role="group" :aria-label="`How much ${w.label}`">
          <button
            v-for="d in w.degrees"
            :key="d"
            class="degree"
            type="button"
            :aria-pressed="(amount[w.id] ?? usual(w.degrees)) === d"
            @click="emit('degree', w.id, d)"
          >
            {{ degreeWord(d) }}
          </button>
        </span>
        <span v-if="w.id === 'sugar-swap' && goals.includes(w.id)" class="which">
          <span class="small quiet">which</span>
          <PickOne
            :model-value="sweetener"
            label="which"
            :of="SWEETENERS.map((s) => ({ value: s.id, label: s.label }))"
            @update:model-value="emit('sweetener', $event)"
          />
        </span>
      </li>
    </ul>
  </Flap>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
li:has(.degrees) {
  width: 100%;
}
.degrees {
  display: inline-flex;
  border: 2px solid var(--hair);
  border-radius: 12px;
  overflow: hidden;
}
.degree {
  min-height: 38px;
  padding: 0 10px;
  border: 0;
  background: var(--enamel);
}
.degree + .degree {
  border-left: 2px solid var(--hair);
}
.degree[aria-pressed='true'] {
  background: var(--beet-soft);
  color: var(--beet);
  font-weight: 650;
}
.which {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
@media (pointer: coarse), (max-width: 43.75em) {
  .degree {
    min-height: 44px;
  }
}
</style>
