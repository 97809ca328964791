import { chromium } from '@playwright/test'
import { chromiumPath } from './scripts/chromium.mjs'
const b=await chromium.launch({executablePath:chromiumPath(),args:['--no-sandbox']})
const p=await (await b.newContext({locale:'de-DE',viewport:{width:1280,height:800}})).newPage()
const A='http://127.0.0.1:4174'
p.on('pageerror',e=>console.log('ERR',e.message))
const seen=new Set()
const known=new Set()
const rounds=await (await p.request.get(A+'/api/rounds')).json(); const id=t=>rounds.find(r=>r.title===t).id
const places=await (await p.request.get(A+'/api/places')).json()
const pad=rounds[0].paddockId
async function leaks(where){
 await p.waitForTimeout(900)
 const found=await p.evaluate(()=>{const out=[];const w=document.createTreeWalker(document.body,NodeFilter.SHOW_TEXT)
  while(w.nextNode()){const n=w.currentNode; if(n.parentElement.closest('script,style'))continue; out.push(n.textContent)}
  for(const e of document.querySelectorAll('[aria-label],[placeholder],[title],[alt]'))for(const a of ['aria-label','placeholder','title','alt'])if(e.getAttribute(a))out.push('@'+e.getAttribute(a)); return out})
 const strip=s=>{let d=0,o='';for(const c of s){if(c==='⟦')d++;else if(c==='⟧'){d--;if(d<0)d=0}else if(!d)o+=c}return o}
 const l=[]
 for(const f of found){const s=strip(f).replace(/\s+/g,' ').trim(); if(/[A-Za-z]{2,}/.test(s)&&!seen.has(s)){seen.add(s);l.push(s.slice(0,110))}}
 console.log('## '+where+'\n'+l.join('\n'))
}
const go=async(u,act)=>{ try{await p.goto(A+u); await p.waitForLoadState('networkidle').catch(()=>0); await p.waitForTimeout(600); if(act)await act(); for(const d of await p.locator('details:not([open]) > summary').all().catch(()=>[]))await d.click({timeout:500}).catch(()=>0); await leaks(u)}catch(e){console.log('FAIL',u,e.message.slice(0,200))} }
const H=id('Harm walk and count')
await go('/rounds'); await go('/bench'); await go('/bench',async()=>{await p.keyboard.press('5');await p.waitForTimeout(1500)})
await go('/plants');await go('/plants/poison-hemlock');await go('/plants/white-clover');await go('/plants/map');await go('/compare?plants=tall-fescue,meadow-fescue')
await go('/practice');await go('/practice',async()=>{await p.locator('button').filter({hasText:'Which check'}).first().click();await p.waitForTimeout(1500);await p.keyboard.press('1')})
await go('/daybook');await go('/plan?paddock='+pad);await go('/places/'+pad);await go('/places/new')
for(const r of rounds.slice(0,14)){ await go('/rounds/'+r.id) ; if(r.stopsDone>0){await go('/rounds/'+r.id+'/weigh-up');await go('/rounds/'+r.id+'/hand-over')} }
for(const s of ['pocket','field-sheet','beside'])await go('/rounds/'+H+'/'+s)
await go('/rounds/bring-in');await go('/glossary');await go('/first-round');await go('/group-key');await go('/drawings');await go('/practice/set')
await b.close()
