import { askedAfter } from '../findings/asked-after.ts';
import { runs } from '../findings/ran.ts';
import { cylindersOf, cylindersSaid, type Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { mixedUp, reachOf } from '../stations/plugs/analyse.ts';
import { crankedAt } from '../stations/plugs/cranking.ts';
import { waterIn } from '../stations/turn/hole-water.ts';
import { school } from '../house-rules/rules.ts';
import { swapItems } from '../stations/run/moved.ts';
import { firedBadly } from '../stations/spark/seen.ts';
import type { ItemId } from '../items/register.ts';
import { isAfter, latestOf } from '../units/instant.ts';
import { airAsks } from './asks-air.ts';
import { compressionAsks, leakDown, scoredLeak } from './asks-compression.ts';
import { harmAsks } from './asks-harm.ts';
import { sparkAsks } from './asks-spark.ts';
import { asked, at, goOn, job, look, repeat, type Asks, type AskRule } from './ask.ts';
import { others } from './asks-others.ts';
import { underLoad } from './asks-cranking.ts';

const hasCarburettor = (c: Context): boolean =>
  [undefined, 'unknown', 'carburettor'].includes(c.survey.engine.profile.fuelSystem);
/** Whether a plug was read as one of these; any of them, where no cylinder is named. */
const shows = (c: Context, { cylinder }: Finding, sights: readonly string[]): boolean =>
  c.record
    .all('plugs.read', cylinder === undefined ? {} : { cylinder })
    .some((r) => Array.isArray(r.value) && r.value.some((s) => sights.includes(String(s))));

/** Cylinders whose plugs are wet or sooty while another's is not, this one among them: what feeds them all is not it. */
function someWet(c: Context, { cylinder }: Finding): readonly number[] {
  const own = (k: number): boolean =>
    (['fuel', 'black'] as const).some(
      (sight) => shows(c, { cylinder: k } as Finding, [sight]) && reachOf(c, k, sight) !== 'all'
    );
  return cylinder !== undefined && own(cylinder) ? cylindersOf(c).filter(own) : [];
}

/** Wet where it does not fire: what came to it stayed unburnt, and nothing gives too much (C). */
const unburnt = (c: Context, { cylinder }: Finding): boolean =>
  (cylinder === undefined ? cylindersOf(c) : [cylinder]).every(
    (k) => firedBadly(c, k) || Object.values(swapItems).some((item) => c.record.value(item, k) === 'moves')
  );

/** A needle that runs over was seen: that is where the fuel came from. */
const flooded = (c: Context): boolean => c.record.all('fuel.floods').some((r) => r.value === 'yes');

/** Wet or sooty: too much fuel came. Choke and float are looked at before the plug is only cleaned, and though it is clean. */
const tooMuchFuel: readonly AskRule[] = [
  look(
    (c, f) => (someWet(c, f).length ? `Spark of ${cylindersSaid(someWet(c, f))}` : 'Spark, every cylinder'),
    ['spark.result'],
    3,
    {
      open: (c, f) =>
        (someWet(c, f).length > 0 || (cylindersOf(c).length === 1 && shows(c, f, ['fuel']))) &&
        !asked(c, 'spark.result', f.cylinder)
    }
  ),
  look('Move choke and primer by hand', ['fuel.choke'], 3, {
    open: (c, f) =>
      hasCarburettor(c) &&
      !someWet(c, f).length &&
      !unburnt(c, f) &&
      shows(c, f, ['fuel', 'black']) &&
      !flooded(c) &&
      !asked(c, 'fuel.choke')
  }),
  look('Bulb firm: does it flood?', ['fuel.floods'], 3, {
    open: (c, f) =>
      hasCarburettor(c) &&
      c.survey.engine.profile.supply === 'bulb' &&
      !unburnt(c, f) &&
      shows(c, f, ['fuel']) &&
      !asked(c, 'fuel.floods')
  })
];

/** Straight from the battery it fails: what lies between battery and key is not in that path. */
const directFails = (f: Finding): boolean => f.values !== undefined && 'battery' in f.values;
/** How this house tries a starter. */
const starterTests = (c: Context): readonly ItemId[] =>
  ({
    both: ['plugs.starterCircuit', 'plugs.starterDirect'] as const,
    direct: ['plugs.starterDirect'] as const,
    circuit: ['plugs.starterCircuit'] as const
  })[school(c.rules, 'starterTest')];

/** Dead, and not weak: what cuts it off altogether is looked at before a motor that was never fed. */
const endUnasked = (c: Context): boolean =>
  c.record.value('plugs.starterCircuit') === 'nothing' && !asked(c, 'plugs.voltsEnd');

/** White or blistered: it ran lean, and a lean engine holes its crown first. Plugs are out already. */
const crown: AskRule = look(
  // Mixed up, nobody knows out of which bore it came.
  (c, f) =>
    mixedUp(c) ? 'Light into every bore: are the crowns whole?' : `Light into the bore${at(f)}: is its crown whole?`,
  ['plugs.hole'],
  3,
  {
    open: (c, f) => {
      const seen = c.record.value('plugs.read', f.cylinder);
      const bores = mixedUp(c) ? cylindersOf(c) : [f.cylinder];
      return Array.isArray(seen) && seen.includes('white') && bores.some((k) => !asked(c, 'plugs.hole', k));
    }
  }
);

/** What plugs, starter, spark and compression ask for, in the trade's order. C: common practice. */
export const headAsks: Asks = {
  'plugs.missing': others('Read the other plugs too', 'plugs', 3, ['plugs.read']),
  'plugs.read': [...tooMuchFuel, crown],
  'plugs.cleaned': tooMuchFuel,
  'plugs.water': [
    goOn('Look into its hole; holes lowest, turn by hand until dry', 'plugs', 5, {
      items: ['turn.water', 'plugs.hole'],
      open: (c, f) =>
        !asked(c, 'plugs.hole', f.cylinder) || (f.cylinder !== undefined && waterIn(c).includes(f.cylinder))
    })
  ],
  'plugs.hole-water': [
    goOn('Holes lowest, turn by hand until dry, look in again', 'plugs', 5, { items: ['turn.water', 'plugs.hole'] })
  ],
  'plugs.water-was': [
    look('A plug out after the run: water on it?', ['run.plugAfter'], 3, {
      late: 'release',
      open: (c, f) =>
        (f.values as { ran?: boolean } | undefined)?.ran === true && !askedAfter(c, 'run.plugAfter', runs(c).at(-1)?.at)
    })
  ],
  'plugs.hole-debris': [goOn('Get it out by magnet or air', 'plugs', 5, { items: ['plugs.hole'] })],
  'plugs.hole-scored': [look('Compression, every cylinder', ['compression.pressure'], 10), scoredLeak],
  'plugs.hole-holed': [
    look('Compression, every cylinder', ['compression.pressure'], 10),
    leakDown,
    repeat((_, f) => `A bright light into the bore${at(f)} again: is its crown burnt through?`, 'plugs', 3, {
      only: ['cannot-tell'],
      items: ['plugs.hole']
    })
  ],
  'plugs.hole-rust': [job('soak')],
  // None put in is no answer to it: what is cranked waits for it.
  'plugs.dry-bores': [
    look('Oil the bores, note how much', ['plugs.oil'], 3, {
      open: (c) => c.record.asked('plugs.oil')?.value !== 'unknown'
    })
  ],
  'plugs.volts': [
    repeat('Crank again on a charged battery', 'plugs', 3, { items: ['plugs.volts'], first: true }),
    job('battery')
  ],
  'plugs.battery': [job('battery', { late: true })],
  'plugs.slow': [
    {
      ...underLoad,
      // Whatever else was cranked for is doubted by it.
      kind: 'repeat',
      first: true,
      // What was said of the starter before it turned so slowly is no answer to that.
      open: (c) =>
        !starterTests(c).some((what) => {
          const last = c.record.last(what);
          return last && isAfter(last.at, latestOf([crankedAt(c), crankedAt(c, 'volts')].flatMap((x) => x ?? []))?.at);
        }),
      items: (c) => [...starterTests(c), 'plugs.volts']
    }
  ],
  // Nothing else turns it: what is cranked for waits for that.
  'plugs.rope': [job('rope', { only: ['fault'] })],
  'plugs.starter-again': [
    repeat('The starter again, on the good battery', 'plugs', 3, {
      items: ['plugs.starterCircuit', 'plugs.starterDirect'],
      needs: 'crank'
    })
  ],
  'plugs.starter-fuse': [job('wiring')],
  'plugs.starter': [
    {
      ...look(
        (c) => `Starter straight from the battery${endUnasked(c) ? ', once lever and fuse are looked at' : ''}`,
        ['plugs.starterDirect'],
        3
      ),
      items: (c) => [...(endUnasked(c) ? (['plugs.voltsEnd'] as const) : []), 'plugs.starterDirect'],
      // What is cranked for by a poor starter is doubted by it.
      kind: 'repeat',
      open: (c) => starterTests(c).includes('plugs.starterDirect') && !asked(c, 'plugs.starterDirect')
    },
    look('Volts of the battery while it is tried', ['plugs.volts'], 3, {
      only: ['cannot-tell'],
      open: (c, f) => directFails(f) && !asked(c, 'plugs.volts')
    }),
    look('Volts in four places', ['plugs.voltsEnd'], 8, {
      only: ['fault'],
      open: (c, f) => !directFails(f) && !asked(c, 'plugs.voltsEnd')
    }),
    job('starter', { only: ['watch', 'fault'] })
  ],

  ...sparkAsks,
  ...compressionAsks,
  ...airAsks,
  ...harmAsks
};
