import type { Context } from '../../findings/context.ts';
import type { ItemId } from '../items.ts';

const POSITIONS = { 'turn.neutral': 'neutral', 'turn.forward': 'forward', 'turn.reverse': 'reverse' } as const;

/** Whether somebody said what an item shows; "unknown" says nothing. */
const told = (c: Context, item: ItemId): boolean => c.record.all(item).some((r) => r.value !== 'unknown');

/**
 * Which of neutral and its gears nobody has tried, by hand or under power; none of an engine on direct drive, or where all of them were
 * tried in the run.
 */
export const gearsUntried = (c: Context): readonly string[] =>
  c.survey.engine.profile.shift === 'direct' || told(c, 'run.gears')
    ? []
    : (Object.keys(POSITIONS) as (keyof typeof POSITIONS)[]).flatMap((i) => (told(c, i) ? [] : [POSITIONS[i]]));
