import { describe, expect, it } from 'vitest';
import { allItems } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { jobs, moves } from './all-good.ts';
import { four, magneto, two } from './engines.ts';

describe('a run of which nobody tapped the stop', () => {
  const old = (): Bench => new Bench(two, 'long-stored', { yearsIdle: 6 }).read('fuel.tank', 'old');
  it('goes on while its stream is read, and on old fuel it is stopped', () => {
    expect(moves(old().read('run.stream', 'weak'))[0]).toBe('Stop it now');
    expect(moves(old().read('run.event', 'start').read('run.stream', 'weak'))[0]).toBe('Stop it now');
  });
  it('is over once something is read that no running engine lets anybody read', () => {
    for (const b of [old().read('run.stream', 'weak'), old().read('run.event', 'start').read('run.stream', 'weak')]) {
      b.read('plugs.read', ['normal'], { cylinder: 1 });
      expect(moves(b)).not.toContain('Stop it now');
      expect(b.assessed().moves.some((m) => m.waits === 'First: the run is ended.')).toBe(false);
    }
  });
  it('what can be read of it while it runs ends nothing', () => {
    const b = old().read('run.event', 'start').read('run.stream', 'weak').read('cooling.outlet', 'clear');
    expect(moves(b)[0]).toBe('Stop it now');
  });
});

describe('an engine that does not turn', () => {
  it('is asked for liquid first, whatever else was found on it', () => {
    const b = new Bench(two).read('turn.result', 'locked').read('spark.stray', 'lead', { cylinder: 2 });
    expect(moves(b)[0]).toBe('Plugs out: liquid locks it like rust');
  });
  it('stiff, it is eased before air is let into a cylinder', () => {
    const b = new Bench(four).read('turn.plugs', 'out').read('turn.result', 'stiff');
    b.read('compression.escape', ['edge'], { cylinder: 2 });
    expect(moves(b)[0]).toBe('Plugs out and read');
  });
});

describe('a crankcase that does not hold', () => {
  const falls = (): Bench => new Bench(two).read('compression.crankcase', 'falls', { cylinder: 1 });
  it('is put under soap before hours go into a part that nobody has named', () => {
    expect(moves(falls())[0]).toMatch(/^Crankcase under pressure again of cylinder 1, soapy water/);
    expect(jobs(falls())).not.toContain('crank-seal');
  });
  it('named, or put under soap and nothing named, it is opened', () => {
    expect(jobs(falls().read('compression.crankcase', 'seal', { cylinder: 1 }))).toContain('crank-seal');
    expect(jobs(falls().read('compression.crankcase', 'falls', { cylinder: 1 }))).toContain('crank-seal');
    const another = falls().read('compression.crankcase', 'seal', { cylinder: 2 });
    expect(jobs(another)).toContain('crank-seal');
  });
  it('nothing is cranked for it', () => {
    const move = falls().assessed().moves[0]!;
    expect([move.needs, move.waits]).toEqual([undefined, undefined]);
  });
});

it('an engine with points has no power pack to try', () => {
  expect(allItems['spark.packSwap'].when?.(magneto)).toBe(false);
  expect(allItems['spark.packSwap'].when?.(two)).toBe(true);
});
