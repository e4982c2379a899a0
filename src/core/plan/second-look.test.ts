import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { two } from '../../../test/stories/engines.ts';
import { secondLookMark, secondLooks } from './second-look.ts';

/** A crank seal, three hours of work. */
const resealed = (by?: string): Bench => mark(new Bench(two), 'crank-seal', by);
function mark(b: Bench, step: string, by?: string, more = {}): Bench {
  b.done(step);
  const steps = [...b.survey.steps!];
  steps[steps.length - 1] = { ...steps.at(-1)!, ...(by ? { by } : {}), ...more };
  b.survey = { ...b.survey, steps };
  return b;
}
const looks = (b: Bench) => secondLooks(b.survey, b.assessed().steps);
const gate = (b: Bench) => b.assessed().gates.find((g) => g.id === 'second-look');

describe('a second look at long or late work', () => {
  it('is asked for over two hours, and closes the gate until it was made', () => {
    const b = resealed('Jory');
    expect(looks(b)).toMatchObject([{ job: 'crank-seal', because: 'long' }]);
    expect(gate(b)).toMatchObject({ passes: false, condition: 'watch', reasonOpens: true });
    expect(gate(b)!.sentence).toMatch(/more than two hours’ work/);
    mark(b, secondLookMark('crank-seal'), 'Maud');
    expect(looks(b)[0]!.looked).toMatchObject({ by: 'Maud' });
    expect(gate(b)).toMatchObject({ passes: true });
  });
  it('by the same eyes counts the next morning only', () => {
    const b = resealed('Jory');
    mark(b, secondLookMark('crank-seal'), 'Jory');
    expect(gate(b)).toMatchObject({ passes: false });
    expect(gate(b)!.sentence).toMatch(/same eyes the same day/);
    mark(b.wait(8), secondLookMark('crank-seal'), 'Jory');
    expect(gate(b)).toMatchObject({ passes: true });
  });
  it('nobody’s name is no other person', () => {
    const b = mark(resealed(), secondLookMark('crank-seal'));
    expect(gate(b)).toMatchObject({ passes: false });
    expect(gate(mark(resealed('Jory'), secondLookMark('crank-seal')))).toMatchObject({ passes: false });
  });
  it('short work asks for none, unless it was done late', () => {
    expect(gate(mark(new Bench(two), 'plugs', 'Jory'))).toBeUndefined();
    const late = mark(new Bench(two), 'pump', 'Jory', { late: true });
    expect(looks(late)).toMatchObject([{ job: 'pump', because: 'late' }]);
    expect(gate(late)!.sentence).toMatch(/done late or interrupted/);
  });
  it('work that was opened again and done anew is looked at anew', () => {
    const b = mark(resealed('Jory'), secondLookMark('crank-seal'), 'Maud');
    mark(b, 'crank-seal', 'Jory');
    expect(gate(b)).toMatchObject({ passes: false });
  });
  it('a reason opens it, and stands in the record', () => {
    const b = resealed('Jory');
    b.survey = {
      ...b.survey,
      reasons: [
        { id: 'g', at: b.survey.steps!.at(-1)!.at, gate: 'second-look', reason: 'Alone in the yard this week.' }
      ]
    };
    expect(gate(b)).toMatchObject({ passes: true, reason: { text: 'Alone in the yard this week.' } });
  });
});
