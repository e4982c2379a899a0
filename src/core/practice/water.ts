import { drowned } from '../record/drowned.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { isAfter, type Instant } from '../units/instant.ts';
import type { Truth } from './truth.ts';

/** Over this share of water the oil is milky (M). */
const MILKY = 0.02;
/** Passes of water-displacing oil until nothing but oil comes, most (M). */
const MOST_PASSES = 4;
/** A run drives out of galleries and crankcase what no cloth reaches, this share of the sump (M). */
const HIDDEN = 0.04;

type Readings = readonly SurveyFile['readings'][number][];
const of = (list: Readings, what: string, value: unknown): Readings =>
  list.filter((r) => r.what === what && r.value === value);

/** Passes of oil that were blown through, and how many this engine takes until only oil comes. */
export function passesOf(truth: Truth, readings: Readings): { readonly made: number; readonly needed: number } {
  const made = readings.filter((r) => r.what === 'turn.pass' && r.value !== 'unknown').length;
  return { made, needed: 1 + Math.floor(MOST_PASSES * truth.draws.level('passes')) };
}

/** How often the sump was emptied: at the drain that is noted as such, and each time something was measured that came out of it. */
const drains = (readings: Readings): readonly Instant[] => {
  const measured = readings.filter((r) => r.what === 'oil.drained' && typeof r.value === 'number').map((r) => r.at);
  return measured.length ? measured : of(readings, 'oil.sump', 'drained').map((r) => r.at);
};

/** Share of water in the engine oil, 0 to 1: what got in when it sank, thinned by each change, and what its first run brings out of hiding. */
export function waterInSump(truth: Truth, readings: Readings): number {
  const { draws, intake } = truth;
  if (!drowned({ survey: intake }) || intake.engine.profile.strokes !== 'four') return 0;
  const kept = draws.between('residue', 0.08, 0.2);
  const changed = drains(readings);
  const ran = of(readings, 'run.outcome', 'ran')[0]?.at;
  const since = ran === undefined ? [] : changed.filter((at) => isAfter(at, ran));
  const before = changed.length - since.length;
  const share =
    draws.between('in-sump', 0.05, 0.5) * kept ** before + (ran && draws.level('hidden') < 0.5 ? HIDDEN : 0);
  return share * kept ** since.length;
}

export const milkyByWater = (truth: Truth, readings: Readings): boolean => waterInSump(truth, readings) > MILKY;

/** Tank, line and bowl were each emptied: what water was in the fuel went with it. */
export const fuelEmptied = (readings: Readings): boolean =>
  ['fuel.tank', 'fuel.line', 'fuel.bowl'].every((what) => of(readings, what, 'drained').length > 0);
