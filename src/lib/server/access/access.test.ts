import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase, type Db } from '../db/open.ts';
import { createEngine } from '../store/engines.ts';
import { maySign } from './actor.ts';
import { accessNeeded, hostName, isOurs } from './hosts.ts';
import { inside } from './inside.ts';
import { tooMany } from './limits.ts';
import { hashSecret, isSecret } from './secrets.ts';
import * as store from './store.ts';

let dir: string;
let db: Db;
const o = (more: object = {}) => ({ db, ...more });
beforeEach(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-access-'));
  db = openDatabase(dir);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(dir, { recursive: true });
});

describe('names under which the server answers', () => {
  it.each(['localhost', 'LOCALHOST:3000', '127.0.0.1:4555', '127.8.8.8', '[::1]:3000', os.hostname()])('%s', (host) =>
    expect(isOurs(host)).toBe(true)
  );
  it.each([
    'evil.example',
    'localhost.evil.example',
    '8.8.8.8',
    '',
    ' ',
    'a b',
    'localhost:3000@evil',
    '127.0.0.1.nip.example'
  ])('not “%s”', (host) => expect(isOurs(host)).toBe(false));
  it('and those of the configuration', () => {
    process.env.INDAGA_HOSTS = 'yard.example, Shed.Example';
    expect([isOurs('yard.example:8443'), isOurs('shed.example'), isOurs('other.example')]).toEqual([true, true, false]);
    delete process.env.INDAGA_HOSTS;
  });
  it('a name without its port and its last dot', () => {
    expect(hostName('Yard.Example.:80')).toBe('yard.example');
    expect(hostName(null)).toBeUndefined();
  });
});

it('somebody has to sign in as soon as the server is bound wider than this machine', () => {
  const needed = (env: object) => accessNeeded(env as NodeJS.ProcessEnv);
  expect([{}, { HOST: '127.0.0.1' }, { HOST: 'localhost' }, { HOST: '::1' }].map(needed)).toEqual([
    false,
    false,
    false,
    false
  ]);
  expect([{ HOST: '0.0.0.0' }, { HOST: '::' }, { HOST: '192.168.1.4' }, { INDAGA_ACCESS: 'on' }].map(needed)).toEqual([
    true,
    true,
    true,
    true
  ]);
});

it('a secret is kept by its salted hash: two of one passphrase differ, and only the right one opens', async () => {
  const [a, b] = [await hashSecret('grey goose wind'), await hashSecret('grey goose wind')];
  expect(a).not.toBe(b);
  expect(a).not.toContain('goose');
  expect([
    await isSecret('grey goose wind', a),
    await isSecret('grey goose', a),
    await isSecret('x', 'nonsense')
  ]).toEqual([true, false, false]);
});

describe('the door', () => {
  it('opens with the passphrase; another one closes every device', async () => {
    expect(store.hasPassphrase(o())).toBe(false);
    expect((await store.setPassphrase('short', o())).ok).toBe(false);
    expect((await store.setPassphrase('grey goose wind', o())).ok).toBe(true);
    expect(await store.isPassphrase('grey goose wind', o())).toBe(true);
    expect(await store.isPassphrase('grey goose', o())).toBe(false);
    const token = store.openDevice(o());
    expect(store.deviceOf(token, o())).toEqual({});
    expect(store.deviceOf('made up', o())).toBeUndefined();
    expect(store.deviceOf(undefined, o())).toBeUndefined();
    // The database alone opens nothing.
    expect(JSON.stringify(db.$client.prepare('select * from sessions').all())).not.toContain(token);
    await store.setPassphrase('another goose', o());
    expect(store.deviceOf(token, o())).toBeUndefined();
  });
  it('counts wrong tries', async () => {
    for (let k = 0; k < 6; k++) expect(await tooMany('passphrase', 'one address')).toBeUndefined();
    expect(await tooMany('passphrase', 'one address')).toMatch(/Too many tries/);
    expect(await tooMany('passphrase', 'another')).toBeUndefined();
  });
  it('leads back inside only', () => {
    expect(['/bench?x=1', '//evil.example', '/\\evil', 'https://evil.example', null].map(inside)).toEqual([
      '/bench?x=1',
      '/',
      '/',
      '/',
      '/'
    ]);
  });
});

describe('people', () => {
  const add = (name: string, role: 'technician' | 'apprentice', pin = '4711') =>
    store.addPerson({ name, role, pin }, 'Maud', o());
  const idOf = (name: string): string => store.peopleOf(o()).find((p) => p.name === name)!.id;
  it('sign in by their PIN, and are signed off when they were left alone', async () => {
    await add('Maud', 'technician');
    const token = store.openDevice(o());
    expect((await store.signIn(token, idOf('Maud'), '0000', o())).ok).toBe(false);
    expect((await store.signIn(token, idOf('Maud'), '4711', o())).ok).toBe(true);
    expect(store.deviceOf(token, o())).toEqual({ name: 'Maud', role: 'technician' });
    expect(store.deviceOf(token, o({ now: new Date(Date.now() + 13 * 3600e3) }))).toEqual({});
    store.signOut(token, o());
    expect(store.deviceOf(token, o())).toEqual({});
  });
  it('a name stands for one; a PIN has digits; somebody who signs is always left', async () => {
    expect((await add('Maud', 'technician')).ok).toBe(true);
    expect((await add('maud ', 'apprentice')).ok).toBe(false);
    expect((await add('Lin', 'apprentice', '12a4')).ok).toBe(false);
    expect((await add('Lin', 'apprentice', '123')).ok).toBe(false);
    expect(store.removePerson(idOf('Maud'), o())).toMatchObject({ ok: false });
  });
  it('who left signs nothing more', async () => {
    await add('Maud', 'technician');
    await add('Jory', 'technician');
    const token = store.openDevice(o());
    await store.signIn(token, idOf('Jory'), '4711', o());
    expect(store.removePerson(idOf('Jory'), o()).ok).toBe(true);
    expect(store.deviceOf(token, o())).toEqual({});
  });
  it('an apprentice signs nothing', () => {
    expect(
      [undefined, { role: 'technician' }, { role: 'teacher' }, { role: 'apprentice' }, {}].map((a) =>
        maySign(a as never)
      )
    ).toEqual([true, true, true, false, false]);
  });
});

it('an owner’s address shows one engine, and nothing once it was withdrawn', () => {
  const engine = createEngine([{ path: 'identity.tag', value: 'T' }], '', o());
  const other = createEngine([{ path: 'identity.tag', value: 'U' }], '', o());
  const secret = store.makeOwnerLink(engine, 'Maud', o());
  expect(store.engineOfLink(secret, o())).toBe(engine);
  expect(store.engineOfLink('guess', o())).toBeUndefined();
  expect(JSON.stringify(db.$client.prepare('select * from owner_links').all())).not.toContain(secret);
  const [link] = store.ownerLinksOf(engine, o());
  store.withdrawOwnerLink(link!.id, other, o());
  expect(store.engineOfLink(secret, o())).toBe(engine);
  store.withdrawOwnerLink(link!.id, engine, o());
  expect(store.engineOfLink(secret, o())).toBeUndefined();
  expect(store.ownerLinksOf(engine, o())).toEqual([]);
});
