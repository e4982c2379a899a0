import { assess, type Assessment } from '../src/core/assess.ts';
import type { Move } from '../src/core/moves/move.ts';
import type { Conditions, Reading } from '../src/core/record/reading.ts';
import type { SurveyFile } from '../src/core/record/survey-file.ts';
import { soundAnswers } from '../src/core/practice/sound.ts';
import { allItems, type ItemId } from '../src/core/stations/items.ts';
import { good } from './good.ts';

/**
 * For law 10: does what a move asks for, and finds it good. What the engine truly is does not matter here: whatever was read
 * before, somebody who does as he is told and finds nothing more must come to an end.
 */
export class Follower {
  survey: SurveyFile;
  private at: number;
  private n = 0;
  private oiled = false;

  constructor(survey: SurveyFile) {
    this.survey = survey;
    const last = survey.readings.at(-1)?.at ?? survey.assessment.startedAt;
    this.at = Date.parse(last) + 60_000;
  }

  get now(): Date {
    return new Date(this.at);
  }
  assessed = (): Assessment => assess(this.survey, this.now, 'us');

  private read(what: ItemId, value: unknown, more: { cylinder?: number; conditions?: Conditions } = {}): void {
    this.at += 60_000;
    const round = Math.max(
      1,
      ...this.survey.readings
        .filter((r) => r.what.startsWith(what.slice(0, what.indexOf('.') + 1)))
        .map((r) => r.round ?? 1)
    );
    const gauge = this.survey.readings.findLast((r) => r.what === 'compression.pressure')?.instrument;
    const reading = {
      id: `f${this.n++}`,
      at: this.now.toISOString(),
      what,
      value,
      ...(round > 1 ? { round } : {}),
      // With the gauge that was used before.
      ...(what === 'compression.pressure' && gauge ? { instrument: gauge } : {}),
      ...more,
      // Noted as what it is, where he has put oil in.
      ...(what === 'compression.pressure' && this.oiled
        ? { conditions: { ...more.conditions, bores: 'oiled' as const } }
        : {})
    } as Reading;
    this.survey = { ...this.survey, readings: [...this.survey.readings, reading] };
  }
  private wait = (hours: number): void => void (this.at += hours * 3.6e6);

  private mark(step: string): void {
    this.at += 60_000;
    this.survey = {
      ...this.survey,
      steps: [...(this.survey.steps ?? []), { id: `f${this.n++}`, at: this.now.toISOString(), step, state: 'done' }]
    };
  }

  /** What a check shows of an engine on which everything is right. */
  private good(station: string): void {
    good(station, {
      profile: this.survey.engine.profile,
      best: Math.max(
        0,
        ...this.survey.readings.flatMap((r) =>
          r.what === 'compression.pressure' && typeof r.value === 'number' ? [r.value] : []
        )
      ),
      banked: this.survey.readings.some((r) => r.conditions?.bank),
      read: (what, value, more) => this.read(what, value, more),
      wait: this.wait
    });
  }

  /** What a move asks for that no ordinary sheet of a good engine holds: the answer of a sound one, at its cylinder or at each. */
  private rest({ items = [], cylinder }: Move, read: ReadonlySet<string>): void {
    const { cylinders } = this.survey.engine.profile;
    const all = typeof cylinders === 'number' ? Array.from({ length: cylinders }, (_, k) => k + 1) : [1];
    for (const item of items.filter((i) => !read.has(i))) {
      const value = soundAnswers.get(item) ?? (allItems[item].kind === 'choice' ? 'unknown' : undefined);
      const at = allItems[item].perCylinder ? (cylinder === undefined ? all : [cylinder]) : [undefined];
      if (value !== undefined) for (const k of at) this.read(item, value, k === undefined ? {} : { cylinder: k });
    }
  }

  /** Does the first move. Gives it back, or nothing where it was the end. */
  step(a: Assessment): Move | undefined {
    const move = a.moves[0];
    if (
      !move ||
      move.kind === 'release' ||
      move.kind === 'ask' ||
      (move.kind === 'decide' && !move.id.startsWith('gate:'))
    )
      return undefined;
    if (move.kind === 'wait') this.at = Math.max(this.at, Date.parse(move.from ?? this.now.toISOString())) + 60_000;
    if (move.id.startsWith('drowned:')) {
      this.mark(`drowned.${move.id.slice('drowned:'.length)}`);
      if (move.station) this.good(move.station);
    } else if (move.kind === 'job') {
      this.mark(move.job!);
      this.wait(1);
    } else if (move.id.startsWith('gate:')) {
      if (move.id === 'gate:identity')
        this.survey = {
          ...this.survey,
          engine: { ...this.survey.engine, identity: { tag: 'T', serial: 'S', ...this.survey.engine.identity } }
        };
      else if (move.id === 'gate:handover') {
        this.read('run.tight', 'yes');
        this.read('run.counters', 'not-fitted');
        this.survey = {
          ...this.survey,
          engine: { ...this.survey.engine, history: { hours: 10, ...this.survey.engine.history } }
        };
      } else
        this.survey = {
          ...this.survey,
          reasons: [
            ...(this.survey.reasons ?? []),
            {
              id: `f${this.n++}`,
              at: this.now.toISOString(),
              gate: move.id.slice('gate:'.length),
              reason: 'Looked at, and it may stay.'
            }
          ]
        };
    } else if (move.items?.includes('oil.pressure')) {
      this.read('oil.pressureRpm', 2000);
      this.read('oil.pressure', 300e3);
    } else if (move.items?.includes('plugs.oil')) {
      this.read('plugs.oil', 15e-6);
      this.oiled = true;
    } else if (move.id === 'look:start-lock') this.read('turn.startLock', 'locks');
    else if (move.station) {
      const before = this.survey.readings.length;
      this.good(move.station);
      this.rest(move, new Set(this.survey.readings.slice(before).map((r) => r.what)));
    }
    return move;
  }
}
