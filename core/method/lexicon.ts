import { table } from '../language/lexicon'

const words = (list: string): ReadonlySet<string> => new Set(list.trim().split(/\s+/))

/** How a verb of the kitchen is meant before its things and places are known. */
export type VerbClass =
  | 'whip'
  | 'mix'
  | 'fold'
  | 'rub'
  | 'melt'
  | 'boil'
  | 'cook'
  | 'bake'
  | 'grease'
  | 'put'
  | 'divide'
  | 'cool'
  | 'chill'
  | 'freeze'
  | 'wait'
  | 'unmould'
  | 'poke'
  | 'hollow'
  | 'cut'
  | 'spread'
  | 'pipe'
  | 'roll'
  | 'scatter'
  | 'soak'
  | 'strain'
  | 'heat'
  | 'fry'
  | 'serve'
  | 'soften'
  | 'infuse'
  | 'other'

const CLASSES: Readonly<Record<VerbClass, string>> = {
  whip: 'cream beat whisk whip work froth',
  mix: 'mix stir add sift sieve combine blend whizz process pulse incorporate dissolve toss mash puree liquidise liquidize dump throw knead loosen thin season blitz grind crush crumble join unite rice grate peel zest juice chop squeeze break crack separate make alternate enrich flavour colour tint swirl marble measure slake bind coat drop integrate include introduce whiten temper rain stream shoot trickle fling slip chuck bung tumble',
  fold: 'fold draw heave',
  rub: 'rub',
  melt: 'melt brown',
  boil: 'boil simmer bubble scald bring reduce caramelise caramelize thicken',
  cook: 'cook steam microwave roast toast',
  bake: 'bake',
  grease: 'grease line butter flour oil spray prepare paper bread starch',
  put: 'put empty pour pile spoon scrape tip transfer turn place drop ladle press level smooth fill lay set take pop slide return scoop squash push arrange pile shape pack pat ease shake tap bang distribute dollop spin fan',
  divide: 'divide split halve share',
  cool: 'cool',
  chill: 'chill refrigerate',
  freeze: 'freeze',
  wait: 'leave let stand rest keep allow wait sit give prove store hold hang remain stay',
  unmould: 'unmould unmold demould demold invert flip overturn release remove lift peel upend unwrap free upturn reverse',
  poke: 'poke prick pierce stab skewer',
  hollow: 'hollow core',
  cut: 'cut slice trim score mark shave',
  spread: 'spread frost ice sandwich stick coat cover glaze mask crown layer assemble stack mount smear swoop slather daub',
  pipe: 'pipe',
  roll: 'roll unroll reroll wind',
  scatter: 'dust shower dot sprinkle scatter decorate top garnish drizzle finish dredge stud sugar snow strew',
  soak: 'soak dip brush drench moisten imbibe feed',
  strain: 'strain drain pass',
  heat: 'heat warm preheat light reheat',
  fry: 'fry',
  serve: 'serve eat enjoy devour rush',
  soften: 'soften bloom',
  infuse: 'infuse steep',
  other:
    'test check scrape wash rinse dry wrap repeat switch do watch stop continue weigh run reserve save discard open close start begin finish use try see know tent rotate adjust have get call read protect tilt dampen lower raise increase adjust position swap ensure',
}

/** The class of every verb; one that stands in two has the first. */
export const VERB_CLASS = table<VerbClass>(
  Object.fromEntries(
    (Object.entries(CLASSES) as [VerbClass, string][]).reverse().flatMap(([cls, list]) => list.split(' ').map((v) => [v, cls])),
  ),
)

/** Irregular forms, and past forms that stand for an act in declarative kitchens ("are beaten", "is baked"). */
export const PARTICIPLES = table<string>(
  Object.fromEntries(
    Object.keys(VERB_CLASS)
      .flatMap((v) => {
        const double = /[aeiou][bdgmnprt]$/.test(v) && v.length <= 5 ? v + v.at(-1)! : v
        const stem = v.endsWith('e') ? v.slice(0, -1) : double
        return [
          [`${stem}ed`, v],
          [`${v}ed`, v],
          [v.endsWith('e') ? `${v}d` : `${stem}ed`, v],
          [v.endsWith('y') && !/[aeiou]y$/.test(v) ? `${v.slice(0, -1)}ied` : `${v}ed`, v],
        ] as [string, string][]
      })
      .concat([
        ['stuck', 'stick'],
        ['drawn', 'draw'],
        ['shaken', 'shake'],
        ['given', 'give'],
        ['hung', 'hang'],
        ['frozen', 'freeze'],
        ['broken', 'break'],
        ['beaten', 'beat'],
        ['put', 'put'],
        ['cut', 'cut'],
        ['set', 'set'],
        ['left', 'leave'],
        ['kept', 'keep'],
        ['spread', 'spread'],
        ['taken', 'take'],
        ['made', 'make'],
        ['ground', 'grind'],
      ]),
  ),
)

/** Gerunds and third persons: "adding", "folds". */
export function baseOf(word: string): { verb: string; form: 'base' | 'gerund' | 'third' } | undefined {
  if (word in VERB_CLASS) return { verb: word, form: 'base' }
  if (word.endsWith('ing') && word.length > 5) {
    const stem = word.slice(0, -3)
    for (const v of [stem, `${stem}e`, stem.replace(/(.)\1$/, '$1')]) if (v in VERB_CLASS) return { verb: v, form: 'gerund' }
  }
  if (/[^s]s$/.test(word)) {
    for (const v of [word.slice(0, -1), word.replace(/es$/, ''), word.replace(/ies$/, 'y')])
      if (v in VERB_CLASS) return { verb: v, form: 'third' }
  }
  return undefined
}

/** Verbs that are as often nouns: they need an object behind them, or the start of a sentence before. */
export const NOUN_VERBS =
  words(`cream butter bread flour oil ice zest juice sugar snow layer form stand rest set cover heat cut place press top dust mark cool roll mix fold work
  score share spray glaze light paper line finish drain core freeze boil puree brown rice coat crown test run dry level smooth thin free season colour flavour bind
  fan starch drop store hold serve warm scoop rub fry soak dip brush pass stick draw toast sandwich stack mount crumble swirl marble feed measure keep start open close switch stop use see have get do try read split halve spin hang peel grate take call save watch tent adjust mask`)
/** Of these the ones that are verbs nearly always. */
export const MOSTLY_VERBS = words(
  'fold mix cool set place press roll cut fill keep take heat cover stand top dust drop serve rub brush chill soak freeze leave work finish sandwich drain smooth level warm hang boil peel split',
)

/** Words that open a condition, a warning or a sign; no verb inside them acts. */
export const UNTIL = words('until till untill')
export const IF = words('if unless should provided')
export const WHEN = words('when once while whilst as after before during whenever')
export const NOT = words("don't dont not never without avoid no careful beware")
export const ADVERBS =
  words(`now next finally lastly whereupon shortly meanwhile thickly thinly loosely gently carefully slowly quickly gradually lightly immediately thoroughly well just also again first second third afterwards
  meantime alternatively vigorously briefly evenly loosely firmly generously simply really only always please gradually energetically delicately
  separately together straight alternately repeatedly constantly subsequently roughly finely coarsely you we i one they she he`)

/** Places, by the words that name them. */
export const PLACES = {
  oven: /\bovens?\b|\bowen\b|\b(?:oven )?(?:shelf|rack of the oven)\b/,
  fridge: /\b(?:fridge|refrigerator|ref|chiller)\b|\bin the cold\b|\bsomewhere cold\b|\bcold place\b|\bcool place\b/,
  freezer: /\bfreezer\b/,
  tin: /\b(?:tins?|pans?|mou?lds?|trays?|cases|liners|dish(?:es)?|springform|cups|capsules|papers|sheet|form|ring|ramekins?|mugs?|skillet|dabba|sufuria|bundt|holes|base|crust|tube)\b/,
  hob: /\b(?:saucepan|sauce pan|pot|heavy pan|small pan|frying pan|stove|hob|heat|flame|fire|burner|double boiler|bain-?marie|simmering water|hot water|boiling water|microwave)\b/,
  rack: /\b(?:racks?|wire|grille?|grid)\b/,
  cake: /\b(?:cakes?|loaf|loaves|sponges?|muffins?|cupcakes?|layers?|buns?|top|sides|squares|slices?|roll|basbousa|torte|brownies?|bars|crepes?|cr[eê]pes?|each one|holes|hollows|bundt|traybake|slab|roulade)\b/,
  bowl: /\b(?:bowls?|basin|mixer|processor|jug|blender|vessel)\b/,
  cloth: /\b(?:towel|cloth|tea towel|paper|parchment)\b/,
} as const
export type Place = keyof typeof PLACES
