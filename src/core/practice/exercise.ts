import { setupDone } from '../diagnosis/ranking.ts';
import { cureCost, moneyOf } from '../diagnosis/value.ts';
import { against, actionOf } from '../holds/against.ts';
import { protocol } from '../drowned/protocol.ts';
import { isJobId, jobOf, jobs, type JobId } from '../jobs/register.ts';
import { drowned } from '../record/drowned.ts';
import type { Move } from '../moves/move.ts';
import type { Assessment } from '../assess.ts';
import * as z from 'zod/mini';
import { acts, Attempt } from './attempt.ts';
import { minutesOfAct, titleOfAct } from './looks.ts';
import { drawTruth, signsNow, type Truth, type Wishes } from './truth.ts';
import { freezingPoint } from '../physics/ice.ts';
import { caseEmpty } from '../stations/gear/case-state.ts';

/** What somebody does in an exercise. The exercise follows from its setup and these alone. */
export const deedSchema = z.discriminatedUnion('kind', [
  /** Makes a look, `anyway` where a hold forbids it. */
  z.strictObject({
    kind: z.literal('look'),
    act: z.string().check(z.maxLength(40)),
    anyway: z.optional(z.literal(true))
  }),
  z.strictObject({ kind: z.literal('job'), job: z.string().check(z.maxLength(40)) }),
  /** Does the first move of the advice. */
  z.strictObject({ kind: z.literal('follow') }),
  /** Asks for the advice, where it is given on demand. */
  z.strictObject({ kind: z.literal('ask') }),
  z.strictObject({ kind: z.literal('wait'), minutes: z.number().check(z.gte(1), z.lte(10_080)) })
]);
export type Deed = z.infer<typeof deedSchema>;
export type AdviceMode = 'open' | 'on-demand' | 'shut';

export interface Setup {
  readonly seed: string;
  readonly wishes: Wishes;
  readonly advice: AdviceMode;
}

/** The engine of an exercise, where nights may freeze. */
export const truthOf = ({ seed, wishes }: Pick<Setup, 'seed' | 'wishes'>): Truth =>
  drawTruth(seed, { frost: true, ...wishes });

/** One deed as it went: what it was, what it took, and what the advice would have done in its place. */
export interface Stride {
  readonly deed: Deed;
  readonly title: string;
  readonly minutes: number;
  /** Parts and hands, cr. */
  readonly money: number;
  /** The first move of the advice before it. */
  readonly first: Pick<Move, 'id' | 'title' | 'minutes' | 'because'> | undefined;
  /** It was that move, or made what that move asks for. */
  readonly asAdvised: boolean;
  /** The hold that was broken by it. */
  readonly broke?: { readonly id: string; readonly title: string; readonly happened: string };
}
export type Outcome =
  | { readonly ok: true; readonly stride: Stride }
  | { readonly ok: false; readonly says: string; readonly refused?: true };

/** What comes of doing what a hold forbids; the rest is kept for the debrief. `ends` ends the exercise. */
const consequences: ReadonlyMap<string, { readonly happened: string; readonly ends?: true; readonly fault?: string }> =
  new Map([
    ['drowned-running', { happened: 'Water does not compress: a rod bent on the first stroke.', ends: true }],
    ['drowned', { happened: 'Water in a bore met the piston: a rod bent.', ends: true }],
    ['liquid', { happened: 'A bore full of liquid met the piston: a rod bent.', ends: true }],
    ['locked', { happened: 'It was forced past what held it: something inside broke.', ends: true }],
    ['belt', { happened: 'The belt went at the first turn and the valves met the pistons.', ends: true }],
    ['indoors', { happened: 'Exhaust filled the shed within minutes. Everybody out.', ends: true }],
    ['water', { happened: 'The pump ran dry: its impeller melted within seconds.', fault: 'impeller' }],
    ['fuel', { happened: 'Old fuel went through the carburettor and left its gum there.', fault: 'jets' }]
  ]);

/** Time in which a night passes, ms. */
const NIGHT = 8 * 3_600_000;
/** What shows that there is water in a gear case. */
const WET_CASE: ReadonlySet<string> = new Set(['gear-water', 'gear-milky']);

const suits = (truth: Truth, fault: string): string | undefined =>
  truth.model.suspects.find((s) => s.kind.id === fault)?.id;

/**
 * An exercise under way: a drawn engine, what was done to it, what it took. Pure but for its own state, and the same from the
 * same setup and deeds.
 */
export class Exercise {
  readonly strides: Stride[] = [];
  asked = 0;
  /** Why it can go no further. */
  ended: string | undefined;
  private readonly attempt: Attempt;

  constructor(readonly setup: Setup) {
    this.attempt = new Attempt(truthOf(setup));
  }

  get truth(): Truth {
    return this.attempt.truth;
  }
  get survey(): Attempt['survey'] {
    return this.attempt.survey;
  }
  get now(): Date {
    return this.attempt.now;
  }
  /** Minutes of hands so far. */
  get minutes(): number {
    return this.strides.reduce((sum, s) => sum + s.minutes, 0);
  }
  get money(): number {
    return this.strides.reduce((sum, s) => sum + s.money, 0);
  }
  faults = (): ReadonlySet<string> => this.attempt.faults();
  assessed = (): Assessment => this.attempt.assessed();

  /** Does one thing. A hold refuses it with its sentence, unless it is done anyway. */
  do(deed: Deed): Outcome {
    if (this.ended) return { ok: false, says: this.ended };
    if (deed.kind === 'ask') {
      this.asked += 1;
      return { ok: false, says: '' };
    }
    const from = this.now.getTime();
    const before = this.assessed();
    const first = before.moves.find((m) => !m.waits) ?? before.moves[0];
    const done = this.act(deed, before, first);
    if (!done.ok) return done;
    const stride: Stride = {
      ...done.stride,
      ...this.overnight(from, before),
      deed,
      first: first && { id: first.id, title: first.title, minutes: first.minutes, because: first.because }
    };
    this.strides.push(stride);
    return { ok: true, stride };
  }

  private act(
    deed: Exclude<Deed, { kind: 'ask' }>,
    before: Assessment,
    first: Move | undefined
  ): { readonly ok: true; readonly stride: Omit<Stride, 'deed' | 'first'> } | Extract<Outcome, { ok: false }> {
    switch (deed.kind) {
      case 'look':
        return this.look(deed, before, first);
      case 'job':
        return this.job(deed.job, first);
      case 'wait': {
        this.attempt.pass(deed.minutes);
        return {
          ok: true,
          stride: {
            title: `Waited ${sayMinutes(deed.minutes)}`,
            minutes: 0,
            money: 0,
            asAdvised: first?.kind === 'wait'
          }
        };
      }
      case 'follow': {
        if (!first) return { ok: false, says: 'There is nothing left to do.' };
        if (first.kind === 'job') return this.job(String(first.job), first);
        if (!this.attempt.follow(first))
          return { ok: false, says: `${first.title}: this is the end of the way. Say what is wrong, and see.` };
        const minutes = first.kind === 'wait' ? 0 : first.minutes;
        return { ok: true, stride: { title: first.title, minutes, money: 0, asAdvised: true } };
      }
    }
  }

  /** A night of frost, over a gear case that is closed on water: it cracks. */
  private overnight(from: number, { context: c }: Assessment): Pick<Stride, 'broke'> {
    const { coldest, model } = this.truth;
    if (this.now.getTime() - from < NIGHT || coldest > freezingPoint(c.survey.engine.history.water)) return {};
    const wet = [...signsNow(this.truth, this.survey)].some((k) => WET_CASE.has(model.signs[k]!.id));
    const crack = suits(this.truth, 'frost-crack');
    if (!wet || caseEmpty(c) || this.attempt.jobs.includes('frost') || !crack || this.faults().has(crack)) return {};
    this.attempt.break(crack);
    return {
      broke: {
        id: 'frost',
        title: 'Water left in the gear case over a night of frost',
        happened: 'It froze, and the case cracked: what was a seal is a case now.'
      }
    };
  }

  private look(
    deed: Extract<Deed, { kind: 'look' }>,
    before: Assessment,
    first: Move | undefined
  ): ReturnType<Exercise['act']> {
    const act = acts.find((a) => a.id === deed.act);
    if (!act) return { ok: false, says: 'There is no such look.' };
    const hold = act.items
      .flatMap((item) => {
        const action = actionOf(item, item === 'run.event' ? 'start' : undefined);
        return action ? against(before.holds, action) : [];
      })
      .at(0);
    if (hold && !deed.anyway)
      return {
        ok: false,
        refused: true,
        says: `${hold.title}. ${hold.because} It lifts when: ${hold.needs
          .filter((n) => !n.done)
          .map((n) => n.text)
          .join('; ')}.`
      };
    const what = hold && consequences.get(hold.id);
    const minutes = minutesOfAct(
      act,
      before.context.survey.engine.profile.cylinders as number,
      setupDone(before.context)
    );
    if (hold && what?.ends) this.ended = `${what.happened} The exercise ends here.`;
    else {
      const fault = what?.fault && suits(this.truth, what.fault);
      if (fault) this.attempt.break(fault);
      this.attempt.make([act], minutes);
    }
    const asAdvised =
      first !== undefined && this.attempt.actsOf(first).some((a) => a.id === act.id) && first.kind !== 'job';
    return {
      ok: true,
      stride: {
        title: titleOfAct(act),
        minutes,
        money: 0,
        asAdvised,
        ...(hold
          ? { broke: { id: hold.id, title: hold.title, happened: what?.happened ?? 'Nothing happened this time.' } }
          : {})
      }
    };
  }

  /** What can be done at it: every job, and of an engine that sank the steps of its protocol that no reading proves. */
  works(): readonly { readonly id: string; readonly title: string }[] {
    return [...jobs, ...this.marks().map(({ mark, title }) => ({ id: mark, title }))];
  }

  /** Steps of the protocol that are ticked by hand. */
  private marks(): readonly { readonly mark: string; readonly title: string; readonly minutes: number }[] {
    // Asked at every piece of work that is played back: what never sank is not judged for it.
    if (!drowned(this)) return [];
    return protocol(this.assessed().context).flatMap((s) => (s.mark ? [{ ...s, mark: s.mark }] : []));
  }

  private job(job: string, first: Move | undefined): ReturnType<Exercise['act']> {
    const mark = this.marks().find((m) => m.mark === job);
    if (mark) {
      const money = (mark.minutes / 60) * moneyOf(this.assessed().context).rate;
      this.attempt.work(job, mark.minutes);
      return { ok: true, stride: { title: mark.title, minutes: mark.minutes, money, asAdvised: first?.mark === job } };
    }
    if (!isJobId(job)) return { ok: false, says: 'There is no such work.' };
    const { minutes, money } = this.costOf(job);
    this.attempt.work(job, minutes);
    return {
      ok: true,
      stride: { title: titleOfJob(job), minutes, money, asAdvised: first?.kind === 'job' && first.job === job }
    };
  }

  /** Minutes and price of a job on this engine: of the suspect that it cures, the likeliest of them. */
  private costOf(job: JobId): { readonly minutes: number; readonly money: number } {
    const c = this.assessed().context;
    const money = moneyOf(c);
    const mine = this.truth.model.suspects.filter((s) => s.kind.step === job && !s.kind.artefact);
    const listed = jobOf(job).minutes;
    if (!mine.length) return { minutes: listed, money: (listed / 60) * money.rate };
    // The one that is truly there sets the price; else the least of them.
    const there = mine.filter((s) => this.faults().has(s.id));
    const one = (there.length ? there : mine).reduce((a, b) => (a.kind.minutes[1] <= b.kind.minutes[1] ? a : b));
    return { minutes: one.kind.minutes[1], money: cureCost(one.kind, money) };
  }

  /** Makes an exercise again from what was done in it. */
  static from(setup: Setup, deeds: readonly Deed[]): Exercise {
    const exercise = new Exercise(setup);
    for (const deed of deeds) exercise.do(deed);
    return exercise;
  }
}

export const titleOfJob = (job: JobId): string => jobOf(job).title;
const sayMinutes = (m: number): string => (m < 120 ? `${Math.round(m)} min` : `${Math.round(m / 60)} h`);
