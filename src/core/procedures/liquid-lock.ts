import { about, figures } from './about.ts';
import { boreDose } from './power-head-steps.ts';
import type { Procedure } from './procedure.ts';

/** Liquid in a cylinder: out, before anything turns (C: common practice; the maker’s manual stands above it). */
export const liquidLock: Procedure = {
  id: 'liquid-lock',
  title: 'Liquid in a cylinder: out, before anything turns',
  means: 'No starter. Plugs out, holes lowest, by hand, what comes out is looked at.',
  minutes: 25,
  jobs: ['empty-cylinders'],
  hazards: ['backfire', 'vapour', 'battery', 'flywheel'],
  tools: ['plug wrench', 'drain pan', 'rags'],
  parts: ['water-displacing oil'],
  wrong: ['“It only needs a stronger battery.”', 'Turned with one plug left in.', 'Blown out toward somebody’s face.'],
  proof: { station: 'turn', text: 'turns twice round by hand, smooth, nothing more comes' },
  handOver: 'Stands a piston lower than its neighbours at the top, a rod is bent: no spin at all, a specialist.',
  steps: (c) => [
    {
      id: 'off',
      text: 'Battery off, lanyard out; nobody at the rope.',
      items: ['safe.battery', 'safe.lanyard'],
      careful: ['battery']
    },
    {
      id: 'plugs',
      text: 'All plugs out, in order, leads grounded.',
      takesOff: ['plugs in cylinder order'],
      items: ['turn.plugs'],
      careful: ['high-voltage']
    },
    { id: 'low', text: 'Engine tilted so that the holes look down, a pan under them.', careful: ['lift', 'leg'] },
    {
      id: 'turn',
      text: 'Turned slowly by hand at the wheel, only its way, twice round.',
      turns: { way: about(c).way, from: 'above' },
      careful: ['backfire'],
      items: ['turn.water', 'turn.result'],
      branch: [{ seen: 'It stops hard', then: 'No force: drained longer, tilted further, then again.' }]
    },
    {
      id: 'what',
      text: 'What came: fresh water, salt, fuel, oil? Tasted by nobody: drops on hot metal, smell, colour.',
      items: ['turn.water'],
      branch: [
        { seen: 'Fuel', then: 'Needle and float; oil looked at for fuel.', job: 'carburettor' },
        { seen: 'Water', then: 'How it came: drowned, rain, or the gasket and the exhaust cover.' }
      ]
    },
    {
      id: 'depth',
      text: 'Each piston at its top, measured from the hole’s edge, twice.',
      items: ['turn.depth'],
      because: 'A bent rod stands low. Two tenths are seen by a rod and a calliper.'
    },
    {
      id: 'oil',
      text: 'Water-displacing oil into each, turned, out again until it comes clear.',
      careful: ['chemicals'],
      items: ['turn.pass'],
      ...figures(boreDose(c))
    }
  ]
};
