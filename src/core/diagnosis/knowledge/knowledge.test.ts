import { describe, expect, it } from 'vitest';
import * as z from 'zod/mini';
import { profileItems } from '../../engine/profile.ts';
import { jobs as defined } from '../../jobs/register.ts';
import { allItems } from '../../stations/items.ts';
import { measures } from '../evidence/index.ts';
import { checkById, checks, signById, signKinds, suspectKinds } from './index.ts';
import { checkSchema, provenanceOf, signSchema, strengthNames, suspectSchema, systems } from './shape.ts';

const shown = (id: string): string[] => Object.values(suspectKinds.find((s) => s.id === id)!.shows).flat();
const ids = (list: readonly { id: string }[]): string[] => list.map((x) => x.id);

describe('the knowledge base', () => {
  it('is well formed: every suspect, sign and check passes its schema, and names are used once', () => {
    for (const { system, ...s } of suspectKinds) {
      expect(suspectSchema.safeParse(s).error?.issues, s.id).toBeUndefined();
      expect(Object.keys(systems)).toContain(system);
    }
    for (const s of signKinds) expect(signSchema.safeParse(s).error?.issues, s.id).toBeUndefined();
    for (const c of checks) expect(checkSchema.safeParse(c).error?.issues, c.id).toBeUndefined();
    for (const list of [suspectKinds, signKinds, checks]) expect(new Set(ids(list)).size).toBe(list.length);
    expect(suspectKinds.length).toBeGreaterThan(85);
    expect(suspectKinds.filter((s) => s.artefact).length).toBeGreaterThanOrEqual(14);
  });
  it('every suspect can be reached: it shows in a sign that some check looks for, with a strength that has a name', () => {
    for (const s of suspectKinds) {
      expect(shown(s.id).length, s.id).toBeGreaterThan(0);
      for (const [name, list] of Object.entries(s.shows)) {
        expect(strengthNames).toContain(name);
        expect(['P', 'C', 'M']).toContain(provenanceOf(s));
        for (const sign of list) expect(signById.has(sign), `${s.id} shows as ${sign}`).toBe(true);
      }
      expect(checkById.has(s.settled), `${s.id} is settled by ${s.settled}`).toBe(true);
    }
  });
  it('the check that settles a suspect shows at least one of its signs', () => {
    const without = suspectKinds.filter((s) => !shown(s.id).some((sign) => signById.get(sign)!.check === s.settled));
    expect(ids(without)).toEqual([]);
  });
  it('a check that is made on a running engine needs a start, so that holds forbid it and a failed start puts it off', () => {
    expect(ids(checks.filter((c) => c.setup === 'running' && c.needs !== 'start'))).toEqual([]);
  });
  it('every suspect can be told from every other: no two show the same signs with the same strengths', () => {
    const face = (s: (typeof suspectKinds)[number]): string =>
      JSON.stringify([s.per ?? '', ...Object.entries(s.shows).map(([k, l]) => [k, [...l].sort()])]);
    const faces = new Map<string, string>();
    for (const s of suspectKinds) {
      expect(faces.get(face(s)), s.id).toBeUndefined();
      faces.set(face(s), s.id);
    }
  });
  it('every fault can be cured: a job of the list, with parts and minutes that are not all nothing', () => {
    const jobs = new Set(ids(defined));
    for (const s of suspectKinds) {
      expect(s.cure).toMatch(/[.!]$/);
      if (s.artefact) continue;
      expect(s.step, s.id).toBeDefined();
      expect(jobs.has(s.step!), `${s.id}: ${s.step}`).toBe(true);
      expect(s.minutes[2]).toBeGreaterThan(0);
    }
  });
  it('every sign has a check and a cause; no check is an orphan', () => {
    const caused = new Set(suspectKinds.flatMap((s) => shown(s.id)));
    for (const s of signKinds) {
      expect(checkById.has(s.check), s.id).toBe(true);
      expect(caused.has(s.id), `${s.id} has no cause`).toBe(true);
    }
    const looked = new Set(signKinds.map((s) => s.check));
    for (const c of checks) {
      expect(looked.has(c.id), `${c.id} shows nothing`).toBe(true);
      for (const id of c.after ?? []) expect(checkById.has(id), `${c.id} after ${id}`).toBe(true);
      for (const id of c.given ?? [])
        expect(signById.has(id) || ['drowned', 'ran-under'].includes(id), `${c.id} given ${id}`).toBe(true);
    }
  });
  it('what a sign is read from exists: the item, its answers, or the analysis', () => {
    for (const s of signKinds) {
      expect(Boolean(s.reads?.length || s.measured), s.id).toBe(true);
      if (s.measured) expect(measures[s.measured], `${s.id}: ${s.measured}`).toBeDefined();
      for (const r of s.reads ?? []) {
        const item = allItems[r.item as 'gear.look'];
        const answers = 'options' in item ? item.options.map((o) => o.value) : [];
        for (const p of r.present) expect(answers, `${s.id}: ${r.item}`).toContain(p);
        expect(answers.some((a) => !r.present.includes(a) && a !== 'unknown' && a !== 'not-fitted')).toBe(true);
        expect(Boolean(item.perCylinder), `${s.id}: ${r.item}`).toBe(s.per === 'cylinder');
      }
    }
    expect(Object.keys(measures).filter((m) => !signKinds.some((s) => s.measured === m))).toEqual([]);
  });
  it('what an engine must have is a field of the profile with such an answer', () => {
    for (const x of [...suspectKinds, ...signKinds, ...checks])
      for (const [key, allowed] of Object.entries(x.fits ?? {})) {
        if (key === 'cylinders' || key === 'banks') continue;
        const item = profileItems[key as 'strokes'];
        expect(item, `${x.id}: ${key}`).toBeDefined();
        const answers = 'options' in item ? item.options.map((o) => o.value) : [];
        for (const a of allowed) expect(answers, `${x.id}: ${key}`).toContain(a.replace('!', ''));
      }
  });
  it('checks that wait for each other hold no circle', () => {
    const depth = (id: string, seen: readonly string[]): void => {
      expect(seen).not.toContain(id);
      for (const next of checkById.get(id)!.after ?? []) depth(next, [...seen, id]);
    };
    for (const c of checks) depth(c.id, []);
  });
  it('a spring return is the least suspect of all, and the years never make it less', () => {
    for (const s of suspectKinds) {
      const { L, D, N, S } = s.prior;
      expect(S, s.id).toBeLessThanOrEqual(Math.max(L, D, N));
    }
  });
  it('its shapes can be written as JSON Schema', () => {
    expect(JSON.stringify(z.toJSONSchema(signSchema))).toMatch(/leak/);
  });
});
