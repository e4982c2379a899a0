import { describe, expect, it } from 'vitest';
import { linesOf } from './lines.ts';
import { demoStages, drawn } from './surveys.ts';

/**
 * What is advised of a hundred surveys, as it was looked at and approved. A change that is meant shows line by line: read
 * the difference, then write it with `npx vitest run test/approved -u`.
 */
describe('the advice is the approved one', () => {
  it.each(demoStages(4))('$name', ({ survey, now }) => {
    expect(linesOf(survey, now).join('\n')).toMatchSnapshot();
  });
  it.each(Array.from({ length: 60 }, (_, n) => n))('drawn engine %i, looked at in no order', (n) => {
    const { name, survey, now } = drawn(n);
    expect([name, ...linesOf(survey, now)].join('\n')).toMatchSnapshot();
  });
});
