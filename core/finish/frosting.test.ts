import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import { SOUND_FROSTINGS, SPOILED_FROSTINGS, type Frosting } from '../fixtures/frostings'
import { HARD_NEEDS, suits } from '../pantry/ingredient'
import { need } from '../pantry/pantry'
import type { Dose } from '../balance/mass'
import { firmnessOf, FOR_USE, USES } from './firmness'
import { FORMULAS } from './formulas'
import { phasesOf } from './phases'
import { TROUBLES } from './rescue'
import { solidShare } from './solid-fat'

const read = ({ text, region, use, roomC }: Frosting, more: object = {}) => answer('frosting', { text, region, use, roomC, ...more })
const dosesOf = (f: Frosting): Dose[] =>
  answer('parse', { text: f.text, region: f.region }).recipe.parts.flatMap((p) =>
    p.lines.flatMap((l) => (l.ingredient ? [{ ingredient: l.ingredient, grams: l.grams.best }] : [])),
  )

describe('frostings', () => {
  it.each(SOUND_FROSTINGS.map((f) => [f.name, f] as const))('%s is sound for its use', (_, f) => {
    const a = read(f)
    expect(
      a.findings.filter((x) => x.severity !== 'note'),
      `${a.family} ${a.firmness.score}`,
    ).toEqual([])
    if (f.family) expect(a.family).toBe(f.family)
    expect(a.nextSpoon.length).toBeGreaterThan(0)
  })

  it.each(SPOILED_FROSTINGS.map((f) => [f.name, f] as const))('%s is found out', (_, f) => {
    const a = read(f)
    const loud = a.findings.filter((x) => x.severity !== 'note').map((x) => x.code)
    expect(
      loud.some((c) => f.found.includes(c)),
      `${loud.join()} ${a.family} ${a.firmness.score}`,
    ).toBe(true)
  })
})

describe('the table in docs/', () => {
  it('says what the model says', async () => {
    const row = (f: Frosting) => {
      const a = read(f)
      const found = a.findings.filter((x) => x.severity !== 'note').map((x) => x.code)
      return `| ${f.name} | ${f.use}, ${f.roomC} °C | ${a.family} | ${a.firmness.score.toFixed(1)}, ${a.firmness.class} | ${found.join(', ') || 'sound'} |`
    }
    const head = ['| frosting | for | read as | firmness | found |', '|---|---|---|---|---|']
    const text = [
      '# Classic frostings and fillings',
      '',
      ...head,
      ...SOUND_FROSTINGS.map(row),
      '',
      '## Spoiled on purpose',
      '',
      ...head,
      ...SPOILED_FROSTINGS.map(row),
      '',
    ]
    await expect(text.join('\n')).toMatchFileSnapshot('../../docs/tables/frostings.md')
  })
})

describe('what every baker knows of frosting', () => {
  const butterIcing = SOUND_FROSTINGS[0]!

  it('warmer is never firmer, in any of them', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SOUND_FROSTINGS), fc.integer({ min: 5, max: 35 }), fc.integer({ min: 1, max: 8 }), (f, c, more) => {
        const doses = dosesOf(f)
        const at = (x: number) => firmnessOf(phasesOf(doses, x), x)
        expect(at(c + more)).toBeLessThanOrEqual(at(c) + 1e-9)
      }),
    )
  })

  it('more icing sugar stiffens, more liquid loosens', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 120 }), fc.integer({ min: 5, max: 40 }), (sugar, milk) => {
        const doses = dosesOf(butterIcing)
        const score = (extra: Dose[]) => firmnessOf(phasesOf([...doses, ...extra], 20), 20)
        expect(score([{ ingredient: 'sugar-icing', grams: sugar }])).toBeGreaterThan(score([]))
        expect(score([{ ingredient: 'milk-whole', grams: milk }])).toBeLessThan(score([]))
      }),
    )
  })

  it('coconut oil is hard at 15 and gone at 27, shortening outlasts butter', () => {
    expect(solidShare(need('oil-coconut'), 15)).toBeGreaterThan(0.6)
    expect(solidShare(need('oil-coconut'), 27)).toBe(0)
    expect(solidShare(need('shortening'), 30)).toBeGreaterThan(solidShare(need('butter-unsalted'), 30))
    expect(solidShare(need('oil-vegetable'), 5)).toBe(0)
  })
})

describe('made up from nothing', () => {
  it('meets the needs, the grams and the use, wherever there is such a frosting', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(FORMULAS)),
        fc.subarray([...HARD_NEEDS]),
        fc.integer({ min: 150, max: 2000 }),
        fc.constantFrom('spread', 'pipe', 'fill'),
        (kind, goals, grams, use) => {
          const a = answer('frosting', { kind, goals, grams, use, roomC: 20, region: 'uk' })
          const lines = a.recipe.parts[0]!.lines
          for (const l of lines)
            for (const g of goals) expect(suits(need(l.ingredient!), g), `${kind} ${g} ${l.ingredient}`).not.toBe('never')
          // What a fruit filling weighs is counted when it has boiled down.
          const made = a.reduction?.to ?? lines.reduce((s, l) => s + l.grams.best, 0)
          expect(Math.abs(made / grams - 1), `${kind} ${made}`).toBeLessThan(0.02)
          if (!['glaze', 'whipped-cream', 'jam', 'compote'].includes(kind))
            expect(
              a.findings.filter((x) => x.severity === 'fault'),
              `${kind} ${use} ${goals.join()} ${a.firmness.score}`,
            ).toEqual([])
        },
      ),
      { numRuns: 150 },
    )
  })

  it('pipeable and vegan in a warm kitchen takes a fat that stands it', () => {
    const a = answer('frosting', { kind: 'butter-icing', goals: ['vegan'], use: 'pipe', roomC: 28, grams: 500 })
    expect(a.findings.filter((x) => x.severity === 'fault')).toEqual([])
    expect(a.firmness.score).toBeGreaterThan(FOR_USE.pipe[0])
  })

  it('ganache follows its use: more chocolate to roll than to spread; one to one pours when it is warm', () => {
    const chocolate = (use: string) => answer('frosting', { kind: 'ganache', use, grams: 600 }).recipe.parts[0]!.lines[0]!.grams.best
    expect(chocolate('roll')).toBeGreaterThan(chocolate('spread'))
    expect(chocolate('spread')).toBeGreaterThanOrEqual(chocolate('pour'))
    const poured = answer('frosting', { text: 'Ganache\n200 g dark chocolate\n200 g double cream', use: 'pour', roomC: 20 })
    expect(poured.firmness.atC).toBe(32)
    expect(poured.notes.join(' ')).toMatch(/32 °C/)
    expect(
      answer('frosting', { text: 'Ganache\n200 g dark chocolate\n200 g double cream', use: 'spread', roomC: 20 }).firmness.atC,
    ).toBeUndefined()
  })
})

describe('the baker’s own, for other needs', () => {
  it('never breaks a need and keeps its firmness in what the use allows', () => {
    for (const f of SOUND_FROSTINGS.filter((x) => !/Swiss|Mascarpone|Peanut/.test(x.name)))
      for (const goal of ['vegan', 'dairy-free'] as const) {
        const a = read(f, { goals: [goal] })
        for (const l of a.recipe.parts.flatMap((p) => p.lines))
          expect(suits(need(l.ingredient!), goal), `${f.name} ${l.ingredient}`).not.toBe('never')
        expect(
          a.findings.filter((x) => x.severity === 'fault'),
          `${f.name} ${a.firmness.score}`,
        ).toEqual([])
      }
  })
})

describe('the rescue desk', () => {
  it('has steps with something to expect for every trouble of every frosting, and none breaks a need', () => {
    for (const f of [...SOUND_FROSTINGS, ...SPOILED_FROSTINGS])
      for (const trouble of TROUBLES) {
        const steps = answer('frosting', { text: f.text, region: f.region, use: f.use, roomC: f.roomC, trouble }).rescue!
        expect(steps.length, `${f.name} ${trouble}`).toBeGreaterThan(0)
        for (const s of steps) expect(s.expect.length).toBeGreaterThan(5)
      }
    const steps = answer('frosting', { kind: 'butter-icing', goals: ['vegan'], use: 'pipe', trouble: 'split' }).rescue!
    for (const s of steps) if (s.ingredient) expect(suits(need(s.ingredient), 'vegan')).not.toBe('never')
  })

  it('a bowl without dairy gets none, and overbeaten cream is not melted', () => {
    const vegan = 'Icing\n200 g vegan baking block\n300 g icing sugar\n120 ml oat milk'
    for (const trouble of TROUBLES)
      for (const s of answer('frosting', { text: vegan, use: 'pipe', trouble }).rescue!)
        if (s.ingredient) expect(suits(need(s.ingredient), 'vegan'), s.step).not.toBe('never')
    const cream = answer('frosting', {
      text: 'Cream\n300 ml double cream\n25 g icing sugar',
      use: 'spread',
      region: 'uk',
      trouble: 'split',
    })
    expect(cream.rescue!.map((s) => s.step).join(' ')).not.toMatch(/melt|warm/)
  })

  it.each([
    ['runny', '200 g butter\n300 g icing sugar\n90 ml milk'],
    ['runny', '250 g butter\n200 g icing sugar\n2 tbsp milk'],
    ['stiff', '100 g butter\n450 g icing sugar\n1 tbsp milk'],
  ] as const)('what it adds to a %s bowl moves it to its use, by amounts a baker would accept', (trouble, lines) => {
    const text = `Icing\n${lines}`
    const before = answer('frosting', { text, region: 'uk', use: 'pipe', trouble })
    const added = before.rescue!.filter((s) => s.grams)
    expect(added.length).toBeGreaterThan(0)
    const total = before.recipe.parts[0]!.lines.reduce((g, l) => g + l.grams.best, 0)
    for (const s of added) expect(s.grams!).toBeLessThan(0.61 * total)
    const after = answer('frosting', {
      text: `${text}\n${added.map((s) => `${s.grams} g ${need(s.ingredient!).names[0]}`).join('\n')}`,
      region: 'uk',
      use: 'pipe',
    })
    expect(after.firmness.score).toBeGreaterThanOrEqual(FOR_USE.pipe[0] - 0.2)
    expect(after.firmness.score).toBeLessThanOrEqual(FOR_USE.pipe[1] + 0.2)
  })

  it.each(SPOILED_FROSTINGS.map((f) => [f.name, f] as const))('%s ends inside its use, or is told that it must keep cold', (_, f) => {
    const loud = (a: ReturnType<typeof read>) => a.findings.filter((x) => x.severity !== 'note').map((x) => x.code)
    const codes = loud(read(f))
    const trouble = codes.includes('runny') ? 'runny' : codes.includes('stiff') ? 'stiff' : codes.includes('grainy') ? 'grainy' : 'split'
    const rescue = read(f, { trouble }).rescue!
    const added = rescue.filter((s) => s.grams)
    const after = read({ ...f, text: `${f.text}\n${added.map((s) => `${s.grams} g ${need(s.ingredient!).names[0]}`).join('\n')}` })
    if (codes.includes('melts') || f.roomC > 27)
      return void expect(rescue.map((s) => s.step).join(' ')).toMatch(/cold until they are served/)
    expect(loud(after).filter((c) => c !== 'grainy')).toEqual([])
  })

  it('knows every use', () => {
    for (const use of USES) expect(answer('frosting', { kind: 'ganache', use }).use).toBe(use)
  })
})
