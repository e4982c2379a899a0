import { describe, expect, it } from 'vitest';
import { gatesOf } from '../gates/gates.ts';
import { Bench } from '../../../test/case.ts';
import type { TrayMark, TrayPart, TrayState } from '../record/work.ts';
import { partSaid, refitOrder, trayLeft, trayOf } from './tray.ts';

const minute = (k: number): string => new Date(Date.UTC(2026, 4, 2, 9, k)).toISOString();
const part = (k: number, more: Partial<TrayPart> = {}): TrayPart => ({
  id: `p${k}`,
  at: minute(k),
  name: `bolt ${k}`,
  ...more
});
const mark = (k: number, state: TrayState, more: Partial<TrayMark> = {}): TrayMark => ({
  id: `m${k}${state}`,
  at: minute(30 + k),
  part: `p${k}`,
  state,
  ...more
});
const bench = (tray: TrayPart[], trayMarks: TrayMark[] = []) => {
  const b = new Bench();
  b.survey = { ...b.survey, tray, trayMarks };
  return b;
};
const trayGate = (b: Bench) => {
  const j = b.judged();
  return gatesOf(j.context, j.findings, j.holds, []).find((g) => g.id === 'tray')!;
};
const ten = Array.from({ length: 10 }, (_, k) => part(k + 1, { size: 'M8', length: 0.04, place: `hole ${k + 1}` }));

describe('the tray', () => {
  it('ten off, nine refitted: the gate stays shut and names the missing one', () => {
    const gate = trayGate(
      bench(
        ten,
        ten.filter((_, k) => k !== 6).map((p) => mark(Number(p.id.slice(1)), 'refitted'))
      )
    );
    expect(gate.passes).toBe(false);
    expect(gate.reasonOpens).toBe(false);
    expect(gate.sentence).toBe('Still on the tray: bolt 7, M8 × 40 mm, hole 7.');
  });
  it('all ten back: it is through', () => {
    const gate = trayGate(
      bench(
        ten,
        ten.map((p) => mark(Number(p.id.slice(1)), 'refitted'))
      )
    );
    expect(gate.passes).toBe(true);
    expect(gate.sentence).toMatch(/All 10 parts/);
  });
  it('goes back in the reverse of the order it came off', () => {
    const list = trayOf(bench([part(2), part(1), part(3)]).survey);
    expect(list.map((t) => t.number)).toEqual([1, 2, 3]);
    expect(list.map((t) => t.part.name)).toEqual(['bolt 1', 'bolt 2', 'bolt 3']);
    expect(refitOrder(list).map((t) => t.part.name)).toEqual(['bolt 3', 'bolt 2', 'bolt 1']);
  });
  it('what goes on once only has to be new', () => {
    const once = [part(1, { name: 'gasket', oneTime: true })];
    expect(trayLeft(trayOf(bench(once, [mark(1, 'refitted')]).survey))).toMatch(
      /Goes on once only and was put back: gasket/
    );
    expect(trayLeft(trayOf(bench(once, [mark(1, 'renewed')]).survey))).toBeUndefined();
  });
  it('what stays off needs a word why', () => {
    expect(trayLeft(trayOf(bench([part(1)], [mark(1, 'explained')]).survey))).toMatch(/without a word why/);
    expect(
      trayLeft(trayOf(bench([part(1)], [mark(1, 'explained', { note: 'broken clip, not fitted any more' })]).survey))
    ).toBeUndefined();
  });
  it('a correction keeps the place in the order, a part taken back is gone, and marks survive both', () => {
    const b = bench(
      [
        part(1),
        part(2),
        part(1, { id: 'q', at: minute(9), name: 'stud', supersedes: 'p1' }),
        part(2, { id: 'r', at: minute(10), supersedes: 'p2', withdrawn: true })
      ],
      [mark(1, 'refitted')]
    );
    expect(trayOf(b.survey)).toEqual([
      expect.objectContaining({
        number: 1,
        state: 'refitted',
        open: false,
        part: expect.objectContaining({ id: 'p1', name: 'stud' })
      })
    ]);
  });
  it('two people, two words: the later one counts; off again opens it', () => {
    const b = bench([part(1)], [mark(1, 'refitted'), mark(1, 'off', { at: minute(50) })]);
    expect(trayOf(b.survey)[0]).toMatchObject({ state: 'off', open: true });
  });
  it('says a part in one line', () => {
    expect(partSaid(part(1, { length: 0.0125 }))).toBe('bolt 1, 12.5 mm');
    expect(partSaid(part(1, { size: 'M6', place: 'left' }))).toBe('bolt 1, M6, left');
  });
});
