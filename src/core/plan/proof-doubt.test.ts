import { expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';

const triple = { strokes: 'four', cylinders: 3, layout: 'inline', displacement: 900e-6, ignition: 'digital' } as const;
const tester = (light?: 'sun') => ({ conditions: { path: 'tester', ...(light && { light }) } }) as const;
const lead = (b: Bench) => b.assessed().steps.find((s) => s.id === 'lead')?.state;
const renewed = () =>
  new Bench(triple).read('spark.lanyard', 'yes').read('spark.stray', 'lead', { cylinder: 3 }).done('lead');

it('a spark looked at in the sun proves no new lead', () => {
  expect(lead(renewed().read('spark.result', 'weak', { cylinder: 3, ...tester('sun') }))).toBe('done');
});

it('a good one through the tester does', () => {
  expect(lead(renewed().read('spark.result', 'good', { cylinder: 3, ...tester() }))).toBe('proved');
});

it('an inline engine has one thermostat, whatever bank its reading names', () => {
  const b = new Bench(triple).read('cooling.thermostatPan', 'good', { conditions: { bank: 'port' } });
  expect(
    b
      .judged()
      .findings.map((f) => f.sentence)
      .join(' ')
  ).not.toMatch(/port/);
});

it('a job ticked by hand is not proved by a reading that cannot tell', () => {
  const open = { conditions: { throttle: 'open', bores: 'dry' } } as const;
  const b = new Bench({ ...triple, cylinders: 2 })
    .psi(
      [
        [1, 160],
        [2, 110]
      ],
      open
    )
    .done('lash');
  b.psi([[2, 158]], { conditions: { bores: 'dry' } });
  expect(b.assessed().steps.find((s) => s.id === 'lash')?.state).toBe('done');
});
