import { randomLcg } from 'd3-random'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { codedStages, decisiveCells } from '@/core/naming/simulateCells.ts'
import {
  simulatePerturbed,
  nameSimulated,
  summarise,
  type SimulationSummary,
  type SimulationConditions,
  type SimulatedSpecimen,
} from '@/core/naming/simulateNaming.ts'
import { simulateStranger } from '@/core/naming/simulateStrangers.ts'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { splitPair } from '@/core/naming/nextChecks.ts'
import { perturbBook } from '@/core/naming/perturbBook.ts'
import { clopperPearson, wilson } from '@/core/stats/proportionIntervals.ts'
import { loadFlora } from '../flora/loadFlora.ts'
import { projectRoot } from '../projectRoot.ts'

// Simulation of the naming: what can go wrong where the book is wrong. `npm run simulate` takes about a quarter of an hour.
// Its conditions are written in docs/simulation-protocol.md and are not changed to suit a result.

const SEED = 0.5309
const books = Number(process.argv[2] ?? 4)
const harmfulBooks = books * 18
const flora = loadFlora()
const compiled = compileFlora(flora)
const random = randomLcg(SEED)
const pc = (x: number, digits = 1) => `${(100 * x).toFixed(digits)} %`
const perHundredThousand = (x: number) => `${(1e5 * x).toFixed(0)} in 100,000`
const withLimits = (x: number, n: number) => {
  const [low, high] = wilson({ x, n })
  return n === 0 ? 'none' : `${pc(x / n)} (${(100 * low).toFixed(1)} to ${(100 * high).toFixed(1)})`
}

interface Kind extends SimulationConditions {
  plants: Plant[]
  stages: (plant: Plant) => Stage[]
}

/** Specimens of so many books written by another hand. */
function perturbed(count: number, { plants, stages, ...conditions }: Kind): SimulatedSpecimen[] {
  return Array.from({ length: count }, () => {
    const from = compileFlora(perturbBook(flora, random))
    return plants.flatMap((p) => stages(p).map((s) => simulatePerturbed(compiled, from, p, s, random, conditions)))
  }).flat()
}

const grown = (): Stage[] => ['vegetative']
const harmful = flora.plants.filter((p) => p.role === 'toxic')

console.log(`${flora.plants.length} plants, seed ${SEED}: ${books} books written by another hand ...`)
const columns = ([0, 1, 2] as const).flatMap((slips) =>
  ([1, 3] as const).map((pulled) => {
    const all = perturbed(books, { plants: flora.plants, stages: grown, pulled, slips })
    return { slips, pulled, summary: summarise(compiled, all), named: all.filter((s) => s.named) }
  }),
)
console.log('under harder conditions ...')
const harder = ([1, 3] as const).map((pulled) =>
  summarise(
    compiled,
    perturbed(books, { plants: flora.plants, stages: grown, pulled, slips: 1, placed: false, mostChecks: 10 }),
  ),
)
console.log(`harmful plants at every coded stage, ${harmfulBooks} books with one slip ...`)
const harmRuns = [
  { slips: 1, pulled: 1, count: harmfulBooks },
  { slips: 2, pulled: 1, count: Math.ceil(harmfulBooks / 3) },
  { slips: 1, pulled: 3, count: Math.ceil(harmfulBooks / 3) },
].map(({ count, ...kind }) => {
  const summary = summarise(compiled, perturbed(count, { ...kind, plants: harmful, stages: codedStages }))
  return { ...kind, n: summary.harmfulSpecimens, missed: summary.missedHarm, excluded: summary.excluded }
})
console.log('each cell of each harmful plant taken away in turn ...')
const cells = decisiveCells(flora, { seed: SEED, draws: 1, looks: 8 })
console.log('plants of the book as strangers to it ...')
const strangers = ([1, 3] as const).map((pulled) => {
  const from = compileFlora(perturbBook(flora, random))
  const all = flora.plants.map((p) => simulateStranger(flora, from, p, random, pulled))
  return { pulled, n: all.length, given: all.filter((s) => s.named) }
})
console.log('specimens of the book itself ...')
const own = ([1, 3] as const).map((pulled) =>
  summarise(
    compiled,
    flora.plants.flatMap((p) =>
      Array.from({ length: books }, () => nameSimulated(compiled, p.id, 'vegetative', random, pulled)),
    ),
  ),
)

/** Pairs whose best single check tells less than a third of a bit, members of one group left out. */
function unsplit(): string[] {
  const { plants } = compiled
  return plants.flatMap((a, i) =>
    plants.slice(i + 1).flatMap((b) => {
      const group = compiled.groupOf.get(a.id)
      if (a.form !== b.form || (group && group === compiled.groupOf.get(b.id))) return []
      const best = splitPair(compiled, a.id, b.id, 'vegetative')[0]
      return best && best.bits >= 0.33
        ? []
        : [`${a.id} / ${b.id} (${best ? `${best.character} ${best.bits.toFixed(2)} bits` : 'nothing'})`]
    }),
  )
}

const thin = compiled.plants
  .map((p) => ({ id: p.id, form: p.form, cells: Object.keys(p.characters).length }))
  .filter((p) => (p.form === 'grass' ? p.cells < 25 : p.form === 'legume' || p.form === 'forb' ? p.cells < 18 : false))

const line = (title: string, of: (c: (typeof columns)[number]) => string) =>
  `| ${title} | ${columns.map(of).join(' | ')} |`
const share = (of: (a: SimulationSummary) => number) => (c: (typeof columns)[number]) =>
  withLimits(Math.round(of(c.summary) * c.summary.specimens), c.summary.specimens)
const taken = columns.map((c) => c.summary.confusions).flat()
const most = [...new Set(taken.map((c) => `${c.plant} taken for ${c.taken}`))]
  .map((pair) => ({
    pair,
    times: taken.filter((c) => `${c.plant} taken for ${c.taken}` === pair).reduce((n, c) => n + c.times, 0),
  })) // prettier-ignore
  .sort((a, b) => b.times - a.times)
const reliability = (a: SimulationSummary) =>
  a.reliability
    .map(
      (r) =>
        `| ${pc(r.from)} to ${pc(r.to)} | ${r.times} | ${pc(r.said)} | ${withLimits(Math.round(r.right * r.times), r.times)} |`,
    ) // prettier-ignore
    .join('\n')

const LISTED = 12
const someOf = (list: string[]): string =>
  list.length === 0
    ? 'none'
    : [...list.slice(0, LISTED), ...(list.length > LISTED ? [`${list.length - LISTED} more`] : [])].join(', ')

const text = `# Simulation of the naming

Made by \`npm run simulate\` (seed ${SEED}) under the [protocol](simulation-protocol.md). **No figure here is an accuracy.** Specimens are made, not met: they show where the engine fails when the
book is wrong or an eye slips, and nothing of how well the book describes the plants. Intervals are 95 % (Wilson), of the simulation alone.

## Specimens of a book written by another hand

Each specimen is drawn from a book in which every word is moved by a step, one cell in twelve is dropped or widened and sizes are scaled, those of
seedlings downward; it is judged by the book as it is, region and month known. The engine chooses the looks, at most fourteen that say
something. A slip is one answer read wrongly: half of them to a state that is like the one there, half to anything met; it falls on what is easily
misread more often than on the kind of plant. Groups that no vegetative eye can split count as one name.

| | ${columns.map((c) => `${c.pulled === 1 ? 'one plant' : 'three plants'}, ${['no slip', 'one slip', 'two slips'][c.slips]!}`).join(' | ')} |
|---|${columns.map(() => '---|').join('')}
${line('drawn', (c) => String(c.summary.specimens))}
${line(
  'first name right',
  share((a) => a.firstRight),
)}
${line(
  'right in the first three',
  share((a) => a.threeRight),
)}
${line(
  'named',
  share((a) => a.named),
)}
${line('of those named, right', (c) => withLimits(c.named.filter((s) => s.right).length, c.named.length))}
${line('said "19 in 20", right', (c) => withLimits(Math.round(c.summary.saidNineteen.right * c.summary.saidNineteen.times), c.summary.saidNineteen.times))}
${line('looks to a name, median', (c) => String(c.summary.medianChecks))}
${line('log score, bits', (c) => c.summary.logScoreBits.toFixed(3))}

Under harder conditions, one slip, neither region nor month known and at most ten answers: first name right ${harder
  .map((a) => withLimits(Math.round(a.firstRight * a.specimens), a.specimens))
  .join(' with one plant, ')} with three.

How sure it was and how often it was right, one plant with one slip:

| said | times | mean said | right |
|---|---|---|---|
${reliability(columns.find((c) => c.slips === 1 && c.pulled === 1)!.summary)}

## Harmful plants, at every stage at which they are coded

Struck off: no longer on the list of harmful plants that are open when the naming ends, or called by a harmless name.

| | drawn | struck off | of these called harmless | upper 95 % limit of struck off |
|---|---|---|---|---|
${harmRuns
  .map((r) => {
    const [, upper] = clopperPearson({ x: r.excluded, n: r.n, conf: 0.9 })
    return `| ${r.pulled === 1 ? 'one plant' : 'three plants'}, ${r.slips === 1 ? 'one slip' : 'two slips'} | ${r.n} | ${r.excluded} | ${r.missed} | ${perHundredThousand(upper)} |`
  })
  .join('\n')}

## One cell missing

Each cell of each harmful plant, at each stage at which the plant is coded, taken out of the book in turn; then that very thing is looked at, and what
the engine asks for, and all is answered truly by the whole book. ${cells.tried} cells tried; struck off in ${cells.decisive.length}.

${cells.decisive.map((d) => `- ${d.plant}, ${d.stage}, without ${d.character}`).join('\n')}

## Strangers

Each plant drawn as above and judged by a book that holds neither it nor its kin: any name is wrong. Whoever goes on answering for a stranger until a name is
given gets that of what is most like it; where one unknown in twenty is a stranger, the share below times one in twenty of all unknowns is named wrongly for that alone.

| | drawn | a name was given | which |
|---|---|---|---|
${strangers.map((s) => `| ${s.pulled === 1 ? 'one plant' : 'three plants'} | ${s.n} | ${withLimits(s.given.length, s.n)} | ${someOf(s.given.map((g) => `${g.plant} as ${g.first.plants[0]!}`))} |`).join('\n')}

## Specimens of the book itself

Drawn from the cells they are judged by, with the errors of a careful eye: how far the coding alone tells the plants apart. Region and month not known.

| | one plant | three plants |
|---|---|---|
| drawn | ${own.map((a) => a.specimens).join(' | ')} |
| first name right | ${own.map((a) => withLimits(Math.round(a.firstRight * a.specimens), a.specimens)).join(' | ')} |
| named | ${own.map((a) => withLimits(Math.round(a.named * a.specimens), a.specimens)).join(' | ')} |
| log score, bits | ${own.map((a) => a.logScoreBits.toFixed(3)).join(' | ')} |

## Taken for one another most often, of all specimens of other hands

${most
  .slice(0, 25)
  .map((m) => `- ${m.pair}: ${m.times}`)
  .join('\n')}

## Pairs no single check separates well

${
  unsplit()
    .map((p) => `- ${p}`)
    .join('\n') || 'None.'
}

## Plants too thinly coded

${thin.map((p) => `- ${p.id}: ${p.cells} characters`).join('\n') || 'None.'}
`
writeFileSync(join(projectRoot, 'docs/simulation-naming.md'), text)
console.log(text.split('## Taken')[0])
