import type { SignKind } from './shape.ts';

const pump = { supply: ['bulb'] };

/** What the walk around and the gear case show. Leaks are estimates, from memory (M). */
export const lookAndGearSigns: readonly SignKind[] = [
  {
    id: 'nest',
    check: 'look',
    present: 'a nest under the cowl',
    absent: 'no nest under the cowl',
    leak: 0.02,
    reads: [{ item: 'look.cowl', present: ['nest'] }]
  },
  {
    id: 'wires-bad',
    check: 'look',
    present: 'wires chewed or chafed',
    absent: 'the wiring is whole',
    leak: 0.02,
    reads: [{ item: 'look.wiring', present: ['chewed'] }]
  },
  {
    id: 'connectors',
    check: 'look',
    present: 'connectors corroded',
    absent: 'connectors clean',
    leak: 0.15,
    reads: [{ item: 'look.wiring', present: ['corroded'] }]
  },
  {
    id: 'fuse-blown',
    check: 'look',
    present: 'the main fuse is blown',
    absent: 'the main fuse is whole',
    leak: 0.005,
    reads: [{ item: 'look.wiring', present: ['fuse'] }]
  },
  {
    id: 'hoses-hard',
    check: 'look',
    present: 'hoses hard or cracked',
    absent: 'hoses supple',
    leak: 0.03,
    reads: [
      { item: 'look.hoses', present: ['hard', 'cracked'] },
      { item: 'fuel.hose', present: ['hard'] }
    ]
  },
  {
    id: 'bulb-old',
    check: 'look',
    present: 'the bulb is hard or cracked',
    absent: 'the bulb springs back',
    leak: 0.02,
    reads: [{ item: 'look.bulb', present: ['hard', 'cracked'] }],
    fits: pump
  },
  {
    id: 'strainer-clogged',
    check: 'look',
    present: 'the strainer is clogged',
    absent: 'the strainer is clear',
    leak: 0.02,
    reads: [
      { item: 'look.strainer', present: ['clogged'] },
      { item: 'cooling.strainer', present: ['blocked'] }
    ]
  },
  {
    id: 'swivel-stiff',
    check: 'look',
    present: 'swivel or tilt is stiff',
    absent: 'swivel and tilt are free',
    leak: 0.03,
    reads: [{ item: 'look.swivel', present: ['stiff', 'seized'] }]
  },
  {
    id: 'mounts-bad',
    check: 'look',
    present: 'a mount is soft or torn',
    absent: 'the mounts are sound',
    leak: 0.02,
    reads: [{ item: 'look.mounts', present: ['soft'], open: ['cracked'] }]
  },
  {
    id: 'bracket-cracked',
    check: 'look',
    present: 'the bracket is cracked',
    absent: 'the bracket is whole',
    leak: 0.002,
    reads: [{ item: 'look.mounts', present: ['cracked'] }]
  },
  {
    id: 'anodes-gone',
    check: 'look',
    present: 'the anodes are going or gone',
    absent: 'the anodes are good',
    leak: 0.05,
    reads: [{ item: 'look.anodes', present: ['half', 'gone', 'painted'] }]
  },
  {
    id: 'propeller-bent',
    check: 'look',
    present: 'a propeller blade is bent',
    absent: 'the propeller is true',
    leak: 0.03,
    reads: [{ item: 'look.propeller', present: ['bent'] }]
  },
  {
    id: 'hub-oil',
    check: 'look',
    present: 'gear oil or cream at the hub',
    absent: 'no gear oil at the hub',
    leak: 0.01,
    reads: [{ item: 'look.hub', present: ['oil', 'cream'] }]
  },
  {
    id: 'case-line',
    check: 'look',
    present: 'a stain along a line on case or skeg',
    absent: 'no crack to be seen on the case',
    leak: 0.005,
    reads: [
      { item: 'look.case', present: ['stain'] },
      { item: 'look.skeg', present: ['cracked'] }
    ]
  },
  {
    id: 'crack-deep',
    check: 'crack-dye',
    present: 'dye goes into the metal of case or skeg',
    absent: 'dye stays in the paint',
    leak: 0.002,
    reads: [
      { item: 'gear.dyeCase', present: ['metal', 'through'] },
      { item: 'gear.dyeSkeg', present: ['through'], open: ['metal'] }
    ]
  },
  {
    id: 'linkage-bad',
    check: 'look',
    present: 'the linkage is stiff or worn',
    absent: 'the linkage is free',
    leak: 0.1,
    reads: [{ item: 'look.linkage', present: ['stiff', 'worn'] }]
  },
  {
    id: 'odd-leg',
    check: 'look',
    present: 'the leg does not belong to the power head',
    absent: 'the leg belongs to the power head',
    leak: 0.005,
    measured: 'odd-leg'
  },
  {
    id: 'hub-slips',
    check: 'hub-twist',
    present: 'the propeller hub slips',
    absent: 'the propeller hub holds',
    leak: 0.005,
    reads: [{ item: 'look.twist', present: ['slips'] }]
  },
  {
    id: 'gear-water',
    check: 'gear-crack',
    present: 'water or milk comes first',
    absent: 'oil comes first',
    leak: 0.005,
    measured: 'gear-water',
    reads: [{ item: 'gear.first', present: ['water', 'milky'] }]
  },
  {
    id: 'gear-milky',
    check: 'gear-drain',
    present: 'the gear oil is milky',
    absent: 'the gear oil is not milky',
    leak: 0.005,
    measured: 'gear-milky',
    reads: [{ item: 'gear.look', present: ['milky', 'creamy'] }]
  },
  {
    id: 'gear-low',
    check: 'gear-drain',
    present: 'little gear oil is in it',
    absent: 'the gear oil is all there',
    leak: 0.01,
    measured: 'gear-low'
  },
  {
    id: 'gear-burnt',
    check: 'gear-drain',
    present: 'the gear oil is burnt or full of metal',
    absent: 'the gear oil is not burnt',
    leak: 0.01,
    measured: 'gear-burnt'
  },
  {
    id: 'gear-metal',
    check: 'magnet',
    present: 'slivers or pieces on the magnet',
    absent: 'no slivers on the magnet',
    leak: 0.005,
    measured: 'gear-metal'
  },
  {
    id: 'case-leaks',
    check: 'case-test',
    present: 'the case leaks under test',
    absent: 'the case holds its test',
    leak: 0.01,
    measured: 'case',
    findings: ['gear.test', 'gear.test-nowhere', 'gear.test-inwards', 'gear.test-hidden', 'gear.test-not-seals']
  },
  {
    id: 'bubbles-propshaft',
    check: 'soap',
    present: 'bubbles at the propeller shaft',
    absent: 'no bubbles at the propeller shaft',
    leak: 0.003,
    measured: 'bubbles-propshaft'
  },
  {
    id: 'bubbles-carrier',
    check: 'soap',
    present: 'bubbles at the carrier',
    absent: 'no bubbles at the carrier',
    leak: 0.003,
    measured: 'bubbles-carrier'
  },
  {
    id: 'bubbles-driveshaft',
    check: 'soap',
    present: 'bubbles at the drive shaft',
    absent: 'no bubbles at the drive shaft',
    leak: 0.003,
    measured: 'bubbles-driveshaft'
  },
  {
    id: 'bubbles-cover',
    check: 'soap',
    present: 'bubbles at the seal cover',
    absent: 'no bubbles at the seal cover',
    leak: 0.003,
    measured: 'bubbles-cover'
  },
  {
    id: 'bubbles-shift',
    check: 'soap',
    present: 'bubbles at the shift shaft',
    absent: 'no bubbles at the shift shaft',
    leak: 0.003,
    measured: 'bubbles-shift'
  },
  {
    id: 'bubbles-plugs',
    check: 'soap',
    present: 'bubbles at the plugs',
    absent: 'no bubbles at the plugs',
    leak: 0.003,
    measured: 'bubbles-plugs'
  },
  {
    id: 'bubbles-housing',
    check: 'soap',
    present: 'bubbles at the housing itself',
    absent: 'no bubbles at the housing',
    leak: 0.002,
    measured: 'bubbles-housing'
  },
  {
    id: 'case-drifts',
    check: 'case-test',
    present: 'the case changed temperature during the test',
    absent: 'the case kept its temperature',
    leak: 0.02,
    measured: 'case-drifts'
  },
  {
    id: 'traces',
    check: 'look',
    present: 'earlier hands left traces',
    absent: 'no traces of earlier hands',
    leak: 0.3,
    measured: 'traces'
  }
];
