import { describe } from 'vitest';
import { Bench } from '../case.ts';
import { open, two } from './engines.ts';
import { story } from './story.ts';

const twin = { ...two, cylinders: 2, displacement: 300e-6 };
const air =
  (share: number, ...places: ('crankcase' | 'exhaust')[]) =>
  (b: Bench) =>
    b.read('compression.leakdown', share, { cylinder: 2 }).read('compression.escape', places, { cylinder: 2 });

describe('rings that stood, and a soak: what was read before it is how it was', () => {
  const low = (b: Bench) =>
    b.psi(
      [
        [1, 118],
        [2, 84],
        [2, 85]
      ],
      open
    );
  const start = () => new Bench(twin).read('turn.result', 'bumps');
  story(start, [
    {
      entered: 'low, and air past the rings alone: a soak comes before any overhaul',
      by: (b) => air(0.4, 'crankcase')(low(b)),
      finds: ['compression.leakdown-rings.2:fault'],
      says: /soak overnight and repeat before condemning/,
      now: /^Soak the bores/,
      notJobs: ['overhaul', 'air-cause']
    },
    {
      entered: 'soaked overnight: 118 and 112 are read, and stand alone',
      by: (b) =>
        b
          .read('turn.soaked', 'yes')
          .wait(20)
          .psi(
            [
              [1, 118],
              [2, 112]
            ],
            open
          ),
      finds: ['compression.alike:sound'],
      notFinds: ['compression.low', 'compression.spread', 'compression.unlike'],
      notSays: /\b84 psi|under cylinder/
    },
    {
      entered: 'tight by air as well: the forty per cent were before the soak',
      by: (b) => b.read('compression.leakdown', 0.09, { cylinder: 2 }),
      finds: ['compression.leakdown.2:sound'],
      notSays: /not of the same thing/,
      notJobs: ['overhaul', 'air-cause', 'leak-down']
    }
  ]);
  story(start, [
    {
      entered: 'soaked, and it still leaks past the rings: a light into the bore, and no second soak',
      by: (b) =>
        air(
          0.42,
          'crankcase'
        )(air(0.4, 'crankcase')(low(b)).read('turn.soaked', 'yes').wait(20).read('turn.result', 'bumps')),
      finds: ['compression.leakdown-bore.2:fault'],
      says: /It was soaked, and still leaks/,
      now: /Light into the bore of cylinder 2|Turn it by hand again/,
      notJobs: ['soak', 'overhaul']
    }
  ]);
  story(start, [
    {
      entered: 'air at the exhaust is no ring: it is not soaked for that',
      by: (b) => air(0.4, 'exhaust')(low(b)),
      notFinds: ['compression.leakdown-rings'],
      notJobs: ['soak']
    }
  ]);
});

describe('the pump renewed after a run that was stopped: it is run again, not looked into again', () => {
  story(
    () =>
      new Bench(twin)
        .read('cooling.source', 'tank')
        .read('run.event', 'start')
        .read('run.stream', 'weak')
        .read('run.temperature', 345, { conditions: { spot: 'head' } })
        .read('run.event', 'stop')
        .read('run.outcome', 'stopped')
        .read('run.reason', 'stream')
        .read('cooling.outlet', 'clear')
        .read('cooling.screen', 'clear'),
    [
      { entered: 'outlet and screens are clear', by: (b) => b, now: /^Open the water pump/ },
      {
        entered: 'renewed, and it pumps in the drill test',
        by: (b) =>
          b
            .read('cooling.opened', 'yes')
            .read('cooling.set', 26)
            .done('pump')
            .read('cooling.opened', 'yes')
            .read('cooling.set', 0)
            .read('cooling.housing', 'good')
            .read('cooling.assembled', 'yes')
            .read('cooling.drill', 'pumps'),
        finds: ['cooling.pump:sound'],
        notNow: /screens|outlet/i
      }
    ]
  );
});

describe('squeezing revives it', () => {
  story(
    () =>
      new Bench(twin)
        .read('fuel.dies', 'minutes')
        .read('fuel.level', 'full')
        .read('fuel.vent', 'open')
        .read('fuel.bulb', 'firm')
        .read('fuel.jar', 'clear')
        .read('fuel.age', 1),
    [
      {
        entered: 'air or the pump: the filter is seen in a minute, and nobody asks for vacuum or choke',
        by: (b) => b.read('fuel.revived', 'yes'),
        notNow: /vacuum|choke/i
      },
      {
        entered: 'line and filter are good: the pump',
        by: (b) => b.read('fuel.couplings', 'tight').read('fuel.hose', 'supple').read('fuel.filter', 'clean'),
        finds: ['fuel.starved-pump:fault'],
        jobs: ['fuel-pump'],
        notJobs: ['bowl', 'hoses', 'fuel-line', 'fuel-filter']
      }
    ]
  );
});

describe('a coil that dies warm', () => {
  const ohms = (k: number, value: number, kelvin: number) => (b: Bench) =>
    b.read('spark.primary', value, { cylinder: k, conditions: { temperature: kelvin } });
  story(
    () => new Bench(twin).read('run.outcome', 'died').read('run.idles', 'hot'),
    [
      {
        entered: 'both cold, alike: spark while it is hot, then the coil warm',
        by: (b) => ohms(2, 0.5, 293)(ohms(1, 0.5, 293)(b)),
        now: /Spark at once, while it is hot/
      },
      {
        entered: 'warm: one of them far under what copper does',
        by: (b) => ohms(2, 0.12, 353)(ohms(1, 0.62, 353)(b)),
        finds: ['spark.hot-primary.2:fault'],
        now: /^Renew the coil/
      }
    ]
  );
});

describe('charging mended, a gasket renewed: what was measured before is how it was', () => {
  const run = (volts: number) => (b: Bench) =>
    b
      .read('run.event', 'start')
      .read('run.rpm', 2500)
      .read('run.volts', volts)
      .read('run.event', 'stop')
      .read('run.minutes', 15)
      .read('run.outcome', 'ran');
  story(
    () => new Bench({ ...two, starting: 'electric' }),
    [
      { entered: '12.2 V at speed', by: run(12.2), finds: ['run.undercharge:fault'] },
      {
        entered: 'mended, and 14.1 V',
        by: (b) => run(14.1)(b.done('charging')),
        is: { run: 'sound' },
        notJobs: ['charging']
      }
    ]
  );
  story(
    () => new Bench({ ...two, strokes: 'four', cylinders: 4 }),
    [
      {
        entered: 'two neighbours low, air between them',
        by: (b) =>
          b
            .psi(
              [
                [1, 188],
                [2, 120],
                [3, 118],
                [4, 190],
                [2, 121],
                [3, 119]
              ],
              open
            )
            .read('compression.leakdown', 0.45, { cylinder: 2 })
            .read('compression.escape', ['neighbour'], { cylinder: 2 }),
        jobs: ['head-gasket']
      },
      {
        entered: 'renewed, all alike: the air between them is not found a second time',
        by: (b) =>
          b.done('head-gasket').psi(
            [
              [1, 187],
              [2, 186],
              [3, 185],
              [4, 189]
            ],
            open
          ),
        is: { compression: 'sound' },
        notFinds: ['compression.leakdown-gasket']
      }
    ]
  );
});

describe('fresh fuel, and then a jar with two layers', () => {
  const fresh = (b: Bench) =>
    b.read('fuel.tank', 'fresh').read('fuel.line', 'fresh').read('fuel.bowl', 'fresh').read('fuel.age', 1);
  story(
    () => new Bench(twin),
    [
      { entered: 'called fresh', by: fresh, finds: ['fuel.fresh:sound'], holds: [] },
      {
        entered: 'the jar says otherwise: what was called fresh before it is not',
        by: (b) => b.read('fuel.jar', 'layers'),
        finds: ['fuel.jar:fault'],
        notFinds: ['fuel.fresh'],
        holds: ['fuel'],
        jobs: ['fuel-drain']
      },
      {
        entered: 'drained and filled again',
        by: (b) => fresh(b.done('fuel-drain')),
        holds: []
      },
      {
        entered: 'the jar is clear now',
        by: (b) => b.read('fuel.jar', 'clear').read('fuel.oilTank', 'full'),
        is: { fuel: 'sound' },
        holds: []
      }
    ]
  );
});

describe('bubbles though every stage was read as held', () => {
  story(
    () => new Bench(twin).read('gear.look', 'milky'),
    [
      {
        entered: 'soap bubbles at the propeller shaft, no stage falls: the stage is read again there',
        by: (b) =>
          b
            .read('gear.casePressure', 27_000, { conditions: { stage: 'low' } })
            .wait(0.3)
            .read('gear.casePressure', 27_000, { conditions: { stage: 'low' } })
            .read('gear.caseBubbles', ['propshaft']),
        finds: ['gear.bubbles:fault'],
        now: /the stage again at which it bubbles/
      }
    ]
  );
});

describe('a scratched bore', () => {
  story(
    () => new Bench(twin).read('plugs.hole', 'scored', { cylinder: 2 }),
    [
      { entered: 'seen by a light', by: (b) => b, finds: ['plugs.hole-scored.2:fault'], notJobs: ['overhaul'] },
      {
        entered: 'it holds its air: it is lived with',
        by: (b) => b.read('compression.leakdown', 0.06, { cylinder: 2 }),
        finds: ['plugs.hole-scored.2:watch'],
        notJobs: ['overhaul']
      }
    ]
  );
});
