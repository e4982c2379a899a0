import { askedAfter } from '../findings/asked-after.ts';
import { cylindersOf, type Context } from '../findings/context.ts';
import { neighbours } from '../engine/banks.ts';
import { known } from '../engine/profile.ts';
import type { Finding } from '../findings/finding.ts';
import type { TestFacts } from '../stations/compression/facts.ts';
import { compareAll } from '../stations/compression/compare.ts';
import { LASHES, lashOf, lashWants, pastNoValve } from '../stations/compression/lash.ts';
import { oilBurntOff } from '../stations/plugs/oil-in-bores.ts';
import { cranksWeakly } from '../stations/plugs/weak-cranking.ts';
import { boreWork } from '../stations/compression/measure.ts';
import { inSoak, lastSoak, soakOver } from '../stations/turn/soak.ts';
import { wetRingsUntold } from '../stations/compression/analyse.ts';
import type { ItemId } from '../items/register.ts';
import { stationOf } from '../stations/items.ts';
import { beltJumped } from '../stations/turn/belt.ts';
import { isAfter, latestAt, type Instant } from '../units/instant.ts';
import { crankedWeaklyTwice, turnsByStarter, underLoad } from './asks-cranking.ts';
import { asked, at, job, look, lookEach, repeat, type Asks, type AskRule } from './ask.ts';
import { others } from './asks-others.ts';
import { lowAgainButTight, lowThoughTight, timingMarks } from './asks-tight.ts';

const four = (c: Context): boolean => c.survey.engine.profile.strokes === 'four';
const several = (c: Context): boolean => cylindersOf(c).length > 1;

const again = (how: string, more: Partial<AskRule> = {}): AskRule =>
  repeat(`Compression again${how}`, 'compression', 5, {
    items: ['compression.pressure'],
    // Known to turn slowly, starter or battery comes first.
    open: (c) => !cranksWeakly(c),
    ...more
  });
const throttleOpen = again('', {
  minutes: 2,
  title: (c) =>
    cylindersOf(c).some((cylinder) =>
      (['compression.pressure', 'compression.pulls'] as const).every((what) => !c.record.all(what, { cylinder }).length)
    )
      ? 'Compression of every cylinder, throttle wide open'
      : 'Compression again, throttle wide open'
});
type LowValues = Partial<TestFacts['low']> | undefined;
/** What the repeat of a low reading is made under, by what makes it doubtful. */
const underWhat = (f: Finding): string => {
  const doubt = (f.values as LowValues)?.doubt;
  return doubt === 'adapter' ? 'without the adapter' : doubt === 'cranking' ? 'cranked briskly' : 'throttle wide open';
};
/** Bores that stood are dry all together; of others air says whether it passes. */
const fromStanding = (f: Finding): boolean => (f.values as TestFacts['wet-all'] | undefined)?.stood === true;
/** What makes a wet test of it. */
const oiled = { conditions: { bores: 'oiled' } } as const;
const wetTaken = (c: Context, f: Finding): boolean =>
  Boolean(compareAll(c)?.wet.some((w) => f.cylinder === undefined || w.cylinder === f.cylinder));

/** What oil in the bore falsifies; what the eye sees in it is seen all the same. */
const readsBore = (item: ItemId): boolean => stationOf(item) === 'compression';
/** Taken since the last work on the cylinders, a soak among it. */
export const taken = (c: Context, item: ItemId, cylinder: number | undefined): boolean =>
  c.record
    .all(item, cylinder === undefined ? {} : { cylinder })
    .some((r) => !boreWork(c).some((at) => isAfter(at, r.at)) && !(readsBore(item) && inSoak(c, r.at)));
/** Its lash wants setting: that is done, and the needle read again, before oil or air is asked. */
const lashFirst = (c: Context, f: Finding): boolean => f.cylinder !== undefined && lashWants(c, f.cylinder);
/** The air is followed to its part once the lash is as it should be. */
const follow = job('air-cause', { only: ['fault'] });
const airCause: AskRule = {
  ...follow,
  open: (c, f) => follow.open(c, f) && !lashFirst(c, f)
};
/** Low and repeated: lash where there are valves, oil in the bore, then air; the head stays on. */
const lash = lookEach((_, f) => `Valve lash${at(f)}`, LASHES, 10);
const lashIfValves: AskRule = {
  ...lash,
  // Where one of the two wants setting, both are set.
  open: (c, f) =>
    four(c) &&
    !pastNoValve(c, f.cylinder) &&
    !lashFirst(c, f) &&
    lashOf(c, f.cylinder).some((item) => !asked(c, item, f.cylinder))
};
/** Oil that seals says rings; and where no cylinder is low beside the others, one valve is not the question. */
const lashUnlessRings: AskRule = {
  ...lashIfValves,
  open: (c, f) =>
    (f.values as Partial<TestFacts['wet']> | undefined)?.verdict !== 'rings' &&
    (compareAll(c)?.rows ?? []).some((r) => r.low && r.cylinder === f.cylinder) &&
    lashIfValves.open(c, f)
};
/** One beside it is low as well: air says whether it is the gasket between the two, before lash or oil is asked of either. */
const gasketFirst = (c: Context, cylinder: number | undefined): boolean => {
  const low = new Set((compareAll(c)?.rows ?? []).flatMap((r) => (r.low ? [r.cylinder] : [])));
  const pair = neighbours(c.survey.engine.profile, cylindersOf(c).length).find(
    (p) => cylinder !== undefined && p.includes(cylinder) && p.every((k) => low.has(k))
  );
  return pair !== undefined && !pair.some((k) => taken(c, 'compression.leakdown', k));
};
/** Read with oil in the bores, and never dry. */
const oiledOnly = (c: Context): boolean => compareAll(c)?.conditions.bores === 'oiled';
const wet: AskRule = {
  ...look((_, f) => `Wet test${at(f)}, a measured dose`, ['compression.pressure'], 5, oiled),
  // Bores that hold oil already tell nothing by more of it.
  open: (c, f) =>
    !cranksWeakly(c) &&
    !oiledOnly(c) &&
    !lashFirst(c, f) &&
    !wetTaken(c, f) &&
    !taken(c, 'compression.leakdown', f.cylinder)
};
/** Bores that stood dry read low all together: oil in all of them alike comes before air in any. */
const oilAll: AskRule = {
  ...look(
    (c) =>
      several(c)
        ? 'Oil every bore alike, a measured dose, and repeat'
        : 'Oil the bore, a measured dose, turn it over and repeat',
    ['compression.pressure'],
    10,
    oiled
  ),
  only: ['cannot-tell'],
  open: (c) => (known(c.survey.engine.history.yearsIdle) ?? 0) >= 1 && !oiledOnly(c) && !compareAll(c)?.wet.length
};
const readOnce = (c: Context): boolean => {
  const rows = compareAll(c)?.rows ?? [];
  return rows.length === 1 && rows[0]!.readings.length < 2;
};
/** From so many readings of the lowest cylinder on, one more settles less than air does (M: the interval shrinks by a seventh). */
const ENOUGH = 3;
function repeatedEnough(c: Context): boolean {
  const rows = compareAll(c)?.rows ?? [];
  const lowest = rows.reduce<(typeof rows)[number] | undefined>((a, r) => (!a || r.mean < a.mean ? r : a), undefined);
  return (lowest?.readings.length ?? 0) >= ENOUGH;
}
/** Oil hides what rings do until it has burnt off: the first run takes it out. */
const dryAfterRun = again(', the oil burnt off by the run', {
  // No doubt that holds anything up: what the run itself showed comes first.
  kind: 'look',
  late: true,
  items: ['compression.pressure'],
  open: (c) => oiledOnly(c) && oilBurntOff(c, compareAll(c)?.at ?? '')
});
/** How a test that was cranked too weakly is made again. */
const briskly = (volts: boolean): string => (volts ? ', on a charged battery' : ', cranked briskly');
/** What weak cranking was noted by, where one test differs from another in that. */
const weakBy = ({ values }: Finding): string | undefined =>
  ((values as { differs?: readonly { of: string; by?: string }[] } | undefined)?.differs ?? []).find(
    (d) => d.of === 'cranking'
  )?.by;
export const leakDown: AskRule = {
  ...look((_, f) => `Leak-down${at(f)}, and where the air comes out`, ['compression.leakdown'], 12),
  open: (c, f) => !taken(c, 'compression.leakdown', f.cylinder)
};
/** How much a scored bore matters: once it was told, a soak since changes nothing of that. */
export const scoredLeak: AskRule = {
  ...leakDown,
  open: (c, f) => {
    const soaked = lastSoak(c);
    const work = boreWork(c).filter((at) => at !== soaked);
    return !c.record
      .all('compression.leakdown', f.cylinder === undefined ? {} : { cylinder: f.cylinder })
      .some((r) => r.value !== 'unknown' && !work.some((at) => isAfter(at, r.at)));
  }
};
const whereOut: AskRule = {
  ...look((_, f) => `Listen where the air comes out${at(f)}`, ['compression.escape'], 3),
  open: (c, f) =>
    c.record.last('compression.leakdown', f.cylinder) !== undefined &&
    taken(c, 'compression.leakdown', f.cylinder) &&
    !taken(c, 'compression.escape', f.cylinder)
};

/** The latest soak, where no pressure of the cylinder was read after it, nor its air once the oil had had its day: what was read before says how it was. */
const soakUnread = (c: Context, cylinder: number | undefined): Instant | undefined => {
  const where = cylinder === undefined ? {} : { cylinder };
  const read = latestAt(
    (['compression.pressure', 'compression.pulls'] as const).flatMap((i) => c.record.all(i, where))
  );
  const soaked = lastSoak(c);
  const aired = c.record.all('compression.leakdown', where).some((r) => isAfter(r.at, soaked) && !inSoak(c, r.at));
  return soaked && isAfter(soaked, read) && !aired ? soaked : undefined;
};
/** By hand before it is cranked, and both a day after the oil went in. */
const afterSoak: readonly AskRule[] = [
  repeat('Turn it by hand again, a day later', 'turn', 2, {
    items: ['turn.result'],
    open: (c, f) => {
      const soaked = soakUnread(c, f.cylinder);
      return soaked !== undefined && !askedAfter(c, 'turn.result', soaked);
    },
    from: soakOver
  }),
  again('', {
    title: (_, f) => `Compression again${at(f)}, a day after the soak`,
    open: (c, f) => !cranksWeakly(c) && soakUnread(c, f.cylinder) !== undefined,
    from: soakOver
  })
];
/** Once the bores were soaked, the same is read again before anything else is asked for. */
const untilSoaked = (...list: readonly AskRule[]): readonly AskRule[] => [
  ...afterSoak,
  ...list.map((r): AskRule => ({ ...r, open: (c, f) => !soakUnread(c, f.cylinder) && r.open(c, f) }))
];
/** Oil sealed it, and nobody could follow the air: rings that stood come free by a soak, which costs ten minutes and a night. */
const soakForWet = job('soak', {
  open: (c, f) => f.cylinder !== undefined && wetRingsUntold(c).includes(f.cylinder) && job('soak').open(c, f)
});

/** Where its own lever lets pressure go, oil in the bore changes nothing that could be read. */
const airOrOil: readonly AskRule[] = [
  timingMarks,
  { ...leakDown, open: (c, f) => c.survey.engine.profile.decompression === 'fitted' && leakDown.open(c, f) },
  oilAll,
  leakDown
];

/** What the needle, oil in the bores and air ask for, in the trade's order. C: common practice. */
export const compressionAsks: Asks = {
  'compression.unlike': [
    again('', {
      title: (_, f) => {
        const by = weakBy(f);
        return `Compression again${by ? briskly(by === 'volts') : ', under like conditions'}`;
      }
    })
  ],
  'compression.throttle': [throttleOpen],
  'compression.throttle-unknown': [throttleOpen],
  'compression.range': [again(', with a gauge that reaches')],
  'compression.cranking': [
    again('', {
      only: ['watch'],
      title: (_, f) => {
        const how = f.values as Partial<TestFacts['cranking']> | undefined;
        return `Compression again${briskly(how?.volts !== undefined || (how?.tires !== undefined && how.starter === true))}`;
      },
      open: (c) => !cranksWeakly(c) && !crankedWeaklyTwice(c)
    }),
    {
      ...underLoad,
      open: (c) =>
        turnsByStarter(c) && crankedWeaklyTwice(c) && !asked(c, 'plugs.starterCircuit') && !asked(c, 'plugs.volts')
    }
  ],
  'compression.adapter': [again(', without the adapter'), leakDown],
  'compression.adapter-size': [again(', without the adapter')],
  'compression.falls': [again(', valve and seal of the gauge looked at')],
  'compression.order': [again(', in the reverse order')],
  'compression.in-soak': [again(', a day after the soak', { from: soakOver })],
  'compression.bores': [again(', noted as oiled', { conditions: { bores: 'oiled' } })],
  'compression.missing': others(
    'Compression of the other cylinders',
    'compression',
    3,
    ['compression.pressure', 'compression.pulls'],
    // With the throttle in doubt the whole test is made again, the others with it.
    (c, f) => !cranksWeakly(c) && !(f.values as TestFacts['missing']).throttleDoubted
  ),
  'compression.low': untilSoaked(
    again('', {
      only: ['watch', 'cannot-tell'],
      title: (_, f) => `Compression again${at(f)}, ${underWhat(f)}`,
      // What was worked on since is read again as the proof of that.
      open: (c, f) =>
        !cranksWeakly(c) &&
        !['oiled', 'worked'].includes(String((f.values as LowValues)?.doubt)) &&
        !lowAgainButTight(f)
    }),
    ...lowThoughTight,
    { ...whereOut, only: ['fault', 'watch'] },
    // Nothing is built on a reading that is still doubted.
    ...[{ ...lashIfValves, only: ['fault'] as const }, wet].map((r): AskRule => ({
      ...r,
      open: (c, f) =>
        !gasketFirst(c, f.cylinder) &&
        !['worked', 'sight'].includes(String((f.values as LowValues)?.doubt)) &&
        r.open(c, f)
    })),
    { ...leakDown, only: ['fault'], open: (c, f) => !lashFirst(c, f) && leakDown.open(c, f) }
  ),
  // Repeated a few times and still on the limit: the needle tells no more, air does.
  // Read off the shape of the pulls: before anybody answers for it, air says whether it is so.
  'compression.leak': [{ ...leakDown, late: 'release', only: ['watch'] }],
  'compression.spread': untilSoaked(
    again(', in the reverse order', { open: (c) => !cranksWeakly(c) && !repeatedEnough(c) }),
    { ...leakDown, open: (c, f) => !cranksWeakly(c) && leakDown.open(c, f) }
  ),
  'compression.high': [
    look((_, f) => `Plug out${at(f)}, turn it over, look into the hole`, ['plugs.hole'], 4, {
      open: (c, f) => !taken(c, 'plugs.hole', f.cylinder)
    }),
    again(', bores dry', { only: ['cannot-tell'] })
  ],
  'compression.odd-high': [
    again('', {
      title: (_, f) => `Compression again${at(f)}, its bore blown dry`,
      open: (c, f) => !cranksWeakly(c) && !(f.values as TestFacts['odd-high']).again
    }),
    look((_, f) => `Plug out${at(f)}, turn it over, look into the hole`, ['plugs.hole'], 4, {
      kind: 'repeat',
      open: (_, f) => (f.values as TestFacts['odd-high']).again
    })
  ],
  'compression.scatter-wet': [again('', { title: (_, f) => `Wet test${at(f)} again, the same dose`, ...oiled })],
  'compression.scatter': [again('', { title: (_, f) => `Compression again${at(f)}, gauge seated afresh` })],
  'compression.neighbours': [leakDown],
  'compression.wet': untilSoaked(
    again(', dry and then with oil: one gauge, one battery', {
      open: (c, f) => (f.values as Partial<TestFacts['wet']> | undefined)?.verdict === 'lower' && !cranksWeakly(c)
    }),
    lashUnlessRings,
    leakDown,
    soakForWet
  ),
  'compression.figure': [
    // Valves that open at the wrong time read low everywhere: no air is put in before the belt is on its marks.
    job('belt', { open: (c, f) => beltJumped(c) && job('belt').open(c, f) }),
    ...airOrOil.map((r): AskRule => ({ ...r, open: (c, f) => !beltJumped(c) && r.open(c, f) }))
  ],
  'compression.figure-belt': [again(', its belt on the marks')],
  'compression.nothing': [again(', hose and valve of the gauge first')],
  'compression.oiled': [dryAfterRun],
  // Every bore sealed by oil alike is no fault yet: what a soak or the run leaves of it is read before it goes back.
  'compression.wet-all': [
    again(', dry: after a day’s soak, or its first run', {
      kind: 'look',
      late: 'release',
      items: ['compression.pressure'],
      open: (_, f) => fromStanding(f)
    }),
    { ...leakDown, open: (c, f) => !fromStanding(f) && leakDown.open(c, f) }
  ],
  // One cylinder, read once: the needle is read again before air goes in.
  'compression.nofigure': [
    again('', { open: readOnce }),
    { ...leakDown, open: (c, f) => !readOnce(c) && leakDown.open(c, f) }
  ],
  'compression.leakdown': [
    repeat('Leak-down again, piston at top, the tester’s own zero first', 'compression', 5, {
      items: ['compression.leakdown'],
      only: ['cannot-tell'],
      open: (c, f) => f.condition === 'cannot-tell'
    }),
    whereOut,
    lashIfValves,
    airCause
  ],
  'compression.lash-intake': [job('lash', { only: ['fault', 'watch'] })],
  'compression.lash-exhaust': [job('lash', { only: ['fault', 'watch'] })]
};
