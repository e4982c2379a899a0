import type { Because, Condition, Finding } from './finding.ts';
import type { StationId } from '../items/register.ts';

/**
 * The first sentence of a text: what was found, where one text says that and what to do. The owner's page shows it; nothing is decided by it.
 */
export const firstOf = (sentence: string): string => /^.*?[.!?](?=\s|$)/.exec(sentence)?.[0] ?? sentence;

/** Starts a list of findings of one station and gives back the list with a way to add to it. */
export function findingsOf(station: StationId) {
  const list: Finding[] = [];
  return {
    list,
    add(id: string, condition: Condition, sentence: string, because: Because, cylinder?: number): void {
      list.push({
        id: cylinder === undefined ? `${station}.${id}` : `${station}.${id}.${cylinder}`,
        station,
        ...(cylinder === undefined ? {} : { cylinder }),
        condition,
        found: firstOf(sentence),
        sentence,
        because
      });
    }
  };
}

/** The reason behind a judgement that rests on what was seen and on the practice of the trade alone. */
export const practice = (inputs: readonly string[], source: string, more: Partial<Because> = {}): Because => ({
  inputs,
  provenance: 'C',
  source: `Common practice: ${source}`,
  ...more
});
