import { daysAfter, celsius, mL, shopGauge, type DemoEngine } from '../builder.ts';

/** Laid up well, comes out well: nothing is demanded. */
export const swift: DemoEngine = {
  key: 'swift',
  kind: 'spring-return',
  startedHoursAgo: 6,
  identity: {
    tag: 'Swift',
    maker: 'Corvane',
    model: 'C10 Four',
    serial: 'CV10-33087',
    year: 2020,
    power: 7300,
    owner: 'M. Feld',
    boat: 'SG 45'
  },
  profile: {
    strokes: 'four',
    cylinders: 2,
    layout: 'inline',
    displacement: 209e-6,
    fuelSystem: 'carburettor',
    supply: 'bulb',
    ignition: 'cdi',
    starting: 'both',
    decompression: 'not-fitted',
    lubrication: 'sump',
    sumpWithFilter: 0.8e-3,
    turning: 'clockwise',
    tilt: 'manual',
    shift: 'shift',
    gearCapacity: mL(320),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    plugVent: 'not-fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'short',
    steering: 'tiller',
    installation: 'single',
    absent: [],
    traces: []
  },
  history: () => ({
    yearsIdle: 0.5,
    hours: 120,
    hoursAMonth: 4,
    stored: 'indoors',
    laidUp: 'yes',
    fuelLeft: 'none',
    submerged: 'no',
    kept: 'rack'
  }),
  log: (l) =>
    void l
      .madeSafe('off')
      .read('safe.air', celsius(12))
      .walked({ bulb: 'good', strainer: 'not-fitted' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 2)
      .shifts('rises')
      .plugsRead([['normal'], ['normal']], 0.8)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1, 2])
      .compression([
        [1, 158],
        [2, 161]
      ])
      .read('gear.first', 'oil')
      .read('gear.look', 'clear')
      .read('gear.drained', mL(315))
      .read('gear.magnet', 'clean')
      .read('gear.refill', 'service')
      .read('gear.washers', 'yes')
      .read('fuel.level', 'full')
      .read('fuel.kind', 'plain')
      .read('fuel.age', 0.5, { typed: '2 weeks' })
      .read('fuel.jar', 'clear')
      .read('fuel.bulb', 'firm')
      .read('fuel.vent', 'open')
      .read('plugs.rope', 'good')
      .read('plugs.starterCircuit', 'turns')
      .read('cooling.screen', 'clear')
      .read('cooling.impellerAge', 1)
      .read('cooling.source', 'tank')
      .read('oil.dip', 'between')
      .read('oil.dip', 'between')
      .read('oil.look', 'clean')
      .ran(12, (s) => Math.min(61, 74 - 62 * Math.exp(-s / 210)), {
        stream: [
          [30, 'strong'],
          [600, 'strong']
        ],
        rpm: 850
      })
      .read('run.outcome', 'ran')
      .read('run.minutes', 12)
      .read('run.lamp', 'none')
      .read('run.smoke', 'first')
      .read('run.leaks', 'none')
      .read('run.gears', 'both')
      .read('run.plugAfter', 'dry')
      .handedOver(),
  // The first cylinder has lost a little every year.
  earlier: [
    [1086, 178, 165, 60],
    [721, 171, 164, 61],
    [356, 164, 163, 61]
  ].map(([daysAgo, one, two, head]) => ({
    kind: 'spring-return',
    daysAgo: daysAgo!,
    log: (l) =>
      void l
        .madeSafe('off')
        .read('turn.result', 'bumps')
        .compression([
          [1, one!],
          [2, two!],
          [2, two! - 1],
          [1, one! + 1]
        ])
        .read('gear.first', 'oil')
        .read('oil.dip', 'between')
        .read('cooling.stream', 'strong')
        .read('cooling.head', celsius(head!), { typed: `${head} °C` })
  }))
};

/** Spring return, injected: oil above the mark, and one dip is not yet two. */
export const tern: DemoEngine = {
  key: 'tern',
  kind: 'spring-return',
  startedHoursAgo: 3,
  identity: {
    tag: 'Tern',
    maker: 'Corvane',
    model: 'C60 i',
    serial: 'CV60-55102',
    year: 2019,
    power: 44_000,
    owner: 'Pilot launch',
    boat: 'SG 3'
  },
  profile: {
    strokes: 'four',
    cylinders: 4,
    layout: 'inline',
    displacement: 998e-6,
    fuelSystem: 'electronic',
    supply: 'bulb',
    ignition: 'coil-on-plug',
    starting: 'electric',
    decompression: 'not-fitted',
    lubrication: 'sump',
    sumpWithFilter: 3.1e-3,
    turning: 'clockwise',
    tilt: 'hydraulic',
    shift: 'shift',
    gearCapacity: mL(670),
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
    promised: daysAfter(start, 3),
    worth: 6200,
    salvage: 1200,
    yearsIdle: 0.6,
    hours: 310,
    laidUp: 'part',
    fuelLeft: 'ethanol',
    stabilised: 'no',
    submerged: 'no'
  }),
  log: (l) =>
    void l
      .madeSafe('off')
      .walked()
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 4)
      .shifts()
      .plugsRead([['normal'], ['normal'], ['normal'], ['normal']], 0.9)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1, 2, 3, 4])
      .compression(
        [
          [1, 171],
          [2, 168],
          [3, 173],
          [4, 170]
        ],
        shopGauge
      )
      .read('gear.first', 'oil')
      .read('gear.look', 'clear')
      .read('fuel.kind', 'ethanol')
      .read('fuel.age', 8, { typed: '8 months' })
      .read('fuel.bowlLook', 'gummed')
      .read('fuel.bowl', 'old')
      .read('oil.markGap', 14e-3)
      .read('oil.markVolume', 0.7e-3, { typed: '700 mL' })
      .read('oil.level', 'yes')
      .read('oil.dipAt', 19e-3, { typed: '19 mm' })
      .read('oil.look', 'dark')
      .part('bowl', 'carburettor or separator kit', {
        state: 'ordered',
        due: 1,
        offers: [{ from: 'Nets & Motors', what: 'kit', price: 83, days: 1 }],
        chosen: 0
      })
};
