import { inSystem } from './shape.ts';

const shifts = { shift: ['shift'] };

export const gearCase = inSystem('gear-case', [
  {
    id: 'seal-propshaft',
    label: 'propeller-shaft seal',
    prior: { L: 0.08, D: 0.05, N: 0.1, S: 0.015 },
    years: 0.3,
    shows: {
      usually: ['case-leaks', 'bubbles-propshaft'],
      often: ['gear-milky', 'gear-water', 'hub-oil'],
      sometimes: ['gear-low']
    },
    cure: 'Seal, after a look for a groove under the lip.',
    settled: 'soap',
    step: 'reseal',
    parts: [12, 25, 60],
    minutes: [60, 100, 180],
    stake: 'engine'
  },
  {
    id: 'seal-driveshaft',
    label: 'drive-shaft seal',
    prior: { L: 0.06, D: 0.04, N: 0.07, S: 0.012 },
    years: 0.3,
    shows: { usually: ['case-leaks', 'bubbles-driveshaft'], often: ['gear-milky', 'gear-water'] },
    cure: 'Seal under the pump; both when it is open.',
    settled: 'soap',
    step: 'reseal',
    parts: [12, 25, 60],
    minutes: [70, 110, 190],
    stake: 'engine'
  },
  {
    id: 'seal-shift',
    label: 'shift-shaft seal',
    prior: { L: 0.04, D: 0.03, N: 0.04, S: 0.008 },
    years: 0.3,
    shows: { usually: ['case-leaks', 'bubbles-shift'], often: ['gear-milky'], sometimes: ['gear-water'] },
    cure: 'Seal and its O-ring.',
    settled: 'soap',
    step: 'reseal',
    parts: [8, 18, 40],
    minutes: [50, 80, 150],
    stake: 'engine',
    fits: shifts
  },
  {
    id: 'plug-washers',
    metBy: { item: 'gear.washers', value: 'yes' },
    label: 'plug washer missing, doubled or old',
    prior: { L: 0.1, D: 0.08, N: 0.15, S: 0.03 },
    shows: { often: ['bubbles-plugs', 'gear-water', 'case-leaks'], sometimes: ['gear-milky', 'traces', 'gear-low'] },
    cure: 'One fresh washer for each plug there is.',
    settled: 'soap',
    step: 'gear-refill',
    parts: [2, 4, 10],
    minutes: [10, 20, 35],
    stake: 'engine'
  },
  {
    id: 'shaft-groove',
    label: 'shaft grooved under the lip',
    prior: { L: 0.03, D: 0.02, N: 0.05, S: 0.006 },
    shows: {
      often: ['case-leaks', 'bubbles-propshaft', 'hub-oil'],
      sometimes: ['gear-milky', 'gear-water', 'bubbles-driveshaft']
    },
    cure: 'A sleeve for a while, a shaft for good.',
    settled: 'soap',
    step: 'reseal',
    afterWork: { reseal: 0.08 },
    parts: [20, 90, 240],
    minutes: [70, 120, 220],
    stake: 'engine'
  },
  {
    id: 'seal-wrong',
    label: 'seal reversed or cocked, O-ring rolled',
    prior: { L: 0.015, D: 0.015, N: 0.03, S: 0.006 },
    shows: {
      usually: ['case-leaks'],
      often: ['traces', 'gear-water', 'gear-milky'],
      sometimes: ['bubbles-propshaft', 'bubbles-driveshaft']
    },
    cure: 'Redo it; facing and depth noted.',
    settled: 'case-test',
    step: 'reseal',
    afterWork: { reseal: 0.12 },
    parts: [12, 25, 60],
    minutes: [60, 100, 180],
    stake: 'engine'
  },
  {
    id: 'carrier-ring',
    label: 'carrier O-ring',
    prior: { L: 0.05, D: 0.03, N: 0.06, S: 0.01 },
    salt: 1.4,
    shows: { usually: ['case-leaks', 'bubbles-carrier'], often: ['gear-milky', 'gear-water', 'hub-oil'] },
    cure: 'O-ring, seat cleaned.',
    settled: 'soap',
    step: 'reseal',
    parts: [6, 12, 30],
    minutes: [60, 90, 170],
    stake: 'engine'
  },
  {
    id: 'carrier-bore',
    label: 'carrier bore scored or corroded',
    prior: { L: 0.01, D: 0.01, N: 0.02, S: 0.003 },
    salt: 1.4,
    shows: { usually: ['case-leaks', 'bubbles-carrier'], often: ['gear-milky'], sometimes: ['traces', 'hub-oil'] },
    cure: 'A carrier.',
    settled: 'soap',
    step: 'reseal',
    afterWork: { reseal: 0.04 },
    parts: [60, 120, 260],
    minutes: [70, 110, 200],
    stake: 'engine'
  },
  {
    id: 'frost-crack',
    label: 'case cracked by frost',
    prior: { L: 0.02, D: 0.015, N: 0.025, S: 0.005 },
    shows: { usually: ['case-leaks', 'bubbles-housing', 'gear-milky'], often: ['case-line', 'gear-low', 'crack-deep'] },
    cure: 'Weld by a specialist, or another case; why water was there comes first.',
    settled: 'soap',
    step: 'crack',
    parts: [120, 320, 700],
    minutes: [120, 240, 420],
    stake: 'engine',
    specialist: true
  },
  {
    id: 'gears-worn',
    label: 'gears or bearings worn',
    prior: { L: 0.02, D: 0.02, N: 0.05, S: 0.006 },
    shows: {
      usually: ['gear-metal'],
      often: ['gear-burnt', 'rough-leg', 'noise-leg'],
      sometimes: ['noise', 'gritty', 'gear-slips']
    },
    cure: 'Open it; gears and bearings as found.',
    settled: 'gear-drain',
    step: 'metal',
    parts: [120, 300, 700],
    minutes: [180, 300, 540],
    stake: 'engine'
  },
  {
    id: 'dog',
    label: 'clutch dog worn',
    prior: { L: 0.015, D: 0.01, N: 0.05, S: 0.008 },
    shows: { usually: ['gear-slips'], sometimes: ['gear-metal'] },
    cure: 'Dog and gear together.',
    settled: 'shift',
    step: 'clutch-dog',
    parts: [90, 180, 380],
    minutes: [180, 280, 420],
    stake: 'strands',
    fits: shifts
  },
  {
    id: 'linkage',
    label: 'shift linkage out of adjustment',
    prior: { L: 0.05, D: 0.03, N: 0.08, S: 0.015 },
    shows: { often: ['gear-missing', 'neutral-drags', 'gear-slips'], sometimes: ['linkage-bad'] },
    cure: 'Neutral in the middle of its travel, full engagement both ways.',
    afterWork: { pump: 0.08, 'leg-water': 0.08, reseal: 0.08 },
    settled: 'shift',
    step: 'linkage',
    parts: [0, 3, 20],
    minutes: [20, 35, 60],
    stake: 'shows',
    fits: shifts
  },
  {
    id: 'shift-joint',
    label: 'shift-rod joint slipped or stripped',
    prior: { L: 0.01, D: 0.01, N: 0.02, S: 0.005 },
    shows: { always: ['rod-slips'], usually: ['gear-missing'], sometimes: ['traces', 'neutral-drags'] },
    cure: 'Mark, set, or renew the joint.',
    settled: 'shift-rod',
    step: 'shift-joint',
    parts: [5, 15, 45],
    minutes: [30, 50, 90],
    stake: 'shows',
    fits: shifts
  },
  {
    id: 'odd-leg',
    label: 'leg from another engine',
    prior: { L: 0.015, D: 0.015, N: 0.03, S: 0.005 },
    shows: { usually: ['odd-leg'], rarely: ['gear-missing'] },
    cure: 'Order gear-case parts by the leg, not by the power head.',
    settled: 'look',
    step: 'leg-identity',
    parts: [0, 0, 30],
    minutes: [10, 20, 40],
    stake: 'nuisance'
  },
  {
    id: 'shear-pin',
    label: 'propeller hub slipping, or shear pin gone',
    prior: { L: 0.03, D: 0.03, N: 0.05, S: 0.01 },
    shows: { always: ['hub-slips'], often: ['gear-slips'] },
    cure: 'Mark and pull; hub or pin.',
    settled: 'hub-twist',
    step: 'propeller',
    parts: [4, 45, 120],
    minutes: [15, 30, 60],
    stake: 'shows'
  },
  {
    id: 'propeller',
    label: 'propeller bent',
    prior: { L: 0.06, D: 0.08, N: 0.15, S: 0.03 },
    shows: { always: ['propeller-bent'], often: ['shakes'] },
    cure: 'Dressed, mended by a shop, or renewed.',
    settled: 'look',
    step: 'propeller',
    parts: [10, 60, 180],
    minutes: [10, 20, 40],
    stake: 'nuisance'
  },
  {
    id: 'splines',
    label: 'drive-shaft splines rusted into the crank',
    prior: { L: 0.05, D: 0.04, N: 0.05, S: 0.01 },
    salt: 1.5,
    shows: { rarely: ['leg-frees', 'locked'] },
    cure: 'Soak and heat; a specialist if it is stuck.',
    settled: 'lock',
    step: 'splines',
    parts: [5, 30, 250],
    minutes: [40, 120, 360],
    stake: 'nuisance'
  },
  {
    id: 'leg-locked',
    label: 'drive shaft, pump or gears locked',
    prior: { L: 0.02, D: 0.03, N: 0.015, S: 0.002 },
    shows: { always: ['leg-frees'], usually: ['locked'] },
    cure: 'Leg off, opened; the power head is not to blame.',
    settled: 'lock',
    step: 'metal',
    parts: [40, 160, 420],
    minutes: [120, 240, 480],
    stake: 'shows'
  },
  {
    id: 'case-warming',
    label: 'case cooling or warming during the test',
    artefact: true,
    prior: { L: 0.12, D: 0.12, N: 0.12, S: 0.12 },
    shows: { always: ['case-drifts'], sometimes: ['case-leaks'] },
    cure: 'In the shade, temperature noted at both ends.',
    settled: 'case-test',
    parts: [0, 0, 0],
    minutes: [10, 15, 20],
    stake: 'nuisance'
  }
]);
