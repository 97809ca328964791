import { describe, expect, test } from 'vitest'
import type { Observation } from '@/core/records/observation.ts'
import { emptySheet, useBench } from '@/web/features/identify/benchStore.ts'
import type { Sheet } from '@/web/features/identify/sheet.ts'
import { heardSheet, withoutLook } from '@/web/features/identify/heardSheet.ts'

// What a person who talks while holding a plant would expect of the answers; common practice, no source.
const is = (character: string, state: string, sureness: 'sure' | 'guess' = 'sure'): Observation => ({
  character,
  states: [state],
  sureness,
})
const sheet = (more: Partial<Sheet> = {}): Sheet => ({ ...emptySheet, id: 'one', ...more })
const looks = (s: Sheet) => s.answers.map((a) => `${a.character} ${'states' in a ? a.states.join() : ''}`)

describe('what a text says of a plant, word upon word', () => {
  test('a correction takes the place of what was said before it', () => {
    const first = heardSheet(sheet(), 'rolled', [is('vernation', 'rolled')], {})
    const then = heardSheet(first, 'rolled, no, folded', [is('vernation', 'folded')], { month: 5 })
    expect(looks(then)).toEqual(['vernation folded'])
    expect(then.context).toEqual({ month: 5 })
    // One step back is the whole text.
    expect(then.past).toEqual([[]])
  })

  test('what was answered by hand is not overruled by words, said before or after it', () => {
    const byHand = sheet({ answers: [is('auricle', 'absent')] })
    const heard = heardSheet(byHand, 'claws, folded', [is('auricle', 'clasping'), is('vernation', 'folded')], {})
    expect(looks(heard)).toEqual(['auricle absent', 'vernation folded'])
  })

  test('what was said and then changed by hand stays as changed while the talk goes on', () => {
    const { hear, answer } = useBench.getState()
    useBench.setState({ sheets: { plant: sheet() } })
    hear('plant', 'folded', [is('vernation', 'folded')], {})
    answer('plant', [is('vernation', 'rolled')])
    hear('plant', 'folded, no claws', [is('vernation', 'folded'), is('auricle', 'absent')], {})
    expect(looks(useBench.getState().sheets.plant!)).toEqual(['vernation rolled', 'auricle absent'])
  })

  test('a reading that was taken away stays away, however surely it is said, until something else is said of the same look', () => {
    const heard = heardSheet(sheet(), 'hairy', [is('blade.hairs', 'hairy')], {})
    const gone = withoutLook(heard, 'blade.hairs')
    expect(looks(gone)).toEqual([])
    const more = heardSheet(gone, 'hairy, folded', [is('blade.hairs', 'hairy', 'guess'), is('vernation', 'folded')], {})
    expect(looks(more)).toEqual(['vernation folded'])
    const other = heardSheet(more, 'hairless, folded', [is('blade.hairs', 'hairless'), is('vernation', 'folded')], {})
    expect(looks(other)).toEqual(['blade.hairs hairless', 'vernation folded'])
  })

  test('an answer by hand that is taken away may still be said', () => {
    const gone = withoutLook(sheet({ answers: [is('vernation', 'folded')] }), 'vernation')
    expect(looks(heardSheet(gone, 'folded', [is('vernation', 'folded')], {}))).toEqual(['vernation folded'])
  })

  test('a line that was emptied begins anew', () => {
    const gone = withoutLook(heardSheet(sheet(), 'hairy', [is('blade.hairs', 'hairy')], {}), 'blade.hairs')
    const empty = heardSheet(gone, ' ', [], {})
    expect(looks(heardSheet(empty, 'hairy', [is('blade.hairs', 'hairy')], {}))).toEqual(['blade.hairs hairy'])
  })

  test('the same words read again change nothing; a word taught meanwhile does', () => {
    const heard = heardSheet(sheet(), 'zebra, folded', [is('vernation', 'folded')], {})
    expect(heardSheet(heard, 'zebra, folded', [is('vernation', 'folded')], {})).toBe(heard)
    const taught = heardSheet(heard, 'zebra, folded', [is('vernation', 'folded'), is('base.color', 'pink')], {})
    expect(looks(taught)).toEqual(['vernation folded', 'base.color pink'])
  })

  test('one step back takes the whole text back, and what is said next is heard', () => {
    const { hear, undo } = useBench.getState()
    useBench.setState({ sheets: { plant: sheet({ answers: [is('auricle', 'absent')] }) } })
    hear('plant', 'folded', [is('vernation', 'folded')], {})
    hear('plant', 'folded, flat', [is('vernation', 'folded'), is('shoot', 'flat')], {})
    undo('plant')
    expect(looks(useBench.getState().sheets.plant!)).toEqual(['auricle absent'])
    hear('plant', 'folded, flat, red', [is('vernation', 'folded'), is('shoot', 'flat')], {})
    expect(looks(useBench.getState().sheets.plant!)).toEqual(['auricle absent', 'vernation folded', 'shoot flat'])
  })
})
