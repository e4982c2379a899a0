import fs from 'node:fs';
import { assess } from '../core/assess.ts';
import { conditions } from '../core/survey/finding.ts';
import { readSurveyFile } from '../core/survey/read-file.ts';
import type { System } from '../core/units/index.ts';
import { actions } from '../core/holds/index.ts';
import { compressionFigures } from '../core/stations/compression/figures.ts';
import { leakFit } from '../core/stations/compression/leak-fit.ts';
import { leakFindings, leakTask } from '../core/stations/compression/leak.ts';

/** `npm run assess -- file.json [--json] [--units us|metric]`: the core on a survey file, without a server. */
const args = process.argv.slice(2);
const json = args.includes('--json');
const units: System = args[args.indexOf('--units') + 1] === 'metric' && args.includes('--units') ? 'metric' : 'us';
const files = args.filter((a, k) => !a.startsWith('--') && args[k - 1] !== '--units');

function run(file: string): number {
  let text: string;
  try {
    text = fs.readFileSync(file, 'utf8');
  } catch {
    console.error(`${file}: there is no such file, or it cannot be read.`);
    return 2;
  }
  const result = readSurveyFile(text);
  if (!result.ok) {
    console.error(`${file}: ${result.path ? `${result.path}: ` : ''}${result.message}`);
    return 1;
  }
  // Judged as of the last thing written in the file, so that an old file gives the same answer every day.
  const last =
    result.survey.readings
      .map((r) => r.at)
      .sort()
      .at(-1) ?? result.survey.assessment.startedAt;
  const a = assess(result.survey, new Date(last), units);
  const figures = compressionFigures(a.context);
  const task = leakTask(a.context);
  const fit = task && leakFit(task);
  const leaks = task ? leakFindings(a.context, task, fit) : [];
  if (json) {
    const { stations, findings, holds, next, steps, gates, ready } = a;
    console.log(
      JSON.stringify(
        {
          stations: stations.map(({ id, condition }) => ({ id, condition })),
          findings: [...findings, ...leaks],
          figures,
          ...(fit ? { leaks: fit } : {}),
          holds,
          next,
          steps,
          gates,
          ready
        },
        null,
        2
      )
    );
    return 0;
  }
  const { identity } = result.survey.engine;
  const lines = [
    `${identity.tag ?? 'Engine'} · ${[identity.maker, identity.model].filter(Boolean).join(' ')} · ${result.survey.assessment.kind}`,
    ''
  ];
  const raised = a.holds.filter((h) => !h.standing);
  lines.push(raised.length ? 'HOLDS' : 'No hold is raised.');
  for (const h of raised) {
    lines.push(`  ${h.title} (${h.blocks.map((b) => actions[b]).join(', ')}). ${h.because}`);
    if (h.override) lines.push(`    overridden: ${h.override.reason}`);
    for (const n of h.needs) lines.push(`    ${n.done ? '[x]' : '[ ]'} ${n.text}`);
  }
  lines.push('', 'FINDINGS');
  for (const s of a.stations) {
    lines.push(`  ${s.title}: ${conditions[s.condition]}`);
    for (const f of s.findings) {
      lines.push(`    ${conditions[f.condition]}: ${f.sentence}`);
      const why = [
        f.because.value,
        f.because.uncertainty,
        f.because.limit && `limit ${f.because.limit}`,
        f.because.school
      ].filter(Boolean);
      if (why.length) lines.push(`      because ${why.join('; ')} [${f.because.provenance}]`);
    }
  }
  if (figures.length) {
    lines.push('', 'COMPRESSION, COMPUTED');
    for (const f of figures)
      lines.push(`  ${f.label}${f.cylinder === undefined ? '' : `, cylinder ${f.cylinder}`}: ${f.says}`);
    for (const f of leaks) lines.push(`  ${f.sentence}`);
  }
  lines.push('', a.steps.length ? 'JOB LIST' : 'Job list: nothing is demanded.');
  a.steps.forEach((s, k) =>
    lines.push(
      `  ${k + 1}. ${s.title} (${s.minutes} min${s.wait ? ` + ${s.wait} min waiting` : ''}) ${s.state}`,
      `     why: ${s.why.join(' ')}`,
      `     proved by: ${s.proof.text}`
    )
  );
  lines.push(
    '',
    a.next ? `Next check: ${a.next.title}, ${a.next.minutes} min. ${a.next.because}` : 'Every check is made.'
  );
  lines.push(
    a.ready
      ? 'Ready for service.'
      : `Not ready: ${a.gates
          .filter((g) => !g.passes)
          .map((g) => g.title)
          .join(', ')}.`
  );
  console.log(lines.join('\n'));
  return 0;
}

if (!files.length) {
  console.error('Give a survey file: npm run assess -- docs/examples/wren.json');
  process.exitCode = 2;
} else {
  const codes = files.map(run);
  process.exitCode = Math.max(...codes);
}
