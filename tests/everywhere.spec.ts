import { expectNoBarriers, expectNothingCutOff, openShelf, test } from './kitchen'
import { SCREENS } from './screens'

for (const [name, reach] of Object.entries(SCREENS)) {
  test(`${name}: no barrier in light or dark, nothing past the edge`, async ({ page }) => {
    await openShelf(page)
    await reach(page)
    // Colours and names are the same at every width: dark is measured once.
    for (const theme of test.info().project.name === 'desk' ? ['light', 'dark'] : ['light']) {
      await page.evaluate((t) => (document.documentElement.dataset.theme = t), theme)
      await expectNoBarriers(page)
    }
    await expectNothingCutOff(page)
  })
}
