import { verdictText } from '@/text/verdictText.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Identification } from '@/core/naming/identify.ts'
import type { Opinion } from '@/core/records/specimen.ts'
import { inSentence } from '@/text/say.ts'
import { FileButton } from '../../parts/FileButton.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { useBench } from './benchStore.ts'
import type { Sheet } from './sheet.ts'
import { Photos } from '../../entities/specimen/Photos.tsx'
import { asSheet, openSheet, sendSheet } from './sheetFile.ts'
import { say } from '../../language/say.ts'

const field = 'min-h-11 w-full rounded-xl border border-rule bg-sheet px-3'
const button = 'min-h-11 rounded-xl border border-rule px-3 hover:bg-culm/10'

interface Props {
  subject: string
  sheet: Sheet
  result: Identification
  onKeep: () => void
  /** Write down the name a colleague gave. */
  onTake: (opinion: Opinion) => void
}

/** A colleague's sheet on this bench: answer it, or read the answer that came back. */
export function SentPanel({ sheet, result, onTake }: Pick<Props, 'sheet' | 'result' | 'onTake'>) {
  const byId = useFlora((s) => s.byId)
  const [by, setBy] = useState('')
  const [note, setNote] = useState('')
  const sent = sheet.sent
  if (!sent) return null
  const opinion = sent.opinion
  if (opinion) {
    const plant = opinion.plant ? byId.get(opinion.plant) : undefined
    return (
      <section
        className="mb-4 rounded-2xl rounded-tl-sm border-2 border-culm bg-sheet p-3"
        aria-labelledby="second-opinion"
      >
        <h2 id="second-opinion" className="text-lg">
          {say('Second opinion of {{by}}: {{commonName}}', {
            by: opinion.by || say('a colleague'),
            commonName: plant?.commonName ?? say('not known to them either'),
          })}
        </h2>
        {opinion.probability !== null ? (
          <p>{say('Their book: {{naturalFrequency}}.', { naturalFrequency: naturalFrequency(opinion.probability) })}</p>
        ) : null}
        {opinion.note ? <p>{opinion.note}</p> : null}
        {plant ? (
          <button
            type="button"
            className="mt-2 min-h-11 rounded-xl bg-culm px-4 font-semibold text-on-culm"
            onClick={() => onTake(opinion)}
          >
            {say('Write down {{inSentence}}', { inSentence: inSentence(plant.commonName) })}
          </button>
        ) : null}
      </section>
    )
  }
  const [top] = result.candidates
  const answer = (plant: string | null) =>
    sendSheet({
      ...sent,
      observations: sheet.answers,
      opinion: {
        by,
        plant,
        probability: plant === top?.plant ? top.probability : null,
        note,
        at: new Date().toISOString(),
      },
    })
  return (
    <section
      className="mb-4 rounded-2xl rounded-tl-sm border-2 border-culm bg-sheet p-3"
      aria-labelledby="your-opinion"
    >
      <h2 id="your-opinion" className="text-lg">
        {say('Sent for your opinion{{what}}', {
          what: sent.place ? say(', from {{place}}', { place: sent.place }) : '',
        })}
      </h2>
      <p className="text-ink-soft">{say('They were told: {{verdict}}', { verdict: sent.verdict })}</p>
      {sent.note ? <p>{sent.note}</p> : null}
      <label className="mt-2 block">
        {say('Your name')}
        <input className={field} value={by} maxLength={200} onChange={(e) => setBy(e.target.value)} />
      </label>
      <label className="mt-2 block">
        {say('What you would tell them')}
        <textarea
          className={`${field} min-h-20 py-2`}
          value={note}
          maxLength={5000}
          onChange={(e) => setNote(e.target.value)}
        />
      </label>
      <p className="mt-2 flex flex-wrap gap-2">
        {top ? (
          <button
            type="button"
            className="min-h-11 rounded-xl bg-culm px-4 font-semibold text-on-culm"
            onClick={() => answer(top.plant)}
          >
            {say('Answer: {{inSentence}}', { inSentence: inSentence(byId.get(top.plant)?.commonName ?? '') })}
          </button>
        ) : null}
        <button type="button" className={button} onClick={() => answer(null)}>
          {say('Answer: not known')}
        </button>
      </p>
    </section>
  )
}

/** Open a sheet that somebody sent. */
export function OpenSheet({ subject }: { subject: string }) {
  const { characters, byId } = useFlora()
  const open = useBench((s) => s.open)
  const [problem, setProblem] = useState('')
  const read = async (file: File) => {
    const result = await openSheet(file, characters, byId)
    if ('problem' in result) return setProblem(result.problem)
    setProblem('')
    const { id, context, observations, place, note } = result.sheet
    open(subject, { id, context, answers: observations, place, note, sent: result.sheet })
  }
  return (
    <div>
      <FileButton
        label={say('Open a sheet that was sent')}
        accept="application/json,.json"
        onFile={(file) => void read(file)}
      />
      <p role="alert" className="text-harm">
        {problem}
      </p>
    </div>
  )
}

/** What becomes of a description: where it is from, pictures of it, kept under a letter, sent to a colleague, printed. */
export function KeepPanel({ subject, sheet, result, onKeep }: Omit<Props, 'onTake'>) {
  const setText = useBench((s) => s.setText)
  return (
    <section className="mt-5" aria-labelledby="keep">
      <h3 id="keep" className="text-lg">
        {say('Keep it')}
      </h3>
      <div className="mt-1 grid gap-2 @md:grid-cols-2">
        <label>
          {say('Where')}
          <input
            className={field}
            value={sheet.place}
            maxLength={200}
            placeholder={say('paddock, corner, bank')}
            onChange={(e) => setText(subject, { place: e.target.value })}
          />
        </label>
        <label>
          {say('Note')}
          <input
            className={field}
            value={sheet.note}
            maxLength={5000}
            onChange={(e) => setText(subject, { note: e.target.value })}
          />
        </label>
      </div>
      <div className="mt-2 flex flex-wrap items-start gap-2">
        <button type="button" className={button} onClick={onKeep}>
          {say('Not in the book: keep it under a letter')}
        </button>
        <button
          type="button"
          className={button}
          onClick={() => sendSheet(asSheet(sheet, verdictText(result.verdict, useFlora.getState())))}
        >
          {say('Send for a second opinion')}
        </button>
        <Link to={`/bench/sheet?subject=${encodeURIComponent(subject)}`} className={`${button} flex items-center`}>
          {say('Print the sheet')}
        </Link>
        <Photos subject={sheet.id} />
      </div>
    </section>
  )
}
