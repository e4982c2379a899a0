import { cylindersOf, type Context } from '../../findings/context.ts';
import { keep } from '../../findings/keep.ts';
import type { Reading } from '../../record/reading.ts';
import { isAfter } from '../../units/instant.ts';
import { deadAt, showedAt, sparkTrials, type SparkPart } from './isolation.ts';
import { sparks } from './measure.ts';
import { sparkSeen } from './seen.ts';
import { sparkGoodAt, sparksAnyway } from './sparks-anyway.ts';

/** A part that a trial found guilty, and of which nothing says that it was mended since. */
export interface Accused {
  readonly part: SparkPart;
  /** Of one cylinder's own part. */
  readonly cylinder?: number;
  readonly at: string;
  /**
   * Found by a meter against the manual only: it sparks all the same, another cylinder that it feeds does, or nobody has seen one that does.
   * lanyard: nobody noted it as in when the stop wire was taken off, and out it does the same.
   */
  readonly doubt: 'sparks' | 'another' | 'not-seen' | 'lanyard' | undefined;
}

/** A state, or a way of cranking: no part that is mended, and asked for with every look at the spark. */
const states: ReadonlySet<SparkPart> = new Set(['switch', 'speed']);
/** What a good spark afterwards explains by itself: it was plugged in or cleaned, as the trial asked. */
const setRight: ReadonlySet<SparkPart> = new Set(['fuse', 'points']);
/** Measured against the manual by somebody: good spark speaks against it, so it is measured again before anything is bought. */
const measured: ReadonlySet<SparkPart> = new Set(['charge', 'trigger']);

/** Good at every cylinder, by the best look at each; with an instant, since then. */
function goodEverywhere(c: Context, since?: string): boolean {
  const all = cylindersOf(c);
  const seen = sparks(c);
  return (
    all.length > 0 &&
    all.every((k) => {
      const last = seen.get(String(k))?.groups[0]?.readings.at(-1);
      return last?.value === 'good' && (since === undefined || isAfter(last.at, since));
    })
  );
}

/** What is to be said of a part that only a meter found. */
function doubtOf(c: Context, part: SparkPart): Accused['doubt'] {
  if (!measured.has(part)) return undefined;
  const all = cylindersOf(c);
  if (sparksAnyway(c, all)) return 'sparks';
  const seen = sparkSeen(c);
  // It sparks at the stand and misses in use, or is lost when warm: the figure is what explains that.
  if (sparkGoodAt(c, all) || seen.some((s) => s.failsWarm)) return undefined;
  // What feeds them all is not what one of them lacks.
  return part === 'charge' && seen.some((s) => s.result === 'good' && !s.mixed) ? 'another' : 'not-seen';
}

/**
 * With the lanyard out or the switch off spark comes back with the stop wire off as it does from a chafed wire. in: it was in then, or is
 * now and none came all the same; answered: it is in now, and sparks with the wire on.
 */
function lanyardAt(c: Context, at: string): 'in' | 'answered' | 'not-known' {
  const told = c.record.all('spark.lanyard').filter((r) => r.value !== 'unknown');
  const [then, now] = [told.findLast((r) => !isAfter(r.at, at)), told.at(-1)];
  if (then?.value === 'yes') return 'in';
  if (now?.value !== 'yes') return 'not-known';
  const since = c.record.all('spark.result').filter((r) => isAfter(r.at, now.at) && isAfter(r.at, at));
  if (since.some((r) => r.value === 'good')) return 'answered';
  return then === undefined || since.some((r) => r.value === 'none') ? 'in' : 'not-known';
}

/** Whose part was tried: of the cylinder it was said of, of the one that was dead then where something was swapped. */
function whose(c: Context, r: Reading): number | undefined {
  if (r.cylinder !== undefined || r.value !== 'moves') return r.cylinder;
  const dead = deadAt(c, r.at);
  // None was dead: it was tried for the one that was weak.
  const poor = dead.length ? dead : showedAt(c, r.at, 'weak');
  return poor.length === 1 ? poor[0] : undefined;
}

/** The latest telling answer to a trial since this round of looks, of each cylinder it was said of: a new round asks everything anew. */
function answers(c: Context, item: (typeof sparkTrials)[number]['item']): readonly Reading[] {
  const told = c.record.all(item, { fromRound: c.record.round('spark.result') }).filter((r) => r.value !== 'unknown');
  return [...new Map(told.map((r) => [whose(c, r), r])).values()];
}

/**
 * Every part that an answer accused and that was not renewed or mended since. A good spark does not acquit it: it was seen with the wire
 * off, or with the good part in its place. The same trial with the other answer does.
 */
export const accusedParts = (c: Context): readonly Accused[] => keep(c, findAccused);

const findAccused = (c: Context): Accused[] =>
  sparkTrials.flatMap((trial) =>
    answers(c, trial.item).flatMap((r): Accused[] => {
      const part = trial.accuses[String(r.value)];
      if (part === undefined || states.has(part)) return [];
      if (c.renewed(trial.item).some((w) => !isAfter(r.at, w))) return [];
      if (setRight.has(part) && goodEverywhere(c, r.at)) return [];
      const lanyard = part === 'stop' ? lanyardAt(c, r.at) : 'in';
      if (lanyard === 'answered') return [];
      const cylinder = whose(c, r);
      return [
        {
          part,
          at: r.at,
          doubt: lanyard === 'not-known' ? 'lanyard' : doubtOf(c, part),
          ...(cylinder === undefined ? {} : { cylinder })
        }
      ];
    })
  );
