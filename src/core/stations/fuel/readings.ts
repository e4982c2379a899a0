import { choice, quantity, yesNo } from '../../survey/items.ts';

const drained = { drained: 'drained', fresh: 'fresh in it', old: 'old fuel in it' } as const;

/** Fuel: nearly empty first, then how old, what the jar shows, and what is still aboard. */
export const items = {
  level: choice({
    label: 'In the tank',
    ask: 'Look into the tank first: nearly empty is the cheapest fault',
    options: { empty: 'nearly empty', some: 'some', full: 'full' },
    absent: true
  }),
  kind: choice({ label: 'Fuel', options: { ethanol: 'ethanol blend', plain: 'ethanol-free' } }),
  age: quantity({ label: 'Age of the fuel', dimension: 'months', min: 0, max: 1200, limit: 'fuel.age' }),
  stabilised: yesNo({ label: 'Stabilised when fresh' }),
  jar: choice({
    label: 'Jar sample',
    ask: 'A sample in a clear jar, left to stand',
    options: { clear: 'clear, one layer', layers: 'two layers', cloudy: 'cloudy', dark: 'dark, smells of varnish' }
  }),
  jarWater: quantity({ label: 'Water layer, share of the jar', dimension: 'share', min: 0, max: 1 }),
  bulb: choice({
    label: 'Primer bulb',
    options: { firm: 'firms up and holds', soft: 'stays soft', flat: 'sucked flat' },
    absent: true
  }),
  tank: choice({ label: 'Tank now', options: drained, absent: true }),
  line: choice({ label: 'Line and filter now', options: drained, absent: true }),
  bowl: choice({ label: 'Bowl or vapour separator now', options: drained, absent: true }),
  mix: quantity({ label: 'Mixture in use', dimension: 'mixture', min: 1, max: 1000, limit: 'fuel.premix' })
} as const;
