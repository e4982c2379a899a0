import { codeOf, setOf } from '$core/practice/set-code.ts';
import { boardOf, deedsOf } from '$lib/server/practice/store.ts';
import { error } from '@sveltejs/kit';
import Papa from 'papaparse';
import type { RequestHandler } from './$types';

/** The board of a set as CSV by RFC 4180; a name that begins like a formula is no formula. */
export const GET: RequestHandler = ({ params }) => {
  const set = setOf(params.code);
  if (!set) error(404, 'This is no code of a set.');
  const csv = Papa.unparse(
    boardOf(set).map((a) => ({
      who: a.who,
      engine: a.number,
      started: a.startedAt,
      ended: a.endedAt ?? '',
      steps: deedsOf(a.id),
      minutes: a.result ? a.result.minutes.toFixed(0) : '',
      more_than_needed: a.result ? a.result.regret.toFixed(0) : '',
      money_cr: a.result ? a.result.money.toFixed(0) : '',
      squared_error: a.result ? a.result.brier.toFixed(5) : '',
      baseline: a.result ? a.result.baseline.toFixed(5) : '',
      holds_broken: a.result?.broken ?? '',
      advice_asked: a.result?.asked ?? ''
    })),
    { escapeFormulae: true, newline: '\r\n' }
  );
  return new Response(csv, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="board-${codeOf(set)}.csv"`
    }
  });
};
