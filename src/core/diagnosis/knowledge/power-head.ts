import { inSystem } from './shape.ts';

const two = { strokes: ['two'] };
const four = { strokes: ['four'] };

export const powerHead = inSystem('power-head', [
  {
    id: 'rings-stuck',
    label: 'rings stuck',
    per: 'cylinder',
    prior: { L: 0.07, D: 0.08, N: 0.03, S: 0.004 },
    years: 0.6,
    shows: {
      usually: ['low', 'leaks', 'low-again'],
      often: ['wet-rises', 'air-crankcase'],
      sometimes: ['soak-no-help', 'no-drop'],
      rarely: ['stiff', 'spits', 'shakes', 'no-start']
    },
    cure: 'Soak overnight with penetrating oil, run with oil, measure again.',
    settled: 'leak-down',
    step: 'soak',
    alsoCuredBy: ['overhaul'],
    parts: [5, 10, 25],
    minutes: [20, 30, 60],
    stake: 'strands'
  },
  {
    id: 'rings-worn',
    label: 'rings or bore worn or scored',
    per: 'cylinder',
    prior: { L: 0.012, D: 0.012, N: 0.03, S: 0.005 },
    shows: {
      usually: ['low', 'wet-rises', 'air-crankcase', 'leaks', 'low-again', 'soak-no-help'],
      often: ['hole-scored'],
      sometimes: ['plug-oily', 'no-drop', 'smoke'],
      rarely: ['spits', 'shakes', 'no-start']
    },
    cure: 'Overhaul: bore, piston and rings; a specialist measures it.',
    settled: 'bore-light',
    step: 'overhaul',
    parts: [250, 450, 900],
    minutes: [480, 720, 1200],
    stake: 'engine',
    specialist: true
  },
  {
    id: 'head-gasket',
    label: 'head gasket',
    per: 'pair',
    prior: { L: 0.012, D: 0.01, N: 0.02, S: 0.003 },
    shows: {
      usually: ['low', 'leaks', 'low-again', 'air-gasket'],
      sometimes: ['plug-water', 'plug-wet-after', 'air-water', 'hot', 'spits', 'no-drop', 'shakes'],
      rarely: ['plug-white', 'no-start', 'oil-milky']
    },
    cure: 'Head off, flatness checked, new gasket, bolts in the manual’s order.',
    settled: 'leak-down',
    step: 'head-gasket',
    alsoCuredBy: ['overhaul'],
    parts: [40, 80, 180],
    minutes: [120, 180, 330],
    stake: 'engine'
  },
  {
    id: 'gasket-outer',
    label: 'head gasket to the water or outside',
    per: 'cylinder',
    prior: { L: 0.008, D: 0.006, N: 0.01, S: 0.002 },
    shows: {
      usually: ['plug-water', 'plug-wet-after'],
      often: ['low', 'leaks', 'low-again', 'air-water', 'air-edge', 'smoke'],
      sometimes: ['hot', 'oil-milky']
    },
    cure: 'Head off, flatness checked, new gasket.',
    settled: 'leak-down',
    step: 'head-gasket',
    alsoCuredBy: ['overhaul'],
    parts: [40, 80, 180],
    minutes: [120, 180, 330],
    stake: 'engine'
  },
  {
    id: 'piston-holed',
    label: 'holed or eroded piston',
    per: 'cylinder',
    prior: { L: 0.003, D: 0.003, N: 0.008, S: 0.001 },
    shows: {
      always: ['low', 'low-again', 'soak-no-help', 'crown-holed'],
      usually: ['air-crankcase', 'leaks', 'hole-scored'],
      often: ['plug-white', 'no-drop'],
      sometimes: ['shakes', 'spits'],
      rarely: ['no-start']
    },
    cure: 'Overhaul: piston, bore; find why it ran lean.',
    settled: 'bore-light',
    step: 'overhaul',
    parts: [250, 420, 900],
    minutes: [420, 660, 1100],
    stake: 'engine',
    specialist: true
  },
  {
    id: 'valve-leaks',
    label: 'valve leaking or stuck',
    per: 'cylinder',
    prior: { L: 0.03, D: 0.03, N: 0.02, S: 0.003 },
    years: 0.4,
    shows: {
      always: ['air-valve', 'soak-no-help'],
      usually: ['low', 'leaks', 'low-again'],
      often: ['no-drop'],
      sometimes: ['shakes', 'spits', 'noise-valves'],
      rarely: ['no-start']
    },
    cure: 'Free it with oil; if it still leaks, grind it.',
    settled: 'leak-down',
    // One without lash leaks like a burnt one.
    rivals: ['lash'],
    step: 'valves',
    alsoCuredBy: ['overhaul'],
    parts: [20, 60, 160],
    minutes: [120, 240, 480],
    stake: 'strands',
    fits: four
  },
  {
    id: 'lash-closed',
    label: 'valve lash closed, or carbon on the seat',
    per: 'cylinder',
    prior: { L: 0.01, D: 0.01, N: 0.03, S: 0.008 },
    shows: {
      always: ['no-lash'],
      usually: ['air-valve', 'low', 'low-again'],
      often: ['leaks', 'no-drop'],
      sometimes: ['spits', 'shakes'],
      rarely: ['no-start']
    },
    cure: 'Set the lash cold, run it, measure again.',
    settled: 'lash',
    step: 'lash',
    parts: [0, 5, 20],
    minutes: [20, 35, 60],
    stake: 'strands',
    fits: four
  },
  {
    id: 'bores-rusted',
    label: 'bores rusted',
    prior: { L: 0.06, D: 0.25, N: 0.02, S: 0.003 },
    years: 0.8,
    salt: 2,
    shows: { usually: ['locked'], often: ['stiff', 'hole-rust'], sometimes: ['low', 'low-again', 'starter-slow'] },
    cure: 'Soak, wait a day, turn without force; overhaul where it scored.',
    settled: 'bore-light',
    step: 'soak',
    alsoCuredBy: ['overhaul'],
    parts: [10, 60, 500],
    minutes: [40, 120, 700],
    stake: 'engine'
  },
  {
    id: 'bearings',
    label: 'bearings rusted or washed out',
    prior: { L: 0.02, D: 0.2, N: 0.02, S: 0.003 },
    salt: 2.5,
    shows: {
      always: ['rough-head'],
      usually: ['gritty', 'noise'],
      often: ['noise-head'],
      sometimes: ['stiff', 'tight', 'starter-slow']
    },
    cure: 'Overhaul; nothing is spun before it turns like silk.',
    settled: 'rough',
    step: 'overhaul',
    parts: [300, 600, 1300],
    minutes: [600, 900, 1500],
    stake: 'engine',
    specialist: true
  },
  {
    id: 'rod-bent',
    label: 'rod bent by water',
    per: 'cylinder',
    prior: { L: 0.001, D: 0.02, N: 0.001, S: 0.001 },
    shows: { always: ['depth-low'], often: ['tight', 'noise-head'], rarely: ['low', 'low-again', 'noise'] },
    cure: 'Specialist: it is not spun again. Or kept for parts.',
    settled: 'depth',
    step: 'bent-rod',
    parts: [400, 800, 1600],
    minutes: [720, 1000, 1600],
    stake: 'engine',
    specialist: true
  },
  {
    id: 'reed-seal',
    label: 'reed or crank seal leaking',
    prior: { L: 0.05, D: 0.03, N: 0.03, S: 0.008 },
    years: 0.5,
    shows: {
      always: ['crankcase-falls'],
      usually: ['spits'],
      sometimes: ['air-drawn', 'no-start', 'plug-white', 'plug-oily', 'shakes']
    },
    cure: 'Crankcase pressure test; reed or seal.',
    settled: 'crankcase',
    step: 'crank-seal',
    parts: [30, 70, 160],
    minutes: [90, 180, 420],
    stake: 'engine',
    fits: two
  },
  {
    id: 'jacket-crack',
    label: 'cracked block, exhaust cover or water jacket',
    prior: { L: 0.012, D: 0.008, N: 0.012, S: 0.004 },
    shows: {
      usually: ['plug-wet-after', 'smoke'],
      often: ['plug-water', 'air-water', 'oil-milky'],
      sometimes: ['hot']
    },
    cure: 'Pressure test of the jacket; a specialist says whether it is worth it.',
    settled: 'run-again',
    step: 'water-in',
    parts: [120, 500, 1500],
    minutes: [180, 480, 1200],
    stake: 'engine',
    specialist: true
  },
  {
    id: 'liquid',
    label: 'liquid in a cylinder',
    prior: { L: 0.01, D: 0.55, N: 0.01, S: 0.002 },
    shows: { usually: ['plug-water'], often: ['water-out'], sometimes: ['locked', 'stiff', 'starter-slow'] },
    cure: 'Plugs out, holes lowest, turn until nothing more comes.',
    settled: 'holes',
    step: 'empty-cylinders',
    parts: [0, 5, 15],
    minutes: [10, 20, 40],
    stake: 'engine'
  },
  {
    id: 'belt',
    label: 'timing belt off or old',
    prior: { L: 0.015, D: 0.01, N: 0.02, S: 0.005 },
    shows: {
      always: ['belt-bad'],
      usually: ['low-all', 'no-start'],
      often: ['timing-off', 'bumps-few', 'no-bumps'],
      sometimes: ['kicks']
    },
    cure: 'Marks checked before it is cranked; new belt and tensioner.',
    settled: 'timing',
    step: 'belt',
    parts: [60, 110, 220],
    minutes: [60, 120, 240],
    stake: 'engine',
    fits: { ...four, camDrive: ['belt'] }
  }
]);
