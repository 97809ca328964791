import { useMemo } from 'react'
import { namedPlants } from '@/core/formats/read/namedPlants.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { inSentence } from '@/text/say.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { withInterval } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'

/** Which plants of the list that law keeps for this place were counted, and which were not met. */
export function NoxiousHere({ list, made }: { list: string | undefined; made: Composition }) {
  const { plants, byId } = useFlora()
  const { taxa, unread } = useMemo(() => namedPlants(list ?? '', plants), [list, plants])
  if (!list?.trim()) return null
  const met = made.taxa.filter((t) => taxa.includes(t.taxon))
  const notMet = taxa.filter((t) => !made.taxa.some((m) => m.taxon === t))
  const named = (t: string) => inSentence(taxonName(t, byId).replace(/ \(.*\)/, ''))
  return (
    <p className="mt-1" data-testid="noxious-here">
      {met.length > 0 ? (
        <Say
          text="<b>On the list of noxious weeds of this place, and counted:</b> {{met}}. What the law asks goes before what pays; ask the local authority."
          values={{ met: met.map((t) => `${named(t.taxon)} ${withInterval(t)}`).join(', ') }}
          components={{ b: <b /> }}
        />
      ) : (
        say('Of the list of noxious weeds of this place none was counted.')
      )}{' '}
      {notMet.length > 0
        ? say('Not met at the stops, which is not the same as not there: {{names}}.', {
            names: notMet.map(named).join(', '),
          })
        : ''}{' '}
      {unread.length > 0 ? say('Not understood in that list: {{names}}.', { names: unread.join(', ') }) : ''}
    </p>
  )
}
