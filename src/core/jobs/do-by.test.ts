import { describe, expect, it } from 'vitest';
import { dueList } from '../care/due.ts';
import { lookedOver } from '../../../test/looked-over.ts';
import { caseTest } from '../../../test/case-test.ts';
import { Bench } from '../../../test/case.ts';

const four = { strokes: 'four', cylinders: 2, displacement: 400e-6, shift: 'shift', gearCapacity: 300e-6 } as const;
const now = new Date('2026-05-20T12:00:00.000Z');
const due = (b: Bench, at = now) => dueList([b.survey], {}, at);

describe('what may wait beyond the release', () => {
  it('half an anode opens the gate of the look-over with its date, and stands in Care', () => {
    const b = lookedOver(new Bench(four)).read('look.anodes', 'half');
    const a = b.assessed();
    expect(a.gates.find((g) => g.id === 'station.look')).toMatchObject({ condition: 'watch', passes: true });
    expect(a.gates.find((g) => g.id === 'station.look')!.sentence).toMatch(
      /Anodes, at the next haul-out: by 2 November 2026/
    );
    expect(a.steps.find((s) => s.id === 'anodes')).toMatchObject({ state: 'open', by: 'by 2 November 2026' });
    // It is no work that stands before the signature.
    expect(a.gates.find((g) => g.id === 'jobs')!.sentence).not.toMatch(/anodes/i);
    expect(a.moves.filter((m) => m.class < 9).map((m) => m.id)).not.toContain('job:anodes');
    expect(due(b).find((d) => d.id === 'by-anodes')).toMatchObject({ day: '2026-11-02', state: 'later' });
    expect(due(b, new Date('2026-12-01T12:00:00.000Z')).find((d) => d.id === 'by-anodes')!.state).toBe('overdue');
  });
  it('an anode that is gone waits for nothing', () => {
    const b = new Bench(four).read('look.anodes', 'gone');
    expect(b.assessed().steps.find((s) => s.id === 'anodes')!.by).toBeUndefined();
    expect(due(b).map((d) => d.id)).not.toContain('by-anodes');
  });
  it('beside a watch without a date the gate needs its reason as before', () => {
    const b = lookedOver(new Bench(four)).read('look.anodes', 'half').read('look.swivel', 'stiff');
    expect(b.assessed().gates.find((g) => g.id === 'station.look')!.passes).toBe(false);
  });
  it('renewed after all, nothing is dated', () => {
    const b = new Bench(four).read('look.anodes', 'half').done('anodes');
    expect(due(b).map((d) => d.id)).not.toContain('by-anodes');
    expect(b.assessed().gates.find((g) => g.id === 'station.look')!.passes).toBe(false);
  });
  it('lash that was set is looked at again after five hours of running', () => {
    const b = new Bench(four, 'neglected', { hours: 120, hoursAMonth: 10 })
      .read('compression.lashEx', 0, { cylinder: 1 })
      .done('lash');
    expect(due(b).find((d) => d.id === 'by-lash')).toMatchObject({ atHours: 125, title: 'Valve lash again' });
  });
  it('gear oil that had water and a case that held is looked at again, and is no reason against the release', () => {
    const b = caseTest(
      new Bench(four, 'neglected', { hours: 40 }).read('gear.first', 'milky').read('gear.look', 'milky')
    )
      .read('gear.look', 'clear')
      .read('gear.washers', 'yes')
      .read('gear.refill', 'service');
    expect(due(b).find((d) => d.id === 'by-gear-oil')).toMatchObject({ atHours: 45 });
    expect(b.holds()).not.toContain('gear-water');
    // Water seen after that fill came in since: it is a hold again, and no date opens its gate.
    b.read('gear.water', 30e-6);
    expect(due(b).map((d) => d.id)).not.toContain('by-gear-oil');
    expect(b.assessed().gates.find((g) => g.id === 'station.gear')!.passes).toBe(false);
  });
  it('an engine that nothing was put off on has no dates of that kind', () => {
    expect(due(new Bench(four)).filter((d) => d.id.startsWith('by-'))).toEqual([]);
  });
});
