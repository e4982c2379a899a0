import Ajv2020 from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { engineOf, factSchema, factsOf } from '../engine/fact.ts';
import { profileItems } from '../engine/profile.ts';
import { allItems, itemIds } from '../stations/items.ts';
import { Bench } from '../../../test/case.ts';
import { checkEntry, sayValue } from '../items/check-entry.ts';
import { drownedClock } from '../drowned/clock.ts';
import { contextOf } from '../findings/context.ts';
import { Readings, standing } from '../record/current.ts';
import { checkEntryBody } from './entry-check.ts';
import { withEntries } from '../record/entries.ts';
import { parseQuickLine, quickWords } from './quick-line.ts';
import { readSurveyFile } from './read-file.ts';
import { emptySurvey } from '../record/survey-file.ts';
import { surveyFileSchema } from './schema.ts';

const psi = 6894.757;

describe('the quick line', () => {
  const parse = (line: string) => parseQuickLine(line, 3, 'us');
  it('takes the figures of every check by their words', () => {
    expect(parse('head 140')).toMatchObject({ ok: true, entries: [{ what: 'cooling.head', typed: '140' }] });
    const dips = parseQuickLine('dip 6 mm 6 mm', 2, 'metric');
    expect(dips).toMatchObject({ ok: true, entries: [{ what: 'oil.dipAt' }, { what: 'oil.dipAt' }] });
    const depths = parseQuickLine('depth 1 62.01 mm 2 62.03 mm', 2, 'metric');
    expect(depths.entries.map((e) => [e.cylinder, Math.round((e.value as number) * 1e5)])).toEqual([
      [1, 6201],
      [2, 6203]
    ]);
    expect(parse('leak 2 38 3')).toMatchObject({ ok: false, message: expect.stringMatching(/no reading yet/) });
    expect(parse('leak 9 38')).toMatchObject({ ok: false, message: expect.stringMatching(/no cylinder 9/) });
    expect(parse('head 140 150')).toMatchObject({ ok: false, message: expect.stringMatching(/One figure/) });
    expect(parse('head')).toMatchObject({ ok: false, message: expect.stringMatching(/Now the figure/) });
    expect(parse('head 9999')).toMatchObject({ ok: false });
    expect(parse('toString 4')).toMatchObject({
      ok: false,
      message: expect.stringMatching(/not a word this line knows/)
    });
  });
  it('every word is one item’s, and every check that takes figures has one', () => {
    const words = itemIds.flatMap((id) => allItems[id].quick ?? []);
    expect(new Set(words).size).toBe(words.length);
    for (const s of ['turn', 'plugs', 'gear', 'fuel', 'cooling', 'oil', 'run', 'spark', 'compression'])
      expect([s, quickWords(s).length > 0]).toEqual([s, true]);
  });
  it('reads compression with a wet repeat', () => {
    const result = parse('comp 1 98 2 74 w2 101');
    expect(
      result.ok && result.entries.map((e) => [e.cylinder, Math.round((e.value as number) / psi), e.conditions?.bores])
    ).toEqual([
      [1, 98, undefined],
      [2, 74, undefined],
      [2, 101, 'oiled']
    ]);
  });
  it('reads the dose of a wet reading', () => {
    const result = parse('comp w2 101 5mL 3 99');
    expect(result.entries.map((e) => [e.cylinder, e.conditions?.dose && Math.round(e.conditions.dose * 1e9)])).toEqual([
      [2, 5000],
      [3, undefined]
    ]);
    expect(parse('comp w2 101 900mL')).toMatchObject({
      ok: false,
      message: expect.stringMatching(/no dose for a bore/),
      at: 12
    });
  });
  it('reads units, joined or apart, and decimal commas', () => {
    const result = parse('comp 1 6,5 bar 2 95psi');
    expect(result.ok && result.entries.map((e) => Math.round(e.value as number))).toEqual([
      650_000,
      Math.round(95 * psi)
    ]);
  });
  it('reads spark by word or letter', () => {
    expect(parse('spark 1 good 2 n').entries.map((e) => e.value)).toEqual(['good', 'none']);
  });
  it.each([
    ['pump 1 2', /not a word this line knows/, 0],
    ['comp 4 98', /no cylinder 4; this engine has 3/, 5],
    ['comp 1 98 2', /Cylinder 2 has no reading/, 11],
    ['comp 1 9999', /cannot be true/, 7],
    ['comp 1 -5', /under zero/, 7],
    ['spark 1 blue', /good, weak or none/, 8],
    ['comp one 98', /cylinder number is expected/, 5],
    ['comp', /Now cylinder and reading/, 4]
  ])('%j points at its character', (line, message, at) => {
    const result = parse(line);
    expect(result.ok).toBe(false);
    if (!result.ok) expect([result.message, result.at]).toEqual([expect.stringMatching(message), at]);
  });
  it('keeps what came before the mistake, and never throws', () => {
    expect(parse('comp 1 98 2 x').entries).toHaveLength(1);
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (line) => void expect(typeof parse(line).ok).toBe('boolean'))
    );
  });
});

describe('checking what was typed', () => {
  const pressure = allItems['compression.pressure'];
  it.each([
    ['ninety', /does not start with a number/],
    ['-3', /under zero/],
    ['9999 psi', /cannot be true here; it lies between 0 psi to 508 psi/],
    ['12 mm', /a unit of length/],
    ['', /Nothing was entered/]
  ])('%j', (typed, message) => {
    const result = checkEntry(pressure, typed, 'us');
    expect(result.ok ? '' : result.message).toMatch(message);
  });
  it('takes "?" and "unknown" everywhere', () => {
    expect(checkEntry(pressure, '?', 'us')).toEqual({ ok: true, value: 'unknown' });
    expect(checkEntry(profileItems.strokes, 'unknown', 'us')).toEqual({ ok: true, value: 'unknown' });
  });
  it('counts in whole numbers, and long notes are refused with what was typed kept', () => {
    expect(checkEntry(profileItems.cylinders, '2.5', 'us')).toMatchObject({
      ok: false,
      message: /Whole numbers/ as unknown
    });
    const long = checkEntry(allItems['run.cause'], 'x'.repeat(5_000_000), 'us');
    expect(long.ok ? '' : long.message).toMatch(/longer than 20000 characters; what you typed is kept/);
  });
  it('says values in the words of their item', () => {
    expect(sayValue(profileItems.strokes, 'two', 'us')).toBe('two-stroke');
    expect(sayValue(profileItems.absent, [], 'us')).toBe('none');
    expect(sayValue(pressure, 98 * psi, 'us')).toBe('98 psi');
    expect(sayValue(pressure, undefined, 'us')).toBe('not recorded');
  });
});

describe('survey files', () => {
  const good = JSON.stringify(new Bench({ strokes: 'two', cylinders: 2 }).psi([[1, 98]]).survey);
  const complaint = (text: string) => {
    const r = readSurveyFile(text);
    return r.ok ? 'taken' : `${r.path}|${r.message}`;
  };
  const changed = (
    change: (s: {
      readings: { what: string; value: unknown; cylinder?: number; id: string }[];
      [k: string]: unknown;
    }) => void
  ) => {
    const s = JSON.parse(good);
    change(s);
    return complaint(JSON.stringify(s));
  };
  it('reads what it wrote', () => expect(complaint(good)).toBe('taken'));
  it.each([
    ['', /^\|The file is empty/],
    ['hello', /^\|The file is not JSON/],
    ['[]', /not a JSON object/],
    ['{}', /^format\|This is not a survey file/]
  ])('%j', (text, message) => expect(complaint(text)).toMatch(message));
  it('says when it was cut off', () => expect(complaint(good.slice(0, 200))).toMatch(/stops in the middle/));
  it('says when it is of a newer version', () =>
    expect(changed((s) => (s.version = 7))).toMatch(/^version\|.*version 7, newer/));
  it('names the path of the wrong field', () => {
    expect(changed((s) => (s.readings[0]!.value = 1e9))).toMatch(/^readings\[0\]\.value\|/);
    expect(changed((s) => (s.readings[0]!.what = 'compression.colour'))).toMatch(
      /^readings\[0\]\.what\|No check has a reading of this name/
    );
    expect(changed((s) => (s.assessment = { kind: 'sunk', startedAt: '2026-01-01T00:00:00Z' }))).toMatch(
      /^assessment\.kind\|/
    );
    expect(changed((s) => (s.colour = 'red'))).toMatch(/not known here/);
  });
  it('refuses two entries of one id', () =>
    expect(changed((s) => s.readings.push({ ...s.readings[0]! }))).toMatch(/stands twice/));
  it('never throws, whatever the text', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.json()),
        (text) => void expect(typeof readSurveyFile(text).ok).toBe('boolean')
      )
    );
  });
  it('its JSON Schema accepts what Zod accepts and refuses a wrong reading (checked with ajv, JSON Schema 2020-12)', () => {
    const schema = z.toJSONSchema(surveyFileSchema, { unrepresentable: 'any', io: 'input', reused: 'ref' });
    const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
    expect(validate(JSON.parse(good))).toBe(true);
    const bad = JSON.parse(good);
    bad.readings[0].value = 'ninety';
    expect(validate(bad)).toBe(false);
  });
});

describe('readings in force', () => {
  it('a correction supersedes, a withdrawal takes away, both stay in the file', () => {
    const b = new Bench()
      .read('fuel.level', 'some')
      .read('fuel.level', 'full', { supersedes: 'r1' })
      .read('fuel.bulb', 'soft')
      .read('fuel.bulb', 'soft', { supersedes: 'r3', withdrawn: true });
    expect(standing(b.survey).map((r) => r.id)).toEqual(['r2']);
    expect(b.survey.readings).toHaveLength(4);
    expect(new Readings(b.survey).value('fuel.level')).toBe('full');
  });
  it('a later round wins over an earlier one, whatever the clock says', () => {
    const b = new Bench().read('cooling.stream', 'strong', { round: 2 }).read('cooling.stream', 'weak', { round: 1 });
    expect(new Readings(b.survey).value('cooling.stream')).toBe('strong');
  });
  it('the same entry added twice is there once', () => {
    const entry = { type: 'reading' as const, body: new Bench().read('fuel.level', 'full').survey.readings[0]! };
    const once = withEntries(emptySurvey('neglected', '2026-05-02T08:00:00Z'), [entry]);
    expect(withEntries(once, [entry]).readings).toHaveLength(1);
  });
  it('entries from outside are checked, with a sentence', () => {
    expect(checkEntryBody('song', {})).toMatchObject({ ok: false });
    expect(
      checkEntryBody('override', { id: 'a', at: '2026-05-02T08:00:00Z', hold: 'fuel', reason: ' ' })
    ).toMatchObject({ ok: false, message: expect.stringMatching(/say why/) });
    expect(
      checkEntryBody('reading', { id: '../x', at: '2026-05-02T08:00:00Z', what: 'fuel.level', value: 'full' })
    ).toMatchObject({ ok: false });
  });
});

describe('facts about an engine', () => {
  it('fold to the latest word on each field, and a null takes it back', () => {
    const engine = engineOf([
      { path: 'profile.strokes', value: 'two' },
      { path: 'profile.strokes', value: 'four' },
      { path: 'identity.owner', value: 'ש. לוי 🚤' },
      { path: 'identity.boat', value: 'x' },
      { path: 'identity.boat', value: null },
      { path: 'manual.gear.capacity', value: { value: 4e-4, page: '7' } }
    ]);
    expect(engine).toEqual({
      profile: { strokes: 'four' },
      identity: { owner: 'ש. לוי 🚤' },
      history: {},
      manual: { 'gear.capacity': { value: 4e-4, page: '7' } }
    });
    expect(engineOf(factsOf(engine))).toEqual(engine);
  });
  it('refuse a path that is not one and a value that does not fit', () => {
    const fact = (path: string, value: unknown) =>
      factSchema.safeParse({ id: 'f', at: '2026-05-02T08:00:00Z', path, value }).success;
    expect(fact('profile.strokes', 'two')).toBe(true);
    expect(fact('profile.strokes', 'three')).toBe(false);
    expect(fact('profile.__proto__', 'x')).toBe(false);
    expect(fact('manual.gear.capacity', { value: -1 })).toBe(false);
  });
});

describe('the clock of a drowned engine', () => {
  const clock = (water: 'salt' | 'fresh', hoursAgo: number) => {
    const now = new Date('2026-05-02T12:00:00Z');
    const b = new Bench({}, 'drowned', {
      water,
      recoveredAt: new Date(now.getTime() - hoursAgo * 3.6e6).toISOString()
    });
    return drownedClock(contextOf(b.survey, now, 'us'));
  };
  it('gives salt three hours and fresh twelve, from coming out', () => {
    expect(clock('salt', 1)?.hoursLeft).toBeCloseTo(2, 9);
    expect(clock('fresh', 1)?.hoursLeft).toBeCloseTo(11, 9);
    expect(clock('salt', 5)?.sentence).toMatch(/time is past/);
  });
});

describe('a reading of a cylinder that names none', () => {
  const file = (cylinders: number | 'unknown'): string => {
    const b = new Bench({ cylinders, ignition: 'points' }).read('spark.result', 'none').read('fuel.bulb', 'firm');
    return JSON.stringify(b.survey);
  };
  const read = (cylinders: number | 'unknown'): (number | undefined)[] => {
    const result = readSurveyFile(file(cylinders));
    return result.ok ? result.survey.readings.map((r) => r.cylinder) : [];
  };
  it('is of the only one there is; of several, or of a number nobody knows, nobody can say', () => {
    expect(read(1)).toEqual([1, undefined]);
    expect(read(2)).toEqual([undefined, undefined]);
    expect(read('unknown')).toEqual([undefined, undefined]);
  });
});
