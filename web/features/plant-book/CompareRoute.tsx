import { useEffect, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { cellAt } from '@/core/flora/flora.ts'
import type { ComparedLook } from '@/core/naming/compare.ts'
import { usualState } from '../../entities/plant/usualState.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { effortWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { namingWorker } from '../../workers/namingWorker.ts'
import { OneLook } from '../../entities/plant/Lookalikes.tsx'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

const MOST = 4
/** Bits from which a look is worth the ink. */
const TELLS_FROM = 0.3

/** Two to four plants side by side: what tells them apart in ink and first, the rest faint. */
export function Component() {
  const { byId, plants, characters } = useFlora()
  const [query, setQuery] = useSearchParams()
  const asked = (query.get('plants') ?? '').split(',').filter((id) => byId.has(id))
  const ids = [...new Set(asked)].slice(0, MOST)
  const key = ids.join(',')
  const [looks, setLooks] = useState<{ key: string; list: ComparedLook[] }>({ key: '', list: [] })
  useEffect(() => {
    if (key.split(',').length < 2) return
    let current = true
    void namingWorker()
      .then((api) => api.compare(key.split(','), 'vegetative'))
      .then((list) => current && setLooks({ key, list }))
    return () => void (current = false)
  }, [key])
  const set = (next: string[]) => setQuery({ plants: next.join(',') })
  const chosen = ids.map((id) => byId.get(id)!)
  const rows = (looks.key === key ? looks.list : []).filter(
    ({ character }) =>
      character !== 'life.form' && chosen.filter((p) => cellAt(p, character, 'vegetative') !== undefined).length > 1,
  )
  const same = (character: string) => new Set(chosen.map((p) => usualState(p, character, 'vegetative'))).size === 1
  return (
    <main className="mx-auto max-w-6xl px-4 pb-16 min-[901px]:px-8">
      <h1 className="text-[1.65rem]">{say('Compare')}</h1>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {chosen.map((p) => (
          <button
            key={p.id}
            type="button"
            className="min-h-11 rounded-xl border border-rule px-3"
            aria-label={say('Take {{commonName}} away', { commonName: p.commonName })}
            onClick={() => set(ids.filter((id) => id !== p.id))}
          >
            {p.commonName} <span aria-hidden>×</span>
          </button>
        ))}
        {ids.length < MOST ? (
          <select
            aria-label={say('Add a plant')}
            className="min-h-11 max-w-full rounded-xl border-2 border-culm bg-sheet px-2"
            value=""
            onChange={(e) => set([...ids, e.target.value])}
          >
            <option value="">{say('Add a plant …')}</option>
            {plants
              .filter((p) => !ids.includes(p.id))
              .map((p) => (
                <option key={p.id} value={p.id}>
                  {p.commonName}
                </option>
              ))}
          </select>
        ) : null}
      </div>
      {ids.length < 2 ? (
        <p className="mt-4">
          <Say
            text="Choose two to four plants. <link>The map of look-alikes</link> shows which are worth it."
            components={{ link: <Link to="/plants/map" className="underline" /> }}
          />
        </p>
      ) : (
        <div className="mt-4 grid gap-x-3" style={{ gridTemplateColumns: `repeat(${chosen.length}, minmax(0, 1fr))` }}>
          {chosen.map((p) => (
            <div key={p.id} className="text-center leading-tight">
              <PlantPicture
                plant={p}
                insets={chosen.length < 3}
                label={say('{{commonName}}, drawn whole', { commonName: p.commonName })}
                large
                className="mx-auto w-full max-w-96"
              />
              <Link to={`/plants/${p.id}`} className="font-plant text-lg font-semibold hover:underline">
                {p.commonName}
              </Link>
              {p.role === 'toxic' ? <b className="block text-harm">{say('harmful')}</b> : null}
            </div>
          ))}
          {rows.map(({ character, bits }) => {
            const c = characters.find((x) => x.id === character)!
            const faint = bits < TELLS_FROM || same(character)
            return (
              <section
                key={character}
                className={`mt-4 grid grid-cols-subgrid ${faint ? 'faint' : ''}`}
                style={{ gridColumn: '1 / -1' }}
              >
                <h2 className="col-span-full flex flex-wrap items-baseline gap-x-3 border-b border-rule text-lg">
                  {c.title}
                  <span className="text-sm font-normal text-ink-soft">
                    {faint
                      ? say('hardly tells them apart')
                      : say('tells {{bits}} of {{log}} bits', {
                          bits: fixed(bits, 1),
                          log: fixed(Math.log2(chosen.length), 1),
                        })}
                    , {effortWords[c.effort]}
                  </span>
                </h2>
                {chosen.map((p) => (
                  <div key={p.id} className="mt-1">
                    <OneLook plant={p} check={character} name={false} />
                  </div>
                ))}
              </section>
            )
          })}
        </div>
      )}
    </main>
  )
}
