import { sayLimit } from '../../findings/limit.ts';
import { say, sayApart, type System } from '../../units/index.ts';
import { spots } from './spots.ts';
import { clock, type WarmingSaid } from './warming.ts';

/** What was found, and what is done about it. */
export interface SaidOfHeat {
  readonly found: string;
  readonly advice?: string;
}

/** "It gets there in about 4 min." */
const soon = (left: number | undefined): string =>
  left === undefined
    ? ''
    : left <= 60
      ? ' It gets there within a minute.'
      : ` It gets there in about ${Math.round(left / 60)} min.`;

/** "from 60 °C to 70 °C", or how far at least. */
function range({ fit }: WarmingSaid, t: (k: number) => string): string {
  return fit!.high === undefined ? `over ${t(fit!.low)}, no upper limit yet` : `${t(fit!.low)} to ${t(fit!.high)}`;
}

/** What the temperatures of a run say while it runs, and after it; `stopSaid`: to stop it was said already. */
export function sayWarming(w: WarmingSaid, units: System, stopSaid = false): SaidOfHeat {
  const t = (k: number): string => say(k, 'temperature', units);
  const limit = sayLimit(w.limit, units);
  const shut = w.opened === undefined ? '' : `The thermostat opened at about ${clock(w.opened)}. `;
  if (w.jump)
    return {
      found: `${w.stopped ? '' : 'Stop now. '}${t(w.jump.now)} after ${t(w.jump.before)} a moment before: no head with water does that.`,
      advice: 'Read it again; if it was a slip, take it back.'
    };
  if (w.hottest !== undefined)
    return {
      found: `It reached ${t(w.hottest)} at the ${spots[w.spot]}, limit ${limit}.`,
      ...(w.stopped ? {} : { advice: 'Stop.' })
    };
  if (w.race) {
    const { now, rate, passes } = w.race;
    const climbing = `${sayApart(rate * 60, units)} a minute`;
    if (w.stopped)
      return {
        found: `It was stopped with the ${spots[w.spot]} at ${t(now)} and climbing ${climbing}: ${passes ? `past the limit of ${limit} within a minute` : 'no head with water does that'}.`
      };
    return {
      found: `Stop now: ${spots[w.spot]} at ${t(now)}, climbing ${climbing}${passes ? `: past the limit of ${limit} before the next reading` : ': no head with water does that'}.`
    };
  }
  switch (w.state) {
    case 'steady':
      return { found: `${shut}Steady at ${t(w.steady!)}, under the limit of ${limit}.` };
    case 'settles':
      return {
        found: `${shut}It settles between ${t(w.fit!.low)} and ${t(w.fit!.high!)}, under the limit of ${limit}.`
      };
    case 'will-pass': {
      // Where a straight line ends is no figure anybody should read.
      const where =
        w.fit!.high === undefined
          ? `${w.stopped ? 'was still climbing' : 'climbs'} with no end in sight, past the limit of ${limit}`
          : `${w.stopped ? 'was heading' : 'heads'} for ${range(w, t)}, over the limit of ${limit}`;
      return {
        found: `${shut}${w.stopped || stopSaid ? 'It' : 'Stop it: it'} ${where}.`,
        ...(w.stopped ? {} : { advice: soon(w.left).trim() })
      };
    }
    case 'may-pass':
    case 'open': {
      if (w.thermostatShut)
        return w.stopped
          ? { found: 'It was still climbing, and its thermostat had not opened: where it ends cannot be told.' }
          : {
              found: 'Still climbing in a straight line, as every head does until its thermostat opens.',
              advice: 'Watch whether it bends then; be ready to stop.'
            };
      const found = w.unresolved
        ? `${shut}${w.stopped ? 'It was still' : 'Still'} climbing; where it ends cannot be told${w.stopped ? '' : ' yet'} (${range(w, t)}).`
        : w.state === 'open'
          ? `${shut}It ended too soon to tell where it settles: ${range(w, t)}, limit ${limit}.`
          : `${shut}It ${w.stopped ? 'was heading' : 'heads'} for ${range(w, t)}: that may pass the limit of ${limit}.`;
      if (w.state === 'open') return { found };
      return {
        found,
        advice: w.stopped ? 'On the next run watch it to the end, ready to stop.' : `Be ready to stop.${soon(w.left)}`
      };
    }
    default:
      return {
        found:
          w.samples < 5
            ? 'Too few readings for a forecast: five over a minute or more.'
            : `${shut}It does not climb steadily; no forecast.`
      };
  }
}

/** The same in one piece. */
export const warmingSaid = (w: WarmingSaid, units: System, stopSaid = false): string => {
  const { found, advice } = sayWarming(w, units, stopSaid);
  return advice ? `${found} ${advice}` : found;
};
