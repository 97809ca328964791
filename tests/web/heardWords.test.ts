import { describe, expect, it } from 'vitest'
import { heardWords } from '@/web/features/identify/saying/heardWords.ts'

describe('what a browser heard', () => {
  it('is the text beside the number, which stand on the kind of thing that a browser gives', () => {
    const kind = {}
    Object.defineProperty(kind, 'confidence', { enumerable: true, get: () => 0.93 })
    Object.defineProperty(kind, 'anyName', { enumerable: true, get: () => 'rolled, no claws' })
    expect(heardWords(Object.create(kind) as object)).toBe('rolled, no claws')
  })

  it('is nothing where nothing was heard', () => {
    expect(heardWords(undefined)).toBe('')
    expect(heardWords({ confidence: 0.1 })).toBe('')
  })
})
