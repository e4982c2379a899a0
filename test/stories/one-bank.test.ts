import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves, ran, readyToRun } from './all-good.ts';
import { four, two, v6 } from './engines.ts';

/** Both heads noted by hand at the cooling check, °C. */
const heads = (b: Bench, port: number, starboard: number): Bench =>
  b
    .read('cooling.head', 273.15 + port, { conditions: { bank: 'port' } })
    .read('cooling.head', 273.15 + starboard, { conditions: { bank: 'starboard' } });

describe('heads noted by hand, one bank hotter', () => {
  it('is said, and what that bank has to itself is looked at', () => {
    const b = heads(readyToRun(v6), 60, 84);
    expect(b.ids()).toContain('cooling.banks:watch');
    expect(b.said('cooling.banks')).toMatch(/starboard bank was read 43 °F hotter/);
    const asked: string[] = [];
    for (const [what, value] of [
      ['run.second', 'same'],
      ['cooling.thermostatPan', 'good']
    ] as const) {
      asked.push(moves(b)[0]!);
      b.read(what as never, value as never, { conditions: { bank: 'starboard' } as never });
    }
    expect(asked).toEqual(['A second thermometer, same spot', 'Thermostat of the starboard bank in a pan']);
  });
  it('a few kelvin apart say nothing', () => {
    expect(heads(readyToRun(v6), 60, 66).ids().join(' ')).not.toMatch(/cooling\.banks/);
  });
  it('past its limit it names the bank, and the stream’s outlet cools no head', () => {
    const b = heads(readyToRun(v6), 60, 96);
    expect(b.said('cooling.hot')).toMatch(/^The head of the starboard bank reached/);
    expect(moves(b).join(' | ')).not.toMatch(/outlet/);
    expect(moves(readyToRun(two).read('cooling.stream', 'strong').read('cooling.head', 373)).join(' | ')).not.toMatch(
      /outlet/
    );
  });
  it('after work on its water both are read again before it counts as cured', () => {
    const b = heads(readyToRun(v6), 60, 84).read('cooling.thermostatPan', 'shut', {
      conditions: { bank: 'starboard' }
    });
    b.done('thermostat');
    expect(b.said('cooling.banks')).toMatch(/Read both again/);
    expect(moves(b)).toContain('Temperatures of both banks again, the same spots');
    expect(heads(b, 61, 64).ids().join(' ')).not.toMatch(/cooling\.banks/);
  });
});

describe('turned free without bumps', () => {
  const turned = (): Bench => new Bench(four).read('turn.result', 'free');
  it('the plugs said after it: it is turned again, and nobody asks where they were', () => {
    const b = turned().read('turn.plugs', 'in');
    expect(b.said('turn.nobumps')).toMatch(/turn it again, and count/);
    expect(moves(b)).toContain('Turn it by hand again, plugs in, and count the bumps');
    const out = turned().read('turn.plugs', 'out');
    expect(out.said('turn.nobumps')).not.toMatch(/Record where|count/);
    expect(moves(out)).toContain('Turn it by hand once more, the plugs out');
    expect(out.read('turn.result', 'free').ids()).toContain('turn.free:sound');
  });
  it('and it ran since: it has compression', () => {
    expect(ran(turned(), 'ran').ids().join(' ')).not.toMatch(/nobumps/);
    expect(turned().read('run.outcome', 'failed').ids().join(' ')).toMatch(/nobumps/);
  });
});

it('no stream, its outlet probed free after that: the finding names the pump, as the next step does', () => {
  const b = new Bench(four)
    .read('cooling.source', 'tank')
    .read('cooling.screen', 'clear')
    .read('cooling.outlet', 'clear');
  b.read('cooling.stream', 'none').read('cooling.head', 350);
  expect(b.said('cooling.stream')).toMatch(/Blow its line through/);
  b.read('cooling.outlet', 'clear');
  expect(b.said('cooling.stream')).toMatch(/the pump is opened next/);
  expect(moves(b)[0]).toBe('Open the water pump');
});
