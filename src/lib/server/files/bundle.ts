import { createHash } from 'node:crypto';
import fs from 'node:fs/promises';
import type { Readable } from 'node:stream';
import sharp from 'sharp';
import type yauzl from 'yauzl';
import yazl from 'yazl';
import { z } from 'zod';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { photosOf } from '../../../core/survey/photos-of.ts';
import { readSurveyFile } from '../../../core/survey/read-file.ts';
import { keepAsIs, photoFile } from './photos.ts';
import { eachEntry, openZip, streamOf } from './zip.ts';

/**
 * A survey with its photographs in one file, to be sent or kept: a zip archive of `survey.json`, `photos/<sha256>.jpg` and
 * `manifest.json`, which names the hash and the size of everything in it.
 */
export const BUNDLE_FORMAT = 'indaga-bundle';
const VERSION = 1;
const SURVEY = 'survey.json';
const MANIFEST = 'manifest.json';

/** Limits on what is read, bytes unpacked: what a yard makes is far under them, a bomb is far over. */
const MOST = { survey: 20e6, manifest: 1e6, photo: 12e6, photos: 500, all: 400e6 } as const;

/** Pictures looked at side by side: so many are in memory. */
const AT_ONCE = 4;

const hash = z.string().regex(/^[0-9a-f]{64}$/);
const manifestSchema = z.strictObject({
  format: z.literal(BUNDLE_FORMAT),
  version: z.int().gte(1),
  survey: z.strictObject({ file: z.literal(SURVEY), sha256: hash }),
  photos: z.array(z.strictObject({ file: z.string().max(100), sha256: hash, bytes: z.int().gte(0) })).max(MOST.photos),
  /** Photographs that the survey names and that were not there when it was written. */
  missing: z.array(hash).max(5000).optional()
});
type Manifest = z.infer<typeof manifestSchema>;

const sha256 = (bytes: Buffer | string): string => createHash('sha256').update(bytes).digest('hex');
const fileOf = (photo: string): string => `photos/${photo}.jpg`;

/** The bundle of a survey, as it is written: photographs are read from the disk one after the other. */
export async function writeBundle(survey: SurveyFile): Promise<Readable> {
  const text = `${JSON.stringify(survey, null, 2)}\n`;
  const there: Manifest['photos'] = [];
  const missing: string[] = [];
  for (const photo of photosOf(survey).slice(0, MOST.photos)) {
    const stat = await fs.stat(photoFile(photo)).catch(() => undefined);
    if (stat) there.push({ file: fileOf(photo), sha256: photo, bytes: stat.size });
    else missing.push(photo);
  }
  const manifest: Manifest = {
    format: BUNDLE_FORMAT,
    version: VERSION,
    survey: { file: SURVEY, sha256: sha256(text) },
    photos: there,
    ...(missing.length ? { missing } : {})
  };
  const mtime = new Date(survey.assessment.startedAt);
  const zip = new yazl.ZipFile();
  zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), MANIFEST, { mtime });
  zip.addBuffer(Buffer.from(text), SURVEY, { mtime });
  // A photograph is packed already.
  for (const p of there) zip.addFile(photoFile(p.sha256), p.file, { mtime, compress: false });
  zip.end();
  return zip.outputStream as unknown as Readable;
}

export type ReadBundle =
  | { readonly ok: true; readonly survey: SurveyFile; readonly photos: number }
  | { readonly ok: false; readonly path: string; readonly message: string };

class Refused extends Error {
  constructor(
    readonly path: string,
    message: string
  ) {
    super(message);
  }
}

/** The entries of an archive by name; sizes are those that its directory states, and are held to when it is unpacked. */
async function entriesOf(zip: yauzl.ZipFile): Promise<Map<string, yauzl.Entry>> {
  const entries = new Map<string, yauzl.Entry>();
  let sum = 0;
  for await (const entry of eachEntry(zip)) {
    if (entry.fileName.endsWith('/')) continue;
    sum += entry.uncompressedSize;
    if (entries.size >= MOST.photos + 2 || sum > MOST.all)
      throw new Refused('', 'It would unpack to more than any assessment holds; it was not read.');
    if (entries.has(entry.fileName)) throw new Refused(entry.fileName, 'It stands twice in the bundle.');
    entries.set(entry.fileName, entry);
  }
  return entries;
}

/** One entry unpacked, never more than `most` bytes whatever its head says. */
async function unpacked(zip: yauzl.ZipFile, entry: yauzl.Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most) throw new Refused(entry.fileName, 'It is larger than such a file can be.');
  const stream = await streamOf(zip, entry);
  const chunks: Buffer[] = [];
  let sum = 0;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    sum += chunk.length;
    if (sum > most) {
      stream.destroy();
      throw new Refused(entry.fileName, 'It is larger than such a file can be.');
    }
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** A picture that this application made: a JPEG of its size, with nothing in it but the picture. */
async function isOurs(bytes: Buffer): Promise<boolean> {
  try {
    const m = await sharp(bytes, { limitInputPixels: 6e6, failOn: 'error' }).metadata();
    return m.format === 'jpeg' && !m.exif && !m.xmp && !m.iptc && Math.max(m.width, m.height) <= 2400;
  } catch {
    return false;
  }
}

/**
 * Reads a bundle from a file and keeps its photographs; all of it is good, or nothing is taken and the first thing that is wrong is
 * named. Never throws for what is in the file.
 */
export async function readBundle(file: string): Promise<ReadBundle> {
  let zip: yauzl.ZipFile;
  try {
    zip = await openZip(file);
  } catch {
    return { ok: false, path: '', message: 'This is no zip archive, or it was cut off on the way. Fetch it again.' };
  }
  try {
    return await read(zip);
  } catch (e) {
    if (e instanceof Refused) return { ok: false, path: e.path, message: e.message };
    return { ok: false, path: '', message: 'The archive is damaged: it could not be unpacked to its end.' };
  } finally {
    zip.close();
  }
}

async function read(zip: yauzl.ZipFile): Promise<ReadBundle> {
  const entries = await entriesOf(zip);
  const need = (name: string): yauzl.Entry => {
    const entry = entries.get(name);
    if (!entry) throw new Refused(name, 'It is not in the bundle.');
    return entry;
  };
  let manifest: Manifest;
  try {
    const text = (await unpacked(zip, need(MANIFEST), MOST.manifest)).toString('utf8');
    const parsed = manifestSchema.safeParse(JSON.parse(text));
    if (!parsed.success) throw new Refused(MANIFEST, 'It is not the manifest of a bundle.');
    manifest = parsed.data;
  } catch (e) {
    throw e instanceof Refused ? e : new Refused(MANIFEST, 'It is not the manifest of a bundle.');
  }
  if (manifest.version > VERSION)
    throw new Refused(
      MANIFEST,
      `The bundle is of version ${manifest.version}, newer than this application reads. Update first.`
    );
  const surveyBytes = await unpacked(zip, need(SURVEY), MOST.survey);
  if (sha256(surveyBytes) !== manifest.survey.sha256)
    throw new Refused(SURVEY, 'It was changed after the bundle was written: its hash is another.');
  const result = readSurveyFile(surveyBytes.toString('utf8'));
  if (!result.ok) return { ok: false, path: `${SURVEY}: ${result.path}`, message: result.message };

  const named = new Set(photosOf(result.survey));
  const listed = new Set(manifest.photos.map((p) => p.file));
  for (const name of entries.keys())
    if (name !== MANIFEST && name !== SURVEY && !listed.has(name))
      throw new Refused(name, 'It stands in the archive and not in its manifest.');
  for (const p of manifest.photos) {
    if (p.file !== fileOf(p.sha256) || !named.has(p.sha256))
      throw new Refused(p.file, 'No reading of the survey belongs to this picture.');
    need(p.file);
  }
  // Looked through to the last before the first is kept: a bundle is taken whole or not at all.
  for (const keep of [false, true])
    for (let k = 0; k < manifest.photos.length; k += AT_ONCE)
      await Promise.all(
        manifest.photos.slice(k, k + AT_ONCE).map(async (p) => {
          const bytes = await unpacked(zip, need(p.file), MOST.photo);
          if (sha256(bytes) !== p.sha256)
            throw new Refused(p.file, 'The picture was changed after the bundle was written: its hash is another.');
          if (!keep && !(await isOurs(bytes)))
            throw new Refused(p.file, 'This is no photograph that this application wrote.');
          if (keep) await keepAsIs(p.sha256, bytes);
        })
      );
  return { ok: true, survey: result.survey, photos: manifest.photos.length };
}
