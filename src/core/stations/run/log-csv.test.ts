import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { guessPlan, headerAt, LogReader, numberOf, secondsOf, type LogPlan } from './log-csv.ts';

/** As the worker does it: the library cuts the text into cells, core reads them. */
function read(text: string, change: Partial<LogPlan> = {}) {
  const { data, meta } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const at = headerAt(data) ?? -1;
  const plan = { ...guessPlan(data[at] ?? [], data.slice(at + 1, at + 9), meta.delimiter), ...change };
  const reader = new LogReader(plan);
  for (const row of data.slice(at + 1)) reader.push(row);
  return { plan, result: reader.finish('x.csv') };
}
const ok = (text: string, change?: Partial<LogPlan>) => {
  const { result } = read(text, change);
  if (!result.ok) throw new Error(result.message);
  return result.log;
};
const message = (text: string): string => {
  const { result } = read(text);
  return result.ok ? '' : result.message;
};

describe('cells of a logger’s file', () => {
  it.each([
    ['21.5', '.', 21.5],
    ['21,5', ',', 21.5],
    ['−3.25 °C', '.', -3.25],
    ['+4', ',', 4],
    ['.5', '.', 0.5],
    ['1e2', '.', 100],
    ['900 rpm', '.', 900]
  ] as const)('%s is a number', (cell, decimal, value) => expect(numberOf(cell, decimal)).toBe(value));
  it.each(['', ' ', 'n/a', '--', '1.2.3', '21,5 and more'])('“%s” is none', (cell) =>
    expect(numberOf(cell, '.')).toBeUndefined()
  );
  const plan: LogPlan = { mapping: {}, unit: '°C', decimal: '.', timeUnit: 's' };
  it.each([
    ['125', 125],
    ['2:05', 125],
    ['0:02:05', 125],
    ['14:00:10.5', 14 * 3600 + 10.5],
    ['2:00:10 pm', 14 * 3600 + 10],
    ['12:00:10 am', 10]
  ])('%s is %d s', (cell, s) => expect(secondsOf(cell, plan)!.seconds).toBeCloseTo(s, 9));
  it('dates count, and a bare number is in the unit that was said', () => {
    const a = secondsOf('2026-05-02T23:59:50Z', plan)!.seconds;
    expect(secondsOf('2026-05-03 00:00:10', plan)!.seconds - a).toBe(20);
    expect(secondsOf('1.5', { ...plan, timeUnit: 'min' })!.seconds).toBe(90);
    expect(secondsOf('yesterday', plan)).toBeUndefined();
  });
});

describe('a logger’s file', () => {
  it('comma, semicolon and tab; decimal point and comma; a title above the header', () => {
    for (const text of [
      'time_s,temp_C,rpm\n0,20.5,900\n5,22.5,905\n10,24.0,899',
      '"Boat, ""Swift"""\nZeit s;Temperatur °C;rpm\n0;20,5;900\n5;22,5;905\n10;24,0;899',
      'time\ttemp\trpm\n0\t20.5\t900\n5\t22.5\t905\n10\t24.0\t899'
    ]) {
      const log = ok(text);
      expect(log.seconds).toEqual([0, 5, 10]);
      expect(log.temperature.map((t) => Number((t! - 273.15).toFixed(2)))).toEqual([20.5, 22.5, 24]);
      expect(log.rpm).toEqual([900, 905, 899]);
    }
  });
  it('without a header; in Fahrenheit; with a clock that passes midnight', () => {
    expect(ok('0,20\n5,21\n10,22').rows).toBe(3);
    expect(ok('time,temp °F\n0,212\n9,32').temperature).toEqual([373.15, 273.15]);
    expect(ok('clock time,temp\n23:59:50,20\n00:00:10,21').seconds).toEqual([0, 20]);
  });
  // Source: RFC 4180, section 2: quotes around a field, doubled quotes and line breaks inside it, CR LF.
  it('reads fields quoted by RFC 4180', () => {
    const log = ok('"time, s","temp ""head""",note\r\n0,20,"a\r\nb"\r\n5,"21","c ""d"""\r\n');
    expect([log.rows, log.seconds]).toEqual([2, [0, 5]]);
  });
  it('two rows at one moment stay; a row that goes back in time or has no figure is counted and left', () => {
    const log = ok('time,temp\n0,20\n5,21\n5,22\n3,99\nx,23\n10,sensor open\n15,24');
    expect([log.rows, log.unread, log.seconds]).toEqual([7, 3, [0, 5, 5, 15]]);
  });
  it('a temperature no engine has is not one', () => {
    expect(ok('time,temp\n0,20\n5,-999\n10,21').unread).toBe(1);
  });
  it('thins a long file to two thousand means and keeps its hottest row and its gap', () => {
    const rows = Array.from({ length: 9000 }, (_, k) => `${k < 5000 ? k : k + 7200},${k === 4321 ? 101.5 : 60}`);
    const log = ok(['time,temp', ...rows].join('\n'));
    expect(log.seconds.length).toBeLessThanOrEqual(2000);
    expect(log.hottest).toEqual({ seconds: 4321, temperature: 374.65 });
    expect(log.gap).toBe(7201);
    expect(Math.max(...log.temperature.map((t) => t!))).toBeLessThan(374);
  });
  it('says in a sentence why it cannot be read', () => {
    expect(message('time,temp\n')).toMatch(/no rows|None of its/);
    expect(message('time,temp\na,b\nc,d')).toMatch(/None of its|no rows/);
    expect(message('time,temp\n5,20\n5,21')).toMatch(/same time/);
    expect(headerAt([['words'], ['more words']])).toBeUndefined();
  });
  it('guesses the columns by their names, whatever their order', () => {
    expect(read('rpm;Head °C;Elapsed min\n900;20,5;0,0\n905;21,5;0,5').plan).toEqual({
      mapping: { time: 2, temperature: 1, rpm: 0 },
      unit: '°C',
      decimal: ',',
      timeUnit: 'min'
    });
  });
});
