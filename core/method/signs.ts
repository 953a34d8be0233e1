/** How an act is done, where its words say it: what the clock must know beside act and minutes. */
export interface Signs {
  /** While it is warm, or at once. */
  warm?: true
  /** To a cake that is still warm. */
  onWarm?: true
  /** To a cake that has cooled so far that the hand bears it. */
  lukewarm?: true
  overnight?: true
  /** Where it cools: in its tin, or out of it with air underneath. */
  where?: 'tin' | 'rack'
  /** Until it is cold. */
  cold?: true
  /** Its minutes are only the first of it: "ten minutes in the tin, then until cold". */
  thenCold?: true
  /** Its minutes must be over before it: "mark into twelve after 15 minutes". */
  after?: true
  /** Cooked over water, on the hob. */
  steamed?: true
  /** So many thin sheets, one after another. */
  sheets?: [number, number]
  /** Its minutes are a side's. */
  sides?: 2
}

/** Warm is the cake, not the water under a bowl. */
const WARM =
  /\bwarm(?! (?:water|milk|cream|coffee|place|room|up))\b|\bhot(?! (?:water|milk|cream|coffee|oven|oil|fat|pan))\b|\b(?:straight (?:away|from|out)|(?:as|when|once|moment) (?:it|they|the cakes?)(?:['’]s|['’]re| comes?| is| are) out|(?:it|they|the \w+) (?:has |have )?(?:leaves?|left) the oven|immediately|at once|still)\b/i
const ON_WARM =
  /\b(?:hot|warm) (?:cakes?|sponges?|loaf|layers?|puddings?|brownies?|bars?)\b|\bwhil(?:e|st) (?:(?:it|they)(?: is| are|['’]s|['’]re)? )?(?:still )?(?:just |quite |very |nice and )?(?:hot|warm)\b|\bstraight from the oven\b|\b(?:as|when|once|moment) (?:it|they|the \w+)(?: comes?|['’]s|['’]re| is| are) out(?! of (?:the|its|their) (?:tin|pan|mou?ld))\b|\bas (?:it|they|the \w+) (?:has |have )?(?:leaves?|left) the oven\b/i
const LUKEWARM = /\b(?:luke-?warm|just warm|barely warm|still (?:a little|slightly|a bit) warm|slightly warm)\b/i
const RACK = /(?<!steamer )\b(?:racks?|wire|grille?|grid)\b/i
const IN_TIN = /\bin (?:the|its|their|your) (?:tins?|pans?|mou?lds?|dish|forms?|cases|trays?)\b|\bin (?:tins?|pans?|trays?)\b/i
const COLD =
  /\b(?:to|until|till) (?:\w+ )?(?:cool|cold)\b|\bcool (?:fully|completely|entirely|right down)\b|\b(?:fully|completely|quite|stone) (?:cool|cold)\b|\b(?:completely|fully)\W*$|\bto cool\b|\b(?:fully|completely) on\b/i
const THEN_COLD = /\bthen\b(?!\W*$)|\b(?:complet|full|entire|stone|quite)\w*\b|\bcold\b|\buntil\b/i
const AFTER = /\bafter (?:about |another |a further )?\d/i
// "overnight if you like" is nobody's duty.
const OVERNIGHT = /\bovernight\b(?!,? (?:if|is (?:fine|best|better)|also))/i
const STEAMED = /^\W*steam\b|\bsteam (?:for|the (?:cake|pudding|batter)|it|them|over|until|\d)/i
const SHEETS = /\b(\d+)(?:\s*(?:to|-|–)\s*(\d+))?\s+(?:\w+\s+){0,2}(?:sheets|pancakes|cr[eê]pes|layers)\b/i
const SIDES = /\beach side|\bper side|\bboth sides/i

/** The signs in the words of a clause; `undefined` where there is none. */
export function signsIn(words: string): Signs | undefined {
  const count = SHEETS.exec(words)
  const found: Signs = {
    ...(WARM.test(words) && { warm: true }),
    ...(ON_WARM.test(words) && { onWarm: true }),
    ...(RACK.test(words) ? { where: 'rack' as const } : IN_TIN.test(words) ? { where: 'tin' as const } : {}),
    ...(COLD.test(words) && { cold: true, ...(THEN_COLD.test(words) && { thenCold: true as const }) }),
    ...(AFTER.test(words) && { after: true }),
    ...(LUKEWARM.test(words) && { lukewarm: true }),
    ...(OVERNIGHT.test(words) && { overnight: true }),
    ...(STEAMED.test(words) && { steamed: true }),
    ...(count && { sheets: [Number(count[1]), Number(count[2] ?? count[1])] }),
    ...(SIDES.test(words) && { sides: 2 }),
  }
  return Object.keys(found).length ? found : undefined
}

/** Words of keeping and warning, which are nothing to do. */
const ASIDE =
  /^\s*(?:note|tips?(?=\s*[:–-])|nb|n\.b|warning|storage|keeps?|stays|lasts|improves|freezes|better the next|store|do not|don['’]t|never|variation|p\.?s|serves?|makes|enjoy|tastes|best (?:kept|eaten|served|after|on|the)|good (?:warm|cold|with|hot)|delicious|perfect (?:with|for))\b/i
export const isAside = (words: string): boolean => ASIDE.test(words)
