import type { Context, Sureness } from '../records/observation.ts'
import type { Asked, Description, Read } from './description.ts'
import { amountsOf, countAt, type Amount } from './amounts.ts'
import { meantBy, measuredCharacter } from './meant.ts'
import { settled } from './settle.ts'
import { has, stepsOf, unreadOf, wordsOf, type Step } from './steps.ts'
import { complementOf, lackOf } from './absence.ts'
import { charactersRightAfter, listGoesOn, NONE_AFTER, onlyPassed, pieceEnd, tellsOfPlant } from './following.ts'
import type { Entry, Meaning, Vocabulary } from './vocabulary.ts'

/** What holds while a sentence is read. */
interface State {
  sureness: Sureness | undefined
  /** Said to be missing, until the end of the list. */
  negated: boolean
  /** Nothing that follows is of this plant. */
  away: '' | 'phrase' | 'sentence'
  /** What follows takes the place of what was said of the same. */
  correcting: boolean
  /** So many of so many, of what is said from there on. */
  count: { some: number; all: number; from: number } | undefined
  /** Parts named in this piece of the sentence, with their places, and the last one before it. */
  parts: { part: string; at: number }[]
  carried: string | undefined
}

/** Turns of speech that say nothing themselves. */
const EMPTY = new Set<Entry['is']>(['here', 'foreign', 'contrast', 'alternative'])

/** Words before a noun that make it no subject: "flat on the ground", "flat as a ruler". */
const AT = new Set(['on', 'in', 'by', 'at', 'to', 'from', 'near', 'with', 'under', 'like', 'as', 'along', 'against', 'into', 'for', 'behind', 'around', 'after', 'the_', 'auf', 'im', 'am', 'in', 'an', 'bei', 'wie', 'mit', 'unter', 'neben', 'vom', 'zum']) // prettier-ignore

/** Words of which nothing is asked where it is not said of what they are. */
const SILENT = new Set(['long', 'short', 'thick', 'thin', 'tall-part', 'short-part', 'swollen', 'none', 'white', 'green', 'pale', 'brown', 'yellow', 'black', 'straw', 'open', 'closed', 'smooth', 'wide', 'as-wide-as-long', 'twice-as-long', 'several-times-as-long', 'many-times-as-long']) // prettier-ignore
const round = (mm: number): number => Math.round(mm * 100) / 100

/**
 * What a text says of a plant, as observations: the vocabulary's phrases, their parts, negations, sureness, sizes and counts.
 * What is said of something else (a neighbour, a book, last year, the dog) is left out; a word that may mean two things is
 * asked about. Nothing is guessed that was not said. Deterministic; at most 10,000 characters are read.
 *
 * @returns observations with the span of text each stands on, in the order they were said
 */
export function describe(vocabulary: Vocabulary, text: string, given: Context = {}): Description {
  const tokens = wordsOf(text, vocabulary)
  const steps = stepsOf(tokens, vocabulary)
  const amounts = amountsOf(tokens, vocabulary)
  const observations: (Read & { sentence: number; corrects: boolean; either: boolean; ruledOut?: boolean })[] = []
  /** The word read last, so that "none" behind it can turn it round. */
  let lastPut: { meant: Meaning[]; first: number; last: number; from: number } | undefined
  const questions: Asked[] = []
  const context: Context = { ...given }
  const understood = new Set<number>()
  const fresh = (): State => ({ sureness: undefined, negated: false, away: '', correcting: false, count: undefined, parts: [], carried: undefined }) // prettier-ignore
  let state = fresh()
  let sentence = 0
  let at = 0
  const spanOf = (first: number, last: number): [number, number] => [tokens[first]!.from, tokens[last]!.to]
  const wordsFrom = (first: number, last: number) => text.slice(...spanOf(first, last))

  const put = (meaning: Meaning, first: number, last: number, negative: boolean, either: boolean) => {
    const base = {
      character: meaning.character,
      span: spanOf(first, last),
      phrase: wordsFrom(first, last),
      ...(state.sureness && state.sureness !== 'sure' ? { sureness: state.sureness } : {}),
      sentence,
      corrects: state.correcting,
      either,
    }
    if (meaning.range) return void (!negative && observations.push({ ...base, values: meaning.range }))
    const { count } = state
    const [yes, ...further] = meaning.states!
    const states = negative ? complementOf(meaning.character, meaning.states!, vocabulary) : meaning.states!
    if (states.length === 0) return
    if (count && first >= count.from && further.length === 0) {
      const no = lackOf(meaning.character, meaning.states!).find((s) => s !== yes)
      const some = negative ? count.all - count.some : count.some
      observations.push({ ...base, counts: { [yes!]: some, ...(no ? { [no]: count.all - some } : {}) } })
      return
    }
    observations.push({ ...base, states, ...(negative ? { ruledOut: true } : {}) })
  }

  const readAmount = (amount: Amount) => {
    const character = measuredCharacter(vocabulary, amount, state.parts, state.carried)
    for (let i = amount.first; i <= amount.last; i++) understood.add(i)
    const [least, most] = vocabulary.ranges.get(character ?? '') ?? [0, 0]
    if (!character || amount.low < least || amount.high > most) return
    const base = { character, span: spanOf(amount.first, amount.last), phrase: wordsFrom(amount.first, amount.last), ...(state.sureness && state.sureness !== 'sure' ? { sureness: state.sureness } : {}), sentence, corrects: state.correcting, either: false } // prettier-ignore
    if (amount.low === amount.high) observations.push({ ...base, value: round(amount.low) })
    else observations.push({ ...base, values: [round(amount.low), round(amount.high)] })
  }

  while (at < tokens.length) {
    const end = pieceEnd(at, tokens)
    const here = steps.filter((s) => s.first >= at && s.first <= end)
    state.parts = here.flatMap((s) => s.parts)
    const sizes = amounts.filter((a) => a.first >= at && a.first <= end)
    const counted = tokens
      .slice(at, end + 1)
      .map((_, k) => countAt(tokens, at + k, vocabulary))
      .find(Boolean)
    if (counted) state.count = { ...counted, from: counted.next }
    // How sure a piece is said to be: "2 mm at a guess" as well as "I think 2 mm".
    const said = here.flatMap((s, k) => s.entries.flatMap((e) => (e.is === 'sureness' && tokens[s.first - 1]?.raw !== 'or' ? [{ ...e, k }] : []))) // prettier-ignore
    if (said.length > 0) state.sureness = said.at(-1)!.sureness
    const onlySure = said.length > 0 && here.every((s) => has(s.entries, 'sureness')) && sizes.length === 0
    if (onlySure) for (const o of observations.filter((x) => x.sentence === sentence).slice(-1)) o.sureness = state.sureness ?? 'sure' // prettier-ignore
    if (state.away === 'phrase') state.away = ''
    let foreign = false
    let lastWord: { at: number; characters: string[] } | undefined
    for (const step of here) {
      const { entries, first, last } = step
      if (entries.some((e) => !EMPTY.has(e.is))) for (let i = first; i <= last; i++) understood.add(i)
      const previous = tokens[first - 1]
      if (has(entries, 'here') && (first === at || state.away === 'phrase') && !has(entries, 'word')) {
        if (state.away === 'phrase' || (state.away === 'sentence' && first === at && tokens[first]!.raw !== 'it')) state.away = '' // prettier-ignore
        foreign = false
      }
      if (has(entries, 'contrast')) {
        state.away = ''
        state.negated = false
        state.sureness = undefined
        state.count = undefined
      }
      // "It does not smell" tells of the plant, "I have not smelled" of the nose.
      if ((has(entries, 'unread') && !tellsOfPlant(step, previous)) || has(entries, 'elsewhere')) {
        state.away = 'sentence'
        continue
      }
      if (has(entries, 'comparison')) state.away = 'phrase'
      if (has(entries, 'correction')) {
        state.correcting = true
        state.negated = false
        continue
      }
      if (has(entries, 'negator') && !has(entries, 'word')) {
        // "Auricles: none" says of the word before it that there are none.
        if (
          lastPut &&
          NONE_AFTER.has(tokens[last]!.raw) &&
          step === here.at(-1) &&
          onlyPassed(lastPut.last, first, tokens, vocabulary)
        ) {
          observations.length = lastPut.from
          for (const m of lastPut.meant) put(m, lastPut.first, last, true, false)
          continue
        }
        // "No, solid": what was said is taken back.
        if ((tokens[last]!.raw === 'no' || tokens[last]!.raw === 'nein') && tokens[last]!.break !== '') {
          state.correcting = true
          state.negated = false
        } else state.negated = true
        continue
      }
      if (has(entries, 'foreign') && !has(entries, 'word') && !has(entries, 'part')) {
        const before = previous && ['the', 'a', 'my', 'der', 'die', 'das', 'dem', 'den', 'ein', 'our'].includes(previous.raw) ? tokens[first - 2] : previous // prettier-ignore
        const subject = !(before && AT.has(before.raw) && first > at) && !here.some((s) => s.first < first && (has(s.entries, 'word') || has(s.entries, 'part'))) // prettier-ignore
        if (subject) foreign = true
      }
      readContext(entries, here, step)
      if (state.away !== '' || foreign) continue
      const word = entries.find((e) => e.is === 'word')
      if (!word) continue
      const meanings = vocabulary.meanings.get(word.concept)!
      // "Like milk" is no milk; "pink sap" is no pink base.
      if (previous && (previous.raw === 'like' || previous.raw === 'wie') && first > at && /^(sap|life|flower)/.test(word.concept)) continue // prettier-ignore
      const noun = here.find((s) => s.first > last && has(s.entries, 'part') && tokens.slice(last + 1, s.first).every((t) => vocabulary.passed.has(t.raw)))?.parts[0]?.part // prettier-ignore
      if (noun && !(noun in meanings) && !('any' in meanings)) continue
      const meant = meantBy(
        meanings,
        state.parts.filter((p) => p.at < first || p.at > last || first < last),
        state.carried,
        first,
      )
      if (!meant) {
        if (SILENT.has(word.concept) || word.concept.endsWith('-smell')) continue
        questions.push({ span: spanOf(first, last), phrase: wordsFrom(first, last), characters: [...new Set(Object.values(meanings).flat().map((m) => m.character))] }) // prettier-ignore
        continue
      }
      const or = tokens
        .slice(Math.max(0, first - 3), first)
        .some((t) => ['or', 'oder', 'maybe', 'either'].includes(t.raw))
      const either = or && !state.negated && lastWord !== undefined && meant.some((m) => lastWord!.characters.includes(m.character)) // prettier-ignore
      // "Does not smell of mint": what follows says which of them it lacks.
      lastPut = state.negated || word.negative ? undefined : { meant, first, last, from: observations.length }
      const follows = word.negative ? charactersRightAfter(last, here, tokens, vocabulary) : []
      for (const m of meant)
        if (!follows.includes(m.character)) put(m, first, last, state.negated && !word.negative, either)
      lastWord = { at: last, characters: meant.map((m) => m.character) }
      // After a word that is itself a "none" the list may go on: "no claws or hairs".
      if (word.negative) state.negated = true
      if (tokens[last + 1] && ['and', 'with', 'und', 'mit', 'just', 'only', 'nur', 'sondern'].includes(tokens[last + 1]!.raw)) state.negated = false // prettier-ignore
    }
    if (state.away === '' && !foreign) sizes.forEach(readAmount)
    const lastPart = state.parts.at(-1)?.part
    if (lastPart) state.carried = lastPart
    if (tokens[end]!.break === 'hard') {
      const correcting = state.correcting && here.every((s) => !has(s.entries, 'word'))
      state = { ...fresh(), correcting }
      sentence++
    } else {
      if (!listGoesOn(end + 1, tokens)) state.negated = false
      if (!onlySure && !state.correcting && said.length === 0) state.sureness = undefined
    }
    at = end + 1
  }

  function readContext(entries: Entry[], here: Step[], step: Step): void {
    const index = here.indexOf(step)
    for (const e of entries) {
      if (e.is === 'stage' && state.away === '' && !state.negated) context.stage ??= e.stage
      else if (e.is === 'month' && state.away === '') context.month ??= e.month
      else if (e.is === 'region' && state.away === '' && !state.negated) context.region ??= e.region
      else if (e.is === 'ground' && state.away === '' && !state.negated)
        context.ground = [...new Set([...(context.ground ?? []), e.ground])] // prettier-ignore
      else if (e.is === 'plant') {
        const before = here.slice(0, index).reverse().find((s) => has(s.entries, 'sown') || has(s.entries, 'elsewhere') || has(s.entries, 'comparison')) // prettier-ignore
        if (before && has(before.entries, 'sown')) context.sown = [...new Set([...(context.sown ?? []), e.plant])]
      }
    }
  }

  return {
    observations: settled(observations, vocabulary),
    questions,
    unread: unreadOf(tokens, understood, vocabulary),
    context,
  }
}
