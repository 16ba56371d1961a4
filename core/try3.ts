import { judge } from './src/judgement/judge.ts';
import { layouts } from './src/testing/layouts.ts';
const L=(f:string)=>layouts.find(x=>x.file===f)!.build();
const c=L('two-winches') as any; 
console.log(JSON.stringify(c.rig.bodies.map((b:any)=>[b.id,b.kind,b.xM,b.yM,b.headingRad,b.massKg])), JSON.stringify(c.rig.load), JSON.stringify(c.rig.lines.map((l:any)=>l.id)));
for (const up of [0,1.57,3.14,4.71]) { const d={...c,rig:{...c.rig,ground:{slopeRad:.35,uphillRad:up}}}; const r=judge(d); console.log(up,r.verdict,JSON.stringify(r.left), r.effort?.runsByItself); }
