import { expectNothingCutOff, openShelf, test } from './kitchen'
import { SCREENS } from './screens'

/** So many screens share one visit: all that is asked of them is that nothing is cut off. */
const AT_ONCE = 4
const screens = Object.entries(SCREENS)

for (let i = 0; i < screens.length; i += AT_ONCE) {
  const some = screens.slice(i, i + AT_ONCE)
  test(`text at twice its size: ${some.map(([name]) => name).join(', ')}`, async ({ page }) => {
    for (const [name, reach] of some)
      await test.step(name, async () => {
        await openShelf(page)
        await reach(page)
        await expectNothingCutOff(page)
      })
  })
}
