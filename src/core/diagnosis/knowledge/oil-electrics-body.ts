import { inSystem } from './shape.ts';

const four = { strokes: ['four'] };
const starter = { starting: ['electric', 'both'] };

export const engineOil = inSystem('engine-oil', [
  {
    id: 'dilution',
    label: 'fuel in the engine oil',
    prior: { L: 0.04, D: 0.03, N: 0.06, S: 0.06 },
    shows: { usually: ['oil-fuel'], often: ['oil-above'], rarely: ['dip-moves'] },
    cure: 'Change it, run it loaded; find why it idles so long.',
    settled: 'dip',
    step: 'oil-level',
    parts: [15, 30, 55],
    minutes: [20, 30, 50],
    stake: 'engine',
    fits: four
  },
  {
    id: 'oil-water',
    label: 'water in the engine oil',
    prior: { L: 0.03, D: 0.7, N: 0.02, S: 0.005 },
    shows: { always: ['oil-milky'], sometimes: ['oil-above'] },
    cure: 'Change until clear, cheap oil first.',
    settled: 'dip',
    step: 'sump-water',
    parts: [30, 55, 90],
    minutes: [60, 90, 140],
    stake: 'engine',
    fits: four
  },
  {
    id: 'filter-seal',
    label: 'filter seal doubled or leaking',
    prior: { L: 0.01, D: 0.01, N: 0.02, S: 0.012 },
    shows: { often: ['seal-doubled', 'leaks-oil'], sometimes: ['lamp', 'lamp-cold'] },
    cure: 'Both seals off, a new filter.',
    settled: 'oil-drain',
    step: 'oil-filter',
    parts: [8, 14, 25],
    minutes: [8, 12, 20],
    stake: 'engine',
    fits: four
  },
  {
    id: 'overfilled',
    label: 'overfilled',
    prior: { L: 0.05, D: 0.04, N: 0.08, S: 0.08 },
    shows: { always: ['oil-above'], rarely: ['smoke'] },
    cure: 'Draw some out, dip twice.',
    settled: 'dip',
    step: 'oil-level',
    parts: [0, 0, 5],
    minutes: [8, 15, 25],
    stake: 'nuisance',
    fits: four
  },
  {
    id: 'oil-low',
    label: 'too little engine oil',
    prior: { L: 0.08, D: 0.06, N: 0.15, S: 0.03 },
    shows: { always: ['oil-below'], sometimes: ['lamp', 'lamp-cold'] },
    cure: 'Fill by the tally, wait, dip twice; find where it went.',
    settled: 'dip',
    step: 'oil-level',
    parts: [5, 10, 20],
    minutes: [8, 15, 25],
    stake: 'engine',
    fits: four
  },
  {
    id: 'oil-pressure',
    label: 'oil pressure low',
    prior: { L: 0.01, D: 0.02, N: 0.025, S: 0.004 },
    shows: { always: ['oil-pressure-low'], usually: ['lamp', 'lamp-cold'], sometimes: ['noise'] },
    cure: 'Stop; a gauge, then a specialist.',
    settled: 'oil-gauge',
    step: 'oil-pump',
    parts: [60, 250, 900],
    minutes: [60, 240, 720],
    stake: 'engine',
    specialist: true,
    fits: four
  },
  {
    id: 'first-dip',
    label: 'a first dip, or a tilted engine',
    artefact: true,
    prior: { L: 0.25, D: 0.25, N: 0.25, S: 0.25 },
    shows: { usually: ['dip-moves'], often: ['oil-above', 'oil-below'] },
    cure: 'Upright and level, wait, wipe, dip twice.',
    settled: 'dip-again',
    parts: [0, 0, 0],
    minutes: [3, 5, 10],
    stake: 'nuisance',
    fits: four
  }
]);

export const electric = inSystem('electric', [
  {
    id: 'fuse-switch',
    label: 'main fuse, key switch or connectors',
    prior: { L: 0.08, D: 0.2, N: 0.05, S: 0.02 },
    salt: 1.5,
    shows: {
      often: ['starter-dead', 'volts-at-fuse'],
      sometimes: ['fuse-blown', 'connectors', 'box-dead', 'no-start']
    },
    cure: 'Meter along it; find why before a new fuse.',
    settled: 'volts-walk',
    step: 'wiring',
    parts: [3, 20, 70],
    minutes: [15, 30, 70],
    stake: 'shows',
    fits: starter
  },
  {
    id: 'supply',
    label: 'no supply at the ignition box',
    prior: { L: 0.03, D: 0.06, N: 0.02, S: 0.006 },
    shows: { always: ['box-dead', 'none-all'], usually: ['no-start'], sometimes: ['fuse-blown'] },
    cure: 'Fuse, relay, wire: follow the volts.',
    settled: 'supply',
    step: 'wiring',
    parts: [3, 20, 70],
    minutes: [15, 30, 70],
    stake: 'shows',
    fits: { ignition: ['digital', 'coil-on-plug'] }
  },
  {
    id: 'neutral-switch',
    label: 'neutral switch',
    prior: { L: 0.03, D: 0.06, N: 0.03, S: 0.008 },
    shows: { always: ['volts-at-switch'], usually: ['starter-dead'] },
    cure: 'Adjust or renew it; bypassed for a meter only.',
    settled: 'volts-walk',
    step: 'starter',
    parts: [0, 15, 40],
    minutes: [15, 25, 50],
    stake: 'shows',
    fits: starter
  },
  {
    id: 'start-lock',
    label: 'neutral switch or start lock that does not hold',
    prior: { L: 0.03, D: 0.06, N: 0.04, S: 0.008 },
    shows: { always: ['starts-in-gear'] },
    cure: 'Set it to the linkage, or renew it.',
    settled: 'start-lock',
    step: 'neutral-switch',
    parts: [0, 15, 40],
    minutes: [15, 25, 50],
    stake: 'danger',
    fits: { shift: ['shift'] }
  },
  {
    id: 'battery',
    label: 'battery',
    prior: { L: 0.35, D: 0.3, N: 0.15, S: 0.08 },
    years: 0.4,
    shows: {
      usually: ['volts-low', 'starter-slow'],
      often: ['direct-dead'],
      sometimes: ['starter-dead'],
      rarely: ['no-charge', 'no-start']
    },
    cure: 'Charge and load it; a new one if it falls again.',
    settled: 'starter',
    step: 'battery',
    parts: [40, 80, 130],
    minutes: [5, 10, 20],
    stake: 'shows',
    fits: starter
  },
  {
    id: 'starter-cable',
    label: 'solenoid or starter cable',
    prior: { L: 0.08, D: 0.12, N: 0.06, S: 0.015 },
    salt: 1.5,
    shows: { usually: ['volts-at-solenoid'], often: ['starter-slow', 'starter-dead'] },
    cure: 'Volts lost in each cable; clean or renew.',
    settled: 'volts-walk',
    step: 'starter',
    parts: [8, 30, 70],
    minutes: [15, 30, 60],
    stake: 'shows',
    fits: starter
  },
  {
    id: 'starter-motor',
    label: 'starter motor',
    prior: { L: 0.06, D: 0.15, N: 0.04, S: 0.008 },
    shows: { always: ['direct-dead'], usually: ['starter-slow'], often: ['starter-dead'] },
    cure: 'Off, brushes and bearings; or another.',
    settled: 'starter',
    step: 'starter',
    parts: [20, 90, 220],
    minutes: [40, 70, 120],
    stake: 'shows',
    fits: starter
  },
  {
    id: 'pinion',
    label: 'starter pinion stuck in the ring',
    prior: { L: 0.02, D: 0.03, N: 0.01, S: 0.003 },
    shows: { always: ['pinion-frees'], usually: ['locked'] },
    cure: 'Pull it back, clean and grease.',
    settled: 'lock',
    step: 'pinion',
    parts: [0, 5, 40],
    minutes: [10, 20, 40],
    stake: 'shows',
    fits: starter
  },
  {
    id: 'charging',
    label: 'charging fuse, rectifier or coil',
    prior: { L: 0.05, D: 0.1, N: 0.06, S: 0.015 },
    shows: { always: ['no-charge'] },
    cure: 'Fuse and connections, rectifier, coil: metered in this order.',
    settled: 'charge',
    step: 'charging',
    parts: [25, 80, 180],
    minutes: [30, 50, 90],
    stake: 'nuisance',
    fits: starter
  },
  {
    id: 'regulator',
    label: 'charging regulator or its ground',
    prior: { L: 0.02, D: 0.04, N: 0.02, S: 0.006 },
    shows: { always: ['overcharges'], sometimes: ['no-charge'] },
    cure: 'Its ground first, then another regulator.',
    settled: 'charge',
    step: 'charging',
    parts: [30, 70, 160],
    minutes: [20, 35, 70],
    stake: 'strands',
    fits: starter
  },
  {
    id: 'rope',
    label: 'rope starter, its spring or dog',
    prior: { L: 0.1, D: 0.06, N: 0.1, S: 0.03 },
    shows: { always: ['rope-slips'] },
    cure: 'Rope, spring or dog; hands clear of the spring.',
    settled: 'rope',
    step: 'rope',
    parts: [4, 12, 40],
    minutes: [20, 35, 60],
    stake: 'shows',
    fits: { starting: ['rope', 'both'] }
  }
]);

export const structure = inSystem('structure', [
  {
    id: 'swivel',
    label: 'swivel or tilt seized',
    prior: { L: 0.2, D: 0.1, N: 0.12, S: 0.02 },
    salt: 1.5,
    shows: { always: ['swivel-stiff'] },
    cure: 'Grease until old grease comes; heat and patience where it is seized.',
    settled: 'look',
    step: 'structure',
    parts: [3, 6, 30],
    minutes: [20, 40, 180],
    stake: 'nuisance'
  },
  {
    id: 'mounts',
    label: 'rubber mounts soft or torn',
    prior: { L: 0.05, D: 0.03, N: 0.06, S: 0.015 },
    shows: { always: ['mounts-bad'], often: ['shakes'] },
    cure: 'Renew the mounts, in pairs.',
    settled: 'look',
    step: 'mounts',
    parts: [30, 60, 120],
    minutes: [40, 55, 120],
    stake: 'nuisance'
  },
  {
    id: 'bracket',
    label: 'bracket cracked',
    prior: { L: 0.01, D: 0.01, N: 0.02, S: 0.005 },
    shows: { always: ['bracket-cracked'] },
    cure: 'Renew it; a cracked bracket does not go back on a boat.',
    settled: 'look',
    step: 'bracket',
    parts: [60, 120, 300],
    minutes: [40, 55, 240],
    stake: 'danger'
  },
  {
    id: 'anodes',
    label: 'anodes used up',
    prior: { L: 0.25, D: 0.3, N: 0.35, S: 0.1 },
    salt: 1.3,
    shows: { always: ['anodes-gone'] },
    cure: 'New anodes on bright metal.',
    settled: 'look',
    step: 'anodes',
    parts: [10, 22, 45],
    minutes: [10, 15, 25],
    stake: 'nuisance'
  }
]);
