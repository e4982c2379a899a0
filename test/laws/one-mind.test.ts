import { describe, expect, it } from 'vitest';
import { assess, type Assessment } from '../../src/core/assess.ts';
import { askingKinds } from '../../src/core/advice/asks.ts';
import { actionOf, against } from '../../src/core/holds/against.ts';
import { checkById } from '../../src/core/diagnosis/knowledge/index.ts';
import { moveClasses } from '../../src/core/moves/move.ts';
import { stationIds } from '../../src/core/stations/register.ts';
import type { StationId } from '../../src/core/stations/items.ts';
import { drawn } from '../approved/surveys.ts';
import { worked } from '../worked.ts';

/** Checks that look at a system. */
const looksAt: Readonly<Record<string, readonly StationId[]>> = {
  'Power head': ['compression', 'turn', 'plugs', 'run'],
  Ignition: ['spark', 'run', 'look'],
  Fuel: ['fuel', 'run', 'look'],
  Cooling: ['cooling', 'run'],
  'Gear case': ['gear', 'look', 'turn'],
  'Engine oil': ['oil', 'run'],
  'Starting and charging': ['plugs', 'run', 'look', 'compression'],
  Structure: ['look', 'run', 'turn']
};

const LATER = new Date('2026-05-20T12:00:00.000Z');
/** Every worked case, and engines at which somebody looked at this and that in no order; each assessed once. */
const cases = [
  ...worked.map(([name, survey]) => ({ name, survey, now: LATER })),
  ...Array.from({ length: 60 }, (_, n) => drawn(200 + n))
].map(({ name, survey, now }) => {
  let made: Assessment | undefined;
  return { name, assessed: (): Assessment => (made ??= assess(survey, now, 'us')) };
});

describe('law 5: station, belief, jobs and offers say the same', () => {
  it.each(cases)('$name', ({ assessed }) => {
    const a = assessed();
    const is = new Map(a.stations.map((s) => [s.id, s.condition]));
    for (const s of a.advice.suspects) {
      // Nothing is sound all over its system while a suspect of it is likely enough to act on.
      if (s.raised && !s.mended && !s.artefact && s.probability > 0.6) {
        const seen = looksAt[s.system]!.map((x) => is.get(x)).filter((x) => x && x !== 'not-looked-at');
        if (seen.length) expect([s.id, seen.every((x) => x === 'sound')]).toEqual([s.id, false]);
      }
      // No offer that a hold forbids.
      const needs = s.clears && checkById.get(s.clears.check)?.needs;
      const held = needs && against(a.holds, needs).some((h) => !h.standing);
      if (needs) expect([s.id, s.clears!.title, Boolean(held)]).toEqual([s.id, s.clears!.title, false]);
    }
    // An hour's work stands on a finding, or on a suspect that its settling look shows.
    for (const step of a.steps.filter((s) => s.state === 'open' && s.minutes > 60)) {
      const shown = a.advice.suspects.some((s) => s.step === step.id && s.settling === 'shows' && s.probability > 0.8);
      const found = step.why.some((w) => a.findings.some((f) => f.sentence === w && f.condition !== 'sound'));
      expect([step.id, shown || found || step.why.some((w) => /^It was under water/.test(w))]).toEqual([step.id, true]);
    }
  });
});

describe('the list of moves', () => {
  it.each(cases)('$name: in order, each once, nothing that a hold forbids before what lifts it', ({ assessed }) => {
    const { moves, holds } = assessed();
    expect(moves.length).toBeGreaterThan(0);
    const ready = moves.filter((m) => !m.waits && m.kind !== 'wait');
    expect(ready.map((m) => m.class)).toEqual(ready.map((m) => m.class).sort((x, y) => x - y));
    expect(new Set(moves.map((m) => `${m.id} ${m.title}`)).size).toBe(moves.length);
    for (const m of ready)
      for (const item of m.items ?? []) {
        const act = actionOf(item);
        const held = act && against(holds, act).some((h) => !h.standing && !h.override);
        expect([m.title, item, Boolean(held)]).toEqual([m.title, item, false]);
      }
    for (const m of moves) {
      expect(m.because).toMatch(/[.!?]$/);
      expect(m.title).toMatch(/^\S.*[^.\s]$/);
      expect(moveClasses[m.class]).toBeDefined();
    }
  });
  it('every finding that asks for something belongs to a check', () => {
    for (const kind of askingKinds) expect(stationIds).toContain(kind.split('.')[0]);
  });
});
