import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import type { Reading } from '../../record/reading.ts';
import { latestOf } from '../../units/instant.ts';
import { askedMix } from './correct.ts';

/** Oil past this many times what is asked fouls before the tank is through (M). */
const FAR_TOO_RICH = 2;

/** Fuel over oil by volume, as it was last told: infinite where there is no oil in it. */
function mixNow(c: Context): number | undefined {
  const told = latestOf(
    [c.record.last('fuel.mix'), c.record.last('fuel.tankMix'), c.record.last('fuel.tankOil')].filter(
      (r) => r !== undefined && r.value !== 'unknown' && r.value !== 'mixed'
    ) as Reading[]
  );
  if (!told) return undefined;
  return told.value === 'plain' ? Infinity : known(told.value as number);
}

/** From this many times the fuel that is asked to a part of oil, nobody runs it even to try (M). */
const RUNS_DRY = 1.5;

/** The engine would run without its oil, or on far too little; in words, nothing where it would not. */
export function oilStarved(c: Context): string | undefined {
  if (c.survey.engine.profile.lubrication !== 'premix') return undefined;
  const mix = mixNow(c);
  const asked = askedMix(c);
  if (mix === Infinity) return 'There is no oil in its fuel, and it gets its oil from nowhere else.';
  if (mix === undefined || !asked || mix <= RUNS_DRY * asked.wanted.value) return undefined;
  return `Its fuel is mixed ${Math.round(mix)}:1 where ${Math.round(asked.wanted.value)}:1 is asked: bearings and pistons run dry.`;
}

export function mixtureFindings(c: Context, out: ReturnType<typeof findingsOf>): void {
  if (c.survey.engine.profile.lubrication !== 'premix') return;
  const mix = mixNow(c);
  const asked = askedMix(c);
  if (mix === Infinity) {
    out.add(
      'mix',
      'fault',
      'There is no oil in the tank’s fuel, and this engine gets its oil from nowhere else. Pour what the mixture sum names and shake it, before any start.',
      practice(['oil in the tank: none'], 'a premix engine without oil seizes within minutes.')
    );
    return;
  }
  if (mix !== undefined && !asked) {
    out.add(
      'mix',
      'cannot-tell',
      `Mixed ${Math.round(mix)}:1; this engine’s ratio is not entered, so nobody can say whether that is right.`,
      practice([`mixture: ${mix}:1`], 'ratio from the manual.')
    );
    return;
  }
  if (mix === undefined || !asked) return;
  const { ratio, wanted, richer } = asked;
  const why: Because = {
    inputs: [`mixture in use: ${Math.round(mix)}:1`],
    limit: `${Math.round(ratio)}:1${richer ? `, one step more oil than ${sayLimit(wanted, c.units)} for the first tank` : `, ${sayLimit(wanted, c.units)}`}`,
    school: asked.school,
    formula: 'oil = fuel/ratio',
    provenance: wanted.provenance,
    source: 'Fuel to oil by volume'
  };
  if (mix < ratio / FAR_TOO_RICH)
    out.add(
      'mix',
      'watch',
      `Mixed ${Math.round(mix)}:1 where ${Math.round(ratio)}:1 is asked: so much oil fouls plugs and ports. Thin it with plain fuel, or read the ratio again.`,
      why
    );
  else if (mix > ratio * 1.05)
    out.add(
      'mix',
      mix > wanted.value * 1.05 ? 'fault' : 'watch',
      `Mixed ${Math.round(mix)}:1 where ${Math.round(ratio)}:1 is asked: too little oil. Add ${Math.round(1000 / ratio - 1000 / mix)} mL to every litre.`,
      why
    );
  else
    out.add(
      'mix',
      'sound',
      `Mixed ${Math.round(mix)}:1: enough oil${mix < ratio * 0.9 ? ', more than asked; it will smoke, no harm' : ''}.`,
      why
    );
}
