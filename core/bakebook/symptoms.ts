/** What can be seen, felt or tasted of a bake that went wrong; each has a picture of its own on the screen. */
export const SYMPTOMS = {
  sank: 'sank in the middle',
  flat: 'hardly rose',
  domed: 'domed, peaked or cracked on top',
  overflowed: 'rose over the tin',
  dense: 'close and heavy',
  coarse: 'coarse, with large holes',
  tunnels: 'tunnels',
  dry: 'dry',
  crumbly: 'crumbles when cut',
  gummy: 'gummy or wet layer',
  raw: 'raw in the middle',
  greasy: 'greasy',
  tough: 'tough, rubbery or chewy',
  pale: 'pale',
  dark: 'too dark outside',
  stuck: 'stuck to the tin',
  leaked: 'leaked from the tin',
  'too-sweet': 'too sweet',
  'not-sweet': 'not sweet enough',
  sour: 'sour',
  soapy: 'soapy or metallic',
  eggy: 'tastes of egg',
  soft: 'too soft to stack',
  'fruit-sank': 'fruit or nuts sank',
  'sticky-top': 'sticky top',
  gritty: 'sandy or gritty',
  shrank: 'shrank from the side, wrinkled',
  'cracked-roll': 'cracked when rolled',
} as const
export type Symptom = keyof typeof SYMPTOMS
export const SYMPTOM_CODES = Object.keys(SYMPTOMS) as Symptom[]

/** Symptoms that are two looks at one thing: who names both has not seen twice as much. */
export const LINKED: readonly (readonly Symptom[])[] = [
  ['flat', 'dense'],
  ['raw', 'gummy'],
  ['dry', 'crumbly'],
  ['coarse', 'tunnels'],
  ['overflowed', 'domed'],
  ['sticky-top', 'too-sweet'],
  ['sour', 'soapy'],
]
