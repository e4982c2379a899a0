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
        splitting: true,
        chunkNames: 'shared-[hash]',
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

/** Files of `src/` below a folder, as a pattern that a bundler matches module ids with. */
const files = (folder: string, names: string): RegExp => new RegExp(`src/${folder}/(${names})`);

/**
 * What every check page needs travels in a few files instead of ninety: a browser asks for less, and small pieces pack badly.
 * A group takes what it imports with it, unless an earlier group has it; so the lowest stands first, and what the yard needs
 * lies apart from what only a check needs.
 */
const groups = [
  { name: 'svelte', test: /node_modules\/(svelte|esm-env|clsx)\// },
  { name: 'kit', test: /node_modules\/(@sveltejs\/kit\/src\/runtime\/(client|shared)|devalue)|preload-helper/ },
  { name: 'dates', test: /node_modules\/date-fns\/lightFormat/ },
  { name: 'ticks', test: /node_modules\/(d3-array|internmap)\// },
  { name: 'd3', test: /node_modules\/d3-scale\// },
  {
    name: 'base',
    test: files(
      'core',
      'units/|items/item|record/(base|wait)|engine/(profile|limits|case-kind|banks)\\.ts|findings/finding\\.ts'
    )
  },
  {
    name: 'checks',
    test: files(
      'core',
      'stations/((register|items|station|cylinders)\\.ts|[a-z]+/(station|readings|places)\\.ts)|holds/(against|hold)\\.ts|jobs/done-work|survey/delta|hazards|record/(current|entries|beside|drowned)\\.ts|findings/(context|keep|limit|collect)\\.ts'
    )
  },
  {
    name: 'marks',
    test: new RegExp(
      `${files('lib/ui/marks', 'Shape|Menu|Place|places|Fold|WhenSeen|condition|move-place|station-keys').source}|lucide`
    )
  },
  { name: 'switch', test: files('lib/ui/instruments', '(Strip|Take|wanted)\\.svelte') },
  { name: 'outline', test: files('lib/ui/drawing', 'geometry') },
  { name: 'unsent', test: files('lib/ui/session', 'outbox|photo-box|unsent|clock') },
  { name: 'session', test: files('lib/ui/session', 'session\\.svelte|snapshot|concluding') },
  {
    name: 'sheet',
    test: files(
      'lib/ui',
      'form/(Typed|Choice|Several|Moment|ItemInput)|survey/(FindingCard|NowCard|NowLine|HoldBanner|Refused|LimitLine|CylinderTable|ConditionsBar|QuickLine|pane)|drawing/(EngineDrawing|StationChart)'
    )
  },
  {
    name: 'pressures',
    test: files(
      'core/stations/compression',
      '(compare|measure|leakdown-rows|expected|order|other-tests|absolute|differences|repeat|repeat-words|sheet-words|figures|reference|adapter-fit)\\.ts'
    )
  },
  { name: 'charts', test: files('lib/ui/drawing', 'ChartFrame|ticks') },
  {
    name: 'compression',
    test: files('lib/ui', 'sheets/(Compression|compression/(Entry|Beside))|survey/CompressionBars')
  }
];

export default defineConfig({
  plugins: [tailwindcss(), sveltekit(), workerThreads],
  environments: { client: { build: { rolldownOptions: { output: { codeSplitting: { groups } } } } } },
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
    // What judges makes much that lives briefly.
    execArgv: ['--max-semi-space-size=64'],
    allowOnly: false
  }
});
