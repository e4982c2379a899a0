import { ownLimits } from '../../engine/limits.ts';
import { choice, photo, quantity, yesNo } from '../../items/item.ts';

/** So far apart, K, two readings of one thermostat contradict each other: a kitchen thermometer and a slow pan account for less (M). */
const APART = 6;

/** Cooling: what is looked at before it runs, and the water it will run on. */
export const items = {
  screen: choice({
    label: 'Intake screens',
    options: { clear: 'clear', partly: 'partly blocked', blocked: 'blocked' }
  }),
  strainer: choice({
    label: 'Small strainer under the cowl',
    options: { clear: 'clear', blocked: 'blocked' },
    absent: true
  }),
  source: choice({
    changes: true,
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
  vanes: quantity({ label: 'Vanes on the impeller', dimension: 'count', example: '6', min: 3, max: 12 }),
  set: quantity({
    quick: 'set',
    label: 'Vane set',
    ask: 'How far a free vane stays bent',
    stays: { over: ownLimits.vaneSet, undoneBy: ['cooling.assembled'] },
    dimension: 'angle',
    min: 0,
    max: 90,
    limit: 'cooling.set'
  }),
  cracked: quantity({
    label: 'Vanes cracked',
    stays: { over: 0, undoneBy: ['cooling.assembled'] },
    dimension: 'count',
    min: 0,
    max: 20
  }),
  missing: quantity({
    label: 'Vanes missing',
    stays: { over: 0, undoneBy: ['cooling.assembled'] },
    dimension: 'count',
    min: 0,
    max: 20
  }),
  found: choice({ label: 'Missing pieces', options: { all: 'all found', some: 'some', none: 'none found' } }),
  housing: choice({
    label: 'Pump housing and plate',
    stays: { answers: ['grooved', 'melted'], undoneBy: ['cooling.assembled'] },
    options: { good: 'good', grooved: 'grooved', melted: 'melted or pale' }
  }),
  backward: yesNo({
    label: 'Turned backward under load',
    stays: { answers: ['yes'], undoneBy: ['cooling.assembled'] }
  }),
  bush: choice({
    label: 'Impeller bush and key',
    stays: { answers: ['spins', 'key'], undoneBy: ['cooling.assembled'] },
    options: {
      good: 'grips, key in',
      spins: 'spins on its bush',
      seized: ['seized on the shaft', 'extra time; eye guard'],
      key: 'key missing or sheared'
    }
  }),
  cover: choice({
    label: 'Lip in the seal cover under the pump',
    stays: { answers: ['worn'], undoneBy: ['cooling.assembled'] },
    options: { good: 'good', worn: ['worn', 'lets water into the gear oil'] }
  }),
  washersPhoto: photo({ label: 'Washers and their order' }),
  assembled: choice({
    label: 'Pump assembled',
    ask: 'Turned in the engine’s direction, key in, washers by the manual, O-rings unpinched, shift checked?',
    options: { yes: 'yes, all of it', no: 'not yet' }
  }),
  drill: choice({
    label: 'Drill test',
    stays: { answers: ['nothing'], undoneBy: ['cooling.assembled'] },
    ask: 'Neutral, leg clamped, foot in water, never backward: does it pump?',
    options: { pumps: 'pumps', nothing: 'nothing comes', backward: 'was turned backward' }
  }),
  tube: choice({
    label: 'Water tube and its grommet',
    stays: { answers: ['leaking'], undoneBy: ['cooling.assembled'] },
    options: { seated: 'seated, tight', leaking: 'leaks or misses its grommet' }
  }),
  thermostatStamp: quantity({
    perBank: true,
    label: 'Stamped on the thermostat',
    stays: { alike: APART },
    example: '60 °C',
    dimension: 'temperature',
    min: 293.15,
    max: 393.15,
    when: (p) => p.thermostat !== 'not-fitted'
  }),
  thermostatOpens: quantity({
    quick: 'opens',
    perBank: true,
    label: 'Opens in the pan at',
    stays: { alike: APART },
    example: '61 °C',
    dimension: 'temperature',
    min: 283.15,
    max: 393.15,
    when: (p) => p.thermostat !== 'not-fitted'
  }),
  thermostatPan: choice({
    perBank: true,
    label: 'Thermostat in the pan',
    stays: { answers: ['shut', 'open'] },
    ask: 'In the pan: shut when cold, fully open when boiling, shut again?',
    options: { good: 'yes', shut: 'never opens', open: 'never shuts' },
    absent: true,
    when: (p) => p.thermostat !== 'not-fitted'
  }),
  passages: choice({
    inWork: true,
    perBank: true,
    label: 'Water through the passages',
    stays: { answers: ['slow'] },
    ask: 'Thermostat out where there is one; a hose in from below, then backward: does water run through freely, and clear?',
    options: { free: 'freely, clear', slow: 'slowly, or sand and salt come' }
  }),
  bucket: quantity({
    sent: 'bucket',
    quick: 'bucket',
    label: 'Indicator stream, timed',
    dimension: 'flow',
    min: 1e-7,
    max: 0.01,
    repeated: true,
    when: (p) => p.indicator !== 'not-fitted'
  }),
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
    perBank: true,
    sent: 'head',
    quick: 'head',
    label: 'Hottest at the head, running',
    example: '65 °C',
    dimension: 'temperature',
    min: 253.15,
    max: 573.15,
    limit: 'cooling.hot'
  })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly cooling: typeof items;
  }
}
