import { workedOnSinceHot } from '../stations/cooling/seen.ts';
import { passages } from '../stations/cooling/passages.ts';
import { poorSincePump } from '../stations/cooling/supply.ts';
import { lampIsFalse } from '../stations/oil/pressure.ts';
import { only, type JobRule } from './job.ts';

/** Cooling water, from the screens to the outlet. */
export const cooling = {
  strainer: {
    title: 'Clean the water strainer',
    raisedBy: ['look.strainer', 'cooling.strainer'],
    how: 'The cowl is off: minutes now.',
    minutes: 5,
    proof: { station: 'look', text: 'strainer clear', reads: ['look.strainer', 'cooling.strainer'] },
    opens: ['cowl']
  },
  screen: {
    title: 'Clear the intake screens',
    raisedBy: ['cooling.screen'],
    how: 'Pick, brush, probe; paint scraped out of the slots.',
    tools: ['pick', 'brush'],
    minutes: 10,
    hazards: ['leg'],
    proof: { station: 'cooling', text: 'screens clear', reads: ['cooling.screen'] }
  },
  outlet: {
    title: 'Clear the stream outlet and its line',
    raisedBy: [only('cooling.outlet', 'fault')],
    met: (c) => c.record.value('cooling.outlet') === 'blocked',
    how: 'A wire up the outlet, then the hose off its nipple; hot water follows when it was blocked.',
    tools: ['soft wire'],
    minutes: 10,
    hazards: ['hot'],
    proof: { station: 'cooling', text: 'outlet clear, stream seen again', reads: ['cooling.outlet', 'cooling.stream'] }
  },
  pump: {
    title: 'Renew the water pump',
    // A bush that has rusted to its shaft is cut off: its impeller is renewed with it.
    raisedBy: [only('cooling.pump', 'fault', 'watch'), 'cooling.bush'],
    how: 'Mark the shift-rod joint, leg down, pump off. Washers photographed and checked against the manual; turned in the engine’s direction; key in; O-rings unpinched. Shift checked after.',
    tools: ['spanners', 'soft mallet'],
    parts: ['pump kit or impeller, as the finding says'],
    consumables: ['O-ring grease'],
    minutes: 60,
    hazards: ['leg', 'eyes'],
    renews: [
      { item: 'run.noise', answers: ['leg'] },
      'cooling.missing',
      'cooling.cracked',
      'cooling.set',
      'cooling.bush',
      'cooling.housing',
      'cooling.backward',
      'cooling.opened',
      'cooling.impellerAge',
      'cooling.drill'
    ],
    proof: {
      wants: { 'cooling.stream': 'strong' },
      station: 'cooling',
      text: 'pump opened, vanes and housing good; stream strong',
      reads: [
        'cooling.opened',
        'cooling.set',
        'cooling.cracked',
        'cooling.missing',
        'cooling.housing',
        'cooling.drill',
        'cooling.stream',
        'run.stream'
      ]
    },
    opens: ['leg'],
    uses: ['stand'],
    dirty: true,
    torque: ['torque.leg'],
    oneTime: ['pump gaskets', 'O-rings'],
    counts: ['impeller'],
    kit: true
  },
  pieces: {
    title: 'Find the missing vane pieces',
    raisedBy: ['cooling.pieces'],
    how: 'Housing outlet, water tube, thermostat pocket. Lay the pieces together until the impeller is whole.',
    tools: ['long pliers', 'light'],
    parts: ['thermostat gasket'],
    minutes: 30,
    hazards: ['hot'],
    proof: { station: 'cooling', text: 'all found', reads: ['cooling.found'] },
    after: ['pump'],
    opens: ['cowl'],
    daylight: true,
    oneTime: ['thermostat gasket']
  },
  hot: {
    title: 'Find why it ran hot',
    searches: true,
    yieldsTo: ['pump', 'thermostat', 'screen', 'descale', 'strainer', 'leg-water'],
    raisedBy: [
      only('cooling.hot', 'fault'),
      'cooling.rising',
      only('run.heat', 'fault'),
      only('run.banks', 'watch'),
      only('cooling.banks', 'watch')
    ],
    // It ran hot before the last work on its water: it is run again before anything more is looked for.
    // Everything that heats was looked at: there is nothing left to look for, and what is left is somebody else's question.
    unless: (c) => workedOnSinceHot(c) || passages(c).length > 0,
    how: 'Screens, pump, thermostat in a pan, passages; in this order.',
    tools: ['thermometer', 'pan'],
    parts: ['thermostat and gasket'],
    minutes: 60,
    hazards: ['hot'],
    proof: {
      station: 'cooling',
      text: 'head under its limit to the end of a run',
      reads: ['cooling.head', 'run.temperature']
    },
    after: ['pump', 'pieces', 'screen'],
    opens: ['cowl'],
    uses: ['tank'],
    noisy: true,
    phase: 'running'
  },
  thermostat: {
    title: 'Renew the thermostat',
    raisedBy: [only('cooling.thermostat', 'fault', 'watch')],
    how: 'Cover off, seat cleaned, the new one tried in a pan first, new gasket.',
    tools: ['thermometer', 'pan'],
    parts: ['thermostat and gasket'],
    seenRunning: true,
    minutes: 30,
    hazards: ['hot'],
    proof: {
      station: 'cooling',
      text: 'opens at its stamp, shuts again',
      reads: ['cooling.thermostatPan', 'cooling.thermostatOpens']
    },
    opens: ['cowl'],
    oneTime: ['thermostat gasket']
  },
  'leg-water': {
    title: 'Mend the water way in the leg',
    raisedBy: ['cooling.tube', 'cooling.cover', 'cooling.drill-in-vain', 'cooling.key'],
    how: 'Leg down. Tube into its grommet, cover and key as found; turned in the engine’s direction; drill test before it goes up, shift checked after.',
    tools: ['spanners', 'soft mallet', 'eye guard'],
    parts: ['grommet, seal cover, key or impeller as found'],
    renews: [
      { item: 'run.noise', answers: ['leg'] },
      { item: 'cooling.bush', answers: ['key'] }
    ],
    minutes: 60,
    hazards: ['leg', 'eyes'],
    proof: {
      wants: { 'cooling.stream': 'strong' },
      station: 'cooling',
      text: 'it pumps in the drill test',
      reads: ['cooling.drill', 'cooling.stream']
    },
    // The lip of the cover under the pump keeps the case's oil in.
    alters: ['gear'],
    opens: ['leg'],
    uses: ['stand'],
    dirty: true,
    torque: ['torque.leg']
  },
  'heat-sender': {
    title: 'New temperature sender or switch',
    raisedBy: ['run.lamp-cool'],
    // Of a four-stroke the lamp may be its oil pressure, until a gauge in its place has shown that there is some.
    unless: (c) => c.survey.engine.profile.strokes !== 'two' && !lampIsFalse(c),
    how: 'A second thermometer beside it says that the head is normal. Its lead off: the lamp goes out where the sender is false, and stays on where the wire is chafed to ground. An oil tank that is low rings the same horn.',
    tools: ['thermometer', 'spanners'],
    parts: ['temperature sender'],
    seenRunning: true,
    minutes: 20,
    hazards: ['hot'],
    renews: ['run.lamp'],
    proof: { station: 'run', text: 'no lamp to the end of a run', reads: ['run.lamp'] },
    opens: ['cowl']
  },
  descale: {
    title: 'Flush and descale the cooling passages',
    raisedBy: ['cooling.passages'],
    spoiledBy: ['run.heat', 'run.stopped', 'run.lamp'],
    renews: ['cooling.passages'],
    // A new pump that does not give is looked at before what lies behind it.
    unless: poorSincePump,
    how: 'Thermostat out, flushed both ways, descaler as its label says, then covers off where it is thick.',
    tools: ['hose', 'pump for descaler'],
    consumables: ['descaler'],
    parts: ['thermostat gasket'],
    seenRunning: true,
    minutes: 120,
    wait: 60,
    hazards: ['chemicals', 'waste'],
    proof: {
      station: 'run',
      text: 'head under its limit to the end of a run, banks alike',
      reads: ['run.temperature', 'cooling.head']
    },
    alters: ['cooling'],
    after: ['pump', 'thermostat'],
    uses: ['hose'],
    dirty: true,
    oneTime: ['thermostat gasket']
  }
} as const satisfies Readonly<Record<string, JobRule>>;
