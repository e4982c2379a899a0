import type { Component } from 'svelte';
import { render } from 'svelte/server';
import { describe, expect, it } from 'vitest';
import type { BenchEngine } from '../../../core/schedule/bench.ts';
import { planBench } from '../../../core/schedule/plan-bench.ts';
import { usualBench } from '../../../core/schedule/settings.ts';
import { todayOf } from '../../../core/schedule/today.ts';
import { figuresOf } from '../../../core/report/figures.ts';
import { contextWithWork } from '../../../core/jobs/work.ts';
import { trendsOf } from '../../../core/history/trends.ts';
import { Bench } from '../../../../test/case.ts';
import DueRow from '../care/DueRow.svelte';
import TrendChart from '../history/TrendChart.svelte';
import PartForm from '../parts/PartForm.svelte';
import FigureView from '../record/FigureView.svelte';
import { gapSaid, momentOf } from './axis.ts';
import Deliveries from './Deliveries.svelte';
import Picker from './Picker.svelte';
import Timeline from './Timeline.svelte';
import TodayList from './TodayList.svelte';

const html = <P extends object>(c: Component<P>, props: P): string =>
  render(c as Component<object>, { props }).body.replace(/<!--.*?-->/g, '');
const words = <P extends object>(c: Component<P>, props: P): string =>
  html(c, props)
    .replace(/<svg.*?<\/svg>/gs, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&nbsp;|\s+/g, ' ')
    .trim();

const now = new Date(2026, 4, 4, 8, 0);
const step = (id: string, title: string, minutes: number, wait = 0): BenchEngine['steps'][number] => ({
  id,
  title,
  minutes,
  wait,
  after: [],
  follows: [],
  state: 'open',
  parts: []
});
const engines: BenchEngine[] = [
  { id: 'a', tag: 'Alpha', steps: [step('gear-refill', 'Refill the case', 10, 60)], runs: false, parts: [] },
  { id: 'b', tag: 'Beta', steps: [step('anodes', 'Renew the anodes', 30)], runs: false, parts: [] }
];
const input = {
  engines,
  settings: { ...usualBench, people: ['Ada'] },
  pins: [{ engine: 'b', step: 'anodes', person: 'Ada' }],
  now: now.toISOString()
};
const { plan, problem } = planBench(input, { tries: 50 });

describe('the bench', () => {
  it('today: in order, minutes and no clock times', () => {
    const said = words(TodayList, { today: todayOf(plan.solution, problem) });
    expect(said).toMatch(/Monday 4 May, in this order/);
    expect(said).toMatch(/1 Now Alpha · Refill the case .*2 Beta · Renew the anodes/);
    expect(said).not.toMatch(/\d\d:\d\d/);
  });
  it('the timeline says each step in words, in the list’s order whatever the plan’s', () => {
    const drawn = html(Timeline, { plan, onchoose: () => {}, onpin: () => {}, onrelease: () => {} });
    const labels = [...drawn.matchAll(/aria-label="([^"]+min[^"]*)"/g)].map((m) => m[1]!);
    expect(labels[0]).toMatch(/^Alpha: Refill the case, 10 min, Ada, about Mon 4 May 08:30, then 60 min by itself$/);
    expect(labels.find((l) => l.startsWith('Beta: Renew'))).toMatch(/pinned$/);
    const other = { ...plan, rows: [...plan.rows].reverse() };
    expect(html(Timeline, { plan: other, onchoose: () => {}, onpin: () => {}, onrelease: () => {} })).toBe(drawn);
  });
  it('a minute of work is a moment on the wall, over a night too', () => {
    const openings = [
      { work: 0, wall: 100, minutes: 60 },
      { work: 60, wall: 1000, minutes: 60 }
    ];
    expect(momentOf(openings, 30).getTime()).toBe(130 * 60_000);
    expect(momentOf(openings, 70).getTime()).toBe(1010 * 60_000);
    expect([gapSaid(0), gapSaid(0.004), gapSaid(0.061)].join()).toMatch(/Nothing can be over sooner.*one %.*7 %/);
  });
  it('a refused date stays in its field; nothing ordered is a state of its own', () => {
    const d = { surveyId: 's', tag: 'Alpha', key: 'k', name: 'gasket', state: 'ordered' as const, open: true };
    expect(html(Deliveries, { deliveries: [d], form: { key: 'k', typed: 'soon', message: 'no' } })).toMatch(
      /value="soon"/
    );
    expect(words(Deliveries, { deliveries: [d], form: null })).toMatch(/ordered, nobody knows for when/);
    expect(words(Deliveries, { deliveries: [], form: null })).toMatch(/Nothing is ordered/);
  });
  it('a pause that nothing fits says so', () => {
    const asked = { minutes: 5, cleanHands: true, quiet: false, lampOnly: false };
    expect(words(Picker, { asked, picks: [] })).toMatch(/Nothing fits/);
  });
});

describe('parts, care and figures', () => {
  it('a line’s form keeps what was typed beside its complaint', () => {
    const form = { typed: { price0: 'dear', from0: 'A' }, errors: { price0: 'This is no sum.' } };
    const drawn = html(PartForm, { surveyId: 's', form });
    expect(drawn).toMatch(/value="dear"[^>]*aria-invalid="true"/);
    expect(drawn).toMatch(/This is no sum/);
  });
  it('what falls due says by when, by which rule, and when nobody knows', () => {
    const due = {
      id: 'gear-oil',
      title: 'Gear oil',
      state: 'unknown',
      because: 'Never recorded.',
      school: 'house rule'
    } as const;
    expect(words(DueRow, { due })).toMatch(/no day known/);
    expect(words(DueRow, { due: { ...due, state: 'later', day: '2027-05-01', atHours: 220 } })).toMatch(
      /1 May 2027.*or at 220 h/
    );
  });
  it('charts say in words what they draw', () => {
    const psi = (k: number) =>
      new Bench({ cylinders: 2 }).psi([
        [1, 120 - k],
        [2, 118]
      ]);
    const [figure] = figuresOf(psi(0).assessed());
    expect(html(FigureView, { figure: figure! })).toMatch(
      /aria-label="Compression by cylinder, psi: cylinder 1 120; cylinder 2 118"/
    );
    const later = psi(20).survey;
    const moved = { ...later, readings: later.readings.map((r) => ({ ...r, at: r.at.replace('2026', '2027') })) };
    const [trend] = trendsOf(
      [psi(0).survey, moved].map((s) => contextWithWork(s, new Date(s.assessment.startedAt), 'us'))
    );
    const drawn = html(TrendChart, { trend: trend!, units: 'us' });
    expect(drawn).toMatch(/aria-label="Compression. cyl 1: 120 psi in May 2026, 100 psi in May 2027; cyl 2/);
    expect(drawn).not.toMatch(/NaN/);
    expect(new Set([...drawn.matchAll(/stroke-dasharray="([^"]*)"/g)].map((m) => m[1])).size).toBe(2);
  });
});
