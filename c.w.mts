import { Bench, show, safe, looked, turned, plugsGood, spark, freshFuel } from './tell.w.ts';
import { two, four, v6, magneto, open } from './test/stories/engines.ts';
const b = new Bench(four as any, 'neglected', {yearsIdle:0.5} as any); b.psi([[1,180],[2,180],[3,180],[4,180]]);
b.read('run.event','start').read('run.exhaust','steam').read('run.event','stop').read('run.outcome','stopped').read('run.reason','other').read('run.plugAfter','wet',{cylinder:2});
b.read('compression.leakdown',0.3,{cylinder:2}).read('compression.escape',['water'],{cylinder:2}).read('compression.leakdown',0.31,{cylinder:2}).read('compression.escape',['water'],{cylinder:2});
console.log(b.ids().filter(x=>!x.endsWith('sound')), b.assessed().steps.filter(s=>s.state==='open').map((s:any)=>[s.id, s.because, s.by]));
b.wait(0.1).done('head-gasket' as any).wait(0.1); console.log(b.ids().filter(x=>!x.endsWith('sound')), b.assessed().steps.filter(s=>s.state==='open').map((s:any)=>[s.id, s.because, s.by]));
