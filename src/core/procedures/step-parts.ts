import type { ProcedureStep } from './procedure.ts';
import { isAfter, type Instant } from '../units/instant.ts';
import type { OnTray } from '../tray/tray.ts';

/** A part that a step takes off or fits, with what lies on the tray of it since the work began. */
export interface StepPart {
  readonly name: string;
  readonly on?: OnTray;
  /** A new one goes back: the procedure renews it. */
  readonly oneTime: boolean;
}

const renewed = (steps: readonly ProcedureStep[]): ReadonlySet<string> => new Set(steps.flatMap((s) => s.renew ?? []));

/**
 * The parts of a list of names, in its order. `began` is when the work was begun: what went off and back in an earlier round of it
 * is not looked at; nothing is before it was begun.
 */
export function stepParts(
  names: readonly string[],
  steps: readonly ProcedureStep[],
  tray: readonly OnTray[],
  began: Instant | undefined
): StepPart[] {
  const anew = renewed(steps);
  return names.map((name) => {
    const on = began && tray.findLast((t) => t.part.name === name && !isAfter(began, t.part.at));
    return { name, oneTime: anew.has(name), ...(on ? { on } : {}) };
  });
}

/** What becomes of a part that is put back at its step: one that goes on once only is a new one. */
export const putBack = (p: OnTray): 'refitted' | 'renewed' => (p.part.oneTime ? 'renewed' : 'refitted');
