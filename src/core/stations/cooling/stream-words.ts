import { BANKS_APART } from '../run/banks.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { say, sayApart, type System } from '../../units/index.ts';
import { warmingSaid } from '../run/warming-words.ts';
import type { CoolingBasis, CoolingFacts, Unsettled } from './facts.ts';

const headOf = ({ head }: CoolingBasis, units: System): string => say(head!, 'temperature', units);

/** Stream, temperature and outlet, as they stand behind what is said of the stream. */
const streamBecause = (basis: CoolingBasis, units: System): Because => ({
  inputs: [
    `stream: ${basis.stream ?? 'not looked at'}`,
    `hottest at the head: ${basis.head === undefined ? 'not taken' : headOf(basis, units)}`,
    `outlet and line: ${basis.outlet ?? 'not probed'}`
  ],
  limit: `head under ${sayLimit(basis.hot, units)}`,
  provenance: basis.hot.provenance,
  source: 'Common practice: the stream is a bleed, not the whole flow; temperature decides between pump and outlet'
});

const missing = { weak: 'The stream is weak', none: 'No stream' } as const;
const STOP = 'Stop: past its half minute no engine runs without it.';
/** What comes first where there is no stream at all. */
const stopFirst = (stop: boolean, then: string): string => (stop ? `${STOP} ${then}` : then);

function butWhat(u: Unsettled): string {
  switch (u.is) {
    case 'hotter':
      return `the ${u.bank} bank runs hotter than the other`;
    case 'unread':
      return `the head of the ${u.bank} bank was not read`;
    case 'temperature':
      return 'the run was stopped because of its temperature';
    case 'stream':
      return 'the run was stopped because of the stream';
    case 'steam':
      return 'the run showed steam';
    case 'no-water':
      return 'the run showed no water at the exhaust';
  }
}

/** What is said of the stream beside the temperature of the head. */
export const streamWords: Pick<
  WordsOf<CoolingFacts, CoolingBasis>,
  | 'hot'
  | 'early'
  | 'rising'
  | 'outlet-shut'
  | 'outlet-cleared'
  | 'outlet-likely'
  | 'none-outlet-clear'
  | 'weak-outlet-clear'
  | 'banks'
  | 'head-cold'
  | 'head-warming'
  | 'head-unread'
  | 'not-delivering'
  | 'missed-unsettled'
  | 'strong-unsettled'
  | 'strong'
  | 'no-indicator'
> = {
  hot: ({ values: { doubted, bank } }, basis, units) => {
    const [head, limit] = [headOf(basis, units), sayLimit(basis.hot, units)];
    return {
      ...(doubted
        ? {
            found: `${head} at the head by one thermometer, limit ${limit}, and normal by another.`,
            advice: 'Both into boiling water: the one that is right there is believed; no running before.'
          }
        : {
            found: `The head${bank ? ` of the ${bank} bank` : ''} reached ${head}, limit ${limit}.`,
            advice: 'Stop; no more running until the cause is found: pump, thermostat, passages.'
          }),
      because: streamBecause(basis, units)
    };
  },
  banks: ({ values: { hotter, by, worked } }, basis, units) => ({
    found: `The head of the ${hotter} bank was read ${sayApart(by, units)} hotter than the other: strainer, thermostat or passages of that bank.`,
    advice: worked
      ? 'Read both again, the same spots: there was work on its water since.'
      : 'One cured fault does not clear the other.',
    because: {
      ...streamBecause(basis, units),
      limit: `${sayApart(BANKS_APART, units)} between banks (from memory)`,
      provenance: 'M',
      source: 'From memory'
    }
  }),
  early: (_, basis, units) => ({
    found: 'No stream yet, within its first half minute: look again at thirty seconds; if there is none then, stop.',
    because: streamBecause(basis, units)
  }),
  rising: ({ values: { stream, warming } }, basis, units) => ({
    found: `${missing[stream]} and the temperature still climbs: stop it.`,
    advice: warmingSaid(warming, units, true),
    because: {
      ...streamBecause(basis, units),
      uncertainty: '95 % by profile likelihood',
      formula: 'T(t) = T_a + (T_∞ − T_a)·(1 − e^(−t/τ))'
    }
  }),
  'outlet-shut': ({ values: { stream } }, basis, units) => ({
    ...(stream
      ? {
          found: `${missing[stream]} because the outlet or its line is blocked.`,
          advice: 'Clear it; hot water follows.'
        }
      : {
          found: 'The stream’s outlet or its line is blocked.',
          advice: 'Clear it, and look at the stream again: until then it says nothing.'
        }),
    because: streamBecause(basis, units)
  }),
  'outlet-cleared': (_, basis, units) => ({
    found: 'The outlet was blocked and is clear now.',
    advice: 'One cured fault does not clear the other: look at the stream again and watch the temperature to the end.',
    because: streamBecause(basis, units)
  }),
  'outlet-likely': ({ values: { stream, stop } }, basis, units) => ({
    found: `${missing[stream]} but the head stays at ${headOf(basis, units)}: that points to the outlet or its line, not to the pump.`,
    advice: stopFirst(stop, 'Probe the outlet first; it does not clear the pump: watch the temperature to the end.'),
    because: streamBecause(basis, units)
  }),
  'none-outlet-clear': ({ values: { stop, blown } }, basis, units) => ({
    found: `No stream, though its outlet is clear and the head is at ${headOf(basis, units)} so far.`,
    advice: stopFirst(
      stop,
      blown
        ? 'The outlet was probed after it, and is free: the pump is opened next.'
        : 'Blow its line through from the head to the outlet; if that is free, it is the pump.'
    ),
    because: streamBecause(basis, units)
  }),
  'weak-outlet-clear': ({ values: { stream } }, basis, units) => ({
    found: `${missing[stream]}, the outlet is clear and the head stays cool.`,
    advice: 'Compare with its sister or last year before opening the pump.',
    because: streamBecause(basis, units)
  }),
  'head-cold': ({ values: { stream, stop } }, basis, units) => ({
    found: `${missing[stream]}.`,
    advice: stopFirst(
      stop,
      `The head is still cold at ${headOf(basis, units)} and says nothing about the pump: probe the outlet and the intakes first.`
    ),
    because: streamBecause(basis, units)
  }),
  'head-warming': ({ values: { stream, stop } }, basis, units) => ({
    found: `${missing[stream]}.`,
    advice: stopFirst(
      stop,
      `At ${headOf(basis, units)} the head was still warming and says nothing about the pump: probe the outlet and the intakes, and watch it until it settles; be ready to stop.`
    ),
    because: streamBecause(basis, units)
  }),
  'head-unread': ({ values: { stream, stop } }, basis, units) => ({
    found: `${missing[stream]}.`,
    advice: stopFirst(stop, 'Probe the outlet and take the head’s temperature before the pump is blamed.'),
    because: streamBecause(basis, units)
  }),
  'not-delivering': ({ values: { stream } }, basis, units) => ({
    found: `${missing[stream]} and it runs hot: the pump is not delivering.`,
    because: streamBecause(basis, units)
  }),
  'missed-unsettled': ({ values: { stream, stop, but } }, basis, units) => ({
    found: `${missing[stream]}, and ${butWhat(but)}: ${headOf(basis, units)} at the head clears nothing.`,
    advice: stopFirst(stop, 'The water it draws and its way out first: intakes, strainer, outlet; then the pump.'),
    because: streamBecause(basis, units)
  }),
  'strong-unsettled': ({ values: { but } }, basis, units) => ({
    found: `A strong stream, but ${butWhat(but)}: a stream is a bleed and does not clear the head.`,
    because: streamBecause(basis, units)
  }),
  strong: ({ values: { normal } }, basis, units) => ({
    found: normal ? `A strong stream and ${headOf(basis, units)} at the head.` : 'A strong stream.',
    because: streamBecause(basis, units)
  }),
  'no-indicator': (_, basis, units) => ({
    found: `No indicator on this engine; the head stays at ${headOf(basis, units)}.`,
    because: streamBecause(basis, units)
  })
};
