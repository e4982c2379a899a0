import { createHash } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import yazl from 'yazl';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { photosOf } from '../../../core/survey/photos-of.ts';
import { readBundle, writeBundle } from './bundle.ts';
import { keepPhoto, photoFile, readPhoto } from './photos.ts';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-bundle-'));
const before = process.env.INDAGA_DATA;
beforeAll(() => vi.stubEnv('INDAGA_DATA', folder));
afterAll(() => {
  vi.unstubAllEnvs();
  expect(process.env.INDAGA_DATA).toBe(before);
  fs.rmSync(folder, { recursive: true, force: true });
});

const picture = (shade: number): Promise<Buffer> =>
  sharp({ create: { width: 200, height: 150, channels: 3, background: { r: shade, g: 90, b: 60 } } })
    .png()
    .toBuffer();
async function survey(): Promise<SurveyFile> {
  const b = new Bench({ strokes: 'two', cylinders: 2 });
  for (const shade of [10, 200]) {
    const kept = await keepPhoto(await picture(shade));
    if (kept.ok) b.read('gear.magnetPhoto', kept.photo);
  }
  return b.survey;
}
const sha = (x: Buffer | string): string => createHash('sha256').update(x).digest('hex');
const laid = (bytes: Buffer): string => {
  const file = path.join(folder, `${sha(bytes)}.zip`);
  fs.writeFileSync(file, bytes);
  return file;
};
type Files = Record<string, Buffer | string>;
/** A bundle's files with the manifest that belongs to them, changed as a test wants it. */
async function filesOf(s: SurveyFile): Promise<Files> {
  const text = JSON.stringify(s);
  const photos = await Promise.all(photosOf(s).map(async (p) => [p, (await readPhoto(p, 'full'))!] as const));
  return {
    'manifest.json': JSON.stringify({
      format: 'indaga-bundle',
      version: 1,
      survey: { file: 'survey.json', sha256: sha(text) },
      photos: photos.map(([p, b]) => ({ file: `photos/${p}.jpg`, sha256: p, bytes: b.length }))
    }),
    'survey.json': text,
    ...Object.fromEntries(photos.map(([p, b]) => [`photos/${p}.jpg`, b]))
  };
}
async function zipped(files: Files): Promise<string> {
  const zip = new yazl.ZipFile();
  for (const [name, body] of Object.entries(files)) zip.addBuffer(Buffer.from(body), name, { compressionLevel: 1 });
  zip.end();
  return laid(await buffer(zip.outputStream));
}
const refused = async (files: Files): Promise<string> => {
  const r = await readBundle(await zipped(files));
  return r.ok ? 'taken' : `${r.path} | ${r.message}`;
};

describe('a bundle', () => {
  it('goes out and comes in the same, pictures and thumbnails too, on a machine that has none of them', async () => {
    const s = await survey();
    const file = laid(await buffer(await writeBundle(s)));
    const originals = await Promise.all(photosOf(s).map((p) => readPhoto(p, 'full')));
    fs.rmSync(path.join(folder, 'photos'), { recursive: true });
    const r = await readBundle(file);
    expect(r).toMatchObject({ ok: true, photos: 2 });
    expect(r.ok && r.survey).toEqual(s);
    for (const [k, p] of photosOf(s).entries()) {
      expect(await readPhoto(p, 'full')).toEqual(originals[k]);
      expect(await readPhoto(p, 'thumb')).toBeDefined();
    }
  });
  it('says in its manifest which pictures were not there when it was written, and is read all the same', async () => {
    const s = await survey();
    fs.rmSync(photoFile(photosOf(s)[0]!));
    expect(await readBundle(laid(await buffer(await writeBundle(s))))).toMatchObject({ ok: true, photos: 1 });
  });
  it('is refused with the name of the picture that is missing or was altered, and nothing of it is kept', async () => {
    const s = await survey();
    const files = await filesOf(s);
    const [first, second] = photosOf(s).map((p) => `photos/${p}.jpg`);
    const { [first!]: _gone, ...without } = files;
    fs.rmSync(path.join(folder, 'photos'), { recursive: true });
    expect(await refused(without)).toBe(`${first} | It is not in the bundle.`);
    const altered = Buffer.from(files[second!] as Buffer);
    altered[altered.length - 20]! ^= 1;
    expect(await refused({ ...files, [second!]: altered })).toMatch(new RegExp(`^${second} .*was changed`));
    expect(fs.existsSync(path.join(folder, 'photos'))).toBe(false);
  });
  it('is refused when its survey was altered, and when a file stands in it that its manifest does not name', async () => {
    const files = await filesOf(await survey());
    expect(await refused({ ...files, 'survey.json': `${files['survey.json']} ` })).toMatch(
      /^survey.json .*was changed/
    );
    expect(await refused({ ...files, 'photos/more.jpg': 'x' })).toMatch(/^photos\/more.jpg .*not in its manifest/);
  });
  it('is refused when a picture is none of ours, whatever its hash', async () => {
    const s = await survey();
    const body = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>');
    const as = sha(body);
    const text = JSON.stringify({ ...s, readings: [{ ...s.readings[0]!, value: as }] });
    const manifest = {
      format: 'indaga-bundle',
      version: 1,
      survey: { file: 'survey.json', sha256: sha(text) },
      photos: [{ file: `photos/${as}.jpg`, sha256: as, bytes: body.length }]
    };
    expect(
      await refused({ 'manifest.json': JSON.stringify(manifest), 'survey.json': text, [`photos/${as}.jpg`]: body })
    ).toMatch(/no photograph that this application wrote/);
  });
  it('is refused when it carries a picture that no reading belongs to', async () => {
    const s = await survey();
    const files = await filesOf(s);
    const text = JSON.stringify({ ...s, readings: [] });
    const manifest = {
      ...JSON.parse(String(files['manifest.json'])),
      survey: { file: 'survey.json', sha256: sha(text) }
    };
    expect(await refused({ ...files, 'survey.json': text, 'manifest.json': JSON.stringify(manifest) })).toMatch(
      /No reading of the survey belongs/
    );
  });
  it('of a newer version asks for an update', async () => {
    const files = await filesOf(await survey());
    const manifest = { ...JSON.parse(String(files['manifest.json'])), version: 2 };
    expect(await refused({ ...files, 'manifest.json': JSON.stringify(manifest) })).toMatch(
      /newer than this application/
    );
  });
  it('that unpacks to more than any assessment holds is not unpacked', async () => {
    const files = await filesOf(await survey());
    const zeros = Buffer.alloc(60e6);
    const file = await zipped({ ...files, 'manifest.json': zeros });
    expect(fs.statSync(file).size).toBeLessThan(1e6);
    expect(await readBundle(file)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/larger than such a file/)
    });
    const many = await zipped(Object.fromEntries([...Array(9).keys()].map((k) => [`photos/${k}.jpg`, zeros])));
    expect(await readBundle(many)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/more than any assessment/)
    });
  });
  it('that is no archive, or was cut off, is said to be that', async () => {
    expect(await readBundle(laid(Buffer.from('PK and nothing else')))).toMatchObject({
      ok: false,
      message: expect.stringMatching(/no zip archive/)
    });
    const whole = fs.readFileSync(await zipped(await filesOf(await survey())));
    expect(await readBundle(laid(whole.subarray(0, whole.length / 2)))).toMatchObject({ ok: false });
    expect(await readBundle(laid(whole.subarray(0, whole.length - 1)))).toMatchObject({ ok: false });
  });
  it('names that leave the folder, and names of a plain object, open nothing', async () => {
    const files = await filesOf(await survey());
    expect(await refused({ ...files, constructor: 'x' })).toMatch(/^constructor .*not in its manifest/);
    const evil = fs.readFileSync(await zipped({ ...files, 'aa/aa/evil.jpg': 'x' }));
    const at = laid(Buffer.from(evil.toString('latin1').replaceAll('aa/aa/evil.jpg', '../../evil.jpg'), 'latin1'));
    expect(await readBundle(at)).toMatchObject({ ok: false });
  });
  it('cut or altered anywhere is taken whole and unaltered, or refused: never a throw, never half', async () => {
    const s = await survey();
    const whole = fs.readFileSync(await zipped(await filesOf(s)));
    for (let k = 0; k < 120; k++) {
      const mutant = Buffer.from(whole);
      mutant[(k * 7919) % whole.length]! ^= 1 << (k % 8);
      const r = await readBundle(laid(mutant));
      if (r.ok) expect(r.survey).toEqual(s);
      else expect(r.message).toMatch(/\.$/);
    }
  });
});
