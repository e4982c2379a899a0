/** What each source of water allows. The hose port feeds the head and leaves the pump dry (C: common practice). */
export const sources = {
  muffs: { start: true, throttle: 'idle only', note: 'seated on every intake, hose fully open' },
  tank: { start: true, throttle: 'moderate', note: 'water above the intakes, no hard gear' },
  afloat: { start: true, throttle: 'full throttle', note: 'moored or under way' },
  port: {
    start: false,
    throttle: 'none: engine off',
    note: 'the pump below stays dry; only where the manual says otherwise'
  },
  none: { start: false, throttle: 'none', note: 'a dry impeller fails in seconds' }
} as const;

export type Source = keyof typeof sources;

/** The most engine speed that a source of water allows, 1/min: idle on muffs, moderate in a tank (C, from memory). */
export const speedCap = (source: Source): number | undefined =>
  source === 'muffs' ? 1500 : source === 'tank' ? 3000 : undefined;
