import { LASHES } from '../stations/compression/lash.ts';
import { askedAfter } from '../findings/asked-after.ts';
import { cylindersOf, type Context } from '../findings/context.ts';
import type { ItemId } from '../stations/items.ts';
import { metalOnMagnet } from '../stations/gear/case-state.ts';
import { leakTraced } from '../stations/run/leak-place.ts';
import { noiseOf, type NoisePlace } from '../stations/run/noise.ts';
import type { Timed } from '../units/instant.ts';
import { carburetted, four, hasBulb } from './asks-fuel.ts';
import { job, look, type Asks, type AskRule } from './ask.ts';
import { untilFound } from './until-found.ts';

type Fits = (c: Context) => boolean;

/** A look that counts only when it was made after the symptom: what was dry before the run says nothing of what drips in it. */
const after = (
  symptom: (c: Context) => Timed | undefined,
  title: string,
  items: readonly ItemId[],
  minutes: number,
  fits: Fits = () => true
): AskRule =>
  look(title, items, minutes, {
    open: (c) => {
      const seen = symptom(c);
      return !!seen && fits(c) && !askedAfter(c, items, seen.at);
    }
  });
/** A leak of which nobody knows yet where it comes from. */
const ofLeak =
  (what: 'fuel' | 'any') =>
  (c: Context): Timed | undefined => {
    const leak = c.record.last('run.leaks');
    return leak && !leakTraced(c) && (what === 'any' || leak.value === 'fuel') ? leak : undefined;
  };
/** A noise from there, without its cause. */
const ofNoise =
  (place: NoisePlace) =>
  (c: Context): Timed | undefined => {
    const noise = noiseOf(c);
    return noise && noise.place === place && !noise.explained ? noise : undefined;
  };
const sinceLeak = (what: 'fuel' | 'any', ...rest: [string, readonly ItemId[], number, Fits?]): AskRule =>
  after(ofLeak(what), ...rest);
/** By where it is heard: what is tried since, cheapest first (C). */
const heard = (place: NoisePlace, ...rest: [string, readonly ItemId[], number, Fits?]): AskRule =>
  after(ofNoise(place), ...rest);

/** Where leaks and noises come from, before anything is opened for them. C: common practice. */
export const placeAsks: Asks = {
  'run.leaks': untilFound(
    sinceLeak('any', 'Wiped dry and watched, paper under it: where does it come from?', ['run.leakAt'], 5),
    sinceLeak('fuel', 'Hoses and couplings, every joint wiped and watched', ['fuel.hose', 'fuel.couplings'], 5),
    sinceLeak('fuel', 'Bulb firm: does it flood?', ['fuel.floods'], 3, (c) => hasBulb(c) && carburetted(c)),
    sinceLeak('fuel', 'Fuel pump: does it weep?', ['fuel.pump'], 5, hasBulb)
  ),
  'run.leak-untold': [
    look('Say what leaks there: fuel, oil or water', ['run.leaks'], 1, {
      open: (c) => !askedAfter(c, 'run.leaks', c.record.last('run.leakAt')?.at)
    })
  ],
  'run.leak-hose': [job('fuel-line')],
  'run.leak-filter': [job('fuel-filter')],
  'run.leak-pump': [job('fuel-pump')],
  'run.leak-bowl': [job('bowl')],
  'run.leak-case': [job('case-test')],
  'run.leak-part': [job('leak')],
  'run.noise': untilFound(
    heard('head', 'Turned by hand: grit, play, a tight spot', ['turn.result', 'turn.feel'], 2),
    heard('head', 'Every piston’s depth at top', ['turn.depth'], 10, (c) => cylindersOf(c).length > 1),
    heard('valves', 'Valve lash, cold', LASHES, 20, four),
    heard('flywheel', 'Flywheel’s nut, key and mark', ['spark.keyLook'], 5),
    heard(
      'flywheel',
      'Starter pinion away: still there?',
      ['turn.roughPinion'],
      3,
      (c) => c.survey.engine.profile.starting !== 'rope'
    ),
    heard('leg', 'Magnet and oil of the gear case: metal?', ['gear.magnet', 'gear.look'], 6),
    // Metal on the magnet is what is heard.
    heard('leg', 'Shift through by hand', ['turn.forward', 'turn.reverse', 'turn.neutral'], 2, (c) => !metalOnMagnet(c))
  )
};
