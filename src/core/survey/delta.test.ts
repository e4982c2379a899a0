import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { withEntries, withoutEntries } from '../record/entries.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { applyDelta, deltaBetween } from './delta.ts';

const survey = (): SurveyFile => {
  const b = new Bench();
  b.read('fuel.level', 'some').read('fuel.jar', 'clear').done('impeller');
  return b.survey;
};
const reading = { id: 'r-new', what: 'fuel.jar', value: 'layers', at: '2026-05-03T08:00:00.000Z' } as const;

describe('a survey told to somebody who keeps it', () => {
  it('is told whole once', () => {
    const s = survey();
    expect(applyDelta(undefined, deltaBetween(undefined, s))).toBe(s);
    expect(() => applyDelta(undefined, deltaBetween(s, s))).toThrow(/no survey/);
  });
  it('a reading more is that reading alone, and the others stay the same objects', () => {
    const old = survey();
    const now = withEntries(old, [{ type: 'reading', body: reading }]);
    const delta = deltaBetween(old, now);
    expect(delta).toEqual({ changed: [], added: [['readings', [reading]]] });
    const got = applyDelta(old, delta);
    expect(got).toEqual(now);
    expect(got.readings[0]).toBe(old.readings[0]);
  });
  it('a fact of the engine, a refused entry and a first entry of a kind are told too', () => {
    const old = survey();
    const fact = { ...old, engine: { ...old.engine, identity: { ...old.engine.identity, tag: 'Heron' } } };
    const shorter = withoutEntries(old, new Set([old.readings[0]!.id]));
    const { steps: _, ...stepless } = old;
    for (const [a, b] of [
      [old, fact],
      [old, shorter],
      [stepless as SurveyFile, old],
      [old, stepless as SurveyFile],
      [old, old]
    ] as const)
      expect(applyDelta(structuredClone(a), structuredClone(deltaBetween(a, b)))).toEqual(b);
  });
  it('an entry put in between, or replaced, is not taken for one added at the end', () => {
    const old = survey();
    const between = { ...old, readings: [old.readings[0]!, reading, ...old.readings.slice(1)] };
    const replaced = { ...old, readings: [{ ...old.readings[0]!, value: 'empty' }, ...old.readings.slice(1), reading] };
    for (const now of [between, replaced] as SurveyFile[]) expect(applyDelta(old, deltaBetween(old, now))).toEqual(now);
  });
});
