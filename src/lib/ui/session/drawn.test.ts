import { expect, test } from 'vitest';
import { emptySurvey } from '../../../core/record/survey-file.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { readOnce } from './drawn.ts';

const text = (tag: string): string => JSON.stringify(emptySurvey('neglected', '2026-05-02T07:00:00.000Z', tag));
const surveyFrom = (text: string): SurveyFile => readOnce(text);

test('the same text is the same survey', () => {
  expect(surveyFrom(text('A'))).toBe(surveyFrom(text('A')));
  expect(surveyFrom(text('A'))).not.toBe(surveyFrom(text('B')));
});

test('the least used texts are forgotten, the others stay', () => {
  const first = surveyFrom(text('first'));
  for (let k = 0; k < 80; k++) surveyFrom(text(`t${k}`));
  expect(surveyFrom(text('first'))).toBe(first);
  for (let k = 80; k < 200; k++) surveyFrom(text(`t${k}`));
  expect(surveyFrom(text('first'))).not.toBe(first);
});
