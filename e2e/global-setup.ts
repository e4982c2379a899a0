import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Server } from './server.ts';

/** Each worker takes the next port after this one. */
export const firstPort = Number(process.env.E2E_PORT ?? 4319);

/** The heading of an engine in the yard: its tag, with a link to its assessment. */
const tagLink = /href="(\/surveys\/[0-9a-f-]+)">([^<]+)<\/a>/g;

/** The directory of the seeded demo yard that every spec gets a copy of. */
export const template = (): string => {
  const directory = process.env.E2E_TEMPLATE;
  if (!directory) throw new Error('The demo yard was not seeded: the global setup did not run.');
  return directory;
};

/** Where the assessment of a demo engine is, by its tag; nothing for an engine that a spec has taken in. */
export const addressOf = (tag: string): string | undefined =>
  (JSON.parse(process.env.E2E_ADDRESSES ?? '[]') as [string, string][]).find(([t]) => t === tag)?.[1];

/** Seeds the demo yard once, and reads there where its engines are: a server that is asked for its yard judges every engine. */
export default async function setup(): Promise<() => void> {
  const directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-e2e-template-'));
  process.env.E2E_TEMPLATE = directory;
  const seeded = spawnSync('node_modules/.bin/tsx', ['demo/seed-cli.ts'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    shell: process.platform === 'win32',
    env: { ...process.env, INDAGA_DATA: directory, INDAGA_DEMO: '1' }
  });
  if (seeded.status !== 0) throw new Error('The demo yard could not be seeded.');
  const server = new Server(firstPort, directory);
  await server.start();
  const engines: [string, string][] = [];
  for (const page of [1, 2]) {
    const yard = await (await fetch(`${server.url}/?page=${page}`)).text();
    engines.push(...[...yard.matchAll(tagLink)].map(([, href = '', tag = '']): [string, string] => [tag, href]));
  }
  await server.stop();
  process.env.E2E_ADDRESSES = JSON.stringify(engines);
  return () => fs.rmSync(directory, { recursive: true, force: true });
}
