import { cylindersOf, type Context } from '../../findings/context.ts';
import { pastPlug } from './isolation.ts';
import { sparkWork } from './measure.ts';
import { sparkSeen } from './seen.ts';
import { isAfter } from '../../units/instant.ts';

/** What is a cylinder's own, in the order in which a good one is put in its place. */
const OWN = ['spark.plugSwap', 'spark.leadSwap', 'spark.coilSwap'] as const;

/** Coils that sit on the plugs have no leads. */
export const onPlug = (c: Context): boolean => c.survey.engine.profile.ignition === 'coil-on-plug';

/** Lead and coil, and the plug where it was in the way of the spark, were each swapped with a good one, and the fault stayed where it was. */
export function ownPartsStay(c: Context): boolean {
  const poor = sparkSeen(c).filter((s) => s.result !== 'good');
  const fitted = OWN.filter(
    (item) => !(item === 'spark.leadSwap' && onPlug(c)) && !(item === 'spark.plugSwap' && poor.every(pastPlug))
  );
  return poor.length > 0 && fitted.every((item) => c.record.value(item) === 'stays');
}

/** Something was mended since each of those that spark badly was looked at: whether they still do is seen first. */
export function mendedSinceSeen(c: Context): boolean {
  const poor = sparkSeen(c).filter((s) => s.result !== 'good');
  const work = sparkWork(c);
  return poor.length > 0 && poor.every((s) => work.some((at) => isAfter(at, s.at)));
}

/** Every cylinder of several sparks badly, or thin and orange: what they share is looked at before the parts of any one. */
export function poorEverywhere(c: Context): boolean {
  const all = cylindersOf(c);
  const seen = new Map(sparkSeen(c).map((s) => [s.cylinder, s.result]));
  const thin = (k: number): boolean => ['orange', 'red'].includes(String(c.record.value('spark.colour', k)));
  return all.length > 1 && all.every((k) => (seen.has(k) && seen.get(k) !== 'good') || thin(k));
}

/** The same, or a good one was put in the place of each and the cylinder is as weak as before: what drives it is left. */
export function ownPartsTried(c: Context, cylinder: number | undefined): boolean {
  const looks = c.record
    .all('spark.result', cylinder === undefined ? {} : { cylinder })
    .filter((r) => r.value !== 'unknown');
  return ownPartsStay(c) || c.renewed('spark.coilSwap').some((at) => looks.some((r) => isAfter(r.at, at)));
}
