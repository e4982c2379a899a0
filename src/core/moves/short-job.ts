import { isShortKind } from '../engine/case-kind.ts';
import { flowFor } from '../care/flows.ts';
import { flowMark, flowState } from '../care/flow.ts';
import { stationOf } from '../stations/items.ts';
import type { Move } from './move.ts';
import { fromHolds, type Position } from './position.ts';

/** An assessment for one piece of service or for a lay-up: its own steps and holds matter, the rest of the engine is not asked about. */
export const isShortJob = ({ context: c }: Pick<Position, 'context'>): boolean => isShortKind(c.survey.assessment.kind);

/** Jobs that a short job is the inside of: until it is finished, its steps are that work. */
export function ownJobs({ context: c }: Pick<Position, 'context'>): ReadonlySet<string> {
  const flow = flowFor(c.survey);
  return new Set(flow && !flowState(c, flow, []).finished ? flow.jobs : []);
}

/** How many of its next steps are told. */
const AHEAD = 3;

/**
 * 8: the next steps of the short job that the assessment is made for, in their order, what one waits for before it; then that it is
 * finished. Nothing where nobody said which job it is.
 */
export function shortJobMoves(p: Position): Move[] {
  const flow = flowFor(p.context.survey);
  if (!flow) return [];
  const state = flowState(p.context, flow, p.holds);
  if (state.finished) return [];
  const open = state.steps.filter((s) => !s.done);
  const sheet = `flow/${flow.id}`;
  const minutes = Math.max(1, Math.round(flow.minutes / state.steps.length));
  const holds = p.holds.filter((h) => flow.holds.includes(h.id) && !h.override);
  const against = (act: string | undefined) => holds.find((h) => act && (h.blocks as readonly string[]).includes(act));
  const steps = open.slice(0, AHEAD).flatMap(({ step }): Move[] => {
    const held = against(step.act);
    const station = step.items?.[0] && stationOf(step.items[0]);
    return [
      ...(held ? fromHolds([held], 8, held.standing) : []),
      {
        kind: 'continue',
        class: 8,
        id: `flow:${flow.id}:${step.id}`,
        title: step.text.replace(/\.$/, ''),
        ...(station ? { station } : {}),
        ...(step.items ? { items: step.items } : {}),
        sheet,
        hazards: [...new Set([...flow.hazards, ...(step.careful ?? [])])],
        mark: flowMark(flow.id, step.id),
        minutes,
        because: step.because ?? `${flow.title}. ${flow.means}`,
        ...(held ? { waits: `First: ${held.needs.find((n) => !n.done)?.text ?? held.title}.` } : {})
      }
    ];
  });
  if (open.length) return steps;
  return [
    ...fromHolds(holds, 8, false),
    {
      kind: 'decide',
      class: 9,
      id: `flow:${flow.id}`,
      title: `${flow.title}: finished`,
      sheet,
      minutes: 1,
      because: `Every step of it is ticked. ${flow.proof.text.charAt(0).toUpperCase()}${flow.proof.text.slice(1)}.`
    }
  ];
}
