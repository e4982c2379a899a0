import type { SignKind } from './shape.ts';

/** What the hand turn, the plugs and the starter show. Leaks are estimates, from memory (M). */
export const turnSigns: readonly SignKind[] = [
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
    id: 'rough-head',
    check: 'rough',
    present: 'it is rough with gears, pinion and leg out of it: the power head',
    absent: 'what is rough is not the power head',
    leak: 0.02,
    measured: 'rough-head'
  },
  {
    id: 'rough-leg',
    check: 'rough',
    present: 'it is smooth with gears or leg out of it',
    absent: 'it is rough with the leg off all the same',
    leak: 0.01,
    measured: 'rough-leg'
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
    measured: 'pinion-frees'
  },
  {
    id: 'leg-frees',
    check: 'lock',
    present: 'it comes free with the leg off',
    absent: 'still locked with the leg off',
    leak: 0.005,
    measured: 'leg-frees'
  },
  {
    id: 'depth-low',
    check: 'depth',
    per: 'cylinder',
    present: 'its piston stands low at top',
    absent: 'its piston stands as high as the others',
    leak: 0.003,
    measured: 'depth',
    fits: { cylinders: ['many'] }
  },
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
    reads: [{ item: 'plugs.hole', present: ['scored'], open: ['debris', 'holed'] }]
  },
  {
    id: 'crown-holed',
    check: 'bore-light',
    per: 'cylinder',
    present: 'its crown is burnt or holed',
    absent: 'its crown is whole',
    leak: 0.002,
    reads: [{ item: 'plugs.hole', present: ['holed'], open: ['water', 'rust', 'debris', 'scored'] }]
  },
  {
    id: 'belt-bad',
    check: 'belt',
    present: 'the timing belt is cracked, slack or oily',
    absent: 'the timing belt is sound',
    leak: 0.005,
    reads: [{ item: 'turn.belt', present: ['cracked', 'slack', 'oily'] }],
    findings: ['turn.belt'],
    fits: { camDrive: ['belt!'] }
  },
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
  }
];
