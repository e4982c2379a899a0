import type { Check } from './shape.ts';

const two = { strokes: ['two'] };
const four = { strokes: ['four'] };
const shifts = { shift: ['shift'] };
const starter = { starting: ['electric', 'both'] };
const pump = { supply: ['bulb'] };
const carburettor = { fuelSystem: ['carburettor'] };
const noSpark = ['none-all', 'none'];

/** What can be looked at, with minutes of hands; set-up that several share is counted once. C: common practice. */
export const checks: readonly Check[] = [
  { id: 'look', title: 'Look it over, cowl to skeg', station: 'look', minutes: 10, made: ['look.case'] },
  { id: 'hub-twist', title: 'Twist the propeller against the flywheel', station: 'look', minutes: 2 },
  { id: 'turn', title: 'Turn it by hand', station: 'turn', minutes: 2, made: ['turn.result'] },
  { id: 'bumps', title: 'Count the bumps', station: 'turn', minutes: 1, made: ['turn.bumps'], after: ['turn'] },
  {
    id: 'holes',
    title: 'Plug holes lowest: what comes out',
    station: 'turn',
    minutes: 4,
    setup: 'plugs-out',
    given: ['locked', 'drowned']
  },
  {
    id: 'lock',
    title: 'Take leg, gears and pinion out of it',
    station: 'turn',
    minutes: 15,
    made: ['turn.lockLeg'],
    given: ['locked'],
    after: ['turn']
  },
  {
    id: 'depth',
    title: 'Piston depths at top',
    station: 'turn',
    minutes: 2,
    perCylinder: 5,
    setup: 'plugs-out',
    after: ['turn'],
    given: ['ran-under', 'tight']
  },
  { id: 'shift', title: 'Shift through by hand', station: 'turn', minutes: 5, fits: shifts },
  { id: 'plugs', title: 'Plugs out and read', station: 'plugs', minutes: 8 },
  {
    id: 'starter',
    title: 'Battery and starter under load',
    station: 'plugs',
    minutes: 5,
    made: ['plugs.starterCircuit', 'plugs.starterDirect', 'plugs.volts'],
    needs: 'crank',
    fits: starter,
    after: ['turn']
  },
  {
    id: 'volts-walk',
    title: 'Volts in four places',
    station: 'plugs',
    minutes: 8,
    made: ['plugs.voltsEnd'],
    fits: starter,
    given: ['starter-dead', 'volts-low']
  },
  {
    id: 'rope',
    title: 'Pull the rope, look at its dog',
    station: 'plugs',
    minutes: 2,
    fits: { starting: ['rope', 'both'] }
  },
  {
    id: 'spark',
    title: 'Spark, every cylinder',
    station: 'spark',
    minutes: 5,
    made: ['spark.result'],
    perCylinder: 1,
    needs: 'crank',
    after: ['turn']
  },
  { id: 'lanyard', title: 'Lanyard in, switch on run', station: 'spark', minutes: 1, given: noSpark },
  {
    id: 'brisk',
    title: 'Spark again, cranked faster',
    station: 'spark',
    minutes: 3,
    given: noSpark,
    needs: 'crank',
    again: true
  },
  {
    id: 'shade',
    title: 'Spark again, in the shade',
    station: 'spark',
    minutes: 3,
    given: ['weak'],
    needs: 'crank',
    again: true
  },
  {
    id: 'supply',
    title: 'Volts at the ignition box',
    station: 'spark',
    minutes: 2,
    given: ['none-all'],
    fits: { ignition: ['digital', 'coil-on-plug'] }
  },
  { id: 'ground-wire', title: 'Tester on bright metal', station: 'spark', minutes: 2, given: noSpark, needs: 'crank' },
  {
    id: 'stop-wire',
    title: 'Stop wire off, spark again',
    station: 'spark',
    minutes: 3,
    given: ['none-all'],
    needs: 'crank'
  },
  {
    id: 'plug-swap',
    title: 'Swap its plug with a good one',
    station: 'spark',
    minutes: 3,
    given: ['none', 'weak'],
    needs: 'crank'
  },
  {
    id: 'lead-swap',
    title: 'Swap its lead with a good one',
    station: 'spark',
    minutes: 5,
    given: ['none', 'weak'],
    needs: 'crank'
  },
  {
    id: 'coil-swap',
    title: 'Swap its coil with a good one',
    station: 'spark',
    minutes: 15,
    given: ['none', 'weak'],
    needs: 'crank'
  },
  {
    id: 'points-clean',
    title: 'Clean the points and try again',
    station: 'spark',
    minutes: 20,
    given: [...noSpark, 'weak'],
    fits: { ignition: ['points'] }
  },
  {
    id: 'points-look',
    title: 'Look at the points, gap and rub block',
    station: 'spark',
    minutes: 10,
    made: ['spark.pointsLook'],
    fits: { ignition: ['points'] }
  },
  {
    id: 'condenser',
    title: 'Try a known good condenser',
    station: 'spark',
    minutes: 20,
    given: [...noSpark, 'weak'],
    fits: { ignition: ['points'] }
  },
  {
    id: 'key',
    title: 'Flywheel mark against the crank',
    station: 'spark',
    minutes: 10,
    given: ['none-all', 'timing-off', 'kicks']
  },
  {
    id: 'timing',
    title: 'Timing at idle by the marks',
    station: 'spark',
    minutes: 8,
    made: ['spark.timing'],
    after: ['spark']
  },
  {
    id: 'windings',
    title: 'Resistances against the manual, cold and warm',
    station: 'spark',
    minutes: 15,
    made: ['spark.primary'],
    given: [...noSpark, 'weak', 'dies-hot']
  },
  {
    id: 'peak-volts',
    title: 'Peak volts of charge coil and trigger',
    station: 'spark',
    minutes: 20,
    made: ['spark.chargeTest'],
    given: noSpark,
    fits: { ignition: ['cdi', 'digital', 'coil-on-plug'] }
  },
  {
    id: 'pack',
    title: 'Try a known good power pack',
    station: 'spark',
    minutes: 30,
    given: noSpark,
    fits: { ignition: ['cdi', 'digital', 'coil-on-plug'] }
  },
  {
    id: 'compression',
    title: 'Compression, every cylinder',
    station: 'compression',
    minutes: 6,
    perCylinder: 2,
    needs: 'crank',
    setup: 'plugs-out',
    after: ['turn']
  },
  {
    id: 'compression-again',
    title: 'Measure the compression again',
    station: 'compression',
    minutes: 4,
    perCylinder: 1,
    needs: 'crank',
    setup: 'plugs-out',
    given: ['low', 'low-all'],
    again: true
  },
  {
    id: 'wet',
    title: 'Wet test with a measured dose',
    station: 'compression',
    minutes: 4,
    needs: 'crank',
    setup: 'plugs-out',
    given: ['low', 'low-all']
  },
  {
    id: 'leak-down',
    title: 'Leak-down, and where the air comes out',
    station: 'compression',
    minutes: 15,
    made: ['compression.leakdown'],
    setup: 'plugs-out',
    after: ['compression']
  },
  {
    id: 'lash',
    title: 'Valve lash',
    station: 'compression',
    minutes: 20,
    made: ['compression.lashIn'],
    fits: four,
    given: ['low', 'air-valve']
  },
  {
    id: 'bore-light',
    title: 'Light into the bores',
    station: 'plugs',
    minutes: 3,
    made: ['plugs.hole'],
    setup: 'plugs-out'
  },
  {
    id: 'crankcase',
    title: 'Crankcase: spits back, weak on one',
    station: 'run',
    minutes: 15,
    fits: two,
    setup: 'running',
    after: ['run']
  },
  { id: 'gear-crack', title: 'Lower gear plug a crack open', station: 'gear', minutes: 4 },
  {
    id: 'gear-drain',
    title: 'Drain and measure the gear oil, look at the magnet',
    station: 'gear',
    minutes: 20,
    made: ['gear.look']
  },
  {
    id: 'magnet',
    title: 'Wipe the magnet and name what is on it',
    station: 'gear',
    minutes: 2,
    setup: 'case-empty',
    fits: { magnet: ['drain', 'level'] }
  },
  {
    id: 'case-test',
    title: 'Case test, low then high, shafts turned',
    station: 'gear',
    minutes: 15,
    made: ['gear.pressureTest'],
    setup: 'case-empty',
    after: ['gear-crack']
  },
  {
    id: 'soap',
    title: 'Soapy water: where it bubbles',
    station: 'gear',
    minutes: 5,
    made: ['gear.caseBubbles'],
    setup: 'case-empty',
    given: ['case-leaks']
  },
  { id: 'tank', title: 'Look into the tank', station: 'fuel', minutes: 1 },
  { id: 'jar', title: 'Fuel into a clear jar', station: 'fuel', minutes: 4, made: ['fuel.jar'] },
  { id: 'bulb', title: 'Squeeze the bulb', station: 'fuel', minutes: 2, fits: pump },
  { id: 'vent', title: 'Tank vent and tap', station: 'fuel', minutes: 1, made: ['fuel.vent'] },
  {
    id: 'fuel-line',
    title: 'Along the fuel line: hose, couplings, filters',
    station: 'fuel',
    minutes: 10,
    made: ['fuel.filter']
  },
  { id: 'floods', title: 'Bulb firm: does it flood?', station: 'fuel', minutes: 3, fits: { ...pump, ...carburettor } },
  { id: 'choke', title: 'Move choke and primer by hand', station: 'fuel', minutes: 3, fits: carburettor },
  {
    id: 'revived',
    title: 'Squeeze the bulb while it dies',
    station: 'fuel',
    minutes: 5,
    given: ['dies'],
    fits: pump,
    needs: 'start'
  },
  {
    id: 'portable',
    title: 'Run it on a portable tank',
    station: 'fuel',
    minutes: 10,
    given: ['dies', 'no-start', 'bulb-flat', 'bulb-soft'],
    fits: pump,
    needs: 'start'
  },
  {
    id: 'choke-only',
    title: 'Does it run on choke only?',
    station: 'fuel',
    minutes: 5,
    given: ['dies', 'ran-badly'],
    fits: carburettor,
    needs: 'start'
  },
  {
    id: 'pickup',
    title: 'Pick-up screen and anti-siphon valve',
    station: 'fuel',
    minutes: 15,
    given: ['dies', 'bulb-flat', 'vacuum-high', 'no-start']
  },
  { id: 'fuel-pump', title: 'Pump it by hand: pulses and holds', station: 'fuel', minutes: 10, fits: pump },
  {
    id: 'vacuum',
    title: 'Line vacuum at the pump, at speed',
    station: 'fuel',
    minutes: 10,
    made: ['fuel.vacuumSpeed'],
    given: ['dies', 'bulb-flat'],
    fits: pump,
    needs: 'start'
  },
  { id: 'bowl', title: 'Bowl or vapour separator off', station: 'fuel', minutes: 15, made: ['fuel.bowlLook'] },
  { id: 'mix', title: 'Mixture in use, oil in the fuel', station: 'fuel', minutes: 3, fits: two },
  {
    id: 'screen',
    title: 'Intake screens, and the age of the impeller',
    station: 'cooling',
    minutes: 5,
    made: ['cooling.screen']
  },
  {
    id: 'outlet',
    title: 'Probe the stream outlet',
    station: 'cooling',
    minutes: 10,
    given: ['stream-weak', 'stream-none'],
    fits: { indicator: ['fitted'] }
  },
  {
    id: 'second-thermometer',
    title: 'Temperature again, same spot, second thermometer',
    station: 'run',
    minutes: 5,
    setup: 'running',
    given: ['hot', 'lamp', 'banks-differ'],
    again: true,
    needs: 'start'
  },
  {
    id: 'in-tank',
    title: 'Stream again, in a tank',
    station: 'cooling',
    minutes: 10,
    given: ['stream-weak', 'stream-none'],
    again: true,
    needs: 'start'
  },
  {
    id: 'pump',
    title: 'Open the water pump',
    station: 'cooling',
    minutes: 45,
    made: ['cooling.set', 'cooling.cracked', 'cooling.missing']
  },
  {
    id: 'drill',
    title: 'Drill test of the pump',
    station: 'cooling',
    minutes: 5,
    made: ['cooling.drill'],
    setup: 'leg-off',
    after: ['pump']
  },
  {
    id: 'thermostat',
    title: 'Thermostat in a pan',
    station: 'cooling',
    minutes: 30,
    made: ['cooling.thermostatPan', 'cooling.thermostatOpens'],
    fits: { thermostat: ['fitted'] }
  },
  {
    id: 'dip',
    title: 'Dip the engine oil twice, look and smell',
    station: 'oil',
    minutes: 3,
    made: ['oil.dip', 'oil.dipAt'],
    fits: four
  },
  {
    id: 'dip-again',
    title: 'Dip again, upright and level, after a wait',
    station: 'oil',
    minutes: 3,
    fits: four,
    given: ['oil-above', 'oil-below'],
    again: true
  },
  {
    id: 'oil-drain',
    title: 'Oil filter and its old seal',
    station: 'oil',
    minutes: 5,
    made: ['oil.filter'],
    fits: four
  },
  {
    id: 'run',
    title: 'First run on water, watched',
    station: 'run',
    minutes: 20,
    made: ['run.outcome', 'run.event'],
    needs: 'start',
    setup: 'running',
    after: ['turn', 'spark', 'jar']
  },
  {
    id: 'run-again',
    title: 'Look again after the run: plug, smoke, leaks',
    station: 'run',
    minutes: 5,
    needs: 'start',
    after: ['run']
  },
  {
    id: 'charge',
    title: 'Volts at the battery while it runs',
    station: 'run',
    minutes: 3,
    needs: 'start',
    fits: starter,
    setup: 'running',
    after: ['run']
  }
];
