import type { SignKind } from './shape.ts';

const many = { cylinders: ['many'] };
const points = { ignition: ['points'] };
const four = { strokes: ['four'] };

/** What can be seen at power head, ignition and starter. Leaks are estimates, from memory (M). */
export const headSigns: readonly SignKind[] = [
  // The hand turn.
  { id: 'locked', check: 'turn', present: 'it is locked', absent: 'it turns', leak: 0.002, measured: 'turn-locked' },
  {
    id: 'stiff',
    check: 'turn',
    present: 'it turns stiffly',
    absent: 'it does not turn stiffly',
    leak: 0.02,
    measured: 'turn-stiff'
  },
  {
    id: 'gritty',
    check: 'turn',
    present: 'it turns grittily',
    absent: 'it turns without grit',
    leak: 0.005,
    measured: 'turn-gritty'
  },
  {
    id: 'no-bumps',
    check: 'turn',
    present: 'no compression is felt, plugs in',
    absent: 'compression is felt by hand',
    leak: 0.01,
    measured: 'turn-bumps'
  },
  {
    id: 'noise',
    check: 'turn',
    present: 'noise or play is felt',
    absent: 'no noise, no play',
    leak: 0.01,
    measured: 'felt-noise'
  },
  {
    id: 'tight',
    check: 'turn',
    present: 'there is a tight spot',
    absent: 'no tight spot',
    leak: 0.02,
    measured: 'felt-tight'
  },
  {
    id: 'bumps-few',
    check: 'bumps',
    present: 'fewer bumps than it should give',
    absent: 'as many bumps as it should give',
    leak: 0.01,
    measured: 'bumps'
  },
  {
    id: 'water-out',
    check: 'holes',
    present: 'water comes out of the plug holes',
    absent: 'no water comes out of the plug holes',
    leak: 0.01,
    reads: [{ item: 'turn.water', present: ['some', 'much'] }]
  },
  {
    id: 'pinion-frees',
    check: 'lock',
    present: 'it comes free with the pinion back',
    absent: 'still locked with the pinion back',
    leak: 0.005,
    reads: [{ item: 'turn.lockPinion', present: ['free'] }]
  },
  {
    id: 'leg-frees',
    check: 'lock',
    present: 'it comes free with the leg off',
    absent: 'still locked with the leg off',
    leak: 0.005,
    reads: [{ item: 'turn.lockLeg', present: ['free'] }]
  },
  {
    id: 'depth-low',
    check: 'depth',
    per: 'cylinder',
    present: 'its piston stands low at top',
    absent: 'its piston stands as high as the others',
    leak: 0.003,
    measured: 'depth'
  },
  // The plugs.
  {
    id: 'plug-oily',
    check: 'plugs',
    per: 'cylinder',
    present: 'its plug is oily',
    absent: 'its plug is not oily',
    leak: 0.15,
    reads: [{ item: 'plugs.read', present: ['oily'] }]
  },
  {
    id: 'plug-fuel',
    check: 'plugs',
    per: 'cylinder',
    present: 'its plug is wet with fuel',
    absent: 'its plug is not wet with fuel',
    leak: 0.04,
    reads: [{ item: 'plugs.read', present: ['fuel'] }]
  },
  {
    id: 'plug-water',
    check: 'plugs',
    per: 'cylinder',
    present: 'there is water on its plug or in its hole',
    absent: 'no water on its plug',
    leak: 0.005,
    reads: [
      { item: 'plugs.read', present: ['water'] },
      { item: 'plugs.hole', present: ['water'] }
    ]
  },
  {
    id: 'plug-white',
    check: 'plugs',
    per: 'cylinder',
    present: 'its plug is white, blistered',
    absent: 'its plug is not white',
    leak: 0.02,
    reads: [{ item: 'plugs.read', present: ['white'] }]
  },
  {
    id: 'plug-black',
    check: 'plugs',
    per: 'cylinder',
    present: 'its plug is black, sooty',
    absent: 'its plug is not sooty',
    leak: 0.15,
    reads: [{ item: 'plugs.read', present: ['black'] }]
  },
  {
    id: 'plug-bad',
    check: 'plugs',
    per: 'cylinder',
    present: 'its plug is cracked or bridged',
    absent: 'its plug is whole',
    leak: 0.01,
    reads: [{ item: 'plugs.read', present: ['cracked', 'bridged'] }]
  },
  {
    id: 'hole-rust',
    check: 'bore-light',
    per: 'cylinder',
    present: 'rust in its bore',
    absent: 'no rust in its bore',
    leak: 0.01,
    reads: [{ item: 'plugs.hole', present: ['rust'] }]
  },
  {
    id: 'hole-scored',
    check: 'bore-light',
    per: 'cylinder',
    present: 'its bore is scored',
    absent: 'its bore is not scored',
    leak: 0.005,
    reads: [{ item: 'plugs.hole', present: ['scored', 'debris'] }]
  },
  // Battery, starter, rope.
  {
    id: 'starter-slow',
    check: 'starter',
    present: 'it cranks slowly',
    absent: 'it cranks well',
    leak: 0.03,
    reads: [{ item: 'plugs.starterCircuit', present: ['slow'] }],
    measured: 'crank-speed'
  },
  {
    id: 'starter-dead',
    check: 'starter',
    present: 'nothing through its own circuit',
    absent: 'its own circuit turns it',
    leak: 0.02,
    reads: [{ item: 'plugs.starterCircuit', present: ['nothing'] }]
  },
  {
    id: 'direct-dead',
    check: 'starter',
    present: 'the motor does not turn it straight from the battery',
    absent: 'the motor turns it straight from the battery',
    leak: 0.01,
    reads: [{ item: 'plugs.starterDirect', present: ['nothing', 'slow'] }]
  },
  {
    id: 'volts-low',
    check: 'starter',
    present: 'the battery falls under load',
    absent: 'the battery holds under load',
    leak: 0.02,
    measured: 'volts'
  },
  {
    id: 'volts-at-fuse',
    check: 'volts-walk',
    present: 'the volts end at the fuse or a connector',
    absent: 'the volts pass the fuse',
    leak: 0.01,
    reads: [{ item: 'plugs.voltsEnd', present: ['fuse'] }]
  },
  {
    id: 'volts-at-switch',
    check: 'volts-walk',
    present: 'the volts end at the key or the neutral switch',
    absent: 'the volts pass key and neutral switch',
    leak: 0.01,
    reads: [{ item: 'plugs.voltsEnd', present: ['switch'] }]
  },
  {
    id: 'volts-at-solenoid',
    check: 'volts-walk',
    present: 'the volts end at solenoid or cable',
    absent: 'the volts pass the solenoid',
    leak: 0.01,
    reads: [{ item: 'plugs.voltsEnd', present: ['solenoid'] }]
  },
  {
    id: 'rope-slips',
    check: 'rope',
    present: 'the rope starter slips or does not return',
    absent: 'the rope starter catches and returns',
    leak: 0.01,
    reads: [{ item: 'plugs.rope', present: ['slips', 'stuck'] }]
  },
  // Spark.
  {
    id: 'none-all',
    check: 'spark',
    present: 'no spark on any cylinder',
    absent: 'there is spark',
    leak: 0.004,
    measured: 'none-all'
  },
  {
    id: 'none',
    check: 'spark',
    per: 'cylinder',
    present: 'no spark here while others have it',
    absent: 'spark here',
    leak: 0.004,
    measured: 'none',
    fits: many
  },
  {
    id: 'weak',
    check: 'spark',
    per: 'cylinder',
    present: 'its spark is weak',
    absent: 'its spark is not weak',
    leak: 0.02,
    measured: 'weak'
  },
  {
    id: 'lanyard-out',
    check: 'lanyard',
    present: 'the lanyard was out or the switch off',
    absent: 'lanyard in, switch on run',
    leak: 0.02,
    reads: [{ item: 'spark.lanyard', present: ['no'] }]
  },
  {
    id: 'crank-slow',
    check: 'brisk',
    present: 'it was cranked slowly',
    absent: 'it cranks briskly, and still nothing',
    leak: 0.1,
    reads: [{ item: 'spark.brisk', present: ['no'] }]
  },
  {
    id: 'in-sun',
    check: 'shade',
    present: 'the spark was judged in sunlight',
    absent: 'the spark was judged in the shade',
    leak: 0.3,
    measured: 'in-sun'
  },
  {
    id: 'box-dead',
    check: 'supply',
    present: 'no volts at the ignition box',
    absent: 'volts at the ignition box',
    leak: 0.005,
    reads: [{ item: 'spark.supply', present: ['no'] }]
  },
  {
    id: 'ground-helps',
    check: 'ground-wire',
    present: 'spark returns with the tester on bright metal',
    absent: 'still none on bright metal',
    leak: 0.005,
    reads: [{ item: 'spark.groundWire', present: ['returns'] }]
  },
  {
    id: 'stop-helps',
    check: 'stop-wire',
    present: 'spark returns with the stop wire off',
    absent: 'still none with the stop wire off',
    leak: 0.003,
    reads: [{ item: 'spark.stopWire', present: ['returns'] }]
  },
  {
    id: 'moves-with-plug',
    check: 'plug-swap',
    present: 'the fault moves with the plug',
    absent: 'the fault stays when plugs are swapped',
    leak: 0.005,
    reads: [{ item: 'spark.plugSwap', present: ['moves'] }]
  },
  {
    id: 'moves-with-lead',
    check: 'lead-swap',
    present: 'the fault moves with the lead',
    absent: 'the fault stays when leads are swapped',
    leak: 0.005,
    reads: [{ item: 'spark.leadSwap', present: ['moves'] }]
  },
  {
    id: 'moves-with-coil',
    check: 'coil-swap',
    present: 'the fault moves with the coil',
    absent: 'the fault stays when coils are swapped',
    leak: 0.005,
    reads: [{ item: 'spark.coilSwap', present: ['moves'] }]
  },
  {
    id: 'cleaning-helps',
    check: 'points-clean',
    present: 'spark returns with cleaned points',
    absent: 'still none with cleaned points',
    leak: 0.005,
    reads: [{ item: 'spark.pointsClean', present: ['returns'] }],
    fits: points
  },
  {
    id: 'points-oxidised',
    check: 'points-look',
    per: 'cylinder',
    present: 'the points are oxidised or oily',
    absent: 'the points are bright',
    leak: 0.05,
    measured: 'points-oxidised',
    fits: points
  },
  {
    id: 'points-pitted',
    check: 'points-look',
    per: 'cylinder',
    present: 'the points are pitted',
    absent: 'the points are not pitted',
    leak: 0.03,
    reads: [{ item: 'spark.pointsLook', present: ['pitted'] }],
    fits: points
  },
  {
    id: 'block-worn',
    check: 'points-look',
    present: 'the rub block is worn or dry',
    absent: 'the rub block is greased',
    leak: 0.05,
    reads: [{ item: 'spark.rubBlock', present: ['worn', 'dry'] }],
    fits: points
  },
  {
    id: 'condenser-helps',
    check: 'condenser',
    present: 'spark returns with another condenser',
    absent: 'still none with another condenser',
    leak: 0.005,
    reads: [{ item: 'spark.condenserSwap', present: ['returns'] }],
    fits: points
  },
  {
    id: 'key-shifted',
    check: 'key',
    present: 'the flywheel mark has shifted',
    absent: 'the flywheel mark is where it belongs',
    leak: 0.003,
    reads: [{ item: 'spark.keyLook', present: ['sheared'] }]
  },
  {
    id: 'timing-off',
    check: 'timing',
    present: 'the timing is off',
    absent: 'the timing is as the manual asks',
    leak: 0.02,
    measured: 'timing'
  },
  {
    id: 'winding-out',
    check: 'windings',
    present: 'a winding is outside its figure',
    absent: 'the windings are within their figures',
    leak: 0.02,
    measured: 'windings'
  },
  {
    id: 'winding-hot',
    check: 'windings',
    present: 'a winding rises more than copper does when warm',
    absent: 'warm windings rise as copper does',
    leak: 0.01,
    measured: 'windings-hot'
  },
  {
    id: 'charge-dead',
    check: 'peak-volts',
    present: 'the charge coil is outside its figure',
    absent: 'the charge coil is within its figure',
    leak: 0.01,
    reads: [{ item: 'spark.chargeTest', present: ['outside'] }]
  },
  {
    id: 'trigger-dead',
    check: 'peak-volts',
    present: 'the trigger is outside its figure',
    absent: 'the trigger is within its figure',
    leak: 0.01,
    reads: [{ item: 'spark.triggerTest', present: ['outside'] }]
  },
  {
    id: 'pack-helps',
    check: 'pack',
    present: 'spark returns with another power pack',
    absent: 'still none with another power pack',
    leak: 0.003,
    reads: [{ item: 'spark.packSwap', present: ['returns'] }]
  },
  // Compression.
  {
    id: 'low',
    check: 'compression',
    per: 'cylinder',
    present: 'its compression is low',
    absent: 'its compression is with the best',
    leak: 0.01,
    measured: 'low'
  },
  {
    id: 'low-all',
    check: 'compression',
    present: 'compression is low all over, and even',
    absent: 'compression is not low all over',
    leak: 0.02,
    measured: 'low-all',
    fits: many
  },
  {
    id: 'low-again',
    check: 'compression-again',
    per: 'cylinder',
    present: 'low again when repeated properly',
    absent: 'it came up when repeated',
    leak: 0.01,
    measured: 'low-again'
  },
  {
    id: 'throttle-shut',
    check: 'compression-again',
    present: 'the throttle was not open',
    absent: 'the throttle was open',
    leak: 0.05,
    measured: 'throttle'
  },
  {
    id: 'gauge-long',
    check: 'compression-again',
    present: 'the gauge adds volume at the plug',
    absent: 'the gauge seats at the plug',
    leak: 0.1,
    measured: 'adapter'
  },
  {
    id: 'order-tired',
    check: 'compression-again',
    present: 'the low ones came last, volts or speed falling',
    absent: 'the order of testing does not explain it',
    leak: 0.05,
    measured: 'order'
  },
  {
    id: 'bores-dry',
    check: 'compression-again',
    present: 'the bores were dry after years',
    absent: 'the bores were not dry',
    leak: 0.4,
    measured: 'bores'
  },
  {
    id: 'needle-falls',
    check: 'compression-again',
    present: 'the needle falls back',
    absent: 'the needle stays',
    leak: 0.01,
    measured: 'falls'
  },
  {
    id: 'wet-rises',
    check: 'wet',
    per: 'cylinder',
    present: 'it rises wet beyond the oil’s own volume',
    absent: 'it rises wet no more than the oil explains',
    leak: 0.03,
    measured: 'wet'
  },
  {
    id: 'all-rise-wet',
    check: 'wet',
    present: 'all rise together with oil',
    absent: 'they do not all rise together with oil',
    leak: 0.02,
    measured: 'wet-all',
    fits: many
  },
  {
    id: 'leaks',
    check: 'leak-down',
    per: 'cylinder',
    present: 'it leaks down',
    absent: 'it is tight in leak-down',
    leak: 0.02,
    measured: 'leakdown'
  },
  {
    id: 'air-valve',
    check: 'leak-down',
    per: 'cylinder',
    present: 'air comes out at intake or exhaust',
    absent: 'no air at intake or exhaust',
    leak: 0.01,
    measured: 'air-valve',
    fits: four
  },
  {
    id: 'air-crankcase',
    check: 'leak-down',
    per: 'cylinder',
    present: 'air comes out at the crankcase',
    absent: 'no air at the crankcase',
    leak: 0.01,
    measured: 'air-crankcase'
  },
  {
    id: 'air-gasket',
    check: 'leak-down',
    per: 'cylinder',
    present: 'air comes out at its neighbour or the head’s edge',
    absent: 'no air at its neighbour',
    leak: 0.004,
    measured: 'air-gasket'
  },
  {
    id: 'air-water',
    check: 'leak-down',
    per: 'cylinder',
    present: 'bubbles in the cooling water',
    absent: 'no bubbles in the cooling water',
    leak: 0.003,
    measured: 'air-water'
  },
  {
    id: 'no-lash',
    check: 'lash',
    per: 'cylinder',
    present: 'a valve has no lash',
    absent: 'the valves have lash',
    leak: 0.01,
    measured: 'lash',
    fits: four
  }
];
