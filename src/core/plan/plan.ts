import { school } from '../house-rules/rules.ts';
import type { HazardId } from '../hazards/hazards.ts';
import type { SuspectView } from '../diagnosis/suspects.ts';
import type { Context } from '../findings/context.ts';
import { asksOf, type Ask } from '../advice/asks.ts';
import { allItems, type StationId } from '../stations/items.ts';
import { kindOf, type Finding } from '../findings/finding.ts';
import { aroundWork, raisers } from './around-work.ts';
import { changed, editsOf, ownSteps } from './edits.ts';
import { lastMarks } from '../jobs/done.ts';
import { doBy, sayDoBy } from '../jobs/do-by.ts';
import { CERTAIN, established } from './established.ts';
import { insideOthers, markOf } from './inside-others.ts';
import { readSince } from '../jobs/proof-read.ts';
import { grave, shownAgainst } from './shown-against.ts';
import type { JobRule, Proof } from '../jobs/job.ts';
import { isJobId, jobOf, jobs, traitsOf } from '../jobs/register.ts';

export interface Step {
  readonly id: string;
  readonly title: string;
  readonly how: string;
  /** The sentences of the findings that raised it, and of the suspects behind it. */
  readonly why: readonly string[];
  /** The same without what to do about it, for whoever owns the engine. */
  readonly found: readonly string[];
  readonly tools: readonly string[];
  readonly parts: readonly string[];
  readonly consumables: readonly string[];
  readonly minutes: number;
  readonly wait: number;
  readonly hazards: readonly HazardId[];
  readonly proof: Proof;
  /** Cylinders that raised it, where it was for some of them. */
  readonly cylinders?: readonly number[];
  readonly state: 'open' | 'done' | 'proved' | 'not-needed';
  /** Done, and what was read for its proof since shows these findings: that it worked is not shown, and they say what is next. */
  readonly against?: readonly string[];
  /** Open again: it was marked done at `markedAt`, and what it was for was seen after that. */
  readonly failed?: 'sign' | 'finding';
  /** The check at which what raises it still stands, where that is not the one that proves it. */
  readonly raisedAt?: StationId;
  /** Open steps that come first. */
  readonly after: readonly string[];
  /** Done, and what it set going is not over yet: what comes after it begins then. */
  readonly busyUntil?: string;
  /** Everything it comes after, done or not. */
  readonly follows: readonly string[];
  readonly note?: string;
  readonly markedAt?: string;
  readonly markedBy?: string;
  /** It may wait beyond the release: by when, in words. */
  readonly by?: string;
  /** Added by hand, or changed by hand. */
  readonly own?: true;
  readonly edited?: true;
  /** Mended for now: looked at again by this day. */
  readonly temporary?: { readonly until: string; readonly why: string };
}

/** A look that is written as a job: it finds out, and has nothing to fail. */
const looksOnly = (rule: JobRule): boolean => rule.phase === 'repeat' || rule.finds === true;

/** Cylinders that something is found at by the check of a proof: work that nothing had asked for is proved at those. */
const badAt = (found: readonly Finding[], { station }: Proof): number[] => [
  ...new Set(found.flatMap((f) => (f.station === station && f.condition !== 'sound' ? (f.cylinder ?? []) : [])))
];

/**
 * Whether the check that proves a job cannot tell yet of the very cylinder it was for, or of any where nothing found had asked for it; or
 * asks for more of what the proof reads: it doubts it, or a test of it is half done.
 */
function untold(c: Context, proof: Proof, was: readonly Finding[], found: readonly Finding[]): boolean {
  const of = was.some((f) => f.cylinder !== undefined);
  const mine = (k: number | undefined): boolean => !was.length || was.some((w) => w.cylinder === k);
  const there = found.filter((f) => f.station === proof.station);
  const open = there.filter((f) => f.condition === 'cannot-tell' || f.condition === 'fault');
  if (open.some((f) => f.cylinder !== undefined && mine(f.cylinder))) return true;
  // The cylinders that it was not for prove nothing of it.
  const another = (a: Ask): boolean =>
    of && a.kind === 'continue' && !!a.items?.every((item) => allItems[item].perCylinder);
  // Worse than the rest and not yet believed: whether it is so is what proves it, or does not.
  const doubted = there.filter((f) => f.condition === 'watch' && (f.cylinder === undefined || mine(f.cylinder)));
  return asksOf(c, [...open.filter((f) => f.cylinder === undefined), ...doubted]).some(
    (a) =>
      a.kind !== 'job' &&
      (a.kind === 'repeat' || a.finding.condition !== 'watch') &&
      !a.late &&
      !another(a) &&
      !!a.items?.some((item) => !proof.reads || proof.reads.includes(item))
  );
}

/** Oils as the house buys them. */
const fluids = (c: Context, list: readonly string[]): readonly string[] =>
  school(c.rules, 'partsOil') === 'maker' ? list.map((x) => (/\boil\b/.test(x) ? `${x}, the maker’s own` : x)) : list;

/** "Likely: head gasket (the case leaks under test; …)." */
function saySuspect(s: SuspectView): string {
  const points = s.evidence.filter((w) => w.weight > 0).slice(0, 2);
  return `${s.settling === 'shows' && s.probability >= CERTAIN ? 'Almost certain' : 'Likely'}: ${s.label}${points.length ? ` (${points.map((w) => w.says).join('; ')})` : ''}.`;
}

/** What a job that failed its proof says first: not the same again, but what it may have left or done. */
function sayFailed(again: readonly SuspectView[], suspects: readonly SuspectView[], same: boolean): string {
  const shows = same ? 'what it was for shows again' : 'something else shows now than what it was for';
  const signs = new Set(again.flatMap((s) => s.evidence.map((w) => w.sign)));
  // What the work is for alone is what was done; of several parts behind one job it may be the other one.
  const [only] = again.length === 1 ? again : [];
  const likely = suspects
    .filter(
      (s) =>
        s !== only && s.raised && !s.mended && (s.again || s.evidence.some((w) => w.weight > 0 && signs.has(w.sign)))
    )
    .sort((a, b) => b.probability - a.probability)
    .slice(0, 2);
  if (!likely.length) return `It was done, and ${shows}: look for why before the same once more.`;
  return `It was done, and ${shows}. Not the same once more: look for ${likely.map((s) => s.label).join(', then ')}.`;
}

/** Something else explains what shows again better than the part that was just seen to. */
const otherwiseBy = (again: readonly SuspectView[], suspects: readonly SuspectView[]): boolean =>
  suspects.some(
    (s) =>
      s.raised &&
      !s.mended &&
      !again.includes(s) &&
      !again.some((a) => a.probability >= s.probability) &&
      s.explains.some((id) => again.some((a) => a.explains.includes(id)))
  );

/** A fault was found that this job is for: what only searches for such a cause steps back. */
const foundFor = (c: Context, id: string, found: readonly Finding[]): boolean =>
  isJobId(id) && !(jobOf(id) as JobRule).unless?.(c) && raisers(jobOf(id), found).some((f) => f.condition === 'fault');

/**
 * The job list, in practitioners' order: what the findings and the case raise, and what was done before.
 * A step done is proved only when a reading taken after the work no longer raises it.
 */
export function planOf(c: Context, found: readonly Finding[], suspects: readonly SuspectView[] = []): Step[] {
  const likely = new Map<string, SuspectView[]>();
  const asks = asksOf(c, found);
  for (const s of suspects) if (s.step && established(s, asks)) likely.set(s.step, [...(likely.get(s.step) ?? []), s]);
  const marks = lastMarks(c.survey);
  const around = aroundWork(c);
  const { raisedAt, rereadAt } = around;
  const edits = editsOf(c.survey);
  const later = new Map(doBy(c).flatMap((d) => (d.job ? [[d.job as string, d] as const] : [])));
  const ruled = jobs.flatMap((rule): Step[] => {
    const mark = markOf(rule, marks);
    const excluded = rule.unless?.(c) ?? false;
    const behind = excluded ? [] : (likely.get(rule.id) ?? []);
    const placed = rule.searches && rule.yieldsTo?.some((id) => foundFor(c, id, found));
    const yields = !behind.length && (placed || rule.yieldsTo?.some((id) => likely.has(id)));
    const now = excluded || yields ? [] : raisers(rule, found);
    const always = excluded ? undefined : rule.also?.(c);
    const also = always !== undefined || behind.length > 0;
    const met = rule.met?.(c) ?? false;
    if (!now.length && !also && !mark) return [];
    if (mark?.state === 'open' && !now.length && !also) return [];
    const raised = now.length ? now : mark && mark.state !== 'open' ? raisedAt(rule, mark.at) : [];
    const again = suspects.filter((s) => s.again && s.step === rule.id);
    const otherwise =
      raised.length || behind.length || again.length
        ? []
        : [always ?? 'It was marked by hand; nothing found asks for it.'];
    const ofOthers = rule.tellsOfOthers !== undefined && now.every((f) => rule.tellsOfOthers!.includes(kindOf(f.id)));
    // Read again after the work, and no better: by a suspect's own sign, or by the finding that had asked for it.
    const reread =
      mark?.state === 'done' && now.length > 0 && !ofOthers && !looksOnly(rule)
        ? rereadAt(mark.at, raised[0]?.station)
        : [];
    const worse = raisers(rule, reread).filter((f) => now.some((n) => n.id === f.id && n.condition === f.condition));
    const before = worse.length ? raisedAt(rule, mark!.at) : [];
    const asBad = before.some((was) =>
      worse.some((f) => f.cylinder === was.cylinder && grave(f) >= Math.max(3, grave(was)))
    );
    const from = raised[0]?.station;
    const proof = (raised.every((f) => f.station === from) && from && rule.proofAt?.[from]) || rule.proof;
    const atProof = mark?.state === 'done' && rule.spoiledBy ? rereadAt(mark.at, proof.station) : [];
    const spoiled =
      atProof.some((f) => rule.spoiledBy!.includes(f.id) && f.condition === 'fault') &&
      ![...atProof, ...found].some((f) => rule.elsewhere?.includes(f.id));
    const shown =
      mark?.state === 'done' &&
      ((again.length > 0 && (!rule.raisedBy || now.some((f) => f.station === proof.station))) || asBad || spoiled);
    const worst = (list: readonly Finding[]): number => Math.max(0, ...list.map(grave));
    const eased =
      rule.byDegrees !== undefined &&
      shown &&
      (worst(now) < worst(raisedAt(rule, mark!.at)) || (now.length > 0 && now.every(rule.byDegrees)));
    // At another cylinder it is the same kind of work at a new place, and nothing failed.
    const failed =
      shown &&
      !eased &&
      (spoiled || !rule.raisedBy || raisedAt(rule, mark.at).some((x) => now.some((f) => f.cylinder === x.cylinder)));
    const sameAgain = (): boolean =>
      !now.length || (mark ? raisedAt(rule, mark.at) : []).some((x) => now.some((f) => kindOf(f.id) === kindOf(x.id)));
    const done = !shown && (mark?.state === 'done' || (!mark && met));
    const cylinders = [...new Set(raised.flatMap((f) => f.cylinder ?? []))];
    // Better than it was, or a sight that speaks of something else: it is watched, and the work is through.
    const was = mark?.state === 'done' && now.length > 0 ? raisedAt(rule, mark.at) : [];
    const watched =
      rule.finds === true ||
      ofOthers ||
      now.every((f) => f.condition === 'watch' && was.some((x) => x.id === f.id && grave(x) > grave(f)));
    const against =
      mark?.state === 'done' && !(now.length && ofOthers) && !looksOnly(rule)
        ? shownAgainst(c, found, around, { rule, proof, at: mark.at })
        : [];
    const after =
      mark?.state === 'done' &&
      watched &&
      !against.length &&
      (rule.finds || ofOthers || !untold(c, proof, raised, found)) &&
      readSince(c, proof, mark.at, cylinders.length ? cylinders : badAt(found, proof));
    // What the eye saw is not said once more as what it makes likely.
    const beyond = behind.filter((s) => {
      const [first, ...more] = s.evidence.filter((w) => w.weight > 0);
      return more.length > 0 || !raised.some((f) => f.station === first?.station);
    });
    const own = rule.bySchool?.(c) ?? {};
    // What is only to be found out is over once its readings are there, whatever they leave open.
    const shownDone = met && (!now.length || (!mark && rule.finds === true));
    const state =
      mark?.state === 'not-needed' ? 'not-needed' : done ? (after || shownDone ? 'proved' : 'done') : 'open';
    return [
      {
        id: rule.id,
        title: own.title ?? rule.title,
        how: own.how ?? rule.how,
        why: [
          ...(failed ? [sayFailed(again, suspects, sameAgain())] : []),
          ...raised.map((f) => f.sentence),
          ...beyond.map((s) => `${saySuspect(s)} ${s.cure}`),
          ...otherwise
        ],
        found: [...raised.map((f) => f.found), ...beyond.map(saySuspect), ...otherwise],
        tools: rule.tools ?? [],
        parts: own.parts ?? rule.parts ?? [],
        consumables: fluids(c, rule.consumables ?? []),
        minutes: own.minutes ?? rule.minutes,
        wait: rule.wait ?? 0,
        hazards: rule.hazards ?? [],
        proof,
        ...(cylinders.length ? { cylinders } : {}),
        ...(against.length ? { against: against.map((f) => f.id) } : {}),
        state,
        ...(state === 'open' && later.has(rule.id) ? { by: sayDoBy(c, later.get(rule.id)!) } : {}),
        ...(failed
          ? { failed: again.length && !otherwiseBy(again, suspects) ? ('sign' as const) : ('finding' as const) }
          : {}),
        // What finds out is proved by what it finds, wherever it was asked for.
        ...(now[0] && !rule.finds && now.every((f) => f.station !== proof.station) ? { raisedAt: now[0].station } : {}),
        after: rule.after ?? [],
        follows: rule.after ?? [],
        ...(mark?.note ? { note: mark.note } : {}),
        ...(mark ? { markedAt: mark.at } : {}),
        ...(mark?.by ? { markedBy: mark.by } : {})
      }
    ];
  });
  const steps = [
    ...insideOthers(ruled, marks).map((s) => changed(s, edits.get(s.id))),
    ...ownSteps(c, edits, marks)
  ].map((s) => withWaitRunning(c, s));
  const open = new Set(steps.filter((s) => s.state === 'open').map((s) => s.id));
  // What may wait stands last.
  const [waits, now] = [steps.filter((s) => s.by), steps.filter((s) => !s.by)];
  return [...inOrder(now), ...waits].map((s) => ({ ...s, after: s.after.filter((a) => open.has(a)) }));
}

/**
 * Done, and what it set going is not over yet. Once it is proved there is nothing to wait for, and what was sent away is back
 * when what proves it is read.
 */
function withWaitRunning(c: Context, s: Step): Step {
  const { wait, markedAt, state, proof } = s;
  if (!wait || !markedAt || state !== 'done') return s;
  const back = traitsOf(s.id).phase === 'away' && readSince(c, proof, markedAt);
  const until = new Date(Date.parse(markedAt) + wait * 60_000);
  return !back && until > c.now ? { ...s, busyUntil: until.toISOString() } : s;
}

/**
 * Keeps the practitioners' order, moving a step behind those it must follow. The rules hold no cycle (tested); where
 * jobs added by hand wait for one another, the first of them goes first.
 */
function inOrder(steps: readonly Step[]): Step[] {
  const out: Step[] = [];
  const left = [...steps];
  while (left.length) {
    const k = left.findIndex((s) => !s.after.some((a) => left.some((x) => x.id === a)));
    out.push(...left.splice(Math.max(0, k), 1));
  }
  return out;
}
