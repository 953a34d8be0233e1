<script setup lang="ts">
import type { Question, Recipe } from '../../core/recipe/recipe'

const props = defineProps<{ questions: Question[]; recipe: Recipe }>()
const emit = defineEmits<{
  answer: [index: number, value: string]
  dismiss: [index: number]
  label: [name: string, part: number, line: number]
}>()
const typed = ref<Record<number, string>>({})

const lineOf = (q: Question) => (q.part === null || q.line === null ? '' : (props.recipe.parts[q.part]?.lines[q.line]?.text ?? ''))
const needsGrams = (q: Question) => q.about === 'amount' || (q.about === 'size' && q.part !== null)
function send(i: number) {
  emit('answer', i, typed.value[i] ?? '')
  typed.value = {}
}
</script>

<template>
  <section class="look asks" aria-labelledby="asks-title">
    <h2 id="asks-title">{{ questions.length === 1 ? 'One thing to settle' : `${questions.length} things to settle` }}</h2>
    <ul>
      <li v-for="(q, i) in questions" :key="`${q.part}-${q.line}-${q.about}`">
        <p>
          <strong v-if="lineOf(q)">“{{ lineOf(q) }}”</strong> {{ q.message }}
        </p>
        <div class="choices">
          <button v-for="c in q.choices" :key="c.value" class="chip" type="button" @click="emit('answer', i, c.value)">
            {{ c.label }}
          </button>
          <form v-if="needsGrams(q)" @submit.prevent="send(i)">
            <label
              ><span class="visually-hidden">Grams for {{ lineOf(q) }}</span
              ><input v-model="typed[i]" inputmode="decimal" placeholder="grams"
            /></label>
            <button class="push" type="submit">Set</button>
          </form>
          <button
            v-if="q.about === 'ingredient' && q.part !== null && q.line !== null"
            class="chip"
            type="button"
            @click="emit('label', recipe.parts[q.part]?.lines[q.line]?.named ?? '', q.part, q.line)"
          >
            from its label
          </button>
          <button class="push" type="button" @click="emit('dismiss', i)">
            {{ q.about === 'ingredient' ? 'Leave it out of the sums' : 'Leave as it is' }}
          </button>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.asks {
  margin-bottom: 12px;
}
h2 {
  font-size: 1.1rem;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px 14px;
  align-items: center;
  padding: 6px 0;
}
li + li {
  border-top: 1px solid var(--butter);
}
.choices,
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
input {
  width: 92px;
  min-height: 40px;
  border: 2px solid var(--rim);
  border-radius: 10px;
  background: var(--enamel);
  padding: 0 10px;
}
.push {
  min-height: 40px;
}
@media (max-width: 53.75em) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
