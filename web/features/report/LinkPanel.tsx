import { useState } from 'react'
import { addLink, deleteLink } from '../../api/client.ts'
import { reads, useRead } from '../../data/reads.ts'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { Confirm } from '../../ui/Confirm.tsx'
import { say } from '../../language/say.ts'
import { dayWords } from '../../language/dates.ts'

/** Links by which the client reads these pages, each until its day. */
export function LinkPanel({ roundId }: { roundId: string }) {
  const { data: links = [], ...read } = useRead(reads.links(roundId))
  const [days, setDays] = useState(30)
  const [made, setMade] = useState('')
  const [said, setSaid] = useState('')
  const attempt = (work: () => Promise<void>) => void work().catch((e: unknown) => setSaid((e as Error).message))
  const make = () =>
    attempt(async () => {
      const { link, token } = await addLink(roundId, days)
      read.again()
      setMade(`${location.origin}/shared#${token}`)
      setSaid(say('It opens until {{day}}. It is shown this once.', { day: dayWords(link.expiresAt) }))
    })
  const takeBack = (id: string) =>
    attempt(async () => {
      await deleteLink(id)
      read.again()
      setMade('')
      setSaid(say('Taken back: it opens nothing any more.'))
    })
  const copy = () => attempt(() => navigator.clipboard.writeText(made).then(() => setSaid(say('Copied.'))))
  return (
    <section aria-labelledby="links" className="mt-8 max-w-xl border-t border-rule pt-4">
      <h2 id="links" className="text-xl">
        {say('A link for the client')}
      </h2>
      <p>{say('Whoever holds it reads these pages and nothing else, until its day. No name or password is needed.')}</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Labelled label={say('Opens for')}>
          {(id) => (
            <select id={id} value={days} onChange={(e) => setDays(Number(e.target.value))} className={inputClass}>
              <option value={7}>{say('a week')}</option>
              <option value={30}>{say('30 days')}</option>
              <option value={90}>{say('90 days')}</option>
              <option value={365}>{say('a year')}</option>
            </select>
          )}
        </Labelled>
        <button
          type="button"
          onClick={make}
          className="min-h-12 rounded-xl border-2 border-culm px-5 font-semibold text-culm"
        >
          {say('Make a link')}
        </button>
      </div>
      {made ? (
        <div className="mt-3 flex flex-wrap gap-2">
          <input
            readOnly
            value={made}
            aria-label={say('The link')}
            onFocus={(e) => e.target.select()}
            className={`${inputClass} grow basis-60 font-mono text-sm`}
          />
          <button type="button" onClick={copy} className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm">
            {say('Copy')}
          </button>
        </div>
      ) : null}
      <p role="status" className="mt-1 font-semibold">
        {said}
      </p>
      <ReadProblem of={say('The list of links')} {...read} />
      <ul>
        {links.map((l) => (
          <li key={l.id} className="flex flex-wrap items-center justify-between gap-2 border-b border-rule py-1">
            <span>
              {say('Until {{day}}, made by {{madeBy}}; {{what}}', {
                day: dayWords(l.expiresAt),
                madeBy: l.madeBy,
                what: l.openedAt ? say('last opened {{day}}', { day: dayWords(l.openedAt) }) : say('not opened yet'),
              })}
            </span>
            <Confirm
              title={say('Take this link back?')}
              detail={say('Whoever has it cannot open the pages any more. Another link can be made.')}
              act={say('Take it back')}
              onConfirm={() => takeBack(l.id)}
            >
              <button type="button" className="min-h-11 px-2 text-culm underline">
                {say('Take it back')}
              </button>
            </Confirm>
          </li>
        ))}
      </ul>
    </section>
  )
}
