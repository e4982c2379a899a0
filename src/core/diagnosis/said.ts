import type { Context } from '../findings/context.ts';
import { complaints, openComplaints, saidId, saidWords } from '../stations/said.ts';
import { signById } from './knowledge/index.ts';
import type { SignKind } from './knowledge/shape.ts';

/** The check that hearsay belongs to: to have asked whoever brought it. */
export const SAID = 'said';
/** Whether a sign of a model is only said to be there. */
export const isHearsay = (sign: string): boolean => sign.startsWith(`${SAID}-`);
/** Of what an engine does, an owner names so much; of what it does not do, he says so often that it does (M). */
export const NAMED_BY_OWNER = 0.6;
const MISNAMED = 0.12;

/** A sign of one engine that is only said to be there, beside the sign that it would be if it were seen. */
export interface Heard {
  readonly kind: SignKind;
  /** The sign it would be. */
  readonly of: string;
}

/** What this engine is said to do and nobody has seen, as signs of their own: hearsay settles nothing. */
export const heard = (c: Context): Heard[] =>
  openComplaints(c).flatMap((id) => {
    const { sign } = complaints[id];
    if (!sign || !signById.has(sign)) return [];
    const says = `it is said that it ${saidWords(id)}`;
    const findings = [saidId(id)];
    return [
      { of: sign, kind: { id: `${SAID}-${id}`, check: SAID, present: says, absent: says, leak: MISNAMED, findings } }
    ];
  });
