import { askedAfter } from '../findings/asked-after.ts';
import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { airAt, airElsewhere } from '../stations/fuel/air.ts';
import { latestInstant } from '../units/instant.ts';
import { asked, job, look, repeat, type Asks, type AskRule } from './ask.ts';

const level = look('Look into the tank', ['fuel.level'], 1);
const couplings = look('Couplings and their O-rings', ['fuel.couplings'], 2, {
  open: (c) => c.survey.engine.profile.supply !== 'gravity' && !asked(c, 'fuel.couplings')
});
/** Joint by joint, before everything along the line is renewed for its bubbles (C). */
export const airPlace: AskRule = look(
  'Where the air comes in: soapy water over joint after joint, the line under vacuum',
  ['fuel.airAt'],
  5,
  { open: (c) => airAt(c) === 'untold' }
);
/** Hose and couplings are renewed for air that comes in there, or that nobody could place. */
export const renewLine: AskRule = {
  ...job('fuel-line'),
  open: (c, f) => !airElsewhere(c) && job('fuel-line').open(c, f)
};

/**
 * What stops a filter or lies in a bowl came from the tank: a light into it. Found once, before the engine goes back; come back after it was
 * cleaned, before the same once more (C).
 */
const intoTank = (item: 'fuel.filter' | 'fuel.bowlLook'): readonly AskRule[] => {
  const title = 'A light into the tank: dirt, rust, slime';
  const since = (c: Context): string => latestInstant([...c.renewed(item), ...c.renewed('fuel.tankLook')]);
  const cleaned = (c: Context): boolean => c.renewed(item).length > 0;
  const unseen = (c: Context): boolean => !askedAfter(c, 'fuel.tankLook', since(c));
  return [
    look(title, ['fuel.tankLook'], 3, { open: (c) => cleaned(c) && unseen(c) }),
    look(title, ['fuel.tankLook'], 3, { late: 'release', open: (c) => !cleaned(c) && unseen(c) })
  ];
};
/** Dirt in a bowl went through a filter, or past none. */
const filterBefore: AskRule = look('Fuel filters', ['fuel.filter'], 5, {
  open: (c) => !askedAfter(c, 'fuel.filter', latestInstant(c.renewed('fuel.bowlLook')))
});

const dirtBefore: readonly AskRule[] = [filterBefore, ...intoTank('fuel.bowlLook')];
const dirty = (c: Context): boolean => c.record.value('fuel.bowlLook') === 'dirt';

/** Where the air or the dirt comes from, before what it came to is mended. */
export const whereAsks: Asks = {
  'fuel.part-hose-bubbles': [level, couplings, airPlace],
  'fuel.bubbles-before': [repeat('Bubbles in the hose again, after the work', 'fuel', 2, { items: ['fuel.hose'] })],
  'fuel.part-hose': [renewLine],
  'fuel.part-couplings': [job('fuel-line')],
  'fuel.air-pickup': [job('pick-up')],
  'fuel.air-coupling': [job('fuel-line')],
  'fuel.air-hose': [job('fuel-line')],
  'fuel.air-filter': [job('fuel-filter')],
  'fuel.air-pump': [job('fuel-pump')],
  'fuel.part-tank-dirt': [job('tank-clean')],
  'fuel.part-filter': [...intoTank('fuel.filter'), job('fuel-filter')],
  'fuel.part-bowl-dirt': [...dirtBefore, job('carburettor')],
  // A separator has one line for whatever lies in it: gum came through no filter.
  'fuel.part-separator': [
    ...dirtBefore.map((r) => ({ ...r, open: (c: Context, f: Finding) => dirty(c) && r.open(c, f) })),
    job('bowl')
  ]
};
