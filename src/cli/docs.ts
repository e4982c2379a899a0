import fs from 'node:fs';
import { z } from 'zod';
import { surveyOf } from '../../demo/build.ts';
import { scenario } from '../../demo/scenario/index.ts';
import { surveyFileSchema } from '../core/survey/survey-file.ts';

/** Writes what `docs/` holds that follows from the code: the JSON Schema and the example surveys. */
const schema = z.toJSONSchema(surveyFileSchema, { unrepresentable: 'any', io: 'input' });
fs.mkdirSync('docs/examples', { recursive: true });
fs.writeFileSync(
  'docs/survey-file.schema.json',
  `${JSON.stringify({ title: 'Open survey file, version 1', ...schema }, null, 2)}\n`
);
const day = new Date('2026-04-18T14:00:00.000Z');
for (const e of scenario)
  fs.writeFileSync(`docs/examples/${e.key}.json`, `${JSON.stringify(surveyOf(e, day), null, 2)}\n`);
console.log(`docs: schema and ${scenario.length} examples written`);
