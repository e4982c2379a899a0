import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { acts } from './attempt.ts';
import { advisedPath, debriefOf } from './debrief.ts';
import { Exercise, truthOf, type Deed, type Setup } from './exercise.ts';
import { questionOf } from './five-minutes.ts';
import { minutesOfAct, titleOfAct } from './looks.ts';
import { readyExercise, readyExercises, setupOfReady } from './ready.ts';
import { adviceModes, codeOf, difficultyNames, setOf, setupOf, themeNames, type PracticeSet } from './set-code.ts';
import { calibrationOf, marks, scoreOf } from './statement.ts';
import { drawTruth, signsNow, signsOf } from './truth.ts';

const ready = (id: string): Setup => setupOfReady(readyExercise(id)!);
const did = (setup: Setup, deeds: readonly Deed[]): Exercise => Exercise.from(setup, deeds);

describe('an exercise', () => {
  it('follows from its setup and deeds alone', () => {
    const deeds: Deed[] = [{ kind: 'look', act: 'safe' }, { kind: 'look', act: 'jar' }, { kind: 'follow' }];
    const [a, b] = [did(ready('jar'), deeds), did(ready('jar'), deeds)];
    expect(a.survey).toEqual(b.survey);
    expect(a.strides).toEqual(b.strides);
    expect(a.minutes).toBeGreaterThan(10);
  });
  it('a look that is none, work that is none and a question leave it as it was', () => {
    const e = new Exercise(ready('jar'));
    for (const deed of [
      { kind: 'look', act: 'constructor' },
      { kind: 'job', job: '__proto__' },
      { kind: 'ask' }
    ] as const)
      expect(e.do(deed).ok).toBe(false);
    expect([e.strides.length, e.survey.readings.length, e.asked]).toEqual([0, 0, 1]);
  });
  it('a hold refuses with its sentence; done anyway it is kept and has its consequence', () => {
    const e = did(ready('jar'), [{ kind: 'look', act: 'safe' }]);
    const refused = e.do({ kind: 'look', act: 'run' });
    expect(refused).toMatchObject({ ok: false, refused: true });
    const before = e.faults().size;
    const done = e.do({ kind: 'look', act: 'run', anyway: true });
    if (!done.ok) throw new Error(done.says);
    expect(done.stride.broke?.title).toBeTruthy();
    expect(e.ended !== undefined || e.faults().size > before || done.stride.broke !== undefined).toBe(true);
  });
  it('work cures and costs; the price is that of the cure', () => {
    const e = did(ready('lead'), [{ kind: 'job', job: 'plugs' }]);
    expect(e.strides[0]!.money).toBeGreaterThan(0);
    expect(e.faults()).toContain('lead.1');
  });
  it('every act has a name and its minutes', () => {
    for (const act of acts) {
      expect([act.id, titleOfAct(act)]).not.toEqual([act.id, act.id]);
      expect(minutesOfAct(act, 2)).toBeGreaterThan(0);
    }
  });
});

describe('a night of frost over water in the gear case', () => {
  /** The first exercises, by their seeds, with a leaking seal that shows water, in a yard where it freezes or does not. */
  const yards = (freezes: boolean): Setup[] =>
    Array.from({ length: 60 }, (_, k) => `frost ${k}`)
      .map((seed): Setup => ({
        seed,
        wishes: { engine: 'barn-twin', only: ['seal-driveshaft'], leaks: false },
        advice: 'shut'
      }))
      .filter((setup) => {
        const truth = truthOf(setup);
        const wet = [...signsNow(truth, truth.intake)].some((k) =>
          /^gear-(water|milky)$/.test(truth.model.signs[k]!.id)
        );
        return wet && truth.coldest < 270 === freezes;
      })
      .slice(0, 3);
  const night: Deed = { kind: 'wait', minutes: 720 };
  it('cracks it, and says so; the forecast had told', () => {
    const list = yards(true);
    expect(list.length).toBeGreaterThan(0);
    for (const setup of list) {
      const e = did(setup, [{ kind: 'look', act: 'safe' }, night]);
      expect(e.survey.readings.find((r) => r.what === 'safe.forecast')?.value).toBe(truthOf(setup).coldest);
      expect(e.faults()).toContain('frost-crack');
      expect(e.strides.at(-1)?.broke?.title).toMatch(/night of frost/);
    }
  });
  it('does nothing to a case that was drained, to a mild night, to an hour', () => {
    const [setup] = yards(true);
    for (const before of [
      [{ kind: 'look', act: 'gear-drain' }],
      [{ kind: 'job', job: 'frost' }]
    ] as const satisfies readonly Deed[][])
      expect(did(setup!, [...before, night]).faults()).not.toContain('frost-crack');
    expect(did(setup!, [{ kind: 'wait', minutes: 60 }]).faults()).not.toContain('frost-crack');
    for (const mild of yards(false)) expect(did(mild, [night]).faults()).not.toContain('frost-crack');
  });
  it('freezes nowhere but in exercises: what the advice is tried on stays as it is drawn', () => {
    for (const setup of yards(true)) expect(drawTruth(setup.seed, setup.wishes).coldest).toBe(285);
  });
});

describe('the ready exercises', () => {
  it('are twelve, in rising difficulty by the advice that is given', () => {
    expect(readyExercises.length).toBeGreaterThanOrEqual(12);
    const rank = readyExercises.map((e) => adviceModes.indexOf(e.advice));
    expect(rank).toEqual([...rank].sort((a, b) => a - b));
    expect(readyExercise('constructor')).toBeUndefined();
  });
  it.each(readyExercises.map((e) => [e.id, e] as const))('%s: what is wrong with it can be found', (_id, e) => {
    const truth = drawTruth(setupOfReady(e).seed, setupOfReady(e).wishes);
    expect([...truth.faults]).toEqual(e.faults);
    for (const fault of e.faults) {
      const at = truth.model.suspects.findIndex((s) => s.id === fault);
      expect([fault, signsOf(truth.draws, truth.model, at).length > 0]).toEqual([fault, true]);
    }
  });
  it('a fault this engine cannot have is refused by its name', () => {
    expect(() => drawTruth('x', { engine: 'small-single', only: ['belt'] })).toThrow('belt');
  });
});

describe('what was said, scored', () => {
  const setup = ready('lead');
  const truth = drawTruth(setup.seed, setup.wishes);
  it('right and sure is better than the baseline, wrong and sure worse', () => {
    const right = scoreOf(truth, { marks: { 'lead.1': 'likely' } });
    const nothing = scoreOf(truth, { marks: {} });
    const wrong = scoreOf(truth, { marks: { 'coil.2': 'likely', bearings: 'likely' } });
    expect(right.brier).toBeLessThan(right.baseline);
    expect(nothing.brier).toBeGreaterThan(right.brier);
    expect(wrong.brier).toBeGreaterThan(nothing.brier);
  });
  // Source: G. W. Brier 1950, Verification of forecasts expressed in terms of probability: the mean of (p − o)².
  it('is the mean squared error', () => {
    const s = scoreOf(truth, { marks: { 'lead.1': 'possible' } });
    const n = s.suspects;
    expect(s.brier).toBeCloseTo(((1 - marks.possible.chance) ** 2 + (n - 1) * marks.no.chance ** 2) / n, 12);
  });
  it('names from outside touch no prototype', () => {
    const marks = JSON.parse('{"__proto__":"likely","constructor":"likely"}') as Record<string, 'likely'>;
    expect(scoreOf(truth, { marks }).brier).toBe(scoreOf(truth, { marks: {} }).brier);
  });
  it('each word over several exercises: how often said, how often true', () => {
    const list = [scoreOf(truth, { marks: { 'lead.1': 'likely' } }), scoreOf(truth, { marks: { 'coil.1': 'likely' } })];
    expect(calibrationOf(list)[0]).toEqual({ mark: 'likely', said: 2, true: 1 });
  });
});

describe('the debrief', () => {
  const setup = ready('lead');
  const advised = advisedPath(setup);
  it('the advised path finds the fault and mends it', () => {
    expect(advised.some((p) => p.kind === 'work')).toBe(true);
    expect(advised.reduce((s, p) => s + p.minutes, 0)).toBeGreaterThan(20);
  });
  it('who follows the advice regrets nothing', () => {
    const e = did(
      setup,
      Array.from({ length: 12 }, () => ({ kind: 'follow' as const }))
    );
    const d = debriefOf(e, { marks: { 'lead.1': 'likely' } }, advised);
    expect(d.regret).toBe(0);
    expect(d.path.map((p) => p.title)).toEqual(advised.slice(0, d.path.length).map((p) => p.title));
    expect(d.truth).toMatchObject([{ id: 'lead.1', said: 'likely', hidden: false, station: 'spark' }]);
  });
  it('dear detours are named, dearest first, with what came first then', () => {
    const e = did(setup, [
      { kind: 'look', act: 'pump' },
      { kind: 'look', act: 'bowl' },
      { kind: 'job', job: 'head-gasket' }
    ]);
    const d = debriefOf(e, { marks: {}, cost: 50 }, advised);
    expect(d.dearest.length).toBeGreaterThanOrEqual(2);
    expect(d.dearest.map((r) => r.more)).toEqual(d.dearest.map((r) => r.more).sort((a, b) => b - a));
    expect(d.dearest[0]!.because).toMatch(/^Then (it was|came first): /);
    expect(d.regret).toBeGreaterThan(60);
    expect(d.cost.said).toBe(50);
    expect(d.cost.true).toBeGreaterThan(0);
  });
  it('what the advice makes later itself was only early; plugs that are out are taken out once', () => {
    const e = did(setup, [
      { kind: 'look', act: 'plugs' },
      { kind: 'look', act: 'compression' }
    ]);
    const minutes = e.strides.map((s) => s.minutes);
    expect(minutes[1]).toBe(
      minutesOfAct(
        acts.find((a) => a.id === 'compression')!,
        2
      ) - 8
    );
    const d = debriefOf(e, { marks: {} }, advised);
    expect(advised.map((p) => p.title)).toContain('Compression, every cylinder');
    for (const r of d.regrets) expect(r.more).toBeLessThan(r.minutes);
  });
  it('a reading that was the instrument is said, and whether it was noticed', () => {
    const throttle = ready('throttle');
    const looked: Deed[] = ['safe', 'look', 'turn', 'plugs', 'compression'].map((act) => ({ kind: 'look', act }));
    const blind = debriefOf(did(throttle, looked), { marks: {} }, []);
    const seen = debriefOf(did(throttle, looked), { marks: { throttle: 'likely' } }, []);
    expect(blind.artefacts.map((a) => a.noticed)).toEqual([false]);
    expect(seen.artefacts.map((a) => a.noticed)).toEqual([true]);
  });
});

describe('codes of sets', () => {
  const set = fc.record({
    seed: fc.integer({ min: 0, max: 2 ** 20 - 1 }),
    count: fc.integer({ min: 1, max: 16 }),
    difficulty: fc.constantFrom(...difficultyNames),
    theme: fc.constantFrom(...themeNames),
    advice: fc.constantFrom(...adviceModes)
  }) as fc.Arbitrary<PracticeSet>;
  it('say the whole set, however they are typed', () => {
    fc.assert(
      fc.property(set, (s) => {
        const code = codeOf(s);
        expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{4}-[0-9A-HJKMNP-TV-Z]{4}$/);
        expect(setOf(code)).toEqual(s);
        expect(setOf(code.toLowerCase().replace('-', ' ').replaceAll('0', 'o').replaceAll('1', 'l'))).toEqual(s);
      })
    );
  });
  it('two letters in each other’s place, or one wrong, are noticed', () => {
    const code = codeOf({ seed: 12345, count: 4, difficulty: 'hard', theme: 'any', advice: 'shut' });
    const letters = [...code.replace('-', '')];
    let missed = 0;
    for (let k = 0; k < letters.length; k++)
      for (const c of '0123456789ABCDEFGHJKMNPQRSTVWXY') {
        if (c === letters[k] || (letters[k] === 'Z' && c === '0')) continue;
        const typed = letters.map((x, i) => (i === k ? c : x)).join('');
        if (setOf(typed)) missed += 1;
      }
    expect(missed).toBe(0);
    const swapped = [letters[1], letters[0], ...letters.slice(2)].join('');
    expect(letters[0] === letters[1] || setOf(swapped) === undefined).toBe(true);
    for (const bad of ['', 'constructor', '1234-567', '!!!!-!!!!']) expect(setOf(bad)).toBeUndefined();
  });
  it('give the same engines again, and no engine beyond their count', () => {
    const s: PracticeSet = { seed: 7, count: 3, difficulty: 'middle', theme: 'fuel', advice: 'open' };
    const truths = [1, 2, 3].map((n) => drawTruth(setupOf(s, n).seed, setupOf(s, n).wishes));
    const again = drawTruth(setupOf(setOf(codeOf(s))!, 2).seed, setupOf(s, 2).wishes);
    expect([...again.faults]).toEqual([...truths[1]!.faults]);
    for (const t of truths) {
      const faults = t.model.suspects.filter((x) => t.faults.has(x.id) && !x.kind.artefact);
      expect(faults.map((f) => f.kind.system)).toEqual(['fuel']);
    }
    expect(() => setupOf(s, 4)).toThrow(RangeError);
    expect(() => codeOf({ ...s, count: 17 })).toThrow(RangeError);
  });
});

describe('five minutes', () => {
  it('one sheet, four answers, the right one among them; the same from the same seed', () => {
    for (const seed of ['a', 'b', 'c']) {
      const [q, again] = [questionOf(seed), questionOf(seed)];
      expect(q.answers).toHaveLength(4);
      expect(q.answers.map((a) => a.id)).toContain(q.right.id);
      expect(q.latest.length).toBeGreaterThan(3);
      expect(again.answers).toEqual(q.answers);
    }
  });
});
