<script setup lang="ts">
/** The start itself failed: no place is there to say it. */
useHead({ title: 'Could not open · Kind Crumb' })
</script>

<template>
  <main class="failed">
    <h1>The kitchen could not be opened</h1>
    <p>
      Your recipes are kept in this browser. Open the page anew; if it stays so, another browser on this device opens an empty kitchen
      meanwhile.
    </p>
    <p><a class="push main" href="/">Open it anew</a></p>
  </main>
</template>

<style scoped>
.failed {
  max-width: 40rem;
  margin: 15vh auto;
  padding: 0 20px;
}
.failed p {
  margin-top: 14px;
}
</style>
