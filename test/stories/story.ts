import { expect, it } from 'vitest';
import type { Condition } from '../../src/core/findings/finding.ts';
import type { StationId } from '../../src/core/stations/items.ts';
import type { Bench } from '../case.ts';

/** One stage of an engine as it is worked on: what is entered, and what a good technician says of it then. */
export interface Stage {
  readonly entered: string;
  readonly by: (b: Bench) => Bench;
  /** Condition of checks after it. */
  readonly is?: Partial<Record<StationId, Condition>>;
  /** Findings that must stand, by their id and condition. */
  readonly finds?: readonly string[];
  /** Findings, by the beginning of id and condition, that must not. */
  readonly notFinds?: readonly string[];
  /** Holds in force, all of them (those only not recorded yet left aside). */
  readonly holds?: readonly string[];
  readonly says?: RegExp;
  readonly notSays?: RegExp;
  /** Titles of the first two things that can be done now. */
  readonly now?: RegExp;
  readonly notNow?: RegExp;
  /** Jobs that must be on the list and open, and those that must not. */
  readonly jobs?: readonly string[];
  readonly notJobs?: readonly string[];
  /** Whether the engine could be signed. */
  readonly ready?: boolean;
}

/** A story is told stage by stage on one engine; every stage is a test of its own. */
export function story(start: () => Bench, stages: readonly Stage[]): void {
  stages.forEach((s, k) =>
    it(s.entered, () => {
      const b = stages.slice(0, k + 1).reduce((x, stage) => stage.by(x), start());
      const a = b.assessed();
      const ids = a.findings.map((f) => `${f.id}:${f.condition}`);
      const said = [...a.findings.map((f) => f.sentence), ...a.holds.map((h) => `${h.title}. ${h.because}`)].join('\n');
      for (const [station, condition] of Object.entries(s.is ?? {}))
        expect([station, a.stations.find((x) => x.id === station)?.condition]).toEqual([station, condition]);
      for (const id of s.finds ?? []) expect(ids).toContain(id);
      for (const id of s.notFinds ?? []) expect(ids.filter((x) => x.startsWith(id))).toEqual([]);
      if (s.holds) expect(b.holds()).toEqual(s.holds);
      if (s.says) expect(said).toMatch(s.says);
      if (s.notSays) expect(said).not.toMatch(s.notSays);
      const now = a.moves
        .filter((m) => !m.waits)
        .slice(0, 2)
        .map((m) => m.title)
        .join(' | ');
      if (s.now) expect(now).toMatch(s.now);
      if (s.notNow) expect(now).not.toMatch(s.notNow);
      const open = a.steps.filter((x) => x.state === 'open').map((x) => x.id);
      for (const id of s.jobs ?? []) expect(open).toContain(id);
      for (const id of s.notJobs ?? []) expect(open).not.toContain(id);
      if (s.ready !== undefined) expect(a.ready).toBe(s.ready);
    })
  );
}
