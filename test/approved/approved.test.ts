import { expect, it } from 'vitest';
import { linesOf } from './lines.ts';
import { demoStages, drawn, type Snapshot } from './surveys.ts';

/**
 * What is advised of a hundred surveys, as it was looked at and approved. A change that is meant shows here line by line:
 * read the difference, and write it with `npx vitest run test/approved -u`.
 */
const text = (list: readonly Snapshot[]): string =>
  list.map(({ name, survey, now }) => [`== ${name}`, ...linesOf(survey, now), ''].join('\n')).join('\n');

it('the advice on the demo engines, from intake on, is the approved one', async () => {
  await expect(text(demoStages(4))).toMatchFileSnapshot('demo.txt');
});

it('the advice on drawn engines, looked at in no order, is the approved one', async () => {
  const list = Array.from({ length: 60 }, (_, n) => drawn(n));
  await expect(text(list)).toMatchFileSnapshot('drawn.txt');
});
