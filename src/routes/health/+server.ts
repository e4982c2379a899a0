import { text } from '@sveltejs/kit';

/** Answers as long as the process takes requests; for scripts and supervisors. */
export const GET = (): Response => text('ok', { headers: { 'cache-control': 'no-store' } });
