import type { Context } from '../../findings/context.ts';
import { leakPlace } from './case-state.ts';
import { bubblesNow, caseResult, overPressure, stageIds, stageTest, turnedAt, type StageTest } from './case-test.ts';
import type { GearFact } from './facts.ts';

const stageIs = (t: StageTest, turned: boolean): GearFact['condition'] =>
  t.verdict === 'held' ? (turned ? 'sound' : 'cannot-tell') : t.verdict === 'leaks' ? 'fault' : 'cannot-tell';

/** The stages of a case test, where it bubbled, and what was put on the case that may not be. */
export function stageFacts(c: Context): GearFact[] {
  const bubbles = bubblesNow(c);
  const tests = stageIds.flatMap((stage) => stageTest(c, stage) ?? []);
  const over = c.record
    .all('gear.casePressure')
    .find((r) => typeof r.value === 'number' && overPressure(c, r.value, r.conditions?.stage ?? 'high'));
  return [
    ...tests.map((test): GearFact => {
      const turned = turnedAt(c, test.stage);
      return {
        kind: 'stage',
        id: `case-${test.stage}`,
        condition: stageIs(test, turned),
        values: { test, turned, bubbles }
      };
    }),
    ...(bubbles.length && !tests.some((t) => t.verdict === 'leaks')
      ? [{ kind: 'bubbles', condition: 'fault', values: { at: bubbles } } as const]
      : []),
    ...(over ? [{ kind: 'case-over', condition: 'fault', values: { pressure: over.value as number } } as const] : [])
  ];
}

/** What the case test comes to: what is done about a leak depends on where it bubbled. */
export function testFacts(c: Context): GearFact[] {
  const result = caseResult(c);
  if (!result.verdict)
    return result.opened
      ? [{ kind: 'test-open', id: 'test-opened', condition: 'cannot-tell', values: { result } }]
      : [];
  if (result.verdict === 'held') return [{ kind: 'test-held', id: 'test', condition: 'sound', values: { result } }];
  // That it bubbles is said by itself, with the stage that is read again for it.
  if (result.bubbles && result.verdict !== 'leaked') return [];
  if (result.verdict !== 'leaked') return [{ kind: 'test-open', condition: 'cannot-tell', values: { result } }];
  const place = leakPlace(c);
  const id = place === 'unknown' ? 'test' : `test-${place}`;
  return [{ kind: 'leaked', id, condition: 'fault', values: { result, place } }];
}
