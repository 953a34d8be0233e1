<script setup lang="ts">
import { numberOf } from '../../core/language/number'
import type { Label } from '../../core/pantry/box'
import { ALLERGENS, type Allergen } from '../../core/pantry/ingredient'

/** The numbers of a nutrition label, in the order in which labels give them. */
const label = defineModel<Label>({ required: true })
const contains = defineModel<Allergen[]>('contains')
defineProps<{ perServing?: boolean }>()

type Field = Exclude<keyof Label, 'ingredients' | 'fibreApart' | 'servingGrams'>
const FIELDS: { key: Field; label: string; unit: string; of?: boolean }[] = [
  { key: 'kcal', label: 'Energy', unit: 'kcal' },
  { key: 'fat', label: 'Fat', unit: 'g' },
  { key: 'saturates', label: 'of which saturates', unit: 'g', of: true },
  { key: 'carbs', label: 'Carbohydrate', unit: 'g' },
  { key: 'sugars', label: 'of which sugars', unit: 'g', of: true },
  { key: 'fibre', label: 'Fibre', unit: 'g' },
  { key: 'protein', label: 'Protein', unit: 'g' },
  { key: 'sodiumMg', label: 'Sodium', unit: 'mg' },
]
/** Salt is 2.54 times its sodium. */
const SALT_OF_SODIUM = 2.54
const number = numberOf
const set = (key: keyof Label, value: unknown) => (label.value = { ...label.value, [key]: value })
const salt = computed(() => (label.value.sodiumMg === undefined ? '' : String(Math.round(label.value.sodiumMg * SALT_OF_SODIUM) / 1000)))
const toggle = (a: Allergen) =>
  (contains.value = contains.value?.includes(a) ? contains.value.filter((x) => x !== a) : [...(contains.value ?? []), a])
</script>

<template>
  <div class="label">
    <div class="serving">
      <label
        >Numbers are for
        <TypedField
          :value="String(label.servingGrams)"
          inputmode="decimal"
          aria-label="Serving, in grams"
          @set="set('servingGrams', number($event) ?? 100)"
        />
        g</label
      >
    </div>
    <div v-for="f in FIELDS" :key="f.key" class="row" :class="{ of: f.of }">
      <label :for="`label-${f.key}`">{{ f.label }}</label>
      <TypedField :id="`label-${f.key}`" :value="String(label[f.key] ?? '')" inputmode="decimal" @set="set(f.key, number($event))" />
      <span class="quiet">{{ f.unit }}</span>
    </div>
    <div class="row of">
      <label for="label-salt">or as salt</label>
      <TypedField
        id="label-salt"
        :value="String(salt)"
        inputmode="decimal"
        @set="set('sodiumMg', number($event) === undefined ? undefined : (number($event)! / SALT_OF_SODIUM) * 1000)"
      />
      <span class="quiet">g</span>
    </div>
    <ElCheckbox class="apart" :model-value="label.fibreApart ?? false" @update:model-value="set('fibreApart', Boolean($event))">
      its carbohydrate does not count the fibre (labels outside North America)
    </ElCheckbox>
    <fieldset v-if="contains">
      <legend>Contains, by its list</legend>
      <ElButton v-for="a in ALLERGENS" :key="a" class="chip" :aria-pressed="contains.includes(a)" @click="toggle(a)">
        {{ a.replace('-', ' ') }}
      </ElButton>
    </fieldset>
  </div>
</template>

<style scoped>
.label {
  border: 2px solid var(--rim);
  border-radius: 12px;
  padding: 10px 14px;
  background: var(--enamel);
}
.serving {
  border-bottom: 3px solid var(--rim);
  padding-bottom: 6px;
  font-weight: 650;
}
.row {
  display: grid;
  grid-template-columns: 1fr 92px 42px;
  gap: 8px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding: 3px 0;
}
.row.of label {
  padding-left: 18px;
}
.el-input {
  width: 92px;
}
.apart {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 8px 0 2px;
  font-size: 0.875rem;
}
fieldset {
  border: 0;
  margin: 8px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
legend {
  font-weight: 650;
  padding: 0 0 6px;
}
fieldset .el-button.el-button.chip {
  min-height: 34px;
  padding: 0 10px;
}
@media (pointer: coarse), (max-width: 43.75em) {
  fieldset .el-button.el-button.chip {
    min-height: 44px;
  }
}
</style>
