import { describe, expect, it } from 'vitest';
import { assess } from '../src/core/assess.ts';
import { readSurveyFile } from '../src/core/survey/read-file.ts';
import { surveyOf } from './build.ts';
import { scenario } from './scenario/index.ts';

const now = new Date('2026-04-18T14:00:00.000Z');
const of = (key: string) =>
  assess(
    surveyOf(
      scenario.find((e) => e.key === key)!,
      now
    ),
    now,
    'us'
  );
const sentences = (key: string) =>
  of(key)
    .findings.map((f) => f.sentence)
    .join('\n');
const steps = (key: string) =>
  of(key)
    .steps.filter((s) => s.state === 'open')
    .map((s) => s.id);
const suspects = (key: string) =>
  of(key)
    .advice.suspects.filter((s) => s.raised && !s.mended && s.chance === 'likely')
    .map((s) => s.id);
const holds = (key: string) =>
  of(key)
    .holds.filter((h) => !h.standing)
    .map((h) => h.id);

describe('what a good technician concludes at each demo engine', () => {
  it('Eel, drowned while stopped: held, water first, never started', () => {
    expect(holds('eel')).toEqual(['drowned', 'fuel', 'oil']);
    expect(steps('eel').slice(0, 2)).toEqual(['empty-cylinders', 'sump-water']);
    expect(of('eel').moves[0]?.station).toBe('turn');
  });
  it('Heron, drowned running: one low piston goes to a specialist and the hold never lifts', () => {
    expect(sentences('heron')).toMatch(/Piston 2 stands low at top/);
    expect(
      of('heron')
        .holds.find((h) => h.id === 'drowned-running')
        ?.needs.some((n) => n.never)
    ).toBe(true);
    expect(steps('heron')).toContain('bent-rod');
    expect(of('heron').moves[0]).toMatchObject({ kind: 'ask', class: 1 });
  });
  it('Wren, nine years: the gauge is doubted before the engine', () => {
    expect(sentences('wren')).toMatch(/adapter’s 0.3 fl oz alone explains much of it/);
    expect(of('wren').stations.find((s) => s.id === 'compression')?.condition).toBe('cannot-tell');
    expect(steps('wren')[0]).toBe('compression-repeat');
    expect(steps('wren')).not.toContain('leak-down');
    expect(suspects('wren')).toContain('adapter');
    expect(of('wren').moves[0]?.title).toBe('Compression again, without the adapter');
  });
  it('Bittern, no spark anywhere: the stop circuit, not the pack', () => {
    expect(sentences('bittern')).toMatch(/stop circuit is grounded/);
    expect(steps('bittern')[0]).toBe('stop-circuit');
    expect(suspects('bittern')).toContain('stop-circuit');
    expect(suspects('bittern')).not.toContain('pack');
  });
  it('Gannet, six cylinders: two neighbours low in both orders, the gasket between them', () => {
    expect(sentences('gannet')).toMatch(/Cylinders 3 and 5 are neighbours and both low/);
    expect(sentences('gannet')).not.toMatch(/was tested late/);
    expect(steps('gannet')).toContain('head-gasket');
    expect(suspects('gannet')[0]).toBe('head-gasket.3-5');
    expect(steps('gannet')).not.toContain('leak-down');
    expect(sentences('gannet')).toMatch(/valve, gasket or crown rather than rings/);
  });
  it('Tern, spring return: one dip above the mark cannot tell', () => {
    expect(of('tern').stations.find((s) => s.id === 'oil')?.condition).toBe('cannot-tell');
    expect(sentences('tern')).toMatch(/only two that agree count/);
    expect(of('tern').moves[0]?.title).toMatch(/^Dip again/);
  });
  it('Plover: water in the gear oil, and frost makes it today', () => {
    expect(sentences('plover')).toMatch(/Frost is coming/);
    expect(steps('plover')).toEqual(['frost', 'case-test', 'gear-refill', 'leg-identity', 'anodes']);
    expect(holds('plover')).toEqual(['gear-case', 'gear-water']);
  });
  it('Dunlin: weak stream with a cool head points to the outlet, not to the pump', () => {
    expect(steps('dunlin')).toEqual(['outlet', 'anodes']);
    expect(suspects('dunlin')).toEqual(['outlet', 'anodes']);
    expect(
      of('dunlin')
        .moves.slice(0, 2)
        .map((m) => m.title)
    ).toContain('Probe the stream outlet and its line');
    expect(sentences('dunlin')).toMatch(/not to the pump/);
  });
  it('Knot: the same stream with a hot head is the pump, and the pieces are looked for', () => {
    expect(steps('knot')).toEqual(['pump', 'pieces', 'run-again']);
    expect(suspects('knot')).toEqual(['impeller', 'pump-housing']);
    expect(holds('knot')).toEqual(['pump', 'run']);
  });
  it('Swift, laid up well: sound everywhere, nothing demanded, ready', () => {
    const a = of('swift');
    expect(a.stations.every((s) => s.condition === 'sound')).toBe(true);
    expect(a.steps).toEqual([]);
    expect(a.ready).toBe(true);
  });
  it('Curlew, back in service: done, proved, ready', () => {
    const a = of('curlew');
    expect(a.steps.map((s) => s.state)).toEqual(['proved', 'proved']);
    expect(a.ready).toBe(true);
  });
  it('every demo survey is a valid survey file and reads back the same', () => {
    for (const e of scenario) {
      const survey = surveyOf(e, now);
      const read = readSurveyFile(JSON.stringify(survey));
      expect(read.ok ? read.survey : `${read.path}: ${read.message}`).toEqual(survey);
    }
  });
});
