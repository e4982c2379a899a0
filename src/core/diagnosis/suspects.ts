import type { Action } from '../holds/hold.ts';
import type { Said } from '../engine/profile.ts';
import type { StationId } from '../stations/items.ts';
import { complaints } from '../stations/said.ts';
import type { Belief, Outcome } from './belief.ts';
import { checkById } from './knowledge/index.ts';
import { stakes, systems } from './knowledge/shape.ts';
import type { Look } from './ranking.ts';
import type { Model, SignAt } from './model.ts';
import { logOdds } from './network.ts';
import { SAID } from './said.ts';
import type { Weighing } from './weighing.ts';

export type Chance = 'likely' | 'possible' | 'unlikely';
const rank: Readonly<Record<Chance, number>> = { likely: 0, possible: 1, unlikely: 2 };
/** Words for a probability; the figure is one tap away (M: where the words begin). */
export const chanceOf = (p: number): Chance => (p >= 0.5 ? 'likely' : p >= 0.12 ? 'possible' : 'unlikely');

export interface Weight {
  readonly sign: string;
  readonly says: string;
  readonly station: StationId;
  /** Weight of evidence of this reading beside all the others, natural log of odds. P: Good 1985. */
  readonly weight: number;
  readonly strength: 'strongly' | 'clearly' | 'a little';
}

export interface SuspectView {
  readonly id: string;
  readonly label: string;
  readonly system: string;
  readonly cylinders: readonly number[];
  readonly artefact: boolean;
  readonly probability: number;
  readonly prior: number;
  readonly chance: Chance;
  /** Raised by what was seen, and not by the kind of case alone. */
  readonly raised: boolean;
  /** The job that cures it is behind us, and nothing seen since then points to it. */
  readonly mended: boolean;
  /** Findings that it explains, by their ids: its signs that were seen say the same. */
  readonly explains: readonly string[];
  /** Its job was marked done, and a sign of it was seen after that. */
  readonly again: boolean;
  /** Its settling look: not made, made without showing it, or it shows it. */
  readonly settling: 'open' | 'made' | 'shows';
  readonly evidence: readonly Weight[];
  /** What fits it as well but adds little beside the rest: several readings that say the same share their weight. */
  readonly fits: readonly string[];
  readonly clears?: {
    readonly check: string;
    readonly title: string;
    readonly station: StationId;
    readonly says: string;
    readonly to: number;
  };
  readonly cure: string;
  readonly step?: string;
  readonly specialist: boolean;
}

const strengthOf = (w: number): Weight['strength'] =>
  Math.abs(w) >= 2.3 ? 'strongly' : Math.abs(w) >= 1 ? 'clearly' : 'a little';
/** A reading that moves the odds less than this is not named (a quarter more or less). */
const NAMED = 0.22;

export function stationOfSign(model: Model, s: number): StationId {
  const { id, check } = model.signs[s]!.kind;
  return check === SAID ? complaints[id.slice(`${SAID}-`.length) as Said].station : checkById.get(check)!.station;
}

export function saySign(model: Model, s: number, present: boolean): string {
  const { kind, cylinder } = model.signs[s]!;
  const words = present ? kind.present : kind.absent;
  return cylinder !== undefined && model.cylinders.length > 1 ? `cylinder ${cylinder}: ${words}` : words;
}

/** The posteriors without one reading or another: what each is worth beside the rest. Worked out when asked for, once. */
export class Removals {
  private readonly kept = new Map<number, Outcome>();
  constructor(private readonly belief: Belief) {}

  without(sign: number): Outcome {
    const out = this.kept.get(sign) ?? this.belief.without(sign);
    this.kept.set(sign, out);
    return out;
  }
}

/** The signs of a suspect that were looked at. */
const seenOf = (model: Model, belief: Belief, i: number): number[] =>
  model.signsOf[i]!.filter((s) => belief.evidence.has(s));

/** Readings that can speak about a suspect: its own signs, and what is there that it competes to explain. */
function about(model: Model, belief: Belief, i: number): number[] {
  const own = new Set(seenOf(model, belief, i));
  const there = [...own].filter((s) => belief.likelihood(s)!.present > 0);
  const rivals = new Set(there.flatMap((s) => model.network.signs[s]!.causes.map((c) => c.cause)));
  for (const [s, l] of belief.evidence)
    if (l.present > 0 && model.network.signs[s]!.causes.some((c) => rivals.has(c.cause))) own.add(s);
  return [...own];
}

export const speaksFor = (belief: Belief, s: number): boolean => {
  const l = belief.likelihood(s)!;
  return l.present > l.absent;
};

/** Suspects by what is likely, those that something points to before those that only the kind of case suggests. */
export function suspectViews(
  model: Model,
  belief: Belief,
  removals: Removals,
  looks: readonly Look[],
  { mended, again }: Pick<Weighing, 'mended' | 'again'>,
  forbidden: (action: Action) => boolean = () => false,
  limit = 14
): SuspectView[] {
  const views = model.suspects.map((s, i) => {
    const p = belief.posterior[i]!;
    const prior = model.network.causes[i]!.prior;
    const raised = logOdds(p) - logOdds(prior) > 0.35;
    return { s, i, p, prior, raised, mended: mended.has(s.id) };
  });
  // Of one word, what costs most to leave in comes first; a wrong measurement must be out of the way before anything.
  const weightOf = (v: (typeof views)[number]): number =>
    v.p * Math.sqrt(v.s.kind.artefact ? stakes.engine.loss : stakes[v.s.kind.stake].loss);
  const shown = views
    .filter((v) => (v.raised ? v.p >= 0.03 : v.p >= 0.12 && !v.s.kind.artefact))
    .sort(
      (a, b) =>
        Number(a.mended) - Number(b.mended) ||
        Number(b.raised) - Number(a.raised) ||
        rank[chanceOf(a.p)] - rank[chanceOf(b.p)] ||
        weightOf(b) - weightOf(a)
    )
    .slice(0, limit);
  const supposed = new Map<number, Outcome>();
  // Nothing is offered that a hold forbids.
  const allowed = looks.filter(({ check }) => !check.needs || !forbidden(check.needs));
  return shown.map(({ s, i, p, prior, raised, mended: done }) => {
    const evidence = about(model, belief, i)
      .map((sign): Weight => {
        const weight = logOdds(p) - logOdds(removals.without(sign).posterior[i]!);
        const says = saySign(model, sign, speaksFor(belief, sign));
        return {
          sign: model.signs[sign]!.id,
          says,
          station: stationOfSign(model, sign),
          weight,
          strength: strengthOf(weight)
        };
      })
      .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
      // A suspect raised by many small things names at least the largest of them.
      .filter((w, k) => Math.abs(w.weight) >= NAMED || (raised && k === 0))
      .slice(0, 8);
    const named = new Set(evidence.map((w) => w.sign));
    const fits = seenOf(model, belief, i)
      .filter((x) => speaksFor(belief, x) && !named.has(model.signs[x]!.id))
      .map((x) => saySign(model, x, true))
      .slice(0, 6);
    const clears = raised && p >= 0.12 && p < 0.97 && !done ? clearing(model, belief, allowed, i, supposed) : undefined;
    return {
      id: s.id,
      label: s.label,
      system: systems[s.kind.system],
      cylinders: s.cylinders,
      artefact: s.kind.artefact ?? false,
      probability: p,
      prior,
      chance: chanceOf(p),
      raised,
      mended: done,
      again: again.has(s.id),
      explains: explainedBy(model, belief, i),
      settling: settlingOf(model, belief, i),
      evidence,
      fits,
      ...(clears ? { clears } : {}),
      cure: s.kind.cure,
      ...(s.kind.step ? { step: s.kind.step } : {}),
      specialist: s.kind.specialist ?? false
    };
  });
}

/** The findings that say the same as the signs of a suspect that were seen. */
const explainedBy = (model: Model, belief: Belief, i: number): string[] => [
  ...new Set(
    seenOf(model, belief, i)
      .filter((x) => speaksFor(belief, x))
      .flatMap((x) => {
        const { kind, cylinder } = model.signs[x]!;
        return (kind.findings ?? []).map((f) => (cylinder === undefined ? f : `${f}.${cylinder}`));
      })
  )
];

/**
 * What came of the check that settles a suspect: a belief is no ground for work before it has been made, nor before what its
 * rivals are seen by was looked at at the same place.
 */
function settlingOf(model: Model, belief: Belief, i: number): SuspectView['settling'] {
  const { kind, cylinders } = model.suspects[i]!;
  const here = (s: SignAt): boolean => s.cylinder === undefined || cylinders.includes(s.cylinder);
  const unseen = (s: SignAt, k: number): boolean =>
    kind.rivals!.includes(s.kind.check) && here(s) && !belief.evidence.has(k);
  if (kind.rivals && model.signs.some(unseen)) return 'open';
  const seen = seenOf(model, belief, i).filter((s) => model.signs[s]!.kind.check === kind.settled);
  return !seen.length ? 'open' : seen.some((s) => speaksFor(belief, s)) ? 'shows' : 'made';
}

/** The one look that would take most of it away for its minutes. */
function clearing(
  model: Model,
  belief: Belief,
  looks: readonly Look[],
  i: number,
  supposed: Map<number, Outcome>
): SuspectView['clears'] {
  let best: SuspectView['clears'];
  let most = 0;
  for (const { check, signs } of looks) {
    if (check.needs === 'start') continue;
    for (const s of signs) {
      if (!model.network.signs[s]!.causes.some((c) => c.cause === i)) continue;
      const absent = supposed.get(s) ?? belief.withAbsent([s]);
      supposed.set(s, absent);
      const to = absent.posterior[i]!;
      const worth = (logOdds(belief.posterior[i]!) - logOdds(to)) / (check.minutes + 5);
      if (worth > most) {
        most = worth;
        best = { check: check.id, title: check.title, station: check.station, says: saySign(model, s, false), to };
      }
    }
  }
  return best;
}
