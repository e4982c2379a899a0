import type { Context } from '../../findings/context.ts';
import type { ItemId } from '../../items/register.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { lineVacuum } from './vacuum.ts';
import { answerOf, eliminate, type Elimination, type Trial } from '../../findings/elimination.ts';

export type FuelPart = 'empty' | 'vent' | 'upstream' | 'air' | 'bulb' | 'filter' | 'pump' | 'needle' | 'jet';

/** What makes an engine die or starve that has spark and compression, cheapest look first (C). */
const parts: readonly { readonly id: FuelPart; readonly label: string }[] = [
  { id: 'empty', label: 'nearly empty tank, pick-up bare' },
  { id: 'vent', label: 'closed tank vent' },
  { id: 'upstream', label: 'blocked pick-up or anti-siphon valve' },
  { id: 'air', label: 'air leak at hose, coupling or gasket' },
  { id: 'bulb', label: 'bulb’s valve' },
  { id: 'filter', label: 'clogged filter' },
  { id: 'pump', label: 'pump diaphragm' },
  { id: 'needle', label: 'float or needle' },
  { id: 'jet', label: 'gummed jet' }
];

const trials: readonly Trial<FuelPart>[] = [
  {
    item: 'fuel.level',
    why: 'A look into the tank costs a minute and is the cheapest fault there is.',
    minutes: 1,
    clears: { some: ['empty'], full: ['empty'], 'not-fitted': ['empty'] },
    accuses: { empty: 'empty' }
  },
  {
    item: 'fuel.vent',
    why: 'A closed vent lets it run for minutes and then starves it; the tank sucks in.',
    minutes: 1,
    clears: { open: ['vent'], 'not-fitted': ['vent'] },
    accuses: { closed: 'vent', blocked: 'vent' }
  },
  {
    item: 'fuel.bulb',
    why: 'The bulb tells which side of it is at fault: sucked flat is upstream, soft is air or its valve, firm is neither.',
    minutes: 2,
    clears: {
      flat: ['air', 'bulb', 'needle', 'filter', 'pump', 'jet'],
      // A needle that is stuck shut leaves it firm as well.
      firm: ['bulb', 'vent'],
      soft: ['upstream', 'vent']
    },
    accuses: {}
  },
  {
    item: 'fuel.floods',
    why: 'Fuel that runs with the engine off passes the needle; a bulb that holds, or a bowl that stays dry outside, clears it.',
    minutes: 3,
    clears: { no: ['needle'] },
    accuses: { yes: 'needle' }
  },
  {
    item: 'fuel.chokeOnly',
    why: 'Running on choke only is lean: a jet is blocked, or air gets in behind the carburettor.',
    minutes: 5,
    // That it runs without choke as badly as with it clears no jet: only one that is seen through is clear.
    clears: { yes: ['empty', 'vent', 'upstream', 'bulb', 'filter', 'needle', 'pump'] },
    accuses: {}
  },
  {
    item: 'fuel.revived',
    why: 'Squeezing does the pump’s work: revived means pump or an air leak; not revived means vent or something upstream.',
    minutes: 5,
    clears: { yes: ['vent', 'upstream', 'jet', 'needle', 'empty'], no: ['pump', 'air'] },
    accuses: {}
  },
  {
    item: 'fuel.filter',
    why: 'Filters are seen in a minute, and a clogged one starves it at speed only.',
    minutes: 5,
    clears: { clean: ['filter'], 'not-fitted': ['filter'] },
    accuses: { clogged: 'filter', water: 'filter' }
  },
  {
    item: 'fuel.portable',
    why: 'A portable tank straight to the engine separates the boat from the engine in one move.',
    minutes: 10,
    clears: { fine: ['pump', 'needle', 'jet'], same: ['vent', 'upstream', 'empty', 'bulb'] },
    accuses: {}
  },
  {
    item: 'fuel.hose',
    why: 'Bubbles in the hose or a cracked one is air.',
    minutes: 5,
    clears: {},
    accuses: { hard: 'air', bubbles: 'air' }
  },
  {
    item: 'fuel.couplings',
    why: 'O-rings in the couplings draw air long before they weep.',
    minutes: 3,
    clears: { tight: ['air'] },
    accuses: { leak: 'air' }
  },
  {
    item: 'fuel.vacuumSpeed',
    why: 'Line vacuum at speed tells whether anything holds the fuel back before the pump.',
    minutes: 8,
    clears: { low: ['vent', 'upstream', 'filter'], high: ['air', 'needle', 'jet', 'pump'] },
    accuses: {}
  },
  {
    item: 'fuel.pickup',
    why: 'The screen and the anti-siphon valve are the last thing upstream.',
    minutes: 15,
    clears: { clear: ['upstream'], 'not-fitted': ['upstream'] },
    accuses: { blocked: 'upstream' }
  },
  {
    item: 'fuel.bowlLook',
    why: 'Gum in the bowl is gum in its jets.',
    minutes: 15,
    clears: {},
    accuses: { gummed: 'jet' }
  },
  {
    item: 'fuel.jets',
    why: 'A jet that is seen through is clear; nothing else proves it.',
    minutes: 20,
    clears: { clear: ['jet'] },
    accuses: { gummed: 'jet' }
  },
  {
    item: 'fuel.pump',
    why: 'Pump it by hand: it pulses and holds, or its diaphragm is gone.',
    minutes: 10,
    clears: { good: ['pump'], 'not-fitted': ['pump'] },
    accuses: { weak: 'pump' }
  }
];

const air = (t: Trial<FuelPart>): number => Number(t.item !== 'fuel.hose' && t.item !== 'fuel.couplings');
const AFTER_THE_BULB = trials.findIndex((t) => t.item === 'fuel.revived') + 1;
const airFirst: readonly Trial<FuelPart>[] = [
  ...trials.slice(0, AFTER_THE_BULB),
  ...trials.slice(AFTER_THE_BULB).toSorted((a, b) => air(a) - air(b))
];

/** Line vacuum as an answer: high or low past the gauge’s own error, else it could not be told. */
function vacuumAnswer(c: Context, round: number): string | undefined {
  if (!c.record.all('fuel.vacuumSpeed', { fromRound: round }).length) return undefined;
  const verdict = lineVacuum(c)?.verdict;
  return verdict === 'low' || verdict === 'high' ? verdict : 'unknown';
}

/** What dies with it may be the spark: that it is fuel it lacks was shown by an answer, or by a spark that was good while it was warm. */
function lacksFuel(c: Context, round: number): boolean {
  const shows = [
    ['fuel.revived', 'yes'],
    ['fuel.chokeOnly', 'yes'],
    ['fuel.portable', 'fine'],
    ['fuel.bulb', 'flat']
  ] as const;
  const warm = c.record
    .all('spark.result')
    .filter((r) => r.conditions?.engine === 'warm')
    .at(-1);
  return (
    shows.some(([item, answer]) => answerOf(c, item, round) === answer) ||
    vacuumAnswer(c, round) === 'high' ||
    warm?.value === 'good'
  );
}

/** Answers that place what it lacks, each with the looks of that side, which an answer taken before it may have missed. */
const placing: readonly {
  readonly item: ItemId;
  readonly answer: string;
  /** Only with this answer beside it. */
  readonly given?: readonly [item: ItemId, answer: string];
  readonly again: ReadonlySet<ItemId>;
}[] = [
  ...(
    [
      ['fuel.portable', 'fine'],
      ['fuel.bulb', 'flat'],
      ['fuel.vacuumSpeed', 'high']
    ] as const
  ).map(([item, answer]) => ({
    item,
    answer,
    again: new Set<ItemId>([
      ...(['fuel.vent', 'fuel.filter', 'fuel.portable', 'fuel.hose', 'fuel.couplings'] as const),
      ...(['fuel.vacuumSpeed', 'fuel.pickup'] as const)
    ])
  })),
  {
    item: 'fuel.revived',
    answer: 'yes',
    again: new Set<ItemId>(['fuel.filter', 'fuel.hose', 'fuel.couplings', 'fuel.pump'])
  },
  // Lean behind the tank, and no air at the intake: what is left is a passage that only looked clear.
  { item: 'fuel.chokeOnly', answer: 'yes', given: ['run.air', 'same'], again: new Set<ItemId>(['fuel.jets']) }
];

/** The latest answer that says on which side it lies. */
function placedBy(c: Context, answer: (item: ItemId) => string | undefined) {
  return placing
    .filter((p) => answer(p.item) === p.answer && (!p.given || c.record.value(p.given[0]) === p.given[1]))
    .flatMap((p) => {
      const at = c.record.last(p.item)?.at;
      return at === undefined ? [] : [{ ...p, at }];
    })
    .reduce<((typeof placing)[number] & { readonly at: Instant }) | undefined>(
      (a, b) => (a && !isAfter(b.at, a.at) ? a : b),
      undefined
    );
}

/**
 * The same search where everything was seen good and an answer says on which side it lies: a look of that side was wrong, and what
 * was last looked at before it died is looked at once more. The search as it stands where nothing places it.
 */
function onceMore(
  c: Context,
  died: Instant,
  found: Elimination<FuelPart>,
  search: (missed: (item: ItemId) => boolean) => Elimination<FuelPart>,
  answer: (item: ItemId) => string | undefined
): Elimination<FuelPart> {
  if (found.found || found.next || found.parts.some((p) => p.state === 'open')) return found;
  const placed = placedBy(c, answer);
  if (!placed) return found;
  const missed = (item: ItemId): boolean => {
    const read = c.record.last(item);
    return item !== placed.item && placed.again.has(item) && read !== undefined && isAfter(died, read.at);
  };
  const again = search(missed);
  const last = again.found;
  if (last?.by !== 'elimination') return again;
  // One part left is looked at once more before it counts as found.
  const { found: _left, ...open } = again;
  const next = again.trials.find(
    (t) => missed(t.item) && [...Object.values(t.clears).flat(), ...Object.values(t.accuses)].some((p) => p === last.id)
  );
  return next ? { ...open, next } : open;
}

/** Somebody said that it dies for want of fuel, and nobody has taken that back. */
const starves = (c: Context): boolean =>
  ['minutes', 'seconds'].includes(String(c.record.value('fuel.dies'))) || c.record.value('fuel.chokeOnly') === 'yes';

/** When that was last said. */
const saidToStarve = (c: Context): Instant =>
  latestAt([
    ...c.record.all('fuel.dies').filter((r) => r.value === 'minutes' || r.value === 'seconds'),
    ...c.record.all('fuel.chokeOnly').filter((r) => r.value === 'yes')
  ]);

/** When what feeds it was worked on after it was last said to die; a run after that shows whether it still does. */
export function mendedSinceStarving(c: Context): readonly Instant[] {
  if (!starves(c)) return [];
  const said = saidToStarve(c);
  return [...c.worked('fuel'), ...c.renewed('run.air')].filter((at) => isAfter(at, said));
}

/** Which part starves it, where somebody said that it dies; nothing before. */
export function fuelTree(c: Context): Elimination<FuelPart> | undefined {
  const { profile } = c.survey.engine;
  const choke = c.record.value('fuel.chokeOnly') === 'yes';
  // Something was mended since it died: the same run comes next, and what is left is no cause by elimination.
  if (!starves(c) || mendedSinceStarving(c).length) return undefined;
  const said = saidToStarve(c);
  const round = c.record.round('fuel.dies');
  const noBulb = profile.supply === 'gravity' || profile.supply === 'pressurised';
  const injected = profile.fuelSystem === 'electronic' || profile.fuelSystem === 'direct';
  const gone = new Set<string>([
    ...(noBulb
      ? ['bulb', 'pump', 'fuel.bulb', 'fuel.vacuumSpeed', 'fuel.revived', 'fuel.portable', 'fuel.floods', 'fuel.pump']
      : []),
    ...(profile.supply === 'pressurised' ? ['vent', 'fuel.vent'] : []),
    // What squeezing revives is no jet: whether it runs on choke only tells nothing then.
    ...(c.record.value('fuel.revived') === 'yes' && !choke ? ['fuel.chokeOnly'] : []),
    ...(injected ? ['jet', 'needle', 'fuel.chokeOnly', 'fuel.floods', 'fuel.bowlLook', 'fuel.jets'] : [])
  ]);
  const answer = (item: ItemId): string | undefined =>
    item === 'fuel.vacuumSpeed'
      ? vacuumAnswer(c, round)
      : (answerOf(c, item, round) ?? (round > 1 ? undefined : answerOf(c, item, 1)));
  const search = (missed: (item: ItemId) => boolean): Elimination<FuelPart> =>
    eliminate(
      parts.filter((p) => !gone.has(p.id)),
      // A bulb that stays soft draws air: its joints come before what lies further on.
      (c.record.value('fuel.bulb') === 'soft' ? airFirst : trials).filter((t) => !gone.has(t.item)),
      (item) => (missed(item) ? undefined : answer(item))
    );
  const tree = onceMore(
    c,
    said,
    search(() => false),
    search,
    answer
  );
  // The last part left over is the one only where it is known to lack fuel at all.
  if (tree.found?.by !== 'elimination' || lacksFuel(c, round)) return tree;
  const { found: _left, ...open } = tree;
  return open;
}

/** Everything was looked at and seen good, and this answer says that it lies on one side all the same: the tank's, pump and joints, or the carburettor’s. */
export function missedSide(c: Context): 'tank' | 'pump' | 'carburettor' | undefined {
  const tree = fuelTree(c);
  if (!tree || tree.found || tree.parts.some((p) => p.state === 'open')) return undefined;
  const placed = placedBy(c, (item) => tree.trials.find((t) => t.item === item)?.answer);
  if (placed?.item === 'fuel.chokeOnly') return 'carburettor';
  return placed && (placed.item === 'fuel.revived' ? 'pump' : 'tank');
}
