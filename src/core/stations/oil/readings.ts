import { choice, quantity, yesNo } from '../../items/item.ts';

/** Engine oil of a four-stroke: upright and level, waited, dipped until two dips agree. */
export const items = {
  dip: choice({
    label: 'Dip',
    ask: 'Upright and level, wait, wipe, dip; each tap records one dip',
    repeated: true,
    options: {
      below: 'below the low mark',
      between: 'between the marks',
      above: 'above the high mark',
      none: 'none on the stick'
    }
  }),
  dipAt: quantity({
    sent: 'depth',
    quick: 'dip',
    label: 'Oil on the stick, over the low mark',
    dimension: 'level',
    min: -0.2,
    max: 0.3,
    repeated: true
  }),
  markGap: quantity({ label: 'From mark to mark', dimension: 'level', min: 2e-3, max: 0.1 }),
  markVolume: quantity({ label: 'Oil between the marks', dimension: 'volume', min: 20e-6, max: 5e-3 }),
  level: yesNo({ label: 'Upright and level', state: true }),
  oilTemperature: quantity({
    label: 'Oil temperature at the dip',
    dimension: 'temperature',
    example: '40 °C',
    min: 243.15,
    max: 423.15
  }),
  smell: choice({
    changes: true,
    label: 'Smell on the stick',
    options: {
      oil: 'of oil only',
      faint: 'faintly of fuel',
      fuel: 'of fuel',
      strong: 'strongly of fuel',
      burnt: 'burnt'
    }
  }),
  pressure: quantity({
    label: 'Oil pressure by a gauge',
    ask: 'A gauge in place of the sender, the oil warm, running: what it reads',
    dimension: 'pressure',
    example: '30 psi',
    min: 0,
    max: 1.5e6,
    limit: 'oil.pressure'
  }),
  pressureRpm: quantity({
    label: 'At what engine speed',
    dimension: 'speed',
    example: '3000 rpm',
    min: 0,
    max: 9000
  }),
  lastFill: quantity({
    label: 'Poured in at the last change',
    ask: 'Poured in at the last change; where only a range is known, the least of it',
    dimension: 'tank',
    example: '2.8 L',
    min: 0,
    max: 0.05
  }),
  lastFillMost: quantity({
    label: 'and at most',
    ask: 'Where only a range is known: the most that may have been poured in',
    dimension: 'tank',
    example: '3.0 L',
    min: 0,
    max: 0.05
  }),
  viscosity: quantity({
    label: 'Viscosity at 100 °C, by a laboratory',
    dimension: 'viscosity',
    example: '9.1 mm²/s',
    min: 1.5,
    max: 60
  }),
  viscosityFresh: quantity({
    label: 'The same oil fresh, at 100 °C',
    ask: 'The same oil fresh at 100 °C, from the bottle’s data sheet',
    dimension: 'viscosity',
    example: '10.5 mm²/s',
    min: 1.5,
    max: 60
  }),
  lastMark: choice({
    label: 'Where it stood after that fill',
    options: { between: 'between the marks', above: 'above the high mark', 'not-dipped': 'nobody dipped' }
  }),
  look: choice({
    changes: true,
    label: 'Engine oil',
    stays: { answers: ['milky'], undoneBy: ['oil.sump', 'oil.drained', 'oil.poured', 'oil.changes'] },
    options: { clean: 'clean', dark: 'dark', milky: 'milky', thin: 'thin, smells of fuel' }
  }),
  waited: quantity({ label: 'Waited before dipping', state: true, dimension: 'minutes', min: 0, max: 2000 }),
  sump: choice({
    drowned: true,
    label: 'Sump after water got in',
    ask: 'Drained before anything spun?',
    options: { drained: 'drained and changed', no: 'not yet' }
  }),
  drained: quantity({
    quick: 'drawn',
    label: 'Came out',
    dimension: 'tank',
    example: '2.8 L',
    min: 0,
    max: 0.05,
    repeated: true
  }),
  filter: choice({
    label: 'Oil filter',
    options: { renewed: 'renewed, its old seal off too', stuck: 'old seal still on the engine', no: 'not renewed' },
    absent: true
  }),
  washer: choice({ label: 'Fresh washer at the drain', options: { yes: 'yes', no: 'no' }, absent: true }),
  bottle: quantity({ label: 'Engine oil comes in bottles of', dimension: 'volume', min: 100e-6, max: 25e-3 }),
  poured: quantity({ label: 'Engine oil poured in', dimension: 'volume', repeated: true, min: 1e-6, max: 5e-3 }),
  changes: quantity({ drowned: true, label: 'Oil changes since the water', dimension: 'count', min: 0, max: 20 })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly oil: typeof items;
  }
}
