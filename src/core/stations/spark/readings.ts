import { choice, quantity } from '../../survey/items.ts';

/** Spark, one cylinder at a time to clean metal, every other lead grounded. */
export const items = {
  lanyard: choice({
    label: 'Lanyard in, switch on run',
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
    label: 'Open gap jumped',
    ask: 'The widest gap the tester showed it jump',
    dimension: 'length',
    min: 0,
    max: 0.03,
    perCylinder: true,
    limit: 'spark.gap'
  }),
  stopWire: choice({
    label: 'With the stop wire off',
    ask: 'No spark anywhere: disconnect the stop wire at the engine and try again',
    options: { returns: 'spark returns', still: 'still none' }
  })
} as const;
