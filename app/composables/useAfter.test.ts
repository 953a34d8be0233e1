import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { useAfter } from './useAfter'

/** Frames as the screen would give them, one when asked. */
let frames: (() => void)[] = []
const frame = async () => {
  const now = frames
  frames = []
  for (const f of now) f()
  await new Promise((r) => setTimeout(r))
}
beforeEach(() => {
  frames = []
  vi.stubGlobal('requestAnimationFrame', (f: () => void) => frames.push(f))
})
afterEach(() => void vi.unstubAllGlobals())

describe('what is drawn after the decision', () => {
  it('has its value from the first, and each new one so many frames later', async () => {
    const source = ref('a')
    const shown = useAfter(() => source.value, 2)
    expect(shown.value).toBe('a')
    source.value = 'b'
    await nextTick()
    await frame()
    expect(shown.value).toBe('a')
    await frame()
    expect(shown.value).toBe('b')
  })

  it('draws only the last of many', async () => {
    const source = ref(0)
    const shown = useAfter(() => source.value, 1)
    const seen: number[] = []
    for (let i = 1; i <= 5; i++) {
      source.value = i
      await nextTick()
    }
    for (let i = 0; i < 4; i++) {
      await frame()
      seen.push(shown.value)
    }
    expect([...new Set(seen)]).toEqual([5])
  })

  it('takes at once what there is nothing to draw of, and forgets what was on its way', async () => {
    const source = ref<string[]>(['way'])
    const shown = useAfter(
      () => source.value,
      3,
      (now) => now.length === 0,
    )
    source.value = ['another']
    await nextTick()
    source.value = []
    await nextTick()
    expect(shown.value).toEqual([])
    for (let i = 0; i < 5; i++) await frame()
    expect(shown.value).toEqual([])
  })
})
