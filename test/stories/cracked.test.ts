import { describe, expect, it } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import type { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

const stained = (): Bench => readyToRun(two).read('look.case', 'stain');
const drained = (b: Bench): Bench => b.read('gear.look', 'clear').read('gear.drained', 480e-6);

/** Every stage of a case test, held for twelve minutes, shafts turned. */
function holds(b: Bench): Bench {
  for (const [stage, psi] of [
    ['low', 4],
    ['high', 10],
    ['vacuum', 4]
  ] as const) {
    b.read('gear.casePressure', psi * PSI, { conditions: { stage } })
      .read('gear.caseTurned', 'yes', { conditions: { stage } })
      .wait(0.5)
      .read('gear.casePressure', psi * PSI, { conditions: { stage } });
  }
  return b.read('gear.caseOpen', 'yes');
}

describe('a line along the case, as a frost crack makes one', () => {
  it('asks how deep it goes before anything is mended', () => {
    const b = stained();
    expect(b.holds()).toContain('gear-case');
    expect(jobs(b)).not.toContain('crack');
    expect(moves(b)[0]).toMatch(/Dye on the line/);
  });
  it('in the paint only it holds nothing and costs nothing', () => {
    const b = stained().read('gear.dyeCase', 'paint');
    expect(b.holds()).not.toContain('gear-case');
    expect(jobs(b)).not.toContain('crack');
    expect(b.ids()).toContain('look.case:watch');
    expect(b.said('look.case')).toMatch(/in the paint only/);
  });
  it('into the metal it is held until the case was tested', () => {
    const b = stained().read('gear.dyeCase', 'metal');
    expect(b.holds()).toContain('gear-case');
    expect(jobs(b)).not.toContain('crack');
    drained(b);
    expect(moves(b).slice(0, 2).join()).toMatch(/Case test/);
    holds(b);
    expect(b.holds()).toContain('gear-case');
    b.read('gear.refill', 'service').read('gear.levelHole', 'bubbleFree');
    expect(b.holds()).not.toContain('gear-case');
    expect(b.said('look.case')).toMatch(/does not go through/);
    expect(jobs(b)).not.toContain('crack');
  });
  it('a case that holds every stage needs no mending for it', () => {
    const b = holds(drained(stained().read('gear.dyeCase', 'unknown')));
    expect(jobs(b)).not.toContain('crack');
    expect(b.ids()).toContain('look.case:watch');
  });
  it('through the wall it is mended, and the case test alone lifts the hold', () => {
    const b = stained().read('gear.dyeCase', 'through');
    expect(jobs(b)).toContain('crack');
    drained(b).done('crack');
    b.read('gear.refill', 'service').read('gear.levelHole', 'bubbleFree').read('look.case', 'sound');
    expect(b.holds()).toContain('gear-case');
    drained(b.wait(1));
    holds(b).read('gear.refill', 'service').read('gear.levelHole', 'bubbleFree');
    expect(b.holds()).not.toContain('gear-case');
  });
  it('through the wall stays so though the case held a test before', () => {
    const b = holds(drained(stained())).read('gear.dyeCase', 'through');
    expect(b.holds()).toContain('gear-case');
    expect(jobs(b)).toContain('crack');
  });
  it('dye that was put on before the line was seen says nothing of it', () => {
    const b = readyToRun(two).read('look.case', 'sound').read('gear.dyeCase', 'paint').read('look.case', 'stain');
    expect(b.holds()).toContain('gear-case');
    expect(moves(b).join()).toMatch(/Dye on the line/);
  });
});

describe('a skeg that is cracked', () => {
  const cracked = (): Bench => readyToRun(two).read('look.skeg', 'cracked');

  it('asks where the crack ends', () => {
    expect(moves(cracked())[0]).toMatch(/Dye on the crack of the skeg/);
    expect(jobs(cracked())).not.toContain('crack');
  });
  it('that ends in the skeg is watched', () => {
    const b = cracked().read('gear.dyeSkeg', 'metal');
    expect(b.holds()).not.toContain('gear-case');
    expect(b.ids()).toContain('look.skeg:watch');
  });
  it('what dye says of the case says nothing of the skeg', () => {
    const b = cracked().read('look.case', 'stain').read('gear.dyeCase', 'paint');
    expect(b.holds()).toContain('gear-case');
    expect(moves(b)[0]).toMatch(/Dye on the crack of the skeg/);
  });
});

describe('marked as mended', () => {
  it('a line that nobody put dye on is held until the case was tested, whatever is seen of it', () => {
    const b = readyToRun(two, 'neglected', ['gear']).read('look.case', 'stain').done('crack').wait(2);
    expect(b.holds()).toContain('gear-case');
    expect(b.read('look.case', 'sound').holds()).toContain('gear-case');
    holds(drained(b)).read('gear.refill', 'service').read('gear.levelHole', 'bubbleFree');
    expect(b.holds()).not.toContain('gear-case');
  });
});

describe('looks that do not fit one another', () => {
  it('through the wall, then in the paint only, with nothing done: the hold stays until it is looked at again', () => {
    const b = stained().read('gear.dyeCase', 'through').read('gear.dyeCase', 'paint');
    expect(b.holds()).toContain('gear-case');
    expect(b.ids()).not.toContain('look.case:watch');
  });
  it('dye through a wall on which the walk saw nothing is a crack all the same', () => {
    const b = readyToRun(two).read('gear.dyeCase', 'through');
    expect(b.holds()).toContain('gear-case');
    expect(b.ids()).toContain('look.case:fault');
    expect(jobs(b)).toContain('crack');
  });
});

it('dye that goes into the metal is a crack, before anybody walked round the engine', () => {
  const b = readyToRun(two, 'neglected', ['look', 'gear']).read('gear.dyeCase', 'metal');
  expect(b.holds()).toContain('gear-case');
  expect(b.ids()).toContain('look.case:fault');
  expect(b.said('look.case')).toMatch(/dye goes into the metal/);
  expect(b.said('look.case')).not.toMatch(/how a frost crack shows/);
});

describe('what a test of before says of a crack, or a leak, seen after it', () => {
  it.each(['look.skeg', 'look.case'] as const)('%s: one reading of one stage since is no test of it', (item) => {
    const seen = holds(readyToRun(two))
      .wait(0.2)
      .read(item, item === 'look.skeg' ? 'cracked' : 'stain');
    const depth = (b: Bench): string | undefined => b.assessed().findings.find((f) => f.id === item)?.condition;
    expect(depth(seen)).toBe('fault');
    seen.wait(0.1).read('gear.casePressure', 4 * PSI, { conditions: { stage: 'low' } });
    expect(depth(seen)).toBe('fault');
    expect(seen.holds()).toContain('gear-case');
    expect(depth(holds(seen.wait(0.1)))).toBe('watch');
  });
  it('seen to leak after it: until every stage was held anew', () => {
    const b = holds(readyToRun(two)).wait(0.2).read('gear.pressureTest', 'leaked').read('gear.caseBubbles', []);
    const leaks = (): boolean => b.ids().some((f) => f.startsWith('gear.test-'));
    expect(leaks()).toBe(true);
    b.wait(0.1).read('gear.casePressure', 4 * PSI, { conditions: { stage: 'low' } });
    expect(leaks()).toBe(true);
    b.wait(0.5).read('gear.casePressure', 4 * PSI, { conditions: { stage: 'low' } });
    expect(leaks()).toBe(true);
    expect(
      holds(b.wait(0.1))
        .ids()
        .some((f) => f.startsWith('gear.test-'))
    ).toBe(false);
  });
  it('cracked and under pressure: both are said', () => {
    const b = readyToRun(two)
      .read('look.case', 'stain')
      .read('gear.casePressure', 9 * PSI, { conditions: { stage: 'high' } });
    expect(b.assessed().holds.find((h) => h.id === 'gear-case')?.because).toMatch(/cracked.*under test pressure/);
  });
});
