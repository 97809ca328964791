import { codesListed } from '@/text/codeWords.ts'
import { skipWords } from '@/text/skipWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import type { ReactNode } from 'react'
import { useHazards } from '../../entities/round/useHazards.ts'
import type { Determination, Round } from '@/core/records/round.ts'
import { simultaneousIntervals } from '@/core/survey/simultaneousIntervals.ts'
import type { Share } from '@/core/survey/composition.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { stillToFind } from '../../entities/round/stillToFind.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { dayWords } from '../../language/dates.ts'
import { fixed } from '../../language/numbers.ts'

const withInterval = (s: Share) =>
  `${percent(s.estimate)}${s.interval ? ` (${percentRange(s.interval)})` : say(', no interval from one stop')}`

const made = {
  get clustered() {
    return say('stops as the unit')
  },
  get likelihood() {
    return say('frames as the unit, by likelihood')
  },
  get stratified() {
    return say('by part, weighted by area')
  },
  get exact() {
    return say('exact, stops all alike')
  },
  get none() {
    return say('a single stop')
  },
} as const

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mt-3">
      <h3 className="text-lg">{title}</h3>
      {children}
    </section>
  )
}

function Table({ head, rows }: { head: string[]; rows: string[][] }) {
  return (
    <table className="w-full text-left text-sm">
      <thead>
        <tr className="border-b border-ink">
          {head.map((h) => (
            <th key={h} scope="col" className="pr-3 align-bottom">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <tr key={i} className="break-inside-avoid border-b border-rule align-top">
            {row.map((cell, j) => (
              <td key={j} className="py-0.5 pr-3">
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** For colleagues: every figure with what it stands on, the names and how sure they are, and what each stop was. */
export function Appendix({ round, weighed, namings }: { round: Round; weighed: WeighUp; namings: Determination[] }) {
  const byId = useFlora((s) => s.byId)
  const { composition, parts } = weighed
  const words = methodWords(round.method)
  const info = countingMethods[round.method]
  const together = info.entry === 'points' ? simultaneousIntervals(composition) : undefined
  const dangers = useHazards(round)
  const name = (t: string) => taxonName(t, byId).replace(/ \(.*\)/, '')
  const pool = composition.diversity?.pool
  const skipped = round.stops.filter((s) => s.skipped !== null)
  const open = round.stops.filter((s) => s.skipped === null && !s.doneAt)
  return (
    <section className="mt-5 border-t-2 border-ink pt-3 print:break-before-page" aria-labelledby="appendix">
      <h2 id="appendix" className="text-xl">
        {say('Appendix for colleagues')}
      </h2>
      <Part title={say('Every plant')}>
        <Table
          head={[
            say('Plant'),
            say('Scientific name'),
            say('Share, 95 %'),
            ...(together ? [say('All at once, 95 %')] : []),
            'SE',
            say('Design effect'),
            say('{{units}} with it', { units: words.units[0]!.toUpperCase() + words.units.slice(1) }),
          ]}
          rows={composition.taxa.map((t) => [
            name(t.taxon),
            byId.get(t.taxon)?.scientificName ?? '',
            withInterval(t),
            ...(together ? [percentRange(together.get(t.taxon)!)] : []),
            t.se === undefined ? say('not from one stop') : `${fixed(100 * t.se, 1)}`,
            t.designEffect === undefined ? '' : fixed(t.designEffect, 1),
            say('{{stopsWith}} of {{stops}}', { stopsWith: t.stopsWith, stops: composition.stops }),
          ])}
        />
        <p className="text-sm">
          {say('{{what}}Intervals: {{it}}.{{what2}}', {
            what: together
              ? say(
                  'The first range holds for one plant looked at alone, the second for all of them together (Goodman 1965, with as many points as they are worth by their design effect). ',
                )
              : '',
            it: [...new Set(composition.taxa.map((t) => made[t.method]))].join('; '),
            what2: pool && composition.diversity ? ` ${stillToFind(composition.diversity.richness, pool)}` : '',
          })}
        </p>
      </Part>
      {parts.length > 0 ? (
        <Part title={say('Part by part')}>
          <Table
            head={[say('Part'), say('Counted'), say('Mostly')]}
            rows={parts.map((p) => [
              p.name || say('the rest'),
              String(p.made.stops),
              p.made.taxa
                .slice(0, 5)
                .map((t) => `${name(t.taxon)} ${withInterval(t)}`)
                .join('; '),
            ])}
          />
        </Part>
      ) : null}
      {dangers.length > 0 ? (
        <Part title={say('What looking does not tell')}>
          <Table
            head={[say('Danger'), say('Plants here'), say('Share, 95 %'), say('Test')]}
            rows={dangers.map((d) => [
              `${d.hazard.name} (${codesListed(d.hazard.who)})`,
              d.plants.map(name).join(', '),
              withInterval(d.share),
              d.hazard.test === 'none' ? say('none for the field') : d.hazard.test,
            ])}
          />
        </Part>
      ) : null}
      <Part title={say('Names written down')}>
        {namings.length === 0 ? (
          <p className="text-sm">{say('None at the bench: the plants were named as they were counted.')}</p>
        ) : (
          <Table
            head={[say('Plant'), say('How sure'), say('Specimens'), say('When'), say('Strongest looks')]}
            rows={namings.map((n) => [
              name(n.plant),
              naturalFrequency(n.probability),
              String(n.specimens),
              dayWords(n.namedAt.slice(0, 10)),
              [...n.evidence]
                .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits))
                .slice(0, 3)
                .map((e) =>
                  say('{{character}} {{what}}{{bits}} bits', {
                    character: e.character,
                    what: e.bits >= 0 ? '+' : '',
                    bits: fixed(e.bits, 1),
                  }),
                )
                .join(', '),
            ])}
          />
        )}
      </Part>
      <Part title={say('How it was done')}>
        <p className="text-sm">
          {say(
            '{{name}}: {{says}}. {{n}} {{units}} laid, {{stops}} with a count{{what}}{{what2}}{{what3}}. {{estimator}}',
            {
              name: words.name,
              says: words.says,
              n: round.stops.length,
              units: words.units,
              stops: composition.stops,
              what: open.length > 0 ? say(', {{n}} left', { n: open.length }) : '',
              what2:
                skipped.length > 0
                  ? say(', {{n}} skipped ({{skipped}})', {
                      n: skipped.length,
                      skipped: skipped.map((s) => `${s.seq}: ${skipWords(s.skipped ?? '')}`).join('; '),
                    })
                  : '',
              what3: round.settings.observer
                ? say('. Counted by {{observer}}', { observer: round.settings.observer })
                : '',
              estimator: words.estimator,
            },
          )}
        </p>
      </Part>
    </section>
  )
}
