import { drowned } from '../../record/drowned.ts';
import { ownLimits } from '../../engine/limits.ts';
import { listed, type Context } from '../../findings/context.ts';
import { known } from '../../engine/profile.ts';
import { judgedBy, sayLimit } from '../../findings/limit.ts';
import type { Finding } from '../../findings/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { changes, pourOf, USUAL_RESIDUE } from './changes.ts';
import { dips, levelVolume, oilLook, markWords, sayDip, SETTLED } from './position.ts';
import { laboratory, LABORATORY_SHARE } from './laboratory.ts';
import { freshOil, rivals } from './rivals.ts';

type Out = ReturnType<typeof findingsOf>;

/** Engine oil of a four-stroke; a two-stroke has none to dip. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('oil');
  const { record } = c;
  if (c.survey.engine.profile.strokes === 'two') return out.list;
  const d = dips(c);
  const look = oilLook(c);
  const inputs = [`dips: ${d.last.map(sayDip).join(', ') || 'none'}`, `oil: ${look ?? 'not looked at'}`];
  const v = levelVolume(c);
  const ml = (x: number): string => say(Math.abs(x), 'volume', c.units);
  const why = practice(
    [...inputs, ...(record.value('oil.level') === 'no' ? ['not level when dipped'] : [])],
    'upright, level, wait, wipe, dip until two dips agree; the first after filling or trimming misleads.',
    v
      ? {
          value: `${ml(v.beyond)} ${v.beyond < 0 ? 'under the low' : 'over the high'} mark`,
          uncertainty: `± ${ml(v.uncertainty)}`
        }
      : {}
  );
  if (d.useless === 'tilted' || (!d.last.length && record.value('oil.level') === 'no'))
    out.add(
      'level',
      'cannot-tell',
      'It was not upright and level: these dips say nothing. Level it, wait, dip twice.',
      why
    );
  else if (d.useless === 'early')
    out.add(
      'early',
      'cannot-tell',
      `Dipped before the oil had settled: the first look after filling, trimming or running misleads. Wait ${SETTLED} minutes at least, dip twice.`,
      why
    );
  else if (d.last.length === 1)
    out.add(
      'dip',
      'cannot-tell',
      `One dip says ${sayDip(d.last[0]!)}. Wipe and dip again: only two that agree count.`,
      why
    );
  else if (d.last.length === 2 && !d.agree)
    out.add('dip', 'cannot-tell', 'The two last dips do not agree. Level it, wait, dip again.', why);
  else if (d.position === 'between') out.add('dip', 'sound', 'Two dips agree: between the marks.', why);
  else if (d.position === 'above') above(c, out, inputs, v?.beyond);
  else if (d.position)
    out.add(
      'dip',
      'fault',
      `Two dips agree: ${markWords[d.position]}. ${v && v.toMiddle > 0 ? `Add ${ml(v.toMiddle)} to stand in the middle, by the tally` : 'Fill by the tally'}, wait, dip twice.`,
      why
    );
  if (look === 'milky')
    out.add(
      'milky',
      'fault',
      'The engine oil is milky: water in it. Drain it before anything spins, and find the way in.',
      why
    );
  else if (look === 'clean' && d.position === undefined && !d.last.length)
    out.add('look', 'sound', 'The engine oil looks clean; now dip it twice.', why);
  if (look !== 'milky' && d.position !== 'above') thinned(c, out);
  if (record.value('oil.smell') === 'burnt')
    out.add(
      'burnt',
      'watch',
      'The oil smells burnt: it ran hot or far too long. Change it, and look at the cooling before a long run.',
      why
    );
  tested(c, out);
  residue(c, out);
  pouring(c, out);
  if (record.value('oil.filter') === 'stuck')
    out.add(
      'filter',
      'fault',
      'The old filter seal is still on the engine: two seals blow out under pressure. Take it off before the new filter goes on.',
      practice(['filter: old seal still on'], 'the old seal comes off with its filter, or it stays.')
    );
  return out.list;
}

/** Above the mark: overfilled and diluted are rivals, weighed by what was smelt, seen and poured. */
function above(c: Context, out: Out, inputs: readonly string[], beyond: number | undefined): void {
  const r = rivals(c);
  const fault = judgedBy(c, 'oil.dilution', ownLimits.dilutionFault);
  const share = r.share;
  const grave = share === undefined || share >= fault.value;
  const percent = (x: number): string => `${(100 * x).toFixed(1)} %`;
  const why = {
    inputs: [
      ...inputs,
      ...r.weights.map(
        (w) =>
          `${w.says}: ${w.ratio > 1 ? 'for dilution' : 'for overfilling'}, ${(w.ratio > 1 ? w.ratio : 1 / w.ratio).toFixed(0)} to 1`
      )
    ],
    ...(share === undefined
      ? {}
      : {
          value: `${percent(share)} by volume if it is all fuel; ${r.viscosity!.toFixed(1)} mm²/s at 100 °C where clean oil has ${freshOil(c).toFixed(1)}`
        }),
    uncertainty: 'the weights are estimates, from memory',
    limit: `fuel in oil: watch ${percent(ownLimits.dilutionWatch)}, fault ${sayLimit(fault, c.units)}`,
    formula: 'odds multiplied, even before; blend by the Refutas index, volume turned into mass first',
    provenance: 'M' as const,
    source: 'Weights of evidence from memory; Refutas blending index (P)'
  };
  const over = beyond ? ` by ${say(beyond, 'volume', c.units)}` : '';
  if (r.verdict === 'diluted')
    out.add(
      'dip',
      grave ? 'fault' : 'watch',
      `Above the mark${over}, and it is fuel rather than overfilling: ${listed(r.weights.filter((w) => w.ratio > 1).map((w) => w.says))}. Change it, find why, run it loaded.`,
      why
    );
  else if (r.verdict === 'overfilled')
    out.add(
      'dip',
      'watch',
      `Above the mark${over}, and overfilled rather than diluted: ${listed(r.weights.filter((w) => w.ratio < 1).map((w) => w.says))}. Draw it down to between the marks.`,
      why
    );
  else
    out.add(
      'dip',
      'cannot-tell',
      `Two dips agree above the mark${over}: overfilled or diluted cannot be told yet. Smell it, see how it runs off the stick, and find out what was poured in; take nothing apart before.`,
      why
    );
}

/** Oil that is not over the mark but looks or smells of fuel: how much counts, and a laboratory's figure before a nose. */
function thinned(c: Context, out: Out): void {
  if (laboratory(c)) return;
  const smell = c.record.value('oil.smell');
  const thin = oilLook(c) === 'thin';
  const why = practice(
    [`oil: ${c.record.value('oil.look') ?? 'not looked at'}`, `smell: ${smell ?? 'not smelt'}`],
    'short cold runs leave a trace of fuel, which a long warm run drives off; thin oil that smells strongly is diluted.'
  );
  if (thin || smell === 'strong')
    out.add('thin', 'watch', 'The oil is thin or smells strongly of fuel: dilution. Change it before a long run.', why);
  else if (smell === 'fuel')
    out.add(
      'smell',
      'cannot-tell',
      'It smells of fuel. A nose does not measure: feel it between the fingers, watch the level over the next hours, or have its viscosity measured.',
      why
    );
  else if (smell === 'faint')
    out.add(
      'smell',
      'sound',
      'A faint smell of fuel is usual after short cold runs; the level decides, and a long warm run drives it off.',
      why
    );
}

/** A laboratory's viscosity against that of the same oil fresh. */
function tested(c: Context, out: Out): void {
  const used = known(c.record.value('oil.viscosity'));
  const lab = laboratory(c);
  if (used === undefined) return;
  const v = (x: number): string => say(x, 'viscosity', c.units);
  if (!lab) {
    out.add(
      'laboratory',
      'cannot-tell',
      `The laboratory found ${v(used)} at 100 °C; without the figure of the same oil fresh nobody can say whether that is thin. Its data sheet has it.`,
      practice([`viscosity at 100 °C: ${v(used)}`], 'used oil is compared with the same oil fresh.')
    );
    return;
  }
  const fault = judgedBy(c, 'oil.dilution', ownLimits.dilutionFault);
  const percent = (x: number): string => `${(100 * x).toFixed(1)} %`;
  const why = {
    inputs: [`viscosity at 100 °C: ${v(lab.used)}`, `the same oil fresh: ${v(lab.fresh)}`],
    value: `${percent(lab.share)} of petrol by volume`,
    uncertainty: `${percent(lab.low)} to ${percent(lab.high)} (95 %, ${percent(LABORATORY_SHARE)} on each figure, from memory)`,
    limit: `fuel in oil: watch ${percent(ownLimits.dilutionWatch)}, fault ${sayLimit(fault, c.units)}`,
    formula: 'Refutas blend of fresh oil and petrol, solved for the share',
    provenance: 'P' as const,
    source: 'Refutas blending index; viscosities at one temperature'
  };
  if (lab.thicker !== undefined)
    out.add(
      'laboratory',
      'watch',
      `${Math.round(100 * lab.thicker)} % thicker than fresh: oxidised, sooty or mixed with a thicker oil, not diluted. Change it.`,
      why
    );
  else if (lab.low >= fault.value)
    out.add(
      'laboratory',
      'fault',
      `About ${percent(lab.share)} of fuel in the oil by its viscosity. Change it, and find why.`,
      why
    );
  else if (lab.low >= ownLimits.dilutionWatch)
    out.add('laboratory', 'watch', `About ${percent(lab.share)} of fuel in the oil by its viscosity: change it.`, why);
  else if (lab.high < fault.value && lab.low <= 0)
    out.add('laboratory', 'sound', 'Its viscosity is that of the fresh oil, within what the figures tell.', why);
  else
    out.add(
      'laboratory',
      'cannot-tell',
      `Between ${percent(lab.low)} and ${percent(lab.high)} of fuel by its viscosity: too close to the limit to call. Change it if in doubt; it costs less than a second test.`,
      why
    );
}

function residue(c: Context, out: Out): void {
  const wet = drowned(c) || c.record.all('oil.look').some((r) => r.value === 'milky');
  const p = changes(c);
  if (!wet || p.made === 0) return;
  const percent = (x: number): string => `${(100 * x).toFixed(x < 0.01 ? 2 : 1)} %`;
  out.add(
    'residue',
    p.open ? 'watch' : 'sound',
    p.open
      ? `After ${p.made} oil ${p.made === 1 ? 'change' : 'changes'} about ${percent(p.left)} of what was in it is left; ${p.open} more to get under ${percent(p.target)}${p.litres === undefined ? '' : `, ${p.litres.toFixed(1)} L, about ${Math.round(p.cost!)} cr`}. Cheap oil first.`
      : `After ${p.made} oil changes about ${percent(p.left)} of what was in it is left.`,
    {
      inputs: [
        `changes made: ${p.made}`,
        `stays behind each time: ${percent(p.share)}${p.measured ? ', measured here' : `, usual ${percent(USUAL_RESIDUE)}`}`
      ],
      value: percent(p.left),
      limit: `${percent(p.target)} (house rule)`,
      formula: 'left = rⁿ, r = 1 − drained/fill',
      provenance: 'P',
      source: 'Each change dilutes what stayed behind; the usual share from memory'
    }
  );
}

function pouring(c: Context, out: Out): void {
  const p = pourOf(c, 'oil');
  if (!p.cups || p.asked === undefined) return;
  const v = (x: number): string => say(Math.abs(x), 'volume', c.units);
  const why = practice(
    [`poured: ${v(p.poured)} in ${p.cups}`, `asked: ${v(p.asked)}`],
    'stop a little short, wait, dip twice, then top up.'
  );
  const dipped = dips(c).position === 'between';
  if (p.left! < -0.03 * p.asked)
    out.add(
      'poured',
      dipped ? 'sound' : 'watch',
      dipped
        ? `${v(p.poured)} poured in; the dips agree between the marks.`
        : `${v(p.left!)} more than the ${v(p.asked)} asked has been poured in. Wait, dip twice before anything else.`,
      why
    );
  else if (p.left! > 0.05 * p.asked && !dipped)
    out.add(
      'poured',
      'cannot-tell',
      `${v(p.poured)} poured in, ${v(p.left!)} to go; stop a cup short, wait and dip twice.`,
      why
    );
  else if (!dipped) out.add('poured', 'cannot-tell', `${v(p.poured)} poured in, as asked. Wait, then dip twice.`, why);
}
