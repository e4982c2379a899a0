import * as z from 'zod/mini';
import { cardSchema } from './card.ts';
import { outingIdSchema, outingSchema } from './outing.ts';
import { manualSchema } from './limits.ts';
import { historySchema, identitySchema, profileSchema } from './profile.ts';

/** Everything said about one engine: who and what it is, what happened to it, what its manual asks. */
export const engineSchema = z.strictObject({
  identity: identitySchema,
  profile: profileSchema,
  history: historySchema,
  manual: z.optional(manualSchema),
  card: z.optional(cardSchema),
  /** What it did in service, by the name of each outing. */
  outings: z.optional(z.record(outingIdSchema, outingSchema))
});
export type Engine = z.infer<typeof engineSchema>;
