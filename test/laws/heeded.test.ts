import { describe, expect, it } from 'vitest';
import type { Finding } from '../../src/core/findings/finding.ts';
import type { Profile } from '../../src/core/engine/profile.ts';
import { allItems, itemIds, type ItemId } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { good } from '../good.ts';

/** The checks in the order in which an engine is worked on. */
const order = ['safe', 'look', 'turn', 'plugs', 'compression', 'spark', 'oil', 'gear', 'fuel', 'cooling', 'run'];

const engines: Readonly<Record<string, Profile>> = {
  'two-stroke twin on a rope': {
    strokes: 'two',
    cylinders: 2,
    fuelSystem: 'carburettor',
    supply: 'bulb',
    ignition: 'cdi',
    starting: 'rope',
    lubrication: 'premix',
    premixRatio: 50,
    thermostat: 'fitted',
    indicator: 'fitted',
    magnet: 'drain',
    gearCapacity: 400e-6
  },
  'four-stroke, injected, on its starter': {
    strokes: 'four',
    cylinders: 4,
    fuelSystem: 'electronic',
    supply: 'bulb',
    ignition: 'coil-on-plug',
    starting: 'electric',
    lubrication: 'sump',
    sumpWithFilter: 4e-3,
    thermostat: 'fitted',
    indicator: 'fitted',
    magnet: 'drain',
    gearCapacity: 700e-6
  }
};

/** Everything before a check was good, and in that check everything that is told before one item. */
function worked(profile: Profile, station: string, item?: ItemId): Bench {
  const b = new Bench(profile, 'long-stored', { yearsIdle: 2 });
  const fits = (what: ItemId): boolean => allItems[what].when?.(profile) ?? true;
  let there = false;
  const hands = (until?: ItemId) => ({
    profile,
    banked: false,
    best: 0,
    wait: (hours: number) => void (there || b.wait(hours)),
    read: (what: ItemId, given: unknown, more = {}) => {
      if (there || !fits(what)) return;
      if (what === until) there = true;
      else b.read(what, given as never, more);
    }
  });
  for (const s of order.slice(0, order.indexOf(station))) good(s, hands());
  if (item) good(station, hands(item));
  return b;
}

/** Every answer that tells something; of a figure the ends of what can be entered, and what lies near its lower end. */
function answers(id: ItemId): unknown[] {
  const item = allItems[id];
  if (item.kind === 'quantity') return [item.min, item.min + 0.05 * (item.max - item.min), item.max];
  if (item.kind !== 'choice' && item.kind !== 'several') return [];
  const told = item.options.map((o) => o.value).filter((v) => v !== 'unknown' && v !== 'not-fitted');
  return item.kind === 'several' ? told.map((v) => [v]) : told;
}

/** Whether the first moves, or a job that stands open, speak of it. */
function heeded(f: Finding, a: ReturnType<Bench['assessed']>): boolean {
  const first = a.moves.slice(0, 2);
  const open = a.steps.filter((s) => s.state === 'open');
  const of = (job: string | undefined) => open.some((s) => s.id === job && s.why.includes(f.sentence));
  if (
    first.some(
      (m) => m.class === 1 || m.because === f.sentence || (m.class < 9 && m.station === f.station) || of(m.job)
    )
  )
    return true;
  // The run comes last: what it shows is next, not somewhere on a list.
  return f.station !== 'run' && open.some((s) => s.why.includes(f.sentence));
}

describe('what was just found is what comes next', () => {
  for (const [name, profile] of Object.entries(engines))
    it(`on a ${name}: every bad answer stands in the first two moves, or is work that is listed`, () => {
      const unheeded: string[] = [];
      for (const station of order) {
        const before = new Set(
          worked(profile, station)
            .assessed()
            .findings.map((f) => f.sentence)
        );
        for (const id of itemIds.filter((i) => i.startsWith(`${station}.`))) {
          if (!(allItems[id].when?.(profile) ?? true)) continue;
          const engine = worked(profile, station, id);
          engine.judged();
          const where = allItems[id].perCylinder ? { cylinder: 1 } : {};
          for (const value of answers(id)) {
            // That answer is the last word.
            const a = engine
              .fork()
              .read(id, value as never, where)
              .assessed();
            const bad = a.findings.filter(
              (f) => (f.condition === 'fault' || f.condition === 'held') && !before.has(f.sentence)
            );
            // What a run was stopped for may say more than that it was stopped.
            const told = (f: Finding): boolean =>
              f.id === 'run.stopped' && bad.some((o) => o !== f && o.station === 'run' && heeded(o, a));
            for (const f of bad)
              if (!heeded(f, a) && !told(f)) unheeded.push(`${id}=${String(value)}: ${f.id} → ${a.moves[0]!.title}`);
          }
        }
      }
      expect(unheeded).toEqual([]);
    });
});
