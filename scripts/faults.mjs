// npm run faults [-- --times 0.1 --seed N --write]: tries faults on the built application; see docs/trust.md.
import fs from 'node:fs';
import { spawnSync } from 'node:child_process';
import { bin, install, run } from './tools.mjs';

install();
if (!fs.existsSync('build/handler.js')) run(bin('vite'), ['build']);
const result = spawnSync(bin('tsx'), ['faults/run.ts', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(result.status ?? 1);
