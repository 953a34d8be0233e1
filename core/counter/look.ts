import type { Family } from '../balance/families'

/** What a step should look like when it is right, and what to do where it does not. */
export interface Look {
  look: string
  ifNot: string
}

interface Sign extends Look {
  any: RegExp
}

/**
 * What bakers look for, by what a step says: general knowledge of the craft, first match wins.
 * Each is what can be seen, felt or heard without an instrument.
 */
const SIGNS: readonly Sign[] = [
  {
    any: /\b(seed|flax|linseed|chia|psyllium)\b[^.]*\b(stand|gel|rest|water|soak)/i,
    look: 'A gel that clings to the spoon, like raw egg white.',
    ifNot: 'Still thin: five minutes more. Finer ground, it gels faster.',
  },
  {
    any: /\bsoda\b[^.]*\b(foam|yogurt|yoghurt|curd|buttermilk)|\bfoaming\b/i,
    look: 'It rises and foams within a minute.',
    ifNot: 'No foam: stir again. Still none: the soda is old; a fresh pinch hisses in vinegar.',
  },
  {
    any: /\b(vinegar|lemon)\b[^.]*\b(milk|drink)\b[^.]*\b(stand|curdle|thicken|sour)/i,
    look: 'Thicker than before, with small curds.',
    ifNot: 'Thin after ten minutes: half a teaspoon more acid. Plant drinks with little protein thicken less; that is no fault.',
  },
  {
    any: /\bribbon\b|\b(whip|whisk|beat)\b[^.]*\b(eggs?|yolks?)\b[^.]*\b(thick|pale|volume|triple|mousse)/i,
    look: 'Pale and thick: what falls from the whisk lies on top for three seconds.',
    ifNot: 'It sinks in at once: whip on. A warm bowl, not a hot one, helps.',
  },
  {
    any: /\bpeaks?\b|\b(whip|whisk|beat)\b[^.]*\b(whites?|aquafaba|bean[- ]can|chickpea)\b/i,
    look: 'Glossy, with tips that bend for soft peaks and stand for firm ones.',
    ifNot: 'Runny: whip on, in a bowl free of fat. Dry and in clumps: gone too far, whip in one fresh white.',
  },
  {
    any: /\bwhip\b[^.]*\bcream\b/i,
    look: 'Soft folds that hold, before it looks grainy.',
    ifNot: 'Soft: whip on in short goes. Grainy: a spoon of cold cream, folded in by hand.',
  },
  {
    any: /\bcream\b(?! cheese)[^.]*\b(butter|sugar|fat|block|until|together)|\bbeat\b[^.]*\b(butter|fat|block|spread)\b[^.]*\bsugar/i,
    look: 'Much paler than the fat was, fluffy, hardly a grain between the fingers.',
    ifNot: 'Yellow or heavy: three minutes more. Too cold to take air: warm the bowl in your hands.',
  },
  {
    any: /\b(beat|add|whisk)\b[^.]*\beggs?\b[^.]*\b(one|time|gradual|little)/i,
    look: 'Smooth and thick after each one.',
    ifNot: 'Curdled: a spoon of the flour, and beat on. It mends with the rest.',
  },
  {
    any: /\b(custard|pastry cream)\b|\bcook\b[^.]*\bthick/i,
    look: 'It coats the back of the spoon; a finger leaves a track.',
    ifNot: 'Thin: on with the heat, stirring. Lumps: off the heat and through a sieve.',
  },
  {
    any: /\b(melt)\b[^.]*\b(chocolate)\b/i,
    look: 'Smooth and glossy, no hotter than a warm hand.',
    ifNot: 'Thick and grainy: a drop of water got in; a spoon of hot cream or water, stirred from the middle, brings it back as a sauce.',
  },
  {
    any: /\bmelt\b/i,
    look: 'Just melted, no hotter than a warm hand before it meets egg or yogurt.',
    ifNot: 'Too hot to hold a finger in: let it stand five minutes.',
  },
  {
    any: /\brub\b[^.]*\b(flour|fat|butter|in)\b/i,
    look: 'Like damp sand, with no lump larger than a pea.',
    ifNot: 'Greasy: half an hour in the cold, then go on.',
  },
  {
    any: /\bfold\b/i,
    look: 'Even, with no streak of flour, and as light as before.',
    ifNot: 'Streaks: three more turns from the bottom. Then stop: every turn costs air.',
  },
]

/** What the words of a step promise; `null` where nothing is to be seen. */
export const lookOf = (text: string): Look | null => {
  const sign = SIGNS.find((s) => s.any.test(text))
  return sign ? { look: sign.look, ifNot: sign.ifNot } : null
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
export const unmouldLook = (family: Family): Look =>
  UNMOULD[family] ?? {
    look: 'Ten minutes in the tin, then out onto a rack.',
    ifNot: 'Stuck: a damp cloth over the tin for two minutes, then turn it over again.',
  }
