import { ratedCapacity } from '../gear/capacity.ts';
import { isAfter } from '../../units/instant.ts';
import { known } from '../../engine/profile.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { changesTo, leftAfter, residueShare } from '../../physics/residue.ts';
import { fillsWhole, sumpOf } from './sump.ts';

/** Stays behind where nobody measured what came out (M). */
export const USUAL_RESIDUE = 0.15;

export interface Changes {
  readonly made: number;
  /** Share that stays behind at each change, and whether it was measured here. */
  readonly share: number;
  readonly measured: boolean;
  /** Share of the first contamination still there, and how many changes are still to make. */
  readonly left: number;
  readonly open: number;
  readonly target: number;
  readonly litres?: number;
  readonly cost?: number;
}

/** Oil changes after water: how far they have got, and what is still to do. */
export function changes(c: Context): Changes {
  const sump = sumpOf(c);
  const out = c.record.all('oil.drained').flatMap((r) => (typeof r.value === 'number' && r.value > 0 ? [r.value] : []));
  const made = Math.max(known(c.record.value('oil.changes')) ?? 0, out.length);
  // The first drain brings the water with it; the later ones say what the sump keeps.
  const clean = out.slice(1);
  const mean = clean.length ? clean.reduce((s, x) => s + x, 0) / clean.length : undefined;
  const measured = sump !== undefined && mean !== undefined && mean <= 1.02 * sump;
  const share = measured ? Math.min(0.6, Math.max(0.01, residueShare(mean, sump))) : USUAL_RESIDUE;
  const target = ruleNumber(c.rules, 'oilTarget');
  const open = Math.max(0, changesTo(target, share) - made);
  return {
    made,
    share,
    measured,
    left: leftAfter(made, share),
    open,
    target,
    ...(sump === undefined
      ? {}
      : { litres: open * sump * 1000, cost: open * sump * 1000 * ruleNumber(c.rules, 'oilPrice') })
  };
}

export interface Pour {
  readonly poured: number;
  readonly cups: number;
  /** What this fill asks for: the sump, with its filter where that is renewed; nothing where a level is only brought up. */
  readonly asked?: number;
  readonly left?: number;
  /** Of the bottle in hand. */
  readonly bottle?: { readonly size: number; readonly rest: number; readonly opened: number };
}

/** What has been poured in since it was last drained, by the tally. */
export function pourOf(c: Context, station: 'oil' | 'gear'): Pour {
  const drained = c.record.last(`${station}.drained`)?.at ?? '';
  const list = c.record
    .all(`${station}.poured`)
    .flatMap((r) => (typeof r.value === 'number' && isAfter(r.at, drained) ? [r.value] : []));
  const poured = list.reduce((s, x) => s + x, 0);
  const { profile } = c.survey.engine;
  const renewed = c.record.value('oil.filter') === 'renewed';
  const whole = (renewed ? known(profile.sumpWithFilter) : known(profile.sumpWithoutFilter)) ?? sumpOf(c);
  const asked = station === 'gear' ? ratedCapacity(c)?.value : fillsWhole(c) ? whole : undefined;
  const size = known(c.record.value(`${station}.bottle`));
  const opened = size ? Math.max(1, Math.ceil(poured / size - 1e-9)) : 0;
  return {
    poured,
    cups: list.length,
    ...(asked === undefined ? {} : { asked, left: asked - poured }),
    ...(size ? { bottle: { size, opened, rest: opened * size - poured } } : {})
  };
}
