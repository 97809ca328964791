import { useEffect, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { drawState } from '@/core/drawing/drawState.ts'
import { partToScale } from '@/core/drawing/sizeDrawing.ts'
import { cellAt, type Plant } from '@/core/flora/flora.ts'
import { inSentence } from '@/text/say.ts'
import type { ComparedLook } from '@/core/naming/compare.ts'
import { usualState, usualWords } from '../../entities/plant/usualState.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { characterTitle, effortWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { namingWorker } from '../../workers/namingWorker.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

const MOST = 4
/** Bits from which a look is worth the ink. */
const TELLS_FROM = 0.3

/** A plant's usual state at one look, small, with its words. */
function Cell({ plant, character }: { plant: Plant; character: string }) {
  const cell = cellAt(plant, character, 'vegetative')
  const state = usualState(plant, character, 'vegetative')
  const drawing =
    cell?.kind === 'range'
      ? partToScale(character, (cell.typical[0] + cell.typical[1]) / 2)
      : state && drawState(character, state)
  return (
    <td className="border-t border-rule/70 px-2 py-1.5">
      <span className="flex items-center gap-2 max-[700px]:flex-col max-[700px]:text-center">
        {drawing ? <DrawingView drawing={drawing} className="size-14 shrink-0" /> : <span className="size-14" />}
        <span className="leading-tight">{usualWords(plant, character, 'vegetative')}</span>
      </span>
    </td>
  )
}

/** Plants as columns whose heads stay in sight, a look a line, the one that tells most first. */
function Table({ plants, rows, hardly }: { plants: Plant[]; rows: ComparedLook[]; hardly: ComparedLook[] }) {
  const characters = useFlora((s) => s.characters)
  const title = (id: string) => characterTitle(characters, id)
  return (
    <>
      <table className="mt-4 w-full table-fixed border-separate border-spacing-0">
        <thead className="sticky top-0 z-10 bg-husk">
          <tr>
            <th scope="col" className="w-[24%] pb-2 text-left align-bottom text-sm font-normal text-ink-soft">
              {say('What tells most comes first, in bits of {{all}}', { all: fixed(Math.log2(plants.length), 1) })}
            </th>
            {plants.map((p) => (
              <th key={p.id} scope="col" className="px-1 pb-2 align-bottom leading-tight">
                <PlantPicture plant={p} className="mx-auto size-36 object-contain max-[700px]:size-16" />
                <Link to={`/plants/${p.id}`} className="font-plant font-semibold hover:underline">
                  {p.commonName}
                </Link>
                {p.role === 'toxic' ? <b className="block text-harm">{say('harmful')}</b> : null}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ character, bits }) => (
            <tr key={character}>
              <th scope="row" className="border-t border-rule/70 py-1.5 pr-2 text-left align-middle font-normal">
                <b className="block leading-tight">{title(character)}</b>
                <span className="text-sm text-ink-soft">
                  {say('{{bits}} bits', { bits: fixed(bits, 1) })},{' '}
                  {effortWords[characters.find((c) => c.id === character)!.effort]}
                </span>
              </th>
              {plants.map((p) => (
                <Cell key={p.id} plant={p} character={character} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {hardly.length > 0 ? (
        <p className="mt-3 border-t border-rule pt-2 text-ink-soft">
          {say('Hardly tells them apart: {{looks}}.', {
            looks: hardly.map(({ character }) => inSentence(title(character))).join(', '),
          })}
        </p>
      ) : null}
    </>
  )
}

/** Two to four plants side by side: what tells them apart in ink and first, the rest faint. */
export function Component() {
  const { byId, plants } = useFlora()
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
  const set = (next: string[]) => setQuery({ plants: next.join(',') }, { preventScrollReset: true })
  const chosen = ids.map((id) => byId.get(id)!)
  const rows = (looks.key === key ? looks.list : []).filter(
    ({ character }) =>
      character !== 'life.form' && chosen.filter((p) => cellAt(p, character, 'vegetative') !== undefined).length > 1,
  )
  const same = (character: string) => new Set(chosen.map((p) => usualState(p, character, 'vegetative'))).size === 1
  const faint = ({ character, bits }: ComparedLook) => bits < TELLS_FROM || same(character)
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
        <Table plants={chosen} rows={rows.filter((r) => !faint(r))} hardly={rows.filter(faint)} />
      )}
    </main>
  )
}
