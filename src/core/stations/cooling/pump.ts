import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { ruleNumber, school } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { monthsSince } from '../../findings/elapsed.ts';
import { judgedBy } from '../../findings/limit.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { unmended } from '../../findings/unmended.ts';
import type { Item } from '../../items/item.ts';
import { isAfter, latestAt, YEAR, type Instant } from '../../units/instant.ts';
import type { ItemId } from '../items.ts';
import { runsOf } from '../run/runs.ts';
import { STREAM_COMES } from '../run/stream.ts';
import { items } from './readings.ts';

/** Years after which an impeller is due: the manual's, else by house rule and heat. */
export function impellerLimit(c: Context) {
  const rule = school(c.rules, 'impeller');
  const sun = c.survey.engine.history.stored === 'sun';
  const own = rule === 'climate' ? (sun ? 1 : 2) : Number(rule);
  return judgedBy(c, 'cooling.impeller', own, `house rule${rule === 'climate' ? (sun ? ', hot sun' : ', shade') : ''}`);
}

/** A mark of wear on a pump; vanes by their count, set ones by their angle, degrees. */
export type PumpMark =
  | { readonly mark: 'missing' | 'cracked'; readonly count: number }
  | { readonly mark: 'set'; readonly angle: number }
  | { readonly mark: 'backward' | 'spins' | 'grooved' | 'melted' };

/** Since when a new pump is in it, and whether anything showed that it pumps; nothing where it is the old one. */
export function newPump(c: Context): { readonly at: Instant; readonly pumps: boolean } | undefined {
  const at = latestAt(c.renewed('cooling.housing').map((x) => ({ at: x })));
  if (!at) return undefined;
  const shown = [
    ...c.record.all('cooling.drill').filter((r) => r.value === 'pumps'),
    ...[...c.record.all('cooling.stream'), ...c.record.all('run.stream')].filter((r) => r.value === 'strong')
  ];
  return { at, pumps: shown.some((r) => isAfter(r.at, at)) };
}

/** Age of the impeller that is in it, years: as it was told, or since it was renewed. */
export function impellerAge(c: Context): number | undefined {
  const told = known(ofThisPart(c, 'cooling.impellerAge'));
  const at = c.record.last('cooling.impellerAge')?.at;
  const since = newPump(c);
  // It goes on ageing from when it was told.
  if (told !== undefined && at) return told + monthsSince(c, at) / 12;
  // Out of its box, it is as new as the engine.
  const { kind, startedAt } = c.survey.assessment;
  const fitted = since?.at ?? (kind === 'new-engine' ? startedAt : undefined);
  return told ?? (fitted === undefined ? undefined : Math.max(0, (c.now.getTime() - Date.parse(fitted)) / YEAR));
}

/** Whether the impeller that is in it was turned backward under load. */
export const turnedBackward = (c: Context): boolean => ofThisPart(c, 'cooling.backward') === 'yes';

const vanesShown = ['cooling.set', 'cooling.cracked', 'cooling.missing', 'cooling.housing'] as const;

/**
 * When it last ran hot without a stream, with its outlet not found blocked since and its vanes not looked at nor renewed: a dry
 * impeller goes in seconds (C), and what was seen of it before says nothing.
 */
export function ranDry(c: Context): Instant | undefined {
  const hot = judgedBy(c, 'cooling.hot', ownLimits.headHot).value;
  const run = runsOf(c).findLast(
    ({ hottest, streams, untimed }) =>
      hottest !== undefined &&
      hottest.temperature >= hot &&
      streams.some((s) => s.value === 'none' && (untimed || s.seconds > STREAM_COMES))
  );
  if (!run) return undefined;
  const at = run.startedAt.toISOString();
  const seen = [
    ...vanesShown.flatMap((item) => c.record.all(item).flatMap((r) => (r.value === 'unknown' ? [] : [r.at]))),
    ...c.renewed('cooling.housing'),
    ...c.record.all('cooling.outlet').flatMap((r) => (r.value === 'blocked' || r.value === 'shut' ? [r.at] : []))
  ];
  return seen.some((x) => isAfter(x, at)) ? undefined : at;
}

/** What the pump shows of wear, as it was found. A key is no part of the pump: it is put in by itself. */
export function pumpWear(c: Context) {
  const set = known(ofThisPart(c, 'cooling.set'));
  const cracked = known(ofThisPart(c, 'cooling.cracked')) ?? 0;
  const missing = known(ofThisPart(c, 'cooling.missing')) ?? 0;
  const housing = ofThisPart(c, 'cooling.housing');
  const backward = turnedBackward(c) && school(c.rules, 'backward') === 'renew';
  const bush = ofThisPart(c, 'cooling.bush');
  const setLimit = judgedBy(c, 'cooling.set', ownLimits.vaneSet);
  const marks: PumpMark[] = [
    ...(missing ? [{ mark: 'missing', count: missing } as const] : []),
    ...(cracked ? [{ mark: 'cracked', count: cracked } as const] : []),
    ...(set !== undefined && set > setLimit.value ? [{ mark: 'set', angle: set } as const] : []),
    ...(backward ? [{ mark: 'backward' } as const] : []),
    ...(bush === 'spins' ? [{ mark: bush } as const] : []),
    ...(housing === 'grooved' || housing === 'melted' ? [{ mark: housing } as const] : [])
  ];
  return { marks, missing, set, setLimit, housing };
}

/** Whether the whole kit is fitted, or an impeller alone, by the house's school. */
export function asksForKit(c: Context): boolean {
  const age = impellerAge(c);
  return (
    school(c.rules, 'pump') === 'kit' &&
    (age === undefined || age > ruleNumber(c.rules, 'kitAge') || pumpWear(c).marks.length > 0)
  );
}

/** What shows that a pump delivers nothing, or will not for long: not worn, but broken. */
const broken: readonly { readonly item: ItemId; readonly is: (value: unknown) => boolean; readonly says: string }[] = [
  { item: 'cooling.missing', is: (v) => typeof v === 'number' && v > 0, says: 'Vanes are missing from its impeller' },
  { item: 'cooling.bush', is: (v) => v === 'spins', says: 'Its impeller spins on its bush' },
  { item: 'cooling.bush', is: (v) => v === 'key', says: 'Its key is missing or sheared' },
  { item: 'cooling.housing', is: (v) => v === 'melted', says: 'Its housing has run dry and melted' },
  { item: 'cooling.drill', is: (v) => v === 'nothing', says: 'Nothing came in the drill test' }
];

/**
 * Why the pump is known not to pump, in one sentence each; nothing once it was renewed, put together anew or pumped in the drill test
 * after that; where the drill test brought nothing, once it does. An engine that is started so runs dry within a minute.
 */
export function pumpBroken(c: Context): string[] {
  const proved = [
    ...c.record.all('cooling.drill').filter((r) => r.value === 'pumps'),
    ...c.renewed('cooling.bush', 'spins').map((at) => ({ at }))
  ];
  const assembled = c.record.all('cooling.assembled').filter((r) => r.value === 'yes');
  return broken.flatMap(({ item, is, says }) => {
    // What brought nothing is proved by the same test, not by being put together once more.
    const mended = latestAt(item === 'cooling.drill' ? proved : [...proved, ...assembled]);
    const key = item.slice('cooling.'.length) as keyof typeof items;
    const seen = c.record.all(item).findLast((r) => is(r.value));
    // Gone at the next look with nothing done between is a doubt, and lifts nothing.
    const again = unmended(c, item, items[key] as Item) !== undefined;
    const better = seen && !again && c.record.all(item).some((r) => isAfter(r.at, seen.at) && r.value !== 'unknown');
    return seen && !better && !(mended && isAfter(mended, seen.at)) ? [says] : [];
  });
}
