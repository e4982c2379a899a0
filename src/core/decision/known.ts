import { asksOf } from '../advice/asks.ts';
import { decisiveChecks } from '../advice/decisive.ts';
import type { Advice } from '../advice/advice.ts';
import { isShortKind } from '../engine/case-kind.ts';
import { curedBy } from '../moves/cured-by.ts';
import type { Position } from '../moves/position.ts';

/**
 * What is still open before anything can be decided, each by its name, those that decide first. Nothing more is looked for on account
 * of a finding whose cause is established and on the job list.
 */
export function openBefore(j: Position): string[] {
  const asks = asksOf(j.context, j.findings);
  const cured = curedBy(j, asks);
  const doubts = asks
    .filter((a) => a.kind !== 'look' || !cured.has(a.finding.id))
    // What is only looked at before it is started or goes back decides nothing.
    .filter(
      (a) =>
        a.kind !== 'job' &&
        a.late !== 'release' &&
        a.late !== 'start' &&
        // A reading in doubt is repeated before anything is decided on it, however mild it looks.
        (a.kind === 'repeat' || a.finding.condition === 'fault' || a.finding.condition === 'cannot-tell')
    )
    .map((a) => a.title);
  const decisive = isShortKind(j.context.survey.assessment.kind) ? [] : decisiveChecks(j);
  return [...new Set([...decisive.map((d) => d.title), ...doubts])];
}

/** Suspects that are likely, and that neither a look nor a job on the list has established yet. */
export const likelyOnly = (advice: Advice, listed: ReadonlySet<string>): string[] =>
  advice.suspects
    .filter(
      (s) =>
        s.raised &&
        !s.mended &&
        !s.artefact &&
        s.chance === 'likely' &&
        s.settling !== 'shows' &&
        !listed.has(s.step ?? '')
    )
    .map((s) => s.label);
