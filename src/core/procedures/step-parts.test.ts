import { describe, expect, it } from 'vitest';
import { mirrored, type ProcedureStep } from './procedure.ts';
import type { TrayMark, TrayPart } from '../record/work.ts';
import { putBack, stepParts } from './step-parts.ts';
import { trayOf } from '../tray/tray.ts';

const at = (minute: number): string => `2026-05-02T08:${String(minute).padStart(2, '0')}:00.000Z`;
const steps: readonly ProcedureStep[] = [
  { id: 'a', text: 'Screws out.', takesOff: ['screws', 'cover'] },
  { id: 'b', text: 'Gasket off.', takesOff: ['gasket'] },
  { id: 'c', text: 'Together.', renew: ['gasket'] }
];
const part = (id: string, name: string, minute: number, more: Partial<TrayPart> = {}): TrayPart => ({
  id,
  at: at(minute),
  name,
  ...more
});
const tray = (parts: TrayPart[], marks: TrayMark[] = []) => trayOf({ tray: parts, trayMarks: marks });

describe('parts of a step on the tray', () => {
  it('are found by their names, and what the procedure renews goes on once', () => {
    const list = stepParts(['screws', 'cover', 'gasket'], steps, tray([part('1', 'screws', 5)]), at(1));
    expect(list.map((p) => [p.name, p.on?.number, p.oneTime])).toEqual([
      ['screws', 1, false],
      ['cover', undefined, false],
      ['gasket', undefined, true]
    ]);
  });
  it('of an earlier round of the work are of that round', () => {
    const off = tray([part('1', 'screws', 5)], [{ id: 'm', at: at(9), part: '1', state: 'refitted' }]);
    expect(stepParts(['screws'], steps, off, at(20))[0]!.on).toBeUndefined();
    expect(stepParts(['screws'], steps, off, at(1))[0]!.on?.state).toBe('refitted');
    expect(stepParts(['screws'], steps, off, undefined)[0]!.on).toBeUndefined();
  });
  it('go back in the order in which they did not come off, and a new one where it goes on once', () => {
    expect(mirrored(steps)).toEqual(['gasket', 'cover', 'screws']);
    const [screws, gasket] = tray([part('1', 'screws', 5), part('2', 'gasket', 6, { oneTime: true })]);
    expect([putBack(screws!), putBack(gasket!)]).toEqual(['refitted', 'renewed']);
  });
});
