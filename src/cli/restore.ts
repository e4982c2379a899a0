import path from 'node:path';
import { dataDirectory } from '../lib/server/db/open.ts';
import { BackupProblem, restore } from '../lib/server/files/backup.ts';

/** usage: restore FILE [data directory]. Checks the whole backup first, then puts it into an empty directory. */
const [file, directory = dataDirectory()] = process.argv.slice(2);
if (!file) {
  console.error('Say which: npm run restore -- yard.zip [empty data directory]');
  process.exit(2);
}
try {
  const made = await restore(file, directory);
  console.log(
    `${path.resolve(directory)}: the yard as it was on ${made.at.slice(0, 16).replace('T', ' ')} UTC, ${made.engines} engines, ${made.photographs} photographs, ${made.records} signed records.`
  );
} catch (err) {
  console.error(err instanceof BackupProblem ? err.message : `Not restored: ${(err as Error).message}.`);
  process.exit(1);
}
