import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { GET } from '../../../routes/photos/[photo]/+server.ts';
import { POST } from '../../../routes/api/photos/+server.ts';

const old = process.env.INDAGA_DATA;
let folder = '';
beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-photo-routes-'));
  process.env.INDAGA_DATA = folder;
});
afterAll(() => {
  if (old === undefined) delete process.env.INDAGA_DATA;
  else process.env.INDAGA_DATA = old;
  fs.rmSync(folder, { recursive: true, force: true });
});
const post = async (body: Buffer): Promise<Response> =>
  POST({ request: new Request('http://x/api/photos', { method: 'POST', body: new Uint8Array(body) }) } as never);
const get = async (photo: string, size = ''): Promise<Response> =>
  GET({ params: { photo }, url: new URL(`http://x/photos/${photo}${size}`) } as never);

describe('photographs over the wire', () => {
  it('go in as bytes and come out as a JPEG that never changes', async () => {
    const png = await sharp({ create: { width: 50, height: 40, channels: 3, background: '#135' } })
      .png()
      .toBuffer();
    const { photo } = (await (await post(png)).json()) as { photo: string };
    const full = await get(photo);
    expect(full.headers.get('content-type')).toBe('image/jpeg');
    expect(full.headers.get('cache-control')).toMatch(/immutable/);
    expect((await sharp(Buffer.from(await full.arrayBuffer())).metadata()).width).toBe(50);
    expect((await get(photo, '?size=thumb')).status).toBe(200);
  });
  it('that cannot be taken are answered with a sentence, and what is not there with 404', async () => {
    const refused = await post(Buffer.from('words'));
    expect(refused.status).toBe(400);
    expect(((await refused.json()) as { message: string }).message).toMatch(/not a picture/);
    await expect(get('f'.repeat(64))).rejects.toMatchObject({ status: 404 });
    await expect(get('..%2findaga.sqlite')).rejects.toMatchObject({ status: 404 });
  });
});
