import { defineConfig } from 'vitest/config';

/** The tests that a mutation of the core's safety is tried on: those of the rooms themselves, quick enough to run a thousand times. */
export default defineConfig({
  test: {
    include: [
      'src/core/{holds,gates,drowned,jobs,plan}/**/*.test.ts',
      'src/core/stations/stations.test.ts',
      'src/core/stations/{gear,oil,fuel,run}/*.test.ts',
      'test/laws/courses.test.ts',
      'test/stories/{causes,where,leg-and-run,told,hot-and-locked,gone-again}.test.ts'
    ],
    environment: 'node',
    isolate: false,
    testTimeout: 240_000
  }
});
