import type { ChangeSchool, Mover, Rework } from '../change'

/** What boxes weighed before they shrank: 18.25 oz; old “one box” recipes mean this. */
export const OLD_BOX = 517
/** What most hold today: 15.25 oz. */
const BOX = 432

const boxIn = (r: Rework): Mover | undefined => r.movers.find((m) => m.ingredient.id.startsWith('cake-mix') && m.start > 0)
const boxes = (box: Mover): number => box.from / BOX
const those = (r: Rework, test: (m: Mover) => boolean): Mover[] => r.movers.filter((m) => m.from > 0 && m.start > 0 && test(m))
const oils = (r: Rework): Mover[] => those(r, (m) => m.ingredient.kind === 'fat')
const waters = (r: Rework): Mover[] => those(r, (m) => m.ingredient.id === 'water')
const eggs = (r: Rework): Mover[] => those(r, (m) => m.ingredient.kind === 'egg')
const sum = (ms: Mover[]): number => ms.reduce((total, m) => total + m.start, 0)

/** Milk for water, butter for oil, another yolk: the fewest things that make a box taste of a kitchen. */
function enrich(r: Rework): void {
  const milk = r.allowed(['milk-whole', 'soy-milk', 'oat-milk'])
  const water = sum(waters(r))
  if (milk && water > 0) {
    for (const w of waters(r)) r.remove(w, { code: 'richer', message: 'milk in its place' })
    r.bring(
      milk,
      water * 0.85,
      water,
      water * 1.2,
      { code: 'richer', message: 'milk for water: fuller and browner' },
      { replaces: ['water'] },
    )
  }
  const butter = r.allowed(['butter-unsalted', 'plant-butter-block'])
  const oil = those(r, (m) => m.ingredient.kind === 'fat' && m.ingredient.id.startsWith('oil-'))
  if (butter && oil.length) {
    // Butter is a sixth water: a fifth more of it for the same fat.
    const grams = sum(oil) * 1.2
    for (const o of oil) r.remove(o, { code: 'richer', message: 'butter in its place' })
    r.bring(
      butter,
      grams * 0.85,
      grams,
      grams * 1.2,
      { code: 'richer', message: 'melted butter for oil: the taste of butter' },
      { replaces: oil.map((o) => o.ingredient.id) },
    )
  }
}

export const boxRich: ChangeSchool = {
  id: 'box-rich',
  slot: 'box',
  title: 'Milk and butter in the box',
  apply(r) {
    const box = boxIn(r)
    if (!box) return false
    enrich(r)
    const yolk = r.allowed(['egg-yolk'])
    if (yolk && sum(eggs(r)) > 0)
      r.bring(yolk, 15, 18 * boxes(box), 36 * boxes(box), { code: 'richer', message: 'one yolk more: closer and richer' })
    r.tolerate('fatPct', (r.before.fatPct ?? 60) + 8)
    return true
  },
  sides: { crumb: 'Closer, richer', flavour: 'Butter', keeps: 'Three days', effort: 'Melt and cool the butter' },
  steps: [
    {
      at: 'before-mixing',
      text: 'Melt the {fat} and let it cool to lukewarm.',
      why: 'Hot butter sets the starch of the mix.',
      minutes: 10,
    },
  ],
  cannot: 'Rises a little less.',
  standing: 0,
  source: 'Common doctored-box practice: milk for water, butter for oil, an egg or yolk more',
}

export const boxPudding: ChangeSchool = {
  id: 'box-pudding',
  slot: 'box',
  title: 'Pudding packet and sour cream',
  apply(r) {
    const box = boxIn(r)
    const pudding = r.allowed(['pudding-mix-instant'])
    const sour = r.allowed(['sour-cream', 'yogurt-plain', 'soy-yogurt', 'coconut-yogurt'])
    if (!box || !pudding || !sour) return false
    const n = boxes(box)
    r.bring(pudding, 96 * n, 96 * n, 96 * n, { code: 'richer', message: 'its starch holds water cold: moist and dense' })
    r.bring(sour, 110 * n, 180 * n, 260 * n, { code: 'moisture', message: 'the water that the packet drinks, with fat and a little acid' })
    r.tolerate('fatPct', (r.before.fatPct ?? 60) + 20)
    r.tolerate('sugarPct', (r.before.sugarPct ?? 90) + 40)
    r.tolerate('sugarConcentration', 48)
    return true
  },
  sides: { crumb: 'Dense, very moist', flavour: 'Sweeter, vanilla', keeps: 'Four days', effort: 'One more packet' },
  steps: [{ at: 'after', text: 'Bake five to ten minutes longer than the box says.', why: 'It holds more water.' }],
  oven: { time: 0.2, why: 'More water to bake out.' },
  cannot: 'Sweeter, and salty with some packets.',
  standing: 0.2,
  source: 'Common doctored-box practice: a small instant packet and a cup of sour cream to a box',
}

export const boxCrumbs: ChangeSchool = {
  id: 'box-crumbs',
  slot: 'box',
  title: 'Cookie crumbs folded in',
  apply(r) {
    const box = boxIn(r)
    const crumbs = r.allowed(['sandwich-cookies', 'biscuit-crumbs', 'biscuit-crumbs-gf'])
    if (!box || !crumbs) return false
    enrich(r)
    const n = boxes(box)
    r.bring(crumbs, 90 * n, 120 * n, 160 * n, { code: 'richer', message: 'crumbs for flavour and bite; they drink, so the liquid grows' })
    r.tolerate('fatPct', (r.before.fatPct ?? 60) + 12)
    r.tolerate('sugarPct', (r.before.sugarPct ?? 90) + 25)
    return true
  },
  sides: { crumb: 'Speckled, a little denser', flavour: 'Cookies', keeps: 'Three days', effort: 'Crush them coarsely' },
  steps: [
    {
      at: 'last',
      text: 'Fold the crushed {crumbs} in with three strokes, just before the tin.',
      why: 'Stirred long they dissolve and darken the batter.',
    },
  ],
  cannot: 'Sinks with crumbs as big as a thumb nail: crush them smaller.',
  standing: 0.3,
  source: 'Common doctored-box practice: ten to twelve cookies to a box',
}

export const boxLean: ChangeSchool = {
  id: 'box-lean',
  slot: 'box',
  title: 'Nothing but the box and one thing more',
  apply(r) {
    const box = boxIn(r)
    const dark = box?.ingredient.id === 'cake-mix-chocolate'
    const one = r.allowed(dark ? ['pumpkin-puree', 'soft-drink'] : ['soft-drink', 'pumpkin-puree'])
    if (!box || !one) return false
    for (const m of [...oils(r), ...waters(r), ...eggs(r)]) r.remove(m, { code: 'lean', message: 'left out' })
    const usual = (one.id === 'soft-drink' ? 355 : 425) * boxes(box)
    r.bring(one, usual * 0.85, usual, usual * 1.15, { code: 'lean', message: 'all the moisture there is' })
    r.tolerate('fatPct', 4)
    r.tolerate('firmness', (r.before.firmness ?? 0.45) + 0.1)
    r.tolerate('setting', 0.9)
    return true
  },
  sides: { crumb: 'Springy, open', flavour: 'Sweet, plain', keeps: 'One day', effort: 'None at all' },
  steps: [
    { at: 'last', text: 'Stir the {brought} into the mix until no dry spots are left, and bake at once.', why: 'Nothing else is needed.' },
  ],
  cannot: 'No fat and no egg: it stales by the next day and crumbles warm.',
  standing: 0.6,
  source: 'Well-known two-thing cakes: a can of fizzy drink, or a can of pumpkin, to a box',
}

export const boxTopUp: ChangeSchool = {
  id: 'box-top-up',
  slot: 'box',
  title: 'Shrunken box topped up',
  apply(r) {
    const box = boxIn(r)
    const flour = r.allowed(['flour-plain', 'flour-gf-blend'])
    const sugar = r.allowed(['sugar-white'])
    const powder = r.allowed(['baking-powder'])
    if (!box || !flour || !sugar || !powder) return false
    const whole = Math.max(1, Math.round(box.from / OLD_BOX + 0.2))
    const missing = whole * OLD_BOX - box.from
    if (missing < 20) return false
    const why = { code: 'top-up', message: 'makes up the weight that boxes have lost' }
    // In the proportions of a yellow mix: half flour, not quite half sugar, 2 % leavener.
    r.bring(flour, missing * 0.5, missing * 0.52, missing * 0.54, why)
    r.bring(sugar, missing * 0.42, missing * 0.44, missing * 0.46, why)
    r.bring(powder, missing * 0.018, missing * 0.022, missing * 0.04, why)
    return true
  },
  sides: { crumb: 'As the old box', flavour: '', keeps: '', effort: 'Three spoons' },
  steps: [],
  cannot: '',
  standing: 0.05,
  source: 'Label weights: 18.25 oz once, 15.25 oz and less now',
}

export const boxCrepe: ChangeSchool = {
  id: 'box-crepe',
  ownMethod: true,
  slot: 'box',
  title: 'Crêpes from the box',
  apply(r) {
    const box = boxIn(r)
    const milk = r.allowed(['milk-whole', 'soy-milk', 'oat-milk', 'water'])
    const flour = r.allowed(['flour-plain', 'flour-gf-blend'])
    const egg = r.allowed(['egg-whole', 'egg-replacer-powder'])
    const fat = r.allowed(['butter-unsalted', 'plant-butter-block', 'oil-vegetable'])
    if (!box || !milk || !flour || !egg || !fat) return false
    const n = boxes(box)
    for (const m of [...oils(r), ...waters(r), ...eggs(r)]) r.remove(m, { code: 'crepe', message: 'a crêpe batter has others' })
    const why = { code: 'crepe', message: 'thins and binds it to a crêpe batter' }
    r.bring(flour, 90 * n, 120 * n, 160 * n, { code: 'crepe', message: 'takes the sweetness down, so that it does not burn' })
    r.bring(milk, 600 * n, 850 * n, 1300 * n, why)
    if (egg.id === 'egg-whole') r.bring(egg, 250 * n, 300 * n, 350 * n, why)
    else r.bring(egg, 20 * n, 30 * n, 40 * n, why)
    r.bring(fat, 40 * n, 55 * n, 90 * n, why)
    r.become('crepe')
    r.tolerate('sugarConcentration', 26)
    r.tolerate('sugarPct', 95)
    return true
  },
  sides: { crumb: 'Thin, tender sheets', flavour: 'Sweet', keeps: 'Two days, stacked', effort: 'A pan and an hour' },
  steps: [
    {
      at: 'start',
      text: 'Whisk all smooth and let it stand for half an hour.',
      why: 'The gas goes and the starch drinks: thin sheets do not tear.',
      minutes: 30,
    },
    {
      at: 'after',
      text: 'Fry thin sheets in a barely greased pan over low to middle heat: the sugar browns early.',
      why: 'A box is sweeter than a crêpe batter.',
    },
  ],
  cannot: 'Browns fast: low heat.',
  standing: 0.3,
  source: 'Crêpe ratio by weight, two of liquid and one of egg to one of flour, around the flour in a box',
}

export const boxRoll: ChangeSchool = {
  id: 'box-roll',
  ownMethod: true,
  slot: 'box',
  title: 'A roll from the box',
  apply(r) {
    const box = boxIn(r)
    const egg = r.allowed(['egg-whole'])
    const water = r.allowed(['water'])
    const oil = r.allowed(['oil-vegetable', 'oil-olive'])
    if (!box || !egg || !water || !oil) return false
    const n = boxes(box)
    for (const m of [...oils(r), ...waters(r), ...eggs(r)]) r.remove(m, { code: 'roll', message: 'a roll has others' })
    const why = { code: 'roll', message: 'a sheet that bends is carried by whipped egg' }
    r.bring(egg, 280 * n, 300 * n, 350 * n, why)
    r.bring(water, 60 * n, 90 * n, 130 * n, why)
    r.bring(oil, 30 * n, 45 * n, 60 * n, why)
    r.become('foam')
    return true
  },
  sides: { crumb: 'Light, bends', flavour: 'Eggy, sweet', keeps: 'Two days, filled', effort: 'Whip the eggs ten minutes' },
  steps: [
    {
      at: 'start',
      text: 'Whip the eggs until thick and pale, about eight minutes, then fold in the mix with the water and oil.',
      why: 'The foam makes the sheet bend.',
      minutes: 8,
    },
    {
      at: 'after',
      text: 'Bake in a lined sheet, 12 to 15 minutes. Roll it up warm in a cloth and let it cool so.',
      why: 'Rolled cold it cracks.',
    },
  ],
  cannot: 'Two boxes fill more than one sheet.',
  standing: 0.3,
  source: 'Common practice of rolls from a box: six eggs, half a cup of water and a quarter cup of oil at most',
}
