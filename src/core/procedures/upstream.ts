import { figures } from './about.ts';
import { liftFigure } from './fuel-steps.ts';
import { fuelHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Upstream of the bulb: vent, pick-up, anti-siphon valve (C: common practice; the maker’s manual stands above it). */
export const upstream: Procedure = {
  id: 'upstream',
  title: 'Upstream of the bulb: vent, pick-up, anti-siphon valve',
  means: 'The bulb goes flat or never firm: what holds the fuel back, in the order of minutes.',
  minutes: 35,
  jobs: ['bulb', 'pick-up', 'fuel-open'],
  fits: (e) => e.profile.supply !== 'gravity',
  hazards: ['vapour', 'fuel-pressure'],
  tools: ['spanners', 'clear hose', 'portable tank'],
  parts: ['O-rings for couplings', 'hose clamps'],
  wrong: [
    'Anti-siphon valve drilled out: it is there so that a broken hose does not empty the tank into the boat.',
    'Hose collapsed inside while it looks well outside.'
  ],
  proof: { station: 'fuel', text: 'the bulb firms up and holds; line vacuum within its limit' },
  handOver: fuelHandOver,
  steps: (c) => [
    {
      id: 'vent',
      text: 'Vent open? Then the cap loosened, for the test only: better at once is a blocked vent.',
      careful: ['fuel-pressure'],
      items: ['fuel.vent', 'fuel.vacuumOpen']
    },
    {
      id: 'bulb',
      text: 'Bulb upright, squeezed: flat is blocked upstream; soft for ever is air or a needle.',
      items: ['fuel.bulb']
    },
    {
      id: 'portable',
      text: 'A portable tank and hose of known goodness on the engine: well now?',
      because: 'It parts boat from engine in three minutes.',
      tools: ['portable tank'],
      items: ['fuel.portable', 'fuel.vacuumPortable']
    },
    {
      id: 'couplings',
      text: 'Couplings apart: O-rings, balls, springs; wet outside is air inside.',
      items: ['fuel.couplings'],
      renew: ['O-rings for couplings']
    },
    {
      id: 'hose',
      text: 'Hose off at both ends, blown through, bent: one that swells inside flows one way and not the other.',
      items: ['fuel.hose'],
      takesOff: ['hose clamps', 'fuel hose']
    },
    {
      id: 'valve',
      text: 'Anti-siphon valve at the tank out, its ball pushed with a blunt stick: free and clean?',
      items: ['fuel.pickup'],
      branch: [{ seen: 'Stuck', then: 'Cleaned or renewed by one of the same spring; never left out.' }]
    },
    { id: 'pickup', text: 'Pick-up drawn: screen brown, tube cracked above the fuel?', items: ['fuel.pickup'] },
    {
      id: 'back',
      proves: true,
      text: 'Hose back, new clamps; bulb firm; vacuum again at speed.',
      fits: ['fuel hose', 'hose clamps'],
      items: ['fuel.vacuumSpeed'],
      ...figures(liftFigure(c))
    }
  ]
};
