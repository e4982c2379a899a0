import { PSI } from '../src/core/units/factors.ts';
import type { Reading } from '../src/core/record/reading.ts';
import type { Bench } from './case.ts';

/** Every stage of a case test, read over half an hour, shafts turned at each: held, or leaking at one stage. */
export function caseStages(b: Bench, leaks?: 'low' | 'high' | 'vacuum', more: Partial<Reading> = {}): Bench {
  for (const [stage, psi] of [
    ['low', 4],
    ['high', 10],
    ['vacuum', 4]
  ] as const) {
    const at = (p: number): Bench => b.read('gear.casePressure', p * PSI, { ...more, conditions: { stage } });
    at(psi).wait(0.25);
    at(leaks === stage ? psi - 1.5 : psi).read('gear.caseTurned', 'yes', { ...more, conditions: { stage } });
    b.wait(0.25);
    at(leaks === stage ? psi - 3 : psi);
  }
  return b;
}

/** The whole of a case test, the pressure let off at its end. */
export const caseTest = (b: Bench, leaks?: 'low' | 'high' | 'vacuum', more: Partial<Reading> = {}): Bench =>
  caseStages(b, leaks, more).read('gear.caseOpen', 'yes', more);
