import { format, parseISO } from 'date-fns';
import { latestBy } from '../units/instant.ts';
import type { SurveyFile } from './survey-file.ts';
import type { PartLine } from './work.ts';

/** The latest word on every line that was written. */
export const partLines = (survey: SurveyFile): PartLine[] => [...latestBy(survey.parts ?? [], (l) => l.key).values()];

/** "head gasket (expected 25 Nov)": a part and what it is waited for. */
export const partAwaited = (l: Pick<PartLine, 'name' | 'state' | 'due'>): string =>
  `${l.name} (${l.state === 'wanted' ? 'to order' : l.due ? `expected ${format(parseISO(l.due), 'd MMM')}` : 'ordered, nobody knows for when'})`;

/** Parts of a job that are to be had first, each with what it is waited for; those that are here, and those nobody wrote down, are not among them. */
export const partsAwaited = (survey: SurveyFile, step: string): string[] =>
  partLines(survey)
    .filter((l) => l.step === step && (l.state === 'wanted' || l.state === 'ordered'))
    .map(partAwaited);
