import { taxonName } from '@/text/taxonNames.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { isOfStop, useOutbox, type StopConflict } from '../../stores/outboxStore.ts'
import { say } from '../../language/say.ts'

function Version({
  title,
  stop,
  onKeep,
}: {
  title: string
  stop: Pick<Stop, 'hits' | 'measures' | 'skipped'>
  onKeep: () => void
}) {
  const byId = useFlora((s) => s.byId)
  const sums = new Map<string, number>()
  for (const h of stop.hits) sums.set(h.taxon, (sums.get(h.taxon) ?? 0) + h.amount)
  const measures = Object.entries(stop.measures).map(([k, v]) => `${k.replace(/([A-Z])/g, ' $1').toLowerCase()} ${v}`)
  return (
    <div className="rounded-xl border border-rule bg-sheet px-3 py-2">
      <h3 className="font-semibold">{title}</h3>
      {stop.skipped ? <p>{say('Skipped: {{skipped}}', { skipped: stop.skipped })}</p> : null}
      <ul className="leading-snug">
        {[...sums].map(([taxon, n]) => (
          <li key={taxon}>
            {taxonName(taxon, byId)} <b>{n}</b>
          </li>
        ))}
        {measures.map((m) => (
          <li key={m}>{m}</li>
        ))}
        {sums.size + measures.length === 0 ? <li className="text-ink-soft">{say('nothing written down')}</li> : null}
      </ul>
      <button
        type="button"
        className="mt-2 min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
        onClick={onKeep}
      >
        {say('Keep this one')}
      </button>
    </div>
  )
}

/** Stops that two devices counted: both versions side by side, and the person chooses. */
export function ConflictPanel({ round, onTheirs }: { round: Round; onTheirs: (stop: Stop) => void }) {
  const all = useOutbox((s) => s.conflicts)
  const settle = useOutbox((s) => s.resolveConflict)
  const here = all.filter(isOfStop).filter((c) => c.command.roundId === round.id)
  if (here.length === 0) return null
  const keep = (c: StopConflict, which: 'mine' | 'theirs') => {
    settle(c, which)
    if (which === 'theirs') onTheirs(c.theirs)
  }
  return (
    <section className="mb-4 rounded-2xl border-2 border-harm px-4 py-3" aria-labelledby="two-devices">
      <h2 id="two-devices" className="text-lg text-harm">
        {say('Counted on two devices')}
      </h2>
      {here.map((c) => (
        <div key={c.id ?? c.key} className="mt-2">
          <p>{say('Stop {{seq}}: both versions are kept until you choose.', { seq: c.theirs.seq })}</p>
          <div className="mt-1 grid gap-2 @md:grid-cols-2">
            <Version title={say('On this device')} stop={c.command.stop} onKeep={() => keep(c, 'mine')} />
            <Version title={say('From the other device')} stop={c.theirs} onKeep={() => keep(c, 'theirs')} />
          </div>
        </div>
      ))}
    </section>
  )
}
