import * as z from 'zod/mini';
import type { LineCounts } from './lines.ts';

/** Lines as they came over one source, on their way to the open sheets. */
export interface LineBatch {
  readonly source: string;
  /** When the server had them, ms. */
  readonly at: number;
  readonly lines: readonly string[];
}

/** A way in, as the pages list it. */
export interface SourceState {
  readonly id: string;
  readonly label: string;
  readonly on: boolean;
  /** Why it could not be opened, in a sentence. */
  readonly problem?: string;
  readonly counts: LineCounts;
}

/** Lines posted by the page of stand-in instruments. */
export const postedLinesSchema = z.strictObject({
  text: z.string().check(z.maxLength(100_000))
});
export const switchSchema = z.strictObject({ id: z.string().check(z.maxLength(80)), on: z.boolean() });
