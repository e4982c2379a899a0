/** Threads that plugs are made with, metric, as ISO 28741 names them (from memory). */
export const threads = { m10: 'M10 × 1', m12: 'M12 × 1.25', m14: 'M14 × 1.25', m18: 'M18 × 1.5' } as const;
export type PlugThread = keyof typeof threads;
export const plugThreads = Object.entries(threads).map(([value, label]) => ({ value: value as PlugThread, label }));
