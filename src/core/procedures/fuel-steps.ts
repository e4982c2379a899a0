import { known } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import { school, schoolSaid } from '../house-rules/rules.ts';
import { leakRate } from '../physics/case-test.ts';
import { correctTank, oilFor, pourWithCup } from '../physics/premix.ts';
import { PETROL_WEIGHT } from '../stations/fuel/analyse.ts';
import { about, figures, manualFigure } from './about.ts';
import { floatLevel } from './figures.ts';
import type { Figure, ProcedureStep } from './procedure.ts';

/** Oil for what goes into this tank, by the cup at hand. */
export function mixSteps(c: Context): ProcedureStep[] {
  const a = about(c);
  if (!a.premix)
    return [
      { id: 'fill', text: 'Fresh fuel in, of the grade the manual names.', careful: ['vapour'], items: ['fuel.tank'] }
    ];
  const ratio = known(c.survey.engine.profile.premixRatio);
  const [fresh, cup, has, mixed] = [
    a.number('fuel.freshAdd'),
    a.number('fuel.cup'),
    a.number('fuel.tankHas'),
    a.number('fuel.tankMix')
  ];
  const none = c.record.value('fuel.tankOil') !== 'mixed';
  const list: Figure[] = [];
  if (ratio !== undefined && fresh !== undefined && fresh > 0) {
    const fix = has ? correctTank(has, none ? Infinity : (mixed ?? Infinity), fresh, ratio) : undefined;
    const oil = fix ? Math.max(0, fix.oil) : oilFor(fresh, ratio);
    list.push({
      label: 'Oil to pour in',
      dimension: 'volume',
      value: oil,
      because: `For ${ratio.toFixed(0)}:1 in all that will be in the tank${has && none ? '; what is in it counts as without oil' : ''}.`
    });
    if (cup && !fix) {
      const pour = pourWithCup(fresh, ratio, cup);
      list.push({
        label: 'With this cup',
        dimension: 'volume',
        value: pour.oil,
        because: `Rounded up to its marks: ${pour.ratio.toFixed(1)}:1, the safe side.`
      });
    }
  }
  return [
    {
      id: 'mix',
      text: 'Oil measured and in, before the fuel is on top of it.',
      because: `${schoolSaid(c.rules, 'firstTank')}${school(c.rules, 'firstTank') === 'richer' ? ' where it stood over a year' : ''}.`,
      items: ['fuel.oilAdded'],
      ...figures(...list)
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
