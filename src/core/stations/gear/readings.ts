import { choice, quantity } from '../../survey/items.ts';

/** Gear oil: stood upright a while, lower plug a crack first, then drained and measured. */
export const items = {
  first: choice({
    label: 'First out, plug a crack open',
    ask: 'Upright a while, then the lower plug a crack: what comes first?',
    options: { oil: 'oil', water: 'free water', milky: 'milky', nothing: 'nothing' }
  }),
  look: choice({
    label: 'The oil',
    options: {
      clear: 'clear',
      dark: 'dark',
      milky: 'milky',
      creamy: 'creamy',
      metallic: 'metallic',
      burnt: 'burnt',
      none: 'little or none'
    }
  }),
  water: quantity({ label: 'Free water caught', dimension: 'volume', min: 0, max: 5e-3 }),
  drained: quantity({ label: 'Drained altogether', dimension: 'volume', min: 0, max: 10e-3, limit: 'gear.capacity' }),
  magnet: choice({
    label: 'Magnet',
    ask: 'Wipe the magnet: what was on it?',
    options: { clean: 'clean', paste: ['paste', 'grey, normal'], slivers: 'slivers', pieces: 'pieces' },
    absent: true
  }),
  explained: choice({
    label: 'Metal explained',
    ask: 'Case opened and the metal explained?',
    options: { yes: 'yes', no: 'not yet' }
  }),
  pressureTest: choice({
    label: 'Case test',
    ask: 'Low pressure, then about 10 psi, then vacuum, shafts turned',
    options: { held: 'held', leaked: 'leaked' }
  }),
  refill: choice({
    label: 'Refilled',
    options: { service: 'for service', stand: ['for a stand run only', 'out of gear'], no: 'not yet' }
  }),
  washers: choice({ label: 'One fresh washer for each plug there is', options: { yes: 'yes', no: 'no' } })
} as const;
