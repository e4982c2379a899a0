import type { Profile } from './profile.ts';

/**
 * Pairs of cylinders that share a head and a gasket land between them.
 * In line: 1–2, 2–3, …; V: odd numbers one bank, even numbers the other (C: common practice, the manual's drawing wins).
 * An unknown layout is taken as in line up to five cylinders and as a V from six (C).
 */
export function neighbours(profile: Profile, cylinders: number): [number, number][] {
  const step = bankCount(profile, cylinders);
  const pairs: [number, number][] = [];
  for (let c = 1; c + step <= cylinders; c++) pairs.push([c, c + step]);
  return pairs;
}

/** One bank or two. */
export function bankCount(profile: Profile, cylinders: number): 1 | 2 {
  if (profile.layout === 'v') return 2;
  if (profile.layout === 'inline') return 1;
  return cylinders >= 6 ? 2 : 1;
}

/** The cylinders of one bank, in order; all of them on an engine with one. */
export const bankWith = (profile: Profile, cylinders: number, cylinder: number): number[] => {
  const step = bankCount(profile, cylinders);
  return Array.from({ length: cylinders }, (_, k) => k + 1).filter((k) => (k - cylinder) % step === 0);
};
