import { expect, it } from 'vitest';
import { sayMinutes } from './duration.ts';

it('says a wait in the unit that people would', () => {
  const said = [0, 89.6, 119, 120, 1440, 2879, 2880, 4320].map(sayMinutes);
  expect(said).toEqual(['0 min', '90 min', '119 min', '2 h', '24 h', '48 h', '2 days', '3 days']);
});
