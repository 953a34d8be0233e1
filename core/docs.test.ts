import { describe, expect, it } from 'vitest'
import { BANDED, CAKE_FAMILIES, FAMILIES } from './balance/families'
import { TOLERANCE } from './balance/findings'
import { SUGAR_EFFECT } from './balance/sugar'
import { PANTRY } from './pantry/pantry'
import { CHANGES, SCHOOLS } from './swaps/schools'

const table = (head: string[], rows: (string | number)[][]): string =>
  [head, head.map(() => '---'), ...rows].map((r) => `| ${r.join(' | ')} |`).join('\n')

/** Tables of the model for the reader, written from the data itself: `npx vitest run core/docs.test.ts -u` renews them. */
describe('the tables in docs/ say what the code says', () => {
  it('bands and tolerances by family', async () => {
    const rows = CAKE_FAMILIES.map((f) => [
      `\`${f}\``,
      ...BANDED.map((k) => {
        const b = FAMILIES[f].bands[k]
        return b ? `${b.low}–${b.high}` : ''
      }),
      `${Math.round(FAMILIES[f].bakeLoss * 100)} %`,
    ])
    const text = [
      '# Bands by family',
      '',
      'Written from `core/balance/families.ts`; sources and reasons stand beside each number there and in `docs/model.md`.',
      '',
      table(['family', ...BANDED, 'bake loss'], rows),
      '',
      '## One tolerance',
      '',
      table(
        ['ratio', 'tolerance'],
        BANDED.map((k) => [k, TOLERANCE[k]]),
      ),
      '',
      '## What a gram of each sugar does against a gram of sucrose',
      '',
      table(
        ['sugar', 'on starch', 'sweetness', 'browning', 'kcal/g'],
        Object.entries(SUGAR_EFFECT).map(([s, e]) => [s, e.starch, e.sweet, e.reducing, e.kcal]),
      ),
      '',
    ].join('\n')
    await expect(text).toMatchFileSnapshot('../docs/tables/bands.md')
  })

  it('schools with what they bring and whose practice it is', async () => {
    const rows = SCHOOLS.map((s) => [
      `\`${s.id}\``,
      s.title,
      s.brings.map((b) => `${b.any[0]} ${b.per.join(' / ')}`).join('; '),
      s.cannot,
      s.source,
    ])
    const text = [
      '# Schools',
      '',
      'Grams per unit replaced (per egg for egg schools): least, usual, most.',
      '',
      table(['id', 'school', 'brings', 'cannot', 'source'], rows),
      '',
      '## Schools that change by degree',
      '',
      table(
        ['id', 'what', 'school', 'cannot', 'source'],
        Object.entries(CHANGES).flatMap(([what, all]) => all.map((c) => [`\`${c.id}\``, what, c.title, c.cannot, c.source])),
      ),
      '',
    ].join('\n')
    await expect(text).toMatchFileSnapshot('../docs/tables/schools.md')
  })

  it('every ingredient with its source', async () => {
    const rows = PANTRY.map((i) => [
      `\`${i.id}\``,
      i.names[0]!,
      i.per100.water ?? 0,
      i.waterDemand ?? 0,
      (i.contains ?? []).join(', '),
      (i.labels ?? []).join(', '),
      i.source,
    ])
    const text = [
      `# Pantry`,
      '',
      table(['id', 'name', 'water, g/100 g', 'water demand, g/g', 'contains', 'some brands hold', 'source'], rows),
      '',
    ].join('\n')
    await expect(text).toMatchFileSnapshot('../docs/tables/pantry.md')
  })
})
