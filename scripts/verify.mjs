// npm run verify -- file.json [--json] [--units metric]: the core on a survey file, without a server.
import { spawnSync } from 'node:child_process';
import { bin, install } from './tools.mjs';

install();
const result = spawnSync(bin('tsx'), ['src/cli/verify.ts', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(result.status ?? 1);
