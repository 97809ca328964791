import { randomLcg } from 'd3-random'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { auditSpecimen } from '@/core/naming/auditNaming.ts'
import { loadFlora } from '@/server/flora/loadFlora.ts'
const c = compileFlora(loadFlora()); const n = Number(process.argv[2] ?? 40)
const random = randomLcg(0.37)
const tox=c.plants.filter(p=>p.role==='toxic')
const all = tox.flatMap((p) => Array.from({length:n}, () => auditSpecimen(c, p.id, 'vegetative', random, 3)))
console.log(all.length, 'missed', all.filter(s=>s.missedHarm).length, all.filter(s=>s.missedHarm).map(s=>s.plant+'>'+s.first.plants+' '+s.first.probability.toFixed(3)+' '+s.checks).join('; '))
const fr=c.plants.filter(p=>p.role!=='toxic'&&p.form==='forb').flatMap((p) => Array.from({length:4}, () => auditSpecimen(c, p.id, 'vegetative', random, 3)))
console.log('harmless forbs: named', fr.filter(s=>s.named).length/fr.length, 'checks', fr.reduce((a,s)=>a+s.checks,0)/fr.length)
