import { checkById } from '../diagnosis/knowledge/index.ts';
import { setups, type Setup } from '../diagnosis/knowledge/shape.ts';
import type { Act } from './act.ts';

/** Acts that are no check of the knowledge: what they are called, and minutes of hands (C). */
const own: ReadonlyMap<string, readonly [title: string, minutes: number]> = new Map([
  ['safe', ['Make it safe: battery off, fuel off, cowl off', 10]],
  ['plugs-out', ['Take the plugs out to turn it', 8]],
  ['dried', ['Blow it through and oil the bores', 10]],
  ['assembled', ['Note what is still apart', 1]],
  ['steady', ['Watch the spark for half a minute', 2]],
  ['colour', ['Note the colour of the spark', 1]],
  ['explained', ['Say where the pieces came from', 2]],
  ['pressure-off', ['Let the pressure off the case', 1]],
  ['shut-off', ['Shut the fuel off', 1]],
  ['gear-refill', ['Fill the gear case from the lowest plug', 15]],
  ['air-at', ['Find where the fuel line draws air', 5]],
  ['tank-look', ['Look into the fuel tank with a light', 3]],
  ['system', ['What is in tank, line and bowl', 3]],
  ['pump-assembled', ['Note how the pump went together', 3]],
  ['sump', ['Note what came out of the sump', 5]],
  ['source', ['Choose what it is run on', 2]],
  ['long-run', ['Run it warm for half an hour', 35]],
  ['hand-over', ['Hand-over: lanyard, papers, owner', 10]],
  ['cause', ['Note what was found to be the cause', 2]]
]);

/** What an act is called. */
export const titleOfAct = (act: Act): string => own.get(act.id)?.[0] ?? checkById.get(act.id)?.title ?? act.id;

/** Minutes of hands that an act takes on an engine of so many cylinders, with what is not set up for it yet. */
export function minutesOfAct(act: Act, cylinders: number, ready: ReadonlySet<Setup> = new Set()): number {
  const mine = own.get(act.id);
  if (mine) return mine[1];
  const check = checkById.get(act.id);
  if (!check) return 5;
  const setup = check.setup ?? 'none';
  return check.minutes + (check.perCylinder ?? 0) * cylinders + (ready.has(setup) ? 0 : setups[setup].minutes);
}
