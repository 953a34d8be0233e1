import { REGIONS, type Region } from '../measure/region'

/** Words and signs by which a page shows whose kitchen it comes from: weight, pattern, most that counts. */
type Sign = readonly [weight: number, words: RegExp, most: number]

const SIGNS: Readonly<Record<Region, readonly Sign[]>> = {
  us: [
    [1.2, /°\s*F|\bdegrees F|\b\d{3}\s*F\b|\b(?:350|325|375|400) degrees|\b(?:350|325|375)°/g, 3],
    [
      0.7,
      /\b(?:all[- ]purpose|confectioners|powdered sugar|sticks?|heavy cream|molasses|shortening|pans?|parchment|baking soda|toothpick|frosting|granulated)\b/gi,
      6,
    ],
    [0.5, /\b\d+ oz\b|\bpkg\b/gi, 3],
  ],
  uk: [
    [1.5, /\bgas (?:mark )?\d|\bmark \d|\bfan \d+|\d+C? fan/gi, 3],
    [
      0.8,
      /\b(?:caster|self[- ]raising|icing sugar|bicarbonate|sultanas|tins?|double cream|skewer|demerara|sieve|traybake|treacle|golden syrup|greaseproof|baking paper|mixed spice|dsp)\b/gi,
      6,
    ],
  ],
  au: [
    [
      1.2,
      /\b(?:bicarb soda|thickened cream|slice (?:tin|pan)|lamington|icing sugar mixture|desiccated|dessicated|arvo|fan[- ]forced|aussie|20 ?ml tablespoons?)\b/gi,
      3,
    ],
    [1, /\bcups?\b[^\n]*\b(?:caster|self[- ]raising|plain flour|icing)/gi, 3],
  ],
  in: [
    [
      1.6,
      /\b(?:maida|dahi|curd|elaichi|namak|atta|rava|sooji|suji|kadai|OTG|cooker|jaggery|mawa|khoya|badam|pista|kishmish|refined oil|katori|nos|eggless|cheeni|ghee|malai)\b/gi,
      6,
    ],
  ],
  eu: [
    [
      1,
      /\b(?:dl|EL|TL|Pck|bustina|sachets?|type 4\d\d|T45|T55|quark|vanilla sugar|kirsch|convection|top\/bottom|cl|baking form|gr|hand mixer|mould)\b/g,
      6,
    ],
    [0.6, /\b\d+\s?g (?:of )?(?:soft )?(?:butter|sugar|flour)/gi, 3],
    [0.6, /Ø|in the tin of/gi, 3],
  ],
}

export interface FoundRegion {
  /** The kitchen that the page shows; `null` where nothing tells. */
  found: Region | null
  /** The signs that spoke for it, as they stand on the page. */
  because: string[]
}

/** Less than this says nothing. */
const LEAST_SIGN = 1

/** Finds whose kitchen a page comes from, with the words that show it. */
export function regionOf(text: string): FoundRegion {
  let found: Region | null = null
  let most = LEAST_SIGN
  for (const region of REGIONS) {
    const score = SIGNS[region].reduce((sum, [weight, words, cap]) => sum + weight * Math.min(cap, (text.match(words) ?? []).length), 0)
    if (score > most) [most, found] = [score, region]
  }
  const because = found ? SIGNS[found].flatMap(([, words]) => text.match(words) ?? []) : []
  return { found, because: [...new Set(because.map((w) => w.trim()))].slice(0, 5) }
}
