<script setup lang="ts">
import type { IngredientAnswer } from '../../core/contract/ingredients'
import { HARD_NEEDS, type HardNeed } from '../../core/pantry/ingredient'
import { ingredientOf, nameOf } from '../../core/pantry/pantry'
import { NEEDS } from '~/stores/bench'
import { useKitchen } from '~/stores/kitchen'

/** What an ingredient does, what can be used instead, what is in it and whose label to read. */
const props = defineProps<{ ingredient: IngredientAnswer }>()
const kitchen = useKitchen()

const parts = computed(() => {
  const p = props.ingredient.per100 as Record<string, number> & { sugars: Record<string, number> }
  const sugars = Object.values(p.sugars ?? {}).reduce((a, b) => a + b, 0)
  return (
    [
      ['water', p.water],
      ['fat', p.fat],
      ['sugars', sugars],
      ['starch', p.starch],
      ['protein', p.protein],
      ['fibre', p.fibre],
    ] as [string, number][]
  )
    .filter(([, g]) => g >= 0.5)
    .map(([name, g]) => `${name} ${Math.round(g * 10) / 10} g`)
})
const word = (n: HardNeed) => NEEDS.find((x) => x.id === n)!.label
const never = computed(() => HARD_NEEDS.filter((n) => props.ingredient.diets[n] === 'never').map(word))
const byLabel = computed(() => HARD_NEEDS.filter((n) => props.ingredient.diets[n] === 'label').map(word))
const quoted = (words: string[]) => words.map((w) => `“${w}”`).join(', ')
const name = (id: string) => nameOf(ingredientOf(id)!, kitchen.region)
const WHERE = { anywhere: '', batter: 'in a batter', outside: 'in creams and crusts' } as const
</script>

<template>
  <article class="facts">
    <h3>{{ ingredient.name }}</h3>
    <p v-if="ingredient.names.length > 1" class="quiet small">
      also
      {{
        ingredient.names
          .filter((n) => n !== ingredient.name)
          .slice(0, 4)
          .join(' · ')
      }}
    </p>
    <ul class="does">
      <li v-for="d in ingredient.does" :key="d.job">{{ d.words }}</li>
    </ul>
    <p class="small">In 100 g: {{ parts.join(', ') || 'nothing that counts' }}. Drinks {{ ingredient.waterDemand }} g of water a gram.</p>
    <template v-if="ingredient.instead.length">
      <h4>Instead of 100 g</h4>
      <ul class="instead">
        <li v-for="(s, i) in ingredient.instead" :key="i">
          <strong>{{ s.brings.map((b) => `${b.gramsPer100} g ${name(b.ingredient)}`).join(' and ') }}</strong>
          <span class="small">
            {{ s.why }} <span v-if="WHERE[s.where]" class="quiet">({{ WHERE[s.where] }})</span></span
          >
          <span v-for="n in s.opens" :key="n" class="opens small">{{ word(n) }}</span>
        </li>
      </ul>
      <p class="small quiet">The bench corrects the rest of the mix for it: water, fat, sugar and lift move together.</p>
    </template>
    <p class="small look">
      Holds {{ ingredient.allergens.join(', ') || 'none of the listed allergens'
      }}<template v-if="ingredient.labels.length">; some brands hold {{ ingredient.labels.join(', ') }}: read the label</template>.
      <template v-if="never.length"> Breaks {{ quoted(never) }}.</template>
      <template v-if="byLabel.length"> Its label decides {{ quoted(byLabel) }}.</template>
    </p>
    <p class="small quiet">Source: {{ ingredient.source }}.</p>
  </article>
</template>

<style scoped>
.facts {
  display: grid;
  gap: 8px;
  color: var(--ink);
}
h3 {
  font-size: 1.25rem;
}
h3::first-letter {
  text-transform: uppercase;
}
h4 {
  margin: 4px 0 0;
  font-size: 1rem;
}
.does {
  display: grid;
  gap: 4px;
  padding-left: 14px;
  border-left: 4px solid var(--sound);
}
.instead {
  display: grid;
}
.instead li {
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.instead strong {
  margin-right: 6px;
}
.opens {
  margin-left: 6px;
  padding: 1px 8px;
  border-radius: 8px;
  border: 1.5px solid var(--spruce);
  color: var(--spruce);
  white-space: nowrap;
}
</style>
