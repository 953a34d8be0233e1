import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { keepingOf } from './leftovers'
import { MADE, madeFrom } from './made'

const cake = (id: string, yolks: number) => ({
  id,
  text: `${id}\n${yolks > 0 ? `${yolks} g egg yolk\n` : ''}200 g flour\n100 g sugar`,
  title: id,
})
const ask = (grams: number, candidates: object[]) =>
  answer('leftovers', { left: [{ ingredient: 'egg-yolk', grams }], candidates, region: 'uk' }).leftovers[0]!

describe('what is left over', () => {
  it('goes first where a recipe takes about as much', () => {
    const { uses } = ask(60, [cake('much', 240), cake('right', 60), cake('none', 0), cake('near', 80)])
    expect(uses.map((u) => u.id)).toEqual(['right', 'near', 'much'])
    expect(uses[0]).toMatchObject({ takes: 60, scale: 1, uses: 60, left: 0 })
  })

  it('never uses more than there is, and adds up', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 6 }),
        (grams, sizes) => {
          for (const u of ask(
            grams,
            sizes.map((s, i) => cake(`c${i}`, s)),
          ).uses) {
            expect(u.uses + u.left).toBe(grams)
            expect(u.uses).toBeLessThanOrEqual(Math.min(grams, u.takes))
          }
        },
      ),
      { numRuns: 40 },
    )
  })

  it('says how long it keeps: egg and cream days, flour weeks, and no cream cheese in the freezer', () => {
    expect(keepingOf('egg-yolk').fridgeDays).toBeLessThanOrEqual(2)
    expect(keepingOf('cream-heavy').fridgeDays).toBeLessThanOrEqual(3)
    expect(keepingOf('flour-plain').fridgeDays).toBeGreaterThan(30)
    expect(keepingOf('cream-cheese').freezerDays).toBeNull()
  })

  it('refuses what it does not know', () => {
    expect(() => answer('leftovers', { left: [{ ingredient: 'moon-dust', grams: 5 }], candidates: [cake('a', 1)] })).toThrow(/moon-dust/)
  })
})

describe('what was made and not used', () => {
  const ask = (request: object) => answer('leftovers', { candidates: [], region: 'uk', ...request })

  it('is known by the words that bakers use, and an ingredient is none of it', () => {
    const called: [string, ReturnType<typeof madeFrom>][] = [
      ['half a bowl of batter', 'batter'],
      ['200 g cake off-cuts', 'trimmings'],
      ['1 cup cream cheese frosting', 'cream-cheese-icing'],
      ['chocolate ganache', 'ganache'],
      ['90 g whipped cream', 'whipped-cream'],
      ['150 g buttercream', 'butter-icing'],
      ['2 tbsp glacé icing', 'glaze'],
      ['100 g icing sugar', undefined],
      ['2 tbsp custard powder', undefined],
      ['300 ml whipping cream', undefined],
      ['3 egg yolks', undefined],
    ]
    for (const [words, kind] of called) expect([words, madeFrom(words)]).toEqual([words, kind])
  })

  it('becomes something, with amounts that grow with what there is, and keeps as long as it does', () => {
    for (const kind of MADE)
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 3000 }), (grams) => {
          const [made] = ask({ made: [{ kind, grams }] }).made
          expect(made!.becomes.length).toBeGreaterThan(0)
          expect(made!.becomes.every((b) => !/NaN|\b0 |undefined/.test(b))).toBe(true)
          expect(made!.keeping.how).not.toBe('')
        }),
        { numRuns: 12 },
      )
    const cakes = (grams: number) => Number(/^(\d+) fairy/.exec(ask({ made: [{ kind: 'batter', grams }] }).made[0]!.becomes[0]!)![1])
    expect(cakes(800)).toBe(2 * cakes(400))
  })

  it('binds trimmings with the frosting that is there', () => {
    const both = ask({ text: '200 g trimmings and 150 g buttercream' })
    expect(both.made[0]!.becomes[0]).toContain('which you have')
    expect(ask({ text: '200 g trimmings' }).made[0]!.becomes[0]).not.toContain('which you have')
  })

  it('finds the cakes that are filled with the same', () => {
    const iced = 'Iced\n200 g flour\n100 g sugar\n2 eggs\n\nFor the buttercream:\n100 g butter\n200 g icing sugar'
    const plain = 'Plain\n200 g flour\n100 g sugar\n2 eggs'
    const candidates = [
      { id: 'iced', text: iced },
      { id: 'plain', text: plain },
    ]
    expect(ask({ text: '150 g buttercream', candidates }).made[0]!.uses).toMatchObject([{ id: 'iced', takes: 300, scale: 0.5 }])
    expect(ask({ text: '150 g ganache', candidates }).made[0]!.uses).toEqual([])
  })

  it('reads several things in one breath, and says what it could not read', () => {
    const found = ask({ text: 'half a can of condensed milk and 2 egg yolks, hope' })
    expect(found.leftovers.map((l) => l.ingredient)).toEqual(['condensed-milk', 'egg-yolk'])
    expect(found.unread).toEqual(['hope'])
    expect(() => ask({})).toThrow(/what is left over/)
  })
})
