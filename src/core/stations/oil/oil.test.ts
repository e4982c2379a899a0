import { describe, expect, it } from 'vitest';
import { contextOf, type Context } from '../../findings/context.ts';
import { Bench } from '../../../../test/case.ts';
import { changes, pourOf } from './changes.ts';
import { dips, levelVolume } from './position.ts';
import { dilutedShare } from '../../physics/viscosity.ts';
import { dilutedViscosity, rivals } from './rivals.ts';

const at = (b: Bench): Context => contextOf(b.survey, new Date('2026-05-03'), 'metric');
const four = { strokes: 'four', sumpWithFilter: 3e-3, sumpWithoutFilter: 2.7e-3 } as const;
/** A stick with 12 mm and 600 mL between its marks. */
const stick = (): Bench => new Bench(four).read('oil.markGap', 12e-3).read('oil.markVolume', 0.6e-3);
const dip = (b: Bench, ...mm: number[]): Bench => {
  for (const x of mm) b.read('oil.dipAt', x / 1000);
  return b;
};

describe('what a laboratory and a nose say', () => {
  const lab = (used: number, fresh?: number): Bench => {
    const b = stick().read('oil.viscosity', used);
    return fresh === undefined ? b : b.read('oil.viscosityFresh', fresh);
  };
  it('a viscosity without that of the fresh oil says nothing', () => {
    expect(lab(7.2).ids()).toContain('oil.laboratory:cannot-tell');
  });
  it.each([
    [10.4, 'sound'],
    [7.2, 'fault'],
    [8.7, 'watch'],
    [9.7, 'cannot-tell'],
    [12, 'watch']
  ])('%f mm²/s where fresh has 10.5: %s', (used, is) => {
    expect(lab(used, 10.5).ids()).toContain(`oil.laboratory:${is}`);
  });
  it('the share solves the blend: six per cent by volume thins 10.5 to what the blend gives', () => {
    expect(dilutedShare(dilutedViscosity(0.06), 10.5, 0.33, 0.74, 0.86)).toBeCloseTo(0.06, 9);
    expect(dilutedShare(11, 10.5, 0.33, 0.74, 0.86)).toBe(0);
  });
  it('a trace of smell is no job, a plain one a question, a strong one a watch', () => {
    const smell = (s: 'faint' | 'fuel' | 'strong'): Bench => stick().read('oil.smell', s);
    expect(smell('faint').ids()).toContain('oil.smell:sound');
    expect(smell('fuel').ids()).toContain('oil.smell:cannot-tell');
    expect(smell('strong').ids()).toContain('oil.thin:watch');
    for (const s of ['faint', 'fuel'] as const)
      expect(
        smell(s)
          .assessed()
          .steps.filter((x) => x.state === 'open' && x.id.startsWith('oil'))
          .map((x) => x.id)
      ).toEqual([]);
  });
  it('a fill known as a range speaks only with both its ends', () => {
    const b = dip(stick(), 20, 20).read('oil.lastFill', 2.5e-3);
    const says = (x: Bench): string =>
      x
        .judged()
        .findings.find((f) => f.id === 'oil.dip')!
        .because.inputs.join();
    expect(says(b)).toMatch(/no more was poured in/);
    expect(says(b.read('oil.lastFillMost', 3.4e-3))).not.toMatch(/poured in than the sump/);
  });
  it('dips too soon after filling say nothing; two across a run are no repeat', () => {
    const early = dip(stick().read('oil.waited', 1), 6, 6);
    expect(early.ids()).toContain('oil.early:cannot-tell');
    expect(early.holds()).toContain('oil');
    const run = dip(stick(), 6).read('run.event', 'start');
    expect(dip(run, 6).ids()).toContain('oil.dip:cannot-tell');
    expect(dip(run, 6).ids()).toContain('oil.dip:sound');
  });
});

describe('the level on the stick', () => {
  it('two dips within two millimetres are one level; further apart they do not agree', () => {
    expect(dips(at(dip(stick(), 5, 6.5)))).toMatchObject({ agree: true, position: 'between' });
    expect(dips(at(dip(stick(), 5, 9)))).toMatchObject({ agree: false });
    expect(dip(stick(), 5, 9).said('oil.dip')).toMatch(/do not agree/);
  });
  it('becomes a volume by the marks: over, under, and what brings it to the middle', () => {
    const over = levelVolume(at(dip(stick(), 20, 20)))!;
    expect(over.beyond).toBeCloseTo(0.4e-3, 9);
    expect(over.toMiddle).toBeCloseTo(-0.7e-3, 9);
    const under = levelVolume(at(dip(stick(), -4, -4)))!;
    expect(under.beyond).toBeCloseTo(-0.2e-3, 9);
    expect(dip(stick(), -4, -4).said('oil.dip')).toMatch(/below the low mark\. Add 16\.9 fl oz to stand in the middle/);
  });
  it('without the oil between the marks there is no volume, only the mark', () => {
    expect(levelVolume(at(dip(new Bench(four), 20, 20)))).toBeUndefined();
    expect(dips(at(dip(new Bench(four), 20, 20))).position).toBe('above');
  });
  it('words and millimetres are one list: the last two count', () => {
    const b = stick().read('oil.dip', 'above').read('oil.dipAt', 6e-3).read('oil.dip', 'between');
    expect(dips(at(b))).toMatchObject({ agree: true, position: 'between' });
  });
  it('dips before oil was poured or drawn are those of another level', () => {
    const b = dip(stick(), -4, -4).read('oil.poured', 0.5e-3);
    expect(dips(at(b)).last).toEqual([]);
    expect(dips(at(dip(b, 6, 6))).position).toBe('between');
  });
  it('not level is no dip, and the hold stays', () => {
    const b = dip(stick(), 6, 6).read('oil.level', 'no');
    expect(b.ids()).toContain('oil.level:cannot-tell');
    expect(b.holds()).toContain('oil');
    expect(b.read('oil.level', 'yes').holds()).toContain('oil');
    expect(dip(b, 6, 6).holds()).not.toContain('oil');
  });
});

describe('overfilled or diluted', () => {
  const above = (): Bench => dip(stick(), 18, 18);
  it('nothing looked at is even odds and cannot be told', () => {
    expect(rivals(at(above()))).toMatchObject({ dilution: 0.5, verdict: 'cannot-tell', weights: [] });
    expect(above().ids()).toContain('oil.dip:cannot-tell');
  });
  it('fuel on the nose and a level that rose speak for dilution', () => {
    const b = above().read('oil.smell', 'fuel').read('oil.lastMark', 'between');
    expect(rivals(at(b)).verdict).toBe('diluted');
    expect(b.ids()).toContain('oil.dip:fault');
  });
  it('too much poured in and no smell speak for overfilling, a watch and not a fault', () => {
    const b = above().read('oil.smell', 'oil').read('oil.lastFill', 3.4e-3);
    expect(rivals(at(b)).verdict).toBe('overfilled');
    expect(b.said('oil.dip')).toMatch(/overfilled rather than diluted: .*Draw it down/);
    expect(b.ids()).toContain('oil.dip:watch');
  });
  it('one against the other cannot be told', () => {
    const b = above().read('oil.smell', 'fuel').read('oil.lastMark', 'above');
    expect(rivals(at(b)).verdict).toBe('cannot-tell');
  });
  it('the share follows from what stands over the mark; under the limit it is watched', () => {
    const r = rivals(at(above().read('oil.lastFill', 3e-3)));
    expect(r.share).toBeCloseTo(0.3 / 3.3, 9);
    const little = dip(stick(), 13.5, 13.5)
      .read('oil.smell', 'fuel')
      .read('oil.lastMark', 'between')
      .read('oil.lastFill', 2.95e-3);
    expect(rivals(at(little)).share).toBeLessThan(0.04);
    expect(little.ids()).toContain('oil.dip:watch');
  });
  // Source: Refutas blending index; densities of petrol 0.74 and oil 0.86 kg/L.
  it('six percent by volume of fuel takes 10.5 mm²/s to about 7.17, both at 100 °C', () => {
    expect(dilutedViscosity(0.06)).toBeCloseTo(7.17, 2);
    expect(dilutedViscosity(0)).toBeCloseTo(10.5, 6);
  });
});

describe('oil changes after water', () => {
  const wet = (): Bench => new Bench(four, 'drowned', { submerged: 'yes' });
  it('the usual share stays behind until somebody measures it', () => {
    const b = wet().read('oil.changes', 2);
    expect(changes(at(b))).toMatchObject({ made: 2, share: 0.15, measured: false });
    expect(changes(at(b)).left).toBeCloseTo(0.0225, 9);
    expect(b.said('oil.residue')).toMatch(
      /After 2 oil changes about 2\.3 % .*1 more to get under 1\.0 %, 3\.0 L, about 18 cr/
    );
  });
  it('the first drain brings the water along; the later ones measure what stays', () => {
    const b = wet().read('oil.drained', 3.6e-3).read('oil.drained', 2.7e-3).read('oil.drained', 2.7e-3);
    expect(changes(at(b))).toMatchObject({ made: 3, measured: true });
    expect(changes(at(b)).share).toBeCloseTo(0.1, 9);
    expect(changes(at(b)).open).toBe(0);
    expect(b.ids()).toContain('oil.residue:sound');
  });
  it('more out than the sump holds measures nothing', () => {
    const b = wet().read('oil.drained', 3.6e-3).read('oil.drained', 3.5e-3);
    expect(changes(at(b))).toMatchObject({ measured: false, share: 0.15 });
  });
  it('an engine that never saw water has no residue', () => {
    expect(new Bench(four).read('oil.changes', 1).ids().join()).not.toMatch(/residue/);
  });
});

describe('the pour tally', () => {
  it('counts cups since the last drain, with the bottle and what is to go', () => {
    const b = new Bench(four)
      .read('oil.poured', 0.5e-3)
      .read('oil.drained', 2.6e-3)
      .read('oil.filter', 'renewed')
      .read('oil.bottle', 1e-3)
      .read('oil.poured', 0.5e-3)
      .read('oil.poured', 0.5e-3)
      .read('oil.poured', 0.25e-3);
    const p = pourOf(at(b), 'oil');
    expect(p).toMatchObject({ cups: 3, asked: 3e-3 });
    expect(p.left).toBeCloseTo(1.75e-3, 9);
    expect(p.bottle).toMatchObject({ opened: 2 });
    expect(p.bottle!.rest).toBeCloseTo(0.75e-3, 9);
  });
  it('without a new filter less is asked; without a capacity nothing is', () => {
    const drained = (b: Bench): Bench => b.read('oil.drained', 2.6e-3).read('oil.poured', 1e-4);
    expect(pourOf(at(drained(new Bench(four))), 'oil').asked).toBe(2.7e-3);
    expect(pourOf(at(drained(new Bench({ strokes: 'four' }))), 'oil').asked).toBeUndefined();
  });
  it('poured in with nothing drained, nobody is told to pour a whole sump', () => {
    const b = new Bench(four).read('oil.poured', 3e-4);
    expect(pourOf(at(b), 'oil').asked).toBeUndefined();
    expect(b.said('oil.')).not.toMatch(/to go/);
    expect(b.ids()).toContain('oil.poured:cannot-tell');
  });
  it('too much is watched until two dips say otherwise', () => {
    const b = new Bench(four).read('oil.filter', 'renewed').read('oil.poured', 3.3e-3);
    expect(b.ids()).toContain('oil.poured:watch');
    expect(dip(b, 6, 6).ids()).toContain('oil.poured:sound');
  });
  it('the old seal of the filter comes off first', () => {
    const b = new Bench(four).read('oil.filter', 'stuck');
    expect(b.ids()).toContain('oil.filter:fault');
    expect(b.assessed().steps.map((s) => s.id)).toContain('oil-filter');
  });
});
