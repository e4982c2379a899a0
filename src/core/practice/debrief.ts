import { cureCost, moneyOf } from '../diagnosis/value.ts';
import { checkById, suspectById } from '../diagnosis/knowledge/index.ts';
import { systems, type SystemId } from '../diagnosis/knowledge/shape.ts';
import { stationOf } from '../stations/items.ts';
import type { StationId } from '../stations/items.ts';
import { acts, Attempt } from './attempt.ts';
import { truthOf, type Exercise, type Setup, type Stride } from './exercise.ts';
import { scoreOf, type Score, type Statement } from './statement.ts';
import { signsOf, type Truth } from './truth.ts';

/** One thing that was truly there. */
export interface Revealed {
  readonly id: string;
  readonly label: string;
  readonly system: string;
  readonly station: StationId | undefined;
  readonly cylinders: readonly number[];
  /** It was mended in the exercise. */
  readonly mended: boolean;
  /** No look could have shown it. */
  readonly hidden: boolean;
  readonly said: string | undefined;
}
export interface PathStep {
  readonly title: string;
  readonly minutes: number;
  readonly kind: 'look' | 'work' | 'wait';
  /** It put something right that was truly wrong. */
  readonly mends?: true;
}
/** A choice that cost more than it had to. */
export interface Regret {
  readonly stride: number;
  readonly title: string;
  readonly minutes: number;
  /** Minutes more than the advice would have spent here. */
  readonly more: number;
  readonly because: string;
}
export interface Debrief {
  readonly truth: readonly Revealed[];
  /** Readings that were the instrument, or how it was used, and not the engine. */
  readonly artefacts: readonly { readonly label: string; readonly noticed: boolean }[];
  readonly path: readonly PathStep[];
  readonly minutes: number;
  readonly money: number;
  readonly advised: readonly PathStep[];
  /** Minutes of the advised path to its last mend; all of it where it mended nothing. */
  readonly advisedMinutes: number;
  readonly regrets: readonly Regret[];
  /** Minutes beyond what was needed, all choices together. */
  readonly regret: number;
  readonly dearest: readonly Regret[];
  readonly broken: readonly { readonly title: string; readonly happened: string }[];
  readonly score: Score;
  /** What it truly takes from intake, cr: hands and parts of every fault, and what was said. */
  readonly cost: { readonly true: number; readonly said: number | undefined };
  readonly asked: number;
  readonly ended: string | undefined;
}

/** Steps of the path that the advice would have taken, at most. */
const MOST = 60;

/** The way of the advice's first move from intake, for the same engine; it ends at a release, a question, or what comes round again. */
export const advisedPath = (setup: Setup): PathStep[] => [...advisedSteps(setup)];

/** The same, a step at a time: each takes a judgement, and between them others may have the processor. */
export function* advisedSteps(setup: Setup): Generator<PathStep> {
  const attempt = new Attempt(truthOf(setup));
  const seen = new Map<string, number>();
  for (let k = 0; k < MOST; k++) {
    const { moves } = attempt.assessed();
    const move = moves.find((m) => !m.waits) ?? moves[0];
    const before = attempt.faults().size;
    if (!move || !attempt.follow(move)) break;
    const times = (seen.get(move.id) ?? 0) + 1;
    seen.set(move.id, times);
    if (times > 6) break;
    yield {
      title: move.title,
      minutes: move.kind === 'wait' ? 0 : move.minutes,
      kind: move.kind === 'job' ? 'work' : move.kind === 'wait' ? 'wait' : 'look',
      ...(attempt.faults().size < before ? { mends: true as const } : {})
    };
  }
}

const kindOf = (s: Stride): PathStep['kind'] =>
  s.deed.kind === 'wait'
    ? 'wait'
    : s.deed.kind === 'job' || (s.first?.id.startsWith('job:') && s.deed.kind === 'follow')
      ? 'work'
      : 'look';

function revealed(e: Exercise, truth: Truth, statement: Statement): Revealed[] {
  const now = e.faults();
  const marked = new Map(Object.entries(statement.marks));
  return truth.model.suspects.flatMap((s, i): Revealed[] => {
    if (!truth.faults.has(s.id) || s.kind.artefact) return [];
    return [
      {
        id: s.id,
        label: s.label,
        system: systems[s.kind.system as SystemId],
        station: checkById.get(s.kind.settled)?.station,
        cylinders: s.kind.per ? s.cylinders : [],
        mended: !now.has(s.id),
        hidden: signsOf(truth.draws, truth.model, i).length === 0,
        said: marked.get(s.id)
      }
    ];
  });
}

/** Readings that were how it was measured: noticed where it was said, or where the proper repeat was made. */
function artefactsOf(e: Exercise, truth: Truth, statement: Statement): Debrief['artefacts'] {
  const made = new Set(e.strides.flatMap((s) => (s.deed.kind === 'look' ? [s.deed.act] : [])));
  const marked = new Map(Object.entries(statement.marks));
  return truth.model.suspects.flatMap((s, i) => {
    if (!s.kind.artefact || !truth.faults.has(s.id)) return [];
    // One that could show itself nowhere in what was looked at has misled nobody.
    const read = new Set(e.survey.readings.map((r) => stationOf(r.what)));
    const shows = signsOf(truth.draws, truth.model, i).some((k) => {
      const station = checkById.get(truth.model.signs[k]!.kind.check)?.station;
      return station !== undefined && read.has(station);
    });
    if (!shows) return [];
    const said = marked.get(s.id);
    return [{ label: s.label, noticed: said === 'likely' || said === 'possible' || made.has(s.kind.settled) }];
  });
}

/** A path up to its last mend; all of it where it mended nothing. What comes after is service, proof and hand-over. */
export const toLastMend = (path: readonly PathStep[]): readonly PathStep[] =>
  path.slice(0, path.findLastIndex((p) => p.mends) + 1 || path.length);

/** What each choice cost beyond the advice's own first move of that moment, dearest first. */
function regretsOf(e: Exercise, advised: readonly PathStep[]): Regret[] {
  const asked = new Set(advised.map((p) => p.title));
  return e.strides
    .flatMap((s, k): Regret[] => {
      const { first } = s;
      if (s.asAdvised || s.deed.kind === 'wait' || !first) return [];
      // What the advice comes to itself later was only early; what it never asks for was for nothing.
      const later = asked.has(s.title) || e.strides.slice(k + 1).some((x) => x.first?.title === s.title);
      const more = later ? Math.max(0, s.minutes - first.minutes) / 2 : s.minutes;
      if (more < 1) return [];
      return [
        {
          stride: k,
          title: s.title,
          minutes: s.minutes,
          more,
          because: `Then ${later ? 'came first' : 'it was'}: ${first.title} (${Math.round(first.minutes)} min). ${first.because}`
        }
      ];
    })
    .sort((a, b) => b.more - a.more);
}

/** The debrief of an exercise, with the advised path made before (it takes most of the time). */
export function debriefOf(e: Exercise, statement: Statement, advised: readonly PathStep[]): Debrief {
  const truth = truthOf(e.setup);
  const regrets = regretsOf(e, advised);
  const money = moneyOf(e.assessed().context);
  const trueCost = [...truth.faults].reduce((sum, id) => {
    const s = truth.model.suspects.find((x) => x.id === id)!;
    return s.kind.artefact ? sum : sum + cureCost(suspectById.get(s.kind.id)!, money);
  }, 0);
  return {
    truth: revealed(e, truth, statement),
    artefacts: artefactsOf(e, truth, statement),
    path: e.strides.map((s) => ({ title: s.title, minutes: s.minutes, kind: kindOf(s) })),
    minutes: e.minutes,
    money: e.money,
    advised,
    advisedMinutes: toLastMend(advised).reduce((sum, p) => sum + p.minutes, 0),
    regrets,
    regret: regrets.reduce((sum, r) => sum + r.more, 0),
    dearest: regrets.slice(0, 3),
    broken: e.strides.flatMap((s) => (s.broke ? [{ title: s.broke.title, happened: s.broke.happened }] : [])),
    score: scoreOf(truth, statement),
    cost: { true: trueCost, said: statement.cost },
    asked: e.asked,
    ended: e.ended
  };
}

/** Looks of one check that can be made at this engine. */
export const looksOf = (station: StationId) => acts.filter((a) => a.station === station);
