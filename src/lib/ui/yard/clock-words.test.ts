import { expect, test } from 'vitest';
import { clockWords } from './clock-words.ts';

test('a clock says what is left, and what is past', () => {
  expect(clockWords(0.4)).toBe('24 min left');
  expect(clockWords(8.9)).toBe('8 h 54 min left');
  expect(clockWords(-2.25)).toBe('2 h 15 min past');
  expect(clockWords(-72)).toBe('3 days past');
});

test('minutes never round up to an hour of sixty', () => {
  expect(clockWords(3.999)).toBe('3 h 59 min left');
});
