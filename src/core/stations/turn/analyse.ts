import { cylindersOf, judgedBy, type Context } from '../../judgement.ts';
import { ownLimits } from '../../engine/limits.ts';
import type { Finding } from '../../survey/finding.ts';
import { say } from '../../units/index.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { findingsOf, practice } from '../finding.ts';

/** Standard uncertainty of one depth taken with a rod and calliper, m (M). */
const DEPTH_UNCERTAINTY = 0.05e-3;

/**
 * Compression bumps over two full turns: a two-stroke compresses each cylinder every turn, a four-stroke every other.
 * Cylinders that come up together are felt as one, so fewer is not yet a fault. C: common practice.
 */
export function expectedBumps(strokes: string | undefined, cylinders: number | undefined): number | undefined {
  if (cylinders === undefined) return undefined;
  if (strokes === 'two') return 2 * cylinders;
  return strokes === 'four' ? cylinders : undefined;
}

/** Turned smoothly: with bumps, or without them while the plugs were out. */
const smooth = new Set(['bumps', 'free']);

export interface Turning {
  readonly turns: readonly { readonly result: string; readonly at: string }[];
  /** Smooth turns since the last one that was not. */
  readonly smoothSince: number;
  readonly everBad: boolean;
  /** Smooth again at least the house's hours after the first smooth turn that followed a bad one. */
  readonly provedNextDay: boolean;
}

/** The history of hand turns, as the holds need it. */
export function turning(c: Context): Turning {
  const turns = c.record
    .all('turn.result')
    .filter((r) => r.value !== 'unknown')
    .map((r) => ({ result: r.value as string, at: r.at }));
  const lastBad = turns.findLastIndex((t) => !smooth.has(t.result));
  const since = turns.slice(lastBad + 1);
  const first = since[0];
  const last = since[since.length - 1];
  const hours = first && last ? (Date.parse(last.at) - Date.parse(first.at)) / 3.6e6 : 0;
  return {
    turns,
    smoothSince: since.length,
    everBad: lastBad >= 0,
    provedNextDay: since.length > 0 && hours >= ruleNumber(c.rules, 'nextDay')
  };
}

export interface Depths {
  readonly rows: readonly { readonly cylinder: number; readonly depth: number; readonly n: number }[];
  readonly low: readonly number[];
  readonly agree: boolean | undefined;
  readonly limit: string;
}

/** Piston depths at top against the shallowest; a deeper one is low in the bore. */
export function pistonDepths(c: Context): Depths {
  const judged = judgedBy(c, 'turn.depth', ownLimits.depth, 'our value, from memory');
  const rows = cylindersOf(c).flatMap((cylinder) => {
    const values = c.record
      .all('turn.depth', { cylinder })
      .map((r) => r.value)
      .filter((v) => v !== 'unknown');
    return values.length
      ? [{ cylinder, depth: values.reduce((a, b) => a + b, 0) / values.length, n: values.length }]
      : [];
  });
  const least = Math.min(...rows.map((r) => r.depth));
  const least_n = rows.find((r) => r.depth === least)?.n ?? 1;
  const low = rows
    .filter((r) => r.depth - least - 2 * DEPTH_UNCERTAINTY * Math.sqrt(1 / r.n + 1 / least_n) > judged.value)
    .map((r) => r.cylinder);
  const complete = rows.length > 1 && rows.length === cylindersOf(c).length;
  return { rows, low, agree: low.length ? false : complete ? true : undefined, limit: judged.said };
}

/** What the hand says about it before anything is cranked. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('turn');
  const { record } = c;
  const { turns, everBad, smoothSince, provedNextDay } = turning(c);
  const plugs = record.value('turn.plugs');
  const feel = record.last('turn.feel')?.value;
  const felt = Array.isArray(feel) ? feel : [];
  const last = turns[turns.length - 1];
  const inputs = [`turns recorded: ${turns.map((t) => t.result).join(', ') || 'none'}`, `plugs: ${plugs ?? 'unknown'}`];
  if (last) {
    const why = practice(
      inputs,
      'plugs out, neutral, starter pinion, leg off; only then the bores are blamed. Soak, wait a day, no force.'
    );
    if (last.result === 'locked') {
      const step =
        plugs === 'out'
          ? 'Plugs are out, so it is not liquid above a piston: next neutral, the starter pinion, then the leg off.'
          : 'Take the plugs out first: liquid in a cylinder locks it.';
      out.add('locked', plugs === 'out' ? 'fault' : 'cannot-tell', `It is locked. ${step}`, why);
    } else if (last.result === 'gritty')
      out.add(
        'gritty',
        'fault',
        'It turns gritty: bearings or bores. Oil it, and turn it again the next day before believing it.',
        why
      );
    else if (last.result === 'stiff')
      out.add('stiff', 'watch', 'It turns stiff. Oil the bores, soak, and turn it again tomorrow; no force.', why);
    else if (last.result === 'free' && plugs !== 'out')
      out.add(
        'nobumps',
        'cannot-tell',
        'It turns free without bumps. With the plugs in that is no compression; with them out it means nothing. Record where the plugs were.',
        why
      );
    else if (everBad && !provedNextDay)
      out.add(
        'again',
        'watch',
        'It turns free now, but it did not before. Oil hides grit: turn it again tomorrow before it counts.',
        {
          ...why,
          limit: `${ruleNumber(c.rules, 'nextDay')} h between two smooth turns (house rule)`
        }
      );
    else if (felt.length)
      out.add(
        'feel',
        'watch',
        `It turns, with ${felt.map((f) => (f === 'tight' ? 'a tight spot' : f)).join(' and ')}. Find out why before it is cranked.`,
        why
      );
    else
      out.add(
        'free',
        'sound',
        smoothSince > 1 ? `It turns free, ${smoothSince} turns running.` : 'It turns free.',
        why
      );
  }

  const expected = expectedBumps(c.survey.engine.profile.strokes, cylindersOf(c).length || undefined);
  const bumps = record.value('turn.bumps');
  if (typeof bumps === 'number' && expected !== undefined && plugs === 'in') {
    const why = practice(
      [`bumps counted: ${bumps}`, `expected: ${expected}`],
      'each cylinder of a two-stroke compresses every turn, of a four-stroke every second turn; cylinders that rise together are felt as one.'
    );
    if (bumps < expected)
      out.add(
        'bumps',
        'cannot-tell',
        `${bumps} bumps in two turns where ${expected} are expected. The compression check will say which cylinder.`,
        why
      );
    else out.add('bumps', 'sound', `All ${expected} bumps are there.`, why);
  }

  const water = record.value('turn.water');
  if (water === 'some' || water === 'much')
    out.add(
      'water',
      'fault',
      'Water still comes out of the plug holes. Keep turning by hand until no more comes.',
      practice([`out of the plug holes: ${water}`], 'plug holes lowest, turned by hand until dry.')
    );

  const depths = pistonDepths(c);
  if (depths.rows.length > 1) {
    const why = {
      inputs: depths.rows.map((r) => `cylinder ${r.cylinder}: ${say(r.depth, 'length', c.units)} (${r.n} taken)`),
      limit: depths.limit,
      uncertainty: `${say(2 * DEPTH_UNCERTAINTY, 'length', c.units)} on each depth (two deviations)`,
      formula: 'depth − shallowest depth − its interval > tolerance',
      provenance: 'M' as const,
      source: 'From memory: a rod bent by water stands lower at top; compression can look normal.'
    };
    if (depths.low.length)
      for (const k of depths.low)
        out.add(
          'depth',
          'fault',
          `Piston ${k} stands low at top. A rod bent by water shows like this even when compression is good: specialist or parts.`,
          why,
          k
        );
    else if (depths.agree) out.add('depths', 'sound', 'Every piston’s depth at top agrees.', why);
    else out.add('depths', 'cannot-tell', 'Not every piston’s depth is taken yet.', why);
  }
  return out.list;
}
