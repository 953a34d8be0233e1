<script setup lang="ts">
import { useCounter } from '~/stores/counter'

/** Before the first step: what has to be read, and what lies ahead. */
const counter = useCounter()
</script>

<template>
  <section v-if="counter.version" class="panel start" aria-labelledby="start-title">
    <h1 id="start-title">{{ counter.version.recipe.title }}</h1>
    <p class="quiet">{{ counter.version.name }} · {{ counter.steps.length }} steps</p>
    <div v-if="counter.grave.length" class="look">
      <h2>Read this first</h2>
      <ul>
        <li v-for="c in counter.grave" :key="c.code">
          {{ c.text }} <span class="small">Check with {{ c.checkWith }}.</span>
        </li>
      </ul>
    </div>
    <ol class="first">
      <li v-for="s in counter.steps" :key="s.id">{{ s.text }}</li>
    </ol>
    <div class="foot">
      <ElButton class="huge" type="primary" @click="counter.begin()">
        {{ counter.grave.length ? 'I have read it: begin' : 'Begin' }}
      </ElButton>
    </div>
  </section>
</template>

<style scoped>
.start {
  grid-column: 1 / -1;
  display: grid;
  gap: 14px;
  align-content: start;
  overflow: auto;
}
h1 {
  font-size: 2.6rem;
}
.look h2 {
  font-size: 1.3rem;
  margin-bottom: 6px;
}
.look ul {
  display: grid;
  gap: 8px;
  font-size: 1.15rem;
}
.first {
  columns: 2 320px;
  list-style: decimal inside;
  font-size: 1.05rem;
}
.first li {
  padding: 4px 0;
  break-inside: avoid;
}
.foot {
  position: sticky;
  bottom: 0;
}
@media (max-width: 53.75em) {
  .foot .el-button.el-button {
    width: 100%;
  }
}
</style>
