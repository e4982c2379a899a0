import { describe, expect, it } from 'vitest';
import { Follower } from '../follow.ts';
import type { ItemId } from '../../src/core/stations/items.ts';
import { readyToRun } from '../stories/all-good.ts';
import { four } from '../stories/engines.ts';
import { worked } from '../worked.ts';

/** So many moves bring any engine to its end (judgement: sixty). */
const MOST = 60;

describe('law 10: following the first move ends in release or in a reasoned stop', () => {
  it.each(worked)('%s', (_, survey) => {
    const f = new Follower(survey);
    const made: string[] = [];
    for (let k = 0; k < MOST; k++) {
      const a = f.assessed();
      // There is always something to do, and it can be done.
      expect(a.moves.length).toBeGreaterThan(0);
      const move = f.step(a);
      if (!move) return;
      made.push(move.id);
    }
    expect(made).toEqual([]);
  });
});

describe('so it does from whatever a first run showed', () => {
  const shown: readonly (readonly [ItemId, string])[] = [
    ...(['spits', 'kicks', 'shakes', 'hot'] as const).map((x) => ['run.idles', x] as const),
    ...(['head', 'valves', 'flywheel', 'leg'] as const).map((x) => ['run.noise', x] as const),
    ...(['fuel', 'oil', 'water'] as const).map((x) => ['run.leaks', x] as const),
    ...(['steam', 'none'] as const).map((x) => ['run.exhaust', x] as const),
    ...(['temperature', 'stream', 'lamp', 'smoke', 'leak', 'noise'] as const).map((x) => ['run.reason', x] as const),
    ['run.smoke', 'keeps'],
    ['run.lamp', 'came'],
    ['run.plugAfter', 'wet'],
    ['run.gears', 'fails'],
    ['run.drop', 'same']
  ];
  it.each(shown)('%s %s', (item, value) => {
    const b = readyToRun(four).read('run.event', 'start').wait(0.1).read('run.stream', 'strong');
    b.read('run.outcome', item === 'run.reason' ? 'stopped' : 'ran').read(
      item,
      value as never,
      item === 'run.drop' ? { cylinder: 2 } : {}
    );
    const f = new Follower(b.read('run.minutes', 12).read('run.event', 'stop').wait(0.1).survey);
    const made: string[] = [];
    for (let k = 0; k < MOST; k++) {
      const move = f.step(f.assessed());
      if (!move) return;
      made.push(move.id);
    }
    expect(made).toEqual([]);
  });
});
