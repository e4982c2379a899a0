import { backupOverdue } from '$lib/server/files/scheduled-backup.ts';
import { isYardFilter, judgedInTurn, yardFilters, yardPage } from '$lib/server/store/yard.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  await judgedInTurn(locals.prefs.units);
  const search = (url.searchParams.get('q') ?? '').slice(0, 80);
  const page = Math.min(10_000, Math.max(1, Math.floor(Number(url.searchParams.get('page')) || 1)));
  const asked = url.searchParams.get('show');
  const filter = isYardFilter(asked) ? asked : undefined;
  const { units, who } = locals.prefs;
  return {
    ...yardPage(units, { search, page, who, ...(filter ? { filter } : {}) }),
    search,
    page,
    filter: filter ?? '',
    filters: Object.entries(yardFilters),
    at: new Date().toISOString(),
    // The demo yard is made anew by a command: nothing of it is worth a backup.
    backup: process.env.INDAGA_DEMO === '1' ? null : (backupOverdue() ?? null)
  };
};
