import type { SurveyFile } from '../record/survey-file.ts';
import { standing } from '../record/current.ts';
import { allItems } from '../stations/items.ts';
import { partSaid, trayOf } from '../tray/tray.ts';

export interface NamedPhoto {
  readonly photo: string;
  /** What it shows: the item it was taken for, or the part of the tray. */
  readonly label: string;
  readonly at: string;
}

/** The photographs of a survey with what each shows, those of readings first, then those of the tray. */
export function namedPhotos(survey: SurveyFile): NamedPhoto[] {
  const read = standing(survey).flatMap((r): NamedPhoto[] =>
    allItems[r.what]?.kind === 'photo' && typeof r.value === 'string'
      ? [{ photo: r.value, label: allItems[r.what].label, at: r.at }]
      : []
  );
  const tray = trayOf(survey).flatMap(({ part }): NamedPhoto[] =>
    part.photo ? [{ photo: part.photo, label: partSaid(part), at: part.at }] : []
  );
  return [...read, ...tray];
}

/** The photographs that a survey names, each once. */
export const photosOf = (survey: SurveyFile): string[] => [...new Set(namedPhotos(survey).map((p) => p.photo))];
