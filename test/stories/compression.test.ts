import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { direct, hose } from '../gauges.ts';
import { four } from './engines.ts';
import { dry as open, psi, twice } from './pressures.ts';
import { story } from './story.ts';

const twin = { strokes: 'two', cylinders: 2, displacement: 300e-6, ignition: 'cdi', starting: 'rope' } as const;

describe('the throttle was not noted, then open', () => {
  story(
    () => new Bench(twin, 'long-stored', { yearsIdle: 9 }),
    [
      {
        entered: '92 and 90, throttle not noted',
        by: psi(
          [
            [1, 92],
            [2, 90]
          ],
          { bores: 'dry' }
        ),
        notFinds: ['compression.low', 'compression.leak'],
        is: { compression: 'cannot-tell' },
        finds: ['compression.throttle-unknown:cannot-tell'],
        says: /Repeat with it wide open/,
        notSays: /worn|rings|It repeats|leak-down next/
      },
      {
        entered: '118 and 115 with the throttle open',
        by: psi([
          [1, 118],
          [2, 115]
        ]),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.unlike', 'compression.throttle'],
        notSays: /92 psi|90 psi|other conditions|Repeat/
      }
    ]
  );
});

describe('read with the throttle shut', () => {
  story(
    () => new Bench(twin),
    [
      {
        entered: '60 and 95, shut',
        by: psi(
          [
            [1, 60],
            [2, 95]
          ],
          { ...open, throttle: 'shut' }
        ),
        finds: ['compression.throttle:cannot-tell'],
        notFinds: ['compression.low', 'compression.alike', 'compression.spread', 'compression.figure'],
        notSays: /60 psi is|under cylinder/
      },
      {
        entered: 'the same, wide open: 117 and 119',
        by: psi([
          [1, 117],
          [2, 119]
        ]),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.throttle']
      },
      {
        entered: 'once more shut, by mistake',
        by: psi([[1, 61]], { ...open, throttle: 'shut' }),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.throttle', 'compression.unlike']
      }
    ]
  );
});

describe('a worn cylinder, then oil', () => {
  story(
    () => new Bench(twin),
    [
      {
        entered: '120 and 82',
        by: psi([
          [1, 120],
          [2, 82]
        ]),
        finds: ['compression.low.2:watch'],
        says: /Repeat it before believing it/
      },
      {
        entered: 'the same again',
        by: psi([
          [1, 119],
          [2, 83]
        ]),
        finds: ['compression.low.2:fault']
      },
      {
        entered: 'wet, 3 mL: 118 on cylinder 2',
        by: psi([[2, 118]], { ...open, bores: 'oiled', dose: 3e-6 }),
        finds: ['compression.low.2:fault'],
        notFinds: ['compression.alike', 'compression.unlike', 'compression.figure:sound']
      },
      {
        entered: 'wet on both, later than anything dry',
        by: psi(
          [
            [1, 128],
            [2, 119]
          ],
          { ...open, bores: 'oiled', dose: 3e-6 }
        ),
        finds: ['compression.low.2:fault'],
        notFinds: ['compression.alike']
      },
      {
        entered: 'wet again with twice the oil: two doses are two tests',
        by: psi([[2, 131]], { ...open, bores: 'oiled', dose: 6e-6 }),
        finds: ['compression.low.2:fault'],
        says: /Cylinder 2 wet: 4[89] psi over dry/
      }
    ]
  );
});

describe('an adapter read last', () => {
  story(
    () => new Bench(twin),
    [
      {
        entered: '118 and 117, valve at the plug end, twice',
        by: twice([
          [1, 118],
          [2, 117]
        ]),
        finds: ['compression.alike:sound']
      },
      {
        entered: '86 and 85 through the long hose',
        by: psi(
          [
            [1, 86],
            [2, 85]
          ],
          open,
          hose
        ),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.unlike', 'compression.adapter', 'compression.low'],
        notSays: /alarming/
      }
    ]
  );
  describe('and what the hose cannot explain', () =>
    story(
      () => new Bench(twin),
      [
        {
          entered: '118 and 117 direct',
          by: twice([
            [1, 118],
            [2, 117]
          ]),
          finds: ['compression.alike:sound']
        },
        {
          entered: '30 on cylinder 2 through the hose',
          by: psi([[2, 30]], open, hose),
          finds: ['compression.unlike.2:cannot-tell']
        }
      ]
    ));
  describe('first the hose alone, then one cylinder without it', () =>
    story(
      () => new Bench({ ...twin, cylinders: 1, displacement: 100e-6 }),
      [
        {
          entered: '59 through the hose',
          by: psi([[1, 59]], open, hose),
          finds: ['compression.adapter:cannot-tell'],
          notFinds: ['compression.figure:watch']
        },
        {
          entered: '112 without it',
          by: psi([[1, 112]]),
          notFinds: ['compression.adapter', 'compression.unlike'],
          notSays: /alarming|Repeat with the valve/
        }
      ]
    ));
});

describe('a weak battery', () => {
  const weak = { ...open, volts: 8.9 };
  story(
    () => new Bench({ ...twin, starting: 'electric' }),
    [
      {
        entered: '92 and 90 on 8.9 V',
        by: psi(
          [
            [1, 92],
            [2, 90]
          ],
          weak
        ),
        finds: ['compression.cranking:watch'],
        notFinds: ['compression.low']
      },
      {
        entered: '118 and 116 on a good one',
        by: psi(
          [
            [1, 118],
            [2, 116]
          ],
          { ...open, volts: 12.2 }
        ),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.cranking', 'compression.unlike']
      }
    ]
  );
});

describe('one cylinder measured again alone', () => {
  story(
    () => new Bench({ ...twin, cylinders: 3, displacement: 450e-6 }),
    [
      {
        entered: '120, 84, 119, twice',
        by: twice([
          [1, 120],
          [2, 84],
          [3, 119]
        ]),
        finds: ['compression.low.2:fault']
      },
      {
        entered: 'rings freed, cylinder 2 alone in a new round: 117',
        by: (b) => b.psi([[2, 117]], { conditions: open, instrument: direct, round: 2 }),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.missing', 'compression.low', 'compression.unlike'],
        notSays: /84 psi/
      }
    ]
  );
});

describe('two neighbours low', () => {
  const profile = { ...four, cylinders: 4 } as const;
  const low = (): Bench => {
    const b = new Bench(profile);
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 180],
        [2, 95],
        [3, 99],
        [4, 178]
      ] as const);
    return b;
  };
  const next = (b: Bench): string | undefined => b.assessed().moves.find((m) => m.station === 'compression')?.title;
  it('air is asked before lash or oil', () => {
    expect(next(low())).toMatch(/^Leak-down of cylinder 2/);
  });
  it('where there is no air, the lash is next', () => {
    const b = low();
    for (const cylinder of [2, 3]) b.read('compression.leakdown', 'unknown', { cylinder });
    expect(next(b)).toMatch(/^Valve lash of cylinder 2/);
  });
  it('one reading that nothing repeats stands against no two that agree with the first', () => {
    const b = new Bench(profile).psi([
      [1, 180],
      [2, 178],
      [3, 181],
      [4, 178]
    ] as const);
    b.psi([[2, 110]]);
    expect(b.ids()).toContain('compression.scatter.2:cannot-tell');
    expect(b.psi([[2, 179]]).ids()).toContain('compression.scatter.2:cannot-tell');
    expect(b.psi([[2, 177]]).ids()).not.toContain('compression.scatter.2:cannot-tell');
  });
});

describe('every cylinder low, and the timing belt off its marks', () => {
  it('the belt comes before air in any cylinder', () => {
    const b = new Bench({ ...four, camDrive: 'belt' });
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 80],
        [2, 81],
        [3, 80],
        [4, 79]
      ]);
    const titles = (): string =>
      b
        .assessed()
        .moves.map((m) => m.title)
        .join();
    expect(titles()).toMatch(/Leak-down/);
    b.read('turn.belt', 'slack');
    expect(titles()).not.toMatch(/Leak-down/);
    const open = b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
    expect(open).toContain('belt');
    expect(open).not.toContain('leak-down');
  });
});
