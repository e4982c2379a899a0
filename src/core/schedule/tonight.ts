import type { Judgement } from '../judge.ts';
import type { Step } from '../plan/plan.ts';
import { runningWaits } from '../record/wait.ts';
import { openings, type Opening } from '../jobs/job.ts';
import { traitsOf } from '../jobs/register.ts';

/** What is done to something left open over night (C). */
const cover: Readonly<Partial<Record<Opening, string>>> = {
  plugs: 'Plugs out: oil in the bores, holes capped, or plugs back in finger-tight.',
  head: 'Head off: deck and bores oiled and covered, nothing left to drop in.',
  case: 'Gear case empty: plugs back in, a label on the shift lever.',
  carrier: 'Carrier out: case cleaned, oiled and covered.',
  leg: 'Leg off: chained and laid flat, tube end covered.',
  carburettor: 'Carburettor off: intake covered with a clean rag that is seen.',
  sump: 'Sump drained: filled, or a label where the key goes.'
};

/** What must be capped, oiled, drained, warmed or chained before everybody goes home, for one engine. */
export function tonightOf(j: Judgement, onTray: number, open: readonly Step[]): string[] {
  const { survey, now } = j.context;
  const begun = new Set((survey.tray ?? []).map((t) => t.step).filter(Boolean));
  const doors = new Set(open.filter((s) => begun.has(s.id)).flatMap((s) => traitsOf(s.id).opens ?? []));
  const out: string[] = [];
  if (open.some((s) => traitsOf(s.id).phase === 'today'))
    out.push('Frost: drain the case now, or stand it where it does not freeze.');
  if (onTray)
    out.push(
      `${onTray} ${onTray === 1 ? 'part lies' : 'parts lie'} on the tray: covered, tray at the engine, photograph taken.`
    );
  for (const d of Object.keys(openings) as Opening[]) if (doors.has(d) && cover[d]) out.push(cover[d]);
  for (const w of runningWaits(survey.waits))
    if (w.until.getTime() > now.getTime())
      out.push(`${w.wait.label} goes on over night: a pan under it, a label on it.`);
  if (j.holds.some((h) => h.id.startsWith('drowned') && !h.override))
    out.push('It was under water: under fresh water or full of oil, never wet in air.');
  const battery = j.context.record.value('safe.battery');
  if (battery === 'on') out.push('Battery is connected: off before the light goes out.');
  if (j.context.record.value('fuel.bowl') === 'drained' && j.context.record.value('fuel.tank') !== 'drained')
    out.push('Fuel tap shut, can closed and outside.');
  return out;
}
