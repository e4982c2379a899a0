import { expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';

const oiled = { conditions: { throttle: 'open', bores: 'oiled', dose: 3e-6 } } as const;

it('one reading with oil in the bore clears nothing: it asks for a dry one', () => {
  const b = new Bench({ strokes: 'four', cylinders: 1, displacement: 250e-6 }).psi([[1, 150]], oiled);
  expect(b.ids()).toContain('compression.oiled:cannot-tell');
  expect(b.ids().filter((id) => id.endsWith(':sound'))).toEqual([]);
  expect(b.said('compression.oiled')).toMatch(/proves nothing of the dry bore/);
});

it('a dry reading after it is judged on its own', () => {
  const b = new Bench({ strokes: 'four', cylinders: 1, displacement: 250e-6 })
    .psi([[1, 150]], oiled)
    .psi([[1, 148]], { conditions: { throttle: 'open', bores: 'dry' } });
  expect(b.ids()).toContain('compression.figure:sound');
});

it('one cylinder of three reaching its figure says nothing of the other two', () => {
  const b = new Bench({ strokes: 'four', cylinders: 3, displacement: 750e-6 }).psi([[1, 150]]);
  expect(b.ids().filter((id) => id.endsWith(':sound'))).toEqual([]);
});
