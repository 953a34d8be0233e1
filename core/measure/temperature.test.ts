import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  celsiusToFahrenheit,
  celsiusToGasMark,
  fahrenheitToCelsius,
  gasMarkToCelsius,
  readTemperatures,
  temperatureTrouble,
} from './temperature'

describe('oven temperatures', () => {
  it.each([
    ['350 F', 177, false],
    ['350°F', 177, false],
    ['180 C', 180, false],
    ['160 °C fan', 160, true],
    ['fan 160C', 160, true],
    ['gas mark 4', 177, false],
    ['180 degrees celsius', 180, false],
  ])('reads %s', (text, celsius, fan) => {
    expect(readTemperatures(text)[0]).toMatchObject({ celsius, fan })
  })

  it('takes 180 C, fan 160 and gas 4 for the same oven', () => {
    expect(temperatureTrouble(readTemperatures('180 C (160 C fan, gas mark 4)'))).toBeUndefined()
  })

  it.each(['175 C (150 F)', '350 C', '180 F', '200 C / 350 F'])('asks about "%s"', (text) => {
    expect(temperatureTrouble(readTemperatures(text))).toBeDefined()
  })

  it('converts there and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -50, max: 500, noNaN: true }), (c) => {
        expect(fahrenheitToCelsius(celsiusToFahrenheit(c))).toBeCloseTo(c, 6)
      }),
    )
  })

  it('knows that gas marks rise with heat', () => {
    for (let mark = 1; mark < 9; mark++) {
      expect(gasMarkToCelsius(mark + 1)).toBeGreaterThan(gasMarkToCelsius(mark))
      expect(celsiusToGasMark(gasMarkToCelsius(mark))).toBe(mark)
    }
  })
})
