<script setup lang="ts">
import type { Question, Recipe } from '../../core/recipe/recipe'

const props = defineProps<{ questions: Question[]; recipe: Recipe }>()
const emit = defineEmits<{
  answer: [index: number, value: string]
  dismiss: [index: number]
  label: [name: string, part: number, line: number]
  /** The line is no ingredient: out with it, or over to the method. */
  remove: [index: number, to: 'nothing' | 'method']
  /** The baker's word that nothing in it matters to anybody at the table. */
  vouch: [index: number]
}>()
const typed = ref<Record<number, string>>({})

const lineOf = (q: Question) => (q.part === null || q.line === null ? '' : (props.recipe.parts[q.part]?.lines[q.line]?.text ?? ''))
const needsGrams = (q: Question) => q.about === 'amount' || (q.about === 'size' && q.part !== null)
const ofLine = (q: Question) => q.about === 'ingredient' && q.part !== null && q.line !== null
function send(i: number) {
  emit('answer', i, typed.value[i] ?? '')
  typed.value = {}
}
</script>

<template>
  <section class="look asks" aria-labelledby="asks-title">
    <h2 id="asks-title">{{ questions.length === 1 ? 'One question' : `${questions.length} questions` }}</h2>
    <ul>
      <li v-for="(q, i) in questions" :key="`${q.part}-${q.line}-${q.about}`">
        <p>
          <strong v-if="lineOf(q)">“{{ lineOf(q) }}”</strong> {{ q.message }}
        </p>
        <div class="choices">
          <ElButton v-for="(c, n) in q.choices" :key="c.value" class="chip" :class="{ best: n === 0 }" @click="emit('answer', i, c.value)">
            {{ c.label }}
          </ElButton>
          <form v-if="needsGrams(q)" @submit.prevent="send(i)">
            <label
              ><span class="visually-hidden">Grams for {{ lineOf(q) }}</span
              ><ElInput v-model="typed[i]" inputmode="decimal" placeholder="grams"
            /></label>
            <ElButton native-type="submit">Set</ElButton>
          </form>
          <template v-if="ofLine(q)">
            <ElButton class="chip" @click="emit('label', recipe.parts[q.part!]?.lines[q.line!]?.named ?? '', q.part!, q.line!)">
              Enter its label
            </ElButton>
            <ElButton class="chip" @click="emit('vouch', i)">It is free of all that matters here</ElButton>
            <ElButton class="chip" @click="emit('remove', i, 'nothing')">This is not an ingredient</ElButton>
            <ElButton class="chip" @click="emit('remove', i, 'method')">This is part of the method</ElButton>
          </template>
          <ElButton @click="emit('dismiss', i)">
            {{ q.about === 'ingredient' ? 'Don’t count this line' : 'Leave as it is' }}
          </ElButton>
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
  gap: 6px;
  padding: 8px 0;
}
li + li {
  border-top: 1px solid var(--butter);
}
p {
  overflow-wrap: anywhere;
}
.choices,
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.best {
  border-color: var(--rim);
  font-weight: 700;
}
.el-input {
  width: 110px;
}
.el-button.el-button {
  min-height: 40px;
}
</style>
