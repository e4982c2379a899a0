import { describe, expect, it } from 'vitest';
import { assess } from '../../core/assess.ts';
import { reportOf } from '../../core/report/report.ts';
import { Bench } from '../../../test/case.ts';
import { readPreferences } from '../preferences.ts';
import { readIntake } from './intake.ts';
import { recordPdf } from './reports/pdf.ts';
import { inFonts } from './reports/script-runs.ts';

const form = (fields: Record<string, string | string[]>): FormData => {
  const data = new FormData();
  for (const [k, v] of Object.entries(fields)) for (const one of [v].flat()) data.append(k, one);
  return data;
};

describe('the intake form', () => {
  it('needs a tag and a case, and nothing else', () => {
    expect(Object.keys(readIntake(form({}), 'us').errors)).toEqual(['kind', 'identity.tag']);
    expect(readIntake(form({ kind: 'neglected', 'identity.tag': 'A' }), 'us')).toMatchObject({
      kind: 'neglected',
      errors: {},
      facts: [{ path: 'identity.tag', value: 'A' }]
    });
  });
  it('reads mixed units, unknowns, several and moments by their items', () => {
    const { facts, errors } = readIntake(
      form({
        kind: 'drowned',
        'identity.tag': 'B',
        'identity.power': '10 hp',
        'profile.displacement': '15 in³',
        'profile.gearCapacity': '7 1/2 oz',
        'profile.premixRatio': '?',
        'profile.absent': ['cowl', 'tank'],
        'history.recoveredAt': '2026-05-02T10:30'
      }),
      'metric'
    );
    const value = (path: string) => facts.find((f) => f.path === path)?.value;
    expect(errors).toEqual({});
    expect(value('identity.power')).toBeCloseTo(7456.999, 2);
    expect(value('profile.displacement')).toBeCloseTo(15 * 16.387064e-6, 12);
    expect(value('profile.gearCapacity')).toBeCloseTo(7.5 * 29.57353e-6, 12);
    expect(value('profile.premixRatio')).toBe('unknown');
    expect(value('profile.absent')).toEqual(['cowl', 'tank']);
    expect(String(value('history.recoveredAt'))).toMatch(/^2026-05-02T.*Z$/);
  });
  it('names each wrong field and keeps every typed word', () => {
    const bad = readIntake(
      form({
        kind: 'neglected',
        'identity.tag': 'C',
        'profile.cylinders': '13',
        'profile.ratio': 'high',
        'history.said': ['dies', 'smoke'],
        'history.recoveredAt': 'yesterday'
      }),
      'us'
    );
    expect(Object.keys(bad.errors).sort()).toEqual(['history.recoveredAt', 'profile.cylinders', 'profile.ratio']);
    expect(bad.typed).toMatchObject({
      'profile.cylinders': '13',
      'profile.ratio': 'high',
      'history.said': 'dies, smoke'
    });
  });
  it('ignores fields that nobody defined', () => {
    expect(
      readIntake(form({ kind: 'neglected', 'identity.tag': 'D', 'profile.constructor': 'x', admin: 'yes' }), 'us').facts
    ).toHaveLength(1);
  });
});

describe('preferences', () => {
  it.each([undefined, '', 'nonsense', '[]', 'null', '{"units":"furlongs","theme":7}'])(
    'a damaged cookie (%j) gives the defaults',
    (cookie) => {
      expect(readPreferences(cookie)).toEqual({ units: 'us', theme: 'chart', who: '', dates: 'units', speak: 'no' });
    }
  );
});

describe('the PDF', () => {
  it('splits text into runs that have their letters', () => {
    expect(inFonts('Owner: עומר לוי, Łódź')).toEqual([
      { text: 'Owner: ', font: 'Barlow' },
      { text: 'עומר לוי', font: 'Hebrew' },
      { text: ', ', font: 'Barlow' },
      { text: 'Ł', font: 'BarlowExt' },
      { text: 'ód', font: 'Barlow' },
      { text: 'ź', font: 'BarlowExt' }
    ]);
    expect(inFonts('5 kΩ ≤ Ωμέγα → Лодка').map((r) => [r.text.trim(), r.font])).toEqual([
      ['5 k', 'Barlow'],
      ['Ω', 'Greek'],
      ['≤', 'Signs'],
      ['Ωμέγα', 'Greek'],
      ['→', 'Signs'],
      ['Лодка', 'Cyrillic']
    ]);
    expect(inFonts('boat 🚤')).toEqual([{ text: 'boat ¤', font: 'Barlow' }]);
  });
  it('is a PDF for any engine, with names in any script', async () => {
    const b = new Bench({ strokes: 'two', cylinders: 2 })
      .read('cooling.screen', 'blocked')
      .done('screen')
      .read('cooling.screen', 'clear', { round: 2 });
    b.survey = { ...b.survey, engine: { ...b.survey.engine, identity: { tag: 'Test', owner: 'محمد 🚤 עומר Żółw' } } };
    const pdf = await recordPdf({ report: reportOf(assess(b.survey, new Date(), 'us')), release: undefined });
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.length).toBeGreaterThan(10_000);
  });
});
