import { describe, expect, it } from 'vitest';
import { compareAll } from '../../src/core/stations/compression/compare.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { four, magneto, two } from './engines.ts';
import { story } from './story.ts';

/** Readings taken alike that do not agree: one is wrong, and nothing is built on any of them until a repeat tells which. */
const read = (list: readonly (readonly [number, number])[]) => (b: Bench) => b.psi(list);

describe('one cylinder, and the last pull says something else', () => {
  story(
    () => new Bench(magneto),
    [
      {
        entered: '125 twice: it reaches what such an engine gives',
        by: read([
          [1, 125],
          [1, 125]
        ]),
        finds: ['compression.figure:sound'],
        is: { compression: 'sound' }
      },
      {
        entered: 'then 50: no mean of the three is said to be sound',
        by: read([[1, 50]]),
        is: { compression: 'cannot-tell' },
        finds: ['compression.scatter.1:cannot-tell'],
        notFinds: ['compression.figure'],
        notSays: /100 psi/,
        now: /^Compression again of cylinder 1/,
        ready: false
      },
      {
        entered: '52: two against two, asked once more',
        by: read([[1, 52]]),
        finds: ['compression.scatter.1:cannot-tell'],
        now: /^Compression again of cylinder 1/,
        notJobs: ['overhaul']
      },
      {
        entered: '50: three in a row speak, and it is low',
        by: read([[1, 50]]),
        notFinds: ['compression.scatter', 'compression.figure:sound'],
        finds: ['compression.figure:cannot-tell'],
        now: /Leak-down/
      }
    ]
  );
});

describe('a slip of the pen among three good ones', () => {
  story(
    () => new Bench(two),
    [
      {
        entered: '300 where 125 was: the neighbours are not low, the figure is asked again',
        by: read([
          [1, 125],
          [2, 124],
          [3, 125],
          [3, 125],
          [2, 124],
          [1, 125],
          [1, 300]
        ]),
        finds: ['compression.scatter.1:cannot-tell'],
        notFinds: ['compression.low', 'compression.neighbours', 'compression.high'],
        says: /Cylinders 2 and 3 are alike/,
        now: /^Compression again of cylinder 1/
      },
      {
        entered: 'read again twice as it was: closed, and the slip no longer speaks',
        by: read([
          [1, 126],
          [1, 125],
          [1, 125]
        ]),
        notFinds: ['compression.scatter'],
        finds: ['compression.alike:sound'],
        says: /The cylinders are alike/
      }
    ]
  );
  it('the first reading was wrong: two that agree after it outweigh it, and it is struck through', () => {
    const found = compareAll(
      new Bench(two)
        .psi([
          [1, 60],
          [2, 124],
          [3, 125],
          [1, 126],
          [1, 125]
        ])
        .judged().context
    )!;
    expect(found.outdone.map((r) => Math.round(r.value / PSI))).toEqual([60]);
    expect(found.rows[0]!.mean / PSI).toBeCloseTo(125.5);
    expect(found.rows.some((r) => r.low || r.scattered)).toBe(false);
  });
  it('oil beside dry readings that do not agree shows nothing', () => {
    const b = new Bench(two).psi([
      [1, 125],
      [2, 124],
      [3, 125],
      [1, 70]
    ]);
    b.psi([[1, 140]], { conditions: { throttle: 'open', bores: 'oiled', dose: 5e-6 } });
    expect(b.said('compression.wet')).toBe('');
  });
  it('wet readings that do not agree are no wet test: neither rings nor valve', () => {
    const b = new Bench(two).psi([
      [1, 90],
      [2, 124],
      [3, 125],
      [1, 91]
    ]);
    const oiled = { conditions: { throttle: 'open', bores: 'oiled', dose: 5e-6 } } as const;
    b.psi([[1, 135]], oiled);
    b.psi([[1, 92]], oiled);
    expect(b.said('compression.wet')).toBe('');
    expect(b.ids()).toContain('compression.scatter-wet.1:cannot-tell');
    expect(b.assessed().moves[0]!.title).toMatch(/^Wet test of cylinder 1 again/);
    b.psi(
      [
        [1, 134],
        [1, 135]
      ],
      oiled
    );
    b.psi([[1, 135]], oiled);
    expect(b.ids()).not.toContain('compression.scatter-wet.1:cannot-tell');
    expect(b.said('compression.wet')).not.toBe('');
  });
});

describe('two neighbours that are low', () => {
  const low = (b: Bench) =>
    b.psi([
      [1, 170],
      [2, 95],
      [3, 94],
      [4, 168]
    ]);
  it('once: the gasket is no surer than the readings', () =>
    expect(low(new Bench(four)).ids()).toContain('compression.neighbours:watch'));
  it('and air finds one of them tight: nothing is said of the gasket between them', () => {
    const b = low(low(new Bench(four))).read('compression.leakdown', 0.03, { cylinder: 2 });
    expect(b.ids()).toContain('compression.low.2:cannot-tell');
    expect(b.said('compression.neighbours')).toBe('');
  });
});

describe('line vacuum that cannot be', () => {
  const speed = () => new Bench(two).read('fuel.vacuumSpeed', 3000);
  it.each([
    ['fuel.vacuumPortable', /portable tank: that one’s own vent/],
    ['fuel.vacuumOpen', /cap open, where it can only be less/],
    ['fuel.vacuumIdle', /at idle: a line that holds nothing back at speed/]
  ] as const)('%s is high, though its own tank at speed holds nothing back: no repair', (what, says) => {
    const b = speed().read(what, 40_000);
    expect(b.ids().filter((id) => id.startsWith('fuel.vacuum'))).toEqual(['fuel.vacuum:cannot-tell']);
    expect(b.said('fuel.vacuum')).toMatch(says);
    const a = b.assessed();
    expect(a.steps.filter((s) => s.state === 'open').map((s) => s.id)).not.toContain('fuel-line');
    expect(a.moves[0]!.title).toMatch(/Line vacuum again/);
  });
  it('its own tank high as well accuses the engine’s side, as before', () =>
    expect(speed().read('fuel.vacuumSpeed', 40_000).read('fuel.vacuumPortable', 40_000).ids()).toContain(
      'fuel.vacuum-engine-side:fault'
    ));
});
