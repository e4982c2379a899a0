import { daysAfter, celsius, hoseGauge, leakTester, mL, PSI, shopGauge, type DemoEngine } from '../builder.ts';

/** A wet test with the shop gauge and four millilitres of oil. */
const wet = (cylinder: number) => ({
  cylinder,
  instrument: shopGauge,
  conditions: { throttle: 'open', bores: 'oiled', dose: mL(4), engine: 'cold' } as const
});

/** Nine years idle; alarming compression that is mostly the gauge. */
export const wren: DemoEngine = {
  key: 'wren',
  kind: 'long-stored',
  startedHoursAgo: 26,
  identity: {
    tag: 'Wren',
    maker: 'Petrelle',
    model: 'P4',
    serial: 'PE4-1189',
    power: 2900,
    owner: 'Saltgarth boathouse'
  },
  profile: {
    strokes: 'two',
    cylinders: 1,
    layout: 'inline',
    displacement: 102e-6,
    ratio: 6.8,
    fuelSystem: 'carburettor',
    supply: 'gravity',
    ignition: 'points',
    starting: 'rope',
    decompression: 'not-fitted',
    lubrication: 'premix',
    premixRatio: 50,
    turning: 'clockwise',
    tilt: 'manual',
    shift: 'direct',
    gearCapacity: mL(90),
    plugDrain: 'fitted',
    plugLevel: 'not-fitted',
    magnet: 'not-fitted',
    indicator: 'not-fitted',
    thermostat: 'not-fitted',
    leg: 'short',
    steering: 'tiller',
    installation: 'single'
  },
  history: () => ({
    worth: 520,
    salvage: 80,
    yearsIdle: 9,
    stored: 'indoors',
    laidUp: 'no',
    fuelLeft: 'unknown',
    stabilised: 'unknown',
    submerged: 'no'
  }),
  log: (l) =>
    void l
      .read('safe.lanyard', 'not-fitted')
      .read('safe.battery', 'not-fitted')
      .read('safe.propeller', 'off')
      .read('safe.secured', 'yes')
      .read('safe.place', 'outdoors')
      .walked(
        { bulb: 'not-fitted', strainer: 'not-fitted', anodes: 'gone', hoses: 'hard', twist: 'not-fitted' },
        { hoses: 'The short one to the carburettor snaps when bent.' }
      )
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 2)
      .plugsRead([['rust']], 0.6)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1])
      .read('spark.gap', 7e-3, { cylinder: 1, typed: '7 mm' })
      .read('spark.colour', 'blue', { cylinder: 1 })
      .read('spark.pointsLook', 'grey', { cylinder: 1 })
      .pulls(
        [
          [1, [38, 52, 57, 58, 58]],
          [1, [40, 54, 59, 60, 60]]
        ],
        hoseGauge
      )
      .read('gear.first', 'oil')
      .read('fuel.jar', 'dark')
      .part('points', 'points and condenser where pitted', { state: 'ordered' })
};

/** Seventeen years idle, no spark anywhere: the stop wire was chewed under a nest. */
export const bittern: DemoEngine = {
  key: 'bittern',
  kind: 'long-stored',
  startedHoursAgo: 50,
  identity: {
    tag: 'Bittern',
    maker: 'Halmar & Oste',
    model: 'HO 55',
    serial: 'HO-55-30662',
    year: 2001,
    power: 40_000,
    owner: 'J. Tallis',
    contact: 'at the boathouse on Saturdays'
  },
  profile: {
    strokes: 'two',
    cylinders: 3,
    layout: 'inline',
    displacement: 830e-6,
    fuelSystem: 'carburettor',
    supply: 'bulb',
    ignition: 'cdi',
    starting: 'electric',
    decompression: 'not-fitted',
    lubrication: 'premix',
    premixRatio: 50,
    turning: 'clockwise',
    tilt: 'hydraulic',
    shift: 'shift',
    gearCapacity: mL(510),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'long',
    steering: 'remote',
    installation: 'single',
    absent: ['lanyard', 'battery'],
    traces: []
  },
  history: () => ({
    worth: 2900,
    salvage: 450,
    ceiling: 1300,
    yearsIdle: 17,
    stored: 'indoors',
    laidUp: 'part',
    fuelLeft: 'ethanol',
    stabilised: 'no',
    submerged: 'no',
    complaints: 'Nest under the cowl.'
  }),
  log: (l) =>
    void l
      .madeSafe('off')
      .walked(
        { cowl: 'nest', wiring: 'chewed', hoses: 'hard', bulb: 'cracked', linkage: 'stiff' },
        { wiring: 'Insulation gone over a hand’s width behind the coils, one wire green.' }
      )
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 6)
      .shifts()
      .plugsRead([['dry'], ['dry'], ['rust']], 1)
      .read('plugs.rpm', 285)
      .read('plugs.volts', 11.6)
      .read('spark.lanyard', 'yes')
      .sparks('none', [1, 2, 3])
      .read('spark.brisk', 'yes')
      .read('spark.groundWire', 'still')
      .read('spark.stopWire', 'returns')
      .read('spark.primary', 0.42, { cylinder: 1, conditions: { temperature: celsius(14) }, typed: '0.42' })
      .read('spark.primary', 0.41, { cylinder: 2, conditions: { temperature: celsius(14) }, typed: '0.41' })
      .read('spark.primary', 0.42, { cylinder: 3, conditions: { temperature: celsius(14) }, typed: '0.42' })
      .compression([
        [1, 118],
        [2, 121],
        [3, 117],
        [3, 118],
        [2, 119],
        [1, 120]
      ])
      .read('gear.first', 'oil')
      .read('gear.look', 'dark')
      .read('gear.drained', mL(495))
      .read('gear.magnet', 'paste')
      .read('fuel.kind', 'ethanol')
      .read('fuel.jar', 'dark')
      .read('fuel.bulb', 'soft')
      .read('cooling.screen', 'clear')
      .part('stop-circuit', 'wire', { state: 'arrived' })
      .part('stop-circuit', 'sleeve', { state: 'arrived' })
      .part('carburettor', 'carburettor kit', {
        state: 'wanted',
        offers: [
          { from: 'Nets & Motors', what: 'kit', price: 34, days: 4 },
          { from: 'Lagoon Chandlery', what: 'pieces', price: 31, days: 6 }
        ]
      })
};

/** Six cylinders, two neighbours low in both orders of test. */
export const gannet: DemoEngine = {
  key: 'gannet',
  kind: 'neglected',
  startedHoursAgo: 30,
  identity: {
    tag: 'Gannet',
    maker: 'Tidewright',
    model: 'T150 V',
    serial: 'TW150-0934',
    year: 2004,
    power: 110_000,
    owner: 'R. Ostrand',
    boat: 'SG 88'
  },
  profile: {
    strokes: 'two',
    cylinders: 6,
    layout: 'v',
    displacement: 2590e-6,
    fuelSystem: 'carburettor',
    supply: 'bulb',
    ignition: 'cdi',
    starting: 'electric',
    decompression: 'not-fitted',
    lubrication: 'injection',
    turning: 'clockwise',
    tilt: 'hydraulic',
    shift: 'shift',
    gearCapacity: mL(900),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'extra-long',
    steering: 'remote',
    installation: 'single'
  },
  history: (start) => ({
    worth: 4800,
    salvage: 950,
    ceiling: 1500,
    yearsIdle: 2,
    hours: 1140,
    promised: daysAfter(start, 7),
    laidUp: 'no',
    submerged: 'no',
    kept: 'mooring',
    said: ['hot', 'idles'],
    complaints: 'Ran hot once, has been rough since.'
  }),
  log: (l) =>
    void l
      .madeSafe('off')
      .walked({ anodes: 'half', propeller: 'nicked' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 12)
      .shifts()
      .plugsRead([['normal'], ['normal'], ['normal'], ['normal'], ['white'], ['normal']], 1)
      .read('plugs.rpm', 265)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1, 2, 3, 4, 5, 6])
      .read('spark.gap', 11e-3, { cylinder: 1, typed: '11 mm' })
      .read('spark.gap', 11e-3, { cylinder: 3, typed: '11 mm' })
      .pulls([
        [1, [86, 106, 112, 114], 12.3],
        [2, [85, 106, 111, 113], 12.3],
        [3, [59, 68, 70, 71], 12.3],
        [4, [88, 108, 114, 116], 12.2],
        [5, [58, 66, 69, 69], 12.2],
        [6, [85, 105, 111, 113], 12.2]
      ])
      .pulls([
        [6, [87, 107, 113, 115], 12.3],
        [5, [59, 67, 70, 70], 12.3],
        [4, [86, 107, 112, 114], 12.2],
        [3, [61, 69, 72, 72], 12.2],
        [2, [84, 105, 110, 112], 12.2],
        [1, [85, 106, 111, 113], 12.2]
      ])
      .read('compression.pressure', 76 * PSI, wet(3))
      .read('compression.pressure', 75 * PSI, wet(5))
      .read('compression.leakdown', 0.41, { cylinder: 3, instrument: leakTester })
      .read('compression.escape', ['neighbour'], { cylinder: 3 })
      .read('compression.leakdown', 0.44, { cylinder: 5, instrument: leakTester })
      .read('compression.escape', ['neighbour'], { cylinder: 5 })
      .read('compression.leakdown', 0.07, { cylinder: 1, instrument: leakTester })
      .read('gear.first', 'oil')
      .read('fuel.age', 2, { typed: '2 months' })
      .read('fuel.jar', 'clear')
      .read('fuel.oilTank', 'full')
      .decided(
        'repair-under',
        'Gasket between 3 and 5; both blow into each other and the rest is alike.',
        'Go ahead up to the sum we said, ring me before it passes that.'
      )
      .part('head-gasket', 'head gasket', {
        state: 'ordered',
        due: 4,
        number: 'HG-6-0417',
        offers: [
          { from: 'Lagoon Chandlery', what: 'pieces', price: 64, days: 3 },
          { from: 'Nets & Motors', what: 'pieces', price: 151, days: 1 },
          { from: 'Lagoon Chandlery', what: 'kit', price: 118, days: 3 }
        ],
        chosen: 0
      })
      .part('plugs', 'spark plugs', { state: 'arrived' })
};
