<script setup lang="ts">
useHead({ title: 'Settings · Kind Crumb' })
</script>

<template>
  <div class="settings">
    <h1 class="visually-hidden">Settings</h1>
    <div class="side">
      <KitchenWays />
      <LookAndSound />
    </div>
    <div class="side">
      <KeepSafe />
      <AboutPanel />
    </div>
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px;
  align-items: start;
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
@media (max-width: 53.75em) {
  .settings {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
