import { judged, opened } from '../../../../test/judged.ts';
import { stationIds } from '../../../core/stations/register.ts';
import type { Component } from 'svelte';
import { createRawSnippet } from 'svelte';
import { render } from 'svelte/server';
import { describe, expect, it } from 'vitest';
import type { CaseKind } from '../../../core/engine/case-kind.ts';
import type { History, Profile } from '../../../core/engine/profile.ts';
import { itemsOf } from '../../../core/stations/items.ts';
import { placeIds } from '../../../core/stations/look/places.ts';
import { Bench } from '../../../../test/case.ts';
import CompressionSheet from './CompressionSheet.svelte';
import LeakDown from './compression/LeakDown.svelte';
import { LeakFitting } from '../session/leak-fit.svelte.ts';
import { sessionContext, type Session } from '../session/session.svelte.ts';
import SparkSheet from './SparkSheet.svelte';
import StationFields from '../survey/StationFields.svelte';
import LookSheet from './LookSheet.svelte';
import PlugsSheet from './PlugsSheet.svelte';
import GearSheet from './GearSheet.svelte';
import TurnSheet from './TurnSheet.svelte';

/** The sheets as the server draws them: what is asked of which engine, and what a reading changes on the page. */
const open = (b: Bench, units: 'us' | 'metric' = 'us'): Session => judged(opened(b.survey, { units }));
/** The words of a sheet, without its markup. */
function drawn<P extends object>(
  sheet: Component<P>,
  b: Bench,
  props: P = {} as P,
  units: 'us' | 'metric' = 'us'
): string {
  const { body } = render(sheet as Component<object>, { props, context: sessionContext(open(b, units)) as never });
  return body
    .replace(/<!--.*?-->/g, '')
    .replace(/<svg.*?<\/svg>/gs, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ');
}
const bench = (profile: Profile, kind: CaseKind = 'neglected', history: History = {}): Bench =>
  new Bench(profile, kind, history);
const nothing = createRawSnippet(() => ({ render: () => '<span></span>' }));

describe('turn and shift', () => {
  it('says the direction at the place, and how many bumps there should be', () => {
    expect(drawn(TurnSheet, bench({ strokes: 'two', cylinders: 3, turning: 'clockwise' }))).toMatch(
      /Clockwise seen from above, and only so\. From the profile\. Two full turns should give 6 bumps/
    );
    expect(drawn(TurnSheet, bench({ turning: 'anticlockwise', strokes: 'four', cylinders: 1 }))).toMatch(
      /Anticlockwise seen from above.*should give 1 bump;/
    );
    expect(drawn(TurnSheet, bench({}))).toMatch(/taken as usual; the arrow on the flywheel wins/);
  });
  it('a direct drive has nothing to shift, a hydraulic tilt no reverse lock', () => {
    expect(drawn(TurnSheet, bench({ shift: 'direct' }))).toMatch(/Direct drive: nothing to shift/);
    const hydraulic = drawn(TurnSheet, bench({ shift: 'shift', tilt: 'hydraulic' }));
    expect(hydraulic).toMatch(/Neutral: spin the propeller/);
    expect(hydraulic).not.toMatch(/tilt lock must rise/);
  });
  it('the lock tree comes with the word locked and not before', () => {
    expect(drawn(TurnSheet, bench({}))).not.toMatch(/What locks it/);
    const locked = drawn(TurnSheet, bench({}).read('turn.result', 'locked'));
    expect(locked).toMatch(/What locks it.*liquid above a piston possible.*Try next · 8 min/);
  });
  it('water and displacing oil are asked of a drowned engine only', () => {
    expect(drawn(TurnSheet, bench({}))).not.toMatch(/Water-displacing oil/);
    expect(drawn(TurnSheet, bench({}, 'drowned'))).toMatch(/Water-displacing oil/);
  });
});

describe('look-over', () => {
  it('has every place on the drawing, the plate, and the engine’s own traces and gaps', () => {
    const text = drawn(LookSheet, bench({ absent: ['battery'] }));
    expect(text).toMatch(new RegExp(`${placeIds.length} of ${placeIds.length} places not answered yet`));
    expect(text).toMatch(/Identity plate.*Traces of earlier hands.*Parts missing on arrival/);
  });
  it('counts what is left and offers the rest in one tap only after a first answer', () => {
    expect(drawn(LookSheet, bench({}))).not.toMatch(/The rest looks sound/);
    expect(drawn(LookSheet, bench({}).read('look.cowl', 'clean'))).toMatch(
      new RegExp(`${placeIds.length - 1} of ${placeIds.length} places.*The rest looks sound`)
    );
  });
});

describe('plugs', () => {
  it('shows one plug a cylinder and what its face means on this engine', () => {
    const b = bench({ strokes: 'four', cylinders: 2 }).read('plugs.read', ['oily'], { cylinder: 1 });
    expect(drawn(PlugsSheet, b)).toMatch(/On this engine oily: on a four-stroke rings or valve guides/);
  });
  it('asks nothing of a starter that a rope engine does not have', () => {
    expect(drawn(PlugsSheet, bench({ starting: 'rope' }))).not.toMatch(/Starter/);
    expect(drawn(PlugsSheet, bench({ starting: 'electric' }))).toMatch(/Starter through its own circuit/);
  });
});

describe('spark', () => {
  const props = { conditions: { path: 'tester', light: 'shade' } as const };
  it('says how the leads are made safe on this ignition', () => {
    expect(drawn(SparkSheet, bench({ ignition: 'cdi' }), props)).toMatch(/Ground every other lead/);
    expect(drawn(SparkSheet, bench({ ignition: 'coil-on-plug' }), props)).toMatch(
      /Unplug the primaries.*stop the injectors/
    );
  });
  it('points are asked of a magneto, timing of every engine', () => {
    expect(drawn(SparkSheet, bench({ ignition: 'points' }), props)).toMatch(/Points and timing/);
    const digital = drawn(SparkSheet, bench({ ignition: 'digital' }), props);
    expect(digital).not.toMatch(/Rub block/);
    expect(digital).toMatch(/Timing at idle/);
  });
  it('the isolation stands there as soon as there is no spark, with what is possible', () => {
    const b = bench({ cylinders: 1, ignition: 'cdi' }).read('spark.result', 'none', { cylinder: 1 });
    expect(drawn(SparkSheet, b, props)).toMatch(
      /Which part it is.*charge coil possible.*its coil possible.*Try next · 1 min · 9 left/
    );
  });
  it('a winding’s temperature is said with its reading, in the reader’s unit', () => {
    const b = bench({ cylinders: 1, ignition: 'cdi' }).read('spark.primary', 0.5, {
      cylinder: 1,
      conditions: { temperature: 353.15 }
    });
    expect(drawn(SparkSheet, b, props, 'metric')).toMatch(/0\.50 Ω at 80 °C/);
    expect(drawn(SparkSheet, b, props, 'us')).toMatch(/0\.50 Ω at 176 °F/);
  });
});

describe('compression', () => {
  const props = () => ({
    conditions: {},
    instrument: undefined,
    testers: [],
    references: [],
    settings: nothing,
    quick: nothing,
    strip: nothing,
    fitting: new LeakFitting()
  });
  it('asks for every cylinder before there is a reading, and says why', () => {
    expect(drawn(CompressionSheet, bench({ cylinders: 2 }), props())).toMatch(
      /Read every cylinder, in one order and then in reverse\. Cylinders are compared/
    );
  });
  it('shows series and finals side by side, and the one repeat', () => {
    const b = bench({ strokes: 'two', cylinders: 2 }).psi([[1, 118]]);
    b.read('compression.pulls', [4e5, 6e5, 7e5], { cylinder: 2, conditions: { throttle: 'open', bores: 'dry' } });
    const text = drawn(CompressionSheet, b, props());
    expect(text).toMatch(/118 psi/);
    expect(text).toMatch(/102 psi 3 pulls/);
    expect(text).toMatch(/Repeat cylinder 2\. Because a low reading is doubted/);
  });
  it('valve lash is asked of a four-stroke only', () => {
    const fields = { testers: [], fitting: new LeakFitting() };
    for (const [sheet, own] of [
      [CompressionSheet, props()],
      [LeakDown, fields]
    ] as const) {
      expect(drawn<object>(sheet as Component<object>, bench({ strokes: 'two' }), own)).not.toMatch(/valve lash/i);
      expect(drawn<object>(sheet as Component<object>, bench({ strokes: 'four' }), own)).toMatch(/valve lash/i);
    }
  });
  it('last time stands beside it, or the reason why it does not', () => {
    const instrument = { name: 'g', adapterVolume: 0, valve: 'plug end' as const };
    const b = bench({ cylinders: 1 }).psi([[1, 100]], { instrument });
    const reference = {
      label: 'last time, 2025-10-01',
      rows: [{ cylinder: 1, mean: 8e5, u: 1e4 }],
      instrument,
      conditions: { throttle: 'open', bores: 'dry' } as const
    };
    expect(drawn(CompressionSheet, b, { ...props(), references: [reference] })).toMatch(
      /Beside the last time, 2025-10-01 cylinder 1: 116 psi then, 100 psi now/
    );
    const other = { ...reference, instrument: { ...instrument, name: 'h' } };
    expect(drawn(CompressionSheet, b, { ...props(), references: [other] })).toMatch(
      /not comparable: another instrument/
    );
  });
});

describe('the fields of any check', () => {
  it.each(stationIds)('%s draws every item that applies and is not of work, none of them nameless', (station) => {
    const text = drawn(StationFields, bench({ cylinders: 2, strokes: 'four' }, 'drowned'), { station });
    expect(text).not.toMatch(/undefined|NaN|\[object/);
    for (const item of Object.values(itemsOf(station)))
      if (item.inWork) expect(text).not.toContain(item.ask ?? item.label);
      else if (item.kind !== 'photo' && item.kind !== 'log' && !item.when && !item.perCylinder)
        expect(text).toContain(item.ask ?? item.label);
  });
});

describe('what nobody asked for has a field on its sheet all the same', () => {
  const belted = { strokes: 'four', cylinders: 4, camDrive: 'belt', shift: 'shift' } as const;
  it('the timing belt, the start lock; the shift rod once a gear is wrong', () => {
    const text = drawn(TurnSheet, bench(belted));
    expect(text).toMatch(/marks of the timing belt|timing belt; marks in line/);
    expect(text).toMatch(/lever in gear: key or rope/);
    expect(text).not.toMatch(/does the rod in the leg follow/);
    expect(drawn(TurnSheet, bench(belted).read('turn.forward', 'no'))).toMatch(/does the rod in the leg follow/);
  });
  it('dye, once a line was seen', () => {
    const sheet = { station: 'gear', instruments: [], references: [], earlier: { magnets: [] } };
    expect(drawn<object>(GearSheet as Component<object>, bench({}), sheet)).not.toMatch(/dye on clean bare metal/);
    expect(drawn<object>(GearSheet as Component<object>, bench({}).read('look.case', 'stain'), sheet)).toMatch(
      /dye on clean bare metal/
    );
  });
});
