import type { Entry } from '../../../core/record/entries.ts';

export const roles = {
  technician: 'technician',
  apprentice: 'apprentice',
  teacher: 'teacher'
} as const;
export type Role = keyof typeof roles;

/** Who sends something: whoever the device's person is. Left out where nobody has to sign in. */
export interface Actor {
  readonly name?: string;
  readonly role?: Role;
}

/** Whether somebody may sign: records, overrides, decisions, house rules. */
export const maySign = (actor: Actor | undefined): boolean =>
  !actor || actor.role === 'technician' || actor.role === 'teacher';

/** Why somebody may not sign, in a sentence; nothing when he may. */
export const whyNotSign = (actor: Actor | undefined, what: string): string | undefined =>
  maySign(actor)
    ? undefined
    : actor?.role === 'apprentice'
      ? `Not saved: ${actor.name ?? 'an apprentice'} is an apprentice, and ${what} is signed by a technician.`
      : `Not saved: ${what} is signed with a name and its PIN. Sign in with yours first.`;

/** What an entry signs, in words; nothing for what anybody may enter. */
function signs(entry: Entry): string | undefined {
  if (entry.type === 'override') return 'lifting a hold';
  if (entry.type === 'decision') return 'a decision';
  if (entry.type === 'reason') return 'a gate that is left open';
  return undefined;
}

/** Why an entry is not this person's to make, in a sentence; nothing when it is. */
export function mayNot(actor: Actor | undefined, entry: Entry): string | undefined {
  const what = signs(entry);
  if (!actor || !what) return undefined;
  const no = whyNotSign(actor, what);
  if (no) return no;
  return entry.body.by === undefined || entry.body.by === actor.name
    ? undefined
    : `Not saved: it is signed “${entry.body.by}”, and ${actor.name} is signed in here.`;
}
