import { Bench, show, safe, looked, turned, plugsGood, spark, freshFuel } from './tell.w.ts';
import { two } from './test/stories/engines.ts';
const mk = () => { const b = new Bench({...two} as any, 'neglected', { yearsIdle: 0.2, hours: 300, submerged:'no' } as any); safe(b); looked(b); turned(b); plugsGood(b,3); spark(b,['good','good','good']); b.psi([[1,118],[2,120],[3,119]]); b.read('gear.first','oil').read('gear.look','clear').read('gear.magnet','clean'); freshFuel(b); return b; };
{ const b = mk(); b.wait(0.1); show(b,'1 base'); b.read('fuel.bowlLook','water'); show(b,'bowl water'); b.read('fuel.bowl','drained'); show(b,'bowl drained'); }
{ const b = mk(); b.wait(0.1); show(b,'2 base'); b.read('fuel.filter','water'); show(b,'filter water'); b.read('fuel.line','drained'); show(b,'line drained'); b.read('fuel.filter','clean'); show(b,'filter clean');}
{ const b = mk(); b.wait(0.1); b.read('fuel.filter','water'); show(b,'3 filter water'); b.done('fuel-filter' as any); show(b,'filter done');b.wait(0.1).read('fuel.filter','clean'); show(b,'filter clean');}
