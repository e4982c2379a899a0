import type { Move } from '../core/moves/move.ts';
import { latestAt } from '../core/units/instant.ts';
import { assess, type Assessment } from '../core/assess.ts';
import { conditions } from '../core/findings/finding.ts';
import { readSurveyFile } from '../core/survey/read-file.ts';
import type { System } from '../core/units/index.ts';
import { options } from '../core/record/options.ts';
import { decide } from '../core/decision/decide.ts';
import { actions } from '../core/holds/hold.ts';
import { compare } from '../core/stations/compression/compare.ts';
import { compressionFigures } from '../core/stations/compression/figures.ts';
import { notIdentifiable, sayFigure } from '../core/stations/compression/sheet-words.ts';
import { fitOf } from '../core/stations/compression/leak-fit.ts';
import { leakTask } from '../core/stations/compression/leak.ts';

export interface AssessOptions {
  readonly units: System;
  readonly json: boolean;
  /** The moves alone. */
  readonly moves?: boolean;
  /** Draws of the cost. */
  readonly draws: number;
}

/** What became of one file: its part of the output, and whether it could be read as a survey. */
export type AssessedFile =
  | { readonly ok: true; readonly out: string }
  | { readonly ok: false; readonly path: string; readonly message: string };

/** Assesses the text of one survey file; as JSON it is one object with the file's name and the engine's tag. */
export function assessFile(file: string, text: string, o: AssessOptions): AssessedFile {
  const result = readSurveyFile(text);
  if (!result.ok) return result;
  const { survey } = result;
  // Judged as of the last thing written in the file, so that an old file gives the same answer every day.
  const last = latestAt(survey.readings) || survey.assessment.startedAt;
  const a = assess(survey, new Date(last), o.units);
  if (o.moves) return { ok: true, out: o.json ? JSON.stringify(movesJson(file, a), null, 2) : movesText(file, a) };
  return { ok: true, out: o.json ? JSON.stringify(asJson(file, a, o), null, 2) : asText(a, o) };
}

const movesJson = (file: string, a: Assessment): object => ({
  file,
  tag: a.context.survey.engine.identity.tag ?? null,
  moves: a.moves,
  ready: a.ready
});

/** A summary line, then every move. */
function movesText(file: string, a: Assessment): string {
  const holds = a.holds.filter((h) => !h.standing && !h.override).length;
  const first = a.moves[0];
  const tag = a.context.survey.engine.identity.tag ?? 'Engine';
  const summary = `${tag} (${file}): ${first ? first.title : 'nothing to do'}; ${a.moves.length} moves, ${holds} ${holds === 1 ? 'hold' : 'holds'}, ${a.ready ? 'ready' : 'not ready'}`;
  return [summary, ...a.moves.map(sayMove)].join('\n');
}

function asJson(file: string, a: Assessment, o: AssessOptions): object {
  const task = leakTask(a.context);
  const fit = task && fitOf(task);
  const { suspects, checks, contradictions } = a.advice;
  return {
    file,
    tag: a.context.survey.engine.identity.tag ?? null,
    stations: a.stations.map(({ id, condition }) => ({ id, condition })),
    findings: a.findings,
    figures: figuresSaid(a),
    ...(fit ? { leaks: fit } : {}),
    holds: a.holds,
    suspects,
    contradictions,
    checks,
    moves: a.moves,
    next: a.moves[0] ?? null,
    decision: decide(a, o.draws),
    steps: a.steps,
    gates: a.gates,
    ready: a.ready
  };
}

/** The computed compression figures, each with its name and its sentence. */
function figuresSaid({ context }: Assessment) {
  const found = compare(context);
  return found ? compressionFigures(context).map((f) => ({ ...f, ...sayFigure(f, found, context.units) })) : [];
}

/** Suspects with their reasons, the looks that pay, and what to do. */
function adviceLines(a: Assessment, draws: number): string[] {
  const { suspects, checks, contradictions } = a.advice;
  const d = decide(a, draws);
  const cr = (x: number): string => `${Math.round(x)} cr`;
  const raised = suspects.filter((s) => s.raised && !s.mended);
  return [
    '',
    raised.length ? 'SUSPECTS' : 'No reading points to a suspect.',
    ...raised.flatMap((s) => [
      `  ${s.chance}: ${s.label}${s.artefact ? ' (a wrong measurement)' : ''} (${(100 * s.probability).toFixed(0)} %, before ${(100 * s.prior).toFixed(0)} %)`,
      ...s.evidence.slice(0, 4).map((w) => `     ${w.weight > 0 ? 'for' : 'against'}, ${w.strength}: ${w.says}`),
      ...(s.clears ? [`     would clear it: ${s.clears.title.toLowerCase()} (${s.clears.says})`] : [])
    ]),
    ...(contradictions.length ? ['', 'DO NOT FIT', ...contradictions.map((c) => `  ${c.sentence}`)] : []),
    '',
    'WORTH OF THE LOOKS',
    ...checks
      .filter((c) => c.worthIt)
      .slice(0, 6)
      .map((c) => `  ${c.title}, ${c.minutes} min${c.waits ? ` (${c.waits})` : ''}: ${c.because}`),
    '',
    `DECISION: ${options[d.recommended].label}. ${d.because}`,
    `  cost ${cr(d.cost.low)} to ${cr(d.cost.high)} (80 in 100), ${cr(d.cost.mean)} on average; ${d.draws} draws, seed ${d.seed}`,
    `  established ${cr(d.sums.established)}, likely besides ${cr(d.sums.likely)}, reserve ${cr(d.sums.reserve)}`,
    ...(d.overCeiling === undefined
      ? []
      : [`  over the ceiling of ${cr(d.ceiling!)}: ${Math.round(100 * d.overCeiling)} in 100`]),
    ...(d.worthKnown ? [] : ['  what it is worth in running order is not known: no value is put on the options']),
    ...d.options.map(
      (o) => `  ${options[o.id].label}${o.value === undefined ? '' : `: ${cr(o.value)}`}. ${o.closed ?? o.because}`
    ),
    ...d.changes.map((c) => `  would change it: ${c}`)
  ];
}

/** One move as a line: what, how long, why, and what comes first. */
const sayMove = (m: Move, k: number): string =>
  `  ${k + 1}. ${m.title}${m.minutes ? ` (${m.minutes} min)` : ''}${m.waits ? ` [waits] ${m.waits}` : '.'} ${m.because}`;

function asText(a: Assessment, o: AssessOptions): string {
  const { survey } = a.context;
  const figures = figuresSaid(a);
  const task = leakTask(a.context);
  const { identity } = survey.engine;
  const lines = [
    `${identity.tag ?? 'Engine'} · ${[identity.maker, identity.model].filter(Boolean).join(' ')} · ${survey.assessment.kind}`,
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
    for (const f of figures) lines.push(`  ${f.label}${'cylinder' in f ? `, cylinder ${f.cylinder}` : ''}: ${f.says}`);
    if (task && !task.ok) lines.push(`  Leak beyond the best cylinder: ${notIdentifiable[task.because]}`);
  }
  lines.push('', 'WHAT NOW', ...a.moves.slice(0, 8).map(sayMove));
  lines.push('', a.steps.length ? 'JOB LIST' : 'Job list: nothing is demanded.');
  a.steps.forEach((s, k) =>
    lines.push(
      `  ${k + 1}. ${s.title} (${s.minutes} min${s.wait ? ` + ${s.wait} min waiting` : ''}) ${s.state}`,
      `     why: ${s.why.join(' ')}`,
      `     proved by: ${s.proof.text}`
    )
  );
  lines.push(...adviceLines(a, o.draws), '');
  lines.push(
    a.ready
      ? 'Ready for service.'
      : `Not ready: ${a.gates
          .filter((g) => !g.passes)
          .map((g) => g.title)
          .join(', ')}.`
  );
  return lines.join('\n');
}
