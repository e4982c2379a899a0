import { standsBeside } from '$core/record/beside.ts';
import type { Advice } from '$core/advice/advice.ts';
import type { Weighed } from '$core/assess.ts';
import type { Move } from '$core/moves/move.ts';
import { judgementFrom, nothingConcluded, type Concluded } from '$core/concluded.ts';
import type { Judgement } from '$core/judge.ts';
import type { JudgeAsked } from '$lib/workers/judging.ts';
import { contextOf, type Context } from '$core/findings/context.ts';
import { workFrom } from '$core/jobs/done-work.ts';
import type { StationId } from '$core/stations/items.ts';
import { allItems, type ItemId } from '$core/stations/items.ts';
import { stations } from '$core/stations/register.ts';
import { Readings, roundOf } from '$core/record/current.ts';
import { withEntries, withoutEntries, type Entry } from '$core/record/entries.ts';
import type { Conditions, DecisionEntry, Instrument, Reading } from '$core/record/reading.ts';
import type { Engine, SurveyFile } from '$core/record/survey-file.ts';
import type { Wait } from '$core/record/wait.ts';

import { isAfter } from '$core/units/instant.ts';
import type { System } from '$core/units/index.ts';
import { getContext, setContext } from 'svelte';
import { readOnce } from './drawn.ts';
import { clock } from './clock.ts';
import { LeakFitting } from './leak-fit.svelte.ts';
import { keepSnapshot, newerSnapshot } from './snapshot.ts';
import { newId } from './new-id.ts';
import { PhotoBox } from './photo-box.svelte.ts';
import type { BatchAnswer } from '$core/survey/wire.ts';
import { Outbox, type Queued } from './outbox.svelte.ts';

export interface SessionData {
  readonly surveyId: string;
  readonly engineId: string;
  /** From the server as JSON text: a long record goes through the page as one string, not value by value. */
  readonly survey: SurveyFile | string;
  readonly seq: number;
  readonly factSeq: number;
  readonly units: System;
  readonly who: string;
  readonly now: string;
  /** What the server found in it (`Concluded`), as JSON text; a worker judges anew when something is added. */
  readonly concluded?: string;
  /** What the server advises (`Weighed`), as JSON text; a worker weighs anew when something is added. */
  readonly weighed?: string;
  /** Made by a server for pages of its own: drawn there it records nothing, and what was read once is used again. */
  readonly served?: true;
}

type Undo = { readonly label: string; readonly run: () => void };
export type ReadMore = {
  /** When it was measured, where that is not now. */
  at?: string;
  cylinder?: number;
  conditions?: Conditions;
  instrument?: Instrument;
  typed?: string;
  /** What the instrument sent, word for word. */
  sentence?: string;
  supersedes?: string;
};

/**
 * One assessment open in this browser: the survey, what is being typed, what waits to be sent, and the judgement that
 * follows. Everything is appended; an undo is one more entry.
 */
export class Session {
  readonly surveyId: string;
  readonly engineId: string;
  readonly units: System;
  readonly who: string;
  survey: SurveyFile = $state.raw()!;
  now: Date = $state.raw(new Date(0));
  /** A reading half typed: judged, not recorded. */
  preview: Reading | undefined = $state.raw();
  undos: Undo[] = $state.raw([]);
  advice: Advice | undefined = $state.raw();
  /** What to do now, in order. */
  moves: readonly Move[] = $state.raw([]);
  /** Moves put off on this visit, by id. */
  later: ReadonlySet<string> = $state.raw(new Set());
  /** Told of each reading that is recorded here. */
  onrecorded: ((r: Reading) => void) | undefined;
  /** What the last entries changed, in sentences. */
  moved: readonly string[] = $state.raw([]);
  /** "weighing" while the advice is older than the readings. */
  weighing: 'done' | 'weighing' | 'failed' = $state('done');
  private asSet: Partial<Record<StationId, Conditions>> = $state.raw({});
  private rechecks: Partial<Record<StationId, number>> = $state({});
  readonly outbox: Outbox;
  readonly photos: PhotoBox;
  /** Fits of compression tests, made by a worker. */
  readonly leaks = new LeakFitting();

  readonly record = $derived.by(() => new Readings(this.survey));
  /** The survey with what is being typed. */
  private readonly seen = $derived.by(() =>
    this.preview ? withEntries(this.survey, [{ type: 'reading', body: this.preview }]) : this.survey
  );
  /** Findings and holds as they were judged last. */
  concluded: Concluded = $state.raw(nothingConcluded);
  /** Findings and holds are older than the readings, because they could not be judged. */
  unjudged = $state(false);
  private readonly done = $derived(this.concluded.done);
  private readonly work = $derived(workFrom(this.done));
  /** What the sheets measure in. It is of this very moment; findings and holds follow it from the worker. */
  readonly context: Context = $derived.by(() => contextOf(this.seen, this.now, this.units, this.leaks.of, this.work));
  readonly judgement: Judgement = $derived(judgementFrom(this.context, this.concluded));
  /** Survey, reading half typed, moment, fit and advice that the page came with: what it shows at first was judged of these. */
  readonly cameWith: readonly unknown[];

  constructor(data: SessionData) {
    this.surveyId = data.surveyId;
    this.engineId = data.engineId;
    this.units = data.units;
    this.who = data.who;
    this.now = new Date(data.now);
    // The server draws pages and records nothing in them: what it has read and judged it may use again.
    this.drawnOnly = typeof window === 'undefined' && data.served === true;
    const parsed = <T>(text: string): T => (this.drawnOnly ? readOnce<T>(text) : (JSON.parse(text) as T));
    this.survey = typeof data.survey === 'string' ? parsed<SurveyFile>(data.survey) : data.survey;
    if (data.concluded) this.concluded = parsed<Concluded>(data.concluded);
    if (data.weighed) ({ advice: this.advice, moves: this.moves } = parsed<Weighed>(data.weighed));
    this.cameWith = [this.survey, undefined, this.now, undefined, this.advice];
    this.photos = new PhotoBox(data.surveyId, (what, photo) => this.photographed(what, photo));
    this.outbox = new Outbox(data.surveyId, data.seq, data.factSeq, (a) => this.receive(a));
  }

  /** Takes up what was judged; work that is the same as before stays the same, so that nothing is measured again for it. */
  conclude(said: Concluded): void {
    const { done } = this.concluded;
    this.concluded = JSON.stringify(said.done) === JSON.stringify(done) ? { ...said, done } : said;
  }

  /** What a judgement of it as it stands is made with, beside the survey itself. */
  asked(): JudgeAsked {
    const { task, fit } = this.leaks;
    return {
      now: this.now.toISOString(),
      units: this.units,
      ...(this.preview ? { preview: this.preview } : {}),
      ...(task && fit ? { leak: { task, fit } } : {})
    };
  }

  /** A photograph has its name: it belongs to a reading, or to a part on the tray ("tray:id"). */
  private photographed(what: string, photo: string): void {
    if (what.startsWith('tray:')) void import('./work.ts').then((w) => w.photographed(this, what.slice(5), photo));
    else this.read(what as ItemId, photo);
  }

  /** Takes up what an earlier visit had been told and this page, come from a copy, had not; and what it could not send. */
  async resume(): Promise<void> {
    const kept = await newerSnapshot(this.surveyId, this.outbox.told);
    if (kept) {
      this.outbox.goOnFrom(kept);
      this.survey = kept.survey;
    }
    this.resumed = true;
    for (const queued of await this.outbox.restore()) this.apply(queued);
    void this.outbox.flush();
    void this.photos.restore();
  }

  private apply(queued: Queued): void {
    if (queued.kind === 'entry') this.survey = withEntries(this.survey, [queued.entry]);
    else this.setFact(queued.fact.path, queued.fact.value);
  }

  private readonly drawnOnly: boolean;
  private resumed = false;
  /** Keeps what is known here, for a page that is opened without a connection. */
  keep(): void {
    if (this.resumed) void keepSnapshot({ surveyId: this.surveyId, ...this.outbox.told, survey: this.survey });
  }

  private receive(answer: BatchAnswer): void {
    const entries = answer.entries.map((e) => ({ type: e.type, body: e.body }) as Entry);
    const refused = new Set(answer.refused.map((r) => r.id));
    this.survey = withoutEntries(withEntries(this.survey, entries), refused);
    for (const fact of answer.facts) if (!this.outbox.waitsFor(fact.path)) this.setFact(fact.path, fact.value);
    if (answer.entries.length || answer.facts.length) this.keep();
  }

  private setFact(path: string, value: unknown): void {
    const dot = path.indexOf('.');
    const [group, key] = [path.slice(0, dot) as keyof Engine, path.slice(dot + 1)];
    const part: { [k: string]: unknown } = { ...(this.survey.engine[group] ?? {}) };
    if (value === null) delete part[key];
    else part[key] = value;
    this.survey = { ...this.survey, engine: { ...this.survey.engine, [group]: part } };
  }

  /** When the last entry was made here, ms. */
  private last = 0;

  /** By the server's clock; two entries in one millisecond keep their order. */
  private stamp(): { id: string; at: string; by?: string; clock?: number } {
    const added = clock.added;
    this.last = Math.max(clock.now(), this.last + 1);
    return {
      id: newId(),
      at: new Date(this.last).toISOString(),
      ...(this.who ? { by: this.who } : {}),
      ...(added ? { clock: added } : {})
    };
  }

  private add(entry: Entry): void {
    this.survey = withEntries(this.survey, [entry]);
    this.now = clock.date();
    this.outbox.put({ kind: 'entry', entry });
  }

  private remember(label: string, run: () => void): void {
    this.undos = [...this.undos.slice(-49), { label, run }];
  }

  undo(): string | undefined {
    const last = this.undos.at(-1);
    if (!last) return undefined;
    this.undos = this.undos.slice(0, -1);
    last.run();
    return last.label;
  }

  /** Conditions of the next readings: as they were set, else the usual ones; oil put into the bores is still there. */
  conditionsOf(station: StationId): Conditions {
    const set = this.asSet[station];
    if (set) return set;
    return stations[station].usualConditions?.(this.context) ?? {};
  }

  setConditions(station: StationId, conditions: Conditions): void {
    this.asSet = { ...this.asSet, [station]: conditions };
  }

  /** The round that new readings of a station belong to. */
  roundOf(station: StationId): number {
    const asked = this.rechecks[station] ?? 1;
    return Math.max(asked, ...this.survey.readings.filter((r) => r.what.startsWith(`${station}.`)).map(roundOf));
  }

  startRecheck(station: StationId): void {
    const read = this.survey.readings.filter((r) => r.what.startsWith(`${station}.`));
    if (!read.length) return;
    this.rechecks[station] = Math.max(...read.map(roundOf)) + 1;
  }

  /** The standing reading of an item in the current round of its station. */
  current(what: ItemId, cylinder?: number, bank?: Conditions['bank']): Reading | undefined {
    const round = this.roundOf(what.slice(0, what.indexOf('.')) as StationId);
    const list = this.record.all(what, { round, ...(cylinder === undefined ? {} : { cylinder }) });
    return allItems[what].perBank ? list.findLast((r) => r.conditions?.bank === bank) : list.at(-1);
  }

  /** The same, where it is still of the engine as it is: work done since on what it describes makes it a reading of before. */
  standing(what: ItemId, cylinder?: number, bank?: Conditions['bank']): Reading | undefined {
    const now = this.current(what, cylinder, bank);
    return now && [...this.work.touched(what), ...this.work.renewed(what)].some((at) => isAfter(at, now.at))
      ? undefined
      : now;
  }

  /** What a new value takes the place of: nothing where each entry stands by itself, or where something was read under it. */
  private replaced(what: ItemId, value: unknown, { cylinder, conditions }: ReadMore): Reading | undefined {
    const old = this.standing(what, cylinder, conditions?.bank);
    return old && !standsBeside(allItems[what], what, old, this.survey.readings, this.stamp().at, value)
      ? old
      : undefined;
  }

  /** Builds a reading of the current round; a single-valued item supersedes what stood there. */
  reading(what: ItemId, value: unknown, more: ReadMore = {}): Reading {
    const round = this.roundOf(what.slice(0, what.indexOf('.')) as StationId);
    const old = this.replaced(what, value, more);
    return {
      ...this.stamp(),
      what,
      value,
      ...(round > 1 ? { round } : {}),
      ...(old ? { supersedes: old.id } : {}),
      ...more
    };
  }

  read(what: ItemId, value: unknown, more: ReadMore = {}): void {
    const reading = this.reading(what, value, more);
    const old = reading.supersedes ? this.survey.readings.find((r) => r.id === reading.supersedes) : undefined;
    this.add({ type: 'reading', body: reading });
    this.onrecorded?.(reading);
    this.remember(allItems[what].label, () => this.takeBack(reading, old));
  }

  /**
   * Corrects one of several repeats, or takes it back when nothing is given. It keeps the moment it was measured: a slip of the
   * pen put right later does not become a measurement made after the work in between.
   */
  correct(old: Reading, value: unknown | undefined, typed?: string): void {
    const { id: _id, at: _at, by: _by, typed: _typed, ...rest } = old;
    const body: Reading = {
      ...rest,
      ...this.stamp(),
      at: old.at,
      value: value ?? old.value,
      supersedes: old.id,
      ...(typed ? { typed } : {}),
      ...(value === undefined ? { withdrawn: true as const } : {})
    };
    this.add({ type: 'reading', body });
    this.remember(allItems[old.what].label, () => this.takeBack(body, old));
  }

  /** What stands at the end of the corrections of a reading: an undo may come after other undos. */
  private headOf(id: string): string {
    const next = this.survey.readings.find((r) => r.supersedes === id);
    return next ? this.headOf(next.id) : id;
  }

  private takeBack(reading: Reading, old: Reading | undefined): void {
    const { withdrawn: _w, ...plain } = reading;
    const supersedes = this.headOf(reading.id);
    const body: Reading =
      old && !old.withdrawn
        ? { ...old, ...this.stamp(), at: old.at, supersedes }
        : { ...plain, ...this.stamp(), supersedes, withdrawn: true };
    this.add({ type: 'reading', body });
  }

  fact(path: string, value: unknown): void {
    const dot = path.indexOf('.');
    const before = (this.survey.engine[path.slice(0, dot) as keyof Engine] as { [k: string]: unknown } | undefined)?.[
      path.slice(dot + 1)
    ];
    this.putFact(path, value);
    this.remember(path.slice(dot + 1), () => this.putFact(path, before ?? null));
  }

  private putFact(path: string, value: unknown): void {
    this.setFact(path, value);
    this.outbox.put({ kind: 'fact', fact: { ...this.stamp(), path, value } });
  }

  override(hold: string, reason: string): void {
    const body = { ...this.stamp(), hold, reason };
    this.add({ type: 'override', body });
    this.remember('override', () =>
      this.add({ type: 'override', body: { ...this.stamp(), hold, reason, supersedes: body.id, withdrawn: true } })
    );
  }

  /** Marks a step of the work; `when` where it was done before now. */
  mark(step: string, state: 'done' | 'open' | 'not-needed', note?: string, late = false, when?: string): void {
    const before = (this.survey.steps ?? []).filter((s) => s.step === step).at(-1);
    const hours = this.survey.engine.history.hours;
    const at = { ...(state === 'done' && typeof hours === 'number' ? { hours } : {}), ...(late ? { late } : {}) };
    this.add({
      type: 'step',
      body: { ...this.stamp(), ...(when ? { at: when } : {}), step, state, ...(note ? { note } : {}), ...at }
    });
    this.remember('job', () =>
      this.add({
        type: 'step',
        body: { ...this.stamp(), step, state: before?.state ?? 'open', ...(before?.note ? { note: before.note } : {}) }
      })
    );
  }

  /** Appends an entry of any kind; `back` makes the body that takes it back. Returns its id. */
  put<T extends Entry['type']>(
    type: T,
    body: object,
    back?: { readonly label: string; readonly body: (id: string) => object }
  ): string {
    const entry = { type, body: { ...this.stamp(), ...body } } as unknown as Entry;
    const { id } = entry.body;
    this.add(entry);
    if (back) this.remember(back.label, () => void this.put(type, back.body(id)));
    return id;
  }

  /** Starts something that runs by itself; it is kept like a reading and outlives this page. */
  wait(label: string, minutes: number, station?: StationId): void {
    const body = { ...this.stamp(), label, minutes, ...(station ? { station } : {}) };
    this.add({ type: 'wait', body });
    this.remember(label, () => this.endWait(body));
  }

  endWait(wait: Wait): void {
    const { id: supersedes, at: _at, by: _by, ...rest } = wait;
    this.add({ type: 'wait', body: { ...rest, ...this.stamp(), supersedes, ended: true } });
  }

  decide(body: Omit<DecisionEntry, 'id' | 'at' | 'by'>): void {
    this.add({ type: 'decision', body: { ...this.stamp(), ...body } });
  }

  reason(gate: string, reason: string): void {
    this.add({ type: 'reason', body: { ...this.stamp(), gate, reason } });
  }
}

const KEY = Symbol('session');
export const provideSession = (session: () => Session): void => void setContext(KEY, session);
/** The same for a component drawn on its own, outside any page. */
export const sessionContext = (session: Session): Map<symbol, () => Session> => new Map([[KEY, () => session]]);
/** The session of the survey whose pages these are. */
export const useSession = (): Session => getContext<() => Session>(KEY)();
