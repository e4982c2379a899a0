import { assess } from '../src/core/assess.ts';
import { factsOf } from '../src/core/engine/fact.ts';
import { appendBatch } from '../src/lib/server/store/append.ts';
import type { StoreOptions } from '../src/lib/server/store/context.ts';
import { createEngine } from '../src/lib/server/store/engines.ts';
import { addInstrument, listInstruments } from '../src/lib/server/store/house-rules.ts';
import { sign } from '../src/lib/server/store/releases.ts';
import { createSurvey, loadSurvey } from '../src/lib/server/store/surveys.ts';
import { hoseGauge, leakTester, logOf, shopGauge } from './builder.ts';
import { startOf } from './build.ts';
import { scenario } from './scenario/index.ts';

/** Builds the demo yard through the same stores that the application uses; a refusal there is a refusal here. */
export function seed(now: Date, o: StoreOptions = {}): void {
  if (!listInstruments(o).length) for (const i of [shopGauge, hoseGauge, leakTester]) addInstrument(i, o);
  for (const engine of scenario) {
    const start = startOf(engine, now);
    const at = { ...o, now: start };
    const facts = factsOf({
      identity: engine.identity,
      profile: engine.profile,
      history: engine.history(start),
      ...(engine.manual ? { manual: engine.manual } : {})
    });
    const engineId = createEngine(facts, 'Ines', at);
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
