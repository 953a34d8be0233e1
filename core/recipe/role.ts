import { ingredientOf } from '../pantry/pantry'
import type { Line, Part, Role } from './recipe'

/** Words of a heading and the role that they give their part, first fitting first. */
const ROLE_WORDS: readonly [Role, RegExp][] = [
  ['frosting', /\b(?:frost\w*|icing|glaze|butter ?cream|ganache|cover(?:ing)?|coating|for icing)\b/gi],
  ['crust', /\b(?:crusts?|bases?|shell|bottom|shortcrust|short pastry|pastry(?! cream)|pate sucree)\b/gi],
  ['soak', /\b(?:syrup|sauce|soak\w*|ras|milks|sherbet|sherbat|drizzle|dip|drench|moisten\w*|poke|tres leches mix|(?<!water )bath)\b/gi],
  [
    'topping',
    /\b(?:meringue|toppings?|crumbs?|crumbles?|streusel|garnish\w*|decorat\w*|finish\w*|mirror|(?:to|for) coat(?:ing)?|sprinkle|to serve|top|besides|assembly|serve|praline|brittle)\b/gi,
  ],
  [
    'filling',
    /\b(?:fill\w*|mousses?|swirls?|curd|jam|jelly|custard|compote|layer|fruit|cr[eè]me p[aâ]tissi[eè]re|pastry cream|between|caramel|toffee)\b/gi,
  ],
  ['frosting', /\b(?:cream|topping cream|whipped)\b/gi],
  [
    'batter',
    /\b(?:cakes?|sponge|batter|dough|muffins?|cupcakes?|pudding|loaf|brownies?|blondies?|chiffon|cheesecake|mixture|biscuit|roulade|roll|dry|wet|yolk|whites?|fats?|leaven|flan|bread|torte|gateau|bundt|traybake|cr[eê]pes?|genoise|buns?|scones?|crepe batter|pancakes?)\b/gi,
  ],
]

/** "Filling & topping" is a filling first; "Icing for the cake" is an icing. */
const firstPart = (heading: string): string => {
  const first = heading.split(/\s*(?:&|\band\b|,|\+|\/)\s*/i)[0]!
  const bare = first.replace(/(?<=\S.*)\s+for\b.*$/i, '')
  return bare.trim() || heading
}

/**
 * The role that a heading gives its part; `undefined` where its words say nothing.
 *
 * The last word that means something decides, as in every English compound: a "cream filling" is a filling.
 */
export function roleOf(heading: string): Role | undefined {
  for (const text of [firstPart(heading), heading]) {
    let best: { role: Role; end: number } | undefined
    for (const [role, words] of ROLE_WORDS)
      for (const m of text.matchAll(words)) {
        const end = m.index + m[0].length
        if (!best || end > best.end) best = { role, end }
      }
    if (best) return best.role
  }
  return undefined
}

const massOf = (lines: readonly Line[], test: (id: string, kind: string) => boolean): number =>
  lines.reduce((sum, l) => {
    const i = ingredientOf(l.ingredient)
    return i && test(i.id, i.kind) ? sum + l.grams.best : sum
  }, 0)

const shareOf = (lines: readonly Line[], test: (id: string, kind: string) => boolean): number => {
  const total = massOf(lines, () => true)
  return total > 0 ? massOf(lines, test) / total : 0
}

const has = (p: Part, test: RegExp): boolean => p.lines.some((l) => test.test(l.ingredient ?? ''))

const FLOURS = /^flour|semolina|cake-mix|starch|oats/
const RISES = /^baking-|^yeast|^cake-mix|fruit-salt/
const SOFT_CHEESE = /cream-cheese|ricotta|yogurt-greek|mascarpone|quark|tofu/
/** So much soft cheese is a cheesecake. */
const CHEESECAKE_GRAMS = 250

export const looksLikeBatter = (p: Part): boolean => shareOf(p.lines, (_, kind) => kind === 'flour' || kind === 'mix') > 0.12

export function looksLikeIcing(p: Part): boolean {
  const flour = shareOf(p.lines, (id, kind) => kind === 'flour' || kind === 'mix' || id === 'egg-whole')
  const icing = shareOf(p.lines, (id) => id === 'sugar-icing')
  const ganache = shareOf(
    p.lines,
    (id) => id.startsWith('chocolate') || id.startsWith('cream-') || id === 'plant-cream' || id === 'coconut-cream',
  )
  // Whites and sugar whipped with butter, by whatever name or letters.
  const butter = shareOf(p.lines, (_, kind) => kind === 'fat')
  const whites = has(p, /^egg-white/) && has(p, /^sugar/) && !has(p, FLOURS)
  return p.lines.length > 0 && flour < 0.08 && (icing > 0.3 || ganache > 0.7 || (whites && butter > 0.3))
}

/** What its name promises, corrected by what is in it. */
function roleByContents(p: Part, parts: readonly Part[]): Role | undefined {
  const named = roleOf(p.name)
  const name = p.name.toLowerCase()
  const flour = has(p, FLOURS)
  const rises = has(p, RISES)
  const cheese = parts.some((q) => q !== p && massOf(q.lines, (id) => SOFT_CHEESE.test(id)) >= CHEESECAKE_GRAMS)
  if (/\b(?:dough|pastry|shortcrust)\b/.test(name) && !/cream/.test(name) && cheese) return 'crust'
  if (
    /\b(?:cake|sponge|muffin|cupcake|batter|dough|loaf)s?\b/.test(name) &&
    !/\b(?:syrup|soak|icing|frosting|glaze|filling|topping|sauce|cream|crumb|crumbs|base|fill|decorat\w+|drizzle|custard|streusel)\b/.test(
      name,
    )
  )
    return 'batter'
  // A filling, topping or cover with flour and something that lifts it is baked dough.
  if (
    rises &&
    flour &&
    (named === 'filling' || named === 'topping' || (named === 'frosting' && !/frost|icing|glaze|ganache|cover|cream/.test(name)))
  )
    return 'batter'
  if (
    named === 'frosting' &&
    /\bcream\b/.test(name) &&
    !/butter ?cream|frost|icing|topping/.test(name) &&
    (has(p, /^egg|starch|custard|pudding|^sour-cream|condensed/) ||
      parts.some((q) => q !== p && /\b(?:topping|finish|serve|glaze|icing|decorat)/i.test(q.name) && !/fill/i.test(q.name)))
  )
    return 'filling'
  // A glaze without icing sugar or chocolate is poured on to soak in.
  if (
    (named === 'frosting' || named === 'topping') &&
    /glaze|drizzle/.test(name) &&
    !has(p, /sugar-icing|chocolate|cocoa|jam|gelatin/) &&
    has(p, /sugar|syrup|honey/) &&
    has(p, /water|juice|butter|spirit/)
  )
    return 'soak'
  // A base with whole eggs and something that lifts it is a sponge; bound by yolks alone it is a short dough.
  if (
    named === 'crust' &&
    !/crust|pastry/.test(name) &&
    ((has(p, /^baking-|self-raising/) && (has(p, /^egg-whole/) || (has(p, /^egg-yolk/) && has(p, /milk|water|yogurt|juice/)))) ||
      has(p, /^egg-white/))
  )
    return 'batter'
  // Fruit with a little sugar, thickened or not, goes between or on top.
  if (
    named === undefined &&
    !has(p, /^flour|semolina|cake-mix|oats/) &&
    !has(p, /^egg/) &&
    shareOf(p.lines, (id, kind) => kind === 'fruit' && !id.startsWith('fruit-puree')) > 0.6
  )
    return 'filling'
  // Milks without flour or egg are poured over.
  if (
    (named === undefined || named === 'batter') &&
    !flour &&
    !has(p, /^egg/) &&
    shareOf(p.lines, (id, kind) => /milk|^cream-|^water$|juice/.test(id) && kind !== 'cocoa') > 0.8
  )
    return 'soak'
  return named
}

const TITLE_OF_CAKE =
  /\b(?:cake|sponge|loaf|muffin|cupcake|layers?|brownie|torte|bundt|traybake|slab|roll|cr[eê]pe|bars|pudding|bread|scones?)s?\b/i

/** What is folded in last is of the batter. */
const FOLDED = /^(?:add|mix|stir|fold)[- ]?ins?$/i

/** "Set A", "Bowl 2", "B": a name that says nothing; with flour or egg it is of the batter. */
/** What a syrup or a milk soak has none of. */
const BODY = /cream-cheese|ricotta|mascarpone|quark|^oil-|butter|margarine|^cocoa|^chocolate/
const LETTER = /^(?:(?:set|part|group|mixture|mix|bowl|bahan|step)\s*)?[A-H1-5]$/i
const lettered = (p: Part, parts: readonly Part[]): Role | undefined => {
  if (FOLDED.test(p.name.trim())) return 'batter'
  if (!LETTER.test(p.name.trim())) return undefined
  const made = (q: Part) => has(q, FLOURS) || has(q, /^egg/)
  // "A" is cheese, butter and milk, and "B" has the flour for it: bowls of one batter.
  return made(p) ||
    (!/^(?:part|step)/i.test(p.name.trim()) && parts.some((q) => q !== p && LETTER.test(q.name.trim()) && made(q)) && has(p, BODY))
    ? 'batter'
    : undefined
}

/** A recipe that is only an icing, a filling or a soak says so in its title. */
function titleRole(title: string): Role | undefined {
  if (TITLE_OF_CAKE.test(title)) return undefined
  const role = roleOf(title)
  return role === 'frosting' || role === 'filling' || role === 'soak' ? role : undefined
}

/**
 * Settles the role of every part from its heading, its contents and the title.
 *
 * @param baked whether the page bakes anything
 * @returns the parts whose role nobody can tell
 */
export function assignRoles(parts: readonly Part[], title: string, baked = true): Part[] {
  const unsure: Part[] = []
  if (parts.length === 1) {
    const p = parts[0]!
    const byName = p.name ? roleByContents(p, parts) : undefined
    p.role =
      byName === 'frosting' || byName === 'soak' || byName === 'filling'
        ? looksLikeBatter(p)
          ? 'batter'
          : byName
        : looksLikeBatter(p)
          ? 'batter'
          : (titleRole(title) ?? (looksLikeIcing(p) ? 'frosting' : 'batter'))
    return unsure
  }
  for (const p of parts) {
    const role = p.name ? (lettered(p, parts) ?? roleByContents(p, parts)) : 'batter'
    p.role = role ?? (looksLikeBatter(p) ? 'batter' : looksLikeIcing(p) ? 'frosting' : 'other')
    // What greases and dusts a tin is nobody's question.
    if (p.role === 'other' && p.lines.length && !/\b(?:pan|tin|mould|mold|tray)\b/i.test(p.name)) unsure.push(p)
  }
  if (baked) bakedFilling(parts)
  return unsure
}

/** Shares from which a list is dough, and from which it is fruit with what sweetens and thickens it. */
const DOUGH = 0.25
const FRUIT = 0.7

/**
 * A cheesecake or tart has a crust and a filling and no batter so named: what sets in the oven is its batter.
 * So is a meringue that nothing else is baked with.
 */
function bakedFilling(parts: readonly Part[]): void {
  // A cobbler, a crumble: the list of fruit above the dough is no batter, though nothing heads it.
  const dough = parts.find((p) => p.role !== 'crust' && shareOf(p.lines, (_, kind) => kind === 'flour') > DOUGH)
  for (const p of parts)
    if (
      dough &&
      p !== dough &&
      p.role === 'batter' &&
      /^(?:cake)?$/i.test(p.name) &&
      shareOf(p.lines, (_, kind) => kind === 'fruit') > FRUIT
    )
      p.role = 'filling'
  if (parts.some((p) => p.role === 'batter')) return
  const leavened = parts.some((p) => p.role === 'crust' && has(p, RISES))
  const setting = parts.find(
    (p) =>
      p.role !== 'crust' &&
      !(leavened && p.role === 'topping') &&
      shareOf(p.lines, (id, kind) => kind === 'egg' || SOFT_CHEESE.test(id)) > 0.1,
  )
  // "Base" of a tray cake: what rises is the cake, with fruit and crumble on it.
  const risen = setting
    ? undefined
    : parts.find((p) => p.role === 'crust' && has(p, RISES) && has(p, FLOURS) && has(p, /milk|quark|yogurt|^water/))
  if (risen) {
    risen.role = 'batter'
    return
  }
  const flour = dough ?? parts.find((p) => p.role !== 'crust' && has(p, FLOURS) && !/frost|icing|glaze/i.test(p.name))
  const found = parts.some((p) => p.role === 'crust')
    ? (setting ?? flour)
    : (flour ?? setting ?? parts.find((p) => /meringue/i.test(p.name)) ?? parts.find((p) => p.role === 'filling' || p.role === 'other'))
  if (found) found.role = 'batter'
}
