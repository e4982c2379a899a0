import { judgedInTurn } from '$lib/server/store/yard.ts';
import { partStates } from '$core/record/work.ts';
import { ordersOf } from '$lib/server/parts.ts';
import Papa from 'papaparse';
import type { RequestHandler } from './$types';

/** A cell that a spreadsheet would take for a formula is a text. */
const plain = (v: string | number): string | number => (typeof v === 'string' && /^[=+\-@\t\r]/.test(v) ? `'${v}` : v);

/** The order as CSV: UTF-8, comma, one line a part; prices in cr, dates as 2026-05-31. */
export const GET: RequestHandler = async ({ locals, url }) => {
  await judgedInTurn(locals.prefs.units);
  const rows = ordersOf(locals.prefs.units, url.searchParams.get('engine') ?? undefined).flatMap((e) =>
    e.lines
      .filter((l) => l.state !== 'not-needed')
      .map((l) => {
        const take = l.offers?.[l.chosen ?? l.choice.take ?? -1];
        return {
          engine: e.tag,
          serial: e.serial,
          part: l.name,
          number: l.number ?? '',
          quantity: l.quantity ?? 1,
          source: take?.from ?? '',
          as: take?.what ?? '',
          price: take?.price ?? '',
          state: l.state === 'unknown' ? 'not looked for yet' : partStates[l.state],
          expected: l.due ?? '',
          job: l.job ?? ''
        };
      })
  );
  const csv = Papa.unparse(
    rows.map((r) => Object.fromEntries(Object.entries(r).map(([k, v]) => [k, plain(v)]))),
    {
      newline: '\r\n',
      columns: ['engine', 'serial', 'part', 'number', 'quantity', 'source', 'as', 'price', 'state', 'expected', 'job']
    }
  );
  return new Response(`\uFEFF${csv}\r\n`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="parts-order.csv"'
    }
  });
};
