import { select } from 'd3-selection'
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomBehavior } from 'd3-zoom'
import { useEffect, useRef, useState, type ComponentProps, type KeyboardEvent } from 'react'
import { RouteMap } from './RouteMap.tsx'
import { say } from '../language/say.ts'

const NEAREST = 8
const STEP = 1.6
/** An arrow moves the map so far, in the units of the drawing. */
const MOVE = 40

const moves: Record<string, [number, number]> = {
  ArrowLeft: [MOVE, 0],
  ArrowRight: [-MOVE, 0],
  ArrowUp: [0, MOVE],
  ArrowDown: [0, -MOVE],
}

/** Nearer and farther by pinch, by the wheel where the map has the focus, by buttons and by keys; one finger still scrolls the page. */
function useNearer() {
  const svg = useRef<SVGSVGElement>(null)
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown>>(undefined)
  const [nearer, setNearer] = useState({ k: 1, x: 0, y: 0 })
  useEffect(() => {
    const drawing = svg.current
    if (!drawing) return
    const { width, height } = drawing.viewBox.baseVal
    const held = () => drawing.parentElement?.contains(document.activeElement)
    const mayBegin = (e: Event): boolean => {
      if (e instanceof WheelEvent) return e.ctrlKey || held() === true
      if ('touches' in e) return (e as TouchEvent).touches.length > 1
      return e instanceof MouseEvent && e.type !== 'dblclick' && e.button === 0
    }
    behaviour.current = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, NEAREST])
      .extent([
        [0, 0],
        [width, height],
      ])
      .translateExtent([
        [0, 0],
        [width, height],
      ])
      .filter(mayBegin)
      // A touch that hardly moves picks a stop.
      .clickDistance(6)
      .on('zoom', ({ transform: { k, x, y } }: D3ZoomEvent<SVGSVGElement, unknown>) => setNearer({ k, x, y }))
    select(drawing).call(behaviour.current)
    return () => void select(drawing).on('.zoom', null)
  }, [])
  const change = (what: 'in' | 'out' | 'whole' | [number, number]) => {
    const [drawing, by] = [svg.current, behaviour.current]
    if (!drawing || !by) return
    const chosen = select(drawing)
    if (what === 'whole') by.transform(chosen, zoomIdentity)
    else if (typeof what === 'string') by.scaleBy(chosen, what === 'in' ? STEP : 1 / STEP)
    else by.translateBy(chosen, what[0] / nearer.k, what[1] / nearer.k)
  }
  return { svg, nearer, change }
}

const button =
  'grid size-11 place-items-center rounded-xl border border-rule bg-sheet text-xl font-bold disabled:opacity-40'

/** A map that can be looked at nearer. */
export function ZoomMap(props: Omit<ComponentProps<typeof RouteMap>, 'ref' | 'nearer'>) {
  const { svg, nearer, change } = useNearer()
  const onKeyDown = (e: KeyboardEvent) => {
    const what = e.key === '+' || e.key === '=' ? 'in' : e.key === '-' ? 'out' : e.key === '0' ? 'whole' : moves[e.key]
    if (!what) return
    e.preventDefault()
    e.stopPropagation()
    change(what)
  }
  return (
    <div
      role="group"
      tabIndex={0}
      aria-label={say('Map: plus and minus bring it nearer, arrows move it, 0 shows all of it')}
      onKeyDown={onKeyDown}
      className="relative"
    >
      <RouteMap {...props} ref={svg} nearer={nearer} />
      <div className="no-print absolute right-0 bottom-0 flex gap-1">
        <button
          type="button"
          aria-label={say('Nearer')}
          className={button}
          disabled={nearer.k >= NEAREST}
          onClick={() => change('in')}
        >
          +
        </button>
        <button
          type="button"
          aria-label={say('Farther')}
          className={button}
          disabled={nearer.k <= 1}
          onClick={() => change('out')}
        >
          −
        </button>
      </div>
    </div>
  )
}
