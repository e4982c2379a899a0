import { washersFirst } from '../stations/gear/water.ts';
import { fuelCleared } from '../stations/fuel/age.ts';
import { only, type StepRule } from './rule.ts';

/** Work at gear case, fuel, cooling, engine oil and after the first run. */
export const restSteps: readonly StepRule[] = [
  {
    id: 'metal',
    title: 'Open the gear case and explain the metal',
    raisedBy: ['gear.metal'],
    how: 'Carrier out, gears and bearings looked at; the piece found or the wear named.',
    tools: ['carrier puller', 'circlip pliers'],
    parts: ['carrier O-rings', 'seals that are exposed'],
    minutes: 120,
    hazards: ['eyes', 'propeller'],
    proof: { station: 'gear', text: 'metal explained' }
  },
  {
    id: 'case-test',
    title: 'Case test: find where the water gets in',
    raisedBy: [
      'gear.water',
      'gear.test',
      'gear.bubbles',
      'gear.case-over',
      ...['low', 'high', 'vacuum'].map((stage) => only(`gear.case-${stage}`, 'fault'))
    ],
    unless: washersFirst,
    how: 'Drained. 3 to 5 psi first, then about 10, turning both shafts and moving the shift at each; soapy water; then vacuum. Never above the manual’s figure.',
    tools: ['regulator and gauge', 'adapter for the plug thread', 'soapy water'],
    minutes: 20,
    wait: 10,
    hazards: ['air'],
    proof: { station: 'gear', text: 'held' },
    after: ['frost', 'metal']
  },
  {
    id: 'reseal',
    title: 'Reseal what the test names, and all that the opened section exposes',
    raisedBy: ['gear.test'],
    how: 'Look for a groove under the lip first: a grooved shaft ruins the new seal. Note seal facing, depth and driver diameter.',
    tools: ['seal driver', 'seal puller'],
    parts: ['shaft seals', 'carrier O-rings'],
    consumables: ['seal grease'],
    minutes: 90,
    hazards: ['eyes', 'propeller'],
    proof: { station: 'gear', text: 'the case holds its test' },
    after: ['case-test', 'metal']
  },
  {
    id: 'gear-refill',
    title: 'Refill the gear case, one fresh washer for each plug',
    raisedBy: ['gear.water', 'gear.washers', 'gear.amount', 'gear.frost', 'gear.burnt'],
    how: 'From the lowest plug, upright, bubble-free to the level hole. Upper plug in first, then the pump out and the lower plug in quickly.',
    tools: ['hand pump with thread adapter'],
    parts: ['plug washers'],
    consumables: ['gear oil'],
    minutes: 20,
    hazards: ['waste'],
    proof: { station: 'gear', text: 'refilled for service, washers recorded' },
    after: ['reseal', 'case-test']
  },
  {
    id: 'fuel-fill',
    title: 'Fill the tank',
    raisedBy: ['fuel.level'],
    how: 'Fresh fuel, mixed where it is a premix engine.',
    consumables: ['fresh fuel'],
    minutes: 5,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'tank not empty' }
  },
  {
    id: 'fuel-drain',
    title: 'Drain tank, line, filter and bowl; fresh fuel in',
    raisedBy: [only('fuel.age', 'fault', 'cannot-tell'), only('fuel.jar', 'fault')],
    also: (c) => c.survey.assessment.kind === 'drowned',
    met: (c) => fuelCleared(c).cleared,
    how: 'Into labelled containers. Small built-in tanks and bowls are emptied, not diluted. Then a new filter and fresh fuel.',
    tools: ['siphon', 'labelled can'],
    parts: ['fuel filter'],
    consumables: ['fresh fuel'],
    minutes: 25,
    hazards: ['vapour', 'fuel-pressure', 'waste'],
    proof: { station: 'fuel', text: 'tank, line and bowl drained or fresh' }
  },
  {
    id: 'fuel-doubt',
    title: 'Stand a jar sample and decide',
    raisedBy: [only('fuel.age', 'watch'), only('fuel.jar', 'watch')],
    how: 'Clear and one layer: use it up. Cloudy or layered: drain it.',
    tools: ['clear jar'],
    minutes: 4,
    wait: 15,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'jar clear, or fresh fuel in' }
  },
  {
    id: 'carburettor',
    title: 'Clean the carburettor before the first start',
    raisedBy: ['fuel.carburettor'],
    how: 'Bowl off, jets out, every passage seen through; kit where gaskets are hard.',
    tools: ['jet drivers', 'float gauge'],
    parts: ['carburettor kit'],
    consumables: ['cleaner'],
    minutes: 75,
    hazards: ['vapour', 'chemicals'],
    proof: { station: 'fuel', text: 'bowl fresh; bulb firms up and holds' },
    after: ['fuel-drain']
  },
  {
    id: 'bulb',
    title: 'Follow the fuel line upstream',
    yieldsTo: ['fuel-line', 'hoses', 'bowl', 'fuel-fill'],
    raisedBy: ['fuel.bulb'],
    how: 'Vent open, pick-up screen, anti-siphon valve, couplings, hose; a portable tank separates boat from engine.',
    tools: ['portable tank'],
    parts: ['bulb, hose or O-rings as found'],
    minutes: 25,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'bulb firms up and holds' }
  },
  {
    id: 'mix',
    title: 'Correct the mixture',
    raisedBy: ['fuel.mix'],
    how: 'Add the oil the finding names; the mixture sum in the Reference does it for any tank and cup.',
    tools: ['measuring cup'],
    consumables: ['two-stroke oil'],
    minutes: 5,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'mixture in use recorded' }
  },
  {
    id: 'screen',
    title: 'Clear the intake screens',
    raisedBy: ['cooling.screen'],
    how: 'Pick, brush, probe; paint scraped out of the slots.',
    tools: ['pick', 'brush'],
    minutes: 10,
    hazards: ['leg'],
    proof: { station: 'cooling', text: 'screens clear' }
  },
  {
    id: 'outlet',
    title: 'Probe the stream outlet and its line',
    raisedBy: ['cooling.outlet'],
    how: 'A wire up the outlet, then the hose off its nipple; hot water follows when it was blocked.',
    tools: ['soft wire'],
    minutes: 10,
    hazards: ['hot'],
    proof: { station: 'cooling', text: 'outlet clear, stream seen again' }
  },
  {
    id: 'pump',
    title: 'Renew the water pump',
    raisedBy: [only('cooling.pump', 'fault', 'watch')],
    how: 'Mark the shift-rod joint, leg down, pump off. Washers photographed and checked against the manual; turned in the engine’s direction; key in; O-rings unpinched. Shift checked after.',
    tools: ['spanners', 'soft mallet'],
    parts: ['pump kit or impeller, as the finding says'],
    consumables: ['O-ring grease'],
    minutes: 60,
    hazards: ['leg', 'eyes'],
    proof: { station: 'cooling', text: 'pump opened, vanes and housing good; stream strong' }
  },
  {
    id: 'pieces',
    title: 'Find the missing vane pieces',
    raisedBy: ['cooling.pieces'],
    how: 'Housing outlet, water tube, thermostat pocket. Lay the pieces together until the impeller is whole.',
    tools: ['long pliers', 'light'],
    parts: ['thermostat gasket'],
    minutes: 30,
    hazards: ['hot'],
    proof: { station: 'cooling', text: 'all found' },
    after: ['pump']
  },
  {
    id: 'hot',
    title: 'Find why it ran hot',
    yieldsTo: ['pump', 'thermostat', 'screen', 'descale', 'strainer', 'leg-water'],
    raisedBy: ['cooling.hot', 'cooling.rising', only('run.heat', 'fault'), 'run.banks'],
    how: 'Screens, pump, thermostat in a pan, passages; in this order.',
    tools: ['thermometer', 'pan'],
    parts: ['thermostat and gasket'],
    minutes: 60,
    hazards: ['hot'],
    proof: { station: 'cooling', text: 'head under its limit to the end of a run' },
    after: ['pump', 'pieces', 'screen']
  },
  {
    id: 'oil-level',
    title: 'Bring the engine oil between the marks',
    raisedBy: ['oil.dip', 'oil.thin'],
    how: 'Level, wait, dip twice. High: draw some out and smell it. Low: fill by the tally, wait, dip twice.',
    tools: ['funnel', 'suction pump'],
    consumables: ['engine oil'],
    minutes: 10,
    wait: 10,
    hazards: ['waste'],
    proof: { station: 'oil', text: 'two agreeing dips between the marks' },
    after: ['sump-water']
  },
  {
    id: 'run-again',
    title: 'Cure the cause and repeat the first run',
    raisedBy: ['run.failed', 'run.stopped', 'run.lamp', 'run.smoke', 'run.leaks'],
    how: 'Record the cause first. Outdoors, water on, extinguisher at hand.',
    minutes: 30,
    hazards: ['carbon-monoxide', 'propeller', 'hot'],
    proof: { station: 'run', text: 'ran and settled, no lamp, no leak' }
  },
  {
    id: 'gears',
    title: 'Set the shift linkage and try each gear',
    raisedBy: ['run.gears'],
    how: 'Linkage first; if it still jumps out under load, the clutch dog is worn.',
    tools: ['spanners'],
    minutes: 40,
    hazards: ['propeller'],
    proof: { station: 'run', text: 'forward, neutral and reverse' }
  }
];
