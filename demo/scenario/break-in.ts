import type { Outing } from '../../src/core/engine/outing.ts';
import { celsius, mL, type DemoEngine } from '../builder.ts';

/** A harbour launch: a week of idling about, then sent out under load. Days after its assessment, hours, share idling, dips in mm. */
const launches = [
  [4, 2.5, 0.75, 5, 9],
  [7, 3, 0.75, 9, 12],
  [9, 2, 0.75, 13, 15],
  [12, 3, 1, 14, 19],
  [15, 2, 0.75, 19, 9],
  [20, 2.5, 0.25, 9, 8],
  [24, 3, 0, 8, 9],
  [29, 2.5, 0.25, 9, 9],
  [35, 3, 0, 9, 8]
] as const;

const outings = (start: Date): Record<string, Outing> =>
  Object.fromEntries(
    launches.map(([day, ran, idle, before, after], k): [string, Outing] => [
      `launch-${k + 1}`,
      {
        on: new Date(start.getTime() + day * 864e5).toISOString().slice(0, 10),
        ran,
        idle,
        oilBefore: before / 1000,
        oilAfter: after / 1000,
        stream: 'strong',
        ...(k === 4
          ? {
              changed: true as const,
              remark: 'Over the mark and thin: changed. From now on out of the harbour each time.'
            }
          : {})
      }
    ])
  );

/** A rebuilt head on an old leg: broken in by the manual's stages, the first oil change due within days. */
export const fulmar: DemoEngine = {
  key: 'fulmar',
  kind: 'fitted-head',
  startedHoursAgo: 40 * 24,
  identity: {
    tag: 'Fulmar',
    maker: 'Tidewright',
    model: 'T40 Four',
    serial: 'TW40-R-0088',
    year: 2012,
    power: 29_400,
    owner: 'Harbour launch',
    boat: 'SG 2',
    legMaker: 'Tidewright',
    legSerial: 'leg cast 2003',
    legSigns: ['paint', 'numbers']
  },
  profile: {
    strokes: 'four',
    cylinders: 3,
    layout: 'inline',
    displacement: 747e-6,
    fuelSystem: 'electronic',
    supply: 'bulb',
    ignition: 'digital',
    starting: 'electric',
    decompression: 'not-fitted',
    lubrication: 'sump',
    sumpWithFilter: 2.2e-3,
    sumpWithoutFilter: 1.9e-3,
    turning: 'clockwise',
    tilt: 'hydraulic',
    shift: 'shift',
    gearCapacity: mL(420),
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    plugVent: 'fitted',
    magnet: 'drain',
    indicator: 'fitted',
    thermostat: 'fitted',
    leg: 'long',
    steering: 'remote',
    installation: 'single',
    absent: [],
    traces: ['toolmarks']
  },
  history: () => ({
    yearsIdle: 0,
    hours: 17.5,
    hoursAMonth: 14,
    stored: 'outdoors',
    fuelLeft: 'plain',
    stabilised: 'no',
    submerged: 'no',
    kept: 'mooring'
  }),
  outings,
  log: (l) =>
    void l
      .madeSafe('off')
      .walked({ strainer: 'not-fitted' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 3)
      .shifts()
      .plugsRead([['normal'], ['normal'], ['normal']], 1)
      .read('spark.lanyard', 'yes')
      .sparks('good', [1, 2, 3])
      .compression([
        [1, 186],
        [2, 189],
        [3, 187]
      ])
      .read('oil.level', 'yes')
      .read('oil.waited', 15)
      .read('oil.dip', 'between')
      .read('oil.dip', 'between')
      .read('oil.look', 'clean')
      .read('gear.first', 'oil')
      .read('gear.look', 'dark')
      .read('gear.magnet', 'paste')
      .read('gear.refill', 'service')
      .read('gear.washers', 'yes')
      .read('fuel.kind', 'plain')
      .read('fuel.age', 0.5, { typed: '2 weeks' })
      .read('fuel.jar', 'clear')
      .read('fuel.bulb', 'firm')
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'afloat')
      .read('cooling.impellerAge', 4, { typed: '4 years' })
      .flow('break-in', ['oil', 'gear', 'leg', 'idle', 'half', 'three', 'outing'])
      .read('run.outcome', 'ran')
      .read('run.minutes', 60)
      .read('run.lamp', 'none')
      .read('run.smoke', 'none')
      .read('run.leaks', 'none')
      .read('run.gears', 'both')
      .read('cooling.stream', 'strong')
      .read('cooling.head', celsius(66), { typed: '66 °C' })
};
