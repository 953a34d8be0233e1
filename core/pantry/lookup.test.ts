import { describe, expect, it } from 'vitest'
import { searchPantry } from './lookup'
import { PANTRY } from './pantry'

describe('searching the pantry', () => {
  it('searches by the beginnings of words', () => {
    expect(searchPantry('self rais').map((i) => i.id)).toContain('flour-self-raising')
    expect(searchPantry('').length).toBe(PANTRY.length)
    expect(searchPantry('sgar')[0]?.id).toMatch(/sugar/)
  })
})
