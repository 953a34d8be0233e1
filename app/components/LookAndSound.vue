<script setup lang="ts">
import { useRing } from '~/composables/useRing'
import { useKitchen } from '~/stores/kitchen'

/** Colours, and how the product calls when something is due. */
const kitchen = useKitchen()
const ring = useRing()
const THEMES = [
  { id: 'light', label: 'light' },
  { id: 'dark', label: 'dark' },
  { id: 'system', label: 'as this device has it' },
] as const
</script>

<template>
  <section class="panel" aria-labelledby="look-title">
    <h2 id="look-title">Look and sound</h2>
    <div class="set">
      <span>Colours</span>
      <span class="row" role="group" aria-label="Colours">
        <ElButton v-for="t in THEMES" :key="t.id" class="chip" :aria-pressed="kitchen.theme === t.id" @click="kitchen.theme = t.id">
          {{ t.label }}
        </ElButton>
      </span>
    </div>
    <div class="set">
      <span>When it is time <span class="quiet small">a timer rings on every screen until you tap “Heard”</span></span>
      <span class="row">
        <ElButton class="chip" @click="ring.ring('Time', 'This is how it sounds.')">Let me hear it</ElButton>
        <ElButton v-if="ring.canNotify && !ring.asked.value" class="chip" @click="ring.allow()">Call me when the page is hidden</ElButton>
        <span v-else-if="ring.allowed.value" class="small quiet">also when the page is hidden</span>
        <span v-else-if="ring.canNotify" class="small quiet">the browser may not call when the page is hidden</span>
      </span>
    </div>
  </section>
</template>
