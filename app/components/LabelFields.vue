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
        <input
          :value="label.servingGrams"
          inputmode="decimal"
          aria-label="Serving, in grams"
          @change="set('servingGrams', number(($event.target as HTMLInputElement).value) ?? 100)"
        />
        g</label
      >
    </div>
    <div v-for="f in FIELDS" :key="f.key" class="row" :class="{ of: f.of }">
      <label :for="`label-${f.key}`">{{ f.label }}</label>
      <input
        :id="`label-${f.key}`"
        :value="label[f.key] ?? ''"
        inputmode="decimal"
        @change="set(f.key, number(($event.target as HTMLInputElement).value))"
      />
      <span class="quiet">{{ f.unit }}</span>
    </div>
    <div class="row of">
      <label for="label-salt">or as salt</label>
      <input
        id="label-salt"
        :value="salt"
        inputmode="decimal"
        @change="
          set(
            'sodiumMg',
            number(($event.target as HTMLInputElement).value) === undefined
              ? undefined
              : (number(($event.target as HTMLInputElement).value)! / SALT_OF_SODIUM) * 1000,
          )
        "
      />
      <span class="quiet">g</span>
    </div>
    <label class="apart"
      ><input type="checkbox" :checked="label.fibreApart" @change="set('fibreApart', ($event.target as HTMLInputElement).checked)" /> its
      carbohydrate does not count the fibre (labels outside North America)</label
    >
    <fieldset v-if="contains">
      <legend>Contains, by its list</legend>
      <button v-for="a in ALLERGENS" :key="a" class="chip" type="button" :aria-pressed="contains.includes(a)" @click="toggle(a)">
        {{ a.replace('-', ' ') }}
      </button>
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
input:not([type='checkbox']) {
  width: 92px;
  min-height: 36px;
  border: 2px solid var(--hair);
  border-radius: 8px;
  background: var(--mist);
  text-align: right;
  padding: 0 8px;
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
fieldset .chip {
  min-height: 34px;
  padding: 0 10px;
}
@media (pointer: coarse), (max-width: 43.75em) {
  input:not([type='checkbox']),
  fieldset .chip {
    min-height: 44px;
  }
}
</style>
