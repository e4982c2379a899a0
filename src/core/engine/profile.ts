import { choice, moment, objectOf, quantity, several, text, yesNo, type ValuesOf } from '../items/item.ts';

const fitted = { fitted: 'fitted' } as const;

/** What kind of engine it is: decides which checks apply and what each of them means. */
export const profileItems = {
  strokes: choice({ label: 'Strokes', options: { two: 'two-stroke', four: 'four-stroke' } }),
  cylinders: quantity({ label: 'Cylinders', dimension: 'count', min: 1, max: 12 }),
  layout: choice({ label: 'Cylinder bank', options: { inline: 'in line', v: 'V, two banks' } }),
  displacement: quantity({ label: 'Displacement', dimension: 'displacement', min: 20e-6, max: 10e-3 }),
  bore: quantity({ label: 'Bore', dimension: 'length', min: 0.02, max: 0.2 }),
  stroke: quantity({ label: 'Stroke', dimension: 'length', min: 0.02, max: 0.2 }),
  ratio: quantity({ label: 'Compression ratio', dimension: 'mixture', min: 3, max: 14 }),
  fuelSystem: choice({
    label: 'Fuel system',
    options: { carburettor: 'carburettor', electronic: 'electronic injection', direct: 'direct injection' }
  }),
  supply: choice({
    label: 'Fuel supply',
    options: {
      gravity: ['built-in gravity tank', 'no bulb, no pump'],
      bulb: ['remote tank with bulb and pump', 'one hose'],
      pressurised: ['pressurised tank', 'two hoses']
    }
  }),
  ignition: choice({
    label: 'Ignition',
    options: {
      points: 'points magneto',
      cdi: 'capacitor discharge',
      digital: 'digital',
      'coil-on-plug': 'coil on plug'
    }
  }),
  starting: choice({ label: 'Starting', options: { rope: 'rope', electric: 'electric', both: 'rope and electric' } }),
  decompression: choice({ label: 'Automatic decompression', options: fitted, absent: true }),
  camDrive: choice({
    label: 'Camshaft driven by',
    options: { belt: 'a toothed belt', chain: 'a chain', gears: 'gears' }
  }),
  interference: yesNo({ label: 'Valves and pistons meet if the timing slips' }),
  lubrication: choice({
    label: 'Lubrication',
    options: { premix: 'premix', injection: 'oil injection', sump: 'sump' }
  }),
  premixRatio: quantity({ label: 'Premix ratio', dimension: 'mixture', min: 10, max: 200, limit: 'fuel.premix' }),
  sumpWithFilter: quantity({ label: 'Sump with filter', dimension: 'tank', min: 0.1e-3, max: 20e-3 }),
  sumpWithoutFilter: quantity({ label: 'Sump without filter', dimension: 'tank', min: 0.1e-3, max: 20e-3 }),
  turning: choice({
    label: 'Turning direction, from above',
    options: { clockwise: ['clockwise', 'unless the arrow or the manual says other'], anticlockwise: 'anticlockwise' }
  }),
  tilt: choice({ label: 'Tilt', options: { manual: 'manual with reverse lock', hydraulic: 'hydraulic' } }),
  shift: choice({
    label: 'Gear case',
    options: { shift: 'shifts', direct: ['direct drive', 'no neutral: the propeller turns with every pull'] }
  }),
  gearCapacity: quantity({ label: 'Gear oil capacity', dimension: 'volume', min: 20e-6, max: 5e-3 }),
  plugDrain: choice({ label: 'Drain plug', options: fitted, absent: true }),
  plugLevel: choice({ label: 'Level plug', options: fitted, absent: true }),
  plugVent: choice({ label: 'Vent plug', options: fitted, absent: true }),
  magnet: choice({
    label: 'Magnet',
    options: { drain: 'in the drain plug', level: 'in the level plug' },
    absent: true
  }),
  indicator: choice({ label: 'Indicator stream', options: fitted, absent: true }),
  thermostat: choice({ label: 'Thermostat', options: fitted, absent: true }),
  leg: choice({ label: 'Leg length', options: { short: 'short', long: 'long', 'extra-long': 'extra long' } }),
  steering: choice({ label: 'Steering', options: { tiller: 'tiller', remote: 'remote' } }),
  installation: choice({
    label: 'Installation',
    options: { single: 'single', port: 'twin, port', starboard: 'twin, starboard' }
  }),
  absent: several({
    label: 'Parts missing on arrival',
    options: {
      cowl: 'cowl',
      controls: 'controls',
      harness: 'harness plug',
      tank: 'tank',
      hose: 'fuel hose',
      switch: 'key switch',
      lanyard: 'stop lanyard',
      propeller: 'propeller',
      battery: 'battery',
      plate: 'identity plate'
    }
  }),
  traces: several({
    label: 'Traces of earlier hands',
    options: {
      toolmarks: 'tool marks',
      washers: 'doubled washers',
      pins: 'home-made pins',
      fasteners: 'over-tight or loose fasteners',
      sealant: 'sealant where none belongs',
      wiring: 'odd wiring'
    }
  })
} as const;

export const identityItems = {
  tag: text({ label: 'Tag', ask: 'The tag you hang on this engine', maxLength: 40 }),
  maker: text({ label: 'Maker' }),
  model: text({ label: 'Model' }),
  serial: text({ label: 'Serial number' }),
  year: quantity({ label: 'Year', dimension: 'count', min: 1930, max: 2100 }),
  power: quantity({ label: 'Power', dimension: 'power', min: 500, max: 500_000 }),
  owner: text({ label: 'Owner' }),
  contact: text({ label: 'How to reach the owner' }),
  boat: text({ label: 'Boat’s number or name' }),
  inHand: text({ label: 'In whose hands', ask: 'Who has it in hand', maxLength: 60 }),
  legMaker: text({ label: 'Leg: maker' }),
  legSerial: text({ label: 'Leg: serial or casting number' }),
  legSigns: several({
    label: 'Leg: does it belong to this power head?',
    options: { paint: 'odd paint', skeg: 'another skeg', case: 'swapped case', numbers: 'numbers do not match' }
  })
} as const;

export const historyItems = {
  yearsIdle: quantity({ label: 'Years idle', dimension: 'years', min: 0, max: 100 }),
  hours: quantity({ label: 'Engine hours', dimension: 'hours', min: 0, max: 50_000 }),
  headHours: quantity({
    label: 'Hours of the power head itself',
    ask: 'Hours of the power head, where it is newer than the meter',
    dimension: 'hours',
    min: 0,
    max: 50_000
  }),
  stored: choice({
    label: 'Stored',
    options: { indoors: 'indoors', outdoors: 'outdoors', sun: 'outdoors in hot sun' }
  }),
  laidUp: choice({ label: 'Laid up properly', options: { yes: 'yes', part: 'in part', no: 'no' } }),
  kept: choice({
    label: 'Kept',
    options: { trailer: 'on a trailer', mooring: 'on a mooring', rack: 'on a rack or stand' }
  }),
  runsIn: choice({ label: 'Runs in', options: { salt: 'salt', brackish: 'brackish', fresh: 'fresh' } }),
  fuelLeft: choice({
    label: 'Fuel left in it',
    options: { ethanol: 'ethanol blend', plain: 'ethanol-free', none: 'none, drained' }
  }),
  stabilised: yesNo({ label: 'Fuel stabilised' }),
  submerged: yesNo({ label: 'Was it under water?' }),
  water: choice({ label: 'Which water', options: { salt: 'salt', brackish: 'brackish', fresh: 'fresh' } }),
  runningWhenSunk: yesNo({ label: 'Running when it went under' }),
  hoursUnder: quantity({ label: 'Hours under water', dimension: 'hours', min: 0, max: 100_000 }),
  recoveredAt: moment({ label: 'Came out of the water' }),
  worth: quantity({ label: 'Worth in running order', dimension: 'money', example: '2400 cr', min: 0, max: 1e6 }),
  salvage: quantity({ label: 'Worth as parts', dimension: 'money', example: '400 cr', min: 0, max: 1e6 }),
  ceiling: quantity({
    label: 'Owner’s ceiling',
    ask: 'The sum over which the owner wants to be asked',
    dimension: 'money',
    example: '900 cr',
    min: 0,
    max: 1e6
  }),
  promised: moment({ label: 'Promised to the owner by' }),
  hoursAMonth: quantity({
    label: 'Hours run in a month, over the year',
    dimension: 'hours',
    example: '6 h',
    min: 0,
    max: 744
  }),
  said: several({
    label: 'What it is said to do',
    ask: 'What does whoever brought it say that it does?',
    options: {
      'no-start': 'does not start',
      dies: 'dies after some minutes',
      'dies-warm': 'dies when warm and starts again cold',
      idles: 'idles badly or spits',
      shakes: 'shakes',
      kicks: 'kicks back',
      power: 'does not reach its speed',
      thrust: 'revs without driving the boat',
      gears: 'misses a gear or jumps out of it',
      hot: 'runs hot, or its alarm comes on',
      stream: 'has a weak stream, or none',
      smoke: 'smokes',
      oil: 'makes or uses oil',
      'gear-oil': 'has milky gear oil, or loses it',
      starter: 'cranks slowly, or not at all',
      charge: 'does not charge its battery',
      leaks: 'leaks fuel',
      noise: 'makes a noise'
    }
  }),
  complaints: text({ label: 'Notes of what was said', long: true })
} as const;

export type Profile = ValuesOf<typeof profileItems>;
export type Identity = ValuesOf<typeof identityItems>;
export type History = ValuesOf<typeof historyItems>;
/** What an engine may be said to do by whoever brought it. */
export type Said = Exclude<NonNullable<History['said']>, 'unknown'>[number];

declare module '../items/item.ts' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface AskedEngine extends Profile {}
}

export const profileSchema = objectOf(profileItems);
export const identitySchema = objectOf(identityItems);
export const historySchema = objectOf(historyItems);

/** The number of cylinders, when known. */
export const cylinderCount = (p: Profile): number | undefined =>
  typeof p.cylinders === 'number' ? Math.round(p.cylinders) : undefined;

/** Whether fuel is injected, by whatever it is driven; of an unknown system nobody knows. */
export const isInjected = (p: Profile): boolean => p.fuelSystem === 'electronic' || p.fuelSystem === 'direct';

/** Whether a primer bulb and a pump of its own bring the fuel; of an unknown supply they are to be expected. */
export const hasBulb = (p: Profile): boolean => p.supply !== 'gravity' && p.supply !== 'pressurised';

/** A number, or nothing when it is unknown, not fitted or not asked. */
export const known = (v: number | string | undefined): number | undefined => (typeof v === 'number' ? v : undefined);
