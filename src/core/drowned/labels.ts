import { doneAt } from '../jobs/done.ts';
import { isAfter } from '../units/instant.ts';
import { against } from '../holds/against.ts';
import type { Hold } from '../holds/hold.ts';
import type { Context } from '../findings/context.ts';
import { sumpEmpty } from '../stations/oil/sump.ts';
import { drowned } from '../record/drowned.ts';

export type LabelId = 'no-oil' | 'do-not-crank' | 'oil-in-bores' | 'case-empty';

export interface YardLabel {
  readonly id: LabelId;
  readonly text: string;
  readonly because: string;
}

/** The labels this engine must carry while it stands, from its record. */
export function labelsOf(c: Context, holds: readonly Hold[]): YardLabel[] {
  const out: YardLabel[] = [];
  const add = (id: LabelId, text: string, because: string): void => void out.push({ id, text, because });
  const crank = against(holds, 'crank')[0];
  if (crank) add('do-not-crank', 'DO NOT CRANK', crank.title);
  const filled = doneAt(c).has('drowned.fill');
  if (filled) {
    if (!crank) add('do-not-crank', 'DO NOT CRANK', 'Oil does not compress.');
    add('oil-in-bores', 'OIL IN BORES', 'Plugs out and turned by hand before anything else.');
  }
  const empty = sumpEmpty(c);
  const out4 = c.survey.engine.profile.strokes === 'four';
  if (empty === 'new') add('no-oil', 'NO OIL', 'A new engine comes without engine oil.');
  else if (out4 && empty)
    add('no-oil', 'NO OIL', drowned(c) ? 'Sump drained after water, not filled.' : 'Sump drained, not filled.');
  else if (out4 && c.record.last('oil.dip')?.value === 'none') add('no-oil', 'NO OIL', 'None on the stick.');
  const drained = c.record.last('gear.drained');
  const refill = c.record.last('gear.refill');
  if (drained && (!refill || isAfter(drained.at, refill.at) || refill.value === 'no' || refill.value === 'unknown'))
    add('case-empty', 'CASE EMPTY', 'Gear oil drained, not refilled: no running in gear.');
  return out;
}
