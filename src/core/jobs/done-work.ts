import type { Work } from '../findings/context.ts';
import type { ItemId, StationId } from '../items/register.ts';
import { stationOf } from '../stations/items.ts';
import { renewedItem, type Renewed } from './job.ts';
import type { Instant } from '../units/instant.ts';

/** A job that was marked done, as far as it changes what readings mean: plain data, that a page can be told. */
export interface DoneWork {
  readonly at: Instant;
  /** The check that proves it, and of which readings; of any, where none are named. */
  readonly proof: { readonly station: StationId; readonly reads?: readonly ItemId[] };
  readonly alters?: readonly StationId[];
  readonly renews?: readonly Renewed[];
  readonly disturbs?: readonly ItemId[];
  readonly wipes?: readonly { readonly item: ItemId; readonly clean: readonly string[] }[];
  /** Only a run shows it to be right. */
  readonly seenRunning?: true;
}

/** What the work that was done changes in earlier readings. */
export const workFrom = (done: readonly DoneWork[]): Work => ({
  basis: done.length ? JSON.stringify(done) : '',
  worked: (station) =>
    done.filter((d) => d.proof.station === station || d.alters?.includes(station)).map(({ at }) => at),
  touched: (item) => {
    const station = stationOf(item);
    return done
      .filter(
        (d) =>
          d.alters?.includes(station) ||
          d.renews?.some((r) => renewedItem(r) === item) ||
          (d.proof.station === station && (d.proof.reads?.includes(item) ?? true))
      )
      .map(({ at }) => at);
  },
  renewed: (item, answer) =>
    done
      .filter((d) =>
        d.renews?.some((r) =>
          typeof r === 'string'
            ? r === item
            : r.item === item && (answer === undefined || r.answers.includes(String(answer)))
        )
      )
      .map(({ at }) => at),
  disturbed: (item) => done.filter((d) => d.disturbs?.includes(item)).map(({ at }) => at),
  wiped: (item) =>
    done.flatMap(({ at, wipes }) => (wipes ?? []).flatMap((w) => (w.item === item ? [{ at, clean: w.clean }] : []))),
  reopened: () => done.filter((d) => d.seenRunning).map(({ at }) => at)
});
