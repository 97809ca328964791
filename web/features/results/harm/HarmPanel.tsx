import { boundWords } from '../../../entities/round/boundWords.ts'
import { codesListed } from '@/text/codeWords.ts'
import { animalClassName } from '@/text/animalWords.ts'
import { letterWords, taxonName } from '@/text/taxonNames.ts'
import { harmKindWords } from '@/text/harmWords.ts'
import { Link } from 'react-router'
import { standingCautions } from '@/text/standingCautions.ts'
import { dosesHere, keptAnimals } from '@/core/assess/harm/exposures.ts'
import { inSentence } from '@/text/say.ts'
import type { ChapterProps } from '../chapter.ts'
import { Doses, ExposureView } from '../../../parts/ExposureView.tsx'
import { percent, percentRange } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { HarmGlance } from './HarmGlance.tsx'
import { HarmMatrix } from './HarmMatrix.tsx'
import { hazardGradeWords } from '@/text/hazardWords.ts'
import { useHazards } from '../../../entities/round/useHazards.ts'
import { useGrazing } from '../../../entities/round/useGrazing.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'

/** The dangers that looking does not tell, by name; each is told of in a chapter of its own. */
function Unseen({ round }: Pick<ChapterProps, 'round'>) {
  const here = useHazards(round)
  if (here.length === 0) return null
  return (
    <p className="mt-2">
      <b>{say('Looking does not tell:')}</b>{' '}
      {here.map((r) => `${inSentence(r.hazard.name)} (${hazardGradeWords(r.grade)})`).join('; ')}.{' '}
      <Link to={`/rounds/${round.id}/weigh-up/unseen`} className="text-culm underline">
        {say('What each stands on')}
      </Link>
    </p>
  )
}

/** What was found that can harm, what may be there unseen, and what cannot be told by looking. */
export function HarmPanel({ round, weighed }: ChapterProps) {
  const byId = useFlora((s) => s.byId)
  const { harm, composition: made } = weighed
  const { stops } = made
  const { animal, said, mass } = useGrazing(round, made)
  const animals = said ? [animal.kind] : [...keptAnimals]
  const carrying = [...harm.found, ...harm.cautions].flatMap((f) => byId.get(f.plant) ?? [])
  const name = (id: string) => byId.get(id)?.commonName ?? id
  return (
    <section className="rounded-2xl rounded-tl-sm border-2 border-harm bg-harm-wash p-4" aria-labelledby="harm">
      <h2 id="harm" className="text-[1.65rem] text-harm">
        {say('What could harm')}
      </h2>
      <HarmGlance round={round} harm={harm} kept={said ? animal.kind : undefined} />
      {harm.found.map((f) => (
        <div key={f.plant} className="mt-2 border-b border-harm/40 pb-2">
          <p className="text-lg">
            <Say
              text="<b/>, {{estimate}} of the sward{{what}}, at {{stopsWith}} of {{stops}} stops."
              values={{
                estimate: percent(f.share.estimate),
                what: f.share.interval ? ` (${percentRange(f.share.interval)})` : '',
                stopsWith: f.stopsWith,
                stops,
              }}
              components={{
                b: (
                  <b>
                    <Say
                      text="Found: <link/>"
                      components={{
                        link: (
                          <Link to={`/plants/${f.plant}`} className="underline">
                            {name(f.plant)}
                          </Link>
                        ),
                      }}
                    />
                  </b>
                ),
              }}
            />
          </p>
          {f.notes.map((n) => (
            <p key={n.kind} className="mt-0.5 first-letter:uppercase">
              {codesListed(n.who)}: {harmKindWords(n)}. {n.note}
            </p>
          ))}
          <ExposureView plant={byId.get(f.plant)!} />
          <Doses
            animal={animalClassName(animal.id)}
            doses={dosesHere(byId.get(f.plant)!, animal.kind, animal.bodyKg, f.share.interval, [mass.low, mass.high])}
          />
        </div>
      ))}
      <p className="mt-2">
        <Say
          text="<b>Not found</b>, though at home in this region: {{notFound}}; nor any of the {{n}} other harmful plants of the book. Not found is not the same as not there:"
          values={{ notFound: harm.notFound.map((id) => inSentence(name(id))).join(', '), n: harm.rarerHere.length }}
          components={{ b: <b /> }}
        />{' '}
        {boundWords(harm.bound)}.
      </p>
      {harm.unnamed.length > 0 ? (
        <p className="mt-2">
          <Say
            text="<b>Not named yet</b>: unknown {{unnamed}}. Until named, it could be any of these."
            values={{ unnamed: harm.unnamed.map(letterWords).join(', ') }}
            components={{ b: <b /> }}
          />
        </p>
      ) : null}
      {harm.notJudged.length > 0 ? (
        <p className="mt-2">
          <Say
            text="<b>Not judged here</b>: {{names}}. This book does not describe them; any of them could be harmful."
            values={{
              names: harm.notJudged
                .map(({ taxon, poisonousGenus }) =>
                  poisonousGenus
                    ? say('{{name}} (of a genus with poisonous kinds)', { name: taxonName(taxon, byId) })
                    : taxonName(taxon, byId),
                )
                .join(', '),
            }}
            components={{ b: <b /> }}
          />
        </p>
      ) : null}
      {harm.cautions.length > 0 ? (
        <details className="mt-2">
          <summary className="min-h-11 py-2 font-semibold">
            {say('Cautions with the feed plants, some of which only a test can tell ({{n}})', {
              n: harm.cautions.length,
            })}
          </summary>
          <ul className="space-y-1.5">
            {harm.cautions.map((c) => (
              <li key={c.plant}>
                <b>{name(c.plant)}</b>:{' '}
                {c.notes.map((n) => `${harmKindWords(n)} (${codesListed(n.who)}). ${n.note}`).join(' ')}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
      <Unseen round={round} />
      {carrying.length > 0 ? (
        <details className="mt-2">
          <summary className="min-h-11 py-2 font-semibold">
            {say('By animal, standing, wilted, as hay or silage{{what}}', {
              what: said ? '' : say(' (say under Stock what is kept, to see only that)'),
            })}
          </summary>
          <HarmMatrix plants={carrying} animals={animals} />
        </details>
      ) : null}
      <p className="mt-3 text-sm">
        {standingCautions()[0]} {standingCautions()[3]}
      </p>
    </section>
  )
}
