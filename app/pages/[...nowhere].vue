<script setup lang="ts">
/** An address that leads nowhere. */
useHead({ title: 'No such place · Kind Crumb' })
</script>

<template>
  <section class="nowhere">
    <h1>There is no such place</h1>
    <p>This address leads nowhere in Kind Crumb. Your recipes are on the Shelf.</p>
    <p><NuxtLink class="push main" to="/">To the Shelf</NuxtLink></p>
  </section>
</template>

<style scoped>
.nowhere {
  max-width: 40rem;
  margin: 12vh auto;
}
.nowhere p {
  margin-top: 14px;
}
</style>
