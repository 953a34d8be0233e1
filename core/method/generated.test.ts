import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aPage } from '../fixtures/sentences'
import { readGiven } from './given'
import { readMethod } from './read'
import { isLine } from './step'
import { applyEdits, dropFromList, joined } from './text'

const read = (text: string) => {
  const { recipe } = readGiven(text, 'uk')
  return { recipe, clauses: readMethod(recipe, 'uk').steps.flatMap((s) => s.clauses) }
}

describe('methods put together from known sentences', () => {
  it('are read the same as steps and in one breath', () => {
    fc.assert(
      fc.property(aPage, ({ text }) => {
        const [head, method] = text.split('Method\n') as [string, string]
        const acts = (joint: string) => read(`${head}Method\n${method.replaceAll(/(?<=\.)[ \n]/g, joint)}`).clauses.map((c) => c.act)
        expect(acts('\n')).toEqual(acts(' '))
      }),
      { numRuns: 60 },
    )
  })

  it('have their bake, with its minutes, after all that goes in', () => {
    fc.assert(
      fc.property(aPage, ({ text, minutes }) => {
        const { clauses } = read(text)
        const bakes = clauses.filter((c) => c.act === 'bake')
        expect(bakes.map((c) => c.minutes)).toEqual([minutes])
        const at = clauses.indexOf(bakes[0]!)
        expect(clauses.slice(at).flatMap((c) => c.things.filter(isLine))).toEqual([])
      }),
      { numRuns: 60 },
    )
  })

  it('use no line more than once as a whole', () => {
    fc.assert(
      fc.property(aPage, ({ text }) => {
        const used = read(text).clauses.flatMap((c) =>
          c.things.filter((t) => isLine(t) && t.share === undefined && !t.rest).map((t) => ('line' in t ? t.line : -1)),
        )
        expect(new Set(used).size).toBe(used.length)
      }),
      { numRuns: 60 },
    )
  })

  it('name every line that their words name', () => {
    fc.assert(
      fc.property(aPage, ({ text }) => {
        const { recipe, clauses } = read(text)
        const used = new Set(clauses.flatMap((c) => c.things.filter(isLine).map((t) => t.ingredient)))
        const method = recipe.method.join(' ')
        for (const [word, id] of [
          ['butter', 'butter-unsalted'],
          ['eggs', 'egg-whole'],
          ['flour', 'flour-plain'],
          ['milk', 'milk-whole'],
          ['walnuts', 'walnut'],
        ] as const)
          expect(used.has(id), `${word} in ${method}`).toBe(method.includes(word))
      }),
      { numRuns: 60 },
    )
  })
})

describe('lists', () => {
  const names = fc.uniqueArray(fc.constantFrom('butter', 'sugar', 'milk', 'salt', 'cocoa', 'flour'), { minLength: 2, maxLength: 5 })

  it('lose one thing and stay a list', () => {
    fc.assert(
      fc.property(names, fc.nat(4), (list, n) => {
        const gone = list[n % list.length]!
        const text = `Mix the ${joined(list)}.`
        const at = (w: string) => ({ from: text.indexOf(w), to: text.indexOf(w) + w.length })
        const edits = dropFromList(text, at(gone), 4, text.length, list.filter((x) => x !== gone).map(at))!
        const out = applyEdits(text, edits).replace(/^Mix (?!the)/, 'Mix the ')
        expect(out.replace('the the', 'the')).toBe(`Mix the ${joined(list.filter((x) => x !== gone))}.`)
      }),
    )
  })

  it('edits leave letter by letter what they do not touch', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 60 }),
        fc.array(fc.tuple(fc.nat(59), fc.nat(5), fc.string({ maxLength: 4 })), { maxLength: 4 }),
        (text, raw) => {
          const edits = raw.map(([from, length, words]) => ({
            from: Math.min(from, text.length),
            to: Math.min(from + length, text.length),
            words,
          }))
          const out = applyEdits(text, edits)
          const first = Math.min(text.length, ...edits.map((e) => e.from))
          const rest = Math.max(0, ...edits.map((e) => e.to))
          expect(out.startsWith(text.slice(0, first))).toBe(true)
          expect(out.endsWith(text.slice(rest))).toBe(true)
          expect(applyEdits(text, [])).toBe(text)
        },
      ),
    )
  })
})
