import { only, type StepRule } from './rule.ts';

/** Work raised by the walk around, the plugs and the shift, in the order practitioners do it. */
export const lookSteps: readonly StepRule[] = [
  {
    id: 'nest',
    title: 'Clear the nest out',
    raisedBy: ['look.cowl'],
    unless: (c) => c.record.value('look.cowl') !== 'nest',
    how: 'Gloves and mask; bag it damp, do not blow it about. Then every wire and hose it touched, inch by inch.',
    tools: ['gloves', 'mask', 'light'],
    minutes: 20,
    hazards: ['chemicals'],
    proof: { station: 'look', text: 'clean under the cowl' }
  },
  {
    id: 'wiring',
    title: 'Mend wires and connectors',
    raisedBy: ['look.wiring'],
    how: 'Stop wire first. Crimp and sleeve, no twisted joints; connectors opened, cleaned, protected.',
    tools: ['meter', 'crimp tool'],
    parts: ['wire', 'sleeve', 'fuse if blown'],
    minutes: 40,
    hazards: ['battery'],
    proof: { station: 'look', text: 'wiring whole' },
    after: ['nest']
  },
  {
    id: 'hoses',
    title: 'Renew hoses and bulb',
    raisedBy: ['look.hoses', 'look.bulb'],
    how: 'All fuel hose of the same age at once, clamps with it; the bulb’s arrow towards the engine.',
    parts: ['fuel hose by the metre', 'clamps', 'primer bulb'],
    minutes: 30,
    hazards: ['vapour', 'fuel-pressure'],
    proof: { station: 'look', text: 'hoses supple, bulb springs back' }
  },
  {
    id: 'strainer',
    title: 'Clean the water strainer',
    raisedBy: ['look.strainer', 'cooling.strainer'],
    how: 'The cowl is off: minutes now.',
    minutes: 5,
    proof: { station: 'look', text: 'strainer clear' }
  },
  {
    id: 'structure',
    title: 'Free and grease swivel, tilt and linkage',
    raisedBy: ['look.swivel', 'look.linkage', 'look.mounts'],
    how: 'Grease until old grease comes out, work it, again the next day. Heat and penetrating oil where it is seized; no hammer on the tube.',
    tools: ['grease gun'],
    consumables: ['waterproof grease', 'penetrating oil'],
    minutes: 30,
    wait: 720,
    hazards: ['leg', 'chemicals'],
    proof: { station: 'look', text: 'swivel, tilt and linkage free' }
  },
  {
    id: 'anodes',
    title: 'Renew the anodes',
    raisedBy: ['look.anodes'],
    how: 'Bright metal underneath, no paint on them.',
    parts: ['anodes'],
    minutes: 15,
    proof: { station: 'look', text: 'anodes good' }
  },
  {
    id: 'propeller',
    title: 'Propeller: dress, mend, or renew the hub',
    raisedBy: ['look.propeller', 'look.twist'],
    how: 'Nicks are filed fair; a bent blade goes to a propeller shop; a slipping hub is pressed anew.',
    tools: ['propeller spanner', 'file'],
    parts: ['hub or propeller', 'split pin'],
    minutes: 20,
    hazards: ['propeller'],
    proof: { station: 'look', text: 'propeller true, hub holds' }
  },
  {
    id: 'crack',
    title: 'Find out how deep the crack goes',
    raisedBy: [only('look.case', 'fault'), only('look.skeg', 'fault'), only('look.mounts', 'fault')],
    how: 'Dye on clean metal, then a case test at low pressure. Why it cracked is answered before it is mended.',
    tools: ['dye', 'case tester'],
    minutes: 40,
    hazards: ['air', 'chemicals'],
    proof: { station: 'look', text: 'no crack, or mended and tested' }
  },
  {
    id: 'linkage',
    title: 'Set the shift linkage',
    raisedBy: ['turn.shift', 'turn.gear', 'turn.dog', 'turn.reverse-lock'],
    how: 'Neutral in the middle of its travel, full engagement both ways; the joint of the shift rod; only then the clutch dog.',
    tools: ['spanners'],
    minutes: 40,
    hazards: ['propeller'],
    proof: { station: 'turn', text: 'neutral free, forward and reverse follow, reverse lock rises' }
  },
  {
    id: 'plugs',
    title: 'Clean or renew the plugs',
    raisedBy: ['plugs.read', 'plugs.gap', 'plugs.cracked', 'plugs.water'],
    how: 'Renewed when older than two seasons, cracked, or wet with water; else cleaned and gapped to the manual. Torque where known.',
    tools: ['plug wrench', 'gap gauge'],
    parts: ['spark plugs'],
    minutes: 15,
    proof: { station: 'plugs', text: 'every plug reads and gaps as it should' }
  },
  {
    id: 'starter',
    title: 'Starter, cables and their circuit',
    raisedBy: ['plugs.starter', 'plugs.volts'],
    how: 'Battery under load first, then volts lost in each cable, solenoid, neutral switch and key; the motor last.',
    tools: ['meter', 'known good battery'],
    minutes: 40,
    hazards: ['battery', 'flywheel'],
    proof: { station: 'plugs', text: 'turns well through its own circuit' }
  }
];
