/** The places that are reached from everywhere, in the order of a working day. */
export const places = [
  ['/', 'Yard'],
  ['/bench', 'Bench'],
  ['/care', 'Care'],
  ['/engines/new', 'Take in an engine'],
  ['/practice', 'Practice'],
  ['/reference', 'Reference']
] as const;

/** Whether a place is where the address points. */
export const isHere = (place: string, path: string): boolean => (place === '/' ? path === '/' : path.startsWith(place));
