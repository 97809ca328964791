import { codeWords } from '@/text/codeWords.ts'
import { harmMatrix, type MatrixWord } from '@/core/assess/harm/exposures.ts'
import { feedForms, type AtRisk, type Plant } from '@/core/flora/flora.ts'
import { say } from '../../../language/say.ts'

const signs: Record<MatrixWord, { mark: string; says: string }> = {
  harmful: {
    mark: '●',
    get says() {
      return say('reported harmful')
    },
  },
  lessened: {
    mark: '◐',
    get says() {
      return say('lessened, not gone')
    },
  },
  unknown: {
    mark: '?',
    get says() {
      return say('not known')
    },
  },
  'not-reported': {
    mark: '–',
    get says() {
      return say('no report known here')
    },
  },
}

/** Plants met that carry a caution, by the client's animals and by what they may meet the plant as. */
export function HarmMatrix({ plants, animals }: { plants: Plant[]; animals: AtRisk[] }) {
  const rows = harmMatrix(plants, animals)
  if (rows.length === 0) return null
  const name = new Map(plants.map((p) => [p.id, p.commonName]))
  return (
    <div className="mt-3 overflow-x-auto" tabIndex={0} role="group" aria-label={say('Plants by animal and form')}>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-ink-soft">
            <th scope="col" className="font-normal">
              {say('Plant')}
            </th>
            <th scope="col" className="font-normal">
              {say('For')}
            </th>
            {feedForms.map((f) => (
              <th key={f} scope="col" className="px-1 text-center font-normal">
                {codeWords(f)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.flatMap((r) =>
            r.cells.map((c, i) => (
              <tr key={`${r.plant} ${c.animal}`} className={i === 0 ? 'border-t border-harm/40' : ''}>
                <th scope="row" className="pr-2 text-left font-semibold">
                  {i === 0 ? name.get(r.plant) : <span className="sr-only">{name.get(r.plant)}</span>}
                </th>
                <td>{codeWords(c.animal)}</td>
                {feedForms.map((f) => (
                  <td key={f} className="px-1 text-center">
                    <span aria-hidden className={c.forms[f] === 'harmful' ? 'text-lg text-harm' : 'text-lg'}>
                      {signs[c.forms[f]].mark}
                    </span>
                    <span className="sr-only">{signs[c.forms[f]].says}</span>
                  </td>
                ))}
              </tr>
            )),
          )}
        </tbody>
      </table>
      <p className="mt-1 text-sm">
        {say('{{values}}. None of these marks says that a plant does no harm.', {
          values: Object.values(signs)
            .map((s) => `${s.mark} ${s.says}`)
            .join('; '),
        })}
      </p>
    </div>
  )
}
