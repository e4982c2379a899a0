import { byTime, isAfter } from '../units/instant.ts';
import type { Context } from '../findings/context.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { JobEdit } from '../record/work.ts';
import type { StepMark } from '../record/reading.ts';
import type { Step } from './plan.ts';

type Edit = Omit<JobEdit, 'id' | 'at' | 'by' | 'step'>;

/** What was changed by hand about each job: the latest word on each field counts. */
export function editsOf(survey: SurveyFile): Map<string, Edit> {
  const map = new Map<string, Edit>();
  for (const { id: _id, at: _at, by: _by, step, ...edit } of [...(survey.jobs ?? [])].sort(byTime))
    map.set(step, { ...map.get(step), ...edit });
  return map;
}

/** A job with what was changed about it. */
export function changed(s: Step, e: Edit | undefined): Step {
  if (!e) return s;
  const { temporary, station, dropped: _dropped, ...fields } = e;
  return {
    ...s,
    ...(Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as Partial<Step>),
    ...(fields.after ? { follows: fields.after } : {}),
    ...(station ? { proof: { station, text: s.proof.text } } : {}),
    ...(temporary ? { temporary } : {}),
    edited: true
  };
}

/** Jobs added by hand: nothing found asks for them, somebody does. */
export function ownSteps(c: Context, edits: ReadonlyMap<string, Edit>, marks: ReadonlyMap<string, StepMark>): Step[] {
  return [...edits].flatMap(([id, edit]): Step[] => {
    if (!id.startsWith('own-') || edit.dropped || !edit.title) return [];
    const mark = marks.get(id);
    const station = edit.station ?? 'look';
    const proved =
      mark?.state === 'done' &&
      c.survey.readings.some((r) => isAfter(r.at, mark.at) && r.what.startsWith(`${station}.`));
    const plain: Step = {
      id,
      title: edit.title,
      how: '',
      why: ['Added by hand.'],
      found: ['Added by hand.'],
      tools: [],
      parts: [],
      consumables: [],
      minutes: 0,
      wait: 0,
      hazards: [],
      proof: { station, text: 'looked at again afterwards' },
      state: mark?.state === 'done' ? (proved ? 'proved' : 'done') : (mark?.state ?? 'open'),
      after: [],
      follows: [],
      own: true,
      ...(mark?.note ? { note: mark.note } : {}),
      ...(mark ? { markedAt: mark.at } : {}),
      ...(mark?.by ? { markedBy: mark.by } : {})
    };
    return [changed(plain, edit)];
  });
}
