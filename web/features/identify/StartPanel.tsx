import { naturalFrequency } from '@/text/certaintyWords.ts'
import { Link } from 'react-router'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import { reads, useRead } from '../../data/reads.ts'
import { HarmfulInLeaf } from '../../entities/plant/HarmfulInLeaf.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { OpenSheet } from './KeepPanel.tsx'
import { say } from '../../language/say.ts'

const keys = () => [
  ['1 to 9', say('choose a drawn answer')],
  [say('Shift + 1 to 9'), say('either of these')],
  ['p', say('several plants pulled: count what each shows')],
  ['?', say("can't tell")],
  ['s', say('how sure')],
  ['n', say('take the suggested check')],
  ['/', say('find a plant or a character')],
  ['c', say('compare the first two')],
  ['z', say('undo')],
]

/** Harmful plants whose pictures stand there. */
const SHOWN = 8

/** The right half before anything was seen: what is open, what was written down last, and the keys. */
interface Props {
  waiting: UndeterminedSpecimen[]
  onReopen: (unknown: UndeterminedSpecimen) => void
}

export function StartPanel({ waiting, onReopen }: Props) {
  const { plants, byId } = useFlora()
  const { data: namings = [] } = useRead(reads.namings)
  const last = namings.slice(0, 6)
  const harmful = plants.filter((p) => p.role === 'toxic').length
  return (
    <>
      <p className="mt-2 text-lg">
        {say(
          'All {{n}} plants of the book are open, {{harmful}} of them poisonous. Any part may be looked at first; use Find for any of them.',
          { n: plants.length, harmful },
        )}
      </p>
      <p>
        <Link to="/group-key" className="flex min-h-11 items-center underline">
          {say('Many runners of subterranean clover: the group key')}
        </Link>
      </p>
      {waiting.some((u) => !u.namedAs) ? (
        <section className="mt-5">
          <h3 className="text-lg">{say('Waiting for a name')}</h3>
          <ul>
            {waiting
              .filter((u) => !u.namedAs)
              .slice(0, 8)
              .map((u) => (
                <li key={u.id}>
                  <button
                    type="button"
                    onClick={() => onReopen(u)}
                    className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-rule/60 text-left hover:bg-culm/10"
                  >
                    <b>{say('Unknown {{letter}}', { letter: u.letter })}</b>
                    <span className="text-ink-soft">
                      {say('{{place}}, {{count}} looks', {
                        place: u.place || say('no place given'),
                        count: u.observations.length,
                      })}
                    </span>
                  </button>
                </li>
              ))}
          </ul>
        </section>
      ) : null}
      <div className="mt-4">
        <OpenSheet subject="loose" />
      </div>
      {last.length > 0 ? (
        <section className="mt-5">
          <h3 className="text-lg">{say('Written down last')}</h3>
          <ul>
            {last.map((n) => (
              <li key={n.id} className="flex min-h-11 items-center justify-between gap-3 border-b border-rule/60 py-1">
                <Link to={`/plants/${n.plant}`} className="font-plant font-semibold hover:underline">
                  {byId.get(n.plant)?.commonName ?? n.plant}
                </Link>
                <span>{naturalFrequency(n.probability)}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <HarmfulInLeaf most={SHOWN} />
      <dl className="mt-5 hidden grid-cols-[max-content_1fr] gap-x-4 gap-y-1 min-[901px]:grid">
        {keys().map(([key, does]) => (
          <div key={key} className="col-span-2 grid grid-cols-subgrid">
            <dt>
              <kbd className="rounded border border-rule bg-sheet px-1.5">{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </>
  )
}
