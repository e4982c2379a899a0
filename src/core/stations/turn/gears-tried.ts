import { listed, type Context } from '../../findings/context.ts';
import type { ItemId } from '../items.ts';
import type { Untried } from '../station.ts';

const POSITIONS = { 'turn.neutral': 'neutral', 'turn.forward': 'forward', 'turn.reverse': 'reverse' } as const;

/** Whether somebody said what an item shows; "unknown" says nothing. */
const told = (c: Context, item: ItemId): boolean => c.record.all(item).some((r) => r.value !== 'unknown');

/**
 * Which of neutral and its gears nobody has tried, by hand or under power; none of an engine on direct drive, or where all of them were
 * tried in the run.
 */
export function gearsUntried(c: Context): Untried | undefined {
  if (c.survey.engine.profile.shift === 'direct' || told(c, 'run.gears')) return undefined;
  const items = (Object.keys(POSITIONS) as (keyof typeof POSITIONS)[]).filter((i) => !told(c, i));
  if (!items.length) return undefined;
  const which = items.length === 3 ? 'neutral and its gears' : listed(items.map((i) => POSITIONS[i]));
  const says = `${which.charAt(0).toUpperCase()}${which.slice(1)}`;
  return {
    says: `${says} ${items.length > 1 ? 'were' : 'was'} tried neither by hand nor in the run.`,
    // The decisive look of the same name is this one: it stands once.
    title: 'Shift through by hand',
    items
  };
}
