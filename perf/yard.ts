import { randomUUID } from 'node:crypto';
import { surveyOf } from '../demo/build.ts';
import { scenario } from '../demo/scenario/index.ts';
import { factsOf } from '../src/core/engine/fact.ts';
import { database } from '../src/lib/server/db/open.ts';
import { createEngine } from '../src/lib/server/store/engines.ts';
import { createSurvey } from '../src/lib/server/store/surveys.ts';

/** A large made-up yard for measuring: so many engines, a hundred readings each. Written past the checks, all valid. */
const engines = Number(process.argv[2] ?? 2000);
const db = database();
const now = new Date();
const models = scenario.filter((e) => e.key !== 'heron').map((e) => surveyOf(e, now));
const put = db.$client.prepare(
  "insert into entries (id, survey_id, type, body, received_at) values (?, ?, 'reading', ?, ?)"
);
db.$client.transaction(() => {
  for (let k = 0; k < engines; k++) {
    const model = models[k % models.length]!;
    const engine = { ...model.engine, identity: { ...model.engine.identity, tag: `T${String(k).padStart(4, '0')}` } };
    const survey = createSurvey(createEngine(factsOf(engine), 'Ada'), model.assessment.kind, 'Ada');
    const plain = model.readings.filter((r) => !r.what.startsWith('run.') && !r.supersedes && !r.withdrawn);
    for (let n = 0; n < 100; n++) {
      const r = plain[n % plain.length]!;
      const at = new Date(now.getTime() - (100 - n) * 60_000).toISOString();
      put.run(randomUUID(), survey, JSON.stringify({ ...r, id: randomUUID(), at }), at);
    }
  }
})();
console.log(JSON.stringify({ engines, readings: engines * 100 }));
