import { randomLcg } from 'd3-random'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { auditSpecimen, summarise, type Audit } from '@/core/naming/auditNaming.ts'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { splitPair } from '@/core/naming/nextChecks.ts'
import { loadFlora } from '../flora/loadFlora.ts'
import { projectRoot } from '../projectRoot.ts'

const SEED = 0.7
const each = Number(process.argv[2] ?? 20)
const eachHarmful = each * 9
const compiled = compileFlora(loadFlora())
const random = randomLcg(SEED)
const pc = (x: number, digits = 1) => `${(100 * x).toFixed(digits)} %`

function run(pulled: number, perPlant: number, placed = false, only: (role: string) => boolean = () => true): Audit {
  const plants = compiled.plants.filter((p) => only(p.role))
  const all = plants.flatMap((p) =>
    Array.from({ length: perPlant }, () => auditSpecimen(compiled, p.id, 'vegetative', random, pulled, placed)),
  )
  return summarise(compiled, all)
}

/** Pairs whose best single check tells less than a third of a bit, members of one group left out. */
function unsplit(): string[] {
  const plants = compiled.plants
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

console.log(`${compiled.plants.length} plants, seed ${SEED}: three plants pulled, ${each} stands of each ...`)
const three = run(3, each)
console.log(`one plant alone, ${Math.ceil(each / 2)} of each ...`)
const one = run(1, Math.ceil(each / 2))
console.log(`the same where region and month are known ...`)
const placed = { one: run(1, Math.ceil(each / 2), true), three: run(3, Math.ceil(each / 2), true) }
console.log(`harmful plants, ${eachHarmful} stands of each ...`)
const harm = run(3, eachHarmful, false, (role) => role === 'toxic')

const figures = (a: Audit) =>
  [
    `| stands drawn | ${a.specimens} |`,
    `| first name right | ${pc(a.firstRight)} |`,
    `| right in the first three | ${pc(a.threeRight)} |`,
    `| named within ten checks | ${pc(a.named)} |`,
    `| checks to a name, median | ${a.medianChecks} |`,
    `| said "19 in 20" | ${a.saidNineteen.times} times, right ${pc(a.saidNineteen.right)} |`,
    `| Brier score | ${a.brier.toFixed(4)} |`,
    `| log score | ${a.logScoreBits.toFixed(3)} bits |`,
  ].join('\n')

const reliability = (a: Audit) =>
  a.reliability
    .map((r) => `| ${pc(r.from, 1)} to ${pc(r.to, 1)} | ${r.times} | ${pc(r.said)} | ${pc(r.right)} |`)
    .join('\n')

const text = `# Audit of the naming, by simulation

Made by \`npm run audit\` (seed ${SEED}). Stands are drawn from the coded flora at the vegetative stage; characters of one group are odd together half
of the time, plants pulled side by side show the same in six of ten draws; each answer errs as often as a careful observer does. The
engine chooses the checks, at most ten. Groups that no vegetative eye can split count as one name. It says how well the engine reads the
book, not how well the book describes the plants.

## Three plants pulled for each answer, as the trade does

| | |
|---|---|
${figures(three)}

Reliability: how sure it was, and how often it was right.

| said | times | mean said | right |
|---|---|---|---|
${reliability(three)}

## One plant alone

| | |
|---|---|
${figures(one)}

## Region and month known

As they are to whoever stands in a paddock: the region is drawn by how common the plant is in each, the month from those it grows in.

| | one plant alone | three plants |
|---|---|---|
| stands drawn | ${placed.one.specimens} | ${placed.three.specimens} |
| first name right | ${pc(placed.one.firstRight)} | ${pc(placed.three.firstRight)} |
| right in the first three | ${pc(placed.one.threeRight)} | ${pc(placed.three.threeRight)} |
| named within ten checks | ${pc(placed.one.named)} | ${pc(placed.three.named)} |
| checks to a name, median | ${placed.one.medianChecks} | ${placed.three.medianChecks} |
| said "19 in 20", right | ${pc(placed.one.saidNineteen.right)} | ${pc(placed.three.saidNineteen.right)} |

## Harm

Of ${harm.specimens} stands of harmful plants, ${harm.missedHarm} called by a harmless name.

## Taken for one another most often

${three.confusions
  .slice(0, 25)
  .map((c) => `- ${c.plant} taken for ${c.taken}: ${c.times}`)
  .join('\n')}

## Right least often

${three.weakest
  .slice(0, 12)
  .map((w) => `- ${w.plant}: ${pc(w.right, 0)}`)
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
writeFileSync(join(projectRoot, 'docs/audit.md'), text)
console.log(text.split('## Taken')[0])
