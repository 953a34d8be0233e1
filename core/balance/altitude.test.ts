import { describe, expect, it } from 'vitest'
import { boilingPoint, gasFactor } from './altitude'

describe('high above the sea', () => {
  // Standard atmosphere and steam tables.
  it.each([
    [0, 100, 1],
    [1500, 95, 1.2],
    [3000, 90, 1.45],
  ])('at %d m water boils at about %d °C and gas swells %f times', (metres, celsius, factor) => {
    expect(boilingPoint(metres)).toBeCloseTo(celsius, -0.3)
    expect(gasFactor(metres)).toBeCloseTo(factor, 1)
  })

  // Extension-service tables take an eighth of the powder away at 1,000 m, an eighth to a quarter to 2,000 m.
  it.each([
    [1000, 0.08, 0.14],
    [1800, 0.125, 0.25],
    [2300, 0.2, 0.28],
  ])('at %d m a baker leaves out %f to %f of the powder, and so does the model', (metres, low, high) => {
    const out = 1 - 1 / gasFactor(metres)
    expect(out).toBeGreaterThan(low)
    expect(out).toBeLessThan(high)
  })
})
