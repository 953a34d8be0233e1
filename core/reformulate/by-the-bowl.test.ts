import { describe, expect, it } from 'vitest'
import { answer } from '../contract/handle'
import type { Region } from '../measure/region'
import type { Goal } from './goals'

const first = (text: string, goals: Goal[], region: Region = 'uk') => answer('reformulate', { text, region, goals }).options[0]!
const words = (text: string, goals: Goal[], region?: Region) =>
  first(text, goals, region)
    .method.map((m) => m.text)
    .join('\n')

describe('what is rewritten goes into the bowl that is meant', () => {
  it('the egg mixture is called by what stands there', () => {
    const text =
      'Cake\n200 g flour\n2 tsp baking powder\n150 g sugar\n2 eggs\n100 ml oil\n100 g sour cream\nMethod\nWhisk the eggs and sour cream. Whisk the oil into the egg mixture. Stir in the flour, baking powder and sugar. Bake at 180 C for 40 minutes.'
    expect(words(text, ['eggless'])).not.toMatch(/(?:into|to) (?:the )?mixture/)
  })

  it('what is one of “the remaining ingredients” waits with them', () => {
    const text =
      'Tea loaf\n450 g dried fruit\n250 g brown sugar\n300 ml tea\n450 g self-raising flour\n1 egg\nMethod\nPut the fruit and sugar into a bowl, pour over the tea and soak overnight.\nMix the remaining ingredients into the fruit. Bake at 170 C for 90 minutes.'
    const steps = first(text, ['eggless', 'gluten-free']).method.map((m) => m.text)
    const soak = steps.findIndex((s) => /overnight/.test(s))
    expect(steps[soak]).not.toMatch(/flour|powder/)
    expect(steps.slice(soak + 1).join(' ')).toMatch(/remaining ingredients \(with the [^)]*gluten-free flour/)
  })

  it('two bowls: dry things to the dry, wet to the wet', () => {
    const text =
      'Layers\nWet bowl: 300 ml oil; 240 ml buttermilk; 2 eggs; 1 tsp vanilla\nDry bowl: 280 g flour; 300 g sugar; 1 tsp soda\n\nMethod\nWhisk wet. Sift dry, add to wet, mix til smooth. Divide between two 20 cm tins, bake at 180 C for 30 min.'
    const told = answer('counter', { text, region: 'uk' }).steps
    expect(told.find((s) => /^Whisk wet/.test(s.text))!.uses.map((u) => u.ingredient)).toContain('buttermilk')
    expect(words(text, ['eggless'])).not.toMatch(/Stir in the|Sift in the/)
  })

  it('one thing that stands for two in one list is named once', () => {
    const text =
      'Cake\n125 g flour\n70 g cornmeal\n1½ tsp baking powder\n150 g sugar\n2 eggs\n160 ml buttermilk\n60 g butter, melted\nMethod\nWhisk the flour, cornmeal and baking powder. In another bowl whisk the sugar, eggs, buttermilk and butter. Stir together. Bake at 190 C for 30 minutes.'
    const step = words(text, ['eggless', 'dairy-free'])
      .split('\n')
      .find((s) => /another bowl/.test(s))!
    expect(step.match(/soya? yogurt/g) ?? []).toHaveLength(1)
  })

  it('two flours that become one say how much goes where', () => {
    const text =
      'Spelt cake\n170 g spelt flour\n30 g plain flour\n90 g sugar\n250 g mango pulp\n60 g yogurt\n70 ml oil\n1 tsp baking powder\nMethod\nMix the spelt flour, mango, yogurt, oil and sugar and leave for 20 minutes. Sift in the plain flour and baking powder. Bake at 170 C for 40 minutes.'
    expect(words(text, ['gluten-free'])).toMatch(/\d+ g of the gluten-free flour[^]*\d+ g of the gluten-free flour/)
  })

  it('what comes with a box goes into the box, not into what is poured over it', () => {
    const text =
      'Poke cake\n1 box white cake mix\n1 cup water\n1/3 cup oil\n3 egg whites\n1 (3 oz) box strawberry gelatin\n1 cup boiling water\n1 lb strawberries\n\nMethod\nPrepare and bake the cake mix with the water, oil and egg whites in a 9x13. Poke holes with a fork. Dissolve the gelatin in the boiling water and pour over. Chill 3 hours. Top with berries.'
    const steps = first(text, ['eggless'], 'us').method.map((m) => m.text)
    expect(/Dissolve[^.]*\./.exec(steps.join(' '))![0]).not.toMatch(/soda|powder|yogurt/)
    expect(answer('balance', { text, region: 'us' }).findings.filter((f) => f.severity === 'fault')).toEqual([])
  })

  it('sugar and fat stay near the baker’s own where only eggs go', () => {
    const text =
      'Chocolate ring\n240 ml stout\n225 g butter\n70 g cocoa\n250 g plain flour\n400 g sugar\n1½ tsp bicarbonate of soda\n2 eggs\n160 g sour cream\nMethod\nSimmer the stout and butter, whisk in the cocoa. Whisk the flour, sugar and soda. Beat the eggs and sour cream, add the stout, then the flour. Bake at 175 C for 45 minutes.'
    for (const l of first(text, ['eggless']).lines.filter((x) => /^sugar|^butter/.test(x.ingredient)))
      expect(l.to).toBeGreaterThanOrEqual(0.88 * l.from)
  })
})

describe('meringues', () => {
  const PLAIN =
    'Pavlova\n6 egg whites\n330 g caster sugar\n2 tsp cornflour\n1 tsp vinegar\n300 ml cream\nMethod\nWhisk the whites to firm peaks. Whisk in the sugar. Fold in the cornflour and vinegar. Pile on to a lined tray. Bake at 120 C for 90 minutes. Whip the cream and pile on.'
  const NUTTY =
    'Hazelnut meringue\n4 egg whites\n250 g caster sugar\n1 tsp vinegar\n125 g ground hazelnuts\nMethod\nWhisk the whites until stiff. Whisk in the sugar and vinegar. Fold in the nuts. Divide between two 20 cm tins. Bake at 190 C for 35 minutes.'

  it.each([
    ['plain', PLAIN],
    ['with nuts', NUTTY],
  ])('%s: judged as what it is, and whipped from bean-can liquid without egg', (_, text) => {
    expect(answer('balance', { text, region: 'uk' }).findings.filter((f) => f.severity !== 'note')).toEqual([])
    const option = first(text, ['eggless'])
    expect(option.schools).toContain('aquafaba')
    expect(option.lines.find((l) => l.ingredient === 'sugar-white')!.to).toBeGreaterThan(245)
  })

  it('a whole-egg nut torte with three times its sugar is none', () => {
    const text =
      'Almond torte\n6 eggs\n540 g sugar\n200 g ground almonds\nMethod\nWhisk the eggs and sugar until thick. Fold in the almonds. Bake in a 23 cm tin at 170 C for 40 minutes.'
    expect(answer('balance', { text, region: 'uk' }).findings.some((f) => f.code === 'over-sugared' && f.severity !== 'note')).toBe(true)
  })
})

describe('what stands for crumbs, grits, leaves and soured milk', () => {
  it('semolina is replaced by grits, and flour beside it by flour', () => {
    const text =
      'Semolina cake\n200 g fine semolina\n150 g sugar\n250 g yogurt\n80 ml oil\n2 tsp baking powder\nMethod\nMix the semolina, sugar and baking powder. Stir in the yogurt and oil. Bake in a 20 cm tin at 180 C for 35 minutes.'
    expect(
      first(text, ['gluten-free'])
        .lines.filter((l) => l.to > 0)
        .map((l) => l.ingredient),
    ).toContain('flour-cornmeal')
    expect(words(text, ['gluten-free'])).not.toMatch(/semolina/)
  })

  it('a crust is never made of starch alone', () => {
    const text =
      'Cheesecake\nPastry\n220 g plain flour\n130 g butter\n1 egg yolk\n\nFilling\n500 g cream cheese\n3 eggs\n120 g sugar\n30 g fresh breadcrumbs\nMethod\nRub the butter into the flour, bind with the yolk and line a 23 cm tin. Beat the filling, stir in the crumbs and pour in. Bake at 170 C for 50 minutes.'
    const crust = first(text, ['eggless', 'gluten-free']).lines.filter((l) => l.partIndex === 0 && l.to > 50)
    expect(crust.map((l) => l.ingredient)).toContain('flour-gf-blend')
    expect(words(text, ['eggless', 'gluten-free'])).toMatch(/crumbs/)
  })

  it('crumbs that coat a tin suit the table too', () => {
    const text =
      'Sticky cake\n2 eggs\n250 g sugar\n90 g flour\n100 g butter, melted\n30 g cocoa\nbreadcrumbs for the tin\nMethod\nButter a 22 cm tin and coat with breadcrumbs. Stir the eggs and sugar, mix in the rest. Bake at 175 C for 20 minutes.'
    expect(words(text, ['gluten-free'])).toMatch(/coat with gluten-free breadcrumbs/)
  })

  it('milk that was soured does not go in a second time', () => {
    const text =
      'Loaf\n175 g self-raising flour\n175 g butter\n175 g sugar\n3 eggs\n3 tbsp milk\nMethod\nPut the flour, butter, sugar, eggs and milk in a bowl and beat until smooth. Bake in a 900 g loaf tin at 180 C for 45 minutes.'
    const option = answer('reformulate', { text, region: 'uk', goals: ['eggless'], schools: { use: ['soured-milk-soda'], exclude: [] } })
      .options[0]!
    const told = option.method.map((m) => m.text).join('\n')
    expect(told).toMatch(/soured milk/)
    expect(told).not.toMatch(/and milk in a bowl/)
  })

  it('agar is not squeezed out', () => {
    const text =
      'Set cheesecake\nBase\n200 g digestive biscuits\n90 g butter\n\nFilling\n400 g cream cheese\n100 g sugar\n\nTop\n200 ml orange juice\n30 g sugar\n3 leaves gelatine\nMethod\nCrush the biscuits with the butter and press in a 20 cm tin. Beat the cheese and sugar and spread over. Soak the gelatine in cold water 5 minutes. Warm the juice and sugar, squeeze out the gelatine and stir it in. Pour over and chill 3 hours.'
    const told = words(text, ['vegan'])
    expect(told).toMatch(/agar/)
    expect(told).not.toMatch(/squeeze|soak/i)
  })

  it('what joins “all in a bowl” stands in one bracket within the sentence', () => {
    const text =
      'All in one\n170 g margarine\n170 g sugar\n3 eggs\n170 g self-raising flour\n2 tsp baking powder\nMethod\nAll in a bowl, beat 2 mins. Split between two 18 cm tins. 170 (fan 160) 25 mins.'
    expect(words(text, ['eggless'])).toMatch(/All in a bowl \(with the [^()]+\), beat 2 mins\. Split/)
  })

  it('cookies stay cookies', () => {
    const text =
      'Cheesecake\nBase\n200 g cookies\n90 g butter\n\nFilling\n500 g cream cheese\n2 eggs\n100 g sugar\nMethod\nCrush the cookies, mix with the butter and press in a 20 cm tin. Beat the cheese, eggs and sugar and pour over. Bake at 160 C for 45 minutes.'
    expect(words(text, ['gluten-free'])).toMatch(/gluten-free cookies/)
  })
})
