import { judged, opened } from '../../../../test/judged.ts';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ItemId } from '../../../core/stations/items.ts';
import { emptySurvey } from '../../../core/record/survey-file.ts';
import { surveyFileSchema } from '../../../core/survey/schema.ts';
import { standing } from '../../../core/record/current.ts';
import type { Session } from './session.svelte.ts';

let sent: { entries: unknown[]; facts: unknown[] };
let clock = 0;
beforeEach(() => {
  clock = Date.parse('2026-05-02T08:00:00.000Z');
  vi.useFakeTimers({ now: clock });
  sent = { entries: [], facts: [] };
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} });
  vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
    const body = JSON.parse(init.body) as typeof sent;
    sent.entries.push(...body.entries);
    sent.facts.push(...body.facts);
    return new Response(JSON.stringify({ entries: [], facts: [], refused: [] }));
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const open = (): Session =>
  judged(opened(emptySurvey('neglected', '2026-05-02T07:00:00.000Z', 'T'), { now: '2026-05-02T08:00:00.000Z' }));
const now = (s: Session): [ItemId, unknown][] => standing(s.survey).map((r) => [r.what, r.value]);

describe('recording', () => {
  it('a choice corrected supersedes the one before; both stay in the record', () => {
    const s = open();
    s.read('fuel.level', 'some');
    s.read('fuel.level', 'full');
    expect(now(s)).toEqual([['fuel.level', 'full']]);
    expect(s.survey.readings).toHaveLength(2);
    expect(s.survey.readings[1]?.supersedes).toBe(s.survey.readings[0]?.id);
  });
  it('an answer of an earlier run stays beside that of the next one', () => {
    const s = open();
    s.read('run.event', 'start');
    s.read('run.leaks', 'fuel');
    s.read('run.leaks', 'oil');
    expect(standing(s.survey).filter((r) => r.what === 'run.leaks')).toHaveLength(1);
    vi.advanceTimersByTime(60_000);
    s.read('run.event', 'stop');
    s.read('run.event', 'start');
    vi.advanceTimersByTime(60_000);
    s.read('run.leaks', 'none');
    expect(
      standing(s.survey)
        .filter((r) => r.what === 'run.leaks')
        .map((r) => r.value)
    ).toEqual(['oil', 'none']);
    expect(judged(s).judgement.findings.map((f) => f.id)).toContain('run.leaks');
  });
  it('what was seen before work on it is of before: the same answer again stands beside it', () => {
    const s = open();
    s.read('fuel.filter', 'clogged');
    vi.advanceTimersByTime(60_000);
    s.mark('fuel-filter', 'done');
    judged(s);
    expect(s.standing('fuel.filter')).toBeUndefined();
    expect(s.current('fuel.filter')?.value).toBe('clogged');
    vi.advanceTimersByTime(60_000);
    s.read('fuel.filter', 'clogged');
    expect(now(s)).toEqual([
      ['fuel.filter', 'clogged'],
      ['fuel.filter', 'clogged']
    ]);
    expect(s.standing('fuel.filter')?.id).toBe(s.survey.readings[1]?.id);
  });
  it('a gear that followed, and does not at a later look: both looks stand, and when it went wrong is known', () => {
    const s = open();
    s.read('turn.forward', 'follows');
    vi.advanceTimersByTime(60 * 60_000);
    s.read('turn.forward', 'no');
    expect(now(s)).toEqual([
      ['turn.forward', 'follows'],
      ['turn.forward', 'no']
    ]);
    s.read('turn.forward', 'slips');
    expect(now(s).map(([, v]) => v)).toEqual(['follows', 'slips']);
  });
  it('what does not go away by itself is put right at once, and looked at again later', () => {
    const s = open();
    s.read('fuel.jar', 'layers');
    s.read('fuel.jar', 'clear');
    expect(now(s)).toEqual([['fuel.jar', 'clear']]);
    s.read('fuel.jar', 'layers');
    vi.advanceTimersByTime(10 * 60_000);
    s.read('fuel.jar', 'clear');
    expect(judged(s).judgement.findings.map((f) => f.id)).toContain('fuel.again-jar');
  });
  it('repeats stand side by side, and one of them can be corrected or taken back', () => {
    const s = open();
    for (const psi of [98, 99, 140]) s.read('compression.pressure', psi * 6894.757, { cylinder: 1, typed: `${psi}` });
    const [, , wrong] = standing(s.survey);
    s.correct(wrong!, 100 * 6894.757, '100');
    expect(standing(s.survey).map((r) => r.typed)).toEqual(['98', '99', '100']);
    s.correct(standing(s.survey)[0]!, undefined);
    expect(standing(s.survey).map((r) => r.typed)).toEqual(['99', '100']);
    expect(s.survey.readings).toHaveLength(5);
  });
  it('a correction keeps the moment of its measurement', () => {
    const s = open();
    s.read('compression.pressure', 98 * 6894.757, { cylinder: 1 });
    const at = s.survey.readings[0]!.at;
    vi.advanceTimersByTime(3_600_000);
    s.correct(standing(s.survey)[0]!, 100 * 6894.757, '100');
    expect(standing(s.survey)[0]!.at).toBe(at);
  });
  it('a state that readings were taken under stays beside its successor; a slip with nothing read under it is replaced', () => {
    const s = open();
    s.read('spark.lanyard', 'yes');
    s.read('spark.lanyard', 'no');
    expect(now(s)).toEqual([['spark.lanyard', 'no']]);
    s.read('spark.result', 'none', { cylinder: 1 });
    s.read('spark.lanyard', 'yes');
    expect(
      now(s)
        .filter(([w]) => w === 'spark.lanyard')
        .map(([, v]) => v)
    ).toEqual(['no', 'yes']);
  });
  it('carries who and when, in order even within one millisecond', () => {
    const s = open();
    s.read('fuel.level', 'some');
    s.read('fuel.bulb', 'firm');
    const [a, b] = s.survey.readings;
    expect(a?.by).toBe('Ines');
    expect(a!.at < b!.at).toBe(true);
  });
  it('what is being typed is judged, and is not in the record', () => {
    const s = open();
    s.preview = s.reading('gear.magnet', 'pieces');
    expect(judged(s).judgement.findings.map((f) => f.id)).toContain('gear.metal');
    expect(s.survey.readings).toHaveLength(0);
  });
  it('is sent as it is kept', async () => {
    const s = open();
    s.read('fuel.level', 'some');
    s.fact('profile.strokes', 'two');
    await vi.runAllTimersAsync();
    expect(sent.entries).toEqual([{ type: 'reading', body: s.survey.readings[0] }]);
    expect(sent.facts).toEqual([expect.objectContaining({ path: 'profile.strokes', value: 'two' })]);
  });
});

describe('undo', () => {
  it('takes back a first reading, and brings back the one a correction replaced', () => {
    const s = open();
    s.read('fuel.level', 'some');
    s.read('fuel.level', 'full');
    expect(s.undo()).toBe('In the tank');
    expect(now(s)).toEqual([['fuel.level', 'some']]);
    s.undo();
    expect(now(s)).toEqual([]);
    expect(s.undo()).toBeUndefined();
  });
  it('puts a fact back to what it was, or to not asked', () => {
    const s = open();
    s.fact('profile.cylinders', 3);
    s.fact('profile.cylinders', 4);
    s.undo();
    expect(s.survey.engine.profile.cylinders).toBe(3);
    s.undo();
    expect(s.survey.engine.profile).toEqual({});
  });
  it('takes back an override and a mark', () => {
    const s = open();
    s.read('fuel.jar', 'layers');
    s.override('fuel', 'portable tank');
    expect(judged(s).judgement.holds.find((h) => h.id === 'fuel')?.override).toBeDefined();
    s.undo();
    expect(judged(s).judgement.holds.find((h) => h.id === 'fuel')?.override).toBeUndefined();
    s.mark('fuel-drain', 'done');
    s.undo();
    expect(s.survey.steps?.at(-1)?.state).toBe('open');
  });
  it('of everything leaves nothing standing, whatever was done, and erases nothing', () => {
    const step = fc.oneof(
      fc.record({
        what: fc.constant('fuel.level' as const),
        value: fc.constantFrom('empty', 'some', 'full', 'unknown')
      }),
      fc.record({ what: fc.constant('cooling.screen' as const), value: fc.constantFrom('clear', 'partly', 'blocked') }),
      fc.record({ what: fc.constant('turn.result' as const), value: fc.constantFrom('bumps', 'gritty', 'locked') })
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 20 }), (steps) => {
        const s = open();
        for (const { what, value } of steps) s.read(what, value);
        while (s.undo() !== undefined);
        expect(standing(s.survey)).toEqual([]);
        expect(s.survey.readings.length).toBe(2 * steps.length);
        expect(surveyFileSchema.safeParse(s.survey).success).toBe(true);
      })
    );
  });
});

describe('rounds', () => {
  it('a re-check opens a new round: the first reading stays and is not superseded', () => {
    const s = open();
    s.read('cooling.screen', 'blocked');
    s.startRecheck('cooling');
    expect(s.current('cooling.screen')).toBeUndefined();
    s.read('cooling.screen', 'clear');
    expect(standing(s.survey).map((r) => [r.value, r.round ?? 1])).toEqual([
      ['blocked', 1],
      ['clear', 2]
    ]);
    expect(s.roundOf('cooling')).toBe(2);
  });
  it('nothing to re-check, no new round', () => {
    const s = open();
    s.startRecheck('fuel');
    expect(s.roundOf('fuel')).toBe(1);
  });
});
