// npm run instruments -- --list | --case NAME ...: stand-in instruments that play a test over a way in (--help says how).
import { spawnSync } from 'node:child_process';
import { bin, install, root } from './tools.mjs';

install();
const result = spawnSync(bin('tsx'), ['src/cli/instruments-main.ts', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit'
});
process.exit(result.status ?? 1);
