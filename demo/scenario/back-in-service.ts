import { celsius, mL, type DemoEngine } from '../builder.ts';

/** Back in service last week: weak stream cured by a pump kit, before and after on record. */
export const curlew: DemoEngine = {
  key: 'curlew',
  kind: 'neglected',
  startedHoursAgo: 9 * 24,
  identity: {
    tag: 'Curlew',
    maker: 'Halmar & Oste',
    model: 'HO 15',
    serial: 'HO-15-20077',
    year: 2010,
    power: 11_000,
    owner: 'Ferry tender',
    boat: 'SG 9'
  },
  profile: {
    strokes: 'two',
    cylinders: 2,
    layout: 'inline',
    displacement: 246e-6,
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
    gearCapacity: mL(230),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    plugVent: 'not-fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'long',
    steering: 'tiller',
    installation: 'single',
    absent: [],
    traces: []
  },
  history: () => ({
    yearsIdle: 1,
    hours: 410,
    hoursAMonth: 9,
    stored: 'outdoors',
    laidUp: 'part',
    fuelLeft: 'plain',
    stabilised: 'no',
    submerged: 'no',
    kept: 'mooring'
  }),
  log: (l) =>
    void l
      .madeSafe()
      .walked({ strainer: 'not-fitted' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 4)
      .shifts('rises')
      .plugsRead([['normal'], ['normal']], 0.9)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1, 2])
      .compression([
        [1, 119],
        [2, 122]
      ])
      .read('gear.first', 'oil')
      .read('gear.look', 'dark')
      .read('gear.drained', mL(225))
      .read('gear.magnet', 'paste')
      .read('gear.refill', 'service')
      .read('gear.washers', 'yes')
      .read('fuel.kind', 'plain')
      .read('fuel.age', 11, { typed: '11 months' })
      .read('fuel.jar', 'clear')
      .read('fuel.bulb', 'firm')
      .read('fuel.vent', 'open')
      .read('fuel.hose', 'supple')
      .read('fuel.couplings', 'tight')
      .read('fuel.filter', 'clean')
      .read('plugs.rope', 'good')
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'tank')
      .read('cooling.opened', 'yes')
      .read('cooling.set', 28)
      .read('cooling.missing', 0)
      .read('cooling.housing', 'good')
      .decided(
        'repair',
        'A pump kit and fresh fuel; nothing else points to work.',
        'Go ahead, she is needed on Friday.'
      )
      .wait(24)
      .done('fuel-drain', 'Eight litres to the collection point.')
      .read('fuel.tank', 'fresh', { round: 2 })
      .read('fuel.line', 'drained', { round: 2 })
      .read('fuel.bowl', 'drained', { round: 2 })
      .read('fuel.age', 0, { round: 2, typed: '0 months' })
      .read('fuel.mix', 50, { round: 2, typed: '50:1' })
      .part('pump', 'pump kit or impeller, as the finding says', {
        state: 'arrived',
        number: 'K-246-2',
        offers: [
          { from: 'Lagoon Chandlery', what: 'kit', price: 41, days: 2 },
          { from: 'Lagoon Chandlery', what: 'pieces', price: 36, days: 2 },
          { from: 'Nets & Motors', what: 'kit', price: 58, days: 1 }
        ],
        chosen: 0
      })
      .off('pump', [
        ['Leg bolt', 'M8', 40, 'port fore'],
        ['Leg bolt', 'M8', 40, 'starboard fore'],
        ['Leg bolt', 'M8', 65, 'port aft'],
        ['Leg bolt', 'M8', 65, 'starboard aft'],
        ['Pump housing screw', 'M6', 30, 'four of a kind'],
        ['Housing gasket', '', 0, 'under the housing', true],
        ['Impeller key', '', 0, 'on the shaft']
      ])
      .back()
      .done('pump', 'Whole kit; shift checked after.')
      .read('cooling.opened', 'yes', { round: 2 })
      .read('cooling.set', 0, { round: 2 })
      .read('cooling.impellerAge', 0, { round: 2 })
      .read('cooling.housing', 'good', { round: 2 })
      .read('run.outcome', 'ran')
      .read('run.minutes', 18)
      .read('run.lamp', 'not-fitted')
      .read('run.smoke', 'none')
      .read('run.leaks', 'none')
      .read('run.gears', 'both')
      .read('cooling.stream', 'strong')
      .read('cooling.head', celsius(58), { typed: '58 °C' })
      .handedOver(),
  signedBy: 'Ines'
};
