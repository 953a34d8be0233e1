<script setup lang="ts">
import type { Conflict } from '~/kitchen/conflicts'

/** What this kitchen and a backup have each in another state: for each the baker says which stays. */
const props = defineProps<{ conflicts: Conflict[] }>()
/** Keys of those that are taken from the backup. */
const taken = defineModel<Set<string>>({ required: true })
/** A long list is opened on demand. */
const FIRST = 6
const all = ref(false)
const shown = computed(() => (all.value ? props.conflicts : props.conflicts.slice(0, FIRST)))
const open = computed(() => props.conflicts.filter((c) => !c.settled))
const day = (at: number | null) =>
  at === null ? '' : new Date(at).toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
function choose(key: string, theirs: boolean) {
  const next = new Set(taken.value)
  if (theirs) next.add(key)
  else next.delete(key)
  taken.value = next
}
const chooseAll = (theirs: boolean) => (taken.value = new Set(theirs ? open.value.map((c) => c.key) : []))
</script>

<template>
  <div class="conflicts">
    <p v-if="open.length > 1" class="in-line">
      <ElButton :aria-pressed="taken.size === 0" @click="chooseAll(false)">Keep all of mine</ElButton>
      <ElButton :aria-pressed="taken.size === open.length" @click="chooseAll(true)"> Take all from the backup </ElButton>
    </p>
    <ul>
      <li v-for="c in shown" :key="c.key">
        <fieldset :disabled="c.settled">
          <legend>{{ c.what }}</legend>
          <ElRadio
            :class="{ on: !taken.has(c.key) }"
            :name="c.key"
            :value="false"
            :model-value="taken.has(c.key)"
            :disabled="c.settled"
            @change="choose(c.key, false)"
          >
            <span
              ><b>Mine</b> <span class="quiet small">{{ day(c.mine.at) }}</span><span v-if="c.mine.says" class="says">{{
                c.mine.says
              }}</span></span
            >
          </ElRadio>
          <ElRadio
            v-if="!c.settled"
            :class="{ on: taken.has(c.key) }"
            :name="c.key"
            :value="true"
            :model-value="taken.has(c.key)"
            @change="choose(c.key, true)"
          >
            <span
              ><b>The backup’s</b> <span class="quiet small">{{ day(c.theirs.at) }}</span><span v-if="c.theirs.says" class="says">{{
                c.theirs.says
              }}</span></span
            >
          </ElRadio>
          <p v-else class="small quiet">It was baked here, so it stays as it is.</p>
        </fieldset>
      </li>
    </ul>
    <ElButton v-if="!all && conflicts.length > shown.length" @click="all = true">
      Show {{ conflicts.length - shown.length }} more
    </ElButton>
  </div>
</template>

<style scoped>
.in-line .el-button.el-button[aria-pressed='true'] {
  border-color: var(--rim);
  background: var(--sound);
}
ul {
  list-style: none;
  margin: 8px 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
  gap: 6px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0 0 4px;
  font-weight: 600;
}
label {
  display: flex;
  gap: 8px;
  align-items: start;
  min-height: 44px;
  padding: 8px 10px;
  border: 1.5px solid var(--hair);
  border-radius: var(--radius-small);
  background: var(--enamel);
}
label.on {
  border-color: var(--rim);
}
.says {
  display: block;
}
</style>
