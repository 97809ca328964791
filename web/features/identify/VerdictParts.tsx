import { certaintyWord, naturalFrequency } from '@/text/certaintyWords.ts'
import { inSentence } from '@/text/say.ts'
import { useMemo, type ReactNode } from 'react'
import { Link } from 'react-router'
import type { Candidate, Identification } from '@/core/naming/identify.ts'
import { eyeNote } from '@/core/naming/eyeNote.ts'
import type { Character, Plant, Stage } from '@/core/flora/flora.ts'
import { statesMeant } from '@/core/naming/likelihoods.ts'
import type { Observation } from '@/core/records/observation.ts'
import { PortraitView } from '../../parts/PortraitView.tsx'
import { characterTitle, stateWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { OursBesideLater } from '../../entities/specimen/OursBesideLater.tsx'
import { InHandLater } from '../../entities/plant/hand/InHandLater.tsx'
import { pictureOf } from '@/core/likeness/pictureOf.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { possiblePortrait } from './readyDrawings.ts'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

/** How the answer might have come about otherwise: in one line, what the eye is known to take for what. */
function EyeLine({
  character,
  answers,
  stage,
}: {
  character: Character | undefined
  answers: Observation[]
  stage: Stage
}) {
  const answer = answers.find((o) => o.character === character?.id)
  if (!character || !answer) return null
  const said = 'states' in answer ? answer.states : 'counts' in answer ? Object.keys(answer.counts) : []
  const note = eyeNote(character, statesMeant(character, said), stage)
  const general = said.find((s) => character.covers?.[s])
  return (
    <span className="block text-sm text-ink-soft">
      {note.kind === 'near'
        ? say('near: {{is}} is at times read as {{said}}', {
            is: stateWords(note.is),
            said: stateWords(general ?? note.said),
          })
        : note.kind === 'slip'
          ? say('seldom read wrongly but by a slip')
          : say('a smaller leaf reads smaller')}
    </span>
  )
}

/** For and against one plant, observation by observation. */
export function Evidence({
  candidate,
  answers,
  stage,
}: {
  candidate: Candidate
  answers: Observation[]
  stage: Stage
}) {
  const characters = useFlora((s) => s.characters)
  const list = candidate.evidence.filter((e) => Math.abs(e.bits) >= 0.05).sort((a, b) => b.bits - a.bits)
  if (list.length === 0) return <p className="text-ink-soft">{say('Nothing seen so far speaks for or against it.')}</p>
  return (
    <ul className="mt-1 grid gap-x-4 @md:grid-cols-2">
      {list.map((e) => (
        <li key={e.character} className="flex items-baseline justify-between gap-2 border-b border-rule/50 py-0.5">
          <span className="min-w-0">
            {characterTitle(characters, e.character)}
            <EyeLine character={characters.find((c) => c.id === e.character)} answers={answers} stage={stage} />
          </span>
          <span className={`shrink-0 ${e.bits < 0 ? 'font-semibold text-harm' : ''}`}>
            {e.bits < 0
              ? say('against {{bits}} bits', { bits: fixed(-e.bits, 1) })
              : say('for {{bits}} bits', { bits: fixed(e.bits, 1) })}
          </span>
        </li>
      ))}
    </ul>
  )
}

/** What turned the verdict, what speaks against it, and what would upset it. */
export function Why({
  explanation,
  onAsk,
}: {
  explanation: Identification['explanation']
  onAsk: (character: string) => void
}) {
  const { characters, byId } = useFlora()
  const { turned, contradicts, wouldChange } = explanation
  const look = (id: string) => (
    <button type="button" onClick={() => onAsk(id)} className="min-h-8 font-semibold underline">
      {inSentence(characterTitle(characters, id))}
    </button>
  )
  return (
    <ul className="mt-2 space-y-0.5">
      {turned ? (
        <li>
          {say('What turned it:')} {look(turned)}.
        </li>
      ) : null}
      {contradicts ? (
        <li className="text-harm">
          {say('Worth a second look:')} {look(contradicts.character)}{' '}
          {say('speaks against it by {{abs}} bits.', { abs: fixed(Math.abs(contradicts.bits), 1) })}
        </li>
      ) : null}
      {wouldChange ? (
        <li>
          {say('It would change if')} {look(wouldChange.character)}{' '}
          {say('were {{stateWords}}: then {{inSentence}} would lead.', {
            stateWords: stateWords(wouldChange.state),
            inSentence: inSentence(byId.get(wouldChange.plant)?.commonName ?? ''),
          })}
        </li>
      ) : null}
    </ul>
  )
}

/** A plant in the states still possible: as it mostly is, but what was seen as it was seen. */
function Possible({
  plant,
  stage,
  answers,
  className,
}: {
  plant: Plant
  stage: Stage
  answers: Observation[]
  className: string
}) {
  const pictured = pictureOf(plant, stage, 360) !== undefined
  const portrait = useMemo(
    () => (pictured ? undefined : possiblePortrait(plant, stage, answers)),
    [pictured, plant, stage, answers],
  )
  if (!portrait) return <PlantPicture plant={plant} stage={stage} className={`${className} object-contain`} />
  return <PortraitView portrait={portrait} insets={false} className={className} />
}

/** From so likely on the pictures taken here are worth the room. */
const OURS_FROM = 0.5

interface RowProps {
  candidate: Candidate
  first: boolean
  stage: Stage
  answers: Observation[]
  children?: ReactNode
}

export function CandidateRow({ candidate, first, stage, answers, children }: RowProps) {
  const plant = useFlora((s) => s.byId.get(candidate.plant))
  if (!plant) return null
  return (
    <li className="border-b border-rule/60 py-2.5">
      <div className="flex items-center gap-2 @md:gap-3">
        <Possible
          plant={plant}
          stage={stage}
          answers={answers}
          className={first ? 'size-22 shrink-0 @md:size-36' : 'size-16 shrink-0 @md:size-20'}
        />
        <div className="grow [overflow-wrap:break-word]">
          <Link
            to={`/plants/${plant.id}`}
            className={`font-plant leading-tight font-semibold hover:underline ${first ? 'text-xl' : ''}`}
          >
            {plant.commonName}
          </Link>
          <span className="block text-ink-soft">
            <i className="font-plant">{plant.scientificName}</i>
            {plant.role === 'toxic' ? <span className="ml-2 font-bold text-harm">{say('harmful')}</span> : null}
          </span>
        </div>
        <p className="w-[5.5rem] shrink-0 text-right leading-tight @md:w-auto">
          <b className="block">{naturalFrequency(candidate.probability)}</b>
          <span className="text-ink-soft">{certaintyWord(candidate.probability)}</span>
        </p>
      </div>
      {first ? <InHandLater key={plant.id} plant={plant} /> : null}
      {first && candidate.probability >= OURS_FROM ? <OursBesideLater plant={plant} /> : null}
      {children}
    </li>
  )
}
