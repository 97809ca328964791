import { useState } from 'react'
import { checkCopy } from '../../api/client.ts'
import { reads, useRead } from '../../data/reads.ts'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { FileButton } from '../../parts/FileButton.tsx'
import { say, word } from '../../language/say.ts'
import { momentWords } from '../../language/dates.ts'
import { fixed } from '../../language/numbers.ts'

const size = (bytes: number) => (bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${fixed(bytes / 1e6, 1)} MB`)

/** Copies of everything: to take one away, to see which are kept, to know whether a file is whole. */
export function Copies() {
  const { data: copies, ...read } = useRead(reads.copies)
  const { data: failed } = useRead(reads.copyState)
  const [said, setSaid] = useState('')
  const check = (file: File) =>
    void checkCopy(file)
      .then(({ madeAt, tables }) => {
        const rows = tables.reduce((n, t) => n + t.rows, 0)
        const rounds = tables.find((t) => t.name === 'round')?.rows ?? 0
        setSaid(
          say('{{name}} is whole: made {{when}}, {{rounds}} rounds, {{rows}} entries in all.', {
            name: file.name,
            when: momentWords(madeAt),
            rounds,
            rows,
          }),
        )
      })
      .catch((e: unknown) => setSaid(`${file.name}: ${(e as Error).message}`))
  return (
    <section aria-labelledby="copies" className="mt-8 border-t border-rule pt-4">
      <h2 id="copies" className="text-xl">
        {say('Copies')}
      </h2>
      <p className="max-w-prose">
        {say(
          'A copy holds everything that was written, in open formats in one zip. Keep one away from this machine: the copies below lie on the same disk.',
        )}
      </p>
      {failed?.problem ? (
        <p role="alert" className="mt-2 rounded-xl border-2 border-harm bg-harm-wash px-3 py-2 font-semibold text-harm">
          {copies?.[0]
            ? say('No new copy since {{when}}. {{why}}', {
                when: momentWords(copies[0].madeAt),
                why: word(failed.problem),
              })
            : say('There is no copy yet. {{why}}', { why: word(failed.problem) })}
        </p>
      ) : null}
      <div className="mt-2 flex flex-wrap gap-2">
        <a
          href="/api/backup"
          download
          className="flex min-h-12 items-center rounded-xl border-2 border-culm px-4 font-semibold text-culm"
        >
          {say('Take a copy away')}
        </a>
        <FileButton label={say('Is this copy whole?')} accept=".zip" onFile={check} />
      </div>
      <p role="status" className="mt-1 font-semibold">
        {said}
      </p>
      <ReadProblem of={say('The list of copies')} {...read} />
      {copies && copies.length > 0 ? (
        <details>
          <summary className="min-h-11 content-center">
            {say('{{count}} copies are kept beside the data, the last of {{when}}', {
              count: copies.length,
              when: momentWords(copies[0]!.madeAt),
            })}
          </summary>
          <ul>
            {copies.map((c) => (
              <li key={c.name}>
                {momentWords(c.madeAt)}, {size(c.bytes)}: <span className="font-mono text-sm">{c.name}</span>
              </li>
            ))}
          </ul>
          <p className="text-ink-soft">{say('Whoever runs the server puts one back; how is written in its guide.')}</p>
        </details>
      ) : null}
    </section>
  )
}
