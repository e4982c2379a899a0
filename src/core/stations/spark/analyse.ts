import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import type { Seen, SparkAnalysed, SparkFact } from './facts.ts';
import { isAfter } from '../../units/instant.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { accusedParts, type Accused } from './accused.ts';
import { explainedBy as seenToBe, type Damaged } from './damage.ts';
import { isolation, pastPlug } from './isolation.ts';
import { ownPartsTried } from './own-parts.ts';
import { sparks, sparkWork } from './measure.ts';
import { sparkSeen, undrivenBy } from './seen.ts';
import { deadTogether } from './shared-part.ts';
import { timingFacts, voltageFacts, windingFacts } from './measured.ts';

/** Cylinders that were looked at with the lanyard out only. */
const lanyardOnly = (c: Context): number[] =>
  [...sparks(c).values()].flatMap((m) => (m.groups.length === 0 && m.voided.length ? [Number(m.subject)] : []));

/** Good to a bolt but none through the tester, on the same cylinder. */
const onlyToBolt = (s: Seen): boolean => s.result === 'none' && s.path === 'tester' && s.toBolt;

/** Which part the pattern over the cylinders points to, and what meter and marks say. */
export function analyse(c: Context): SparkAnalysed {
  const list = sparkSeen(c);
  const { ignition } = c.survey.engine.profile;
  const electronic = ignition !== undefined && ignition !== 'points' && ignition !== 'unknown';
  const lanyard = c.record.value('spark.lanyard');
  const basis = { lanyard, ignition, seen: list };
  const measured = [...windingFacts(c), ...timingFacts(c)];
  const out = lanyardOnly(c);
  const voided: SparkFact[] = out.length
    ? [{ kind: 'lanyard-out', id: 'lanyard', repeat: true, condition: 'cannot-tell', values: { cylinders: out } }]
    : [];
  const guilty = accusedParts(c);
  if (!list.length)
    return {
      basis,
      facts: [
        ...voided,
        ...guilty.map((g) => accused(g, false)),
        ...looks(c),
        ...damage(c),
        ...gaps(c, electronic),
        ...measured
      ]
    };
  const all = cylindersOf(c);
  const missing = all.filter((k) => !list.some((s) => s.cylinder === k) && !out.includes(k));
  const found = pattern(c, list, electronic);
  const named = new Set(found.map((f) => `${f.id ?? f.kind}.${f.cylinder ?? ''}`));
  const byBolt = list.filter((s) => s.result === 'good' && s.path === 'bolt').map((s) => s.cylinder);
  // What comes and goes is looked at again before anything is bought for it.
  const poor = list.some((s) => s.result !== 'good' && !s.slow && !s.sun && !s.mixed);
  const standing = guilty.map((g) => accused(g, poor)).filter((f) => !named.has(`${f.id}.${f.cylinder ?? ''}`));
  const good =
    !missing.length &&
    !out.length &&
    !guilty.length &&
    !byBolt.length &&
    list.every((s) => s.result === 'good' && !s.mixed && !s.failsWarm);
  return {
    basis,
    facts: [
      ...voided,
      ...found,
      ...standing,
      ...list
        // Something was mended since: whether it still comes and goes is seen by the next look.
        .filter(
          (s) =>
            s.mixed &&
            !sharedFound(found, s) &&
            !explainedBy(guilty, s) &&
            !sparkWork(c).some((at) => isAfter(at, s.at))
        )
        .map(({ cylinder }): SparkFact => ({ kind: 'unsteady', cylinder, condition: 'watch', values: {} })),
      ...failsWarm(
        c,
        list.filter((s) => !explainedBy(guilty, s))
      ),
      ...looks(c),
      ...damage(c),
      ...gaps(c, electronic),
      ...voltageFacts(c),
      ...measured,
      ...(missing.length
        ? [{ kind: 'missing', condition: 'cannot-tell', values: { cylinders: missing } } as const]
        : []),
      ...(byBolt.length
        ? [{ kind: 'bolt-only', repeat: true, condition: 'cannot-tell', values: { cylinders: byBolt } } as const]
        : []),
      ...(good ? [{ kind: 'good', condition: 'sound', values: { cylinders: all.length } } as const] : [])
    ]
  };
}

/** How much of a fault it is: by a trial, or measured and a poor spark beside it; measured only, it waits for the spark, or is watched. */
function accusedAs(doubt: Accused['doubt'], poor: boolean): 'fault' | 'cannot-tell' | 'watch' {
  if (doubt === 'lanyard') return 'cannot-tell';
  if (!doubt || (poor && doubt !== 'another')) return 'fault';
  return doubt === 'not-seen' ? 'cannot-tell' : 'watch';
}

/** What a trial found, as it stands on the list until it is mended; what a meter found counts where a poor spark was seen as well. */
const accused = ({ part, cylinder, doubt }: Accused, poor: boolean): SparkFact & { readonly id: string } => ({
  kind: 'accused',
  id: part === 'stop' ? 'stop' : `${cylinder === undefined ? 'part' : 'own'}-${part}`,
  ...(cylinder === undefined ? {} : { cylinder }),
  condition: accusedAs(doubt, poor),
  values: { part, ...(doubt === 'another' ? { another: true as const } : {}) }
});

/**
 * None before the trial and good after it is what the trial did, no spark that comes and goes; nor is what its own bad part does. A part
 * that was only measured brought nothing back.
 */
const explainedBy = (guilty: readonly Accused[], s: Seen): boolean =>
  guilty.some(
    (g) =>
      g.cylinder === s.cylinder || (s.result === 'good' && !s.lost && g.cylinder === undefined && g.doubt === undefined)
  );

/** A trial found the part that this dead cylinder shares with the others: it sparked while that was whole. */
const sharedFound = (found: readonly SparkFact[], s: Seen): boolean =>
  s.result === 'none' &&
  found.some(
    (f) =>
      f.kind === 'stop' || (f.kind === 'part' && (f.values.of === undefined || f.values.of.dead.includes(s.cylinder)))
  );

/** What sparks cold and not warm: its own coil where others spark warm, what they share where none does. */
function failsWarm(c: Context, list: readonly Seen[]): SparkFact[] {
  const failing = list.filter((s) => s.failsWarm);
  const all = cylindersOf(c).length;
  if (all > 1 && failing.length === all)
    return [{ kind: 'fails-warm-everywhere', id: 'fails-warm-all', condition: 'fault', values: { cylinders: all } }];
  return failing.map(({ cylinder, failsWarm: result, failedAt }) => {
    // What was renewed since is looked at warm once more.
    const worked = c.worked('spark').some((at) => isAfter(at, failedAt));
    return {
      kind: 'fails-warm',
      cylinder,
      condition: worked ? 'watch' : 'fault',
      values: { result: result!, ...(worked ? { worked: true as const } : {}) }
    };
  });
}

/** None or weak on all of them, on some that share a part, or on one. */
function pattern(c: Context, list: readonly Seen[], electronic: boolean): SparkFact[] {
  const none = list.filter((s) => s.result === 'none');
  const weak = list.filter((s) => s.result === 'weak');
  // Out, it stops every cylinder: where one sparks at all, lanyard and switch are in; with the stop wire off neither stops anything.
  const stops = c.record.value('spark.lanyard') !== 'yes' && c.record.value('spark.stopWire') !== 'still';
  if (none.length === list.length && stops) return [{ kind: 'lanyard', condition: 'cannot-tell', values: {} }];
  const everywhere = none.length === list.length && list.length === cylindersOf(c).length;
  // A single, or all of them, with what was seen to explain it: that is mended before a common part is looked for.
  const seenToExplain = none.every((s) => seenToBe(c, s) !== undefined && !s.sun);
  if (everywhere && !seenToExplain && !none.every(onlyToBolt)) return noneAnywhere(c, list, electronic);
  const dead = none.map((s) => s.cylinder);
  const whole = list.length === cylindersOf(c).length;
  const sparks = none.length < list.length;
  const untold = none.some((s) => s.sun || undrivenBy(list, s));
  const common = untold ? undefined : deadTogether(c, list);
  // A coil is blamed where the others spark as they should; a bank has a feed of its own.
  const shared = common?.part === 'coil' && weak.length ? undefined : common;
  const plain = weak.filter((s) => !s.sun && !s.slow && !seenToBe(c, s));
  // Another ground made none of them better: what jumps a bolt's short gap and no tester's is weak, on all of them.
  const thin = everywhere && none.every(onlyToBolt) && groundTried(c) === 'cleared';
  if ((thin || plain.length === list.length) && whole && list.length > 1) {
    // Points that were seen to be bad explain it: nothing else is cleaned for it before they are.
    const explained = timingFacts(c).some((f) => f.kind === 'points');
    if (!explained && groundTried(c) === 'helps') return [severalWeak(c, plain)!];
    return [
      {
        kind: 'weak-everywhere',
        id: explained ? 'weak-points' : 'weak-all',
        condition: thin ? 'fault' : 'watch',
        values: {
          cylinders: list.length,
          shade: list.every((s) => s.light === 'shade'),
          explained,
          ...(thin ? { thin } : {})
        }
      }
    ];
  }
  // Two are more than one, whatever the others are that nobody has seen.
  const several = severalWeak(c, plain);
  return [
    ...(shared ? [together(c, list, shared.dead, shared.part)] : []),
    ...(several ? [several] : []),
    ...none
      .filter((s) => !shared?.dead.includes(s.cylinder))
      .map((s) =>
        undrivenBy(list, s)
          ? ({ kind: 'slow', cylinder: s.cylinder, condition: 'cannot-tell', values: { result: 'none' } } as const)
          : noneHere(c, s, { alone: dead.length === 1 && whole, sparks, others: throughTester(list) })
      ),
    ...weak.flatMap((s): SparkFact | readonly SparkFact[] => {
      const { cylinder, sun, slow } = s;
      if (several && plain.includes(s)) return [];
      if (sun) return { kind: 'sun', cylinder, condition: 'cannot-tell', values: { result: 'weak' } };
      if (slow) return { kind: 'slow', cylinder, condition: 'cannot-tell', values: { result: 'weak' } };
      const seen = seenToBe(c, s);
      return seen
        ? { kind: 'explained', cylinder, condition: 'fault', values: { part: seen } }
        : {
            kind: 'weak',
            cylinder,
            condition: 'watch',
            values: { pointsDone: pointsDone(c), toBolt: false, ...tried(c, cylinder) }
          };
    })
  ];
}

const tried = (c: Context, cylinder: number): { readonly tried?: true } =>
  cylindersOf(c).length > 1 && ownPartsTried(c, cylinder) ? { tried: true } : {};

/** Another ground was tried or seen to, or somebody was asked and could not tell: it is not asked for again. */
export const groundAsked = (c: Context): boolean =>
  groundTried(c) !== undefined || c.record.asked('spark.groundWire') !== undefined;

/** Sparks to a bolt only, and nobody tried another ground: it is tried before it is cleaned. */
export const groundUntried = (c: Context): boolean => sparkSeen(c).some(onlyToBolt) && !groundAsked(c);

/** Whether any cylinder sparks well through the tester: the ground is good there. */
const throughTester = (list: readonly Seen[]): boolean => list.some((s) => s.result === 'good' && s.path === 'tester');

/** Its points and condenser were seen to: what is weak now is weak for something else. */
export const pointsDone = (c: Context): boolean => c.renewed('spark.pointsLook').length > 0;

/** Whether another ground made it stronger, and nothing was done to the ground since; cleared where it did not, or was seen to. */
function groundTried(c: Context): 'helps' | 'cleared' | undefined {
  const told = c.record.last('spark.groundWire');
  const mended = c.renewed('spark.groundWire');
  if (told?.value === 'returns' && !mended.some((at) => isAfter(at, told.at))) return 'helps';
  return told || mended.length ? 'cleared' : undefined;
}

/** More than one weak at once share a cause sooner than each has its own: the ground, until it was tried or seen to. */
function severalWeak(c: Context, plain: readonly Seen[]): SparkFact | undefined {
  if (plain.length < 2 || timingFacts(c).some((f) => f.kind === 'points')) return undefined;
  const weak = plain.map((s) => s.cylinder);
  const ground = groundTried(c);
  if (ground === 'helps')
    return { kind: 'weak-several', id: 'weak-ground', condition: 'fault', values: { weak, ground: true } };
  return ground ? undefined : { kind: 'weak-several', condition: 'watch', values: { weak, ground: false } };
}

/** None on cylinders that share a part: what the trials found of it, else the part to look for. */
function together(c: Context, list: readonly Seen[], dead: readonly number[], shared: 'bank' | 'coil'): SparkFact {
  const tried = list.filter((s) => s.result === 'none').length === dead.length ? isolation(c) : undefined;
  if (!tried?.found) {
    const cleared = tried?.parts.every((p) => p.state === 'cleared') ? { cleared: true as const } : {};
    return { kind: 'pair', condition: 'fault', values: { dead, shared, ...cleared } };
  }
  const cleared = tried.parts.filter((p) => p.state === 'cleared').map((p) => p.label);
  return {
    kind: 'part',
    id: `part-${tried.found.id}`,
    condition: 'fault',
    values: { cylinders: list.length, part: tried.found, cleared, of: { dead, shared } }
  };
}

/** No spark at one cylinder: ground, nothing yet where no other sparks, what its isolation has found, or its own parts in their order. */
function noneHere(
  c: Context,
  s: Seen,
  { alone, sparks, others }: { alone: boolean; sparks: boolean; others: boolean }
): SparkFact {
  const common = { cylinder: s.cylinder, condition: 'fault' } as const;
  // What sparks through the tester beside it may have the same ground: it is tried before it is cleaned. A bolt is a short gap, and a weak spark
  // jumps it: with the ground tried in vain that is what is left.
  const ground = groundTried(c);
  // A good lead or coil that took the fault along has answered what a bolt leaves open.
  const part = alone && sparks ? isolation(c)?.found : undefined;
  if (onlyToBolt(s) && part?.by === 'answer') return { ...common, kind: 'own', id: `own-${part.id}`, values: { part } };
  if (onlyToBolt(s) && ground === 'cleared')
    return { ...common, kind: 'weak', values: { pointsDone: pointsDone(c), toBolt: true, ...tried(c, s.cylinder) } };
  if (onlyToBolt(s)) return { ...common, kind: 'ground', values: { untried: !groundAsked(c), others } };
  const seen = seenToBe(c, s);
  if (seen) return { ...common, kind: 'explained', values: { part: seen } };
  // A thin spark is not seen there at all.
  if (s.sun) return { cylinder: s.cylinder, condition: 'cannot-tell', kind: 'sun', values: { result: 'none' } };
  // Nothing that was seen sparks: whether it is this cylinder or all of them nobody knows yet.
  if (!sparks) return { cylinder: s.cylinder, condition: 'cannot-tell', kind: 'undecided', values: {} };
  return part
    ? { ...common, kind: 'own', id: `own-${part.id}`, values: { part } }
    : { ...common, kind: 'none', values: { alone, plug: !pastPlug(s) } };
}

function noneAnywhere(c: Context, list: readonly Seen[], electronic: boolean): SparkFact[] {
  const cylinders = list.length;
  const found = isolation(c)!;
  if (found.found?.id === 'stop' && found.found.by === 'answer')
    return [{ kind: 'stop', condition: 'fault', values: {} }];
  if ((electronic && list.some((s) => s.slow)) || found.found?.id === 'speed')
    return [{ kind: 'slow-everywhere', id: 'slow', repeat: true, condition: 'cannot-tell', values: { cylinders } }];
  if (!found.found && list.every((s) => s.sun))
    return [{ kind: 'sun-everywhere', id: 'sun', repeat: true, condition: 'cannot-tell', values: { cylinders } }];
  const labels = (state: 'open' | 'cleared'): string[] =>
    found.parts.filter((p) => p.state === state).map((p) => p.label);
  const cleared = labels('cleared');
  if (found.found && found.found.id !== 'switch')
    return [
      {
        kind: 'part',
        id: `part-${found.found.id}`,
        condition: 'fault',
        values: { cylinders, part: found.found, cleared }
      }
    ];
  const values = { cylinders, left: labels('open'), cleared, next: found.next !== undefined };
  return [{ kind: 'all', condition: 'fault', values }];
}

/** Damage that the eye found at coil, lead and cap, arcs astray among it. */
const damage = (c: Context): SparkFact[] =>
  cylindersOf(c).flatMap((cylinder): SparkFact[] => {
    const stray = ofThisPart(c, 'spark.stray', cylinder);
    const seen = (part: Damaged, item: 'spark.coilLook' | 'spark.leadLook'): SparkFact[] => {
      const look = ofThisPart(c, item, cylinder);
      if (look === undefined || look === 'whole' || look === 'not-fitted') return [];
      const corroded = look === 'corroded';
      const condition = corroded ? 'watch' : 'fault';
      return [{ kind: 'damaged', id: `damaged-${part}`, cylinder, condition, values: { part, corroded } }];
    };
    return [
      ...(stray && stray !== 'none'
        ? [{ kind: 'stray', id: `stray-${stray}`, cylinder, condition: 'fault', values: { at: stray } } as const]
        : []),
      ...seen('coil', 'spark.coilLook'),
      ...seen('lead', 'spark.leadLook')
    ];
  });

/** What a look at the spark itself says now: one made before the work, while the spark was looked at again since, is of how it was. */
function asItIs<I extends 'spark.colour' | 'spark.steady' | 'spark.gap'>(c: Context, item: I, cylinder: number) {
  const r = c.record.last(item, cylinder);
  const seen = c.record.last('spark.result', cylinder);
  const old = r && seen && sparkWork(c).some((at) => isAfter(at, r.at) && isAfter(seen.at, at));
  return old ? undefined : c.record.value(item, cylinder);
}

/** Colour and steadiness, as far as shade and speed let them count. */
const looks = (c: Context): SparkFact[] =>
  cylindersOf(c).flatMap((cylinder): SparkFact[] => {
    const colour = asItIs(c, 'spark.colour', cylinder);
    const common = { cylinder, condition: 'watch' } as const;
    return [
      ...(colour === 'orange' || colour === 'red' ? [{ ...common, kind: 'colour', values: { colour } } as const] : []),
      ...(asItIs(c, 'spark.steady', cylinder) === 'misses' ? [{ ...common, kind: 'misses', values: {} } as const] : [])
    ];
  });

function gaps(c: Context, electronic: boolean): SparkFact[] {
  const limit = judgedBy(c, 'spark.gap', electronic ? ownLimits.gapElectronic : ownLimits.gapPoints, 'common practice');
  return cylindersOf(c).flatMap((cylinder): SparkFact[] => {
    const gap = asItIs(c, 'spark.gap', cylinder);
    return typeof gap === 'number' && gap < limit.value
      ? [{ kind: 'gap', cylinder, condition: 'watch', values: { gap }, limit }]
      : [];
  });
}
