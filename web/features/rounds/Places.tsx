import { Link } from 'react-router'
import type { Holding, Paddock } from '@/core/records/round.ts'
import { areaHa } from '@/core/geo/route.ts'
import { areaWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

const link = 'inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm'

/** Whose land it is, paddock by paddock, and the way to a new round or a new paddock. */
export function Places({ holdings, paddocks }: { holdings: Holding[]; paddocks: Paddock[] }) {
  return (
    <section className="mt-6 border-t border-rule pt-3" aria-labelledby="places">
      <p className="flex flex-wrap gap-2">
        <Link to="/count-here" className={link}>
          {say('Count here')}
        </Link>
        <Link to="/plan" className={link}>
          {say('Plan a round')}
        </Link>
        <Link to="/places/new" className={link}>
          {say('A new paddock')}
        </Link>
      </p>
      <details className="mt-2">
        <summary id="places" className="min-h-11 content-center text-lg font-semibold">
          {say('Places')}
        </summary>
        <ul>
          {holdings.map((h) => (
            <li key={h.id} className="border-b border-rule/70 py-2">
              <b>{h.name}</b>
              {h.client ? <span className="text-ink-soft">, {h.client}</span> : null}
              <ul>
                {paddocks
                  .filter((p) => p.holdingId === h.id)
                  .map((p) => (
                    <li key={p.id}>
                      <Link
                        to={`/places/${p.id}`}
                        className="flex min-h-11 items-center justify-between gap-3 hover:underline"
                      >
                        {p.name}
                        <span className="text-ink-soft">
                          {p.boundary ? areaWords(areaHa(p.boundary)) : say('no boundary')}
                        </span>
                      </Link>
                    </li>
                  ))}
              </ul>
            </li>
          ))}
        </ul>
      </details>
    </section>
  )
}
