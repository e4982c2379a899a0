// Bundles the command line into one file: starting it then takes a fraction of compiling it each time.
import fs from 'node:fs';
import path from 'node:path';
import { root } from './tools.mjs';

const bundle = path.join(root, 'node_modules', '.cache', 'indaga', 'assess.mjs');

/** The newest change under a directory, ms. @param {string} directory */
const newest = (directory) =>
  Math.max(
    ...fs
      .readdirSync(directory, { recursive: true, withFileTypes: true })
      .filter((f) => f.isFile())
      .map((f) => fs.statSync(path.join(f.parentPath ?? f.path, f.name)).mtimeMs)
  );

/** The bundle's path; it is made where it is missing or older than the code. */
export async function bundledCli() {
  const made = fs.existsSync(bundle) ? fs.statSync(bundle).mtimeMs : 0;
  if (made < Math.max(newest(path.join(root, 'src', 'core')), newest(path.join(root, 'src', 'cli')))) {
    const { build } = await import('esbuild');
    await build({
      entryPoints: [path.join(root, 'src', 'cli', 'assess.ts')],
      outfile: bundle,
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      logLevel: 'error',
      // Packages of the older kind that are bundled ask for require.
      banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" }
    });
  }
  return bundle;
}
