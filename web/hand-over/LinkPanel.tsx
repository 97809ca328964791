import { format, parseISO } from 'date-fns'
import { useEffect, useState } from 'react'
import { addLink, dropLink, getLinks, type ClientLink } from '../api/client.ts'
import { inputClass, Labelled } from '../parts/Labelled.tsx'

const day = (iso: string) => format(parseISO(iso), 'd MMMM yyyy')

/** Links by which the client reads these pages, each until its day. */
export function LinkPanel({ roundId }: { roundId: string }) {
  const [links, setLinks] = useState<ClientLink[]>([])
  const [days, setDays] = useState(30)
  const [made, setMade] = useState('')
  const [said, setSaid] = useState('')
  useEffect(() => {
    let current = true
    getLinks(roundId).then(
      (l) => current && setLinks(l),
      () => undefined,
    )
    return () => void (current = false)
  }, [roundId])
  const attempt = (work: () => Promise<void>) => void work().catch((e: unknown) => setSaid((e as Error).message))
  const make = () =>
    attempt(async () => {
      const { link, token } = await addLink(roundId, days)
      setLinks((l) => [link, ...l])
      setMade(`${location.origin}/shared#${token}`)
      setSaid(`It opens until ${day(link.expiresAt)}. It is shown this once.`)
    })
  const takeBack = (id: string) =>
    attempt(async () => {
      await dropLink(id)
      setLinks((l) => l.filter((x) => x.id !== id))
      setMade('')
      setSaid('Taken back: it opens nothing any more.')
    })
  const copy = () => attempt(() => navigator.clipboard.writeText(made).then(() => setSaid('Copied.')))
  return (
    <section aria-labelledby="links" className="mt-8 max-w-xl border-t border-rule pt-4">
      <h2 id="links" className="text-xl">
        A link for the client
      </h2>
      <p>Whoever holds it reads these pages and nothing else, until its day. No name or password is needed.</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Labelled label="Opens for">
          {(id) => (
            <select id={id} value={days} onChange={(e) => setDays(Number(e.target.value))} className={inputClass}>
              <option value={7}>a week</option>
              <option value={30}>30 days</option>
              <option value={90}>90 days</option>
              <option value={365}>a year</option>
            </select>
          )}
        </Labelled>
        <button
          type="button"
          onClick={make}
          className="min-h-12 rounded-xl border-2 border-culm px-5 font-semibold text-culm"
        >
          Make a link
        </button>
      </div>
      {made ? (
        <div className="mt-3 flex flex-wrap gap-2">
          <input
            readOnly
            value={made}
            aria-label="The link"
            onFocus={(e) => e.target.select()}
            className={`${inputClass} grow basis-60 font-mono text-sm`}
          />
          <button type="button" onClick={copy} className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm">
            Copy
          </button>
        </div>
      ) : null}
      <p role="status" className="mt-1 font-semibold">
        {said}
      </p>
      <ul>
        {links.map((l) => (
          <li key={l.id} className="flex flex-wrap items-center justify-between gap-2 border-b border-rule py-1">
            <span>
              Until {day(l.expiresAt)}, made by {l.madeBy};{' '}
              {l.openedAt ? `last opened ${day(l.openedAt)}` : 'not opened yet'}
            </span>
            <button type="button" onClick={() => takeBack(l.id)} className="min-h-11 px-2 text-culm underline">
              Take it back
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
