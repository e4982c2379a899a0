import type { ItemId, StationId } from '../items/register.ts';
import { stationOf } from '../stations/items.ts';
import { stations } from '../stations/register.ts';
import type { Action, Hold } from './hold.ts';

/** Whether a hold stands that nothing the yard can do will lift. */
export const unliftable = (holds: readonly Hold[]): boolean =>
  holds.some((h) => !h.override && h.needs.some((n) => n.never && !n.done));

/** The holds in force against an action. */
export const against = (holds: readonly Hold[], action: Action): Hold[] =>
  holds.filter((h) => !h.override && h.blocks.includes(action));

/** What a reading does to the engine when it is taken, where it does something. */
export function actionOf(what: ItemId, value?: unknown): Action | undefined {
  const { acts } = stations[stationOf(what)];
  const name = what.slice(what.indexOf('.') + 1);
  const act = acts && Object.hasOwn(acts, name) ? acts[name] : undefined;
  return typeof act === 'function' ? act(value) : act;
}

/** Whether taking a reading does something to the engine that a hold could be against. */
export const doesSomething = (what: ItemId, value: unknown): boolean => actionOf(what, value) !== undefined;

/** The holds against making a check at all, where making it does something to the engine. */
export const heldAgainst = (holds: readonly Hold[], station: StationId): Hold[] => {
  const { act } = stations[station];
  return act ? against(holds, act) : [];
};

/** Why a new reading may not be taken now, in one sentence; nothing when it may. */
export function refusal(holds: readonly Hold[], what: ItemId, value?: unknown): string | undefined {
  const action = actionOf(what, value);
  return sayRefusal(action && against(holds, action)[0]);
}

/** Why an action is refused now, in a sentence; nothing where no hold forbids it. */
export const refusedAct = (holds: readonly Hold[], action: Action): string | undefined =>
  sayRefusal(against(holds, action)[0]);

function sayRefusal(hold: Hold | undefined): string | undefined {
  if (!hold) return undefined;
  const open = hold.needs.filter((n) => !n.done).map((n) => n.text);
  return `Refused: ${hold.title}. ${hold.because} It lifts when: ${open.join('; ')}.`;
}
