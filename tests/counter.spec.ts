import type { Page } from '@playwright/test'
import { expect, expectNoBarriers, openRecipe, openShelf, place, test } from './kitchen'

const heading = (page: Page) => page.getByRole('heading', { level: 1 })
const onward = (page: Page) => page.getByRole('button', { name: /^(Done: |Go on without|Take it out already)/ })
async function begin(page: Page, title: string) {
  await openShelf(page)
  await openRecipe(page, title)
  await place(page, 'Counter')
  await page.getByRole('button', { name: /Begin|begin/ }).click()
}

test('one bake with scale and probe, a killed tab, and on where it stood', async ({ page, context }) => {
  await begin(page, 'Coffee-hazelnut layers')
  await expect(heading(page)).toHaveText('Cream the butter and sugar.')
  await expect(page.getByRole('list', { name: 'Not to forget' })).toContainText('Heat the oven to 175 °C')
  await page
    .getByRole('list', { name: 'Not to forget' })
    .getByRole('button', { name: /Heat the oven/ })
    .click()
  await expectNoBarriers(page)

  // Weighed: the bowl is known, the stand-in is poured onto, and what is left is typed from a scale of one's own.
  await page.getByText('Bowl and sums').click()
  await page.getByLabel('Empty bowl, g').fill('700')
  await page.keyboard.press('Tab')
  const scale = page.getByRole('region', { name: /^On the scale/ })
  await expect(scale).toContainText('880 g')
  await scale.getByRole('button', { name: 'Pour (simulated)' }).click()
  await scale.getByRole('button', { name: /In, next|Take it so/ }).click()
  await expect(page.getByRole('button', { name: /^unsalted butter/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(scale).toContainText('light brown sugar until it reads')
  const target = Number(/reads\s*(\d+) g/.exec((await scale.textContent())!)![1])
  expect(target).toBeGreaterThan(1070)
  expect(target).toBeLessThan(1090)
  await scale.getByLabel('What the scale reads, g').fill(String(target))
  await scale.getByRole('button', { name: 'Take', exact: true }).click()
  await expect(page.getByRole('button', { name: /^light brown sugar/ })).toHaveAttribute('aria-pressed', 'true')

  // Nothing is forgotten by accident: the first press says what is open.
  await onward(page).click()
  await expect(heading(page)).toHaveText('Beat in the eggs one by one.')
  await onward(page).click()
  await expect(onward(page)).toHaveText(/Go on without .*egg/)
  await page.getByRole('button', { name: /^(large )?eggs/ }).click()
  await onward(page).click()
  await expect(heading(page)).toHaveText(/^Fold in the flour/)
  for (const key of ['1', '2', '3', '4']) await page.keyboard.press(key)
  await expect(page.getByText('Should look like:')).toBeVisible()
  await page.getByRole('button', { name: /^\+ 1 tbsp/ }).click()
  await expect(page.getByText(/1 added/)).toContainText(/flows [\d.]+ → [\d.]+/)
  await page.keyboard.press('ArrowRight')
  await page.getByRole('button', { name: 'It is in the oven' }).click()
  await expect(page.getByText(/^Look in \d+ min$/)).toBeVisible()
  await page.getByRole('button', { name: 'a minute a second, to try it' }).click()
  const middle = page.getByRole('region', { name: /^In the middle/ })
  await expect(middle).toContainText(/\d+ °C of 9/)
  await expect(middle).toContainText(/About \d+ min more/, { timeout: 25_000 })

  // The tab dies; another one is opened on the same page.
  const { url } = { url: page.url() }
  const ran = page.getByRole('timer')
  await expect(ran).toHaveText(/^2[0-9]:/)
  const before = (await ran.textContent())!
  const other = await context.newPage()
  await page.close()
  await other.goto(url)
  await expect(heading(other)).toHaveText(/^Bake at 175 C/)
  await expect(other.getByRole('timer')).toHaveText(/^2[0-9]:/)
  expect((await other.getByRole('timer').textContent())! < before).toBe(true)
  await expect(other.getByRole('region', { name: /^In the middle/ })).toContainText(/\d+ °C of 9/)
  await other.getByRole('button', { name: 'Back' }).click()
  await expect(other.getByText(/1 added/)).toBeVisible()
  await other.getByRole('button', { name: /^Done: bake/ }).click()
  await other.getByRole('button', { name: /^Done: cool/ }).click()
  // Out of the oven its clock is over, and the ten minutes in the tin run by themselves.
  const running = other.getByRole('region', { name: 'Running' })
  await expect(running.getByRole('listitem')).toHaveCount(1)
  await expect(running).toContainText('In the tin')
  await expect(running.getByRole('timer')).toHaveText(/^(10:00|9:5\d)/)
  await other.getByRole('button', { name: /^Done: / }).click()
  for (const key of ['1', '2', '3']) await other.keyboard.press(key)
  await other.getByRole('button', { name: 'Done: fill the cold cake' }).click()
  await other.getByRole('button', { name: 'Done: that was the last' }).click()
  // The book has a page of it, with what was added, and the version is a record.
  await expect(other).toHaveURL(/\/book\//)
  await expect(other.getByLabel('liquid added')).toHaveValue('15')
  await other.getByRole('link', { name: 'As given' }).click()
  await expect(other.getByText('baked: a change makes a new version')).toBeVisible()
  await other.close()
})

test('timers call when it is time, however long the page was away', async ({ page }) => {
  await page.clock.install({ time: new Date('2027-06-12T09:00:00') })
  await begin(page, 'Poppy-seed loaf')
  for (let i = 0; i < 80 && !(await page.getByRole('button', { name: 'It is in the oven' }).isVisible()); i++) {
    await page.keyboard.press('ArrowRight')
    await page.waitForTimeout(80)
  }
  await page.keyboard.press('t')
  await expect(page.getByText(/^Look in \d+ min$/)).toBeVisible()
  // A finger that slipped takes nothing out of the oven.
  await onward(page).dblclick()
  await expect(onward(page)).toHaveText(/^Take it out already, after 0 min/)
  // On every other screen, and in the title of the tab.
  await place(page, 'Shelf')
  const strip = page.getByRole('complementary', { name: 'Timers' })
  await expect(strip).toContainText('In the oven · Poppy-seed loaf')
  await expect(page).toHaveTitle(/^\d+:\d\d In the oven · /)
  await expectNoBarriers(page)
  await page.clock.setFixedTime(new Date('2027-06-12T11:00:00'))
  await page.reload()
  await expect(strip.getByRole('alert')).toHaveText('Time is up: In the oven')
  await strip.getByRole('button', { name: 'Heard' }).click()
  await expect(strip.getByRole('alert')).toHaveCount(0)
  await strip.getByRole('link', { name: 'To the Counter' }).click()
  await expect(page.getByText('It should be done')).toBeVisible()
  await expect(page.getByRole('timer')).toHaveText(/^−/)
  await page.getByRole('button', { name: 'Not yet: four minutes more' }).click()
  await expect(page.getByRole('timer')).toHaveText(/^4:0/)
})

test('what can hurt somebody is read before it begins, once', async ({ page }) => {
  await openShelf(page)
  await openRecipe(page, 'Marmalade bundt')
  await page.getByRole('button', { name: 'no gluten', exact: true }).click()
  await page.getByRole('button', { name: 'Save version' }).click()
  await expect(page).toHaveURL(/bench/)
  await place(page, 'Counter')
  await expect(page.getByRole('heading', { name: 'Read this first' })).toBeVisible()
  await expect(page.getByText(/clean bowls, whisks and tins first/)).toBeVisible()
  await expectNoBarriers(page)
  await page.getByRole('button', { name: 'I have read it: begin' }).click()
  await expect(heading(page)).not.toHaveText('Marmalade bundt')
  await page.reload()
  await expect(page.getByText(/step 1 of/)).toBeVisible()
})

test('the stand-ins refuse nonsense in words', async ({ request }) => {
  const scale = await request.get('/api/devices/scale?from=-5')
  expect(scale.status()).toBe(400)
  expect((await scale.json()).error.message).toMatch(/between 0 and/)
  const probe = await request.get('/api/devices/probe?curve=hot&began=0')
  expect(probe.status()).toBe(400)
  expect((await probe.json()).error.message).toMatch(/minute:celsius/)
})

test('without hands: a lit screen, a voice, a swipe, and a sound when the time is up', async ({ page }) => {
  await page.clock.install()
  // What the browser would do with lamp, voice and loudspeaker is only noted down.
  await page.addInitScript(() => {
    const heard: string[] = []
    const still = { frequency: { value: 0 }, gain: { value: 0 }, connect: (to: unknown) => to, start: () => {}, stop: () => {} }
    class Loudspeaker {
      currentTime = 0
      destination = {}
      createOscillator = () => (heard.push('tone'), still)
      createGain = () => still
      close = () => Promise.resolve()
    }
    const lamp = () => Object.assign(new EventTarget(), { released: false, release: () => Promise.resolve() })
    Object.assign(window, { heard, AudioContext: Loudspeaker })
    Object.defineProperty(navigator, 'wakeLock', {
      value: { request: (what: string) => (heard.push(`lit ${what}`), Promise.resolve(lamp())) },
    })
    speechSynthesis.speak = (said) => void heard.push(`said ${said.text}`)
  })
  const heard = () => page.evaluate(() => (window as unknown as { heard: string[] }).heard)
  await begin(page, 'Coffee-hazelnut layers')
  await expect.poll(heard).toContain('lit screen')

  await page.keyboard.press('r')
  await expect.poll(async () => (await heard()).some((h) => h.startsWith('said ') && h.includes('Cream the butter and sugar'))).toBe(true)

  const swipe = (from: number, to: number) =>
    page.evaluate(
      ([a, b]) => {
        const on = document.querySelector('h1')!
        const at = (x: number) => [new Touch({ identifier: 1, target: on, clientX: x, clientY: 300 })]
        const tell = (type: string, x: number) =>
          on.dispatchEvent(new TouchEvent(type, { touches: at(x), changedTouches: at(x), bubbles: true, cancelable: true }))
        tell('touchstart', a!)
        tell('touchmove', (a! + b!) / 2)
        tell('touchmove', b!)
        tell('touchend', b!)
      },
      [from, to],
    )
  await swipe(300, 60)
  // Once more, later than a finger that slips.
  await page.clock.runFor(500)
  await swipe(300, 60)
  await expect(heading(page)).toHaveText('Beat in the eggs one by one.')
  await swipe(60, 300)
  await expect(heading(page)).toHaveText('Cream the butter and sugar.')

  await page.keyboard.press('t')
  await expect(page.getByRole('timer')).toBeVisible()
  expect(await heard()).not.toContain('tone')
  await page.clock.fastForward('01:30:00')
  await expect.poll(heard).toContain('tone')
})
