import { isInjected, type Profile } from '../../engine/profile.ts';
import type { Condition } from '../../findings/finding.ts';
import type { PlugSight } from './sights.ts';

export type { PlugSight } from './sights.ts';

/** What a sight means, by the kind of engine; `meaningWords` says it. */
export type MeaningId =
  | 'normal'
  | 'dry'
  | 'oily-laid-up'
  | 'oily-two'
  | 'oily-four'
  | 'fuel-injected'
  | 'fuel'
  | 'fuel-one'
  | 'fuel-some'
  | 'water'
  | 'rust'
  | 'white-two'
  | 'white-seen'
  | 'white'
  | 'black-two'
  | 'black-injected'
  | 'black-one'
  | 'black-some'
  | 'black'
  | 'bridged'
  | 'cracked';

/** How many of the plugs show it: this one alone, some of them, or all that tell of it. */
export type Reach = 'one' | 'some' | 'all';

export interface PlugMeaning {
  readonly is: Extract<Condition, 'sound' | 'watch' | 'fault'>;
  readonly means: MeaningId;
}

/**
 * What a plug's face means on this kind of engine. A choke, a mixture or old fuel shows at all of them; what some of them show is
 * the matter of what those have for themselves. `crownClean`: the piston under it was looked at, and is whole. C: common practice.
 */
export function meaningOf(
  sight: PlugSight,
  p: Profile,
  laidUp = false,
  reach: Reach = 'all',
  crownClean = false
): PlugMeaning {
  const two = p.strokes === 'two';
  const injected = isInjected(p);
  switch (sight) {
    case 'normal':
    case 'dry':
      return { is: 'sound', means: sight };
    case 'oily':
      // A proper lay-up leaves preservation oil: the world explains it before a fault is invented.
      if (laidUp) return { is: 'sound', means: 'oily-laid-up' };
      return { is: 'watch', means: two ? 'oily-two' : 'oily-four' };
    case 'fuel':
      return { is: 'watch', means: injected ? 'fuel-injected' : reach === 'all' ? 'fuel' : `fuel-${reach}` };
    case 'white':
      return { is: 'watch', means: two ? (crownClean ? 'white-seen' : 'white-two') : 'white' };
    case 'black':
      if (reach !== 'all') return { is: 'watch', means: `black-${reach}` };
      return { is: 'watch', means: two ? 'black-two' : injected ? 'black-injected' : 'black' };
    case 'rust':
    case 'bridged':
      return { is: 'watch', means: sight };
    case 'water':
    case 'cracked':
      return { is: 'fault', means: sight };
  }
}
