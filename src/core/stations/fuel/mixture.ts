import { isShortKind } from '../../engine/case-kind.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import type { Reading } from '../../record/reading.ts';
import { compareInstants, isAfter, latestAt, latestOf, type Instant } from '../../units/instant.ts';
import { askedMix } from './asked-mix.ts';
import type { FuelFact } from './facts.ts';
import { injectionStarved } from './oil-tank.ts';
import { oilWay } from './oil-way.ts';

/** Oil past this many times what is asked fouls before the tank is through (M). */
const FAR_TOO_RICH = 2;

/** When the tank was last emptied: what was told of its oil before is of fuel that is gone. */
const emptiedAt = (c: Context): Instant =>
  latestAt([
    ...c.renewed('fuel.mix').map((at) => ({ at })),
    ...c.record.all('fuel.tank').filter((r) => r.value === 'drained')
  ]);

/** Somebody was asked how much oil is in the fuel that is in it, whether or not he knew. */
export function mixtureAsked(c: Context): boolean {
  const emptied = emptiedAt(c);
  return (['fuel.mix', 'fuel.tankOil'] as const).some((i) => c.record.all(i).some((r) => isAfter(r.at, emptied)));
}

/** Fuel over oil by volume, as it was last told of the fuel that is in it: infinite where there is no oil in it. */
function mixNow(c: Context): number | undefined {
  const emptied = emptiedAt(c);
  const told = latestOf(
    [c.record.last('fuel.mix'), c.record.last('fuel.tankMix'), c.record.last('fuel.tankOil')].filter(
      (r) => r !== undefined && r.value !== 'unknown' && r.value !== 'mixed' && isAfter(r.at, emptied)
    ) as Reading[]
  );
  if (!told) return undefined;
  const mix = told.value === 'plain' ? Infinity : known(told.value as number);
  return mix === undefined || told.what === 'fuel.mix' ? mix : withOilAdded(c, mix, told.at);
}

/** The mixture in the tank once oil went into it, by what it holds; as it was told where that is not known. Fresh fuel to go in counts as in it. */
function withOilAdded(c: Context, mix: number, toldAt: Instant): number {
  const poured = c.record.last('fuel.oilAdded');
  const added = poured && isAfter(poured.at, toldAt) ? known(c.record.value('fuel.oilAdded')) : undefined;
  const has = known(c.record.value('fuel.tankHas'));
  if (!added || !has) return mix;
  const oil = mix === Infinity ? 0 : has / (mix + 1);
  return (has - oil + (known(c.record.value('fuel.freshAdd')) ?? 0)) / (oil + added);
}

/** From this many times the fuel that is asked to a part of oil, nobody runs it even to try (M). */
const RUNS_DRY = 1.5;

/** The engine would run without its oil, or on far too little; in words, nothing where it would not. */
export function oilStarved(c: Context): string | undefined {
  const way = oilWay(c);
  if (way === 'tank') return injectionStarved(c, mixNow(c));
  if (!way) return undefined;
  const mix = mixNow(c);
  const asked = askedMix(c);
  if (mix === Infinity)
    return way === 'fuel'
      ? 'There is no oil in its fuel, and it gets its oil from nowhere else.'
      : 'There is no oil in its fuel, and nobody looked whether it has an oil tank.';
  // Drained and filled anew it is as nobody has told yet, and whoever filled it last time left the oil out.
  if (mix === undefined && way === 'fuel' && c.record.all('fuel.tankOil').some((r) => r.value === 'plain'))
    return 'It came with no oil in its fuel, and how its fresh fuel is mixed is not recorded.';
  if (mix === undefined || !asked || mix <= RUNS_DRY * asked.wanted.value) return undefined;
  return `Its fuel is mixed ${Math.round(mix)}:1 where ${Math.round(asked.wanted.value)}:1 is asked: bearings and pistons run dry.`;
}

/** From this share of the fuel that belongs to a part of oil on downward, a mixture smokes by itself (M). */
export const SMOKES_FROM = 0.9;

/** The mixture it ran on when it smoked smokes by itself, against what is asked of this engine and tank; corrected since or not. */
export function smokesOfMixture(
  c: Context,
  smokedAt: Instant
): { readonly mix: number; readonly asked: number } | undefined {
  const asked = askedMix(c)?.ratio;
  const [first] = c
    .touched('fuel.mix')
    .filter((at) => isAfter(at, smokedAt))
    .toSorted(compareInstants);
  const told = c.record.all('fuel.mix').findLast((r) => !first || isAfter(first, r.at));
  // Corrected before it smoked, and not told since.
  const old = told && c.touched('fuel.mix').some((at) => isAfter(at, told.at) && !isAfter(at, smokedAt));
  const mix = old ? undefined : told ? known(told.value) : first ? undefined : mixNow(c);
  return mix === undefined || asked === undefined || mix >= asked * SMOKES_FROM ? undefined : { mix, asked };
}

/** The mixture of an engine that gets its oil with its fuel, against what is asked of it; what is said of one of which nobody knows that. */
export function mixtureFacts(c: Context): FuelFact[] {
  const way = oilWay(c);
  if (!way || way === 'tank') return [];
  const mix = mixNow(c);
  const asked = askedMix(c);
  if (mix === Infinity && way === 'fuel') return [{ kind: 'mix-none', id: 'mix', condition: 'fault', values: {} }];
  // What is in its tank is known before it runs, and its oil is in there or nowhere.
  if (mix === undefined || mix === Infinity) {
    const short = isShortKind(c.survey.assessment.kind);
    // It ran well: whatever way its oil goes, it got there. Where its fuel was told to have none that is no answer.
    const ran = way === 'unsaid' && mix === undefined && c.record.value('run.outcome') === 'ran';
    return c.record.touched('fuel') && !short && !ran
      ? [{ kind: 'mix-unsaid', id: 'mix', condition: 'cannot-tell', values: way === 'unsaid' ? { way: true } : {} }]
      : [];
  }
  if (!asked) return [{ kind: 'mix-alone', id: 'mix', condition: 'cannot-tell', values: { mix } }];
  const { ratio, wanted } = asked;
  const values = { mix, asked };
  if (mix < ratio / FAR_TOO_RICH) return [{ kind: 'mix-rich', id: 'mix', condition: 'watch', values }];
  if (mix <= ratio * 1.05) return [{ kind: 'mix-good', id: 'mix', condition: 'sound', values }];
  return [{ kind: 'mix-lean', id: 'mix', condition: mix > wanted.value * 1.05 ? 'fault' : 'watch', values }];
}
