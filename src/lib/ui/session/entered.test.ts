import { judged, opened } from '../../../../test/judged.ts';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { worked } from '../../../../test/worked.ts';
import { assess } from '../../../core/assess.ts';
import { Attempt } from '../../../core/practice/attempt.ts';
import { drawTruth } from '../../../core/practice/truth.ts';
import type { ItemId } from '../../../core/stations/items.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} });
  vi.stubGlobal('fetch', async () => new Response(JSON.stringify({ entries: [], facts: [], refused: [] })));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** Between two entries, ms: later than a slip that is put right. */
const APART = 150_000;

/** The same survey, nothing in it nearer to the entry before than {@link APART}. */
function unhurried(s: SurveyFile): SurveyFile {
  const moments = [...new Set([...s.readings, ...(s.steps ?? [])].map((x) => x.at))].sort();
  const moved = new Map<string, string>();
  let last = 0;
  let shift = 0;
  for (const at of moments) {
    const was = Date.parse(at);
    if (last) shift += Math.max(0, APART - (was + shift - last));
    last = was + shift;
    moved.set(at, new Date(last).toISOString());
  }
  return {
    ...s,
    readings: s.readings.map((r, k) => ({ ...r, at: new Date(Date.parse(moved.get(r.at)!) + k).toISOString() })),
    steps: (s.steps ?? []).map((m) => ({ ...m, at: moved.get(m.at)! }))
  };
}

/** Every entry made at the screen, one after the other, where an answer may take the place of the one before it. */
function enteredAtTheScreen(s: SurveyFile): SurveyFile {
  const session = judged(opened({ ...s, readings: [], steps: [] }, { now: s.assessment.startedAt }));
  const entries = [
    ...s.readings.map((r) => ({
      at: r.at,
      make: () => {
        const { cylinder, conditions, instrument } = r;
        session.read(r.what as ItemId, r.value, {
          ...(cylinder === undefined ? {} : { cylinder }),
          ...(conditions ? { conditions } : {}),
          ...(instrument ? { instrument } : {})
        });
      }
    })),
    ...(s.steps ?? []).map((m) => ({
      at: m.at,
      make: () => {
        session.mark(m.step, m.state);
        judged(session);
      }
    }))
  ].sort((a, b) => (a.at < b.at ? -1 : 1));
  for (const e of entries) {
    vi.setSystemTime(Date.parse(e.at));
    e.make();
  }
  return { ...s, readings: session.survey.readings, steps: session.survey.steps ?? [] };
}

function judgedAs(s: SurveyFile): string[] {
  const last = [...s.readings, ...(s.steps ?? [])].map((x) => x.at).sort();
  const a = assess(s, new Date(Date.parse(last.at(-1) ?? s.assessment.startedAt) + 60_000), 'us');
  return [
    ...a.findings.filter((f) => f.condition !== 'sound').map((f) => `${f.id} ${f.cylinder ?? ''} ${f.condition}`),
    ...a.holds.map((h) => `hold ${h.id}`),
    `first ${a.moves[0]?.title}`
  ].sort();
}

/** Engines of the practice yard, followed move by move: they are read, mended and read again. */
const practised = ['usual 905', 'usual 924', 'usual 1001', 'usual 1023', 'usual 1034', 'one 902'].map((seed) => {
  const attempt = new Attempt(drawTruth(seed, { faults: seed.startsWith('one') ? 'one' : 'usual' }));
  for (let n = 0; n < 60; n++) if (!attempt.follow(attempt.assessed().moves[0]!)) break;
  return [seed, attempt.survey] as const;
});

it.each([...worked, ...practised])('%s: entered at the screen it is judged as it is written', (_, survey) => {
  const written = unhurried(survey);
  const entered = enteredAtTheScreen(written);
  expect(judgedAs(entered)).toEqual(judgedAs(written));
});
