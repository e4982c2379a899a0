import { expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import type { LookFacts } from './facts.ts';
import { placeIds, places } from './places.ts';
import { words } from './words.ts';

const examples: Examples<LookFacts> = {
  sight: [
    ...placeIds.flatMap((place) =>
      Object.keys(places[place].sights).map((seen, k) => ({
        kind: 'sight' as const,
        id: place,
        condition: 'watch' as const,
        values: { place, seen, photographs: k, ...(k ? { note: 'near the hinge' } : {}) }
      }))
    ),
    ...(['through', 'metal', 'shallow', 'held', 'paint'] as const).map((crack) => ({
      kind: 'sight' as const,
      id: 'case',
      condition: 'watch' as const,
      values: { place: 'case' as const, seen: 'stain', photographs: 0, crack }
    }))
  ],
  traces: [{ kind: 'traces', condition: 'watch', values: { traces: ['sealant'] } }],
  absent: [{ kind: 'absent', condition: 'watch', values: { absent: ['cowl', 'controls'] } }],
  left: [
    { kind: 'left', condition: 'cannot-tell', values: { open: ['hub'], untold: [] } },
    { kind: 'left', condition: 'cannot-tell', values: { open: [], untold: ['case'] } },
    { kind: 'left', condition: 'cannot-tell', values: { open: ['hub', 'skeg'], untold: ['case'] } }
  ],
  sound: [{ kind: 'sound', condition: 'sound', values: {} }]
};

it('every sight of every place is said in whole sentences', () => {
  expectSpoken('look', words, { seen: ['cowl'] }, examples);
});

it('what was found is told apart from what to do about it', () => {
  const fact = examples.left[2]!;
  const [said] = spoken('look', { basis: { seen: [] }, facts: [fact] }, words, 'us');
  expect(said!.found).toMatch(/^Not looked at yet: [^.]*\.$/);
  expect(said!.sentence).toMatch(/Asked once and not told: /);
});
