import type { ItemId } from '../src/core/stations/items.ts';
import type { Bench } from './case.ts';
import { good } from './good.ts';

/** A look-over on which everything is as it should be. */
export function lookedOver(b: Bench): Bench {
  good('look', {
    profile: b.survey.engine.profile,
    best: 0,
    banked: false,
    read: (what, value, more) => void b.read(what as ItemId, value as never, more),
    wait: (h) => void b.wait(h)
  });
  return b;
}
