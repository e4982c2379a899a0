import { cylindersOf } from '../findings/context.ts';
import { asksOf, kindOfFinding, type Ask } from '../advice/asks.ts';
import { decisiveChecks } from '../advice/decisive.ts';
import { isDear } from '../jobs/dear.ts';
import { isJobId, jobOf, traitsOf } from '../jobs/register.ts';
import type { Step } from '../plan/plan.ts';
import { RUN_AGAIN } from '../jobs/work.ts';
import { allItems } from '../stations/items.ts';
import { before, inVain, runForComplaint } from './before.ts';
import { begun, clocks, failed } from './begun.ts';
import { curedBy } from './cured-by.ts';
import { dangers, makeSafe } from './danger.ts';
import type { Move } from './move.ts';
import { fromHolds, jobMove, type Position } from './position.ts';
import { rankedLooks } from './ranked-looks.ts';
import { ownJobs, shortJobMoves } from './short-job.ts';
import { causeUntold, shownSince } from '../stations/run/symptoms.ts';

const askClass = { repeat: 4, continue: 3, look: 5, job: 5 } as const;

/** The class of what a finding asks for: dear work, and work that decides nothing, waits for the decisive looks. */
const classOf = (a: Ask, minutes: number): 3 | 4 | 5 | 7 | 8 | 9 =>
  a.kind === 'job' && a.job && isDear(a.job, minutes)
    ? 8
    : a.late === 'release' || a.late === 'start'
      ? 9
      : a.late
        ? 7
        : askClass[a.kind];

/** 2 to 5: what the findings ask for. */
function asked(p: Position, asks: readonly Ask[]): Move[] {
  const { steps } = p;
  const cured = curedBy(p, asks);
  const own = ownJobs(p);
  // Work that lies under it, or that makes it anew, is done before it.
  const waits = (step: Step | undefined): Pick<Move, 'waits'> => {
    const first = step && steps.find((s) => step.after.includes(s.id) && !s.by && !own.has(s.id));
    return first ? { waits: `First: ${first.title.charAt(0).toLowerCase()}${first.title.slice(1)}.` } : {};
  };
  const list = asks.flatMap((a): Move[] => {
    const explained = a.kind === 'look' || a.kind === 'job' ? cured.get(a.finding.id) : undefined;
    const cure = explained && a.doubts && isDear(explained.id, explained.minutes) ? undefined : explained;
    if (cure) return [{ ...jobMove(cure, 8), class: isDear(cure.id, cure.minutes) ? 8 : 5, ...waits(cure) }];
    const step = a.job && steps.find((s) => s.id === a.job);
    // What failed its proof is asked about as that, and not done once more by itself.
    if (a.job && (!step || step.state !== 'open' || step.failed)) return [];
    return [
      {
        // Too early it says nothing: other work goes on meanwhile.
        kind: a.from ? 'wait' : a.kind,
        // What is gone by then is looked at before whatever can wait.
        class: a.from ? 9 : a.by ? 2 : classOf(a, step ? step.minutes : a.minutes),
        ...(a.from ? { from: a.from } : {}),
        ...(a.by ? { deadline: a.by } : {}),
        id: a.job ? `job:${a.job}` : `ask:${kindOfFinding(a.finding)}:${a.title}`,
        title: step ? step.title : a.title,
        station: a.station,
        ...(a.job ? { job: a.job } : {}),
        ...(a.cylinder === undefined ? {} : { cylinder: a.cylinder }),
        ...(a.items ? { items: a.items } : {}),
        ...(a.conditions ? { conditions: a.conditions } : {}),
        ...(a.needs ? { needs: a.needs } : {}),
        minutes: step ? step.minutes : a.minutes,
        because: a.finding.sentence,
        ...waits(step)
      }
    ];
  });
  // The next trial of a search is that look; the same item at one cylinder or under conditions of its own is another one.
  const trials = new Set(list.filter((m) => m.kind === 'continue').flatMap((m) => m.items ?? []));
  const same = (m: Move): boolean =>
    m.kind === 'look' && !m.conditions && m.cylinder === undefined && !!m.items?.some((i) => trials.has(i));
  // A look that two findings ask for stands once; of a single, the engine and its cylinder are one thing.
  const key = (m: Move): string =>
    `${m.kind}:${[...(m.items ?? [])].sort().join()}:${JSON.stringify(m.conditions ?? {})}`;
  const single = cylindersOf(p.context).length === 1;
  const alike = (x: Move, m: Move): boolean => key(x) === key(m) && (single || x.cylinder === m.cylinder);
  const twice = (m: Move, k: number): boolean =>
    m.kind === 'look' && !!m.items?.length && list.findIndex((x) => alike(x, m)) < k;
  const once = list.filter((m, k) => !same(m) && !twice(m, k));
  // Asked of single cylinders already, it is not asked of the engine as well.
  const ofCylinders = new Set(once.flatMap((m) => (m.cylinder === undefined ? [] : [key(m)])));
  const ofAll = (m: Move): boolean =>
    m.cylinder === undefined &&
    m.kind === 'look' &&
    !!m.items?.some((i) => allItems[i].perCylinder) &&
    ofCylinders.has(key(m));
  return once.filter((m) => !ofAll(m));
}

/** 8: work that is established, in its order; what runs the engine comes after everything else that is open. */
function work(p: Position): { readonly still: readonly Move[]; readonly running: readonly Move[] } {
  const open = p.steps.filter((s) => s.state === 'open' && !s.failed && !s.by && traitsOf(s.id).phase !== 'repeat');
  const ready = open.filter((s) => !s.after.length && traitsOf(s.id).phase !== 'today');
  const runs = (x: Step): boolean => traitsOf(x.id).phase === 'running';
  // What sends it to a specialist decides whether the rest is worth doing.
  const away = (x: Step): number => Number(traitsOf(x.id).phase !== 'away');
  const still = ready.filter((s) => !runs(s)).toSorted((a, b) => away(a) - away(b));
  return {
    still: still.map((s) => jobMove(s, 8)),
    running: still.length ? [] : ready.filter(runs).map((s) => jobMove(s, 8))
  };
}

/** 6: cheap decisive checks not made yet. */
const decisive = (p: Position): Move[] =>
  decisiveChecks(p).map((d): Move => ({
    kind: 'look',
    class: 6,
    id: `look:${d.check}`,
    title: d.title,
    station: d.station,
    ...(d.needs ? { needs: d.needs } : {}),
    minutes: d.minutes,
    because: d.because
  }));

const hopeless: Move = {
  kind: 'decide',
  class: 5,
  id: 'decide:hopeless',
  title: 'Stop and decide',
  minutes: 0,
  because: 'By what is known, mending costs more than the engine is worth: decide before more hours go in.'
};

const readsWhat = (m: Move, a: Ask): boolean => a.kind !== 'job' && !!a.items?.some((i) => m.items?.includes(i));

/** Work of the drowned engine's protocol, which is gone through step by step meanwhile. */
const inProtocol = (m: Move, a: Ask): boolean =>
  a.job !== undefined && traitsOf(a.job).phase === 'drowned' && m.id.startsWith('drowned:');

/** Whether a step reads what proves a job. */
const isProof = (m: Move, step: Move): boolean =>
  m.id.startsWith('proof:') &&
  m.job !== undefined &&
  isJobId(m.job) &&
  !!jobOf(m.job).proof.reads?.some((i) => step.items?.includes(i));

/** 5: holds against cranking, where no look that a finding of that check asks for is the next step towards them. */
const againstCranking = ({ holds, steps }: Position, asks: readonly Ask[]): Move[] =>
  fromHolds(
    holds.filter((h) => h.id !== 'drowned' && h.id !== 'drowned-running'),
    5,
    false,
    steps
  )
    .filter((m) => !holds.some((h) => m.id === `hold:${h.id}` && !h.blocks.includes('crank')))
    .filter((m) => !asks.some((a) => (a.station === m.station || a.finding.station === m.station) && a.kind !== 'job'))
    // Begun at another check, it is the same thing in other words.
    .filter((m) => !asks.some((a) => a.kind === 'continue' && readsWhat(m, a)));

/** 8: what holds the start or the release, where no look that a finding asks for, and no danger, reads it already. */
const againstStarting = ({ holds, steps }: Position, asks: readonly Ask[], danger: readonly Move[]): Move[] =>
  fromHolds(
    holds.filter((h) => !h.blocks.includes('crank')),
    8,
    false,
    steps
  )
    .filter(
      (m) => !m.items?.length || !asks.some((a) => a.kind !== 'job' && m.items!.every((i) => a.items?.includes(i)))
    )
    .filter((m) => !danger.some((d) => d.items?.some((i) => m.items?.includes(i))));

/** What proves work that is done stands as its proof, and is not asked for as a look of its own; unless the proof itself waits for what that look would find. */
function proving(started: readonly Move[]): (a: Ask) => boolean {
  const items = new Set(
    started.flatMap((m) =>
      !m.waits && m.id.startsWith('proof:') && m.job && isJobId(m.job)
        ? [...(m.items ?? []), ...(jobOf(m.job).proof.reads ?? [])]
        : []
    )
  );
  return (a) => (a.kind === 'look' || a.kind === 'continue') && !!a.items?.length && a.items.every((i) => items.has(i));
}

/** A look that is written as a job stands once: as the looks that it is made of, while those are asked for. */
function asLooks(asks: readonly Ask[]): (m: Move) => boolean {
  const askedFor = new Set(asks.flatMap((a) => (a.kind === 'job' ? [] : (a.items ?? []))));
  return (m) => {
    const job = m.job !== undefined && isJobId(m.job) ? jobOf(m.job) : undefined;
    return job?.finds === true && (job.proof.reads ?? []).some((i) => askedFor.has(i));
  };
}

/** What holds it once, though all was well later, and nobody can tell why. */
const CAUSE_UNKNOWN: Omit<Move, 'because'> = {
  kind: 'ask',
  class: 9,
  id: 'ask:cause',
  title: 'Stop: it may come again, and nobody here knows why. Ask the owner, or a specialist',
  station: 'run',
  minutes: 5
};
const causeAsked = (m: Move): boolean => !!m.items?.includes('run.cause');

/** Whatever could be done, class by class; of one thing that stands twice the first counts. */
export function candidates(p: Position, short: boolean, end: Move | undefined, watch: Move | undefined): Move[] {
  const asks = asksOf(p.context, p.findings);
  const danger = dangers(p);
  const clock = clocks(p);
  // What the protocol asks for next proves its job as well, and stands once.
  const started = begun(p, asks).filter((m) => !clock.some((k) => isProof(m, k)));
  const proves = proving(started);
  const again = failed(p, 'sign', asks);
  const list = work(p);
  const isAsked = asLooks(asks);
  const ranked = rankedLooks(p, asks, short);
  // Made safe once, whether it is asked as a check or as the job of what is not.
  const safe = makeSafe(p);
  const vain = inVain(p);
  // Asked for the cause, nobody knew it: it is run again before that is asked once more.
  const outcome = p.context.record.last('run.outcome');
  const since = outcome && shownSince(p.context, `run.${outcome.value}`, 'run.outcome', outcome.value);
  const untold = causeUntold(p.context, since ?? outcome?.at ?? '');
  return [
    ...(end ? [end] : []),
    ...danger,
    ...safe,
    // A step against the clock that reads what a finding asks for is that look: it stands once, with what was found.
    ...clock.map((m) => {
      const ask = asks.find((a) => readsWhat(m, a));
      return ask ? { ...m, because: `${ask.finding.sentence} ${m.because}` } : m;
    }),
    ...started,
    ...(p.advice.hopeless ? [hopeless] : []),
    ...again.filter((m) => m.kind === 'job'),
    ...againstCranking(p, asks),
    ...asked(
      p,
      asks.filter((a) => !clock.some((m) => readsWhat(m, a) || inProtocol(m, a)) && !proves(a))
    ),
    // Behind what a finding of this very run asks for.
    ...(watch ? [watch] : []),
    // What an engine in use is here for is done; the rest of it is asked about only where something was found.
    ...(short ? [] : decisive(p)),
    ...ranked.pointed,
    ...shortJobMoves(p),
    ...list.still.filter((m) => !isAsked(m) && !safe.some((s) => s.title === m.title)),
    // In vain twice: what else is established is done first, then somebody is asked.
    ...again.filter((m) => m.kind === 'ask'),
    ...againstStarting(p, asks, danger).flatMap((m) =>
      vain && (m.id === 'hold:run' || m.id === 'hold:noise')
        ? []
        : !vain && causeAsked(m) && untold
          ? [{ ...CAUSE_UNKNOWN, because: m.because }]
          : [m]
    ),
    ...(vain ? [vain] : list.running),
    ...failed(p, 'finding', asks).filter((m) => !(vain && m.job === RUN_AGAIN)),
    ...(short ? [] : runForComplaint(p, asks)),
    // Of what only the kind of case suggests, a cheap look that is worth its minutes is made before it runs or goes back.
    ...ranked.cheap,
    ...before(p, short, asks),
    ...ranked.rest
  ];
}
