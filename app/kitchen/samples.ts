import { ask } from './core'
import { newId, type OwnTin, type Stock, type StoredRecipe, type Version } from './database'
import { readTin } from '../../core/language/tin'

const FILES = import.meta.glob<string>('../../demo/*.txt', { query: '?raw', import: 'default', eager: true })

/** The sample that arrives with a version already worked out, and how. */
const REFORMULATED = { file: 'blackcurrant-vanilla-sandwich', goals: ['eggless'], schools: ['yogurt-soda'] }

/** What stands in the harbour hall's cupboard: id, grams (`null`: plenty), months until it is best before. */
const STOCK: [id: string, grams: number | null, months?: number][] = [
  ['flour-plain', 1500, 7],
  ['flour-self-raising', 1000, 5],
  ['sugar-white', 2000],
  ['sugar-icing', 500],
  ['sugar-brown', 450],
  ['butter-unsalted', 750, 1],
  ['oil-vegetable', 920, 9],
  ['egg-whole', 612],
  ['milk-whole', 1030],
  ['yogurt-plain', 500],
  ['baking-powder', 170, 11],
  ['baking-soda', 200],
  ['salt', null],
  ['vanilla-extract', 60],
  ['jam', 340],
  ['coconut-desiccated', 200, 6],
  ['vinegar', null],
]
const TINS = ['20 cm round x2', '23 cm springform', '12 cupcakes', '900 g loaf', '20x30 cm', '25 cm fluted']
const MONTH = 30.4 * 24 * 3600 * 1000

function sampleCupboard(at: number): { stock: Stock[]; tins: OwnTin[] } {
  return {
    stock: STOCK.map(([id, grams, months]) => ({
      id,
      grams,
      bestBefore: months ? new Date(at + months * MONTH).toISOString().slice(0, 10) : null,
      note: '',
      updatedAt: at,
    })),
    tins: TINS.map((text, i) => ({ id: newId(), tin: readTin(text)!, note: '', updatedAt: at + i })),
  }
}

/** Reads the sample kitchen from its files through the same reader as any paste. */
export async function readSamples(): Promise<{ recipes: StoredRecipe[]; versions: Version[]; stock: Stock[]; tins: OwnTin[] }> {
  const recipes: StoredRecipe[] = []
  const versions: Version[] = []
  const start = Date.now()
  let order = 0
  for (const [path, text] of Object.entries(FILES)) {
    const { recipe, questions } = await ask('parse', { text, region: 'uk' })
    const at = start - order++ * 60_000
    const stored: StoredRecipe = { id: newId(), title: recipe.title, sample: true, createdAt: at, updatedAt: at }
    const given: Version = {
      id: newId(),
      recipeId: stored.id,
      parentId: null,
      name: 'As given',
      recipe,
      questions,
      source: text,
      goals: [],
      schools: [],
      note: '',
      bakedAt: null,
      boxes: [],
      createdAt: at,
      updatedAt: at,
    }
    recipes.push(stored)
    versions.push(given)
    if (!path.includes(REFORMULATED.file)) continue
    const { options } = await ask('reformulate', {
      recipe,
      region: 'uk',
      goals: REFORMULATED.goals,
      schools: REFORMULATED.schools,
      limit: 1,
    })
    const option = options[0]
    if (option)
      versions.push({
        ...given,
        id: newId(),
        parentId: given.id,
        name: option.title,
        recipe: option.recipe,
        source: '',
        goals: REFORMULATED.goals,
        schools: option.schools,
        createdAt: at + 1,
        updatedAt: at + 1,
      })
  }
  return { recipes, versions, ...sampleCupboard(start) }
}
