import { codeWords, codesListed } from '@/text/codeWords.ts'
import { harmKindWords } from '@/text/harmWords.ts'
import { sowingConditionWords, sowingFitWords } from '@/text/sowingFitWords.ts'
import { inSentence } from '@/text/say.ts'
import { useState } from 'react'
import {
  bulkKgPerHa,
  drillCheckGrams,
  drilledKgPerHa,
  liveSeedsPerM2,
  pureLiveSeed,
  usualLot,
} from '@/core/assess/sowing/seeding.ts'
import { type SowingFit } from '@/core/assess/sowing/sowingAdvice.ts'
import type { Plant, SowingTime } from '@/core/flora/flora.ts'
import { Word } from '../../../parts/Word.tsx'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { areaWords, inUnits, onSmall, rateWords, typedIn, unitOf, weightWords } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { wholeWords } from '../../../language/dates.ts'
import { fixed } from '../../../language/numbers.ts'

/** A share of the lot as it stands in a field; nothing where only the tag tells. */
const lotShare = (share: number | undefined): string => (share === undefined ? '' : String(Math.round(100 * share)))

const figure = (n: number) => (n < 10 ? fixed(n, 1) : wholeWords(n))

/** A number as it was typed, between limits; undefined where it is none. */
function typed(text: string, low: number, high: number): number | undefined {
  const n = Number(text.trim().replace(',', '.'))
  return text.trim() !== '' && Number.isFinite(n) && n >= low && n <= high ? n : undefined
}

function Field({ label, value, onChange }: { label: string; value: string; onChange: (text: string) => void }) {
  return (
    <Labelled label={label}>
      {(id) => (
        <input
          id={id}
          inputMode="decimal"
          value={value}
          onChange={(e) => onChange(e.target.value)}
          className={inputClass}
        />
      )}
    </Labelled>
  )
}

/** Rate, live seed, kilograms to buy and the check of the drill for one plant. */
function Arithmetic({
  plant,
  hectares,
  onPlan,
}: {
  plant: Plant
  hectares: number | undefined
  onPlan: (text: string, when: readonly SowingTime[]) => void
}) {
  const sowing = plant.sowing!
  const [low, high] = sowing.mixKgPerHa ?? sowing.kgPerHa
  const lot = usualLot(plant)
  const [form, setForm] = useState({
    rate: String(Number(inUnits('perArea', (low + high) / 2).toPrecision(2))),
    purity: lotShare(lot?.purity),
    germination: lotShare(lot?.germination),
    waiting: lotShare(lot?.waiting ?? 0),
    coat: lotShare(lot?.coat ?? 0),
    length: inUnits('length', 30).toFixed(0),
    width: String(Number(inUnits('length', 2.5).toFixed(1))),
    dropped: '',
  })
  const set = (patch: Partial<typeof form>) => setForm((f) => ({ ...f, ...patch }))
  const rateTyped = typed(form.rate, 0.01, 1000)
  const rate = rateTyped && typedIn('perArea', rateTyped)
  const purity = typed(form.purity, 1, 100)
  const germination = typed(form.germination, 1, 100)
  const metres = (text: string, most: number) => typedIn('length', typed(text, 0.1, most) ?? 0)
  const strip = { lengthM: metres(form.length, 3000), widthM: metres(form.width, 300) }
  const waiting = typed(form.waiting, 0, 100)
  const coat = typed(form.coat, 0, 90)
  const isLot = purity && germination && waiting !== undefined && coat !== undefined && germination + waiting <= 100
  const pls = isLot
    ? pureLiveSeed({ purity: purity / 100, germination: germination / 100, waiting: waiting / 100, coat: coat / 100 })
    : undefined
  const bulk = rate && pls ? bulkKgPerHa(rate, pls) : undefined
  const stripGood = strip.lengthM > 0 && strip.widthM > 0
  const dropped = typed(form.dropped, 0.1, 1_000_000)
  const drilled = dropped && stripGood ? drilledKgPerHa(dropped, strip) : undefined
  return (
    <div className="mt-2">
      <div className="grid grid-cols-2 gap-3 @md:grid-cols-3">
        <Field
          label={say('Live seed, {{unitOf}}', { unitOf: unitOf('perArea') })}
          value={form.rate}
          onChange={(x) => set({ rate: x })}
        />
        <Field label={say('Purity, %')} value={form.purity} onChange={(x) => set({ purity: x })} />
        <Field label={say('Germination, %')} value={form.germination} onChange={(x) => set({ germination: x })} />
        <Field label={say('Hard or dormant, %')} value={form.waiting} onChange={(x) => set({ waiting: x })} />
        <Field label={say('Coat, %')} value={form.coat} onChange={(x) => set({ coat: x })} />
      </div>
      {bulk !== undefined && pls !== undefined ? (
        <p className="mt-2 text-lg" data-testid="to-buy">
          <Say
            text="<b>{{figure}} {{unitOf}} as bought</b> ({{pls}} in 100 of it is <word>live seed</word>), {{onSmall}}{{what}}."
            values={{
              figure: figure(inUnits('perArea', bulk)),
              unitOf: unitOf('perArea'),
              pls: Math.round(100 * pls),
              onSmall: onSmall(liveSeedsPerM2(bulk, pls, sowing.seedsPerKg)),
              what: hectares
                ? say(', {{weightWords}} for {{areaWords}}', {
                    weightWords: weightWords(bulk * hectares),
                    areaWords: areaWords(hectares),
                  })
                : '',
            }}
            components={{ b: <b />, word: <Word id="pls" /> }}
          />
        </p>
      ) : (
        <p className="mt-2 font-semibold">
          {lot
            ? say(
                'Purity and germination are between 1 and 100 %, germinating and hard or dormant seed together at most 100, the rate above 0: see the tag of the bag.',
              )
            : say(
                'Lots of this seed differ so much that only the tag of the bag tells: purity, germination, and what is dormant.',
              )}
        </p>
      )}
      <p className="text-ink-soft">
        {say(
          '{{what}} {{figure}} to {{rateWords}} of live seed, {{depthMm}} to {{depthMm2}} mm deep, {{when}}; {{toLocaleString}} seeds a kilogram ({{sources}}). These follow from what is typed, so they have no error of their own; how many come up is not known before they do.',
          {
            what: sowing.mixKgPerHa ? say('In a mixture or into a standing sward') : say('Alone'),
            figure: figure(inUnits('perArea', low)),
            rateWords: rateWords(high),
            depthMm: sowing.depthMm[0],
            depthMm2: sowing.depthMm[1],
            when: sowing.when.map((w) => codeWords(w)).join(` ${say('or')} `),
            toLocaleString: wholeWords(sowing.seedsPerKg),
            sources: sowing.sources.join(', '),
          },
        )}
      </p>
      <div className="mt-3 grid grid-cols-2 items-end gap-3 @md:grid-cols-3">
        <Field
          label={say('Drill test over, {{unitOf}}', { unitOf: unitOf('length') })}
          value={form.length}
          onChange={(x) => set({ length: x })}
        />
        <Field
          label={say('Working width, {{unitOf}}', { unitOf: unitOf('length') })}
          value={form.width}
          onChange={(x) => set({ width: x })}
        />
        <Field label={say('It dropped, g')} value={form.dropped} onChange={(x) => set({ dropped: x })} />
      </div>
      {bulk !== undefined && stripGood ? (
        <p className="mt-1" data-testid="drill-check">
          <Say
            text="The drill should drop <b/> on that strip{{what}}"
            values={{
              what:
                drilled === undefined
                  ? '.'
                  : say('; {{dropped}} g is {{figure}} {{unitOf}}, {{what}}.', {
                      dropped: form.dropped,
                      figure: figure(inUnits('perArea', drilled)),
                      unitOf: unitOf('perArea'),
                      what:
                        Math.abs(drilled / bulk - 1) < 0.05
                          ? say('within 5 in 100 of what is wanted')
                          : say('{{what}} by {{abs}} in 100', {
                              what: drilled > bulk ? say('too much') : say('too little'),
                              abs: Math.round(100 * Math.abs(drilled / bulk - 1)),
                            }),
                    }),
            }}
            components={{ b: <b>{figure(drillCheckGrams(bulk, strip))} g</b> }}
          />
        </p>
      ) : null}
      {bulk !== undefined ? (
        <button
          type="button"
          onClick={() =>
            onPlan(
              say(
                'Sow {{commonName}}: {{figure}} kg/ha as bought{{what}}, {{depthMm}} to {{depthMm2}} mm deep, {{when}}',
                {
                  commonName: inSentence(plant.commonName.replace(/ \(.*\)/, '')),
                  figure: figure(bulk),
                  what: hectares ? say(', {{figure}} kg in all', { figure: figure(bulk * hectares) }) : '',
                  depthMm: sowing.depthMm[0],
                  depthMm2: sowing.depthMm[1],
                  when: codeWords(sowing.when[0]!),
                },
              ),
              sowing.when,
            )
          }
          className="mt-2 min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
        >
          {say('Put it in the plan')}
        </button>
      ) : null}
    </div>
  )
}

export function Fit({
  fit,
  hectares,
  onPlan,
}: {
  fit: SowingFit
  hectares: number | undefined
  onPlan: (text: string, when: readonly SowingTime[]) => void
}) {
  return (
    <details className="border-b border-rule/60">
      <summary className="min-h-12 py-2.5">
        <span className="font-plant text-lg font-semibold">{fit.plant.commonName}</span>
        <span className="block text-ink-soft">
          {sowingFitWords(fit)}
          {fit.conditions.length > 0
            ? ` ${say('Only so: {{conditions}}.', { conditions: fit.conditions.map(sowingConditionWords).join(', ') })}`
            : ''}
          {fit.cautions.length > 0
            ? say(' Caution: {{cautions}}.', {
                cautions: fit.cautions.map((h) => `${codesListed(h.who)}: ${harmKindWords(h)}`).join('; '),
              })
            : ''}
        </span>
      </summary>
      <Arithmetic plant={fit.plant} hectares={hectares} onPlan={onPlan} />
    </details>
  )
}
