import { distance } from 'fastest-levenshtein'
import { PANTRY } from './pantry'
import type { Ingredient } from './ingredient'

export type Match = 'exact' | 'likely' | 'unsure' | 'none'

const singular = (word: string): string => {
  if (word.length < 4 || /(ss|us|is)$/.test(word)) return word
  if (/(berr|cherr|cand|jell|pastr)ies$/.test(word)) return word.replace(/ies$/, 'y')
  if (/(oes|ches|shes|xes)$/.test(word)) return word.replace(/es$/, '')
  if (/leaves$/.test(word)) return word.replace(/ves$/, 'f')
  return word.replace(/s$/, '')
}

/** Lower-case words without accents, apostrophes and plural endings. */
export function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/['’‘`]s?\b/g, '')
    .replace(/['’‘`]/g, '')
    .replace(/[^a-z0-9%]+/g, ' ')
    .trim()
    .split(' ')
    .filter(Boolean)
    .map(singular)
}

interface Name {
  words: string[]
  key: string
  ingredient: Ingredient
}

const NAMES: Name[] = PANTRY.flatMap((ingredient) =>
  [...ingredient.names, ...Object.values(ingredient.called ?? {}), ingredient.id.replace(/-/g, ' ')].map((name) => {
    const words = wordsOf(name)
    return { words, key: words.join(' '), ingredient }
  }),
)

const alike = (a: string, b: string): number => 1 - distance(a, b) / Math.max(a.length, b.length)

/** The least likeness worth offering as a choice. */
const OFFERED_SPELLING = 0.55

function nearest(key: string, most: number): { ingredient: Ingredient; likeness: number }[] {
  const best = new Map<Ingredient, number>()
  for (const n of NAMES) {
    const likeness = alike(key, n.key)
    if (likeness > (best.get(n.ingredient) ?? OFFERED_SPELLING)) best.set(n.ingredient, likeness)
  }
  return [...best]
    .map(([ingredient, likeness]) => ({ ingredient, likeness }))
    .sort((a, b) => b.likeness - a.likeness)
    .slice(0, most)
}

/** Ingredients whose names are spelt most like a phrase, nearest first. */
export function nearestIngredients(phrase: string, most = 5): Ingredient[] {
  const words = wordsOf(phrase).filter((w) => !/^\d/.test(w))
  if (!words.length) return []
  const within = NAMES.filter((n) => n.words.some((w) => w.length > 3 && words.includes(w))).map((n) => n.ingredient)
  const near = nearest(words.join(' '), most).map((n) => n.ingredient)
  return [...new Set([...near, ...within])].slice(0, most)
}

/** Ingredients whose names answer a search, best first; all of them for an empty query. */
export function searchPantry(query: string): Ingredient[] {
  const words = wordsOf(query)
  if (!words.length) return [...PANTRY]
  const scored: { ingredient: Ingredient; score: number }[] = []
  for (const ingredient of PANTRY) {
    let score = 0
    for (const n of NAMES) {
      if (n.ingredient !== ingredient) continue
      if (n.key === words.join(' ')) score = Math.max(score, 4)
      else if (words.every((w) => n.words.some((x) => x.startsWith(w)))) score = Math.max(score, 3 - 0.1 * n.words.length)
    }
    if (score) scored.push({ ingredient, score })
  }
  if (scored.length) return scored.sort((a, b) => b.score - a.score).map((s) => s.ingredient)
  return nearest(words.join(' '), 8).map((n) => n.ingredient)
}
