import type { AdviceMode } from '$core/practice/exercise.ts';

export const adviceWords: Readonly<Record<AdviceMode, string>> = {
  open: 'open',
  'on-demand': 'on demand, counted',
  shut: 'shut'
};

/** Minutes as they are said: "45 min", "2 h 10 min". */
export const sayMinutes = (m: number): string => {
  const n = Math.round(m);
  return n < 90 ? `${n} min` : `${Math.floor(n / 60)} h${n % 60 ? ` ${n % 60} min` : ''}`;
};
