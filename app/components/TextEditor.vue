<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { writeText } from '../../core/formats/jsonld'
import type { ParsedRecipe, Recipe } from '../../core/recipe/recipe'
import { ask } from '~/kitchen/core'
import { useKitchen } from '~/stores/kitchen'

const props = defineProps<{ recipe: Recipe }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ save: [text: string] }>()
const text = ref('')
const read = ref<ParsedRecipe | null>(null)
const problem = ref('')

watch(open, (now) => now && (text.value = writeText(props.recipe)))
watchDebounced(
  text,
  async (value) => {
    if (!open.value) return
    try {
      read.value = await ask('parse', { text: value, region: props.recipe.region ?? useKitchen().region })
      problem.value = ''
    } catch (error) {
      problem.value = (error as Error).message
    }
  },
  { debounce: 180 },
)
const lines = computed(() => read.value?.recipe.parts.flatMap((p) => p.lines) ?? [])
function save() {
  emit('save', text.value)
  open.value = false
}
</script>

<template>
  <ElDialog v-model="open" title="Edit the recipe" width="min(980px, 96vw)" align-center>
    <div class="edit">
      <label
        ><span class="visually-hidden">Recipe text</span><ElInput v-model="text" type="textarea" resize="none" spellcheck="false"
      /></label>
      <div class="weighed" aria-live="polite">
        <p v-if="problem" class="look">{{ problem }}</p>
        <ul>
          <li v-for="(l, i) in lines" :key="i" :class="{ asks: l.match === 'none' || l.match === 'unsure' }">
            <span>{{ l.named || l.text }}{{ l.ingredient || l.made ? '' : '?' }}</span
            ><b>{{ l.grams.best ? `${Math.round(l.grams.best * 10) / 10} g` : '–' }}</b>
          </li>
        </ul>
      </div>
    </div>
    <template #footer>
      <ElButton @click="open = false">Cancel</ElButton>
      <ElButton type="primary" :disabled="!!problem || !text.trim()" @click="save">Use this</ElButton>
    </template>
  </ElDialog>
</template>

<style scoped>
.edit {
  display: grid;
  grid-template-columns: 1.4fr 1fr;
  gap: 14px;
}
:deep(.el-textarea__inner) {
  height: min(56vh, 520px);
}
.weighed {
  overflow-y: auto;
  max-height: min(56vh, 520px);
}
li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 4px 8px;
  border-bottom: 1px solid var(--hair);
}
li.asks {
  background: var(--butter-soft);
}
@media (max-width: 43.75em) {
  .edit {
    grid-template-columns: 1fr;
  }
  :deep(.el-textarea__inner) {
    height: 38vh;
  }
  .weighed {
    max-height: 22vh;
  }
}
</style>
