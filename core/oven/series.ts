/**
 * Analytic series for a slab and a long cylinder heated from all sides (Carslaw and Jaeger 1959): what the simulation is
 * tested against. Used by tests and the tables in `docs/` only.
 */

/** Bessel function of the first kind, by its integral; Simpson's rule, good to 1e-10 for what is needed here. */
export function bessel(n: 0 | 1, x: number): number {
  const steps = 200
  const f = (t: number) => Math.cos(n * t - x * Math.sin(t))
  let sum = f(0) + f(Math.PI)
  for (let i = 1; i < steps; i++) sum += f((Math.PI * i) / steps) * (i % 2 ? 4 : 2)
  return sum / (3 * steps)
}

/** First roots of a function that changes sign once in each interval. */
function rootsOf(f: (mu: number) => number, intervals: readonly (readonly [number, number])[]): number[] {
  return intervals.map(([from, to]) => {
    let [a, b] = [from, to]
    const sign = Math.sign(f(a))
    for (let i = 0; i < 80; i++) {
      const m = (a + b) / 2
      if (Math.sign(f(m)) === sign) a = m
      else b = m
    }
    return (a + b) / 2
  })
}

const TERMS = 30
/** Roots by Biot number: they are asked for at thousands of places and times. */
const slabRoots = new Map<number, number[]>()
const cylinderRoots = new Map<number, { mu: number; weight: number }[]>()

/**
 * Unaccomplished temperature change of a slab, 1 at first and 0 in the end.
 *
 * @param biot h L / k with half the thickness L
 * @param fourier a t / L²
 * @param x place between middle 0 and face 1
 */
export function slab(biot: number, fourier: number, x: number): number {
  let roots = slabRoots.get(biot)
  if (!roots) {
    roots = rootsOf(
      (mu) => mu * Math.sin(mu) - biot * Math.cos(mu),
      Array.from({ length: TERMS }, (_, n) => [n * Math.PI + 1e-9, n * Math.PI + Math.PI / 2] as const),
    )
    slabRoots.set(biot, roots)
  }
  return roots.reduce(
    (sum, mu) => sum + ((4 * Math.sin(mu)) / (2 * mu + Math.sin(2 * mu))) * Math.exp(-mu * mu * fourier) * Math.cos(mu * x),
    0,
  )
}

/** Zeros of J1 lie between those of J0; the roots wanted lie between a zero of J1 and the next of J0. */
function zeros(n: 0 | 1, count: number): number[] {
  const found: number[] = []
  let a = n === 0 ? 1 : 2
  while (found.length < count) {
    if (Math.sign(bessel(n, a)) !== Math.sign(bessel(n, a + 0.1))) found.push(rootsOf((x) => bessel(n, x), [[a, a + 0.1]])[0]!)
    a += 0.1
  }
  return found
}
const CYLINDER_TERMS = 20
const J0 = zeros(0, CYLINDER_TERMS)
const J1 = [0, ...zeros(1, CYLINDER_TERMS)]

/** The same for a long cylinder: `biot` with the radius, `r` between axis 0 and wall 1. */
export function cylinder(biot: number, fourier: number, r: number): number {
  let roots = cylinderRoots.get(biot)
  if (!roots) {
    roots = rootsOf(
      (mu) => mu * bessel(1, mu) - biot * bessel(0, mu),
      Array.from({ length: CYLINDER_TERMS }, (_, n) => [J1[n]! + 1e-9, J0[n]!] as const),
    ).map((mu) => {
      const [j0, j1] = [bessel(0, mu), bessel(1, mu)]
      return { mu, weight: (2 * j1) / (mu * (j0 * j0 + j1 * j1)) }
    })
    cylinderRoots.set(biot, roots)
  }
  let sum = 0
  for (const { mu, weight } of roots) {
    const decay = Math.exp(-mu * mu * fourier)
    // Later terms have died out.
    if (decay < 1e-9) break
    sum += weight * decay * bessel(0, mu * r)
  }
  return sum
}
