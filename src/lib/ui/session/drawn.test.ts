import { expect, test } from 'vitest';
import { emptySurvey } from '../../../core/record/survey-file.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { judgementFor, readOnce } from './drawn.ts';

const text = (tag: string): string => JSON.stringify(emptySurvey('neglected', '2026-05-02T07:00:00.000Z', tag));
const surveyFrom = (text: string): SurveyFile => readOnce(text);
const now = new Date('2026-05-02T08:00:00.000Z');

test('the same text is the same survey, and is judged once for a moment', () => {
  expect(surveyFrom(text('A'))).toBe(surveyFrom(text('A')));
  const survey = surveyFrom(text('A'));
  expect(judgementFor(survey, now, 'us')).toBe(judgementFor(survey, now, 'us'));
});

test('another moment and other units are judged anew', () => {
  const survey = surveyFrom(text('A'));
  const first = judgementFor(survey, now, 'us');
  expect(judgementFor(survey, new Date(now.getTime() + 60_000), 'us')).not.toBe(first);
  expect(judgementFor(survey, now, 'metric')).not.toBe(first);
});

test('the least used texts are forgotten, the others stay', () => {
  const first = surveyFrom(text('first'));
  for (let k = 0; k < 80; k++) surveyFrom(text(`t${k}`));
  expect(surveyFrom(text('first'))).toBe(first);
  for (let k = 80; k < 200; k++) surveyFrom(text(`t${k}`));
  expect(surveyFrom(text('first'))).not.toBe(first);
});
