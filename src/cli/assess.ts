import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { assessFile, type AssessedFile, type AssessOptions } from './assess-file.ts';

const HELP = `Usage: npm run assess -- [options] FILE...

Judges survey files without a server: findings, suspects, next checks, decision, holds, job list, gates.
FILE is a survey file, a directory (every .json file in it) or - for standard input.

  --json           one JSON array on standard output, an object a file with its name and tag
  --units UNITS    us (default) or metric
  --moves          what to do now only: the ordered moves of each file, and a line that sums them up
  --draws N        draws of the cost, 100 to 100000 (default 1000)
  -h, --help       this text

Exit codes: 0 every file was assessed; 1 a file is no survey (its path and what is wrong go to standard error,
and with --json into the array); 2 a file cannot be read, or the command line is wrong.
`;

/** From so many files on they are shared among the processor's cores. */
const MANY = 12;

const readStandardInput = (): string => decode(fs.readFileSync(0));
/** UTF-8 as a browser reads it: a byte order mark is no part of the text. */
const decode = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

/** The files a name stands for; throws where there is none. */
function filesOf(name: string): string[] {
  if (name === '-' || !fs.statSync(name).isDirectory()) return [name];
  return fs
    .readdirSync(name)
    .filter((f) => f.endsWith('.json'))
    .sort()
    .map((f) => path.join(name, f));
}

function assessOne(file: string, o: AssessOptions): AssessedFile {
  return assessFile(file, file === '-' ? readStandardInput() : decode(fs.readFileSync(file)), o);
}

/** Assesses files in their order on as many threads as there are cores. */
async function assessAll(files: readonly string[], o: AssessOptions): Promise<AssessedFile[]> {
  if (files.length < MANY) return files.map((f) => assessOne(f, o));
  const results: AssessedFile[] = new Array(files.length);
  let next = 0;
  const work = (worker: Worker): Promise<void> =>
    new Promise((resolve, reject) => {
      const give = (): void => {
        const k = next++;
        if (k >= files.length) return void worker.terminate().then(() => resolve());
        worker.once('message', (done: AssessedFile) => {
          results[k] = done;
          give();
        });
        worker.postMessage({ file: files[k], o });
      };
      worker.once('error', reject);
      give();
    });
  const threads = Math.min(Math.max(2, os.cpus().length), files.length);
  await Promise.all(Array.from({ length: threads }, () => work(new Worker(new URL(import.meta.url)))));
  return results;
}

/** The command; gives back its exit code. */
export async function main(argv: readonly string[]): Promise<number> {
  let parsed;
  try {
    parsed = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        moves: { type: 'boolean', default: false },
        units: { type: 'string', default: 'us' },
        draws: { type: 'string', default: '1000' },
        help: { type: 'boolean', short: 'h', default: false }
      }
    });
  } catch (e) {
    console.error(`${e instanceof Error ? e.message : e}\n\n${HELP}`);
    return 2;
  }
  const { values, positionals } = parsed;
  if (values.help) {
    console.log(HELP);
    return 0;
  }
  const { units } = values;
  const draws = Number(values.draws);
  if (units !== 'us' && units !== 'metric') return wrong(`--units is us or metric, not "${units}".`);
  if (!Number.isInteger(draws) || draws < 100 || draws > 100_000)
    return wrong(`--draws is a whole number from 100 to 100000, not "${values.draws}".`);
  if (!positionals.length) return wrong('Give a survey file: npm run assess -- docs/examples/wren.json');
  let code = 0;
  const files = positionals.flatMap((name) => {
    try {
      const found = filesOf(name);
      for (const f of found) if (f !== '-') fs.accessSync(f, fs.constants.R_OK);
      return found;
    } catch {
      console.error(`${name}: there is no such file, or it cannot be read.`);
      code = 2;
      return [];
    }
  });
  const o: AssessOptions = { units, json: values.json, moves: values.moves, draws };
  const results = await assessAll(files, o);
  results.forEach((r, k) => {
    if (r.ok) return;
    console.error(`${files[k]}: ${r.path ? `${r.path}: ` : ''}${r.message}`);
    code = Math.max(code, 1);
  });
  const parts = results.flatMap((r, k) => {
    if (r.ok) return [r.out];
    return o.json ? [JSON.stringify({ file: files[k], error: { path: r.path, message: r.message } }, null, 2)] : [];
  });
  if (o.json) process.stdout.write(`[${parts.join(',\n')}]\n`);
  else if (parts.length) process.stdout.write(`${parts.join('\n\n')}\n`);
  return code;
}

function wrong(message: string): number {
  console.error(message);
  return 2;
}

if (isMainThread) process.exitCode = await main(process.argv.slice(2));
else
  parentPort!.on('message', ({ file, o }: { file: string; o: AssessOptions }) =>
    parentPort!.postMessage(assessOne(file, o))
  );
