import type { Profile } from '../../src/core/engine/profile.ts';
import type { StationId } from '../../src/core/stations/items.ts';
import { stationsFor } from '../../src/core/stations/register.ts';
import { Bench } from '../case.ts';
import { good } from '../good.ts';

type Kind = 'neglected' | 'long-stored';
const made = new Map<string, Bench>();

/**
 * Every check of this engine made and good, up to its first run, but those that are left to the story. Each story goes on with
 * the same readings, so that what rests on them is judged once.
 */
export function readyToRun(profile: Profile, kind: Kind = 'neglected', but: readonly StationId[] = []): Bench {
  const key = JSON.stringify([profile, kind, but]);
  const ready = made.get(key) ?? madeReady(profile, kind, but);
  made.set(key, ready);
  return ready.fork();
}

function madeReady(profile: Profile, kind: Kind, but: readonly StationId[]): Bench {
  const b = new Bench(profile, kind, { yearsIdle: 0, worth: 4000, salvage: 400, ceiling: 2000 });
  const hands = {
    profile,
    banked: false,
    best: 860e3,
    read: (...[what, value, more]: Parameters<Parameters<typeof good>[1]['read']>) =>
      void b.read(what, value as never, more),
    wait: (hours: number) => void b.wait(hours)
  };
  for (const s of stationsFor(profile)) if (s !== 'run' && !but.includes(s)) good(s, hands);
  return b.wait(1);
}

/** A run of fifteen minutes that nobody stopped. */
export const runWell = (b: Bench): Bench =>
  b
    .read('run.event', 'start')
    .wait(0.25)
    .read('run.stream', 'strong')
    .read('run.outcome', 'ran')
    .read('run.minutes', 15)
    .read('run.event', 'stop')
    .wait(0.1);

/** Every check made and good, and such a run. */
export const ranWell = (profile: Profile): Bench => runWell(readyToRun(profile));

/** Work on the list that is open, by its id, and what to do now, by its title. */
export const jobs = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
export const moves = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);

/** A run of six minutes, how it ended, and what else was told of it. */
export const ran = (b: Bench, outcome: 'died' | 'ran', more: (x: Bench) => Bench = (x) => x): Bench =>
  more(
    b
      .read('run.event', 'start')
      .wait(0.1)
      .read('run.stream', 'strong')
      .read('run.outcome', outcome)
      .read('run.minutes', 6)
      .read('run.event', 'stop')
  ).wait(0.05);
