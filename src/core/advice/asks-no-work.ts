import { cylindersOf, type Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { allItems, type ItemId } from '../stations/items.ts';
import { movedWith, swapItems, type SwappedPart } from '../stations/run/moved.ts';
import { isAfter } from '../units/instant.ts';
import { carburetted, four } from './asks-fuel.ts';
import { onPlug } from '../stations/spark/own-parts.ts';
import { job, look, type Asks, type AskRule } from './ask.ts';
import { untilFound } from './until-found.ts';

/** Reeds and crank seals of a two-stroke: its crankcase closed and pumped up, each for itself. */
export const crankcase: AskRule = look(
  'Crankcase closed and under pressure: does it hold?',
  ['compression.crankcase'],
  25,
  {
    open: (c, f) => !four(c) && look('', ['compression.crankcase'], 25).open(c, f)
  }
);
/** Work where a cylinder’s own fuel, spark or pressure is made, after it was shorted out: it is run again first. */
const mendedSinceDrop = (c: Context, cylinder: number | undefined): boolean => {
  const drop = c.record.last('run.drop', cylinder);
  return (['fuel', 'spark', 'plugs', 'compression'] as const).some((s) =>
    c.worked(s).some((at) => isAfter(at, drop?.at))
  );
};
/** Read at that cylinder since it was shorted out. */
const readSince = (c: Context, item: ItemId, f: Finding): boolean => {
  const drop = c.record.last('run.drop', f.cylinder);
  const where = allItems[item].perCylinder ? { cylinder: f.cylinder! } : {};
  return c.record.all(item, where).some((r) => isAfter(r.at, drop?.at));
};
/** Whether its plug came wet with fuel out of the run that missed it; nothing where nobody looked. */
const cameWet = (c: Context, f: Finding): boolean | undefined => {
  if (!readSince(c, 'plugs.read', f)) return undefined;
  const seen = c.record.value('plugs.read', f.cylinder);
  return Array.isArray(seen) ? seen.some((s) => s === 'fuel' || s === 'black') : undefined;
};
/** Fuel comes and does not burn, though it sparks by the tester: its plug, its lead, then its coil, with a neighbour’s. */
const swapMinutes = { plug: 3, lead: 5, coil: 15 } as const;
const swap = (part: SwappedPart): AskRule => {
  const item = swapItems[part];
  return look(
    (_, f) => `Swap the ${part} of cylinder ${f.cylinder} with a neighbour’s, run it: does the fault move?`,
    [item],
    swapMinutes[part],
    {
      open: (c, f) =>
        cylindersOf(c).length > 1 &&
        cameWet(c, f) === true &&
        movedWith(c, f.cylinder!) === undefined &&
        !(part === 'lead' && onPlug(c)) &&
        !readSince(c, item, f)
    }
  );
};
/** Dry out of the run: its own fuel does not get there. */
const ofItsFuel: AskRule = look(
  (c) => (carburetted(c) ? 'Bowl off: gum, jets and passages' : 'Injectors, each for itself'),
  ['fuel.bowlLook', 'fuel.jets'],
  15,
  {
    items: (c) => (carburetted(c) ? ['fuel.bowlLook', 'fuel.jets'] : ['fuel.injectors']),
    open: (c, f) =>
      cameWet(c, f) === false &&
      // A bowl without gum clears no jet; one with gum is mended.
      !(carburetted(c) ? (['fuel.jets'] as const) : (['fuel.injectors'] as const)).some((i) => readSince(c, i, f)) &&
      !(
        readSince(c, 'fuel.bowlLook', f) &&
        !['clean', 'unknown'].includes(String(c.record.asked('fuel.bowlLook')?.value))
      )
  }
);
/** What a cylinder that does no work asks for, by how its plug comes out of that run. C: common practice. */
export const noWorkAsks: Asks = {
  'run.moved-plug': [job('plugs')],
  'run.moved-lead': [job('lead')],
  'run.moved-coil': [job('coil')],
  'run.no-work': untilFound(
    look((_, f) => `Spark of cylinder ${f.cylinder}`, ['spark.result'], 2, { needs: 'crank' }),
    look((_, f) => `Compression of cylinder ${f.cylinder}`, ['compression.pressure'], 5, { needs: 'crank' }),
    look((_, f) => `Injector of cylinder ${f.cylinder}: does it click?`, ['fuel.injectors'], 2, {
      needs: 'crank',
      open: (c, f) => !carburetted(c) && cameWet(c, f) !== true && look('', ['fuel.injectors'], 2).open(c, f)
    }),
    // As it is after the run that showed it: wet or dry says whether fuel or spark is missing there.
    look((_, f) => `Plug of cylinder ${f.cylinder}, as it comes out of the run: wet or dry`, ['plugs.read'], 4, {
      open: (c, f) => !readSince(c, 'plugs.read', f)
    }),
    swap('plug'),
    swap('lead'),
    swap('coil'),
    ofItsFuel,
    crankcase
  ).map((r): AskRule => ({
    ...r,
    open: (c, f) => !mendedSinceDrop(c, f.cylinder) && movedWith(c, f.cylinder!) === undefined && r.open(c, f)
  }))
};
