import { openDatabase, dataDirectory } from '../lib/server/db/open.ts';
import { verifyReleases } from '../lib/server/store/releases.ts';

/** Goes over every signed record and its chain; ends with 1 when one of them is not as it was signed. */
const directory = process.argv[2] ?? dataDirectory();
const { records, head } = verifyReleases({ db: openDatabase(directory) });
for (const r of records)
  console.log(
    `${r.wrong ? 'WRONG' : 'as signed'}  ${r.tag}, ${r.at.slice(0, 10)}, ${r.signedBy}  ${r.hash}${r.wrong ? `\n       ${r.wrong}` : ''}`
  );
const wrong = records.filter((r) => r.wrong).length;
console.log(
  records.length
    ? `${records.length} ${records.length === 1 ? 'record' : 'records'}, ${wrong ? `${wrong} not as signed` : 'all as they were signed'}. End of the chain: ${head}`
    : 'No record was signed yet.'
);
process.exit(wrong ? 1 : 0);
