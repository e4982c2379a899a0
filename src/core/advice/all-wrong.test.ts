import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { advise } from './advice.ts';

const advice = (b: Bench) => advise(b.judged());

describe('everything wrong at once', () => {
  it('is advice all the same, on twelve cylinders too, and says what could not be weighed', () => {
    const b = new Bench({ strokes: 'two', cylinders: 12, layout: 'v', displacement: 4e-3 }, 'drowned', {
      submerged: 'yes',
      water: 'salt'
    });
    b.read('turn.result', 'gritty').read('turn.feel', ['noise', 'tight']).read('turn.water', 'much');
    for (let k = 0; k < 2; k++)
      b.psi(
        Array.from({ length: 12 }, (_, c) => [c + 1, c ? 50 + 3 * c : 118] as const),
        { instrument: { name: 'g', adapterVolume: 9e-6, valve: 'gauge end' } }
      );
    for (let c = 1; c <= 12; c++)
      b.read('compression.leakdown', 0.5, { cylinder: c })
        .read('compression.escape', ['neighbour', 'crankcase', 'water'], { cylinder: c })
        .read('plugs.read', ['water', 'white', 'oily', 'black', 'cracked'], { cylinder: c })
        .read('plugs.hole', 'scored', { cylinder: c })
        .read('spark.result', c === 1 ? 'good' : c % 2 ? 'none' : 'weak', { cylinder: c, conditions: { light: 'sun' } })
        .read('turn.depth', (60 + c) / 1000, { cylinder: c });
    b.read('gear.first', 'water')
      .read('gear.look', 'milky')
      .read('fuel.jar', 'layers')
      .read('cooling.stream', 'none')
      .read('run.outcome', 'stopped')
      .read('run.plugAfter', 'wet')
      .read('look.wiring', 'chewed');
    const a = advice(b);
    expect(JSON.stringify(a)).not.toMatch(/NaN|null|Infinity/);
    expect(a.suspects.some((s) => s.chance === 'likely')).toBe(true);
    expect(a.contradictions[0]!.sentence).toMatch(/could not be weighed with the rest/);
  });
});
