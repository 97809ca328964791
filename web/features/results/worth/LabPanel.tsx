import { labExtraWords, labProblemWords, nitrateWords } from '@/text/labWords.ts'
import Papa from 'papaparse'
import { useState } from 'react'
import {
  hasFeed,
  labExtras,
  labFigures,
  nitrateStep,
  offBy,
  type FeedResult,
  type LabExtra,
  type LabResult,
} from '@/core/assess/feed/labResult.ts'
import { readLabRows } from '@/core/assess/feed/readLab.ts'
import type { Estimate, MixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import { simulatedLaboratory } from '../../../instruments/laboratory.ts'
import { FileButton } from '../../../parts/FileButton.tsx'
import { useLab } from '../../../entities/round/herd.ts'
import { ReadProblem } from '../../../ui/ReadProblem.tsx'
import { estimateIn, unitOf } from '../../../parts/units.ts'
import { Confirm } from '../../../ui/Confirm.tsx'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { atMost, fixed } from '../../../language/numbers.ts'
import { LabForm } from './LabForm.tsx'

const names = {
  get cpPct() {
    return say('Crude protein')
  },
  adfPct: 'ADF',
  ndfPct: 'NDF',
} as const
const MOST_BYTES = 1024 * 1024

const said = (e: Estimate, decimals: number) =>
  say('{{middle}} ({{low}} to {{high}})', {
    middle: fixed(e.middle, decimals),
    low: fixed(e.low, decimals),
    high: fixed(e.high, decimals),
  })

/** Figures that dangers are worked out from, as they were read. */
function Further({ lab }: { lab: LabResult }) {
  const read = (Object.keys(labExtras) as LabExtra[]).filter((k) => lab[k] !== undefined)
  if (read.length === 0) return null
  return <p>{read.map((k) => `${labExtraWords(k)} ${atMost(lab[k]!, 3)}`).join('; ')}.</p>
}

/** Feed figures of a laboratory beside what was estimated from the plants. */
function FeedFigures({ lab, estimate }: { lab: FeedResult; estimate: MixtureFeed | undefined }) {
  const figures = labFigures(lab, estimate?.classes ?? {})
  return (
    <>
      <p>
        {say(
          'Relative feed value {{said}}, energy {{said2}} {{unitOf}}. In brackets the error of laboratories; one sample is not the whole paddock.',
          {
            said: said(figures.rfv, 0),
            said2: said(estimateIn('energy', figures.meMcalPerKg), 2),
            unitOf: unitOf('energy'),
          },
        )}
        {figures.quality
          ? ` ${say('Relative forage quality {{rfq}}, TDN {{tdn}} % (Moore & Undersander 2002, from memory).', { rfq: fixed(figures.quality.rfq, 0), tdn: fixed(figures.quality.tdnPct, 0) })}`
          : ''}
      </p>
      <ul>
        {(estimate ? offBy(estimate, lab) : []).map((o) => (
          <li key={o.what}>
            <Say
              text="{{names}} {{lab}} %: {{abs}} points {{what}} the middle of the estimate, <b/>"
              values={{
                names: names[o.what],
                lab: fixed(lab[o.what], 1),
                abs: fixed(Math.abs(o.points), 1),
                what: o.points < 0 ? say('below') : say('above'),
              }}
              components={{ b: <b>{o.within ? say('within its range') : say('outside its range')}</b> }}
            />
          </li>
        ))}
      </ul>
    </>
  )
}

function Result({ lab, estimate }: { lab: LabResult; estimate: MixtureFeed | undefined }) {
  return (
    <>
      <p className="mt-1 font-bold">
        {lab.simulated ? say('Simulated, no sample was sent') : say('Sample {{sample}}', { sample: lab.sample })}
      </p>
      {hasFeed(lab) ? <FeedFigures lab={lab} estimate={estimate} /> : null}
      <Further lab={lab} />
      {lab.nitrateNPpm !== undefined ? (
        <p>
          {say(
            'Nitrate {{nitrateNPpm}} ppm NO3-N ({{nitrateNPpm2}} ppm as NO3) in dry matter: {{nitrateWords}} (extension tables, from memory). A veterinarian decides.',
            {
              nitrateNPpm: Math.round(lab.nitrateNPpm),
              nitrateNPpm2: Math.round(lab.nitrateNPpm * 4.43),
              nitrateWords: nitrateWords(nitrateStep(lab.nitrateNPpm)),
            },
          )}
        </p>
      ) : null}
    </>
  )
}

/** What a laboratory says of a sample, typed, from its file, or made up; it stands in place of the estimate. */
export function LabPanel({ roundId, estimate }: { roundId: string; estimate: MixtureFeed | undefined }) {
  const { data: lab, set, ...read } = useLab(roundId)
  const [problems, setProblems] = useState<string[]>([])
  const [found, setFound] = useState<LabResult[]>([])
  const take = (result: LabResult) => {
    setProblems([])
    setFound([])
    set(result)
  }
  const write = (row: Record<string, string>) => {
    const read = readLabRows([row])
    const notRead = read.problems.filter((p) => p.code === 'nitrate-not-read' || p.code === 'figure-not-read')
    if (notRead.length > 0) setProblems(notRead.map(labProblemWords))
    else if (read.results[0]) take(read.results[0])
    else
      setProblems([
        say('Protein, ADF and NDF must be percent of dry matter, between 0 and 100, and ADF not above NDF.'),
      ])
  }
  const open = async (file: File) => {
    setFound([])
    if (file.size > MOST_BYTES)
      return setProblems([say('{{name}} is larger than 1 MB, which no list of results is.', { name: file.name })])
    const { data } = Papa.parse<Record<string, string>>(await file.text(), { header: true, skipEmptyLines: true })
    const read = readLabRows(data)
    setProblems(read.problems.map(labProblemWords))
    // A nitrate that was read is looked at by a person before anything is said of it.
    const [only] = read.results
    if (read.results.length === 1 && read.problems.length === 0 && only!.nitrateNPpm === undefined) take(only!)
    else setFound(read.results)
  }
  return (
    <section className="mt-3" aria-labelledby="lab">
      <h2 id="lab" className="text-xl">
        {say('Laboratory')}
      </h2>
      <ReadProblem of={say('The laboratory result')} {...read} />
      {lab ? (
        <>
          <Result lab={lab} estimate={estimate} />
          <Confirm
            title={say('Take the result out again?')}
            detail={say('Its figures are gone from this round, and feed is estimated from the plants again.')}
            act={say('Take it out')}
            onConfirm={() => set(undefined)}
          >
            <button type="button" className="mt-1 min-h-11 underline">
              {say('Take the result out again')}
            </button>
          </Confirm>
        </>
      ) : (
        <>
          <p className="text-ink-soft">
            {say('A result of a sample stands in place of the estimate, and shows how far off it was.')}
          </p>
          <details>
            <summary className="min-h-11 py-2 font-semibold">{say('Type or open a result')}</summary>
            <LabForm onTyped={write} />
            <div className="mt-3 flex flex-wrap gap-3">
              <FileButton label={say('Open a CSV file')} accept=".csv,text/csv" onFile={(file) => void open(file)} />
              {estimate ? (
                <button
                  type="button"
                  className="min-h-11 rounded-xl border border-dashed border-ink-soft px-3"
                  onClick={() => void simulatedLaboratory.analyse(estimate).then(take)}
                >
                  {simulatedLaboratory.name}
                </button>
              ) : null}
            </div>
          </details>
          <div role="alert">
            {problems.map((p) => (
              <p key={p} className="text-harm">
                {p}
              </p>
            ))}
          </div>
          {found.length > 0 ? (
            <ul aria-label={say('Samples in the file')}>
              {found.map((r, i) => (
                <li key={i}>
                  <button type="button" className="min-h-11 underline" onClick={() => take(r)}>
                    {hasFeed(r)
                      ? say('{{sample}}: protein {{cpPct}} %, ADF {{adfPct}} %, NDF {{ndfPct}} %', {
                          sample: r.sample,
                          cpPct: fixed(r.cpPct, 1),
                          adfPct: fixed(r.adfPct, 1),
                          ndfPct: fixed(r.ndfPct, 1),
                        })
                      : r.sample}
                    {r.nitrateNPpm === undefined
                      ? ''
                      : say(', nitrate read as {{ppm}} ppm NO3-N: press where that is so', {
                          ppm: Math.round(r.nitrateNPpm),
                        })}
                  </button>
                </li>
              ))}
            </ul>
          ) : null}
        </>
      )}
    </section>
  )
}
