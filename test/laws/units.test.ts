import fs from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';

const foreign = { metric: /\d (psi|°F|inHg|fl oz|US gal|in|ft)\b/, us: /\d (bar|°C|kPa)\b/ } as const;

/** Every sentence and figure of a value. */
const words = (value: unknown): string[] =>
  typeof value === 'string' ? [value] : value && typeof value === 'object' ? Object.values(value).flatMap(words) : [];

describe('a judgement in one system of units', () => {
  it.each(fs.readdirSync('docs/examples', { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.json')))(
    'does not speak the other: %s',
    (file) => {
      const survey = JSON.parse(fs.readFileSync(`docs/examples/${file}`, 'utf8')) as SurveyFile;
      const now = new Date(Math.max(...survey.readings.map((r) => Date.parse(r.at))));
      for (const units of ['metric', 'us'] as const) {
        const a = assess(survey, now, units);
        // What a person typed stays as typed, and a published tester is called by its hole.
        const typed = survey.readings.flatMap((r) =>
          [r.value, r.instrument?.name].filter((v) => typeof v === 'string')
        );
        const said = words([a.findings, a.holds, a.advice.suspects.map((s) => s.evidence)])
          .map((w) => typed.reduce((rest, t) => (t.length > 8 ? rest.replaceAll(t.replace(/\.$/, ''), '') : rest), w))
          .map((w) => w.replaceAll(/(80 psi and )?0\.040 in/g, ''));
        expect(said.filter((w) => foreign[units].test(w))).toEqual([]);
      }
    }
  );
});
