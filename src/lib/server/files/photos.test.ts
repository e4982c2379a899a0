import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { keepPhoto, readPhoto } from './photos.ts';

const old = process.env.INDAGA_DATA;
let folder = '';
beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-photos-'));
  process.env.INDAGA_DATA = folder;
});
afterAll(() => {
  if (old === undefined) delete process.env.INDAGA_DATA;
  else process.env.INDAGA_DATA = old;
  fs.rmSync(folder, { recursive: true, force: true });
});

/** A red picture, wide, with a place in its EXIF and held on its side (orientation 6). */
const taken = (): Promise<Buffer> =>
  sharp({ create: { width: 900, height: 600, channels: 3, background: '#c03020' } })
    .jpeg()
    .withMetadata({ orientation: 6 })
    .withExifMerge({
      IFD0: { Make: 'Somebody' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1', GPSLongitudeRef: 'E', GPSLongitude: '0/1 7/1 0/1' }
    })
    .toBuffer();

describe('photographs', () => {
  it('are turned upright, stripped of where and with what they were taken, and named by their content', async () => {
    const bytes = await taken();
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    const kept = await keepPhoto(bytes);
    if (!kept.ok) throw new Error(kept.message);
    expect(kept.photo).toMatch(/^[0-9a-f]{64}$/);
    const full = (await readPhoto(kept.photo, 'full'))!;
    const meta = await sharp(full).metadata();
    expect([meta.width, meta.height]).toEqual([600, 900]);
    expect(meta.exif).toBeUndefined();
    expect(full.includes('Somebody')).toBe(false);
    const thumb = await sharp((await readPhoto(kept.photo, 'thumb'))!).metadata();
    expect(thumb.width).toBe(360);
    // The same picture again is the same file.
    expect(await keepPhoto(bytes)).toEqual(kept);
  });
  it('come down to 2400 pixels; a transparent one gets a white ground', async () => {
    const kept = await keepPhoto(
      await sharp({ create: { width: 4000, height: 1000, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } })
        .png()
        .toBuffer()
    );
    if (!kept.ok) throw new Error(kept.message);
    const full = sharp((await readPhoto(kept.photo, 'full'))!);
    expect((await full.metadata()).width).toBe(2400);
    expect((await full.stats()).channels[0]!.min).toBeGreaterThan(250);
  });
  it('refuses a text file whatever it is called, half a picture, other formats, and 40 MB, each with a sentence', async () => {
    const refused = async (bytes: Buffer): Promise<string> => {
      const kept = await keepPhoto(bytes);
      return kept.ok ? 'kept' : `${kept.status} ${kept.message}`;
    };
    // The first box of a HEIC file (ISO/IEC 14496-12): its size, "ftyp", its brand.
    const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(200)]);
    expect(await refused(heic)).toMatch(/HEIC picture.*most compatible/);
    const wide = sharp({ create: { width: 9000, height: 6000, channels: 3, background: '#000' } });
    expect(await refused(await wide.png().toBuffer())).toMatch(/has 54 megapixels; 50 is the most/);
    expect(await refused(Buffer.from('this is not a picture'))).toMatch(/^400 This is not a picture/);
    const whole = await taken();
    expect(await refused(whole.subarray(0, whole.length / 2))).toMatch(/^400/);
    expect(await refused(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))).toMatch(
      /^400 A svg file/
    );
    expect(await refused(Buffer.alloc(40_000_000))).toMatch(/^413 .*20 MB/);
    expect(fs.readdirSync(path.join(folder, 'photos')).length).toBeLessThanOrEqual(2);
  });
  it('are only found by their own name: no path leads out of the folder', async () => {
    for (const name of ['../indaga.sqlite', '..%2f..%2fetc%2fpasswd', 'a/b', '', 'f'.repeat(64)])
      expect(await readPhoto(name, 'full')).toBeUndefined();
  });
});
