import type { KeyboardEvent } from 'react'
import { drawState } from '@/core/drawing/drawState.ts'
import type { LifeForm } from '@/core/naming/flora.ts'
import { CANT_TELL, type Observation } from '@/core/naming/observation.ts'
import { characterTitle, stateWords } from '../parts/words.ts'
import { useFlora } from '../stores/floraStore.ts'

interface Slot {
  character: string
  /** Part of the plant in the middle that the line runs to. */
  to: [number, number]
}

const grass: Slot[] = [
  { character: 'vernation', to: [178, 62] },
  { character: 'ligule.type', to: [172, 150] },
  { character: 'auricles', to: [176, 160] },
  { character: 'stem.section', to: [178, 205] },
  { character: 'base.colour', to: [178, 258] },
  { character: 'blade.tip', to: [252, 70] },
  { character: 'blade.midrib', to: [232, 84] },
  { character: 'blade.ribs', to: [214, 104] },
  { character: 'sheath.hairs', to: [184, 230] },
  { character: 'habit', to: [180, 276] },
]

const legume: Slot[] = [
  { character: 'leaf.plan', to: [178, 90] },
  { character: 'leaflet.shape', to: [150, 84] },
  { character: 'leaflet.margin', to: [146, 100] },
  { character: 'stem.hairs', to: [178, 190] },
  { character: 'habit', to: [180, 276] },
  { character: 'leaflet.mark', to: [210, 92] },
  { character: 'leaf.set', to: [182, 150] },
  { character: 'stem.section', to: [182, 170] },
  { character: 'stem.marks', to: [182, 230] },
  { character: 'root.kind', to: [180, 282] },
]

const forb: Slot[] = [
  { character: 'leaf.outline', to: [140, 110] },
  { character: 'leaf.plan', to: [150, 130] },
  { character: 'stem.hairs', to: [178, 190] },
  { character: 'habit', to: [180, 276] },
  { character: 'leaf.set', to: [212, 120] },
  { character: 'stem.marks', to: [182, 200] },
  { character: 'stem.section', to: [182, 220] },
  { character: 'root.kind', to: [180, 282] },
]

const slotsOf = (form: LifeForm | undefined): Slot[] =>
  form === 'legume' ? legume : form === 'forb' || form === 'shrub' ? forb : grass

const middle: Record<'grass' | 'legume' | 'forb', string[]> = {
  grass: [
    'M172 280C173 230 172 200 174 150L176 60',
    'M188 280C187 230 188 200 186 150L180 60',
    'M186 148C198 100 222 78 256 66C232 92 214 120 190 156',
    'M174 150C164 108 140 88 108 84C132 104 150 126 170 158',
  ],
  legume: [
    'M180 280C178 220 182 160 180 112',
    'M180 112C150 112 134 96 140 74C164 74 180 90 180 112Z',
    'M180 112C210 112 226 96 220 74C196 74 180 90 180 112Z',
    'M180 108C160 92 160 62 180 46C200 62 200 92 180 108Z',
  ],
  forb: [
    'M180 280C179 240 181 190 180 150',
    'M180 176C140 176 112 140 112 100C150 104 180 136 180 176Z',
    'M180 176C220 176 248 140 248 100C210 104 180 136 180 176Z',
    'M180 160C160 130 160 84 180 56C200 84 200 130 180 160Z',
  ],
}

interface Props {
  form: LifeForm | undefined
  answers: Observation[]
  asked: string | undefined
  onAsk: (character: string) => void
}

const press = (act: () => void) => (e: KeyboardEvent) => {
  if (e.key !== 'Enter') return
  e.preventDefault()
  act()
}

/** The state to draw: the one answered, or the one most of several plants showed. */
function shownState(answer: Observation): string | undefined {
  if ('states' in answer) return answer.states[0]
  if ('counts' in answer) return Object.entries(answer.counts).sort((a, b) => b[1] - a[1])[0]?.[0]
  return undefined
}

/** Words of a label under each other, the block centred. */
function Lines({ x, text }: { x: number; text: string }) {
  const words = text.split(' ')
  return words.map((word, i) => (
    <tspan key={i} x={x} dy={i === 0 ? -6.5 * (words.length - 1) : 13}>
      {word}
    </tspan>
  ))
}

/** The specimen as far as it is known: seen parts drawn, the rest dotted; a touch on a part asks about it. */
export function Specimen({ form, answers, asked, onAsk }: Props) {
  const characters = useFlora((s) => s.characters)
  const slots = slotsOf(form)
  const half = Math.ceil(slots.length / 2)
  const kind = form === 'legume' ? 'legume' : form === 'forb' || form === 'shrub' ? 'forb' : 'grass'
  return (
    <svg
      viewBox="0 0 360 312"
      className="mx-auto w-full max-w-[30rem]"
      role="group"
      aria-label="The specimen: choose a part to answer about it"
    >
      {form ? null : (
        <text x="180" y="306" textAnchor="middle" className="fill-ink-soft text-[13px]">
          grows as you answer
        </text>
      )}
      {middle[kind].map((d) => (
        <path key={d} d={d} className={form && answers.length > 0 ? 'ink-line' : 'ink-dotted'} />
      ))}
      <path d="M120 280H240" className="ink-soil" />
      {slots.map((slot, i) => {
        const right = i >= half
        const row = right ? i - half : i
        const rows = right ? slots.length - half : half
        const x = right ? 326 : 34
        const y = 34 + row * (244 / Math.max(1, rows - 1))
        const answer = answers.find((a) => a.character === slot.character)
        const state = answer && shownState(answer)
        const drawing = state && state !== CANT_TELL ? drawState(slot.character, state) : undefined
        const title = characterTitle(characters, slot.character)
        const said = state ? stateWords(state) : 'not looked at yet'
        return (
          <g key={slot.character}>
            <path
              d={`M${x + (right ? -28 : 28)} ${y}L${slot.to[0]} ${slot.to[1]}`}
              className={drawing ? 'ink-fine' : 'ink-dotted'}
            />
            <g
              role="button"
              tabIndex={0}
              aria-label={`${title}: ${said}`}
              className="cursor-pointer"
              onClick={() => onAsk(slot.character)}
              onKeyDown={press(() => onAsk(slot.character))}
            >
              <circle
                cx={x}
                cy={y}
                r="28"
                className={drawing ? 'fill-sheet stroke-culm' : 'ink-dotted fill-husk'}
                strokeWidth={asked === slot.character ? 3.5 : 1.4}
              />
              {drawing ? (
                <svg x={x - 20} y={y - 20} width="40" height="40" viewBox="0 0 100 100" aria-hidden>
                  {drawing.map((m, j) => (
                    <path key={j} d={m.d} className={`ink-${m.ink}`} />
                  ))}
                </svg>
              ) : (
                <text x={x} y={y + 4} textAnchor="middle" className="fill-ink-soft text-[11.5px]">
                  <Lines x={x} text={state && !drawing ? said : title} />
                </text>
              )}
            </g>
          </g>
        )
      })}
    </svg>
  )
}
