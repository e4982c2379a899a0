import { createHash, randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { dataDirectory } from '../db/open.ts';
import { largestPhoto } from '../../photo-limits.ts';

const LONGEST = 2400;
const THUMBNAIL = 360;
const READ = new Set(['jpeg', 'png', 'webp']);
const NAME = /^[0-9a-f]{64}$/;

export type Kept =
  | { readonly ok: true; readonly photo: string }
  | { readonly ok: false; readonly status: 400 | 413; readonly message: string };

const folder = (photo: string): string => path.join(dataDirectory(), 'photos', photo.slice(0, 2));
const fileOf = (photo: string, size: 'full' | 'thumb'): string =>
  path.join(folder(photo), `${photo}${size === 'thumb' ? '.thumb' : ''}.jpg`);

/** Written whole and then renamed, so that a pulled plug leaves no half picture. */
async function write(file: string, bytes: Buffer): Promise<void> {
  await fs.mkdir(path.dirname(file), { recursive: true });
  const part = `${file}.${randomUUID()}.part`;
  await fs.writeFile(part, bytes, { flush: true });
  await fs.rename(part, file);
}

/**
 * Keeps a photograph: turned the way it was held, made a JPEG of at most 2400 pixels, everything else in the file
 * (place, camera, owner) left behind, and a thumbnail beside it. It is named by the SHA-256 of what is kept; the name it
 * came with is never used. What is no picture, or too large, is refused with a sentence.
 */
export async function keepPhoto(bytes: Buffer): Promise<Kept> {
  if (bytes.length > largestPhoto)
    return { ok: false, status: 413, message: 'This photograph is larger than 20 MB. Take it smaller, or crop it.' };
  try {
    const read = { limitInputPixels: 120e6, failOn: 'error' } as const;
    const { format } = await sharp(bytes, read).metadata();
    if (!READ.has(format))
      return { ok: false, status: 400, message: `A ${format} file cannot be kept here. Use JPEG, PNG or WebP.` };
    const full = await sharp(bytes, read)
      .rotate()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer();
    const photo = createHash('sha256').update(full).digest('hex');
    const thumb = await sharp(full).resize(THUMBNAIL, THUMBNAIL, { fit: 'cover' }).jpeg({ quality: 78 }).toBuffer();
    await write(fileOf(photo, 'thumb'), thumb);
    await write(fileOf(photo, 'full'), full);
    return { ok: true, photo };
  } catch {
    return {
      ok: false,
      status: 400,
      message: 'This is not a picture that can be opened, whatever its name says. Use JPEG, PNG or WebP.'
    };
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
