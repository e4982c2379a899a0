import { choice, quantity, yesNo } from '../../survey/items.ts';

/** Cooling: what is looked at before it runs, and the water it will run on. */
export const items = {
  screen: choice({
    label: 'Intake screens',
    options: { clear: 'clear', partly: 'partly blocked', blocked: 'blocked' }
  }),
  source: choice({
    label: 'Water for running',
    options: {
      muffs: ['muffs', 'idle only, seated on every intake'],
      tank: ['test tank', 'moderate'],
      afloat: ['afloat', 'full throttle allowed'],
      port: ['hose port', 'engine off unless the manual says otherwise'],
      none: 'none yet'
    }
  }),
  impellerAge: quantity({ label: 'Impeller age', dimension: 'years', min: 0, max: 60, limit: 'cooling.impeller' }),
  opened: yesNo({ label: 'Pump opened' }),
  set: quantity({
    label: 'Vane set',
    ask: 'How far a free vane stays bent',
    dimension: 'angle',
    min: 0,
    max: 90,
    limit: 'cooling.set'
  }),
  cracked: quantity({ label: 'Vanes cracked', dimension: 'count', min: 0, max: 20 }),
  missing: quantity({ label: 'Vanes missing', dimension: 'count', min: 0, max: 20 }),
  found: choice({ label: 'Missing pieces', options: { all: 'all found', some: 'some', none: 'none found' } }),
  housing: choice({
    label: 'Pump housing and plate',
    options: { good: 'good', grooved: 'grooved', melted: 'melted or pale' }
  }),
  backward: yesNo({ label: 'Turned backward under load' }),
  stream: choice({
    label: 'Indicator stream',
    ask: 'Within about half a minute of running on water',
    options: { strong: 'strong', weak: 'weak', none: 'none' },
    absent: true
  }),
  outlet: choice({
    label: 'Stream outlet and its line',
    ask: 'Probe the outlet; hot water that follows means it was blocked',
    options: { clear: 'clear', blocked: 'was blocked, now clear', shut: 'blocked' },
    absent: true
  }),
  head: quantity({
    label: 'Hottest at the head, running',
    dimension: 'temperature',
    min: 253.15,
    max: 573.15,
    limit: 'cooling.hot'
  })
} as const;
