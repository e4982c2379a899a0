import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { contextOf } from '../findings/context.ts';
import { BEGIN, procedureMark, progressOf, type Progress } from './progress.ts';
import { mirrored } from './procedure.ts';
import { procedureNamed } from './register.ts';

const oil = procedureNamed('gear-oil')!;
const at = (minute: number): string => new Date(Date.parse('2026-05-02T09:00:00.000Z') + minute * 60_000).toISOString();
let marks = 0;
function mark(b: Bench, step: string | undefined, minute: number, state: 'done' | 'open' = 'done', by = 'Ada'): Bench {
  const entry = { id: `m${marks++}`, at: at(minute), by, step: procedureMark(oil, step), state };
  b.survey = { ...b.survey, steps: [...(b.survey.steps ?? []), entry] };
  return b;
}
const read = (b: Bench, minute: number, value: 'oil' | 'unknown'): Bench =>
  b.read('gear.first', value, { at: at(minute) });
const progress = (b: Bench): Progress => progressOf(contextOf(b.survey, new Date(at(600)), 'metric'), oil);
const doneIds = (b: Bench): string[] =>
  progress(b)
    .steps.filter((s) => s.done)
    .map((s) => s.step.id);

describe('progress of a procedure', () => {
  it('is untouched at first, and its first step is next', () => {
    const p = progress(new Bench());
    expect(p).toMatchObject({ done: 0, untouched: true, began: undefined, finished: undefined });
    expect(p.next!.step.id).toBe('first');
  });
  it('ticks a step by what is read after it began, wherever it was read', () => {
    const b = read(mark(new Bench(), BEGIN, 0), 5, 'oil');
    expect(progress(b).steps[0]).toMatchObject({ done: true, by: 'reading' });
    expect(progress(b).next!.step.id).toBe('drain');
  });
  it('ticks nothing by what was read before it began, nor by what nobody could tell', () => {
    expect(doneIds(mark(read(new Bench(), 0, 'oil'), BEGIN, 5))).toEqual([]);
    expect(doneIds(read(mark(new Bench(), BEGIN, 0), 5, 'unknown'))).toEqual([]);
    expect(doneIds(read(new Bench(), 5, 'oil'))).toEqual([]);
  });
  it('ticks a step of several readings only when all of them are there', () => {
    const b = mark(new Bench(), BEGIN, 0).read('gear.drained', 250e-6, { at: at(3) });
    expect(doneIds(b)).toEqual([]);
    expect(doneIds(b.read('gear.look', 'clear', { at: at(4) }))).toEqual(['drain']);
  });
  it('opens a step again, and a reading after that ticks it anew', () => {
    const b = mark(read(mark(new Bench(), BEGIN, 0), 5, 'oil'), 'first', 8, 'open');
    expect(doneIds(b)).toEqual([]);
    expect(doneIds(read(b, 9, 'oil'))).toEqual(['first']);
  });
  it('is taken up by somebody else: who ticked what stands beside it', () => {
    const b = mark(mark(new Bench(), 'first', 1), 'magnet', 30, 'done', 'Ben');
    expect(doneIds(b)).toEqual(['first', 'magnet']);
    expect(
      progress(b)
        .steps.map((s) => s.mark?.by)
        .filter(Boolean)
    ).toEqual(['Ada', 'Ben']);
    expect(progress(b).next!.step.id).toBe('drain');
  });
  it('takes the marks of two people in the order of their times, whichever came in first', () => {
    const forth = mark(mark(new Bench(), 'first', 1), 'first', 2, 'open', 'Ben');
    const back = mark(mark(new Bench(), 'first', 2, 'open', 'Ben'), 'first', 1);
    expect(doneIds(forth)).toEqual(doneIds(back));
  });
  it('begins anew on its own word: earlier ticks and its end no longer count', () => {
    const b = mark(mark(mark(new Bench(), 'first', 1), undefined, 40), BEGIN, 60);
    expect(progress(b)).toMatchObject({ done: 0, finished: undefined });
  });
  it('keeps its ticks when it is only opened again', () => {
    const b = mark(mark(mark(new Bench(), 'first', 1), undefined, 40), undefined, 41, 'open');
    expect(progress(b)).toMatchObject({ done: 1, finished: undefined });
  });
  it('leaves out the steps of another kind of engine, and keeps their marks', () => {
    const lash = procedureNamed('valve-leaks')!;
    const b = new Bench({ strokes: 'four', interference: 'yes' });
    b.survey = {
      ...b.survey,
      steps: [{ id: 'x', at: at(1), step: procedureMark(lash, 'belt'), state: 'done' }]
    };
    const now = (): Progress => progressOf(contextOf(b.survey, new Date(at(9)), 'metric'), lash);
    expect(now().done).toBe(1);
    b.survey = { ...b.survey, engine: { ...b.survey.engine, profile: { strokes: 'four', interference: 'no' } } };
    expect(now().done).toBe(0);
    b.survey = { ...b.survey, engine: { ...b.survey.engine, profile: { strokes: 'four', interference: 'yes' } } };
    expect(now().done).toBe(1);
  });
  it('a name from outside that is none is nothing', () => {
    for (const name of ['constructor', 'toString', '__proto__', '']) expect(procedureNamed(name)).toBeUndefined();
  });
});

describe('several steps that read the same', () => {
  const test = procedureNamed('case-test')!;
  const begun = (): Bench => {
    const b = new Bench({ strokes: 'two', cylinders: 2, gearCapacity: 300e-6 });
    b.survey = {
      ...b.survey,
      steps: [{ id: 'b', at: at(0), step: procedureMark(test, BEGIN), state: 'done' }]
    };
    return b;
  };
  const ticked = (b: Bench, p = test): string[] =>
    progressOf(contextOf(b.survey, new Date(at(600)), 'metric'), p)
      .steps.filter((s) => s.done)
      .map((s) => s.step.id);
  const psi = (b: Bench, minute: number, value: number): Bench =>
    b.read('gear.casePressure', value * 6894.757, {
      at: at(minute),
      conditions: { stage: value < 7 ? 'low' : 'high' }
    });
  it('are ticked by the stage that the check has judged: one reading, or a short hold, ticks none', () => {
    const b = psi(begun(), 3, 4);
    expect(ticked(b)).toEqual([]);
    expect(ticked(psi(b, 4, 4))).toEqual([]);
    expect(ticked(psi(b, 13, 1.5))).toEqual(['low']);
  });
  it('are ticked each by a reading of its own', () => {
    const again = procedureNamed('rings-soak')!;
    const b = new Bench({ strokes: 'two', cylinders: 1 });
    b.survey = { ...b.survey, steps: [{ id: 'b', at: at(0), step: procedureMark(again, BEGIN), state: 'done' }] };
    const both = (x: Bench, minute: number): Bench =>
      x
        .read('compression.pressure', 6e5, { cylinder: 1, at: at(minute) })
        .read('compression.leakdown', 0.2, { cylinder: 1, at: at(minute + 1) });
    expect(ticked(both(b, 2), again)).toEqual(['before']);
    expect(ticked(both(b, 90), again)).toEqual(['before', 'after']);
  });
  it('are of every cylinder where it is asked of each', () => {
    const soak = procedureNamed('rings-soak')!;
    const b = new Bench({ strokes: 'two', cylinders: 2 });
    b.survey = { ...b.survey, steps: [{ id: 'b', at: at(0), step: procedureMark(soak, BEGIN), state: 'done' }] };
    const of = (cylinder: number): Bench =>
      b
        .read('compression.pressure', 6e5, { cylinder, at: at(1 + cylinder) })
        .read('compression.leakdown', 0.2, { cylinder, at: at(5 + cylinder) });
    of(1);
    expect(ticked(b, soak)).toEqual([]);
    of(2);
    expect(ticked(b, soak)).toEqual(['before']);
  });
  it('what was read before a step was ticked by hand belongs to that step', () => {
    const b = psi(begun(), 3, 12);
    b.survey = {
      ...b.survey,
      steps: [...b.survey.steps!, { id: 'h', at: at(5), step: procedureMark(test, 'high'), state: 'done' }]
    };
    expect(ticked(b)).toEqual(['high']);
  });
});

describe('the mirror', () => {
  it('puts on first what came off last', () => {
    expect(
      mirrored([
        { id: 'a', text: 'A.', takesOff: ['screws', 'cover'] },
        { id: 'b', text: 'B.' },
        { id: 'c', text: 'C.', takesOff: ['wheel'] }
      ])
    ).toEqual(['wheel', 'cover', 'screws']);
  });
});
