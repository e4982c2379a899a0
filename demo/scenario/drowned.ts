import { celsius, mL, type DemoEngine } from '../builder.ts';

const hoursBefore = (start: Date, hours: number): string => new Date(start.getTime() - hours * 3.6e6).toISOString();

/** Under brackish water overnight while stopped; the clock runs and the recovery is half done. */
export const eel: DemoEngine = {
  key: 'eel',
  kind: 'drowned',
  startedHoursAgo: 1.6,
  identity: {
    tag: 'Eel',
    maker: 'Corvane',
    model: 'C6 Four',
    serial: 'CV6-20418',
    year: 2016,
    power: 4400,
    owner: 'Saltgarth boathouse',
    boat: 'SG 14'
  },
  profile: {
    strokes: 'four',
    cylinders: 1,
    layout: 'inline',
    displacement: 139e-6,
    fuelSystem: 'carburettor',
    supply: 'gravity',
    ignition: 'cdi',
    starting: 'rope',
    decompression: 'fitted',
    lubrication: 'sump',
    sumpWithFilter: 0.55e-3,
    sumpWithoutFilter: 0.5e-3,
    turning: 'clockwise',
    tilt: 'manual',
    shift: 'shift',
    gearCapacity: mL(180),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    plugVent: 'not-fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'short',
    steering: 'tiller',
    installation: 'single'
  },
  history: (start) => ({
    worth: 1100,
    salvage: 150,
    ceiling: 700,
    submerged: 'yes',
    water: 'brackish',
    runningWhenSunk: 'no',
    hoursUnder: 9,
    recoveredAt: hoursBefore(start, 0.3),
    kept: 'rack',
    laidUp: 'unknown',
    complaints: 'Storm tide in the shed.'
  }),
  log: (l) =>
    void l
      .madeSafe()
      .read('safe.rinsed', 'yes')
      .read('turn.plugs', 'out')
      .read('turn.result', 'free')
      .read('turn.water', 'some')
      .read('turn.pass', 'water')
      .read('turn.pass', 'drops')
      .read('oil.look', 'milky')
      .read('oil.drained', 0.71e-3, { typed: '0.71 L' })
      .read('fuel.level', 'some')
      .read('fuel.jar', 'layers')
      .read('fuel.jarWater', 0.22)
      .read('fuel.tank', 'drained')
};

/** Went under at half throttle: compression is not asked, the depth of one piston is. */
export const heron: DemoEngine = {
  key: 'heron',
  kind: 'drowned',
  startedHoursAgo: 5,
  identity: {
    tag: 'Heron',
    maker: 'Tidewright',
    model: 'T40',
    serial: 'TW40-7731',
    year: 2012,
    power: 29_400,
    owner: 'A. Maren',
    boat: 'SG 201'
  },
  profile: {
    strokes: 'four',
    cylinders: 3,
    layout: 'inline',
    displacement: 747e-6,
    bore: 65e-3,
    stroke: 75e-3,
    fuelSystem: 'electronic',
    supply: 'bulb',
    ignition: 'digital',
    starting: 'electric',
    decompression: 'not-fitted',
    lubrication: 'sump',
    turning: 'clockwise',
    tilt: 'hydraulic',
    shift: 'shift',
    gearCapacity: mL(430),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'long',
    steering: 'remote',
    installation: 'single'
  },
  history: (start) => ({
    worth: 3900,
    salvage: 900,
    ceiling: 1600,
    submerged: 'yes',
    water: 'salt',
    runningWhenSunk: 'yes',
    hoursUnder: 2,
    recoveredAt: hoursBefore(start, 1)
  }),
  log: (l) => {
    l.madeSafe('off')
      .read('safe.rinsed', 'yes')
      .walked({ cowl: 'corroded', wiring: 'corroded', hub: 'grease' })
      .plugsRead([['water'], ['water'], ['water']], 0.9)
      .read('turn.plugs', 'out')
      .read('turn.result', 'free')
      .read('turn.result', 'free')
      .read('turn.feel', ['tight'])
      .read('turn.water', 'none');
    for (const [cylinder, a, b] of [
      [1, 62.4, 62.5],
      [2, 63.4, 63.3],
      [3, 62.5, 62.4]
    ] as const)
      l.read('turn.depth', a / 1000, { cylinder, typed: `${a} mm` }).read('turn.depth', b / 1000, {
        cylinder,
        typed: `${b} mm`
      });
    l.read('oil.look', 'milky')
      .read('oil.sump', 'drained')
      .read('oil.look', 'dark', { round: 2 })
      .read('safe.air', celsius(9));
  }
};
