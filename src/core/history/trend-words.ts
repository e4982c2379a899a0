import { say, show, type System } from '../units/index.ts';
import type { Change, Forecast, Trend, TrendLine } from './trends.ts';

/** "cyl 2, gauge A"; empty where a quantity has one line only. */
export const lineName = (l: Pick<TrendLine, 'cylinder' | 'bank' | 'method'>): string =>
  [l.cylinder === undefined ? '' : `cyl ${l.cylinder}`, l.bank ? `${l.bank} bank` : '', l.method]
    .filter(Boolean)
    .join(', ');

/** A difference of two values of a dimension, without the zero of a temperature scale. */
function amount(perYear: number, trend: Trend, units: System): string {
  const x = Math.abs(perYear);
  if (trend.dimension !== 'temperature') return say(x, trend.dimension, units);
  const scale = show(0, trend.dimension, units).unit.includes('F') ? 1.8 : 1;
  return `${(x * scale).toFixed(1)} ${scale === 1 ? 'K' : 'degrees F'}`;
}

const year = (at: string): number => new Date(at).getUTCFullYear();
function when({ from, to }: Forecast): string {
  if (to === undefined) return `not before ${year(from)}`;
  return year(from) === year(to) ? `in ${year(from)}` : `between ${year(from)} and ${year(to)}`;
}

function ofChange(change: Change, l: TrendLine, trend: Trend, units: System): string {
  const n = l.points.length;
  const readings = `${n} readings`;
  if (!change.told) {
    const most = Math.max(Math.abs(change.low), Math.abs(change.high));
    return `no change that ${readings} could tell; at most ${amount(most, trend, units)} a year`;
  }
  const [least, most] = [Math.abs(change.low), Math.abs(change.high)].sort((a, b) => a - b) as [number, number];
  const way = change.value < 0 ? 'falls' : 'rises';
  const rate = `${way} by ${amount(change.value, trend, units)} a year (${amount(least, trend, units)} to ${amount(most, trend, units)}, ${readings})`;
  if (!change.worse || trend.limit === undefined) return rate;
  if (change.forecast)
    return `${rate}; going on so, it is at ${say(trend.limit, trend.dimension, units)} ${when(change.forecast)}`;
  return n < 3 ? `${rate}; two readings show what was, a third will show what comes` : rate;
}

/** What each line of a trend says, a sentence each; the cylinder that goes alone last. */
export function sayTrend(trend: Trend, units: System): string[] {
  const lines = trend.lines.flatMap((l) => {
    if (!l.change) return [];
    const name = lineName(l);
    const said = ofChange(l.change, l, trend, units);
    return [
      `${name ? `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${said}` : `${said.charAt(0).toUpperCase()}${said.slice(1)}`}.`
    ];
  });
  if (trend.alone === undefined) return lines;
  return [
    ...lines,
    `Cylinder ${trend.alone} ${trend.worse === 'low' ? 'falls' : 'rises'} faster than every other: that is the cylinder, not the gauge or the day. Look there at the next visit, limit or no limit.`
  ];
}
