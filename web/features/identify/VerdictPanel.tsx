import { useWords } from '../../language/useWords.ts'
import { verdictText } from '@/text/verdictText.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import { inSentence } from '@/text/say.ts'
import { memo } from 'react'
import type { Candidate, Identification } from '@/core/naming/identify.ts'
import type { Stage } from '@/core/flora/flora.ts'
import type { Observation } from '@/core/records/observation.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import { standingCautions } from '@/text/standingCautions.ts'
import { characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { shownCandidates } from './readyDrawings.ts'
import { StartPanel } from './StartPanel.tsx'
import { SplitTwo } from './SplitTwo.tsx'
import { say, together } from '../../language/say.ts'
import { Evidence, Why, CandidateRow } from './VerdictParts.tsx'

export interface VerdictProps {
  result: Identification
  stage: Stage
  observed: Set<string>
  compare: boolean
  onAsk: (character: string) => void
  onWrite: (candidate: Candidate) => void
  writeLabel: string
  answers: Observation[]
  waiting: UndeterminedSpecimen[]
  onReopen: (unknown: UndeterminedSpecimen) => void
}

const HARM_SHOWN = 5

function HarmOpen({ result, onAsk, observed }: Pick<VerdictProps, 'result' | 'onAsk' | 'observed'>) {
  const { byId, characters } = useFlora()
  if (result.harmfulOpen.length === 0)
    return (
      <p className="mt-2 text-ink-soft">
        {say(
          'No harmful plant of this book is above 1 in 1,000 on what was seen, whichever one answer is left out. That is not the same as none.',
        )}
      </p>
    )
  return (
    <ul className="mt-2 space-y-1.5">
      {result.harmfulOpen.slice(0, HARM_SHOWN).map((h) => (
        <li key={h.plant} className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="font-semibold">{byId.get(h.plant)?.commonName}</span>
          <span>
            {h.why === 'one-answer'
              ? say('{{without}}, were one answer a slip: {{character}}', {
                  without: naturalFrequency(h.without),
                  character: inSentence(characterTitle(characters, h.hangsOn!)),
                })
              : h.why === 'few-contradictions'
                ? say('too little speaks against it yet')
                : naturalFrequency(h.probability)}
          </span>
          {h.check && !observed.has(h.check) ? (
            <button
              type="button"
              onClick={() => onAsk(h.check!)}
              className="ml-auto min-h-11 rounded-xl border-2 border-harm px-3 font-semibold text-harm"
            >
              {say('decide: {{inSentence}}', { inSentence: inSentence(characterTitle(characters, h.check)) })}
            </button>
          ) : null}
        </li>
      ))}
      {result.harmfulOpen.length > HARM_SHOWN ? (
        <li>{say('and {{n}} more, each less likely.', { n: result.harmfulOpen.length - HARM_SHOWN })}</li>
      ) : null}
    </ul>
  )
}

const NAMED = 2

/** Beside the name, before anybody scrolls: which harm is still open, and the way to all of it. */
function HarmLine({ open }: { open: Identification['harmfulOpen'] }) {
  const byId = useFlora((s) => s.byId)
  if (open.length === 0) return null
  const names = open.slice(0, NAMED).map((h) => inSentence(byId.get(h.plant)?.commonName ?? h.plant))
  const more = open.length - names.length
  return (
    <button
      type="button"
      onClick={() => document.getElementById('harm-open')?.scrollIntoView({ block: 'center' })}
      className="mt-1 min-h-11 rounded-xl border-l-4 border-harm bg-harm-wash px-3 py-1.5 text-left leading-tight text-harm"
    >
      <b>{say('Not excluded:')}</b>{' '}
      {more > 0 ? say('{{names}} and {{n}} more that harm', { names: names.join(', '), n: more }) : together(names)}
    </button>
  )
}

/** What follows from what was seen. */
export const VerdictPanel = memo(function VerdictPanel(props: VerdictProps) {
  useWords()
  const { result, stage, observed, compare, onAsk, onWrite, writeLabel, answers, waiting, onReopen } = props
  const [first] = result.candidates
  const { plants, groups, neighbours } = useFlora()
  const groupOf = (plant: string) => groups.find((g) => g.plants.includes(plant) && stage !== g.until)?.id ?? plant
  // Two that no eye can split are one name: the check is against the next name.
  const second = first && result.candidates.find((c) => groupOf(c.plant) !== groupOf(first.plant))
  const shown = shownCandidates(result.candidates)
  const started = observed.size > 0
  // Some verdicts name what is open themselves.
  const saysHarm = 'open' in result.verdict && result.verdict.open.length > 0
  return (
    <div>
      <h2 className="text-[1.65rem]" data-testid="verdict">
        {started ? verdictText(result.verdict, { plants, groups, neighbours }) : say('Nothing seen yet')}
      </h2>
      {started && !saysHarm ? <HarmLine open={result.harmfulOpen.filter((h) => h.plant !== first?.plant)} /> : null}
      {started ? null : <StartPanel waiting={waiting} onReopen={onReopen} />}
      {started ? (
        <ol className="mt-2">
          {shown.map((c, i) => (
            <CandidateRow key={c.plant} candidate={c} first={i === 0} stage={stage} answers={answers}>
              <details className="mt-1" open={i === 0 && observed.size <= 6}>
                <summary className="min-h-8 text-ink-soft">{say('why')}</summary>
                <Evidence candidate={c} answers={answers} stage={stage} />
              </details>
            </CandidateRow>
          ))}
          <li className="flex justify-between py-2.5">
            <span>{say('Not in this book')}</span>
            <b>{naturalFrequency(result.notInBook)}</b>
          </li>
        </ol>
      ) : null}
      {started ? <Why explanation={result.explanation} onAsk={onAsk} /> : null}
      {started && first ? (
        <button
          type="button"
          onClick={() => onWrite(first)}
          className="mt-2 min-h-12 rounded-xl bg-culm px-5 text-lg font-semibold text-on-culm"
        >
          {writeLabel}
        </button>
      ) : null}
      {started ? (
        <section
          className="mt-5 rounded-2xl rounded-tl-sm border-2 border-harm bg-harm-wash p-3"
          aria-labelledby="harm-open"
        >
          <h3 id="harm-open" className="text-lg text-harm">
            {result.harmfulOpen.length > 0 ? say('Harmful, and not excluded') : say('Harmful plants')}
          </h3>
          <HarmOpen result={result} onAsk={onAsk} observed={observed} />
          <p className="mt-2 text-sm">{standingCautions()[0]}</p>
        </section>
      ) : null}
      {started && first && second ? (
        <SplitTwo
          a={first.plant}
          b={second.plant}
          stage={stage}
          observed={observed}
          open={compare || second.probability >= 0.02}
          onAsk={onAsk}
        />
      ) : null}
    </div>
  )
})
