import { traitsOf } from './register.ts';

/** Work over this is money: what decides comes before it, it stands on no belief alone, and it is not done twice for one thing, minutes (C: an hour). */
export const DEAR = 60;
/** Whether a job of so many minutes is money: long work here, or a specialist's price and work. */
export const isDear = (job: string, minutes: number): boolean => minutes > DEAR || traitsOf(job).phase === 'away';
