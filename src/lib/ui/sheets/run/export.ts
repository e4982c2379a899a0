import { ZERO_CELSIUS } from '$core/units/factors.ts';
import type { Run } from '$core/stations/run/runs.ts';

/** Rows of a run as an open table: seconds, °C, place, 1/min, stream; one line an entry. */
export function rowsOf(run: Run): (string | number)[][] {
  const rows: (string | number)[][] = [
    ...run.tracks.flatMap((t) =>
      t.samples.map((s) => [s.seconds.toFixed(1), (s.temperature - ZERO_CELSIUS).toFixed(2), t.spot, '', ''])
    ),
    ...run.rpm.map((r) => [r.seconds.toFixed(1), '', '', Math.round(r.rpm), '']),
    ...run.streams.map((s) => [s.seconds.toFixed(1), '', '', '', s.value])
  ];
  return rows.sort((a, b) => Number(a[0]) - Number(b[0]));
}

/** A run as CSV by RFC 4180, its lines ended by CR LF. */
export async function csvOf(run: Run): Promise<string> {
  const { default: Papa } = await import('papaparse');
  return Papa.unparse({ fields: ['seconds', 'temperature_C', 'spot', 'rpm', 'stream'], data: rowsOf(run) }) + '\r\n';
}

/** Hands the file to the browser. */
export async function saveCsv(run: Run, name: string): Promise<void> {
  const url = URL.createObjectURL(new Blob([await csvOf(run)], { type: 'text/csv;charset=utf-8' }));
  const a = Object.assign(document.createElement('a'), { href: url, download: name });
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
