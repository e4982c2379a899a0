// npm run verify [-- data directory]: goes over every signed record and the chain of their hashes.
import { spawnSync } from 'node:child_process';
import { bin, install } from './tools.mjs';

install();
const result = spawnSync(bin('tsx'), ['src/cli/verify.ts', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(result.status ?? 1);
