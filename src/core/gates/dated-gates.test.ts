import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { collectFor, practice } from '../../../test/findings.ts';
import { lookedOver } from '../../../test/looked-over.ts';
import { secondLookMark } from '../plan/second-look.ts';
import { gatesOf, type Gate } from './gates.ts';

const four = { strokes: 'four', cylinders: 2 } as const;
const look = (b: Bench): Gate => b.assessed().gates.find((g) => g.id === 'station.look')!;
const of = (b: Bench, id: string): Gate | undefined => b.assessed().gates.find((g) => g.id === id);
/** Every place of the look-over good; what the test is about is read after it. */
const walked = (): Bench => lookedOver(new Bench(four));

describe('what has a date of its own', () => {
  it('opens its gate with that date on it, where nothing else is watched there', () => {
    const g = look(walked().read('look.anodes', 'half'));
    expect(g).toMatchObject({ passes: true, condition: 'watch' });
    expect(g.later?.[0]).toMatch(/^Anodes, at the next haul-out: /);
    expect(g.sentence).toMatch(/Anodes, at the next haul-out/);
  });
  it('beside another thing to watch it opens nothing', () => {
    const g = look(walked().read('look.anodes', 'half').read('look.swivel', 'stiff'));
    expect(g.passes).toBe(false);
    expect(g.later).toBeUndefined();
  });
  it('a fault beside it is what the gate says', () => {
    const g = look(walked().read('look.anodes', 'half').read('look.hoses', 'cracked'));
    expect(g).toMatchObject({ passes: false, condition: 'fault' });
  });
});

describe('gates that are there only where they have something to say', () => {
  it('what it was brought for', () => {
    expect(of(new Bench(four), 'said')).toBeUndefined();
    const brought = (): Bench => new Bench(four, 'neglected', { said: ['shakes'] });
    expect(of(brought(), 'said')).toMatchObject({ condition: 'watch', passes: false, reasonOpens: true });
    const shown = brought().read('run.event', 'start').wait(0.3).read('run.idles', 'even').read('run.outcome', 'ran');
    expect(of(shown.read('run.minutes', 15), 'said')).toMatchObject({ condition: 'sound', passes: true });
  });
  it('a second look at long work: due until somebody looked', () => {
    expect(of(new Bench(four), 'second-look')).toBeUndefined();
    const b = new Bench(four).read('compression.leakdown', 0.6, { cylinder: 1 }).done('valves');
    const g = of(b, 'second-look')!;
    expect(g).toMatchObject({ condition: 'watch', passes: false, reasonOpens: true });
    b.done(secondLookMark('valves'));
    expect(of(b, 'second-look')!.passes).toBe(false);
    b.wait(10).done(secondLookMark('valves'));
    const looked = of(b, 'second-look')!;
    expect([looked.condition, looked.passes]).toEqual(['sound', true]);
  });
});

describe('the job list', () => {
  const jobs = (found: Parameters<typeof gatesOf>[1], steps: Parameters<typeof gatesOf>[3]): Gate =>
    gatesOf(new Bench(four).judged().context, found, [], steps).find((g) => g.id === 'jobs')!;
  const fault = collectFor('cooling', 'fault', practice);
  const step = (state: 'open' | 'done' | 'proved', by?: string): Parameters<typeof gatesOf>[3] =>
    [
      {
        id: 'pump',
        title: 'Renew the water pump',
        state,
        proof: { station: 'cooling', text: '' },
        ...(by ? { by } : {})
      }
    ] as never;
  it('a fault for which no job stands is said, and is no clean list', () => {
    expect(jobs(fault, [])).toMatchObject({ condition: 'cannot-tell', passes: false, reasonOpens: true });
    expect(jobs(fault, []).sentence).toMatch(/^No job stands for it yet: /);
    expect(jobs(fault, step('proved')).condition).toBe('cannot-tell');
    expect(jobs(collectFor('cooling', 'watch', practice), []).passes).toBe(true);
  });
  it('with a job open, or done and not proved, that is what is said', () => {
    expect(jobs(fault, step('open')).sentence).toMatch(/is open/);
    expect(jobs(fault, step('done')).sentence).toMatch(/^Done but not proved/);
  });
  it('a job that may wait with its date keeps nothing open', () => {
    expect(jobs([], step('open', 'by the next haul-out'))).toMatchObject({ condition: 'sound', passes: true });
  });
  it('proved, it says so', () => {
    expect(jobs([], step('proved')).sentence).toBe('Every job is done and proved.');
  });
});
