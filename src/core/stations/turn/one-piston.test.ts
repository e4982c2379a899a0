import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { pistonDepths } from './depths.ts';

const sunk = (running: 'yes' | 'no' = 'yes', cylinders = 1): Bench =>
  new Bench({ strokes: 'four', cylinders }, 'drowned', { submerged: 'yes', water: 'fresh', runningWhenSunk: running })
    .read('turn.plugs', 'out')
    .read('turn.result', 'free')
    .read('turn.result', 'free');
const depth = (b: Bench, ...values: number[]): Bench =>
  values.reduce((x, v) => x.read('turn.depth', v, { cylinder: 1 }), b);
const holdOf = (b: Bench) => b.judged().holds.find((h) => h.id === 'drowned-running');
const need = (b: Bench) => holdOf(b)!.needs.find((n) => n.items?.includes('turn.depth') || n.never)!;

describe('one piston that ran when it sank', () => {
  it('has no other to be laid beside: the figure of a straight rod is asked for', () => {
    const b = depth(sunk(), 0.06, 0.06);
    expect(pistonDepths(b.judged().context)).toMatchObject({ alone: true, agree: undefined });
    expect(b.ids()).toContain('turn.depths:cannot-tell');
    expect(need(b)).toMatchObject({ done: false, items: ['turn.depth', 'turn.depthRight'] });
    expect(
      b
        .assessed()
        .moves.slice(0, 4)
        .flatMap((m) => m.items ?? [])
    ).toContain('turn.depthRight');
  });
  it('lifts its hold by a depth that agrees with that figure with its whole interval', () => {
    expect(holdOf(depth(sunk(), 0.06, 0.06).read('turn.depthRight', 0.06))).toBeUndefined();
    // A hair from the tolerance on either side is told by neither end.
    for (const by of [0.2e-3, -0.2e-3])
      expect(need(depth(sunk(), 0.06 + by, 0.06 + by).read('turn.depthRight', 0.06))).toMatchObject({ done: false });
  });
  it('is a bent rod where it stands lower, and no straight one where it stands higher', () => {
    const low = depth(sunk(), 0.062, 0.062).read('turn.depthRight', 0.06);
    expect(low.ids()).toContain('turn.depth.1:fault');
    expect(need(low)).toMatchObject({ never: true });
    const high = depth(sunk(), 0.058, 0.058).read('turn.depthRight', 0.06);
    expect(high.ids()).toContain('turn.depths:cannot-tell');
    expect(need(high)).toMatchObject({ done: false });
  });
  it('goes to a specialist where nobody has the figure, and the list does not ask for the depth for ever', () => {
    const b = depth(sunk(), 0.06, 0.06).read('turn.depthRight', 'unknown');
    expect(need(b)).toMatchObject({ done: false, never: true });
    const ids = b.assessed().moves.map((m) => m.id);
    expect(ids).not.toContain('drowned:depths');
    expect(ids).toContain('ask:drowned-running');
  });
  it('says nothing of an engine that did not run when it sank', () => {
    expect(
      depth(sunk('no'), 0.06)
        .ids()
        .filter((id) => id.startsWith('turn.depths'))
    ).toEqual([]);
  });
  it('several pistons may all be bent alike: the figure tells that too', () => {
    const b = [1, 2].reduce(
      (x, cylinder) => x.read('turn.depth', 0.0615, { cylinder }).read('turn.depth', 0.0615, { cylinder }),
      sunk('yes', 2)
    );
    expect(pistonDepths(b.judged().context).agree).toBe(true);
    expect(pistonDepths(b.read('turn.depthRight', 0.06).judged().context)).toMatchObject({ agree: false, low: [1, 2] });
  });
});
