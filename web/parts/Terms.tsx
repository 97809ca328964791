import { Fragment } from 'react'
import { terms } from './terms.ts'
import { Word } from './Word.tsx'

const written = terms.flatMap((t) => (t.written ?? [t.term]).map((w) => ({ id: t.id, words: w.toLowerCase() })))
const pattern = new RegExp(
  `\\b(${written
    .map((w) => w.words)
    .sort((a, b) => b.length - a.length)
    .join('|')})\\b`,
  'gi',
)

/** A text with the words of the trade linked to what they mean, each where it stands first. */
export function Terms({ children }: { children: string }) {
  const met = new Set<string>()
  return children.split(pattern).map((part, i) => {
    const id = i % 2 === 1 ? written.find((w) => w.words === part.toLowerCase())?.id : undefined
    if (!id || met.has(id)) return <Fragment key={i}>{part}</Fragment>
    met.add(id)
    return (
      <Word key={i} id={id}>
        {part}
      </Word>
    )
  })
}
