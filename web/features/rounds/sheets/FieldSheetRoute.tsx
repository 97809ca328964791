import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { inSentence } from '@/text/say.ts'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { RouteMap } from '../../../parts/RouteMap.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { assignKeys, keyedPlants } from '../countKeys.ts'
import { valueChoices } from '../entry/valueChoices.ts'
import { readRound } from '../../../data/readRound.ts'
import { PrintSheet } from '../../../parts/PrintSheet.tsx'
import { say } from '../../../language/say.ts'
import { dayWords } from '../../../language/dates.ts'

/** Plants on one sheet of paper; the rest is written into the empty lines. */
const MOST_PLANTS = 14
const EMPTY_LINES = 6
const STOPS_A_BLOCK = 15

export const loader = ({ params }: LoaderFunctionArgs) => readRound(params.id!)

function howToWrite(round: Round): string {
  const { entry } = countingMethods[round.method]
  const { unitName: unit } = methodWords(round.method)
  const choices = valueChoices(round.method, round.settings)
  if (choices.length > 0)
    return say('Write {{choices}}.', { choices: choices.map((c) => `${c.label} (${c.says})`).join(', ') })
  if (entry === 'values') return say('Write grams.')
  if (entry === 'cells') return say('Write the number of cells of 25 that hold the plant, or mark them.')
  if (entry === 'search') return say('Write the plants found on each leg, and its metres below.')
  if (entry === 'reading') return say('Write the reading; where the place is clipped, its fresh grams too.')
  return say('Make a stroke for each point; a {{unit}} has {{pointsPerStop}}.', {
    unit,
    pointsPerStop: round.pointsPerStop,
  })
}

function Block({ round, from, lines }: { round: Round; from: number; lines: { key: string; name: string }[] }) {
  const stops = round.stops.slice(from, from + STOPS_A_BLOCK)
  const { entry } = countingMethods[round.method]
  const { unitName: unit } = methodWords(round.method)
  const extra =
    entry === 'search'
      ? [say('metres')]
      : entry === 'reading'
        ? [say('reading'), say('clipped, g')]
        : [say('height'), say('bare %')]
  const plants =
    entry === 'reading' ? [] : [...lines, ...Array.from({ length: EMPTY_LINES }, () => ({ key: '', name: '' }))]
  return (
    <table className="mt-3 w-full min-w-[44rem] table-fixed border-collapse text-sm break-inside-avoid print:min-w-0">
      <thead>
        <tr>
          <th scope="col" className="w-44 border border-ink px-1 text-left">
            {unit}
          </th>
          {stops.map((s) => (
            <th key={s.id} scope="col" className="border border-ink">
              {s.seq}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...extra.map((name) => ({ key: '', name })), ...plants].map((line, i) => (
          <tr key={i} className="h-7">
            <th scope="row" className="truncate border border-ink px-1 text-left font-normal">
              {line.key ? <b className="mr-1">{line.key}</b> : null} {line.name}
            </th>
            {stops.map((s) => (
              <td key={s.id} className="border border-ink" />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** The round on paper, for those who write with a pencil; it is typed in later with the keys that stand on it. */
export function Component() {
  const round = useLoaderData<typeof loader>()
  const { plants, byId } = useFlora()
  const expected = keyedPlants(round, plants).slice(0, MOST_PLANTS)
  const lines = assignKeys(expected, 'A').map(({ key, taxon }) => ({
    key,
    name: taxonName(taxon, byId).replace(/ \(.*\)/, ''),
  }))
  const blocks = Array.from({ length: Math.ceil(round.stops.length / STOPS_A_BLOCK) }, (_, i) => i * STOPS_A_BLOCK)
  const reading = countingMethods[round.method].reading
  return (
    <PrintSheet name={say('Field sheet')} back="/rounds" backLabel={say('Back to the rounds')}>
      <div className="flex flex-wrap justify-between gap-4">
        <div className="max-w-md">
          <h1 className="text-[1.65rem]">
            {round.paddock.name}: {inSentence(round.title)}
          </h1>
          <p>
            {round.holding}; {dayWords(round.plannedOn)}; {inSentence(methodWords(round.method).name)}
            {reading?.unit ? `, ${reading.unit}` : ''}.
          </p>
          <p className="mt-1">
            {say('{{howToWrite}} The letters before the names are the keys for typing it in.', {
              howToWrite: howToWrite(round),
            })}
          </p>
          <p className="mt-3">{say('Observer ______________________ Weather ______________________')}</p>
        </div>
        {round.route ? (
          <RouteMap
            boundary={round.paddock.boundary}
            parts={round.paddock.strata}
            line={round.route.line}
            stops={round.stops}
            numbered
            label={say('Map of {{name}} with {{n}} numbered stops', {
              name: round.paddock.name,
              n: round.stops.length,
            })}
            className="w-64"
          />
        ) : null}
      </div>
      {/* A sheet of paper is wider than a phone: it is looked at piece by piece there. */}
      <div
        tabIndex={0}
        role="region"
        aria-label={say('Field sheet')}
        className="overflow-x-auto print:overflow-visible"
      >
        {blocks.map((from) => (
          <Block key={from} round={round} from={from} lines={lines} />
        ))}
      </div>
    </PrintSheet>
  )
}
