import type { Context } from '../findings/context.ts';
import { schoolSaid } from '../house-rules/rules.ts';
import { leakRate } from '../physics/case-test.ts';
import { oilFor, pourWithCup } from '../physics/premix.ts';
import { PETROL_WEIGHT } from '../physics/petrol.ts';
import { askedMix } from '../stations/fuel/asked-mix.ts';
import { tankFix } from '../stations/fuel/correct.ts';
import { about, figures, manualFigure } from './about.ts';
import { floatLevel } from './figures.ts';
import type { Figure, ProcedureStep } from './procedure.ts';

/** Oil for a tank: by what is in it and goes in, or for the fresh fuel alone where it was emptied first. */
function oilFigures(c: Context, emptied: boolean): Figure[] {
  const asked = askedMix(c);
  const fresh = about(c).number('fuel.freshAdd');
  const cup = about(c).number('fuel.cup');
  const oil = (label: string, value: number, because: string): Figure => ({
    label,
    dimension: 'volume',
    value,
    because
  });
  if (!asked) return [];
  const ratio = `${asked.ratio.toFixed(0)}:1${asked.richer ? ', one step more oil: it stood over a year' : ''}`;
  const marks = (made: number): string => `Rounded up to its marks: ${made.toFixed(1)}:1, the safe side.`;
  if (emptied) {
    if (fresh === undefined || fresh <= 0) return [];
    const pour = cup ? pourWithCup(fresh, asked.ratio, cup) : undefined;
    return [
      oil('Oil to pour in', oilFor(fresh, asked.ratio), `For ${ratio} in the fresh fuel.`),
      ...(pour ? [oil('With this cup', pour.oil, marks(pour.ratio))] : [])
    ];
  }
  const fix = tankFix(c);
  if (!fix) return [];
  const unknown = fix.least !== undefined;
  return [
    oil(
      'Oil to pour in',
      Math.max(0, fix.oil),
      `For ${ratio} in all that will be in the tank${unknown ? '; what is in it counts as without oil' : ''}.`
    ),
    ...(fix.pour && fix.oil > 0 ? [oil('With this cup', fix.pour.oil, marks(fix.pour.ratio))] : []),
    ...(fix.moreFuel > 0
      ? [
          {
            label: 'Plain fuel besides',
            dimension: 'tank' as const,
            value: fix.moreFuel,
            because: 'There is more oil in it than it needs.'
          }
        ]
      : [])
  ];
}

/** Fuel in; for a premix engine with its oil. `emptied`: nothing of what was in the tank is left. */
export function mixSteps(c: Context, emptied = false): ProcedureStep[] {
  if (!about(c).premix)
    return [
      { id: 'fill', text: 'Fresh fuel in, of the grade the manual names.', careful: ['vapour'], items: ['fuel.tank'] }
    ];
  return [
    {
      id: 'mix',
      text: 'Oil measured and in, before the fuel is on top of it.',
      because: `${schoolSaid(c.rules, 'firstTank')}.`,
      items: ['fuel.oilAdded'],
      ...figures(...oilFigures(c, emptied))
    }
  ];
}

/** Air past the closed needle, by pump, hose and time. */
export function needleFigure(c: Context): Figure | undefined {
  const a = about(c);
  const [from, to, minutes] = [a.number('fuel.needleFrom'), a.number('fuel.needleTo'), a.number('fuel.needleTime')];
  if (from === undefined || to === undefined || !minutes) return undefined;
  const volume = a.number('fuel.needlePump');
  const drop = Math.max(0, from - to);
  return volume
    ? {
        label: drop === 0 ? 'It holds' : 'Air past the needle, a minute',
        dimension: 'volume',
        value: leakRate(volume, drop, minutes),
        because: `${a.say(volume, 'volume')} fell by ${a.say(drop, 'pressure')} (ideal gas). A new one loses nothing that a gauge shows in a minute (common practice).`
      }
    : {
        label: 'Falls, a minute',
        dimension: 'pressure',
        value: drop / minutes,
        because: 'With what pump and hose hold it becomes a leak.'
      };
}

/** How the fuel will stand by the float as it is set. */
export function floatFigure(c: Context): Figure | undefined {
  const a = about(c);
  const [is, wanted] = [a.number('fuel.floatHeight'), a.number('fuel.floatWanted')];
  if (is === undefined || wanted === undefined) return undefined;
  const level = floatLevel(is, wanted);
  return {
    label:
      Math.abs(level.value) < 0.4e-3
        ? 'Fuel stands as it should'
        : level.value > 0
          ? 'Fuel stands too high by'
          : 'Fuel stands too low by',
    dimension: 'length',
    value: Math.abs(level.value),
    low: Math.min(Math.abs(level.low), Math.abs(level.high)),
    high: Math.max(Math.abs(level.low), Math.abs(level.high)),
    because:
      'Half to all of the error of the height, the other way: levers differ (from memory). Too high floods and smokes, too low runs lean.'
  };
}

/** The manual's idle speed, where it was entered. */
export function idleFigure(c: Context): Figure | undefined {
  const m = manualFigure(c, 'run.idle');
  return (
    m && {
      label: 'Idle, in gear',
      dimension: 'speed',
      value: (m.low + m.high) / 2,
      low: m.low,
      high: m.high,
      because: `Manual${m.page ? `, page ${m.page}` : ''}.`
    }
  );
}

/** Vacuum that the lift alone asks for. */
export function liftFigure(c: Context): Figure | undefined {
  const height = about(c).number('fuel.lift');
  return height === undefined
    ? undefined
    : {
        label: 'The lift alone takes',
        dimension: 'vacuum',
        value: PETROL_WEIGHT * Math.max(0, height),
        because: `${about(c).say(height, 'length')} of petrol. Above that is what the line costs.`
      };
}
