import type { Context } from '../findings/context.ts';
import { plugAfterRun } from '../findings/plug-after-run.ts';
import { kindOf } from '../findings/finding.ts';
import type { ItemId } from '../stations/items.ts';
import { fuelTree } from '../stations/fuel/symptoms.ts';
import { metalOnMagnet } from '../stations/gear/case-state.ts';
import { leakTraced } from '../stations/run/leak-place.ts';
import { noiseOf } from '../stations/run/noise.ts';
import { causeAt, causeUntold, shownSince, smokesOfItsOil, symptoms, waterInside } from '../stations/run/symptoms.ts';
import { beltJumped } from '../stations/turn/belt.ts';
import { isAfter } from '../units/instant.ts';
import { look, type AskRule } from './ask.ts';

/** The answer that shows what is no symptom of its own. */
const shownBy: ReadonlyMap<string, ItemId> = new Map([
  ['run.no-work', 'run.drop'],
  ['run.leaks', 'run.leaks'],
  ['run.smoke', 'run.smoke'],
  ['run.noise', 'run.noise'],
  ['run.failed', 'run.outcome']
]);
/** Heard in the leg, and metal hangs on its magnet: that has work of its own. */
const metalHeard = (c: Context): boolean => noiseOf(c)?.place === 'leg' && metalOnMagnet(c);

/** Everything that could be looked at was: what caused it is found and written down, not only waited for. */
const cause: AskRule = look('Find the cause, write it down', ['run.cause'], 10, {
  only: ['fault'],
  last: true,
  open: (c, f) => {
    const symptom = symptoms(c).find((s) => f.id === `run.${s.id}`);
    // The search has found what starves it: that is the cause, and is mended first.
    if (symptom?.id === 'died' && fuelTree(c)?.found) return false;
    if (f.id === 'run.kicks' && beltJumped(c)) return false;
    if (f.id === 'run.leaks' && leakTraced(c)) return false;
    if (f.id === 'run.steam' && waterInside(c)) return false;
    if (f.id === 'run.smoke' && (smokesOfItsOil(c) || plugAfterRun(c) === 'wet')) return false;
    if (f.id === 'run.noise' && (noiseOf(c)?.explained || metalHeard(c))) return false;
    // Nobody knew it, and nothing was mended since: it shows again, and is not asked about again.
    if (symptom) return !symptom.explained && !causeUntold(c, symptom.since);
    const item = shownBy.get(kindOf(f.id));
    const shown = item && c.record.last(item, f.cylinder);
    const found = causeAt(c);
    if (!item || !shown) return false;
    const since = shownSince(c, kindOf(f.id), item, shown.value, f.cylinder) ?? shown.at;
    return (found === '' || isAfter(shown.at, found)) && !causeUntold(c, since);
  }
});
/** The looks that a symptom asks for, and what is left when none of them found it; none of them once its cause was found. */
export const untilFound = (...list: readonly AskRule[]): readonly AskRule[] => [
  ...list.map((r): AskRule => ({
    ...r,
    open: (c, f) => r.open(c, f) && !symptoms(c).some((s) => f.id === `run.${s.id}` && s.explained)
  })),
  cause
];
