import { lineOf } from '../../../entities/plan/lineOf.ts'
import {
  actWords,
  bestTimeWords,
  meanwhileWords,
  proposed,
  proposedFirst,
  stockFirstWords,
  wearWords,
  type Proposed,
} from '@/text/actWords.ts'
import { codeWords } from '@/text/codeWords.ts'
import { useState } from 'react'
import { actionsFor, stockFirst, type ActionNow } from '@/core/assess/harm/actions.ts'
import { standingCautions } from '@/text/standingCautions.ts'
import { stages, type Plant, type School, type Stage } from '@/core/flora/flora.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Round } from '@/core/records/round.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { heightWords, typedIn, unitOf } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { today } from '../../../language/dates.ts'

const schoolWords: Record<School, string> = {
  get hands() {
    return say('Without herbicide')
  },
  get herbicide() {
    return say('With herbicide')
  },
}

function TakeButton({ taken, onTake }: { taken: boolean; onTake: () => void }) {
  return (
    <button
      type="button"
      onClick={onTake}
      disabled={taken}
      className="mt-1 min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm disabled:opacity-50"
    >
      {taken ? say('In the plan') : say('Put it in the plan')}
    </button>
  )
}

function Act({ act, onTake, taken }: { act: ActionNow; onTake: () => void; taken: boolean }) {
  return (
    <li className="border-b border-rule/60 py-2">
      <p>
        {actWords(act)}.
        {act.upToCm
          ? say(' Said to work up to {{heightWords}}; the label and a licensed applicator decide.', {
              heightWords: heightWords(act.upToCm),
            })
          : ''}
      </p>
      <p className="text-ink-soft">
        {[
          act.best ? say('Works best {{times}}', { times: act.best.map(bestTimeWords).join(say(' and ')) }) : '',
          act.tools ? say('Tools: {{tools}}', { tools: act.tools }) : '',
          act.wear ? say('Wear: {{wear}}', { wear: wearWords(act.wear) }) : '',
          act.waste ? say('Afterwards: {{waste}}', { waste: act.waste }) : '',
        ]
          .filter(Boolean)
          .join('. ')}
      </p>
      <TakeButton taken={taken} onTake={onTake} />
    </li>
  )
}

/** What can be done about one plant at the stage it stands in, the stock first. */
export function ActsForPlant({
  plant,
  round,
  lines,
  onPut,
  opened = false,
}: {
  plant: Plant
  round: Round
  lines: PlanLine[]
  onPut: (l: PlanLine) => void
  opened?: boolean
}) {
  const [stage, setStage] = useState<Stage>(plant.cycle === 'biennial' ? 'rosette' : 'vegetative')
  const [height, setHeight] = useState('')
  const cm = Number(height.replace(',', '.'))
  const { now, noLonger, before } = actionsFor(
    plant,
    stage,
    height !== '' && cm > 0 ? typedIn('height', cm) : undefined,
  )
  const takeLine = ({ backOn, ...line }: Proposed) =>
    onPut(lineOf(round, { plant: plant.id, ...line, backOn: backOn ?? null }))
  const take = (act: ActionNow) => takeLine(proposed(plant, act, act.school, today()))
  const first = proposedFirst(plant, today())
  const planned = (line: Proposed) => lines.some((l) => l.text === line.text && l.doneOn === null)
  return (
    <details className="border-b border-rule/60" open={opened}>
      <summary className="min-h-12 py-2.5 text-lg">
        <span className="font-plant font-semibold">{plant.commonName}</span>
        {plant.role === 'toxic' ? <b className="ml-2 text-harm">{say('harmful')}</b> : null}
      </summary>
      <div className="grid grid-cols-2 gap-3">
        <Labelled label={say('Stage it stands in')}>
          {(id) => (
            <select id={id} value={stage} onChange={(e) => setStage(e.target.value as Stage)} className={inputClass}>
              {stages.map((s) => (
                <option key={s} value={s}>
                  {codeWords(s)}
                </option>
              ))}
            </select>
          )}
        </Labelled>
        <Labelled label={say('Height, {{unitOf}}', { unitOf: unitOf('height') })}>
          {(id) => (
            <input
              id={id}
              inputMode="decimal"
              value={height}
              onChange={(e) => setHeight(e.target.value)}
              className={inputClass}
            />
          )}
        </Labelled>
      </div>
      {first ? (
        <div className="mt-3 border-l-4 border-harm pl-3" data-testid="stock-first">
          <p>
            <b className="text-harm">{say('First:')}</b> {stockFirstWords(stockFirst(plant, today())!.act)}.
          </p>
          <TakeButton taken={planned(first)} onTake={() => takeLine(first)} />
        </div>
      ) : null}
      {(['hands', 'herbicide'] as const).map((school) => {
        const acts = now.filter((a) => a.school === school)
        const gone = noLonger.filter((a) => a.school === school)
        if (acts.length + gone.length === 0) return null
        return (
          <section key={school} className="mt-3">
            <h3 className="font-semibold">{schoolWords[school]}</h3>
            {first ? <p className="text-ink-soft">{meanwhileWords(school)}.</p> : null}
            <ul>
              {acts.map((act) => (
                <Act
                  key={actWords(act)}
                  act={act}
                  taken={planned(proposed(plant, act, school, today()))}
                  onTake={() => take(act)}
                />
              ))}
              {gone.map((act) => (
                <li key={actWords(act)} className="py-2 text-harm">
                  {say('No longer: {{what}}{{it}}.', {
                    what: act.tooTall
                      ? say('taller than {{heightWords}}, too tall for it. ', { heightWords: heightWords(act.upToCm!) })
                      : '',
                    it: actWords(act),
                  })}
                </li>
              ))}
            </ul>
          </section>
        )
      })}
      <p className="py-2 text-ink-soft">
        {say('{{what}}Common practice, no source. {{standingCautions}}', {
          what: before ? say('Before {{before}}. ', { before: codeWords(before) }) : '',
          standingCautions: standingCautions()[3],
        })}
      </p>
    </details>
  )
}
