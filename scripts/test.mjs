// npm test: installs what is missing, then lint, types, unit tests, build, end-to-end tests, in this order.
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { bin, install, run } from './tools.mjs';

function chromium() {
  const found = process.env.CHROMIUM ?? '/usr/bin/chromium';
  if (fs.existsSync(found)) return;
  const apt = spawnSync('which', ['apt-get']).status === 0;
  if (!apt) {
    console.error(`The end-to-end tests need Chromium at ${found}; set CHROMIUM to its path.`);
    process.exit(1);
  }
  console.log('Installing Chromium for the end-to-end tests.');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', 'chromium']);
}

const steps = {
  lint: () => (run(bin('prettier'), ['--check', '.', '--log-level', 'warn']), run(bin('eslint'), ['.'])),
  types: () => (
    run(bin('svelte-kit'), ['sync']),
    run(bin('svelte-check'), ['--tsconfig', './tsconfig.json', '--fail-on-warnings'])
  ),
  unit: () => run(bin('vitest'), ['run']),
  docs: () => run(bin('tsx'), ['src/cli/docs.ts', '--check']),
  build: () => run(bin('vite'), ['build', '--logLevel', 'error']),
  'end-to-end': () => run(bin('playwright'), ['test'])
};

install();
chromium();
run(bin('svelte-kit'), ['sync']);
const started = Date.now();
for (const [name, step] of Object.entries(steps)) {
  console.log(`\n== ${name} (${Math.round((Date.now() - started) / 1000)} s)`);
  step();
}
console.log(`\nAll green in ${Math.round((Date.now() - started) / 1000)} s.`);
