import type { Component } from 'svelte';
import { render } from 'svelte/server';
import { describe, expect, it } from 'vitest';
import { hazards } from '../../../core/hazards/hazards.ts';
import { allItems } from '../../../core/stations/items.ts';
import { choice, photo, quantity, several, series, text } from '../../../core/items/item.ts';
import { Bench } from '../../../../test/case.ts';
import EngineDrawing from '../drawing/EngineDrawing.svelte';
import StationChart from '../drawing/StationChart.svelte';
import ItemInput from '../form/ItemInput.svelte';
import HazardLines from '../marks/HazardLines.svelte';
import Shape from '../marks/Shape.svelte';
import BeforeAfterTable from './BeforeAfterTable.svelte';
import FindingCard from './FindingCard.svelte';
import HoldBanner from './HoldBanner.svelte';
import JobCard from './JobCard.svelte';
import { heldAgainst } from '../../../core/holds/against.ts';
import type { Move } from '../../../core/moves/move.ts';
import { placeOf } from '../marks/move-place.ts';
import NowCard from './NowCard.svelte';
import Refused from './Refused.svelte';

/** Small parts of the pages, drawn alone: what they say, and that condition is never colour only. */
const html = <P extends object>(c: Component<P>, props: P): string =>
  render(c as Component<object>, { props }).body.replace(/<!--.*?-->/g, '');
const words = <P extends object>(c: Component<P>, props: P): string =>
  html(c, props)
    .replace(/<svg.*?<\/svg>/gs, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

describe('a condition', () => {
  it('has a shape of its own, and its word for those who cannot see it', () => {
    const all = ['not-looked-at', 'sound', 'watch', 'fault', 'held', 'cannot-tell'] as const;
    const drawn = all.map((condition) => html(Shape, { condition }));
    expect(
      new Set(drawn.map((d) => d.replace(/fill="[^"]*"|stroke="[^"]*"|aria-label="[^"]*"|>[^<]*</g, ''))).size
    ).toBe(all.length);
    expect(drawn[3]).toMatch(/fault/);
  });
});

describe('a finding', () => {
  const { findings } = new Bench({ strokes: 'two', cylinders: 2 })
    .psi([
      [1, 118],
      [2, 84]
    ])
    .judged();
  it('opens to its inputs, value, limit, formula and source', () => {
    const low = findings.find((f) => f.id === 'compression.low.2')!;
    const said = words(FindingCard, { finding: low });
    for (const part of ['because', 'From', 'Value', 'Uncertain', 'Limit', 'School', 'Formula', 'Source'])
      expect(said).toContain(part);
    expect(said).toMatch(/common practice/);
  });
});

describe('holds', () => {
  const b = new Bench({ strokes: 'two', cylinders: 1 }, 'drowned', { runningWhenSunk: 'yes', submerged: 'yes' });
  it('refuse a check with what is open of each of them, and where that is read', () => {
    const holds = heldAgainst(b.read('turn.plugs', 'out').judged().holds, 'run');
    const said = words(Refused, { holds, base: '/s' });
    expect(said).toMatch(/^Refused: Drowned while running: no spin at all\./);
    for (const h of holds) {
      expect(said).toContain(`${h.title}.`);
      for (const n of h.needs)
        expect(said.includes(n.text)).toBe(
          !n.done || holds.some((x) => x.needs.some((y) => y.text === n.text && !y.done))
        );
    }
    expect(html(Refused, { holds, base: '/s' })).toContain('href="/s/turn"');
    expect(words(Refused, { holds: [], base: '/s' })).toBe('');
  });
  it('say what lifts them, what is done and what is open, with a way there', () => {
    const holds = b.judged().holds.filter((h) => !h.standing);
    const said = words(HoldBanner, { holds, base: '/surveys/x', onoverride: () => {} });
    expect(said).toMatch(/Drowned while running: no spin at all.*Lifts when:.*two slow, smooth hand turns/);
    expect(said).toMatch(/Override with a reason/);
    expect(html(HoldBanner, { holds, base: '/surveys/x' })).toContain('href="/surveys/x/turn"');
  });
  it('are nothing at all when none stands', () => {
    expect(html(HoldBanner, { holds: [] }).trim()).toBe('');
  });
});

describe('a job', () => {
  it('says why, how, with what, how long, what can hurt and what proves it', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1 }).read('look.wiring', 'chewed');
    const step = b.assessed().steps.find((s) => s.id === 'wiring')!;
    const said = words(JobCard, { step, number: 1, base: '/surveys/x', titles: {}, onmark: () => {} });
    expect(said).toMatch(/Mend wires and connectors/);
    expect(said).toMatch(/Wires are chewed or chafed/);
    expect(said).toMatch(/crimp tool/);
    expect(said).toMatch(/40 min/);
    expect(said).toMatch(/wiring whole/);
  });
});

describe('what to do now', () => {
  const move = (title: string, more: Partial<Move> = {}): Move => ({
    kind: 'look',
    class: 6,
    id: title,
    title,
    station: 'plugs',
    minutes: 8,
    because: 'Not looked at yet.',
    ...more
  });
  it('names the first with its minutes and its reason, and the two after it', () => {
    const moves = [move('Plugs'), move('Held', { waits: 'First: this.' }), move('Spark'), move('Gear'), move('Fuel')];
    const said = words(NowCard, { moves, base: '/s' });
    expect(said).toMatch(/^Now Plugs · 8 min Not looked at yet\. Then Spark · 8 min Gear · 8 min$/);
  });
  it('names the work that is known and cannot be begun, with what it waits for', () => {
    const gasket = move('Gasket', {
      kind: 'job',
      job: 'head-gasket',
      parts: ['head gasket'],
      waits: 'Waits for head gasket (to order).'
    });
    const moves = [move('Plugs'), move('Held', { waits: 'First: this.' }), gasket];
    expect(words(NowCard, { moves, base: '/s' })).toMatch(
      /Cannot be begun yet Gasket Waits for head gasket \(to order\)\.$/
    );
    expect(html(NowCard, { moves, base: '/s' })).toContain('href="/s/jobs#job-head-gasket"');
  });
  it('on its own page it is no link; what stops is said at once; none is a state of its own', () => {
    expect(words(NowCard, { moves: [move('Plugs')], base: '/s', here: '/s/plugs' })).toMatch(/It is on this page/);
    const stop = render(NowCard, { props: { moves: [move('Stop it now', { class: 1 })], base: '/s' } }).body;
    expect(stop).toMatch(/aria-live="assertive"/);
    expect(words(NowCard, { moves: [], base: '/s' })).toMatch(/Weighing/);
  });
  it.each([
    [move('a'), '/s/plugs'],
    [move('a', { kind: 'job', job: 'lead' }), '/s/jobs#job-lead'],
    [move('a', { kind: 'release' }), '/s/ready'],
    [move('a', { kind: 'ask' }), '/s/suspects#worth-title']
  ])('leads to its place: %#', (m, place) => expect(placeOf(m, '/s')).toBe(place));
});

describe('hazards', () => {
  it('each one line of what and one of what to do, with the law at the end', () => {
    const said = words(HazardLines, { ids: Object.keys(hazards) as (keyof typeof hazards)[] });
    for (const h of Object.values(hazards)) {
      expect(said).toContain(h.what);
      expect(said).toContain(h.act);
    }
    expect(said).toMatch(/Follow local codes/);
  });
});

describe('before and after', () => {
  it('stand in a table with their heads', () => {
    const rows = [
      {
        what: 'look.cowl',
        label: 'Under the cowl',
        before: 'a nest',
        after: 'clean',
        changed: true,
        verdict: 'changed',
        said: 'changed'
      }
    ] as const;
    expect(words(BeforeAfterTable, { rows })).toMatch(
      /Reading Before After Which says Under the cowl a nest clean changed/
    );
  });
});

describe('the drawing', () => {
  it('is decoration: hidden, with a barrel for every cylinder', () => {
    const drawn = html(EngineDrawing, { profile: { cylinders: 6, layout: 'v' } });
    expect(drawn).toContain('aria-hidden="true"');
    expect(drawn.match(/text-anchor="middle"/g)).toHaveLength(6);
  });
  it('leads to every check in order, with the keys of the top row', () => {
    const { stations } = new Bench({ strokes: 'four' }).judged();
    const said = words(StationChart, { profile: { strokes: 'four' }, stations, base: '/s' });
    expect(said).toMatch(/1 Make it safe.*2 Look-over.*9 Cooling.*0 Engine oil.*- First run/);
    expect(html(StationChart, { profile: {}, stations, base: '/s', current: 'gear' })).toMatch(
      /href="\/s\/gear" aria-current="page"/
    );
  });
});

describe('fields', () => {
  const base = { name: 'x', units: 'us' as const, oncommit: () => {} };
  it('follow from their item: choice, several, number, series, text', () => {
    const pick = choice({ label: 'Pick', options: { a: ['left', 'a hint'], b: 'right' }, absent: true });
    expect(words(ItemInput, { ...base, item: pick })).toBe('Pick left a hint right not fitted unknown');
    expect(html(ItemInput, { ...base, item: pick, value: 'b' })).toMatch(/value="b" checked/);
    expect(words(ItemInput, { ...base, item: several({ label: 'Some', options: { a: 'one', b: 'two' } }) })).toBe(
      'Some one two none unknown'
    );
    const number = quantity({ label: 'Depth', dimension: 'length', min: 0, max: 1, example: '62 mm' });
    expect(html(ItemInput, { ...base, item: number })).toContain('placeholder="62 mm"');
    const pulls = series({ label: 'Pulls', dimension: 'pressure', min: 0, max: 1e6, most: 9 });
    expect(html(ItemInput, { ...base, item: pulls, value: [5e5, 6e5] })).toContain('73 · 87 psi');
    expect(html(ItemInput, { ...base, item: text({ label: 'Note', long: true }) })).toContain('<textarea');
  });
  it('in a table are a select or a bare field, named for those who listen', () => {
    const pick = choice({ label: 'Colour, cylinder 2', options: { a: 'blue' } });
    const cell = html(ItemInput, { ...base, item: pick, compact: true });
    expect(cell).toContain('<select');
    expect(cell).toContain('Colour, cylinder 2');
  });
  it('show a refusal beside the field and keep what was typed', () => {
    const number = quantity({ label: 'Depth', dimension: 'length', min: 0, max: 1 });
    const refused = html(ItemInput, { ...base, item: number, typed: 'deep', error: 'That is no length.' });
    expect(refused).toContain('value="deep"');
    expect(refused).toMatch(/role="alert"[^>]*>That is no length\./);
    expect(refused).toContain('aria-invalid="true"');
  });
  it('of a photograph are not a form field', () => {
    expect(html(ItemInput, { ...base, item: photo({ label: 'Plate' }) }).trim()).toBe('');
  });
  it('asked of some engines only say of which', () => {
    expect(allItems['turn.lockPinion'].when?.({ starting: 'rope' })).toBe(false);
    expect(allItems['spark.supply'].when?.({ ignition: 'cdi' })).toBe(false);
    expect(allItems['compression.lashIn'].when?.({ strokes: 'two' })).toBe(false);
    expect(allItems['turn.reverseLock'].when?.({ tilt: 'hydraulic' })).toBe(false);
  });
});
