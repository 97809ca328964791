import { useState, type FormEvent } from 'react'
import { labExtras, type LabExtra } from '@/core/assess/feed/labResult.ts'
import { labExtraWords } from '@/text/labWords.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { say } from '../../../language/say.ts'

/** Headers as a laboratory writes them, with the unit in which each figure is asked for. */
const headers: Record<LabExtra, string> = {
  hcnPpm: 'HCN, ppm',
  ergovalinePpb: 'Ergovaline, ppb',
  ergotAlkaloidPpb: 'Ergot alkaloids, ppb',
  formononetinPct: 'Formononetin, %',
  coumestanPpm: 'Coumestans, ppm',
  kPct: 'K, %',
  caPct: 'Ca, %',
  mgPct: 'Mg, %',
  wscPct: 'WSC, %',
  starchPct: 'Starch, %',
  sePpm: 'Se, ppm',
  cuPpm: 'Cu, ppm',
  moPpm: 'Mo, ppm',
  ph: 'pH',
  ndfdPct: 'NDFD, %',
  fatPct: 'Fat, %',
  ashPct: 'Ash, %',
  dryPct: 'DM',
}
const extras = Object.keys(labExtras) as LabExtra[]

/** A result typed in: it is handed on as the row of a file would be, so that both are read by the same rules. */
export function LabForm({ onTyped }: { onTyped: (row: Record<string, string>) => void }) {
  const [typed, setTyped] = useState<Record<string, string>>({})
  const field = (header: string, label: string, text = false) => (
    <Labelled key={header} label={label}>
      {(id) => (
        <input
          id={id}
          inputMode={text ? 'text' : 'decimal'}
          value={typed[header] ?? ''}
          onChange={(e) => setTyped({ ...typed, [header]: e.target.value })}
          className={inputClass}
        />
      )}
    </Labelled>
  )
  const write = (e: FormEvent) => {
    e.preventDefault()
    onTyped({ Sample: 'typed', ...Object.fromEntries(Object.entries(typed).filter(([, v]) => v.trim() !== '')) })
  }
  return (
    <form onSubmit={write}>
      <div className="grid gap-3 @md:grid-cols-3">
        {field('Sample', say('Sample'), true)}
        {field('CP', say('Crude protein, %'))}
        {field('ADF', 'ADF, %')}
        {field('NDF', 'NDF, %')}
        {field('NO3-N, ppm', say('Nitrate, ppm NO3-N'))}
        <button type="submit" className="min-h-12 self-end rounded-xl bg-culm px-5 font-semibold text-on-culm">
          {say('Take it')}
        </button>
      </div>
      <details className="mt-2">
        <summary className="min-h-11 py-2">{say('Minerals, sugar, digested fibre, fat, ash, toxins, acidity')}</summary>
        <div className="grid gap-3 @md:grid-cols-3">{extras.map((k) => field(headers[k], labExtraWords(k)))}</div>
      </details>
    </form>
  )
}
