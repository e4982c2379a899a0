import { expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';

it('oil beside a low reading taken once invents no overhaul; beside a repeated one the settling look comes first', () => {
  const b = new Bench({ strokes: 'four', cylinders: 2, displacement: 500e-6 }).psi([
    [1, 175],
    [2, 90]
  ]);
  b.psi([[2, 120]], { conditions: { throttle: 'open', bores: 'oiled', dose: 3e-6 } });
  expect(b.assessed().steps.map((s) => s.id)).not.toContain('overhaul');
  b.psi([
    [1, 174],
    [2, 91]
  ]);
  expect(b.assessed().steps.map((s) => s.id)).toEqual(['leak-down']);
});
