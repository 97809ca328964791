import type { Round } from '@/core/records/round.ts'
import { writtenFiles } from '@/core/formats/formatIds.ts'
import { writtenWords } from '@/text/formatWords.ts'
import { say } from '../../language/say.ts'

export function HandOverHead({ round }: { round: Round }) {
  return (
    <>
      <p className="text-ink-soft">
        {round.holding}, {round.paddock.name}
      </p>
      <h1 className="text-[1.65rem]">{say('Hand over')}</h1>
      <p className="mt-2 max-w-prose">
        {say(
          'The two pages are for the client. The files are for those who work on with the figures; they open in any spreadsheet or map program.',
        )}
      </p>
    </>
  )
}

/** The files of a round, each made when it is asked for. */
export function Files({ roundId }: { roundId: string }) {
  return (
    <ul className="mt-4 max-w-xl">
      {writtenFiles.map((f) => (
        <li key={f}>
          <a
            href={`/api/rounds/${roundId}/files/${f}`}
            download
            className="flex min-h-16 items-center justify-between gap-4 border-b border-rule px-2 hover:bg-culm/8"
          >
            <span>{writtenWords(f)}</span>
            <b className="whitespace-nowrap text-culm underline">{f}</b>
          </a>
        </li>
      ))}
    </ul>
  )
}
