import { describe } from 'vitest';
import { Bench } from '../case.ts';
import { story } from './story.ts';

const twin = { strokes: 'two', cylinders: 2, gearCapacity: 300e-6, indicator: 'fitted' } as const;
const four = { strokes: 'four', cylinders: 2, gearCapacity: 300e-6 } as const;

describe('nothing is started that must not turn', () => {
  describe('water in a cylinder of an engine that never drowned', () =>
    story(
      () => new Bench(four),
      [
        { entered: 'water in hole 2', by: (b) => b.read('plugs.hole', 'water', { cylinder: 2 }), holds: ['liquid'] },
        {
          entered: 'cylinder 1 is clean',
          by: (b) => b.read('plugs.hole', 'clean', { cylinder: 1 }),
          holds: ['liquid']
        },
        {
          entered: 'cylinder 2 unknown',
          by: (b) => b.read('plugs.hole', 'unknown', { cylinder: 2 }),
          holds: ['liquid']
        },
        { entered: 'turned dry, hole 2 clean', by: (b) => b.read('plugs.hole', 'clean', { cylinder: 2 }), holds: [] }
      ]
    ));
  describe('water on a plug of an engine of which nobody said how many cylinders it has', () =>
    story(
      () => new Bench({ strokes: 'two' }),
      [
        {
          entered: 'on plug 2',
          by: (b) => b.read('plugs.read', ['water'], { cylinder: 2 }),
          holds: ['liquid']
        },
        { entered: 'hole 2 clean', by: (b) => b.read('plugs.hole', 'clean', { cylinder: 2 }), holds: [] }
      ]
    ));
  describe('oil left in the bores', () =>
    story(
      () => new Bench(twin),
      [
        {
          entered: '5 mL in each, plugs out',
          by: (b) => b.read('turn.plugs', 'out').read('plugs.oil', 5e-6),
          holds: []
        },
        { entered: 'plugs back in', by: (b) => b.read('turn.plugs', 'in'), holds: ['bore-oil'] },
        {
          entered: 'out again, turned over, in again',
          by: (b) => b.read('turn.plugs', 'out').read('turn.result', 'free').read('turn.plugs', 'in'),
          holds: []
        }
      ]
    ));
  describe('a timing belt', () => {
    const belted = { ...four, camDrive: 'belt' } as const;
    story(
      () => new Bench(belted),
      [
        {
          entered: 'cracked, and nobody knows whether valves meet pistons',
          by: (b) => b.read('turn.belt', 'cracked'),
          holds: ['belt']
        },
        { entered: 'unknown later', by: (b) => b.read('turn.belt', 'unknown'), holds: ['belt'] },
        { entered: 'renewed', by: (b) => b.read('turn.belt', 'renewed'), holds: [] }
      ]
    );
    describe('of an engine whose valves clear the pistons', () =>
      story(
        () => new Bench({ ...belted, interference: 'no' }),
        [
          {
            entered: 'oily',
            by: (b) => b.read('turn.belt', 'oily'),
            holds: [],
            finds: ['turn.belt:fault'],
            notSays: /bends valves/
          }
        ]
      ));
  });
  describe('an empty sump', () =>
    story(
      () => new Bench(four).read('oil.dip', 'between').read('oil.dip', 'between'),
      [
        { entered: 'two dips agree', by: (b) => b, holds: [] },
        { entered: 'drained', by: (b) => b.read('oil.drained', 2.4e-3), holds: ['oil'], says: /sump is drained/ },
        {
          entered: 'poured and dipped twice',
          by: (b) => b.read('oil.poured', 2.4e-3).read('oil.dip', 'between').read('oil.dip', 'between'),
          holds: []
        }
      ]
    ));
  describe('recovered from drowning', () =>
    story(() => {
      const b = new Bench(twin, 'drowned', { submerged: 'yes', runningWhenSunk: 'no' });
      b.read('turn.plugs', 'out').read('turn.result', 'free').read('turn.water', 'none').read('turn.dried', 'yes');
      return b.read('fuel.tank', 'fresh').read('fuel.line', 'drained').read('fuel.bowl', 'drained');
    }, [
      { entered: 'plugs out, turned, dried, fresh fuel', by: (b) => b, holds: [] },
      { entered: 'plugs back in for the run', by: (b) => b.read('turn.plugs', 'in'), holds: [] },
      {
        entered: 'unknown to everything that was seen',
        by: (b) => b.read('turn.water', 'unknown').read('turn.dried', 'unknown'),
        holds: []
      },
      { entered: 'it turns gritty after all', by: (b) => b.read('turn.result', 'gritty'), holds: ['drowned', 'locked'] }
    ]));
  describe('drowned while running: depths that do not agree by their whole interval', () => {
    const depth =
      (k: number, ...mm: number[]) =>
      (b: Bench) =>
        mm.reduce((x, d) => x.read('turn.depth', d / 1000, { cylinder: k }), b);
    story(
      () =>
        new Bench(twin, 'drowned', { submerged: 'yes', runningWhenSunk: 'yes' })
          .read('turn.plugs', 'out')
          .read('turn.result', 'free')
          .read('turn.result', 'free'),
      [
        {
          entered: 'one reading of each, 0.2 mm apart',
          by: (b) => depth(2, 60.2)(depth(1, 60)(b)),
          finds: ['turn.depths:cannot-tell']
        },
        { entered: 'repeated once, the same', by: (b) => depth(2, 60.2)(depth(1, 60)(b)), notFinds: ['turn.depth.2'] },
        {
          entered: 'a repeat of piston 1 is 0.6 off',
          by: depth(1, 60.6),
          finds: ['turn.depths:cannot-tell'],
          says: /further apart than the tolerance.*take the slip back/s,
          notFinds: ['turn.depths:sound']
        }
      ]
    );
  });
});

describe('unknown is not seen', () => {
  story(
    () => new Bench(twin),
    [
      {
        entered: 'a walk around it that told nothing',
        by: (b) => b.read('look.cowl', 'unknown').read('look.wiring', 'unknown'),
        is: { look: 'cannot-tell' },
        says: /Asked once and not told: under the cowl and wiring/,
        notSays: /Nothing amiss/
      },
      { entered: 'wires chewed', by: (b) => b.read('look.wiring', 'chewed'), is: { look: 'fault' } },
      { entered: 'asked again, unknown', by: (b) => b.read('look.wiring', 'unknown'), is: { look: 'fault' } }
    ]
  );
});
