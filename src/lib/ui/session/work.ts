import type { JobEdit, PartLine, TrayPart, TrayState } from '$core/record/work.ts';
import { trayOf } from '$core/tray/tray.ts';
import type { Session } from './session.svelte.ts';

/** What is recorded at the bench: jobs changed by hand, parts ordered, the tray. Apart, so that the checks load without it. */
type Plain<T> = Omit<T, 'id' | 'at' | 'by'>;

/** Changes a job, or adds one; the latest word on each of its fields counts. */
export const editJob = (s: Session, edit: Plain<JobEdit>): string => s.put('job', edit);

export const setPart = (s: Session, line: Plain<PartLine>): string => s.put('part', line);

/** A part taken off. Returns its id. */
export const takeOff = (s: Session, part: Plain<TrayPart>): string =>
  s.put('tray', part, { label: part.name, body: (id) => ({ ...part, supersedes: id, withdrawn: true }) });

/** The last entry of the corrections of a part: what the next correction supersedes. */
function lastOf(s: Session, part: string): string {
  const next = (s.survey.tray ?? []).find((p) => p.supersedes === part);
  return next ? lastOf(s, next.id) : part;
}

/** Writes something else about a part, or takes it back as never taken off. */
export function correctPart(s: Session, part: TrayPart, change: Partial<Plain<TrayPart>>): void {
  const { id, at: _at, by: _by, supersedes: _s, ...rest } = part;
  s.put('tray', { ...rest, ...change, supersedes: lastOf(s, id) });
}

export function photographed(s: Session, part: string, photo: string): void {
  const on = trayOf(s.survey).find((t) => t.part.id === part);
  if (on) correctPart(s, on.part, { photo });
}

export function markPart(s: Session, part: string, state: TrayState, note?: string): void {
  const before = trayOf(s.survey).find((t) => t.part.id === part);
  s.put(
    'trayMark',
    { part, state, ...(note ? { note } : {}) },
    {
      label: before?.part.name ?? 'part',
      body: () => ({ part, state: before?.state ?? 'off', ...(before?.note ? { note: before.note } : {}) })
    }
  );
}
