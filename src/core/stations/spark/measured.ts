import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { cylindersOf, judgedBy, type Context } from '../../findings/context.ts';
import { say } from '../../units/index.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';
import { voltages } from './voltage.ts';
import { BETWEEN, METER_SHARE, windingIds, windingRows, windings, type WindingRow } from './windings.ts';

type Out = ReturnType<typeof findingsOf>;
/** Resistance of clean closed points, Ω, above which they count as oxidised (M). */
const POINTS_OHMS = 0.2;
/** Timing by marks is read to about this, degrees (M). */
const TIMING_REACH = 2;

const kV = (v: number): string => `${(v / 1000).toFixed(1)} kV`;

/** Voltage shown against voltage needed at this plug gap and this cylinder's compression. */
export function voltageFindings(c: Context, out: Out): void {
  const rows = voltages(c);
  for (const r of rows) {
    const words = {
      fires: `Cylinder ${r.cylinder} has spark to spare: its plug needs about ${kV(r.needed)}, and ${kV(r.available)} were shown.`,
      fails: `Cylinder ${r.cylinder} will not fire its plug: about ${kV(r.needed)} are needed and ${kV(r.available)} were shown. Widen the tester to see whether more is there, and gap the plug.`,
      'cannot-tell': `Cylinder ${r.cylinder}: about ${kV(r.needed)} are needed and ${kV(r.available)} were shown. Too close to call: try a wider open gap.`
    } as const;
    out.add(
      'voltage',
      r.verdict === 'fires' ? 'sound' : r.verdict === 'fails' ? 'watch' : 'cannot-tell',
      words[r.verdict],
      {
        inputs: [
          `open gap jumped: ${say(r.open, 'length', c.units)}`,
          `plug gap: ${say(r.gap, 'length', c.units)}`,
          `compression: ${say(r.pressure - 101_325, 'pressure', c.units)}`,
          `gas at top taken as ${say(r.temperature, 'temperature', c.units)}: hot gas is thinner and fires lower`
        ],
        value: `margin ${r.margin.toFixed(2)}`,
        uncertainty: `${r.low.toFixed(2)} to ${r.high.toFixed(2)}, since pointed electrodes fire lower, tester and plug about alike`,
        limit: 'a margin of 1',
        formula: 'V = 24.36·x + 6.72·√x kV, x = pressure·gap in bar·cm at 293 K',
        provenance: 'P',
        source:
          'Kuffel, Zaengl & Kuffel, High Voltage Engineering (uniform field); the room for pointed electrodes is from memory (M)'
      },
      r.cylinder
    );
  }
}

const sayOhms = (r: WindingRow, units: Context['units']): string =>
  r.readings
    .map(
      (x) =>
        `${say(x.ohms, 'resistance', units)}${x.temperature === undefined ? '' : ` at ${say(x.temperature, 'temperature', units)}`}`
    )
    .join(', ');

/** Windings against the manual's range, between cylinders, and cold against warm. */
export function windingFindings(c: Context, out: Out): void {
  const rows = windingRows(c);
  for (const r of rows) {
    const name = `${windings[r.winding].label}${r.cylinder === undefined ? '' : ` of cylinder ${r.cylinder}`}`;
    const why = {
      inputs: [`${name}: ${sayOhms(r, c.units)}`],
      value: `${say(r.ohms20, 'resistance', c.units)} at 20 °C`,
      uncertainty: `± ${100 * METER_SHARE} % by meter, leads and temperature`,
      ...(r.limit ? { limit: r.limit.said } : {}),
      formula: 'R20 = R/(1 + 0.00393·(T − 20 °C))',
      provenance: 'P' as const,
      source: 'IEC 60028 for copper; the room between readings is from memory (M)'
    };
    if (r.warmOverCold !== undefined && r.warmOverCold < 1 - METER_SHARE)
      out.add(
        `hot-${r.winding}`,
        'fault',
        `The ${name} reads ${Math.round(100 * (1 - r.warmOverCold))} % less warm than copper should: turns short when it is hot. That is a coil that dies warm and comes back cold.`,
        why,
        r.cylinder
      );
    else if (r.warmOverCold !== undefined && r.warmOverCold > 1 + METER_SHARE)
      out.add(
        `hot-${r.winding}`,
        'watch',
        `The ${name} reads ${Math.round(100 * (r.warmOverCold - 1))} % more warm than copper should: a joint inside opens with heat.`,
        why,
        r.cylinder
      );
    if (r.inRange === false)
      out.add(
        r.winding,
        'fault',
        `The ${name} is ${say(r.ohms20, 'resistance', c.units)} at 20 °C, outside the manual’s ${r.limit!.said}.`,
        why,
        r.cylinder
      );
    else if (r.inRange) out.add(r.winding, 'sound', `The ${name} is within the manual’s range.`, why, r.cylinder);
  }
  for (const winding of windingIds) {
    const mine = rows.filter((r) => r.winding === winding && r.limit === undefined);
    if (mine.length < 2) continue;
    const sorted = [...mine].sort((a, b) => a.ohms20 - b.ohms20);
    const [least, most] = [sorted[0]!, sorted.at(-1)!];
    if (most.ohms20 <= 0 || (most.ohms20 - least.ohms20) / most.ohms20 <= BETWEEN) continue;
    out.add(
      `between-${winding}`,
      'cannot-tell',
      `Between cylinders the ${windings[winding].label} runs from ${say(least.ohms20, 'resistance', c.units)} (cylinder ${least.cylinder}) to ${say(most.ohms20, 'resistance', c.units)} (cylinder ${most.cylinder}). The manual’s range says which of them is wrong.`,
      practice(
        mine.map((r) => `cylinder ${r.cylinder}: ${say(r.ohms20, 'resistance', c.units)} at 20 °C`),
        'like windings are compared with each other where no figure is known.',
        { limit: `${100 * BETWEEN} % between cylinders (M)` }
      )
    );
  }
}

/** Points and timing. */
export function timingFindings(c: Context, out: Out): void {
  const limit = judgedBy(c, 'spark.pointsGap', ownLimits.pointsGap, 'common practice on older magnetos');
  for (const k of cylindersOf(c)) {
    const gap = known(c.record.value('spark.pointsGap', k));
    if (gap !== undefined && Math.abs(gap / limit.value - 1) > 0.15)
      out.add(
        'points-gap',
        'watch',
        `Points of cylinder ${k} stand at ${say(gap, 'length', c.units)} where ${limit.said} is asked: ${gap < limit.value ? 'late and weak; look at the rub block' : 'early and short of dwell'}.`,
        {
          ...practice([`points gap: ${say(gap, 'length', c.units)}`], 'feeler at the highest point of the cam.'),
          limit: limit.said
        },
        k
      );
    const ohms = known(c.record.value('spark.pointsOhms', k));
    const look = c.record.value('spark.pointsLook', k);
    if ((ohms !== undefined && ohms > POINTS_OHMS) || (look !== undefined && look !== 'clean'))
      out.add(
        'points',
        'watch',
        look === 'pitted'
          ? `Points of cylinder ${k} are pitted: dress or renew them, and the condenser with them.`
          : `Points of cylinder ${k} do not close clean${ohms === undefined ? '' : ` (${say(ohms, 'resistance', c.units)})`}: paper through them, then solvent, then try the spark again.`,
        practice(
          [
            `resistance closed: ${ohms === undefined ? 'not measured' : say(ohms, 'resistance', c.units)}`,
            `look: ${look ?? 'not noted'}`
          ],
          'pitting speaks for a tired condenser; oxide comes from standing.',
          { limit: `${POINTS_OHMS} Ω closed (from memory)` }
        ),
        k
      );
  }
  const rub = c.record.value('spark.rubBlock');
  if (rub === 'dry' || rub === 'worn')
    out.add(
      'rub-block',
      'watch',
      rub === 'dry'
        ? 'The rub block runs dry: a smear of point grease, or the gap closes as it wears.'
        : 'The rub block is worn: the gap will not hold.',
      practice([`rub block: ${rub}`], 'the rub block is lubricated whenever points are set.')
    );
  const timing = known(c.record.value('spark.timing'));
  const asked = judgedBy(c, 'spark.timing');
  if (timing === undefined) return;
  const said = (x: number): string => `${Math.abs(x).toFixed(0)}° ${x < 0 ? 'after' : 'before'} top`;
  const inputs = [`timing at idle: ${said(timing)}`];
  if (!asked)
    out.add(
      'timing',
      'cannot-tell',
      `Timing stands at ${said(timing)} at idle. Only the manual’s figure says whether that is right.`,
      practice(inputs, 'marks against the manual; full-throttle timing is not attempted on a stand.')
    );
  else {
    const off = timing - (asked.to === undefined ? asked.value : Math.min(Math.max(timing, asked.value), asked.to));
    const out_ = Math.abs(off) > TIMING_REACH;
    out.add(
      'timing',
      out_ ? 'watch' : 'sound',
      out_
        ? `Timing is ${Math.abs(off).toFixed(0)}° too ${off > 0 ? 'early' : 'late'}: timer base, advance plate, then the flywheel key.`
        : 'Timing at idle is where the manual wants it.',
      { ...practice(inputs, 'marks against the manual.'), limit: asked.said, uncertainty: `± ${TIMING_REACH}° by eye` }
    );
  }
}
