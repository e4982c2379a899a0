import type { Ask } from '../advice/asks.ts';
import type { Finding } from '../findings/finding.ts';
import { raisers } from '../plan/around-work.ts';
import type { Step } from '../plan/plan.ts';
import { suspectKinds } from '../diagnosis/knowledge/index.ts';
import { drownedClock } from '../drowned/clock.ts';
import { protocol } from '../drowned/protocol.ts';
import { DEAR } from '../jobs/dear.ts';
import { doneAt } from '../jobs/done.ts';
import { readSince } from '../jobs/proof-read.ts';
import { isJobId, jobOf, traitsOf } from '../jobs/register.ts';
import { mendedAfter, RUN_AGAIN } from '../jobs/work.ts';
import { drowned } from '../record/drowned.ts';
import { runningWaits, sayLeft } from '../record/wait.ts';
import { causeAt, showsAgain } from '../stations/run/symptoms.ts';
import type { StationId } from '../stations/items.ts';
import { stations } from '../stations/register.ts';
import { isAfter } from '../units/instant.ts';
import type { Move } from './move.ts';
import { IN_VAIN } from './before.ts';
import { jobMove, type Position } from './position.ts';

/** 2: the drowned engine's next step while its clock runs, and frost with water in the case. */
export function clocks({ context: c, steps }: Position): Move[] {
  const out: Move[] = steps
    .filter((s) => s.state === 'open' && !s.failed && traitsOf(s.id).phase === 'today')
    .map((s): Move => jobMove(s, 2));
  if (!drowned(c) || c.survey.assessment.kind !== 'drowned') return out;
  const clock = drownedClock(c);
  // Past what is stuck: the rest still keeps its parts from rusting. The run and what follows it are no longer against the clock.
  const all = protocol(c);
  // What begins to stick is oiled before it sticks, as soon as the water is out; what is stuck lets none out.
  const sticks = steps.find((s) => s.state === 'open' && s.id === 'soak' && !s.failed);
  const dry = all.some((s) => s.id === 'plugs' && s.state === 'done');
  const stuck = c.record.value('turn.plugs') === 'out' && c.record.value('turn.result') === 'locked';
  const soak = sticks && (dry || stuck) ? [jobMove(sticks, 2)] : [];
  const next = all.filter((s) => s.state === 'open' && !['run', 'long', 'next-day'].includes(s.id)).slice(0, 2);
  const moves = next.map((s): Move => ({
    kind: 'continue',
    class: 2,
    id: `drowned:${s.id}`,
    title: s.title,
    ...(s.station ? { station: s.station } : {}),
    ...(s.items.length ? { items: s.items } : {}),
    ...(s.mark ? { mark: s.mark, sheet: 'drowned' } : {}),
    minutes: s.minutes,
    because: `${s.why}${clock ? ` ${clock.sentence}` : ''}`,
    ...(clock ? { deadline: clock.until.toISOString() } : {})
  }));
  // No hand at the holes before the battery is off.
  const safe = next.filter((s) => s.id === 'safe').length;
  return [...out, ...moves.slice(0, safe), ...soak, ...moves.slice(safe)];
}

/** One reading that proves work, minutes: the tool is at hand (C). */
const ONE_READING = 3;
const raises = (job: string, f: Finding): boolean => isJobId(job) && raisers(jobOf(job), [f]).length > 0;
/** The same, or what says that it failed. */
const concerns = (job: string, f: Finding): boolean =>
  raises(job, f) || (isJobId(job) && (jobOf(job).spoiledBy?.includes(f.id) ?? false));

/** Work that is open and changes what is read at a check; not a look that is written as a job. */
const mendsAt = (s: Step, station: StationId): boolean =>
  s.state === 'open' && !s.by && !s.failed && s.proof.station === station && !(isJobId(s.id) && jobOf(s.id).finds);

/** 3: waits that are over, work that is done and not proved. */
export function begun({ context: c, steps, findings, holds }: Position, asks: readonly Ask[]): Move[] {
  const over = runningWaits(c.survey.waits)
    .filter((w) => c.past(w.until.getTime()))
    .map((w): Move => ({
      kind: 'continue',
      class: 3,
      id: `wait:${w.wait.id}`,
      title: `${w.wait.label}: it is time`,
      ...(w.wait.station ? { station: w.wait.station } : {}),
      minutes: 2,
      because: `It has been ${sayLeft(w.until, c.now)}.`
    }));
  const proofs = steps
    // What the readings themselves show as done was a look, and is not proved by another one.
    .filter((s) => s.state === 'done' && s.markedAt && !s.busyUntil && s.proof.station !== 'run')
    // It binds since it was put together: that is undone before any of it is proved.
    .filter(() => !holds.some((h) => h.id === 'assembled' && !h.override))
    .flatMap((s): Move[] => {
      const station = s.raisedAt ?? s.proof.station;
      // Looked at since, and something else is wrong there: that is mended before this can be proved.
      const since = readSince(c, station === s.proof.station ? s.proof : { station }, s.markedAt!, s.cylinders);
      const more = since && steps.find((x) => x.state === 'open' && !x.by && x.proof.station === station);
      // At the very cylinders it was for: what that asks for comes next, and not the same look once more.
      const still = (f: Finding): boolean =>
        f.station === station &&
        f.condition === 'fault' &&
        f.cylinder !== undefined &&
        !!s.cylinders?.includes(f.cylinder);
      if (since && !more && findings.some(still)) return [];
      // What was read to prove it shows something else, or the same: what that asks for is next, or the run that shows it anew.
      const against = since && !!s.against?.length;
      const shownElse =
        asks.some((a) => s.against?.includes(a.finding.id)) ||
        steps.some((x) => x.state === 'open' && !x.by && traitsOf(x.id).phase === 'running');
      if (against && !more && shownElse) return [];
      // What raised it still stands by its old reading, and says itself which look would close it.
      if (since && !more && asks.some((a) => a.kind !== 'job' && a.station === station && raises(s.id, a.finding)))
        return [];
      // Read, and what was read still asks for another of its looks: that look is the proof.
      const asksProof = (a: Ask): boolean =>
        a.kind !== 'job' && !a.late && a.station === station && !!a.items?.some((i) => s.proof.reads?.includes(i));
      // A look that is written as a job is made again where its own reading is doubted.
      const looksAgain = (a: Ask): boolean => isJobId(s.id) && jobOf(s.id).finds === true && a.kind === 'repeat';
      if (!more && asks.some((a) => asksProof(a) && (since || looksAgain(a)))) return [];
      // A search that was begun at this check, and what was read since says that it is not over, is finished first.
      if (since && !more && asks.some((a) => a.kind === 'continue' && a.station === station)) return [];
      // A doubt about what proves it says itself which reading comes first: turned by hand, before it is cranked.
      if (asks.some((a) => a.kind === 'repeat' && a.finding.station === station && a.station !== station)) return [];
      // What it would be proved with is changed first: a clean carburettor is not filled with the fuel that gummed it.
      const beneath = steps.find((x) => s.follows.includes(x.id) && mendsAt(x, s.proof.station));
      const first = more || beneath;
      const lone = station === s.proof.station && s.proof.reads?.length === 1 ? s.proof.reads[0]! : undefined;
      return [
        {
          kind: 'repeat',
          // With nothing that would change it, the same reading once more comes last.
          class: first ? 8 : against ? 9 : 3,
          id: `proof:${s.id}`,
          title: `Prove it: ${station === s.proof.station && !s.own ? s.proof.text : `${stations[station].title.toLowerCase()} again`}`,
          station,
          job: s.id,
          ...(lone ? { items: [lone] } : {}),
          minutes: lone ? Math.min(ONE_READING, stations[station].minutes) : stations[station].minutes,
          because: `“${s.title}” is done and not proved yet.`,
          ...(first ? { waits: `First: ${first.title.charAt(0).toLowerCase()}${first.title.slice(1)}.` } : {})
        }
      ];
    });
  return [...over, ...proofs];
}

/** Work that may itself leave the fault that it is done for: a seal that went in reversed. */
const mayGoWrong = (job: string): boolean =>
  suspectKinds.some((s) => s.step === job && s.afterWork !== undefined && Object.hasOwn(s.afterWork, job));

/** Work that mends, and does not only look for what to mend. */
const isMend = (job: string): boolean => isJobId(job) && !jobOf(job).finds && jobOf(job).phase !== 'repeat';

/** From so many times done and failed, the same work is no answer any more; dear work is none after the first. */
const OFTEN = 2;
/** A run shows one thing after the other, each mended before the next: so many of them are a question for somebody else (M). */
const RUNS = 5;

/**
 * Work that was done and failed its proof. 5: before anything else that its findings ask for, where a sign of its suspect shows again;
 * 8: behind the looks for why and the other work, where only its finding does, or where that finding still asks for a look. Done twice in vain, it is a question for somebody else.
 */
export const failed = (
  { context: c, steps }: Position,
  by: NonNullable<Step['failed']>,
  asks: readonly Ask[]
): Move[] => {
  const done = doneAt(c);
  return steps
    .filter((s) => s.failed === by)
    .map((s): Move => {
      const times = (c.survey.steps ?? []).filter((m) => m.step === s.id && m.state === 'done').length;
      const title = `${s.title.charAt(0).toLowerCase()}${s.title.slice(1)}`;
      // What lies under it was mended after it: what came back came from there, and the same work is right this time.
      // Seen again since, it has failed.
      const cause = s.follows.find((id) => {
        const at = isMend(id) ? done.get(id) : undefined;
        if (at === undefined || !isAfter(at, s.markedAt)) return false;
        return !readSince(c, s.raisedAt ? { station: s.raisedAt } : s.proof, at, s.cylinders);
      });
      if (cause && isJobId(cause))
        return {
          kind: 'job',
          class: 8,
          id: `job:${s.id}`,
          title: `Once more: ${title}`,
          station: s.proof.station,
          minutes: s.minutes,
          because: `It came back from what was mended since: “${jobOf(cause).title}” is done.`,
          job: s.id
        };
      // Work that lies under it is done before it, the second time as the first.
      const beneath = steps.find((x) => s.after.includes(x.id) && x.state === 'open' && !x.by && !x.failed);
      const what = { station: s.proof.station, minutes: s.minutes, because: s.why[0] ?? s.how };
      // Run again after whatever was mended, and as before: a third time shows the same.
      const vain = s.id === RUN_AGAIN && s.markedAt && !mendedAfter(c.survey, s.markedAt);
      if (vain && !isAfter(causeAt(c), s.markedAt) && showsAgain(c, s.markedAt)) return { ...IN_VAIN, class: 8 };
      // Something was mended since the last run: that one says nothing of it, and nothing has failed.
      const mended = s.id === RUN_AGAIN && s.markedAt !== undefined && mendedAfter(c.survey, s.markedAt, [RUN_AGAIN]);
      if (mended && times < RUNS)
        return {
          ...what,
          because: s.why[1] ?? s.how,
          kind: 'job',
          class: 8,
          id: `job:${s.id}`,
          title: s.title,
          job: s.id
        };
      const often = s.id === RUN_AGAIN ? RUNS : OFTEN;
      const once = (s.minutes > DEAR && !mayGoWrong(s.id)) || (isJobId(s.id) && jobOf(s.id).once);
      return times >= (once ? 1 : often)
        ? {
            ...what,
            kind: 'ask',
            class: 8,
            id: `ask:failed:${s.id}`,
            title: `Stop: done ${times > 1 ? `${times} times ` : ''}and not cured: ${title}. Ask the owner, or a specialist`,
            minutes: 5
          }
        : {
            ...what,
            kind: 'job',
            class:
              by === 'sign' && !asks.some((a) => a.kind === 'look' && !a.late && concerns(s.id, a.finding)) ? 5 : 8,
            id: `job:${s.id}`,
            title: `Once more: ${title}`,
            job: s.id,
            ...(beneath ? { waits: `First: ${beneath.title.charAt(0).toLowerCase()}${beneath.title.slice(1)}.` } : {})
          };
    });
};

/** What runs by itself and is not over: said where nothing else can be done meanwhile. */
export const waiting = ({ context: c, steps }: Position): Move[] => [
  ...runningWaits(c.survey.waits)
    .filter((w) => !c.past(w.until.getTime()))
    .map((w): Move => ({
      kind: 'wait',
      class: 9,
      id: `wait:${w.wait.id}`,
      title: `Wait: ${w.wait.label.toLowerCase()}`,
      ...(w.wait.station ? { station: w.wait.station } : {}),
      minutes: Math.max(1, Math.round((w.until.getTime() - c.now.getTime()) / 60_000)),
      because: 'It runs by itself; nothing else is open meanwhile.',
      from: w.until.toISOString()
    })),
  ...steps
    .filter((s) => s.busyUntil)
    .map((s): Move => ({
      kind: 'wait',
      class: 9,
      id: `wait:${s.id}`,
      title: `Wait: ${s.title.toLowerCase()}`,
      station: s.proof.station,
      minutes: Math.max(1, Math.round((Date.parse(s.busyUntil!) - c.now.getTime()) / 60_000)),
      because: 'It runs by itself; nothing else is open meanwhile.',
      from: s.busyUntil!
    }))
];
