import { describe } from 'vitest';
import { Bench } from '../case.ts';
import { two } from './engines.ts';
import { story } from './story.ts';

const twin = { ...two, cylinders: 2, displacement: 300e-6 };

describe('locked by liquid, and nothing else', () => {
  story(
    () => new Bench(twin).read('turn.plugs', 'in').read('turn.result', 'locked'),
    [
      { entered: 'locked with the plugs in', by: (b) => b, holds: ['locked'], now: /plugs/i },
      {
        entered: 'plugs out, it turns, and water comes: that was the lock; it is turned dry, not soaked for rust',
        by: (b) => b.read('turn.plugs', 'out').read('turn.result', 'bumps').read('turn.water', 'some'),
        holds: ['liquid'],
        finds: ['turn.free:sound', 'turn.water:fault'],
        notFinds: ['turn.again'],
        notSays: /turns running/,
        notJobs: ['soak'],
        now: /until no more water comes/
      },
      { entered: 'turned dry', by: (b) => b.read('turn.water', 'none'), holds: [], notFinds: ['turn.again'] }
    ]
  );
  story(
    () => new Bench(twin).read('turn.plugs', 'in').read('turn.result', 'locked'),
    [
      {
        entered: 'plugs out it turns, and nothing came out: nobody knows what held it, it is turned again tomorrow',
        by: (b) => b.read('turn.plugs', 'out').read('turn.result', 'bumps').read('turn.water', 'none'),
        finds: ['turn.again:watch'],
        holds: ['locked']
      }
    ]
  );
});

describe('gritty after salt water: no overhaul before it is known where', () => {
  story(
    () =>
      new Bench({ ...two, strokes: 'four', cylinders: 4 }, 'drowned', { submerged: 'yes', water: 'salt' }).read(
        'turn.plugs',
        'out'
      ),
    [
      {
        entered: 'it turns gritty',
        by: (b) => b.read('turn.result', 'gritty'),
        finds: ['turn.gritty:fault'],
        notJobs: ['overhaul']
      },
      {
        entered: 'smooth in neutral: the gears, and not the power head',
        by: (b) => b.read('turn.roughNeutral', 'smooth'),
        notJobs: ['overhaul'],
        notFinds: ['turn.gritty']
      }
    ]
  );
});
