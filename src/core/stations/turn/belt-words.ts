import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { TurnBasis, TurnFacts } from './facts.ts';

const stateSaid = { cracked: 'cracked, frayed or swollen', slack: 'slack, or it has jumped', oily: 'oily' } as const;

/** The timing belt: suspect, sound, or off with the head and not looked at since. */
export const beltWords: Pick<WordsOf<TurnFacts, TurnBasis>, 'belt-suspect' | 'belt' | 'belt-was-off'> = {
  'belt-suspect': ({ values: { is, interference } }) => ({
    found: `The timing belt is ${stateSaid[is]}: renew it${interference === 'no' ? '' : ' before the engine is cranked; a slip bends valves'}.`,
    because: practice(
      [`timing belt: ${is}`, `valves meet pistons: ${interference ?? 'unknown'}`],
      'a belt that is suspect is renewed before anything turns it.'
    )
  }),
  belt: ({ values: { is } }) => ({
    found:
      is === 'renewed'
        ? 'The timing belt is new and its marks are in line.'
        : 'The timing belt is sound, its marks in line.',
    because: practice([`timing belt: ${is}`], 'teeth, back, edges and marks.')
  }),
  'belt-was-off': ({ values: { interference } }) => ({
    found: 'The timing belt came off with the head, and its marks were not seen since.',
    advice: `Two turns by hand, marks in line${interference === 'no' ? '' : ', before a starter or a rope turns it'}.`,
    because: practice(
      ['work with the head off, after the last look at the belt'],
      'the belt comes off with the head; a tooth out, it fires at the wrong moment, and valves may meet pistons.'
    )
  })
};
