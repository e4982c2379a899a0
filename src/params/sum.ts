import { sums, type SumId } from '$core/sums/index.ts';

export const match = (param: string): param is SumId => Object.hasOwn(sums, param);
