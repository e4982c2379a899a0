import fs from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { entriesOf, entryKinds, entryTypes } from '../../src/core/record/entries.ts';
import { readSurveyFile } from '../../src/core/survey/read-file.ts';

const files = fs.readdirSync('test/formats').filter((f) => f.endsWith('.json'));

describe('survey files of earlier versions', () => {
  it.each(files)('%s opens whole and is judged', (file) => {
    const text = fs.readFileSync(`test/formats/${file}`, 'utf8');
    const read = readSurveyFile(text);
    expect(read).toMatchObject({ ok: true });
    if (!read.ok) return;
    const data = JSON.parse(text) as Record<string, unknown[]>;
    for (const type of entryTypes) {
      const { list } = entryKinds[type];
      expect([list, read.survey[list]?.length ?? 0]).toEqual([list, data[list]?.length ?? 0]);
    }
    expect(entriesOf(read.survey).length).toBeGreaterThan(20);
    expect(assess(read.survey, new Date('2026-05-03T12:00:00.000Z'), 'us').findings.length).toBeGreaterThan(5);
  });
  it('are written as the current version', () => {
    const read = readSurveyFile(fs.readFileSync('test/formats/version-1-gannet.json', 'utf8'));
    expect(read).toMatchObject({ ok: true, survey: { version: 2 } });
  });
  it('every list of the format is in one of them', () => {
    const all = files.map((f) => JSON.parse(fs.readFileSync(`test/formats/${f}`, 'utf8')) as Record<string, unknown>);
    for (const type of entryTypes) expect([type, all.some((d) => entryKinds[type].list in d)]).toEqual([type, true]);
  });
});
