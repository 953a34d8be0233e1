import { describe, expect, it } from 'vitest'
import { Refusal } from '../refusal'
import { answer } from './handle'

const SPONGE =
  'Sponge\n225 g butter\n225 g caster sugar\n4 eggs\n225 g self-raising flour\n\nMethod:\nCream, add eggs, fold in flour. Bake in two 20 cm round tins at 180 °C for 25 minutes.'
const busy = (n: number, chained: boolean) =>
  Array.from({ length: n }, (_, i) => ({
    id: `a${i}`,
    label: `step ${i}`,
    bake: 'b',
    minutes: { low: 1, best: 5, high: 9 },
    handsOn: true,
    needs: ['oven'],
    after: chained && i ? [{ id: `a${i - 1}` }] : [],
  }))
const deep = () => Array.from({ length: 6000 }).reduce<object>((inner) => ({ a: inner }), {})

// Whatever is asked is answered or refused in words, and in a moment: what hangs runs into the time that a test may take.
describe('what is too much', () => {
  it.each([
    ['one line without an end', 'parse', { text: 'flour '.repeat(33_000) }],
    ['a line of one letter', 'parse', { text: 'x'.repeat(199_000) }],
    ['unclosed tags', 'parse', { text: '<script>'.repeat(20_000) }],
    ['brackets', 'parse', { text: '('.repeat(100_000) }],
    ['a file of sixteen thousand lines', 'parse', { jsonld: { '@type': 'Recipe', recipeIngredient: Array(16_000).fill('1 g flour') } }],
    ['a page whose scripts never end', 'parse', { jsonld: `<html>${'<script type="application/ld+json">{'.repeat(100_000)}` }],
    ['a file six thousand deep', 'parse', { jsonld: deep() }],
    ['a recipe six thousand deep', 'balance', { recipe: deep() }],
    ['a kind that is none', 'build', { text: SPONGE, places: { top: { mm: 5, component: '__proto__' } } }],
    ['an hour that is none', 'schedule', { text: SPONGE, serveAt: '2027-06-12T99:99' }],
    ['a quantity that is none', 'balance', { recipe: { title: '', parts: [{ lines: [{ text: 'flour', quantity: {}, grams: {} }] }] } }],
  ] as const)('%s is refused in words', (_, verb, request) => {
    let said: unknown
    try {
      answer(verb, request as never)
    } catch (error) {
      said = error
    }
    expect(said).toBeInstanceOf(Refusal)
    expect((said as Refusal).message.length).toBeGreaterThan(15)
  })

  it.each([
    ['a million cups at the counter', 'counter', { text: SPONGE.replace('225 g self', '1000000 cups self') }],
    ['three hundred things that want one oven', 'schedule', { activities: busy(300, false), serveAt: '2027-06-12T15:00' }],
    ['three hundred things in a row', 'schedule', { activities: busy(300, true), serveAt: '2027-06-12T15:00' }],
    ['quiet hours all day', 'schedule', { text: SPONGE, serveAt: '2027-06-12T15:00', quiet: [{ from: '00:00', to: '23:59' }] }],
    ['the year 9999', 'schedule', { text: SPONGE, serveAt: '9999-06-12T15:00' }],
    [
      'lines that nobody knows',
      'parse',
      { text: `Cake\n${Array.from({ length: 590 }, (_, i) => `${i} g zorble${i} quindle`).join('\n')}` },
    ],
  ] as const)('%s is answered', (_, verb, request) => {
    expect(answer(verb, request as never)).toBeTruthy()
  })
})
