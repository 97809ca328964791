import { actWords, proposed } from '@/text/actWords.ts'
import { describe, expect, it } from 'vitest'
import { actionsFor, stockFirst } from '@/core/assess/harm/actions.ts'
import { daysAfter } from '@/core/records/days.ts'
import { stages } from '@/core/flora/flora.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const at = (id: string, stage: (typeof stages)[number], cm?: number) => actionsFor(plantsById.get(id)!, stage, cm)
const by = (school: string) => (a: { school: string }) => a.school === school

describe('what to do, by stage and height (common practice, no source)', () => {
  it('johnsongrass seedlings: up to 18 in, not above', () => {
    expect(at('johnsongrass', 'seedling', 45).now.some(by('herbicide'))).toBe(true)
    const tall = at('johnsongrass', 'seedling', 50)
    expect(tall.now.some(by('herbicide'))).toBe(false)
    expect(tall.noLonger.some((a) => a.school === 'herbicide' && a.tooTall)).toBe(true)
  })

  it.each(['fall-panicum', 'barnyardgrass'])('%s: up to 6 in', (id) => {
    expect(at(id, 'vegetative', 15).now.some(by('herbicide'))).toBe(true)
    expect(at(id, 'vegetative', 16).now.some(by('herbicide'))).toBe(false)
    expect(at(id, 'vegetative', 16).now.some(by('hands'))).toBe(true)
  })

  it('without a measured height nothing is called too tall', () => {
    expect(at('fall-panicum', 'vegetative').noLonger).toEqual([])
  })

  it('poison hemlock: rosette both schools, in flower only hands, flower heads first and bagged', () => {
    expect(
      at('poison-hemlock', 'rosette')
        .now.map((a) => a.school)
        .sort(),
    ).toEqual(['hands', 'herbicide'])
    const flower = at('poison-hemlock', 'flowering')
    expect(flower.now.map((a) => a.school)).toEqual(['hands'])
    expect(actWords(flower.now[0]!)).toMatch(/head.*root/)
    expect(flower.now[0]!.waste).toMatch(/bag/)
    expect(flower.noLonger.some((a) => a.tooLate)).toBe(true)
    expect(at('poison-hemlock', 'bolting').before).toBe('flowering')
  })

  it('johnsongrass: pieces of rhizome are not spread, and it takes two years at least', () => {
    const said = JSON.stringify(plantsById.get('johnsongrass')!.control)
    expect(said).toMatch(/no tilling that spreads pieces/)
    expect(said).toMatch(/two years at least/)
  })

  it('blistering plants are not touched without eye cover and gloves', () => {
    for (const id of ['giant-hogweed', 'wild-parsnip', 'cow-parsnip', 'poison-hemlock', 'water-hemlock'])
      for (const a of plantsById.get(id)!.control.filter((c) => c.school === 'hands'))
        expect(a.wear, `${id} ${a.stage}`).toContain('waterproof-gloves')
  })

  it('every plant has something to do at every stage, and every stage of a list says whether it still works', () => {
    for (const p of flora.plants)
      for (const stage of stages) {
        const { now, noLonger } = actionsFor(p, stage)
        expect(now.length + noLonger.length, `${p.id} ${stage}`).toBeGreaterThan(0)
      }
  })

  it('what comes next is never an earlier stage: a plantain rosette is before flowering', () => {
    expect(at('broadleaf-plantain', 'rosette').before).toBe('flowering')
    for (const p of flora.plants) for (const s of stages) expect(actionsFor(p, s).before, p.id).not.toBe('seedling')
  })

  it('every harmful plant has a list of its own with a way without herbicide', () => {
    for (const p of flora.plants.filter((x) => x.role === 'toxic')) expect(p.control.some(by('hands')), p.id).toBe(true)
  })
})

// Findings A5 and A7 of the outside reading of this part: the fast killers and those that add up are its lists.
describe('the stock first', () => {
  it.each([
    'water-hemlock',
    'poison-hemlock',
    'larkspurs',
    'hemp-dogbane',
    'common-milkweed',
    'death-camas',
    'foxglove',
    'perilla-mint',
    'black-nightshade',
    'cocklebur',
  ])('%s kills within hours: out today', (id) => {
    // prettier-ignore
    expect(stockFirst(plantsById.get(id)!, '2027-04-02')).toEqual({ act: 'stock-out-today', dueOn: '2027-04-02' })
  })

  it.each(['tansy-ragwort', 'bracken', 'locoweeds', 'field-horsetail', 'houndstongue'])(
    '%s adds up: out of the ration today',
    (id) => {
      // prettier-ignore
      expect(stockFirst(plantsById.get(id)!, '2027-04-02')).toEqual({ act: 'out-of-ration-today', dueOn: '2027-04-02' })
    },
  )

  it('no act on a poisonous plant goes into the plan without what becomes of the stock meanwhile', () => {
    for (const p of flora.plants.filter((x) => x.role === 'toxic')) {
      expect(stockFirst(p, '2027-04-02')!.dueOn <= '2027-04-16', p.id).toBe(true)
      for (const stage of stages)
        for (const act of actionsFor(p, stage).now) {
          const { text } = proposed(p, act, act.school, '2027-04-02')
          expect(text, `${p.id} ${stage}`).toMatch(act.school === 'herbicide' ? /Stock out until.*dead, dried and gone.*by the label/ : /Stock out until cut plants are carried out/) // prettier-ignore
        }
    }
  })

  it('another plant has none', () => {
    expect(stockFirst(plantsById.get('timothy')!, '2027-04-02')).toBeUndefined()
  })
})

describe('a line of the plan', () => {
  const hemlock = plantsById.get('poison-hemlock')!

  it('harm is due within a week, the return after the days the action names', () => {
    const [act] = at('poison-hemlock', 'rosette').now
    expect(proposed(hemlock, act!, 'hands', '2027-04-02')).toMatchObject({ dueOn: '2027-04-09', backOn: '2027-05-21' })
  })

  it('herbicide is always under the label and a licensed applicator', () => {
    const act = at('poison-hemlock', 'rosette').now.find(by('herbicide'))!
    expect(proposed(hemlock, act, 'herbicide', '2027-04-02').text).toMatch(/label and a licensed applicator decide/)
  })

  it('days go over months, leap days and the change of the clock', () => {
    expect(daysAfter('2028-02-28', 1)).toBe('2028-02-29')
    expect(daysAfter('2027-12-31', 1)).toBe('2028-01-01')
    expect(daysAfter('2027-03-27', 2)).toBe('2027-03-29')
  })
})
