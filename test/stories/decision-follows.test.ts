import fs from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { decide } from '../../src/core/decision/decide.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import { ownersQuestion } from '../../src/core/decision/question.ts';
import { Bench } from '../case.ts';
import { good } from '../good.ts';
import { open, two } from './engines.ts';

const PSI = 6894.757;

/** A two-stroke three of which these checks were good. */
function engine(stations: readonly string[], history: object = {}): Bench {
  const b = new Bench(two, 'neglected', { yearsIdle: 1, ...history });
  const hands = {
    profile: two,
    banked: false,
    best: 120 * PSI,
    read: (what: never, value: never, more = {}) => void b.read(what, value, more),
    wait: (h: number) => void b.wait(h)
  };
  for (const s of stations) good(s as never, hands as never);
  return b;
}
const rest = ['safe', 'look', 'turn', 'plugs', 'spark', 'gear', 'fuel', 'cooling'];
const first = (b: Bench) => b.assessed().moves[0]!;
const press = (b: Bench, list: readonly (readonly [number, number])[], conditions: object = open.conditions) => {
  for (const [cylinder, psi] of list) b.read('compression.pressure', psi * PSI, { cylinder, conditions });
  return b;
};

describe('the decision says what the list of moves says', () => {
  test('a low needle read once: the repeat comes first in both, and nothing is decided on it', () => {
    const b = press(engine(rest, { worth: 2000 }), [
      [1, 120],
      [2, 55],
      [3, 118]
    ]);
    const a = b.assessed();
    const d = decide(a, 500);
    expect(a.moves[0]).toMatchObject({ class: 4, title: 'Compression again of cylinder 2, throttle wide open' });
    expect(d.recommended).toBe('hold');
    expect(d.because).toContain('Repeat it before believing it');
    expect(d.options.find((o) => o.id === 'hold')!.because).toContain(a.moves[0]!.title);
    expect(d.open).toContain(a.moves[0]!.title);
  });

  test('the owner is told of a fault that no job stands for yet', () => {
    const b = press(engine(rest), [
      [1, 120],
      [2, 55],
      [3, 118],
      [2, 56]
    ]);
    // Leak-down is heard once, and what it says is in doubt: no job stands.
    b.read('compression.leakdown', 0.6, { cylinder: 2 }).read('compression.escape', ['exhaust'], { cylinder: 2 });
    const a = b.assessed();
    const text = ownersQuestion(a, decide(a, 500), a.advice, a.steps, new Date('2026-05-04T12:00:00.000Z'));
    expect(text).toMatch(/[Cc]ylinder 2/);
    expect(text).not.toContain('nothing we have seen so far asks for a repair');
  });

  test('before anything was looked at, service is not refused for faults that nobody found', () => {
    const d = decide(new Bench(two, 'long-stored', { yearsIdle: 9 }).assessed(), 500);
    const service = d.options.find((o) => o.id === 'service')!;
    expect(service.closed).toMatch(/^Not looked at enough yet/);
  });
});

describe('air at the exhaust of a two-stroke', () => {
  const heard = () => {
    const b = press(engine(rest, { worth: 400 }), [
      [1, 120],
      [2, 55],
      [3, 118],
      [2, 56]
    ]);
    return b
      .read('compression.leakdown', 0.6, { cylinder: 2 })
      .read('compression.escape', ['exhaust'], { cylinder: 2 });
  };

  test('read once it may be the port: once more, exactly at top, before any job', () => {
    const b = heard();
    expect(b.ids()).toContain('compression.leakdown-port.2:cannot-tell');
    expect(first(b)).toMatchObject({ class: 4, title: 'Leak-down of cylinder 2 again, piston exactly at top' });
    expect(b.assessed().steps.filter((s) => s.state === 'open')).toEqual([]);
  });

  test('the same again at top is air past the rings: they are soaked, and it is not run before that', () => {
    const b = heard().read('compression.leakdown', 0.58, { cylinder: 2 });
    expect(b.ids()).toContain('compression.leakdown-rings.2:fault');
    const list = b.assessed().moves.filter((m) => !m.waits);
    expect(list[0]!.job).toBe('soak');
    const run = list.findIndex((m) => m.id === 'look:run');
    expect(list.slice(0, 2).map((m) => m.station)).not.toContain('run');
    expect(run === -1 || run > list.findIndex((m) => m.job === 'soak')).toBe(true);
  });

  test('low twice and heard leaking: the needle is not asked for again', () => {
    const b = heard().read('compression.leakdown', 0.58, { cylinder: 2 });
    expect(b.assessed().moves.map((m) => m.title)).not.toContain('Measure the compression again');
  });

  test('less at top, and into the crankcase: that is what counts', () => {
    const b = heard()
      .read('compression.leakdown', 0.35, { cylinder: 2 })
      .read('compression.escape', ['crankcase'], { cylinder: 2 });
    expect(b.said('compression.leakdown')).toContain('is 35 %');
    expect(first(b).job).toBe('soak');
  });

  test('read twice before anybody listened: it is repeated already', () => {
    const b = press(engine(rest), [
      [1, 120],
      [2, 55],
      [3, 118],
      [2, 56]
    ]);
    b.read('compression.leakdown', 0.6, { cylinder: 2 }).read('compression.leakdown', 0.58, { cylinder: 2 });
    b.read('compression.escape', ['exhaust'], { cylinder: 2 });
    expect(b.ids()).toContain('compression.leakdown-rings.2:fault');
  });

  test('tight at the second reading: the port it was', () => {
    const b = heard().read('compression.leakdown', 0.06, { cylinder: 2 });
    expect(b.ids()).toContain('compression.leakdown.2:sound');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('soak');
  });
});

describe('the throttle comes before the other cylinders', () => {
  const conditions = { bores: 'dry' } as const;
  test.each([
    ['low, the throttle not noted', 60, {}, 'Compression of every cylinder, throttle wide open'],
    ['the throttle shut', 60, { throttle: 'shut' }, 'Compression of every cylinder, throttle wide open'],
    ['as such an engine gives, the throttle not noted', 118, {}, 'Compression of the other cylinders'],
    ['the throttle open', 118, { throttle: 'open' }, 'Compression of the other cylinders']
  ])('one cylinder read, %s', (_, psi, more, title) => {
    const b = press(engine(['safe', 'look', 'turn', 'plugs']), [[1, psi]], { ...conditions, ...more });
    expect(first(b).title).toBe(title);
  });
});

describe('the owner’s word', () => {
  const stage = (b: Bench, from: number, to: number) => {
    b.read('gear.casePressure', from * PSI, { conditions: { stage: 'low' } }).read('gear.caseTurned', 'yes');
    return b.wait(0.25).read('gear.casePressure', to * PSI, { conditions: { stage: 'low' } });
  };
  const leaking = (ceiling: number) => {
    const b = engine(['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'fuel', 'cooling'], {
      ceiling,
      worth: 2500
    });
    b.read('gear.first', 'milky').read('gear.drained', 480e-6).read('gear.magnet', 'paste');
    return stage(b, 4, 2).read('gear.caseBubbles', ['propshaft']).read('gear.caseOpen', 'yes');
  };
  const says = (b: Bench, option: 'repair' | 'repair-under', high: number) => {
    const at = new Date(Date.parse(b.survey.readings.at(-1)!.at) + 30_000).toISOString();
    b.survey = { ...b.survey, decisions: [{ id: 'd', at, option, reason: 'as agreed', cost: { mean: high, high } }] };
    return b.wait(0.1);
  };
  const work = (b: Bench) => b.assessed().moves.filter((m) => m.kind === 'ask' || m.kind === 'job');

  test('more than he gave: he is asked before the work, in the list as in the decision', () => {
    const b = leaking(150);
    expect(
      work(b)
        .slice(0, 2)
        .map((m) => m.id)
    ).toEqual(['ask:sum', 'job:reseal']);
    const a = b.assessed();
    const d = decide(a, 500);
    expect(d.recommended).toBe('repair-under');
    const text = ownersQuestion(a, d, a.advice, a.steps, new Date('2026-05-04T12:00:00.000Z'));
    expect(text).toMatch(/That passes the 150 cr you gave us/);
    expect(text).not.toMatch(/go ahead up to 150 cr/);
  });

  test('within it, nobody is asked', () => {
    expect(work(leaking(900))[0]!.id).toBe('job:reseal');
  });

  test('his yes reaches as far as what it might have cost then', () => {
    expect(work(says(leaking(150), 'repair', 420))[0]!.id).toBe('job:reseal');
    expect(work(says(leaking(150), 'repair', 180))[0]!.id).toBe('ask:sum');
  });

  test('a limit that he set stays one', () => {
    expect(work(says(leaking(150), 'repair-under', 420))[0]!.id).toBe('ask:sum');
  });

  test('what was spent counts: the same open work passes it once other work was done', () => {
    const b = leaking(300);
    expect(work(b)[0]!.id).toBe('job:reseal');
    // An overhaul of the carburettor and a pump went into it before.
    b.done('carburettor').done('pump');
    expect(b.assessed().steps.filter((s) => s.markedAt).length).toBe(2);
    expect(work(b)[0]!.id).toBe('ask:sum');
    expect(decide(b.assessed(), 500)).toMatchObject({ ceiling: 300 });
    expect(decide(b.assessed(), 500).spent).toBeGreaterThan(50);
  });

  test('done and not proved is no fault that nobody knows the cause of', () => {
    const b = leaking(900).done('reseal');
    const a = b.assessed();
    const text = ownersQuestion(a, decide(a, 500), a.advice, a.steps, new Date('2026-05-04T12:00:00.000Z'));
    expect(text).toContain('Done, and to be proved: reseal');
    expect(text).not.toContain('What lies behind it is not known yet');
    expect(a.moves.filter((m) => /case test/i.test(m.title))).toEqual([]);
    expect(a.moves.map((m) => m.id)).toContain('proof:reseal');
  });
});

test('a short job is asked nothing about the rest of the engine, in the decision either', () => {
  const b = new Bench(two, 'single-job', { ceiling: 60 });
  b.read('plugs.read', ['oily'], { cylinder: 1 });
  const d = decide(b.assessed(), 500);
  expect(d.open).toEqual(['Read the other plugs too']);
  expect(d.sums.established).toBeLessThan(60);
});

test('a look that is written as a job stands once on the list', () => {
  const b = engine(rest);
  press(b, [
    [1, 120],
    [2, 55],
    [3, 118],
    [2, 56]
  ]);
  const titles = b.assessed().moves.map((m) => m.title);
  expect(titles).toContain('Leak-down of cylinder 2, and where the air comes out');
  expect(titles).not.toContain('Wet test, then leak-down');
});

describe('what is certain is never more than what it may cost', () => {
  const examples = fs.readdirSync('docs/examples').filter((f) => f.endsWith('.json'));
  test.each(examples)('%s', (file) => {
    const survey = JSON.parse(fs.readFileSync(path.join('docs/examples', file), 'utf8')) as SurveyFile;
    const d = decide(assess(survey, new Date('2026-05-04T12:00:00.000Z'), 'us'), 1000);
    expect(d.cost.mean).toBeGreaterThanOrEqual(0.97 * d.sums.established);
    expect(d.cost.high).toBeGreaterThanOrEqual(d.sums.established);
  });

  test('a job on the list is paid, however unlikely the fault that it also cures', () => {
    const b = engine(['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel']);
    b.read('cooling.screen', 'clear').read('cooling.impellerAge', 3);
    const a = b.assessed();
    expect(a.steps.filter((s) => s.state === 'open').map((s) => s.id)).toContain('pump');
    const d = decide(a, 1000);
    expect(d.cost.low).toBeGreaterThan(0.8 * d.sums.established);
  });
});

describe('before the dearer look', () => {
  test('stiff: the plugs come out and are read before it is soaked', () => {
    const b = engine(['safe', 'look']).read('turn.result', 'stiff');
    const list = b.assessed().moves.filter((m) => !m.waits);
    expect(list[0]!.title).toBe('Plugs out and read');
    b.read('plugs.read', ['dry'], { cylinder: 1 });
    expect(b.assessed().moves.map((m) => m.job)).toContain('soak');
  });

  test('one cylinder that stood dry is oiled and read again before the air is followed', () => {
    const single = { ...two, cylinders: 1, displacement: 120e-6 };
    const b = new Bench(single, 'long-stored', { yearsIdle: 12 });
    press(b, [[1, 70]]);
    const titles = b.assessed().moves.map((m) => m.title);
    const oil = titles.indexOf('Oil the bore, a measured dose, turn it over and repeat');
    expect(oil).toBeGreaterThanOrEqual(0);
    expect(oil).toBeLessThan(titles.indexOf('Leak-down, and where the air comes out'));
    expect(b.said('compression.figure')).toContain('oil it, turn it over and repeat');
    expect(b.said('compression.figure')).not.toContain('them all alike');
  });
});

test('a job that waits for its date keeps no look on a running engine back', () => {
  const b = engine(['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel', 'cooling'], {
    worth: 2000
  });
  b.read('look.anodes', 'half').read('fuel.dies', 'minutes');
  const a = b.assessed();
  expect(a.steps.filter((s) => s.state === 'open').every((s) => s.by)).toBe(true);
  const run = a.moves.find((m) => m.title === 'First run on water, watched')!;
  expect(run.class).toBe(7);
  expect(run.waits).toBeUndefined();
});

test('the list and the decision hold one and the same sum against the owner’s word', () => {
  const b = engine(['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel'], { ceiling: 20 });
  b.read('cooling.screen', 'clear').read('cooling.impellerAge', 3);
  const a = b.assessed();
  const said = a.moves.find((m) => m.id === 'ask:sum')!.because;
  expect(said).toContain(`about ${Math.round(decide(a, 500).sums.established / 10) * 10} cr`);
});

describe('what is established is what was found, and not what it may turn out to be', () => {
  test('water on a plug after a run: the search is certain, the crack that it may find is likely', () => {
    const b = engine(rest, { worth: 4000, ceiling: 2000 })
      .read('run.event', 'start')
      .read('run.stream', 'strong')
      .wait(0.2)
      .read('run.smoke', 'keeps')
      .read('run.outcome', 'ran')
      .read('run.event', 'stop')
      .read('run.plugAfter', 'wet');
    const { items } = decide(b.judged(), 200);
    expect(items.find((i) => i.label.startsWith('cracked block'))?.probability).toBeLessThan(0.8);
    expect(items.find((i) => i.label.startsWith('Find where water gets'))?.probability).toBe(1);
  });
  test('air at an intake joint, found: what waits for its gasket is not open before the decision', () => {
    const b = engine([...rest, 'compression'], { worth: 4000, ceiling: 2000 })
      .read('run.event', 'start')
      .read('run.stream', 'strong')
      .wait(0.2)
      .read('run.outcome', 'ran')
      .read('run.event', 'stop')
      .read('run.idles', 'spits');
    expect(decide(b.judged(), 200).open).toContain('Mist at the intake joints while it idles');
    expect(decide(b.read('run.air', 'changes').judged(), 200)).toMatchObject({ recommended: 'repair', open: [] });
  });
  test('a plug that is black is work, and no fault that is known', () => {
    const b = engine([...rest, 'compression'], { yearsIdle: 0, worth: 4000, ceiling: 2000 });
    b.read('plugs.read', ['black'], { cylinder: 1 });
    expect(b.ids().filter((f) => f.endsWith(':fault'))).toEqual([]);
    expect(decide(b.judged(), 200).because).toMatch(/^No fault stands against it; the work on the list/);
  });
  test('what holds the fuel back was found: no vacuum gauge is waited for', () => {
    const b = engine(rest, { worth: 4000 })
      .read('fuel.bulb', 'flat')
      .read('fuel.vacuumSpeed', 40_000)
      .read('fuel.pickup', 'blocked');
    expect(decide(b.judged(), 200).open.filter((o) => o.startsWith('Line vacuum'))).toEqual([]);
  });
});
