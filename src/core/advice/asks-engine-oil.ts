import { isInjected } from '../engine/profile.ts';
import { askedAfter } from '../findings/asked-after.ts';
import type { Context } from '../findings/context.ts';
import { ranAfter } from '../findings/ran.ts';
import { dips, overAgain, seenToFall } from '../stations/oil/position.ts';
import { rivals } from '../stations/oil/rivals.ts';
import { changedForFuel } from '../stations/oil/was-diluted.ts';
import { milkyAgain, milkyBefore } from '../stations/oil/was-milky.ts';
import type { ItemId } from '../stations/items.ts';
import type { Instant } from '../units/instant.ts';
import { carburetted, hasBulb } from './asks-fuel.ts';
import { asked, goOn, job, look, repeat, type Asks, type AskRule } from './ask.ts';

const dip = (how: string, kind: 'repeat' | 'continue' = 'repeat'): AskRule =>
  (kind === 'repeat' ? repeat : goOn)(`Dip again${how}`, 'oil', 3, {
    // A dip that was measured is repeated by measuring: only like agrees with like.
    items: (c) => (dips(c).last.at(-1)?.at === undefined ? ['oil.dip', 'oil.dipAt'] : ['oil.dipAt', 'oil.dip'])
  });

/** Told whether it leaks since it stood between the marks for the last time. */
const leaksToldSinceFall = (c: Context): boolean => {
  const stood = c.record.all('oil.dip').findLast((r) => r.value === 'between' || r.value === 'above')?.at;
  const measured = dips(c).last[0]?.taken;
  return askedAfter(c, 'run.leaks', stood ?? measured);
};

const isMilky = (r: { readonly value: unknown }): boolean => r.value === 'milky';

/** When the oil was last changed for its fuel, or brought right because it stood over the mark. */
const changedBefore = (c: Context): Instant | undefined =>
  changedForFuel(c) ?? (overAgain(c) ? c.worked('oil').at(-1) : undefined);

/** Asked of the oil that is in it: what was good before the oil was changed for its fuel kept none out of it. */
const askedSinceChange = (c: Context, item: ItemId): boolean => asked(c, item) && askedAfter(c, item, changedBefore(c));

/**
 * Injected, and fuel in the oil again after a change: an injector that drips wets its plug, an engine that never gets warm washes its bores
 * (C). Once, short runs are reason enough.
 */
const injectedAgain = (item: 'plugs.read' | 'cooling.thermostatPan', r: AskRule): AskRule => ({
  ...r,
  only: ['watch', 'fault'],
  open: (c) =>
    isInjected(c.survey.engine.profile) &&
    changedBefore(c) !== undefined &&
    (item === 'plugs.read' || c.survey.engine.profile.thermostat !== 'not-fitted') &&
    !askedAfter(c, item, changedBefore(c))
});
/** What lets fuel into the sump, before the oil that shows it is changed: minutes each, and the oil would only fill again (C). */
const letsFuelIn: readonly AskRule[] = [
  look('Fuel up to the carburettor, engine off: does it flood?', ['fuel.floods'], 3, {
    only: ['watch', 'fault'],
    open: (c) => carburetted(c) && !askedSinceChange(c, 'fuel.floods')
  }),
  look('Fuel pump: its diaphragm tight?', ['fuel.pump'], 5, {
    only: ['watch', 'fault'],
    open: (c) =>
      carburetted(c) && hasBulb(c) && c.record.value('fuel.floods') !== 'yes' && !askedSinceChange(c, 'fuel.pump')
  }),
  injectedAgain('plugs.read', look('Plugs out: is one of them black or wet with fuel?', ['plugs.read'], 8)),
  injectedAgain('cooling.thermostatPan', look('Thermostat in a pan: does it shut?', ['cooling.thermostatPan'], 30))
];

/** What the engine oil of a four-stroke asks for, in the trade's order. C: common practice. */
export const engineOilAsks: Asks = {
  'oil.level': [dip(': upright, level, waited')],
  'oil.early': [dip(', when it has settled')],
  'oil.unfilled': [goOn('Fill the engine oil, then dip twice', 'oil', 15, { items: ['oil.poured', 'oil.dip'] })],
  'oil.dip': [
    look('Round the oil filter and the drain screw, wiped dry: does it run out?', ['run.leaks', 'run.leakAt'], 3, {
      only: ['fault'],
      open: (c) => seenToFall(c) && !leaksToldSinceFall(c)
    }),
    { ...dip(', until two agree'), only: ['cannot-tell'], open: (c) => dips(c).position !== 'above' },
    { ...look('Smell the stick', ['oil.smell'], 1), only: ['cannot-tell'] },
    { ...look('How it runs off the stick', ['oil.look'], 1), only: ['cannot-tell'] },
    { ...look('What was poured in at the last change', ['oil.lastFill'], 2), only: ['cannot-tell'] },
    { ...look('Where it stood after that fill', ['oil.lastMark'], 1), only: ['cannot-tell'] },
    { ...look('Draw it off and measure it', ['oil.drained', 'oil.viscosity'], 15), only: ['cannot-tell'] },
    ...letsFuelIn.map((r): AskRule => ({
      ...r,
      open: (c, f) => (rivals(c).verdict === 'diluted' || overAgain(c)) && r.open(c, f)
    })),
    job('oil-level', { only: ['watch', 'fault'] })
  ],
  'oil.thin': [
    repeat('Smell the oil, see how it runs off the stick', 'oil', 2, {
      only: ['cannot-tell'],
      items: ['oil.smell', 'oil.look']
    }),
    ...letsFuelIn,
    job('oil-level', { only: ['watch'] })
  ],
  'oil.pressure': [
    // It is not started for another reading before somebody knows that there is oil in it.
    { ...dip(': is there oil in it?'), only: ['fault', 'cannot-tell'], open: (c) => dips(c).position === undefined },
    repeat('Oil pressure again, warm, its speed noted', 'oil', 10, {
      only: ['cannot-tell'],
      items: ['oil.pressure', 'oil.pressureRpm'],
      needs: 'start'
    }),
    job('oil-pump', { only: ['fault'] })
  ],
  'oil.diluted-before': [
    repeat('Dip twice after the run: has it risen?', 'oil', 5, { items: ['oil.dip', 'oil.dipAt'], late: 'release' })
  ],
  'oil.level-unread': [look('Dip the engine oil twice', ['oil.dip', 'oil.dipAt'], 3, { late: 'start' })],
  'oil.smell': [
    look('How it runs off the stick, between the fingers', ['oil.look'], 1, { only: ['cannot-tell'] }),
    repeat('Dip twice after the run: has it risen?', 'oil', 5, {
      only: ['cannot-tell'],
      items: ['oil.dip', 'oil.dipAt'],
      late: 'release',
      open: (c) => ranAfter(c)
    })
  ],
  'oil.came-over': [look('Smell what came out; let it settle in a clear jar', ['oil.smell', 'oil.look'], 3)],
  'oil.laboratory': [
    look('The fresh oil’s viscosity, from its data sheet', ['oil.viscosityFresh'], 2, { only: ['cannot-tell'] }),
    job('oil-level', { only: ['fault'] })
  ],
  'oil.poured': [goOn('Wait, dip twice', 'oil', 5, { open: (c) => dips(c).position === undefined })],
  'oil.milky': [
    look('Leak-down, the water jacket watched', ['compression.leakdown'], 12, {
      open: (c) => milkyAgain(c) && !askedAfter(c, 'compression.leakdown', c.record.all('oil.look').find(isMilky)?.at)
    }),
    job('sump-water')
  ],
  'oil.milky-before': [
    repeat('Look at the oil once more: is it clear?', 'oil', 2, {
      items: ['oil.look'],
      only: ['cannot-tell'],
      open: (c) => milkyBefore(c) === 'after-run' && c.record.all('oil.look').at(-1)?.value !== 'unknown'
    }),
    look('Look at the oil once more: is it clear?', ['oil.look'], 2, {
      only: ['cannot-tell'],
      open: (c) => c.record.all('oil.look').at(-1)?.value !== 'unknown'
    }),
    // Asked, and nobody could see it.
    look('Look at the oil once more: is it clear?', ['oil.look'], 2, {
      only: ['cannot-tell'],
      late: 'release',
      open: () => true
    })
  ],
  'oil.level-milky': [job('sump-water')]
};
