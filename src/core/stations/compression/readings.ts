import { quantity } from '../../survey/items.ts';

/** Cranking compression: the highest needle of one test on one cylinder; repeats stand side by side. */
export const items = {
  pressure: quantity({
    label: 'Compression',
    ask: 'All plugs out, throttle wide open, until the needle stops rising',
    dimension: 'pressure',
    min: 0,
    max: 3.5e6,
    perCylinder: true,
    repeated: true,
    limit: 'compression.figure'
  })
} as const;
