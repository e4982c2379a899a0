import { about } from './about.ts';
import { headHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Reeds and crank seals of a two-stroke (C: common practice; the maker’s manual stands above it). */
export const crankSeals: Procedure = {
  id: 'crank-seals',
  title: 'Reeds and crank seals of a two-stroke',
  means: 'A crankcase that does not hold: seen at the reeds, heard at the seals, before the head comes apart.',
  minutes: 90,
  jobs: ['crank-seal'],
  fits: (e) => e.profile.strokes !== 'four',
  hazards: ['air', 'vapour', 'eyes', 'flywheel'],
  tools: ['plates and plugs for ports', 'low-pressure pump and gauge', 'soapy water', 'feeler gauges'],
  parts: ['reed gasket', 'crank seals'],
  wrong: [
    'More than 0.7 bar: seals are pushed out that were good.',
    'Reeds bent by hand: they break into the engine.',
    'A lower seal renewed with the leg’s spline rusty: it goes again.'
  ],
  proof: { station: 'run', text: 'idles evenly, no spitting, each cylinder shorted tells' },
  handOver: headHandOver,
  steps: (c) => [
    {
      id: 'sign',
      text: 'Which cylinder: shorted out in turn, the one that changes nothing; spits back or smokes.',
      careful: ['carbon-monoxide', 'high-voltage'],
      act: 'start',
      items: ['run.drop']
    },
    {
      id: 'intake',
      text: 'Carburettor off as a unit; reeds seen: daylight under a tip, chips, cracks.',
      takesOff: ['carburettors', 'reed block', 'reed gasket'],
      branch: [{ seen: 'Tip gone', then: 'Where is it? It is looked for in the case and on the piston.' }]
    },
    {
      id: 'gap',
      text: 'Feeler under each petal: the manual’s most, else a hair; stop’s height as the manual says.',
      because: 'Petals are turned over or renewed, never bent.'
    },
    {
      id: 'close',
      text: 'Reeds back; exhaust and intake shut by plates, plugs in, pistons closing the transfer.',
      renew: ['reed gasket'],
      fits: ['reed gasket', 'reed block']
    },
    { id: 'pressure', text: 'Pumped to 0.4 bar by hand: falls?', careful: ['air'], wait: 3 },
    {
      id: 'soap',
      text: 'Soapy water at the upper seal, the lower, the case joint; turned a little.',
      turns: { way: about(c).way, from: 'above' }
    },
    {
      id: 'upper',
      text: 'Upper seal: flywheel and plate off, seal out with a screw, shaft judged, new one square.',
      renew: ['upper crank seal'],
      torque: ['torque.flywheel'],
      branch: [{ seen: 'Shaft grooved', then: 'A sleeve, or the lip set beside.' }]
    },
    {
      id: 'lower',
      text: 'Lower seal: power head lifted; two people; spline looked at while it is open.',
      careful: ['lift'],
      renew: ['lower crank seal', 'power head gasket']
    },
    { id: 'hold', text: 'Pressure and then vacuum again: both hold.', careful: ['air'], wait: 3 },
    { id: 'on', text: 'Carburettors on, links as photographed.', fits: ['carburettors'] }
  ]
};
