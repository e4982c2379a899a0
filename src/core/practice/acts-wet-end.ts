import { contextWithWork } from '../jobs/work.ts';
import { askedMix } from '../stations/fuel/asked-mix.ts';
import { PSI, ZERO_CELSIUS as ZERO_C } from '../units/factors.ts';
import { drowned } from '../record/drowned.ts';
import { milkyByWater, waterInSump } from './water.ts';
import { plain, type Act } from './act.ts';
import type { Eye } from './eye.ts';

const routine = { routine: true } as const;

/** Divisions of a case tester’s gauge, Pa (C: a quarter of a psi). */
const STEP = 0.25 * PSI;

function gearDrain(eye: Eye): void {
  const { draws } = eye.truth;
  const { gearCapacity, magnet } = eye.survey.engine.profile;
  // Filled since, what was missing is in it.
  const low = eye.shows('gear-low') && eye.last('gear.refill') === undefined;
  const look = eye.shows('gear-milky')
    ? draws.pick('milk', ['milky', 'creamy'] as const)
    : eye.shows('gear-burnt')
      ? draws.pick('burnt', ['burnt', 'metallic'] as const)
      : 'clear';
  eye.note('gear.look', look);
  if (typeof gearCapacity === 'number')
    eye.note(
      'gear.drained',
      gearCapacity * (low ? draws.between('drained', 0.3, 0.65) : draws.between('drained', 0.93, 1))
    );
  if (look === 'milky' || look === 'creamy') eye.note('gear.water', draws.between('water', 10e-6, 60e-6));
  if (magnet !== 'not-fitted') takeMagnet(eye);
}
const takeMagnet = (eye: Eye): void =>
  eye.note('gear.magnet', eye.shows('gear-metal') ? eye.truth.draws.pick('metal', ['slivers', 'pieces']) : 'paste');

const bubblesAt = (eye: Eye): readonly string[] =>
  ['propshaft', 'carrier', 'driveshaft', 'cover', 'shift', 'plugs', 'housing'].filter((p) => eye.shows(`bubbles-${p}`));

/** Every stage over its minutes, shafts turned; a case that leaks loses at one stage or at all of them. */
function caseTest(eye: Eye): void {
  const { draws } = eye.truth;
  const leaks = eye.truly('case-leaks') || bubblesAt(eye).length > 0;
  const where = draws.pick('stage', ['low', 'high', 'vacuum', 'all'] as const);
  for (const [stage, p] of [
    ['low', 4 * PSI],
    ['high', 10 * PSI],
    ['vacuum', 25_000]
  ] as const) {
    const there = leaks && (where === 'all' || where === stage);
    // What is above the outside air leaks away by the same share each minute.
    const rate = there ? draws.between(`case|${stage}`, 0.02, 0.08) : 0;
    const at = (minutes: number): void =>
      eye.note('gear.casePressure', Math.round((p * Math.exp(-rate * minutes)) / STEP) * STEP, {
        conditions: { stage, temperature: 290 },
        instrument: { name: 'Case gauge', resolution: STEP }
      });
    const start = eye.ended;
    const passed = (): number => (eye.ended - start) / 60_000;
    at(0);
    for (const wait of [5, 15, 20, 20]) {
      eye.wait(wait);
      at(passed());
      if (wait === 5) eye.note('gear.caseTurned', 'yes', { conditions: { stage } });
    }
  }
  eye.note('gear.caseOpen', 'yes');
}

const soap = (eye: Eye): void => eye.note('gear.caseBubbles', bubblesAt(eye));

function tank(eye: Eye): void {
  eye.look(['fuel.level', 'fuel.kind']);
  eye.note('fuel.age', eye.shows('fuel-dark') ? 14 : 1);
}
function jar(eye: Eye): void {
  const dark = eye.shows('fuel-dark') && !eye.shows('fuel-wet');
  if (dark) eye.note('fuel.jar', 'dark');
  else eye.look(['fuel.jar']);
}
const SYSTEM = ['fuel.tank', 'fuel.line', 'fuel.bowl'] as const;

/** What is in the system: fresh once it was drained and filled, else as old as the tank. */
function system(eye: Eye): void {
  const sunk = drowned(eye);
  const fresh = sunk || eye.done('fuel-drain');
  // Of an engine that sank, each is emptied to the last drop before fresh goes in.
  if (sunk) for (const item of SYSTEM) eye.note(item, 'drained');
  for (const item of SYSTEM) eye.note(item, fresh ? 'fresh' : eye.shows('fuel-dark') ? 'old' : 'fresh');
}
const vent = (eye: Eye): void => {
  eye.note('fuel.vent', eye.shows('vent-shut') ? eye.truth.draws.pick('vent', ['closed', 'blocked']) : 'open');
  eye.look(['fuel.shutoff']);
};
/** Line vacuum, Pa: high where something holds the fuel back, low again on another tank where that is on the boat's side. */
function vacuum(eye: Eye): void {
  const { draws } = eye.truth;
  const high = eye.shows('vacuum-high');
  const own = high ? draws.between('vacuum', 17_000, 30_000) : draws.between('vacuum', 1500, 4000);
  eye.note('fuel.vacuumSpeed', own);
  if (high) eye.note('fuel.vacuumPortable', eye.shows('portable-fine') ? 3000 : own);
}

/** Pump and pressure of the rail, Pa; of direct injection nobody here knows how much it needs. */
function rail(eye: Eye): void {
  const { draws } = eye.truth;
  const low = eye.shows('rail-low');
  const silent = low && draws.pick('rail-pump', ['silent', 'runs'] as const) === 'silent';
  eye.note('fuel.railPump', silent ? 'silent' : 'runs');
  if (eye.survey.engine.profile.fuelSystem === 'electronic')
    eye.note('fuel.rail', silent ? 0 : low ? draws.between('rail', 60e3, 150e3) : draws.between('rail', 250e3, 300e3));
}

/** The mixture in the tank: as asked for, or far too lean until it was corrected. */
function mix(eye: Eye): void {
  const { premixRatio } = eye.survey.engine.profile;
  const own = typeof premixRatio === 'number' ? premixRatio : 50;
  const asked = askedMix(contextWithWork(eye.survey, new Date(eye.ended), 'metric'))?.ratio;
  eye.note('fuel.mix', eye.shows('mix-lean') ? own * 2.2 : (asked ?? own));
}

/** Oil pressure at a fast idle, Pa. */
function oilGauge(eye: Eye): void {
  const { draws } = eye.truth;
  eye.note('oil.pressureRpm', 1500);
  eye.note(
    'oil.pressure',
    eye.shows('oil-pressure-low')
      ? draws.between('oil-pressure', 10e3, 60e3)
      : draws.between('oil-pressure', 200e3, 350e3)
  );
}

/** The tank of an injection: empty or with water in it until it was filled. */
function oilTank(eye: Eye): void {
  const bad = eye.shows('oil-tank-empty') && !eye.done('oil-tank');
  eye.note('fuel.oilTank', bad ? eye.truth.draws.pick('oil-tank', ['empty', 'water'] as const) : 'full');
}

function screen(eye: Eye): void {
  eye.look(['cooling.screen', 'cooling.strainer']);
  eye.note('cooling.impellerAge', eye.done('pump') ? 0 : eye.shows('impeller-old') ? 6 : 0.5);
}
function pump(eye: Eye): void {
  const { draws } = eye.truth;
  const bad = eye.shows('vanes-bad');
  const how = draws.pick('vanes', ['set', 'cracked', 'missing'] as const);
  eye.note('cooling.opened', 'yes');
  eye.note('cooling.set', bad && how === 'set' ? draws.between('set', 32, 50) : draws.between('set', 2, 9));
  eye.note('cooling.cracked', bad && how === 'cracked' ? 2 : 0);
  eye.note('cooling.missing', bad && how === 'missing' ? 1 : 0);
  if (bad && how === 'missing') eye.note('cooling.found', 'all');
  eye.look(['cooling.housing', 'cooling.bush', 'cooling.cover', 'cooling.tube']);
}
/** In a pan with a thermometer: opens where its stamp says, far later, or never shut. */
function thermostat(eye: Eye): void {
  const stamp = ZERO_C + 60;
  const pan = eye.shows('thermostat-shut') ? 'shut' : eye.shows('thermostat-open') ? 'open' : 'good';
  eye.note('cooling.thermostatStamp', stamp);
  if (pan === 'good') eye.note('cooling.thermostatOpens', stamp + eye.truth.draws.normal('opens', 1));
  eye.note('cooling.thermostatPan', pan);
}

/** What the oil on the stick looks like. */
const oilLooks = (eye: Eye): string =>
  eye.shows('oil-milky') || milkyByWater(eye.truth, eye.written) ? 'milky' : eye.shows('oil-fuel') ? 'thin' : 'clean';

/** The dipstick as it truly stands; a first dip may be off, and is right when it has waited, upright and level. */
function dip(eye: Eye): void {
  const { draws } = eye.truth;
  const first = !eye.read('oil.dip');
  const is = eye.truly('oil-above') ? 'above' : eye.truly('oil-below') ? 'below' : 'between';
  const off = first && eye.has('first-dip') ? draws.pick('dip', ['above', 'below'] as const) : is;
  eye.look(['oil.level', 'oil.waited']);
  eye.note('oil.dip', off);
  eye.wait(2);
  eye.note('oil.dip', is);
  if (off !== is) {
    eye.wait(2);
    eye.note('oil.dip', is);
  }
  eye.note('oil.look', oilLooks(eye));
  eye.note('oil.smell', eye.shows('oil-fuel') ? 'fuel' : 'oil');
}

/** The sump emptied and filled again, by its capacity, m³. */
function changeOil(eye: Eye): void {
  const { sumpWithFilter } = eye.survey.engine.profile;
  const full = typeof sumpWithFilter === 'number' ? sumpWithFilter : 1e-3;
  eye.note('oil.sump', 'drained');
  // Water that got in lies on top of what was in it.
  eye.note('oil.drained', (0.95 + waterInSump(eye.truth, eye.written)) * full);
  eye.note('oil.poured', full);
}

export const wetEndActs: readonly Act[] = [
  plain('crack-dye', 'gear', ['gear.dyeCase', 'gear.dyeSkeg']),
  plain('gear-crack', 'gear', ['gear.first'], routine),
  { id: 'gear-drain', station: 'gear', items: ['gear.look', 'gear.drained', 'gear.water'], take: gearDrain },
  { id: 'magnet', station: 'gear', items: ['gear.magnet'], take: takeMagnet },
  {
    id: 'case-test',
    station: 'gear',
    items: ['gear.casePressure', 'gear.caseTurned', 'gear.pressureTest'],
    take: caseTest
  },
  { id: 'soap', station: 'gear', items: ['gear.caseBubbles'], take: soap },
  {
    id: 'explained',
    station: 'gear',
    items: ['gear.explained'],
    take: (eye) => eye.note('gear.explained', eye.done('metal') ? 'yes' : 'no')
  },
  plain('pressure-off', 'gear', ['gear.caseOpen']),
  plain('gear-refill', 'gear', ['gear.slots', 'gear.washers', 'gear.refill']),
  { id: 'tank', station: 'fuel', items: ['fuel.level', 'fuel.kind', 'fuel.age'], take: tank, ...routine },
  { id: 'jar', station: 'fuel', items: ['fuel.jar', 'fuel.jarWater'], take: jar, ...routine },
  { id: 'system', station: 'fuel', items: ['fuel.tank', 'fuel.line', 'fuel.bowl'], take: system },
  plain('bulb', 'fuel', ['fuel.bulb']),
  { id: 'vent', station: 'fuel', items: ['fuel.vent', 'fuel.shutoff'], take: vent, ...routine },
  plain('fuel-line', 'fuel', ['fuel.hose', 'fuel.couplings', 'fuel.filter']),
  plain('air-at', 'fuel', ['fuel.airAt']),
  plain('tank-look', 'fuel', ['fuel.tankLook']),
  plain('floods', 'fuel', ['fuel.floods']),
  plain('shut-off', 'fuel', ['fuel.shut']),
  plain('choke', 'fuel', ['fuel.choke']),
  plain('revived', 'fuel', ['fuel.revived']),
  plain('portable', 'fuel', ['fuel.portable']),
  plain('choke-only', 'fuel', ['fuel.chokeOnly']),
  plain('pickup', 'fuel', ['fuel.pickup']),
  plain('fuel-pump', 'fuel', ['fuel.pump']),
  {
    id: 'vacuum',
    station: 'fuel',
    items: ['fuel.vacuumSpeed', 'fuel.vacuumPortable', 'fuel.vacuumOpen', 'fuel.vacuumIdle'],
    take: vacuum
  },
  { id: 'rail', station: 'fuel', items: ['fuel.railPump', 'fuel.rail'], take: rail },
  plain('bowl', 'fuel', ['fuel.bowlLook', 'fuel.jets']),
  {
    id: 'mix',
    station: 'fuel',
    items: ['fuel.mix', 'fuel.tankOil'],
    take: mix
  },
  { id: 'oil-tank', station: 'fuel', items: ['fuel.oilTank'], take: oilTank },
  plain('oil-moves', 'fuel', ['fuel.oilMoves']),
  {
    id: 'screen',
    station: 'cooling',
    items: ['cooling.screen', 'cooling.strainer', 'cooling.impellerAge'],
    take: screen,
    ...routine
  },
  {
    id: 'pump',
    station: 'cooling',
    items: [
      'cooling.opened',
      'cooling.set',
      'cooling.cracked',
      'cooling.missing',
      'cooling.vanes',
      'cooling.housing',
      'cooling.bush',
      'cooling.cover',
      'cooling.tube'
    ],
    take: pump
  },
  plain('drill', 'cooling', ['cooling.drill']),
  plain('pump-assembled', 'cooling', ['cooling.assembled']),
  {
    id: 'thermostat',
    station: 'cooling',
    items: ['cooling.thermostatPan', 'cooling.thermostatOpens', 'cooling.thermostatStamp'],
    take: thermostat
  },
  plain('passages', 'cooling', ['cooling.passages']),
  plain('outlet', 'cooling', ['cooling.outlet']),
  {
    id: 'dip',
    station: 'oil',
    items: ['oil.dip', 'oil.dipAt', 'oil.look', 'oil.smell', 'oil.level', 'oil.waited'],
    take: dip,
    ...routine
  },
  { id: 'sump', station: 'oil', items: ['oil.sump', 'oil.drained', 'oil.poured'], take: changeOil },
  { id: 'dip-again', station: 'oil', items: [], take: dip },
  { id: 'oil-gauge', station: 'oil', items: ['oil.pressure', 'oil.pressureRpm'], take: oilGauge },
  {
    id: 'oil-drain',
    station: 'oil',
    items: ['oil.filter', 'oil.washer'],
    take: (eye) => eye.note('oil.filter', eye.shows('seal-doubled') ? 'stuck' : 'renewed')
  }
];
