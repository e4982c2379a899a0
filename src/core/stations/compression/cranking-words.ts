import { practice } from '../../findings/collect.ts';
import { ownLimits } from '../../engine/limits.ts';
import type { WordsOf } from '../../findings/fact.ts';
import { say, type System } from '../../units/index.ts';
import type { Comparison } from './compare.ts';
import type { TestFacts } from './facts.ts';
import { pressureSaid } from './pressure-said.ts';

/** The readings of a test, its gauge and its conditions: what every judgement on it rests on. */
export function inputsOf(found: Comparison, units: System): string[] {
  const p = pressureSaid(found, units);
  const { instrument, conditions } = found;
  return [
    ...found.rows.map((r) => `cylinder ${r.cylinder}: ${r.readings.map(p).join(', ')}`),
    `gauge: ${instrument.name}${instrument.adapterVolume ? `, adapter ${say(instrument.adapterVolume, 'volume', units)}` : ''}`,
    `throttle ${conditions.throttle ?? 'unknown'}, bores ${conditions.bores ?? 'unknown'}`
  ];
}

/** How it was cranked: too slowly by what was noted, or tiring from one cylinder to the next. */
export const crankingWords: WordsOf<TestFacts, Comparison>['cranking'] = (
  { values: { volts, rpm, reached, tires, starter } },
  found,
  units
) => {
  const noted = [
    ...(rpm === undefined ? [] : [`${Math.round(rpm)} rpm`]),
    ...(volts === undefined ? [] : [`${volts.toFixed(1)} V`])
  ].join(' and ');
  const how = noted ? `It was cranked at ${noted} only` : 'It was cranked by a starter or battery that was found weak';
  if (tires !== undefined)
    return {
      found: `The readings fall in both orders, by ${pressureSaid(found, units)(tires)} from one cylinder to the next: whichever is read late reads low. That is ${starter ? 'battery or starter' : 'arm or starter'}, not a cylinder${reached ? ', and they reach what is asked of them all the same' : ''}.`,
      ...(reached
        ? {}
        : { advice: `Repeat it, ${starter ? 'on a charged battery' : 'with a fresh arm, or a rest between two'}.` }),
      because: practice(
        inputsOf(found, units),
        'in two opposite orders every cylinder has the same place on average; what falls in both is the cranking.'
      )
    };
  return {
    found: reached
      ? `${how}, which reads low, and reaches what is asked of it all the same.`
      : `${how}: slow cranking reads low everywhere.`,
    ...(reached ? {} : { advice: 'Repeat it, cranked briskly: a charged battery, or another arm.' }),
    because: practice(
      [...inputsOf(found, units), `while cranking: ${noted || 'not noted'}`],
      `under about ${ownLimits.weakVolts} V with the plugs out the starter is too slow, and under ${ownLimits.slowCranking} rpm (from memory) so is arm or starter.`
    )
  };
};
