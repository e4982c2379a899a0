import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { say } from '../../units/index.ts';

export type Mark = 'below' | 'between' | 'above' | 'none';

export interface Dip {
  readonly mark: Mark;
  /** m over the low mark, where it was measured. */
  readonly at?: number;
  readonly taken: string;
}

export interface Dips {
  readonly last: readonly Dip[];
  readonly agree: boolean;
  /** Where two agreeing dips put it. */
  readonly position: Mark | undefined;
  /** m over the low mark, mean of the two that agree. */
  readonly at?: number;
}

/** Two dips this close are one level, m (M: the meniscus, and where the stick rests). */
export const DIP_AGREES = 2e-3;
/** Mark to mark of an ordinary stick, where nobody measured it, m (M). */
const USUAL_GAP = 12e-3;

export const markGap = (c: Context): number => known(c.record.value('oil.markGap')) ?? USUAL_GAP;

/** The last two dips of the latest round, in words or measured, and whether they agree. */
export function dips(c: Context): Dips {
  const gap = markGap(c);
  const round = Math.max(c.record.round('oil.dip'), c.record.round('oil.dipAt'));
  const words = c.record
    .all('oil.dip', { round })
    .filter((r) => r.value !== 'unknown')
    .map((r): Dip => ({ mark: r.value as Mark, taken: r.at }));
  const measured = c.record
    .all('oil.dipAt', { round })
    .filter((r) => typeof r.value === 'number')
    .map((r): Dip => {
      const at = r.value as number;
      return { mark: at < 0 ? 'below' : at > gap ? 'above' : 'between', at, taken: r.at };
    });
  const all = [...words, ...measured].sort((a, b) => (a.taken < b.taken ? -1 : 1));
  // Oil poured or drawn since makes the dips before it those of another level.
  const poured = c.record.last('oil.poured')?.at ?? '';
  const drained = c.record.last('oil.drained')?.at ?? '';
  const since = poured > drained ? poured : drained;
  const last = all.filter((d) => d.taken > since).slice(-2);
  const [a, b] = last;
  const agree =
    a !== undefined &&
    b !== undefined &&
    (a.at !== undefined && b.at !== undefined ? Math.abs(a.at - b.at) <= DIP_AGREES : a.mark === b.mark);
  const at = agree && a.at !== undefined && b.at !== undefined ? (a.at + b.at) / 2 : undefined;
  const position: Mark | undefined = !agree
    ? undefined
    : at === undefined
      ? b.mark
      : at < 0
        ? 'below'
        : at > gap
          ? 'above'
          : 'between';
  return { last, agree, position, ...(at === undefined ? {} : { at }) };
}

export interface LevelVolume {
  /** m³ over the high mark (above zero) or under the low mark (below zero); zero between. */
  readonly beyond: number;
  /** m³ to add, or to draw where below zero, to stand in the middle. */
  readonly toMiddle: number;
  readonly uncertainty: number;
}

/** What the measured level means in oil; nothing without two measured dips that agree and the oil between the marks. */
export function levelVolume(c: Context): LevelVolume | undefined {
  const d = dips(c);
  const between = known(c.record.value('oil.markVolume'));
  if (d.at === undefined || between === undefined) return undefined;
  const perMetre = between / markGap(c);
  const beyond = d.at > markGap(c) ? (d.at - markGap(c)) * perMetre : d.at < 0 ? d.at * perMetre : 0;
  return {
    beyond,
    toMiddle: (markGap(c) / 2 - d.at) * perMetre,
    uncertainty: (DIP_AGREES / Math.SQRT2) * perMetre
  };
}

export const markWords: Readonly<Record<Mark, string>> = {
  below: 'below the low mark',
  above: 'above the high mark',
  none: 'off the stick',
  between: 'between the marks'
};

/** "4 mm over the low mark" or the mark's words. */
export const sayDip = (d: Dip): string =>
  d.at === undefined
    ? markWords[d.mark]
    : `${say(Math.abs(d.at), 'level', 'metric')} ${d.at < 0 ? 'under' : 'over'} the low mark`;
