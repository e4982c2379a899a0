import type { Assessment } from '../src/core/assess.ts';
import { against } from '../src/core/holds/against.ts';
import { actionOf } from '../src/core/holds/against.ts';
import { isJobId } from '../src/core/jobs/register.ts';
import { Attempt } from '../src/core/practice/attempt.ts';
import { caseKinds, type CaseKind } from '../src/core/engine/case-kind.ts';
import { drawTruth, signsOf, type Truth, type Wishes } from '../src/core/practice/truth.ts';
import { byAdvice, byOrder, fixedOrders } from './fixed-order.ts';

/**
 * For `npm run bench -- --calibration`: follows the advice's first move over drawn engines, and prints what came of it. One-fault
 * engines, sound ones, and engines as they usually are, a third of n each; the seeds are fixed, so that two versions see the same.
 */
const argument = (name: string): string | undefined => {
  const at = process.argv.indexOf(name);
  return at < 0 ? undefined : process.argv[at + 1];
};
const n = Number(argument('--n')) || 600;
/** One kind of case instead of a mixture of long stored, neglected and back from a winter: engines that sank are drawn by this only. */
const kind = argument('--kind');
if (kind !== undefined && !Object.hasOwn(caseKinds, kind)) throw new RangeError(`unknown kind of case: ${kind}`);
const of: Wishes = kind === undefined ? {} : { kind: kind as CaseKind };
const seedOf = (name: string, k: number): string => `${kind === undefined ? '' : `${kind} `}${name} ${k}`;
const share = Math.max(1, Math.round(n / 3));
const MOST = 90;

/** Work that any engine gets by its age, and no repair; to run it once more is none either. */
const service = new Set([
  'run-again',
  'pump',
  'plugs',
  'anodes',
  'gear-refill',
  'oil-changes',
  'fuel-drain',
  'fuel-fill',
  'outlet'
]);

/** Over two seasons by default the house cleans the carburettor before the first start, whatever is found in it. */
const bySchool = ({ intake: { engine } }: Truth, job: string): boolean =>
  job === 'carburettor' && Number(engine.history.yearsIdle) > 2;
/** Steps of the protocol of an engine that sank are due whatever is found. */
const isProtocol = (step: string): boolean => !isJobId(step);
const isService = (truth: Truth, job: string): boolean => service.has(job) || bySchool(truth, job) || isProtocol(job);

interface Walk {
  readonly truth: Truth;
  readonly attempt: Attempt;
  readonly end: string;
  /** Suspects called at the first work that is no service, or at the end; most likely first. */
  readonly called: readonly string[];
  readonly broken: number;
  readonly minutes: number;
  readonly stated: readonly { readonly p: number; readonly true: boolean }[];
}

/** What a move does to the engine, by what it reads. */
function forbidden(a: Assessment, what: readonly string[]): boolean {
  return what.some((item) => {
    const needs = actionOf(item as 'run.event');
    return needs !== undefined && against(a.holds, needs).some((h) => !h.standing);
  });
}

function walk(truth: Truth): Walk {
  const attempt = new Attempt(truth);
  const stated: { p: number; true: boolean }[] = [];
  let called: string[] | undefined;
  let broken = 0;
  let end = 'too long';
  let minutes = 0;
  const seen = new Map<string, number>();
  for (let k = 0; k < MOST; k++) {
    const a = attempt.assessed();
    const [move] = a.moves;
    const raised = a.advice.suspects.filter((s) => s.raised && !s.mended && !s.artefact);
    const there = attempt.faults();
    if (k % 8 === 4) for (const s of raised) stated.push({ p: s.probability, true: there.has(s.id) });
    const work = move!.kind === 'job' && !isService(truth, move!.job!);
    if (!called && (work || move!.kind === 'ask' || move!.kind === 'release')) {
      called = [...raised].sort((x, y) => y.probability - x.probability).map((s) => s.id);
      minutes = attempt.minutes;
    }
    const times = (seen.get(move!.id) ?? 0) + 1;
    seen.set(move!.id, times);
    if (times > 6) {
      end = `circle: ${move!.id}`;
      break;
    }
    const before = attempt.survey.readings.length;
    if (!attempt.follow(move!)) {
      end = move!.kind;
      break;
    }
    const read = attempt.survey.readings.slice(before);
    if (forbidden(a, [...new Set(read.filter((r) => r.value !== 'unknown').map((r) => r.what))])) broken++;
  }
  return { truth, attempt, end, called: called ?? [], broken, minutes: minutes || attempt.minutes, stated };
}

const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / Math.max(1, list.length);

const graves = new Set(['engine', 'danger']);
const kindOf = (t: Truth, id: string) => t.model.suspects.find((s) => s.id === id)!;

const one = Array.from({ length: share }, (_, k) =>
  walk(drawTruth(seedOf('one', k), { ...of, faults: 'one', leaks: false }))
);
const none = Array.from({ length: share }, (_, k) =>
  walk(drawTruth(seedOf('none', k), { ...of, faults: 'none', leaks: false }))
);
const usual = Array.from({ length: share }, (_, k) => walk(drawTruth(seedOf('usual', k), { ...of, faults: 'usual' })));
const all = [...one, ...none, ...usual];

/** Faults that a look the advice makes could show: not those that only taking a sound engine apart would. */
const real = (w: Walk): string[] => [...w.truth.faults].filter((id) => !kindOf(w.truth, id).kind.artefact);
const seenSign = (w: Walk, id: string): boolean => {
  const at = w.truth.model.suspects.findIndex((s) => s.id === id);
  const items = new Set(w.attempt.survey.readings.map((r) => r.what as string));
  return signsOf(w.truth.draws, w.truth.model, at).some((k) => {
    const { kind } = w.truth.model.signs[k]!;
    return kind.reads?.some((r) => items.has(r.item)) ?? false;
  });
};
const shown = one.filter((w) => real(w).every((id) => seenSign(w, id)));
const first = shown.filter((w) => {
  const [id] = real(w);
  const step = kindOf(w.truth, id!).kind.step;
  return (
    w.called[0] === id ||
    w.attempt.jobs.find((j) => !isService(w.truth, j)) === step ||
    w.attempt.jobs.includes(step ?? '') ||
    // Turned out of the bores by hand, or emptied with the fuel: gone without a job of its own.
    !w.attempt.faults().has(id!)
  );
});
const unsafe = all.filter(
  (w) =>
    w.end === 'release' &&
    [...w.attempt.faults()].some((id) => {
      const s = kindOf(w.truth, id);
      return !s.kind.artefact && graves.has(s.kind.stake) && w.truth.faults.has(id) && seenSign(w, id);
    })
);
/** Released with a fault in it that a look of a few minutes, made or not, would have shown in words. */
const leftIn = one.filter(
  (w) =>
    w.end === 'release' &&
    real(w).some((id) => {
      const at = w.truth.model.suspects.findIndex((s) => s.id === id);
      const words = signsOf(w.truth.draws, w.truth.model, at).some((k) => w.truth.model.signs[k]!.kind.reads);
      return w.attempt.faults().has(id) && words;
    })
);
const invented = none.filter((w) => {
  const left = w.attempt.jobs.filter((j) => !isService(w.truth, j));
  // What the work itself had left behind is no invention.
  const after = new Set(w.truth.model.suspects.filter((s) => s.kind.afterWork).map((s) => s.kind.step));
  // A battery that tires is drawn as a wrong way of measuring; to charge or renew it is no invention.
  const tired = w.truth.faults.has('slow-crank') || w.truth.faults.has('tiring');
  return left.some((j) => !after.has(j) && j !== 'gears' && !(tired && (j === 'starter' || j === 'battery')));
});

const stated = usual.flatMap((w) => w.stated);
const bins = Array.from({ length: 10 }, (_, k) => stated.filter((s) => Math.min(9, Math.floor(10 * s.p)) === k));
const calibrationError = bins.reduce((sum, b) => {
  if (!b.length) return sum;
  const p = b.reduce((x, s) => x + s.p, 0) / b.length;
  const is = b.filter((s) => s.true).length / b.length;
  return sum + (b.length / stated.length) * Math.abs(p - is);
}, 0);
// The same engines by an order that does not look at what was found; each to where the cure stands on the list.
const BESIDE = 60;
const beside = shown.slice(0, BESIDE).map((w) => w.truth);
const advisedMinutes = beside.map(byAdvice);
const orders = Object.entries(fixedOrders).map(([name, order]) => {
  const list = beside.map((t) => byOrder(t, order));
  return { name, minutes: mean(list.map((d) => d.minutes)), decided: list.filter((d) => d.decided).length };
});
const bestOrder = orders.reduce((a, b) => (a.minutes <= b.minutes ? a : b));
const circles = all.filter((w) => w.end.startsWith('circle') || w.end === 'too long');

console.log(
  JSON.stringify({
    n: all.length,
    shown: shown.length,
    first: +(first.length / Math.max(1, shown.length)).toFixed(3),
    broken: all.reduce((sum, w) => sum + w.broken, 0),
    unsafe: unsafe.length,
    leftIn: +(leftIn.length / one.filter((w) => w.end === 'release').length).toFixed(3),
    invented: +(invented.length / none.length).toFixed(3),
    calibrationError: +calibrationError.toFixed(3),
    bins: bins.map((b, k) => [k / 10, b.length, +(b.filter((s) => s.true).length / Math.max(1, b.length)).toFixed(2)]),
    circles: circles.length,
    minutes: Math.round(mean(one.map((w) => w.minutes))),
    beside: {
      engines: beside.length,
      advice: Math.round(mean(advisedMinutes.map((d) => d.minutes))),
      decided: advisedMinutes.filter((d) => d.decided).length,
      best: { ...bestOrder, minutes: Math.round(bestOrder.minutes) },
      ratio: +(mean(advisedMinutes.map((d) => d.minutes)) / Math.max(1, bestOrder.minutes)).toFixed(2)
    }
  })
);
if (process.argv.includes('--list')) {
  const say = (w: Walk): string =>
    `${w.truth.seed}: ${[...w.truth.faults].join(' ')} → ${w.end}; ${w.attempt.jobs.join(' ')}; called ${w.called.slice(0, 2).join(' ')}`;
  console.error('missed', shown.filter((w) => !first.includes(w)).map(say));
  console.error('unsafe', unsafe.map(say));
  console.error('left in', leftIn.map(say));
  console.error('invented', invented.map(say));
  console.error('circles', circles.map(say));
  console.error('broken', all.filter((w) => w.broken).map(say));
}
