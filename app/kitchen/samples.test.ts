import { describe, expect, it } from 'vitest'
import { answer } from '../../core/contract/handle'
import { SYMPTOM_CODES } from '../../core/bakebook/symptoms'
import { ingredientOf } from '../../core/pantry/pantry'
import { BOXES, boxText, shrunkWords } from './boxes'
import { sampleTrials } from './sample-trials'
import { readSamples } from './samples'

const kitchen = await readSamples()

describe('the sample kitchen', () => {
  it('is read like any paste: no question is left open and no cake in it fails', () => {
    expect(kitchen.recipes.length).toBeGreaterThanOrEqual(6)
    for (const v of kitchen.versions) {
      expect(v.questions, v.recipe.title).toEqual([])
      const { findings } = answer('balance', { recipe: v.recipe, region: 'uk' })
      expect(
        findings.filter((f) => f.severity === 'fault').map((f) => f.code),
        v.recipe.title,
      ).toEqual([])
    }
  })

  it('each has a tin, an oven and steps, so that every place has something to show', () => {
    for (const v of kitchen.versions) {
      expect(v.recipe.tins.length, v.recipe.title).toBeGreaterThan(0)
      expect(v.recipe.oven[0]?.celsius, v.recipe.title).toBeGreaterThan(140)
      expect(v.recipe.method.length, v.recipe.title).toBeGreaterThan(1)
    }
  })

  it('one has a version that was worked out, which is without egg', () => {
    const [child] = kitchen.versions.filter((v) => v.parentId !== null)
    expect(child!.goals).toEqual(['eggless'])
    const ids = child!.recipe.parts.flatMap((p) => p.lines.map((l) => l.ingredient))
    expect(ids.some((id) => ingredientOf(id)?.kind === 'egg')).toBe(false)
    expect(kitchen.versions.find((v) => v.id === child!.parentId)?.recipeId).toBe(child!.recipeId)
  })

  it('its cupboard holds what the pantry knows', () => {
    for (const s of kitchen.stock) expect(ingredientOf(s.id), s.id).toBeDefined()
    expect(new Set(kitchen.stock.map((s) => s.id)).size).toBe(kitchen.stock.length)
  })

  it('it has baked: every page belongs to a version, some went wrong, none lies in the future', () => {
    const now = Date.UTC(2027, 5, 12)
    const trials = sampleTrials(kitchen.versions, now)
    expect(trials.length).toBeGreaterThanOrEqual(10)
    for (const t of trials) {
      expect(kitchen.versions.some((v) => v.id === t.versionId)).toBe(true)
      expect(t.bakedAt).toBeLessThan(now)
      expect(t.sample).toBe(true)
      for (const s of t.symptoms) expect(SYMPTOM_CODES).toContain(s)
    }
    expect(trials.some((t) => t.symptoms.length > 1)).toBe(true)
    expect(trials.some((t) => t.symptoms.length === 0)).toBe(true)
  })

  it('where a sample was taken off the shelf its pages stay away too', () => {
    const some = kitchen.versions.filter((v) => !/Poppy/.test(v.recipe.title))
    const trials = sampleTrials(some)
    expect(trials.length).toBeGreaterThan(0)
    expect(trials.length).toBeLessThan(sampleTrials(kitchen.versions).length)
  })
})

describe('a box as its panel has it', () => {
  it.each(BOXES.filter((b) => b.id !== 'cake-mix-angel'))('$label bakes as it says', (b) => {
    const text = boxText({ ...b, netGrams: 432, tin: '9x13 in' }, 'From a box')
    const { recipe, questions } = answer('parse', { text, region: 'us' })
    expect(questions).toEqual([])
    expect(recipe.parts[0]!.lines[0]).toMatchObject({ ingredient: b.id })
    expect(recipe.parts[0]!.lines[0]!.grams.best).toBeCloseTo(432, 0)
    const { family, findings } = answer('balance', { text, region: 'us' })
    expect(family).toBe('boxed')
    expect(findings.filter((f) => f.severity !== 'note').map((f) => f.code)).toEqual([])
  })

  it('angel mix takes water alone', () => {
    const b = BOXES.find((x) => x.id === 'cake-mix-angel')!
    const text = boxText({ ...b, netGrams: 454, tin: '10 in ring' }, 'From a box')
    expect(text).toMatch(/Beat the mix with the water for/)
    expect(text).not.toMatch(/\b0 (?:eggs|ml)/)
  })

  it('says what it lacks against the boxes that old recipes mean, where that is worth a word', () => {
    expect(shrunkWords(510, 'us')).toBe('')
    expect(shrunkWords(432, 'us')).toMatch(/85 g short/)
    expect(shrunkWords(432, 'uk')).toMatch(/85 g short/)
    expect(shrunkWords(470, 'uk')).toBe('')
  })
})
