<script setup lang="ts">
import IconUndo from '~icons/ph/arrow-u-up-left-bold'
import IconRedo from '~icons/ph/arrow-u-up-right-bold'
import IconGear from '~icons/ph/gear-six-bold'
import IconSearch from '~icons/ph/magnifying-glass-bold'
import { useMediaQuery } from '@vueuse/core'
import { REGIONS } from '../../core/measure/region'
import { useKitchenLine } from '~/composables/useKitchenLine'
import { useHistory } from '~/stores/history'
import { useKitchen } from '~/stores/kitchen'

const kitchen = useKitchen()
const line = useKitchenLine()
const history = useHistory()
const route = useRoute()
/** Room for every place side by side, and for the measures beside them. */
const wide = useMediaQuery('(min-width: 77.5em)')
const REGION_NAMES = { us: 'US cups', uk: 'British', eu: 'European', au: 'Australian', in: 'Indian' } as const
const places = computed(() => [
  { to: '/', label: 'Shelf', here: route.path === '/' },
  ...(kitchen.lastVersion
    ? [
        { to: `/bench/${kitchen.lastVersion}`, label: 'Bench', here: route.path.startsWith('/bench') },
        { to: `/tins/${kitchen.lastVersion}`, label: 'Tins', here: route.path.startsWith('/tins') },
        { to: `/finish/${kitchen.lastVersion}`, label: 'Finish', here: route.path.startsWith('/finish') },
      ]
    : []),
  { to: '/clock', label: 'Clock', here: route.path === '/clock' },
  ...(kitchen.lastVersion ? [{ to: `/counter/${kitchen.lastVersion}`, label: 'Counter', here: route.path.startsWith('/counter') }] : []),
  { to: '/book', label: 'Bake book', here: route.path.startsWith('/book') },
  { to: '/cupboard', label: 'Cupboard', here: route.path === '/cupboard' },
  { to: '/table', label: 'Table', here: route.path === '/table' },
])
</script>

<template>
  <header class="bar">
    <NuxtLink to="/" class="name" aria-label="Kind Crumb, to the shelf">kind<span class="dot" aria-hidden="true" />crumb</NuxtLink>
    <nav v-if="wide" aria-label="Places">
      <NuxtLink v-for="p in places" :key="p.to" :to="p.to" :class="{ here: p.here }" :aria-current="p.here ? 'page' : undefined">{{
        p.label
      }}</NuxtLink>
    </nav>
    <nav v-else aria-label="Places">
      <Flap v-slot="{ close }" :label="places.find((p) => p.here)?.label ?? 'Go to'" name="Places" left>
        <div class="menu">
          <NuxtLink
            v-for="p in places"
            :key="p.to"
            :to="p.to"
            :class="{ here: p.here }"
            :aria-current="p.here ? 'page' : undefined"
            @click="close"
            >{{ p.label }}</NuxtLink
          >
        </div>
      </Flap>
    </nav>
    <ElButton
      class="round"
      circle
      text
      aria-label="Undo"
      :title="history.next ? `Undo ${history.next}` : 'Nothing to undo'"
      :disabled="!history.past.length"
      @click="history.undo()"
    >
      <IconUndo />
    </ElButton>
    <ElButton
      class="round redo"
      circle
      text
      aria-label="Redo"
      :title="history.again ? `Redo ${history.again}` : 'Nothing to redo'"
      :disabled="!history.future.length"
      @click="history.redo()"
    >
      <IconRedo />
    </ElButton>
    <PickOne
      v-if="wide"
      v-model="kitchen.region"
      class="region"
      label="Measures and names of"
      :of="REGIONS.map((r) => ({ value: r, label: `${REGION_NAMES[r]} kitchen` }))"
    />
    <ElButton class="round" circle text aria-label="Kitchen line" title="Find or do anything ( . )" @click="line = true">
      <IconSearch />
    </ElButton>
    <NuxtLink
      class="gear"
      to="/settings"
      aria-label="Settings"
      title="Settings"
      :aria-current="route.path === '/settings' ? 'page' : undefined"
    >
      <IconGear />
    </NuxtLink>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  max-width: 1320px;
  margin: 0 auto;
  padding: 6px 20px;
  min-height: 52px;
  flex-wrap: wrap;
}
.name {
  font-family: var(--display);
  font-weight: 750;
  font-size: 1.45rem;
  color: var(--ink);
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  margin-right: 12px;
}
.dot {
  width: 10px;
  height: 10px;
  border-radius: 50%;
  background: var(--beet);
  margin: 5px 2px 0;
}
nav {
  display: flex;
  gap: 2px;
  flex: 1;
}
nav a {
  min-height: 40px;
  padding: 0 11px;
  display: inline-flex;
  align-items: center;
  border-radius: 12px;
  text-decoration: none;
  color: var(--ink);
  font-weight: 600;
}
.menu {
  display: grid;
  gap: 2px;
}
.menu a {
  min-height: 48px;
}
nav a:hover {
  background: var(--mist);
}
nav a.here {
  background: var(--spruce-strong);
  color: var(--on-spruce);
}
.bar .el-button.el-button.round {
  width: 40px;
  height: 40px;
}
.gear {
  width: 40px;
  height: 40px;
  display: inline-grid;
  place-items: center;
  border-radius: 50%;
  color: var(--ink);
}
.gear:hover {
  background: var(--mist);
}
.gear[aria-current] {
  background: var(--spruce-strong);
  color: var(--on-spruce);
}
.bar .el-button.el-button.round:disabled {
  opacity: 0.35;
}
@media (max-width: 43.75em) {
  .bar {
    padding: 6px 10px;
    gap: 2px;
  }
  .name {
    font-size: 1rem;
    margin-right: 6px;
  }
  .dot {
    width: 8px;
    height: 8px;
    margin-inline: 1px;
  }
  .bar .el-button.el-button.round,
  .gear {
    width: 33px;
  }
  /* The longest name of a place still leaves room for all that follows. */
  nav :deep(button) {
    padding: 0 9px;
  }
}
@media print {
  .bar {
    display: none;
  }
}
@media (max-width: 30em) {
  /* What cannot be done again yet leaves its room to the places. */
  .redo.is-disabled {
    display: none;
  }
}
</style>
