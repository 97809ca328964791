import { hayWords, massByWords, walkedWords } from '@/text/feedWords.ts'
import { asHay, hayDesignation } from '@/core/assess/feed/hay.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'
import { useHerd } from '../../../entities/round/herd.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { type ReactNode } from 'react'
import { ToggleGroup } from 'radix-ui'
import type { Estimate } from '@/core/assess/feed/mixtureFeed.ts'
import { growths, type ChapterProps, type Growth } from '../chapter.ts'
import { percent } from '../../../parts/words.ts'
import { Word } from '../../../parts/Word.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { Baling } from '../../../entities/round/Baling.tsx'
import { estimateIn, unitOf } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { fixed } from '../../../language/numbers.ts'

const range = (e: Estimate, decimals: number) =>
  say('{{low}} to {{high}}', { low: fixed(e.low, decimals), high: fixed(e.high, decimals) })

const energy = (e: Estimate): Estimate => estimateIn('energy', e)

function Line({
  name,
  estimate,
  unit,
  decimals = 0,
}: {
  name: ReactNode
  estimate: Estimate
  unit: string
  decimals?: number
}) {
  return (
    <tr className="border-b border-rule/60">
      <th scope="row" className="py-1.5 text-left font-normal">
        {name}
      </th>
      <td className="pl-3 text-right font-bold whitespace-nowrap">
        {fixed(estimate.middle, decimals)} {unit}
      </td>
      <td className="w-40 pl-4 text-right whitespace-nowrap">
        {range(estimate, decimals)} {unit}
      </td>
    </tr>
  )
}

/** Feed value of the mixture, as ranges, at the growth that was walked or another; and what a laboratory says. */
export function FeedPanel({ round, weighed: { feed }, lit }: ChapterProps) {
  const byId = useFlora((s) => s.byId)
  const { data: herd } = useHerd(round.paddockId)
  const made = feed?.[lit.growth]
  const horses = herd !== undefined && animalClass(herd.animal)?.kind === 'horses'
  const hay = made && asHay(made, made.classes.legume ?? 0)
  return (
    <section aria-labelledby="feed">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="feed" className="text-[1.65rem]">
          {say('What it is worth as feed')}
        </h2>
        <ToggleGroup.Root
          type="single"
          value={lit.growth}
          onValueChange={(v) => v && lit.judge(v as Growth)}
          aria-label={say('How far the sward has gone')}
          className="flex overflow-hidden rounded-xl border border-rule"
        >
          {growths.map((g) => (
            <ToggleGroup.Item
              key={g}
              value={g}
              className="min-h-11 px-4 data-[state=on]:bg-culm data-[state=on]:font-bold data-[state=on]:text-on-culm"
            >
              {g === 'walked' ? say('As walked') : g === 'leafy' ? say('Leafy') : say('Headed')}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
      </div>
      {made ? (
        <>
          <table className="mt-2 w-full">
            <thead className="text-ink-soft">
              <tr>
                <th scope="col" className="text-left font-normal">
                  {say('of dry matter, {{growth}}', { growth: walkedWords(made.at) })}
                </th>
                <th scope="col" className="text-right font-normal">
                  {say('middle')}
                </th>
                <th scope="col" className="text-right font-normal">
                  {say('likely range')}
                </th>
              </tr>
            </thead>
            <tbody>
              <Line name={say('Crude protein')} estimate={made.cpPct} unit="%" />
              <Line name={<Word id="adf">{say('ADF')}</Word>} estimate={made.adfPct} unit="%" />
              <Line name={<Word id="ndf">{say('NDF')}</Word>} estimate={made.ndfPct} unit="%" />
              <Line name={<Word id="rfv">{say('Relative feed value')}</Word>} estimate={made.rfv} unit="" />
              <Line name={<Word id="tdn">{say('TDN')}</Word>} estimate={made.tdnPct} unit="%" />
              {horses ? (
                <Line
                  name={say('For horses (digestible energy)')}
                  estimate={energy(made.horseDeMcalPerKg)}
                  unit={unitOf('energy')}
                  decimals={2}
                />
              ) : null}
              <Line
                name={say('Energy (ME)')}
                estimate={energy(made.meMcalPerKg)}
                unit={unitOf('energy')}
                decimals={2}
              />
              <Line
                name={say('For maintenance (NEm)')}
                estimate={energy(made.nemMcalPerKg)}
                unit={unitOf('energy')}
                decimals={2}
              />
              <Line
                name={say('For gain (NEg)')}
                estimate={energy(made.negMcalPerKg)}
                unit={unitOf('energy')}
                decimals={2}
              />
            </tbody>
          </table>
          <p className="mt-2">
            {say(
              'Cut, dried and baled now it would be about {{hay}}: {{rfv}} relative feed value, {{cp}} % protein once what drying and baling cost is off.',
              {
                hay: hayWords(hayDesignation({ ...hay!, legume: made.classes.legume ?? 0 })),
                rfv: range(hay!.rfv, 0),
                cp: range(hay!.cpPct, 0),
              },
            )}
          </p>
          <p className="mt-1 text-ink-soft">
            {say(
              'Estimated from the plants met, for {{known}} of the plants counted{{what}}. {{shares}} The range holds stops, ranges of the book, growth and the error of energy told from fibre; it has not been held against laboratories. Relative feed value, which is made for legumes and misjudges grass: Rohweder, Barnes & Jorgensen 1978; TDN by class of forage; ME, NEm and NEg: NRC 1996. Ranges by plant: {{sources}}. Only a laboratory can tell this cut.',
              {
                known: percent(made.known),
                what:
                  made.leftOut.length > 0
                    ? say('; no value on file for {{leftOut}}', {
                        leftOut: made.leftOut.map((t) => taxonName(t, byId)).join(', '),
                      })
                    : '',
                shares: massByWords(made.massBy, (n) => fixed(n, 2)),
                sources: made.sources.join('; '),
              },
            )}
          </p>
        </>
      ) : (
        <p className="mt-2">{say('No plant with a feed value on file was met.')}</p>
      )}
      {round.paddock.outlook === 'hay' ? <Baling /> : null}
    </section>
  )
}
