import { arrives, type BenchEngine } from './bench.ts';

export interface Delivery {
  readonly surveyId: string;
  readonly tag: string;
  readonly key: string;
  readonly name: string;
  readonly state: 'wanted' | 'ordered';
  /** "2026-05-31". */
  readonly due?: string;
  /** Nobody can know when. */
  readonly open: boolean;
}

/** What the engines of the bench wait for, the soonest first, what nobody knows the arrival of last. */
export const deliveriesOf = (engines: readonly BenchEngine[], now: Date): Delivery[] =>
  engines
    .flatMap((e) =>
      e.parts.flatMap((l): Delivery[] =>
        l.state === 'wanted' || l.state === 'ordered'
          ? [
              {
                surveyId: e.id,
                tag: e.tag,
                key: l.key,
                name: l.name,
                state: l.state,
                ...(l.due ? { due: l.due } : {}),
                open: arrives(l, now) === undefined
              }
            ]
          : []
      )
    )
    .sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
