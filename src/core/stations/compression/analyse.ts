import { leakFindings } from './leak.ts';
import { PSI } from '../../units/factors.ts';
import { neighbours } from '../../engine/banks.ts';
import { ownLimits } from '../../engine/limits.ts';
import { schoolSaid } from '../../house-rules/rules.ts';
import { cylindersOf, judgedBy, type Context, CylindersSaid } from '../../findings/context.ts';
import type { Because, Finding } from '../../findings/finding.ts';
import { atSeaLevel } from '../../physics/atmosphere.ts';
import { say } from '../../units/index.ts';
import { boreOil } from '../plugs/oil-in-bores.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { absolute, kindRange } from './absolute.ts';
import { compare, DOUBT, type Comparison } from './compare.ts';
import { expectedRange } from './expected.ts';
import { leakDownFindings } from './leakdown.ts';
import { falls } from './repeat.ts';
import { cylinderOf } from './shape.ts';
import { wetTest } from './wet.ts';

const percent = (x: number): string => `${Math.round(100 * x)} %`;

/** The judgement on one round of compression readings. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('compression');
  const found = compare(c);
  leakDownFindings(c, out);
  if (!found) return out.list;
  const sayP = (pa: number): string => say(pa, 'pressure', c.units, found.instrument.resolution ?? PSI);
  const inputs = [
    ...found.rows.map((r) => `cylinder ${r.cylinder}: ${r.readings.map(sayP).join(', ')}`),
    `gauge: ${found.instrument.name}${found.instrument.adapterVolume ? `, adapter ${say(found.instrument.adapterVolume, 'volume', c.units)}` : ''}`,
    `throttle ${found.conditions.throttle ?? 'unknown'}, bores ${found.conditions.bores ?? 'unknown'}`
  ];
  artefacts(c, found, out, inputs, sayP);
  between(c, found, out, inputs, sayP);
  wetTest(c, found, out, sayP);
  // With the throttle shut the cylinders could not breathe: nothing absolute can be said.
  if (found.conditions.throttle !== 'shut') against(c, found, out, inputs, sayP);
  if (found.missing.length)
    out.add(
      'missing',
      'cannot-tell',
      `${CylindersSaid(found.missing)} ${found.missing.length > 1 ? 'have' : 'has'} no reading yet.`,
      practice(inputs, 'cylinders are compared with each other first.')
    );
  return [...out.list, ...leakFindings(c)];
}

type Out = ReturnType<typeof findingsOf>;

/** What would make the reading wrong before the engine is blamed. */
function artefacts(c: Context, found: Comparison, out: Out, inputs: string[], sayP: (pa: number) => string): void {
  for (const u of found.unlike)
    out.add(
      'unlike',
      'cannot-tell',
      `Cylinder ${u.cylinder} was read under other conditions (${u.why}) and is not compared. Repeat it like the others.`,
      practice(inputs, 'only readings under like conditions are compared.'),
      u.cylinder
    );
  if (found.conditions.throttle === 'shut')
    out.add(
      'throttle',
      'cannot-tell',
      'These were read with the throttle shut: the cylinders could not breathe. Repeat with it wide open.',
      practice(inputs, 'throttle wide open, all plugs out.')
    );
  const range = found.instrument.range;
  for (const r of found.rows)
    if (range !== undefined && Math.max(...r.readings) >= range)
      out.add(
        'range',
        'cannot-tell',
        `Cylinder ${r.cylinder} stands at or past the end of this gauge’s scale. Use another gauge.`,
        practice(inputs, 'a needle at its stop is not a reading.'),
        r.cylinder
      );
  for (const r of found.rows)
    if (r.series.some((s) => falls(s, found.instrument.resolution)))
      out.add(
        'falls',
        'cannot-tell',
        `On cylinder ${r.cylinder} the needle fell from one pull to the next. A check valve that leaks, or a pull written down wrongly: repeat it with another gauge.`,
        practice(
          [...inputs, `pulls: ${r.series.map((s) => s.map((p) => sayP(p)).join(' · ')).join('; ')}`],
          'a gauge with a sound check valve cannot fall.'
        ),
        r.cylinder
      );
  const adapter = found.instrument.valve === 'plug end' ? 0 : (found.instrument.adapterVolume ?? 0);
  const cylinder = cylinderOf(c);
  if (cylinder && adapter >= cylinder.volume / cylinder.ratio)
    out.add(
      'adapter-size',
      'cannot-tell',
      `The adapter’s ${say(adapter, 'volume', c.units)} is larger than the chamber itself (${say(cylinder.volume / cylinder.ratio, 'volume', c.units)}): nothing read through it says anything. Use another gauge.`,
      practice(inputs, 'only volume between chamber and check valve counts.')
    );
  const oil = boreOil(c);
  if (oil !== undefined && found.conditions.bores === 'dry' && found.rows.length)
    out.add(
      'bores',
      'cannot-tell',
      `These are marked dry, but ${say(oil, 'volume', c.units)} of oil went into each bore before. Oil is volume and lifts every reading: mark them oiled.`,
      practice(
        [...inputs, `oil in each bore: ${say(oil, 'volume', c.units)}`],
        'the amount is noted, and readings after it are oiled ones.'
      )
    );
  const weak = found.volts.filter((v) => v < ownLimits.weakVolts);
  if (weak.length)
    out.add(
      'volts',
      'watch',
      `The battery was at ${Math.min(...weak).toFixed(1)} V while cranking: slow cranking reads low everywhere. Repeat with a good battery.`,
      practice(
        [...inputs, `volts: ${found.volts.join(', ')}`],
        `under about ${ownLimits.weakVolts} V with the plugs out the starter is too slow.`
      )
    );
}

/** Cylinders against each other. */
function between(c: Context, found: Comparison, out: Out, inputs: string[], sayP: (pa: number) => string): void {
  const { spread, overLimit, alike, limit, rows, order } = found;
  if (!spread || overLimit === undefined || alike === undefined) return;
  const because: Because = {
    inputs,
    value: `spread ${percent(spread.value)}`,
    uncertainty: `95 % interval ${percent(spread.low)} to ${percent(spread.high)}; chance it is over the limit ${percent(overLimit)}`,
    limit: limit.said,
    school: schoolSaid(c.rules, 'spread'),
    formula: '(best − lowest)/best; gauge error cancels, repeatability and reading step do not',
    provenance: limit.provenance,
    source: 'Distribution of the range by conditioning on the highest (P); limit: house rule or manual (C)'
  };
  const best = rows.reduce((a, b) => (b.mean > a.mean ? b : a));
  const low = rows.filter((r) => r.low);
  const lowest = rows.reduce((a, b) => (b.mean < a.mean ? b : a));
  const gap = `Cylinder ${lowest.cylinder} is ${sayP(best.mean - lowest.mean)} under cylinder ${best.cylinder}`;
  if (overLimit < DOUBT) {
    const words =
      alike > 0.05
        ? `The cylinders are alike: ${sayP(best.mean - lowest.mean)} between them is no more than this gauge can tell.`
        : `The cylinders are within the limit: spread ${percent(spread.value)} of ${limit.said}.`;
    out.add('alike', 'sound', words, because);
    return;
  }
  if (order?.confounded) {
    const fall = order.fall ? `, while cranking fell from ${order.fall}` : '';
    out.add(
      'order',
      'cannot-tell',
      `${gap}, but it was tested late${fall}. Test again in the reverse order with a good battery before naming a cylinder.`,
      because
    );
    return;
  }
  if (overLimit <= 1 - DOUBT) {
    out.add(
      'spread',
      'cannot-tell',
      `${gap}: a spread of ${percent(spread.value)} where the limit is ${percent(limit.value)}, and the two lie within what these readings can tell. Repeat cylinder ${lowest.cylinder} once more.`,
      because
    );
    return;
  }
  for (const r of low.length ? low : [lowest]) lowCylinder(found, r, best, out, because, sayP);
  neighboursLow(c, low, out, because);
}

/** What is said of a low reading, by what makes it doubtful. */
const lowWords = {
  throttle: 'Repeat it with the throttle wide open before believing it.',
  adapter: 'Repeat it without the adapter before believing it.',
  once: 'Repeat it before believing it.',
  none: 'It repeats: it is low. Wet test or leak-down next.'
} as const;

/** A low reading is doubted first; only a repeated one without excuse is called low. */
function lowCylinder(
  found: Comparison,
  r: Comparison['rows'][number],
  best: Comparison['rows'][number],
  out: Out,
  because: Because,
  sayP: (pa: number) => string
): void {
  const adapter = (found.instrument.adapterVolume ?? 0) > 0 && found.instrument.valve !== 'plug end';
  const repeated = r.readings.length > 1 && best.readings.length > 1;
  const said = `Cylinder ${r.cylinder} is ${sayP(best.mean - r.mean)} under cylinder ${best.cylinder}.`;
  const doubt = found.conditions.throttle !== 'open' ? 'throttle' : adapter ? 'adapter' : repeated ? 'none' : 'once';
  out.add('low', doubt === 'none' ? 'fault' : 'watch', `${said} ${lowWords[doubt]}`, because, r.cylinder);
}

function neighboursLow(c: Context, rows: readonly Comparison['rows'][number][], out: Out, because: Because): void {
  const low = rows.map((r) => r.cylinder);
  const repeated = rows.every((r) => r.readings.length > 1);
  const pairs = neighbours(c.survey.engine.profile, cylindersOf(c).length).filter(
    ([a, b]) => low.includes(a) && low.includes(b)
  );
  for (const [a, b] of pairs)
    out.add(
      'neighbours',
      repeated ? 'fault' : 'watch',
      `Cylinders ${a} and ${b} are neighbours and both low: suspect the gasket between them.`,
      because
    );
}

/** The best of them against this engine's own figure, or the range of its kind, which only opens a question. */
function against(c: Context, found: Comparison, out: Out, inputs: string[], sayP: (pa: number) => string): void {
  const abs = absolute(c, found);
  const figure = judgedBy(c, 'compression.figure');
  const because = (limit: string, provenance: Because['provenance'], source: string): Because => ({
    inputs: [
      ...inputs,
      abs.altitudeKnown
        ? `ambient ${Math.round(abs.ambient / 100)} hPa from the altitude`
        : 'altitude unknown, taken as sea level'
    ],
    value: `lowest ${sayP(abs.lowest)}, best ${sayP(abs.best)} at sea level`,
    uncertainty: `± ${sayP(abs.gauge)} of this gauge, the same for every cylinder`,
    limit,
    formula: 'p_sea = (p + p_a)·101325/p_a − 101325',
    provenance,
    source
  });
  const expected = figure ? undefined : expectedRange(c);
  const floor = figure
    ? figure.value * (1 - found.limit.value)
    : expected
      ? atSeaLevel(expected.low, abs.ambient)
      : abs.strokes
        ? kindRange[abs.strokes][0]
        : undefined;
  if (floor === undefined) {
    out.add(
      'nofigure',
      'cannot-tell',
      `The best cylinder reads ${sayP(abs.best)} at sea level. Without this engine’s figure, or its strokes, nobody can say whether that is right.`,
      because('none known', 'C', 'The number needs this engine’s own figure.')
    );
    return;
  }
  const why = figure
    ? because(
        `${figure.said}, less ${percent(found.limit.value)}`,
        'P',
        'The manual’s own figure; barometric law ISO 2533 (P)'
      )
    : expected
      ? because(
          `${sayP(floor)} to ${sayP(atSeaLevel(expected.high, abs.ambient))} expected of this engine (model, ${expected.from})`,
          'M',
          'Cranking model (docs/cranking.md, P) with usual ranges of speed, ratio, heat loss and a leak of 0.5 mm (M). Below it is a question, never a fault.'
        )
      : because(
          `from ${sayP(floor)} for a ${abs.strokes}-stroke (range of its kind)`,
          'C',
          'Common practice, from memory; barometric law ISO 2533 (P). A kind’s floor only opens a question.'
        );
  // Cylinders low against their neighbours are spoken for; a kind's range is asked of the best one only.
  const judged = figure ? abs.lowest : abs.best;
  if (judged + abs.gauge >= floor) {
    if (figure || found.rows.length === 1)
      out.add(
        'figure',
        'sound',
        `${found.rows.length > 1 ? 'Every cylinder reaches' : 'It reaches'} ${figure ? 'this engine’s figure' : expected ? 'what an engine of this size gives' : 'what its kind usually gives'}: ${sayP(judged)} at sea level.`,
        why
      );
    return;
  }
  const design =
    c.survey.engine.profile.decompression === 'fitted' ? ' Automatic decompression reads low by design.' : '';
  const dry =
    (c.survey.engine.history.yearsIdle ?? 0) !== 'unknown' &&
    Number(c.survey.engine.history.yearsIdle ?? 0) >= 1 &&
    found.conditions.bores !== 'oiled'
      ? ' Bores dry from standing also read low: oil them all alike and repeat.'
      : '';
  if (abs.adapter && abs.adapter.high + abs.gauge >= floor) {
    const a = abs.adapter;
    out.add(
      'adapter',
      'cannot-tell',
      `${sayP(found.rows.reduce((m, r) => Math.min(m, r.mean), Infinity))} is alarming, but the adapter’s ${say(a.dead, 'volume', c.units)} alone explains much of it: without it about ${sayP(a.best)} (${sayP(a.low)} to ${sayP(a.high)}). Repeat with the valve at the plug end before believing it.${dry}`,
      {
        ...why,
        formula: 'p = p_a·((V + d)/(V_c + d))^1.3 − p_a',
        source: 'Polytropic law (P) with exponent 1.3 and usual ratio from memory (M)'
      }
    );
    return;
  }
  out.add(
    'figure',
    figure && !design ? 'watch' : 'cannot-tell',
    `${found.rows.length > 1 ? (figure ? 'The lowest is' : 'Even the best is') : 'It reads'} ${sayP(judged)} at sea level, under ${figure ? 'this engine’s figure' : expected ? `what an engine of this size should give (${sayP(floor)})` : 'the usual range of its kind'}.${design}${dry} ${figure ? 'Repeat it, then wet test or leak-down.' : 'That is a question, not a fault: leak-down next.'}`,
    why
  );
}
