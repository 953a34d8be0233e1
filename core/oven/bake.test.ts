import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CAKE_FAMILIES } from '../balance/families'
import { BAKES, type OrdinaryBake } from '../fixtures/bakes'
import { readTin } from '../language/tin'
import { bake, celsiusAt, type BakeSetup } from './bake'
import { usualBatter } from './batter'
import { predictBake } from './predict'

const COARSE = { grid: { columns: 5, rows: 8 }, stepS: 20 }
const tinOf = (text: string, height?: number) => {
  const tin = readTin(text)!
  return height ? { ...tin, mm: { ...tin.mm, height } } : tin
}
const setup = (b: OrdinaryBake, more: Partial<BakeSetup> = {}): BakeSetup => ({
  batter: usualBatter(b.family, b.grams),
  tin: tinOf(b.tin, b.heightMm),
  oven: { celsius: b.celsius, mode: b.mode ?? 'static' },
  wrapping: { lined: true },
  startC: 20,
  altitudeM: 0,
  ...more,
})
const plain = (grams: number, tin: string, celsius = 180, more: Partial<BakeSetup> = {}): BakeSetup => ({
  ...setup({ what: '', family: 'butter-layer', grams, tin, celsius, usual: [0, 0] }),
  ...COARSE,
  ...more,
})
const minutes = (s: BakeSetup) => bake(s).doneAt!

describe('ordinary bakes', () => {
  const rows = BAKES.map((b) => {
    const found = predictBake(setup(b))
    const usual = (b.usual[0] + b.usual[1]) / 2
    return { b, found, error: found.minutes!.best / usual - 1 }
  })

  it('take about as long as they usually do: median error 10 % or better, none past 30 %', () => {
    const errors = rows.map((r) => Math.abs(r.error)).sort((x, y) => x - y)
    expect(errors[Math.floor(errors.length / 2)]).toBeLessThanOrEqual(0.1)
    expect(errors.at(-1)).toBeLessThan(0.3)
  })

  it('lose 6 to 14 % of their mass, set cakes without crumb less', () => {
    for (const { b, found } of rows)
      if (!['flourless-chocolate', 'cheesecake'].includes(b.family)) {
        expect(found.waterLossPct, b.what).toBeGreaterThanOrEqual(6)
        expect(found.waterLossPct, b.what).toBeLessThanOrEqual(14)
      }
  })

  it('are tabled', async () => {
    const cells = rows.map(({ b, found, error }) =>
      [
        b.what,
        `${b.grams} g in ${b.tin}${b.heightMm ? `, ${b.heightMm} mm deep` : ''}`,
        `${b.celsius} °C${b.mode === 'waterbath' ? ', water bath' : ''}`,
        `${b.usual[0]}–${b.usual[1]}`,
        `${found.minutes!.low}–**${Math.round(found.minutes!.best)}**–${found.minutes!.high}`,
        `${error > 0 ? '+' : '−'}${Math.abs(Math.round(100 * error))} %`,
        found.firstLook,
        `${Math.round(found.waterLossPct)} %`,
        found.browningWords,
      ].join(' | '),
    )
    await expect(
      `# Ordinary bakes\n\nWritten by \`core/oven/bake.test.ts\`: what the simulation says of ordinary bakes against the minutes that are usual for them\n(\`core/fixtures/bakes.ts\`; general knowledge). Error against the middle of the usual window.\n\n| bake | batter and tin | oven | usual min | low–best–high | error | first look | loss | top |\n|---|---|---|---|---|---|---|---|---|\n${cells.map((c) => `| ${c} |`).join('\n')}\n`,
    ).toMatchFileSnapshot('../../docs/tables/bakes.md')
  })

  it('close their sums: heat in is heat found, to a thousandth', () => {
    for (const b of BAKES) expect(bake({ ...setup(b), ...COARSE }).energyError, b.what).toBeLessThan(0.001)
    for (const material of ['glass', 'silicone', 'dark'] as const)
      expect(bake(plain(500, '20 cm round', 180, { tin: { ...tinOf('20 cm round'), material } })).energyError).toBeLessThan(0.001)
  })
})

describe('what every baker knows', () => {
  it('deeper never bakes sooner, in any family', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CAKE_FAMILIES.filter((f) => !['crepe', 'custard'].includes(f))),
        fc.integer({ min: 300, max: 700 }),
        fc.integer({ min: 10, max: 300 }),
        (family, grams, more) => {
          const of = (g: number) => minutes({ ...plain(g, '20 cm round', 175), batter: usualBatter(family, g) })
          expect(of(grams + more)).toBeGreaterThan(of(grams) - 0.05)
        },
      ),
      { numRuns: 25 },
    )
  })

  it('hotter is never later, nor is a fan', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 200 }),
        fc.integer({ min: 2, max: 25 }),
        fc.constantFrom('20 cm round', '900 g loaf', '12 cupcakes', '25 cm fluted'),
        (celsius, more, tin) => {
          const grams = tin === '12 cupcakes' ? 60 : tin === '25 cm fluted' ? 1400 : 700
          expect(minutes(plain(grams, tin, celsius + more))).toBeLessThan(minutes(plain(grams, tin, celsius)) + 0.05)
          expect(minutes(plain(grams, tin, celsius, { oven: { celsius, mode: 'fan' } }))).toBeLessThan(minutes(plain(grams, tin, celsius)))
        },
      ),
      { numRuns: 20 },
    )
  })

  it('two half-deep tins are quicker than one, cold batter slower than warm', () => {
    expect(minutes(plain(400, '20 cm round'))).toBeLessThan(0.8 * minutes(plain(800, '20 cm round')))
    expect(minutes(plain(500, '20 cm round', 180, { startC: 5 }))).toBeGreaterThan(minutes(plain(500, '20 cm round', 180, { startC: 25 })))
  })

  it('dark tins hurry, thick ones dawdle, strips and foil slow, a bath is gentle', () => {
    const of = (more: Partial<BakeSetup>) => bake(plain(700, '20 cm round', 170, more))
    const tin = tinOf('20 cm round')
    const bright = of({})
    expect(of({ tin: { ...tin, material: 'dark' } }).doneAt!).toBeLessThan(bright.doneAt!)
    expect(of({ tin: { ...tin, material: 'silicone' } }).doneAt!).toBeGreaterThan(of({ tin: { ...tin, material: 'dark' } }).doneAt!)
    expect(of({ wrapping: { lined: true, strips: true } }).edgeEarly).toBeLessThan(bright.edgeEarly)
    expect(of({ wrapping: { lined: true, foil: true } }).colour).toBeLessThan(bright.colour)
    const cheesecake = (mode: 'static' | 'waterbath') =>
      bake({ ...plain(1500, '23 cm round', 160, { oven: { celsius: 160, mode } }), batter: usualBatter('cheesecake', 1500) })
    expect(cheesecake('waterbath').doneAt!).toBeGreaterThan(cheesecake('static').doneAt!)
    expect(cheesecake('waterbath').edgeEarly / cheesecake('waterbath').doneAt!).toBeLessThan(0.95)
  })

  it('high up, done is cooler and more is lost', () => {
    const sea = predictBake(plain(500, '20 cm round'))
    const high = predictBake(plain(500, '20 cm round', 180, { altitudeM: 2000 }))
    expect(high.doneC).toBeLessThan(sea.doneC)
    expect(high.heightMm).toBeGreaterThan(sea.heightMm)
    expect(high.notes.map((n) => n.code)).toContain('altitude')
  })

  it('stages follow one another, and the last goes on', () => {
    const oven = {
      celsius: 200,
      mode: 'static' as const,
      stages: [
        { celsius: 220, minutes: 10 },
        { celsius: 160, minutes: 20 },
      ],
    }
    expect(celsiusAt(oven, 9.9) - celsiusAt(oven, 10.1)).toBeGreaterThan(50)
    expect(celsiusAt(oven, 100)).toBeCloseTo(160, 1)
  })

  it('an oven that is too cool is said to be', () => {
    const cool = predictBake(plain(900, '20 cm round', 90))
    expect(cool.minutes).toBeNull()
    expect(cool.notes[0]!.code).toBe('never-done')
  })

  it('a window holds its best guess, and the first look comes before it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...BAKES), (b) => {
        const p = predictBake({ ...setup(b), ...COARSE })
        expect(p.minutes!.low).toBeLessThanOrEqual(p.minutes!.best)
        expect(p.minutes!.high).toBeGreaterThanOrEqual(p.minutes!.best)
        expect(p.firstLook!).toBeLessThanOrEqual(p.minutes!.low)
      }),
      { numRuns: 21 },
    )
  })

  it('with steam and swelling off it is plain conduction: nothing is lost, nothing rises', () => {
    const still = bake(plain(500, '20 cm round', 180, { evaporation: false, expansion: false }))
    expect(still.lost).toBe(0)
    expect(still.curve.at(-1)!.height).toBeCloseTo(still.curve[0]!.height, 6)
  })
})
