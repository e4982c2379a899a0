/** Schools of practice: where good technicians differ, each with one default of ours and the reason for it. */
export interface Topic {
  readonly topic: string;
  readonly choices: Readonly<Record<string, string>>;
  readonly standard: string;
  readonly why: string;
}

export const topics = {
  spread: {
    topic: 'Compression limit',
    choices: { '0.1': 'spread 10 % of the best', '0.15': 'spread 15 % of the best', '0.2': 'spread 20 % of the best' },
    standard: '0.15',
    why: 'Only on comparable, repeated readings. The manual’s figure wins when entered; a kind’s floor only opens a question.'
  },
  boreOil: {
    topic: 'Oil in the bores before the first spin',
    choices: { always: 'always', years: 'if idle for years', never: 'never before the dry test' },
    standard: 'years',
    why: 'Dry rings score and read low; the reading is then marked oiled, with the amount.'
  },
  carburettor: {
    topic: 'Carburettor before the first start',
    choices: {
      clean: 'clean first',
      try: 'try on fresh fuel first',
      age: 'clean over two seasons or unknown, else try'
    },
    standard: 'age',
    why: 'Gum after two seasons is the rule; a clean one need not be opened.'
  },
  firstTank: {
    topic: 'First-tank premix',
    choices: { maker: 'maker’s ratio', richer: 'one step more oil if idle over a year' },
    standard: 'richer',
    why: 'An engine dry for years wants oil before speed. Premix engines only.'
  },
  stabiliser: {
    topic: 'Stabiliser run',
    choices: { fixed: 'five to ten minutes', volume: 'calculated from the volume of line and bowl' },
    standard: 'volume',
    why: 'A long line takes longer than ten minutes at idle. Both are shown.'
  },
  drownedSpin: {
    topic: 'Drowned: spinning before or after the first oil change',
    choices: { before: 'before', after: 'after' },
    standard: 'after',
    why: 'Water in the sump is pumped into every bearing by the first spin.'
  },
  pumpGrease: {
    topic: 'Grease in the water pump',
    choices: { film: 'a film on the vanes, generous in grooves and splines', generous: 'generous' },
    standard: 'film',
    why: 'Excess clogs passages and holds sand; none on the shaft’s end face.'
  },
  oilFilter: {
    topic: 'Oil filter, how tight',
    choices: {
      hand: 'three quarters of a turn by hand',
      cap: 'three quarters with a cap wrench',
      one: 'one turn by hand'
    },
    standard: 'hand',
    why: 'What the filter says comes first; tighter only makes it hard to come off.'
  },
  gearCheck: {
    topic: 'Gear-oil check before a trial run',
    choices: { crack: 'crack-open for a stand run, full drain for release', full: 'full drain always' },
    standard: 'crack',
    why: 'The crack-open check costs minutes and shows free water; release needs the whole story.'
  },
  gearWater: {
    topic: 'Water in the gear oil',
    choices: {
      test: 'stop until case-tested',
      washers: 'fresh washers first, then look again'
    },
    standard: 'test',
    why: 'A case that lets water in lets oil out. A stand run only after a refill and out of gear.'
  },
  magnetMetal: {
    topic: 'Metal on the magnet',
    choices: { size: 'graded by size', keep: 'keep changing the oil', examine: 'always examined' },
    standard: 'size',
    why: 'Paste is wear; slivers and pieces are parts.'
  },
  pump: {
    topic: 'Water pump',
    choices: { kit: 'kit over three years, unknown, or any wear mark', impeller: 'impeller only' },
    standard: 'kit',
    why: 'The kit costs little more than its pieces, and the leg is already off.'
  },
  impeller: {
    topic: 'Impeller interval',
    choices: {
      '1': 'yearly',
      '2': 'every two years',
      climate: 'by heat and shade: yearly in the sun, two seasons in shade'
    },
    standard: 'climate',
    why: 'Heat and light set rubber faster than hours do.'
  },
  backward: {
    topic: 'Wrong-way vanes',
    choices: { renew: 'renew if it ran', turn: 'turn back' },
    standard: 'renew',
    why: 'Vanes once bent backward under load take the set.'
  },
  boreProtection: {
    topic: 'Bore protection for storage',
    choices: {
      manual: 'as the manual says, else sprayed through the intake',
      spray: 'spray through the intake',
      measured: 'measured oil into each cylinder'
    },
    standard: 'manual',
    why: 'Injection and catalysts do not like spray; measured oil is oil somebody must know of before it is cranked.'
  },
  stallOut: {
    topic: 'Fuel at stall-out',
    choices: { screw: 'drained by its screw', run: 'run dry', treated: 'left full of treated fuel' },
    standard: 'screw',
    why: 'Running dry leaves a puddle behind and starves a two-stroke of oil.'
  },
  breakIn: {
    topic: 'Break-in',
    choices: { manual: 'by the manual’s schedule', load: 'loaded soon, on mineral oil' },
    standard: 'manual',
    why: 'Whoever gives the warranty sets the schedule.'
  },
  creamFlush: {
    topic: 'Creamed gear oil',
    choices: { thin: 'flushed with thin oil turned by hand', drip: 'drained overnight, not flushed' },
    standard: 'drip',
    why: 'Thin oil carries what is loose into bearings; a short first fill does the same and costs less.'
  },
  plugTight: {
    topic: 'Plugs are tightened',
    choices: { torque: 'by the manual’s torque', angle: 'by angle from finger-tight' },
    standard: 'torque',
    why: 'A gasket crushed once needs less; a torque wrench does not feel a crossed thread, fingers do.'
  },
  oldPlugs: {
    topic: 'Old plugs',
    choices: { clean: 'cleaned and gapped while they are sound', renew: 'renewed whenever they were wet or fouled' },
    standard: 'renew',
    why: 'A plug costs less than an hour spent on doubting it.'
  },
  oilOut: {
    topic: 'Engine oil comes out',
    choices: { drain: 'by the drain plug, warm', suction: 'by suction through the dipstick tube' },
    standard: 'drain',
    why: 'What lies in the corner of the sump is what one wants out; a suction pipe leaves it.'
  },
  gearOil: {
    topic: 'Gear oil interval',
    choices: {
      either: 'by hours or a year, whichever comes first',
      season: 'each season before frost',
      hours: 'by hours alone',
      clean: 'topped up while it is clean, changed every five years'
    },
    standard: 'either',
    why: 'Water comes in by the calendar, metal by the hours. A leg that needs topping up loses oil somewhere.'
  },
  gearSeals: {
    topic: 'Gear case seals',
    choices: { exposed: 'all that the opened section exposes', failed: 'only the one that leaked' },
    standard: 'exposed',
    why: 'The next one is as old, and the work is in getting there.'
  },
  flushing: {
    topic: 'Flushing after salt',
    choices: { muffs: 'running on muffs or in a tank', port: 'engine off, at the hose port' },
    standard: 'muffs',
    why: 'A running engine opens its thermostat; behind a shut one the salt stays. The port where the manual says so.'
  },
  oilLevel: {
    topic: 'Engine oil is dipped',
    choices: { settled: 'cold or well settled', warm: 'warm, some minutes after it was stopped' },
    standard: 'settled',
    why: 'Settled is the same each time; the manual says which its marks are for. Temperature and minutes are noted.'
  },
  points: {
    topic: 'Points',
    choices: {
      hours: 'with use, by the service hours',
      year: 'every year',
      seldom: 'every three years when little used'
    },
    standard: 'hours',
    why: 'The rub block wears with use; damp is seen at the look that a poor spark asks for.'
  },
  lostKey: {
    topic: 'Key or pin lost',
    choices: { right: 'only the right part', improvised: 'improvised for now, with a date' },
    standard: 'right',
    why: 'A key of the wrong steel shears late or not at all, and takes the crank with it.'
  },
  partsOil: {
    topic: 'Oil and fluids',
    choices: { specification: 'any that meets the specification', maker: 'the maker’s own only' },
    standard: 'specification',
    why: 'The grade on the bottle is what the bearing sees; a warranty may ask for more.'
  },
  starterTest: {
    topic: 'Starter is tested',
    choices: {
      both: 'through its circuit and straight from the battery',
      direct: 'straight from the battery',
      circuit: 'through its own circuit'
    },
    standard: 'both',
    why: 'One alone does not tell the starter from its circuit. Both are recorded apart.'
  },
  tankCap: {
    topic: 'Tank cap in storage',
    choices: { rules: 'as the local fire rules say', loose: 'loose, so that it breathes', closed: 'closed' },
    standard: 'rules',
    why: 'A closed tank swells in the sun, an open one fills a shed with vapour: whoever answers for fire decides.'
  }
} as const satisfies Record<string, Topic>;

export type TopicId = keyof typeof topics;
export const topicIds = Object.keys(topics) as TopicId[];
export type ChoiceOf<T extends TopicId> = Extract<keyof (typeof topics)[T]['choices'], string>;
