import Papa from 'papaparse'
import { useState, type FormEvent } from 'react'
import { labFigures, nitrateWords, offBy, readLabRows, type LabResult } from '@/core/feed/labResult.ts'
import type { Estimate, MixtureFeed } from '@/core/feed/mixtureFeed.ts'
import { simulatedLaboratory } from '../instruments/laboratory.ts'
import { FileButton } from '../parts/FileButton.tsx'
import { inputClass, Labelled } from '../parts/Labelled.tsx'
import { useLabs } from './labStore.ts'
import { estimateIn, unitOf } from '../parts/units.ts'

const names = { cpPct: 'Crude protein', adfPct: 'ADF', ndfPct: 'NDF' } as const
const MOST_BYTES = 1024 * 1024
const empty = { sample: '', cpPct: '', adfPct: '', ndfPct: '', nitrateNPpm: '' }

const said = (e: Estimate, decimals: number) =>
  `${e.middle.toFixed(decimals)} (${e.low.toFixed(decimals)} to ${e.high.toFixed(decimals)})`

function Result({ lab, estimate }: { lab: LabResult; estimate: MixtureFeed }) {
  const figures = labFigures(lab)
  return (
    <>
      <p className="mt-1">
        <b>{lab.simulated ? 'Simulated, no sample was sent' : `Sample ${lab.sample}`}:</b> relative feed value{' '}
        {said(figures.rfv, 0)}, energy {said(estimateIn('energy', figures.meMcalPerKg), 2)} {unitOf('energy')}. In
        brackets the error of laboratories; one sample is not the whole paddock.
      </p>
      <ul>
        {offBy(estimate, lab).map((o) => (
          <li key={o.what}>
            {names[o.what]} {lab[o.what].toFixed(1)} %: {Math.abs(o.points).toFixed(1)} points{' '}
            {o.points < 0 ? 'below' : 'above'} the middle of the estimate,{' '}
            <b>{o.within ? 'within its range' : 'outside its range'}</b>
          </li>
        ))}
      </ul>
      {lab.nitrateNPpm !== undefined ? (
        <p>
          Nitrate {Math.round(lab.nitrateNPpm)} ppm NO3-N ({Math.round(lab.nitrateNPpm * 4.43)} ppm as NO3) in dry
          matter: {nitrateWords(lab.nitrateNPpm)} (extension tables, from memory). A veterinarian decides.
        </p>
      ) : null}
    </>
  )
}

/** What a laboratory says of a sample, typed, from its file, or made up; it stands in place of the estimate. */
export function LabPanel({ roundId, estimate }: { roundId: string; estimate: MixtureFeed }) {
  const lab = useLabs((s) => s.results[roundId])
  const set = useLabs((s) => s.set)
  const [typed, setTyped] = useState(empty)
  const [problems, setProblems] = useState<string[]>([])
  const [found, setFound] = useState<LabResult[]>([])
  const take = (result: LabResult) => {
    setProblems([])
    setFound([])
    set(roundId, result)
  }
  const write = (e: FormEvent) => {
    e.preventDefault()
    const read = readLabRows([
      {
        sample: typed.sample || 'typed',
        CP: typed.cpPct,
        ADF: typed.adfPct,
        NDF: typed.ndfPct,
        'NO3-N': typed.nitrateNPpm,
      },
    ])
    if (read.results[0]) take(read.results[0])
    else setProblems(['Protein, ADF and NDF must be percent of dry matter, between 0 and 100, and ADF not above NDF.'])
  }
  const open = async (file: File) => {
    setFound([])
    if (file.size > MOST_BYTES) return setProblems([`${file.name} is larger than 1 MB, which no list of results is.`])
    const { data } = Papa.parse<Record<string, string>>(await file.text(), { header: true, skipEmptyLines: true })
    const read = readLabRows(data)
    setProblems(read.problems)
    if (read.results.length === 1 && read.problems.length === 0) take(read.results[0]!)
    else setFound(read.results)
  }
  return (
    <section className="mt-3" aria-labelledby="lab">
      <h3 id="lab" className="text-lg">
        Laboratory
      </h3>
      {lab ? (
        <>
          <Result lab={lab} estimate={estimate} />
          <button type="button" className="mt-1 min-h-11 underline" onClick={() => set(roundId, undefined)}>
            Take the result out again
          </button>
        </>
      ) : (
        <>
          <p className="text-ink-soft">
            A result of a sample stands in place of the estimate, and shows how far off it was.
          </p>
          <details>
            <summary className="min-h-11 py-2 font-semibold">Type or open a result</summary>
            <form onSubmit={write} className="grid gap-3 sm:grid-cols-3">
              {(
                [
                  ['sample', 'Sample'],
                  ['cpPct', 'Crude protein, %'],
                  ['adfPct', 'ADF, %'],
                  ['ndfPct', 'NDF, %'],
                  ['nitrateNPpm', 'Nitrate, ppm NO3-N'],
                ] as const
              ).map(([key, label]) => (
                <Labelled key={key} label={label}>
                  {(id) => (
                    <input
                      id={id}
                      inputMode={key === 'sample' ? 'text' : 'decimal'}
                      value={typed[key]}
                      onChange={(e) => setTyped({ ...typed, [key]: e.target.value })}
                      className={inputClass}
                    />
                  )}
                </Labelled>
              ))}
              <button type="submit" className="min-h-12 self-end rounded-xl bg-culm px-5 font-semibold text-on-culm">
                Take it
              </button>
            </form>
            <div className="mt-3 flex flex-wrap gap-3">
              <FileButton label="Open a CSV file" accept=".csv,text/csv" onFile={(file) => void open(file)} />
              <button
                type="button"
                className="min-h-11 rounded-xl border border-dashed border-ink-soft px-3"
                onClick={() => void simulatedLaboratory.analyse(estimate).then(take)}
              >
                {simulatedLaboratory.name}
              </button>
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
            <ul aria-label="Samples in the file">
              {found.map((r, i) => (
                <li key={i}>
                  <button type="button" className="min-h-11 underline" onClick={() => take(r)}>
                    {r.sample}: protein {r.cpPct} %, ADF {r.adfPct} %, NDF {r.ndfPct} %
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
