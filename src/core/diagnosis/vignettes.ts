import type { CaseKind } from '../engine/case-kind.ts';
import type { History, Profile } from '../engine/profile.ts';
import type { OptionId } from '../decision/options.ts';
import { Bench } from '../testing.ts';

/** A whole case as it stands in a survey, and what a good technician concludes from it. All of them made up (C/M). */
export interface Vignette {
  readonly name: string;
  readonly survey: Bench;
  /** The suspect at the top of those something points to. */
  readonly suspect?: string;
  /** Suspects that must not be called likely. */
  readonly not?: readonly string[];
  /** The next check, by a part of its title. */
  readonly next?: RegExp;
  readonly decision?: readonly OptionId[];
}

const gauge = { name: 'screw-in gauge', adapterVolume: 0, valve: 'plug end' } as const;
const hose = { name: 'hose gauge', adapterVolume: 9e-6, valve: 'gauge end' } as const;
const single: Profile = {
  strokes: 'two',
  cylinders: 1,
  displacement: 99e-6,
  fuelSystem: 'carburettor',
  ignition: 'points',
  starting: 'rope',
  supply: 'gravity',
  thermostat: 'not-fitted',
  indicator: 'not-fitted',
  shift: 'direct',
  decompression: 'not-fitted',
  lubrication: 'premix',
  premixRatio: 50
};
const twin: Profile = {
  strokes: 'two',
  cylinders: 2,
  displacement: 430e-6,
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  starting: 'electric',
  supply: 'bulb',
  thermostat: 'fitted',
  indicator: 'fitted',
  shift: 'shift',
  decompression: 'not-fitted',
  lubrication: 'premix',
  premixRatio: 50,
  magnet: 'drain'
};
const four: Profile = {
  strokes: 'four',
  cylinders: 4,
  layout: 'inline',
  displacement: 1.1e-3,
  fuelSystem: 'electronic',
  ignition: 'digital',
  starting: 'electric',
  supply: 'bulb',
  thermostat: 'fitted',
  indicator: 'fitted',
  shift: 'shift',
  decompression: 'not-fitted',
  lubrication: 'sump',
  magnet: 'drain'
};
const six: Profile = { ...twin, cylinders: 6, layout: 'v', displacement: 2.5e-3, lubrication: 'injection' };

/** Taken in, made safe, turned over: where most cases begin. */
const begun = (profile: Profile, kind: CaseKind, history: History = {}): Bench =>
  new Bench(profile, kind, history)
    .read('safe.lanyard', 'out')
    .read('safe.battery', 'off')
    .read('safe.propeller', 'clear')
    .read('safe.secured', 'yes')
    .read('safe.place', 'outdoors')
    .read('turn.plugs', 'in')
    .read('turn.result', 'bumps')
    .read('turn.feel', []);
const sparks = (b: Bench, word: 'good' | 'none' | 'weak', ...cylinders: number[]): Bench => {
  for (const cylinder of cylinders)
    b.read('spark.result', word, { cylinder, conditions: { light: 'shade', path: 'tester' } });
  return b;
};
const twice = (b: Bench, list: readonly (readonly [number, number])[], instrument: object = gauge): Bench =>
  b
    .psi(list, { instrument: instrument as typeof gauge })
    .psi([...list].reverse(), { instrument: instrument as typeof gauge });

export const vignettes: readonly Vignette[] = [
  {
    name: 'no spark anywhere after years, spark with the stop wire off',
    survey: sparks(
      begun(twin, 'long-stored', { yearsIdle: 12 })
        .read('look.wiring', 'chewed')
        .read('look.cowl', 'nest')
        .read('spark.lanyard', 'yes'),
      'none',
      1,
      2
    ).read('spark.stopWire', 'returns'),
    suspect: 'stop-circuit',
    not: ['pack', 'charge-coil', 'lanyard']
  },
  {
    name: 'no spark anywhere, nobody looked at the lanyard',
    survey: sparks(begun(twin, 'neglected'), 'none', 1, 2),
    not: ['pack', 'charge-coil', 'trigger'],
    next: /Lanyard in/
  },
  {
    name: 'no spark, lanyard in, slow cranking on a weak battery',
    survey: sparks(
      begun(twin, 'long-stored', { yearsIdle: 3 })
        .read('plugs.volts', 9.4)
        .read('plugs.starterCircuit', 'slow')
        .read('spark.lanyard', 'yes'),
      'none',
      1,
      2
    ).read('spark.brisk', 'no'),
    suspect: 'slow-crank',
    not: ['pack']
  },
  {
    name: 'grey points of a single that stood, spark back after cleaning',
    survey: sparks(begun(single, 'long-stored', { yearsIdle: 8 }).read('spark.lanyard', 'yes'), 'none', 1)
      .read('spark.pointsLook', 'grey', { cylinder: 1 })
      .read('spark.pointsClean', 'returns'),
    suspect: 'points-dirty',
    not: ['coil.1', 'condenser', 'flywheel-key']
  },
  {
    name: 'one cylinder dead, the fault moves with its lead',
    survey: sparks(sparks(begun(six, 'neglected').read('spark.lanyard', 'yes'), 'good', 1, 2, 3, 4, 6), 'none', 5)
      .read('spark.plugSwap', 'stays')
      .read('spark.leadSwap', 'moves'),
    suspect: 'lead.5',
    not: ['pack', 'charge-coil', 'coil.5']
  },
  {
    name: 'two neighbours low in both orders, air at the neighbour',
    survey: (() => {
      const b = twice(begun(six, 'neglected', { worth: 5200, salvage: 900, ceiling: 800 }), [
        [1, 112],
        [2, 114],
        [3, 68],
        [4, 113],
        [5, 66],
        [6, 115]
      ]);
      for (const c of [3, 5])
        b.read('compression.leakdown', 0.4, { cylinder: c }).read('compression.escape', ['neighbour'], { cylinder: c });
      return sparks(
        b
          .read('spark.lanyard', 'yes')
          .read('gear.first', 'oil')
          .read('gear.look', 'dark')
          .read('gear.magnet', 'paste')
          .read('fuel.age', 1)
          .read('fuel.jar', 'clear'),
        'good',
        1,
        2,
        3,
        4,
        5,
        6
      );
    })(),
    suspect: 'head-gasket.3-5',
    not: ['rings-worn.3', 'adapter', 'tiring'],
    decision: ['repair-under']
  },
  {
    name: 'one low after storage, rises wet beyond the oil',
    survey: twice(begun({ ...twin, ratio: 6.5, bore: 0.062 }, 'long-stored', { yearsIdle: 7 }), [
      [1, 122],
      [2, 74]
    ]).read('compression.pressure', 112 * 6894.757, {
      cylinder: 2,
      instrument: gauge,
      conditions: { throttle: 'open', bores: 'oiled', dose: 2e-6 }
    }),
    suspect: 'rings-stuck.2',
    not: ['piston-holed.2', 'head-gasket.1-2']
  },
  {
    name: 'the last ones low on a falling battery',
    survey: begun(four, 'neglected')
      .psi([[1, 172]], { instrument: gauge, conditions: { throttle: 'open', bores: 'dry', volts: 12.1 } })
      .psi([[2, 168]], { instrument: gauge, conditions: { throttle: 'open', bores: 'dry', volts: 11.4 } })
      .psi([[3, 146]], { instrument: gauge, conditions: { throttle: 'open', bores: 'dry', volts: 10.4 } })
      .psi([[4, 128]], { instrument: gauge, conditions: { throttle: 'open', bores: 'dry', volts: 9.6 } }),
    suspect: 'tiring',
    next: /Measure the compression again/,
    decision: ['hold']
  },
  {
    name: 'alarming needle of a single through a long hose',
    survey: sparks(
      twice(begun(single, 'long-stored', { yearsIdle: 9 }), [[1, 54]], hose).read('spark.lanyard', 'yes'),
      'good',
      1
    ),
    not: ['rings-worn.1', 'piston-holed.1'],
    next: /Measure the compression again/,
    decision: ['hold']
  },
  {
    name: 'all low and even with the throttle shut',
    survey: begun(four, 'neglected').psi(
      [
        [1, 88],
        [2, 90],
        [3, 89],
        [4, 87]
      ],
      { instrument: gauge, conditions: { throttle: 'shut', bores: 'dry' } }
    ),
    suspect: 'throttle',
    not: ['belt', 'rings-worn.1'],
    next: /Measure the compression again/
  },
  {
    name: 'four-stroke, one low, air at the exhaust, no lash',
    survey: twice(begun(four, 'neglected'), [
      [1, 172],
      [2, 171],
      [3, 104],
      [4, 174]
    ])
      .read('compression.leakdown', 0.42, { cylinder: 3 })
      .read('compression.escape', ['exhaust'], { cylinder: 3 })
      .read('compression.lashIn', 0.2e-3, { cylinder: 3 })
      .read('compression.lashEx', 0, { cylinder: 3 }),
    suspect: 'lash-closed.3',
    not: ['head-gasket.2-3', 'rings-worn.3']
  },
  {
    name: 'one low, air in the crankcase, scored bore',
    survey: twice(begun(twin, 'neglected', { worth: 1400, salvage: 300 }), [
      [1, 118],
      [2, 41]
    ])
      .read('compression.leakdown', 0.7, { cylinder: 2 })
      .read('compression.escape', ['crankcase'], { cylinder: 2 })
      .read('plugs.hole', 'scored', { cylinder: 2 })
      .read('plugs.read', ['white'], { cylinder: 2 }),
    suspect: 'piston-holed.2',
    decision: ['specialist', 'parts']
  },
  {
    name: 'went under running, one piston low',
    survey: (() => {
      const b = new Bench({ ...four, cylinders: 3 }, 'drowned', {
        submerged: 'yes',
        runningWhenSunk: 'yes',
        water: 'salt',
        worth: 5200,
        salvage: 700
      })
        .read('safe.lanyard', 'out')
        .read('turn.plugs', 'out')
        .read('turn.result', 'free')
        .read('turn.result', 'free')
        .read('turn.feel', ['tight']);
      for (const [c, mm] of [
        [1, 60.1],
        [2, 60.2],
        [3, 61.4]
      ] as const)
        for (let k = 0; k < 2; k++) b.read('turn.depth', mm / 1000, { cylinder: c });
      return b;
    })(),
    suspect: 'rod-bent.3',
    decision: ['specialist', 'parts']
  },
  {
    name: 'drowned while stopped, water out of the holes, oil milky',
    survey: new Bench({ ...four, cylinders: 2 }, 'drowned', { submerged: 'yes', runningWhenSunk: 'no', water: 'fresh' })
      .read('safe.lanyard', 'out')
      .read('turn.plugs', 'out')
      .read('turn.result', 'free')
      .read('turn.water', 'much')
      .read('oil.look', 'milky')
      .read('fuel.jar', 'layers'),
    suspect: 'oil-water',
    next: /Turn and shift/
  },
  {
    name: 'weak stream, cool head, outlet never probed',
    survey: begun(twin, 'neglected')
      .read('cooling.screen', 'clear')
      .read('cooling.impellerAge', 1)
      .read('cooling.source', 'tank')
      .read('cooling.stream', 'weak')
      .read('cooling.head', 332)
      .read('run.outcome', 'ran')
      .read('run.minutes', 15)
      .read('look.case', 'sound')
      .read('look.cowl', 'clean')
      .read('look.hoses', 'supple')
      .read('fuel.bulb', 'firm')
      .read('fuel.jar', 'clear')
      .read('gear.first', 'oil')
      .read('gear.look', 'clear'),
    suspect: 'outlet',
    not: ['impeller', 'pump-housing'],
    next: /Probe the stream outlet/
  },
  {
    name: 'weak stream, hot head, outlet clear, old impeller',
    survey: begun(twin, 'neglected')
      .read('cooling.screen', 'clear')
      .read('cooling.impellerAge', 6)
      .read('cooling.source', 'tank')
      .read('cooling.stream', 'weak')
      .read('cooling.head', 371)
      .read('cooling.outlet', 'clear')
      .read('run.outcome', 'stopped'),
    suspect: 'impeller',
    not: ['outlet', 'muffs']
  },
  {
    name: 'hot head, strong stream, thermostat never opens',
    survey: begun(four, 'neglected')
      .read('cooling.stream', 'strong')
      .read('cooling.head', 372)
      .read('cooling.thermostatPan', 'shut')
      .read('cooling.source', 'tank'),
    suspect: 'thermostat-shut',
    not: ['impeller', 'passages']
  },
  {
    name: 'milky gear oil, bubbles at the propeller shaft',
    survey: begun(twin, 'neglected')
      .read('gear.first', 'milky')
      .read('gear.look', 'milky')
      .read('gear.pressureTest', 'leaked')
      .read('gear.caseBubbles', ['propshaft'])
      .read('look.hub', 'cream'),
    suspect: 'seal-propshaft',
    not: ['frost-crack', 'plug-washers']
  },
  {
    name: 'water in the gear oil and a stain along a line after a winter',
    survey: begun(four, 'neglected', { worth: 3000, salvage: 500 })
      .read('gear.first', 'water')
      .read('gear.look', 'milky')
      .read('gear.pressureTest', 'leaked')
      .read('gear.caseBubbles', ['housing'])
      .read('look.case', 'stain'),
    suspect: 'frost-crack',
    decision: ['specialist']
  },
  {
    name: 'slivers on the magnet, oil full of metal',
    survey: begun(twin, 'neglected')
      .read('gear.first', 'oil')
      .read('gear.look', 'metallic')
      .read('gear.magnet', 'slivers'),
    suspect: 'gears-worn'
  },
  {
    name: 'dies after minutes, squeezing revives it, tank full, vent open',
    survey: begun(twin, 'neglected')
      .read('fuel.level', 'full')
      .read('fuel.vent', 'open')
      .read('fuel.bulb', 'firm')
      .read('fuel.jar', 'clear')
      .read('fuel.dies', 'minutes')
      .read('fuel.revived', 'yes')
      .read('fuel.hose', 'supple')
      .read('fuel.couplings', 'tight')
      .read('fuel.pump', 'weak'),
    suspect: 'fuel-pump',
    not: ['vent', 'upstream', 'jets']
  },
  {
    name: 'bulb sucked flat, fine on a portable tank, vent open',
    survey: begun(twin, 'neglected')
      .read('fuel.level', 'full')
      .read('fuel.vent', 'open')
      .read('fuel.bulb', 'flat')
      .read('fuel.portable', 'fine')
      .read('fuel.dies', 'minutes'),
    suspect: 'upstream',
    not: ['fuel-pump', 'jets', 'vent']
  },
  {
    name: 'runs on choke only after years on old fuel',
    survey: begun(twin, 'long-stored', { yearsIdle: 4 })
      .read('fuel.jar', 'dark')
      .read('fuel.chokeOnly', 'yes')
      .read('fuel.bowlLook', 'gummed'),
    not: ['air-leak'],
    suspect: 'jets'
  },
  {
    name: 'oil above the mark, two level dips agree, no smell of fuel',
    survey: begun(four, 'spring-return', { laidUp: 'yes', yearsIdle: 0.5 })
      .read('oil.level', 'yes')
      .read('oil.dip', 'above')
      .read('oil.dip', 'above')
      .read('oil.smell', 'oil')
      .read('oil.look', 'clean'),
    suspect: 'overfilled',
    not: ['dilution', 'oil-water']
  },
  {
    name: 'oil above the mark, thin and smelling of fuel',
    survey: begun(four, 'neglected')
      .read('oil.level', 'yes')
      .read('oil.dip', 'above')
      .read('oil.dip', 'above')
      .read('oil.smell', 'fuel')
      .read('oil.look', 'thin'),
    suspect: 'dilution'
  },
  {
    name: 'spring return where everything is sound',
    survey: (() => {
      const b = begun(twin, 'spring-return', { laidUp: 'yes', yearsIdle: 0.5, worth: 2200 })
        .read('gear.first', 'oil')
        .read('gear.look', 'clear')
        .read('gear.magnet', 'clean')
        .read('fuel.age', 0.3)
        .read('fuel.jar', 'clear')
        .read('fuel.bulb', 'firm')
        .read('fuel.level', 'full')
        .read('fuel.vent', 'open')
        .read('fuel.filter', 'clean')
        .read('fuel.hose', 'supple')
        .read('fuel.couplings', 'tight')
        .read('cooling.screen', 'clear')
        .read('cooling.impellerAge', 1)
        .read('look.cowl', 'clean')
        .read('look.wiring', 'good')
        .read('look.hoses', 'supple')
        .read('look.case', 'sound')
        .read('look.skeg', 'sound')
        .read('look.hub', 'dry')
        .read('look.mounts', 'sound')
        .read('plugs.starterCircuit', 'turns')
        .read('spark.lanyard', 'yes');
      return sparks(
        twice(b, [
          [1, 121],
          [2, 119]
        ]),
        'good',
        1,
        2
      )
        .read('cooling.source', 'tank')
        .read('cooling.stream', 'strong')
        .read('cooling.head', 331)
        .read('run.outcome', 'ran')
        .read('run.minutes', 15)
        .read('run.lamp', 'none')
        .read('run.smoke', 'first')
        .read('run.leaks', 'none')
        .read('run.gears', 'both')
        .read('run.plugAfter', 'dry');
    })(),
    decision: ['service']
  }
];
