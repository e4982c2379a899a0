import type { WeightId } from './rivals.ts';

/** What each look says of oil above the mark. */
export const weightWords: Readonly<Record<WeightId, string>> = {
  'smells-faintly': 'it smells faintly of fuel',
  smells: 'it smells of fuel',
  'smells-strongly': 'it smells strongly of fuel',
  'smells-of-oil': 'it smells of oil only',
  thin: 'it runs thin off the stick',
  body: 'it has body',
  risen: 'it stood between the marks after the last fill, so it has risen since',
  'seen-to-rise': 'it stood between the marks by two dips, nothing was poured in, and it has risen since',
  'above-then': 'it stood above the mark already after the last fill',
  'poured-more': 'more was poured in than the sump holds',
  'poured-less': 'no more was poured in than the sump holds',
  'came-more': 'more came out than was poured in',
  'came-less': 'no more came out than was poured in',
  'laboratory-thin': 'the laboratory finds it thinner than fresh',
  'laboratory-thick': 'the laboratory finds it as thick as fresh'
};
