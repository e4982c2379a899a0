/** What comes round on an engine. */
export const careIds = [
  'first-oil',
  'engine-oil',
  'gear-oil',
  'impeller',
  'plugs',
  'points',
  'fuel-filter',
  'anodes',
  'flush',
  'monthly-turn'
] as const;
export type CareId = (typeof careIds)[number];
