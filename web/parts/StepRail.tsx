import { useWords } from '../language/useWords.ts'
import { memo, useEffect, useRef, type ReactNode } from 'react'
import { Link } from 'react-router'
import { say } from '../language/say.ts'

export interface RailStep {
  id: string
  label: string
  detail?: string
  /** Pressing the node goes back to this step. */
  onPress?: () => void
  pressLabel?: string
  /** Takes this step back out. */
  onRemove?: () => void
  removeLabel?: string
}

export interface NextStep {
  label: string
  detail?: string
  onPress?: () => void
  to?: string
  /** Key that does the same. */
  hotkey?: string
}

/** A chapter of a long screen: the side veins of the leaf, from the stem to the half that turns with them. */
export interface RailChapter {
  id: string
  label: string
  /** Its answer in a few words. */
  detail?: ReactNode
  to: string
  current: boolean
}

interface Props {
  nodes: RailStep[]
  chapters: RailChapter[]
  tip: NextStep | undefined
  names: { left: string; right: string }
  fold: 'left' | 'right'
  onFold: (fold: 'left' | 'right') => void
}

const tipClass =
  'block w-full rounded-2xl rounded-bl-sm bg-straw px-3 py-2.5 text-left text-on-straw shadow-[0_1px_0_rgb(0_0_0/0.25)] min-h-11'

function Tip({ tip }: { tip: NextStep }) {
  const inside = (
    <>
      <span className="block text-sm font-semibold">
        {say('Next')}
        {tip.hotkey ? <kbd className="ml-2 rounded bg-on-straw/12 px-1.5 font-sans">{tip.hotkey}</kbd> : null}
      </span>
      <span className="block leading-snug font-bold">{tip.label}</span>
      {tip.detail ? <span className="block text-sm leading-snug">{tip.detail}</span> : null}
    </>
  )
  if (tip.to)
    return (
      <Link to={tip.to} className={tipClass}>
        {inside}
      </Link>
    )
  return tip.onPress ? (
    <button type="button" className={tipClass} onClick={tip.onPress}>
      {inside}
    </button>
  ) : (
    <p className={tipClass}>{inside}</p>
  )
}

/** Bud on the stem, left or right in turn, like the joints of a shoot. */
function Node({ node, side }: { node: RailStep; side: 'left' | 'right' }) {
  const text = (
    <>
      <span className="block text-sm leading-tight text-ink-soft">{node.label}</span>
      {node.detail ? <span className="block leading-tight font-semibold">{node.detail}</span> : null}
    </>
  )
  return (
    <li className="relative flex min-h-11 items-center pl-9">
      <svg
        viewBox="0 0 20 20"
        className={`absolute top-1/2 left-[0.55rem] size-5 -translate-y-1/2 ${side === 'left' ? '-scale-x-100' : ''}`}
        aria-hidden
      >
        <path d="M8 17C6 10 10 4 17 3c1 7-2 12-9 14Z" className="fill-culm" />
      </svg>
      {node.onPress ? (
        <button
          type="button"
          className="w-full rounded-lg px-1.5 py-1 text-left hover:bg-culm/10"
          onClick={node.onPress}
          aria-label={node.pressLabel}
        >
          {text}
        </button>
      ) : (
        <div className="px-1.5 py-1">{text}</div>
      )}
      {node.onRemove ? (
        <button
          type="button"
          aria-label={node.removeLabel}
          className="min-h-11 min-w-8 shrink-0 rounded-lg text-ink-soft hover:bg-culm/10"
          onClick={node.onRemove}
        >
          ×
        </button>
      ) : null}
    </li>
  )
}

function Vein({ chapter: { label, detail, to, current } }: { chapter: RailChapter }) {
  return (
    <li className="relative">
      <svg viewBox="0 0 20 20" className="absolute top-1/2 left-[0.55rem] size-5 -translate-y-1/2" aria-hidden>
        <path
          d={current ? 'M8 17C6 10 10 4 17 3c1 7-2 12-9 14Z' : 'M8 15C9 11 12 8 16 7'}
          className={current ? 'fill-culm' : 'fill-none stroke-culm'}
          strokeWidth="1.8"
        />
      </svg>
      <Link
        to={to}
        preventScrollReset
        aria-current={current ? 'page' : undefined}
        className={`flex min-h-12 flex-col justify-center rounded-l-xl py-1 pr-2 pl-9 leading-tight ${
          current ? 'bg-glaucous' : 'hover:bg-culm/10'
        }`}
      >
        <span className={current ? 'font-bold' : 'font-semibold'}>{label}</span>
        {detail ? <span className="block text-sm text-ink-soft">{detail}</span> : null}
      </Link>
    </li>
  )
}

/** The chapters on a narrow screen: a strip that scrolls beneath the thumb. */
export function ChapterStrip({ chapters }: { chapters: RailChapter[] }) {
  const here = useRef<HTMLLIElement>(null)
  const now = chapters.find((c) => c.current)?.id
  useEffect(() => {
    // Some browsers answer with a promise, which is nothing to clean up.
    void here.current?.scrollIntoView({ inline: 'center', block: 'nearest' })
  }, [now])
  return (
    <nav aria-label={say('Chapters')} className="leaf-strip no-print min-[901px]:hidden">
      <ol className="flex gap-1 px-2">
        {chapters.map(({ id, label, to, current }) => (
          <li key={id} ref={current ? here : undefined}>
            <Link
              to={to}
              aria-current={current ? 'page' : undefined}
              className={`flex min-h-12 items-center border-b-3 px-3 whitespace-nowrap ${current ? 'border-culm font-bold' : 'border-transparent'}`}
            >
              {label}
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  )
}

/** The stem between the halves: steps done below, the growing point with the one next thing above. */
export const StepRail = memo(function StepRail({ nodes, chapters, tip, names, fold, onFold }: Props) {
  useWords()
  const other = fold === 'left' ? 'right' : 'left'
  return (
    <nav className="leaf-midrib no-print" aria-label={say('Steps')}>
      <div className="hidden h-full flex-col min-[901px]:flex">
        <div className="sticky top-0 z-10 px-1 pt-3">{tip ? <Tip tip={tip} /> : null}</div>
        <div className="relative grow">
          <svg viewBox="0 0 20 400" preserveAspectRatio="none" className="absolute top-0 left-2 h-full w-5" aria-hidden>
            <path d="M8.4 400C9.6 280 6.5 160 9.4 0h1.6C9 160 13 280 12.2 400Z" className="fill-culm" />
          </svg>
          {chapters.length > 0 ? (
            <div className="sticky top-24">
              <ol className="relative space-y-0.5 py-3" aria-label={say('Chapters')}>
                {chapters.map((c) => (
                  <Vein key={c.id} chapter={c} />
                ))}
              </ol>
            </div>
          ) : null}
          <ol className="relative space-y-1 py-3" reversed>
            {[...nodes].reverse().map((node, i) => (
              <Node key={node.id} node={node} side={i % 2 ? 'left' : 'right'} />
            ))}
          </ol>
        </div>
      </div>
      <div className="flex items-stretch gap-2 p-2 min-[901px]:hidden">
        <button
          type="button"
          onClick={() => onFold(other)}
          className="min-h-14 min-w-24 rounded-xl border-2 border-culm px-2 text-left leading-tight font-semibold text-culm min-[700px]:hidden"
        >
          <span className="block text-sm font-normal">{say('turn to')}</span>
          {names[other]}
        </button>
        <div className="min-w-0 grow">{tip ? <Tip tip={tip} /> : null}</div>
      </div>
    </nav>
  )
})
