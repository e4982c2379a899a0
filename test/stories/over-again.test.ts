import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

describe('oil over its mark, drawn down, and over it again', () => {
  const above = (b: Bench): Bench =>
    b.read('oil.level', 'yes').read('oil.waited', 900).read('oil.dip', 'above').wait(0.05).read('oil.dip', 'above');
  const overfilled = (): Bench =>
    above(readyToRun({ ...four, fuelSystem: 'carburettor' }, 'neglected', ['oil']))
      .read('oil.smell', 'oil')
      .read('oil.look', 'clean');
  const FLOODS = /does it flood/;

  it('is drawn down first: overfilled costs no look at the carburettor', () => {
    expect(jobs(overfilled())).toContain('oil-level');
    expect(moves(overfilled()).filter((m) => FLOODS.test(m))).toEqual([]);
  });
  it('over it again, what fills it is looked for before it is drawn down once more', () => {
    const b = above(overfilled().done('oil-level').wait(0.3)).read('oil.smell', 'oil').read('oil.look', 'clean');
    const list = moves(b);
    const floods = list.findIndex((m) => FLOODS.test(m));
    expect(floods).toBeGreaterThanOrEqual(0);
    expect(floods).toBeLessThan(list.findIndex((m) => /^Once more: bring the engine oil right/.test(m)));
  });
});

describe('noise that is still there once the leg was opened for it', () => {
  const noisy = (b: Bench): Bench =>
    b.read('turn.plugs', 'out').read('turn.result', 'free').read('turn.feel', ['noise']);
  const opened = (): Bench =>
    noisy(
      noisy(readyToRun(two, 'neglected', ['turn']))
        .read('turn.roughNeutral', 'still')
        .read('turn.roughPinion', 'still')
        .read('turn.roughLeg', 'smooth')
        .done('metal')
        .wait(3)
    );
  it('is placed anew: what was tried before is of the leg as it was', () => {
    expect(opened().ids()).toContain('turn.feel:watch');
    expect(moves(opened())[0]).toMatch(/^Rough/);
  });
  it('placed there again, the work has failed and is not proved over and over', () => {
    const b = noisy(
      opened().read('turn.roughNeutral', 'still').read('turn.roughPinion', 'still').read('turn.roughLeg', 'smooth')
    );
    expect(b.assessed().steps.find((s) => s.id === 'metal')?.state).toBe('open');
    expect(moves(b).filter((m) => /^Prove it: turns free/.test(m))).toEqual([]);
  });
  it('heard where nobody noted the plugs, it is heard all the same', () => {
    const b = new Bench(two).read('turn.result', 'free').read('turn.feel', ['noise']);
    expect(b.ids()).toEqual(expect.arrayContaining(['turn.feel:watch', 'turn.nobumps:cannot-tell']));
  });
});

describe('noise that an overhaul left', () => {
  const noisy = (b: Bench): Bench => b.read('turn.result', 'bumps').read('turn.feel', ['noise']);
  const found = (b: Bench): Bench => b.read('turn.roughNeutral', 'still').read('turn.roughLeg', 'still');
  const overhauled = (): Bench =>
    noisy(
      found(noisy(new Bench({ ...four, cylinders: 1, starting: 'rope' }).read('turn.plugs', 'in'))).done('overhaul')
    );
  it('is placed anew, and not turned over and over', () => {
    expect(moves(overhauled())[0]).toBe('Rough, in neutral');
    expect(jobs(overhauled())).not.toContain('overhaul');
  });
  it('of the head once more, it is done once more, and after that somebody is asked', () => {
    const b = found(overhauled());
    expect(moves(b)[0]).toMatch(/^Once more: overhaul/);
    expect(moves(found(noisy(b.done('overhaul')))).join(' | ')).toMatch(/Stop: done 2 times and not cured: overhaul/);
  });
});

describe('a case that leaks after it was resealed, and nobody sees where', () => {
  const test = (b: Bench): Bench => {
    for (const stage of ['low', 'high'] as const) {
      const at = { conditions: { stage } };
      const psi = stage === 'low' ? 27_600 : 68_900;
      b.read('gear.casePressure', psi, at).read('gear.caseTurned', 'yes', at).wait(0.4);
      b.read('gear.casePressure', stage === 'low' ? psi : 41_000, at);
    }
    return b;
  };
  const soaped = (b: Bench): Bench => test(b).read('gear.caseBubbles', []).wait(0.1);
  const resealed = (): Bench =>
    test(new Bench(two).read('gear.first', 'water').read('gear.look', 'milky').read('gear.drained', 480e-6))
      .read('gear.caseBubbles', ['propshaft'])
      .done('reseal')
      .wait(1)
      .read('gear.washers', 'yes');

  it('is not resealed once more: shafts, bore and the bare case', () => {
    const b = soaped(soaped(resealed()));
    expect(b.ids()).toContain('gear.test-not-seals:fault');
    expect(jobs(b)).not.toContain('reseal');
    expect(moves(b).join(' | ')).toMatch(/A fingernail over both shafts/);
    expect(moves(b).join(' | ')).not.toMatch(/reseal/i);
  });
  it('never resealed, the seals are what is left', () => {
    const b = test(new Bench(two).read('gear.first', 'water').read('gear.drained', 480e-6)).read('gear.washers', 'yes');
    expect(jobs(soaped(soaped(b)))).toContain('reseal');
  });
  it('a skeg that dye went into is no shallow scratch while the case leaks nowhere else', () => {
    const b = soaped(soaped(resealed().read('look.skeg', 'cracked').read('gear.dyeSkeg', 'metal')));
    expect(jobs(b)).toContain('crack-depth');
    const tight = new Bench(two).read('look.skeg', 'cracked').read('gear.dyeSkeg', 'metal');
    expect(jobs(tight)).not.toContain('crack-depth');
  });
});
