import { quantity } from '../../items/item.ts';

/** Float and needle, measured with the carburettor open. */
export const needleItems = {
  needlePump: quantity({
    label: 'Hand pump and its hose hold',
    dimension: 'volume',
    example: '40 mL',
    inWork: true,
    min: 1e-6,
    max: 2e-3
  }),
  needleFrom: quantity({
    label: 'Needle shut, pumped up to',
    dimension: 'pressure',
    example: '0.5 bar',
    inWork: true,
    min: 5e3,
    max: 300e3
  }),
  needleTo: quantity({
    label: 'It fell to',
    dimension: 'pressure',
    example: '0.45 bar',
    inWork: true,
    min: 0,
    max: 300e3
  }),
  needleTime: quantity({
    label: 'in',
    ask: 'It fell in this time',
    dimension: 'minutes',
    example: '60 s',
    inWork: true,
    min: 0.05,
    max: 120
  }),
  floatHeight: quantity({
    label: 'Float height, body upside down',
    dimension: 'length',
    example: '14 mm',
    inWork: true,
    min: 1e-3,
    max: 0.06
  }),
  floatWanted: quantity({
    label: 'Float height the manual wants',
    dimension: 'length',
    example: '14 mm',
    inWork: true,
    min: 1e-3,
    max: 0.06
  })
} as const;
