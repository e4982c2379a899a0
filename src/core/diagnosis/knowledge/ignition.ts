import { inSystem } from './shape.ts';

const points = { ignition: ['points'] };
const electronic = { ignition: ['cdi', 'digital', 'coil-on-plug'] };

export const ignition = inSystem('ignition', [
  {
    id: 'plug',
    label: 'plug fouled, cracked or wrongly gapped',
    per: 'cylinder',
    prior: { L: 0.08, D: 0.1, N: 0.06, S: 0.01 },
    years: 0.3,
    shows: {
      always: ['moves-with-plug'],
      often: ['plug-bad', 'weak', 'no-drop'],
      sometimes: ['shakes', 'none', 'plug-black', 'plug-oily', 'plug-fuel'],
      rarely: ['no-start']
    },
    cure: 'A new plug; the right gap.',
    settled: 'plug-swap',
    step: 'plugs',
    parts: [4, 7, 15],
    minutes: [3, 5, 10],
    stake: 'shows'
  },
  {
    id: 'points-dirty',
    label: 'points dirty or oxidised',
    prior: { L: 0.3, D: 0.35, N: 0.08, S: 0.03 },
    years: 0.4,
    shows: {
      always: ['cleaning-helps'],
      usually: ['points-oxidised'],
      often: ['none-all', 'weak'],
      sometimes: ['none', 'no-start']
    },
    cure: 'Clean with paper, gap, try again.',
    settled: 'points-clean',
    step: 'points',
    parts: [0, 3, 20],
    minutes: [20, 40, 60],
    stake: 'shows',
    fits: points
  },
  {
    id: 'points-gap',
    label: 'points gap off, or rub block worn',
    prior: { L: 0.04, D: 0.03, N: 0.1, S: 0.03 },
    shows: { usually: ['timing-off', 'block-worn'], sometimes: ['weak', 'cleaning-helps', 'kicks', 'no-start'] },
    cure: 'Set the gap at the top of the cam; renew the block.',
    settled: 'points-look',
    step: 'points',
    parts: [0, 12, 30],
    minutes: [20, 40, 60],
    stake: 'strands',
    fits: points
  },
  {
    id: 'condenser',
    label: 'condenser tired',
    prior: { L: 0.05, D: 0.08, N: 0.04, S: 0.01 },
    shows: {
      always: ['condenser-helps'],
      usually: ['points-pitted', 'weak'],
      sometimes: ['none-all', 'none', 'no-start', 'dies']
    },
    cure: 'Renew points and condenser in sets.',
    settled: 'condenser',
    step: 'points',
    parts: [8, 15, 30],
    minutes: [30, 45, 60],
    stake: 'strands',
    fits: points
  },
  {
    id: 'coil',
    label: 'coil cracked or damp',
    per: 'cylinder',
    prior: { L: 0.02, D: 0.06, N: 0.015, S: 0.004 },
    years: 0.3,
    shows: {
      always: ['moves-with-coil'],
      usually: ['none'],
      often: ['winding-out', 'coil-damaged', 'no-drop'],
      sometimes: ['weak', 'shakes']
    },
    cure: 'Dry it, measure it, renew it.',
    settled: 'coil-swap',
    step: 'coil',
    parts: [40, 80, 160],
    minutes: [30, 45, 90],
    stake: 'shows'
  },
  {
    id: 'lead',
    label: 'plug lead or cap',
    per: 'cylinder',
    prior: { L: 0.03, D: 0.03, N: 0.03, S: 0.006 },
    shows: {
      always: ['moves-with-lead'],
      usually: ['none', 'lead-damaged'],
      often: ['weak', 'no-drop'],
      sometimes: ['shakes']
    },
    cure: 'A new cap or lead; look in the dark for sparks astray.',
    settled: 'coil-look',
    step: 'lead',
    parts: [6, 15, 40],
    minutes: [5, 15, 30],
    stake: 'shows',
    fits: { ignition: ['points', 'cdi', 'digital'] }
  },
  {
    id: 'charge-coil',
    label: 'charge coil',
    prior: { L: 0.02, D: 0.05, N: 0.015, S: 0.003 },
    shows: { always: ['charge-dead'], usually: ['none-all', 'no-start'], sometimes: ['none', 'winding-out', 'weak'] },
    cure: 'Flywheel off, a new charge coil.',
    settled: 'peak-volts',
    step: 'coil',
    parts: [60, 120, 240],
    minutes: [60, 90, 150],
    stake: 'shows',
    fits: { ignition: ['cdi'] }
  },
  {
    id: 'trigger',
    label: 'trigger or crank sensor',
    prior: { L: 0.015, D: 0.04, N: 0.012, S: 0.003 },
    shows: {
      always: ['trigger-dead'],
      often: ['none-all', 'none', 'no-start'],
      sometimes: ['winding-out'],
      rarely: ['kicks']
    },
    cure: 'A new trigger; the air gap by the manual.',
    settled: 'peak-volts',
    step: 'coil',
    parts: [50, 100, 220],
    minutes: [40, 70, 120],
    stake: 'shows',
    fits: electronic
  },
  {
    id: 'pack',
    label: 'power pack or control unit',
    prior: { L: 0.015, D: 0.06, N: 0.015, S: 0.003 },
    salt: 1.5,
    shows: {
      always: ['pack-helps'],
      usually: ['no-start'],
      often: ['none-all'],
      sometimes: ['none', 'weak'],
      rarely: ['dies']
    },
    cure: 'Dear, and last: only a known good one proves it.',
    settled: 'pack',
    step: 'spark-common',
    parts: [120, 260, 520],
    minutes: [30, 45, 90],
    stake: 'shows',
    fits: electronic
  },
  {
    id: 'pack-bank',
    label: 'one output of the power pack',
    per: 'bank',
    prior: { L: 0.008, D: 0.02, N: 0.008, S: 0.002 },
    shows: { usually: ['none', 'no-drop'], always: ['pack-helps'], often: ['shakes'] },
    cure: 'A known good pack proves it.',
    settled: 'pack',
    step: 'spark-common',
    parts: [120, 260, 520],
    minutes: [30, 45, 90],
    stake: 'shows',
    fits: { ...electronic, cylinders: ['many'] }
  },
  {
    id: 'stop-circuit',
    label: 'stop circuit grounded: switch, lanyard or chafed wire',
    prior: { L: 0.06, D: 0.06, N: 0.03, S: 0.008 },
    shows: { always: ['none-all', 'stop-helps'], usually: ['no-start'], often: ['wires-bad'], sometimes: ['nest'] },
    cure: 'Follow the stop wire, mend it, prove that it still stops the engine.',
    settled: 'stop-wire',
    step: 'stop-circuit',
    parts: [3, 12, 40],
    minutes: [20, 40, 90],
    stake: 'shows'
  },
  {
    id: 'ground',
    label: 'poor engine ground',
    prior: { L: 0.05, D: 0.06, N: 0.05, S: 0.01 },
    salt: 1.6,
    shows: {
      usually: ['ground-helps', 'bolt-only'],
      often: ['weak', 'connectors'],
      sometimes: ['none-all', 'none', 'starter-slow']
    },
    cure: 'Bright metal at both ends.',
    settled: 'ground-wire',
    step: 'ground',
    parts: [0, 4, 15],
    minutes: [10, 20, 40],
    stake: 'shows'
  },
  {
    id: 'coil-hot',
    label: 'a coil that fails hot',
    prior: { L: 0.015, D: 0.02, N: 0.03, S: 0.006 },
    shows: { usually: ['dies-hot', 'winding-hot', 'spark-warm'], sometimes: ['dies'] },
    cure: 'Measure it warm, then renew it.',
    settled: 'windings',
    step: 'coil',
    parts: [40, 80, 160],
    minutes: [30, 60, 90],
    stake: 'strands'
  },
  {
    id: 'advance',
    label: 'advance plate or timer base stuck',
    prior: { L: 0.08, D: 0.05, N: 0.04, S: 0.008 },
    years: 0.4,
    shows: { usually: ['timing-off'], sometimes: ['linkage-bad', 'ran-badly', 'kicks'] },
    cure: 'Free it by hand, one drop of oil.',
    settled: 'timing',
    step: 'advance',
    parts: [0, 3, 15],
    minutes: [15, 30, 60],
    stake: 'nuisance'
  },
  {
    id: 'flywheel-key',
    label: 'flywheel key sheared',
    prior: { L: 0.004, D: 0.008, N: 0.01, S: 0.002 },
    shows: { always: ['key-shifted'], usually: ['timing-off', 'kicks'], sometimes: ['no-start', 'none-all'] },
    cure: 'Pull the flywheel, a new key, the nut to its torque.',
    settled: 'key',
    step: 'flywheel-key',
    parts: [3, 8, 20],
    minutes: [30, 50, 90],
    stake: 'engine'
  },
  {
    id: 'harness',
    label: 'harness chewed or corroded',
    prior: { L: 0.06, D: 0.12, N: 0.05, S: 0.01 },
    salt: 1.5,
    shows: {
      often: ['wires-bad', 'connectors'],
      sometimes: ['nest', 'starter-dead', 'none-all', 'box-dead', 'volts-at-fuse', 'no-start', 'no-charge'],
      rarely: ['lamp', 'lamp-cold']
    },
    cure: 'Inch by inch: crimp and sleeve, connectors cleaned.',
    settled: 'look',
    step: 'wiring',
    parts: [5, 30, 120],
    minutes: [30, 60, 180],
    stake: 'strands'
  },
  {
    id: 'lanyard',
    label: 'lanyard out or switch off',
    artefact: true,
    prior: { L: 0.12, D: 0.12, N: 0.12, S: 0.1 },
    shows: { always: ['lanyard-out', 'none-all'] },
    cure: 'Lanyard in, switch on run, look again.',
    settled: 'lanyard',
    parts: [0, 0, 0],
    minutes: [1, 2, 3],
    stake: 'nuisance'
  },
  {
    id: 'sunlight',
    label: 'spark judged in sunlight',
    artefact: true,
    prior: { L: 0.06, D: 0.06, N: 0.06, S: 0.06 },
    shows: { always: ['in-sun'], often: ['weak'] },
    cure: 'Look again in the shade.',
    settled: 'shade',
    parts: [0, 0, 0],
    minutes: [2, 3, 5],
    stake: 'nuisance'
  }
]);
