import { jumped } from '../advice/decisive.ts';
import { kindOf, type Finding } from '../findings/finding.ts';
import { isDear } from '../jobs/dear.ts';
import { isJobId, jobOf, traitsOf } from '../jobs/register.ts';
import { against } from '../holds/against.ts';
import type { Action, Hold } from '../holds/hold.ts';
import { causeStations } from '../stations/run/symptoms.ts';
import { soakOver } from '../stations/turn/soak.ts';
import { cannotBeCranked } from '../stations/plugs/cranking.ts';
import type { ItemId } from '../stations/items.ts';
import { stations } from '../stations/register.ts';
import { listed } from '../findings/context.ts';
import { partsAwaited } from '../record/part-lines.ts';
import { establishedCost } from '../plan/bill.ts';
import { raisers } from '../plan/around-work.ts';
import { spentOn } from '../plan/costs.ts';
import { authorityOf } from './authority.ts';
import { waiting } from './begun.ts';
import { candidates } from './candidates.ts';
import { dangers } from './danger.ts';
import type { Move } from './move.ts';
import type { Position } from './position.ts';
import { isShortJob, ownJobs } from './short-job.ts';
import { askElse, triedEnough } from './tried.ts';
import { underWork } from './under-work.ts';
import { madeRunning, watching } from './while-running.ts';

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

/** What a job, or its proof, does to the engine: a run starts it, a starter is proved by cranking, the rest by what its check does. */
function jobDoes(m: Move): Action | undefined {
  if (m.kind === 'job') return m.job && isJobId(m.job) && jobOf(m.job).isFirstRun ? 'start' : undefined;
  if (!m.id.startsWith('proof:') || !m.station) return undefined;
  return m.job === 'starter' || m.job === 'battery' ? 'crank' : stations[m.station].act;
}

const CRANKERS: Readonly<
  Record<'rope' | 'fuse' | 'starter', { readonly items: readonly ItemId[]; readonly first: string }>
> = {
  rope: { items: ['plugs.rope'], first: 'First: the rope starter; nothing else turns it.' },
  fuse: {
    items: ['look.wiring', 'plugs.voltsEnd', 'plugs.starterDirect'],
    first: 'First: why the main fuse blew, and a new one; nothing else turns it.'
  },
  starter: {
    items: ['plugs.starterCircuit', 'plugs.starterDirect', 'plugs.volts', 'plugs.voltsEnd'],
    first: 'First: its starter; nothing else turns it.'
  }
};
/** Cranked for, on an engine that nothing cranks; what looks at rope or starter itself is made. */
function uncranked(c: Position['context'], m: Move, needs: Action | undefined): string | undefined {
  const broken = needs === 'crank' || needs === 'start' ? cannotBeCranked(c) : undefined;
  if (!broken || ['starter', 'battery', 'rope', 'wiring'].includes(m.job ?? '')) return undefined;
  const { items, first } = CRANKERS[broken];
  return m.items?.some((i) => items.includes(i)) ? undefined : first;
}

/** Looks that begin with a gear plug coming out, and the plug that will not move. */
const PLUG_OUT: ReadonlySet<string> = new Set(['look:gear-crack', 'look:gear-drain', 'look:magnet']);
const stuckPlug = (c: Position['context'], m: Move): string | undefined =>
  c.record.value('gear.slots') === 'stuck' && (PLUG_OUT.has(m.id) || m.items?.includes('gear.first'))
    ? 'First: the gear plug that will not move.'
    : undefined;

/** Looks that turn the flywheel by hand, by name or by what they read. */
const TURNS: ReadonlySet<string> = new Set(['look:turn', 'look:bumps', 'look:shift']);
const TURNED: ReadonlySet<ItemId> = new Set([
  ...([
    'turn.result',
    'turn.feel',
    'turn.bumps',
    'turn.depth',
    'turn.neutral',
    'turn.forward',
    'turn.reverse'
  ] as const),
  ...(['turn.roughNeutral', 'turn.roughPinion', 'turn.roughLeg', 'compression.leakdown'] as const)
]);
const turnsByHand = (m: Move): boolean => TURNS.has(m.id) || !!m.items?.some((i) => TURNED.has(i));

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

/** Oil was put into the bores to soak, and its day is not over: cranking throws it out again, and a run burns it. Until when, ms. */
function soaking(c: Position['context']): number | undefined {
  const over = soakOver(c);
  return over !== undefined && !c.past(over) ? over : undefined;
}

/** Parts go into nothing but what turns badly itself while nobody knows whether the power head will turn. */
function spendsUnsure(p: Position, m: Move): boolean {
  if (m.kind !== 'job' || m.class <= 4 || !m.job || !isJobId(m.job) || soaking(p.context) === undefined) return false;
  if (!p.holds.some((h) => h.id === 'locked' && !h.override)) return false;
  const job = jobOf(m.job);
  return (
    (job.parts?.length ?? 0) > 0 &&
    !job.preserves &&
    !['today', 'first', 'drowned'].includes(job.phase ?? '') &&
    job.proof.station !== 'turn' &&
    !raisers(job, p.findings).some((f) => f.station === 'turn')
  );
}

/** Air past rings that stand in oil tells nothing of them. */
const readsAir = (m: Move): boolean => m.id === 'look:leak-down' || !!m.items?.includes('compression.leakdown');

/** Dear work on what turns badly, or a specialist's price for it: what the oil frees overnight needs neither. */
function onWhatSoaks(p: Position, m: Move): boolean {
  if (m.kind !== 'job' || !m.job || !isJobId(m.job)) return false;
  if (!p.findings.some((f) => f.station === 'turn' && f.condition === 'fault')) return false;
  const { proof, minutes } = jobOf(m.job);
  return isDear(m.job, minutes) && (proof.station === 'turn' || proof.station === 'compression');
}

/**
 * Work that is established for what a run showed: run before it is done, it only shows the same again. Not while it runs, and
 * not work that is put off, that failed, or that is proved by the run alone.
 */
export function mendFirst({ context: c, findings, steps }: Position): string | undefined {
  const shown = findings.filter((f) => f.station === 'run' && f.condition === 'fault');
  const causes = new Set(shown.flatMap((f) => causeStations(c, kindOf(f.id))));
  if (!causes.size) return undefined;
  const first = steps.find(
    (s) =>
      s.state === 'open' &&
      !s.by &&
      !s.failed &&
      isJobId(s.id) &&
      traitsOf(s.id).phase === undefined &&
      causes.has(s.proof.station) &&
      raisers(jobOf(s.id), findings).some((f) => f.condition === 'fault' && f.station !== 'run')
  );
  return first && `First: ${first.title.charAt(0).toLowerCase()}${first.title.slice(1)}.`;
}

/** What a job is not begun without; what is urgent is begun all the same. */
const partsOf = ({ context: c }: Position, m: Move): string[] =>
  m.kind === 'job' && m.job && m.class > 2 ? partsAwaited(c.survey, m.job) : [];

/** Found without spark by the tester. */
const isDead = (f: Finding): boolean =>
  f.condition === 'fault' && ['spark.none', 'spark.all', 'spark.pair', 'spark.bank'].includes(kindOf(f.id));

/** Why each move cannot be made now, where something comes first: the end, the run under way, a hold. */
function withWaits(p: Position, list: readonly Move[], end: Move | undefined, watch: Move | undefined): Move[] {
  const own = ownJobs(p);
  const mend = watch ? undefined : mendFirst(p);
  return list
    .filter((m) => !(m.kind === 'job' && m.job !== undefined && own.has(m.job)) && !(watch && m.id === 'look:run'))
    .map((given): Move => {
      const m = given.class > 2 && triedEnough(p.context, given) ? askElse(given) : given;
      // Where it has ended, only what keeps it from getting worse still counts.
      if (end && m.id !== end.id && m.class > 2)
        return { ...m, waits: `First: ${end.title.charAt(0).toLowerCase()}${end.title.slice(1)}.` };
      const needs = m.needs ?? jobDoes(m);
      if (watch && !madeRunning(m, needs)) return { ...m, waits: 'First: the run is ended.' };
      const turns = turnsByHand(m) && jumped(p.context) ? 'First: the marks of the timing belt.' : undefined;
      const soaks =
        m.class > 2 &&
        soaking(p.context) !== undefined &&
        (needs === 'crank' || needs === 'start' || readsAir(m) || onWhatSoaks(p, m))
          ? DAY_IN_THE_BORES
          : undefined;
      const unsure = spendsUnsure(p, m) ? 'First: whether it turns free when the oil has had its day.' : undefined;
      const dry =
        m.class > 2 && (needs === 'crank' || needs === 'start') && p.findings.some((f) => f.id === 'plugs.dry-bores')
          ? 'First: oil into the bores.'
          : undefined;
      const shows = m.class > 2 && m.kind !== 'job' && needs === 'start' ? mend : undefined;
      // Nobody runs an engine to see how it does with a cylinder that is known to be dead.
      const dead = m.id === 'look:run' && p.findings.some(isDead) ? 'First: spark on every cylinder.' : undefined;
      const waits =
        m.waits ??
        dead ??
        turns ??
        stuckPlug(p.context, m) ??
        soaks ??
        unsure ??
        shows ??
        dry ??
        (m.class > 2 ? underWork(p, m, needs) : undefined) ??
        uncranked(p.context, m, needs) ??
        heldAgainst(p.holds, needs);
      if (waits) return { ...m, waits };
      const parts = partsOf(p, m);
      return parts.length ? { ...m, parts, waits: `Waits for ${listed(parts)}.` } : m;
    });
}

const DAY_IN_THE_BORES = 'First: the oil has its day in the bores.';

/** The day of the oil, where something waits for it and no work that goes on says so. */
function waitForOil({ context: c }: Position, list: readonly Move[], rest: readonly Move[]): Move[] {
  const over = soaking(c);
  if (over === undefined || rest.some((m) => m.id === 'wait:soak') || !list.some((m) => m.waits === DAY_IN_THE_BORES))
    return [];
  return [
    {
      kind: 'wait',
      class: 9,
      id: 'wait:soak',
      title: 'Wait: the oil has its day in the bores',
      station: 'turn',
      minutes: Math.max(1, Math.round((over - c.now.getTime()) / 60_000)),
      because: 'Cranking throws it out, and a run burns it before it has crept anywhere.',
      from: new Date(over).toISOString()
    }
  ];
}

/** One thing stands once, where it is most urgent; what waits stands behind what can be done. */
function inOrder(list: readonly Move[]): Move[] {
  const seen = new Set<string>();
  return list
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
}

/**
 * What to do now: one ordered list for every view, by class and inside a class by what it is worth a minute. A move that cannot be
 * made says what comes first and stands behind those that can. Pure; never empty.
 */
export function moves(p: Position): Move[] {
  const end = ending(p);
  const short = isShortJob(p);
  const run = watching(p);
  // Told to stop it, nobody is told to go on watching; what needs it to stand waits all the same.
  const watch = dangers(p).some((m) => m.kind === 'stop') ? undefined : run;
  const once = inOrder(withWaits(p, candidates(p, short, end, watch), end, run));
  // The owner is asked before the first work that is no matter of danger or of a clock.
  const first = once.findIndex((m) => m.kind === 'job' && m.class > 4 && !m.waits);
  const ask = first < 0 ? undefined : askOwner(p);
  if (ask) once.splice(first, 0, { ...ask, class: once[first]!.class });
  const goingOn = waiting(p);
  const rest = [...goingOn, ...waitForOil(p, once, goingOn)];
  // Nobody hands over, or gives a reason for what may stay, while the work that ends it runs by itself.
  const decide = (m: Move): boolean => rest.length > 0 && m.id.startsWith('gate:');
  const now = once.filter((m) => !decide(m));
  const later = once.filter(decide);
  if (now.some((m) => !m.waits)) return [...now, ...rest, ...later];
  return [...rest, ...now, ...later, ...(rest.length || once.length ? [] : [short ? nothingShort : atTheEnd(p)])];
}

/** A fault that nobody here mends is somebody else's to decide; with none left, what becomes of the engine is. */
function atTheEnd({ findings }: Position): Move {
  const fault = findings.find((f) => f.condition === 'fault');
  if (!fault) return nothing;
  return {
    kind: 'ask',
    class: 9,
    id: `ask:left:${fault.id}`,
    title: `Stop: what is left is mended by nothing here. ${fault.found} Ask the owner, or a specialist’s price`,
    station: fault.station,
    ...(fault.cylinder === undefined ? {} : { cylinder: fault.cylinder }),
    minutes: 5,
    because: fault.sentence
  };
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
