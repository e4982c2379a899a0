import { describe, expect, it } from 'vitest';
import { checkEntryBody } from '../survey/entry-check.ts';
import type { Offer, PartLine } from '../record/work.ts';
import { Bench } from '../../../test/case.ts';
import { chooseOffer } from './choose.ts';
import { lineKey, orderOf } from './lines.ts';
import { partLines } from '../record/part-lines.ts';

const offer = (what: Offer['what'], price?: number, from = 'A'): Offer => ({
  from,
  what,
  ...(price === undefined ? {} : { price })
});
const take = (list: Offer[], rules = {}, pump?: { kit: boolean }) => chooseOffer(list, rules, 'us', pump);

describe('which offer is taken', () => {
  it('a kit that costs little more than its pieces', () => {
    expect(take([offer('pieces', 40), offer('kit', 48)])).toMatchObject({
      take: 1,
      because: expect.stringMatching(/20 % more/)
    });
    expect(take([offer('pieces', 40), offer('kit', 52)])).toMatchObject({
      take: 0,
      because: expect.stringMatching(/30 % more/)
    });
    expect(take([offer('pieces', 40), offer('kit', 52)], { numbers: { kitExtra: 0.4 } }).take).toBe(1);
    expect(take([offer('pieces', 40), offer('kit', 38)]).because).toMatch(/no more than its pieces/);
  });
  it('the cheaper of two sources, and a wide gap between them is doubted', () => {
    const c = take([offer('pieces', 151, 'B'), offer('pieces', 64)]);
    expect(c.take).toBe(1);
    expect(c.because).toMatch(/differ 2.4 times .* make sure it is the same part/);
  });
  it('a pump follows the pump’s own rule', () => {
    const list = [offer('pieces', 22), offer('kit', 47)];
    expect(take(list, {}, { kit: true })).toMatchObject({ take: 1, school: expect.stringMatching(/Water pump/) });
    expect(take(list, { schools: { pump: 'impeller' } }, { kit: true }).take).toBe(0);
    expect(take(list, {}, { kit: false }).take).toBe(0);
  });
  it('cannot tell without prices, and never takes a missing one for nothing', () => {
    expect(take([offer('pieces'), offer('kit')])).toMatchObject({ because: expect.stringMatching(/cannot be told/) });
    expect(take([offer('pieces'), offer('pieces', 90)]).take).toBe(1);
    expect(take([])).toMatchObject({ because: 'No offer was written down.' });
    expect(take([offer('pieces', 0), offer('kit', 0)]).take).toBeDefined();
  });
});

describe('the order', () => {
  const line = (k: number, more: Partial<PartLine>): PartLine => ({
    id: `l${k}`,
    at: `2026-05-02T09:0${k}:00.000Z`,
    key: 'pump/kit',
    step: 'pump',
    name: 'kit',
    state: 'wanted',
    ...more
  });
  const steps = [{ id: 'pump', parts: ['kit', 'O-rings'], state: 'open' as const }];
  it('asks for what open jobs want; the latest word on a line counts', () => {
    const b = new Bench();
    b.survey = {
      ...b.survey,
      parts: [line(2, { state: 'arrived' }), line(1, {}), line(3, { key: 'own/x', name: 'rag' })]
    };
    expect(orderOf(partLines(b.survey), steps).map((l) => [l.name, l.state])).toEqual([
      ['kit', 'arrived'],
      ['O-rings', 'unknown'],
      ['rag', 'wanted']
    ]);
    expect(partLines(b.survey).length).toBe(2);
  });
  it('a key is never longer than what is kept', () => {
    expect(lineKey('pump', 'x'.repeat(500)).length).toBe(160);
  });
  it.each([
    [{ quantity: 0 }, /at least one/],
    [{ due: 'soon' }, /not saved|Not saved/],
    [{ offers: [{ from: '', what: 'kit' }] }, /name the source/],
    [{ offers: [{ from: 'A', what: 'kit', price: -1 }] }, /not negative/]
  ])('refuses %j with a sentence', (more, message) => {
    const r = checkEntryBody('part', { ...line(1, {}), ...more });
    expect(r).toMatchObject({ ok: false, message: expect.stringMatching(message) });
  });
});
