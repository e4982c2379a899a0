import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { History, Profile } from '../engine/profile.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import type { ItemId } from '../stations/items.ts';
import { against, holdAgainst, refusal, refusalOf, unliftable, type Hold } from './index.ts';
import { holdRules } from './rules.ts';

type Step = (b: Bench) => Bench;
const hours =
  (n: number): Step =>
  (b) =>
    b.wait(n);
const read =
  (what: ItemId, value: unknown, more: object = {}): Step =>
  (b) =>
    b.read(what, value as never, more);

interface Case {
  readonly profile?: Profile;
  readonly history?: History;
  readonly kind?: 'drowned' | 'neglected';
  readonly rules?: HouseRules;
  /** What raises it. */
  readonly raise: readonly Step[];
  /** What meets its needs, one step a need in the order of the needs; several readings where one need asks for them. */
  readonly meet: readonly (readonly Step[])[];
  readonly blocks: readonly string[];
  readonly because: RegExp;
}

const fresh = [read('fuel.tank', 'fresh'), read('fuel.line', 'drained'), read('fuel.bowl', 'drained')] as const;
const sunk = { submerged: 'yes' } as const;
const twin = { strokes: 'two', cylinders: 2 } as const;
const four = { strokes: 'four', cylinders: 2 } as const;

/** Every hold of the trade: what raises it, and what it takes, need by need, to lift it. */
const cases: Readonly<Record<string, Case>> = {
  'drowned-running': {
    profile: twin,
    history: { ...sunk, runningWhenSunk: 'yes' },
    kind: 'drowned',
    raise: [],
    meet: [
      [read('turn.result', 'bumps'), read('turn.result', 'bumps')],
      [
        read('turn.depth', 0.06, { cylinder: 1 }),
        read('turn.depth', 0.06, { cylinder: 1 }),
        read('turn.depth', 0.06, { cylinder: 2 }),
        read('turn.depth', 0.06, { cylinder: 2 })
      ]
    ],
    blocks: ['crank', 'start', 'release'],
    because: /rod bent by water/
  },
  drowned: {
    profile: twin,
    history: sunk,
    kind: 'drowned',
    raise: [],
    meet: [
      [read('turn.plugs', 'out')],
      [read('turn.result', 'bumps')],
      [read('turn.water', 'none')],
      [read('turn.dried', 'yes')],
      [read('fuel.line', 'drained'), read('fuel.bowl', 'drained'), read('fuel.tank', 'drained')],
      [read('fuel.tank', 'fresh')]
    ],
    blocks: ['crank', 'start', 'release'],
    because: /Starting a drowned engine first/
  },
  locked: {
    profile: twin,
    raise: [read('turn.result', 'gritty')],
    meet: [[read('turn.result', 'bumps')], [hours(13), read('turn.result', 'bumps')]],
    blocks: ['crank', 'start', 'release'],
    because: /It was gritty when turned by hand/
  },
  water: {
    raise: [read('cooling.source', 'none')],
    meet: [[read('cooling.source', 'muffs')]],
    blocks: ['start'],
    because: /No water is ready; a dry impeller/
  },
  fuel: {
    raise: [read('fuel.jar', 'dark')],
    meet: [
      [read('fuel.tank', 'drained'), read('fuel.line', 'drained'), read('fuel.bowl', 'drained')],
      [read('fuel.bowl', 'fresh')]
    ],
    blocks: ['start', 'release'],
    because: /turned to varnish/
  },
  oil: {
    profile: four,
    raise: [read('oil.look', 'milky')],
    meet: [
      [read('oil.sump', 'drained'), read('oil.look', 'clear'), read('oil.dip', 'between'), read('oil.dip', 'between')]
    ],
    blocks: ['start', 'release'],
    because: /engine oil is milky/
  },
  'gear-chips': {
    raise: [read('gear.magnet', 'slivers')],
    meet: [[read('gear.explained', 'yes')]],
    blocks: ['gear', 'release'],
    because: /Slivers on the magnet/
  },
  'gear-water': {
    raise: [read('gear.look', 'none')],
    meet: [[read('gear.refill', 'service')]],
    blocks: ['gear', 'release'],
    because: /little or no oil in the case/
  },
  run: {
    profile: twin,
    raise: [read('run.outcome', 'ran'), read('run.lamp', 'came')],
    meet: [[read('run.cause', 'thermostat stuck')], [read('run.lamp', 'none')]],
    blocks: ['release'],
    because: /lamp or horn came on/
  },
  indoors: {
    raise: [read('safe.place', 'indoors')],
    meet: [[read('safe.place', 'outdoors')]],
    blocks: ['start'],
    because: /Carbon monoxide kills/
  }
};

const begin = (c: Case): Bench => {
  const b = new Bench(c.profile, c.kind, c.history);
  if (c.rules) b.survey = { ...b.survey, houseRules: c.rules };
  return c.raise.reduce((x, step) => step(x), b);
};
const holdOf = (b: Bench, id: string): Hold | undefined => b.judged().holds.find((h) => h.id === id);
const meet = (b: Bench, steps: readonly (readonly Step[])[]): Bench => steps.flat().reduce((x, step) => step(x), b);

describe('every hold', () => {
  it('has its case in this table', () => {
    expect(Object.keys(cases).sort()).toEqual(holdRules.map((r) => r.id).sort());
  });
  it.each(Object.entries(cases))(
    '%s is raised with its reason, blocks what it names, and is no mere gap in the record',
    (id, c) => {
      const hold = holdOf(begin(c), id)!;
      expect(hold).toMatchObject({ blocks: c.blocks, because: expect.stringMatching(c.because), standing: false });
      expect(hold.needs.some((n) => !n.done)).toBe(true);
    }
  );
  it.each(Object.entries(cases))('%s lifts when every need is met, and not before', (id, c) => {
    expect(holdOf(meet(begin(c), c.meet), id)).toBeUndefined();
    for (let without = 0; without < c.meet.length; without++) {
      const others = c.meet.filter((_, k) => k !== without);
      const hold = holdOf(meet(begin(c), others), id);
      expect([id, without, hold !== undefined]).toEqual([id, without, true]);
    }
  });
  it.each(Object.entries(cases))('%s is not lifted by answers of “unknown”', (id, c) => {
    const b = begin(c);
    const items = c.meet
      .flat()
      .map((step) => step(new Bench(c.profile, c.kind, c.history)).survey.readings.at(-1))
      .filter((r) => r !== undefined);
    for (const r of items) b.read(r.what, 'unknown' as never, r.cylinder ? { cylinder: r.cylinder } : {});
    expect(holdOf(b, id)).toBeDefined();
  });
  it.each(Object.entries(cases))('%s overridden stays in the list with its reason and holds nothing', (id, c) => {
    const b = begin(c);
    b.survey = {
      ...b.survey,
      overrides: [{ id: 'o', at: '2027-01-01T00:00:00.000Z', hold: id, reason: 'the owner insists', by: 'Maud' }]
    };
    const { holds } = b.judged();
    expect(holds.find((h) => h.id === id)?.override).toMatchObject({ reason: 'the owner insists', by: 'Maud' });
    for (const action of c.blocks) expect(against(holds, action as 'crank').map((h) => h.id)).not.toContain(id);
  });
});

describe('overrides', () => {
  const withOverrides = (...list: { id: string; at: string; supersedes?: string; withdrawn?: true }[]): Hold => {
    const b = begin(cases.indoors!);
    b.survey = { ...b.survey, overrides: list.map((o) => ({ hold: 'indoors', reason: `reason ${o.id}`, ...o })) };
    return holdOf(b, 'indoors')!;
  };
  it('the latest one counts, whatever the order they were entered in', () => {
    const [a, b] = [
      { id: 'a', at: '2026-05-02T09:00:00.000Z' },
      { id: 'b', at: '2026-05-02T08:00:00.000Z' }
    ];
    expect(withOverrides(a, b).override?.reason).toBe('reason a');
    expect(withOverrides(b, a).override?.reason).toBe('reason a');
  });
  it('one taken back, or replaced by one taken back, counts no longer', () => {
    const a = { id: 'a', at: '2026-05-02T08:00:00.000Z' };
    expect(withOverrides({ ...a, withdrawn: true }).override).toBeUndefined();
    expect(
      withOverrides(a, { id: 'b', at: '2026-05-02T09:00:00.000Z', supersedes: 'a', withdrawn: true }).override
    ).toBeUndefined();
  });
  it('of another hold change nothing', () => {
    const b = begin(cases.indoors!);
    b.survey = { ...b.survey, overrides: [{ id: 'o', at: '2026-05-02T08:00:00.000Z', hold: 'fuel', reason: 'no' }] };
    expect(holdOf(b, 'indoors')?.override).toBeUndefined();
  });
});

describe('single holds', () => {
  it('a piston that stands low is nothing the yard can lift', () => {
    const b = begin(cases['drowned-running']!);
    for (const [cylinder, depth] of [
      [1, 0.06],
      [1, 0.06],
      [2, 0.0615],
      [2, 0.0615]
    ] as const)
      b.read('turn.depth', depth, { cylinder });
    const { holds } = b.judged();
    expect(unliftable(holds)).toBe(true);
    expect(holds[0]!.needs.find((n) => n.never)?.text).toMatch(/piston 2 stands low/);
    expect(unliftable(begin(cases.indoors!).judged().holds)).toBe(false);
  });
  it('one smooth turn is not two, and depths of one piston are not all', () => {
    const b = begin(cases['drowned-running']!).read('turn.result', 'bumps');
    expect(holdOf(b, 'drowned-running')!.needs.map((n) => n.done)).toEqual([false, false]);
    b.read('turn.result', 'bumps').read('turn.depth', 0.06, { cylinder: 1 });
    expect(holdOf(b, 'drowned-running')!.needs.map((n) => n.done)).toEqual([true, false]);
  });
  it('noise or play keeps it locked though it turns free a day later; a tight spot does not by itself', () => {
    const b = new Bench(twin).read('turn.result', 'bumps').read('turn.feel', ['noise']);
    expect(holdOf(b, 'locked')?.because).toMatch(/noise or play/);
    expect(holdOf(b.wait(20).read('turn.result', 'bumps'), 'locked')?.needs.map((n) => n.done)).toEqual([false, true]);
    expect(holdOf(new Bench(twin).read('turn.result', 'bumps').read('turn.feel', ['play']), 'locked')).toBeDefined();
    expect(holdOf(new Bench(twin).read('turn.result', 'bumps').read('turn.feel', ['tight']), 'locked')).toBeUndefined();
  });
  it('free again within the hours of the house does not count as the next day', () => {
    const b = begin(cases.locked!).read('turn.result', 'bumps').wait(11).read('turn.result', 'bumps');
    expect(holdOf(b, 'locked')?.needs.map((n) => n.done)).toEqual([true, false]);
  });
  it.each([
    ['muffs', false],
    ['tank', false],
    ['afloat', false],
    ['port', true],
    ['none', true],
    ['unknown', true]
  ] as const)('water from “%s”: held is %s', (source, held) => {
    const hold = holdOf(new Bench().read('cooling.source', source), 'water');
    expect(hold !== undefined).toBe(held);
    if (held && source !== 'unknown') expect(hold!.standing).toBe(false);
  });
  it('what is only not recorded yet is standing; what was answered is not', () => {
    const bare = new Bench(four).judged().holds;
    expect(
      bare
        .filter((h) => h.standing)
        .map((h) => h.id)
        .sort()
    ).toEqual(['indoors', 'oil', 'water']);
    expect(holdOf(new Bench(four).read('oil.dip', 'below'), 'oil')?.standing).toBe(false);
    expect(holdOf(new Bench(four).read('oil.look', 'milky'), 'oil')?.standing).toBe(false);
    expect(holdOf(new Bench(twin), 'oil')).toBeUndefined();
  });
  it('dips on an engine that was not level hold it', () => {
    const b = new Bench(four).read('oil.dip', 'between').read('oil.dip', 'between');
    expect(holdOf(b, 'oil')).toBeUndefined();
    expect(holdOf(b.read('oil.level', 'no'), 'oil')?.because).toMatch(/not level/);
  });
  it('spun before its oil change by the house’s rule, it is still not started on that oil', () => {
    const b = new Bench(four, 'drowned', sunk);
    b.survey = { ...b.survey, houseRules: { schools: { drownedSpin: 'before' } } };
    b.read('oil.dip', 'between').read('oil.dip', 'between');
    const hold = holdOf(b, 'oil')!;
    expect([hold.because, hold.standing]).toEqual([expect.stringMatching(/not been changed since the water/), false]);
    expect(hold.needs[0]).toMatchObject({ text: 'oil changed since the water', done: false });
    expect(
      holdOf(b, 'drowned')!
        .needs.map((n) => n.text)
        .join()
    ).not.toMatch(/sump drained/);
  });
  it('a four-stroke drains its sump before it spins by the usual rule', () => {
    const needs = (b: Bench) => holdOf(b, 'drowned')!.needs.find((n) => /sump drained/.test(n.text));
    const b = new Bench(four, 'drowned', sunk);
    expect(needs(b)?.done).toBe(false);
    expect(needs(b.read('oil.sump', 'drained'))?.done).toBe(true);
  });
  it('a two-stroke is dry when a pass comes clear', () => {
    const need = (b: Bench) => holdOf(b, 'drowned')!.needs.find((n) => /displaced/.test(n.text))!.done;
    const b = new Bench(twin, 'drowned', sunk);
    expect(need(b)).toBe(false);
    expect(need(b.read('turn.pass', 'water'))).toBe(false);
    expect(need(b.read('turn.pass', 'clear'))).toBe(true);
  });
  it('slivers and pieces hold the gears; paste and a clean magnet do not', () => {
    const held = (magnet: 'clean' | 'paste' | 'slivers' | 'pieces') =>
      holdOf(new Bench().read('gear.magnet', magnet), 'gear-chips')?.because;
    expect([held('clean'), held('paste')]).toEqual([undefined, undefined]);
    expect(held('pieces')).toMatch(/^Pieces/);
    expect(holdOf(new Bench().read('gear.magnet', 'slivers').read('gear.explained', 'no'), 'gear-chips')).toBeDefined();
  });
  it('gear oil with water: a stand run after a refill, service after a held test only', () => {
    const b = new Bench().read('gear.look', 'milky');
    const needs = () => holdOf(b, 'gear-water')?.needs.map((n) => n.done);
    expect(needs()).toEqual([false, false]);
    b.read('gear.refill', 'stand');
    expect(needs()).toEqual([true, false]);
    b.read('gear.refill', 'service').read('gear.pressureTest', 'leaked');
    expect(needs()).toEqual([true, false]);
    b.read('gear.pressureTest', 'held');
    expect(needs()).toBeUndefined();
    expect(holdOf(new Bench().read('gear.first', 'nothing'), 'gear-water')).toBeDefined();
  });
  it('a run that got too hot, or had no stream, holds the release until it is repeated', () => {
    const hot = new Bench(twin).read('cooling.head', 363.15);
    expect(holdOf(hot, 'run')?.because).toMatch(/passed its limit of 194 °F/);
    expect(holdOf(new Bench(twin).read('cooling.head', 363.1), 'run')).toBeUndefined();
    const dry = new Bench(twin).read('run.outcome', 'ran').read('run.stream', 'none');
    expect(holdOf(dry, 'run')?.because).toMatch(/no stream/);
    expect(holdOf(dry, 'run')?.needs.map((n) => n.done)).toEqual([false, false]);
  });
  it('fuel: watered, varnished or too old holds; not looked at does not', () => {
    expect(holdOf(new Bench(), 'fuel')).toBeUndefined();
    expect(holdOf(new Bench().read('fuel.age', 30), 'fuel')?.because).toMatch(/past the age/);
    expect(holdOf(new Bench().read('fuel.jar', 'layers'), 'fuel')?.because).toMatch(/water in the fuel/);
    expect(
      holdOf(
        fresh.reduce((b, s) => s(b), new Bench().read('fuel.age', 30)),
        'fuel'
      )
    ).toBeUndefined();
  });
});

describe('what a hold refuses', () => {
  const held = begin(cases.drowned!).judged().holds;
  it('names the hold and what lifts it', () => {
    expect(refusal(held, 'compression.pressure')).toMatch(
      /^Refused: Drowned: no cranking.*It lifts when: plugs out; turned by hand/
    );
    expect(refusal([], 'compression.pressure')).toBeUndefined();
  });
  it('what says that it ran, and not that it stopped', () => {
    for (const [what, value] of [
      ['run.event', 'start'],
      ['run.outcome', 'ran'],
      ['run.minutes', 4],
      ['run.longRun', 'yes']
    ] as const)
      expect([what, refusal(held, what, value)]).toEqual([what, expect.stringMatching(/^Refused/)]);
    for (const [what, value] of [
      ['run.event', 'stop'],
      ['run.outcome', 'stopped'],
      ['run.outcome', 'failed'],
      ['run.temperature', 350],
      ['run.cause', 'water']
    ] as const)
      expect([what, refusal(held, what, value)]).toEqual([what, undefined]);
  });
  it('of whole checks, those that crank or start', () => {
    const refused = (holds: readonly Hold[]) =>
      (
        ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel', 'cooling', 'oil', 'run'] as const
      ).filter((s) => refusalOf(holds, s) !== undefined);
    expect(refused(held)).toEqual(['spark', 'compression', 'run']);
    expect(refused(begin(cases.indoors!).judged().holds)).toEqual(['run']);
    expect(holdAgainst(held, 'gear')).toBeUndefined();
  });
});
