import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { merge3 } from './merge'
import { revise, seen } from './revision'

const BASE = { name: 'As given', note: '', recipe: { title: 'Pier sponge', lines: [{ g: 100 }, { g: 200 }, { g: 50 }] } }
const json = fc.jsonValue({ maxDepth: 3 })

describe('two tabs that change one record', () => {
  it('changes of different fields and lines are both kept', () => {
    const ours = { ...BASE, note: 'ours', recipe: { ...BASE.recipe, lines: [{ g: 110 }, { g: 200 }, { g: 50 }] } }
    const theirs = { ...BASE, name: 'Theirs', recipe: { ...BASE.recipe, lines: [{ g: 100 }, { g: 200 }, { g: 60 }] } }
    expect(merge3(BASE, ours, theirs)).toEqual({
      value: { name: 'Theirs', note: 'ours', recipe: { title: 'Pier sponge', lines: [{ g: 110 }, { g: 200 }, { g: 60 }] } },
      clash: false,
    })
  })

  it('where both changed the same line ours stands, and it is told', () => {
    const at = (g: number) => ({ ...BASE, recipe: { ...BASE.recipe, lines: [{ g }, { g: 200 }, { g: 50 }] } })
    expect(merge3(BASE, at(1), at(2))).toEqual({ value: at(1), clash: true })
  })

  it('a line that one added stays where the other only wrote a note', () => {
    const ours = { ...BASE, recipe: { ...BASE.recipe, lines: [...BASE.recipe.lines, { g: 5 }] } }
    expect(merge3(BASE, ours, { ...BASE, note: 'x' }).value).toEqual({ ...ours, note: 'x' })
  })

  it('nothing that only one side changed is ever lost', () => {
    fc.assert(
      fc.property(json, json, (base, other) => {
        const [b, o] = JSON.parse(JSON.stringify([base, other])) as [unknown, unknown]
        expect(merge3(b, o, b)).toEqual({ value: o, clash: false })
        expect(merge3(b, b, o)).toEqual({ value: o, clash: false })
        expect(merge3(b, o, o).value).toEqual(o)
      }),
    )
  })
})

describe('stamps', () => {
  it('come later than all that was seen, whatever the clock says', () => {
    const future = Date.now() + 1e9
    seen(future)
    const first = revise()
    expect(first).toBeGreaterThan(future)
    expect(revise()).toBeGreaterThan(first)
  })
})
