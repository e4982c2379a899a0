import { choice, quantity, several } from '../../items/item.ts';

/** Plugs out, in cylinder order, each read; oil in the bores measured; then, and only then, the starter. */
export const items = {
  order: choice({ label: 'Kept in cylinder order', options: { yes: 'yes', no: 'mixed up' } }),
  read: several({
    label: 'Plug reads',
    perCylinder: true,
    options: {
      normal: ['tan, dry', 'as it should be'],
      dry: 'dry, clean',
      oily: 'oily',
      fuel: 'fuel-wet',
      water: 'water',
      rust: 'rusty',
      white: 'white, blistered',
      black: 'black, sooty',
      bridged: 'bridged',
      cracked: 'cracked'
    }
  }),
  gap: quantity({
    quick: 'plug',
    label: 'Plug gap',
    dimension: 'length',
    example: '0.9 mm',
    min: 0.1e-3,
    max: 3e-3,
    perCylinder: true,
    limit: 'plugs.gap'
  }),
  hole: choice({
    label: 'Into the hole',
    ask: 'A light into the hole: bore and crown',
    stays: { answers: ['scored', 'holed'] },
    counts: true,
    perCylinder: true,
    options: {
      clean: 'clean',
      water: 'water',
      rust: 'rust',
      debris: 'debris',
      scored: 'scored bore',
      holed: 'crown burnt or holed'
    }
  }),
  oil: quantity({
    label: 'Oil put in each bore',
    ask: 'Oil put in each bore, before the first spin; zero for none',
    dimension: 'volume',
    example: '4 mL',
    min: 0,
    max: 50e-6
  }),
  volts: quantity({
    sent: 'batt',
    quick: 'crankvolts',
    label: 'Battery while cranking',
    dimension: 'voltage',
    min: 0,
    max: 60
  }),
  rpm: quantity({
    sent: 'tach',
    label: 'Cranking speed',
    dimension: 'speed',
    example: '260 rpm',
    min: 0,
    max: 3000
  }),
  starterCircuit: choice({
    label: 'Starter through its own circuit',
    stays: { answers: ['nothing'], undoneBy: ['plugs.volts'] },
    options: { turns: 'turns well', slow: 'slow', nothing: 'nothing' },
    absent: true,
    when: (p) => p.starting !== 'rope'
  }),
  starterDirect: choice({
    label: 'Starter straight from the battery',
    stays: { answers: ['nothing'], undoneBy: ['plugs.volts'] },
    ask: 'Starter straight from the battery: it proves the motor, not the circuit',
    options: { turns: 'turns well', slow: 'slow', nothing: 'nothing' },
    absent: true,
    when: (p) => p.starting !== 'rope'
  }),
  voltsEnd: choice({
    label: 'Volts in four places, key on start',
    ask: 'Battery, fuse, key and neutral switch, solenoid: where do the volts end?',
    options: {
      through: 'they reach the motor',
      fuse: 'at the fuse or a connector',
      switch: 'at the key or neutral switch',
      solenoid: 'at solenoid or cable'
    },
    when: (p) => p.starting !== 'rope'
  }),
  rope: choice({
    label: 'Rope starter',
    ask: 'Pull it slowly, twice: does it catch and return?',
    options: { good: 'catches and returns', slips: 'slips', stuck: 'does not return' },
    absent: true,
    when: (p) => p.starting !== 'electric'
  })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly plugs: typeof items;
  }
}
