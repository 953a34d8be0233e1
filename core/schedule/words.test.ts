import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const CAKE = 'Pier cake\nTin: 20 cm round\n200 g self-raising flour\n200 g butter\n200 g sugar\n4 eggs\n'
const kinds = (text: string) => answer('counter', { text, region: 'uk' }).steps.map((s) => [s.kind, s.text] as const)

describe('heating the oven', () => {
  it.each(['Heat oven to 180C/160C fan.', 'Preheat the oven to 350 F.', 'Pre-heat oven', 'Set your oven to 170', 'Oven to gas 4'])(
    '“%s” is no step of mixing: the plan has it already',
    (line) => {
      const steps = kinds(`${CAKE}Method\n${line}\nCream the butter and sugar. Beat in the eggs, fold in the flour.\nBake for 30 minutes.`)
      expect(steps.map(([, text]) => text)).not.toContain(line)
      expect(steps.filter(([kind]) => kind === 'bake')).toEqual([['bake', 'Bake for 30 minutes.']])
    },
  )
})

describe('what a method leaves out', () => {
  it('a sauce that shares words with the cake is still made', () => {
    const steps = kinds(
      `${CAKE}Toffee sauce\n100 g butter\n150 g sugar\n150 ml cream\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour. Bake for 35 minutes.`,
    )
    expect(steps.at(-1)![1]).toBe('Make the toffee sauce: mix everything for it.')
  })

  it('one that is told of after the baking is not made twice', () => {
    const steps = kinds(
      `${CAKE}Drizzle\njuice of 2 lemons\n80 g sugar\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour. Bake for 35 minutes. Mix the lemon and sugar and pour it over.`,
    )
    expect(steps.filter(([, text]) => /^Make the/.test(text))).toEqual([])
  })

  it('thin sheets go into no oven', () => {
    const steps = kinds(
      'Crepe stack\n500 ml milk\n4 eggs\n200 g flour\n40 g butter\nMethod\nWhisk everything. Rest overnight. Cook in a 23 cm crepe pan.',
    )
    expect(steps.some(([kind]) => kind === 'bake')).toBe(false)
    expect(steps.at(-1)![1]).toMatch(/crepe pan/)
  })
})
