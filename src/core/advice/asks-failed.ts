import { cylindersOf, type Context } from '../findings/context.ts';
import { lastMarks } from '../jobs/done.ts';
import type { ItemId } from '../stations/items.ts';
import { compareAll } from '../stations/compression/compare.ts';
import { dryAfterStart } from '../stations/plugs/analyse.ts';
import { failedStart, mendedForStart } from '../stations/run/failed-start.ts';
import { isAfter } from '../units/instant.ts';
import { carburetted, hasBulb } from './asks-fuel.ts';
import { job, look, repeat, type AskRule } from './ask.ts';
import { beltLook } from './asks-turn.ts';
import { untilFound } from './until-found.ts';

const readSince = (c: Context, items: readonly ItemId[]): boolean =>
  items.some((i) => c.record.all(i).some((r) => isAfter(r.at, failedStart(c)?.at)));

/** Looks for fuel that does not come: not where the plugs of the failed start were wet with it. */
const whenDry = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => dryAfterStart(c)?.dry !== false && r.open(c, f)
});
/** Looks for what does not burn: where fuel came. */
const whenWet = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => dryAfterStart(c)?.dry === false && r.open(c, f)
});
/** Fuel did not come though this was good before: it changes from one start to the next, and is seen again. */
const againWhenDry = (
  title: string,
  items: readonly ItemId[],
  minutes: number,
  fits: (c: Context) => boolean
): AskRule => ({
  ...look(title, items, minutes),
  open: (c, f) => {
    if (!fits(c) || dryAfterStart(c)?.dry === false) return false;
    return dryAfterStart(c)?.dry ? !readSince(c, items) : look('', items, minutes).open(c, f);
  }
});
const sparkEverywhere = look('Spark, every cylinder', ['spark.result'], 6);
const sparksEverywhere = (c: Context): boolean =>
  cylindersOf(c).every((k) => c.record.value('spark.result', k) === 'good');
const plugsDone = (c: Context) => {
  const mark = lastMarks(c.survey).get('plugs');
  return mark?.state === 'done' ? mark : undefined;
};
/** Plugs that were cleaned or renewed here already are dried, and it is started once more without fuel on top: once, not for ever. */
const driedAndTried: AskRule = {
  ...repeat('Plugs dried, turned over clear with the throttle open, started again without choke', 'run', 10, {
    items: ['run.event', 'run.outcome'],
    needs: 'start'
  }),
  open: (c) => {
    const done = plugsDone(c);
    const failed = c.record.all('run.outcome').filter((r) => r.value === 'failed');
    return done !== undefined && sparksEverywhere(c) && failed.filter((r) => isAfter(r.at, done.at)).length === 1;
  }
};
const on = (fits: (c: Context) => boolean, r: AskRule): AskRule => ({ ...r, open: (c, f) => fits(c) && r.open(c, f) });

/** What a start that failed asks for, by how the plugs came out of it; mended where it lies, it is tried again first. C: common practice. */
export const failedAsks: readonly AskRule[] = untilFound(
  ...[
    // Plugs that came out dry ask for fuel first.
    on((c) => !dryAfterStart(c)?.dry, sparkEverywhere),
    // As they are after the start that failed: what was read before it tells nothing of that.
    look('Plugs out: wet or dry', ['plugs.read'], 8, { open: (c) => dryAfterStart(c) === undefined }),
    // Dry plugs: fuel does not get there. Wet ones: too much of it, or fuel that does not burn.
    whenDry(look('Look into the tank', ['fuel.level'], 1)),
    againWhenDry('Tap or shut-off under the cowl', ['fuel.shutoff'], 1, () => true),
    againWhenDry('Squeeze the bulb', ['fuel.bulb'], 2, hasBulb),
    on((c) => hasBulb(c) && carburetted(c), whenWet(look('Bulb firm: does it flood?', ['fuel.floods'], 3))),
    on(
      (c) => !carburetted(c),
      whenDry(look('Fuel rail: pump heard with the key on, then its pressure', ['fuel.railPump', 'fuel.rail'], 10))
    ),
    // Pressure in the rail and dry plugs: what stands between them.
    on(
      (c) => !carburetted(c) && dryAfterStart(c)?.dry === true,
      look('Injectors, heard one by one while it is cranked', ['fuel.injectors'], 5, { needs: 'crank' })
    ),
    look('Fuel into a clear jar', ['fuel.jar'], 4),
    on((c) => dryAfterStart(c)?.dry === true, sparkEverywhere),
    on(carburetted, look('Move choke and primer by hand', ['fuel.choke'], 3)),
    // Wet through it does not fire at all: dried or renewed, it is tried again.
    whenWet({ ...job('plugs'), open: (c, f) => !plugsDone(c) && job('plugs').open(c, f) }),
    whenWet(driedAndTried),
    // It sparks and has fuel, and does not fire: at the wrong moment, or on too little pressure.
    whenWet(look('Flywheel mark against the crank', ['spark.keyLook'], 5)),
    whenWet(beltLook),
    whenWet(look('Compression, every cylinder', ['compression.pressure'], 10)),
    // Oil lifts a worn one to where it should be, and an engine that does not start burns none of it off.
    on(
      (c) => compareAll(c)?.conditions.bores === 'oiled',
      whenWet(
        look('Leak-down of every cylinder: the oil hides what the needle would show', ['compression.leakdown'], 15)
      )
    ),
    on((c) => dryAfterStart(c)?.dry !== false, look('Bowl or vapour separator off', ['fuel.bowlLook'], 15))
  ]
).map((r): AskRule => ({ ...r, open: (c, f) => !mendedForStart(c) && r.open(c, f) }));
