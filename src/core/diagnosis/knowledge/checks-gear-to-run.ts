import type { Check } from './shape.ts';

const four = { strokes: ['four'] };
const starter = { starting: ['electric', 'both'] };

/** Gear case, cooling, engine oil and the first run. What can be looked at, with minutes of hands; set-up that several share is counted once. C: common practice. */
export const gearToRunChecks: readonly Check[] = [
  {
    id: 'gear-crack',
    title: 'Lower gear plug a crack open',
    station: 'gear',
    minutes: 4,
    // What came out whole was seen better than a crack shows it.
    made: ['gear.look', 'gear.drained']
  },
  {
    id: 'gear-drain',
    title: 'Drain and measure the gear oil, look for metal',
    station: 'gear',
    minutes: 20,
    made: ['gear.look']
  },
  {
    id: 'crack-dye',
    title: 'Dye on the line of case or skeg, on bare metal',
    station: 'gear',
    minutes: 10,
    made: ['gear.dyeCase', 'gear.dyeSkeg'],
    given: ['case-line'],
    within: ['crack-depth'],
    after: ['look']
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
    tries: ['run.second'],
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
    made: ['cooling.set', 'cooling.cracked', 'cooling.missing'],
    within: ['pump'],
    after: ['turn', 'spark', 'compression', 'gear-crack']
  },
  {
    id: 'drill',
    title: 'Drill test of the pump',
    station: 'cooling',
    minutes: 5,
    made: ['cooling.drill'],
    // What pumps under its own engine needs no drill.
    shown: [
      { item: 'run.stream', value: 'strong' },
      { item: 'cooling.stream', value: 'strong' }
    ],
    setup: 'leg-off',
    after: ['pump']
  },
  {
    id: 'thermostat',
    title: 'Thermostat in a pan',
    station: 'cooling',
    minutes: 30,
    made: ['cooling.thermostatPan', 'cooling.thermostatOpens'],
    fits: { thermostat: ['fitted'] },
    after: ['turn', 'spark', 'compression', 'gear-crack']
  },
  {
    id: 'passages',
    title: 'Water through the passages, the thermostat out',
    station: 'cooling',
    minutes: 10,
    made: ['cooling.passages'],
    given: ['hot', 'banks-differ']
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
    id: 'oil-gauge',
    title: 'Oil pressure by a gauge in place of its sender',
    station: 'oil',
    minutes: 30,
    made: ['oil.pressure'],
    given: ['lamp', 'lamp-cold'],
    within: ['oil-pressure', 'oil-pump'],
    needs: 'start',
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
    after: ['turn', 'spark', 'compression', 'gear-crack', 'jar', 'dip']
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
    id: 'mist',
    title: 'Mist at the intake joints while it idles',
    station: 'run',
    minutes: 3,
    needs: 'start',
    setup: 'running',
    given: ['spits', 'shakes'],
    made: ['run.air']
  },
  {
    id: 'drop',
    title: 'Short the cylinders out one by one',
    station: 'run',
    minutes: 5,
    needs: 'start',
    setup: 'running',
    given: ['shakes', 'spits'],
    made: ['run.drop'],
    fits: { cylinders: ['many'] }
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
