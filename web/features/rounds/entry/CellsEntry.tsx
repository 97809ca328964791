import { taxonName } from '@/text/taxonNames.ts'
import { useRef, type KeyboardEvent } from 'react'
import type { Stop } from '@/core/records/round.ts'
import { GRID_CELLS } from '@/core/methods/estimators/frequency.ts'
import { groupOf, type Taxon } from '@/core/records/taxon.ts'
import { GroupMark } from '../../../parts/HatchDefs.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'

const SIDE = Math.sqrt(GRID_CELLS)
const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -SIDE, ArrowDown: SIDE }

interface Props {
  stop: Stop
  chosen: Taxon | null
  onCell: (taxon: Taxon, part: number) => void
}

/** The grid on the ground, seen from above: choose a plant, touch each cell that holds it. */
export function CellsEntry({ stop, chosen, onCell }: Props) {
  const byId = useFlora((s) => s.byId)
  const cells = useRef<(HTMLButtonElement | null)[]>([])
  const walk = (e: KeyboardEvent, i: number) => {
    const step = steps[e.key]
    if (step === undefined) return
    e.preventDefault()
    cells.current[i + step]?.focus()
  }
  return (
    <div className="mt-3">
      <p className="min-h-7">
        {chosen ? (
          <>
            <Say
              text="<b/>: touch each cell that holds it, or walk with the arrow keys and press space."
              components={{ b: <b>{taxonName(chosen, byId)}</b> }}
            />
          </>
        ) : (
          say('Press the key of a plant, then touch the cells that hold it.')
        )}
      </p>
      <div
        className="mt-2 grid w-full max-w-[22rem] grid-cols-5 gap-1"
        role="group"
        data-grid
        aria-label={say('Grid of 25 cells')}
      >
        {Array.from({ length: GRID_CELLS }, (_, i) => {
          const here = stop.hits.filter((h) => h.part === i + 1)
          const on = here.some((h) => h.taxon === chosen)
          return (
            <button
              key={i}
              ref={(el) => void (cells.current[i] = el)}
              type="button"
              aria-pressed={on}
              aria-label={say('Cell {{i}}: {{here}}', {
                i: i + 1,
                here: here.map((h) => taxonName(h.taxon, byId)).join(', ') || 'empty',
              })}
              disabled={!chosen}
              onKeyDown={(e) => walk(e, i)}
              onClick={() => chosen && onCell(chosen, i + 1)}
              className={`flex aspect-square min-h-12 flex-wrap content-start gap-0.5 rounded-lg border p-1 ${on ? 'border-culm bg-culm/15 outline-2 outline-culm' : 'border-rule bg-sheet'}`}
            >
              {here.slice(0, 6).map((h) => (
                <GroupMark
                  key={h.taxon}
                  group={byId.get(h.taxon)?.role === 'toxic' ? 'harm' : groupOf(h.taxon, byId)}
                  className="size-3.5"
                />
              ))}
            </button>
          )
        })}
      </div>
    </div>
  )
}
