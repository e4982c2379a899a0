import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import fs from 'node:fs';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

/** What runs in worker threads, and the tools of an installation without compilers, as files of their own beside what the adapter has written. */
const workerThreads: Plugin = {
  name: 'indaga-worker-threads',
  apply: 'build',
  closeBundle: {
    order: 'post',
    sequential: true,
    async handler() {
      if (!fs.existsSync('build/handler.js')) return;
      const { build } = await import('esbuild');
      await build({
        entryPoints: {
          work: 'src/lib/server/work/worker.ts',
          'tools/backup': 'src/cli/backup.ts',
          'tools/restore': 'src/cli/restore.ts',
          'tools/verify': 'src/cli/verify.ts'
        },
        outdir: 'build',
        outExtension: { '.js': '.mjs' },
        bundle: true,
        platform: 'node',
        format: 'esm',
        target: 'node20',
        packages: 'external',
        logLevel: 'error',
        alias: { $core: './src/core' }
      });
    }
  }
};

export default defineConfig({
  plugins: [tailwindcss(), sveltekit(), workerThreads],
  test: {
    include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'scripts/**/*.test.ts', 'test/**/*.test.ts'],
    environment: 'node',
    // A bound for what hangs, not a measure of speed (`npm run bench` is that): two busy cores must not make a test red.
    testTimeout: 240_000,
    hookTimeout: 240_000,
    // The runner leaves itself a core by default, and has little to do there.
    maxWorkers: 2,
    // Files of one worker share the module graph: loading the core and its schemas anew for each file took half the time.
    isolate: false,
    allowOnly: false
  }
});
