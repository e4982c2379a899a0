import { assess } from '../../src/core/assess.ts';
import { decide } from '../../src/core/decision/decide.ts';
import { ownersQuestion } from '../../src/core/decision/question.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';

const p = (x: number): string => x.toFixed(2);
const sum = (x: number): number => Math.round(x / 10) * 10;
const of = (cylinder: number | undefined): string => (cylinder === undefined ? '' : ` ${cylinder}`);
const some = (label: string, list: readonly string[]): string[] =>
  list.length ? [`${label}: ${list.join(' · ')}`] : [];

/** Draws of the cost; few, and always the same ones. */
const DRAWS = 400;

/**
 * What is advised of a survey, in a few lines that are read side by side when something changes: checks, findings, holds,
 * suspects, moves, jobs, gates, decision. Sentences are left out where an id says it.
 */
export function linesOf(survey: SurveyFile, now: Date): string[] {
  const a = assess(survey, now, 'metric');
  const d = decide(a, DRAWS, 0.42);
  const question = ownersQuestion(a, d, a.advice, a.steps, now);
  const { established, likely, reserve } = d.sums;
  return [
    ...some(
      'checks',
      a.stations.filter((s) => s.condition !== 'not-looked-at').map((s) => `${s.id} ${s.condition}`)
    ),
    ...some(
      'findings',
      a.findings.map((f) => `${f.id} ${f.condition}`)
    ),
    ...some(
      'holds',
      a.holds.map(
        (h) =>
          `${h.id} ${h.standing ? 'standing' : h.override ? 'overridden' : ''} ${h.needs.filter((n) => n.done).length}/${h.needs.length} against ${h.blocks.join(', ')}`
      )
    ),
    ...some(
      'suspects',
      a.advice.suspects.slice(0, 8).map((s) => `${s.id} ${p(s.probability)} ${s.chance}`)
    ),
    ...some(
      'looks',
      a.advice.checks.slice(0, 4).map((c) => `${c.id} turns ${p(c.turns)} ends ${p(c.ends)}`)
    ),
    ...a.moves
      .slice(0, 5)
      .map(
        (m) => `move ${m.class} ${m.kind} ${m.id}${of(m.cylinder)}, ${m.minutes} min${m.waits ? `; ${m.waits}` : ''}`
      ),
    ...a.steps.map(
      (s) =>
        `job ${s.id} ${s.state}${s.cylinders ? ` of ${s.cylinders.join(', ')}` : ''}, ${s.minutes} + ${s.wait} min, ${s.parts.length} parts` +
        `${s.after.length ? `, after ${s.after.join(', ')}` : ''}${s.failed ? `, failed by ${s.failed}` : ''}${s.by ? `, ${s.by}` : ''}, raised by ${s.why.length}`
    ),
    ...some(
      'gates shut',
      a.gates.filter((g) => !g.passes).map((g) => g.id)
    ),
    `decision ${d.recommended}: established ${sum(established)}, likely ${sum(likely)}, reserve ${sum(reserve)}, ${sum(d.cost.low)} to ${sum(d.cost.high)} cr`,
    ...some(
      'closed',
      d.options.flatMap((o) => (o.closed ? [o.id] : []))
    ),
    ...some('open', d.open),
    ...some('would change it', d.changes),
    ...some(
      'ways',
      d.ways.map((w) => `${w.id} ${sum(w.cost.mean)} cr${w.closed ? ' closed' : ''}${w.cheapest ? ' cheapest' : ''}`)
    ),
    `owner: ${question}`
  ];
}
