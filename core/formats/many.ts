import { Refusal } from '../refusal'
import type { Kitchen } from '../recipe/text'
import type { Region } from '../measure/region'
import type { ParsedRecipe } from '../recipe/recipe'
import { readGiven } from '../method/given'
import { readJsonLdAll } from './jsonld'

/** Most recipes taken from one file. */
export const MOST_RECIPES = 2000
/** A rule of three signs or more, alone on its line, parts one recipe from the next. */
const RULE = /^[ \t]*(?:-{3,}|={3,}|\*{3,}|_{3,}|(?:\* ){2,}\*)[ \t]*$/m

/**
 * Reads every recipe of a text or file.
 *
 * Text with several recipes has a line of dashes between them; recipe files and saved pages may hold a list. A part
 * between rules in which nothing is measured (a note, a greeting) is passed over.
 *
 * @throws Refusal where there is none, or more than a shelf takes at once
 */
export function readMany(content: string, region: Region | Kitchen): ParsedRecipe[] {
  const text = content.trim()
  if (text.startsWith('<') || /^[[{]/.test(text)) return readJsonLdAll(text, region, MOST_RECIPES)
  const pieces = text.split(RULE).filter((p) => p.trim())
  if (pieces.length > MOST_RECIPES)
    throw new Refusal('too-large', `This holds ${pieces.length} recipes; ${MOST_RECIPES} are taken at once.`, 'text')
  if (pieces.length < 2) return [readGiven(content, region)]
  const read = pieces.map((p) => readGiven(p, region))
  const real = read.filter((r) => r.recipe.parts.some((p) => p.lines.some((l) => l.grams.best > 0)))
  // Rules within one recipe (under its title, before its method) part nothing.
  return real.length > 1 ? real : [readGiven(text.replace(new RegExp(RULE, 'gm'), ''), region)]
}
