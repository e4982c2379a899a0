import { curesOf } from '../knowledge/shape.ts';
import { isAfter } from '../../units/instant.ts';
import { mixedUp } from '../../stations/plugs/analyse.ts';
import type { Context } from '../../findings/context.ts';
import type { Finding } from '../../findings/finding.ts';
import type { ItemId } from '../../stations/items.ts';
import type { Model } from '../model.ts';
import { SAID } from '../said.ts';
import { compressionMeasures } from './compression.ts';
import { headMeasures } from './head.ts';
import { fromWords, seen, type Findings, type Observed } from './observed.ts';
import { coolingOilAndRunMeasures } from './cooling-oil-run.ts';
import { gearAndFuelMeasures } from './gear-fuel.ts';

export const measures: Readonly<Record<string, import('./observed.ts').Measure>> = {
  ...compressionMeasures,
  ...headMeasures,
  ...gearAndFuelMeasures,
  ...coolingOilAndRunMeasures
};

/**
 * What the record says about each sign of this engine. "Unknown", "not fitted" and "not looked at" are no evidence.
 * A reading taken before the job that cures every suspect behind it is of another time and no longer counts.
 */
export function evidenceOf(
  c: Context,
  model: Model,
  found: readonly Finding[],
  doneAt: ReadonlyMap<string, string>
): Map<number, Observed> {
  const byId: Findings = new Map(found.map((f) => [f.id, f.condition]));
  const out = new Map<number, Observed>();
  const mixed = mixedUp(c);
  model.signs.forEach(({ kind, cylinder }, k) => {
    if (mixed && cylinder !== undefined && kind.reads?.every(({ item }) => item === 'plugs.read')) return;
    // Cleaning what tells of the engine mends nothing behind it.
    const wiped = (doneAt.size > 0 && kind.reads ? kind.reads : []).flatMap(({ item }) =>
      c.wiped(item as ItemId).map((w) => w.at)
    );
    const curedAt = (job: string): string | undefined => {
      const done = doneAt.get(job);
      return done && wiped.includes(done) ? undefined : done;
    };
    const measured = kind.measured ? measures[kind.measured]?.(c, cylinder, byId) : undefined;
    if (measured === null) return;
    const heard = kind.check === SAID ? seen(true, c.survey.assessment.startedAt) : undefined;
    const o = heard ?? measured ?? (kind.reads ? fromWords(c, kind.reads, cylinder) : undefined);
    if (!o) return;
    if (!doneAt.size) return void out.set(k, o);
    const cured = model.network.signs[k]!.causes.flatMap(({ cause }) =>
      curesOf(model.suspects[cause]!.kind).map(curedAt)
    ).reduce<string>((a, at) => (at && isAfter(at, a) ? at : a), '');
    if (cured && !isAfter(o.at, cured) && o.likelihood.present > 0) return;
    out.set(k, o);
  });
  return out;
}
