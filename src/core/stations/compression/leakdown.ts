import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { cylindersOf, judgedBy, listed, type Context } from '../../findings/context.ts';
import { bandOn, holeOfLeakDown, publishedTester, type LeakTester } from '../../physics/leak-down.ts';
import { sayValue } from '../../items/check-entry.ts';
import { say } from '../../units/index.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';
import { items } from './readings.ts';

type Out = ReturnType<typeof findingsOf>;

/** What lies behind a place where the air comes out; on a two-stroke the intake is the crankcase. C. */
function behind(place: string, two: boolean): string {
  const names: Readonly<Record<string, string>> = {
    intake: two ? 'rings and crankcase, through the reed' : 'the intake valve',
    exhaust: two ? 'rings, or the port uncovered: turn it nearer to top' : 'the exhaust valve',
    crankcase: 'rings or bore',
    neighbour: 'the gasket between the two',
    water: 'gasket or water jacket',
    edge: 'the head gasket at its edge'
  };
  return names[place] ?? place;
}

export interface LeakDownRow {
  readonly cylinder: number;
  /** Mean of the repeats, drop over supply. */
  readonly share: number;
  /** The hole that would make this tester show it, m. */
  readonly hole: number;
  readonly escapes: readonly string[];
}

/** The tester of the latest leak-down reading; the published one where none was named. */
export function testerOf(c: Context): LeakTester & { readonly name: string } {
  const instrument = c.record.last('compression.leakdown')?.instrument;
  return {
    name: instrument?.name ?? 'published tester, 80 psi and 0.040 in',
    supply: instrument?.supply ?? publishedTester.supply,
    restrictor: instrument?.restrictor ?? publishedTester.restrictor
  };
}

/** Leak-down of the latest round, cylinder by cylinder. */
export function leakDownRows(c: Context): LeakDownRow[] {
  const tester = testerOf(c);
  const round = c.record.round('compression.leakdown');
  return cylindersOf(c).flatMap((cylinder) => {
    const values = c.record
      .all('compression.leakdown', { cylinder, round })
      .map((r) => r.value)
      .filter((v) => typeof v === 'number');
    if (!values.length) return [];
    const share = values.reduce((a, b) => a + b, 0) / values.length;
    const escape = c.record.value('compression.escape', cylinder);
    return [{ cylinder, share, hole: holeOfLeakDown(share, tester), escapes: Array.isArray(escape) ? escape : [] }];
  });
}

/** Percent by this instrument's own bands, and where the air comes out. */
export function leakDownFindings(c: Context, out: Out): void {
  const tester = testerOf(c);
  const watch = judgedBy(c, 'compression.leakdown', ownLimits.leakdownWatch);
  // A manual's figure belongs to its own tester; our bands are written for the published one and moved to this one.
  const [from, fault] = watch.manual
    ? [watch.value, 2 * watch.value]
    : [bandOn(ownLimits.leakdownWatch, tester), bandOn(ownLimits.leakdownFault, tester)];
  const two = c.survey.engine.profile.strokes === 'two';
  const rows = leakDownRows(c);
  for (const r of rows) {
    const said = say(r.share, 'share', c.units);
    const places = r.escapes.map((e) => behind(e, two));
    const where = places.length
      ? ` It comes out at ${listed(r.escapes.map((e) => sayValue(items.escape, [e], c.units)))}: ${listed(places)}.`
      : '';
    const condition = r.share >= fault ? 'fault' : r.share >= from ? 'watch' : 'sound';
    const gasket = r.escapes.includes('neighbour') || r.escapes.includes('edge');
    out.add(
      gasket && condition !== 'sound' ? 'leakdown-gasket' : 'leakdown',
      condition,
      condition === 'sound'
        ? `Leak-down of cylinder ${r.cylinder} is ${said}: tight.`
        : `Leak-down of cylinder ${r.cylinder} is ${said}, like a hole of ${(r.hole * 1000).toFixed(1)} mm.${where || ' Listen where the air comes out: that names the part.'}`,
      {
        inputs: [
          `leak-down: ${said}`,
          `tester: ${tester.name}`,
          `air at: ${r.escapes.length ? sayValue(items.escape, r.escapes, c.units) : 'not noted'}`
        ],
        value: `equivalent hole ${(r.hole * 1000).toFixed(2)} mm`,
        uncertainty: 'two-strokes only near top, ports covered; turned and repeated, it moves by a third',
        limit: `watch from ${say(from, 'share', c.units)}, fault from ${say(fault, 'share', c.units)} on this restrictor (${watch.manual ? watch.said : 'common practice on 0.040 in, moved by the equivalent hole'})`,
        formula: 'A_hole/A_restrictor = p_s·ψ(p_c/p_s)/(p_c·ψ(p_a/p_c))',
        provenance: watch.provenance,
        source:
          'FAA AC 43.13-1B, differential compression (P); orifice size to be confirmed (M); bands common practice (C)'
      },
      r.cylinder
    );
  }
  lash(c, out);
}

/** Valve lash of four-strokes against the manual; a closed one is a fault whatever the manual says. */
function lash(c: Context, out: Out): void {
  for (const k of cylindersOf(c))
    for (const [key, name] of [
      ['lashIn', 'intake'],
      ['lashEx', 'exhaust']
    ] as const) {
      const value = known(c.record.value(`compression.${key}`, k));
      if (value === undefined) continue;
      const limit = judgedBy(c, `compression.${key}`);
      const said = say(value, 'length', c.units);
      const why = {
        ...practice([`${name} lash of cylinder ${k}: ${said}`], 'one low with air at a valve: lash first.'),
        ...(limit ? { limit: limit.said } : {})
      };
      if (value <= 0.01e-3)
        out.add(
          `lash-${name}`,
          'fault',
          `The ${name} valve of cylinder ${k} has no lash: it does not close. Set it, run, and repeat the compression.`,
          why,
          k
        );
      else if (limit?.to !== undefined && (value < limit.value || value > limit.to))
        out.add(
          `lash-${name}`,
          'watch',
          `The ${name} lash of cylinder ${k} is ${said}, ${value < limit.value ? 'tight' : 'wide'} against ${limit.said}. Set it before compression is believed.`,
          why,
          k
        );
      else if (limit?.to !== undefined)
        out.add(`lash-${name}`, 'sound', `The ${name} lash of cylinder ${k} is within the manual’s range.`, why, k);
    }
}
