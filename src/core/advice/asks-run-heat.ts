import { askedAfter } from '../findings/asked-after.ts';
import type { Finding } from '../findings/finding.ts';
import type { Context } from '../findings/context.ts';
import { runsOf } from '../stations/run/runs.ts';
import { plugAfterRun } from '../findings/plug-after-run.ts';
import { causeAt, lampWorkedOn, symptoms } from '../stations/run/symptoms.ts';
import { lampTold } from '../stations/run/lamp.ts';
import { isAfter, latestAt } from '../units/instant.ts';
import { lampIsFalse, oilPressure } from '../stations/oil/pressure.ts';
import { asked, goOn, job, look, repeat, type Asks, type AskRule } from './ask.ts';
import { heat, panIfFitted, passagesLook, pumpOpen, strainer, toldOfThatBank } from './asks-cooling.ts';
import { four } from './asks-fuel.ts';

/** The oil as it is after that run: what was dipped before it started says nothing of what it did with it. */
export const dipIfFour: AskRule = {
  ...look('Dip the engine oil', ['oil.dip', 'oil.dipAt'], 3),
  open: (c) => {
    const began = c.record.all('run.event').findLast((r) => r.value === 'start')?.at;
    return four(c) && !askedAfter(c, ['oil.dip', 'oil.dipAt'], began);
  }
};
/** A lamp that is not the head's heat: the oil's pressure, where there is any, else what rings it. */
const twoStroke = (c: Context): boolean => c.survey.engine.profile.strokes === 'two';
const notHeat: readonly AskRule[] = [
  { ...job('oil-pressure'), open: (c, f) => !twoStroke(c) && !oilPressure(c) && job('oil-pressure').open(c, f) },
  {
    ...job('heat-sender'),
    open: (c, f) => (twoStroke(c) || lampIsFalse(c)) && job('heat-sender').open(c, f)
  }
];

/** Until somebody wrote down what made the lamp come on, or mended it: then the run is made again. */
const untilCause = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => {
    const came = lampTold(c).findLast((x) => x.value === 'came');
    const found = causeAt(c);
    return !(came && found && !isAfter(came.at, found)) && !lampWorkedOn(c) && r.open(c, f);
  }
});

/** Until work was done on the water after the temperatures: the run is made again then. */
const untilWaterWork = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => {
    const read = latestAt(c.record.all('run.temperature'));
    return !c.worked('cooling').some((at) => isAfter(at, read)) && r.open(c, f);
  }
});
/** Stopped for its heat, it is not started again to be measured: what that bank has to itself is looked at as it stands. */
const stoppedForHeat = (c: Context): boolean => {
  const stop = c.record.last('run.reason');
  return (
    stop?.value === 'temperature' &&
    !isAfter(c.record.all('run.event').findLast((r) => r.value === 'start')?.at ?? '', stop.at)
  );
};
/** It showed something that is mended first: its temperature is told by the run after that. */
const runAgainAnyway = (c: Context): boolean =>
  symptoms(c).length > 0 ||
  (
    [
      ['run.gears', ['fails']],
      ['run.leaks', ['fuel', 'oil', 'water']]
    ] as const
  ).some(([item, bad]) => (bad as readonly unknown[]).includes(c.record.value(item))) ||
  plugAfterRun(c) === 'wet';

const passagesOfThatBank: AskRule = {
  ...passagesLook,
  title: 'Water through the passages of that bank, its thermostat out',
  open: (c) => !toldOfThatBank(c, ['cooling.passages'])
};

/** It climbs, and its thermostat is still to open. */
const thermostatShut = (f: Finding): boolean =>
  (f.values as { warming?: { thermostatShut?: true } } | undefined)?.warming?.thermostatShut === true;

/** What its temperatures and its lamp ask for, in the trade's order. C: common practice. */
export const runHeatAsks: Asks = {
  // One bank hotter: the same spot again, then what that bank has to itself.
  'run.banks': [
    repeat('Both banks again, once neither climbs', 'run', 5, {
      items: ['run.temperature'],
      needs: 'start',
      only: ['cannot-tell']
    }),
    ...[
      look('Temperatures of both banks again, the same spots', ['run.second'], 3, {
        needs: 'start',
        open: (c) => !stoppedForHeat(c) && !asked(c, 'run.second')
      }),
      strainer,
      panIfFitted,
      passagesOfThatBank,
      pumpOpen
    ].map((r) => ({ ...untilWaterWork(r), only: ['watch'] as const }))
  ],
  'run.heat': [
    ...heat.map((r): AskRule => ({
      ...r,
      only: ['fault', 'watch'],
      // Before its thermostat opens every head climbs: nothing is doubted for that.
      open: (c, f) => !thermostatShut(f) && r.open(c, f)
    })),
    goOn('Run it until its temperature has settled', 'run', 12, {
      items: ['run.temperature'],
      needs: 'start',
      only: ['cannot-tell'],
      // Told to have run well, and ended before anybody could tell where its temperature goes; what it was stopped for comes first.
      open: (c, { values }) => {
        if (c.record.value('run.outcome') !== 'ran' || runAgainAnyway(c)) return false;
        const warming = (values as { warming?: { state: string; stopped: boolean } } | undefined)?.warming;
        return warming !== undefined && warming.stopped && (warming.state === 'few' || warming.state === 'open');
      }
    })
  ],
  // The thermometer and its place before the thermostat; one that was seen good in its pan is not seen once more.
  'run.cold': [
    look('A second thermometer, at the head beside the thermostat', ['run.second'], 3, {
      needs: 'start',
      open: (c) => {
        const run = runsOf(c).at(-1);
        return !c.record.all('run.second').some((r) => run && Date.parse(r.at) >= run.startedAt.getTime());
      }
    }),
    panIfFitted
  ].map(untilWaterWork),
  'run.odd': [repeat('That temperature again, same spot', 'run', 2)],
  // A lamp is heat or oil: which, before what heats it.
  'run.lamp': (
    [
      look(
        (c) =>
          runsOf(c).at(-1)?.hottest
            ? 'A second thermometer, same spot'
            : 'A thermometer on the head at once, beside the sender: is it hot?',
        ['run.second'],
        3
      ),
      dipIfFour,
      ...heat.map((r): AskRule => ({
        ...r,
        open: (c, f) => c.record.value('run.second') !== 'normal' && r.open(c, f)
      })),
      ...notHeat.map((r): AskRule => ({
        ...r,
        open: (c, f) => c.record.value('run.second') === 'normal' && r.open(c, f)
      }))
    ] as readonly AskRule[]
  ).map(untilCause),
  'run.lamp-cool': [dipIfFour, ...notHeat].map(untilCause)
};
