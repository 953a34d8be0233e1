import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'

const LINES = `200 g butter, soft
200 g caster sugar
4 eggs
200 g self-raising flour
100 ml milk
1 tbsp vinegar
1 tbsp ground flaxseed
1 tsp bicarbonate of soda
100 ml double cream
150 g dark chocolate`
/** What is shown beside a step of a cake that has all of these. */
const looks = (sentence: string, more = 'Stir everything else in.') =>
  answer('counter', {
    text: `Pier cake\nTin: 20 cm round\n${LINES}\n\nMethod\n${sentence}\n${more}\nPour into the tin and bake at 180 C for 30 minutes.`,
    region: 'uk',
  }).steps[0]!.look?.look

describe('what a step should look like', () => {
  it.each([
    ['Mix the flaxseed with 3 tbsp water and leave to stand.', /gel that clings/],
    ['Stir the vinegar into the milk.', /small curds/],
    ['Stir the bicarbonate of soda into the vinegar.', /foams within a minute/],
    ['Whip the double cream to soft peaks.', /Soft folds that hold/],
    ['Whisk the eggs and sugar until thick and pale.', /lies on top for three seconds/],
    ['Whisk the egg whites until stiff.', /tips that bend/],
    ['Cream the butter and sugar until fluffy.', /Much paler/],
    ['Cream the butter and sugar, then beat in the eggs one at a time.', /Smooth and thick after each one/],
    ['Melt the chocolate over simmering water.', /Smooth and glossy/],
    ['Melt the butter.', /Just melted/],
    ['Melt the sugar in a dry pan.', /amber/],
    ['Rub the butter into the flour.', /damp sand/],
    ['Heat the milk, egg yolks and sugar, stirring until thick.', /coats the back of the spoon/],
  ])('%s', (sentence, look) => {
    expect(looks(sentence)).toMatch(look)
  })

  it('fits what is in the bowl, whatever the words are', () => {
    // Cream that is whipped is no meringue; fruit that soaks is no cake under syrup; a caramel is no warm butter.
    expect(looks('Whip the double cream until it stands in peaks.')).not.toMatch(/Glossy/)
    expect(looks('Soak the chocolate in the milk.')).toBeUndefined()
    expect(looks('Sift the flour.')).toBeUndefined()
  })
})

describe('how it cools is as the recipe has it', () => {
  const cool = (after: string) => {
    const { steps } = answer('counter', {
      text: `Pier cake\nTin: 20 cm round\n200 g butter\n200 g sugar\n4 eggs\n200 g self-raising flour\n\nMethod\nCream the butter and sugar, beat in the eggs, fold in the flour. Bake at 180 C for 30 minutes.\n${after}`,
      region: 'uk',
    })
    return steps.filter((_, i) => i > steps.findIndex((x) => x.kind === 'bake')).map((s) => [s.text, s.look?.look ?? ''] as const)
  }

  it('in its tin until cold, where it says so', () => {
    expect(cool('Cool completely in the tin.')).toEqual([['Cool completely in the tin.', 'In its tin until it is cold.']])
  })

  it('for its own minutes, then out', () => {
    const steps = cool('Leave in the tin for 15 minutes, then turn out.')
    expect(steps[0]![1]).toMatch(/^15 minutes as it stands/)
    expect(steps.map(([text]) => text).join(' ')).not.toMatch(/ten minutes in the tin/)
    expect(steps.at(-1)![0]).toBe('Leave it on its rack until cold')
  })

  it('on a rack at once, where it is turned out at once', () => {
    const steps = cool('Turn out immediately onto a rack to cool.')
    expect(steps.map(([text]) => text).join(' ')).not.toMatch(/ten minutes in the tin/)
    expect(steps.at(-1)![1]).toMatch(/air underneath/)
  })

  it('foil comes off before the cake leaves the oven', () => {
    const steps = cool('Take the foil off for the last 5 minutes. Cool on a rack.')
    expect(steps.map(([text]) => text)).toEqual(['Cool on a rack.'])
  })

  it('what is poured on as it comes out finds it warm', () => {
    const steps = cool('Melt 100 g sugar in 50 ml water. Prick the cake as it comes out of the oven and pour the syrup over.')
    const prick = steps.findIndex(([text]) => /Prick/.test(text))
    expect(steps.slice(0, prick).map(([text]) => text)).not.toContainEqual(expect.stringMatching(/cold|cool/i))
  })
})
