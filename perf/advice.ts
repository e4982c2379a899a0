import { drawCosts } from '../src/core/decision/monte-carlo.ts';
import { jobsOf } from '../src/core/plan/bill.ts';
import { weighing } from '../src/core/diagnosis/weighing.ts';
import { advise } from '../src/core/advice/advice.ts';
import { Belief } from '../src/core/diagnosis/belief.ts';
import { openLooks } from '../src/core/diagnosis/ranking.ts';
import type { Evidence, Network } from '../src/core/diagnosis/network.ts';
import { judged } from '../src/core/assess.ts';
import { Bench } from '../test/case.ts';

/** For `npm run bench`: the advice of a large survey, the draws of a decision, and counting every case beside inference. */
const gauge = { name: 'g', adapterVolume: 0, valve: 'plug end' } as const;
const six = new Bench(
  {
    strokes: 'two',
    cylinders: 6,
    layout: 'v',
    displacement: 2.6e-3,
    fuelSystem: 'carburettor',
    ignition: 'cdi',
    starting: 'electric',
    supply: 'bulb',
    thermostat: 'fitted',
    indicator: 'fitted',
    shift: 'shift',
    lubrication: 'injection',
    magnet: 'drain',
    decompression: 'not-fitted'
  },
  'neglected',
  { yearsIdle: 2, kept: 'mooring', worth: 5000, salvage: 900, ceiling: 1500 }
);
six
  .read('turn.result', 'bumps')
  .read('turn.feel', [])
  .read('look.cowl', 'clean')
  .read('look.wiring', 'good')
  .read('look.hoses', 'hard')
  .read('plugs.order', 'yes');
for (let c = 1; c <= 6; c++)
  six.read('plugs.read', c === 5 ? ['white'] : c === 2 ? ['oily'] : ['normal'], { cylinder: c });
// Two plainly low, two that are neither low nor sound: their readings enter as likelihoods.
for (let k = 0; k < 2; k++)
  six.psi(
    [
      [1, 114],
      [2, 101],
      [3, 70],
      [4, 115],
      [5, 71],
      [6, 103]
    ],
    { instrument: gauge }
  );
for (const c of [3, 5]) six.read('compression.leakdown', 0.4, { cylinder: c });
for (let c = 1; c <= 6; c++)
  six.read('spark.result', c === 4 ? 'weak' : 'good', { cylinder: c, conditions: { light: 'shade' } });
six
  .read('fuel.bulb', 'firm')
  .read('cooling.stream', 'weak')
  .read('gear.first', 'milky')
  .read('run.outcome', 'ran')
  .read('fuel.dies', 'no')
  .read('cooling.head', 359);
const noon = new Date('2026-05-02T12:00:00Z');
const j = six.judged();
const w = weighing(j.context, j.findings);
const looks = openLooks(j.context, w.model, w.belief);
const times: number[] = [];
for (let k = 0; k < 60; k++) {
  // Idle a little longer each time: what was worked out for the last one does not hold for the next.
  const { engine } = six.survey;
  const anew = judged(
    { ...six.survey, engine: { ...engine, history: { ...engine.history, yearsIdle: 2 + k / 500 } } },
    noon,
    'us'
  );
  const from = performance.now();
  advise(anew);
  if (k >= 20) times.push(performance.now() - from);
}
times.sort((a, b) => a - b);

/** One reading more of nearly every check, one after the other, as they are entered: advice alone, without the judgement before it. */
const further: readonly Parameters<Bench['read']>[] = [
  ['safe.secured', 'yes'],
  ['look.skeg', 'sound'],
  ['look.anodes', 'half' as never],
  ['fuel.age', 1],
  ['fuel.jar', 'clear'],
  ['fuel.vent', 'open'],
  ['gear.magnet', 'paste'],
  ['gear.drained', 0.8e-3],
  ['look.swivel', 'stiff'],
  ['look.hub', 'dry'],
  ['cooling.screen', 'clear'],
  ['cooling.outlet', 'clear'],
  ['spark.keyLook', 'sound'],
  ['compression.leakdown', 0.05, { cylinder: 1 }],
  ['plugs.hole', 'clean', { cylinder: 3 }],
  ['turn.belt', 'sound' as never],
  ['run.smoke', 'none']
];
advise(six.judged());
const more = further.map((args) => {
  six.read(...args);
  const next = six.judged();
  const from = performance.now();
  advise(next);
  return performance.now() - from;
});
if (process.argv.includes('--each'))
  console.error(further.map(([what], k) => `${what} ${more[k]!.toFixed(1)}`).join('\n'));
more.sort((a, b) => a - b);

const jobs = jobsOf(j.context, w, []);
const drawn: number[] = [];
for (let k = 0; k < 7; k++) {
  const from = performance.now();
  drawCosts(jobs, 60, 20_000, 0.1 + k / 100);
  if (k) drawn.push(performance.now() - from);
}
drawn.sort((a, b) => a - b);

/** Sixteen causes, ten findings: as far as counting goes in a moment. */
const small: Network = {
  causes: Array.from({ length: 16 }, (_, k) => ({ id: `${k}`, prior: 0.05 + (k % 5) / 20 })),
  signs: Array.from({ length: 10 }, (_, s) => ({
    id: `${s}`,
    leak: 0.02,
    causes: Array.from({ length: 5 }, (_, k) => ({ cause: (3 * s + 5 * k) % 16, strength: 0.3 + (k % 4) / 6 }))
  }))
};
const evidence: Evidence = new Map(
  small.signs.map((_, s) => [s, { present: s % 3 ? 1 : 0, absent: s % 3 === 1 ? 0.2 : 1 }])
);
const exact: number[] = [];
for (let k = 0; k < 60; k++) {
  const from = performance.now();
  new Belief(small, evidence);
  if (k >= 20) exact.push(performance.now() - from);
}
exact.sort((a, b) => a - b);
const from = performance.now();
let z = 0;
for (let x = 0; x < 2 ** 16; x++) {
  let p = 1;
  small.causes.forEach((c, i) => (p *= (x >> i) & 1 ? c.prior : 1 - c.prior));
  for (const [s, l] of evidence) {
    let not = 1 - small.signs[s]!.leak;
    for (const { cause, strength } of small.signs[s]!.causes) if ((x >> cause) & 1) not *= 1 - strength;
    p *= l.present * (1 - not) + l.absent * not;
  }
  z += p;
}
const counting = performance.now() - from;
const middle = (list: number[]): number => list[list.length >> 1]!;
console.log(
  JSON.stringify({
    advice: +middle(times).toFixed(1),
    late: +times[Math.floor(0.95 * times.length)]!.toFixed(1),
    more: +middle(more).toFixed(1),
    most: +more.at(-1)!.toFixed(1),
    open: looks.length,
    weighed: w.belief.evidence.size,
    draws: +middle(drawn).toFixed(0),
    exact: +middle(exact).toFixed(3),
    counting: z > 0 ? +counting.toFixed(1) : 0
  })
);
