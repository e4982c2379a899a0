import type { SurveyFile } from '../record/survey-file.ts';
import { isAfter, latestOf, type Instant } from '../units/instant.ts';
import type { Step } from './plan.ts';

/** Work over this is looked over once more before the engine goes back, min (C: two hours). */
export const LONG_WORK = 120;
/** So long after the work the same eyes see again what they have missed, h (M: the next morning). */
export const SLEPT = 8;

/** The mark by which a job counts as looked over. */
export const secondLookMark = (job: string): string => `second-look.${job}`;

/** Work that is looked over once more: by another pair of eyes, or the next morning. */
export interface SecondLook {
  readonly job: string;
  readonly title: string;
  /** Why: it was long, or done late. */
  readonly because: 'long' | 'late';
  readonly doneAt: Instant;
  readonly doneBy?: string;
  /** By whom and when it was looked over so that it counts. */
  readonly looked?: { readonly at: Instant; readonly by?: string };
  /** Looked over by the same person too soon: it does not count yet. */
  readonly tooSoon?: true;
}

/**
 * Every job that was done and took over two hours, or was marked as done late or interrupted, with the second look at it. A look counts
 * when somebody else made it, or when a night lies between.
 */
export function secondLooks(survey: SurveyFile, steps: readonly Step[]): SecondLook[] {
  const marks = survey.steps ?? [];
  return steps.flatMap((s): SecondLook[] => {
    if ((s.state !== 'done' && s.state !== 'proved') || !s.markedAt) return [];
    const late = marks.some((m) => m.step === s.id && m.at === s.markedAt && m.state === 'done' && m.late);
    if (!late && s.minutes <= LONG_WORK) return [];
    const looks = marks.filter(
      (m) => m.step === secondLookMark(s.id) && m.state === 'done' && isAfter(m.at, s.markedAt)
    );
    const counts = looks.filter((m) => {
      const another = m.by !== undefined && s.markedBy !== undefined && m.by !== s.markedBy;
      return another || Date.parse(m.at) - Date.parse(s.markedAt!) >= SLEPT * 3_600_000;
    });
    const looked = latestOf(counts);
    return [
      {
        job: s.id,
        title: s.title,
        because: late ? 'late' : 'long',
        doneAt: s.markedAt,
        ...(s.markedBy ? { doneBy: s.markedBy } : {}),
        ...(looked ? { looked: { at: looked.at, ...(looked.by ? { by: looked.by } : {}) } } : {}),
        ...(!looked && looks.length ? { tooSoon: true } : {})
      }
    ];
  });
}

/** What is still to be looked over, in a sentence each. */
export const saySecondLook = (l: SecondLook): string =>
  l.tooSoon
    ? `${l.title}: looked over by the same eyes the same day; another pair of them, or ${SLEPT} hours after the work.`
    : `${l.title}: ${l.because === 'late' ? 'done late or interrupted' : 'more than two hours’ work'}; another pair of eyes looks it over, or the same ones the next morning.`;
