// npm run restore -- FILE [data directory].
import { spawnSync } from 'node:child_process';
import { bin, install } from './tools.mjs';

install();
const result = spawnSync(bin('tsx'), ['src/cli/restore.ts', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(result.status ?? 1);
