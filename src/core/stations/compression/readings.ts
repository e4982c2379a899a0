import type { Profile } from '../../engine/profile.ts';
import { choice, quantity, series, several } from '../../items/item.ts';

const valves = (p: Profile): boolean => p.strokes !== 'two';
const sealedCrankcase = (p: Profile): boolean => p.strokes !== 'four';
/** A valve with less lash than this, m, does not close (C). */
export const NO_LASH = 0.01e-3;
/** Cold lash under this, m, is closer than makers of four-stroke outboards ask for (C; from memory). The manual's figure wins. */
export const TIGHT_LASH = 0.08e-3;

const lash = (label: string, limit: string) =>
  quantity({
    label,
    dimension: 'length',
    example: '0.15 mm',
    min: 0,
    max: 2e-3,
    perCylinder: true,
    stays: { atMost: NO_LASH },
    limit,
    when: valves
  });

/** Cranking compression, by its final needle or pull by pull; leak-down and valve lash beside it. Repeats stand side by side. */
export const items = {
  pressure: quantity({
    label: 'Compression',
    ask: 'All plugs out, throttle wide open, until the needle stops rising',
    dimension: 'pressure',
    min: 0,
    max: 3.5e6,
    perCylinder: true,
    repeated: true,
    limit: 'compression.figure'
  }),
  pulls: series({
    label: 'Compression, pull by pull',
    ask: 'The needle after each pull',
    dimension: 'pressure',
    min: 0,
    max: 3.5e6,
    most: 30,
    perCylinder: true,
    repeated: true
  }),
  leakdown: quantity({
    quick: 'leak',
    label: 'Leak-down',
    ask: 'Flywheel locked, piston at top: share that the tester loses',
    dimension: 'share',
    example: '8 %',
    min: 0,
    max: 1,
    perCylinder: true,
    repeated: true,
    limit: 'compression.leakdown'
  }),
  escape: several({
    label: 'Air comes out at',
    perCylinder: true,
    options: {
      intake: 'carburettor or intake',
      exhaust: 'exhaust',
      crankcase: 'crankcase or dipstick',
      neighbour: 'the neighbour’s plug hole',
      water: 'bubbles in the cooling water',
      edge: 'edge of the head'
    }
  }),
  crankcase: choice({
    label: 'Crankcase under pressure',
    ask: 'Ports shut by plates, the manual’s pressure or 0.4 bar by hand, never over 0.7: does it hold for some minutes?',
    perCylinder: true,
    options: {
      held: 'holds',
      seal: 'falls, at a crank seal',
      reed: 'falls, at the reeds',
      joint: 'falls, at a joint',
      falls: ['falls', 'place not found']
    },
    when: sealedCrankcase
  }),
  lashIn: lash('Valve lash, intake', 'compression.lashIn'),
  lashEx: lash('Valve lash, exhaust', 'compression.lashEx'),
  flatness: quantity({
    label: 'Feeler under the straight edge, the most',
    dimension: 'length',
    example: '0.05 mm',
    inWork: true,
    min: 0,
    max: 2e-3
  })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly compression: typeof items;
  }
}
