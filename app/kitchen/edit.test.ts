import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../../core/contract/handle'
import type { Recipe } from '../../core/recipe/recipe'
import { addPart, insertLine, mergePart, moveLine, removePart, renamePart, replaceLine, setRole, splitPart, type Sheet } from './edit'

const TEXT = 'Regatta sponge\n# Cake\n200 g flour\n3 zorgles\n100 g butter\n2 eggs\n# Icing\n1 tin condensed milk\n200 g icing sugar'
const sheet = (): Sheet => {
  const { recipe, questions } = answer('parse', { text: TEXT, region: 'uk' })
  return { recipe, questions }
}
const read = (text: string) => answer('line', { text, region: 'uk' })
const words = (r: Recipe) => r.parts.map((p) => [p.name, ...p.lines.map((l) => l.text)])
/** Every question still stands at the line that it was asked of. */
const asked = (s: Sheet) =>
  s.questions
    .filter((q) => q.line !== null)
    .map((q) => `${s.recipe.parts[q.part!]!.lines[q.line!]!.text}: ${q.message}`)
    .sort()

describe('editing in place', () => {
  it('starts with questions at their lines', () => {
    expect(asked(sheet())).toHaveLength(2)
  })

  it('a line typed anew is weighed anew, and its question goes', () => {
    const s = replaceLine(sheet(), 0, 1, read('3 tbsp milk'))
    expect(s.recipe.parts[0]!.lines[1]).toMatchObject({ ingredient: 'milk-whole', text: '3 tbsp milk' })
    expect(asked(s)).toHaveLength(1)
    expect(asked(s)[0]).toMatch(/condensed milk/)
  })

  it('two ingredients in one line become two lines, and nothing typed takes it out', () => {
    const s = insertLine(sheet(), 0, 4, read('1 tbsp ground flax + 3 tbsp water'))
    expect(s.recipe.parts[0]!.lines).toHaveLength(6)
    expect(replaceLine(s, 0, 0, read('  ')).recipe.parts[0]!.lines).toHaveLength(5)
  })

  it('parts split, merge, get names and roles', () => {
    const split = splitPart(sheet(), 0, 2, 'Second bowl')
    expect(words(split.recipe)[1]).toEqual(['Second bowl', '100 g butter', '2 eggs'])
    expect(mergePart(split, 1)).toEqual(sheet())
    expect(setRole(sheet(), 1, 'filling').recipe.parts[1]!.role).toBe('filling')
    expect(renamePart(sheet(), 0, ' ').recipe.parts[0]!.name).toBe('Cake')
    expect(removePart(addPart(sheet(), 'Soak', 'soak'), 2)).toEqual(sheet())
    expect(removePart(sheet(), 1)).toEqual(sheet())
  })

  it('moving lines about loses none of them and no question', () => {
    const place = fc.record({ part: fc.nat(1), line: fc.nat(5) })
    fc.assert(
      fc.property(fc.array(fc.tuple(place, place), { maxLength: 12 }), (moves) => {
        let s = sheet()
        for (const [from, to] of moves) s = moveLine(s, from, to)
        expect(s.recipe.parts.flatMap((p) => p.lines.map((l) => l.text)).sort()).toEqual(
          sheet()
            .recipe.parts.flatMap((p) => p.lines.map((l) => l.text))
            .sort(),
        )
        expect(asked(s)).toEqual(asked(sheet()))
      }),
    )
  })

  it('moves to just before the line that was pointed at', () => {
    const order = (s: Sheet) => s.recipe.parts[0]!.lines.map((l) => l.text)
    expect(order(moveLine(sheet(), { part: 0, line: 0 }, { part: 0, line: 2 }))[1]).toBe('200 g flour')
    expect(order(moveLine(sheet(), { part: 0, line: 3 }, { part: 0, line: 0 }))[0]).toBe('2 eggs')
    expect(moveLine(sheet(), { part: 0, line: 0 }, { part: 1, line: 1 }).recipe.parts[1]!.lines[1]!.text).toBe('200 g flour')
  })
})
