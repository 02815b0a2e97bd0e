import { POSITIONS } from '../library/entries';
import { MEASURED } from '../library/measured';
import { strainsOfRow, type Strains } from '#core/body';
const of=(p: string,s: string)=>strainsOfRow(MEASURED[`${p}/${s}`]!);
const load=(x: Strains)=>({head:x.headBelowHeartCm, hips: x.pelvisOverHeartCm, flat: Math.abs(x.trunkDegrees), hip:x.hipFoldDegrees, ham:x.hipFoldDegrees-x.kneeBendDegrees, ext:x.hipExtensionDegrees, open:x.hipsOpenDegrees, knee:x.kneeBendDegrees, arm:x.armLiftDegrees, round:Math.max(0,x.spineFoldDegrees), arch:Math.max(0,-x.spineFoldDegrees), seat:-x.hipsOverFloorCm});
for (const p of POSITIONS) for (const [k, v] of [['easier',p.easier],['stronger',p.stronger]] as const) {
  const first=p.setUps[0]!.id; const a=load(of(p.id,first));
  const target = v.setUp!==undefined ? [p.id,v.setUp] : v.position!==undefined ? [v.position, POSITIONS.find(x=>x.id===v.position)!.setUps[0]!.id] : undefined;
  if(!target) { if (v.words) console.log(k, p.id, '(words only)', v.words); continue; }
  if (target[0]===p.id && target[1]===first) { console.log(k, p.id, 'IS THE DEFAULT', v.words); continue; }
  const b=load(of(target[0]!,target[1]!));
  const d=Object.entries(b).map(([n,x])=>[n,x-(a as any)[n]] as const).filter(([,x])=>Math.abs(x)>=2);
  const good=d.some(([,x])=> k==='easier'? x<0 : x>0);
  const head=b.head-a.head;
  if(!good || (k==='easier' && head>2 && b.head>3)) console.log(k, p.id, target.join('/'), v.words, JSON.stringify(d));
}
