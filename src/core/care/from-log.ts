import { format, parseISO } from 'date-fns';
import type { Context } from '../findings/context.ts';
import { makingOil } from './making-oil.ts';
import { loggedOutings, outingMeter } from './outings.ts';

/** What the log of outings itself makes due: for how many engine hours more after a day, or at once. */
export interface LogDue {
  readonly id: 'log-oil' | 'log-stream' | 'flush';
  readonly title: string;
  /** The outing that it counts from, "2026-07-14", and the meter then, where that is known. */
  readonly from: string;
  readonly meter?: number;
  /** Engine hours after it; zero: now. */
  readonly hours: number;
  readonly because: string;
}

const day = (on: string): string => format(parseISO(on), 'd MMM yyyy');

/** Fuel that gathers in the oil, by its forecast: the soonest it may reach its limit counts. */
function oil(c: Context): LogDue[] {
  const { verdict, forecast, dips, sentence, advice } = makingOil(c);
  const last = dips.at(-1);
  if (verdict !== 'rises' || !forecast || !last) return [];
  const meter = outingMeter(c.survey.engine).findLast((m) => m.at.slice(0, 10) <= last.on)?.hours;
  return [
    {
      id: 'log-oil',
      title:
        forecast.to === 'dilution'
          ? 'Engine oil changed before fuel thins it'
          : forecast.soonest > 0
            ? 'Engine oil looked at before it passes its full mark'
            : 'Engine oil drawn down to its mark',
      from: last.on,
      ...(meter === undefined ? {} : { meter }),
      hours: forecast.soonest,
      because: `${sentence} ${advice}`
    }
  ];
}

/** A stream that was weak or missing at the last outing that says anything of it. */
function stream(c: Context): LogDue[] {
  const last = loggedOutings(c.survey.engine).findLast((o) => o.stream !== undefined);
  if (!last || last.stream === 'strong') return [];
  return [
    {
      id: 'log-stream',
      title: 'Cooling stream looked into',
      from: last.on,
      hours: 0,
      because: `It was ${last.stream === 'none' ? 'missing' : 'weak'} on ${day(last.on)}: outlet and intakes first, then the pump, before it goes out again.`
    }
  ];
}

/**
 * Salt that the last outing left in it. The water is that of the outing, else what the engine runs in; of neither told nothing is due.
 * Whether it was flushed counts only as noted: not noted is not flushed. An outing in fresh water rinses what the one before it left.
 */
function flush({ survey: { engine } }: Context): LogDue[] {
  const last = loggedOutings(engine).findLast((o) => o.hours !== 0);
  const water = last?.water ?? engine.history.runsIn;
  if (!last || last.flushed || (water !== 'salt' && water !== 'brackish')) return [];
  return [
    {
      id: 'flush',
      title: 'Flushed with fresh water',
      from: last.on,
      hours: 0,
      because: `It ran in ${water} water on ${day(last.on)}${last.flushed === undefined ? ', and nobody noted that it was flushed' : ' and was not flushed'}: salt dries in its passages and under the thermostat.`
    }
  ];
}

/** Everything of the log that asks for something. C: common practice. */
export const dueByLog = (c: Context): LogDue[] => [...oil(c), ...stream(c), ...flush(c)];
