import { codeWords } from '@/text/codeWords.ts'
import { reasonWords } from '@/text/hayOrGrazeWords.ts'
import { outlookWords } from '@/text/outlookWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { inSentence } from '@/text/say.ts'
import { ToggleGroup } from 'radix-ui'
import { useMemo, useState } from 'react'
import { hayOrGraze, type Reason } from '@/core/assess/feed/hayOrGraze.ts'
import { outlooks, type Outlook, type Round } from '@/core/records/round.ts'
import { outlookReading, type OutlookReading } from '@/core/assess/indicators/outlookReading.ts'
import { useOutlookFor } from './useTurf.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'

/** The figures of one outlook as sentences, for the screen and the page alike. */
export function OutlookLines({ reading }: { reading: OutlookReading }) {
  const byId = useFlora((s) => s.byId)
  const names = (of: string[]) => of.map((t) => taxonName(t, byId).replace(/ \(.*\)/, '')).join(', ')
  const met = reading.sown.filter((s) => s.share)
  const missed = reading.sown.filter((s) => !s.share)
  return (
    <ul>
      {reading.lines.map((l) => (
        <li key={l.id} className="border-b border-rule/60 py-1 print:py-0.5">
          <b>{outlookWords(l.id).title}:</b> {percent(l.share.estimate)}
          {l.share.interval ? ` (${percentRange(l.share.interval)})` : say(', no interval from one stop')}
          <span className="text-ink-soft">
            {' '}
            {names(l.of.slice(0, 6))}
            {l.of.length > 6 ? say(' and {{n}} more', { n: l.of.length - 6 }) : ''}. {outlookWords(l.id).says}
          </span>
        </li>
      ))}
      {met.length > 0 ? (
        <li className="border-b border-rule/60 py-1 print:py-0.5">
          <b>{say('Sown, and met:')}</b>{' '}
          {met
            .map(
              (s) =>
                `${names([s.plant])} ${percent(s.share!.estimate)}${s.share!.interval ? ` (${percentRange(s.share!.interval)})` : ''}`,
            )
            .join(', ')}
        </li>
      ) : null}
      {missed.length > 0 ? (
        <li className="border-b border-rule/60 py-1 print:py-0.5">
          <Say
            text="<b>Sown, not met:</b> {{names}}; up to {{couldBe}} of places like a stop could hold each"
            values={{
              names: names(missed.map((s) => s.plant)),
              couldBe: percent(missed[0]!.couldBe!),
              count: missed.length,
            }}
            components={{ b: <b /> }}
          />
        </li>
      ) : null}
    </ul>
  )
}

const speaksWords = ({ speaks, use }: Reason): string =>
  use === 'hay'
    ? speaks === 'for'
      ? say('for hay')
      : say('against hay')
    : speaks === 'for'
      ? say('for grazing')
      : say('against grazing')

/** What speaks for hay and what for grazing, each with the share it stands on. */
export function HayOrGraze({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const reasons = useMemo(() => hayOrGraze(round, byId), [round, byId])
  if (reasons.length === 0) return null
  return (
    <>
      <h3 className="mt-3 text-lg">{say('Hay or graze')}</h3>
      <ul>
        {reasons.map((r) => (
          <li key={r.id} className="border-b border-rule/60 py-1 print:py-0.5">
            <b className="first-letter:uppercase">{speaksWords(r)}:</b> {inSentence(reasonWords(r.id).title)},{' '}
            {percent(r.share.estimate)}
            {r.share.interval ? ` (${percentRange(r.share.interval)})` : say(', no interval from one stop')}.{' '}
            <span className="text-ink-soft">{reasonWords(r.id).says}</span>
          </li>
        ))}
      </ul>
      <p className="text-ink-soft">{say('Common practice, no source. Weather, stock and stores decide.')}</p>
    </>
  )
}

/** The same counts read as grazing, hay, turf or native planting; the paddock's own outlook first. */
export function OutlookPanel({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const [outlook, setOutlook] = useState<Outlook>(round.paddock.outlook)
  const of = useOutlookFor(round)
  const reading = useMemo(() => outlookReading(round, byId, outlook, of), [round, byId, outlook, of])
  if (!reading) return null
  return (
    <section className="mt-6" aria-labelledby="outlook">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="outlook" className="text-xl">
          {say('Read as')}
        </h2>
        <ToggleGroup.Root
          type="single"
          value={outlook}
          onValueChange={(v) => v && setOutlook(v as Outlook)}
          aria-label={say('Outlook')}
          className="flex overflow-hidden rounded-xl border border-rule"
        >
          {outlooks.map((o) => (
            <ToggleGroup.Item
              key={o}
              value={o}
              className="min-h-11 px-3 capitalize data-[state=on]:bg-culm data-[state=on]:font-bold data-[state=on]:text-on-culm"
            >
              {codeWords(o)}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
      </div>
      <OutlookLines reading={reading} />
      {reading.mowing && 'keepMm' in reading.mowing && round.paddock.outlook !== 'turf' ? (
        <p className="mt-1">
          {say('As a lawn, a mowing height of {{low}} to {{high}} mm suits {{names}}.', {
            low: reading.mowing.keepMm[0],
            high: reading.mowing.keepMm[1],
            names: reading.mowing.of.map((t) => taxonName(t, byId)).join(', '),
          })}
        </p>
      ) : null}
      {outlook === 'hay' || outlook === 'grazing' ? <HayOrGraze round={round} /> : null}
    </section>
  )
}
