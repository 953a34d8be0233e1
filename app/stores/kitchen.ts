import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import { TOOLS, type Tools } from '../../core/crumb/uncertainty'
import { REGIONS, type Region } from '../../core/measure/region'
import { regionOfLanguages } from '~/kitchen/region-words'
import { database } from '~/kitchen/database'

export type Theme = 'light' | 'dark' | 'system'
/** The baker's oven, and what is known of its ways. */
export interface OvenHabits {
  fan: boolean
  /** How far it runs hotter than it says, °C; negative for cooler. */
  offsetC: number
  note: string
}

const CHOICES: Readonly<Record<string, readonly unknown[]>> = {
  region: REGIONS,
  measures: ['own', 'weight', 'us', 'metric'],
  tools: TOOLS,
  theme: ['light', 'dark', 'system'],
}

/** Whether a kept setting is of the kind that its place holds: what is damaged gives way to the default. */
function fits(key: string, now: unknown, kept: unknown): boolean {
  if (key in CHOICES) return CHOICES[key]!.includes(kept)
  if (key === 'lastVersion') return kept === null || typeof kept === 'string'
  if (Array.isArray(now)) return Array.isArray(kept)
  if (typeof now === 'number') return Number.isFinite(kept)
  return (
    typeof kept === typeof now &&
    (typeof now !== 'object' || (kept !== null && Object.keys(now as object).every((k) => k in (kept as object))))
  )
}

/** How this kitchen measures, bakes and looks. */
export const useKitchen = defineStore('kitchen', () => {
  const region = ref<Region>(regionOfLanguages(typeof navigator === 'undefined' ? [] : navigator.languages))
  const measures = ref<'own' | 'weight' | 'us' | 'metric'>('own')
  /** What the kitchen measures with: as each line says, all on the scale, or all in cups and spoons. */
  const tools = ref<Tools>('mixed')
  const altitudeM = ref(0)
  const oven = ref<OvenHabits>({ fan: false, offsetC: 0, note: '' })
  /** How warm the kitchen is where cakes are frosted, °C. */
  const roomC = ref(20)
  const theme = ref<Theme>('system')
  /** Predictions take in what bakes here have taught. */
  const learning = ref(true)
  /** Bakes before this moment teach nothing any more, ms since 1970. */
  const learnsSince = ref(0)
  /** What cups of flour weighed as this kitchen fills them, g. */
  const cupWeights = ref<{ grams: number; at: number }[]>([])
  const lastVersion = ref<string | null>(null)
  const loaded = ref(false)
  const kept = { region, measures, tools, altitudeM, oven, roomC, theme, learning, learnsSince, cupWeights, lastVersion }

  async function load() {
    try {
      for (const [key, target] of Object.entries(kept)) {
        const row = await database.settings.get(key)
        if (row && fits(key, target.value, row.value)) target.value = row.value as never
      }
    } catch {
      // Without storage the defaults serve; the shelf says that nothing can be kept.
    }
    loaded.value = true
    for (const [key, target] of Object.entries(kept))
      watch(target, (value) => void database.settings.put({ key, value: JSON.parse(JSON.stringify(value)) }).catch(() => undefined), {
        deep: true,
      })
    watch(theme, applyTheme, { immediate: true })
    matchMedia('(prefers-color-scheme: dark)').addEventListener('change', applyTheme)
  }

  function applyTheme() {
    const dark = theme.value === 'dark' || (theme.value === 'system' && matchMedia('(prefers-color-scheme: dark)').matches)
    document.documentElement.dataset.theme = dark ? 'dark' : 'light'
  }

  return { region, measures, tools, altitudeM, oven, roomC, theme, learning, learnsSince, cupWeights, lastVersion, loaded, load }
})
