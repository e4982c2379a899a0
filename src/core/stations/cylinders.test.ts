import { expect, it } from 'vitest';
import type { Condition, Finding } from '../findings/finding.ts';
import { cylinderConditions } from './cylinders.ts';

const finding = (station: Finding['station'], cylinder: number | undefined, condition: Condition): Finding => ({
  id: `${station}.x.${cylinder}`,
  station,
  ...(cylinder === undefined ? {} : { cylinder }),
  condition,
  found: 'Seen.',
  sentence: 'Seen.',
  because: { inputs: [], provenance: 'C', source: 'a test' }
});

it('a cylinder shows the gravest of its findings, whichever comes last', () => {
  const fault = finding('compression', 3, 'fault');
  const watch = finding('compression', 3, 'watch');
  for (const list of [
    [fault, watch],
    [watch, fault]
  ])
    expect(cylinderConditions(list)).toEqual({ 3: 'fault' });
});

it('findings of no cylinder, or of a check that is not about cylinders, colour none', () => {
  expect(cylinderConditions([finding('compression', undefined, 'fault'), finding('gear', 1, 'fault')])).toEqual({});
});
