import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

/** Pairs that stand on each other somewhere, with the least ratio that WCAG 2.2 AA asks: 4.5 for text, 3 for edges and marks. */
const PAIRS: [front: string, back: string, least: number, where: string][] = [
  ['ink', 'enamel', 4.5, 'text on panels'],
  ['ink', 'ground', 4.5, 'text on the page'],
  ['ink', 'mist', 4.5, 'text in fields'],
  ['ink', 'butter-soft', 4.5, 'text on what needs a look'],
  ['ink', 'beet-soft', 4.5, 'text on what is chosen'],
  ['quiet', 'enamel', 4.5, 'quiet text on panels'],
  ['quiet', 'ground', 4.5, 'quiet text on the page'],
  ['quiet', 'mist', 4.5, 'quiet text in fields'],
  ['quiet', 'butter-soft', 4.5, 'quiet text on what needs a look'],
  ['beet', 'enamel', 4.5, 'what the baker changes'],
  ['beet', 'beet-soft', 4.5, 'what is chosen'],
  ['on-beet', 'beet', 4.5, 'pressed chips'],
  ['on-spruce', 'spruce-strong', 4.5, 'main buttons'],
  ['spruce', 'enamel', 4.5, 'links'],
  ['spruce', 'ground', 4.5, 'links on the page'],
  ['rim', 'enamel', 3, 'rims of panels and fields'],
  ['rim', 'ground', 3, 'rims against the page'],
  ['spruce', 'sound', 3, 'mark in a sound band (its shape and number say the same)'],
  ['beet', 'ground', 3, 'focus ring on the page'],
  ['beet', 'mist', 3, 'focus ring on fields'],
]

const css = readFileSync(new URL('tokens.css', import.meta.url), 'utf8')
const [lightCss, darkCss] = css.split("data-theme='dark'") as [string, string]
const tokens = (text: string) => Object.fromEntries([...text.matchAll(/--([a-z-]+):\s*(#[0-9a-f]{6})/gi)].map((m) => [m[1]!, m[2]!]))
const light = tokens(lightCss)
const dark = { ...light, ...tokens(darkCss) }

/** Relative luminance of a colour (WCAG 2.2). */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
}
const ratio = (a: string, b: string): number => {
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p) as [number, number]
  return (x + 0.05) / (y + 0.05)
}

describe('contrast of the colours that stand on each other', () => {
  it('is the ratio of WCAG', () => {
    expect(ratio('#000000', '#ffffff')).toBeCloseTo(21)
    expect(ratio('#767676', '#ffffff')).toBeCloseTo(4.54, 1)
  })

  it.each(PAIRS)('%s on %s is at least %d, in light and dark', (front, back, least) => {
    expect(ratio(light[front]!, light[back]!)).toBeGreaterThanOrEqual(least)
    expect(ratio(dark[front]!, dark[back]!)).toBeGreaterThanOrEqual(least)
  })

  it('is tabled', async () => {
    const rows = PAIRS.map(
      ([f, b, least, where]) =>
        `| ${where} | ${f} on ${b} | ${least} | ${ratio(light[f]!, light[b]!).toFixed(1)} | ${ratio(dark[f]!, dark[b]!).toFixed(1)} |`,
    )
    await expect(
      `# Contrast\n\nMeasured from \`app/assets/tokens.css\` by \`app/assets/contrast.test.ts\`; the ratio is that of WCAG 2.2.\n\n| where | colours | least | light | dark |\n|---|---|---|---|---|\n${rows.join('\n')}\n`,
    ).toMatchFileSnapshot('../../docs/tables/contrast.md')
  })
})
