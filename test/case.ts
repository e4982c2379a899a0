import { assess, type Assessment, type Judgement } from '../src/core/assess.ts';
import type { CaseKind } from '../src/core/engine/case-kind.ts';
import type { History, Profile } from '../src/core/engine/profile.ts';
import type { ItemId, ReadingValue } from '../src/core/stations/items.ts';
import type { Reading } from '../src/core/record/reading.ts';
import { emptySurvey, type SurveyFile } from '../src/core/record/survey-file.ts';

/** For tests: a survey written in a few lines. Every reading is a minute after the last. */
export class Bench {
  survey: SurveyFile;
  private at = Date.parse('2026-05-02T08:00:00.000Z');

  constructor(profile: Profile = {}, kind: CaseKind = 'neglected', history: History = {}) {
    this.survey = {
      ...emptySurvey(kind, new Date(this.at).toISOString(), 'Test'),
      engine: { identity: { tag: 'Test' }, profile, history }
    };
  }

  /** The same survey, to go on with in one way among several: what was read so far is shared, and judged once. */
  fork(): Bench {
    const b = new Bench();
    b.survey = this.survey;
    b.at = this.at;
    return b;
  }

  read<I extends ItemId>(what: I, value: ReadingValue<I>, more: Partial<Reading> = {}): this {
    this.at += 60_000;
    const reading: Reading = {
      id: `r${this.survey.readings.length + 1}`,
      at: new Date(this.at).toISOString(),
      what,
      value,
      ...more
    };
    this.survey = { ...this.survey, readings: [...this.survey.readings, reading] };
    return this;
  }

  wait(hours: number): this {
    this.at += hours * 3.6e6;
    return this;
  }

  /** Marked done now, or at a moment before. */
  done(step: string, { at }: { at?: string } = {}): this {
    this.at += 60_000;
    this.survey = {
      ...this.survey,
      steps: [
        ...(this.survey.steps ?? []),
        { id: `s${this.survey.steps?.length ?? 0}`, at: at ?? new Date(this.at).toISOString(), step, state: 'done' }
      ]
    };
    return this;
  }

  psi(list: readonly (readonly [number, number])[], more: Partial<Reading> = {}): this {
    for (const [cylinder, value] of list)
      this.read('compression.pressure', value * 6894.757, {
        cylinder,
        conditions: { throttle: 'open', bores: 'dry' },
        ...more
      });
    return this;
  }

  private made: { survey: SurveyFile; at: number; assessment: Assessment } | undefined;

  /** Made once for what stands in the survey now: a test that asks for findings, holds and moves pays for one judgement. */
  assessed = (): Assessment => {
    const { survey, at } = this;
    if (this.made?.survey !== survey || this.made.at !== at)
      this.made = { survey, at, assessment: assess(survey, new Date(at), 'us') };
    return this.made.assessment;
  };
  judged = (): Judgement => this.assessed();
  ids = (): string[] => this.judged().findings.map((f) => `${f.id}:${f.condition}`);
  said = (start: string): string =>
    this.judged()
      .findings.filter((f) => f.id.startsWith(start))
      .map((f) => f.sentence)
      .join(' ');
  holds = (): string[] =>
    this.judged()
      .holds.filter((h) => !h.standing && !h.override)
      .map((h) => h.id);
}

/** Neutral spins, both gears follow. */
export const shifts = (b: Bench): Bench =>
  b.read('turn.neutral', 'spins').read('turn.forward', 'follows').read('turn.reverse', 'follows');
