import { judged, opened } from '../../../../test/judged.ts';
import type { Component } from 'svelte';
import { render } from 'svelte/server';
import { describe, expect, it } from 'vitest';
import { decide } from '../../../core/decision/decide.ts';
import { advise } from '../../../core/advice/advice.ts';
import { Bench } from '../../../../test/case.ts';
import { sessionContext } from '../session/session.svelte.ts';
import Chance from './Chance.svelte';
import CostChart from './CostChart.svelte';
import DecisionPanel from './DecisionPanel.svelte';
import Looks from './Looks.svelte';
import Options from './Options.svelte';
import SuspectRow from './SuspectRow.svelte';
import SuspectsCard from './SuspectsCard.svelte';
import WeightBars from './WeightBars.svelte';

const words = <P extends object>(c: Component<P>, props: P, context?: Map<unknown, unknown>): string =>
  render(c as Component<object>, { props, ...(context ? { context: context as Map<string, unknown> } : {}) })
    .body.replace(/<!--.*?-->/g, '')
    .replace(/<svg.*?<\/svg>/gs, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const twin = { strokes: 'two', cylinders: 2, indicator: 'fitted', supply: 'bulb' } as const;
const weak = (): Bench => new Bench(twin).read('cooling.stream', 'weak').read('cooling.outlet', 'shut');
const advice = (b: Bench) => advise(b.judged());

describe('a suspect', () => {
  it('has its word beside its knots, its readings for and against, its cure, and figures one tap away', () => {
    const s = advice(weak()).suspects.find((x) => x.id === 'outlet')!;
    const said = words(SuspectRow, { suspect: s, base: '/s', open: true });
    expect(said).toMatch(/^Indicator outlet or its line blocked likely/);
    expect(said).toMatch(/for, strongly: the stream outlet was blocked/);
    expect(said).toMatch(/In figures over 99 %|In figures 9\d %/);
    for (const chance of ['likely', 'possible', 'unlikely'] as const) expect(words(Chance, { chance })).toBe(chance);
  });
  it('readings link to the check they were taken at', () => {
    const { evidence } = advice(weak()).suspects.find((x) => x.id === 'outlet')!;
    const html = render(WeightBars, { props: { evidence, base: '/surveys/x' } }).body;
    expect(html).toMatch(/href="\/surveys\/x\/(cooling|run)"/);
    expect(words(WeightBars, { evidence: [{ ...evidence[0]!, weight: -1.2, strength: 'clearly' }], base: '' })).toMatch(
      /^against, clearly:/
    );
  });
  it('none is a state of its own, and so are weighing and failing', () => {
    const empty = advice(new Bench(twin));
    expect(words(SuspectsCard, { advice: empty, weighing: 'done', base: '/s' })).toMatch(
      /No reading points to anything so far/
    );
    expect(words(SuspectsCard, { advice: empty, weighing: 'weighing', base: '/s' })).toMatch(/weighing…/);
    expect(words(SuspectsCard, { advice: undefined, weighing: 'failed', base: '/s' })).toMatch(/not weighed anew/);
  });
});

describe('next checks', () => {
  it('the best first with its minutes and its reason, what waits with what it waits for', () => {
    const { checks } = advice(new Bench(twin, 'long-stored', { yearsIdle: 5 }));
    const said = words(Looks, { checks, base: '/s' });
    expect(said).toMatch(/^Turn it by hand 2 min/);
    expect(said).toMatch(/more that pay/);
    expect(said).toMatch(/worth it, but something comes first/);
    expect(words(Looks, { checks: [], base: '/s' })).toMatch(/No open check pays for its minutes now/);
  });
});

describe('the decision', () => {
  const b = weak();
  it('says its sum in words for those who do not see the chart, and marks the ceiling', () => {
    const d = decide(b.judged(), 2000);
    const html = render(CostChart, {
      props: { decision: { ...d, ceiling: 240, remaining: 200, overCeiling: 0.4 } }
    }).body;
    expect(html).toMatch(/aria-label="Distribution of the cost: \d+ cr to \d+ cr in eight of ten cases/);
    expect(html).toMatch(/owner’s word 200 cr/);
  });
  it('shows every option, closed ones with why, the advised one by name', () => {
    const d = decide(b.judged(), 2000);
    const said = words(Options, { decision: d, chosen: d.recommended, onchoose: () => {} });
    for (const label of [
      'Service and release',
      'Repair these',
      'Repair if it stays under a sum',
      'Specialist',
      'Keep for parts',
      'Not known enough yet'
    ])
      expect(said).toContain(label);
    expect(said).toMatch(/advised/);
  });
  it('lists what was decided before, newest first, with the owner’s words', () => {
    const decisions = [
      { id: 'a', at: '2026-05-02T09:00:00.000Z', option: 'hold' as const, reason: 'Wait for the second dip.' },
      {
        id: 'b',
        at: '2026-05-02T11:00:00.000Z',
        by: 'Ines',
        option: 'repair' as const,
        reason: 'Known now.',
        authority: 'Go ahead.'
      }
    ];
    const survey = { ...b.survey, decisions };
    const session = judged(opened(survey, { surveyId: 'x', now: '2026-05-02T12:00:00.000Z' }));
    const said = words(
      DecisionPanel,
      { first: decide(b.judged(), 500) },
      sessionContext(session) as unknown as Map<unknown, unknown>
    );
    expect(said.indexOf('Known now.')).toBeLessThan(said.indexOf('Wait for the second dip.'));
    expect(said).toMatch(/The owner: “Go ahead.”/);
    expect(said).toMatch(/no value is put on the options/);
  });
});
