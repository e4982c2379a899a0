import { execFileSync, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { openDatabase } from '../src/lib/server/db/open.ts';
import { backUp, restore } from '../src/lib/server/files/backup.ts';
import { Running } from './server.ts';
import { entry, nextPort, often, random, row, temporary, yardAt } from './tried.ts';

/** Faults of what keeps the records: process, disk, files. */
await row('kill -9 while readings come in', async () => {
  const directory = temporary('kill');
  const [survey] = yardAt(directory);
  const n = often(20);
  let [confirmed, lost] = [0, 0];
  const told: string[] = [];
  for (let k = 0; k < n; k++) {
    const server = await new Running(directory, nextPort()).start();
    let going = true;
    const writing = Promise.all(
      Array.from({ length: 4 }, async (_, w) => {
        for (let m = 0; going; m++) {
          const id = `k${k}-${w}-${m}`;
          // Killed in the middle of an answer: nothing was confirmed.
          const answer = await server
            .post(survey!, {
              since: Number.MAX_SAFE_INTEGER,
              factSince: 0,
              entries: [entry(id, k * 100_000 + w * 10_000 + m)],
              facts: []
            })
            .then((r) => (r.ok ? (r.json() as Promise<unknown>) : undefined))
            .catch(() => undefined);
          if (answer && !(answer as { refused: unknown[] }).refused.length) told.push(id);
        }
      })
    );
    await new Promise((r) => setTimeout(r, 400 + random() * 1200));
    await server.kill();
    going = false;
    await writing;
  }
  const db = openDatabase(directory);
  const has = db.$client.prepare('select 1 from entries where id = ?');
  for (const id of told)
    if (has.get(id)) confirmed++;
    else lost++;
  db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
  return { tried: n, result: `${confirmed} readings confirmed, ${lost} of them lost`, ok: !lost && confirmed > 0 };
});

await row('disk full (a small tmpfs), then room again', async () => {
  const directory = temporary('full');
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=24m', 'tmpfs', directory]).status === 0;
  if (!mounted) return { tried: 0, result: 'not tried: this user may not mount a file system', ok: true };
  const server = new Running(path.join(directory, 'yard'), nextPort());
  try {
    const [survey] = yardAt(path.join(directory, 'yard'));
    await server.start();
    const ballast = path.join(directory, 'ballast');
    const fill = (): void => {
      const file = fs.openSync(ballast, 'w');
      try {
        for (;;) fs.writeSync(file, Buffer.alloc(65_536));
      } catch {
        // Full.
      } finally {
        fs.closeSync(file);
      }
    };
    const send = (id: string, k: number) =>
      server.post(survey!, {
        since: Number.MAX_SAFE_INTEGER,
        factSince: 0,
        entries: [entry(id, k, { note: undefined })],
        facts: []
      });
    fill();
    // What is left in the log's last page may still take one or two; then it refuses.
    const answers: number[] = [];
    const taken: string[] = [];
    for (let k = 0; k < 400 && answers.at(-1) !== 507; k++) {
      const answer = await send(`d${k}`, k);
      answers.push(answer.status);
      if (answer.ok) taken.push(`d${k}`);
      if (k % 20 === 0) fill();
    }
    const sentence = ((await (await send('refused', 999)).json()) as { message?: string }).message ?? '';
    const photo = await fetch(`${server.url}/api/photos`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: fs.readFileSync('static/icon-192.png')
    });
    const verdict = (await photo.json()) as { verdict?: string };
    const pages: number[] = [];
    for (const p of ['/', '/bench', '/care', '/search?q=a', `/surveys/${survey}/jobs`, `/surveys/${survey}/record`])
      pages.push((await fetch(server.url + p)).status);
    const health = (await fetch(`${server.url}/health`)).status;
    fs.rmSync(ballast);
    const again = await send('refused', 999);
    const after = again.ok && ((await again.json()) as { refused: unknown[] }).refused.length === 0;
    const ok =
      answers.at(-1) === 507 &&
      /room/.test(sentence) &&
      photo.status === 507 &&
      !verdict.verdict &&
      pages.every((s) => s === 200) &&
      after &&
      server.alive;
    await server.kill();
    const db = openDatabase(path.join(directory, 'yard'));
    const kept = taken.filter((id) => db.$client.prepare('select 1 from entries where id = ?').get(id)).length;
    db.$client.close();
    return {
      tried: 1,
      result: `a batch and a photograph answered ${answers.at(-1)} and ${photo.status}, neither blamed on what was sent; ${pages.filter((s) => s === 200).length} of ${pages.length} pages read; health ${health}; with room again it went on; ${kept} of ${taken.length} confirmed are there`,
      ok: ok && kept === taken.length
    };
  } finally {
    await server.kill();
    execFileSync('umount', ['-l', directory]);
    fs.rmSync(directory, { recursive: true, force: true });
  }
});

await row('damaged, empty, newer, missing or unwritable data directories', async () => {
  const made = temporary('made');
  yardAt(made);
  const db = openDatabase(made);
  db.$client.pragma('wal_checkpoint(TRUNCATE)');
  db.$client.pragma('journal_mode = DELETE');
  db.$client.close();
  const file = 'indaga.sqlite';
  const cases: readonly (readonly [string, (d: string) => void])[] = [
    ['empty', (d) => fs.writeFileSync(path.join(d, file), '')],
    ['cut', (d) => fs.truncateSync(path.join(d, file), 20_000)],
    ['zeroed', (d) => fs.writeFileSync(path.join(d, file), Buffer.alloc(60_000))],
    ['words', (d) => fs.writeFileSync(path.join(d, file), 'not a database'.repeat(20))],
    ['gone', (d) => (fs.mkdirSync(path.join(d, 'photos'), { recursive: true }), fs.rmSync(path.join(d, file)))],
    [
      'newer',
      (d) => {
        const client = openDatabase(d).$client;
        client.prepare("insert into __drizzle_migrations (hash, created_at) values ('x', 9999999999999)").run();
        client.close();
      }
    ]
  ];
  const wrong: string[] = [];
  for (const [name, damage] of cases) {
    const d = temporary('damaged');
    fs.cpSync(made, d, { recursive: true });
    damage(d);
    const out = spawnSync(process.execPath, ['scripts/server.mjs'], {
      env: { ...process.env, HOST: '127.0.0.1', PORT: String(nextPort()), INDAGA_DATA: d },
      timeout: 20_000
    });
    const said = out.stderr.toString().trim();
    if (!out.status || out.status > 9 || said.split('\n').length !== 1 || /\bat .*:\d+:\d+/.test(said))
      wrong.push(`${name}: ${out.status} ${said.slice(0, 80)}`);
    fs.rmSync(d, { recursive: true, force: true });
  }
  fs.rmSync(made, { recursive: true, force: true });
  return {
    tried: cases.length,
    result: wrong.length ? wrong.join('; ') : 'each ended with one sentence and its code',
    ok: !wrong.length
  };
});

await row('backups with a byte changed', async () => {
  const directory = temporary('backup');
  yardAt(path.join(directory, 'yard'));
  const file = path.join(directory, 'yard.zip');
  await backUp(path.join(directory, 'yard'), file);
  const bytes = fs.readFileSync(file);
  const n = often(200);
  let [taken, refused] = [0, 0];
  for (let k = 0; k < n; k++) {
    const changed = Buffer.from(bytes);
    const at = Math.floor(random() * bytes.length);
    changed[at] = changed[at]! ^ (1 + Math.floor(random() * 255));
    fs.writeFileSync(path.join(directory, 'changed.zip'), changed);
    const to = path.join(directory, `to-${k}`);
    const good = await restore(path.join(directory, 'changed.zip'), to).then(
      () => true,
      () => false
    );
    // A byte of the archive's own bookkeeping (a time, a flag) changes nothing of what comes out.
    if (good) taken++;
    else refused++;
    if (!good && fs.existsSync(to)) throw new Error('something was left behind');
    fs.rmSync(to, { recursive: true, force: true });
  }
  fs.rmSync(directory, { recursive: true, force: true });
  return {
    tried: n,
    result: `${refused} refused by name, ${taken} restored whole (the byte was of no content); nothing left behind`,
    ok: refused > 0.9 * n
  };
});

await row('tampering with signed records (25 kinds)', async () => {
  const out = spawnSync('npx', ['vitest', 'run', 'src/lib/server/store/chain.test.ts', '--reporter=json'], {
    encoding: 'utf8',
    maxBuffer: 1e8
  });
  const { numPassedTests, numFailedTests } = JSON.parse(out.stdout.slice(out.stdout.indexOf('{'))) as {
    numPassedTests: number;
    numFailedTests: number;
  };
  return {
    tried: numPassedTests + numFailedTests,
    result: `${numPassedTests} found and named, ${numFailedTests} not`,
    ok: !numFailedTests && numPassedTests > 15
  };
});
