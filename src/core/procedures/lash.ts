import { about, figures } from './about.ts';
import { lashFigures } from './power-head-steps.ts';
import type { Procedure } from './procedure.ts';

/** Valve lash measured and set (C: common practice; the maker’s manual stands above it). */
export const lash: Procedure = {
  id: 'lash',
  title: 'Valve lash measured and set',
  means: 'Cold, each at its top, all written down before any is touched, set, turned twice, measured again.',
  minutes: 60,
  jobs: ['lash'],
  fits: (e) => e.profile.strokes !== 'two',
  hazards: ['flywheel', 'eyes'],
  tools: ['feeler gauges', 'spanner and driver for the lock nuts', 'marker'],
  parts: ['cover gasket'],
  wrong: [
    'Measured warm: it shuts by a tenth.',
    'Turned backward: the belt jumps or the vanes fold.',
    'Set on the overlap: both look loose. On the firing top both valves rest.'
  ],
  proof: { station: 'compression', text: 'lash within the manual’s range, all, after two turns' },
  handOver: 'Shimmed buckets with the cams out belong to whoever has the maker’s marks for the belt.',
  steps: (c) => [
    { id: 'cold', text: 'Cold: standing since last night. Lanyard out, plugs out.', items: ['turn.plugs'] },
    {
      id: 'cover',
      text: 'Cover off; gasket looked at before it tears.',
      takesOff: ['cover bolts', 'cover', 'cover gasket']
    },
    {
      id: 'top',
      text: 'Cylinder 1 at its firing top: both rockers loose, rotor or mark in line; turned only its way.',
      turns: { way: about(c).way, from: 'above' }
    },
    {
      id: 'measure',
      text: 'Feeler between tip and rocker, a light drag; intake and exhaust written down; then the next in firing order.',
      items: ['compression.lashIn', 'compression.lashEx']
    },
    {
      id: 'set',
      text: 'Only those that are out: lock nut loose, screw to the feeler, nut tight while it is held, measured again.',
      ...figures(...lashFigures(c, 'compression.lashIn', 'intake'), ...lashFigures(c, 'compression.lashEx', 'exhaust')),
      branch: [
        { seen: 'No lash at all', then: 'Seat or valve has sunk: set, and leak-down after.' },
        { seen: 'Very loose', then: 'Rocker’s face, cam or a screw that came undone: looked at before it is set.' }
      ]
    },
    {
      id: 'twice',
      proves: true,
      text: 'Turned twice by hand, measured once more: all.',
      turns: { way: about(c).way, from: 'above' },
      items: ['compression.lashIn', 'compression.lashEx']
    },
    {
      id: 'cover-on',
      text: 'Cover on with a good gasket, bolts crosswise, not tight: they are small.',
      fits: ['cover gasket', 'cover', 'cover bolts'],
      renew: ['cover gasket']
    },
    {
      id: 'after',
      text: 'Compression again; and lash once more after a few hours of running, where a valve had no lash.',
      items: ['compression.pressure']
    }
  ]
};
