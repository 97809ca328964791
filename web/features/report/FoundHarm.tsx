import { harmKindWords } from '@/text/harmWords.ts'
import { inSentence } from '@/text/say.ts'
import type { HarmFound } from '@/core/assess/harm/harmFindings.ts'
import { TypicalPart } from '../../entities/plant/TypicalPart.tsx'
import { withInterval } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { sentence } from './sentence.ts'

/** A poison that was found: whom it harms, what shows and what is done first. */
export function Found({ found: f, stops }: { found: HarmFound; stops: number }) {
  const plant = useFlora((s) => s.byId).get(f.plant)!
  return (
    <div className="mt-1 flex gap-3">
      <TypicalPart plant={plant} className="size-14 shrink-0" />
      <p>
        <Say
          text="<b>Found: {{inSentence}}</b> (<i/>), {{withInterval}}, at {{stopsWith}} of {{stops}} stops. {{notes}}{{what}}"
          values={{
            inSentence: inSentence(plant.commonName),
            withInterval: withInterval(f.share),
            stopsWith: f.stopsWith,
            stops,
            notes: f.notes.map((n) => `${sentence(harmKindWords(n))}: ${n.note}`).join(' '),
            what: plant.exposure
              ? say(' Signs: {{inSentence}}. First: {{first}}', {
                  inSentence: inSentence(plant.exposure.signs),
                  first: plant.exposure.first,
                })
              : '',
          }}
          components={{ b: <b />, i: <i className="font-plant">{plant.scientificName}</i> }}
        />
      </p>
    </div>
  )
}
