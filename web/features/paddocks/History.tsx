import { Confirm } from '../../ui/Confirm.tsx'
import { typedText } from '../../parts/typedText.ts'
import { useState, type FormEvent } from 'react'
import { Link } from 'react-router'
import { eventKinds, type EventKind, type PaddockEvent, type SownPart } from '@/core/records/paddockEvent.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { rateWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'
import { dayWords, today } from '../../language/dates.ts'
import { eventWords } from '../../entities/place/eventWords.ts'
import { HistoryLine } from './HistoryLine.tsx'
import { useCountsOf } from './PaddockLayers.tsx'
import { amountWords, SownLine } from './SownLine.tsx'

interface Props {
  events: PaddockEvent[]
  paddockId: string
  onAdd: (event: PaddockEvent) => void
  onRemove: (id: string) => void
}

/** What was done here: sown lists with live seed, cuts, grazing, fertiliser, treatments. */
export function History({ events, paddockId, onAdd, onRemove }: Props) {
  const { plants, byId } = useFlora()
  const { data: counts = [] } = useCountsOf(paddockId)
  const [kind, setKind] = useState<EventKind>('grazed')
  const [sown, setSown] = useState<SownPart[]>([])
  const [problem, setProblem] = useState('')
  const add = (e: FormEvent<HTMLFormElement>) => {
    e.preventDefault()
    const data = new FormData(e.currentTarget)
    const field = (name: string) => typedText(data, name)
    const amount = field('amount')
    const note = field('note')
    if (kind === 'sown' && (sown.length === 0 || sown.some((s) => !(s.kgPerHa > 0 && s.pls > 0))))
      return setProblem(say('Choose the plants that were sown, each with kilograms and live seed above 0.'))
    if (kind !== 'sown' && amount === '' && note === '') return setProblem(say('Say what was done.'))
    setProblem('')
    onAdd({
      id: crypto.randomUUID(),
      paddockId,
      kind,
      onDate: field('on'),
      note,
      detail: kind === 'sown' ? { sown } : amount ? { amount } : {},
    })
    setSown([])
    e.currentTarget.reset()
  }
  return (
    <section aria-labelledby="history">
      <h2 id="history" className="text-lg">
        {say('History')}
      </h2>
      <HistoryLine rounds={counts} events={events} />
      <ul>
        {events.map((e) => (
          <li key={e.id} className="grid grid-cols-[1fr_auto] items-start gap-2 border-b border-rule/60 py-1.5">
            <span>
              <span className="text-ink-soft">{dayWords(e.onDate)}</span> <b>{eventWords[e.kind]}</b>
              <span className="block">
                {e.detail.sown
                  ?.map((s) =>
                    say('{{commonName}} {{rateWords}} at {{pls}} % live', {
                      commonName: byId.get(s.plant)?.commonName ?? s.plant,
                      rateWords: rateWords(s.kgPerHa),
                      pls: Math.round(s.pls * 100),
                    }),
                  )
                  .join(', ')}
                {e.detail.amount}
                {e.note ? `${e.detail.amount || e.detail.sown ? '. ' : ''}${e.note}` : ''}
              </span>
              {e.detail.sown ? (
                <Link to={`/places/${paddockId}/sowing/${e.id}`} className="flex min-h-11 items-center underline">
                  {say('Count what came up')}
                </Link>
              ) : null}
            </span>
            <Confirm
              title={say('Take it out of the history?')}
              detail={say('{{kindWords}} of {{dayWords}} is deleted for everybody; there is no way back.', {
                kindWords: eventWords[e.kind],
                dayWords: dayWords(e.onDate),
              })}
              act={say('Take it out')}
              onConfirm={() => onRemove(e.id)}
            >
              <button
                type="button"
                aria-label={say('Take out {{kindWords}} of {{dayWords}}', {
                  kindWords: eventWords[e.kind],
                  dayWords: dayWords(e.onDate),
                })}
                className="min-h-11 min-w-11"
              >
                ×
              </button>
            </Confirm>
          </li>
        ))}
        {events.length === 0 ? <li className="py-2 text-ink-soft">{say('Nothing written down yet.')}</li> : null}
      </ul>
      <details className="mt-2">
        <summary className="min-h-11 content-center font-semibold">{say('Write something down')}</summary>
        <form onSubmit={add} className="grid gap-3 @md:grid-cols-2">
          <Labelled label={say('What')}>
            {(id) => (
              <select
                id={id}
                value={kind}
                onChange={(e) => setKind(e.target.value as EventKind)}
                className={inputClass}
              >
                {eventKinds.map((k) => (
                  <option key={k} value={k}>
                    {eventWords[k]}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
          <Labelled label={say('Day')}>
            {(id) => <input id={id} name="on" type="date" required defaultValue={today()} className={inputClass} />}
          </Labelled>
          {kind === 'sown' ? (
            <div className="@md:col-span-2">
              <Labelled label={say('Plant that was sown')}>
                {(id) => (
                  <select
                    id={id}
                    value=""
                    onChange={(e) =>
                      e.target.value &&
                      setSown((s) => [
                        ...s.filter((x) => x.plant !== e.target.value),
                        { plant: e.target.value, kgPerHa: 10, pls: 0.8 },
                      ])
                    }
                    className={inputClass}
                  >
                    <option value="">{say('choose one after the other …')}</option>
                    {plants
                      .filter((p) => p.role !== 'toxic')
                      .map((p) => (
                        <option key={p.id} value={p.id}>
                          {p.commonName}
                        </option>
                      ))}
                  </select>
                )}
              </Labelled>
              <ul>
                {sown.map((s) => (
                  <SownLine
                    key={s.plant}
                    part={s}
                    onChange={(n) => setSown((l) => l.map((x) => (x.plant === s.plant ? n : x)))}
                    onRemove={() => setSown((l) => l.filter((x) => x.plant !== s.plant))}
                  />
                ))}
              </ul>
            </div>
          ) : (
            <Labelled label={amountWords[kind]}>
              {(id) => <input id={id} name="amount" maxLength={300} className={inputClass} />}
            </Labelled>
          )}
          <Labelled label={say('Note')}>
            {(id) => <input id={id} name="note" maxLength={2000} className={inputClass} />}
          </Labelled>
          <p className="flex flex-wrap items-center gap-3 @md:col-span-2">
            <button type="submit" className="min-h-12 rounded-xl border-2 border-culm px-5 font-semibold text-culm">
              {say('Write it down')}
            </button>
            <span role="alert" className="text-harm">
              {problem}
            </span>
          </p>
        </form>
      </details>
    </section>
  )
}
