import { isAfter, YEAR } from '../units/instant.ts';
import type { ItemId } from '../stations/items.ts';
import { standing } from '../record/current.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { careIds, type CareId } from '../jobs/care-kinds.ts';
import { isJobId, jobOf } from '../jobs/register.ts';
import { flowMark } from './flow.ts';
import { loggedOutings, outingMeter } from './outings.ts';

export interface Done {
  /** The day, "2026-05-01". */
  readonly on: string;
  /** Engine hours then, where they are known. */
  readonly hours?: number;
  /** The job or reading that says so. */
  readonly what: string;
}

/** Steps of a larger job that are a service of their own. */
const partOf: ReadonlyMap<string, readonly CareId[]> = new Map([[flowMark('lay-up', 'flush'), ['flush']]]);

/** What a marked step counts as: a job by its definition, "care.plugs" as what it names. */
function countsOf(step: string): readonly CareId[] {
  const part = partOf.get(step);
  if (part) return part;
  if (isJobId(step)) return jobOf(step).counts ?? [];
  const id = careIds.find((c) => step === `care.${c}`);
  return id === undefined ? [] : id === 'first-oil' ? ['first-oil', 'engine-oil'] : [id];
}
/** Readings that say it too. */
const byReading: ReadonlyMap<ItemId, readonly [unknown[], CareId]> = new Map([
  ['gear.refill', [['service'], 'gear-oil']],
  ['oil.filter', [['renewed'], 'engine-oil']],
  ['turn.result', [['free', 'bumps'], 'monthly-turn']]
]);

/** When each kind of care was last done on an engine, over all its assessments. */
export function lastDone(surveys: readonly SurveyFile[]): Map<CareId, Done> {
  const last = new Map<CareId, Done & { readonly at: string }>();
  const put = (id: CareId, at: string, what: string, hours?: number): void => {
    const before = last.get(id)?.at;
    if (before && isAfter(before, at)) return;
    last.set(id, { at, on: at.slice(0, 10), what, ...(hours === undefined ? {} : { hours }) });
  };
  for (const s of surveys) {
    for (const m of s.steps ?? [])
      if (m.state === 'done') for (const id of countsOf(m.step)) put(id, m.at, m.step, m.hours);
    for (const r of standing(s)) {
      const says = byReading.get(r.what);
      if (says?.[0].includes(r.value)) put(says[1], r.at, r.what);
      // An age that somebody knows says when it was new.
      if (r.what === 'cooling.impellerAge' && typeof r.value === 'number')
        put('impeller', new Date(Date.parse(r.at) - r.value * YEAR).toISOString(), 'its age');
    }
  }
  // An oil change of the log was made before that outing ran: the meter as the one before left it.
  const engine = surveys.at(-1)?.engine;
  const log = engine ? loggedOutings(engine) : [];
  for (const o of log.filter((x) => x.changed)) {
    const meter = outingMeter(engine!).findLast((m) => m.at.slice(0, 10) < o.on)?.hours;
    for (const id of ['engine-oil', 'first-oil'] as const) put(id, `${o.on}T00:00:00.000Z`, 'the log', meter);
  }
  return last;
}
