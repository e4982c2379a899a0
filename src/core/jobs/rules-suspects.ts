import type { StepRule } from './rule.ts';

/** Work that no single finding asks for: it is raised by a likely suspect. */
export const suspectSteps: readonly StepRule[] = [
  {
    id: 'overhaul',
    title: 'Overhaul of the power head: ask a specialist for a price',
    how: 'Measured before anything is bought: bore, piston, crank. The owner is asked first; parts may be worth more.',
    minutes: 30,
    wait: 14_400,
    hazards: ['lift'],
    proof: { station: 'compression', text: 'cylinders alike after the overhaul' }
  },
  {
    id: 'valves',
    title: 'Free or grind the valve',
    how: 'Oil and patience first; it often frees by turning. If it still leaks, head off and ground in.',
    tools: ['valve spring tool', 'grinding paste'],
    parts: ['head gasket', 'valve stem seals'],
    minutes: 240,
    hazards: ['eyes', 'chemicals'],
    proof: { station: 'compression', text: 'no air at intake or exhaust, cylinders alike' },
    after: ['lash']
  },
  {
    id: 'crank-seal',
    title: 'Reed block or crank seal',
    how: 'Crankcase pressure test first: it names reed, gasket or seal.',
    tools: ['pressure tester', 'seal puller'],
    parts: ['reed or seal as found', 'gaskets'],
    minutes: 180,
    hazards: ['air', 'flywheel'],
    proof: { station: 'run', text: 'idles evenly, does not spit back' }
  },
  {
    id: 'belt',
    title: 'Timing belt: check the marks, renew it',
    how: 'No cranking before the marks are checked: valves may meet pistons. Belt and tensioner together.',
    tools: ['flywheel puller', 'torque wrench'],
    parts: ['timing belt', 'tensioner'],
    minutes: 120,
    hazards: ['flywheel'],
    proof: { station: 'compression', text: 'marks where they belong, compression back' }
  },
  {
    id: 'advance',
    title: 'Free the advance plate or timer base',
    how: 'By hand over its whole travel, one drop of oil, the linkage set after.',
    minutes: 30,
    hazards: ['flywheel'],
    proof: { station: 'spark', text: 'timing moves with the throttle' }
  },
  {
    id: 'flywheel-key',
    title: 'Renew the flywheel key',
    how: 'Flywheel off with its puller, taper and key way clean and dry, the right key, nut to its torque.',
    tools: ['flywheel puller', 'torque wrench'],
    parts: ['flywheel key'],
    minutes: 50,
    hazards: ['flywheel'],
    proof: { station: 'spark', text: 'the mark where it belongs, timing as asked' }
  },
  {
    id: 'descale',
    title: 'Flush and descale the cooling passages',
    how: 'Thermostat out, flushed both ways, descaler as its label says, then covers off where it is thick.',
    tools: ['hose', 'pump for descaler'],
    consumables: ['descaler'],
    parts: ['thermostat gasket'],
    minutes: 120,
    wait: 60,
    hazards: ['chemicals', 'waste'],
    proof: { station: 'run', text: 'head under its limit to the end of a run, banks alike' },
    after: ['pump', 'thermostat']
  },
  {
    id: 'leg-identity',
    title: 'Find out which leg this is',
    how: 'Casting numbers, ratio by counting turns, plugs and shafts; gear-case parts are ordered by the leg.',
    minutes: 20,
    proof: { station: 'gear', text: 'the leg’s own numbers recorded' }
  },
  {
    id: 'splines',
    title: 'Free the drive-shaft splines',
    how: 'Soak, warm, wedge evenly; no lever against the case. Greased when it goes back.',
    consumables: ['penetrating oil', 'spline grease'],
    minutes: 120,
    wait: 720,
    hazards: ['leg', 'chemicals'],
    proof: { station: 'turn', text: 'leg drops and goes back by hand' }
  },
  {
    id: 'oil-pressure',
    title: 'Gauge in place of the sender: lamp or pressure?',
    how: 'A gauge at the sender’s thread, a second thermometer at the head. Low pressure goes to a specialist.',
    tools: ['pressure gauge', 'thermometer'],
    parts: ['sender'],
    minutes: 30,
    hazards: ['hot'],
    proof: { station: 'run', text: 'no lamp to the end of a run' }
  },
  {
    id: 'charging',
    title: 'Rectifier and charging coil',
    how: 'Battery and connections first, then volts at speed, the rectifier, the coil last.',
    tools: ['meter'],
    parts: ['rectifier or coil as found'],
    minutes: 50,
    hazards: ['battery', 'flywheel'],
    proof: { station: 'run', text: 'over 13 V at the battery while it runs' }
  },
  {
    id: 'rope',
    title: 'Mend the rope starter',
    how: 'Spring held down, hands clear; rope, dog and pawl spring as found.',
    parts: ['rope, spring or dog'],
    minutes: 35,
    hazards: ['eyes'],
    proof: { station: 'plugs', text: 'catches and returns' }
  }
];
