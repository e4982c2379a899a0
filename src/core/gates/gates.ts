import { latestOf } from '../units/instant.ts';
import { against } from '../holds/against.ts';
import type { Hold } from '../holds/hold.ts';
import { listed, type Context } from '../findings/context.ts';
import { doBy, sayDoBy, type DoBy } from '../jobs/do-by.ts';
import { workedSince } from '../jobs/work.ts';
import type { Step } from '../plan/plan.ts';
import { saySecondLook, secondLooks } from '../plan/second-look.ts';
import { conditionOfCheck } from '../stations/condition.ts';
import { stations, stationsFor } from '../stations/register.ts';
import { complaintsOf, openComplaints, saidWords } from '../stations/said.ts';
import type { StationId } from '../stations/items.ts';
import type { Untried } from '../stations/station.ts';
import { trayLeft, trayOf } from '../tray/tray.ts';
import { kindOf, PARTLY_SEEN, partlySeen, type Condition, type Finding } from '../findings/finding.ts';

export interface Gate {
  readonly id: string;
  readonly title: string;
  readonly condition: Condition;
  readonly sentence: string;
  /** Sound, or open with a reason where that is allowed. */
  readonly passes: boolean;
  /** Whether a reason can open it. */
  readonly reasonOpens: boolean;
  /** What may wait, each with its date: it opens the gate and stands in the care of the engine. */
  readonly later?: readonly string[];
  readonly reason?: { readonly text: string; readonly at: string; readonly by?: string };
  readonly station?: StationId;
  /** What is left to try or to note, where all that was seen of its check is sound. */
  readonly untried?: Untried;
}

/** These must have been looked at before anything goes back; the rest may stay open with a reason. */
const mustBeSeen = (s: StationId): boolean => stations[s].beforeRelease === true;

function reasonFor(c: Context, gate: string): Gate['reason'] {
  const last = latestOf((c.survey.reasons ?? []).filter((r) => r.gate === gate));
  return last && { text: last.reason, at: last.at, ...(last.by ? { by: last.by } : {}) };
}

function gate(
  c: Context,
  id: string,
  title: string,
  condition: Condition,
  sentence: string,
  reasonOpens: boolean,
  station?: StationId
): Gate {
  const reason = reasonFor(c, id);
  return {
    id,
    title,
    condition,
    sentence,
    reasonOpens,
    passes: condition === 'sound' || (reasonOpens && reason !== undefined),
    ...(reason ? { reason } : {}),
    ...(station ? { station } : {})
  };
}

/** The last look round: tight, counters, hours. */
function handover(c: Context): Gate {
  const seen = c.record.last('run.tight');
  const tight = seen?.value;
  // What was opened since was tight before.
  const opened = seen !== undefined && workedSince(c.survey, seen.at);
  const counters = c.record.value('run.counters');
  const { hours } = c.survey.engine.history;
  const left = [
    tight === 'yes'
      ? opened
        ? 'It was worked on since it was looked over: tight, caps on, no tools left, once more.'
        : ''
      : tight === 'no'
        ? 'Not everything is tight and shut.'
        : 'Tight, caps on, dipstick in, no tools left: not looked at.',
    counters === 'reset' || counters === 'not-fitted'
      ? ''
      : counters === 'not-proved'
        ? 'The service counter is reset and not proved by a key cycle.'
        : 'Service counters are not recorded as reset.',
    hours === undefined ? 'Engine hours are not noted; "unknown" is an answer.' : ''
  ].filter(Boolean);
  const condition: Condition = tight === 'no' ? 'fault' : left.length ? 'not-looked-at' : 'sound';
  const said = `Tight and shut; counters ${counters === 'reset' ? 'reset and proved' : 'not fitted'}; ${typeof hours === 'number' ? `${hours} engine hours` : 'engine hours unknown'}.`;
  return gate(c, 'handover', 'Hand-over', condition, left.length ? left.join(' ') : said, tight !== 'no');
}

/**
 * What stands between this engine and service. Faults and holds never open by a reason (a hold may be overridden, and
 * says so); a watch or a "cannot tell" may stay open with one; the running checks must at least have been made.
 */
export function gatesOf(c: Context, found: readonly Finding[], holds: readonly Hold[], steps: readonly Step[]): Gate[] {
  const { identity } = c.survey.engine;
  const named = Boolean(identity.tag && identity.serial);
  const list: Gate[] = [
    gate(
      c,
      'identity',
      'Identity',
      named ? 'sound' : 'watch',
      named
        ? `${identity.tag}, serial ${identity.serial}.`
        : 'Tag and serial number are not both recorded; parts and the record hang on them.',
      true
    )
  ];
  const dates = new Map(doBy(c).flatMap((d) => (d.finding ? [[d.finding, d] as const] : [])));
  for (const s of stationsFor(c.survey.engine.profile)) {
    // What is only said of it has a gate of its own.
    const mine = found.filter((f) => f.station === s && f.condition !== 'not-looked-at');
    const seen = conditionOfCheck(c, s, mine);
    const untried = seen === 'sound' ? stations[s].untried?.(c) : undefined;
    const condition = untried ? 'cannot-tell' : seen;
    const worst = mine.filter((f) => f.condition === condition);
    const unseen = condition === 'not-looked-at' || partlySeen(seen, mine);
    const opens = unseen ? !mustBeSeen(s) : condition === 'watch' || condition === 'cannot-tell';
    // Watched, and every one of them has a date: that opens it, with the dates on it.
    const dated = condition === 'watch' ? worst.map((f) => dates.get(kindOf(f.id))) : [];
    const later = dated.length && dated.every((d) => d !== undefined) ? dated.map((d) => sayLater(c, d)) : undefined;
    const sentence = untried
      ? untried.says
      : worst.length
        ? worst.map((f) => f.sentence).join(' ')
        : partlySeen(seen, mine)
          ? PARTLY_SEEN
          : mustBeSeen(s)
            ? 'Not looked at; it must be before the engine goes back.'
            : 'Not looked at.';
    const plain = gate(c, `station.${s}`, stations[s].title, condition, sentence, opens, s);
    const made = untried ? { ...plain, untried } : plain;
    list.push(later ? { ...made, passes: true, later, sentence: `${sentence} ${later.join(' ')}` } : made);
  }
  const release = against(holds, 'release');
  const overridden = holds.filter((h) => h.override && h.blocks.includes('release'));
  list.push(
    gate(
      c,
      'holds',
      'Holds',
      release.length ? 'held' : 'sound',
      release.length
        ? `${release.map((h) => h.title).join('; ')}.`
        : overridden.length
          ? `Overridden: ${overridden.map((h) => h.title).join('; ')}.`
          : 'No hold stands.',
      false
    )
  );
  const untold = openComplaints(c);
  if (complaintsOf(c).length)
    list.push(
      gate(
        c,
        'said',
        'What it was brought for',
        untold.length ? 'watch' : 'sound',
        untold.length
          ? `It is said that it ${listed(untold.map(saidWords))}: that was neither seen here nor shown to be gone.`
          : 'What was said of it was looked for, and answered.',
        true
      )
    );
  list.push(handover(c));
  const tray = trayOf(c.survey);
  const missing = trayLeft(tray);
  list.push(
    gate(
      c,
      'tray',
      'Tray',
      missing ? 'held' : 'sound',
      missing ??
        (tray.length
          ? `${tray.length === 1 ? 'The one part' : `All ${tray.length} parts`} that came off went back, renewed or explained.`
          : 'Nothing was taken off that was written down.'),
      false
    )
  );
  const looks = secondLooks(c.survey, steps);
  if (looks.length) {
    const due = looks.filter((l) => !l.looked);
    list.push(
      gate(
        c,
        'second-look',
        'A second look',
        due.length ? 'watch' : 'sound',
        due.length ? due.map(saySecondLook).join(' ') : 'Long and late work was looked over once more.',
        true
      )
    );
  }
  const open = steps.filter((s) => s.state === 'open' && s.by === undefined);
  const unproved = steps.filter((s) => s.state === 'done');
  // A fault that no job stands for yet is still looked for: nothing is done and proved then.
  const searched = !open.length && !unproved.length ? found.filter((f) => f.condition === 'fault') : [];
  const jobs: Condition = open.length ? 'watch' : unproved.length || searched.length ? 'cannot-tell' : 'sound';
  const listSaid = open.length
    ? `${open.length} ${open.length === 1 ? 'job is' : 'jobs are'} open: ${open.map((s) => s.title).join('; ')}.`
    : unproved.length
      ? `Done but not proved: ${unproved.map((s) => `${s.title} (check ${stations[s.proof.station].title.toLowerCase()})`).join('; ')}.`
      : searched.length
        ? `No job stands for it yet: ${searched[0]!.sentence}`
        : steps.length
          ? 'Every job is done and proved.'
          : 'No job was asked for.';
  list.push(gate(c, 'jobs', 'Job list', jobs, listSaid, true));
  return list;
}

const sayLater = (c: Context, d: DoBy): string => `${d.title}: ${sayDoBy(c, d)}.`;

export const ready = (gates: readonly Gate[]): boolean => gates.every((g) => g.passes);
