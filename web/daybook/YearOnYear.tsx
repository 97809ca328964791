import { useEffect, useMemo, useState } from 'react'
import type { Paddock } from '@/core/records/round.ts'
import { methodInfo, type Method } from '@/core/survey/methods.ts'
import { courses, type PlantCourse, type YearCount } from '@/core/survey/paddockHistory.ts'
import { taxonName } from '@/core/survey/taxon.ts'
import { getCounts } from '../api/client.ts'
import { percent } from '../parts/words.ts'
import { useFlora } from '../stores/floraStore.ts'
import { TrendChart } from './TrendChart.tsx'

const DRAWN = 6

/** A change in points of share, with its sign. */
const points = (x: number) => `${x > 0 ? '+' : x < 0 ? '−' : ''}${Math.abs(100 * x).toFixed(1)}`

function changeWords({ trend, lately }: PlantCourse): string {
  if (trend)
    return `${points(trend.perYear)} points a year (${points(trend.interval[0])} to ${points(trend.interval[1])}) over ${trend.years} counts`
  if (lately)
    return `${points(lately.change)} points since the last count (${points(lately.interval[0])} to ${points(lately.interval[1])}), the same ${lately.stops} stops`
  return 'no change can be worked out from one count'
}

const courseWords: Record<PlantCourse['course'], string> = {
  arriving: 'new here',
  rising: 'rising',
  steady: 'no change beyond chance',
  falling: 'falling',
  gone: 'not met any more',
  'too few': 'too few counts to tell',
}

function Lines({ title, list, none }: { title: string; list: PlantCourse[]; none: string }) {
  const byId = useFlora((s) => s.byId)
  return (
    <section className="mt-3">
      <h3 className="text-lg">{title}</h3>
      {list.length === 0 ? <p className="text-ink-soft">{none}</p> : null}
      <ul>
        {list.map((c) => (
          <li key={c.taxon} className="border-b border-rule/60 py-1">
            <b>{taxonName(c.taxon, byId).replace(/ \(.*\)/, '')}</b>: {courseWords[c.course]};{' '}
            {percent(c.shares.at(-1)!)} now. {changeWords(c)}.
          </li>
        ))}
      </ul>
    </section>
  )
}

function OneMethod({ counts, paddock }: { counts: YearCount[]; paddock: Paddock }) {
  const byId = useFlora((s) => s.byId)
  const all = useMemo(() => courses(counts), [counts])
  const inOrder = useMemo(() => [...counts].sort((a, b) => (a.on < b.on ? -1 : 1)), [counts])
  const harmful = all.filter((c) => byId.get(c.taxon)?.role === 'toxic')
  const sown = all.filter((c) => paddock.sown.includes(c.taxon))
  const shown = [...harmful.slice(0, 2), ...all.filter((c) => !harmful.includes(c))].slice(0, DRAWN)
  const missing = paddock.sown.filter((id) => !all.some((c) => c.taxon === id))
  const last = inOrder.at(-1)!
  return (
    <>
      <p className="mt-1 text-ink-soft">
        {counts.length} counts by "{methodInfo[last.method].name}". Only counts of one method are held against each
        other.
      </p>
      {counts.length > 1 ? (
        <TrendChart counts={inOrder} plants={shown} />
      ) : (
        <p>One count so far: a line needs another.</p>
      )}
      <Lines title="Harmful" list={harmful} none="No harmful plant was met in any count, which does not exclude one." />
      {paddock.sown.length > 0 ? <Lines title="Sown" list={sown} none="None of the sown plants was met." /> : null}
      {missing.length > 0 && paddock.sown.length > 0 ? (
        <p className="text-ink-soft">Sown and never met: {missing.map((id) => taxonName(id, byId)).join(', ')}.</p>
      ) : null}
      <Lines
        title="Plainly rising or falling"
        list={all.filter((c) => (c.course === 'rising' || c.course === 'falling' || c.course === 'arriving') && !harmful.includes(c)).slice(0, 8)} // prettier-ignore
        none="No other plant's change is beyond what chance would make of so many stops."
      />
    </>
  )
}

/** One paddock year on year: shares with intervals, what was sown, what harms, what came of it. */
export function YearOnYear({ paddock, known }: { paddock: Paddock; known: YearCount[] | undefined }) {
  const [counts, setCounts] = useState(known)
  const [problem, setProblem] = useState('')
  useEffect(() => {
    if (known) return
    let current = true
    getCounts(paddock.id).then(
      (c) => current && setCounts(c),
      (e: unknown) => current && setProblem((e as Error).message),
    )
    return () => void (current = false)
  }, [paddock.id, known])
  if (problem) return <p className="font-semibold text-harm">{problem}</p>
  if (!counts) return <p className="text-ink-soft">Reading the counts …</p>
  const methods = [...new Set(counts.map((c) => c.method))] as Method[]
  return (
    <section aria-labelledby="year-on-year">
      <h2 id="year-on-year" className="text-[1.65rem]">
        {paddock.name}, year on year
      </h2>
      {counts.length === 0 ? <p className="mt-1">Nothing was counted here yet.</p> : null}
      {methods.map((m) => (
        <OneMethod key={m} counts={counts.filter((c) => c.method === m)} paddock={paddock} />
      ))}
    </section>
  )
}
