<script setup lang="ts">
import type { BuildAnswer } from '../../core/contract/build'

/** What is made for a finish, in which order, and whether it will stand. */
defineProps<{ build: BuildAnswer }>()
const hours = (minutes: number) => (minutes >= 90 ? `${Math.round(minutes / 30) / 2} h` : `${minutes} min`)
const RANKS = { fault: 'must change', caution: 'mind', note: 'good to know' } as const
</script>

<template>
  <div class="below">
    <section class="panel" aria-labelledby="mix-title">
      <h2 id="mix-title">To make</h2>
      <article v-for="c in build.components.filter((x) => x.recipe)" :key="c.component" class="recipe">
        <h3>
          {{ c.name }} <span class="quiet small">{{ c.made }} g</span>
        </h3>
        <ul>
          <li v-for="(l, i) in c.recipe!.parts.flatMap((p) => p.lines)" :key="i">{{ l.text }}</li>
        </ul>
        <p v-if="c.reduction" class="small">Boil it down from {{ c.reduction.from }} to {{ c.reduction.to }} g: weigh the pan.</p>
        <p v-for="m in c.recipe!.method" :key="m" class="small">{{ m }}</p>
        <p v-for="m in c.notes" :key="m" class="small">{{ m }}</p>
        <p v-for="m in c.changes" :key="m" class="small changed">{{ m }}</p>
        <p v-if="c.left" class="small">About {{ c.left.grams }} g stay over: it {{ c.left.use }}.</p>
      </article>
      <article v-if="build.soak" class="recipe">
        <h3>
          {{ build.soak.recipe.title }} <span class="quiet small">{{ build.soak.grams.low }} to {{ build.soak.grams.high }} g go in</span>
        </h3>
        <ul>
          <li v-for="(l, i) in build.soak.recipe.parts[0]!.lines" :key="i">{{ l.text }}</li>
        </ul>
        <p v-for="m in [...build.soak.recipe.method, ...build.soak.notes]" :key="m" class="small">{{ m }}</p>
      </article>
    </section>
    <section class="panel" aria-labelledby="order-title">
      <h2 id="order-title">Order of work</h2>
      <ol class="order">
        <li v-for="(s, i) in build.steps" :key="i">
          {{ s.text }} <span v-if="s.wait" class="wait small">{{ s.cold ? 'chill' : 'wait' }} {{ hours(s.wait) }}</span>
        </li>
      </ol>
      <template v-if="build.trimmings">
        <h3>Trimmings, {{ build.trimmings.crumbGrams }} g</h3>
        <p v-for="s in build.trimmings.steps" :key="s" class="small">{{ s }}</p>
      </template>
    </section>
    <section v-if="build.findings.length" class="panel" aria-labelledby="mind-title">
      <h2 id="mind-title">Will it stand?</h2>
      <ul class="watch">
        <li v-for="f in build.findings" :key="f.code + f.message" :class="f.severity">
          <span class="rank small">{{ RANKS[f.severity] }}</span> {{ f.message }}
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
h3 {
  font-size: 1.02rem;
  margin-top: 10px;
}
.below {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
  gap: 12px;
  align-items: start;
}
.recipe ul {
  margin: 4px 0 6px;
}
.recipe p {
  margin-top: 3px;
}
.changed {
  color: var(--beet);
}
.order {
  list-style: decimal;
  display: grid;
  gap: 8px;
  padding-left: 1.5em;
  margin-top: 8px;
}
.wait {
  white-space: nowrap;
  border: 1px solid var(--rim);
  border-radius: 8px;
  padding: 0 6px;
}
.watch {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
.watch li {
  border-left: 4px solid var(--hair);
  padding-left: 10px;
}
.watch li.caution {
  border-color: var(--butter);
}
.watch li.fault {
  border-color: var(--beet);
}
.rank {
  display: block;
  color: var(--quiet);
}
</style>
