import { judged, opened } from '../../../../test/judged.ts';
import Papa from 'papaparse';
import type { Component } from 'svelte';
import { render } from 'svelte/server';
import { describe, expect, it } from 'vitest';
import type { CaseKind } from '../../../core/engine/case-kind.ts';
import type { History, Profile } from '../../../core/engine/profile.ts';
import { contextOf } from '../../../core/findings/context.ts';
import { runsOf } from '../../../core/stations/run/runs.ts';
import { Bench } from '../../../../test/case.ts';
import { sessionContext, type Session } from '../session/session.svelte.ts';
import PourTally from '../survey/PourTally.svelte';
import CoolingSheet from './CoolingSheet.svelte';
import FuelSheet from './FuelSheet.svelte';
import CaseSection from './gear/CaseSection.svelte';
import GearSheet from './GearSheet.svelte';
import OilSheet from './OilSheet.svelte';
import RunSheet from './RunSheet.svelte';
import Entries from './run/Entries.svelte';
import { csvOf } from './run/export.ts';

/** The leg's sheets as the server draws them: what is asked of which engine, and what a reading changes on the page. */
const open = (b: Bench, units: 'us' | 'metric'): Session =>
  judged(
    opened(b.survey, {
      units,
      now: new Date(Date.parse(b.survey.readings.at(-1)?.at ?? '2026-05-02T08:00:00.000Z') + 5000).toISOString()
    })
  );
function drawn(sheet: Component<never>, b: Bench, props: object = {}, units: 'us' | 'metric' = 'metric'): string {
  const { body } = render(sheet as unknown as Component<object>, {
    props: { station: 'run', instruments: [], references: [], earlier: { flows: [], magnets: [] }, ...props },
    context: sessionContext(open(b, units)) as never
  });
  return body
    .replace(/<!--.*?-->/g, '')
    .replace(/<[^>]*aria-label="([^"]*)"[^>]*>/g, ' [$1] ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ');
}
const bench = (p: Profile = {}, kind: CaseKind = 'neglected', h: History = {}): Bench => new Bench(p, kind, h);
const C = (t: number): number => t + 273.15;
const free = (b: Bench): Bench => b.read('safe.place', 'outdoors').read('cooling.source', 'tank');
function heated(b: Bench, to: number, n = 20): Bench {
  b.read('run.event', 'start');
  for (let k = 1; k <= n; k++)
    b.read('run.temperature', C(to - (to - 12) * Math.exp((-60 * k) / 240)), { conditions: { spot: 'head' } });
  return b;
}

describe('the run sheet', () => {
  it('says that no hold stands against a start only where none does; the page names those that do', () => {
    const text = drawn(RunSheet as never, bench());
    expect(text).not.toMatch(/No hold stands/);
    expect(text).toMatch(/It runs: start the clock/);
    expect(drawn(RunSheet as never, free(bench()))).toMatch(/No hold stands against a start/);
  });
  it('says what the water allows, and the faults that a run would make worse', () => {
    const text = drawn(RunSheet as never, free(bench()).read('cooling.missing', 2));
    expect(text).toMatch(/Water: tank\. Throttle: moderate\./);
    expect(text).toMatch(/The pump has had it: 2 vanes missing/);
  });
  it('while it runs there is a clock, entries and Stop; a hot one shouts', () => {
    const text = drawn(RunSheet as never, heated(free(bench()), 140, 5));
    expect(text).toMatch(/\[Running for .*\]/);
    expect(text).toMatch(/Stop it: it heads for|It reached/);
    expect(text).toMatch(/Stop /);
    expect(text).not.toMatch(/start the clock/);
  });
  it('afterwards it draws the curve in words, lists the runs and compares them', () => {
    const b = heated(free(bench()), 60).read('run.event', 'stop');
    b.wait(0.5);
    const text = drawn(RunSheet as never, heated(b, 60.2).read('run.event', 'stop'));
    expect(text).toMatch(/\[run 2, head: from .* to .* in \d+:00\. /);
    expect(text).toMatch(/\[Runs so far\]/);
    expect(text).toMatch(/Cooler than before|Hotter than before|No difference that these readings can tell/);
  });
});

describe('the entries of a run', () => {
  it('stand with their place and moment, each to be taken back', () => {
    const b = heated(bench(), 60, 3).read('run.remark', 'rattles').read('run.event', 'stop');
    const [run] = runsOf(contextOf(b.survey, new Date('2026-05-02T20:00:00Z'), 'metric'));
    const text = drawn(Entries as never, b, { run });
    expect(text).toMatch(/Remark: rattles/);
    expect(text).toMatch(/\[Take back Temperature \d+ °C at 2:00\]/);
  });
});

describe('a run as CSV', () => {
  it('is RFC 4180 and reads back as it was', async () => {
    const b = heated(bench(), 60, 6).read('run.stream', 'weak').read('run.rpm', 900).read('run.event', 'stop');
    const [run] = runsOf(contextOf(b.survey, new Date('2026-05-02T20:00:00Z'), 'metric'));
    const text = await csvOf(run!);
    // Source: RFC 4180, section 2: lines end with CR LF, the last one too.
    expect(text.split('\r\n').at(-1)).toBe('');
    expect(text.replace(/\r\n/g, '')).not.toMatch(/[\r\n]/);
    const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(8);
    expect(data[0]).toMatchObject({ seconds: '60.0', spot: 'head', rpm: '' });
    expect(data.find((r) => r.stream)!.stream).toBe('weak');
  });
});

describe('the fuel sheet', () => {
  it('draws the line of its supply, each part with its condition', () => {
    const text = drawn(
      FuelSheet as never,
      bench({ supply: 'bulb', fuelSystem: 'carburettor' }).read('fuel.filter', 'clogged'),
      { station: 'fuel' }
    );
    expect(text).toMatch(
      /\[Tank: not looked at\].*\[Bulb: not looked at\].*\[Filters: fault\].*\[Bowl: not looked at\]/
    );
    const gravity = drawn(FuelSheet as never, bench({ supply: 'gravity' }), { station: 'fuel' });
    expect(gravity).toMatch(/\[Tap: not looked at\]/);
    expect(gravity).not.toMatch(/\[Bulb:/);
  });
  it('corrects a tank in place, with the school it was judged by', () => {
    const b = bench({ lubrication: 'premix', premixRatio: 50 })
      .read('fuel.tankHas', 10e-3)
      .read('fuel.tankOil', 'plain')
      .read('fuel.cup', 50e-6);
    const text = drawn(FuelSheet as never, b, { station: 'fuel' });
    expect(text).toMatch(/Add 200 mL of oil for 50:1/);
    expect(text).toMatch(/With this cup: pour 200 mL\. That makes 50\.0:1, 0 % more oil than asked: the safe side/);
    expect(text).toMatch(/Judged by: First-tank premix/);
  });
  it('an unknown mixture is a range, and the safe end is said', () => {
    const b = bench({ lubrication: 'premix', premixRatio: 50 }).read('fuel.tankHas', 10e-3);
    expect(drawn(FuelSheet as never, b, { station: 'fuel' })).toMatch(
      /Nobody knows what is mixed in already: between 0 mL and 200 mL/
    );
  });
});

describe('cooling, oil and gear sheets', () => {
  it('the pump is drawn with what is missing, cracked and set', () => {
    const b = bench()
      .read('cooling.vanes', 8)
      .read('cooling.missing', 1)
      .read('cooling.cracked', 2)
      .read('cooling.set', 30);
    const text = drawn(CoolingSheet as never, b, { station: 'cooling' });
    expect(text).toMatch(/\[Impeller with 8 vanes: 1 missing, 2 cracked, set 30 degrees\]/);
    expect(text).toMatch(/\[Vane 1: missing\].*\[Vane 2: cracked\].*\[Vane 4: good\]/);
  });
  it('what the sister’s stream gives stands beside the bucket', () => {
    const text = drawn(CoolingSheet as never, bench().read('cooling.bucket', 1e-5), {
      station: 'cooling',
      earlier: { flows: [{ label: 'sister engine', flow: 2e-5 }], magnets: [] }
    });
    expect(text).toMatch(/sister engine: 1\.20 L\/min; now less than that\./);
  });
  it('no thermostat, no indicator: nothing is asked of them', () => {
    const text = drawn(CoolingSheet as never, bench({ thermostat: 'not-fitted', indicator: 'not-fitted' }), {
      station: 'cooling'
    });
    expect(text).not.toMatch(/Thermostat in a pan|Timed bucket|Indicator stream/);
  });
  it('the stick, what weighs, and after water the plan', () => {
    const b = bench({ strokes: 'four', sumpWithFilter: 3e-3 }, 'drowned')
      .read('oil.markGap', 12e-3)
      .read('oil.dipAt', 20e-3)
      .read('oil.smell', 'fuel')
      .read('oil.changes', 1);
    const text = drawn(OilSheet as never, b, { station: 'oil' });
    expect(text).toMatch(/\[Dipstick, oil drawn 20 mm over the low mark; marks 12 mm apart\]/);
    expect(text).toMatch(/it smells of fuel: for dilution/);
    expect(text).toMatch(/change 1, made.*15\.0 % left/);
  });
  it('the jars, the magnet of last time, the refill by its plugs', () => {
    const b = bench({ gearCapacity: 4e-4, plugDrain: 'fitted', plugLevel: 'fitted', plugVent: 'not-fitted' })
      .read('gear.look', 'milky')
      .read('gear.bottle', 2.5e-4)
      .read('gear.poured', 1e-4);
    const text = drawn(GearSheet as never, b, {
      station: 'gear',
      earlier: { flows: [], magnets: [{ label: 'last time, 2025-11-02', photo: 'a'.repeat(64) }] }
    });
    expect(text).toMatch(/clear .*dark .*milky .*creamy/);
    expect(text).toMatch(/last time, 2025-11-02/);
    expect(text).toMatch(/2 fresh washers laid out/);
    expect(text).toMatch(/2 bottles of 250 mL for 400 mL; 100 mL left over/);
  });
  it('the section marks where it bubbles; direct drive has no shift shaft', () => {
    expect(drawn(CaseSection as never, bench().read('gear.caseBubbles', ['shift']))).toMatch(
      /\[shift shaft: bubbles\]/
    );
    expect(drawn(CaseSection as never, bench({ shift: 'direct' }))).not.toMatch(/shift shaft/);
  });
  it('the tally says what is to go, and what is left in the bottle', () => {
    const b = bench({ strokes: 'four', sumpWithoutFilter: 1e-3 })
      .read('oil.bottle', 1e-3)
      .read('oil.drained', 9e-4)
      .read('oil.poured', 4e-4)
      .read('oil.poured', 4e-4);
    expect(drawn(PourTally as never, b, { station: 'oil' })).toMatch(
      /800 mL in 2 cups of 1000 mL .*200 mL to go; .*Bottle 1 of 1000 mL: 200 mL left/
    );
  });
});
