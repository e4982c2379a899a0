import sharp from 'sharp';
import { randomUUID } from 'node:crypto';
import { keepPhoto } from '../src/lib/server/files/photos.ts';
import { appendBatch } from '../src/lib/server/store/append.ts';
import { openSurveys, loadSurvey } from '../src/lib/server/store/surveys.ts';
import type { ItemId } from '../src/core/stations/items.ts';

/** Drawn stand-ins for photographs, plainly labelled as such; the yard has no real ones. */
const drawings: readonly { tag: string; what: ItemId; title: string; body: string }[] = [
  {
    tag: 'Bittern',
    what: 'look.platePhoto',
    title: 'identity plate',
    body: '<rect x="90" y="120" width="420" height="190" rx="8"/><path d="M120 170H400M120 210H470M120 250H350"/><circle cx="108" cy="138" r="6"/><circle cx="492" cy="292" r="6"/>'
  },
  {
    tag: 'Bittern',
    what: 'look.cowlPhoto',
    title: 'nest under the cowl',
    body: '<path d="M120 300q180-190 360 0z"/><path d="M150 290l60-80M210 300l70-110M280 300l30-120M340 300l-10-110M400 300l-60-90M180 260l140-30M240 230l160 30"/>'
  },
  {
    tag: 'Bittern',
    what: 'look.wiringPhoto',
    title: 'chewed stop wire',
    body: '<path d="M70 190C180 120 240 260 300 200M340 210C400 150 460 260 540 200" stroke-width="12"/><path d="M300 200l14-10M302 204l18 2M340 210l-16-8M338 214l-18 6" stroke-width="3"/>'
  },
  {
    tag: 'Gannet',
    what: 'look.propellerPhoto',
    title: 'nicked blade',
    body: '<circle cx="300" cy="215" r="40"/><path d="M290 175C250 80 380 70 360 150C350 180 330 190 320 182M340 220C440 250 430 350 350 310M262 235C190 330 130 250 200 215l14 10 8-14 12 12 30-8"/>'
  }
];

const picture = (title: string, body: string): Buffer =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 600 420" width="1200" height="840">
<rect width="600" height="420" fill="#e4eef0"/>
<g fill="none" stroke="#14273f" stroke-width="5" stroke-linejoin="round" stroke-linecap="round">${body}</g>
<text x="300" y="48" font-family="sans-serif" font-size="26" text-anchor="middle" fill="#14273f">drawn placeholder: ${title}</text>
<text x="300" y="396" font-family="sans-serif" font-size="22" text-anchor="middle" fill="#14273f">not a photograph</text>
</svg>`);

/** Adds the drawn placeholders to the demo yard, through the same door as real photographs. */
export async function seedPhotos(): Promise<void> {
  for (const survey of openSurveys()) {
    const loaded = loadSurvey(survey.id)!;
    for (const d of drawings.filter((x) => x.tag === loaded.survey.engine.identity.tag)) {
      const kept = await keepPhoto(await sharp(picture(d.title, d.body)).jpeg().toBuffer());
      if (!kept.ok) throw new Error(kept.message);
      const at = new Date(Date.parse(loaded.survey.readings.at(-1)!.at) + 60_000).toISOString();
      const body = { id: randomUUID(), at, by: 'Ines', what: d.what, value: kept.photo };
      const result = appendBatch(survey.id, {
        since: 0,
        factSince: 0,
        entries: [{ type: 'reading', body }],
        facts: []
      });
      if (result?.refused.length) throw new Error(result.refused[0]!.message);
    }
  }
}
