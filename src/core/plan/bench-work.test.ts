import { describe, expect, it } from 'vitest';
import { checkEntryBody } from '../survey/entry-check.ts';
import type { JobEdit } from '../record/work.ts';
import { Bench } from '../../../test/case.ts';
import { planOf } from './plan.ts';
import { traitsOf } from '../jobs/register.ts';
import { walkFor } from './walk.ts';
import { whileOpen } from './while-open.ts';

const edit = (k: number, body: Omit<JobEdit, 'id' | 'at'>): JobEdit => ({
  id: `j${k}`,
  at: `2026-05-02T09:0${k}:00.000Z`,
  ...body
});
const plan = (b: Bench, jobs: JobEdit[] = []) => {
  b.survey = { ...b.survey, jobs };
  const j = b.judged();
  return planOf(j.context, j.findings);
};
const blocked = () => new Bench().read('cooling.screen', 'blocked').read('look.anodes', 'half');

describe('jobs changed by hand', () => {
  it('the latest word on each field counts, and the rest stays', () => {
    const [screen] = plan(blocked(), [
      edit(1, { step: 'screen', minutes: 25, tools: ['pick'] }),
      edit(2, { step: 'screen', minutes: 12 })
    ]).filter((s) => s.id === 'screen');
    expect(screen).toMatchObject({ minutes: 12, tools: ['pick'], edited: true });
    expect(screen!.why[0]).toMatch(/screens are blocked/);
  });
  it('a job of one’s own is planned, done, proved and dropped', () => {
    const own = { step: 'own-1', title: 'Paint the skeg', minutes: 40, station: 'look' } as const;
    expect(plan(new Bench(), [edit(1, own)])).toMatchObject([{ id: 'own-1', own: true, state: 'open', minutes: 40 }]);
    expect(plan(new Bench().done('own-1'), [edit(1, own)])[0]!.state).toBe('done');
    expect(plan(new Bench().done('own-1').read('look.cowl', 'clean'), [edit(1, own)])[0]!.state).toBe('proved');
    expect(plan(new Bench(), [edit(1, own), edit(2, { step: 'own-1', dropped: true })])).toEqual([]);
  });
  it('jobs that wait for one another are still listed, once each', () => {
    const list = plan(new Bench(), [
      edit(1, { step: 'own-a', title: 'a', after: ['own-b'] }),
      edit(2, { step: 'own-b', title: 'b', after: ['own-a'] })
    ]);
    expect(list.map((s) => s.id).sort()).toEqual(['own-a', 'own-b']);
  });
  it('a temporary repair carries its day; taking it back takes it away', () => {
    const until = { until: '2026-08-01', why: 'sleeve over a groove' };
    const s = plan(blocked(), [edit(1, { step: 'screen', temporary: until })]).find((x) => x.id === 'screen');
    expect(s!.temporary).toEqual(until);
    expect(
      plan(blocked(), [
        edit(1, { step: 'screen', temporary: until }),
        edit(2, { step: 'screen', temporary: null })
      ]).find((x) => x.id === 'screen')!.temporary
    ).toBeUndefined();
  });
  it('a soak that goes on holds up what follows it', () => {
    const b = new Bench().read('turn.result', 'locked').done('soak');
    const soak = plan(b).find((s) => s.id === 'soak')!;
    expect(Date.parse(soak.busyUntil!) - Date.parse(soak.markedAt!)).toBe(1440 * 60_000);
  });
  it.each([
    ['a name that is none', { step: 'screen', title: ' ' }, /name the job/],
    ['minutes under nothing', { step: 'screen', minutes: -5 }, /minutes are not negative/],
    ['a wait of years', { step: 'screen', wait: 9e9 }, /over a year/],
    ['a step that is no name', { step: '../x' }, /called by letters/],
    ['a day that is none', { step: 'screen', temporary: { until: '31.5.', why: 'so' } }, /a date is written/]
  ])('refuses %s with a sentence', (_, body, message) => {
    const r = checkEntryBody('job', { id: 'a', at: '2026-05-02T09:00:00.000Z', ...body });
    expect(r).toMatchObject({ ok: false, message: expect.stringMatching(message) });
  });
});

describe('while it is open', () => {
  it('two jobs behind one door save the opening of it', () => {
    const list = plan(
      new Bench()
        .read('cooling.opened', 'yes')
        .read('cooling.missing', 2)
        .read('cooling.tube', 'corroded' as 'unknown')
    );
    const legs = list.filter((s) => traitsOf(s.id).opens?.includes('leg'));
    const leg = whileOpen(list).find((d) => d.opening === 'leg');
    expect(leg?.saved).toBe((legs.length - 1) * 30);
    expect(leg?.looks.map((l) => l.text).join()).toMatch(/splines/);
  });
  it('one walk carries everything once, special tools apart', () => {
    const list = plan(new Bench().read('cooling.screen', 'blocked').read('gear.magnet', 'slivers'));
    const walk = walkFor(list, [{ tools: ['pick', 'clear jar'] }]);
    expect(walk.tools.filter((t) => t === 'pick').length).toBe(1);
    expect(walk.tools).toContain('clear jar');
    expect(walk.special).toContain('carrier puller');
    expect(walk.tools).not.toContain('carrier puller');
  });
});
