import sharp from 'sharp';
import { namedPhotos } from '../../../core/survey/photos-of.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { isAfter } from '../../../core/units/instant.ts';
import { readPhoto } from '../files/photos.ts';

export interface Picture {
  readonly label: string;
  readonly at: string;
  /** As a data address: a JPEG small enough for a page of six. */
  readonly image: string;
}

/** So many are printed; the rest is named as being in the bundle. */
const MOST = 24;
const WIDTH = 700;

/** The photographs of a survey for paper, as they stood at a moment where one is given, and how many more there are. */
export async function picturesFor(
  survey: SurveyFile,
  until?: string
): Promise<{ readonly pictures: readonly Picture[]; readonly more: number }> {
  const all = namedPhotos(survey).filter((p) => until === undefined || !isAfter(p.at, until));
  const pictures: Picture[] = [];
  for (const p of all.slice(0, MOST)) {
    const bytes = await readPhoto(p.photo, 'full');
    if (!bytes) continue;
    const small = await sharp(bytes)
      .resize(WIDTH, WIDTH, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 76 });
    pictures.push({
      label: p.label,
      at: p.at,
      image: `data:image/jpeg;base64,${(await small.toBuffer()).toString('base64')}`
    });
  }
  return { pictures, more: Math.max(0, all.length - MOST) };
}
