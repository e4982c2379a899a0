import { latestOf } from '../units/instant.ts';
import type { Context } from '../findings/context.ts';
import type { Reading } from '../record/reading.ts';
import type { Action, Hold } from './hold.ts';
import { holdRules } from './rules.ts';

/** The override in force for a hold: the latest one not taken back. */
function overrideOf(c: Context, hold: string): Hold['override'] {
  const list = c.survey.overrides ?? [];
  const replaced = new Set(list.map((o) => o.supersedes).filter(Boolean));
  const last = latestOf(list.filter((o) => o.hold === hold && !replaced.has(o.id) && !o.withdrawn));
  return last && { reason: last.reason, at: last.at, ...(last.by ? { by: last.by } : {}) };
}

/** Every hold that is raised and not lifted; overridden ones stay in the list with their reason. */
export function holdsOf(c: Context): Hold[] {
  return holdRules.flatMap((rule) => {
    const because = rule.raised(c);
    if (because === undefined) return [];
    const needs = rule.needs(c);
    if (needs.length && needs.every((n) => n.done)) return [];
    const override = overrideOf(c, rule.id);
    return [
      {
        id: rule.id,
        title: rule.title,
        because,
        blocks: rule.blocks,
        needs,
        standing: rule.standing?.(c) ?? false,
        ...(override ? { override } : {})
      }
    ];
  });
}

/** Whether a hold stands that nothing the yard can do will lift. */
export const unliftable = (holds: readonly Hold[]): boolean =>
  holds.some((h) => !h.override && h.needs.some((n) => n.never && !n.done));

/** The holds in force against an action. */
export const against = (holds: readonly Hold[], action: Action): Hold[] =>
  holds.filter((h) => !h.override && h.blocks.includes(action));

/** Readings that are taken by cranking; lash and leak-down turn the engine by hand. */
const cranked = new Set<string>([
  'compression.pressure',
  'compression.pulls',
  'spark.result',
  'spark.gap',
  'plugs.volts',
  'plugs.rpm',
  'plugs.starterCircuit',
  'plugs.starterDirect'
]);

/** What says that it is started, or has run. The log of a run under way, its stop and its cause are never refused. */
const started = new Set<string>(['run.event', 'run.outcome', 'run.minutes', 'run.longRun']);
const ended = new Set<unknown>(['stop', 'stopped', 'failed']);

/** Which action a reading needs, where it needs one. */
const actionOf = (what: string, value: unknown): Action | undefined =>
  started.has(what) && !ended.has(value) ? 'start' : cranked.has(what) ? 'crank' : undefined;

/** Why a new reading may not be taken now, in one sentence; nothing when it may. */
export function refusal(holds: readonly Hold[], what: Reading['what'], value?: unknown): string | undefined {
  const action = actionOf(what, value);
  const hold = action && against(holds, action)[0];
  if (!hold) return undefined;
  const open = hold.needs.filter((n) => !n.done).map((n) => n.text);
  return `Refused: ${hold.title}. ${hold.because} It lifts when: ${open.join('; ')}.`;
}
