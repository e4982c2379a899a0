import { sql } from 'drizzle-orm';
import { dbOf, type StoreOptions } from './context.ts';
import { loadEngine, saidOfAll } from './engines.ts';
import { ofModel } from './models.ts';
import { openSurveys, surveysOf, type SurveyHead } from './surveys.ts';

/** The latest assessment of the other engine of a twin installation: same boat, other side. */
export function twinOf(engineId: string, o: StoreOptions = {}): SurveyHead | undefined {
  const { identity, profile } = loadEngine(engineId, o);
  const side =
    profile.installation === 'port' ? 'starboard' : profile.installation === 'starboard' ? 'port' : undefined;
  if (!side || !identity.boat) return undefined;
  const [boats, sides] = [saidOfAll('identity.boat', o), saidOfAll('profile.installation', o)];
  return openSurveys(o).find(
    (s) => s.engineId !== engineId && boats.get(s.engineId) === identity.boat && sides.get(s.engineId) === side
  );
}

export interface Sister {
  readonly engineId: string;
  readonly surveyId: string;
  readonly tag: string;
  /** Its twin on the boat, or another engine of that make and model. */
  readonly how: 'twin' | 'model';
}

/** Engines that this one can be set beside, the best first: its twin, then others of its model; so many at most. */
export function sistersOf(engineId: string, o: StoreOptions = {}, most = 8): Sister[] {
  const named = (id: string, surveyId: string, how: Sister['how']): Sister => ({
    engineId: id,
    surveyId,
    tag: loadEngine(id, o).identity.tag ?? 'no tag',
    how
  });
  const twin = twinOf(engineId, o);
  const rows = dbOf(o).all<{ id: string }>(
    sql`${ofModel(sql`select ${engineId} as id`)} select id from alike where id <> ${engineId} order by id limit ${most}`
  );
  const others = rows.flatMap(({ id }) => {
    const head = surveysOf(id, o)[0];
    return head && id !== twin?.engineId ? [named(id, head.id, 'model')] : [];
  });
  return [...(twin ? [named(twin.engineId, twin.id, 'twin')] : []), ...others].slice(0, most);
}
