import { readFileSync } from 'node:fs';
import { backup, FAMILIES, readWith, workpiece, judged, render, METRIC, startRig, changedDesign, withEdit, USUAL_HANDS } from '@tide-pebble/core';
import { stockPlan, barPlans, holeSheets, buildSteps, wholeOf } from '@tide-pebble/core/making';
const demo = readWith(backup, JSON.parse(readFileSync('demo/tide-pools.json','utf8')));
if(!demo.ok) throw 1;
const kit = new Map(demo.value.documents.filter(d=>d.kind==='kit').map(d=>[d.id,d.body as any]));
const lo = demo.value.documents.filter(d=>d.kind==='loadout').map(d=>d.body as any);
const W={levelWithin:.017,dropTime:[1.8,2.4],massAtMost:2.2,calmAtLeast:8,shopPrice:200} as any;
const LIGHT=['swivel-grip','self-filming-grip','printed-phone-frame','helmet-pole'];
const only=process.argv[2]?.split(',');
for(const f of FAMILIES){ if(only && !only.includes(f.id)) continue;
 const l=lo.find(x=>x.name===(LIGHT.includes(f.id)?'Neap: crab cam alone':'Flood: body, 70'));
 const s=startRig(f,l,kit,W);
 let design:any=s.design;
 const d0=f.dimensions.find(d=>d.kind==='length'&&!d.given)!;
 const c0=f.choices.find(c=>c.options.length>2)??f.choices[0];
 const other=c0.options.find(o=>o.id!==design.choices[c0.id])!;
 design=changedDesign(design,[{kind:'dimension',id:d0.id,value:Math.min(d0.range[1],(design.dimensions[d0.id].value)*1.05)},{kind:'choice',id:c0.id,value:other.id}],()=>'x');
 const m0=workpiece({design},l,kit); if(!m0.ok) {console.log(m0.reason);continue;}
 const b=m0.work.rig.bodies.flatMap(b=>b.connections??[]).find(c=>c.kind==='bolted'&&!c.screw&&c.end.kind!=='camera'&&c.end.kind!=='tapped') as any;
 const to=b?(b.thread==='M6'?'M5':b.thread==='M5'?'M4':b.thread==='M4'?'M5':'M6'):null;
 if(b) design=withEdit(design,{kind:'thread',id:'t',target:b.id,thread:to!})??design;
 const m=workpiece({design},l,kit); if(!m.ok) continue;
 const {rig}=m.work;
 console.log(`\n######## ${f.id}: ${d0.name} +5 %, ${c0.name}=${other.name}, ${b?b.name+' '+b.thread+'→'+to:'-'}`);
 for(const x of judged(m.work,s.values,W).findings) if(x.severity!=='note') console.log('  !',x.severity,render(x.title,METRIC));
 const w=wholeOf({name:f.id,loadout:null,work:m.work,values:s.values,kerf:.0015,bin:[]});
 const g=new Map<string,{n:number,m:number}>(); for(const p of w.pieces){const k=`${p.kind} ${p.name}`; const e=g.get(k)??{n:0,m:0}; e.n++; e.m+=p.mass; g.set(k,e);}
 console.log('PIECES', [...g].map(([k,v])=>`${k}${v.n>1?' ×'+v.n:''} ${(v.m*1000).toFixed(1)}g`).join(' | '));
 console.log('BUY', stockPlan(rig,s.values,[],.0015).lines.map(x=>`${x.item}: need ${x.needed}, buy ${x.buy}${x.kind==='bars'?' bar '+x.barLength:' pack of '+x.packOf} (${x.cost.toFixed(2)})`).join(' | '));
 for(const p of barPlans(rig)) console.log('CUT',p.name,p.stock,(p.blank*1000).toFixed(1),'mm;',p.marks.map(k=>`${k.name}@${(k.along*1000).toFixed(1)}${k.diameter?' ø'+(k.diameter*1000).toFixed(1):''}${k.place?' '+render(k.place,METRIC):''}${k.last?' LAST':''}`).join('; '));
 for(const h of holeSheets(rig)) console.log('HOLES',h.name,'from',h.from,':',h.marks.map(k=>`${k.name} ø${(k.diameter*1000).toFixed(1)} ${render(k.place,METRIC)}`).join('; '));
 for(const st of w.steps) console.log('STEP',st.title,'| makes',st.makes.length,'does',st.does.length);
}
