import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import yazl from 'yazl';
import type { SurveyFile } from '../src/core/record/survey-file.ts';
import { readBundle } from '../src/lib/server/files/bundle.ts';
import { keepPhoto, readPhoto } from '../src/lib/server/files/photos.ts';
import { mutated, pick } from './mutate.ts';
import { examples, HANG, often, random, row, temporary } from './tried.ts';

/** Faults in bundles: an assessment with its photographs in one archive. */
const sha = (x: Buffer | string): string => createHash('sha256').update(x).digest('hex');

interface Parts {
  readonly survey: string;
  readonly manifest: unknown;
  readonly files: readonly (readonly [string, Buffer])[];
}
async function archive({ survey, manifest, files }: Parts): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  zip.addBuffer(Buffer.from(JSON.stringify(manifest)), 'manifest.json');
  zip.addBuffer(Buffer.from(survey), 'survey.json');
  for (const [name, bytes] of files) zip.addBuffer(bytes, name, { compress: false });
  zip.end();
  return buffer(zip.outputStream);
}
const manifestOf = (survey: string, photos: readonly (readonly [string, Buffer])[]) => ({
  format: 'indaga-bundle',
  version: 1,
  survey: { file: 'survey.json', sha256: sha(survey) },
  photos: photos.map(([hash, bytes]) => ({ file: `photos/${hash}.jpg`, sha256: hash, bytes: bytes.length }))
});

/** Bytes changed, taken out, doubled or cut off. */
function spoilt(whole: Buffer): Buffer {
  const at = Math.floor(random() * whole.length);
  const n = Math.floor(random() * 64);
  switch (Math.floor(random() * 4)) {
    case 0:
      return whole.subarray(0, at);
    case 1:
      return Buffer.concat([whole.subarray(0, at), whole.subarray(at + n)]);
    case 2:
      return Buffer.concat([whole.subarray(0, at), whole.subarray(Math.max(0, at - n))]);
    default: {
      const copy = Buffer.from(whole);
      for (let k = 0; k <= n; k++) copy[Math.floor(random() * copy.length)] = Math.floor(random() * 256);
      return copy;
    }
  }
}

await row('bundles with photographs, mutated', async () => {
  const directory = temporary('bundles');
  const data = process.env.INDAGA_DATA;
  process.env.INDAGA_DATA = path.join(directory, 'made');
  const photos: (readonly [string, Buffer])[] = [];
  for (const shade of [20, 120, 220]) {
    const kept = await keepPhoto(
      await sharp({ create: { width: 160, height: 120, channels: 3, background: { r: shade, g: 90, b: 60 } } })
        .png()
        .toBuffer()
    );
    if (kept.ok) photos.push([kept.photo, (await readPhoto(kept.photo, 'full'))!]);
  }
  // Where they are read none of the pictures is there yet.
  process.env.INDAGA_DATA = path.join(directory, 'read');
  const withPhotos = (base: SurveyFile): SurveyFile => ({
    ...base,
    readings: [
      ...base.readings,
      ...photos.map(([hash], k) => ({
        id: `photo-${k}`,
        at: base.assessment.startedAt,
        what: 'gear.magnetPhoto' as const,
        value: hash
      }))
    ]
  });
  const whole = await Promise.all(
    examples.slice(0, 4).map(async (e) => {
      const survey = JSON.stringify(withPhotos(e));
      return archive({
        survey,
        manifest: manifestOf(survey, photos),
        files: photos.map(([h, b]) => [`photos/${h}.jpg`, b])
      });
    })
  );
  const file = path.join(directory, 'bundle.zip');
  const known = new Set(photos.map(([hash]) => hash));
  const n = often(2000);
  let [taken, thrown, slowest, half] = [0, 0, 0, 0];
  for (let k = 0; k < n; k++) {
    const way = random();
    let bytes: Buffer;
    if (way < 0.4) bytes = spoilt(pick(random, whole));
    else {
      // Its hashes fit: what is wrong is in the survey, in the manifest or in what lies beside them.
      const survey = JSON.stringify(
        way < 0.7 ? mutated(withPhotos(pick(random, examples)), random) : withPhotos(examples[0]!)
      );
      const files = photos.map(([h, b]) => [`photos/${h}.jpg`, b] as const);
      const manifest: unknown = manifestOf(survey, photos);
      bytes = await archive({
        survey,
        manifest: way >= 0.7 && way < 0.9 ? mutated(manifest as object, random) : manifest,
        files:
          way < 0.9
            ? files
            : [
                ...files.slice(Math.floor(random() * 3)),
                ...(random() < 0.5
                  ? [[pick(random, ['constructor', 'photos/x.jpg', '__proto__']), Buffer.from('x')] as const]
                  : [])
              ]
      }).catch(() => Buffer.from('PK'));
    }
    fs.writeFileSync(file, bytes);
    fs.rmSync(path.join(directory, 'read'), { recursive: true, force: true });
    const from = performance.now();
    try {
      const read = await readBundle(file);
      if (read.ok) taken++;
      else if (fs.existsSync(path.join(directory, 'read', 'photos'))) half++;
    } catch (err) {
      thrown++;
      if (thrown < 4) console.log('   ', (err as Error).stack?.split('\n').slice(0, 3).join(' | '));
    }
    slowest = Math.max(slowest, performance.now() - from);
    const left = fs.existsSync(path.join(directory, 'read', 'photos'))
      ? fs.readdirSync(path.join(directory, 'read', 'photos'), { recursive: true }).map(String)
      : [];
    if (left.some((f) => f.endsWith('.jpg') && ![...known].some((hash) => f.includes(hash)))) half++;
  }
  if (data === undefined) delete process.env.INDAGA_DATA;
  else process.env.INDAGA_DATA = data;
  fs.rmSync(directory, { recursive: true, force: true });
  return {
    tried: n,
    result: `${taken} taken, ${n - taken - thrown} refused with a sentence, ${thrown} thrown, ${half} left something behind, slowest ${Math.round(slowest)} ms`,
    ok: !thrown && !half && slowest < HANG
  };
});
