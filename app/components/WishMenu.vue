<script setup lang="ts">
import { onClickOutside, onKeyStroke } from '@vueuse/core'
import IconCaret from '~icons/ph/caret-down-bold'
import { degreeWord, SWEETENERS, WISHES } from '~/kitchen/wishes'

const props = defineProps<{ goals: string[]; amount: Record<string, number>; sweetener: string }>()
const emit = defineEmits<{ toggle: [id: string]; degree: [id: string, share: number]; sweetener: [id: string] }>()

const open = ref(false)
const root = ref<HTMLElement | null>(null)
const opener = ref<HTMLButtonElement | null>(null)
onClickOutside(root, () => (open.value = false))
onKeyStroke('Escape', () => {
  if (!open.value) return
  open.value = false
  opener.value?.focus()
})
const chosen = computed(() => WISHES.filter((w) => props.goals.includes(w.id)))
const label = computed(() => (chosen.value.length ? `rather ${chosen.value.map((w) => w.label).join(', ')}` : 'rather…'))
const usual = (degrees: readonly number[]) => degrees[1]!
</script>

<template>
  <div ref="root" class="wish">
    <button ref="opener" class="chip" type="button" :aria-expanded="open" :aria-pressed="chosen.length > 0" @click="open = !open">
      <span class="said">{{ label }}</span> <IconCaret aria-hidden="true" />
    </button>
    <div v-if="open" class="panel sheet" role="group" aria-label="Wishes">
      <ul>
        <li v-for="w in WISHES" :key="w.id">
          <button class="chip" type="button" :aria-pressed="goals.includes(w.id)" @click="emit('toggle', w.id)">{{ w.label }}</button>
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
          <label v-if="w.id === 'sugar-swap' && goals.includes(w.id)" class="which">
            <span class="small quiet">which</span>
            <select :value="sweetener" @change="emit('sweetener', ($event.target as HTMLSelectElement).value)">
              <option v-for="s in SWEETENERS" :key="s.id" :value="s.id">{{ s.label }}</option>
            </select>
          </label>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.wish {
  position: relative;
}
.said {
  max-width: 190px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.sheet {
  position: absolute;
  right: 0;
  top: calc(100% + 8px);
  z-index: 20;
  width: min(430px, calc(100vw - 54px));
  box-shadow: 0 10px 28px rgb(13 33 29 / 30%);
}
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
select {
  min-height: 38px;
  border: 2px solid var(--hair);
  border-radius: 10px;
  background: var(--enamel);
  padding: 0 8px;
}
@media (pointer: coarse), (max-width: 700px) {
  .degree,
  select {
    min-height: 44px;
  }
}
@media (max-width: 860px) {
  .sheet {
    right: auto;
    left: 0;
  }
}
</style>
