import type { CaseKind } from '../engine/case-kind.ts';
import type { History, Profile } from '../engine/profile.ts';
import { contextOf } from '../findings/context.ts';
import { modelOf, type Model, type Suspect } from '../diagnosis/model.ts';
import { compareInstants, isAfter } from '../units/instant.ts';
import { curesOf, strengths, type SystemId } from '../diagnosis/knowledge/shape.ts';
import { emptySurvey, type SurveyFile } from '../record/survey-file.ts';
import { practiceEngines } from './engines.ts';
import { Draws } from './random.ts';
import { fuelEmptied } from './water.ts';

/** How many faults an engine has: none, exactly one that shows itself somewhere, or as many as such a case usually brings. */
export type FaultCount = 'none' | 'one' | 'usual';

/** What nobody at the bench knows: the engine as it truly is. Plain data but for its draws, which follow from the seed. */
export interface Truth {
  readonly seed: string;
  /** One of `practiceEngines`. */
  readonly engine: string;
  /** What the trainee is told: the intake, with nothing read yet. */
  readonly intake: SurveyFile;
  readonly model: Model;
  /** Suspects that are there when it comes in, wrong measurements among them, by their ids. */
  readonly faults: ReadonlySet<string>;
  /** Whether signs may also come from something the knowledge does not know. */
  readonly leaks: boolean;
  /** K, the coldest that a night gets where it stands. */
  readonly coldest: number;
  readonly draws: Draws;
}

export interface Wishes {
  readonly faults?: FaultCount;
  readonly engine?: string;
  readonly kind?: CaseKind;
  readonly leaks?: boolean;
  /** Whether measurements may be taken wrongly, as often as the knowledge says. */
  readonly artefacts?: boolean;
  /** Whether nights may freeze where it stands. */
  readonly frost?: boolean;
  /** The one fault is of this system. */
  readonly system?: SystemId;
  /** Exactly these suspects, and no others; a name that this engine has not is refused. */
  readonly only?: readonly string[];
}

/** A spring night in the yard, K, and the share of yards in which it freezes (M). */
const MILD = 285;
const FROSTY = 0.3;

const kinds = ['long-stored', 'neglected', 'spring-return'] as const satisfies readonly CaseKind[];
/** When every practice engine comes in; only what passes after it counts. */
const INTAKE = '2026-05-04T07:00:00.000Z';

/** How long it was under water and has been out of it, and whether it ran when it sank. */
function sinking(draws: Draws): History {
  const hoursOut = draws.between('hours-out', 0.3, 8);
  return {
    submerged: 'yes',
    water: draws.pick('sunk-in', ['fresh', 'salt', 'brackish'] as const),
    runningWhenSunk: draws.pick('ran-under', ['yes', 'no', 'no'] as const),
    hoursUnder: Math.round(10 * draws.between('hours-under', 0.2, 30)) / 10,
    recoveredAt: new Date(Date.parse(INTAKE) - hoursOut * 3_600_000).toISOString(),
    hours: Math.round(draws.between('hours', 40, 900))
  };
}

function historyOf(kind: CaseKind, draws: Draws): History {
  if (kind === 'drowned') return sinking(draws);
  const years = kind === 'long-stored' ? [3, 14] : kind === 'neglected' ? [0.5, 3] : [0.4, 0.6];
  return {
    yearsIdle: Math.round(10 * draws.between('years', years[0]!, years[1]!)) / 10,
    water: draws.pick('water', ['fresh', 'salt', 'unknown'] as const),
    kept: draws.pick('kept', ['rack', 'trailer'] as const),
    hours: Math.round(draws.between('hours', 40, 900))
  };
}

const placed = (model: Model, k: number): number[] => model.network.signs[k]!.causes.map((c) => c.cause);

/** Whether a sign would be there by this suspect alone. */
export const showsBy = (draws: Draws, sign: string, suspect: string, strength: number): boolean =>
  draws.level(`shows|${sign}|${suspect}`) < strength;

/** Signs by which a suspect would give itself away on this engine. */
export const signsOf = (draws: Draws, model: Model, suspect: number): number[] =>
  model.signs.flatMap(({ id }, k) => {
    const link = model.network.signs[k]!.causes.find((c) => c.cause === suspect);
    return link && showsBy(draws, id, model.suspects[suspect]!.id, link.strength) ? [k] : [];
  });

/**
 * Draws an engine: its kind, its history and what is wrong with it. The same seed and wishes give the same engine anywhere.
 * With one fault the chance of each is its prior odds, and a fault that shows nowhere is drawn again: no look could find it.
 */
export function drawTruth(seed: string, wishes: Wishes = {}): Truth {
  const draws = new Draws(seed);
  const engine = wishes.engine ?? draws.pick('engine', Object.keys(practiceEngines));
  const profile: Profile | undefined = Object.hasOwn(practiceEngines, engine) ? practiceEngines[engine] : undefined;
  if (!profile) throw new RangeError(`unknown engine to practise on: ${engine}`);
  const kind = wishes.kind ?? draws.pick('kind', kinds);
  const empty = emptySurvey(kind, INTAKE, 'Practice');
  const intake: SurveyFile = {
    ...empty,
    engine: {
      identity: { tag: 'Practice', serial: seed, model: engine },
      profile,
      history: historyOf(kind, draws)
    }
  };
  const model = modelOf(contextOf(intake, new Date(INTAKE), 'metric'), new Set());
  const coldest = wishes.frost && draws.level('frost') < FROSTY ? Math.round(draws.between('coldest', 258, 269)) : MILD;
  const faults = new Set<string>();
  const prior = (k: number): number => model.network.causes[k]!.prior;
  const count = wishes.faults ?? 'usual';
  if (wishes.only) {
    const unknown = wishes.only.find((id) => !model.suspects.some((s) => s.id === id));
    if (unknown !== undefined) throw new RangeError(`unknown fault of this engine: ${unknown}`);
    const faults = new Set(wishes.only);
    return { seed, engine, intake, model, faults, leaks: wishes.leaks ?? false, coldest, draws };
  }
  model.suspects.forEach(({ id, kind: k }, i) => {
    const may = k.artefact ? (wishes.artefacts ?? true) : count === 'usual';
    if (may && draws.level(`fault|${id}`) < prior(i)) faults.add(id);
  });
  if (count === 'one') faults.add(oneOf(model, draws, wishes.system));
  return { seed, engine, intake, model, faults, leaks: wishes.leaks ?? true, coldest, draws };
}

function oneOf(model: Model, draws: Draws, system: SystemId | undefined): string {
  const list = model.suspects.flatMap((s, i) => {
    const p = model.network.causes[i]!.prior;
    const of = system === undefined || s.kind.system === system;
    return s.kind.artefact || !of || !signsOf(draws, model, i).length ? [] : [{ s, odds: p / (1 - p) }];
  });
  // An engine that has no such system has a fault of another.
  if (!list.length && system !== undefined) return oneOf(model, draws, undefined);
  let left = draws.level('one') * list.reduce((sum, x) => sum + x.odds, 0);
  for (const { s, odds } of list) if ((left -= odds) <= 0) return s.id;
  return list.at(-1)!.s.id;
}

/** When each job was marked done, in order. */
function doneMarks(survey: SurveyFile): Map<string, string[]> {
  const out = new Map<string, string[]>();
  for (const { step, state, at } of survey.steps ?? [])
    if (state === 'done') out.set(step, [...(out.get(step) ?? []), at]);
  return out;
}

/**
 * What a piece of work puts right beside the suspects whose job it is: conditions that were seen and mended as such, and for work
 * that looks for the cause itself, whatever it would come upon. "*" with a system is every suspect of that system.
 */
const alsoCures: Readonly<
  Record<string, { readonly signs?: readonly string[]; readonly suspects?: readonly string[] }>
> = {
  structure: { signs: ['linkage-bad', 'swivel-stiff'] },
  'throttle-linkage': { signs: ['linkage-bad'] },
  hoses: { signs: ['hoses-hard', 'bulb-old'] },
  wiring: { signs: ['wires-bad', 'connectors', 'fuse-blown'] },
  nest: { signs: ['nest'] },
  hot: { suspects: ['passages', 'strainer', 'screen'] },
  'spark-own': { suspects: ['plug', 'lead', 'coil'] },
  gears: { suspects: ['linkage', 'shift-joint'] },
  carburettor: { suspects: ['float'] },
  bulb: { signs: ['bulb-soft'], suspects: ['bulb-valve'] }
};

/** What is wrong with it now: jobs that were done cure what they cure, and may leave something behind. */
export function faultsNow(truth: Truth, survey: SurveyFile): ReadonlySet<string> {
  const marks = doneMarks(survey);
  const last = (job: string): string | undefined => marks.get(job)?.at(-1);
  const washers = survey.readings.findLast((r) => r.what === 'gear.washers' && r.value === 'yes')?.at;
  // What was turned out by hand is out.
  // The wire that finds an outlet blocked has cleared it.
  const probed = survey.readings.some((r) => r.what === 'cooling.outlet' && r.value === 'blocked');
  const turnedDry = survey.readings.findLast((r) => r.what === 'turn.water')?.value === 'none';
  const emptied = fuelEmptied(survey.readings);
  const there = ({ id, kind }: Suspect): boolean => {
    if (kind.id === 'plug-washers' && washers) return false;
    if (kind.id === 'liquid' && turnedDry) return false;
    if (kind.id === 'fuel-water' && emptied) return false;
    if (kind.id === 'outlet' && probed) return false;
    const steps = [
      ...curesOf(kind),
      ...Object.keys(alsoCures).filter((job) => alsoCures[job]!.suspects?.includes(kind.id))
    ];
    const cured = steps
      .flatMap((job) => last(job) ?? [])
      .sort(compareInstants)
      .at(-1);
    if (truth.faults.has(id) && !cured) return true;
    return Object.entries(kind.afterWork ?? {}).some(([job, share]) => {
      const times = marks.get(job) ?? [];
      const worked = times.at(-1);
      if (!worked || (job !== kind.step && cured && isAfter(cured, worked))) return false;
      return truth.draws.level(`after|${id}|${job}|${times.length}`) < share;
    });
  };
  return new Set(truth.model.suspects.filter(there).map((s) => s.id));
}

/** Signs that are there now, by their index in the model. */
export function signsNow(truth: Truth, survey: SurveyFile): ReadonlySet<number> {
  const faults = faultsNow(truth, survey);
  const done = doneMarks(survey);
  const mended = new Set([...done.keys()].flatMap((job) => alsoCures[job]?.signs ?? []));
  const { model, draws } = truth;
  const out = new Set<number>();
  model.signs.forEach(({ id, kind }, k) => {
    if (mended.has(kind.id)) return;
    const by = model.network.signs[k]!.causes.some(({ cause, strength }) => {
      const suspect = model.suspects[cause]!.id;
      return faults.has(suspect) && showsBy(draws, id, suspect, strength);
    });
    // What nobody can explain belongs to the part it is seen at: renewing that part takes it away.
    const renewed = model.network.signs[k]!.causes.some(
      ({ cause, strength }) =>
        strength >= strengths.usually && curesOf(model.suspects[cause]!.kind).some((job) => done.has(job))
    );
    const leak = truth.leaks && !renewed && placed(model, k).length > 0 && draws.level(`leak|${id}`) < kind.leak;
    if (by || leak) out.add(k);
  });
  return out;
}
