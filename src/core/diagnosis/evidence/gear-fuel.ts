import { isAfter, latestAt } from '../../units/instant.ts';
import { known } from '../../engine/profile.ts';
import { gearCapacity } from '../../stations/gear/capacity.ts';
import type { Context } from '../../findings/context.ts';
import { E10_HOLDS, fuelAge, oldFuelIn } from '../../stations/fuel/age.ts';
import { metalExplained, metalSeen } from '../../stations/gear/case-state.ts';
import { caseResult, stageIds } from '../../stations/gear/case-test.ts';
import { waterCured } from '../../stations/gear/water.ts';
import type { ItemId } from '../../stations/items.ts';
import { leakTraced } from '../../stations/run/leak-place.ts';
import { pumpHeard, RAIL_GAUGE, railPressure } from '../../stations/fuel/rail.ts';
import { lineVacuum, VACUUM_GAUGE } from '../../stations/fuel/vacuum.ts';
import { leaning, past, seen, wordOf, type Measure } from './observed.ts';

const lastOf = (c: Context, ...items: readonly ItemId[]): string => latestAt(items.flatMap((i) => c.record.all(i)));
const list = (of: (c: Context) => unknown): Measure => {
  return (c) => {
    const value = of(c);
    return Array.isArray(value) ? seen(value.length > 0, c.survey.assessment.startedAt) : undefined;
  };
};

const gearLow: Measure = (c) => {
  const at = lastOf(c, 'gear.look', 'gear.first', 'gear.drained');
  const drained = known(c.record.value('gear.drained'));
  const holds = gearCapacity(c)?.value;
  if (wordOf(c, 'gear.look')?.value === 'none' || wordOf(c, 'gear.first')?.value === 'nothing') return seen(true, at);
  return drained !== undefined && holds !== undefined ? past(-drained / holds, -0.8, 0.06, at) : undefined;
};

const caseLeaks: Measure = (c, _k, found) => {
  const { verdict } = caseResult(c);
  const stages = stageIds.map((s) => found.get(`gear.case-${s}`)).filter((x) => x !== undefined);
  const at = lastOf(c, 'gear.casePressure', 'gear.pressureTest');
  if (verdict === 'leaked' || stages.includes('fault')) return seen(true, at);
  // Bubbles that were seen before it held are of before.
  if (verdict === 'held') return seen(false, at);
  const bubbles = c.record.last('gear.caseBubbles');
  if (Array.isArray(bubbles?.value) && bubbles.value.length) return seen(true, bubbles.at);
  // A stage that cannot tell yet is still under way: nothing is said until it is over.
  if (stages.includes('cannot-tell')) return undefined;
  // One stage that held leans: a lip can leak low and hold high.
  return stages.includes('sound') ? leaning(0.3, 1, at) : undefined;
};
const bubblesAt =
  (place: string): Measure =>
  (c) => {
    const r = c.record.last('gear.caseBubbles');
    return r && Array.isArray(r.value) && r.value.length
      ? seen((r.value as string[]).includes(place), r.at)
      : undefined;
  };
/** The case moved by more than this between the readings of a test, K (M: half a psi at 10 psi is 6 K). */
const DRIFT = 3;
const caseDrifts: Measure = (c) => {
  const read = c.record
    .all('gear.casePressure')
    .map((r) => r.conditions?.temperature)
    .filter((t) => t !== undefined);
  if (read.length < 2) return undefined;
  return seen(Math.max(...read) - Math.min(...read) > DRIFT, lastOf(c, 'gear.casePressure'));
};

const fuelOld: Measure = (c) => {
  const at = lastOf(c, 'fuel.jar', 'fuel.age', 'fuel.kind');
  const jar = wordOf(c, 'fuel.jar')?.value;
  if (jar === 'dark') return seen(true, at);
  // Called old by whoever looked.
  if (oldFuelIn(c).length) return seen(true, lastOf(c, 'fuel.tank', 'fuel.line', 'fuel.bowl'));
  const age = fuelAge(c);
  if (!age.assumed && age.verdict === 'drain') return seen(true, at);
  if (!age.assumed && age.verdict !== 'unknown') return seen(false, at);
  return jar === 'clear' ? leaning(0.3, 1, at) : undefined;
};
/** More water in a sample than a blend can hold, measured and not only seen. */
const fuelWet: Measure = (c) => {
  const r = c.record.last('fuel.jarWater');
  return typeof r?.value === 'number' && r.value > E10_HOLDS ? seen(true, r.at) : undefined;
};
const mix: Measure = (c) => {
  const used = c.record.last('fuel.mix');
  const asked = known(c.survey.engine.profile.premixRatio);
  return used && typeof used.value === 'number' && asked !== undefined
    ? seen(used.value > 1.25 * asked, used.at)
    : undefined;
};
const vacuumAt = (c: Context): string => lastOf(c, 'fuel.vacuumSpeed', 'fuel.vacuumPortable', 'fuel.vacuumOpen');
const vacuum: Measure = (c) => {
  const read = lineVacuum(c);
  if (read?.own === undefined || read.verdict === 'contradicted') return undefined;
  // At idle a low figure says nothing: a blockage shows at speed.
  return past(read.own, read.limit.value, VACUUM_GAUGE, vacuumAt(c), read.atSpeed ? {} : { least: 0 });
};
/** A pump that is silent gives none; one that is heard may still give too little. */
const rail: Measure = (c) => {
  const at = lastOf(c, 'fuel.rail', 'fuel.railPump');
  const read = railPressure(c);
  if (read?.verdict === 'weak-battery' || read?.verdict === 'no-volts') return undefined;
  if (read?.limit) return past(-read.pressure, -read.limit.value, RAIL_GAUGE, at);
  return wordOf(c, 'fuel.railPump') && pumpHeard(c) === 'silent' ? seen(true, at) : undefined;
};
/** How it runs on a portable tank, in words or by its vacuum there. */
const portableFine: Measure = (c) => {
  const w = wordOf(c, 'fuel.portable');
  const where = lineVacuum(c)?.where;
  if (where === 'tank-side' || where === 'vent') return seen(true, vacuumAt(c));
  if (where === 'engine-side') return seen(false, vacuumAt(c));
  return w && seen(w.value === 'fine', w.at);
};
/** Seen shut, or shown by the vacuum that falls with the cap open. */
const ventShut: Measure = (c) => {
  const w = wordOf(c, 'fuel.vent');
  if (w && w.value !== 'open') return seen(true, w.at);
  if (lineVacuum(c)?.where === 'vent') return seen(true, vacuumAt(c));
  return w && seen(false, w.at);
};
const dies: Measure = (c) => {
  const w = wordOf(c, 'fuel.dies');
  if (w) return seen(w.value !== 'no', w.at);
  const ran = wordOf(c, 'run.outcome');
  if (ran?.value === 'died') return seen(true, ran.at);
  return ran?.value === 'ran' && (known(c.record.value('run.minutes')) ?? 0) >= 5 ? seen(false, ran.at) : undefined;
};

/** Metal that has been explained points to nothing any more. */
const gearMetal: Measure = (c) => {
  const w = wordOf(c, 'gear.magnet');
  if (!w) return undefined;
  const metal = metalSeen(c);
  const explained = metalExplained(c);
  return metal && explained && !metal.gone ? undefined : seen(metal !== undefined && !explained, w.at);
};

/** Burnt, or full of metal that nobody has explained yet. */
const gearBurnt: Measure = (c) => {
  const w = wordOf(c, 'gear.look');
  if (!w || (w.value === 'metallic' && metalExplained(c))) return undefined;
  return seen(w.value === 'burnt' || w.value === 'metallic', w.at);
};

/** Water whose way in was dealt with points nowhere any more; what comes in after that is seen again. */
const waterIn =
  (item: 'gear.first' | 'gear.look', wet: readonly string[]): Measure =>
  (c) => {
    const w = wordOf(c, item);
    // What came first may have been measured and not named.
    const measured = item === 'gear.first' ? c.record.last('gear.water') : undefined;
    const drawn = typeof measured?.value === 'number' && measured.value > 0 ? measured : undefined;
    if (!w && !drawn) return undefined;
    const is = drawn !== undefined || wet.includes(String(w?.value));
    return is && waterCured(c) ? null : seen(is, drawn && isAfter(drawn.at, w?.at) ? drawn.at : (w ?? drawn!).at);
  };

/** What leaks from a place that was seen tells of that place, and of nothing else. */
const leakUntraced: Measure = (c) => {
  const last = c.record.last('run.leaks');
  return last && last.value !== 'none' && leakTraced(c) ? null : undefined;
};

export const gearAndFuelMeasures: Readonly<Record<string, Measure>> = {
  'odd-leg': list((c) => c.survey.engine.identity.legSigns),
  traces: list((c) => c.survey.engine.profile.traces),
  'gear-low': gearLow,
  'gear-water': waterIn('gear.first', ['water', 'milky']),
  'gear-milky': waterIn('gear.look', ['milky', 'creamy']),
  'gear-metal': gearMetal,
  'gear-burnt': gearBurnt,
  case: caseLeaks,
  'case-drifts': caseDrifts,
  ...Object.fromEntries(
    ['propshaft', 'carrier', 'driveshaft', 'cover', 'shift', 'plugs', 'housing'].map((p) => [
      `bubbles-${p}`,
      bubblesAt(p)
    ])
  ),
  'fuel-old': fuelOld,
  'fuel-wet': fuelWet,
  mix,
  rail,
  'leak-untraced': leakUntraced,
  vacuum,
  'portable-fine': portableFine,
  'vent-shut': ventShut,
  dies
};
