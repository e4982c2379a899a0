import { fuelHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Portable-tank test (C: common practice; the maker’s manual stands above it). */
export const portableTank: Procedure = {
  id: 'portable-tank',
  title: 'Portable-tank test',
  means: 'Boat or engine? One tank, one hose, ten minutes.',
  minutes: 20,
  jobs: ['run-again'],
  fits: (e) => e.profile.supply !== 'gravity',
  hazards: ['vapour', 'carbon-monoxide', 'propeller'],
  tools: ['portable tank', 'hose and bulb of known goodness', 'vacuum gauge and tee'],
  parts: [],
  wrong: [
    'The boat’s hose kept for the test: half of the boat is still in it.',
    'Only at idle: what starves at speed idles well.'
  ],
  proof: { station: 'fuel', text: 'the same run on both tanks, written down' },
  handOver: fuelHandOver,
  steps: () => [
    {
      id: 'fuel',
      text: 'Fresh fuel, mixed where it is a premix engine, in the portable tank; vent open.',
      careful: ['vapour']
    },
    { id: 'hose', text: 'Its own hose and bulb straight to the engine; firm.', items: ['fuel.bulb'] },
    {
      id: 'warm',
      text: 'On water, outdoors, warmed; then the speed at which it had starved, for as long as it had taken and half again.',
      careful: ['carbon-monoxide', 'propeller'],
      act: 'start',
      items: ['fuel.portable', 'run.rpm']
    },
    {
      id: 'vacuum',
      text: 'Vacuum at the pump, idle and speed, on this tank.',
      tools: ['vacuum gauge and tee'],
      items: ['fuel.vacuumPortable']
    },
    {
      id: 'boat',
      text: 'Back on the boat’s tank, same speed: vacuum again.',
      items: ['fuel.vacuumSpeed'],
      branch: [
        { seen: 'Higher on the boat’s', then: 'Boat: vent, pick-up, valve, hose.', job: 'bulb' },
        { seen: 'Starves on both', then: 'Engine: pump, filter, needle.', job: 'fuel-pump' }
      ]
    },
    { id: 'tell', text: 'What it showed, for the owner: whose bill it is depends on it.', items: ['run.remark'] }
  ]
};
