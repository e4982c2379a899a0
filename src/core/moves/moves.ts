import { asksOf, kindOfFinding, type Ask } from '../advice/asks.ts';
import { decisiveChecks, jumped } from '../advice/decisive.ts';
import { against, type Action, type Hold } from '../holds/index.ts';
import { checkById } from '../diagnosis/knowledge/index.ts';
import { isJobId, jobOf, traitsOf } from '../jobs/register.ts';
import { stations } from '../stations/register.ts';
import { establishedCost } from '../plan/bill.ts';
import { spentOn } from '../plan/costs.ts';
import { established, type Step } from '../plan/plan.ts';
import { authorityOf } from './authority.ts';
import { before, inVain } from './before.ts';
import { begun, clocks, failed, waiting } from './begun.ts';
import { dangers, makeSafe } from './danger.ts';
import type { Move } from './move.ts';
import { fromHolds, jobMove, type Position } from './position.ts';
import { rankedLooks } from './ranked-looks.ts';
import { isShortJob, ownJobs, shortJobMoves } from './short-job.ts';
import { askElse, triedEnough } from './tried.ts';
import { madeRunning, watching } from './while-running.ts';

const askClass = { repeat: 4, continue: 3, look: 5, job: 5 } as const;

/** Work over this is money: what decides comes before it, minutes (C: an hour). */
const DEAR = 60;

/** The class of what a finding asks for: dear work, and work that decides nothing, waits for the decisive looks. */
const classOf = (a: Ask, minutes: number): 3 | 4 | 5 | 7 | 8 | 9 =>
  a.kind === 'job' && minutes > DEAR ? 8 : a.late === 'release' ? 9 : a.late ? 7 : askClass[a.kind];

/** Findings whose cause is established, with the open job that cures it: nothing more is looked for on their account. */
function curedBy({ advice, steps }: Position): ReadonlyMap<string, Step> {
  const out = new Map<string, Step>();
  for (const s of advice.suspects) {
    const step = steps.find((x) => x.id === s.step && x.state === 'open' && !x.failed);
    if (step && !s.artefact && s.settling === 'shows' && established(s))
      for (const id of s.explains) if (!out.has(id)) out.set(id, step);
  }
  return out;
}

/** 3, 4 and 5: what the findings ask for. */
function asked(p: Position, asks: readonly Ask[]): Move[] {
  const { steps } = p;
  const cured = curedBy(p);
  const list = asks.flatMap((a): Move[] => {
    const explained = a.kind === 'look' || a.kind === 'job' ? cured.get(a.finding.id) : undefined;
    const cure = explained && a.doubts && explained.minutes > DEAR ? undefined : explained;
    if (cure) return [{ ...jobMove(cure, 8), class: cure.minutes > DEAR ? 8 : 5 }];
    const step = a.job && steps.find((s) => s.id === a.job);
    if (a.job && (!step || step.state !== 'open')) return [];
    return [
      {
        // Too early it says nothing: other work goes on meanwhile.
        kind: a.from ? 'wait' : a.kind,
        class: a.from ? 9 : classOf(a, step ? step.minutes : a.minutes),
        ...(a.from ? { from: a.from } : {}),
        id: a.job ? `job:${a.job}` : `ask:${kindOfFinding(a.finding)}:${a.title}`,
        title: step ? step.title : a.title,
        station: a.station,
        ...(a.job ? { job: a.job } : {}),
        ...(a.cylinder === undefined ? {} : { cylinder: a.cylinder }),
        ...(a.items ? { items: a.items } : {}),
        ...(a.conditions ? { conditions: a.conditions } : {}),
        minutes: step ? step.minutes : a.minutes,
        because: a.finding.sentence
      }
    ];
  });
  // The next trial of a search is that look; the same item at one cylinder or under conditions of its own is another one.
  const trials = new Set(list.filter((m) => m.kind === 'continue').flatMap((m) => m.items ?? []));
  const same = (m: Move): boolean =>
    m.kind === 'look' && !m.conditions && m.cylinder === undefined && !!m.items?.some((i) => trials.has(i));
  return list.filter((m) => !same(m));
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

/** The owner is asked where what was spent and what is established come to more than the authority given. */
function askOwner({ context: c, findings, steps }: Position): Move | undefined {
  const most = authorityOf(c, steps);
  const spent = spentOn(c, steps);
  const sum = spent + establishedCost(c, findings, steps);
  if (most === undefined || sum <= most) return undefined;
  const cr = (x: number): string => `${Math.round(x / 10) * 10} cr`;
  return {
    kind: 'ask',
    class: 8,
    id: 'ask:sum',
    title: 'Ask the owner before more is opened',
    minutes: 5,
    because: `What is established comes to about ${cr(sum)}${spent > 0 ? `, ${cr(spent)} of it spent` : ''}, and the owner’s word reaches to ${Math.round(most)} cr.`
  };
}

/** Why a move cannot be made now, where a hold forbids what making it does. */
function heldAgainst(holds: readonly Hold[], needs: Action | undefined): string | undefined {
  if (!needs) return undefined;
  const hold = against(holds, needs).find((h) => !h.standing);
  return hold && `First: ${hold.needs.find((n) => !n.done)?.text ?? hold.title}.`;
}

/** What proving a job does to the engine: a starter is proved by cranking, the rest by what its check does. */
const provedBy = (m: Move): Action | undefined =>
  !m.id.startsWith('proof:') || !m.station ? undefined : m.job === 'starter' ? 'crank' : stations[m.station].act;

/** Looks that turn the flywheel by hand. */
const TURNS: ReadonlySet<string> = new Set(['look:turn', 'look:bumps', 'look:shift']);

const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Nothing the yard can do lifts a hold, or mending costs more than the engine is worth: it is decided, not looked at further. */
function ending(p: Position): Move | undefined {
  const never = p.holds.find((h) => !h.override && h.needs.some((n) => n.never && !n.done));
  if (never)
    return {
      kind: 'ask',
      class: 1,
      id: `ask:${never.id}`,
      title: 'Stop here: ask the owner, a specialist’s price or parts',
      minutes: 5,
      because: `${never.title}. ${upper(never.needs.find((n) => n.never)!.text)}.`
    };
  return undefined;
}

/**
 * What to do now: one ordered list for every view, by class and inside a class by what it is worth a minute. A move that cannot be
 * made says what comes first and stands behind those that can. Pure; never empty.
 */
export function moves(p: Position): Move[] {
  const end = ending(p);
  const asks = asksOf(p.context, p.findings);
  const needed = new Map<string, Action | undefined>(
    asks.map((a) => [`ask:${kindOfFinding(a.finding)}:${a.title}`, a.needs])
  );
  // What an engine in use is here for is done; the rest of it is asked about only where something was found.
  const short = isShortJob(p);
  const checksLeft = short ? [] : decisiveChecks(p);
  const decisive = checksLeft.map((d): Move => ({
    kind: 'look',
    class: 6,
    id: `look:${d.check}`,
    title: d.title,
    station: d.station,
    minutes: d.minutes,
    because: d.because
  }));
  const decisiveNeeds = new Map<string, Action | undefined>(checksLeft.map((d) => [`look:${d.check}`, d.needs]));
  const hopeless: Move[] = p.advice.hopeless
    ? [
        {
          kind: 'decide',
          class: 5,
          id: 'decide:hopeless',
          title: 'Stop and decide',
          minutes: 0,
          because: 'By what is known, mending costs more than the engine is worth: decide before more hours go in.'
        }
      ]
    : [];
  const ranked = rankedLooks(p, asks, short);
  const vain = inVain(p);
  // A step against the clock that reads what a finding asks for is that look: it stands once, with what was found.
  const clock = clocks(p);
  const reads = (m: Move, a: Ask): boolean => a.kind !== 'job' && !!a.items?.some((i) => m.items?.includes(i));
  const again = failed(p, 'sign');
  const list = work(p);
  const danger = dangers(p);
  const watch = danger.some((m) => m.kind === 'stop') ? undefined : watching(p);
  const started = begun(p);
  const proving = new Set(
    started.flatMap((m) =>
      m.id.startsWith('proof:') && m.job && isJobId(m.job) ? (jobOf(m.job).proof.reads ?? []) : []
    )
  );
  const proves = (a: Ask): boolean => a.kind === 'look' && !!a.items?.length && a.items.every((i) => proving.has(i));
  // A look that is written as a job stands once: as the looks that it is made of, while those are asked for.
  const askedFor = new Set(asks.flatMap((a) => (a.kind === 'job' ? [] : (a.items ?? []))));
  const isAsked = (m: Move): boolean => {
    const job = m.job !== undefined && isJobId(m.job) ? jobOf(m.job) : undefined;
    return job?.finds === true && (job.proof.reads ?? []).some((i) => askedFor.has(i));
  };
  // What a hold waits for stands once, as the look that a finding asks for.
  const readByAsk = (m: Move): boolean =>
    !!m.items?.length && asks.some((a) => a.kind !== 'job' && m.items!.every((i) => a.items?.includes(i)));
  const all: Move[] = [
    ...(end ? [end] : []),
    ...danger,
    ...makeSafe(p),
    ...clock.map((m) => {
      const ask = asks.find((a) => reads(m, a));
      return ask ? { ...m, because: `${ask.finding.sentence} ${m.because}` } : m;
    }),
    ...started,
    ...hopeless,
    ...again.filter((m) => m.kind === 'job'),
    ...fromHolds(
      p.holds.filter((h) => h.id !== 'drowned' && h.id !== 'drowned-running'),
      5,
      false,
      p.steps
    )
      .filter((m) => !p.holds.some((h) => m.id === `hold:${h.id}` && !h.blocks.includes('crank')))
      // What a finding of that check asks for is the next step towards it.
      .filter(
        (m) => !asks.some((a) => (a.station === m.station || a.finding.station === m.station) && a.kind !== 'job')
      ),
    ...asked(
      p,
      // What proves work that is done stands there as its proof.
      asks.filter((a) => !clock.some((m) => reads(m, a)) && !proves(a))
    ),
    // Behind what a finding of this very run asks for.
    ...(watch ? [watch] : []),
    ...decisive,
    ...ranked.pointed,
    ...shortJobMoves(p),
    ...list.still.filter((m) => !isAsked(m)),
    // In vain twice: what else is established is done first, then somebody is asked.
    ...again.filter((m) => m.kind === 'ask'),
    // What holds the start or the release, where nothing found asks for it already.
    ...fromHolds(
      p.holds.filter((h) => !h.blocks.includes('crank')),
      8,
      false,
      p.steps
    ).filter(
      (m) =>
        !readByAsk(m) &&
        !(vain && m.id === 'hold:run') &&
        !danger.some((d) => d.items?.some((i) => m.items?.includes(i)))
    ),
    ...(vain ? [vain] : []),
    ...(vain ? [] : list.running),
    ...failed(p, 'finding'),
    // Of what only the kind of case suggests, a cheap look that is worth its minutes is made before it runs or goes back.
    ...ranked.cheap,
    ...before(p, short),
    ...ranked.rest
  ];
  const own = ownJobs(p);
  const others = all.filter(
    (m) => !(m.kind === 'job' && m.job !== undefined && own.has(m.job)) && !(watch && m.id === 'look:run')
  );
  const actOf = (m: Move): Action | undefined =>
    needed.get(m.id) ??
    decisiveNeeds.get(m.id) ??
    checkById.get(m.id.slice('look:'.length))?.needs ??
    provedBy(m) ??
    (m.id === 'look:run' ? 'start' : undefined);
  const blocked = others.map((given): Move => {
    const m = given.class > 2 && triedEnough(p.context, given) ? askElse(given) : given;
    // Where it has ended, only what keeps it from getting worse still counts.
    if (end && m.id !== end.id && m.class > 2)
      return { ...m, waits: `First: ${end.title.charAt(0).toLowerCase()}${end.title.slice(1)}.` };
    if (watch && !madeRunning(m, actOf(m))) return { ...m, waits: 'First: the run is ended.' };
    const waits =
      m.waits ??
      (TURNS.has(m.id) && jumped(p.context) ? 'First: the marks of the timing belt.' : heldAgainst(p.holds, actOf(m)));
    return waits ? { ...m, waits } : m;
  });
  // One thing stands once, where it is most urgent; what waits stands behind what can be done.
  const seen = new Set<string>();
  const once = [...blocked]
    .map((m, k) => ({ m, k }))
    .sort((a, b) => Number(Boolean(a.m.waits)) - Number(Boolean(b.m.waits)) || a.m.class - b.m.class || a.k - b.k)
    .filter(({ m }) => {
      // A job that is the look itself, under the name of the look, is that look.
      const named = m.kind === 'repeat' ? 'proof' : m.kind === 'job' ? 'job' : undefined;
      const key = named && m.job ? `${named}:${m.job}` : `${m.station ?? ''}:${m.title}`;
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    })
    .map(({ m }) => m);
  // The owner is asked before the first work that is no matter of danger or of a clock.
  const first = once.findIndex((m) => m.kind === 'job' && m.class > 4 && !m.waits);
  const ask = first < 0 ? undefined : askOwner(p);
  if (ask) once.splice(first, 0, { ...ask, class: once[first]!.class });
  const rest = waiting(p);
  if (!once.some((m) => !m.waits))
    return [...rest, ...once, ...(rest.length || once.length ? [] : [short ? nothingShort : nothing])];
  return [...once, ...rest];
}

const nothing: Move = {
  kind: 'decide',
  class: 9,
  id: 'decide:nothing',
  title: 'Decide what becomes of it',
  minutes: 5,
  because: 'Nothing is left to look at or to do here.'
};

/** What a short job looked at asks for nothing, and its steps are made. */
const nothingShort: Move = {
  kind: 'decide',
  class: 9,
  id: 'decide:nothing',
  title: 'Nothing more to do here',
  minutes: 0,
  because: 'What was looked at asks for nothing more, and the rest of the engine is no part of this job.'
};
