import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { History, Profile } from '../engine/profile.ts';
import type { ItemId } from '../stations/items.ts';
import { protocol, tonight, type ProtocolStep } from './protocol.ts';

const four = { strokes: 'four', cylinders: 2, sumpWithFilter: 1e-3, sumpWithoutFilter: 0.9e-3 } as const;
const two = { strokes: 'two', cylinders: 2 } as const;
const sunk = (profile: Profile = four, history: History = {}): Bench =>
  new Bench(profile, 'drowned', { submerged: 'yes', water: 'salt', runningWhenSunk: 'yes', ...history });
const stepOf = (b: Bench, id: string): ProtocolStep => protocol(b.judged().context).find((s) => s.id === id)!;

type Read = readonly [ItemId, unknown, object?];
const apply = (b: Bench, list: readonly Read[]): Bench =>
  list.reduce((x, [what, value, more]) => x.read(what, value as never, more ?? {}), b);

/** Of each step that readings prove: what does, and what is near it and does not. */
const proofs: Readonly<Record<string, { profile?: Profile; by: readonly Read[]; not: readonly (readonly Read[])[] }>> =
  {
    safe: {
      by: [['safe.battery', 'off']],
      not: [[['safe.battery', 'on']], [['safe.battery', 'unknown']], [['safe.lanyard', 'out']]]
    },
    rinse: { by: [['safe.rinsed', 'kept']], not: [[['safe.rinsed', 'no']], [['safe.rinsed', 'unknown']]] },
    plugs: {
      by: [
        ['turn.plugs', 'out'],
        ['turn.water', 'oil']
      ],
      not: [
        [['turn.plugs', 'out']],
        [['turn.water', 'none']],
        [
          ['turn.plugs', 'in'],
          ['turn.water', 'none']
        ],
        [
          ['turn.plugs', 'out'],
          ['turn.water', 'water']
        ],
        [
          ['turn.plugs', 'out'],
          ['turn.water', 'unknown']
        ]
      ]
    },
    depths: {
      by: [1, 1, 2, 2].map((cylinder): Read => ['turn.depth', 0.06, { cylinder }]),
      not: [[['turn.depth', 0.06, { cylinder: 1 }]]]
    },
    sump: { by: [['oil.sump', 'drained']], not: [[['oil.drained', 5e-4]], [['oil.sump', 'unknown']]] },
    displace: {
      by: [['turn.dried', 'yes']],
      not: [
        [['turn.pass', 'drops']],
        [
          ['turn.pass', 'clear'],
          ['turn.pass', 'water']
        ]
      ]
    },
    fuel: {
      by: [
        ['fuel.tank', 'drained'],
        ['fuel.line', 'drained'],
        ['fuel.bowl', 'fresh']
      ],
      not: [[['fuel.tank', 'drained']], [['fuel.jar', 'clear']]]
    },
    changes: {
      by: [1, 2, 3, 4, 5, 6].map((): Read => ['oil.drained', 1e-3]),
      not: [[['oil.drained', 1e-3]], [['oil.look', 'clear']]]
    },
    gear: { by: [['gear.first', 'oil']], not: [[['gear.first', 'unknown']]] },
    run: { by: [['run.outcome', 'ran']], not: [[['run.outcome', 'stopped']], [['run.outcome', 'unknown']]] },
    long: { by: [['run.longRun', 'yes']], not: [[['run.longRun', 'no']], [['run.longRun', 'unknown']]] }
  };

describe('each step of the drowned protocol', () => {
  it('is proved by readings of this table, or ticked by hand', () => {
    const steps = [...protocol(sunk().judged().context), ...protocol(sunk(two).judged().context)];
    const ids = [...new Set(steps.map((s) => s.id))];
    expect(ids.filter((id) => !Object.hasOwn(proofs, id)).sort()).toEqual([
      'air',
      'crankcase',
      'electrics',
      'next-day'
    ]);
    for (const s of steps) expect([s.id, s.mark === undefined]).toEqual([s.id, Object.hasOwn(proofs, s.id)]);
  });
  it.each(Object.entries(proofs))('%s: done by its readings, open without, and not done by less', (id, { by, not }) => {
    expect(stepOf(sunk(), id).state).toBe('open');
    expect(stepOf(apply(sunk(), by), id).state).toBe('done');
    for (const less of not) expect([id, less, stepOf(apply(sunk(), less), id).state]).toEqual([id, less, 'open']);
  });
  it('says what it is, why, how long, and where it is answered', () => {
    for (const b of [sunk(), sunk(two, { water: 'fresh' })])
      for (const s of protocol(b.judged().context)) {
        expect([s.id, s.title.length > 8, s.how.length > 8, s.why.length > 8, s.minutes > 0]).toEqual([
          s.id,
          true,
          true,
          true,
          true
        ]);
        expect([s.id, s.mark !== undefined || s.station !== undefined]).toEqual([s.id, true]);
        expect(s.items.every((i) => s.station === undefined || i.startsWith(`${s.station}.`))).toBe(true);
      }
  });
});

describe('what is ticked by hand', () => {
  const mark = (id: string, at: string, state: 'done' | 'open') => ({ id, at, step: 'drowned.air', state });
  const done = mark('a', '2026-05-02T09:00:00.000Z', 'done');
  const again = mark('b', '2026-05-02T10:00:00.000Z', 'open');
  it('goes by the latest mark, whatever the order they were entered in', () => {
    for (const steps of [
      [done, again],
      [again, done]
    ]) {
      const b = sunk();
      b.survey = { ...b.survey, steps };
      expect(stepOf(b, 'air').state).toBe('open');
    }
  });
  it('a mark on a step that readings prove proves nothing', () => {
    expect(stepOf(sunk().done('drowned.sump').done('sump'), 'sump').state).toBe('open');
  });
});

describe('what depends on the engine', () => {
  const ids = (b: Bench) => protocol(b.judged().context).map((s) => s.id);
  it('no depths where it stood when it sank; a piston that stands low is stuck', () => {
    expect(ids(sunk(four, { runningWhenSunk: 'no' }))).not.toContain('depths');
    // A bent rod passes a compression test, so that what nobody knows is asked, and else measured.
    for (const runningWhenSunk of ['unknown', undefined] as const) {
      const b = sunk(four, { runningWhenSunk });
      expect(ids(b)).toContain('depths');
      expect(stepOf(b, 'depths').how).toMatch(/^Ask first whether it ran/);
      expect(stepOf(b, 'depths').owner).toBe('Write down whether it ran');
    }
    expect(stepOf(sunk(), 'depths').owner).toBeUndefined();
    expect(stepOf(sunk(), 'depths').how).not.toMatch(/Ask first/);
    const low = [1, 1, 2, 2].map((cylinder): Read => ['turn.depth', cylinder === 2 ? 0.062 : 0.06, { cylinder }]);
    expect(stepOf(apply(sunk(), low), 'depths').state).toBe('stuck');
  });
  it('a four-stroke is laid on the side its maker allows, and its sump by the house’s rule', () => {
    expect(stepOf(sunk(), 'plugs').how).toMatch(/only on the side its maker allows/);
    expect(stepOf(sunk(two), 'plugs').how).not.toMatch(/side its maker allows/);
    expect(stepOf(sunk(), 'sump').how).toMatch(/Only then is it spun/);
  });
  it.each([
    ['carburettor', /Bowl by its screw/],
    ['unknown', /Bowl by its screw/],
    ['electronic', /Pressure released/],
    ['direct', /Pressure released/]
  ] as const)('fuel of %s', (fuelSystem, how) => {
    expect(stepOf(sunk({ ...four, fuelSystem }), 'fuel').how).toMatch(how);
  });
  it('passes and oil changes are counted', () => {
    const count = (list: readonly Read[], id: string) => stepOf(apply(sunk(), list), id).count;
    expect(count([], 'displace')).toBeUndefined();
    expect(count([['turn.pass', 'water']], 'displace')).toBe('1 pass so far');
    expect(
      count(
        [
          ['turn.pass', 'water'],
          ['turn.pass', 'drops']
        ],
        'displace'
      )
    ).toBe('2 passes so far');
    expect(count([], 'changes')).toMatch(/^0 made, [1-9] to go$/);
    expect(count([['oil.drained', 1e-3]], 'changes')).toMatch(/^1 made, /);
  });
  it('what cannot run the same day is put to sleep in three steps', () => {
    expect(tonight.map((t) => t.id)).toEqual(['drowned.fill', 'drowned.cap', 'drowned.label']);
  });
});
