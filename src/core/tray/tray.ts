import { byTime, latestBy } from '../units/instant.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { TrayMark, TrayPart, TrayState } from '../record/work.ts';

export interface OnTray {
  readonly part: TrayPart;
  /** 1 for the first part that came off. */
  readonly number: number;
  readonly state: TrayState;
  readonly note?: string;
  readonly markedAt?: string;
  readonly markedBy?: string;
  /** It still has to go back, be renewed, or be explained. */
  readonly open: boolean;
}

/** "Head bolt 4, M6 × 40 mm, upper left". */
export const partSaid = (p: TrayPart): string =>
  [
    p.count && p.count > 1 ? `${p.count} × ${p.name}` : p.name,
    [p.size, p.length && `${Math.round(p.length * 1e4) / 10} mm`].filter(Boolean).join(' × '),
    p.head,
    p.place
  ]
    .filter(Boolean)
    .join(', ');

/** What came off, first off first. A correction keeps the place in the order; what was taken back is gone. */
export function trayOf(survey: Pick<SurveyFile, 'tray' | 'trayMarks'>): OnTray[] {
  const all = survey.tray ?? [];
  const next = new Map(all.flatMap((p) => (p.supersedes ? [[p.supersedes, p] as const] : [])));
  const first = all.filter((p) => !p.supersedes).sort(byTime);
  const marks = latestBy(survey.trayMarks ?? [], (m) => m.part);
  return first
    .map((original) => {
      let part = original;
      const seen = new Set<string>();
      for (let n = next.get(part.id); n && !seen.has(n.id); n = next.get(n.id)) {
        seen.add(n.id);
        part = n;
      }
      return { original, part };
    })
    .filter(({ part }) => !part.withdrawn)
    .map(({ original, part }, k) => {
      const mark = marks.get(original.id);
      const state = mark?.state ?? 'off';
      return {
        // Marks go by the part that first came off, whatever was corrected about it since.
        part: { ...part, id: original.id },
        number: k + 1,
        state,
        open: state === 'off' || (state === 'refitted' && part.oneTime === true) || unexplained(mark),
        ...(mark?.note ? { note: mark.note } : {}),
        ...(mark ? { markedAt: mark.at } : {}),
        ...(mark?.by ? { markedBy: mark.by } : {})
      };
    });
}

const unexplained = (m: TrayMark | undefined): boolean => m?.state === 'explained' && !m.note?.trim();

/** Last off goes back first. */
export const refitOrder = (tray: readonly OnTray[]): OnTray[] => [...tray].reverse();

/** What stands between the tray and a signature, in a sentence; nothing when the tray is empty. */
export function trayLeft(tray: readonly OnTray[]): string | undefined {
  const off = tray.filter((t) => t.open && t.state === 'off').map((t) => partSaid(t.part));
  const again = tray.filter((t) => t.open && t.state === 'refitted').map((t) => partSaid(t.part));
  const why = tray.filter((t) => t.open && t.state === 'explained').map((t) => partSaid(t.part));
  const said = [
    off.length && `Still on the tray: ${off.join('; ')}.`,
    again.length && `Goes on once only and was put back: ${again.join('; ')}. Fit a new one.`,
    why.length && `Left off without a word why: ${why.join('; ')}.`
  ].filter(Boolean);
  return said.length ? said.join(' ') : undefined;
}
