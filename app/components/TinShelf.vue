<script setup lang="ts">
import IconTrash from '~icons/ph/trash-bold'
import { readTin } from '../../core/language/tin'
import { tinMl } from '../../core/tin/volume'
import type { Tin } from '../../core/recipe/recipe'
import { newId } from '~/kitchen/database'
import { useCupboard } from '~/stores/cupboard'

/** The tins of this kitchen from above, all to one scale. */
const cupboard = useCupboard()
const text = ref('')
const problem = ref('')
/** mm of tin in one px of picture. */
const SCALE = 4.4

const size = (t: Tin) => {
  const { diameter, width, length } = t.mm
  if (t.shape === 'cupcake') return { w: 300, h: 220 }
  return diameter ? { w: diameter, h: diameter } : { w: length ?? width ?? 200, h: width ?? 200 }
}
const litres = (t: Tin) => {
  const ml = tinMl(t)
  return ml === undefined
    ? ''
    : t.shape === 'cupcake'
      ? `${Math.round(ml / 5) * 5} ml each`
      : `${Math.round(ml / 50) / 20} l${t.count > 1 ? ' each' : ''}`
}
async function add() {
  problem.value = ''
  const tin = readTin(text.value)
  if (!tin) return void (problem.value = `“${text.value}” is no tin: write it like 20 cm round x2, 9x13 in, 900 g loaf or 12 cupcakes.`)
  const id = newId()
  await cupboard.set(`the tin ${tin.text}`, 'tins', id, { id, tin, note: '' })
  text.value = ''
}
</script>

<template>
  <section class="panel" aria-labelledby="tins-title">
    <h2 id="tins-title">Tins <span class="quiet small">from above, to one scale</span></h2>
    <ul>
      <li v-for="t in cupboard.tins" :key="t.id">
        <svg :width="size(t.tin).w / SCALE + 6" :height="size(t.tin).h / SCALE + 6" aria-hidden="true">
          <g transform="translate(3 3)">
            <template v-if="t.tin.shape === 'cupcake'">
              <circle v-for="n in 12" :key="n" :cx="((n - 1) % 4) * 17 + 9" :cy="Math.floor((n - 1) / 4) * 17 + 9" r="7" class="tin" />
            </template>
            <template v-else-if="t.tin.mm.diameter">
              <circle
                :cx="t.tin.mm.diameter / SCALE / 2"
                :cy="t.tin.mm.diameter / SCALE / 2"
                :r="t.tin.mm.diameter / SCALE / 2"
                :class="['tin', { flutes: t.tin.shape === 'fluted' }]"
              />
              <circle
                v-if="t.tin.shape === 'ring' || t.tin.shape === 'fluted'"
                :cx="t.tin.mm.diameter / SCALE / 2"
                :cy="t.tin.mm.diameter / SCALE / 2"
                :r="t.tin.mm.diameter / SCALE / 8"
                class="tin hole"
              />
            </template>
            <rect v-else :width="size(t.tin).w / SCALE" :height="size(t.tin).h / SCALE" rx="4" class="tin" />
          </g>
        </svg>
        <span class="what"
          ><strong>{{ t.tin.text }}</strong> <span class="quiet small">{{ litres(t.tin) }}</span></span
        >
        <ElButton
          class="round"
          circle
          text
          :aria-label="`Take the tin ${t.tin.text} out`"
          @click="cupboard.set(`the tin ${t.tin.text} taken out`, 'tins', t.id, null)"
        >
          <IconTrash />
        </ElButton>
      </li>
    </ul>
    <form @submit.prevent="add">
      <label class="grow"
        ><span class="visually-hidden">A tin</span><ElInput v-model="text" maxlength="80" placeholder="23 cm round x2"
      /></label>
      <ElButton native-type="submit" :disabled="!text.trim()">Add</ElButton>
    </form>
    <p v-if="problem" class="look" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: end;
  margin: 10px 0;
}
li {
  display: grid;
  justify-items: center;
  position: relative;
  padding-right: 30px;
}
.what {
  display: grid;
  justify-items: center;
  text-align: center;
  line-height: 1.15;
}
li .el-button.el-button.round {
  position: absolute;
  right: -6px;
  top: 0;
  width: 36px;
  height: 36px;
}
.tin {
  fill: var(--mist);
  stroke: var(--rim);
  stroke-width: 3;
}
.flutes {
  stroke-dasharray: 7 2;
}
.hole {
  fill: var(--enamel);
}
form {
  display: flex;
  gap: 8px;
}
.grow {
  flex: 1;
}
</style>
