import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { access, ownerLinks, people, sessions } from '../db/schema.ts';
import { dbOf, nowOf, type StoreOptions } from '../store/context.ts';
import type { Actor, Role } from './actor.ts';
import { hashSecret, isSecret, newToken, tokenHash } from './secrets.ts';

/** Somebody left alone is signed off after so long, ms. */
const SIGNED_ON = 12 * 3_600_000;
export const SHORTEST_PASSPHRASE = 10;
const PIN = /^\d{4,12}$/;

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

type Done = { readonly ok: true } | { readonly ok: false; readonly message: string };
const done: Done = { ok: true };
const no = (message: string): Done => ({ ok: false, message });

const passphrase = (o: StoreOptions): string | undefined =>
  dbOf(o).select().from(access).where(eq(access.key, 'passphrase')).get()?.value as string | undefined;
export const hasPassphrase = (o: StoreOptions = {}): boolean => passphrase(o) !== undefined;

/** Sets the yard's passphrase; every device that an earlier one opened is closed. */
export async function setPassphrase(typed: string, o: StoreOptions = {}): Promise<Done> {
  if (typed.trim().length < SHORTEST_PASSPHRASE)
    return no(
      `A passphrase has ${SHORTEST_PASSPHRASE} characters or more: three or four words that do not belong together.`
    );
  const value = await hashSecret(typed.trim());
  const row = { key: 'passphrase', value, at: nowOf(o) };
  dbOf(o).transaction((tx) => {
    tx.insert(access).values(row).onConflictDoUpdate({ target: access.key, set: row }).run();
    tx.delete(sessions).run();
  });
  return done;
}

export async function isPassphrase(typed: string, o: StoreOptions = {}): Promise<boolean> {
  const kept = passphrase(o);
  return kept !== undefined && (await isSecret(typed.trim(), kept));
}

/** Opens this device; the answer goes into its cookie and is kept nowhere else. */
export function openDevice(o: StoreOptions = {}): string {
  const token = newToken();
  dbOf(o)
    .insert(sessions)
    .values({ id: tokenHash(token), createdAt: nowOf(o) })
    .run();
  return token;
}

export const closeDevice = (token: string, o: StoreOptions = {}): void =>
  void dbOf(o)
    .delete(sessions)
    .where(eq(sessions.id, tokenHash(token)))
    .run();

/** Who a device's cookie stands for: nothing where it is not open, somebody without a name where nobody signed in. */
export function deviceOf(token: string | undefined, o: StoreOptions = {}): Actor | undefined {
  if (!token) return undefined;
  const row = dbOf(o)
    .select({
      id: sessions.id,
      seen: sessions.personSeen,
      name: people.name,
      role: people.role,
      removed: people.removedAt
    })
    .from(sessions)
    .leftJoin(people, eq(people.id, sessions.personId))
    .where(eq(sessions.id, tokenHash(token)))
    .get();
  if (!row) return undefined;
  const now = (o.now ?? new Date()).getTime();
  const age = now - (row.seen ?? 0);
  return row.name && row.role && !row.removed && age >= 0 && age < SIGNED_ON ? { name: row.name, role: row.role } : {};
}

export const peopleOf = (o: StoreOptions = {}): Person[] =>
  dbOf(o)
    .select({ id: people.id, name: people.name, role: people.role })
    .from(people)
    .where(isNull(people.removedAt))
    .orderBy(asc(people.name))
    .all();

/** Adds somebody who signs; a name stands for one person only. */
export async function addPerson(
  p: { readonly name: string; readonly role: Role; readonly pin: string },
  by: string,
  o: StoreOptions = {}
): Promise<Done> {
  const name = p.name.trim().slice(0, 80);
  if (name.length < 2) return no('Give the name that stands under a record.');
  if (!PIN.test(p.pin)) return no('A PIN has 4 to 12 digits.');
  if (peopleOf(o).some((x) => x.name.toLowerCase() === name.toLowerCase()))
    return no(`Somebody is called “${name}” already; a signature has to be told from another.`);
  const pin = await hashSecret(p.pin);
  dbOf(o)
    .insert(people)
    .values({ id: randomUUID(), name, role: p.role, pin, createdAt: nowOf(o), by: by || null })
    .run();
  return done;
}

/** Somebody leaves: nothing he signed changes, and he signs nothing more. */
export function removePerson(id: string, o: StoreOptions = {}): Done {
  const all = peopleOf(o);
  const gone = all.find((p) => p.id === id);
  if (!gone) return no('There is nobody of that name any more.');
  if (gone.role === 'technician' && all.filter((p) => p.role === 'technician').length === 1)
    return no('Somebody has to be left who can sign: add another technician first.');
  dbOf(o).transaction((tx) => {
    tx.update(people)
      .set({ removedAt: nowOf(o) })
      .where(eq(people.id, id))
      .run();
    tx.update(sessions).set({ personId: null, personSeen: null }).where(eq(sessions.personId, id)).run();
  });
  return done;
}

/** Signs a person in on a device, by his PIN. */
export async function signIn(token: string, personId: string, pin: string, o: StoreOptions = {}): Promise<Done> {
  const person = dbOf(o)
    .select()
    .from(people)
    .where(and(eq(people.id, personId), isNull(people.removedAt)))
    .get();
  if (!person || !(await isSecret(pin, person.pin))) return no('This is not the PIN of that name.');
  dbOf(o)
    .update(sessions)
    .set({ personId, personSeen: (o.now ?? new Date()).getTime() })
    .where(eq(sessions.id, tokenHash(token)))
    .run();
  return done;
}

export const signOut = (token: string, o: StoreOptions = {}): void =>
  void dbOf(o)
    .update(sessions)
    .set({ personId: null, personSeen: null })
    .where(eq(sessions.id, tokenHash(token)))
    .run();

export interface OwnerLink {
  readonly id: string;
  readonly createdAt: string;
  readonly by: string | null;
}

/** An address for the owner of one engine; the secret in it is told once and kept by its hash. */
export function makeOwnerLink(engineId: string, by: string, o: StoreOptions = {}): string {
  const secret = newToken();
  dbOf(o)
    .insert(ownerLinks)
    .values({ id: randomUUID(), secret: tokenHash(secret), engineId, createdAt: nowOf(o), by: by || null })
    .run();
  return secret;
}

export const ownerLinksOf = (engineId: string, o: StoreOptions = {}): OwnerLink[] =>
  dbOf(o)
    .select({ id: ownerLinks.id, createdAt: ownerLinks.createdAt, by: ownerLinks.by })
    .from(ownerLinks)
    .where(and(eq(ownerLinks.engineId, engineId), isNull(ownerLinks.withdrawnAt)))
    .orderBy(desc(ownerLinks.createdAt))
    .all();

export const withdrawOwnerLink = (id: string, engineId: string, o: StoreOptions = {}): void =>
  void dbOf(o)
    .update(ownerLinks)
    .set({ withdrawnAt: nowOf(o) })
    .where(and(eq(ownerLinks.id, id), eq(ownerLinks.engineId, engineId)))
    .run();

/** The engine that an owner's address shows; nothing once it was withdrawn. */
export const engineOfLink = (secret: string, o: StoreOptions = {}): string | undefined =>
  dbOf(o)
    .select({ engineId: ownerLinks.engineId })
    .from(ownerLinks)
    .where(and(eq(ownerLinks.secret, tokenHash(secret)), isNull(ownerLinks.withdrawnAt)))
    .get()?.engineId;
