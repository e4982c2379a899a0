import { isAfter, type Instant } from '../units/instant.ts';
import { roundOf } from '../record/current.ts';
import type { Reading } from '../record/reading.ts';

/**
 * What a station declares about a quantity it takes, so that nothing counts by being the newest:
 * which thing a reading is of, what makes two readings alike, by which method it was taken, and when it can say nothing.
 */
export interface MeasureRule<R extends Reading, Void extends string = string> {
  /** The cylinder, coil, stage or place that the reading speaks of, and of nothing else. */
  readonly subject: (r: R) => string;
  /** Readings of equal key are repeats of one another. */
  readonly key: (r: R) => string;
  /** 0 for the best method; the best that was used speaks for its subject, whenever it was used. */
  readonly rank: (r: R) => number;
  /** Why the reading can say nothing; it stays in the record and nothing downstream sees it. */
  readonly voided: (r: R) => Void | undefined;
}

/** Readings of one subject that are alike, oldest first. */
export interface Alike<R> {
  readonly key: string;
  readonly rank: number;
  readonly readings: readonly R[];
}

export interface Measured<R, Void extends string = string> {
  readonly subject: string;
  /** Now: since the last work, or re-check, in which it was measured at all; the best method first, then the latest. */
  readonly groups: readonly Alike<R>[];
  /** Before that: what was cured, never a contradiction of what stands now. */
  readonly before: readonly R[];
  readonly voided: readonly { readonly reading: R; readonly why: Void }[];
}

/** Work done before a reading, then its round: a reading belongs to the stretch between two changes of the engine. */
const segmentOf = (r: Reading, worked: readonly Instant[]): readonly [number, number] => [
  worked.filter((at) => isAfter(r.at, at)).length,
  roundOf(r)
];
const compareSegments = (a: readonly [number, number], b: readonly [number, number]): number =>
  a[0] - b[0] || a[1] - b[1];

/**
 * Sorts the readings of a quantity into what stands now, what stood before and what says nothing, subject by subject.
 * @param readings standing readings in order of time (`Readings.all`)
 * @param worked instants at which work was done that changes the quantity
 */
export function measure<R extends Reading, Void extends string>(
  readings: readonly R[],
  rule: MeasureRule<R, Void>,
  worked: readonly Instant[] = []
): Map<string, Measured<R, Void>> {
  const bySubject = new Map<string, R[]>();
  for (const r of readings) {
    const subject = rule.subject(r);
    const list = bySubject.get(subject);
    if (list) list.push(r);
    else bySubject.set(subject, [r]);
  }
  return new Map([...bySubject].map(([subject, list]) => [subject, measured(subject, list, rule, worked)]));
}

function measured<R extends Reading, Void extends string>(
  subject: string,
  list: readonly R[],
  rule: MeasureRule<R, Void>,
  worked: readonly Instant[]
): Measured<R, Void> {
  const voided: { reading: R; why: Void }[] = [];
  const valid: { r: R; segment: readonly [number, number] }[] = [];
  for (const r of list) {
    const why = rule.voided(r);
    if (why) voided.push({ reading: r, why });
    else valid.push({ r, segment: segmentOf(r, worked) });
  }
  const now = valid.reduce<readonly [number, number]>(
    (latest, { segment }) => (compareSegments(segment, latest) > 0 ? segment : latest),
    [-1, 0]
  );
  const groups = new Map<string, { key: string; rank: number; readings: R[] }>();
  const before: R[] = [];
  for (const { r, segment } of valid) {
    if (compareSegments(segment, now) !== 0) {
      before.push(r);
      continue;
    }
    const key = rule.key(r);
    const group = groups.get(key);
    if (group) group.readings.push(r);
    else groups.set(key, { key, rank: rule.rank(r), readings: [r] });
  }
  return { subject, groups: [...groups.values()].sort(byMethod), before, voided };
}

/** The best method first; of two equally good ones the one used last, and by name where even that is the same. */
export function byMethod<R extends Reading>(a: Alike<R>, b: Alike<R>): number {
  if (a.rank !== b.rank) return a.rank - b.rank;
  const [x, y] = [a.readings.at(-1)!.at, b.readings.at(-1)!.at];
  return isAfter(x, y) ? -1 : isAfter(y, x) ? 1 : a.key < b.key ? -1 : 1;
}
