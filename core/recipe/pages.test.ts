import { readGiven } from '../method/given'
import { readMethod } from '../method/read'
import { unknownLines } from './unknown'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TRUE_PAGES, type TrueLine, type TruePage } from '../fixtures/pages'
import { readRecipe } from './text'

/** How a page sets out its list, its headings, its steps, and what else stands on it. */
type Setting = (p: TruePage) => string

const list = (p: TruePage, head: (name: string) => string, line: (l: TrueLine, i: number) => string) =>
  p.parts.map((part) => [...(p.parts.length > 1 ? [head(part.name)] : []), ...part.lines.map(line)].join('\n')).join('\n\n')
const plain = (l: TrueLine) => `${l.amount} ${l.name}`
const numbered = (p: TruePage, mark: (n: number) => string) => p.steps.map((s, i) => `${mark(i + 1)}${s}`).join('\n')
const blog = (p: TruePage, body: string) =>
  `${p.title}\n\n★★★★☆ 4.7 from 83 reviews\nJump to Recipe · Print Recipe · Pin\n\nThere is nothing like it on a wet Sunday, and my neighbours ask for it every time.\n\nADVERTISEMENT\n\nPrep Time: 20 mins | Servings: 12\n\n${body}\n\nNotes\nIt keeps for three days in a tin, if you let it.\n\nCalories: 412 kcal | Fat: 18 g | Sodium: 211 mg\n\nComments (2)\nMarta says: I used half the sugar and it was fine.\nReply`

const SETTINGS: Record<string, Setting> = {
  'a plain list': (p) => `${p.title}\n\n${list(p, (n) => `${n}:`, plain)}\n\nMethod:\n${p.steps.join('\n')}`,
  'a site’s furniture above the title': (p) =>
    `Skip to recipe   ★★★★★ 4.8 (312)  Save  Print\n${p.title}\n12 Mar · Jump to comments\n\nPREP 20 min | COOK 45 min\n\nINGREDIENTS   1x 2x 3x\n${list(
      p,
      (n) => n.toUpperCase(),
      (l) => `▢ ${plain(l)}`,
    )}\n\nMETHOD\n${numbered(p, (n) => `${n}. `)}\n\nDid you make this? Tag us!`,
  'bullets and numbered steps': (p) =>
    `${p.title}\n\nIngredients\n${list(
      p,
      (n) => `For the ${n.toLowerCase()}`,
      (l) => `- ${plain(l)}`,
    )}\n\nMethod\n${numbered(p, (n) => `${n}. `)}`,
  'check-boxes and steps with their word': (p) =>
    `${p.title}\n\n${list(
      p,
      (n) => `${n.toUpperCase()}`,
      (l) => `▢ ${plain(l)}`,
    )}\n\nInstructions\n${numbered(p, (n) => `Step ${n}: `)}`,
  'numbers without dots': (p) =>
    `${p.title}\n${list(p, (n) => `FOR THE ${n.toUpperCase()}`, plain)}\nMethod\n${numbered(p, (n) => `${n} `)}`,
  leaders: (p) =>
    `${p.title}\n\n${list(
      p,
      (n) => `${n}:`,
      (l) => `${l.name} .......... ${l.amount}`,
    )}\n\n${p.steps.join(' ')}`,
  'amounts behind a dash': (p) =>
    `${p.title}\n\n${list(
      p,
      (n) => `${n} -`,
      (l) => `${l.name} – ${l.amount}`,
    )}\n\nHow to make:\n${numbered(p, (n) => `${n}) `)}`,
  tabs: (p) =>
    `${p.title}\n\n${list(
      p,
      (n) => n.toUpperCase(),
      (l) => `${l.name}\t${l.amount}`,
    )}\n\nPREPARATION\n${p.steps.join('\n')}`,
  'a table with bars': (p) =>
    `${p.title}\n\n${list(
      p,
      (n) => `### ${n}`,
      (l) => `| ${l.name} | ${l.amount} |`,
    )}\n\n### Method\n${numbered(p, (n) => `${n}. `)}`,
  markdown: (p) =>
    `# ${p.title}\n\n## Ingredients\n${list(
      p,
      (n) => `### ${n}`,
      (l) => `* ${plain(l)}`,
    )}\n\n## Method\n${numbered(p, (n) => `${n}. `)}`,
  'stars and a paragraph': (p) =>
    `${p.title}\n\n${list(
      p,
      (n) => `**${n}**`,
      (l) => `* ${plain(l)}`,
    )}\n\n${p.steps.join(' ')}`,
  'amounts above their names': (p) =>
    `${p.title}\n\n${list(
      p,
      (n) => `${n}:`,
      (l) => `${l.amount}\n${l.name}`,
    )}\n\nMethod:\n${numbered(p, (n) => `${n}. `)}`,
  emoji: (p) =>
    `${p.title} 🎂🎂\n\n${list(
      p,
      (n) => `🥣 ${n}:`,
      (l) => `🔸 ${plain(l)}`,
    )}\n\nDirections:\n${p.steps.map((s) => `👉 ${s}`).join('\n')}`,
  'a list on one line': (p) =>
    `${p.title}\n\n${p.parts.map((part) => `${p.parts.length > 1 ? `${part.name}: ` : 'Ingredients: '}${part.lines.map(plain).join('; ')}.`).join('\n')}\n\nMethod: ${p.steps.join(' ')}`,
  'a page with all that stands on pages': (p) =>
    blog(
      p,
      `Ingredients\n\n${list(
        p,
        (n) => `For the ${n}`,
        (l) => `▢ ${plain(l)}`,
      )}\n\nInstructions\n${numbered(p, (n) => `${n}. `)}`,
    ),
  'a saved page with tags': (p) =>
    `<b>${p.title}</b>\n\n${list(
      p,
      (n) => `<strong>${n}</strong>:`,
      (l) => `<li>${plain(l)}</li>`,
    )}\n\nMethod\n${p.steps.map((s) => `<p>${s}</p>`).join('\n')}`,
  'a chat': (p) =>
    `${p.title}\nso many of you asked!! here it is 😊\n\n${list(
      p,
      (n) => `${n.toLowerCase()}::`,
      (l) => plain(l).toLowerCase(),
    )}\n\n${p.steps.join('\n')}`,
}

const pages = TRUE_PAGES.flatMap((page) =>
  Object.entries(SETTINGS).map(([setting, write]) => [`${page.title}, ${setting}`, page, write(page)] as const),
)

function mistakes(page: TruePage, text: string): string[] {
  const { recipe } = readRecipe(text, page.region)
  const out: string[] = []
  const wanted = page.parts.flatMap((p) => p.lines)
  const lines = recipe.parts.flatMap((p) => p.lines)
  if (lines.length !== wanted.length) out.push(`${lines.length} lines, not ${wanted.length}: ${lines.map((l) => l.ingredient).join(', ')}`)
  for (const w of wanted) {
    const right = lines.some((l) => l.ingredient === w.ingredient && l.grams.best >= w.grams[0] * 0.99 && l.grams.best <= w.grams[1] * 1.01)
    if (!right)
      out.push(
        `${w.amount} ${w.name}: ${
          lines
            .filter((l) => l.ingredient === w.ingredient)
            .map((l) => l.grams.best.toFixed(1))
            .join(', ') || 'not read'
        }`,
      )
  }
  const [first] = recipe.oven
  if (!first || Math.abs(first.celsius - page.celsius) > 3) out.push(`oven ${first?.celsius}, not ${page.celsius}`)
  if (first?.minutes?.join() !== page.minutes.join()) out.push(`minutes ${first?.minutes?.join()}, not ${page.minutes.join()}`)
  const tin = recipe.tins[0]
  if (tin?.shape !== page.tin.shape || tin.count !== page.tin.count) out.push(`tin ${tin?.shape} × ${tin?.count}`)
  if (page.parts.length > 1)
    for (const p of page.parts)
      if (!recipe.parts.some((q) => q.role === p.role))
        out.push(`no ${p.role}: ${recipe.parts.map((q) => `${q.name}=${q.role}`).join(', ')}`)
  if (!recipe.method.length) out.push('no steps')
  return out
}

describe('one recipe in many layouts', () => {
  it('there are at least 120 of them', () => expect(pages.length).toBeGreaterThanOrEqual(120))

  it.each(pages)('%s reads back the same', (_, page, text) => {
    expect(mistakes(page, text), text).toEqual([])
  })
})

describe('what stands around a recipe', () => {
  const CLUTTER = [
    'ADVERTISEMENT',
    'Jump to Recipe',
    'Print',
    '★★★★★ 4.9 from 12 votes',
    'Save recipe    Print    Share',
    'Pin it for later',
    'We use cookies. Accept all',
  ]
  it('clutter above and below changes nothing of what is read', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TRUE_PAGES),
        fc.array(fc.constantFrom(...CLUTTER), { maxLength: 4 }),
        fc.array(fc.constantFrom(...CLUTTER), { maxLength: 4 }),
        (page, above, below) => {
          const text = SETTINGS['bullets and numbered steps']!(page)
          const [title, ...rest] = text.split('\n')
          const clean = readRecipe(text, page.region).recipe
          const read = readRecipe([title, ...above, ...rest, ...below].join('\n'), page.region).recipe
          expect(read.parts).toEqual(clean.parts)
          expect(read.method).toEqual(clean.method)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('every line of the page is accounted for', () => {
    for (const [, page, text] of pages) {
      const { page: seen } = readRecipe(text, page.region)
      expect(seen!.map((l) => l.text)).toEqual(
        text
          .split('\n')
          .map((x) => x.trim())
          .filter(Boolean),
      )
    }
  })

  it('a row that strings whole ingredients is as many rows, under its label', () => {
    const { recipe } = readGiven(
      'Tray cake\n[dry] plain flour 190 g // salt ¼ tsp\n[wet] 2 eggs // caster sugar 160 g // sunflower oil 110 ml',
      'uk',
    )
    const ids = recipe.parts.flatMap((p) => p.lines.map((l) => l.ingredient))
    expect(ids).toEqual(['flour-plain', 'salt', 'egg-whole', 'sugar-white', 'oil-vegetable'])
  })

  it('a food with an allergen that was lost from a row is never vouched for', () => {
    const { recipe } = readGiven('Tray cake\n200 g sugar\n100 g plain flour', 'uk')
    const line = recipe.parts[0]!.lines[0]!
    line.text = '200 g sugar and 2 eggs'
    expect(unknownLines(recipe).map((u) => u.text)).toEqual([line.text])
  })
})

describe('what pages do with amounts', () => {
  const grams = (text: string) =>
    Object.fromEntries(
      readGiven(text, 'uk').recipe.parts.map((p) => [
        p.name,
        Object.fromEntries(p.lines.map((l) => [l.ingredient, Math.round(l.grams.best)])),
      ]),
    )

  it('a formula with per cents beside its grams is read by its grams', () => {
    const formula = `Lemon pound
                    %       g
Cake flour        100     900
Sugar             105     945
Butter             95     855
Whole eggs        100     900

1. Cream the butter and sugar. Add the eggs, then the flour. Bake at 165C for 55 min.`
    expect(grams(formula)).toEqual({ Cake: { 'flour-cake': 900, 'sugar-white': 945, 'butter-unsalted': 855, 'egg-whole': 900 } })
  })

  it('each of several fruits and juices in a row keeps its own count', () => {
    const row =
      'Tart\nDough\n200 g flour\n100 g butter\nOn top\n4 apples, juice of half a lemon, 1 tbsp apricot jam\n\nBake for 40 minutes.'
    expect(grams(row)['On top']).toEqual({ apple: 600, 'lemon-juice': 23, jam: 20 })
    const again = 'Cake\n200 g flour\nzest of 2 lemons, juice of 1\n\nMix and bake.'
    expect(grams(again)).toEqual({ Cake: { 'flour-plain': 200, zest: 10, 'lemon-juice': 45 } })
  })

  it('an icing told in a sentence under its own name is an icing', () => {
    const box =
      'Box cake\n1 box spice cake mix (432 g)\n1 can pumpkin puree (425 g)\n2 eggs\n80 ml water\nBeat all 2 min. Bake in a 9x13 pan at 180 C for 30 min.\nFrosting: 225 g cream cheese, 115 g butter, 350 g icing sugar. Beat until smooth, frost the cooled cake.'
    expect(grams(box).Frosting).toEqual({ 'cream-cheese': 225, 'butter-unsalted': 115, 'sugar-icing': 350 })
  })

  it('a row between bars is as many rows, and what nobody knows is asked for', () => {
    const row =
      'Stout cake\n250ml Blackwater | 250g unsalted butter | 75g cocoa | 400g caster sugar | 275g plain flour\n\nMelt, mix and bake.'
    const { recipe, questions } = readGiven(row, 'uk')
    expect(recipe.parts[0]!.lines.map((l) => [l.ingredient, Math.round(l.grams.best)])).toEqual([
      [null, 200],
      ['butter-unsalted', 250],
      ['cocoa-natural', 75],
      ['sugar-white', 400],
      ['flour-plain', 275],
    ])
    expect(questions.map((q) => q.message).join(' ')).toMatch(/Blackwater/)
  })

  it('what another part makes is no food of its own, and nobody is asked about it', () => {
    const drip =
      'Drip cake\nSponge\n200 g butter\n200 g sugar\n4 eggs\n200 g flour\n\nCaramel\n200 g sugar\n90 g butter\n120 ml double cream\n\nButtercream\n300 g butter\n600 g icing sugar\n4 tbsp of the caramel\n\nMethod\nBake it.'
    const { recipe, questions, unknown } = readGiven(drip, 'uk')
    const line = recipe.parts[2]!.lines[2]!
    expect([line.ingredient, line.made, line.grams.best]).toEqual([null, 'Caramel', 0])
    expect([...questions.filter((q) => q.about !== 'size'), ...(unknown ?? [])]).toEqual([])
    // Without such a part it is bought.
    expect(readGiven('Icing\n300 g butter\n4 tbsp of the caramel\n\nBeat.', 'uk').recipe.parts[0]!.lines[1]!.made).toBeUndefined()
  })

  it('stages: what is done under a heading is done with what stands under it', () => {
    const stages = `Gooseberry & custard slab

Stage A — custard (do this the night before)
   custard powder ........ 3 level tbsp
   milk .................. 300 ml
Blend the powder with a splash of the milk; boil the rest and whisk it on.

Stage B — sponge
   soft butter ........... 200 g
   caster sugar .......... 200 g
   eggs .................. 4
   S.R. flour ............ 225 g
Beat the lot for two minutes.

Stage C — gooseberries
   gooseberries .......... 350 g
Half the sponge in the tin, blobs of the custard, the rest of the sponge, gooseberries on top.

45-50 mins till risen and brown.`
    const { recipe } = readGiven(stages, 'uk')
    expect(recipe.parts.map((p) => [p.name, p.lines.length])).toEqual([
      ['Custard', 2],
      ['Sponge', 4],
      ['Gooseberries', 1],
    ])
    const clauses = readMethod(recipe, 'uk').steps.flatMap((s) => s.clauses)
    expect(clauses.find((c) => c.things.some((t) => 'group' in t))?.part).toBe(1)
    expect(clauses.findLast((c) => c.minutes)).toMatchObject({ act: 'bake', minutes: [45, 50] })
  })

  it('how long it takes to prepare is no step', () => {
    const loaf = 'Loaf\nPreparation: 15 minutes, baking 50 minutes\n200 g flour\n200 g butter\n\nBeat the butter, add the flour. Bake.'
    expect(readGiven(loaf, 'uk').recipe.method.join(' ')).not.toMatch(/15 minutes/)
  })

  it('a bracket with the size of the tin heads nothing', () => {
    expect(
      Object.keys(
        grams('Cotton cake\n(15 cm round, water bath)\n\nCream cheese 140g\nMilk 80g\nEggs 3\nCake flour 35g\n\nMelt, mix and bake.'),
      ),
    ).toEqual(['Cake'])
  })

  it('a bake told in two goes is one bake', () => {
    const loaf =
      'Loaf\n225 g flour\n3 bananas\n75 ml oil\n\nMix all. Bake in a 2 lb loaf tin at 180 C for 20 minutes. Check it.\nBake for another 20 minutes.'
    expect(readGiven(loaf, 'uk').recipe.oven.map((o) => o.minutes)).toEqual([[40, 40]])
  })
})
