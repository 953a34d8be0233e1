import { ask } from './core'
import { newId, type StoredRecipe, type Version } from './database'

const FILES = import.meta.glob<string>('../../demo/*.txt', { query: '?raw', import: 'default', eager: true })

/** The sample that arrives with a version already worked out, and how. */
const REFORMULATED = { file: 'blackcurrant-vanilla-sandwich', goals: ['eggless'], schools: ['yogurt-soda'] }

/** Reads the sample kitchen from its files through the same reader as any paste. */
export async function readSamples(): Promise<{ recipes: StoredRecipe[]; versions: Version[] }> {
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
  return { recipes, versions }
}
