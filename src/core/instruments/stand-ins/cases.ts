import { PSI, ZERO_CELSIUS } from '../../units/factors.ts';
import { atRest, type Controls, type StandInEngine } from './bench.ts';

/** A made-up engine and what hands do at it, second by second: a test that plays by itself. */
export interface StandInCase {
  readonly title: string;
  readonly engine: StandInEngine;
  readonly seconds: number;
  readonly hands: (seconds: number) => Controls;
}

const shape = { bore: 0.0762, stroke: 0.0674, rod: 0.135, closing: (2 * Math.PI * 86) / 360, ratio: 5 };
const six: StandInEngine = {
  title: 'Six cylinders, two-stroke, electric start',
  shape,
  leaks: [0, 0, 0, 0, 0, 0],
  strokes: 2,
  rpm: 260,
  caseLoss: { air: 0, vacuum: 0 },
  head: { settles: ZERO_CELSIUS + 64, tau: 170, starboard: 1 }
};
const single: StandInEngine = {
  ...six,
  title: 'One cylinder, two-stroke',
  leaks: [0],
  head: { settles: ZERO_CELSIUS + 62, tau: 150 }
};

/** Screwed in, cranked, left to settle, let go: seconds of each. */
const turn = { crank: 3.2, settle: 3.2, release: 1.6 };
const each = turn.crank + turn.settle + turn.release;

/** One cylinder after the other. */
function compression(of: number, change: Partial<Controls> = {}): Pick<StandInCase, 'seconds' | 'hands'> {
  const lead = 2;
  return {
    seconds: lead + of * each,
    hands: (s) => {
      const at = s - lead;
      if (at < 0) return { ...atRest, ...change };
      const within = at % each;
      return {
        ...atRest,
        ...change,
        cylinder: Math.min(of, Math.floor(at / each) + 1),
        cranking: within < turn.crank,
        release: within > turn.crank + turn.settle
      };
    }
  };
}

/** Air or vacuum on, shut off, held for some minutes, let down. */
function stage(pressure: number, minutes: number): Pick<StandInCase, 'seconds' | 'hands'> {
  const fill = 5;
  const hold = fill + minutes * 60;
  return {
    seconds: hold + 10,
    hands: (s) => ({ ...atRest, regulator: pressure, valve: s < fill ? 'fill' : s < hold ? 'shut' : 'let-down' })
  };
}

const run = (minutes: number): Pick<StandInCase, 'seconds' | 'hands'> => ({
  seconds: 60 * minutes,
  hands: (s) => ({ ...atRest, running: s > 3 })
});

/** Leak that costs a cylinder of this size about a third of its figure, m². */
const LEAK = 1.4e-6;

export const standInCases = {
  'compression-six': { title: 'Compression of a sound six', engine: six, ...compression(6) },
  'compression-low': {
    title: 'Compression of a six, cylinders 3 and 5 leak',
    engine: { ...six, leaks: [0, 0, LEAK, 0, LEAK, 0] },
    ...compression(6)
  },
  'compression-shut': {
    title: 'Compression of a sound six, throttle forgotten',
    engine: six,
    ...compression(6, { throttle: 0 })
  },
  'case-holds': { title: 'Case test at 4 psi, tight', engine: single, ...stage(4 * PSI, 15) },
  'case-leaks': {
    title: 'Case test at 10 psi, a seal leaks',
    engine: { ...single, caseLoss: { air: 0.06, vacuum: 0.06 } },
    ...stage(10 * PSI, 6)
  },
  'case-vacuum': {
    title: 'Case under vacuum, a lip faces the wrong way',
    engine: { ...single, caseLoss: { air: 0, vacuum: 0.08 } },
    ...stage(-25_000, 6)
  },
  'run-settles': { title: 'First run that settles', engine: single, ...run(12) },
  'run-hot': {
    title: 'First run that heads past its limit',
    engine: { ...single, head: { settles: ZERO_CELSIUS + 128, tau: 190 } },
    ...run(8)
  },
  'run-bank': {
    title: 'First run of a V, the starboard bank boils',
    engine: { ...six, head: { settles: ZERO_CELSIUS + 64, tau: 170, starboard: 60 } },
    ...run(8)
  }
} as const satisfies Record<string, StandInCase>;
export type StandInCaseName = keyof typeof standInCases;
const byName: ReadonlyMap<string, StandInCase> = new Map(Object.entries(standInCases));
/** A case by its name; nothing for a name that is none. */
export const standInCase = (name: string): StandInCase | undefined => byName.get(name);
