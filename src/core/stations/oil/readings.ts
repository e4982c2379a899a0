import { choice, quantity } from '../../survey/items.ts';

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
  look: choice({
    label: 'Engine oil',
    options: { clean: 'clean', dark: 'dark', milky: 'milky', thin: 'thin, smells of fuel' }
  }),
  waited: quantity({ label: 'Waited before dipping', dimension: 'minutes', min: 0, max: 2000 }),
  sump: choice({
    label: 'Sump after water got in',
    ask: 'Drained before anything spun?',
    options: { drained: 'drained and changed', no: 'not yet' }
  }),
  changes: quantity({ label: 'Oil changes since the water', dimension: 'count', min: 0, max: 20 })
} as const;
