import { cylinderCount } from '../engine/profile.ts';
import type { Suspect } from '../diagnosis/model.ts';
import type { Conditions, Instrument, Reading } from '../record/reading.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { isAfter } from '../units/instant.ts';
import { allItems, type ItemId } from '../stations/items.ts';
import { soundAnswers } from './sound.ts';
import { faultsNow, showsBy, signsNow, type Truth } from './truth.ts';

export interface Noted {
  readonly cylinder?: number;
  readonly conditions?: Conditions;
  readonly instrument?: Instrument;
}

/** Somebody at the engine: sees what is there now, and writes readings a few seconds apart. */
export class Eye {
  readonly out: Reading[] = [];
  readonly cylinders: readonly number[];
  private readonly faults: ReadonlySet<string>;
  private readonly signs: ReadonlySet<string>;
  private readonly first: number;

  /** `at` in ms since 1970; each reading is ten seconds after the last. */
  constructor(
    readonly truth: Truth,
    readonly survey: SurveyFile,
    private at: number
  ) {
    const profile = survey.engine.profile;
    this.cylinders = Array.from({ length: cylinderCount(profile) ?? 1 }, (_, k) => k + 1);
    this.faults = faultsNow(truth, survey);
    this.signs = new Set([...signsNow(truth, survey)].map((k) => truth.model.signs[k]!.id));
    this.first = survey.readings.length;
  }

  /** When the last reading was written, ms. */
  get ended(): number {
    return this.at;
  }

  /** Whether a sign of the knowledge is there, "low" or "low" of cylinder 2. */
  shows = (sign: string, cylinder?: number): boolean =>
    this.signs.has(sign) || (cylinder !== undefined && this.signs.has(`${sign}.${cylinder}`));
  /** Whether a fault or a wrong measurement is there, anywhere or at one cylinder. */
  has = (suspect: string, cylinder?: number): boolean =>
    this.faults.has(suspect) || (cylinder !== undefined && this.faults.has(`${suspect}.${cylinder}`));
  /** What is truly wrong at one cylinder: faults of it, of a pair or of a bank it belongs to. */
  faultsAt(cylinder: number): readonly Suspect[] {
    return this.truth.model.suspects.filter(
      (s) => s.kind.per && !s.kind.artefact && this.faults.has(s.id) && s.cylinders.includes(cylinder)
    );
  }
  /** Whether a sign would be there by this fault alone. */
  by(sign: string, suspect: Suspect): boolean {
    const { model, draws } = this.truth;
    const k = model.signs.findIndex((s) => s.id === sign);
    const cause = model.suspects.indexOf(suspect);
    const link = model.network.signs[k]?.causes.find((c) => c.cause === cause);
    return link !== undefined && showsBy(draws, sign, suspect.id, link.strength);
  }
  /** Whether a sign is there by something that is truly wrong, and not by how it was looked at, nor by one kind of fault, alone. */
  truly = (sign: string, but?: string): boolean =>
    this.truth.model.suspects.some(
      (s) => !s.kind.artefact && s.kind.id !== but && this.faults.has(s.id) && this.by(sign, s)
    );
  /** Whether a sign is there by anything but one way of looking at it wrongly. */
  besides = (sign: string, artefact: string): boolean =>
    this.truth.model.suspects.some((s) => s.id !== artefact && this.faults.has(s.id) && this.by(sign, s));

  /** What was read before this look, and in it so far. */
  get written(): readonly Reading[] {
    return [...this.survey.readings, ...this.out];
  }
  /** Whether anything of an item was read before this look. */
  read = (item: ItemId, cylinder?: number): boolean =>
    this.written.some((r) => r.what === item && (cylinder === undefined || r.cylinder === cylinder));
  last = (item: ItemId): unknown => this.written.findLast((r) => r.what === item)?.value;
  done = (job: string): boolean => (this.survey.steps ?? []).some((s) => s.step === job && s.state === 'done');

  /** Whether a job was done and an item was not read since. */
  doneSince(job: string, item: ItemId): boolean {
    const at = (this.survey.steps ?? []).findLast((s) => s.step === job && s.state === 'done')?.at;
    return at !== undefined && !this.survey.readings.some((r) => r.what === item && isAfter(r.at, at));
  }

  wait(minutes: number): void {
    this.at += minutes * 60_000;
  }

  note(what: ItemId, value: unknown, { cylinder, conditions, instrument }: Noted = {}): void {
    const item = allItems[what];
    if (item.when && !item.when(this.survey.engine.profile)) return;
    this.at += 10_000;
    this.out.push({
      id: `p${this.first + this.out.length}`,
      at: new Date(this.at).toISOString(),
      what,
      value,
      ...(cylinder === undefined ? {} : { cylinder }),
      ...(conditions ? { conditions } : {}),
      ...(instrument ? { instrument } : {})
    });
  }

  /** Whether water still lies inside: once it was turned out it is gone, but for a gasket that lets in more. */
  waterInside(cylinder?: number): boolean {
    if (this.last('turn.water') === 'none') return false;
    return cylinder === undefined
      ? this.shows('water-out') || this.cylinders.some((k) => this.shows('plug-water', k))
      : this.shows('plug-water', cylinder);
  }

  /** Who cranks it by its starter sees how it cranks: volts and speed, or that nothing happens and it takes a rope or a drill. */
  crank(charged = false): Conditions {
    if (this.survey.engine.profile.starting === 'rope') return {};
    if (this.shows('starter-dead')) {
      if (!this.read('plugs.starterCircuit')) this.note('plugs.starterCircuit', 'nothing');
      return {};
    }
    return {
      volts: this.shows('volts-low') && !charged ? 9 : 11.3,
      rpm: charged
        ? this.shows('starter-slow') && (this.has('starter-motor') || this.has('starter-cable'))
          ? 150
          : 320
        : this.shows('starter-slow')
          ? 140
          : 330
    };
  }

  /** What a look at one item shows: the answer of a sign that is there, else what a sound engine shows. */
  answer(item: ItemId, cylinder?: number): unknown {
    const mine = this.truth.model.signs.filter(
      (s) => (s.cylinder === undefined || s.cylinder === cylinder) && s.kind.reads?.some((r) => r.item === item)
    );
    const answers = (s: (typeof mine)[number]): readonly string[] =>
      s.kind.reads!.find((r) => r.item === item)!.present;
    // A sign that this item can only leave open shows nothing of its own at it.
    const there = mine.filter((s) => this.signs.has(s.id) && answers(s).length > 0);
    if (there.length) return this.truth.draws.pick(`answer|${item}|${cylinder ?? ''}`, answers(there[0]!));
    return soundAnswers.get(item);
  }

  /** Looks and writes down what it shows, for each of some items. */
  look(items: readonly ItemId[], cylinder?: number): void {
    for (const item of items) {
      const value = this.answer(item, cylinder);
      if (value !== undefined) this.note(item, value, cylinder === undefined ? {} : { cylinder });
    }
  }
}
