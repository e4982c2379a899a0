// What `npm run bench` measures of the yard, and how it waits and takes times.
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { bin, run, start } from '../scripts/tools.mjs';

export const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

export async function time(url) {
  const from = performance.now();
  await (await fetch(url)).text();
  return performance.now() - from;
}

export async function up(at) {
  for (let k = 0; k < 100; k++) {
    const there = await fetch(`${at}/health`).then(
      () => true,
      () => false
    );
    if (there) return;
    await new Promise((r) => setTimeout(r, 100));
  }
}

/** The yard of the demo against one of 2,000 engines with 200,000 readings, each on a server of its own, in turns. */
export async function largeYard({ origin, port, env, quiet }) {
  const big = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-yard-'));
  const own = { env: { ...env, INDAGA_DATA: big, PORT: String(port) }, stdio: quiet.stdio };
  run(bin('tsx'), ['perf/yard.ts', '2000'], own);
  const second = start(process.execPath, ['scripts/server.mjs'], own);
  const there = `http://127.0.0.1:${port}`;
  try {
    await up(there);
    // Judged between requests after a start; until then it says how many are left.
    for (let k = 0; k < 600; k++) {
      if (!(await (await fetch(`${there}/`)).text()).includes('still being judged')) break;
      await new Promise((r) => setTimeout(r, 500));
    }
    const [small, large] = [[], []];
    for (let k = 0; k < 25; k++) {
      small.push(await time(`${origin}/`));
      large.push(await time(`${there}/`));
    }
    const [a, b] = [median(small.slice(5)), median(large.slice(5))];
    return {
      name: 'yard-2000',
      value: +(b / a).toFixed(2),
      unit: `times the demo yard’s ${a.toFixed(1)} ms: 2,000 engines and 200,000 readings in ${b.toFixed(1)} ms`,
      limit: 2
    };
  } finally {
    second.kill('SIGKILL');
    fs.rmSync(big, { recursive: true, force: true });
  }
}
