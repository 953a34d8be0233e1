import type { Region } from '../../core/measure/region'

/** Kitchens by name, as an adjective: "American cups". */
export const KITCHEN_NAMES: Readonly<Record<Region, string>> = {
  us: 'American',
  uk: 'British',
  eu: 'European',
  au: 'Australian',
  in: 'Indian',
}

/** Countries whose cooks measure as a region does. */
const COUNTRIES: Readonly<Record<Region, readonly string[]>> = {
  us: ['US', 'CA', 'PR', 'PH'],
  uk: ['GB', 'IE', 'MT', 'ZA', 'KE', 'NG'],
  au: ['AU', 'NZ'],
  in: ['IN', 'PK', 'BD', 'LK', 'NP'],
  eu: ['DE', 'FR', 'ES', 'IT', 'NL', 'SE', 'DK', 'NO', 'FI', 'PL', 'AT', 'CH', 'PT', 'GR', 'CZ', 'BE', 'TR', 'UA', 'HU', 'RO'],
}

/** The kitchen of a browser's languages, best first; British where they tell nothing. */
export function regionOfLanguages(languages: readonly string[]): Region {
  for (const language of languages) {
    const country = /[-_]([A-Z]{2})\b/.exec(language)?.[1]
    const region = (Object.keys(COUNTRIES) as Region[]).find((r) => country !== undefined && COUNTRIES[r].includes(country))
    if (region) return region
    if (/^(?:de|fr|es|it|nl|sv|da|nb|fi|pl|pt|el|cs|tr|uk|hu|ro)\b/.test(language)) return 'eu'
    if (/^(?:hi|bn|ta|te|mr|gu|ur)\b/.test(language)) return 'in'
  }
  return 'uk'
}
