// npm test: installs what is missing, then lint, types, unit tests, docs, build and end-to-end tests. What needs nothing
// of another step runs beside it; the output of a step is printed whole when it ends.
import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { shell, testBrowser } from './browser.mjs';
import { bin, install, root, run } from './tools.mjs';

/** Installs the browser of the end-to-end tests: the headless one, or the whole one where that is not to be had. */
function chromium() {
  if (process.env.CHROMIUM ? fs.existsSync(process.env.CHROMIUM) : fs.existsSync(shell)) return;
  const apt = !process.env.CHROMIUM && spawnSync('which', ['apt-get']).status === 0;
  if (apt) {
    console.log('Installing Chromium for the end-to-end tests.');
    const quietly = (args) => spawnSync('apt-get', args, { cwd: root, stdio: 'inherit' }).status === 0;
    quietly(['update', '-qq']);
    // What the packages recommend (a printer dialogue, a message daemon, drivers for a screen) takes longer to install than
    // the browser; of it only the fonts are needed.
    const get = (browser) => quietly(['install', '-y', '-qq', '--no-install-recommends', browser, 'fonts-liberation']);
    if (get('chromium-headless-shell')) return;
    if (!fs.existsSync(testBrowser())) get('chromium');
  }
  if (fs.existsSync(testBrowser())) return;
  console.error(`The end-to-end tests need Chromium at ${testBrowser()}; set CHROMIUM to its path.`);
  process.exit(1);
}

const started = Date.now();
const seconds = () => Math.round((Date.now() - started) / 1000);

// What parses the whole code makes much that lives briefly: a larger nursery saves a tenth of its time.
const roomy = [process.env.NODE_OPTIONS, '--max-semi-space-size=128'].filter(Boolean).join(' ');

/** Runs a command and prints what it said, with its name; the promise fails with the name when the command does. */
function step(name, command, args, live = false) {
  const from = seconds();
  return new Promise((resolve, reject) => {
    if (live) console.log(`\n== ${name} (from ${from} s)`);
    const child = spawn(command, args, {
      cwd: root,
      shell: process.platform === 'win32',
      env: live ? process.env : { ...process.env, NODE_OPTIONS: roomy },
      stdio: ['ignore', live ? 'inherit' : 'pipe', live ? 'inherit' : 'pipe']
    });
    const said = [];
    child.stdout?.on('data', (d) => said.push(d));
    child.stderr?.on('data', (d) => said.push(d));
    child.on('close', (code) => {
      if (!live) process.stdout.write(`\n== ${name} (${from} to ${seconds()} s)\n${Buffer.concat(said)}`);
      if (code === 0) resolve();
      else reject(new Error(name));
    });
  });
}

const unit = () => step('unit', bin('vitest'), ['run'], true);
const inTurn = async (...list) => {
  for (const next of list) await next();
};

install();
chromium();
run(bin('svelte-kit'), ['sync']);
try {
  // Two chains beside each other, so that two cores are busy; the end-to-end tests need what both made, and both cores.
  await Promise.all([
    inTurn(
      () => step('format', bin('oxfmt'), ['--check', '.']),
      () => step('build', bin('vite'), ['build', '--logLevel', 'error'])
    ),
    inTurn(
      () => step('lint', bin('oxlint'), ['-c', 'oxlint.config.mjs']),
      () => step('components', bin('eslint'), ['.']),
      () => step('types', bin('svelte-check'), ['--tsconfig', './tsconfig.json', '--fail-on-warnings', '--tsgo']),
      () => step('docs', bin('tsx'), ['src/cli/docs.ts', '--check']),
      unit
    )
  ]);
  await step('end-to-end', bin('playwright'), ['test'], true);
} catch (e) {
  console.error(`\n${e instanceof Error ? e.message : e} failed after ${seconds()} s.`);
  process.exit(1);
}
console.log(`\nAll green in ${seconds()} s.`);
