import { expect, test } from 'vitest';
import { speak, spoken } from './speak.ts';

const at = '2026-05-02T08:00:00.000Z';

test('a reading is said with its cylinder, and its value in the units of this browser', () => {
  const r = { id: 'a', at, what: 'compression.pressure', value: 655_000, cylinder: 3 } as const;
  expect(spoken(r, 'us')).toMatch(/, cylinder 3: 95 psi$/);
  expect(spoken(r, 'metric')).toMatch(/6\.55 bar$/);
});

test('an answer is said in its own words', () => {
  expect(spoken({ id: 'a', at, what: 'fuel.level', value: 'full' }, 'us')).toMatch(/: full$/);
});

test('a browser without a voice says nothing and complains of nothing', () => {
  expect(() => speak('x')).not.toThrow();
});
