import type { Profile } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { answerOf, eliminate, type Elimination, type Trial } from '../../findings/elimination.ts';
import { onsetOf } from '../../findings/onset.ts';
import { lastTurn } from './turns.ts';

export type LockPart = 'liquid' | 'gears' | 'pinion' | 'leg' | 'head';

/** What can lock an engine, cheapest to clear first; the bores are blamed last. C: common practice. */
const parts = [
  { id: 'liquid', label: 'liquid above a piston' },
  { id: 'gears', label: 'a gear engaged or the propeller fouled' },
  { id: 'pinion', label: 'the starter pinion' },
  { id: 'leg', label: 'drive shaft, pump or gear case' },
  { id: 'head', label: 'bores, rings or bearings of the power head' }
] as const satisfies readonly { id: LockPart; label: string }[];

const trials: readonly Trial<LockPart>[] = [
  {
    item: 'turn.plugs',
    why: 'Liquid cannot be compressed and locks it like rust; with the plugs out it can leave.',
    minutes: 8,
    clears: { out: ['liquid'] },
    accuses: {}
  },
  {
    item: 'turn.lockNeutral',
    why: 'A gear left engaged hangs the whole leg and the propeller on the crank.',
    minutes: 2,
    clears: { still: ['gears'] },
    accuses: { free: 'gears' }
  },
  {
    item: 'turn.lockPinion',
    why: 'A pinion rusted into the ring holds the flywheel, and costs one look.',
    minutes: 5,
    clears: { still: ['pinion'], 'not-fitted': ['pinion'] },
    accuses: { free: 'pinion' }
  },
  {
    item: 'turn.lockLeg',
    why: 'With the leg off, whatever still locks it is in the power head: only now are the bores blamed.',
    minutes: 30,
    clears: { still: ['leg'], free: ['head'] },
    accuses: { free: 'leg' }
  }
];

const fitted = (p: Profile) => (part: { id: LockPart }) =>
  !(part.id === 'pinion' && p.starting === 'rope') && !(part.id === 'gears' && p.shift === 'direct');

/** Which part locks it, from the answers so far; nothing while it turns. */
export function lockTree(c: Context): Elimination<LockPart> | undefined {
  if (lastTurn(c) !== 'locked') return undefined;
  const round = c.record.round('turn.result');
  const began = onsetOf(c.record.all('turn.result'), (v) => v === 'locked');
  return eliminate(parts.filter(fitted(c.survey.engine.profile)), trials, (item) => {
    // Plugs still in are not yet a trial; that they are out stays so.
    if (item === 'turn.plugs') return answerOf(c, item, round) === 'in' ? undefined : answerOf(c, item, round);
    return answerOf(c, item, round, began);
  });
}
