import type { SurveyFile } from '../src/core/record/survey-file.ts';
import { begin, cases, meet } from './hold-cases.ts';
import { vignettes } from './vignettes/index.ts';

/** Every worked case there is: the vignettes, and every hold raised and lifted. */
export const worked: readonly (readonly [string, SurveyFile])[] = [
  ...vignettes.map((v) => [v.name, v.survey.survey] as const),
  ...Object.entries(cases).flatMap(([id, c]) => [
    [`hold ${id}, raised`, begin(c).survey] as const,
    [`hold ${id}, lifted`, meet(begin(c), c.meet).survey] as const
  ])
];
