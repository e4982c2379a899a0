import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { two } from './engines.ts';
import { story } from './story.ts';

describe('the pump is put back, and nothing comes', () => {
  story(
    () => new Bench(two, 'long-stored', { yearsIdle: 5 }).read('cooling.opened', 'yes').read('cooling.set', 32),
    [
      { entered: 'vanes set by 32°: the kit, now that it is open', by: (b) => b, now: /^Renew the water pump/ },
      {
        entered: 'renewed, and the drill test brings nothing',
        by: (b) => b.done('pump').read('cooling.drill', 'nothing'),
        finds: ['cooling.drill:fault'],
        notJobs: ['leg-water'],
        now: /^Pump open again: key and bush, how its vanes lie, tube in its grommet/,
        notNow: /impeller set or torn/
      },
      {
        entered: 'all of it looks right: the test once more, before anything is mended',
        by: (b) => b.read('cooling.bush', 'good').read('cooling.set', 2).read('cooling.tube', 'seated'),
        notJobs: ['leg-water'],
        now: /^Drill test again/
      },
      {
        entered: 'nothing once more: the water way',
        by: (b) => b.read('cooling.drill', 'nothing'),
        finds: ['cooling.drill-in-vain:fault'],
        jobs: ['leg-water'],
        now: /^Mend the water way in the leg/
      },
      {
        entered: 'it was turned backward: the vanes, and not the key',
        by: (b) => b.read('cooling.drill', 'backward'),
        says: /turned backward/
      }
    ]
  );
});

describe('nothing comes in the drill test, and the look says why', () => {
  const dry = (): Bench => new Bench(two, 'neglected', { yearsIdle: 0 }).read('cooling.drill', 'nothing');
  it.each([
    ['cooling.bush', 'key', 'leg-water'],
    ['cooling.tube', 'leaking', 'leg-water'],
    ['cooling.bush', 'spins', 'pump']
  ] as const)('%s %s: that is mended, and not tested once more', (item, answer, job) => {
    const b = dry().read(item, answer as never);
    for (const [other, good] of [
      ['cooling.bush', 'good'],
      ['cooling.set', 2],
      ['cooling.tube', 'seated']
    ] as const)
      if (other !== item) b.read(other, good as never);
    const { moves, steps } = b.assessed();
    expect(moves.filter((m) => m.title.startsWith('Drill test again'))).toEqual([]);
    expect(steps.map((s) => s.id)).toContain(job);
    expect(moves.findIndex((m) => m.job === job)).toBeGreaterThanOrEqual(0);
  });
});
