import { inSentence } from '@/text/say.ts'
import { useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { LifeForm, Plant } from '@/core/flora/flora.ts'
import type { Neighbour } from '@/core/naming/compare.ts'
import { groupOf } from '@/core/records/taxon.ts'
import { groupColour } from '../../parts/groupMarks.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { namingWorker } from '../../workers/namingWorker.ts'
import { say } from '../../language/say.ts'
import { HIGH, labelled, lay, WIDE } from './mapLayout.ts'

const NEAREST = 5

const kinds = (): [LifeForm | 'all', string][] => [
  ['all', say('All plants')],
  ['grass', say('Grasses')],
  ['legume', say('Clovers and kin')],
  ['forb', say('Broad leaves')],
]

/** Map of look-alikes: plants stand close where a vegetative eye confuses them. */
export function Component() {
  const { plants, byId, characters } = useFlora()
  const [near, setNear] = useState<Map<string, Neighbour[]>>()
  const [kind, setKind] = useState<LifeForm | 'all'>('grass')
  const [picked, setPicked] = useState<string>()
  useEffect(() => {
    let current = true
    void namingWorker()
      .then((api) => api.nearest('vegetative', NEAREST))
      .then((n) => current && setNear(n))
    return () => void (current = false)
  }, [])
  const shown = useMemo(() => plants.filter((p) => kind === 'all' || p.form === kind), [plants, kind])
  const spots = useMemo(() => (near ? lay(shown, near) : undefined), [shown, near])
  const plant = picked ? byId.get(picked) : undefined
  const kin = (picked && near?.get(picked)) || []
  const lit = new Set([...(picked ? [picked] : []), ...kin.map((k) => k.plant)])
  const names = useMemo(
    () =>
      new Map(
        plants.map((p) => [
          p.id,
          p.commonName
            .replace(' (forage type)', '')
            .replace(' (turf type)', ', turf')
            .replace('White clover (large Ladino type)', 'Ladino clover')
            .replace(/ \(.*/, ''),
        ]),
      ),
    [plants],
  )
  const named = spots ? labelled([...spots.values()], lit, names) : new Map<string, number>()
  const check = (a: Plant, b: string) =>
    a.lookalikes.find((l) => l.plant === b)?.check ?? byId.get(b)?.lookalikes.find((l) => l.plant === a.id)?.check
  return (
    <main className="mx-auto max-w-[90rem] px-4 pb-16 min-[901px]:px-8">
      <h1 className="text-[1.65rem]">{say('Map of look-alikes')}</h1>
      <p className="text-ink-soft">
        {say(
          'Close together: an eye without a flower confuses them, by the same arithmetic that names plants. Touch one to see what it is taken for.',
        )}
      </p>
      <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label={say('Which plants')}>
        {kinds().map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={kind === id}
            className="min-h-11 rounded-xl border border-rule px-3 aria-pressed:bg-culm aria-pressed:font-bold aria-pressed:text-on-culm"
            onClick={() => {
              setKind(id)
              setPicked(undefined)
            }}
          >
            {name}
          </button>
        ))}
      </div>
      <div className="mt-3 grid gap-5 min-[1101px]:grid-cols-[minmax(0,1fr)_21rem]">
        {spots ? (
          <div className="overflow-x-auto rounded-2xl border border-rule bg-sheet">
            <svg
              viewBox={`0 0 ${WIDE} ${HIGH}`}
              className="block w-full min-w-[46rem]"
              role="group"
              aria-label={say('Plants by how easily they are confused')}
            >
              {shown.flatMap((p) =>
                (near!.get(p.id) ?? []).slice(0, 2).map((n) => {
                  const [a, b] = [spots.get(p.id)!, spots.get(n.plant)]
                  const on = picked === p.id || picked === n.plant
                  return b ? (
                    <path
                      key={`${p.id}${n.plant}`}
                      d={`M${a.x} ${a.y}L${b.x} ${b.y}`}
                      className={on ? 'stroke-ink' : 'stroke-rule'}
                      strokeWidth={on ? 2.4 : Math.max(0.5, 3.4 - n.distance * 0.35)}
                    />
                  ) : null
                }),
              )}
              {shown.map((p) => {
                const s = spots.get(p.id)!
                const toxic = p.role === 'toxic'
                return (
                  <g
                    key={p.id}
                    role="button"
                    tabIndex={0}
                    aria-label={`${p.commonName}${toxic ? say(', harmful') : ''}`}
                    aria-pressed={picked === p.id}
                    className="cursor-pointer"
                    opacity={picked && !lit.has(p.id) ? 0.5 : 1}
                    onClick={() => setPicked(p.id)}
                    onKeyDown={(e) => e.key === 'Enter' && setPicked(p.id)}
                  >
                    <circle cx={s.x} cy={s.y} r="14" fill="transparent" />
                    {toxic ? (
                      <path d={`M${s.x} ${s.y - 8}l8 8l-8 8l-8 -8Z`} fill="var(--group-harm)" />
                    ) : (
                      <circle cx={s.x} cy={s.y} r={picked === p.id ? 8 : 6} fill={groupColour(groupOf(p.id, byId))} />
                    )}
                    {named.has(p.id) ? (
                      <text
                        x={s.x}
                        y={named.get(p.id)}
                        textAnchor="middle"
                        className={`fill-ink text-[15px] ${lit.has(p.id) ? 'font-bold' : ''}`}
                      >
                        {names.get(p.id)}
                      </text>
                    ) : null}
                  </g>
                )
              })}
            </svg>
          </div>
        ) : (
          <p>{say('Working out who is taken for whom …')}</p>
        )}
        <aside aria-live="polite">
          {plant ? (
            <>
              <h2 className="text-xl">
                <Link to={`/plants/${plant.id}`} className="hover:underline">
                  {plant.commonName}
                </Link>
              </h2>
              {plant.role === 'toxic' ? <b className="text-harm">{say('harmful')}</b> : null}
              <PlantPicture plant={plant} insets className="w-full max-w-80" />
              <h3 className="mt-2 text-lg">{say('Most easily taken for')}</h3>
              <ol>
                {kin.map((k) => {
                  const other = byId.get(k.plant)!
                  const by = check(plant, k.plant)
                  return (
                    <li key={k.plant} className="border-b border-rule/60 py-1.5">
                      <Link
                        to={`/compare?plants=${plant.id},${k.plant}`}
                        className="flex min-h-11 flex-wrap items-center gap-x-2 font-semibold underline"
                      >
                        {other.commonName}
                        {other.role === 'toxic' ? <span className="font-bold text-harm">{say('harmful')}</span> : null}
                      </Link>
                      {by ? (
                        <span className="text-ink-soft">
                          {say('decide by {{characterTitle}}', {
                            characterTitle: inSentence(characterTitle(characters, by)),
                          })}
                        </span>
                      ) : null}
                    </li>
                  )
                })}
              </ol>
            </>
          ) : (
            <p>
              {say(
                'A diamond is a harmful plant, a circle any other. The line is thicker the more alike two plants are. Nothing is chosen yet.',
              )}
            </p>
          )}
        </aside>
      </div>
    </main>
  )
}
