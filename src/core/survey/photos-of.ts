import type { SurveyFile } from '../record/survey-file.ts';
import { standing } from '../record/current.ts';
import { allItems } from '../stations/items.ts';

/** The photographs that a survey names, each once, in the order they stand in it: those of readings and those of the tray. */
export function photosOf(survey: SurveyFile): string[] {
  const read = standing(survey).flatMap((r) =>
    allItems[r.what]?.kind === 'photo' && typeof r.value === 'string' ? [r.value] : []
  );
  const tray = (survey.tray ?? []).flatMap((p) => (p.photo && !p.withdrawn ? [p.photo] : []));
  return [...new Set([...read, ...tray])];
}
