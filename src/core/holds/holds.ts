import { latestOf } from '../units/instant.ts';
import type { Context } from '../findings/context.ts';
import type { ItemId, StationId } from '../items/register.ts';
import { stationOf } from '../stations/items.ts';
import { stations } from '../stations/register.ts';
import { keep } from '../findings/keep.ts';
import type { Action, Hold, HoldRule } from './hold.ts';
import { holdRules } from './rules.ts';

/** The override in force for a hold: the latest one not taken back. */
function overrideOf(c: Context, hold: string): Hold['override'] {
  const list = c.survey.overrides ?? [];
  const replaced = new Set(list.map((o) => o.supersedes).filter(Boolean));
  const last = latestOf(list.filter((o) => o.hold === hold && !replaced.has(o.id) && !o.withdrawn));
  return last && { reason: last.reason, at: last.at, ...(last.by ? { by: last.by } : {}) };
}

/** A hold as its readings raise it, whatever somebody decided about it; nothing while it is not raised, or is lifted. */
const raisedBy =
  (rule: HoldRule) =>
  (c: Context): Hold | undefined => {
    const because = rule.raised(c);
    if (because === undefined) return undefined;
    const needs = rule.needs(c);
    if (needs.length && needs.every((n) => n.done)) return undefined;
    const { id, title, blocks, curedBy } = rule;
    const standing = rule.standing?.(c) ?? false;
    return { id, title, because, blocks, needs, standing, ...(curedBy ? { curedBy } : {}) };
  };
const raisers = holdRules.map(raisedBy);

/** Every hold that is raised and not lifted; overridden ones stay in the list with their reason. */
export const holdsOf = (c: Context): Hold[] =>
  raisers.flatMap((raiser): Hold[] => {
    const hold = keep(c, raiser);
    const override = hold && overrideOf(c, hold.id);
    return hold ? [{ ...hold, ...(override ? { override } : {}) }] : [];
  });

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
