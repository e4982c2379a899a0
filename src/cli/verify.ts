import fs from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { dataDirectory } from '../lib/server/db/open.ts';
import { verifyDirectory } from '../lib/server/store/verify.ts';

/**
 * Goes over every signed record and its chain; ends with 1 when something is not as it was signed, with 2 when it cannot be looked at.
 * usage: verify [directory] [--head HASH] [--count N]
 */
function main(): number {
  let parsed;
  try {
    parsed = parseArgs({ allowPositionals: true, options: { head: { type: 'string' }, count: { type: 'string' } } });
  } catch (err) {
    console.error((err as Error).message);
    return 2;
  }
  const { values, positionals } = parsed;
  const directory = positionals[0] ?? dataDirectory();
  if (!fs.existsSync(path.join(directory, 'indaga.sqlite'))) {
    console.error(`There is no yard in ${directory}: nothing was looked at, and nothing was made.`);
    return 2;
  }
  const count = values.count === undefined ? undefined : Number(values.count);
  if (count !== undefined && !(Number.isInteger(count) && count >= 0)) {
    console.error(`--count wants a whole number, not "${values.count}".`);
    return 2;
  }
  let found;
  try {
    found = verifyDirectory(directory, {
      ...(values.head ? { head: values.head.trim().toLowerCase() } : {}),
      ...(count === undefined ? {} : { count })
    });
  } catch (err) {
    console.error(`The records could not be read: ${(err as Error).message}. Restore the last backup.`);
    return 2;
  }
  for (const r of found.records)
    console.log(
      [
        `${r.wrong.length ? 'WRONG' : 'as signed'}  ${r.seq}  ${r.tag}, ${r.at.slice(0, 10)}, ${r.signedBy}  ${r.hash}`,
        ...r.wrong.map((w) => `       ${w}`)
      ].join('\n')
    );
  for (const w of found.wrong) console.log(`WRONG  ${w}`);
  const wrong = found.records.filter((r) => r.wrong.length).length;
  const n = found.records.length;
  console.log(
    n
      ? `${n} ${n === 1 ? 'record' : 'records'}, ${found.ok ? 'all as they were signed' : `${wrong} not as signed${found.wrong.length ? ', and the chain is broken' : ''}`}. End of the chain: ${found.head}`
      : found.ok
        ? 'No record was signed yet.'
        : 'No record is here.'
  );
  return found.ok ? 0 : 1;
}

process.exit(main());
