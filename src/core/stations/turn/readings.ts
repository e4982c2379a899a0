import { choice, quantity, several } from '../../survey/items.ts';

/** The hand turn: in the engine's direction only, before anything is cranked. */
export const items = {
  plugs: choice({ label: 'Spark plugs while turning', options: { in: 'in', out: 'out, kept in order' } }),
  result: choice({
    label: 'How it turns',
    ask: 'Turn it slowly by hand, two full turns; each tap records one turn',
    repeated: true,
    options: {
      bumps: ['free, with bumps', 'compression is felt'],
      free: ['free, no bumps', 'as it should with the plugs out'],
      stiff: 'stiff',
      gritty: 'gritty',
      locked: 'locked'
    }
  }),
  bumps: quantity({
    label: 'Bumps in two turns',
    ask: 'Count the compression bumps over two full turns',
    dimension: 'count',
    min: 0,
    max: 24
  }),
  feel: several({ label: 'Felt or heard', options: { noise: 'noise', play: 'play', tight: 'a tight spot' } }),
  water: choice({
    label: 'Out of the plug holes',
    ask: 'Plug holes lowest: what comes out?',
    options: { none: 'nothing more', some: 'some water', much: 'still coming', oil: 'oil only' }
  }),
  depth: quantity({
    label: 'Piston depth at top',
    ask: 'Depth from the plug seat to the crown with the piston at top',
    dimension: 'length',
    min: 1e-3,
    max: 0.2,
    perCylinder: true,
    repeated: true,
    limit: 'turn.depth'
  }),
  dried: choice({
    label: 'Water displaced',
    ask: 'Water-displacing oil through plug holes and intake, turned, repeated until clear',
    options: { yes: 'yes, until clear', part: 'begun', no: 'not yet' }
  })
} as const;
