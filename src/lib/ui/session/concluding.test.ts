import type { MessagePort } from 'node:worker_threads';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { judged as judgedAtOnce } from '../../../core/assess.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { applyDelta, type SurveyDelta } from '../../../core/survey/delta.ts';
import { judgeAsked, type JudgeAsked, type Suspects } from '../../workers/judging.ts';
import { ChannelWorker } from '../../../../test/channel-worker.ts';
import { Bench } from '../../../../test/case.ts';
import { opened } from '../../../../test/judged.ts';
import { Concluding } from './concluding.svelte.ts';
import type { Session } from './session.svelte.ts';

/** A worker that is a message channel with the same code behind it; its answers can be held back. */
const ports: MessagePort[] = [];
let deltas: SurveyDelta[];
let gate: Promise<void>;
let kept: SurveyFile | undefined;
class FakeWorker extends ChannelWorker {
  constructor() {
    kept = undefined;
    const judge = async (delta: SurveyDelta, asked: JudgeAsked, weighed?: { readonly suspects: Suspects }) => {
      deltas.push(delta);
      kept = applyDelta(kept, delta);
      const answer = judgeAsked(kept, asked, weighed?.suspects);
      await gate;
      return answer;
    };
    super({ judge }, ports);
  }
}
beforeEach(() => {
  [deltas, gate] = [[], Promise.resolve()];
  vi.stubGlobal('Worker', FakeWorker);
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} });
  vi.stubGlobal('fetch', () => new Promise(() => undefined));
});
afterEach(() => {
  vi.unstubAllGlobals();
  for (const p of ports.splice(0)) p.close();
});

const open = (b = new Bench()): Session => opened(b.survey);
const found = (s: Session): string[] => s.judgement.findings.map((f) => f.id);
const settled = (): Promise<void> => new Promise((r) => setTimeout(r, 60));

describe('findings and holds judged beside the page', () => {
  it('are those that the core concludes', async () => {
    const s = open();
    const beside = new Concluding(s);
    s.read('gear.magnet', 'pieces');
    beside.ask();
    await vi.waitFor(() => expect(found(s)).toContain('gear.metal'));
    const expected = judgedAtOnce(s.survey, s.now, 'us');
    expect(s.judgement.findings).toEqual(expected.findings);
    expect(s.judgement.holds).toEqual(expected.holds);
    beside.end();
  });
  it('the survey is told once, and after that what was added', async () => {
    const s = open();
    const beside = new Concluding(s);
    await beside.warm();
    s.read('fuel.jar', 'layers');
    beside.ask();
    await vi.waitFor(() => expect(found(s).some((id) => id.startsWith('fuel.'))).toBe(true));
    expect(
      deltas.map((d) => ('whole' in d ? 'whole' : d.added.map(([list, more]) => `${list} ${more.length}`)))
    ).toEqual(['whole', ['readings 1']]);
    beside.end();
  });
  it('what changes while one judgement is under way is judged once, as it stands then', async () => {
    const s = open();
    const beside = new Concluding(s);
    let release = (): void => undefined;
    gate = new Promise((r) => (release = r));
    s.read('gear.magnet', 'fuzz');
    beside.ask();
    await vi.waitFor(() => expect(deltas).toHaveLength(1));
    for (const jar of ['clear', 'layers', 'red']) {
      s.read('fuel.jar', jar);
      beside.ask();
    }
    release();
    await vi.waitFor(() => expect(deltas).toHaveLength(2));
    await settled();
    expect(deltas).toHaveLength(2);
    expect(s.judgement.findings).toEqual(judgedAtOnce(s.survey, s.now, 'us').findings);
    beside.end();
  });
  it('a number half typed is judged and not fitted', async () => {
    const s = open();
    const beside = new Concluding(s);
    const asked = vi.spyOn(s.leaks, 'ask').mockResolvedValue();
    s.preview = s.reading('gear.magnet', 'pieces');
    beside.ask();
    await vi.waitFor(() => expect(found(s)).toContain('gear.metal'));
    expect(asked).not.toHaveBeenCalled();
    s.preview = undefined;
    beside.ask();
    await vi.waitFor(() => expect(found(s)).not.toContain('gear.metal'));
    expect(asked).toHaveBeenCalledTimes(1);
    beside.end();
  });
  it('where no worker can be had, or one gives up, the page judges by itself', async () => {
    vi.stubGlobal(
      'Worker',
      class {
        constructor() {
          throw new Error('no workers here');
        }
      }
    );
    const s = open();
    const beside = new Concluding(s);
    s.read('gear.magnet', 'pieces');
    beside.ask();
    await vi.waitFor(() => expect(found(s)).toContain('gear.metal'));
    s.read('fuel.jar', 'layers');
    beside.ask();
    await vi.waitFor(() => expect(found(s).some((id) => id.startsWith('fuel.'))).toBe(true));
  });
  it('where a worker never answers, the page judges by itself', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    gate = new Promise(() => undefined);
    const s = open();
    const beside = new Concluding(s);
    s.read('gear.magnet', 'pieces');
    beside.ask();
    await vi.waitFor(() => expect(deltas).toHaveLength(1));
    expect(found(s)).toEqual([]);
    await vi.advanceTimersByTimeAsync(20_000);
    vi.useRealTimers();
    await vi.waitFor(() => expect(found(s)).toContain('gear.metal'));
    beside.end();
  });
  it('what cannot be judged is said, and the next entry is tried again', async () => {
    const s = open();
    const beside = new Concluding(s);
    const broken = { ...s.survey, readings: undefined as unknown as SurveyFile['readings'] };
    const whole = s.survey;
    s.survey = broken;
    beside.ask();
    await vi.waitFor(() => expect(s.unjudged).toBe(true));
    s.survey = whole;
    s.read('gear.magnet', 'pieces');
    beside.ask();
    await vi.waitFor(() => expect(found(s)).toContain('gear.metal'));
    expect(s.unjudged).toBe(false);
    beside.end();
  });
  it('nothing is said any more once it was left', async () => {
    const s = open();
    const beside = new Concluding(s);
    s.read('gear.magnet', 'pieces');
    beside.ask();
    beside.end();
    await settled();
    expect(found(s)).toEqual([]);
  });
});
