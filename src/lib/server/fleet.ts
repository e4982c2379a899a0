import { randomUUID } from 'node:crypto';
import { fleetOf, tickSays, type Fleet } from '../../core/care/fleet.ts';
import { flowMark, type Flow } from '../../core/care/flow.ts';
import { factSchema } from '../../core/engine/fact.ts';
import { contextOf } from '../../core/findings/context.ts';
import { progressOf } from '../../core/procedures/progress.ts';
import type { System } from '../../core/units/index.ts';
import { log } from './log.ts';
import { recordEntries } from './record-entry.ts';
import { surveyFor } from './short-jobs.ts';
import { appendFact, loadEngine, saidOfAll } from './store/engines.ts';
import { loadSurvey, openSurveys } from './store/surveys.ts';
import { dbOf, type StoreOptions } from './store/context.ts';

/** So many engines go through a season together at most. */
const MOST = 200;

/** Owners of the yard with their engines, the one with the most first: a club is found by its name. */
export function ownersOf(o: StoreOptions = {}): { owner: string; engines: number }[] {
  const count = new Map<string, number>();
  for (const owner of saidOfAll('identity.owner', o).values())
    if (typeof owner === 'string' && owner) count.set(owner, (count.get(owner) ?? 0) + 1);
  return [...count]
    .map(([owner, engines]) => ({ owner, engines }))
    .sort((a, b) => b.engines - a.engines || (a.owner < b.owner ? -1 : 1));
}

/** The engines of an owner, or of the whole yard, through one short job. One that cannot be read is left out, and logged. */
export function fleetFor(
  flow: Flow,
  owner: string,
  now: Date,
  units: System,
  o: StoreOptions & { readonly inHand?: string } = {}
): Fleet {
  const owners = owner ? saidOfAll('identity.owner', o) : undefined;
  const heads = openSurveys(o).filter((h) => !owners || owners.get(h.engineId) === owner);
  const members = heads.slice(0, MOST).flatMap((head) => {
    try {
      return [{ engineId: head.engineId, survey: loadSurvey(head.id, o)!.survey }];
    } catch (err) {
      log.error({ err, engine: head.engineId }, 'an engine of a fleet could not be read');
      return [];
    }
  });
  const all = fleetOf(members, flow, now, units);
  if (!o.inHand) return all;
  const mine = members.filter((m) => m.survey.engine.identity.inHand === o.inHand);
  // Everybody who shares them, whoever is looked at.
  return { ...fleetOf(mine, flow, now, units), hands: all.hands };
}

export interface Ticked {
  readonly done: number;
  /** Tags of engines that were not ticked, each with why. */
  readonly refused: readonly string[];
}

/**
 * Ticks one step for many engines: in each the mark, and what ticking says of it as readings of its own. A hold of one engine refuses
 * that one and no other; what was ticked already is not ticked again.
 */
export function tickForAll(
  flow: Flow,
  step: string,
  engines: readonly string[],
  by: string,
  o: StoreOptions = {}
): Ticked {
  // One commit for all of them: a disk that fails in the middle leaves none half ticked.
  return dbOf(o).$client.transaction(() => tickEach(flow, step, engines.slice(0, MOST), by, o))();
}

function tickEach(flow: Flow, step: string, engines: readonly string[], by: string, o: StoreOptions): Ticked {
  const refused: string[] = [];
  let done = 0;
  for (const engineId of engines) {
    const tag = loadEngine(engineId, o).identity.tag ?? 'no tag';
    const surveyId = surveyFor(engineId, flow, by, o);
    const survey = surveyId && loadSurvey(surveyId, o)?.survey;
    if (!surveyId || !survey) {
      refused.push(`${tag}: this engine is not in the yard any more.`);
      continue;
    }
    const c = contextOf(survey, o.now ?? new Date(), 'metric');
    const progress = progressOf(c, flow);
    const mine = progress.steps.find((s) => s.step.id === step);
    if (!mine || mine.done) continue;
    const why = recordEntries(
      surveyId,
      [
        ...(progress.began === undefined ? [['step', { step: flowMark(flow.id), state: 'open' }] as const] : []),
        ['step', { step: flowMark(flow.id, step), state: 'done' }],
        ...tickSays(c, flow.id, step).map(({ what, value }) => ['reading', { what, value }] as const)
      ],
      by,
      o
    );
    if (why) refused.push(`${tag}: ${why}`);
    else done++;
  }
  return { done, refused };
}

/** Gives engines into somebody's hands, or takes them out of all with no name. Returns how many changed hands. */
export function giveTo(engines: readonly string[], who: string, by: string, o: StoreOptions = {}): number {
  const name = who.trim().slice(0, 60);
  return dbOf(o).$client.transaction(() => {
    let given = 0;
    for (const engineId of engines.slice(0, MOST)) {
      if ((loadEngine(engineId, o).identity.inHand ?? '') === name) continue;
      appendFact(
        engineId,
        factSchema.parse({
          id: randomUUID(),
          path: 'identity.inHand',
          value: name || null,
          at: (o.now ?? new Date()).toISOString(),
          ...(by ? { by } : {})
        }),
        o
      );
      given++;
    }
    return given;
  })();
}
