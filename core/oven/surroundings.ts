import type { Material, Tin } from '../recipe/recipe'

export const OVEN_MODES = ['static', 'fan', 'waterbath', 'stovetop'] as const
export type OvenMode = (typeof OVEN_MODES)[number]
/** What may stand round a tin. */
export interface Wrapping {
  /** Baking paper between tin and batter, or paper cases. */
  lined?: boolean
  /** Cups with or without paper cases, where that is known. */
  cases?: boolean
  /** Damp cloth strips round the sides. */
  strips?: boolean
  /** Loosely covered with foil. */
  foil?: boolean
  /** Double paper within and round the tin, as rich fruit cakes have it: 1 all of it, 0 none. */
  paper?: number
}

/** How heat reaches one face: the air (or water, or plate) it sees, °C, and how well, W/m²K. */
export interface Face {
  celsius: number
  h: number
}
export interface Faces {
  /** With the vapour that the air over it holds, kg/m³, and the share of its heat that air brings, W/m²K: that carries vapour too. */
  top: Face & { vapour: number; air: number }
  sides: Face
  bottom: Face
  /** The wall of a chimney; like the sides where there is none. */
  chimney: Face
  /** Of the sides, what stands out of the water, from this share of the height on. */
  above?: Face & { from: number }
}

const STEFAN = 5.67e-8
/** Air at the cake, W/m²K: domestic ovens, natural 5–10, fan 15–30 (Carson et al. 2006; Sakin et al. 2009). */
const AIR = { static: 6.2, fan: 11.5 }
/** Emissivity of a batter's surface and of oven walls together. */
const EMITS = 0.9
/** Emissivity, resistance of the wall (m²K/W): bright metal shines heat back; glass and ceramic are thick; silicone insulates. */
const WALLS: Record<Material, { emits: number; resists: number }> = {
  aluminium: { emits: 0.35, resists: 0.0005 },
  dark: { emits: 0.9, resists: 0.0005 },
  glass: { emits: 0.88, resists: 0.005 },
  ceramic: { emits: 0.85, resists: 0.006 },
  silicone: { emits: 0.9, resists: 0.012 },
}
/** A sheet of baking paper with the air behind it, m²K/W. */
const PAPER = 0.006
/** Two sheets within, two of brown paper round it and the air between them, m²K/W. */
const WRAPPED = 0.13
/** A tin on its shelf stands in its own shade: bars and the floor under it are cooler than the walls. */
const BELOW = 0.87
/** The plate between the cups of a tray gathers heat for them: as much metal again as their own walls. */
const FIN = 2
/** A chimney is narrow: air hardly moves in it, and it sees the oven through its two ends alone. */
const CHIMNEY = { air: 0.7, shine: 0.5 }
/** Water moves against a tin, W/m²K; it never passes its boiling point and usually stands a little below. */
const WATER = 250
/** Its open surface steams, so it stands below boiling in the oven: about 90 °C in baths at 150–170 °C. */
const WATER_BELOW_BOILING = 10
/** Foil round a loose base, twice folded, and the air shut in under it: some three millimetres of it, m²K/W. */
const WATERPROOFED = 0.1
/** It comes half way up. */
const HALF_WAY = 0.5
/** Vapour in the air, kg/m³: of an oven with a cake in it, over a bath, and under a lid or foil (0.3 to 0.45 of saturation near boiling). */
const VAPOUR = { oven: 0.03, bath: 0.08, lid: 0.2 }
/** Damp strips hold the wall near the boiling point of water, through a few mm of wet cloth. */
const STRIPS = 18
/** A covered pot on a plate: its floor is hotter than the dial's meaning, air under the lid cooler and damp. */
const POT = { floor: 80, air: 13, floorOver: 10, airUnder: 25 }
/** Foil keeps the radiant heat and the draught off. */
const FOIL = 0.45

/** Radiant heat as if it were convection, W/m²K, between an oven and a face that is on its way to 100 °C. */
function radiant(ovenC: number, faceC: number, emits: number): number {
  const [a, b] = [ovenC + 273.15, faceC + 273.15]
  return emits * STEFAN * (a * a + b * b) * (a + b)
}

const behind = (h: number, resists: number): number => 1 / (1 / h + resists)

/**
 * What each face of a tin sees.
 *
 * @param ovenC what the oven really is, °C
 * @param surfaceC how warm the top of the cake is now, °C: radiant heat falls as it warms
 * @param boilingC boiling point of water, °C
 * @param loose its base comes out, so that foil goes round it in a bath
 */
export function facesIn(
  mode: OvenMode,
  ovenC: number,
  surfaceC: number,
  material: Material,
  wrapping: Wrapping,
  boilingC: number,
  shape: Tin['shape'],
  loose = false,
): Faces {
  const { emits, resists } = WALLS[material]
  const papered = wrapping.cases ?? (wrapping.lined || shape === 'cupcake')
  const wall = resists + (papered ? PAPER : 0) + WRAPPED * (wrapping.paper ?? 0)
  const air = mode === 'fan' ? AIR.fan : AIR.static
  const fin = shape === 'cupcake' ? FIN : 1
  const shine = radiant(ovenC, Math.min(surfaceC, ovenC), EMITS)
  const vapour = mode === 'stovetop' || wrapping.foil ? VAPOUR.lid : mode === 'waterbath' ? VAPOUR.bath : VAPOUR.oven
  const top = {
    celsius: ovenC,
    h: behind((air + shine) * (wrapping.foil ? FOIL : 1), 0.5 * WRAPPED * (wrapping.paper ?? 0)),
    air: wrapping.foil ? air * FOIL : air,
    vapour,
  }
  const side = behind((air + radiant(ovenC, 90, emits)) * fin, wall)
  if (mode === 'stovetop') {
    const under: Face = { celsius: ovenC - POT.airUnder, h: POT.air }
    const floor: Face = { celsius: ovenC + POT.floorOver, h: behind(POT.floor, wall) }
    return { top: { ...under, vapour, air: POT.air }, sides: { ...under, h: behind(POT.air + 6, wall) }, bottom: floor, chimney: under }
  }
  if (mode === 'waterbath') {
    const water: Face = { celsius: Math.min(ovenC, boilingC - WATER_BELOW_BOILING), h: behind(WATER, wall + (loose ? WATERPROOFED : 0)) }
    return { top, sides: water, bottom: water, chimney: water, above: { celsius: ovenC, h: side, from: HALF_WAY } }
  }
  const sides: Face = wrapping.strips ? { celsius: boilingC - 3, h: behind(STRIPS, wall) } : { celsius: ovenC, h: side }
  return {
    top,
    sides,
    bottom: { celsius: ovenC, h: behind((air + radiant(ovenC, 90, emits)) * BELOW * fin, wall) },
    chimney: { celsius: ovenC, h: behind(air * CHIMNEY.air + radiant(ovenC, 90, emits) * CHIMNEY.shine, wall) },
  }
}

/** The minutes by which glass, ceramic and silicone lag while they warm through: heat stored in the wall, J/m²K. */
export const STORED: Record<Material, number> = { aluminium: 2500, dark: 2500, glass: 11_000, ceramic: 15_000, silicone: 3500 }
