import { crackDepth, crackedThrough, crackPlaces } from '../stations/gear/crack.ts';
import { only, type JobRule } from './job.ts';

/** What the walk around the engine finds. */
export const body = {
  nest: {
    title: 'Clear the nest out',
    raisedBy: ['look.cowl'],
    unless: (c) => c.record.value('look.cowl') !== 'nest',
    how: 'Gloves and mask; bag it damp, do not blow it about. Then every wire and hose it touched, inch by inch.',
    tools: ['gloves', 'mask', 'light'],
    minutes: 20,
    hazards: ['chemicals'],
    proof: { station: 'look', text: 'clean under the cowl', reads: ['look.cowl'] },
    opens: ['cowl'],
    dirty: true
  },
  structure: {
    title: 'Free and grease swivel, tilt and linkage',
    raisedBy: ['look.swivel', 'look.linkage'],
    // Grease mends no wear: a worn linkage is set, and its pins renewed with that.
    unless: (c) =>
      c.record.value('look.linkage') === 'worn' && !['stiff', 'seized'].includes(String(c.record.value('look.swivel'))),
    how: 'Grease until old grease comes out, work it, again the next day. Heat and penetrating oil where it is seized; no hammer on the tube.',
    tools: ['grease gun'],
    consumables: ['waterproof grease', 'penetrating oil'],
    minutes: 30,
    wait: 720,
    hazards: ['leg', 'chemicals'],
    proof: { station: 'look', text: 'swivel, tilt and linkage free', reads: ['look.swivel', 'look.linkage'] },
    dirty: true
  },
  'throttle-linkage': {
    title: 'Set the throttle linkage',
    raisedBy: ['look.linkage'],
    // With gears it is set together with theirs.
    unless: (c) => c.survey.engine.profile.shift !== 'direct' || c.record.value('look.linkage') !== 'worn',
    how: 'Worn pins and bushes renewed; idle stop and full throttle both reached with the lever at its stops, nothing binds between them.',
    tools: ['spanners'],
    parts: ['pins and bushes as found'],
    minutes: 30,
    proof: { station: 'look', text: 'linkage free, throttle at both of its stops', reads: ['look.linkage'] }
  },
  mounts: {
    title: 'Renew the torn mounts',
    raisedBy: [only('look.mounts', 'watch')],
    how: 'The engine hung from a hoist, never over a hand; mounts in pairs, their bolts by the manual’s figure.',
    tools: ['hoist', 'sockets'],
    parts: ['mounts'],
    renews: [{ item: 'run.noise', answers: ['flywheel'] }],
    minutes: 55,
    hazards: ['lift', 'leg'],
    proof: { station: 'look', text: 'mounts whole, nothing knocks', reads: ['look.mounts'] }
  },
  bracket: {
    title: 'Renew the cracked bracket',
    raisedBy: [only('look.mounts', 'fault')],
    how: 'Not welded: it carries the engine. The new one by the maker’s part; every bolt by the manual’s figure.',
    tools: ['hoist', 'sockets'],
    parts: ['bracket'],
    minutes: 55,
    hazards: ['lift', 'leg'],
    proof: { station: 'look', text: 'bracket and clamp sound', reads: ['look.mounts'] }
  },
  anodes: {
    title: 'Renew the anodes',
    raisedBy: ['look.anodes'],
    how: 'Bright metal underneath, no paint on them.',
    parts: ['anodes'],
    minutes: 15,
    proof: { station: 'look', text: 'anodes good', reads: ['look.anodes'] },
    dirty: true,
    counts: ['anodes']
  },
  propeller: {
    title: 'Propeller: dress, mend, or renew the hub',
    raisedBy: ['look.propeller', 'look.twist'],
    how: 'Nicks are filed fair; a bent blade goes to a propeller shop; a slipping hub is pressed anew.',
    tools: ['propeller spanner', 'file'],
    parts: ['hub or propeller', 'split pin'],
    minutes: 20,
    hazards: ['propeller'],
    proof: { station: 'look', text: 'propeller true, hub holds', reads: ['look.propeller', 'look.hub', 'look.twist'] },
    renews: ['look.propeller', 'look.twist'],
    opens: ['propeller'],
    torque: ['torque.propeller'],
    oneTime: ['split pin']
  },
  'crack-depth': {
    title: 'Find out how deep the crack goes',
    finds: true,
    raisedBy: [only('look.case', 'fault'), only('look.skeg', 'fault')],
    unless: (c) => !crackPlaces.some((p) => crackDepth(c, p) === 'untold'),
    how: 'Paint off along the line, dye on clean bare metal; then a case test from the low stage on.',
    tools: ['dye', 'case tester'],
    minutes: 40,
    hazards: ['air', 'chemicals'],
    proof: {
      station: 'gear',
      text: 'depth told by dye, or every stage held',
      reads: ['gear.dyeCase', 'gear.dyeSkeg', 'gear.casePressure']
    },
    dirty: true,
    daylight: true,
    special: ['case tester']
  },
  crack: {
    title: 'Mend the cracked gear case, or fit another',
    raisedBy: ['gear.test-housing', only('look.case', 'fault'), only('look.skeg', 'fault')],
    // How deep it goes is looked at first: dye on bare metal, then the case test.
    unless: (c) => !crackedThrough(c),
    how: 'Why it cracked first: frost, a blow, corrosion; the way the water came in is part of it. Then filled, welded by a specialist with seals and oil out, or another case. Nothing is spent on it before the power head has shown that it is worth it.',
    tools: ['dye', 'case tester'],
    minutes: 240,
    hazards: ['air', 'chemicals', 'eyes'],
    renews: ['look.case', 'look.skeg', 'gear.dyeCase', 'gear.dyeSkeg', 'gear.casePressure'],
    proof: { station: 'gear', text: 'the case holds every stage', reads: ['gear.casePressure'] },
    alters: ['gear'],
    dirty: true,
    daylight: true,
    special: ['case tester']
  }
} as const satisfies Readonly<Record<string, JobRule>>;
