import { latestOf } from '../units/instant.ts';
import type { Context } from '../findings/context.ts';
import { keep } from '../findings/keep.ts';
import type { Hold, HoldRule } from './hold.ts';
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
