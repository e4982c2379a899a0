import { daysAfter, celsius, mL, PSI, type DemoEngine } from '../builder.ts';

/** Heating towards a plateau, °C: from, to, time constant in seconds. */
const warming = (from: number, to: number, tau: number) => (s: number) => to - (to - from) * Math.exp(-s / tau);

/** A reading of the case test at a stage, with the temperature of the case. */
const held = (stage: 'low' | 'high', at: number, typed: string) => ({
  typed,
  conditions: { stage, temperature: celsius(at) } as const
});

/** A hire engine nobody looked after: water in the gear oil and frost in the forecast. */
export const plover: DemoEngine = {
  key: 'plover',
  kind: 'neglected',
  startedHoursAgo: 4,
  identity: {
    tag: 'Plover',
    maker: 'Halmar & Oste',
    model: 'HO 40 Four',
    serial: 'HO-40-71145',
    year: 2014,
    power: 29_400,
    owner: 'Lagoon hire',
    boat: 'hire 7',
    legSigns: ['paint'],
    legSerial: 'leg casting 3381'
  },
  profile: {
    strokes: 'four',
    cylinders: 4,
    layout: 'inline',
    displacement: 935e-6,
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
    installation: 'single',
    traces: ['washers']
  },
  history: () => ({
    worth: 2800,
    salvage: 500,
    ceiling: 900,
    yearsIdle: 'unknown',
    hours: 2300,
    laidUp: 'unknown',
    water: 'fresh',
    submerged: 'no',
    kept: 'mooring'
  }),
  log: (l) =>
    void l
      .madeSafe('off')
      .read('safe.forecast', celsius(-4), { typed: '-4 °C' })
      .read('safe.air', celsius(3))
      .walked({ anodes: 'half' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 4)
      .read('gear.first', 'water')
      .read('gear.look', 'milky')
      .read('gear.water', mL(65))
      .read('gear.drained', mL(330))
      .read('gear.magnet', 'paste')
      .read('fuel.age', 1, { typed: '1 month' })
      .read('fuel.kind', 'plain')
      .read('fuel.jar', 'clear')
      .read('fuel.bulb', 'firm')
      .read('oil.level', 'yes')
      .read('oil.dip', 'between')
      .read('oil.dip', 'between')
      .read('oil.look', 'dark')
      .read('cooling.screen', 'clear')
      .running('Battery on charge', 480, 'gear')
      .read('gear.casePressure', 4 * PSI, held('low', 6, '4 psi'))
      .read('gear.caseTurned', 'yes', { conditions: { stage: 'low' } })
      .wait(0.15)
      .read('gear.casePressure', 4 * PSI, held('low', 6, '4 psi'))
      .read('gear.casePressure', 10 * PSI, held('high', 6, '10 psi'))
      .read('gear.caseTurned', 'yes', { conditions: { stage: 'high' } })
      .wait(0.15)
      .read('gear.casePressure', 9.5 * PSI, held('high', 6, '9.5 psi'))
      .wait(0.15)
      .read('gear.casePressure', 9 * PSI, held('high', 5, '9 psi'))
};

const twin = {
  strokes: 'two',
  cylinders: 2,
  layout: 'inline',
  displacement: 395e-6,
  fuelSystem: 'carburettor',
  supply: 'bulb',
  ignition: 'cdi',
  starting: 'rope',
  decompression: 'not-fitted',
  lubrication: 'premix',
  premixRatio: 50,
  turning: 'clockwise',
  tilt: 'manual',
  shift: 'shift',
  gearCapacity: mL(260),
  plugDrain: 'fitted',
  plugLevel: 'fitted',
  magnet: 'not-fitted',
  indicator: 'fitted',
  thermostat: 'fitted',
  leg: 'short',
  steering: 'tiller',
  installation: 'single'
} as const;

/** Weak stream, normal temperature: scale in the outlet, not the pump. */
export const dunlin: DemoEngine = {
  key: 'dunlin',
  kind: 'neglected',
  startedHoursAgo: 52,
  identity: {
    tag: 'Dunlin',
    maker: 'Petrelle',
    model: 'P20',
    serial: 'PE20-4410',
    power: 14_700,
    owner: 'Sailing school',
    boat: 'rescue 1'
  },
  profile: twin,
  card: { gearOil: { value: 'hypoid 80', source: 'guess' } },
  history: (start) => ({
    promised: daysAfter(start, 4),
    worth: 1500,
    salvage: 220,
    yearsIdle: 0,
    hours: 640,
    stored: 'outdoors',
    submerged: 'no',
    kept: 'trailer',
    said: ['stream'],
    complaints: 'Stream is a dribble.'
  }),
  log: (l) =>
    void l
      .madeSafe()
      .walked({ strainer: 'not-fitted', anodes: 'half' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 4)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1, 2])
      .compression([
        [1, 126],
        [2, 122]
      ])
      .read('gear.first', 'oil')
      .read('gear.look', 'clear')
      .read('gear.drained', mL(250))
      .read('gear.washers', 'yes')
      .read('gear.refill', 'service')
      .read('fuel.age', 1, { typed: '1 month' })
      .read('fuel.kind', 'plain')
      .read('fuel.jar', 'clear')
      .read('fuel.bulb', 'firm')
      .read('fuel.mix', 50, { typed: '50:1' })
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'tank')
      .read('cooling.impellerAge', 1)
      .read('safe.air', celsius(11))
      .ran(14, warming(11, 63.5, 205), {
        stream: [
          [30, 'weak'],
          [300, 'weak'],
          [720, 'weak']
        ],
        rpm: 900
      })
      .read('run.outcome', 'ran')
      .read('run.minutes', 14)
      .read('run.lamp', 'not-fitted')
      .read('run.smoke', 'none')
      .read('run.leaks', 'none')
      .read('run.gears', 'both')
      .read('cooling.stream', 'weak')
      .read('cooling.bucket', 0.7e-3 / 60, { typed: '0.7 L in 60 s' })
      .read('cooling.bucket', 0.72e-3 / 60, { typed: '0.72 L in 60 s' })
      .job('own-clip', {
        title: 'Cotter of the shift lever renewed',
        minutes: 10,
        station: 'turn',
        temporary: [60, 'stainless wire until the right cotter is here']
      })
      .done('own-clip', 'Twisted wire, bent away from the cable.')
};

/** The same dribble, another truth: vanes missing, and it got hot. */
export const knot: DemoEngine = {
  key: 'knot',
  kind: 'neglected',
  startedHoursAgo: 54,
  identity: {
    tag: 'Knot',
    maker: 'Petrelle',
    model: 'P20',
    serial: 'PE20-4463',
    power: 14_700,
    owner: 'Sailing school',
    boat: 'rescue 2'
  },
  profile: twin,
  card: {
    gearOil: { value: 'hypoid 90', source: 'manual', page: '27' },
    plugType: { value: 'N7 short', source: 'plate' },
    plugThread: { value: 'm14', source: 'measured' },
    plugReach: { value: 0.0127, source: 'measured' },
    pumpKit: { value: 'PE-20114', source: 'manual', page: '41' },
    impeller: { value: 'PE-20102', source: 'measured' },
    plugWashers: { value: 'PE-3307', source: 'manual', page: '41' },
    headGasket: { value: 'PE-20031', source: 'guess' },
    thermostatStamp: { value: 333.15, source: 'plate' }
  },
  manual: { 'torque.leg': { value: 22, page: '33' } },
  history: () => ({
    worth: 1500,
    salvage: 220,
    ceiling: 700,
    yearsIdle: 1.5,
    hours: 700,
    stored: 'sun',
    submerged: 'no',
    kept: 'trailer'
  }),
  log: (l) =>
    void l
      .madeSafe()
      .walked({ strainer: 'not-fitted' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 4)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1, 2])
      .compression([
        [1, 121],
        [2, 124]
      ])
      .read('gear.first', 'oil')
      .read('fuel.age', 1)
      .read('fuel.kind', 'plain')
      .read('fuel.jar', 'clear')
      .read('fuel.bulb', 'firm')
      .read('fuel.mix', 40, { typed: '40:1' })
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'tank')
      .read('safe.air', celsius(14))
      .ran(6, warming(14, 127, 255), {
        stream: [
          [30, 'weak'],
          [240, 'weak']
        ],
        rpm: 950
      })
      .read('run.outcome', 'stopped')
      .read('run.minutes', 6)
      .read('run.cause', 'Stream a dribble, head past 90 °C within six minutes; stopped by hand.')
      .read('cooling.stream', 'weak')
      .read('cooling.outlet', 'clear')
      .read('cooling.opened', 'yes')
      .read('cooling.set', 35)
      .read('cooling.cracked', 2)
      .read('cooling.missing', 2)
      .read('cooling.found', 'some')
      .read('cooling.housing', 'grooved')
      .decided(
        'repair',
        'Pump kit, and the missing vane found before it runs.',
        'Do it, the nets are out again on Monday.'
      )
      .part('pump', 'pump kit or impeller, as the finding says', {
        state: 'arrived',
        number: 'K-300-9',
        offers: [
          { from: 'Lagoon Chandlery', what: 'kit', price: 47, days: 2 },
          { from: 'Lagoon Chandlery', what: 'pieces', price: 22, days: 2 }
        ],
        chosen: 0
      })
      .done('procedure.pump-kit.begin')
      .done('procedure.pump-kit.leg-off')
      .done('procedure.pump-kit.mark')
      .done('procedure.pump-kit.housing')
      .off(
        'pump',
        [
          ['Leg bolt', 'M8', 45, 'port fore'],
          ['Leg bolt', 'M8', 45, 'starboard fore'],
          ['Leg bolt', 'M8', 70, 'port aft, the long one'],
          ['Leg bolt', 'M8', 70, 'starboard aft, the long one'],
          ['Shift-rod clip', '', 0, 'under the swivel, marked with paint'],
          ['Pump housing screw', 'M6', 32, 'four of a kind'],
          ['Housing gasket', '', 0, 'under the housing', true],
          ['Impeller key', '', 12, 'in the shaft’s flat']
        ],
        {
          M8: ['13 mm hexagon', 'socket, 250 mm extension'],
          M6: ['10 mm hexagon', 'short socket']
        }
      )
};
