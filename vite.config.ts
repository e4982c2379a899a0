import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  test: {
    include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'scripts/**/*.test.ts', 'test/**/*.test.ts'],
    environment: 'node',
    // A bound for what hangs, not a measure of speed (`npm run bench` is that): two busy cores must not make a test red.
    testTimeout: 240_000,
    hookTimeout: 240_000,
    // Files of one worker share the module graph: loading the core and its schemas anew for each file took half the time.
    isolate: false,
    allowOnly: false
  }
});
