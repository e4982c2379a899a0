import { choice, photo, quantity, several } from '../../items/item.ts';

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
  water: quantity({
    quick: 'water',
    label: 'Free water caught',
    stays: { over: 0, undoneBy: ['gear.drained', 'gear.poured', 'gear.refill'] },
    dimension: 'volume',
    min: 0,
    max: 5e-3
  }),
  drained: quantity({
    quick: 'drained',
    label: 'Drained altogether',
    dimension: 'volume',
    min: 0,
    max: 10e-3,
    limit: 'gear.capacity'
  }),
  magnet: choice({
    label: 'Magnet',
    ask: 'Wipe the magnet: what was on it?',
    options: { clean: 'clean', paste: ['paste', 'grey, normal'], slivers: 'slivers', pieces: 'pieces' },
    absent: true
  }),
  magnetPhoto: photo({ label: 'Magnet, wiped on white' }),
  explained: choice({
    label: 'Metal explained',
    ask: 'Case opened and the metal explained?',
    options: { yes: 'yes', no: 'not yet' }
  }),
  caseAir: quantity({
    label: 'Air in the empty case',
    ask: 'Air in the empty case, where it is not its oil capacity',
    dimension: 'volume',
    example: '250 mL',
    min: 10e-6,
    max: 10e-3
  }),
  casePressure: quantity({
    label: 'Case test reading',
    dimension: 'pressure',
    example: '10 psi',
    min: 0,
    max: 345e3,
    repeated: true,
    limit: 'gear.casePressure'
  }),
  caseTurned: choice({
    label: 'Shafts turned, shift moved',
    ask: 'Both shafts turned and the shift moved at this stage?',
    repeated: true,
    options: { yes: 'yes', no: 'not yet' }
  }),
  caseOpen: choice({
    label: 'Pressure let off',
    ask: 'Pressure or vacuum let off, the fitting out of the case?',
    options: { yes: 'yes', no: 'not yet' }
  }),
  caseBubbles: several({
    counts: true,
    label: 'Bubbles at',
    stays: {
      answers: ['propshaft', 'carrier', 'driveshaft', 'cover', 'shift', 'plugs', 'housing'],
      undoneBy: ['gear.washers']
    },
    ask: 'Soapy water: where does it bubble?',
    options: {
      propshaft: 'propeller shaft',
      carrier: 'carrier and its O-ring',
      driveshaft: 'drive shaft',
      cover: 'seal cover under the pump',
      shift: 'shift shaft',
      plugs: 'plugs',
      housing: 'the housing itself'
    }
  }),
  pressureTest: choice({
    label: 'Case test',
    ask: 'Low pressure, then about 10 psi, then vacuum, shafts turned',
    options: { held: 'held', leaked: 'leaked' }
  }),
  bottle: quantity({ label: 'Gear oil comes in bottles of', dimension: 'volume', min: 50e-6, max: 25e-3 }),
  poured: quantity({ label: 'Gear oil pumped in', dimension: 'volume', repeated: true, min: 1e-6, max: 5e-3 }),
  levelHole: choice({
    label: 'At the level hole',
    ask: 'Pumped from the lowest plug: does it run out of the level hole without bubbles?',
    options: { bubbleFree: 'yes, bubble-free', bubbles: 'still bubbles', no: 'not yet' },
    absent: true
  }),
  refill: choice({
    label: 'Refilled',
    options: { service: 'for service', stand: ['for a stand run only', 'out of gear'], no: 'not yet' }
  }),
  slots: choice({
    label: 'Slots of the plugs',
    ask: 'Slots of drain, vent and level plug: does the driver fill them?',
    options: { good: 'good', chewed: 'chewed', stuck: 'will not move' }
  }),
  washers: choice({ label: 'One fresh washer for each plug there is', options: { yes: 'yes', no: 'no' } }),
  dyeCase: choice({
    inWork: true,
    label: 'Dye on the line along the case',
    ask: 'Paint off along the line, dye on clean bare metal, wiped: how deep does it go?',
    stays: { answers: ['metal', 'through'] },
    options: { paint: 'in the paint only', metal: 'into the metal', through: 'through the wall' }
  }),
  dyeSkeg: choice({
    inWork: true,
    label: 'Dye on the crack of the skeg',
    ask: 'Paint off along the crack, dye on clean bare metal, both its ends found: where does it end?',
    stays: { answers: ['through'] },
    options: { paint: 'in the paint only', metal: 'ends in the skeg', through: 'runs into the case' }
  }),
  pumpStroke: quantity({
    label: 'One stroke of the pump gives',
    ask: 'Ten strokes of the pump into a jug, divided by ten',
    dimension: 'volume',
    example: '14 mL',
    inWork: true,
    min: 1e-6,
    max: 200e-6
  }),
  sealLip: quantity({
    label: 'Seal: across its lip',
    dimension: 'length',
    example: '17 mm',
    inWork: true,
    min: 3e-3,
    max: 0.1
  }),
  sealOuter: quantity({
    label: 'Seal: across its outside',
    dimension: 'length',
    example: '30 mm',
    inWork: true,
    min: 5e-3,
    max: 0.15
  }),
  sealDepth: quantity({
    label: 'Old seal: depth from the face',
    dimension: 'length',
    example: '4.5 mm',
    inWork: true,
    min: 0,
    max: 0.1
  }),
  sealDepthNew: quantity({
    label: 'New seal: depth from the face',
    dimension: 'length',
    example: '4.5 mm',
    inWork: true,
    min: 0,
    max: 0.1
  }),
  shaftGroove: quantity({
    label: 'Groove in the shaft under the lip',
    dimension: 'length',
    example: '0.05 mm',
    inWork: true,
    min: 0,
    max: 5e-3
  })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly gear: typeof items;
  }
}
