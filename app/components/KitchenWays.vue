<script setup lang="ts">
import { REGIONS } from '../../core/measure/region'
import { useKitchen } from '~/stores/kitchen'

/** How this kitchen measures and bakes. */
const kitchen = useKitchen()
const REGION_NAMES = { us: 'US cups', uk: 'British', eu: 'European', au: 'Australian', in: 'Indian' } as const
const TOOLS = [
  { id: 'mixed', label: 'as recipes say' },
  { id: 'scale', label: 'a scale for all' },
  { id: 'cups', label: 'cups and spoons' },
] as const

const metres = computed({
  get: () => String(kitchen.altitudeM),
  set: (text: string) => {
    const m = Math.round(Number(text))
    if (Number.isFinite(m)) kitchen.altitudeM = Math.max(-400, Math.min(6000, m))
  },
})
const offset = computed({
  get: () => String(kitchen.oven.offsetC),
  set: (text: string) => {
    const c = Math.round(Number(text))
    if (Number.isFinite(c)) kitchen.oven.offsetC = Math.max(-60, Math.min(60, c))
  },
})
</script>

<template>
  <section class="panel kitchen" aria-labelledby="kitchen-title">
    <h2 id="kitchen-title">This kitchen</h2>
    <div class="set">
      <span>Measures and names</span>
      <PickOne v-model="kitchen.region" label="Measures and names" :of="REGIONS.map((r) => ({ value: r, label: REGION_NAMES[r] }))" />
    </div>
    <div class="set">
      <span>Measured with</span>
      <span class="row" role="group" aria-label="Measured with">
        <ElButton v-for="t in TOOLS" :key="t.id" class="chip" :aria-pressed="kitchen.tools === t.id" @click="kitchen.tools = t.id">
          {{ t.label }}
        </ElButton>
      </span>
    </div>
    <label class="set"
      ><span>Above the sea <span class="quiet small">thin air lifts more and dries</span></span>
      <span class="row"><ElInput v-model.lazy="metres" inputmode="numeric" /> m</span></label
    >
    <div class="set">
      <span>Oven</span>
      <span class="row">
        <ElButton class="chip" :aria-pressed="!kitchen.oven.fan" @click="kitchen.oven.fan = false">no fan</ElButton>
        <ElButton class="chip" :aria-pressed="kitchen.oven.fan" @click="kitchen.oven.fan = true">fan</ElButton>
      </span>
    </div>
    <label class="set"
      ><span>It runs hotter than it says by <span class="quiet small">less than nothing: cooler</span></span>
      <span class="row"><ElInput v-model.lazy="offset" inputmode="numeric" /> °C</span></label
    >
    <label class="set wide"
      ><span>Its ways</span
      ><ElInput v-model.lazy="kitchen.oven.note" class="long" maxlength="200" placeholder="browns on the left, slow to heat"
    /></label>
  </section>
</template>

<style scoped>
.kitchen {
  display: grid;
  gap: 2px;
}
.set .el-input {
  width: 96px;
}
.set .el-input.long {
  width: 100%;
}
.set .long {
  flex: 1;
  max-width: 260px;
  width: 100%;
  text-align: left;
}
</style>
