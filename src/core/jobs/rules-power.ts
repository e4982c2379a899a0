import type { Context } from '../findings/context.ts';
import { only, type StepRule } from './rule.ts';

const drowned = (c: Context): boolean => c.survey.assessment.kind === 'drowned';

/** Work at the power head and what comes before it, in the order practitioners do it. */
export const powerSteps: readonly StepRule[] = [
  {
    id: 'safe',
    title: 'Make it safe',
    raisedBy: ['safe.open'],
    how: 'Do what the finding names before a hand goes near the engine.',
    minutes: 10,
    hazards: ['lift', 'battery', 'propeller'],
    proof: { station: 'safe', text: 'lanyard, battery, propeller and stand recorded' }
  },
  {
    id: 'rinse',
    title: 'Rinse the salt out',
    also: drowned,
    met: (c) => ['yes', 'kept'].includes(String(c.record.value('safe.rinsed'))),
    how: 'Fresh water over and through it, connectors too. If work cannot start within hours, keep it under fresh water rather than in air.',
    tools: ['hose'],
    consumables: ['fresh water'],
    minutes: 15,
    hazards: ['battery'],
    proof: { station: 'safe', text: 'rinsed recorded' },
    after: ['safe']
  },
  {
    id: 'empty-cylinders',
    title: 'Plugs out, holes lowest, turn until no more water comes',
    raisedBy: ['turn.water', 'plugs.hole-water'],
    also: drowned,
    met: (c) => ['none', 'oil'].includes(String(c.record.value('turn.water'))),
    how: 'Fuel off, stop circuit off. Lay a four-stroke only on the side its maker allows. Turn by hand, in its direction, until only oil comes.',
    tools: ['plug wrench', 'tray'],
    minutes: 20,
    hazards: ['backfire', 'lift'],
    proof: { station: 'turn', text: 'nothing more out of the plug holes' },
    after: ['rinse']
  },
  {
    id: 'sump-water',
    title: 'Drain the sump, change oil and filter, cheap oil first',
    raisedBy: ['oil.milky'],
    also: (c) => drowned(c) && c.survey.engine.profile.strokes === 'four',
    met: (c) => c.record.value('oil.sump') === 'drained' && c.record.value('oil.look') !== 'milky',
    how: 'Before anything spins. What stays behind is about 15 % each time: two changes leave 2 %, three leave a third of a percent.',
    tools: ['drain pan', 'filter wrench'],
    parts: ['oil filter', 'drain washer'],
    consumables: ['engine oil for three changes'],
    minutes: 30,
    wait: 20,
    hazards: ['waste'],
    proof: { station: 'oil', text: 'sump drained, oil clean, two dips between the marks' },
    after: ['empty-cylinders']
  },
  {
    id: 'displace',
    title: 'Displace water with oil through plug holes and intake',
    also: drowned,
    met: (c) => c.record.value('turn.dried') === 'yes',
    how: 'Water-displacing oil in, turn, blow dry, repeat until clear. Air box and filter dried; connectors opened, dried, protected.',
    consumables: ['water-displacing oil', 'contact protection'],
    minutes: 30,
    wait: 30,
    hazards: ['eyes', 'air', 'chemicals'],
    proof: { station: 'turn', text: 'water displaced, turns smooth twice' },
    after: ['sump-water', 'empty-cylinders']
  },
  {
    id: 'soak',
    title: 'Soak the bores, wait a day, turn it again',
    raisedBy: ['turn.locked', 'turn.stiff', 'turn.gritty', 'turn.again', 'plugs.hole-rust'],
    how: 'Penetrating oil through the plug holes; neutral and starter pinion free; no force. Turned again the next day before it counts.',
    tools: ['plug wrench'],
    consumables: ['penetrating oil'],
    minutes: 10,
    wait: 1440,
    hazards: ['chemicals', 'backfire'],
    proof: { station: 'turn', text: 'free two days running, no grit, noise or play' },
    after: ['empty-cylinders']
  },
  {
    id: 'feel',
    title: 'Find the noise, play or tight spot',
    yieldsTo: ['overhaul'],
    raisedBy: ['turn.feel'],
    how: 'Propeller off, pinion out, belt off one after the other; then the bearings.',
    minutes: 30,
    hazards: ['flywheel'],
    proof: { station: 'turn', text: 'turns free, nothing felt' }
  },
  {
    id: 'bent-rod',
    title: 'Send the power head to a specialist',
    raisedBy: ['turn.depth'],
    how: 'A piston that stands low is a rod bent by water. Do not spin it; ask for a price, or keep it for parts.',
    minutes: 15,
    wait: 20160,
    hazards: ['lift'],
    proof: { station: 'turn', text: 'depths agree after the repair' }
  },
  {
    id: 'spark-repeat',
    title: 'Look at the spark again, properly',
    raisedBy: ['spark.lanyard', 'spark.sun', 'spark.slow'],
    how: 'Lanyard in, switch on run, plugs out, good battery, in the shade.',
    tools: ['spark tester'],
    minutes: 5,
    hazards: ['high-voltage', 'vapour'],
    proof: { station: 'spark', text: 'every cylinder looked at under these conditions' }
  },
  {
    id: 'compression-repeat',
    title: 'Repeat the compression test',
    raisedBy: [
      only('compression.low', 'watch'),
      'compression.spread',
      'compression.order',
      'compression.unlike',
      'compression.throttle',
      'compression.range',
      'compression.volts',
      'compression.adapter',
      'compression.adapter-size',
      'compression.falls',
      'compression.bores',
      'compression.missing'
    ],
    how: 'As the finding says: throttle wide open, charged battery, without the adapter, in the reverse order.',
    tools: ['compression gauge', 'plug wrench'],
    minutes: 8,
    hazards: ['vapour', 'high-voltage'],
    proof: { station: 'compression', text: 'like readings, repeated' }
  },
  {
    id: 'stop-circuit',
    title: 'Mend the stop circuit',
    raisedBy: ['spark.stop'],
    how: 'Follow the stop wire from the engine to the switch: chafed, chewed, grounded. Mend it, then prove that it still stops the engine.',
    tools: ['meter', 'crimp tool'],
    parts: ['wire', 'sleeve'],
    minutes: 40,
    hazards: ['high-voltage'],
    proof: { station: 'spark', text: 'good spark on every cylinder with the stop wire on' }
  },
  {
    id: 'spark-common',
    title: 'Isolate the common part of the ignition',
    yieldsTo: ['stop-circuit', 'ground', 'coil', 'points', 'wiring'],
    raisedBy: ['spark.all', 'spark.pair', 'spark.part'],
    how: 'Stop wire off first; then the parts the finding names, cheapest first, by resistance and peak volts against the manual.',
    tools: ['meter', 'peak-volt adapter', 'flywheel puller'],
    minutes: 60,
    hazards: ['high-voltage', 'flywheel'],
    proof: { station: 'spark', text: 'good spark on every cylinder' }
  },
  {
    id: 'spark-own',
    title: 'Swap plug and lead with a good cylinder',
    yieldsTo: ['plugs', 'coil'],
    raisedBy: [
      'spark.none',
      'spark.own',
      'spark.weak',
      'spark.gap',
      'spark.unsteady',
      'spark.colour',
      'spark.misses',
      only('spark.voltage', 'watch')
    ],
    how: 'The fault that moves with the part is the part. New plug if older than two seasons or wet with water.',
    tools: ['plug wrench', 'spark tester'],
    parts: ['spark plug', 'cap or lead if it moves'],
    minutes: 15,
    hazards: ['high-voltage'],
    proof: { station: 'spark', text: 'good spark on that cylinder' }
  },
  {
    id: 'coil',
    title: 'Renew the coil or winding',
    raisedBy: [...['primary', 'secondary', 'charge', 'trigger'].flatMap((w) => [`spark.${w}`, `spark.hot-${w}`])],
    how: 'Measured cold and warm first, at a temperature noted. Puller bolts not too deep; coils under a flywheel crack.',
    tools: ['meter', 'flywheel puller'],
    parts: ['coil'],
    minutes: 45,
    hazards: ['high-voltage', 'flywheel'],
    proof: { station: 'spark', text: 'within the manual’s range, cold and warm' }
  },
  {
    id: 'points',
    title: 'Clean, gap and time the points',
    raisedBy: ['spark.points', 'spark.points-gap', 'spark.rub-block', only('spark.timing', 'watch')],
    how: 'Paper, solvent, gap at the top of the cam, a smear on the rub block; pitted ones in sets with their condenser. Timing by the marks.',
    tools: ['feeler gauge', 'flywheel puller', 'timing light'],
    parts: ['points and condenser where pitted'],
    minutes: 45,
    hazards: ['flywheel', 'high-voltage'],
    proof: { station: 'spark', text: 'gap, resistance and timing as asked' }
  },
  {
    id: 'ground',
    title: 'Clean and tighten the engine ground',
    raisedBy: ['spark.ground'],
    how: 'Bright metal at both ends; clean the points where there are points.',
    tools: ['wire brush', 'spanners'],
    minutes: 20,
    proof: { station: 'spark', text: 'good through the tester' }
  },
  {
    id: 'leak-down',
    title: 'Wet test, then leak-down',
    yieldsTo: ['head-gasket', 'overhaul', 'valves', 'lash'],
    raisedBy: [only('compression.low', 'fault'), 'compression.figure', 'compression.neighbours'],
    met: (c) => c.record.all('compression.leakdown').length > 0,
    how: 'A measured dose of oil, about 1 mL per 100 mL swept, plug holes up, turned. Rises: rings or bore. Does not: valve, gasket, crown. Then air: where it comes out names the part. Flywheel locked.',
    tools: ['leak-down tester', 'syringe', 'flywheel lock'],
    consumables: ['engine oil'],
    minutes: 25,
    hazards: ['air', 'flywheel'],
    proof: { station: 'compression', text: 'the cause named, then the cylinders alike' },
    after: ['compression-repeat']
  },
  {
    id: 'lash',
    title: 'Set the valve lash, run, repeat the compression',
    raisedBy: ['compression.lash-intake', 'compression.lash-exhaust'],
    how: 'Cold, at the manual’s mark. A closed valve leaks like a burnt one: set it before anything is opened.',
    tools: ['feeler gauge'],
    minutes: 30,
    hazards: ['flywheel'],
    proof: { station: 'compression', text: 'lash within range, cylinders alike' }
  },
  {
    id: 'air-cause',
    title: 'Follow the air to its part',
    yieldsTo: ['overhaul', 'valves', 'soak', 'head-gasket', 'lash', 'water-in'],
    raisedBy: [only('compression.leakdown', 'fault')],
    how: 'Where the air comes out names the part. Rings that stood often free up: soak overnight and repeat before condemning.',
    tools: ['leak-down tester', 'flywheel lock'],
    minutes: 30,
    wait: 720,
    hazards: ['air', 'flywheel'],
    proof: { station: 'compression', text: 'leak-down under the watch band' },
    after: ['lash']
  },
  {
    id: 'head-gasket',
    title: 'Lift the head and renew the gasket',
    how: 'Only once leak-down or a wet test points there. Check flatness; bolts in the manual’s order.',
    tools: ['torque wrench', 'straight edge'],
    parts: ['head gasket'],
    minutes: 120,
    hazards: ['chemicals'],
    proof: { station: 'compression', text: 'the two neighbours alike with the rest' },
    after: ['leak-down']
  }
];
