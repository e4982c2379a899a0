import { only, type JobRule } from './job.ts';

/** What holds fuel and oil. */
export const tanks = {
  'tank-clean': {
    title: 'Clean the fuel tank out',
    raisedBy: ['fuel.part-tank-dirt'],
    how: 'Emptied into labelled containers, pick-up out. Rinsed with a little fresh fuel and a chain or clean gravel where it is rust; lit with a lamp that cannot spark. One that rusts through or sheds its lining is renewed.',
    tools: ['siphon', 'labelled can', 'lamp for explosive air'],
    consumables: ['fresh fuel'],
    minutes: 40,
    hazards: ['vapour', 'waste'],
    proof: { station: 'fuel', text: 'clean inside, seen with a light', reads: ['fuel.tankLook'] },
    renews: ['fuel.tankLook'],
    after: ['fuel-drain'],
    dirty: true,
    daylight: true
  },
  'oil-tank': {
    title: 'Fill the oil tank, bleed its line',
    raisedBy: [only('fuel.oil-tank', 'watch', 'fault')],
    how: 'Where water or dirt is in it, tank and line are emptied and rinsed first. The oil the manual names to the mark; bled at the pump until no bubble comes.',
    tools: ['funnel'],
    consumables: ['two-stroke oil'],
    minutes: 15,
    hazards: ['waste'],
    proof: { station: 'fuel', text: 'oil tank to its mark, nothing else in it', reads: ['fuel.oilTank'] },
    renews: ['fuel.oilTank'],
    dirty: true
  },
  'oil-feed': {
    title: 'Mend the oil injection',
    raisedBy: [only('fuel.oil-feed', 'fault')],
    how: 'Fuel mixed meanwhile. Tank outlet and filter, air in the line, check valves; then the pump, its drive and its link to the throttle, by the manual.',
    tools: ['measuring cup'],
    consumables: ['two-stroke oil'],
    parts: ['oil pump or check valve as found'],
    minutes: 45,
    hazards: ['waste', 'hot', 'flywheel'],
    proof: { station: 'fuel', text: 'oil seen to move while it runs on mixed fuel', reads: ['fuel.oilMoves'] },
    renews: ['fuel.oilMoves'],
    after: ['oil-tank'],
    opens: ['cowl'],
    dirty: true
  }
} as const satisfies Readonly<Record<string, JobRule>>;
