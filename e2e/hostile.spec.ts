import fs from 'node:fs';
import { hostile, names } from '../test/laws/hostile.ts';
import { expect, test } from './test.ts';

test.use({ spec: 'hostile' });

test('a yard with a hundred hostile survey files answers every page', async ({ request, baseURL }) => {
  const files = fs.readdirSync('docs/examples').filter((f) => f.endsWith('.json'));
  const survey = (file: string) => JSON.parse(fs.readFileSync(`docs/examples/${file}`, 'utf8'));
  const opened = new Set<string>();
  for (let k = 0; k < 100; k++) {
    const bad = hostile(survey(files[k % files.length]!), names[k % names.length]!);
    const response = await request.post('/import', {
      headers: { origin: baseURL! },
      maxRedirects: 0,
      multipart: { file: { name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(bad)) } }
    });
    const to = response.headers().location ?? /\/surveys\/[0-9a-f-]+/.exec(await response.text())?.[0];
    expect(to, `import ${k}`).toMatch(/^\/surveys\//);
    if (k < files.length) opened.add(to!.split('/').slice(0, 3).join('/'));
  }
  const pages = [
    '/',
    '/?page=2',
    '/?page=6',
    '/?q=a',
    '/bench?minutes=30',
    '/bench/settings',
    '/bench/tonight',
    '/parts'
  ];
  pages.push('/parts/order.csv', '/care', '/search?q=constructor', '/reference/knowledge', '/health');
  const inside = [
    'look',
    'run',
    'compression',
    'suspects',
    'jobs',
    'tray',
    'ready',
    'record',
    'labels',
    'file.json',
    'drowned'
  ];
  for (const s of opened) pages.push(...inside.map((p) => `${s}/${p}`));
  for (const page of pages) expect([page, (await request.get(page)).status()]).toEqual([page, 200]);
  for (const page of ['/surveys/constructor/look', '/engines/__proto__', '/reference/constructor'])
    expect([page, (await request.get(page)).status()]).toEqual([page, 404]);
});
