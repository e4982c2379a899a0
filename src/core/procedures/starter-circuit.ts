import { school } from '../house-rules/rules.ts';
import { electrician } from './hand-over.ts';
import type { Procedure, ProcedureStep } from './procedure.ts';

/** Starter: direct, then through its circuit (C: common practice; the maker’s manual stands above it). */
export const starterCircuit: Procedure = {
  id: 'starter-circuit',
  title: 'Starter: direct, then through its circuit',
  means: 'Four places with a meter: battery, relay in, relay out, starter.',
  minutes: 30,
  jobs: ['starter', 'wiring'],
  fits: (e) => e.profile.starting !== 'rope',
  hazards: ['battery', 'propeller', 'flywheel', 'vapour'],
  tools: ['meter', 'jump lead with a switch', 'wire brush'],
  parts: ['fuse', 'relay, as found'],
  wrong: [
    'Direct with fuel about: one arc.',
    'In gear: it starts and goes.',
    'A locked engine called a dead starter: turned by hand first.'
  ],
  proof: { station: 'plugs', text: 'cranks at its speed through its own key, dead in gear' },
  handOver: electrician,
  steps: (c) => {
    const asked = school(c.rules, 'starterTest');
    return (
      [
        {
          id: 'hand',
          text: 'Does it turn by hand? Plugs out, in neutral, lanyard out.',
          careful: ['propeller'],
          items: ['turn.result']
        },
        {
          id: 'key',
          act: 'crank',
          text: 'Key on start: nothing, a click, slow, or spins without the wheel?',
          items: ['plugs.starterCircuit'],
          branch: [
            { seen: 'Spins alone', then: 'Pinion: cleaned, its shaft dry-lubed, spring.' },
            { seen: 'Click', then: 'Volts at four places while it clicks.' }
          ]
        },
        {
          id: 'fuse',
          text: 'Main fuse and its holder: green, loose, melted?',
          items: ['look.wiring'],
          renew: ['fuse']
        },
        {
          id: 'volts',
          act: 'crank',
          text: 'Key on start, meter’s black on the battery’s negative: battery, relay in, relay out, starter; where do the volts end?',
          tools: ['meter'],
          items: ['plugs.voltsEnd']
        },
        {
          id: 'neutral',
          text: 'Neutral switch and key: bridged for one try, lanyard out, out of gear.',
          careful: ['propeller'],
          branch: [{ seen: 'Turns now', then: 'The switch or its setting: never left bridged.' }]
        },
        {
          id: 'direct',
          act: 'crank',
          text: 'Fuel away, aired: jump lead from battery to the starter’s post.',
          careful: ['vapour', 'battery', 'flywheel'],
          items: ['plugs.starterDirect'],
          branch: [
            { seen: 'Brisk', then: 'The circuit: relay, cable, joint.' },
            { seen: 'Slow or nothing', then: 'Starter off: brushes, bush, commutator.' }
          ]
        },
        {
          id: 'ground',
          act: 'crank',
          text: 'Battery’s negative to the starter’s housing, cranking: over 0.3 V is a ground.',
          branch: [{ seen: 'Over', then: 'Its joint opened and cleaned.', job: 'ground' }]
        },
        {
          id: 'gear',
          act: 'crank',
          text: 'At the end: in gear, key on start, nothing.',
          careful: ['propeller'],
          items: ['plugs.volts', 'plugs.rpm']
        }
      ] satisfies ProcedureStep[]
    ).filter(
      (x) =>
        !(asked === 'circuit' && x.id === 'direct') && !(asked === 'direct' && (x.id === 'key' || x.id === 'volts'))
    );
  }
};
