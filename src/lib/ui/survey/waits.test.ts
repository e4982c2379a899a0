import { judged, opened } from '../../../../test/judged.ts';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { render } from 'svelte/server';
import { runningWaits } from '../../../core/record/wait.ts';
import { Bench } from '../../../../test/case.ts';
import { sessionContext, type Session } from '../session/session.svelte.ts';
import WaitForm from './WaitForm.svelte';
import WaitBar from './WaitBar.svelte';

let sent: { type: string; body: Record<string, unknown> }[];
beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse('2026-05-02T09:00:00.000Z') });
  sent = [];
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} });
  vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
    sent.push(...(JSON.parse(init.body) as { entries: typeof sent }).entries);
    return new Response(JSON.stringify({ entries: [], facts: [], refused: [] }));
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const open = (b = new Bench({ cylinders: 2, strokes: 'two' })): Session =>
  judged(opened(b.survey, { units: 'metric', now: '2026-05-02T09:00:00.000Z' }));
const words = (s: Session, c: typeof WaitBar): string =>
  render(c, { context: sessionContext(s) as never })
    .body.replace(/<!--.*?-->/g, '')
    .replace(/<svg.*?<\/svg>/gs, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ');

describe('waits of an open assessment', () => {
  it('are sent like readings, with who started them and where', async () => {
    const s = open();
    s.wait('Gear oil draining', 44, 'gear');
    await vi.runOnlyPendingTimersAsync();
    expect(sent[0]).toMatchObject({
      type: 'wait',
      body: { label: 'Gear oil draining', minutes: 44, station: 'gear', by: 'Ines' }
    });
    expect(words(s, WaitBar)).toMatch(/Gear oil draining 44:00 left End it/);
  });
  it('end by a tap or by undo; nothing is erased', async () => {
    const s = open();
    s.wait('Soak', 10);
    s.endWait(runningWaits(s.survey.waits)[0]!.wait);
    expect(runningWaits(s.survey.waits)).toEqual([]);
    expect(s.survey.waits).toHaveLength(2);
    s.wait('Charge', 60);
    expect(s.undo()).toBe('Charge');
    expect(runningWaits(s.survey.waits)).toEqual([]);
  });
  it('that are over say since when, and are done rather than ended', () => {
    const s = open();
    s.wait('Settling', 5);
    s.now = new Date('2026-05-02T09:09:30.000Z');
    expect(words(s, WaitBar)).toMatch(/Settling over since 4 min Done/);
  });
  it('take no room while none runs', () => {
    expect(words(open(), WaitBar).trim()).toBe('');
  });
  it('are offered with the time that this case needs in this cold', () => {
    const cold = open(new Bench({}).read('safe.air', 283.15));
    const { body } = render(WaitForm, {
      props: { station: 'gear', onbegun: () => {} },
      context: sessionContext(cold) as never
    });
    expect(body).toMatch(/Gear oil draining, 44 min/);
    expect(body).toMatch(/by the oil’s viscosity at 10 °C/);
  });
});

describe('conditions of the next readings', () => {
  it('are the usual ones until set, and oil put into the bores is remembered', () => {
    const s = open();
    expect(s.conditionsOf('compression')).toEqual({ throttle: 'open', engine: 'cold', bores: 'dry' });
    s.read('plugs.oil', 4e-6);
    expect(s.conditionsOf('compression')).toEqual({ throttle: 'open', engine: 'cold', bores: 'oiled', dose: 4e-6 });
    s.setConditions('compression', { throttle: 'shut' });
    expect(s.conditionsOf('compression')).toEqual({ throttle: 'shut' });
    expect(s.conditionsOf('spark')).toEqual({ path: 'tester', light: 'shade' });
  });
});

describe('a photograph that arrived', () => {
  it('is a reading of its place, one beside the other, taken back like any other', () => {
    const s = open();
    s.read('look.skegPhoto', 'a'.repeat(64));
    s.read('look.skegPhoto', 'b'.repeat(64));
    expect(s.record.all('look.skegPhoto').map((r) => r.value)).toEqual(['a'.repeat(64), 'b'.repeat(64)]);
    s.correct(s.record.all('look.skegPhoto')[0]!, undefined);
    expect(s.record.all('look.skegPhoto')).toHaveLength(1);
  });
});
