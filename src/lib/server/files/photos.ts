import { createHash, randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { dataDirectory } from '../db/open.ts';
import { photoPath } from './photo-path.ts';
import { largestPhoto } from '../../photo-limits.ts';

const LONGEST = 2400;
const THUMBNAIL = 360;
const READ = new Set(['jpeg', 'png', 'webp']);
const NAME = /^[0-9a-f]{64}$/;

export type Kept =
  | { readonly ok: true; readonly photo: string }
  | { readonly ok: false; readonly status: 413 | 400; readonly message: string };

const fileOf = (photo: string, size: 'full' | 'thumb'): string => photoPath(dataDirectory(), photo, size);

/** Written whole and then renamed, so that a pulled plug leaves no half picture. */
async function write(file: string, bytes: Buffer): Promise<void> {
  await fs.mkdir(path.dirname(file), { recursive: true });
  const part = `${file}.${randomUUID()}.part`;
  try {
    await fs.writeFile(part, bytes, { flush: true });
    await fs.rename(part, file);
  } catch (err) {
    await fs.rm(part, { force: true }).catch(() => undefined);
    throw err;
  }
}

/** A phone's largest picture; more would take hundreds of megabytes to open. */
const MOST_PIXELS = 50e6;
const read = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const;
const bad = (message: string): Kept => ({ ok: false, status: 400, message });

/** HEIF files by their first box (ISO/IEC 14496-12): what phones call HEIC. */
const isHeif = (bytes: Buffer): boolean =>
  bytes.toString('latin1', 4, 8) === 'ftyp' &&
  /^(hei[cfmsx]|hev[cmsx]|mif1|msf1)/.test(bytes.toString('latin1', 8, 12));

/** Pictures are opened one after the other: each takes its tenth of a gigabyte for a moment. */
let last: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work);
  last = mine.catch(() => undefined);
  return mine;
}

/**
 * Keeps a photograph: turned the way it was held, made a JPEG of at most 2400 pixels, everything else in the file
 * (place, camera, owner) left behind, and a thumbnail beside it. It is named by the SHA-256 of what is kept; the name it
 * came with is never used. What is no picture, or too large, is refused with a sentence. A disk that does not take it throws:
 * that is no verdict on the picture.
 */
export async function keepPhoto(bytes: Buffer): Promise<Kept> {
  if (bytes.length > largestPhoto)
    return { ok: false, status: 413, message: 'This photograph is larger than 20 MB. Take it smaller, or crop it.' };
  if (isHeif(bytes))
    return bad(
      'This is a HEIC picture, which cannot be opened here. Set the camera to “most compatible” (JPEG), or share it as JPEG.'
    );
  const made = await inTurn(() => shrunk(bytes));
  if ('ok' in made) return made;
  const photo = createHash('sha256').update(made.full).digest('hex');
  await write(fileOf(photo, 'thumb'), made.thumb);
  await write(fileOf(photo, 'full'), made.full);
  return { ok: true, photo };
}

async function shrunk(bytes: Buffer): Promise<Kept | { readonly full: Buffer; readonly thumb: Buffer }> {
  try {
    const { format, width, height } = await sharp(bytes, { ...read, limitInputPixels: false }).metadata();
    if (!READ.has(format)) return bad(`A ${format} file cannot be kept here. Use JPEG, PNG or WebP.`);
    if (width * height > MOST_PIXELS)
      return bad(
        `This picture has ${Math.round((width * height) / 1e6)} megapixels; 50 is the most. Take it smaller, or crop it.`
      );
    const full = await sharp(bytes, read)
      .rotate()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer();
    const thumb = await sharp(full).resize(THUMBNAIL, THUMBNAIL, { fit: 'cover' }).jpeg({ quality: 78 }).toBuffer();
    return { full, thumb };
  } catch {
    return bad('This is not a picture that can be opened, whatever its name says. Use JPEG, PNG or WebP.');
  }
}

/** Where the whole picture of a kept photograph lies. */
export const photoFile = (photo: string): string => fileOf(photo, 'full');

/**
 * Keeps a photograph that was written by this application before, byte for byte under the name it has, and makes its thumbnail. The
 * caller has seen that its hash is its name and that it is a picture.
 */
export async function keepAsIs(photo: string, bytes: Buffer): Promise<void> {
  if (!NAME.test(photo)) throw new RangeError('a photograph is named by its hash');
  const thumb = await sharp(bytes).resize(THUMBNAIL, THUMBNAIL, { fit: 'cover' }).jpeg({ quality: 78 }).toBuffer();
  await write(fileOf(photo, 'thumb'), thumb);
  await write(fileOf(photo, 'full'), bytes);
}

/** The bytes of a kept photograph; nothing where there is none of that name. */
export async function readPhoto(photo: string, size: 'full' | 'thumb'): Promise<Buffer | undefined> {
  if (!NAME.test(photo)) return undefined;
  return fs.readFile(fileOf(photo, size)).catch(() => undefined);
}
