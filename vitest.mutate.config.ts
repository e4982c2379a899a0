import { defineConfig } from 'vitest/config';

/** The tests that a mutation of the core's safety is tried on: without the pages, the database and what is random. */
export default defineConfig({
  test: {
    include: ['src/core/**/*.test.ts', 'test/laws/*.test.ts'],
    exclude: [
      'test/laws/whatever-is-recorded.test.ts',
      'test/laws/hostile.test.ts',
      'src/core/schedule/**',
      'src/core/physics/**'
    ],
    environment: 'node',
    testTimeout: 240_000
  }
});
