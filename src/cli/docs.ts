import fs from 'node:fs';
import { z } from 'zod';
import { surveyOf } from '../../demo/build.ts';
import { scenario } from '../../demo/scenario/index.ts';
import { stories, told } from '../../demo/stories.ts';
import { proceduresSaid } from './procedures.ts';
import { storiesSaid } from './stories.ts';
import { limits } from '../core/engine/limits.ts';
import { numberRules, ruleStep } from '../core/house-rules/rules.ts';
import { topics } from '../core/house-rules/topics.ts';
import { constants } from '../core/sources/index.ts';
import { surveyFileSchema } from '../core/survey/schema.ts';
import { say } from '../core/units/index.ts';
import { figures } from './figures.ts';

/** Writes what `docs/` holds that follows from the code; with `--check` it only says whether that is up to date. */
const check = process.argv.includes('--check');
const stale: string[] = [];

function write(file: string, text: string): void {
  const old = fs.existsSync(file) ? fs.readFileSync(file, 'utf8') : '';
  if (old === text) return;
  if (check) stale.push(file);
  else fs.writeFileSync(file, text);
}

const schema = z.toJSONSchema(surveyFileSchema, { unrepresentable: 'any', io: 'input', reused: 'ref' });
fs.mkdirSync('docs/examples/stories', { recursive: true });
fs.mkdirSync('docs/figures', { recursive: true });
for (const [name, draw] of Object.entries(figures)) write(`docs/figures/${name}`, draw());
write(
  'docs/survey-file.schema.json',
  `${JSON.stringify({ title: 'Open survey file, version 1', ...schema }, null, 2)}\n`
);
const day = new Date('2026-04-18T14:00:00.000Z');
for (const e of scenario) write(`docs/examples/${e.key}.json`, `${JSON.stringify(surveyOf(e, day), null, 2)}\n`);

for (const s of stories) write(`docs/examples/stories/${s.id}.json`, `${JSON.stringify(told(s), null, 2)}\n`);
write('docs/stories.md', storiesSaid());
write('docs/procedures.md', proceduresSaid());

const words = { P: 'P', C: 'C', M: 'M' } as const;
const cell = (s: string): string => s.replace(/\|/g, '\\|');
write(
  'docs/sources.md',
  `# Sources

Written from the code by \`npm run docs\`; the same list stands in the application under Reference, Sources.

**P** published (standard, handbook, paper, named beside it) · **C** common practice of the trade, no source · **M** from memory, to be confirmed.
The maker's manual wins over every value here, and there is a place to enter it with its page.

## Constants and laws

| name | value | class | source |
| --- | --- | --- | --- |
${constants.map((c) => `| ${cell(c.name)} | ${cell(c.value)} | ${words[c.provenance]} | ${cell(c.source)} |`).join('\n')}

## Limits

| limit | class | source |
| --- | --- | --- |
${Object.values(limits)
  .map((l) => `| ${cell(l.label)} | ${words[l.provenance]} | ${cell(l.source)} |`)
  .join('\n')}

## House numbers (C/M; each shop changes them)

| number | default | why |
| --- | --- | --- |
${Object.values(numberRules)
  .map((r) => `| ${cell(r.label)} | ${say(r.standard, r.dimension, 'metric', ruleStep(r))} | ${cell(r.why)} |`)
  .join('\n')}

## Schools (C; each shop chooses one)

| topic | default | why |
| --- | --- | --- |
${Object.values(topics)
  .map(
    (t) => `| ${cell(t.topic)} | ${cell((t.choices as Record<string, string>)[t.standard] ?? '')} | ${cell(t.why)} |`
  )
  .join('\n')}
`
);
if (stale.length) {
  console.error(`Out of date, run "npm run docs": ${stale.join(', ')}`);
  process.exitCode = 1;
} else console.log(`docs: schema, sources and ${scenario.length} examples ${check ? 'are up to date' : 'written'}`);
