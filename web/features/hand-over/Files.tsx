import type { Round } from '@/core/records/round.ts'
import { say } from '../../language/say.ts'

const files = [
  {
    name: 'composition.csv',
    get says() {
      return say('Shares with intervals, for a spreadsheet')
    },
  },
  {
    name: 'hits.csv',
    get says() {
      return say('Every hit in the order of the walk')
    },
  },
  {
    name: 'stops.csv',
    get says() {
      return say('Every stop: where, counted or skipped, what was measured')
    },
  },
  {
    name: 'stops.gpx',
    get says() {
      return say('Stops and route, for a hand-held receiver')
    },
  },
  {
    name: 'darwin-core.zip',
    get says() {
      return say('Finds as a Darwin Core archive, for a biological records centre')
    },
  },
  {
    name: 'stops.geojson',
    get says() {
      return say('Boundary, route and stops, for a map')
    },
  },
]

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
      {files.map((f) => (
        <li key={f.name}>
          <a
            href={`/api/rounds/${roundId}/files/${f.name}`}
            download
            className="flex min-h-16 items-center justify-between gap-4 border-b border-rule px-2 hover:bg-culm/8"
          >
            <span>{f.says}</span>
            <b className="whitespace-nowrap text-culm underline">{f.name}</b>
          </a>
        </li>
      ))}
    </ul>
  )
}
