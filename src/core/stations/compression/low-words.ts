import type { LowDoubt } from './facts.ts';

/** What to do about a low reading, by what makes it doubtful. */
export const lowAdvice: Readonly<Record<LowDoubt, string>> = {
  worked: 'That was before the work on it: read it again.',
  soaked: 'It was soaked since: turn it by hand and read it again a day after, before it is condemned.',
  throttle: 'Repeat it with the throttle wide open before believing it.',
  cranking: 'Repeat it, cranked briskly, before believing it: a small leak tells more the slower it is turned.',
  adapter: 'Repeat it without the adapter before believing it.',
  once: 'Repeat it before believing it.',
  oiled: 'There is oil in its bore now, and dry it cannot be read again: air says whether it is so.',
  wet: 'Wet, less what the oil’s own volume lifts, it reads the same: it is low. Leak-down next.',
  pair: 'It repeats: it is low, and so is the one beside it. Leak-down next, for the gasket between the two.',
  lash: 'It repeats: it is low. Valve lash first, then a wet test or leak-down.',
  none: 'It repeats: it is low. Wet test or leak-down next.',
  heard: 'It repeats, and its air was heard: what that points to is opened next.',
  unheard: 'It repeats, and air leaves it: listen where it comes out, before anything is opened.',
  sight: 'What was seen through its plug hole explains it. Leak-down says how far that goes.',
  leaks: 'Leak-down says the same: what it points to is opened next.'
};
