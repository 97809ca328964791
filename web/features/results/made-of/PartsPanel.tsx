import { partName } from '@/text/partWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import type { Round } from '@/core/records/round.ts'
import type { PartMade } from '@/core/survey/byPart.ts'
import { GroupMark } from '../../../parts/HatchDefs.tsx'
import { percent, percentRange } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'

const SHOWN = 5

/** What each part of the paddock is made of, side by side. */
export function PartsPanel({ round, parts }: { round: Round; parts: PartMade[] }) {
  const byId = useFlora((s) => s.byId)
  if (parts.length === 0) return null
  const { unitName: unit, units } = methodWords(round.method)
  return (
    <section className="mt-6" aria-labelledby="parts">
      <h2 id="parts" className="text-xl">
        {say('Part by part')}
      </h2>
      <div className="mt-2 grid gap-x-6 gap-y-4 @md:grid-cols-2">
        {parts.map(({ name, made }) => {
          const harmful = made.taxa.filter((t) => byId.get(t.taxon)?.role === 'toxic')
          const shown = [...made.taxa.slice(0, SHOWN), ...harmful.filter((t) => !made.taxa.slice(0, SHOWN).includes(t))]
          return (
            <section key={name} aria-label={partName(name)}>
              <h3 className="text-lg">
                <span className="inline-block first-letter:uppercase">{partName(name)}</span>{' '}
                <span className="font-sans text-base font-normal text-ink-soft">
                  {made.stops} {made.stops === 1 ? unit : units}
                </span>
              </h3>
              <ul>
                {shown.map((t) => (
                  <li key={t.taxon} className="flex items-center gap-2 border-b border-rule/60 py-1">
                    <GroupMark group={byId.get(t.taxon)?.role === 'toxic' ? 'harm' : t.group} className="size-4" />
                    <span className="grow leading-tight">{taxonName(t.taxon, byId).replace(/ \(.*\)/, '')}</span>
                    <span className="text-right whitespace-nowrap">
                      <b>{percent(t.estimate)}</b>
                      <span className="block text-sm leading-tight text-ink-soft">
                        {t.interval ? percentRange(t.interval) : say('no interval from one stop')}
                      </span>
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )
        })}
      </div>
    </section>
  )
}
