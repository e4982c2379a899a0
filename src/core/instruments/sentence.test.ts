import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { badOf, LineBuffer, SourceReader } from './lines.ts';
import { checksumOf, parseSentence, writeSentence } from './sentence.ts';
import { readLine, sentenceOf, signalNames, signals } from './signals.ts';

/**
 * Example sentences as published (P): E. S. Raymond, "NMEA Revealed", the examples of GGA, RMC, GLL, RPM, DBT and XDR; their
 * checksums were computed by others.
 */
const published = [
  '$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47',
  '$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A',
  '$GPGLL,4916.45,N,12311.12,W,225444,A*31',
  '$SDDBT,8.1,f,2.4,M,1.3,F*0B',
  '$IIRPM,E,1,2418.2,10.5,A*5F',
  '$HCXDR,A,171,D,PITCH,A,-37,D,ROLL,G,367,,MAGX,G,2420,,MAGY,G,-8984,,MAGZ*41'
];

describe('sentences of IEC 61162-1', () => {
  it.each(published)('%s is read, and written again as it was', (line) => {
    const parsed = parseSentence(line);
    if (!parsed.ok) throw new Error(parsed.why);
    const { talker, formatter, fields } = parsed.sentence;
    expect(writeSentence(talker, formatter, fields)).toBe(line);
  });
  it('fields, talker and formatter of the published ones', () => {
    const parsed = parseSentence(published[4]!);
    expect(parsed).toEqual({
      ok: true,
      sentence: { talker: 'II', formatter: 'RPM', fields: ['E', '1', '2418.2', '10.5', 'A'] }
    });
  });
  it.each([
    ['$IIRPM,E,1,2418.2,10.5,A*5E', 'checksum'],
    ['$IIRPM,E,1,2418.2,10.5,A', 'no-checksum'],
    ['$IIRPM,E,1,2418.2,10.5,A*5', 'cut'],
    ['PM,E,1,2418.2,10.5,A*5F', 'cut'],
    ['temperature 20', 'no-sentence'],
    [`$IIXDR,${'A,1,D,X,'.repeat(30)}*00`, 'too-long']
  ] as const)('%s is not taken: %s', (line, why) => expect(parseSentence(line)).toEqual({ ok: false, why }));
  it('one character changed anywhere in the body is noticed', () => {
    fc.assert(
      fc.property(fc.constantFrom(...published), fc.nat(), fc.integer({ min: 1, max: 94 }), (line, at, by) => {
        const star = line.indexOf('*');
        const k = 1 + (at % (star - 1));
        const other = String.fromCharCode(32 + ((line.charCodeAt(k) - 32 + by) % 95));
        fc.pre(!'$!*'.includes(other));
        expect(parseSentence(line.slice(0, k) + other + line.slice(k + 1)).ok).toBe(false);
      })
    );
  });
  it('refuses to write what would be read as something else', () => {
    expect(() => writeSentence('YX', 'XDR', ['a*b'])).toThrow(RangeError);
    expect(() => writeSentence('YX', 'XDR', ['ä'])).toThrow(RangeError);
    expect(() => writeSentence('yx', 'XDR', [])).toThrow(RangeError);
    expect(() => writeSentence('YX', 'XDR', ['x'.repeat(90)])).toThrow(/longer than 80/);
    expect(checksumOf('')).toBe(0);
  });
});

describe('values of the bench’s instruments', () => {
  const line = (...fields: string[]): string => writeSentence('YX', 'XDR', fields);
  const values = (text: string) => {
    const r = readLine(text);
    return r.kind === 'samples' ? { values: r.samples.map((s) => [s.name, s.value]), bad: r.bad } : r;
  };
  it('each writes what it reads', () => {
    for (const name of signalNames) {
      const { min, max } = signals[name];
      const value = min + 0.4 * (max - min);
      const r = readLine(sentenceOf(name, value));
      if (r.kind !== 'samples') throw new Error(r.kind);
      expect(r.samples[0]!.name).toBe(name);
      expect(Math.abs(r.samples[0]!.value - value)).toBeLessThan(Math.max(5, 1e-3 * Math.abs(value)));
    }
  });
  it('bar and pascal, a sentence with several, names in any case', () => {
    expect(values(line('P', '8.1', 'B', 'gauge'))).toEqual({ values: [['gauge', 810_000]], bad: [] });
    expect(values(line('P', '-25000', 'P', 'CASE'))).toEqual({ values: [['case', -25_000]], bad: [] });
    expect(values(line('U', '10.4', 'V', 'batt', 'T', '240', 'R', 'tach'))).toEqual({
      values: [
        ['batt', 10.4],
        ['tach', 240]
      ],
      bad: []
    });
    expect(values(published[4]!)).toEqual({ values: [['tach', 2418.2]], bad: [] });
  });
  it.each([
    ['unit', line('P', '120', 'C', 'gauge')],
    ['unit', line('C', '60', 'C', 'gauge')],
    ['unit', line('C', '140', 'F', 'head')],
    ['range', line('C', '900', 'C', 'head')],
    ['range', line('P', '99', 'B', 'gauge')],
    ['figure', line('C', '1e2', 'C', 'head')],
    ['figure', line('C', 'hot', 'C', 'head')]
  ] as const)('%s: nothing is read from %s', (why, text) => expect(values(text)).toEqual({ values: [], bad: [why] }));
  it('an empty field says nothing and is no fault; a shaft’s turns and an invalid engine’s are not the engine’s', () => {
    expect(values(line('C', '', 'C', 'head'))).toEqual({ values: [], bad: [] });
    expect(readLine(writeSentence('II', 'RPM', ['S', '1', '900', '', 'A'])).kind).toBe('other');
    expect(values(writeSentence('II', 'RPM', ['E', '1', '900', '', 'V']))).toEqual({ values: [], bad: [] });
  });
  it('what it does not know is something else, whatever its name', () => {
    for (const name of ['constructor', '__proto__', 'TempAir'])
      expect(readLine(line('C', '20', 'C', name)).kind).toBe('other');
    expect(readLine(published[0]!).kind).toBe('other');
  });
});

describe('lines off a wire', () => {
  it('are whole wherever they were cut', () => {
    const text = published.join('\r\n') + '\r\n';
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: text.length }), { maxLength: 20 }), (cuts) => {
        const buffer = new LineBuffer();
        const at = [0, ...cuts.sort((a, b) => a - b), text.length];
        expect(at.slice(1).flatMap((to, k) => buffer.push(text.slice(at[k], to)))).toEqual(published);
      })
    );
  });
  it('a stream without line ends does not grow for ever', () => {
    const buffer = new LineBuffer();
    let lines = 0;
    for (let k = 0; k < 100; k++) lines += buffer.push('x'.repeat(100)).length;
    expect(lines).toBeGreaterThan(5);
  });
  it('counts what it could not use', () => {
    const reader = new SourceReader();
    const good = sentenceOf('head', 300);
    expect(reader.read(good)).toHaveLength(1);
    for (const bad of ['$YXXDR,C,2', `${good.slice(0, -1)}x`, good.replace('C', 'D'), good.slice(0, 9) + good])
      reader.read(bad);
    reader.read(published[0]!);
    const { counts } = reader;
    expect([counts.good, counts.other, badOf(counts)]).toEqual([2, 1, 4]);
    expect(counts.bad).toMatchObject({ 'no-checksum': 1, cut: 2, checksum: 1 });
  });
});
