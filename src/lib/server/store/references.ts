import { contextWithWork } from '../../../core/jobs/work.ts';
import { compare } from '../../../core/stations/compression/compare.ts';
import { referenceOf, type ReferenceTest } from '../../../core/stations/compression/reference.ts';
import { Readings } from '../../../core/record/current.ts';
import type { Earlier, EarlierFlow } from '../../earlier.ts';
import type { StoreOptions } from './context.ts';
import { twinOf } from './sister.ts';
import { loadSurvey, surveysOf } from './surveys.ts';

interface Others {
  /** Earlier assessments of this engine, newest first. */
  readonly before: readonly { readonly id: string; readonly label: string }[];
  readonly sister?: { readonly id: string; readonly label: string };
}

/** The other assessments that this one can be compared with: this engine's earlier ones, and its sister's. */
function othersOf(surveyId: string, o: StoreOptions): Others {
  const loaded = loadSurvey(surveyId, o);
  if (!loaded) return { before: [] };
  const { engineId, startedAt } = loaded.head;
  const before = surveysOf(engineId, o)
    .filter((s) => s.startedAt < startedAt)
    .map((s) => ({ id: s.id, label: `last time, ${s.startedAt.slice(0, 10)}` }));
  const sister = twinOf(engineId, o);
  return { before, ...(sister ? { sister: { id: sister.id, label: 'sister engine' } } : {}) };
}

/** The compression of one assessment, as something to compare with; nothing where none was read. */
function testOf(at: { id: string; label: string }, o: StoreOptions): ReferenceTest | undefined {
  const loaded = loadSurvey(at.id, o);
  const found = loaded && compare(contextWithWork(loaded.survey, new Date(loaded.head.startedAt), 'metric'));
  return found && referenceOf(at.label, found);
}

/** What this engine read last time, and what its sister of the same boat reads: the best references there are. */
export function referencesFor(surveyId: string, o: StoreOptions = {}): ReferenceTest[] {
  const { before, sister } = othersOf(surveyId, o);
  const last = before.map((s) => testOf(s, o)).find((t) => t !== undefined);
  const twin = sister && testOf(sister, o);
  return [...(last ? [last] : []), ...(twin ? [twin] : [])];
}

const recordOf = (id: string, o: StoreOptions): Readings | undefined => {
  const loaded = loadSurvey(id, o);
  return loaded && new Readings(loaded.survey);
};

/** Timed streams and magnets of other times: the last one of each, and the sister's stream. */
export function earlierOf(surveyId: string, o: StoreOptions = {}): Earlier {
  const { before, sister } = othersOf(surveyId, o);
  const flowOf = (at: { id: string; label: string }): EarlierFlow | undefined => {
    const list = (recordOf(at.id, o)?.all('cooling.bucket') ?? []).flatMap((r) =>
      typeof r.value === 'number' ? [r.value] : []
    );
    return list.length ? { label: at.label, flow: list.reduce((s, x) => s + x, 0) / list.length } : undefined;
  };
  const last = before.map(flowOf).find((f) => f !== undefined);
  const twin = sister && flowOf(sister);
  const magnets = before.flatMap((at) => {
    const photo = recordOf(at.id, o)?.last('gear.magnetPhoto')?.value;
    return typeof photo === 'string' ? [{ label: at.label, photo }] : [];
  });
  return { flows: [...(last ? [last] : []), ...(twin ? [twin] : [])], magnets: magnets.slice(0, 1) };
}
