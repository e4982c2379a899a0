import fs from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { Bench } from '../case.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import { toInstant } from '../../src/core/units/instant.ts';

const examples = 'docs/examples';
const ISO = /^\d{4}-\d\d-\d\dT[\d:.]+(Z|[+-]\d\d:\d\d)$/;

/** A value with every instant in it written another way. */
function respelled(value: unknown, spell: (i: string) => string): unknown {
  if (typeof value === 'string') return ISO.test(value) ? spell(value) : value;
  if (Array.isArray(value)) return value.map((v) => respelled(v, spell));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, respelled(v, spell)]));
}

/** The wall time of one of these zones; neighbours get different ones. */
const offsets = [120, -330, 0, 765];
function inSomeZone(i: string): string {
  const t = Date.parse(i);
  const minutes = offsets[Math.floor(t / 60_000) % offsets.length]!;
  const sign = minutes < 0 ? '-' : '+';
  const two = (n: number): string => String(n).padStart(2, '0');
  const a = Math.abs(minutes);
  return `${new Date(t + minutes * 60_000).toISOString().slice(0, -1)}${sign}${two(Math.floor(a / 60))}:${two(a % 60)}`;
}

describe('how a moment is written', () => {
  it.each(fs.readdirSync(examples, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.json')))(
    'changes nothing about %s',
    (file) => {
      const survey = JSON.parse(fs.readFileSync(`${examples}/${file}`, 'utf8')) as SurveyFile;
      const now = new Date(Math.max(...survey.readings.map((r) => Date.parse(r.at))) + 3_600_000);
      const { context: _a, ...plain } = assess(survey, now, 'metric');
      const { context: _b, ...zoned } = assess(respelled(survey, inSomeZone) as SurveyFile, now, 'metric');
      expect(respelled(zoned, toInstant)).toEqual(respelled(plain, toInstant));
    }
  );
  it('an earlier "outdoors" of another zone does not lift the hold against running indoors', () => {
    const b = new Bench({ cylinders: 1 });
    b.read('safe.place', 'indoors', { at: '2026-05-02T11:00:00.000Z' });
    b.read('safe.place', 'outdoors', { at: '2026-05-02T12:00:00.000+02:00' });
    expect(b.holds()).toContain('indoors');
  });
});
