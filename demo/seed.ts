import { assess } from '../src/core/assess.ts';
import { factsOf } from '../src/core/engine/fact.ts';
import { appendBatch } from '../src/lib/server/store/append.ts';
import type { StoreOptions } from '../src/lib/server/store/context.ts';
import { createEngine } from '../src/lib/server/store/engines.ts';
import { addInstrument, listInstruments } from '../src/lib/server/store/house-rules.ts';
import { sign } from '../src/lib/server/store/releases.ts';
import { createSurvey, loadSurvey } from '../src/lib/server/store/surveys.ts';
import type { Pack } from '../src/core/parts/packs.ts';
import { usualBench } from '../src/core/schedule/settings.ts';
import { currentBench, currentPacks, saveBench, savePacks } from '../src/lib/server/store/shop.ts';
import { hoseGauge, leakTester, Log, logOf, shopGauge } from './builder.ts';
import { startOf } from './build.ts';
import { scenario } from './scenario/index.ts';

/** How the demo yard's chandlers sell what many engines take; all of it made up. */
const shelf: readonly Pack[] = [
  { supply: 'gearOil', called: 'tube', holds: 0.25e-3, price: 9, from: 'Lagoon Chandlery' },
  { supply: 'gearOil', called: 'bottle', holds: 1e-3, price: 22, from: 'Lagoon Chandlery' },
  { supply: 'gearOil', called: 'can', holds: 5e-3, price: 84, from: 'Nets & Motors' },
  { supply: 'engineOil', called: 'bottle', holds: 1e-3, price: 13, from: 'Lagoon Chandlery' },
  { supply: 'engineOil', called: 'can', holds: 4e-3, price: 43, from: 'Nets & Motors' },
  { supply: 'plugWashers', called: 'single', holds: 1, price: 0.9 },
  { supply: 'plugWashers', called: 'set', holds: 10, price: 6 },
  { supply: 'sparkPlugs', called: 'single', holds: 1, price: 7.5 },
  { supply: 'sparkPlugs', called: 'set', holds: 4, price: 26 }
];

/** Builds the demo yard through the same stores that the application uses; a refusal there is a refusal here. */
export function seed(now: Date, o: StoreOptions = {}): void {
  if (!listInstruments(o).length) for (const i of [shopGauge, hoseGauge, leakTester]) addInstrument(i, o);
  if (!currentBench(o).chosen)
    saveBench({ ...usualBench, people: ['Ines', 'Jory', 'Maud'], stand: 2, tank: 1, hose: 1 }, 'Ines', o);
  if (!currentPacks(o).length) savePacks(shelf, 'Ines', o);
  for (const engine of scenario) {
    const start = startOf(engine, now);
    const at = { ...o, now: start };
    const facts = factsOf({
      identity: engine.identity,
      profile: engine.profile,
      history: engine.history(start),
      ...(engine.manual ? { manual: engine.manual } : {}),
      ...(engine.card ? { card: engine.card } : {}),
      ...(engine.outings ? { outings: engine.outings(start) } : {})
    });
    const engineId = createEngine(facts, 'Ines', at);
    for (const visit of engine.earlier ?? []) {
      const then = new Date(start.getTime() - visit.daysAgo * 864e5);
      const earlier = createSurvey(engineId, visit.kind, 'Ines', { ...o, now: then });
      const log = new Log(`${engine.key}-${visit.daysAgo}`, then.getTime());
      visit.log(log);
      const taken = appendBatch(
        earlier,
        { since: 0, factSince: 0, entries: log.entries, facts: [] },
        { ...o, now: then }
      );
      if (taken?.refused.length) throw new Error(`${engine.key}, earlier: ${taken.refused[0]?.message}`);
    }
    const surveyId = createSurvey(engineId, engine.kind, 'Ines', at);
    const result = appendBatch(
      surveyId,
      { since: 0, factSince: 0, entries: logOf(engine, start), facts: [] },
      { ...o, now }
    );
    if (result?.refused.length) throw new Error(`${engine.key}: ${result.refused[0]?.message}`);
    if (engine.signedBy) {
      const signedAt = new Date(start.getTime() + 2 * 24 * 3.6e6);
      sign(surveyId, assess(loadSurvey(surveyId, o)!.survey, signedAt, 'us'), engine.signedBy, { ...o, now: signedAt });
    }
  }
}
