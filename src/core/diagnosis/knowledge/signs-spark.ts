import type { SignKind } from './shape.ts';

const many = { cylinders: ['many'] };
const points = { ignition: ['points'] };

/** What the spark and its trials show. Leaks are estimates, from memory (M). */
export const sparkSigns: readonly SignKind[] = [
  {
    id: 'none-all',
    check: 'spark',
    present: 'no spark on any cylinder',
    absent: 'there is spark',
    leak: 0.004,
    measured: 'none-all',
    findings: ['spark.all']
  },
  {
    id: 'none',
    check: 'spark',
    per: 'cylinder',
    present: 'no spark here while others have it',
    absent: 'spark here',
    leak: 0.004,
    measured: 'none',
    findings: ['spark.none'],
    fits: many
  },
  {
    id: 'weak',
    check: 'spark',
    per: 'cylinder',
    present: 'its spark is weak',
    absent: 'its spark is not weak',
    leak: 0.02,
    measured: 'weak',
    findings: ['spark.weak', 'spark.colour']
  },
  {
    id: 'lanyard-out',
    check: 'lanyard',
    present: 'the lanyard was out or the switch off',
    absent: 'lanyard in, switch on run',
    leak: 0.02,
    // With the stop wire off neither of them is in the circuit.
    reads: [
      { item: 'spark.lanyard', present: ['no'] },
      { item: 'spark.stopWire', present: [], open: ['returns'] }
    ]
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
    id: 'spark-warm',
    check: 'spark',
    present: 'it sparks cold and not warm',
    absent: 'it sparks warm as well as cold',
    leak: 0.005,
    measured: 'spark-warm',
    findings: ['spark.fails-warm', 'spark.fails-warm-all']
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
    id: 'bolt-only',
    check: 'bolt',
    present: 'it sparks to a bolt and not through the tester',
    absent: 'none to a bolt either',
    leak: 0.01,
    measured: 'bolt-only',
    findings: ['spark.ground']
  },
  {
    id: 'stop-helps',
    check: 'stop-wire',
    present: 'spark returns with the stop wire off',
    absent: 'still none with the stop wire off',
    leak: 0.003,
    reads: [{ item: 'spark.stopWire', present: ['returns'] }],
    findings: ['spark.stop']
  },
  {
    id: 'moves-with-plug',
    check: 'plug-swap',
    present: 'the fault moves with the plug',
    absent: 'the fault stays when plugs are swapped',
    leak: 0.005,
    measured: 'moves-with-plug'
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
    id: 'lead-damaged',
    check: 'coil-look',
    per: 'cylinder',
    present: 'its lead or cap is damaged or arcs',
    absent: 'its lead and cap look whole',
    leak: 0.005,
    measured: 'lead-damaged'
  },
  {
    id: 'coil-damaged',
    check: 'coil-look',
    per: 'cylinder',
    present: 'its coil is cracked or arcs',
    absent: 'its coil looks whole',
    leak: 0.005,
    measured: 'coil-damaged'
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
    reads: [{ item: 'spark.chargeTest', present: ['outside'] }],
    findings: ['spark.part-charge']
  },
  {
    id: 'trigger-dead',
    check: 'peak-volts',
    present: 'the trigger is outside its figure',
    absent: 'the trigger is within its figure',
    leak: 0.01,
    reads: [{ item: 'spark.triggerTest', present: ['outside'] }],
    findings: ['spark.part-trigger']
  },
  {
    id: 'pack-helps',
    check: 'pack',
    present: 'spark returns with another power pack',
    absent: 'still none with another power pack',
    leak: 0.003,
    reads: [{ item: 'spark.packSwap', present: ['returns'] }]
  }
];
