import { contextOf } from '../../../core/judgement.ts';
import { compare } from '../../../core/stations/compression/compare.ts';
import { referenceOf, type ReferenceTest } from '../../../core/stations/compression/reference.ts';
import type { StoreOptions } from './context.ts';
import { loadEngine } from './engines.ts';
import { loadSurvey, openSurveys, surveysOf } from './surveys.ts';

/** The compression of one assessment, as something to compare with; nothing where none was read. */
function testOf(surveyId: string, label: (at: string) => string, o: StoreOptions): ReferenceTest | undefined {
  const loaded = loadSurvey(surveyId, o);
  const found = loaded && compare(contextOf(loaded.survey, new Date(loaded.head.startedAt), 'metric'));
  return found && referenceOf(label(loaded.head.startedAt.slice(0, 10)), found);
}

/** What this engine read last time, and what its sister of the same boat reads: the best references there are. */
export function referencesFor(surveyId: string, o: StoreOptions = {}): ReferenceTest[] {
  const loaded = loadSurvey(surveyId, o);
  if (!loaded) return [];
  const { engineId, startedAt } = loaded.head;
  const before = surveysOf(engineId, o).filter((s) => s.startedAt < startedAt);
  const last = before.map((s) => testOf(s.id, (at) => `last time, ${at}`, o)).find((t) => t !== undefined);
  const { identity, profile } = loaded.survey.engine;
  const side =
    profile.installation === 'port' ? 'starboard' : profile.installation === 'starboard' ? 'port' : undefined;
  const sister =
    side && identity.boat
      ? openSurveys(o).find((s) => {
          if (s.engineId === engineId) return false;
          const other = loadEngine(s.engineId, o);
          return other.identity.boat === identity.boat && other.profile.installation === side;
        })
      : undefined;
  const twin = sister && testOf(sister.id, () => 'sister engine', o);
  return [...(last ? [last] : []), ...(twin ? [twin] : [])];
}
