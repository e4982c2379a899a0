import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { two } from '../../../test/stories/engines.ts';
import { jobs, moves } from '../../../test/stories/all-good.ts';

/** A plug that ran lean, and a bore with marks: what the needle says beside them. */
const lean = (): Bench =>
  new Bench(two)
    .read('safe.lanyard', 'out')
    .read('safe.battery', 'off')
    .read('safe.propeller', 'off')
    .read('safe.secured', 'yes')
    .read('turn.result', 'bumps')
    .read('plugs.read', ['normal'], { cylinder: 1 })
    .read('plugs.read', ['normal'], { cylinder: 2 })
    .read('plugs.read', ['bridged', 'white'], { cylinder: 3 })
    .read('plugs.hole', 'scored', { cylinder: 3 });

describe('dear work and a measurement that is still doubted', () => {
  it('a low reading taken once sends no power head away: it is repeated', () => {
    const b = lean().psi([
      [1, 120],
      [2, 122],
      [3, 15]
    ]);
    expect(moves(b)[0]).toMatch(/Compression again of cylinder 3/);
    expect(jobs(b)).not.toContain('overhaul');
  });
  it('repeated, it is established; the cheap decisive checks come before anybody asks for a price', () => {
    const b = lean()
      .psi([
        [1, 120],
        [2, 122],
        [3, 15]
      ])
      .psi([
        [3, 15],
        [2, 121],
        [1, 120]
      ]);
    expect(jobs(b)).toContain('overhaul');
    const list = b.assessed().moves;
    const overhaul = list.find((m) => m.job === 'overhaul')!;
    expect(overhaul.class).toBe(8);
    expect(list.findIndex((m) => m.id === 'look:shift')).toBeLessThan(list.indexOf(overhaul));
  });
});

it('what the eye saw is not called likely beside it', () => {
  const why = new Bench(two)
    .read('look.mounts', 'cracked')
    .assessed()
    .steps.flatMap((s) => s.why)
    .join(' ');
  expect(why).toMatch(/bracket is cracked/);
  expect(why).not.toMatch(/Likely|Almost certain/);
});
