import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { MarksChart, type MarkRow } from '@/web/ui/charts/MarksChart.tsx'
import { MonthStrip } from '@/web/ui/charts/MonthStrip.tsx'
import { ShareChart, type ShareRow } from '@/web/ui/charts/ShareChart.tsx'
import { WeightedBars } from '@/web/ui/charts/WeightedBars.tsx'

// Where marks stand, measured on what is drawn: a bar as long as its share, a whisker from limit to limit, an area that is
// what a plant brings. Lengths are compared with one another, so that no scale of the chart is taken on trust.

/** Attributes of the elements of a kind, in the order they are drawn. */
function drawn(markup: string, tag: string): Record<string, string>[] {
  return [...markup.matchAll(new RegExp(`<${tag} ([^>]*?)/?>`, 'g'))].map(([, inside]) =>
    Object.fromEntries([...inside!.matchAll(/([\w-]+)="([^"]*)"/g)].map(([, name, value]) => [name!, value!])),
  )
}
const textsOf = (markup: string): string[] =>
  [...markup.matchAll(/<text[^>]*>(.*?)<\/text>/g)].map(([, t]) => t!.replace(/<title>.*?<\/title>|<[^>]+>/g, ''))
const number = (s: string | undefined) => Number(s)
/** From and to of a whisker: "M10 5H30 …". */
const whiskers = (markup: string): [number, number][] =>
  drawn(markup, 'path')
    .map(({ d }) => /^M([\d.]+) [\d.]+H([\d.]+)M/.exec(d ?? ''))
    .filter((m) => m !== null)
    .map((m) => [Number(m[1]), Number(m[2])])

const share = (estimate: number, interval?: [number, number]): ShareRow['share'] =>
  ({ estimate, ...(interval ? { interval } : {}) }) as ShareRow['share']

describe('shares with their intervals', () => {
  const rows: ShareRow[] = [
    { id: 'a', name: 'Perennial ryegrass', group: 'cool-grass', share: share(0.4, [0.3, 0.5]) },
    { id: 'b', name: 'Tansy ragwort', group: 'forb', harmful: true, share: share(0.1, [0.05, 0.2]) },
    { id: 'c', name: 'White clover', group: 'legume', share: share(0.2) },
  ]
  const markup = renderToStaticMarkup(createElement(ShareChart, { rows, label: 'Made of' }))
  const bars = drawn(markup, 'rect').filter((r) => r.fill?.startsWith('url'))

  it('each bar is as long as its share', () => {
    const lengths = bars.map((b) => number(b.width))
    expect(lengths[0]! / lengths[1]!).toBeCloseTo(4, 6)
    expect(lengths[0]! / lengths[2]!).toBeCloseTo(2, 6)
  })

  it('a whisker runs from one limit to the other, its dot at the end of the bar; no interval, no whisker', () => {
    const found = whiskers(markup)
    expect(found).toHaveLength(2)
    const zero = number(bars[0]!.x)
    const perShare = number(bars[0]!.width) / 0.4
    for (const [i, [low, high]] of found.entries()) {
      const [from, to] = rows[i]!.share.interval!
      expect((low - zero) / perShare).toBeCloseTo(from, 6)
      expect((high - zero) / perShare).toBeCloseTo(to, 6)
    }
    const dots = drawn(markup, 'circle').map((c) => number(c.cx))
    bars.forEach((b, i) => expect(dots[i]).toBeCloseTo(number(b.x) + number(b.width), 6))
  })

  it('says the figures beside each bar, and of the harmful that it is', () => {
    expect(markup).toMatch(/harmful:/)
    const figures = textsOf(markup).join('\n')
    expect(figures).toMatch(/40.%/)
    expect(figures).toMatch(/30.to.50/)
  })

  it('a harmful plant has the hatching of harm, in print as on the screen', () => {
    expect(bars.map((b) => b.fill)).toEqual(['url(#hatch-cool-grass)', 'url(#hatch-harm)', 'url(#hatch-legume)'])
  })

  it('can be reached by keys and says what it shows only where it can be chosen', () => {
    expect(markup).not.toMatch(/role="button"/)
    const choose = renderToStaticMarkup(createElement(ShareChart, { rows, label: 'l', chosen: 'b', onChoose: () => 0 }))
    expect(choose.match(/tabindex="0"/g)).toHaveLength(3)
    expect(choose).toMatch(/aria-label="Tansy ragwort 10.% \(5.to.20.%\)"/)
    expect(choose.match(/aria-pressed="true"/g)).toHaveLength(1)
  })

  it('without rows is an axis and nothing else', () => {
    const none = renderToStaticMarkup(createElement(ShareChart, { rows: [], label: 'l' }))
    expect(drawn(none, 'circle')).toEqual([])
    expect(none).not.toMatch(/NaN|Infinity/)
  })
})

describe('figures against their marks', () => {
  const row = (patch: Partial<MarkRow>): MarkRow => ({ id: 'r', name: 'Legumes', figure: '22 %', estimate: 0.22, interval: [0.15, 0.3], mark: 0.4, below: true, speaks: false, says: 'all of it', ...patch }) // prettier-ignore
  const draw = (rows: MarkRow[]) =>
    renderToStaticMarkup(createElement(MarksChart, { rows, label: 'Says', words: (s: number) => `${s * 100}` }))

  it('the side that speaks is hatched: from the mark down, or from the mark up', () => {
    const markup = draw([row({ id: 'a', below: true }), row({ id: 'b', below: false, mark: 0.4 })])
    const [down, up] = drawn(markup, 'rect')
    expect(number(down!.x) + number(down!.width)).toBeCloseTo(number(up!.x), 6)
    expect(number(down!.x)).toBeLessThan(number(up!.x))
  })

  it('the dot stands on the side of the mark on which the figure is', () => {
    for (const [estimate, before] of [
      [0.22, true],
      [0.55, false],
    ] as const) {
      const markup = draw([row({ estimate, interval: [estimate - 0.05, estimate + 0.05] })])
      const mark = drawn(markup, 'path').map(({ d }) => /^M([\d.]+) [\d.]+v26/.exec(d ?? '')).find((m) => m !== null)! // prettier-ignore
      expect(number(drawn(markup, 'circle')[0]!.cx) < Number(mark[1])).toBe(before)
    }
  })

  it('what speaks is bold, what does not is there all the same', () => {
    expect(draw([row({ speaks: true })])).toMatch(/font-bold/)
    expect(draw([row({ speaks: false })])).not.toMatch(/font-bold/)
    expect(draw([row({ speaks: false })])).toMatch(/Legumes/)
  })
})

describe('what each plant brings', () => {
  const bars = [
    { id: 'a', name: 'Perennial ryegrass', group: 'cool-grass' as const, weight: 0.62, value: 12, range: [10, 14] as const }, // prettier-ignore
    { id: 'b', name: 'White clover', group: 'legume' as const, weight: 0.33, value: 24, range: [20, 27] as const },
    { id: 'c', name: 'Dock', group: 'forb' as const, weight: 0.05, value: 18, range: [15, 20] as const },
  ]
  const middle = 0.62 * 12 + 0.33 * 24 + 0.05 * 18
  const markup = renderToStaticMarkup(createElement(WeightedBars, { bars, middle, label: 'Protein', unit: '%' }))
  const rects = drawn(markup, 'rect').map((r) => ({ x: number(r.x), y: number(r.y), w: number(r.width), h: number(r.height) })) // prettier-ignore

  it('areas are as what is brought, and bars stand side by side without a gap', () => {
    const areas = rects.map((r) => r.w * r.h)
    const brought = bars.map((b) => b.weight * b.value)
    areas.forEach((a, i) => expect(a / areas[0]!).toBeCloseTo(brought[i]! / brought[0]!, 6))
    rects.slice(1).forEach((r, i) => expect(r.x).toBeCloseTo(rects[i]!.x + rects[i]!.w, 6))
  })

  it('the line of all together encloses as much as the bars do', () => {
    const base = rects[0]!.y + rects[0]!.h
    const across = drawn(markup, 'path').find((p) => p['stroke-width'] === '2.4')!
    const [, from, height, to] = /^M([\d.]+) ([\d.]+)H([\d.]+)/.exec(across.d!)!.map(Number)
    const under = (to! - from!) * (base - height!)
    expect(under / rects.reduce((s, r) => s + r.w * r.h, 0)).toBeCloseTo(1, 6)
  })

  it('a narrow bar has no word that would run over its neighbour, but its name is there to be read', () => {
    expect(textsOf(markup).join()).not.toMatch(/Dock/)
    expect(markup).toMatch(/<title>Dock<\/title>/)
  })
})

describe('the year as a strip', () => {
  const rows = [{ id: 'r', name: 'Tansy ragwort', months: [3, 4, 5], harmful: true }]
  const strip = (day: string, shows?: 'ahead') =>
    renderToStaticMarkup(createElement(MonthStrip, { rows, label: 'Year', day, ...(shows ? { shows } : {}) }))

  it('has twelve months, those of the row hatched', () => {
    const months = drawn(strip('2027-05-04'), 'rect')
    expect(months).toHaveLength(12)
    expect(months.map((m) => m.fill === 'url(#hatch-harm)')).toEqual([...'000111000000'].map((x) => x === '1'))
    const wide = months.map((m) => number(m.width))
    // February is the shortest, and all together are the year.
    expect(Math.min(...wide)).toBe(wide[1])
  })

  it('today stands within its month, as far on as the day is', () => {
    const markup = strip('2027-05-16')
    const may = drawn(markup, 'rect')[4]!
    const today = drawn(markup, 'path').find((p) => p['stroke-dasharray'] === '3 3')!
    const at = Number(/^M([\d.]+)/.exec(today.d!)![1])
    expect((at - number(may.x)) / number(may.width)).toBeCloseTo(15 / 31, 2)
  })

  it('looking ahead it begins a month back, and says which year begins', () => {
    const texts = textsOf(strip('2027-11-20', 'ahead'))
    expect(texts.slice(0, 4)).toEqual(['O', 'N', 'D', '’28'])
    const hatched = drawn(strip('2027-11-20', 'ahead'), 'rect').map((m) => m.fill === 'url(#hatch-harm)')
    expect(hatched.indexOf(true)).toBe(6)
  })
})
