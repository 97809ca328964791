import type { Method } from '@/core/records/method.ts'
import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { group } from 'd3-array'
import { useEffect, useMemo, useState } from 'react'
import type { Paddock } from '@/core/records/round.ts'
import type { TaxonTrend, YearCount } from '@/core/survey/paddockHistory.ts'
import { reads, useRead } from '../../data/reads.ts'
import { trendsOf } from '../../workers/trendsWorker.ts'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { percent } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { TrendChart } from './TrendChart.tsx'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

const DRAWN = 6

/** A change in points of share, with its sign. */
const points = (x: number) => `${x > 0 ? '+' : x < 0 ? '−' : ''}${fixed(Math.abs(100 * x), 1)}`

function changeWords({ trend, lately }: TaxonTrend): string {
  if (trend)
    return say('{{points}} points a year ({{points2}} to {{points3}}) over {{years}} counts', {
      points: points(trend.perYear),
      points2: points(trend.interval[0]),
      points3: points(trend.interval[1]),
      years: trend.years,
    })
  if (lately)
    return say('{{points}} points since the last count ({{points2}} to {{points3}}), the same {{stops}} stops', {
      points: points(lately.change),
      points2: points(lately.interval[0]),
      points3: points(lately.interval[1]),
      stops: lately.stops,
    })
  return say('no change can be worked out from one count')
}

const courseWords: Record<TaxonTrend['course'], string> = {
  get arriving() {
    return say('new here')
  },
  get rising() {
    return say('rising')
  },
  get 'perhaps-rising'() {
    return say('perhaps rising: plain by itself, not among all plants together')
  },
  get 'perhaps-falling'() {
    return say('perhaps falling: plain by itself, not among all plants together')
  },
  get steady() {
    return say('no change beyond chance')
  },
  get falling() {
    return say('falling')
  },
  get gone() {
    return say('not met any more')
  },
  get 'not-met-before'() {
    return say('not met before, which by so few stops says little')
  },
  get 'not-met-now'() {
    return say('not met this time, which by so few stops says little')
  },
  get 'too few'() {
    return say('too few counts to tell')
  },
}

function Lines({ title, list, none }: { title: string; list: TaxonTrend[]; none: string }) {
  const byId = useFlora((s) => s.byId)
  return (
    <section className="mt-3">
      <h3 className="text-lg">{title}</h3>
      {list.length === 0 ? <p className="text-ink-soft">{none}</p> : null}
      <ul>
        {list.map((c) => (
          <li key={c.taxon} className="border-b border-rule/60 py-1">
            <Say
              text="<b/>: {{courseWords}}; {{at}} now. {{changeWords}}."
              values={{
                courseWords: courseWords[c.course],
                at: percent(c.shares.at(-1)!),
                changeWords: changeWords(c),
              }}
              components={{ b: <b>{taxonName(c.taxon, byId).replace(/ \(.*\)/, '')}</b> }}
            />
          </li>
        ))}
      </ul>
    </section>
  )
}

/** The trends of these counts once they are worked out; never those of others, which have other years. */
function useTrends(counts: YearCount[]): TaxonTrend[] | undefined {
  const [made, setMade] = useState<{ of: YearCount[]; trends: TaxonTrend[] }>()
  useEffect(() => {
    let current = true
    const fails = (problem: unknown) =>
      setMade(() => {
        throw problem
      })
    trendsOf(counts).then((trends) => current && setMade({ of: counts, trends }), fails)
    return () => {
      current = false
    }
  }, [counts])
  return made?.of === counts ? made.trends : undefined
}

function OneMethod({ counts, paddock }: { counts: YearCount[]; paddock: Paddock }) {
  const all = useTrends(counts)
  return all ? <Trends {...{ counts, paddock, all }} /> : <p className="text-ink-soft">{say('Working it out …')}</p>
}

function Trends({ counts, paddock, all }: { counts: YearCount[]; paddock: Paddock; all: TaxonTrend[] }) {
  const byId = useFlora((s) => s.byId)
  const inOrder = useMemo(() => [...counts].sort((a, b) => (a.on < b.on ? -1 : 1)), [counts])
  const harmful = all.filter((c) => byId.get(c.taxon)?.role === 'toxic')
  const sown = all.filter((c) => paddock.sown.includes(c.taxon))
  const shown = [...harmful.slice(0, 2), ...all.filter((c) => !harmful.includes(c))].slice(0, DRAWN)
  const missing = paddock.sown.filter((id) => !all.some((c) => c.taxon === id))
  const last = inOrder.at(-1)!
  return (
    <>
      <p className="mt-1 text-ink-soft">
        {say('{{n}} counts by "{{name}}". Only counts of one method are held against each other.', {
          n: counts.length,
          name: methodWords(last.method).name,
        })}
      </p>
      {counts.length > 1 ? (
        <TrendChart counts={inOrder} plants={shown} />
      ) : (
        <p>{say('One count so far: a line needs another.')}</p>
      )}
      <Lines
        title={say('Harmful')}
        list={harmful}
        none={say('No harmful plant was met in any count, which does not exclude one.')}
      />
      {paddock.sown.length > 0 ? (
        <Lines title={say('Sown')} list={sown} none={say('None of the sown plants was met.')} />
      ) : null}
      {missing.length > 0 && paddock.sown.length > 0 ? (
        <p className="text-ink-soft">
          {say('Sown and never met: {{missing}}.', { missing: missing.map((id) => taxonName(id, byId)).join(', ') })}
        </p>
      ) : null}
      <Lines
        title={say('Plainly rising or falling')}
        list={all.filter((c) => (c.course === 'rising' || c.course === 'falling' || c.course === 'arriving') && !harmful.includes(c)).slice(0, 8)} // prettier-ignore
        none={say("No other plant's change is beyond what chance would make of so many stops.")}
      />
    </>
  )
}

/** One paddock year on year: shares with intervals, what was sown, what harms, what came of it. */
export function YearOnYear({ paddock }: { paddock: Paddock }) {
  const now = useRead(reads.counts(paddock.id))
  const counts = now.data
  // Of counts by another method nothing is reckoned with these.
  const byMethod = useMemo(() => [...group(counts ?? [], (c) => c.method as Method)], [counts])
  if (now.problem) return <ReadProblem of={say('The counts of this paddock')} {...now} />
  if (!counts) return <p className="text-ink-soft">{say('Reading the counts …')}</p>
  return (
    <section aria-labelledby="year-on-year">
      <h2 id="year-on-year" className="text-[1.65rem]">
        {say('{{name}}, year on year', { name: paddock.name })}
      </h2>
      {counts.length === 0 ? <p className="mt-1">{say('Nothing was counted here yet.')}</p> : null}
      {byMethod.map(([m, list]) => (
        <OneMethod key={m} counts={list} paddock={paddock} />
      ))}
    </section>
  )
}
