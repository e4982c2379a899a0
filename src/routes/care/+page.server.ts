import { careOfAll } from '$lib/server/care.ts';
import { thisMinute, whileUnchanged } from '$lib/server/store/unchanged.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => whileUnchanged(`care ${thisMinute()}`, careLines);

async function careLines() {
  const all = await careOfAll();
  return {
    engines: all.length,
    lines: all
      .flatMap((e) =>
        e.due.map((d) => ({ ...d, engineId: e.engineId, surveyId: e.surveyId, tag: e.tag, owner: e.owner }))
      )
      .filter((d) => d.day)
      .sort((a, b) => (a.day! < b.day! ? -1 : a.day! > b.day! ? 1 : 0))
      .slice(0, 300),
    unknown: all
      .map((e) => ({ engineId: e.engineId, tag: e.tag, titles: e.due.filter((d) => !d.day).map((d) => d.title) }))
      .filter((e) => e.titles.length)
  };
}
