import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { two } from '../../../test/stories/engines.ts';
import { lastMarks } from '../jobs/done.ts';
import type { JobEdit } from '../record/work.ts';
import { changed, editsOf, ownSteps } from './edits.ts';
import type { Step } from './plan.ts';

const edit = (minute: number, more: Partial<JobEdit>): JobEdit => ({
  id: `e${minute}`,
  at: new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString(),
  step: 'own-1',
  ...more
});
const withEdits = (b: Bench, ...jobs: JobEdit[]): Bench => {
  b.survey = { ...b.survey, jobs };
  return b;
};
const own = (b: Bench): Step[] => {
  const { context } = b.judged();
  return ownSteps(context, editsOf(context.survey), lastMarks(context.survey));
};
const paint = edit(0, { title: 'Paint the skeg', by: 'Maud' });

describe('a job added by hand', () => {
  it('is open, asks for nothing, and is proved by a look where nobody says where', () => {
    expect(own(withEdits(new Bench(two), paint))).toEqual([
      {
        id: 'own-1',
        title: 'Paint the skeg',
        how: '',
        why: ['Added by hand.'],
        found: ['Added by hand.'],
        tools: [],
        parts: [],
        consumables: [],
        minutes: 0,
        wait: 0,
        hazards: [],
        proof: { station: 'look', text: 'looked at again afterwards' },
        state: 'open',
        after: [],
        follows: [],
        own: true,
        edited: true
      }
    ]);
  });
  it('is none without a title, once it was dropped, or where it is of the list', () => {
    expect(own(withEdits(new Bench(two), edit(0, { minutes: 5 })))).toEqual([]);
    expect(own(withEdits(new Bench(two), paint, edit(1, { dropped: true })))).toEqual([]);
    expect(own(withEdits(new Bench(two), { ...paint, step: 'pump' }))).toEqual([]);
  });
  it('is proved by its own check, looked at after it', () => {
    const at = (b: Bench): Step['state'] => own(b)[0]!.state;
    const done = (): Bench => withEdits(new Bench(two).read('look.cowl', 'clean'), paint).done('own-1');
    expect(at(done())).toBe('done');
    expect(at(done().read('turn.result', 'free'))).toBe('done');
    expect(at(done().read('look.cowl', 'clean'))).toBe('proved');
    const elsewhere = withEdits(new Bench(two), { ...paint, station: 'turn' }).done('own-1');
    expect(at(elsewhere)).toBe('done');
    expect(at(elsewhere.read('turn.result', 'free'))).toBe('proved');
  });
  it('carries who marked it, when, and what was noted', () => {
    const b = withEdits(new Bench(two), paint).done('own-1');
    b.survey = { ...b.survey, steps: [{ ...b.survey.steps![0]!, by: 'Jory', note: 'two coats' }] };
    expect(own(b)[0]).toMatchObject({ markedAt: b.survey.steps![0]!.at, markedBy: 'Jory', note: 'two coats' });
    b.survey = { ...b.survey, steps: [{ ...b.survey.steps![0]!, state: 'not-needed' }] };
    expect(own(b)[0]!.state).toBe('not-needed');
  });
});

describe('what is changed about a job', () => {
  const [plain] = own(withEdits(new Bench(two), paint)) as [Step];
  it('is the latest word on each field, in order of time and not of the list', () => {
    const b = withEdits(new Bench(two), edit(5, { minutes: 30 }), edit(1, { minutes: 90, title: 'Prime it' }));
    expect(editsOf(b.survey).get('own-1')).toEqual({ minutes: 30, title: 'Prime it' });
  });
  it('where it goes and what it follows go with it; nothing said changes nothing', () => {
    expect(changed(plain, undefined)).toBe(plain);
    expect(changed(plain, { station: 'gear', after: ['pump'], minutes: undefined })).toEqual({
      ...plain,
      proof: { station: 'gear', text: plain.proof.text },
      after: ['pump'],
      follows: ['pump']
    });
    const until = { until: '2026-06-01', why: 'no part' };
    expect(changed(plain, { temporary: until })).toEqual({ ...plain, temporary: until });
    expect(changed(plain, { dropped: true })).not.toHaveProperty('dropped');
  });
});
