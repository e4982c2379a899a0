import type { Profile } from '../../engine/profile.ts';
import { choice, quantity } from '../../items/item.ts';

const points = (p: Profile): boolean => p.ignition === 'points' || p.ignition === 'unknown' || p.ignition === undefined;
const electronic = (p: Profile): boolean => p.ignition !== 'points';
/** A coil that sits on its plug has neither lead nor cap. */
const leads = (p: Profile): boolean => p.ignition !== 'coil-on-plug';
const boxed = (p: Profile): boolean => p.ignition === 'digital' || p.ignition === 'coil-on-plug' || points(p);

const returns = (label: string, ask: string, when?: (p: Profile) => boolean) =>
  choice({ label, ask, options: { returns: 'spark returns', still: 'still none' }, ...(when ? { when } : {}) });
const moves = (label: string, ask: string, when?: (p: Profile) => boolean) =>
  choice({
    label,
    ask,
    options: { moves: 'the fault moves with it', stays: 'it stays' },
    ...(when ? { when } : {})
  });
const within = (label: string, ask: string) =>
  choice({
    label,
    ask,
    options: { within: 'within the manual’s figure', outside: 'outside, or dead' },
    when: electronic
  });
const ohms = (label: string, limit: string, perCylinder: boolean, example: string) =>
  quantity({ label, example, dimension: 'resistance', min: 0, max: 1e6, repeated: true, perCylinder, limit });

/** Spark, one cylinder at a time to clean metal, every other lead grounded; then, where there is none, the isolation. */
export const items = {
  lanyard: choice({
    label: 'Lanyard in, switch on run',
    state: true,
    ask: 'Lanyard in and switch on run? The commonest “no spark” is here',
    options: { yes: 'yes', no: 'no' }
  }),
  result: choice({
    label: 'Spark',
    options: { good: 'good', weak: 'weak', none: 'none' },
    perCylinder: true,
    repeated: true
  }),
  gap: quantity({
    quick: 'jump',
    label: 'Open gap jumped',
    ask: 'The widest gap the tester showed it jump',
    dimension: 'length',
    example: '9 mm',
    min: 0,
    max: 0.03,
    perCylinder: true,
    limit: 'spark.gap'
  }),
  colour: choice({
    label: 'Colour',
    perCylinder: true,
    options: { blue: 'blue-white, snaps', orange: 'orange, thin', red: 'dull red' }
  }),
  steady: choice({
    label: 'Steadiness',
    perCylinder: true,
    options: { steady: 'steady', misses: 'misses now and then' }
  }),
  stray: choice({
    label: 'Stray arc',
    stays: { answers: ['lead', 'cap', 'coil'] },
    ask: 'In the dark, while it sparks: does it arc anywhere else?',
    perCylinder: true,
    options: { none: 'none', lead: 'from its lead', cap: 'at its cap or plug', coil: 'at its coil' }
  }),
  coilLook: choice({
    label: 'Its coil, looked at',
    stays: { answers: ['cracked'] },
    perCylinder: true,
    options: { whole: 'whole', cracked: 'cracked or burnt', corroded: 'terminals corroded' }
  }),
  leadLook: choice({
    label: 'Its lead and cap, looked at',
    stays: { answers: ['damaged'] },
    perCylinder: true,
    options: { whole: 'whole', damaged: 'gnawed, cracked or burnt', corroded: 'corroded inside' },
    absent: true,
    when: leads
  }),
  stopWire: returns(
    'With the stop wire off',
    'No spark anywhere: disconnect the stop wire at the engine and try again'
  ),
  brisk: choice({
    label: 'Cranks briskly',
    ask: 'Plugs out, good battery or a fresh arm: does it crank briskly?',
    options: { yes: 'yes, still none', no: 'no, slow' },
    when: electronic
  }),
  supply: choice({
    label: 'Supply at the box',
    ask: 'Main fuse whole, and battery volts at the box with the key on?',
    options: { yes: 'yes', no: 'no' },
    when: boxed
  }),
  groundWire: returns('Tester on bright metal', 'Jumper from the tester to bright metal on the block, and try again'),
  plugSwap: moves('Plugs swapped', 'Swap its plug with a good cylinder’s'),
  leadSwap: moves('Leads swapped', 'Swap its lead, cap or connector with a good cylinder’s', leads),
  coilSwap: moves('Coils swapped', 'Swap its coil with a good cylinder’s'),
  pointsClean: returns('Points cleaned and gapped', 'Clean the points with paper, gap them, and try again', points),
  condenserSwap: returns('Condenser renewed', 'Try a known good condenser', points),
  keyLook: choice({
    label: 'Flywheel mark against the crank',
    stays: { answers: ['sheared'] },
    ask: 'Flywheel mark against the crank: where it belongs?',
    options: { sound: 'where it belongs', sheared: 'shifted' }
  }),
  chargeTest: within('Charge coil', 'Charge coil: resistance and peak volts against the manual'),
  triggerTest: within('Trigger or sensor', 'Trigger or sensor: resistance, peak volts, air gap against the manual'),
  packSwap: returns('Pack or control unit renewed', 'Try a known good power pack or control unit', electronic),
  primary: ohms('Coil primary', 'spark.primary', true, '0.4 Ω'),
  secondary: ohms('Coil secondary', 'spark.secondary', true, '4 kΩ'),
  charge: ohms('Charge coil', 'spark.charge', false, '300 Ω'),
  trigger: ohms('Trigger or sensor', 'spark.trigger', false, '160 Ω'),
  pointsGap: quantity({
    quick: 'points',
    label: 'Points gap',
    dimension: 'length',
    example: '0.5 mm',
    min: 0,
    max: 3e-3,
    perCylinder: true,
    limit: 'spark.pointsGap',
    when: points
  }),
  pointsOhms: quantity({
    label: 'Points, resistance closed',
    dimension: 'resistance',
    example: '0.1 Ω',
    min: 0,
    max: 1e6,
    perCylinder: true,
    when: points
  }),
  pointsLook: choice({
    label: 'Points look',
    perCylinder: true,
    options: { clean: 'clean', grey: 'oxidised', pitted: 'pitted', oily: 'oily' },
    when: points
  }),
  rubBlock: choice({
    label: 'Rub block',
    options: { greased: 'lubricated', dry: 'dry', worn: 'worn' },
    when: points
  }),
  timing: quantity({
    label: 'Timing at idle',
    ask: 'Timing at idle by the marks, before top plus, after top minus',
    dimension: 'timing',
    example: '5°',
    min: -40,
    max: 60,
    limit: 'spark.timing'
  })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly spark: typeof items;
  }
}
