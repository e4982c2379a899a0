// npm run certificate [-- directory --name HOST]: a local authority and a certificate, so that tablets open the yard by https.
import { spawnSync } from 'node:child_process';
import { bin, install } from './tools.mjs';

install();
const result = spawnSync(bin('tsx'), ['src/cli/certificate.ts', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(result.status ?? 1);
