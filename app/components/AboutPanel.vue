<script setup lang="ts">
/** What the product is, where everything stays, and what it is built from. */
const { version } = useRuntimeConfig().public
</script>

<template>
  <section class="panel" aria-labelledby="about-kind-title">
    <h2 id="about-kind-title">
      About Kind Crumb <span class="quiet small">{{ version }}</span>
    </h2>
    <p>
      It rebalances a cake for the people at the table: liquid, fat, leavening and sugar together, so that it still rises, holds and tastes.
      It fits it to your tins and your oven, plans the day and stands by while you bake.
    </p>
    <p>
      Your recipes and bakes stay in this browser; only the practice scale and probe ask the server that this page came from. It works
      without the net once it has been opened. What it says of allergens comes from general tables: the label of your packet decides, and
      for an illness the advice of your doctor.
    </p>
    <p><a class="licences" href="/licences.txt" target="_blank" rel="noopener">Licences of its fonts, tables and libraries</a></p>
  </section>
</template>

<style scoped>
p {
  margin-top: 8px;
}
.licences {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
</style>
