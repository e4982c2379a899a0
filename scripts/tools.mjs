// What the scripts share; plain Node, so that they run before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const isWindows = process.platform === 'win32';

/**
 * Runs a command and stops the script with its code when it fails.
 * @param {string} command
 * @param {string[]} args
 * @param {import('node:child_process').SpawnSyncOptions} options
 */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', shell: isWindows, ...options });
  if (result.status !== 0) {
    console.error(`\n${command} ${args.join(' ')} failed.`);
    process.exit(result.status ?? 1);
  }
}

/** Installs the packages when they are missing or older than the lock file. */
export function install() {
  const mark = path.join(root, 'node_modules', '.indaga-installed');
  const lock = path.join(root, 'package-lock.json');
  const fresh = fs.existsSync(mark) && fs.statSync(mark).mtimeMs >= fs.statSync(lock).mtimeMs;
  if (fresh) return;
  console.log('Installing packages; the database driver may be compiled, which takes a minute.');
  // Not `npm ci`: it refuses lock files whose optional packages of other platforms the registry at hand left out.
  run('npm', ['install', '--no-audit', '--no-fund']);
  fs.writeFileSync(mark, '');
}

/** A local package's command. @param {string} name */
export const bin = (name) => path.join(root, 'node_modules', '.bin', isWindows ? `${name}.cmd` : name);

/**
 * Starts a program that keeps running; gives back the process.
 * @param {string} command
 * @param {string[]} args
 * @param {import('node:child_process').SpawnOptions} options
 */
export const start = (command, args, options = {}) => spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
