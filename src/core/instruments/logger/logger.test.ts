import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { kelvinOf, readCell, signOf } from './cells.ts';
import { momentOf, type ClockPlan } from './moments.ts';
import { planOf, questionsOf, spotOfName, type LogPlan, type LogQuestionId } from './plan.ts';
import { LogReader } from './reader.ts';
import { LogScan, type LogTable } from './scan.ts';
import { delimiterOf, encodingOf, headOf } from './table.ts';

/** As the worker does it: the library cuts the text into cells, core reads them. */
function scan(text: string): { readonly table: LogTable; readonly rows: string[][] } {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', delimiter: delimiterOf(text) ?? ',' });
  const head = headOf(data);
  if (!head) throw new Error('no table');
  const looked = new LogScan(head.header, head.preface);
  const rows = data.slice(head.skip);
  for (const row of rows) looked.push(row);
  return { table: looked.finish(), rows };
}
function read(text: string, change: Partial<LogPlan> = {}) {
  const { table, rows } = scan(text);
  const plan = { ...planOf(table), ...change };
  const reader = new LogReader(plan);
  for (const row of rows) reader.push(row);
  return { table, plan, asked: questionsOf(table, plan).map((q) => q.id), result: reader.finish('x.csv') };
}
const asked = (text: string, change?: Partial<LogPlan>): LogQuestionId[] => read(text, change).asked;
const logs = (text: string, change?: Partial<LogPlan>) => {
  const r = read(text, change);
  if (!r.result.ok) throw new Error(r.result.message);
  expect(r.asked).toEqual([]);
  return r.result.logs;
};
const ok = (text: string, change?: Partial<LogPlan>) => logs(text, change)[0]!.log;
const celsius = (t: readonly (number | null)[]): (number | null)[] =>
  t.map((x) => (x === null ? null : Number((x - 273.15).toFixed(2))));

describe('cells of a logger’s file', () => {
  it.each([
    ['21.5', '.', 21.5],
    ['21,5', ',', 21.5],
    ['−3.25 °C', '.', -3.25],
    ['+4', ',', 4],
    ['.5', '.', 0.5],
    ['1e2', '.', 100],
    ['900 rpm', '.', 900],
    ['1,234.5', '.', 1234.5],
    ['1.234,5', ',', 1234.5],
    ['3,450', '.', 3450],
    ['3,450', ',', 3.45]
  ] as const)('%s with decimal “%s” is a number', (cell, decimal, value) =>
    expect(readCell(cell, decimal)?.value).toBe(value)
  );
  it.each(['', ' ', 'n/a', '--', '1.2.3', '21,5 and more', '21,5', '2026-05-02', 'x12'])('“%s” is none', (cell) =>
    expect(readCell(cell, '.')).toBeUndefined()
  );
  it('the unit in the cell is stronger than the unit of the file', () => {
    expect(kelvinOf(readCell('68 °F', '.')!, '°C')).toBeCloseTo(293.15, 9);
    expect(kelvinOf(readCell('20 °C', '.')!, '°F')).toBeCloseTo(293.15, 9);
    expect(kelvinOf(readCell('68', '.')!, '°F')).toBeCloseTo(293.15, 9);
    expect(kelvinOf(readCell('-999', '.')!, '°C')).toBeUndefined();
  });
  it('says which decimal sign a number shows, and where it shows none', () => {
    expect(['1.5', '1,5', '1,234', '1,234.5', '1.234.567', '12', '0,125'].map(signOf)).toEqual([
      '.',
      ',',
      'either',
      '.',
      ',',
      undefined,
      ','
    ]);
  });
});

describe('the clock of a logger', () => {
  const plan: ClockPlan = { decimal: '.' };
  it.each([
    ['00:10.5', 10.5],
    ['0:02:05', 125],
    ['14:00:10.5', 14 * 3600 + 10.5],
    ['2:00:10 pm', 14 * 3600 + 10],
    ['12:00:10 am', 10],
    ['2:05 pm', 14 * 3600 + 300]
  ])('%s is %d s without a question', (cell, s) => expect(momentOf(cell, plan)!.seconds).toBeCloseTo(s, 9));
  it('14:02 is nothing until somebody says which', () => {
    expect(momentOf('14:02', plan)).toBeUndefined();
    expect(momentOf('14:02', { ...plan, pair: 'min:s' })!.seconds).toBe(842);
    expect(momentOf('14:02', { ...plan, pair: 'h:min' })!.seconds).toBe(14 * 3600 + 120);
  });
  it('a bare number is nothing without its unit, but since 1970', () => {
    expect(momentOf('1.5', plan)).toBeUndefined();
    expect(momentOf('1.5', { ...plan, timeUnit: 'min' })!.seconds).toBe(90);
    expect(momentOf('3', { ...plan, timeUnit: 'sample', every: 5 })!.seconds).toBe(15);
    expect(momentOf('1777724400', plan)!.seconds).toBe(1777724400);
    expect(momentOf('1777724400500', plan)!.seconds).toBeCloseTo(1777724400.5, 3);
  });
  it('dates of either order, with their clock; the same moment whatever its offset', () => {
    const at = (text: string, change: Partial<ClockPlan> = {}) => momentOf(text, { ...plan, ...change })?.seconds;
    const first = at('2026-05-02T23:59:50Z')!;
    expect(at('2026-05-03 00:00:10')! - first).toBe(20);
    expect(at('2026/05/03 02:00:10+02:00')! - first).toBe(20);
    expect(at('03.05.2026 00:00:10', { dateOrder: 'day-first' })! - first).toBe(20);
    expect(at('5/3/26, 12:00:10 am', { dateOrder: 'month-first' })! - first).toBe(20);
    expect(at('03.05.2026 00:00:10')).toBeUndefined();
    expect(at('31.02.2026 00:00:10', { dateOrder: 'day-first' })).toBeUndefined();
  });
  it.each(['yesterday', '12:75', '25:00 pm', '2026-05-02'])('“%s” is no moment', (cell) =>
    expect(momentOf(cell, { ...plan, timeUnit: 's', pair: 'h:min', dateOrder: 'day-first' })).toBeUndefined()
  );
});

describe('where the table begins', () => {
  it('finds the delimiter where commas are decimal signs too', () => {
    expect(delimiterOf('0;20,5\n5;21,5\n10;22')).toBe(';');
    expect(delimiterOf('title, with comma\ntime\ttemp\n0\t20,5\n5\t21')).toBe('\t');
    expect(delimiterOf('time,temp\n0,20\n5,21')).toBe(',');
    expect(delimiterOf('nothing')).toBeUndefined();
  });
  it('takes the units from a row of their own', () => {
    const { table } = scan('Logger 7\nTime;Head;Speed\ns;°F;1/min\n0;68;900\n5;70;905');
    expect(table.header).toEqual(['Time s', 'Head °F', 'Speed 1/min']);
    expect(table.preface).toEqual(['Logger 7']);
  });
  it('numbers the columns of a file without a header', () =>
    expect(scan('0;20,5\n5;21,5').table.header).toEqual(['column 1', 'column 2']));
  it('nothing where there is no table', () => expect(headOf([['words'], ['more words']])).toBeUndefined());
  it('tells the encodings apart', () => {
    const utf16 = (text: string): Uint8Array => Uint8Array.from([...text].flatMap((c) => [c.charCodeAt(0), 0]));
    expect(encodingOf(Uint8Array.from([0xff, 0xfe, 65, 0]))).toBe('utf-16le');
    expect(encodingOf(Uint8Array.from([0xfe, 0xff, 0, 65]))).toBe('utf-16be');
    expect(encodingOf(utf16('time,temp'))).toBe('utf-16le');
    expect(encodingOf(new TextEncoder().encode('time,°C'))).toBe('utf-8');
    expect(encodingOf(Uint8Array.from([116, 44, 0xb0, 67]))).toBe('windows-1252');
  });
});

describe('what the file does not say is asked, not guessed', () => {
  it('the unit of its temperatures', () => {
    const bare = 'time s,head\n0,20\n5,21';
    expect(asked(bare)).toEqual(['unit']);
    expect(asked(bare, { unit: '°F' })).toEqual([]);
    for (const said of [
      'time s,head °F\n0,68\n5,212',
      'time s,head\n0,68 °F\n5,212 °F',
      'Unit: °F\ntime s,head\n0,68\n5,212'
    ])
      expect(celsius(ok(said).temperature)).toEqual([20, 100]);
    expect(asked('time s,head °C\n0,68 °F\n5,212 °F')).toEqual(['unit']);
  });
  it('what a bare time counts', () => {
    expect(asked('time,head °C\n0,20\n1000,21\n2000,22')).toEqual(['timeUnit']);
    expect(ok('time ms,head °C\n0,20\n1000,21\n2000,22').seconds).toEqual([0, 1, 2]);
    expect(ok('Elapsed (min),head °C\n0,20\n0.5,21').seconds).toEqual([0, 30]);
  });
  it('how far apart samples were', () => {
    const text = 'sample,head °C\n1,20\n2,21\n3,22';
    expect(asked(text)).toEqual(['every']);
    expect(ok(text, { every: 5 }).seconds).toEqual([0, 5, 10]);
    expect(ok(`Interval: 10 s\n${text}`).seconds).toEqual([0, 10, 20]);
  });
  it('whether 14:02 is a time of day', () => {
    const text = 'clock,head °C\n14:02,20\n14:03,21';
    expect(asked(text)).toEqual(['pair']);
    expect(ok(text, { pair: 'h:min' }).seconds).toEqual([0, 60]);
    expect(ok(text, { pair: 'min:s' }).seconds).toEqual([0, 1]);
    expect(ok('elapsed mm:ss,head °C\n14:02,20\n14:03,21').seconds).toEqual([0, 1]);
    expect(ok('clock,head °C\n59:58,20\n60:02,21').seconds).toEqual([0, 4]);
  });
  it('the order of its dates, where two days of them do not tell', () => {
    expect(asked('date time,head °C\n02/05/2026 23:59:50,20\n03/05/2026 00:00:10,21')).toEqual(['dateOrder']);
    expect(ok('date time,head °C\n30/05/2026 23:59:50,20\n31/05/2026 00:00:10,21').seconds).toEqual([0, 20]);
    expect(ok('date time,head °C\n02/05/2026 14:00:00,20\n02/05/2026 14:00:10,21').seconds).toEqual([0, 10]);
  });
  it('the decimal sign, where both occur or thousands may be meant', () => {
    expect(asked('time s;head °C\n0;20.5\n5;21,5')).toEqual(['decimal']);
    expect(asked('time s;head °C;rpm\n0;20;1,234\n5;21;1,240')).toEqual(['decimal']);
  });
  it('the place of its probes', () => {
    expect(asked('time s,probe A °C,probe B °C\n0,20,21\n5,22,23')).toEqual(['spot']);
    expect(asked('time s,temperature °C\n0,20\n5,22')).toEqual(['spot']);
    expect(ok('time s,temperature °C\n0,20\n5,22', { temperatures: [{ column: 1, spot: 'block' }] }).rows).toBe(2);
  });
  it('which of several nameless columns is the temperature', () =>
    expect(asked('0;20,5;41\n5;21,5;42\n10;22;42')).toEqual(['temperature', 'timeUnit']));
});

describe('what is no reading of this engine is not taken for one', () => {
  const column = (text: string) => {
    const { table, plan } = read(text);
    return {
      time: table.header[plan.time ?? -1],
      temperatures: plan.temperatures.map((t) => table.header[t.column]),
      rpm: table.header[plan.rpm ?? -1]
    };
  };
  it('ambient air before the head', () =>
    expect(column('time s,ambient temp °C,head temp °C\n0,15,20\n5,15,22').temperatures).toEqual(['head temp °C']));
  it('a sample number', () => {
    expect(column('No.,time s,head °C\n1,0,20\n2,5,22')).toEqual({
      time: 'time s',
      temperatures: ['head °C'],
      rpm: undefined
    });
    expect(column('0;1;20,5\n5;2;21,5\n10;3;22').temperatures).toEqual(['column 3']);
  });
  it('boat speed', () => {
    expect(column('time s,head °C,boat speed,engine speed\n0,20,5,900\n5,22,6,950').rpm).toBe('engine speed');
    expect(column('time s,head °C,speed kn\n0,20,5\n5,22,6').rpm).toBeUndefined();
    expect(column('time s,head °C,GPS speed\n0,20,5\n5,22,6').rpm).toBeUndefined();
  });
  it('names of places', () => {
    expect(['CHT port', 'stbd head', 'Exhaust cover', 'tell-tale', 'cylinder head', 'thing'].map(spotOfName)).toEqual([
      'head-port',
      'head-starboard',
      'exhaust',
      'stream',
      'head',
      undefined
    ]);
  });
});

describe('a logger’s file', () => {
  it('comma, semicolon and tab; decimal point and comma; a title above the header', () => {
    for (const text of [
      'time_s,head_C,rpm\n0,20.5,900\n5,22.5,905\n10,24.0,899',
      '"Boat, ""Swift"""\nZeit s;Head °C;rpm\n0;20,5;900\n5;22,5;905\n10;24,0;899',
      'time s\thead °C\trpm\n0\t20.5\t900\n5\t22.5\t905\n10\t24.0\t899'
    ]) {
      const log = ok(text);
      expect(log.seconds).toEqual([0, 5, 10]);
      expect(celsius(log.temperature)).toEqual([20.5, 22.5, 24]);
      expect(log.rpm).toEqual([900, 905, 899]);
    }
  });
  it('a decimal comma that appears late is read', () => {
    const rows = Array.from({ length: 400 }, (_, k) => `${k};${k < 300 ? 20 : '20,5'}`);
    const log = ok(['time s;head °C', ...rows].join('\n'));
    expect([log.unread, celsius(log.temperature).at(-1)]).toEqual([undefined, 20.5]);
  });
  it('without a header, with semicolons; with a clock that passes midnight', () => {
    const said: Partial<LogPlan> = { timeUnit: 's', unit: '°C', temperatures: [{ column: 1, spot: 'head' }] };
    expect(celsius(ok('0;20,5\n5;21,5\n10;22', said).temperature)).toEqual([20.5, 21.5, 22]);
    expect(ok('clock time,head °C\n23:59:50,20\n00:00:10,21').seconds).toEqual([0, 20]);
    expect(ok('elapsed,head °C\n59:50.5,20\n00:10.5,21').seconds).toEqual([0, 20]);
  });
  it('two probes are two records, not one zig-zag', () => {
    const wide = logs('time s,port head °C,starboard head °C,rpm\n0,20,30,900\n5,22,32,905');
    expect(wide.map((l) => [l.spot, celsius(l.log.temperature)])).toEqual([
      ['head-port', [20, 22]],
      ['head-starboard', [30, 32]]
    ]);
    // Our own export: a row an entry, its place in a column, engine speed in rows of its own.
    const long = logs(
      'seconds,temperature_C,spot,rpm,stream\r\n0.0,20.00,head,,\r\n0.0,30.00,exhaust,,\r\n2.0,,,900,\r\n3.0,,,,strong\r\n5.0,22.00,head,,\r\n5.0,32.00,exhaust,,\r\n'
    );
    expect(long.map((l) => [l.spot, celsius(l.log.temperature), l.log.rpm])).toEqual([
      ['head', [20, null, 22], [null, 900, null]],
      ['exhaust', [30, 32], undefined]
    ]);
  });
  // Source: RFC 4180, section 2: quotes around a field, doubled quotes and line breaks inside it, CR LF.
  it('reads fields quoted by RFC 4180', () => {
    const log = ok('"time, s","temp ""head"" °C",note\r\n0,20,"a\r\nb"\r\n5,"21","c ""d"""\r\n');
    expect([log.rows, log.seconds]).toEqual([2, [0, 5]]);
  });
  it('two rows at one moment stay; a row that goes back in time or has no figure is counted and left', () => {
    const log = ok('time s,head °C\n0,20\n5,21\n5,22\n3,99\nx,23\n10,sensor open\n15,24');
    expect([log.rows, log.unread, log.seconds]).toEqual([7, 3, [0, 5, 5, 15]]);
  });
  it('a temperature no engine has is not one', () => expect(ok('time s,head °C\n0,20\n5,-999\n10,21').unread).toBe(1));
  it('thins a long file to two thousand means and keeps its hottest row and its gap', () => {
    const rows = Array.from({ length: 9000 }, (_, k) => `${k < 5000 ? k : k + 7200},${k === 4321 ? 101.5 : 60}`);
    const log = ok(['time s,head °C', ...rows].join('\n'));
    expect(log.seconds.length).toBeLessThanOrEqual(2000);
    expect(log.hottest).toEqual({ seconds: 4321, temperature: 374.65 });
    expect(log.gap).toBe(7201);
    expect(Math.max(...log.temperature.map((t) => t!))).toBeLessThan(374);
  });
  it('says in a sentence why it cannot be read', () => {
    const message = (text: string): string => {
      const { result } = read(text);
      return result.ok ? '' : result.message;
    };
    expect(message('time s,head °C\n5,20\n5,21')).toMatch(/same time/);
    expect(message('time s,head °C\n5,2000\n6,2100')).toMatch(/None of its 2 rows/);
  });
  it('names of columns and places from outside touch no prototype', () => {
    const text = 'time s,head °C,spot\n0,20,constructor\n5,21,__proto__';
    expect(asked(text)).toEqual(['spot']);
    expect(read(text).result.ok).toBe(false);
  });
});
