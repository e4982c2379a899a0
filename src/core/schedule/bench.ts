import { lineKey } from '../parts/lines.ts';
import type { PartLine } from '../record/work.ts';
import type { Step } from '../plan/plan.ts';
import { traitsOf } from '../jobs/register.ts';
import { calendarOf, windowsOf, type Calendar } from './calendar.ts';
import { inOrderOfNeed, type Problem, type Task } from './problem.ts';
import type { BenchSettings, Pin } from './settings.ts';

/** One engine as the bench sees it. */
export interface BenchEngine {
  /** The assessment's id. */
  readonly id: string;
  readonly tag: string;
  readonly steps: readonly Pick<
    Step,
    'id' | 'title' | 'minutes' | 'wait' | 'after' | 'follows' | 'state' | 'parts' | 'busyUntil'
  >[];
  /** Looks still open that can be made now, and their minutes. */
  readonly checks?: { readonly title: string; readonly minutes: number };
  /** It has to run before it goes back. */
  readonly runs: boolean;
  readonly parts: readonly PartLine[];
  /** ISO moment. */
  readonly promised?: string;
  /** ISO moment until which its urgent steps should be done: the drowned clock. */
  readonly clock?: string;
}

/** A step of the plan and whose it is. */
export interface BenchStep {
  readonly engine: string;
  readonly tag: string;
  readonly step: string;
  readonly title: string;
  readonly minutes: number;
  readonly wait: number;
  readonly uses: readonly string[];
}

export interface LeftOut {
  readonly engine: string;
  readonly tag: string;
  readonly title: string;
  readonly because: string;
}

export interface BenchProblem {
  readonly problem: Problem;
  readonly steps: ReadonlyMap<string, BenchStep>;
  /** What cannot be planned, and why: it is waited for, not forgotten. */
  readonly left: readonly LeftOut[];
  /** What had to be assumed. */
  readonly notes: readonly string[];
}

/** Minutes taken where a step says none (M). */
const SOME = 20;
/** Proof and first run, minutes at the tank; the papers, minutes (M). */
const RUN = 30;
const PAPERS = 10;
/** Done before anything is looked at. */
const isUrgent = (step: string): boolean => ['today', 'first', 'drowned'].includes(traitsOf(step).phase ?? '');

const minute = (ms: number): number => Math.ceil(ms / 60_000);
export const keyOf = (engine: string, step: string): string => `${engine}/${step}`;

/** The working calendar of a shop from a moment on, long enough for the work there is. */
export function calendarFor(settings: BenchSettings, now: number, work = 0): Calendar {
  const days = Math.ceil((work / Math.max(1, settings.to - settings.from)) * (7 / settings.days.length) * 2) + 60;
  return calendarOf(windowsOf(settings, now, days));
}

/**
 * All open steps of all engines as one planning problem. Nothing bad stops it: a ring of steps, a part nobody knows the
 * arrival of, a bench without a tank leave those steps out with their reason; a step without minutes, a pin in the past,
 * a person who is gone are planned some other way and said.
 */
export function benchProblem(
  engines: readonly BenchEngine[],
  settings: BenchSettings,
  pins: readonly Pin[],
  at: Date
): BenchProblem {
  const now = minute(at.getTime());
  const steps = new Map<string, BenchStep>();
  const left: LeftOut[] = [];
  const notes: string[] = [];
  const tasks: Task[] = [];
  const due: Record<string, number> = {};
  const pinned = new Map(pins.filter((p) => !p.off).map((p) => [keyOf(p.engine, p.step), p]));
  const here = new Set(settings.people);
  const have: Record<string, number> = { stand: settings.stand, tank: settings.tank, hose: settings.hose };
  const work = engines.reduce((sum, e) => sum + e.steps.reduce((s, x) => s + x.minutes, 0), 0);
  const calendar = calendarFor(settings, now, work);

  for (const e of engines) {
    if (e.promised) due[e.id] = minute(Date.parse(e.promised));
    for (const t of tasksOf(e)) {
      const id = keyOf(e.id, t.step);
      const uses = t.uses.filter((u) => u in have);
      const said = { engine: e.id, tag: e.tag, title: t.title };
      const none = uses.find((u) => !have[u]);
      const part = t.lines.find((l) => arrives(l, at) === undefined);
      if (none) {
        left.push({ ...said, because: `The bench has no ${none === 'tank' ? 'test tank' : none}.` });
        continue;
      }
      if (part) {
        left.push({
          ...said,
          because: `Waits for ${part.name}: ${part.state === 'ordered' ? 'ordered, nobody knows for when' : 'not ordered, no delivery time known'}.`
        });
        continue;
      }
      if (!t.minutes && !t.wait) notes.push(`${e.tag}: “${t.title}” says no minutes; ${SOME} are assumed.`);
      const pin = pinned.get(id);
      const put = pin?.at === undefined ? undefined : minute(Date.parse(pin.at));
      if (put !== undefined && put < now)
        notes.push(`${e.tag}: “${t.title}” was put to a time that is past; it is planned from now.`);
      if (pin?.person && !here.has(pin.person))
        notes.push(`${e.tag}: ${pin.person} is not here any more; anybody does “${t.title}”.`);
      const release = Math.max(0, t.from, ...t.lines.map((l) => arrives(l, at)!));
      const hands = Math.ceil(t.minutes || (t.wait ? 0 : SOME));
      steps.set(id, { ...said, step: t.step, minutes: hands, wait: t.wait, uses });
      tasks.push({
        id,
        group: e.id,
        hands,
        wait: Math.ceil(t.wait),
        needs: uses,
        after: t.after.map((a) => keyOf(e.id, a)),
        ...(t.then.length ? { then: t.then.map((a) => keyOf(e.id, a)) } : {}),
        ...(release > now ? { release } : {}),
        ...(put !== undefined && put >= now ? { pin: put } : {}),
        ...(pin?.person && here.has(pin.person) ? { person: pin.person } : {}),
        ...urgency(e, t.step, now)
      });
    }
  }
  const unseen = engines.flatMap((e) => {
    const known = new Set(e.parts.map((l) => l.key));
    const n = e.steps
      .filter((s) => s.state === 'open')
      .flatMap((s) => s.parts.filter((name) => !known.has(lineKey(s.id, name)))).length;
    return n ? [`${e.tag} ${n}`] : [];
  });
  if (unseen.length) notes.push(`Parts nobody has looked for yet are taken to be here: ${unseen.join(', ')}.`);
  const kept = withoutOrphans(tasks, steps, left);
  const { order, ring } = inOrderOfNeed(kept);
  for (const t of ring) {
    const s = steps.get(t.id)!;
    left.push({ engine: s.engine, tag: s.tag, title: s.title, because: 'It and other steps wait for one another.' });
    steps.delete(t.id);
  }
  return {
    problem: { now, people: settings.people, resources: have, tasks: order, calendar, due },
    steps,
    left,
    notes
  };
}

/** Rust and frost do not wait for a plan: the clock that runs out first goes first, frost after it. */
function urgency(e: BenchEngine, step: string, now: number): { urgent?: number } {
  if (e.clock && traitsOf(step).phase === 'drowned') return { urgent: Math.max(0, minute(Date.parse(e.clock)) - now) };
  return traitsOf(step).phase === 'today' ? { urgent: 12 * 60 } : {};
}

interface Raw {
  readonly step: string;
  readonly title: string;
  readonly minutes: number;
  readonly wait: number;
  readonly uses: readonly string[];
  readonly after: readonly string[];
  /** The step before it on the list: their hands go in the technicians' order. */
  readonly then: readonly string[];
  readonly lines: readonly PartLine[];
  readonly from: number;
}

/** The engine runs in these: whatever else is open comes first. */
const runsIn = (step: string): boolean => traitsOf(step).phase === 'running';
/** It leaves the house: what is not urgent waits until it is back. */
const goesAway = (step: string): boolean => traitsOf(step).phase === 'away';
/** The look itself, written as a job. */
const isLook = (step: string): boolean => traitsOf(step).phase === 'repeat';

/** Urgent steps, then looks, then the rest of the list in its order, then proof and run, then the papers. */
function tasksOf(e: BenchEngine): Raw[] {
  const open = e.steps.filter((s) => s.state === 'open' && !(e.checks && isLook(s.id)));
  const busy = new Map(e.steps.flatMap((s) => (s.busyUntil ? [[s.id, minute(Date.parse(s.busyUntil))] as const] : [])));
  const urgent = open.filter((s) => isUrgent(s.id)).map((s) => s.id);
  const away = open.filter((s) => goesAway(s.id)).map((s) => s.id);
  const still = open.filter((s) => !runsIn(s.id)).map((s) => s.id);
  const ids = new Set(open.map((s) => s.id));
  const list: Raw[] = [];
  let last: string | undefined;
  const place = (id: string): number => (isUrgent(id) ? 0 : goesAway(id) ? 1 : runsIn(id) ? 3 : 2);
  for (const s of [...open].sort((a, b) => place(a.id) - place(b.id))) {
    const lines = e.parts.filter((l) => l.step === s.id && (l.state === 'wanted' || l.state === 'ordered'));
    const after = new Set([
      ...s.after.filter((a) => ids.has(a)),
      ...(e.checks && !isUrgent(s.id) && !goesAway(s.id) ? ['checks'] : []),
      ...(isUrgent(s.id) || goesAway(s.id) ? [] : away),
      ...(runsIn(s.id) ? still : [])
    ]);
    list.push({
      step: s.id,
      title: s.title,
      minutes: s.minutes,
      wait: s.wait,
      uses: traitsOf(s.id).uses ?? [],
      after: [...after],
      then: last && !after.has(last) ? [last] : [],
      lines,
      from: Math.max(0, ...s.follows.map((f) => busy.get(f) ?? 0))
    });
    // What waits for a part does not hold up what comes after it on the list.
    if (!lines.length && !goesAway(s.id)) last = s.id;
  }
  const plain = { wait: 0, uses: [], then: [], lines: [], from: Math.max(0, ...busy.values()) };
  if (e.checks)
    list.push({
      ...plain,
      step: 'checks',
      title: e.checks.title,
      minutes: e.checks.minutes,
      after: [...urgent, ...away]
    });
  const all = list.map((t) => t.step);
  if (!all.length && !e.runs) return list;
  const runs = e.runs && !open.some((s) => traitsOf(s.id).isFirstRun);
  if (runs)
    list.push({ ...plain, step: 'run', title: 'First run and proof', minutes: RUN, uses: ['tank'], after: all });
  return [
    ...list,
    { ...plain, step: 'papers', title: 'Gates, counters, sign-off', minutes: PAPERS, after: runs ? ['run'] : all }
  ];
}

/** The minute from which a part is taken to be here; nothing where nobody can know. */
export function arrives(l: PartLine, now: Date): number | undefined {
  if (l.state === 'arrived' || l.state === 'not-needed') return 0;
  // A delivery comes in the morning of its day, by the local clock.
  if (l.due) {
    const [y, m, d] = l.due.split('-').map(Number) as [number, number, number];
    return minute(new Date(y, m - 1, d, 10).getTime());
  }
  if (l.state === 'ordered') return undefined;
  const days = (l.chosen !== undefined ? [l.offers?.[l.chosen]] : (l.offers ?? [])).flatMap((o) =>
    o?.days === undefined ? [] : [o.days]
  );
  if (!days.length) return undefined;
  return minute(new Date(now.getFullYear(), now.getMonth(), now.getDate() + Math.min(...days), 10).getTime());
}

/** What comes after something left out is left out with it. */
function withoutOrphans(tasks: readonly Task[], steps: Map<string, BenchStep>, left: LeftOut[]): Task[] {
  const titles = new Map(left.map((l) => [`${l.engine}|${l.title}`, l]));
  let kept = [...tasks];
  for (;;) {
    const have = new Set(kept.map((t) => t.id));
    // A step that only follows another by custom goes without it.
    const lost = kept.filter((t) => t.after.some((a) => !have.has(a)));
    if (!lost.length) return kept;
    for (const t of lost) {
      const s = steps.get(t.id)!;
      const first = [...titles.values()].find((l) => l.engine === s.engine);
      left.push({
        engine: s.engine,
        tag: s.tag,
        title: s.title,
        because: first ? `Comes after “${first.title}”.` : 'What comes before it cannot be planned.'
      });
      steps.delete(t.id);
    }
    kept = kept.filter((t) => !lost.includes(t));
  }
}
