import { isAfter } from '../units/instant.ts';
import type { ItemId } from '../stations/items.ts';
import { standing } from '../record/current.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { CareId } from './intervals.ts';

export interface Done {
  /** The day, "2026-05-01". */
  readonly on: string;
  /** Engine hours then, where they are known. */
  readonly hours?: number;
  /** The job or reading that says so. */
  readonly what: string;
}

/** Jobs that count as a service done. */
const byStep: ReadonlyMap<string, readonly CareId[]> = new Map(
  Object.entries({
    'gear-refill': ['gear-oil'],
    'oil-changes': ['engine-oil'],
    'sump-water': ['engine-oil'],
    pump: ['impeller'],
    plugs: ['plugs'],
    anodes: ['anodes'],
    'fuel-drain': ['fuel-filter'],
    'care.engine-oil': ['engine-oil'],
    'care.gear-oil': ['gear-oil'],
    'care.impeller': ['impeller'],
    'care.plugs': ['plugs'],
    'care.fuel-filter': ['fuel-filter'],
    'care.anodes': ['anodes'],
    'care.monthly-turn': ['monthly-turn'],
    'care.first-oil': ['first-oil', 'engine-oil']
  } satisfies Record<string, readonly CareId[]>)
);
/** Readings that say it too. */
const byReading: Readonly<Partial<Record<ItemId, readonly [unknown[], CareId]>>> = {
  'gear.refill': [['service'], 'gear-oil'],
  'oil.filter': [['renewed'], 'engine-oil'],
  'turn.result': [['free'], 'monthly-turn']
};

const YEAR = 365.2425 * 864e5;

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
      if (m.state === 'done') for (const id of byStep.get(m.step) ?? []) put(id, m.at, m.step, m.hours);
    for (const r of standing(s)) {
      const says = byReading[r.what];
      if (says?.[0].includes(r.value)) put(says[1], r.at, r.what);
      // An age that somebody knows says when it was new.
      if (r.what === 'cooling.impellerAge' && typeof r.value === 'number')
        put('impeller', new Date(Date.parse(r.at) - r.value * YEAR).toISOString(), 'its age');
    }
  }
  return last;
}
