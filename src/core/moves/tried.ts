import { checks, signKinds } from '../diagnosis/knowledge/index.ts';
import type { Context } from '../findings/context.ts';
import { allItems, itemIds, stationOf, type ItemId } from '../stations/items.ts';
import { isAfter } from '../units/instant.ts';
import type { Move } from './move.ts';

/** A look made so often since the last work on its check, and still asked for, will not be answered by making it once more (M). */
const OFTEN = 4;
/** The same for what is read several times anyway. */
const OFTEN_REPEATED = 7;
/** Two words on one thing within this are one look, and its correction, ms. */
const ONE_LOOK = 60_000;
/** A stage of a case test is read over so long; its next reading after that is another test, ms. */
const ONE_TEST = 5_400_000;
/** Read over time, or poured in parts: how often says nothing. */
export const streams: ReadonlySet<string> = new Set<string>([
  'gear.poured',
  'oil.poured',
  'oil.drained',
  'cooling.bucket',
  ...itemIds.filter((i) => i.startsWith('run.') && allItems[i].repeated)
]);

/** What each look of the knowledge reads. */
const looks: ReadonlyMap<string, ReadonlySet<string>> = new Map(
  checks.map((check) => [
    check.id,
    new Set([
      ...(check.tries ?? []),
      ...(check.made ?? []),
      ...signKinds.filter((s) => s.check === check.id).flatMap((s) => (s.reads ?? []).map((r) => r.item))
    ])
  ])
);

/** Whether a move reads an item; nothing where it does not say what it reads. A proof reads its whole check. */
export function readsOf(m: Move): ((item: ItemId) => boolean) | undefined {
  if (m.items) return (item) => m.items!.includes(item);
  if (m.id.startsWith('proof:')) return (item) => stationOf(item) === m.station;
  const look = m.id.startsWith('look:') ? looks.get(m.id.slice('look:'.length)) : undefined;
  return look?.size ? (item) => look.has(item) : undefined;
}

/** A proof that has failed, with nothing else left that would change it: twice is enough of it (M). */
const TWICE = 2;
const inVain = (m: Move): boolean => m.id.startsWith('proof:') && m.class === 9 && m.station !== 'run';

/**
 * Whether what a move reads was read so often since the last work on its check that once more is no use. Of a move that does not
 * say what it reads nothing is known: never. Corrections count as what they correct.
 */
export function triedEnough(c: Context, m: Move): boolean {
  if (!m.station || !['look', 'repeat', 'continue'].includes(m.kind) || m.id.startsWith('gate:')) return false;
  const mine = readsOf(m);
  if (!mine) return false;
  const worked = c.worked(m.station);
  const times = new Map<string, number[]>();
  for (const r of c.survey.readings) {
    if (r.withdrawn || streams.has(r.what) || !mine(r.what)) continue;
    if (m.cylinder !== undefined && r.cylinder !== undefined && r.cylinder !== m.cylinder) continue;
    if (worked.some((at) => isAfter(at, r.at))) continue;
    const key = `${r.what}|${r.cylinder ?? ''}|${r.conditions?.bank ?? ''}|${r.conditions?.bores ?? ''}|${r.conditions?.stage ?? ''}|${r.conditions?.path ?? ''}`;
    const list = times.get(key) ?? [];
    const at = Date.parse(r.at);
    const one = r.what === 'gear.casePressure' ? ONE_TEST : ONE_LOOK;
    if (list.length && at - list.at(-1)! < one) list[list.length - 1] = at;
    else list.push(at);
    times.set(key, list);
  }
  for (const [key, list] of times) {
    const item = allItems[key.slice(0, key.indexOf('|')) as ItemId];
    const usual = item.repeated && !key.startsWith('gear.casePressure') ? OFTEN_REPEATED : OFTEN;
    const often = inVain(m) ? Math.min(usual, TWICE) : usual;
    if (list.length >= often) return true;
  }
  return false;
}

/** What is still asked for after so many looks, as a question for somebody else. */
export const askElse = (m: Move): Move => ({
  kind: 'ask',
  class: 9,
  id: `ask:tried:${m.id}`,
  title: `Stop: looked at again and again, and still open: ${m.title.charAt(0).toLowerCase()}${m.title.slice(1)}. Ask somebody who has not looked yet, or the owner`,
  ...(m.station ? { station: m.station } : {}),
  minutes: 5,
  because: m.because
});
