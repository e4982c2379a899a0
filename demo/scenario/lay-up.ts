import { celsius, mL, type DemoEngine } from '../builder.ts';

/** Going into the winter: stabilised, the warm oil out, the new oil counted in, the gear case filled before frost. */
export const avocet: DemoEngine = {
  key: 'avocet',
  kind: 'lay-up',
  startedHoursAgo: 1.43,
  identity: {
    tag: 'Avocet',
    maker: 'Halmar & Oste',
    model: 'HO 25 Four',
    serial: 'HO-25-40916',
    year: 2017,
    power: 18_400,
    owner: 'Bird wardens',
    boat: 'SG 77'
  },
  profile: {
    strokes: 'four',
    cylinders: 3,
    layout: 'inline',
    displacement: 526e-6,
    fuelSystem: 'carburettor',
    supply: 'bulb',
    ignition: 'cdi',
    starting: 'electric',
    decompression: 'not-fitted',
    lubrication: 'sump',
    sumpWithFilter: 1.7e-3,
    sumpWithoutFilter: 1.45e-3,
    turning: 'clockwise',
    tilt: 'hydraulic',
    shift: 'shift',
    gearCapacity: mL(370),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    plugVent: 'not-fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'long',
    steering: 'remote',
    installation: 'single',
    absent: [],
    traces: []
  },
  history: () => ({
    yearsIdle: 0,
    hours: 385,
    hoursAMonth: 6,
    stored: 'indoors',
    fuelLeft: 'ethanol',
    stabilised: 'yes',
    submerged: 'no',
    kept: 'trailer'
  }),
  log: (l) =>
    void l
      .madeSafe('off')
      .read('safe.air', celsius(6))
      .read('safe.forecast', celsius(-3), { typed: '-3 °C' })
      .walked({ strainer: 'not-fitted' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 3)
      .shifts()
      .read('fuel.level', 'some')
      .read('fuel.kind', 'ethanol')
      .read('fuel.age', 0.5, { typed: '2 weeks' })
      .read('fuel.stabilised', 'yes')
      .read('fuel.jar', 'clear')
      .read('fuel.vent', 'open')
      .read('fuel.hose', 'supple')
      .read('fuel.bulb', 'firm')
      .read('fuel.tankHas', 16e-3, { typed: '16 L' })
      .read('fuel.doseOil', mL(30))
      .read('fuel.dosePer', 12e-3, { typed: '12 L' })
      .read('fuel.lineVolume', mL(420))
      .read('fuel.idleFlow', 1.6e-3 / 3600, { typed: '1.6 L/h' })
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'muffs')
      .read('cooling.impellerAge', 1)
      .read('oil.level', 'yes')
      .read('oil.dip', 'between')
      .read('oil.dip', 'between')
      .ran(11, (s) => Math.min(58, 70 - 64 * Math.exp(-s / 230)), { stream: [[30, 'strong']], rpm: 900 })
      .read('run.outcome', 'ran')
      .read('run.minutes', 11)
      .read('run.lamp', 'none')
      .read('run.leaks', 'none')
      .read('gear.first', 'oil')
      .read('gear.look', 'dark')
      .read('gear.drained', mL(362))
      .read('gear.magnet', 'paste')
      .read('gear.bottle', mL(500))
      .read('gear.poured', mL(120))
      .read('gear.poured', mL(120))
      .read('gear.poured', mL(120))
      .read('gear.levelHole', 'bubbleFree')
      .read('gear.washers', 'yes')
      .read('gear.refill', 'service')
      .read('oil.drained', 1.62e-3, { typed: '1.62 L' })
      .read('oil.filter', 'renewed')
      .read('oil.washer', 'yes')
      .read('oil.bottle', 1e-3)
      .read('oil.poured', mL(400))
      .read('oil.poured', mL(400))
      .read('oil.poured', mL(400))
      .read('oil.poured', mL(400))
      .running('Engine oil settling', 10, 'oil')
};
