// What `npm run bench` measures of one server under load: entries beside PDFs, imports and benches, and how it starts and is backed up when it is large.
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { bin, root, run, start } from '../scripts/tools.mjs';
import { up } from './large-yard.mjs';

const at = (list, share) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))] ?? 0;

/** Memory of a process, MB; NaN where the system does not tell. @param {number} pid */
function memoryOf(pid) {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;
  } catch {
    return Number.NaN;
  }
}

/**
 * Eight connections for a while: six record readings, one asks for records as PDF, one imports and opens the bench. Entries are timed, and
 * a light request (`/health`) every 50 ms beside them: how long it waits is how long something else blocked the server.
 * @param {{ origin: string, pid: number, seconds: number }} o
 */
export async function loadRows({ origin, pid, seconds }) {
  const home = await (await fetch(`${origin}/`)).text();
  const surveys = [...new Set([...home.matchAll(/\/surveys\/([0-9a-f-]{36})/g)].map((m) => m[1]))];
  const until = performance.now() + seconds * 1000;
  const going = () => performance.now() < until;
  const [entries, waits, failed] = [[], [], []];
  const memory = [memoryOf(pid)];
  let n = 0;
  const ask = async (address, init) => {
    const answer = await fetch(origin + address, init).catch((err) => ({ status: 599, arrayBuffer: async () => err }));
    await answer.arrayBuffer();
    if (answer.status >= 500) failed.push(`${address} ${answer.status}`);
  };
  const recording = async () => {
    while (going()) {
      const id = surveys[n++ % surveys.length];
      const body = { id: `load-${process.pid}-${n}`, at: new Date().toISOString(), what: 'fuel.level', value: 'full' };
      const from = performance.now();
      await ask(`/api/surveys/${id}/entries`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          since: Number.MAX_SAFE_INTEGER,
          factSince: 0,
          entries: [{ type: 'reading', body }],
          facts: []
        })
      });
      entries.push(performance.now() - from);
      await new Promise((r) => setTimeout(r, 40));
    }
  };
  const papers = async () => {
    for (let k = 0; going(); k++) await ask(`/surveys/${surveys[k % surveys.length]}/record.pdf`);
  };
  const text = fs.readFileSync(path.join(root, 'docs/examples/gannet.json'));
  const others = async () => {
    for (let k = 0; going(); k++) {
      const form = new FormData();
      form.set('file', new File([text], 'x.json', { type: 'application/json' }));
      if (k % 4 === 0) await ask('/import', { method: 'POST', body: form, headers: { origin }, redirect: 'manual' });
      await ask(['/bench', '/', '/care', `/surveys/${surveys[k % surveys.length]}/suspects`][k % 4]);
    }
  };
  const watching = async () => {
    while (going()) {
      const from = performance.now();
      await ask('/health');
      waits.push(performance.now() - from);
      if (waits.length % 100 === 0) memory.push(memoryOf(pid));
      await new Promise((r) => setTimeout(r, 50));
    }
  };
  await Promise.all([...Array.from({ length: 6 }, recording), papers(), others(), watching()]);
  const half = memory.slice(Math.floor(memory.length / 2));
  const about = `${seconds} s, 8 connections: ${entries.length} entries, ${failed.length} failed; memory ${Math.round(memory[0])} MB at first, ${Math.round(Math.max(...half))} MB at most in the second half`;
  return [
    {
      name: 'load-entries-p99',
      value: Math.round(at(entries, 0.99)),
      unit: `ms; ${about}`,
      limit: failed.length ? 0 : 150
    },
    {
      name: 'load-blocking',
      value: Math.round(at(waits, 0.99)),
      unit: `ms that a light request waits, 99th of ${waits.length}; worst ${Math.round(Math.max(...waits))}`,
      limit: 100
    }
  ];
}

/** A yard of 2,000 engines and 200,000 readings: from the start of the process to its first answer, and its backup. @param {{ port: number, env: NodeJS.ProcessEnv, quiet: import('node:child_process').SpawnOptions }} o */
export async function largeRows({ port, env, quiet }) {
  const big = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-large-'));
  const own = { env: { ...env, INDAGA_DATA: path.join(big, 'yard'), PORT: String(port) }, stdio: quiet.stdio };
  try {
    run(bin('tsx'), ['perf/yard.ts', '2000'], own);
    let from = performance.now();
    const server = start(process.execPath, ['scripts/server.mjs'], own);
    await up(`http://127.0.0.1:${port}`);
    const started = performance.now() - from;
    // While it works: judging what it has not judged yet.
    from = performance.now();
    const made = spawnSync(bin('tsx'), ['src/cli/backup.ts', path.join(big, 'yard.zip'), path.join(big, 'yard')], {
      env: own.env
    });
    const backed = performance.now() - from;
    server.kill('SIGKILL');
    const size = made.status === 0 ? Math.round(fs.statSync(path.join(big, 'yard.zip')).size / 1e6) : Number.NaN;
    return [
      {
        name: 'start-2000',
        value: +(started / 1000).toFixed(2),
        unit: 's from nothing to the first answer, 2,000 engines and 200,000 readings',
        limit: 2
      },
      {
        name: 'backup-2000',
        value: +(backed / 1000).toFixed(2),
        unit: `s for a backup of it while it works (${size} MB)`,
        limit: 10
      }
    ];
  } finally {
    fs.rmSync(big, { recursive: true, force: true });
  }
}
