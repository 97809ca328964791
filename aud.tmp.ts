import { randomLcg } from 'd3-random'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { auditSpecimen, summarise } from '@/core/naming/auditNaming.ts'
import { loadFlora } from '@/server/flora/loadFlora.ts'
const c = compileFlora(loadFlora()); const n = Number(process.argv[2] ?? 4)
const random = randomLcg(0.7); const t=performance.now()
const all = c.plants.flatMap((p) => Array.from({length:n}, () => auditSpecimen(c, p.id, 'vegetative', random, Number(process.argv[3] ?? 3))))
const a = summarise(c, all)
console.log(((performance.now()-t)/1000).toFixed(0)+'s', a.specimens, 'first', a.firstRight.toFixed(3), 'three', a.threeRight.toFixed(3), 'named', a.named.toFixed(3), 'median', a.medianChecks, 'said19', a.saidNineteen, 'brier', a.brier.toFixed(3), 'harm', a.missedHarm, a.harmfulSpecimens)
console.table(a.reliability.map(r=>({...r, said:r.said.toFixed(3), right:r.right.toFixed(3)})))
console.log(a.confusions.slice(0,30).map(x=>`${x.plant}>${x.taken} ${x.times}`).join('; '))
console.log(a.weakest.slice(0,25).map(x=>`${x.plant} ${x.right.toFixed(2)}`).join('; '))
const nn=all.filter(s=>!s.named); console.log('unnamed right', nn.filter(s=>s.right).length/nn.length, nn.length, 'named right', all.filter(s=>s.named&&s.right).length/all.filter(s=>s.named).length)
const form=(id:string)=>c.plants[c.plantIndex.get(id)!]!.form
for (const f of ['grass','sedge','rush','legume','forb','shrub']) { const l=all.filter(s=>form(s.plant)===f); console.log(f, l.length, 'right', (l.filter(s=>s.right).length/l.length).toFixed(3), 'named', (l.filter(s=>s.named).length/l.length).toFixed(3)) }
