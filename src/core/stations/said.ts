import { historyItems, type Said } from '../engine/profile.ts';
import { practice } from '../findings/collect.ts';
import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import type { ItemId, StationId } from '../items/register.ts';
import { charging } from './run/charging.ts';
import { stationOf } from './items.ts';
import { stationsFor } from './register.ts';
import { runsOf } from './run/runs.ts';

/** An item with the answers that count. */
type Answers = readonly [ItemId, ...string[]];

interface Complaint {
  /** The check that it is looked for at. */
  readonly station: StationId;
  /** The sign of the knowledge base that it would be, were it seen here. */
  readonly sign?: string;
  /** Any of these says that it does so: from then on what was seen speaks, and no more what was said. */
  readonly seen: readonly Answers[];
  /** All of these say that it does not, or no more. */
  readonly gone: readonly Answers[];
  /** Besides them: what else shows it, where answers do not. */
  readonly shown?: (c: Context) => boolean;
}

/** Run at least so long before "dies after some minutes" counts as not so, minutes (C). */
const SOME_MINUTES = 10;
const ranLong = (c: Context): boolean =>
  c.record.value('run.outcome') === 'ran' && runsOf(c).some((r) => !r.silent && r.minutes >= SOME_MINUTES);

/** What each complaint is looked for by (C): whoever brings an engine says what it does, not what is wrong with it. */
export const complaints: Readonly<Record<Said, Complaint>> = {
  'no-start': {
    station: 'run',
    sign: 'no-start',
    seen: [['run.outcome', 'failed']],
    gone: [['run.outcome', 'ran', 'stopped', 'died']]
  },
  dies: {
    station: 'fuel',
    sign: 'dies',
    seen: [
      ['fuel.dies', 'minutes', 'seconds'],
      ['run.outcome', 'died'],
      ['run.idles', 'hot']
    ],
    gone: [['fuel.dies', 'no']],
    shown: ranLong
  },
  'dies-warm': {
    station: 'run',
    sign: 'dies-hot',
    seen: [['run.idles', 'hot']],
    gone: [
      ['run.idles', 'even'],
      ['run.longRun', 'yes']
    ]
  },
  idles: { station: 'run', sign: 'spits', seen: [['run.idles', 'spits', 'shakes']], gone: [['run.idles', 'even']] },
  shakes: { station: 'run', sign: 'shakes', seen: [['run.idles', 'shakes']], gone: [['run.idles', 'even']] },
  kicks: { station: 'run', sign: 'kicks', seen: [['run.idles', 'kicks']], gone: [['run.idles', 'even']] },
  power: {
    station: 'run',
    seen: [],
    gone: [
      ['run.outcome', 'ran'],
      ['cooling.source', 'afloat']
    ]
  },
  thrust: {
    station: 'turn',
    sign: 'hub-slips',
    seen: [
      ['look.twist', 'slips'],
      ['turn.forward', 'slips', 'no'],
      ['run.gears', 'fails']
    ],
    gone: [
      ['look.twist', 'holds', 'not-fitted'],
      ['run.gears', 'both', 'not-fitted']
    ]
  },
  gears: {
    station: 'turn',
    sign: 'gear-slips',
    seen: [
      ['turn.forward', 'slips', 'no'],
      ['turn.reverse', 'slips', 'no'],
      ['turn.neutral', 'drives'],
      ['run.gears', 'fails']
    ],
    gone: [['run.gears', 'both']]
  },
  hot: {
    station: 'cooling',
    sign: 'hot',
    seen: [
      ['run.lamp', 'came'],
      ['run.reason', 'temperature', 'lamp']
    ],
    gone: [
      ['run.outcome', 'ran'],
      ['run.lamp', 'none', 'not-fitted']
    ]
  },
  stream: {
    station: 'cooling',
    sign: 'stream-weak',
    seen: [
      ['cooling.stream', 'weak', 'none'],
      ['run.stream', 'weak', 'none']
    ],
    gone: [['run.stream', 'strong']]
  },
  smoke: { station: 'run', sign: 'smoke', seen: [['run.smoke', 'keeps']], gone: [['run.smoke', 'none', 'first']] },
  oil: {
    station: 'oil',
    seen: [
      ['oil.dip', 'above', 'below', 'none'],
      ['oil.smell', 'fuel', 'strong']
    ],
    gone: [['oil.dip', 'between']]
  },
  'gear-oil': {
    station: 'gear',
    sign: 'gear-milky',
    seen: [
      ['gear.look', 'milky', 'creamy', 'none'],
      ['gear.first', 'water', 'milky', 'nothing']
    ],
    gone: [['gear.look', 'clear', 'dark']]
  },
  starter: {
    station: 'plugs',
    sign: 'starter-slow',
    seen: [
      ['plugs.starterCircuit', 'slow', 'nothing'],
      ['plugs.rope', 'slips', 'stuck']
    ],
    gone: [['plugs.starterCircuit', 'turns']],
    shown: (c) => c.survey.engine.profile.starting === 'rope' && c.record.value('plugs.rope') === 'good'
  },
  charge: {
    station: 'run',
    sign: 'no-charge',
    seen: [],
    gone: [],
    shown: (c) => charging(c).some((x) => x.verdict !== 'cannot-tell')
  },
  leaks: {
    station: 'fuel',
    sign: 'leaks-fuel',
    seen: [
      ['run.leaks', 'fuel'],
      ['fuel.couplings', 'leak'],
      ['fuel.floods', 'yes']
    ],
    gone: [['run.leaks', 'none']]
  },
  noise: {
    station: 'turn',
    seen: [
      ['turn.feel', 'noise'],
      ['run.reason', 'noise'],
      ['run.noise', 'head', 'valves', 'flywheel', 'leg']
    ],
    gone: [
      ['run.idles', 'even'],
      ['run.outcome', 'ran'],
      ['run.noise', 'none']
    ]
  }
};

const answered = (c: Context, [item, ...values]: Answers): boolean =>
  c.record.all(item).some((r) => [r.value].flat().some((v) => values.includes(String(v))));

/** What whoever brought it says that it does, in his order; nothing where nobody said anything. */
export function complaintsOf(c: Context): readonly Said[] {
  const { said } = c.survey.engine.history;
  return Array.isArray(said) ? said : [];
}

/** What it is said to do that nobody has seen here yet, and that nothing has shown not to be so. */
export function openComplaints(c: Context): Said[] {
  const fitted = stationsFor(c.survey.engine.profile);
  return complaintsOf(c).filter((id) => {
    const { station, seen, gone, shown } = complaints[id];
    if (!fitted.includes(station)) return false;
    const off = gone.length > 0 && gone.every((a) => answered(c, a));
    return !off && !(shown?.(c) ?? false) && !seen.some((a) => answered(c, a));
  });
}

const options = (
  historyItems.said as { readonly options: readonly { readonly value: string; readonly label: string }[] }
).options;
/** "dies after some minutes". */
export const saidWords = (id: Said): string => options.find((o) => o.value === id)!.label;

/** Whether a run shows it, or shows that it is not so. */
export const runShows = (id: Said): boolean =>
  complaints[id].station === 'run' ||
  [...complaints[id].seen, ...complaints[id].gone].some(([i]) => stationOf(i) === 'run');

/** The finding of a complaint. */
export const saidId = (id: Said): string => `${complaints[id].station}.said-${id}`;

/** What the engine is said to do and nobody has seen, at the check where it is looked for. It colours no check: hearsay is no look. */
export const saidFindings = (c: Context, station: StationId): Finding[] =>
  openComplaints(c)
    .filter((id) => complaints[id].station === station)
    .map((id) => {
      const found = `It is said that it ${saidWords(id)}.`;
      return {
        id: saidId(id),
        station,
        condition: 'not-looked-at',
        found,
        sentence: `${found} Nobody here has seen that yet.`,
        because: practice(
          [`said: ${saidWords(id)}`],
          'what an owner says is heard, looked for and run for; it is no measurement.'
        )
      };
    });
