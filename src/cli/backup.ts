import path from 'node:path';
import { dataDirectory } from '../lib/server/db/open.ts';
import { backUp, BackupProblem } from '../lib/server/files/backup.ts';
import { noteBackup } from '../lib/server/files/scheduled-backup.ts';

/** usage: backup FILE [data directory]. One file with everything; may be made while the application runs. */
const [file, directory = dataDirectory()] = process.argv.slice(2);
if (!file) {
  console.error('Say where to: npm run backup -- yard.zip [data directory]');
  process.exit(2);
}
try {
  const made = await backUp(directory, file, {
    onprogress: (done, all) => process.stderr.isTTY && process.stderr.write(`\r${done} of ${all} files `)
  });
  await noteBackup(directory, { at: made.at, file: path.resolve(file) });
  console.log(
    `${path.resolve(file)}: ${made.engines} engines, ${made.photographs} photographs, ${made.records} signed records.${
      made.head
        ? `\nEnd of the chain of records: ${made.head}\nWrite it down somewhere else: verify --head takes it.`
        : ''
    }`
  );
} catch (err) {
  console.error(err instanceof BackupProblem ? err.message : `Not backed up: ${(err as Error).message}.`);
  process.exit(1);
}
