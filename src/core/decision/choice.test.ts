import { describe, expect, it } from 'vitest';
import { assess } from '../assess.ts';
import { worked } from '../../../test/worked.ts';
import { choose, optionViews, type State } from './choice.ts';
import { decide } from './decide.ts';

/** What the options are weighed on, with nothing against the engine: each test says what differs. */
interface Given {
  readonly worth?: number;
  readonly salvage?: number;
  readonly costs?: readonly number[];
  readonly serious?: number;
  readonly suspect?: 'likely' | 'unlikely';
  readonly hopeless?: boolean;
  readonly more?: Partial<State>;
}
function state(g: Given = {}): State {
  const costs = Float64Array.from(g.costs ?? [100, 100, 100, 100]).sort();
  const label = 'bearings rusted or washed';
  const s = {
    w: {
      model: { suspects: [{ id: 'bearings', label }] },
      belief: { posterior: [g.serious ?? 0] },
      position: { serious: g.serious === undefined ? [] : [0], loss: [400] },
      money: {
        worthKnown: g.worth !== undefined,
        worth: g.worth ?? 0,
        salvage: g.salvage ?? 0,
        salvageKnown: true,
        rate: 60
      }
    },
    jobs: [{ id: 'service', works: [{ label: 'service', probability: 1, parts: [50, 50, 50], minutes: [0, 0, 0] }] }],
    draws: { costs, mean: costs.reduce((a, b) => a + b, 0) / costs.length, deviation: 0, minutes: costs },
    never: false,
    advice: {
      hopeless: g.hopeless ?? false,
      checks: [],
      suspects: g.suspect ? [{ raised: true, mended: false, artefact: false, chance: g.suspect, label: 'x' }] : []
    },
    open: 0,
    short: false,
    found: false,
    before: [],
    sums: { established: 100, likely: 0, reserve: 0 },
    agreed: false,
    listed: new Set(),
    ...g.more
  };
  return s as unknown as State;
}
const chosen = (g: Given = {}): { id: string; because: string } => {
  const s = state(g);
  return choose(s, optionViews(s));
};

describe('the choice', () => {
  it('nothing against it: service, in the words of the job it came for', () => {
    expect(chosen()).toEqual({ id: 'service', because: expect.stringMatching(/^Nothing asks for repair/) });
    expect(chosen({ more: { short: true } }).because).toMatch(/the rest of the engine is no part of this job/);
  });
  it('a hold that the yard cannot lift goes first, and money says where', () => {
    expect(chosen({ worth: 2000, salvage: 300, more: { never: true } }).id).toBe('specialist');
    expect(chosen({ worth: 400, salvage: 300, more: { never: true } }).id).toBe('parts');
  });
  it('nothing is decided on a doubted reading', () => {
    const next = { class: 4, because: 'One dip says below.', title: 'Dip again', minutes: 3 } as State['next'];
    expect(chosen({ hopeless: true, more: { next } })).toEqual({
      id: 'hold',
      because: 'One dip says below. Nothing is decided on it before.'
    });
  });
  it('what is certain and found ends it, though looks are open; not what is only to be serviced', () => {
    const more = { sums: { established: 900, likely: 0, reserve: 0 }, before: ['Spark, every cylinder'] };
    const ended = { worth: 1000, salvage: 400, more: { ...more, found: true } };
    expect(chosen(ended)).toEqual({ id: 'parts', because: expect.stringMatching(/^What is certain alone/) });
    // Nothing was found, the worth is not known, or it pays: it is looked at first.
    expect(chosen({ ...ended, more: { ...more, found: false } }).id).toBe('hold');
    expect(chosen({ more: { ...more, found: true } }).id).toBe('hold');
    expect(chosen({ ...ended, worth: 2000 }).id).toBe('hold');
    // To the sum: service goes into any engine and is taken off.
    const edge = (established: number): string =>
      chosen({
        worth: 1000,
        salvage: 400,
        more: { ...more, found: true, sums: { established, likely: 0, reserve: 0 } }
      }).id;
    expect([edge(650), edge(651)]).toEqual(['hold', 'parts']);
  });
  it('mending that costs more than it gains is given up', () => {
    expect(chosen({ hopeless: true }).id).toBe('parts');
  });
  it('open looks are named, three of them, with what is certain and the worst', () => {
    const before = ['One', 'Two', 'Three', 'Four', 'Five'];
    expect(chosen({ more: { before } }).because).toMatch(/^Open: One; Two; Three; and 2 more\. The least/);
    expect(chosen({ more: { before: ['One'] } }).because).toMatch(/^Open: One\. The least/);
  });
  it('a look that can turn it comes before it', () => {
    const turning = { title: 'Oil pressure by a gauge', minutes: 15 } as State['turning'];
    expect(chosen({ more: { turning: turning! } })).toEqual({
      id: 'hold',
      because: expect.stringMatching(/^Oil pressure by a gauge: this comes first/)
    });
  });
  it('a dear fault from even odds on is a specialist’s, and under them not', () => {
    expect(chosen({ serious: 0.5 })).toEqual({ id: 'specialist', because: expect.stringMatching(/^Likely bearings/) });
    expect(chosen({ serious: 0.99 }).because).toMatch(/^Almost certainly bearings/);
    expect(chosen({ serious: 0.49 }).id).toBe('service');
  });
  it('work on the list, or a suspect that is likely, is no service', () => {
    expect(chosen({ more: { open: 1 } }).id).toBe('repair');
    expect(chosen({ suspect: 'likely' }).id).toBe('repair');
    expect(chosen({ suspect: 'unlikely' }).id).toBe('service');
  });
  it('what passes the owner’s word is agreed on first', () => {
    const under = (over: number, agreed = false): { id: string; because: string } =>
      chosen({
        costs: Array.from({ length: 100 }, (_, k) => (k < over ? 900 : 100)),
        more: { open: 1, remaining: 500, agreed }
      });
    expect(under(5).id).toBe('repair');
    expect(under(11)).toEqual({ id: 'repair-under', because: expect.stringMatching(/^Worth mending, but 11 in 100/) });
    expect(under(25, true).because).toMatch(/^Agreed on; 25 in 100/);
    expect(under(29, true).because).toMatch(/^Agreed on; 29 in 100/);
    expect(under(35, true).because).toMatch(/^Worth mending, but 35/);
    expect(under(80).because).toMatch(/^It will probably pass/);
  });
  it('a wide sum without a word is agreed on first', () => {
    const wide = Array.from({ length: 100 }, (_, k) => 10 * k);
    expect(chosen({ costs: wide, more: { open: 1 } }).id).toBe('repair');
    expect(chosen({ costs: wide.map((x) => 2 * x), more: { open: 1 } }).because).toMatch(/the sum is wide/);
  });
  it('the faults are known only where one was found', () => {
    expect(chosen({ more: { open: 1, found: true } }).because).toMatch(/^The faults are known/);
    expect(chosen({ more: { open: 1 } }).because).toMatch(/^No fault stands against it/);
  });
  it('a dear one that is neither ruled out nor in the sum is named', () => {
    expect(chosen({ serious: 0.2, more: { open: 1, found: true } }).because).toMatch(/It may not end there: bearings/);
    expect(chosen({ serious: 0.19, more: { open: 1, found: true } }).because).toMatch(/^The faults are known/);
  });
});

describe('the options side by side', () => {
  const value = (g: Given, id: string): number | undefined => optionViews(state(g)).find((v) => v.id === id)!.value;
  it('mended it is worth what it costs less, given up what its parts bring', () => {
    const g = { worth: 1000, salvage: 400 };
    expect(value(g, 'repair')).toBe(900);
    expect(value(g, 'parts')).toBe(400);
    expect(value(g, 'hold')).toBe(900);
    expect(value({ worth: 450, salvage: 400 }, 'hold')).toBe(400);
    expect(value(g, 'service')).toBe(950);
    expect(value(g, 'specialist')).toBe(875);
  });
  it('without a worth there is no value, and no option is called better than another', () => {
    for (const v of optionViews(state())) expect(v).not.toHaveProperty('value');
  });
  it('what cannot be chosen says why', () => {
    const closed = (g: Given, id: string): string | undefined => optionViews(state(g)).find((v) => v.id === id)!.closed;
    expect(closed({}, 'service')).toBeUndefined();
    expect(closed({ more: { found: true } }, 'service')).toMatch(/Faults are found/);
    expect(closed({ more: { before: ['Spark'] } }, 'service')).toMatch(/Open: Spark/);
    expect(closed({ more: { open: 1 } }, 'service')).toMatch(/more than service/);
    expect(closed({ more: { never: true } }, 'repair')).toMatch(/the yard cannot lift/);
    expect(closed({ serious: 0.19 }, 'specialist')).toMatch(/Nothing points/);
    expect(closed({ serious: 0.2 }, 'specialist')).toBeUndefined();
    expect(closed({}, 'hold')).toMatch(/Nothing is left/);
  });
});

describe('the next look of a decision', () => {
  it.each(worked)('%s: is the first look on the list of what to do now', (_, survey) => {
    const a = assess(survey, new Date('2026-05-20T12:00:00.000Z'), 'us');
    const look = a.moves.find(
      (m) => !m.waits && m.class > 2 && m.class < 8 && ['look', 'repeat', 'continue'].includes(m.kind)
    );
    const d = decide(a, 50);
    expect(d.next).toBe(look?.title);
    // What is said to turn the decision can be made now.
    const turns = /^(.*): this comes first: it can turn/.exec(d.because)?.[1];
    if (turns) expect(a.moves.filter((m) => !m.waits).map((m) => m.title)).toContain(turns);
  });
});
