import { afterEach, describe, expect, it } from 'vitest'
import { animalUnitMonths } from '@/core/assess/feed/grazingDays.ts'
import { askedConditions, grazingSystems } from '@/core/records/management.ts'
import { swardKinds } from '@/core/assess/grazing/sward.ts'
import { bales } from '@/core/assess/feed/hay.ts'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import { feedStates } from '@/core/assess/feed/feedStates.ts'
import { labExtras, type LabExtra } from '@/core/assess/feed/labResult.ts'
import { hazardGrades } from '@/core/assess/harm/hazards/hazard.ts'
import { TITLES } from '@/core/drawing/portrait/insetTitles.ts'
import {
  acutenesses,
  atRisk,
  bestTimes,
  doseParts,
  doseStates,
  doseTimes,
  grounds,
  harmKinds,
  protectiveItems,
  stages,
} from '@/core/flora/codes.ts'
import { abundanceWords, feedForms, frequencyWords, namePlaces, regions, sowingTimes } from '@/core/flora/flora.ts'
import { turfUses } from '@/core/flora/use.ts'
import { readFormats, writtenFiles } from '@/core/formats/formatIds.ts'
import { kitItems } from '@/core/methods/method.ts'
import { runnerGroups } from '@/core/naming/groupKey.ts'
import { pictureClasses } from '@/core/picture/classes.ts'
import { practiceKinds } from '@/core/practice/answer.ts'
import { frosts } from '@/core/records/conditions.ts'
import { grazings, swardStages } from '@/core/records/measures.ts'
import { methods } from '@/core/records/method.ts'
import { surenesses } from '@/core/records/observation.ts'
import { outlooks, partKinds, skipReasons } from '@/core/records/round.ts'
import { groups } from '@/core/records/taxon.ts'
import { bestTimeWords, meanwhileWords, wearWords } from '@/text/actWords.ts'
import { animalUnitWords } from '@/text/animalUnitWords.ts'
import { animalClassName, needsSourceWords } from '@/text/animalWords.ts'
import { certaintyWord, naturalFrequency } from '@/text/certaintyWords.ts'
import { codesListed, codeWords } from '@/text/codeWords.ts'
import { baleWords, feedStateWords } from '@/text/feedWords.ts'
import { formatName, writtenWords } from '@/text/formatWords.ts'
import { conditionEnds, conditionPartWords, grazingSystemWords, swardKindWords } from '@/text/grazingWords.ts'
import { doseOfWords, harmKindWords } from '@/text/harmWords.ts'
import { hazardGradeWords } from '@/text/hazardWords.ts'
import { insetWords } from '@/text/insetWords.ts'
import { labExtraWords } from '@/text/labWords.ts'
import { kitWords, methodWords } from '@/text/methodWords.ts'
import { partName } from '@/text/partWords.ts'
import { pictureClassWords } from '@/text/pictureWords.ts'
import { kindName } from '@/text/practiceWords.ts'
import { namePlaceWords, regionWords } from '@/text/regionWords.ts'
import { speak, translatorFrom } from '@/text/say.ts'
import { skipWords } from '@/text/skipWords.ts'
import { groupName } from '@/text/taxonNames.ts'
import { turfUseWords } from '@/text/turfWords.ts'
import { acutenessWords } from '@/text/verdictWords.ts'
import german from '../../web/language/texts/de.json'

// Every code of every list is said, in both languages, each by words of its own: a code that is shown as it stands
// ("grass-tetany"), two that read alike, or a text with a hole in it would be seen by whoever meets it first in a field.

interface Said {
  list: string
  codes: readonly string[]
  words: (code: never) => string
  /** Codes that may well read like another. */
  alike?: readonly string[]
  /** Words that are the same in German. */
  same?: readonly string[]
}

const said: Said[] = [
  { list: 'stages', codes: stages, words: codeWords },
  { list: 'frequencies', codes: frequencyWords, words: codeWords },
  { list: 'abundances', codes: abundanceWords, words: codeWords },
  { list: 'outlooks', codes: outlooks, words: codeWords },
  { list: 'parts of a paddock', codes: partKinds, words: codeWords },
  { list: 'grounds', codes: grounds, words: codeWords },
  { list: 'surenesses', codes: surenesses, words: codeWords },
  { list: 'growth of a sward', codes: swardStages, words: codeWords },
  { list: 'grazed', codes: grazings, words: codeWords },
  { list: 'frosts', codes: frosts, words: codeWords },
  { list: 'who is at risk', codes: atRisk, words: codeWords },
  { list: 'forms of feed', codes: feedForms, words: codeWords },
  { list: 'times to sow', codes: sowingTimes, words: codeWords },
  { list: 'runners', codes: runnerGroups, words: codeWords },
  { list: 'close looks', codes: [...new Set(Object.values(TITLES)), 'collar', 'leaf', 'leaflet'], words: insetWords },
  { list: 'kinds of harm', codes: harmKinds, words: (kind: never) => harmKindWords({ kind }) },
  { list: 'how it goes', codes: acutenesses, words: acutenessWords },
  { list: 'grades of a danger', codes: hazardGrades, words: hazardGradeWords },
  { list: 'what is worn', codes: protectiveItems, words: (item: never) => wearWords([item]) },
  { list: 'best times', codes: bestTimes, words: bestTimeWords },
  {
    list: 'parts of a dose',
    codes: doseParts.filter((p) => p !== 'not-said'),
    words: (part: never) => doseOfWords({ part }),
  },
  { list: 'classes of stock', codes: animalClasses.map((a) => a.id), words: animalClassName },
  {
    list: 'sources of needs',
    codes: [...new Set(animalClasses.map((a) => a.source))],
    words: needsSourceWords,
    alike: [],
  },
  { list: 'animal units', codes: Object.keys(animalUnitMonths), words: animalUnitWords },
  { list: 'states of feed', codes: feedStates, words: feedStateWords },
  { list: 'bales', codes: bales, words: baleWords },
  {
    list: 'figures of a laboratory',
    codes: Object.keys(labExtras) as LabExtra[],
    words: labExtraWords,
    same: ['pH', 'Formononetin, %', 'Magnesium, %'],
  },
  { list: 'kinds of sward', codes: swardKinds, words: swardKindWords },
  { list: 'ways of grazing', codes: grazingSystems, words: grazingSystemWords },
  { list: 'marks of condition', codes: askedConditions, words: conditionPartWords },
  { list: 'uses of turf', codes: turfUses, words: turfUseWords },
  { list: 'files written', codes: writtenFiles, words: writtenWords },
  { list: 'files read', codes: readFormats, words: formatName, same: ['Darwin Core', 'GeoJSON', 'KML', 'GPX'] },
  { list: 'methods', codes: methods, words: (m: never) => methodWords(m).name },
  { list: 'kit', codes: kitItems, words: kitWords },
  { list: 'parts of a picture', codes: pictureClasses, words: pictureClassWords },
  { list: 'kinds of practice', codes: practiceKinds, words: kindName },
  { list: 'regions', codes: regions, words: regionWords },
  { list: 'where names come from', codes: namePlaces, words: namePlaceWords },
  { list: 'reasons to skip', codes: skipReasons, words: skipWords },
  { list: 'groups', codes: groups, words: groupName },
]

/** A text that somebody can read: no hole, no code, no list that was put in by mistake. */
const whole = (text: string) =>
  text.trim().length > 0 && !/\{\{|\}\}|undefined|\[object|NaN|[a-z]-[a-z]+-[a-z]+-[a-z]+/.test(text)

afterEach(() => speak())

describe.each(said.map((s) => [s.list, s] as const))('%s', (_list, { codes, words, same = [] }) => {
  const of = (code: string) => words(code as never)

  it('has words for each code, and no two read alike', () => {
    expect(codes.length).toBeGreaterThan(1)
    const texts = codes.map(of)
    expect(texts.filter((t) => !whole(t))).toEqual([])
    expect(new Set(texts).size).toBe(codes.length)
  })

  it('has other words in German', () => {
    const english = codes.map(of)
    speak(translatorFrom(german as Record<string, string>), true)
    const there = codes.map(of)
    expect(there.filter((t) => !whole(t))).toEqual([])
    const untold = there.filter((t, i) => t === english[i] && !same.includes(t) && /[a-z]{3}/.test(t))
    expect(untold).toEqual([])
    expect(new Set(there).size).toBe(codes.length)
  })
})

describe('words made of several codes', () => {
  it('list them with commas, in their order', () => {
    expect(codesListed(['cattle', 'people'])).toBe('cattle, people')
    expect(codesListed([])).toBe('')
    expect(wearWords(['gloves', 'eye-cover'])).toMatch(/gloves.*eye/i)
  })

  it('a harm of several kinds names them all', () => {
    const both = harmKindWords({ kind: 'prussic-acid', also: ['nitrate'] })
    expect(both).toMatch(/prussic acid/i)
    expect(both).toMatch(/nitrate/i)
  })

  it('a dose says its part, its state and how it was taken', () => {
    const all = doseParts.flatMap((part) =>
      doseStates.flatMap((state) => doseTimes.map((taken) => doseOfWords({ part, state, taken }))),
    )
    expect(all.filter((t) => !whole(t))).toEqual([])
    expect(new Set(all).size).toBe(all.length)
  })

  it('each mark of condition has a poor and a good end, and they differ', () => {
    for (const part of askedConditions) {
      const [poor, good] = conditionEnds(part)
      expect([poor, good].every(whole)).toBe(true)
      expect(poor).not.toBe(good)
    }
  })

  it('what is not known yet is told of either school', () =>
    expect(meanwhileWords('hands')).not.toBe(meanwhileWords('herbicide')))

  it('a part of a paddock without a name is the rest, and the strip along the fence has its own', () => {
    expect(partName('')).toBe('the rest')
    expect(partName('Hollow')).toBe('Hollow')
  })
})

// Chances are said as natural frequencies (Gigerenzer and Hoffrage 1995), and never as certainty.
describe('how sure a name is', () => {
  it('is said in rising words, and the surest is not certain', () => {
    const steps = [0.01, 0.3, 0.55, 0.8, 0.92, 0.97, 0.995, 1]
    const words = steps.map(certaintyWord)
    expect(words.filter((w) => !whole(w))).toEqual([])
    expect(words.join(' ')).not.toMatch(/(?<!almost )certain|100 ?%|always/i)
  })

  it.each([
    [0.5, /1 in 2/],
    [0.9, /9 in 10/],
    [0.95, /19 in 20/],
    [0.99, /99 in 100/],
  ])('%f is %s', (p, frequency) => expect(naturalFrequency(p)).toMatch(frequency))

  it('a chance of one is said as more than the last step, not as all', () => {
    expect(naturalFrequency(1)).not.toMatch(/all|every|1 in 1\b/)
    expect(naturalFrequency(0)).not.toMatch(/never|none|0 in/)
  })
})
