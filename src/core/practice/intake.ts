import { caseKinds } from '../engine/case-kind.ts';
import { historyItems } from '../engine/profile.ts';
import { sayValue } from '../items/check-entry.ts';
import type { Item } from '../items/item.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { say, type System } from '../units/index.ts';

export interface Told {
  readonly label: string;
  readonly value: string;
}

/**
 * What whoever brings an engine says of it, in the order of the intake: its kind of case, and its history as far as it was told. A moment
 * is said as the time that has passed since, as one who stands there says it.
 */
export function toldAtIntake({ assessment, engine }: SurveyFile, units: System): Told[] {
  const told = (Object.keys(historyItems) as (keyof typeof historyItems)[]).flatMap((key): Told[] => {
    const value = engine.history[key];
    if (value === undefined) return [];
    const item = historyItems[key] as Item;
    if (key === 'recoveredAt' && value !== 'unknown') {
      const hours = (Date.parse(assessment.startedAt) - Date.parse(value as string)) / 3_600_000;
      return [{ label: item.label, value: `${say(hours, 'hours', units)} before` }];
    }
    return [{ label: item.label, value: sayValue(item, value, units) }];
  });
  return [{ label: 'Case', value: caseKinds[assessment.kind].label }, ...told];
}
