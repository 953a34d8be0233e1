<script setup lang="ts">
/** What it all comes to in a sentence, and what to do with it. */
defineProps<{ headline: string; detail: string; bad?: boolean; stays?: boolean }>()
</script>

<template>
  <footer class="panel verdict" :class="{ bad, stays }" aria-live="polite">
    <div class="words">
      <p class="headline">{{ headline }}</p>
      <p class="small detail">{{ detail }}</p>
    </div>
    <slot name="beside" />
    <div class="actions"><slot /></div>
  </footer>
</template>

<style scoped>
.verdict {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 12px 18px;
}
.stays {
  position: sticky;
  bottom: 8px;
  z-index: 5;
}
.bad {
  background: var(--butter-soft);
}
.words {
  flex: 1;
  min-width: 0;
}
.headline {
  font-family: var(--display);
  font-weight: 700;
  font-size: 1.3rem;
  line-height: 1.2;
}
.actions {
  display: flex;
  gap: 10px;
}
.actions:empty {
  display: none;
}
@media (max-width: 53.75em) {
  /* In the hand the answer comes first. */
  .verdict {
    order: -1;
    flex-wrap: wrap;
    position: static;
  }
  .words {
    flex-basis: 100%;
  }
  .actions {
    width: 100%;
  }
  .actions :slotted(.el-button.el-button),
  .actions :slotted(.push) {
    flex: 1;
    padding: 0 10px;
  }
}
@media print {
  .actions {
    display: none;
  }
}
</style>
