import type { SignKind } from './shape.ts';

const four = { strokes: ['four'] };
const two = { strokes: ['two'] };
const starter = { starting: ['electric', 'both'] };

/** What the engine oil and the first run show. Leaks are estimates, from memory (M). */
export const oilAndRunSigns: readonly SignKind[] = [
  {
    id: 'oil-above',
    check: 'dip',
    present: 'the oil stands above the mark',
    absent: 'the oil does not stand above the mark',
    leak: 0.02,
    measured: 'oil-above',
    fits: four
  },
  {
    id: 'oil-below',
    check: 'dip',
    present: 'the oil stands below the mark',
    absent: 'the oil does not stand below the mark',
    leak: 0.02,
    measured: 'oil-below',
    fits: four
  },
  {
    id: 'oil-pressure-low',
    check: 'oil-gauge',
    present: 'the gauge shows too little oil pressure',
    absent: 'the gauge shows oil pressure enough',
    leak: 0.005,
    measured: 'oil-pressure',
    findings: ['oil.pressure'],
    fits: four
  },
  {
    id: 'dip-moves',
    check: 'dip-again',
    present: 'the second dip differs from the first',
    absent: 'two level dips agree',
    leak: 0.05,
    measured: 'dip-moves',
    fits: four
  },
  {
    id: 'oil-milky',
    check: 'dip',
    present: 'the engine oil is milky',
    absent: 'the engine oil is not milky',
    leak: 0.003,
    reads: [{ item: 'oil.look', present: ['milky'] }],
    fits: four
  },
  {
    id: 'oil-fuel',
    check: 'dip',
    present: 'the engine oil smells of fuel or is thin',
    absent: 'the engine oil does not smell of fuel',
    leak: 0.02,
    measured: 'oil-fuel',
    fits: four
  },
  {
    id: 'seal-doubled',
    check: 'oil-drain',
    present: 'the old filter seal is still on',
    absent: 'no old filter seal',
    leak: 0.005,
    reads: [{ item: 'oil.filter', present: ['stuck'] }],
    fits: four
  },
  {
    id: 'no-start',
    check: 'run',
    present: 'it does not start',
    absent: 'it starts',
    leak: 0.02,
    measured: 'no-start',
    reads: [{ item: 'run.outcome', present: ['failed'] }],
    findings: ['run.failed']
  },
  {
    id: 'ran-badly',
    check: 'run',
    present: 'it was stopped early',
    absent: 'it ran and settled',
    leak: 0.06,
    measured: 'ran-badly',
    findings: ['run.stopped']
  },
  {
    id: 'dies',
    check: 'run',
    present: 'it dies after running a little',
    absent: 'it keeps running',
    leak: 0.02,
    measured: 'dies',
    findings: ['fuel.dies', 'fuel.starved', 'run.died']
  },
  {
    id: 'lamp',
    check: 'run',
    present: 'a lamp or horn came on while it was warm',
    absent: 'no lamp came on',
    leak: 0.01,
    measured: 'lamp',
    findings: ['run.lamp']
  },
  {
    id: 'lamp-cold',
    check: 'run',
    present: 'a lamp or horn came on while the head was cool',
    absent: 'no lamp came on',
    leak: 0.01,
    measured: 'lamp-cold',
    findings: ['run.lamp-cool']
  },
  {
    id: 'smoke',
    check: 'run-again',
    present: 'smoke keeps coming',
    absent: 'no lasting smoke',
    leak: 0.02,
    reads: [{ item: 'run.smoke', present: ['keeps'] }]
  },
  {
    id: 'plug-wet-after',
    check: 'run-again',
    present: 'water on a plug after the run',
    absent: 'the plug is dry after the run',
    leak: 0.003,
    reads: [{ item: 'run.plugAfter', present: ['wet'] }],
    findings: ['run.plug-wet']
  },
  {
    id: 'leaks-oil',
    check: 'run-again',
    present: 'it leaks oil',
    absent: 'it leaks no oil',
    leak: 0.02,
    measured: 'leak-untraced',
    reads: [{ item: 'run.leaks', present: ['oil'] }]
  },
  {
    id: 'leaks-fuel',
    check: 'run-again',
    present: 'it leaks fuel',
    absent: 'it leaks no fuel',
    leak: 0.01,
    measured: 'leak-untraced',
    reads: [{ item: 'run.leaks', present: ['fuel'] }]
  },
  {
    id: 'spits',
    check: 'run',
    present: 'it spits back, idles poorly, one cylinder weak',
    absent: 'it idles evenly',
    leak: 0.02,
    reads: [{ item: 'run.idles', present: ['spits'] }],
    findings: ['run.spits']
  },
  {
    id: 'air-drawn',
    check: 'mist',
    present: 'wetted at its intake joints it idles otherwise',
    absent: 'mist at its intake joints changes nothing',
    leak: 0.01,
    reads: [{ item: 'run.air', present: ['changes'] }],
    findings: ['run.air']
  },
  {
    id: 'crankcase-falls',
    check: 'crankcase',
    present: 'a crankcase does not hold its pressure',
    absent: 'every crankcase holds its pressure',
    leak: 0.005,
    measured: 'crankcases',
    findings: ['compression.crankcase'],
    fits: two
  },
  {
    id: 'noise-head',
    check: 'run',
    present: 'it knocks deep in the power head',
    absent: 'no noise in the power head',
    leak: 0.004,
    reads: [{ item: 'run.noise', present: ['head'] }],
    findings: ['run.noise']
  },
  {
    id: 'noise-valves',
    check: 'run',
    present: 'it ticks under the valve cover',
    absent: 'no noise under the valve cover',
    leak: 0.02,
    reads: [{ item: 'run.noise', present: ['valves'] }],
    findings: ['run.noise'],
    fits: four
  },
  {
    id: 'noise-leg',
    check: 'run',
    present: 'the leg makes a noise in gear',
    absent: 'no noise in the leg',
    leak: 0.006,
    reads: [{ item: 'run.noise', present: ['leg'] }],
    findings: ['run.noise']
  },
  {
    id: 'kicks',
    check: 'run',
    present: 'it kicks back',
    absent: 'it does not kick back',
    leak: 0.01,
    reads: [{ item: 'run.idles', present: ['kicks'] }],
    findings: ['run.kicks']
  },
  {
    id: 'shakes',
    check: 'run',
    present: 'it shakes',
    absent: 'it does not shake',
    leak: 0.02,
    reads: [{ item: 'run.idles', present: ['shakes'] }],
    findings: ['run.shakes']
  },
  {
    id: 'no-drop',
    check: 'drop',
    per: 'cylinder',
    present: 'shorted out, it makes no difference',
    absent: 'shorted out, the speed falls',
    leak: 0.02,
    reads: [{ item: 'run.drop', present: ['same'] }],
    findings: ['run.no-work'],
    fits: { cylinders: ['many'] }
  },
  {
    id: 'dies-hot',
    check: 'run',
    present: 'it dies when warm and returns cold',
    absent: 'it does not die when warm',
    leak: 0.01,
    reads: [{ item: 'run.idles', present: ['hot'] }],
    findings: ['run.dies-warm']
  },
  {
    id: 'no-charge',
    check: 'charge',
    present: 'the battery is not charged',
    absent: 'the battery is charged',
    leak: 0.02,
    measured: 'charge',
    findings: ['run.undercharge'],
    fits: starter
  },
  {
    id: 'overcharges',
    check: 'charge',
    present: 'the battery is overcharged',
    absent: 'the battery is not overcharged',
    leak: 0.002,
    measured: 'overcharge',
    findings: ['run.overcharge'],
    fits: starter
  }
];
