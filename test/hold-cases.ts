import { Bench } from './case.ts';
import { caseStages, caseTest } from './case-test.ts';
import type { History, Profile } from '../src/core/engine/profile.ts';
import type { HouseRules } from '../src/core/house-rules/rules.ts';
import type { ItemId } from '../src/core/stations/items.ts';
import type { Hold } from '../src/core/holds/hold.ts';

type Step = (b: Bench) => Bench;
const hours =
  (n: number): Step =>
  (b) =>
    b.wait(n);
const read =
  (what: ItemId, value: unknown, more: object = {}): Step =>
  (b) =>
    b.read(what, value as never, more);

interface Case {
  readonly profile?: Profile;
  readonly history?: History;
  readonly kind?: 'drowned' | 'neglected';
  readonly rules?: HouseRules;
  /** What raises it. */
  readonly raise: readonly Step[];
  /** What meets its needs, one step a need in the order of the needs; several readings where one need asks for them. */
  readonly meet: readonly (readonly Step[])[];
  readonly blocks: readonly string[];
  readonly because: RegExp;
}

export const fresh = [read('fuel.tank', 'fresh'), read('fuel.line', 'drained'), read('fuel.bowl', 'drained')] as const;
export const sunk = { submerged: 'yes' } as const;
export const twin = { strokes: 'two', cylinders: 2 } as const;
export const four = { strokes: 'four', cylinders: 2 } as const;

/** Both pistons, each twice, m. */
const depths = (one: number, two: number): Step[] =>
  [1, 2, 1, 2].map((cylinder) => read('turn.depth', cylinder === 1 ? one : two, { cylinder }));

/** Every hold of the trade: what raises it, and what it takes, need by need, to lift it. */
export const cases: Readonly<Record<string, Case>> = {
  'drowned-running': {
    profile: twin,
    history: { ...sunk, runningWhenSunk: 'yes' },
    kind: 'drowned',
    raise: [],
    meet: [
      [read('turn.result', 'bumps'), read('turn.result', 'bumps')],
      [
        read('turn.depth', 0.06, { cylinder: 1 }),
        read('turn.depth', 0.06, { cylinder: 1 }),
        read('turn.depth', 0.06, { cylinder: 2 }),
        read('turn.depth', 0.06, { cylinder: 2 })
      ]
    ],
    blocks: ['crank', 'start', 'release'],
    because: /rod bent by water/
  },
  'low-piston': {
    profile: twin,
    raise: depths(0.06, 0.0615),
    // Back from the specialist: what was measured before is of the old rod, and the new one is measured too.
    meet: [[(b) => b.done('bent-rod')], [hours(1), ...depths(0.06, 0.06)]],
    blocks: ['crank', 'start', 'release'],
    because: /bent rod/
  },
  drowned: {
    profile: twin,
    history: { ...sunk, runningWhenSunk: 'no' },
    kind: 'drowned',
    raise: [],
    meet: [
      [read('turn.plugs', 'out')],
      [read('turn.result', 'bumps')],
      [read('turn.water', 'none')],
      [read('turn.dried', 'yes')],
      [read('fuel.line', 'drained'), read('fuel.bowl', 'drained'), read('fuel.tank', 'drained')],
      [read('fuel.tank', 'fresh')]
    ],
    blocks: ['crank', 'start', 'release'],
    because: /Starting a drowned engine first/
  },
  locked: {
    profile: twin,
    raise: [read('turn.result', 'gritty')],
    meet: [[read('turn.result', 'bumps')], [hours(13), read('turn.result', 'bumps')]],
    blocks: ['crank', 'start', 'release'],
    because: /It was gritty when turned by hand/
  },
  water: {
    raise: [read('cooling.source', 'none')],
    meet: [[read('cooling.source', 'muffs')]],
    blocks: ['start'],
    because: /No water is ready; a dry impeller/
  },
  pump: {
    raise: [read('cooling.missing', 2)],
    meet: [[read('cooling.assembled', 'yes')]],
    blocks: ['start'],
    because: /Vanes are missing/
  },
  crown: {
    profile: four,
    raise: [read('plugs.hole', 'holed', { cylinder: 2 })],
    meet: [
      [read('compression.leakdown', 0.04, { cylinder: 2 }), hours(1), read('plugs.hole', 'holed', { cylinder: 2 })]
    ],
    blocks: ['start', 'release'],
    because: /seen burnt or holed in cylinder 2/
  },
  fuel: {
    raise: [read('fuel.jar', 'dark')],
    meet: [
      [read('fuel.tank', 'drained'), read('fuel.line', 'drained'), read('fuel.bowl', 'drained')],
      [read('fuel.bowl', 'fresh')]
    ],
    blocks: ['start', 'release'],
    because: /turned to varnish/
  },
  premix: {
    profile: { lubrication: 'premix', premixRatio: 50 },
    raise: [read('fuel.mix', 50), read('fuel.tankOil', 'plain')],
    meet: [[read('fuel.mix', 50)]],
    blocks: ['start', 'release'],
    because: /no oil in its fuel/
  },
  'oil-pressure': {
    profile: { strokes: 'four' },
    raise: [read('oil.pressureRpm', 2000), read('oil.pressure', 40e3)],
    meet: [[(b) => b.done('oil-pump')]],
    blocks: ['start', 'release'],
    because: /too little oil pressure/
  },
  'fuel-escapes': {
    raise: [read('look.hoses', 'cracked'), read('run.leaks', 'fuel')],
    meet: [
      [read('look.hoses', 'supple'), read('look.hoses', 'supple')],
      [read('run.cause', 'a clamp, renewed'), read('fuel.couplings', 'tight')]
    ],
    blocks: ['start', 'release'],
    because: /cracked or chewed. Fuel dripped/
  },
  oil: {
    profile: four,
    raise: [read('oil.look', 'milky')],
    meet: [
      [read('oil.sump', 'drained'), read('oil.look', 'clear'), read('oil.dip', 'between'), read('oil.dip', 'between')]
    ],
    blocks: ['start', 'release'],
    because: /engine oil is milky/
  },
  flywheel: {
    profile: twin,
    raise: [read('run.idles', 'kicks')],
    meet: [[read('spark.keyLook', 'sound')]],
    blocks: ['start', 'release'],
    because: /key was not looked at since/
  },
  'stand-fill': {
    raise: [read('gear.refill', 'stand')],
    meet: [[read('gear.refill', 'service')]],
    blocks: ['gear', 'release'],
    because: /filled for a stand run/
  },
  'gear-chips': {
    raise: [read('gear.magnet', 'slivers')],
    meet: [[read('gear.explained', 'yes')]],
    blocks: ['gear', 'release'],
    because: /Slivers on the magnet/
  },
  'gear-case': {
    profile: { gearCapacity: 250e-6 },
    raise: [read('look.case', 'stain'), read('gear.casePressure', 27e3, { conditions: { stage: 'low' } })],
    meet: [[(b) => caseStages(b)], [read('gear.caseOpen', 'yes')]],
    blocks: ['start', 'gear', 'release'],
    because: /may be cracked/
  },
  liquid: {
    profile: twin,
    raise: [read('plugs.hole', 'water', { cylinder: 2 })],
    meet: [[read('plugs.hole', 'clean', { cylinder: 2 })]],
    blocks: ['crank', 'start', 'release'],
    because: /water in cylinder 2/
  },
  debris: {
    profile: twin,
    raise: [read('plugs.hole', 'debris', { cylinder: 2 })],
    meet: [[read('plugs.hole', 'clean', { cylinder: 2 })]],
    blocks: ['crank', 'start', 'release'],
    because: /lies in cylinder 2/
  },
  drives: {
    profile: { shift: 'shift' },
    raise: [read('turn.neutral', 'drives')],
    // Good at one look with nothing done, one of the two was wrong.
    meet: [[read('turn.neutral', 'spins'), read('turn.neutral', 'spins')]],
    blocks: ['start', 'release'],
    because: /drives the propeller in neutral/
  },
  assembled: {
    profile: twin,
    raise: [read('turn.assembled', 'binds')],
    meet: [[read('turn.assembled', 'same')]],
    blocks: ['crank', 'start', 'release'],
    because: /binds by hand/
  },
  'milky-oil': {
    profile: four,
    raise: [read('oil.look', 'milky')],
    meet: [[read('oil.sump', 'drained')]],
    blocks: ['crank', 'start'],
    because: /milky/
  },
  'bore-oil': {
    profile: twin,
    raise: [read('plugs.oil', 4e-6), read('turn.plugs', 'in')],
    meet: [[read('turn.plugs', 'out'), read('turn.result', 'free')]],
    blocks: ['crank', 'start'],
    because: /Oil does not compress/
  },
  belt: {
    profile: { ...four, camDrive: 'belt', interference: 'yes' },
    raise: [read('turn.belt', 'cracked')],
    meet: [[read('turn.belt', 'renewed')]],
    blocks: ['crank', 'start', 'release'],
    because: /pistons meet valves/
  },
  'gear-water': {
    profile: { gearCapacity: 250e-6 },
    raise: [read('gear.look', 'none')],
    meet: [[(b) => caseTest(b)], [read('gear.refill', 'service')]],
    blocks: ['gear', 'release'],
    because: /little or no oil in the case/
  },
  noise: {
    profile: twin,
    raise: [read('run.outcome', 'stopped'), read('run.reason', 'noise')],
    meet: [[read('run.cause', 'a shield touched the flywheel')]],
    blocks: ['start', 'release'],
    because: /stopped for a noise/
  },
  jacket: {
    profile: twin,
    raise: [read('run.outcome', 'ran'), read('run.plugAfter', 'wet')],
    meet: [[read('run.cause', 'head gasket, renewed')]],
    blocks: ['start', 'release'],
    because: /Water was on a plug after running/
  },
  run: {
    profile: twin,
    raise: [read('run.outcome', 'ran'), read('run.lamp', 'came')],
    meet: [[read('run.cause', 'thermostat stuck')], [read('run.lamp', 'none')]],
    blocks: ['release'],
    because: /lamp or horn came on/
  },
  indoors: {
    raise: [read('safe.place', 'indoors')],
    meet: [[read('safe.place', 'outdoors')]],
    blocks: ['start'],
    because: /Carbon monoxide kills/
  }
};

export const begin = (c: Case): Bench => {
  const b = new Bench(c.profile, c.kind, c.history);
  if (c.rules) b.survey = { ...b.survey, houseRules: c.rules };
  return c.raise.reduce((x, step) => step(x), b);
};
export const holdOf = (b: Bench, id: string): Hold | undefined => b.judged().holds.find((h) => h.id === id);
export const meet = (b: Bench, steps: readonly (readonly Step[])[]): Bench =>
  steps.flat().reduce((x, step) => step(x), b);
