import { only, type StepRule } from './rule.ts';

/** Work along the fuel line, at thermostat and pump, and after water in the engine oil. */
export const legSteps: readonly StepRule[] = [
  {
    id: 'fuel-line',
    title: 'Mend the fuel line where it was found',
    raisedBy: [
      ...['vent', 'pickup', 'hose', 'couplings', 'tap', 'filter', 'pump', 'choke'].map((p) => `fuel.part-${p}`),
      only('fuel.vacuum', 'fault'),
      'fuel.starved'
    ],
    how: 'In the order fuel takes: what is blocked is cleaned, what draws air is renewed. Then the bulb again, and vacuum at speed.',
    tools: ['vacuum gauge', 'hose cutter'],
    parts: ['hose, O-rings, filter or pump kit as found'],
    minutes: 30,
    hazards: ['vapour', 'fuel-pressure'],
    proof: { station: 'fuel', text: 'the part good, the bulb firm' },
    after: ['fuel-drain']
  },
  {
    id: 'bowl',
    title: 'Strip and clean bowl or vapour separator',
    raisedBy: ['fuel.part-bowl'],
    how: 'Off, every passage seen through, float and needle tried, kit where gaskets are hard.',
    tools: ['jet drivers', 'float gauge'],
    parts: ['carburettor or separator kit'],
    consumables: ['cleaner'],
    minutes: 75,
    hazards: ['vapour', 'chemicals', 'fuel-pressure'],
    proof: { station: 'fuel', text: 'bowl clean' },
    after: ['fuel-drain']
  },
  {
    id: 'thermostat',
    title: 'Renew the thermostat',
    raisedBy: [only('cooling.thermostat', 'fault', 'watch')],
    how: 'Cover off, seat cleaned, the new one tried in a pan first, new gasket.',
    tools: ['thermometer', 'pan'],
    parts: ['thermostat and gasket'],
    minutes: 30,
    hazards: ['hot'],
    proof: { station: 'cooling', text: 'opens at its stamp, shuts again' }
  },
  {
    id: 'leg-water',
    title: 'Mend the water way in the leg',
    raisedBy: ['cooling.tube', 'cooling.cover', only('cooling.drill', 'fault'), 'cooling.bush'],
    how: 'Leg down. Tube into its grommet, cover and key as found; turned in the engine’s direction; drill test before it goes up, shift checked after.',
    tools: ['spanners', 'soft mallet', 'eye guard'],
    parts: ['grommet, seal cover, key or impeller as found'],
    minutes: 60,
    hazards: ['leg', 'eyes'],
    proof: { station: 'cooling', text: 'it pumps in the drill test' }
  },
  {
    id: 'oil-changes',
    title: 'Change the engine oil until the water is out',
    raisedBy: ['oil.residue'],
    how: 'Cheap oil first; what comes out is measured each time; filter with its old seal; the last fill is the right oil.',
    tools: ['drain pan', 'measuring jug'],
    parts: ['oil filter', 'drain washer'],
    consumables: ['engine oil'],
    minutes: 30,
    wait: 15,
    hazards: ['waste', 'hot'],
    proof: { station: 'oil', text: 'residue under the house’s target' },
    after: ['sump-water']
  },
  {
    id: 'oil-filter',
    title: 'Take the old filter seal off',
    raisedBy: ['oil.filter'],
    how: 'Filter off, seal off the engine, face wiped; the new one as it says on it.',
    parts: ['oil filter'],
    minutes: 10,
    hazards: ['waste'],
    proof: { station: 'oil', text: 'filter renewed, old seal off' }
  },
  {
    id: 'water-in',
    title: 'Find where water gets into the cylinder',
    raisedBy: ['run.plug-wet'],
    how: 'Head gasket, exhaust cover, jacket: leak-down with the jacket watched, then a pressure test of the jacket. Specialist where the block is cracked.',
    tools: ['leak-down tester'],
    parts: ['gaskets as found'],
    minutes: 90,
    hazards: ['air'],
    proof: { station: 'run', text: 'plug dry after running' }
  }
];
