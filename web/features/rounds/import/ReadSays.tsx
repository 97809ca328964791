import { fileWords } from '@/text/fileWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { Link } from 'react-router'
import type { RoundRead } from '@/core/formats/read/roundOfFinds.ts'
import { nearestPlant, type NameFound } from '@/core/formats/read/nameFinder.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'

const headings: Record<NameFound['how'], string> = {
  get book() {
    return say('Plants of the book')
  },
  get ground() {
    return say('Ground')
  },
  get letter() {
    return say('Counted under a letter')
  },
  get 'outside the book'() {
    return say('Kept under the scientific name, outside the book')
  },
}
const SHOWN_NAMES = 60

function Names({ read, how }: { read: RoundRead; how: NameFound['how'] }) {
  const byId = useFlora((s) => s.byId)
  const names = read.names.filter((n) => n.found.how === how)
  if (names.length === 0) return null
  return (
    <>
      <h3 className="mt-3 text-lg">{headings[how]}</h3>
      <ul className="gap-x-6 @md:columns-2">
        {names.slice(0, SHOWN_NAMES).map((n) => {
          const now = taxonName(n.found.taxon, byId)
          return (
            <li key={n.name} className="break-inside-avoid py-0.5">
              {how === 'book' ? (
                <Link to={`/plants/${n.found.taxon}`} className="underline">
                  {now}
                </Link>
              ) : (
                <span className={how === 'outside the book' ? 'font-plant italic' : ''}>{now}</span>
              )}{' '}
              <span className="text-ink-soft">
                {n.name === now ? '' : `"${n.name}", `}
                {say('{{count}} times', { count: n.times })}
              </span>
            </li>
          )
        })}
      </ul>
      {names.length > SHOWN_NAMES ? <p>{say('and {{n}} more.', { n: names.length - SHOWN_NAMES })}</p> : null}
    </>
  )
}

/** Names the book does not hold, with the plant that may have been meant. */
function Meant({ names, onGive }: { names: string[]; onGive: (name: string, plant: string) => void }) {
  const plants = useFlora((s) => s.plants)
  const near = names.slice(0, SHOWN_NAMES).flatMap((name) => {
    const plant = nearestPlant(name, plants)
    return plant ? [{ name, plant }] : []
  })
  return (
    <ul>
      {near.map(({ name, plant }) => (
        <li key={name} className="flex flex-wrap items-center gap-2 py-1">
          <span className="grow">
            {say('"{{name}}": could it be {{commonName}}?', { name, commonName: plant.commonName })}
          </span>
          <button
            type="button"
            onClick={() => onGive(name, plant.id)}
            className="min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
          >
            {say('Read as {{commonName}}', { commonName: plant.commonName })}
          </button>
        </li>
      ))}
    </ul>
  )
}

/** What of a file is understood, and everything that is not. */
export function ReadSays({ read, onGive }: { read: RoundRead; onGive: (name: string, plant: string) => void }) {
  const { round, notUnderstood } = read
  const counted = round.stops.filter((s) => s.doneAt).length
  const { unitName, units, name } = methodWords(round.method)
  return (
    <>
      <p className="mt-1 text-lg" data-testid="read-says">
        <Say
          text={'<b/> with {{n}} names, as "{{name}}"{{what}}.'}
          values={{
            n: read.names.length,
            name,
            what:
              round.stops.length > counted
                ? say('; {{n}} more still to count', { n: round.stops.length - counted })
                : '',
          }}
          components={{
            b: (
              <b>
                {counted} {counted === 1 ? unitName : units}
              </b>
            ),
          }}
        />
      </p>
      {notUnderstood.length > 0 ? (
        <section className="mt-3 rounded-2xl rounded-tl-sm border-2 border-straw p-4" aria-labelledby="not-understood">
          <h3 id="not-understood" className="text-lg">
            {say('Not understood, and left out')}
          </h3>
          <ul className="list-disc pl-5">
            {notUnderstood.slice(0, SHOWN_NAMES).map((n) => (
              <li key={fileWords(n.what)} className="break-words">
                {fileWords(n.what)}
                <span className="text-ink-soft">
                  {' '}
                  (
                  {n.times === 1
                    ? fileWords(n.first)
                    : say('{{times}} times, first in {{first}}', { times: n.times, first: fileWords(n.first) })}
                  )
                </span>
              </li>
            ))}
          </ul>
          {notUnderstood.length > SHOWN_NAMES ? (
            <p>{say('and {{n}} more kinds.', { n: notUnderstood.length - SHOWN_NAMES })}</p>
          ) : null}
          <Meant names={read.strangers} onGive={onGive} />
        </section>
      ) : (
        <p className="mt-1 text-ink-soft">{say('Everything in the file was understood.')}</p>
      )}
      {(['book', 'ground', 'letter', 'outside the book'] as const).map((how) => (
        <Names key={how} read={read} how={how} />
      ))}
      <Meant names={read.names.filter((n) => n.found.how === 'outside the book').map((n) => n.name)} onGive={onGive} />
    </>
  )
}
