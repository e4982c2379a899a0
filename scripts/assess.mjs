// npm run assess -- [options] FILE...: the core on survey files, without a server (--help says how).
import { spawnSync } from 'node:child_process';
import { bundledCli } from './bundle-cli.mjs';
import { install } from './tools.mjs';

install();
const result = spawnSync(process.execPath, [await bundledCli(), ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(result.status ?? 1);
