import type { Profile } from '../../engine/profile.ts';
import type { Condition } from '../../findings/finding.ts';
import type { ReadingValue } from '../items.ts';

export type PlugSight = Exclude<ReadingValue<'plugs.read'>, 'unknown'>[number];
export interface PlugMeaning {
  readonly is: Extract<Condition, 'sound' | 'watch' | 'fault'>;
  readonly says: string;
}

/** What a plug's face means on this kind of engine. C: common practice. */
export function meaningOf(sight: PlugSight, p: Profile, laidUp = false): PlugMeaning {
  const two = p.strokes === 'two';
  const injected = p.fuelSystem === 'electronic' || p.fuelSystem === 'direct';
  switch (sight) {
    case 'normal':
      return { is: 'sound', says: 'burns as it should' };
    case 'dry':
      return { is: 'sound', says: 'dry: it has not been getting fuel lately, which standing explains' };
    case 'oily':
      // A proper lay-up leaves preservation oil: the world explains it before a fault is invented.
      if (laidUp)
        return {
          is: 'sound',
          says: 'oily, as a proper lay-up leaves it: wipe it, it smokes for some minutes; look again after the first run'
        };
      return two
        ? {
            is: 'watch',
            says: 'oily: on a two-stroke preservation oil or too rich a mix, unless it comes back after a run'
          }
        : {
            is: 'watch',
            says: 'oily: on a four-stroke rings or valve guides, or a sump that was overfilled or laid on its side'
          };
    case 'fuel':
      return {
        is: 'watch',
        says: injected
          ? 'fuel-wet: no spark there, or an injector that leaks'
          : 'fuel-wet: no spark there, or flooded by choke or needle'
      };
    case 'water':
      return {
        is: 'fault',
        says: 'wet with water: gasket, water jacket or exhaust cover, or the engine was under. Nothing spins until the hole is dry'
      };
    case 'rust':
      return {
        is: 'watch',
        says: 'rusty: damp stood in that bore. Look in with a light; oil it and turn it by hand first'
      };
    case 'white':
      return {
        is: 'watch',
        says: two
          ? 'white or blistered: it ran lean or hot, and a lean two-stroke holes its piston. Look at that crown'
          : 'white or blistered: it ran lean or hot'
      };
    case 'black':
      return {
        is: 'watch',
        says: two ? 'black: rich, too much oil, or long idling' : 'black and sooty: rich, or a stuck choke'
      };
    case 'bridged':
      return { is: 'watch', says: 'bridged: no spark until the bridge is out. Clean it and look for what came loose' };
    case 'cracked':
      return { is: 'fault', says: 'cracked: it sparks inside. Renew it' };
  }
}
