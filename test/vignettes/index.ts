import { headCases } from './head.ts';
import { restCases } from './rest.ts';

export const vignettes = [...headCases, ...restCases];
