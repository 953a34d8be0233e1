import type { Family } from '../balance/families'
import { isLine, type Act, type Clause, type Method } from '../method/step'
import type { Ingredient } from '../pantry/ingredient'
import { ingredientOf } from '../pantry/pantry'

/** What a step should look like when it is right, and what to do where it does not. */
export interface Look {
  look: string
  ifNot: string
}

/** What is in the bowl while an act is done: what the clause names, and what it made of before. */
interface Bowl {
  act: Act
  /** What goes in now. */
  now: readonly Ingredient[]
  /** That, and what the mixtures hold that it goes into. */
  all: readonly Ingredient[]
  /** The mixing before it, in the same part. */
  before?: Act
  /** After something has left the oven. */
  baked: boolean
}

interface Sign extends Look {
  when: (b: Bowl) => boolean
}

/** Seeds that swell to a gel in water. */
const SWELLS: ReadonlySet<string> = new Set(['flaxseed-ground', 'chia-seed', 'psyllium-husk'])
const some = (of: readonly Ingredient[], test: (i: Ingredient) => boolean) => of.some(test)
const kind =
  (...kinds: readonly Ingredient['kind'][]) =>
  (i: Ingredient) =>
    kinds.includes(i.kind)
const fatOf = (i: Ingredient) => (i.per100.plasticFat ?? 0) + (i.per100.liquidFat ?? 0)
const isFlour = kind('flour', 'mix')
const isEgg = (i: Ingredient) => i.kind === 'egg' && i.contains?.includes('egg') === true
const isFoamer = (i: Ingredient) => i.foams === true
const hasYolk = (i: Ingredient) => isEgg(i) && fatOf(i) > 5
const isChocolate = (i: Ingredient) => i.kind === 'cocoa' && fatOf(i) > 20
const isSugar = kind('sugar', 'syrup', 'sweetener')
/** Cream that takes air: dairy or plant, with fat enough to hold it. */
const isCream = (i: Ingredient) => (i.kind === 'dairy' || i.kind === 'plant-dairy') && fatOf(i) > 18 && (i.per100.water ?? 0) > 35
const isDrink = kind('dairy', 'plant-dairy')
const isSour = (i: Ingredient) => i.kind === 'acid' || (isDrink(i) && (i.per100.acid ?? 0) > 0)
const isThin = (i: Ingredient) => kind('water', 'dairy', 'plant-dairy', 'acid')(i) && fatOf(i) < 18
const thickens = (i: Ingredient) => kind('flour', 'starch', 'mix')(i) || hasYolk(i)

/**
 * What bakers look for, by what is done with what: general knowledge of the craft, first match wins.
 * Each is what can be seen, felt or heard without an instrument.
 */
const SIGNS: readonly Sign[] = [
  {
    when: (b) => some(b.now, (i) => SWELLS.has(i.id)) && b.now.every((i) => SWELLS.has(i.id) || isThin(i)),
    look: 'A gel that clings to the spoon, like raw egg white.',
    ifNot: 'Still thin: five minutes more. Finer ground, it gels faster.',
  },
  {
    when: (b) => some(b.now, (i) => i.id === 'baking-soda') && some(b.all, isSour) && !some(b.now, isFlour),
    look: 'It rises and foams within a minute.',
    ifNot: 'No foam: stir again. Still none: the soda is old; a fresh pinch hisses in vinegar.',
  },
  {
    when: (b) =>
      ['mix', 'rest'].includes(b.act) &&
      some(b.now, (i) => i.kind === 'acid') &&
      some(b.now, isDrink) &&
      !some(b.now, (i) => isFlour(i) || isEgg(i) || isSugar(i)),
    look: 'Thicker than before, with small curds.',
    ifNot: 'Thin after ten minutes: half a teaspoon more acid. Plant drinks with little protein thicken less; that is no fault.',
  },
  {
    when: (b) => b.act === 'foam' && some(b.all, isCream) && !some(b.all, isFoamer),
    look: 'Soft folds that hold, before it looks grainy.',
    ifNot: 'Soft: whip on in short goes. Grainy: a spoon of cold cream, folded in by hand.',
  },
  {
    when: (b) => b.act === 'foam' && some(b.all, hasYolk),
    look: 'Pale and thick: what falls from the whisk lies on top for three seconds.',
    ifNot: 'It sinks in at once: whip on. A warm bowl, not a hot one, helps.',
  },
  {
    when: (b) => b.act === 'foam',
    look: 'Glossy, with tips that bend for soft peaks and stand for firm ones.',
    ifNot: 'Runny: whip on, in a bowl free of fat. Dry and in clumps: gone too far, whip in one fresh white.',
  },
  {
    when: (b) => b.act === 'cream' && !some(b.now, isFlour),
    look: 'Much paler than the fat was, fluffy, hardly a grain between the fingers.',
    ifNot: 'Yellow or heavy: three minutes more. Too cold to take air: warm the bowl in your hands.',
  },
  {
    when: (b) => b.act === 'mix' && b.before === 'cream' && some(b.now, isEgg) && !some(b.now, isFlour),
    look: 'Smooth and thick after each one.',
    ifNot: 'Curdled: a spoon of the flour, and beat on. It mends with the rest.',
  },
  {
    when: (b) => (b.act === 'simmer' || b.act === 'melt') && some(b.all, thickens) && some(b.all, (i) => isThin(i) || isCream(i)),
    look: 'It coats the back of the spoon; a finger leaves a track.',
    ifNot: 'Thin: on with the heat, stirring. Lumps: off the heat and through a sieve.',
  },
  {
    when: (b) => b.act === 'melt' && some(b.all, isChocolate),
    look: 'Smooth and glossy, no hotter than a warm hand.',
    ifNot: 'Thick and grainy: a drop of water got in; a spoon of hot cream or water, stirred from the middle, brings it back as a sauce.',
  },
  {
    when: (b) => (b.act === 'simmer' || b.act === 'melt') && b.all.length > 0 && b.all.every(isSugar) && some(b.all, kind('sugar')),
    look: 'Clear amber from edge to edge, with no dry sugar left.',
    ifNot: 'Lumps: the lowest heat until they are gone. Smoke or a bitter smell: too far, begin again.',
  },
  {
    when: (b) => (b.act === 'simmer' || b.act === 'melt') && some(b.all, kind('sugar')) && b.all.every((i) => isSugar(i) || isThin(i)),
    look: 'Every grain gone before it boils; then clear, with small bubbles.',
    ifNot: 'Grains at the side: brush them down with water. Cloudy when cold: warm it again with a spoon of water.',
  },
  {
    when: (b) => b.act === 'melt' && some(b.all, (i) => fatOf(i) > 20),
    look: 'Just melted, no hotter than a warm hand before it meets egg or yogurt.',
    ifNot: 'Too hot to hold a finger in: let it stand five minutes.',
  },
  {
    when: (b) => b.act === 'rub-in',
    look: 'Like damp sand, with no lump larger than a pea.',
    ifNot: 'Greasy: half an hour in the cold, then go on.',
  },
  {
    when: (b) => b.act === 'fold' && some(b.all, isFlour),
    look: 'Even, with no streak of flour, and as light as before.',
    ifNot: 'Streaks: three more turns from the bottom. Then stop: every turn costs air.',
  },
  {
    when: (b) => b.act === 'fold',
    look: 'Even, with no streak, and as light as before.',
    ifNot: 'Streaks: three more turns from the bottom. Then stop: every turn costs air.',
  },
  {
    when: (b) => b.act === 'mix' && some(b.now, (i) => i.id === 'sugar-icing') && b.all.every((i) => isSugar(i) || isThin(i) || !fatOf(i)),
    look: 'It falls from the spoon in a band that is gone after ten seconds.',
    ifNot: 'It runs off at once: a spoon more icing sugar. It will not fall: liquid by the drop.',
  },
  {
    when: (b) => b.act === 'poke',
    look: 'Holes a thumb apart, nearly to the base.',
    ifNot: 'The skewer drags crumbs along: wet it, or wait until the cake is only warm.',
  },
  {
    when: (b) => b.act === 'soak' && b.baked,
    look: 'Each spoon is drunk before the next one goes on.',
    ifNot: 'It stands in puddles: wait ten minutes and go on in smaller goes, over the edge too.',
  },
  {
    when: (b) => b.act === 'roll' && b.baked,
    look: 'It bends without a crack, the seam underneath.',
    ifNot: 'It cracks: too cold or too dry; a damp cloth over it for five minutes, and roll from the short side.',
  },
]

/** Whites of whole eggs are whites. */
const ingredientsOf = (c: Clause): Ingredient[] =>
  c.things.flatMap((t) =>
    isLine(t) ? (ingredientOf(t.as === 'white' ? 'egg-white' : t.as === 'yolk' ? 'egg-yolk' : t.ingredient) ?? []) : [],
  )

/** The lines that a clause names, and through what was made before, all that is in that. */
function heldBy(method: Method, clause: Clause): Ingredient[] {
  const all: Ingredient[] = []
  const seen = new Set<Clause>()
  const follow = (c: Clause | undefined) => {
    if (!c || seen.has(c)) return
    seen.add(c)
    all.push(...ingredientsOf(c))
    for (const t of c.things) if ('made' in t) follow(method.steps[t.made[0]]?.clauses[t.made[1]])
  }
  follow(clause)
  return all
}

/** The bowl at a clause: what it names goes to what the same sentence began; one that names nothing goes on with what there is. */
function bowlAt(method: Method, clause: Clause): Bowl {
  const order = method.steps.flatMap((s) => s.clauses)
  const earlier = order.slice(0, Math.max(0, order.indexOf(clause))).filter((c) => c.part === clause.part)
  const step = method.steps.find((s) => s.clauses.includes(clause))
  const filled = earlier.filter((c) => c.things.length > 0)
  const now = ingredientsOf(clause)
  const made = clause.things.some((t) => 'made' in t)
  const open = now.length
    ? made
      ? []
      : earlier.filter((c) => step?.clauses.includes(c) && MIXES.has(c.act)).slice(-1)
    : [filled.findLast((c) => c.act === clause.act) ?? filled.at(-1)].filter((c) => c !== undefined)
  const before = earlier.findLast((c) => MIXES.has(c.act))?.act
  return {
    act: clause.act,
    now,
    all: [...heldBy(method, clause), ...open.flatMap((c) => heldBy(method, c))],
    ...(before && { before }),
    baked: order.slice(0, Math.max(0, order.indexOf(clause))).some((c) => c.act === 'bake'),
  }
}

/** Acts that put something together. */
const MIXES: ReadonlySet<Act> = new Set<Act>(['cream', 'foam', 'melt', 'rub-in', 'mix', 'fold', 'simmer', 'soften', 'infuse'])

/**
 * What the clauses of one thing to do promise, by what is done and what is in the bowl; the last that shows anything
 * counts, as that is how the step ends. `null` where nothing is to be seen.
 */
export function lookOf(method: Method, clauses: readonly Clause[]): Look | null {
  for (const clause of [...clauses].reverse()) {
    const bowl = bowlAt(method, clause)
    const sign = SIGNS.find((s) => s.when(bowl))
    if (sign) return { look: sign.look, ifNot: sign.ifNot }
  }
  return null
}

/** The ready batter by its fluidity: how it leaves the spoon (bounds of `consistency` in the ratios). */
export function batterLook(fluidity: number, spoon: { liquid: string; most: number }): Look {
  const thinner =
    spoon.most > 0
      ? `Stiffer than that: ${spoon.liquid} by the tablespoon, up to ${spoon.most}, and log each.`
      : 'Stiffer than that: leave it, more liquid would make it heavy.'
  const look =
    fluidity < 1.2
      ? 'A soft dough that keeps its shape.'
      : fluidity < 1.6
        ? 'Thick: a spoonful sits where it is put. Level it by hand.'
        : fluidity < 2.4
          ? 'It drops from the spoon when you tap it, within two seconds.'
          : fluidity < 3.3
            ? 'It falls in a broad ribbon that sinks in slowly.'
            : fluidity < 5
              ? 'It flows from the spoon like thick cream and levels itself.'
              : 'It pours like single cream.'
  return { look, ifNot: `${thinner} Thinner: check that all the flour is in before you add any.` }
}

/** How a baked cake shows that it is done, by family. */
const DONE: Partial<Record<Family, string>> = {
  foam: 'It springs back from a finger and has begun to leave the side.',
  'flourless-chocolate': 'Set at the edge, a wobble as wide as a glass in the middle.',
  'flourless-nut': 'A skewer comes out with a few moist crumbs; the top springs back slowly.',
  cheesecake: 'Set at the edge, the middle third still trembles.',
  custard: 'Set at the edge, the middle still trembles.',
  pastry: 'Golden all over, and dry underneath.',
  crepe: 'The edge lifts and lace shows underneath.',
}
const DONE_USUAL = 'A skewer in the middle comes out clean, the edge leaves the tin, the top springs back.'
export const doneLook = (family: Family): Look => ({
  look: DONE[family] ?? DONE_USUAL,
  ifNot: 'Not yet: four minutes more, and look again. Too dark already: foil loosely on top.',
})

/** How it leaves its tin, by family. */
const UNMOULD: Partial<Record<Family, Look>> = {
  foam: {
    look: 'In an ungreased tin: upside down at once, until quite cold. On paper: out with its paper now, cloth over it.',
    ifNot: 'Stuck at the side: a thin knife once round, held against the tin.',
  },
  cheesecake: {
    look: 'Knife round the edge at once, so that it sinks evenly; an hour in the switched-off oven, door ajar, then the fridge.',
    ifNot: 'Cracked: it is still good. It cooled too fast, or baked too long.',
  },
  custard: { look: 'In its dish until it is no more than warm, then the fridge.', ifNot: 'Weeping at the edge: baked a little too long.' },
  'flourless-chocolate': {
    look: 'In the tin until cold: it falls in the middle, and that is as it should be.',
    ifNot: 'Too soft to free: an hour in the fridge first.',
  },
  'flourless-nut': {
    look: 'Fifteen minutes in the tin: warm it is fragile.',
    ifNot: 'It tears: back in the tin until cold.',
  },
  'syrup-spice': {
    look: 'In its tin until cold; better still wrapped until tomorrow.',
    ifNot: 'Stuck: the paper comes off when it is cold.',
  },
  pound: { look: 'Fifteen minutes in the tin, then onto a rack.', ifNot: 'Stuck: run a knife round and wait five minutes more.' },
}
/** On its rack. */
const ON_RACK: Look = {
  look: 'On a rack, with air underneath: cold when the base is no longer warm to the hand.',
  ifNot: 'Still warm: wait, or the icing melts.',
}
const STUCK = 'Stuck: a damp cloth over the tin for two minutes, then turn it over again.'

/**
 * How it cools and leaves its tin: as the recipe has it, and where that says nothing, as its family wants it.
 *
 * @param cooling clauses of the recipe's own cooling
 * @param out it has left its tin before
 */
export function coolLook(family: Family, cooling: readonly Clause[], out: boolean): Look {
  const where = cooling.find((c) => c.signs?.where)?.signs?.where
  if (out || where === 'rack') return ON_RACK
  const minutes = cooling.find((c) => c.minutes)?.minutes
  if (where === 'tin' && !minutes) return { look: 'In its tin until it is cold.', ifNot: STUCK }
  if (minutes && minutes[1] <= LONGEST_IN_TIN) {
    const [low, high] = minutes.map(Math.round) as [number, number]
    return { look: `${low === high ? low : `${low} to ${high}`} minutes as it stands, then out onto a rack.`, ifNot: STUCK }
  }
  return UNMOULD[family] ?? { look: 'Ten minutes in the tin, then out onto a rack.', ifNot: STUCK }
}
/** A wait longer than this is until it is cold, min. */
const LONGEST_IN_TIN = 30
