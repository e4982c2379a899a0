import type { Card } from '../../engine/card.ts';
import { cardValue } from '../../engine/card-value.ts';
import { threads } from '../../engine/plug-threads.ts';
import type { Instrument } from '../../record/reading.ts';
import { say, type System } from '../../units/index.ts';

/** An adapter this much longer than the plug may stand in the piston's or a valve's way, m (M). */
const LONGER = 1e-3;
/** One this much shorter leaves threads empty, m (M). */
const SHORTER = 3e-3;
/** Core diameter of the hole, m: of the internal thread, ISO 724:1993 (D1 = d - 1.0825 p). */
const core = { m10: 8.917e-3, m12: 10.647e-3, m14: 12.647e-3, m18: 16.376e-3 } as const;

export interface AdapterFit {
  readonly kind: 'thread' | 'long' | 'short';
  /** Whether something breaks if it is used. */
  readonly breaks: boolean;
  readonly said: string;
}

/**
 * Whether a gauge's adapter fits the plug holes of this engine, before it is screwed in: by thread and reach of the adapter and of the
 * plugs on the engine's card. Nothing where either is not known. An empty length of thread counts into the chamber: its volume is given.
 */
export function adapterFit(instrument: Instrument | undefined, card: Card | undefined, units: System): AdapterFit[] {
  if (!instrument) return [];
  const out: AdapterFit[] = [];
  const thread = cardValue(card, 'plugThread', true);
  const reach = cardValue(card, 'plugReach', true);
  const guess = (key: 'plugThread' | 'plugReach'): string =>
    card?.[key]?.source === 'guess' ? ' by a guess on its card' : '';
  if (thread && instrument.thread && thread !== instrument.thread)
    out.push({
      kind: 'thread',
      breaks: true,
      said: `Its adapter is ${threads[instrument.thread]}, the plug holes are ${threads[thread]}${guess('plugThread')}: another adapter. Forced in, it takes the head’s thread with it.`
    });
  if (reach === undefined || instrument.reach === undefined) return out;
  const [plug, adapter] = [say(reach, 'length', units, 1e-4), say(instrument.reach, 'length', units, 1e-4)];
  const more = instrument.reach - reach;
  if (more > LONGER)
    out.push({
      kind: 'long',
      breaks: true,
      said: `Its adapter reaches ${adapter} into the hole, the plug ${plug}${guess('plugReach')}: it may stand in the way of piston or valves. Turn the engine by hand a whole turn before it is cranked, or take a shorter one.`
    });
  if (more < -SHORTER) {
    const size = thread ?? instrument.thread;
    const empty = size ? -more * (Math.PI / 4) * core[size] ** 2 : undefined;
    out.push({
      kind: 'short',
      breaks: false,
      said: `Its adapter reaches ${adapter}, the plug ${plug}${guess('plugReach')}: it holds by fewer threads, so by hand only${
        empty === undefined
          ? ''
          : `, and the empty thread adds ${say(empty, 'volume', units, 1e-7)} to the chamber: it reads a little low`
      }.`
    });
  }
  return out;
}
