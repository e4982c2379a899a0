import { expect, test } from 'vitest';
import { sayDay } from './dates.ts';

const at = '2026-11-03T14:05';

test('a day is written in the order that was chosen, months as words but for the ISO order', () => {
  expect(sayDay(at, 'd MMM yyyy HH:mm', { dates: 'day-first', units: 'us' })).toBe('3 Nov 2026 14:05');
  expect(sayDay(at, 'd MMM yyyy HH:mm', { dates: 'month-first', units: 'us' })).toBe('Nov 3, 2026 14:05');
  expect(sayDay(at, 'd MMM yyyy HH:mm', { dates: 'iso', units: 'us' })).toBe('2026-11-03 14:05');
  expect(sayDay(at, 'EEE d MMM', { dates: 'iso', units: 'us' })).toBe('Tue 11-03');
});

test('without a choice the units decide', () => {
  expect(sayDay(at, 'EEEE d MMMM', { dates: 'units', units: 'us' })).toBe('Tuesday November 3');
  expect(sayDay(at, 'EEEE d MMMM', { dates: 'units', units: 'metric' })).toBe('Tuesday 3 November');
});

test('a date object is taken as well as its text', () => {
  expect(sayDay(new Date(2026, 0, 9), 'd MMM', { dates: 'month-first', units: 'metric' })).toBe('Jan 9');
});
