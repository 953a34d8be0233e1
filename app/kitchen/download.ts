import { writeJsonLd, writeText } from '../../core/formats/jsonld'
import type { Recipe } from '../../core/recipe/recipe'
import type { Version } from './database'

/** Hands a file to the browser's own download. */
export function download(name: string, type: string, content: string | Uint8Array<ArrayBuffer>) {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

const fileName = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60) || 'recipe'

export const downloadText = (recipe: Recipe): void =>
  download(`${fileName(recipe.title)}.txt`, 'text/plain;charset=utf-8', writeText(recipe))

export const downloadJsonLd = (recipe: Recipe): void =>
  download(`${fileName(recipe.title)}.json`, 'application/ld+json', JSON.stringify(writeJsonLd(recipe), null, 2))

/** All recipes in one schema.org document, for when the browser keeps nothing. */
export const downloadAll = (versions: readonly Version[]): void =>
  download(
    'kind-crumb-recipes.json',
    'application/ld+json',
    JSON.stringify(
      { '@context': 'https://schema.org', '@graph': versions.map((v) => ({ ...writeJsonLd(v.recipe), alternateName: v.name })) },
      null,
      2,
    ),
  )
