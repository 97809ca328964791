import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { groupColour, groupHatch } from '@/web/parts/groupMarks.ts'
import { roundMetres } from '@/web/parts/roundMetres.ts'

const css = readFileSync('web/app.css', 'utf8')
type Colours = Record<string, string>

/** Colours of a light: those of the day, with what it changes. */
function coloursOf(mode: 'day' | 'sun' | 'dusk'): Colours {
  const block = (head: string) => {
    const from = css.indexOf(`${head} {`)
    return Object.fromEntries(
      [...css.slice(from, css.indexOf('}', from)).matchAll(/--([\w-]+): (#[0-9a-f]{6})/g)].map((m) => [m[1], m[2]]),
    ) as Colours
  }
  return { ...block(':root'), ...(mode === 'day' ? {} : block(`:root[data-mode='${mode}']`)) }
}

/** Contrast of two colours: WCAG 2.2, relative luminance and contrast ratio. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [red, green, blue] = [1, 3, 5].map((i) => {
      const c = parseInt(hex.slice(i, i + 2), 16) / 255
      return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
    })
    return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!
  }
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y)
  return (light! + 0.05) / (dark! + 0.05)
}

const GROUNDS = ['husk', 'glaucous', 'sheet']

describe('contrast', () => {
  it('is worked out as WCAG does: black on white is 21, #777777 on white 4.48', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 10)
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2)
  })

  describe.each(['day', 'sun', 'dusk'] as const)('by %s', (mode) => {
    const of = coloursOf(mode)

    // WCAG 2.2, 1.4.3: text against its ground at least 4.5.
    it.each(['ink', 'ink-soft', 'culm', 'harm'])('words in %s are read on every ground', (ink) => {
      for (const ground of GROUNDS) expect(contrast(of[ink]!, of[ground]!), ground).toBeGreaterThanOrEqual(4.5)
    })

    it('words on what is pressed and on the one next thing are read', () => {
      expect(contrast(of['on-culm']!, of['culm']!)).toBeGreaterThanOrEqual(4.5)
      expect(contrast(of['on-straw']!, of['straw']!)).toBeGreaterThanOrEqual(4.5)
      expect(contrast(of['harm']!, of['harm-wash']!)).toBeGreaterThanOrEqual(4.5)
    })

    // WCAG 2.2, 1.4.11: marks that carry meaning at least 3.
    it('the mark of every group stands out from every ground', () => {
      for (const group of Object.keys(groupHatch))
        for (const ground of GROUNDS)
          expect(contrast(of[`group-${group}`]!, of[ground]!), `${group} on ${ground}`).toBeGreaterThanOrEqual(3)
    })
  })
})

describe('groups', () => {
  it('are told apart without colour: no two have the same hatch', () => {
    const hatches = Object.values(groupHatch)
    expect(new Set(hatches).size).toBe(hatches.length)
    expect(groupColour('harm')).toBe('var(--group-harm)')
  })
})

describe('the bar of a map', () => {
  it('is 1, 2 or 5 times a power of ten, the longest that fits', () => {
    expect([7, 49, 50, 199, 3000].map(roundMetres)).toEqual([5, 20, 50, 100, 2000])
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1e6, noNaN: true }), (rough) => {
        const bar = roundMetres(rough)
        expect(bar).toBeLessThanOrEqual(rough * (1 + 1e-9))
        expect(rough / bar).toBeLessThan(2.5 + 1e-9)
        expect(Number((bar / 10 ** Math.floor(Math.log10(bar) + 1e-9)).toPrecision(6))).toSatisfy((k: number) =>
          [1, 2, 5].includes(k),
        )
      }),
    )
  })
})
