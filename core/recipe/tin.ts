import { readNumber, NUMBER_PATTERN } from '../measure/number'
import type { Tin, TinShape } from './recipe'

const INCH = 25.4

/** Loaf tins sold by the weight of cake they hold: usual inside sizes, mm (British tin makers' 1 lb and 2 lb). */
const LOAF_BY_WEIGHT: Record<string, Tin['mm']> = {
  small: { length: 150, width: 90, height: 70 },
  large: { length: 210, width: 110, height: 70 },
}

const COUNT = new RegExp(`^(${NUMBER_PATTERN})\\s+(?=[\\d¼½¾]|\\w*\\s?(?:round|square|loaf|layer|cake))`, 'i')

function shapeIn(text: string): TinShape | undefined {
  if (/cup-?cakes?|muffins?|fairy cakes?|paper cases|bun tin|\bcups\b(?!\s*(?:fluted|bundt|ring))/i.test(text)) return 'cupcake'
  if (/crepe|crêpe|pancake|frying pan|skillet/i.test(text)) return 'crepe'
  if (/fluted|bundt/i.test(text)) return 'fluted'
  if (/\bring\b|tube|angel/i.test(text)) return 'ring'
  if (/loaf/i.test(text)) return 'loaf'
  if (/sheet|swiss roll|jelly roll|roll tin/i.test(text)) return 'sheet'
  if (/square/i.test(text)) return 'square'
  if (/bowl|basin|pudding/i.test(text)) return 'bowl'
  if (/round|layer|springform|spring form|sandwich|cake tin|cake pan|diameter/i.test(text)) return 'round'
  return undefined
}

/** A tin called "half kilo" is a 15 cm round, 7.5 cm deep: what it bakes, filled, weighs about that. Larger ones by area. */
const HALF_KILO_MM = 150

/** The kilograms of cake that a tin is named by; `undefined` where it is not. */
function kilosIn(text: string): number | undefined {
  if (/half[\s-]*(?:a\s+)?kilo|half[\s-]*kg|½\s*kg/i.test(text)) return 0.5
  const weight = /(\d+(?:[.,]\d+)?|one|two)[\s-]*(kg|kilos?|g)\b/i.exec(text)
  if (!weight) return undefined
  const n = { one: 1, two: 2 }[weight[1]!.toLowerCase()] ?? Number(weight[1]!.replace(',', '.'))
  const kilos = weight[2]!.toLowerCase() === 'g' ? n / 1000 : n
  return kilos >= 0.2 && kilos <= 5 ? kilos : undefined
}

/**
 * Reads a tin as bakers write it: `20 cm round x2`, `9x13 in`, `12 cupcakes`, `900 g loaf`, `two 9 in layers`.
 *
 * @returns the tin with sizes in mm, or `undefined` where no shape or size is said
 */
export function readTin(text: string): Tin | undefined {
  let t = text
    .trim()
    .replace(/[×✕]/g, 'x')
    .replace(/["”″]|\binch(?:es)?\b|-inch\b/gi, ' in ')
    .replace(/\s+/g, ' ')
  let count = 1
  const times = /\bx\s?(\d{1,2})\b(?!\s*(?:cm|mm|in\b|\.\d|x|\d))\s*$/i.exec(t)
  const sides =
    /(\d+(?:[.,]\d+)?)\s*(cm|mm|in)?\s*(?:x|by)\s*(\d+(?:[.,]\d+)?)(?:\s*(?:cm|mm|in)?\s*(?:x|by)\s*(\d+(?:[.,]\d+)?))?\s*(cm|mm|in)?/i.exec(
      t,
    )
  if (times && !(sides && sides.index + sides[0].length >= t.length && !/[a-z]\s*x/i.test(t))) {
    count = Number(times[1])
    t = t.slice(0, times.index).trim()
  }
  const head = COUNT.exec(t)
  if (head && !/^\d+(?:[.,]\d+)?\s*(?:cm|mm|in|x|by|-?cup|g\b|kg|lb)/i.test(t)) {
    const n = readNumber(head[1]!)
    if (n !== undefined && Number.isInteger(n)) {
      count = n
      t = t.slice(head[0].length)
    }
  }
  const shape = shapeIn(t)
  if (shape === 'cupcake' || shapeIn(text) === 'cupcake') {
    const n = /(\d+)/.exec(text)
    return { text: text.trim(), shape: 'cupcake', mm: { diameter: 50, height: 35 }, count: n ? Number(n[1]) : 12 }
  }
  const mmOf = (value: string, unit: string | undefined, fallback: number) =>
    Math.round(Number(value.replace(',', '.')) * (unit === 'mm' ? 1 : unit === 'cm' ? 10 : unit === 'in' ? INCH : fallback))
  const again =
    /(\d+(?:[.,]\d+)?)\s*(cm|mm|in)?\s*(?:x|by)\s*(\d+(?:[.,]\d+)?)(?:\s*(?:cm|mm|in)?\s*(?:x|by)\s*(\d+(?:[.,]\d+)?))?\s*(cm|mm|in)?/i.exec(
      t,
    )
  if (again) {
    const unit = (again[5] ?? again[2])?.toLowerCase()
    // Without a unit, sides up to 20 are inches and above are centimetres.
    const fallback = Number(again[1]) <= 20 && Number(again[3]) <= 20 ? INCH : 10
    const a = mmOf(again[1]!, unit, fallback)
    const b = mmOf(again[3]!, unit, fallback)
    const h = again[4] ? mmOf(again[4], unit, fallback) : undefined
    const kind: TinShape = shape === 'loaf' || shape === 'sheet' ? shape : a === b ? 'square' : 'rect'
    return {
      text: text.trim(),
      shape: kind,
      mm: { width: Math.min(a, b), length: Math.max(a, b), height: h ?? (kind === 'loaf' ? 65 : kind === 'sheet' ? 25 : 50) },
      count,
    }
  }
  if (shape === 'loaf') {
    const weight = /(\d+(?:[.,]\d+)?)\s*(g|kg|lb)\b/i.exec(t)
    const small = weight && (weight[2] === 'g' ? Number(weight[1]) < 700 : weight[2] === 'lb' && Number(weight[1]) < 2)
    return { text: text.trim(), shape, mm: LOAF_BY_WEIGHT[small ? 'small' : 'large']!, count }
  }
  const one = /(\d+(?:[.,]\d+)?)\s*-?\s*(cm|mm|in)\b/i.exec(t)
  const kilos = one ? undefined : kilosIn(t)
  if (kilos && (shape === undefined || shape === 'round' || shape === 'square')) {
    const across = Math.round(HALF_KILO_MM * Math.sqrt(kilos / 0.5))
    const mm =
      shape === 'square'
        ? { width: Math.round(across * 0.9), length: Math.round(across * 0.9), height: 75 }
        : { diameter: across, height: 75 }
    return { text: text.trim(), shape: shape ?? 'round', mm, count }
  }
  if (one) {
    const size = mmOf(one[1]!, one[2]!.toLowerCase(), 10)
    const kind = shape ?? 'round'
    if (kind === 'square') return { text: text.trim(), shape: kind, mm: { width: size, length: size, height: 50 }, count }
    return {
      text: text.trim(),
      shape: kind,
      mm: { diameter: size, height: kind === 'round' ? (size >= 220 ? 60 : 50) : kind === 'crepe' ? 2 : 90 },
      count,
    }
  }
  const cups = /(\d+)\s*-?\s*cup/i.exec(t)
  if (cups && (shape === 'fluted' || shape === 'ring'))
    // As wide as holds so many US cups at 9 cm depth, where chimney and flutes take a third (`tin/volume.ts`).
    return {
      text: text.trim(),
      shape,
      mm: { diameter: Math.round(Math.sqrt((Number(cups[1]) * 236_590 * 4) / (Math.PI * 90 * 0.66))), height: 90 },
      count,
    }
  return undefined
}
