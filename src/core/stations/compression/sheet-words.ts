import { say, type System } from '../../units/index.ts';
import type { Comparison } from './compare.ts';
import type { Figure } from './figures.ts';
import type { NotIdentifiable } from './leak.ts';
import type { PressureVoid } from './measure.ts';
import type { Unlike } from './reference.ts';
import { pressureSaid } from './pressure-said.ts';
import { sayModel } from './differences-words.ts';

/** A computed figure: its name and the sentence beside it. */
export function sayFigure(
  f: Figure,
  found: Comparison,
  units: System
): { readonly label: string; readonly says: string } {
  const p = pressureSaid(found, units);
  switch (f.id) {
    case 'sea-level':
      return { label: 'At sea level', says: `${p(f.here)} here would be ${p(f.value)} at sea level` };
    case 'altitude-unknown':
      return { label: 'At sea level', says: 'altitude not recorded: taken as sea level' };
    case 'without-adapter':
      return {
        label: 'Lowest, without the adapter',
        says: `the adapter’s ${say(f.dead, 'volume', units)} alone takes it down; without it about ${p(f.value)} (${p(f.low)} to ${p(f.high)})`
      };
    case 'wet-dose':
      return {
        label: 'Wet, the oil’s own share taken off',
        says: `${p(f.rise)} over dry, ${p(f.oil.best)} of it (${p(f.oil.low)} to ${p(f.oil.high)}) the oil’s own volume`
      };
    case 'expected':
      return {
        label: 'Expected of this engine',
        says: `${p(f.low)} to ${p(f.high)} by the cranking model (${sayModel(f.from, units)}); under it is a question, never a fault`
      };
  }
}

/** Why no leak can be told apart, and what would help. */
export const notIdentifiable: Readonly<Record<NotIdentifiable, string>> = {
  'one cylinder':
    'Not identifiable: one cylinder alone cannot tell a leak from its ratio and heat loss. Leak-down can.',
  'one cylinder and adapter':
    'Not identifiable: on one cylinder a leak and the adapter’s volume look alike. Repeat without the adapter; then leak-down.',
  'adapter unknown':
    'Not identifiable: the volume before this gauge’s check valve is not entered, and a leak and a dead volume look alike. Repeat without the adapter, or measure it.',
  throttle: 'Not identifiable: the throttle was not recorded as wide open. Repeat with it wide open.',
  order: 'Not identifiable: the low ones were tested last while cranking tired. Repeat in the reverse order.',
  scatter:
    'Not identifiable: readings of one cylinder do not agree with one another. Repeat it until the last ones agree.',
  profile: 'Not identifiable yet: the model needs strokes and displacement. Enter them in the profile.'
};

/** Why a reading says nothing, beside the reading. */
export const voidWords: Readonly<Record<PressureVoid | 'outdone', string>> = {
  throttle: 'throttle shut',
  range: 'past the scale',
  falls: 'the needle fell',
  outdone: 'not so when repeated'
};

/** In what another test differs from this one, so that the two cannot be put side by side. */
const unlike: Readonly<Record<Unlike, string>> = {
  instrument: 'another instrument',
  adapter: 'another adapter',
  throttle: 'another throttle',
  bores: 'other oil in the bores',
  engine: 'warm against cold'
};
export const sayUnlike = (list: readonly Unlike[]): string => list.map((k) => unlike[k]).join(', ');
