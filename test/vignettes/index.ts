import { headCases } from './head.ts';
import { restCases } from './gear-fuel-cooling.ts';

export const vignettes = [...headCases, ...restCases];
