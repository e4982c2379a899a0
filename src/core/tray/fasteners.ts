import { isAfter, type Instant } from '../units/instant.ts';
import type { OnTray } from './tray.ts';

/** What came off one engine of a model, at one assessment. */
export interface TrayOfModel {
  /** "Knot, 2026-04-18". */
  readonly label: string;
  readonly startedAt: Instant;
  readonly tray: readonly Pick<OnTray, 'part'>[];
}

/** One kind of fastener of a model, as it was found where somebody took it off. */
export interface Fastener {
  readonly name: string;
  readonly place?: string;
  readonly size?: string;
  /** m. */
  readonly length?: number;
  readonly head?: string;
  readonly tool?: string;
  readonly count: number;
  /** The job it came off for. */
  readonly step?: string;
  /** Where it was last seen, and in how many assessments. */
  readonly from: string;
  readonly seen: number;
}

const plain = (text: string | undefined): string => (text ?? '').trim().toLowerCase().replace(/\s+/g, ' ');

/**
 * The fastener map of a model: what came off its engines, by job, name and place. The newest word on each thing counts, and what it
 * leaves out is taken from the ones before; a part without size, head, length or tool is no fastener and is left out.
 */
export function fastenerMap(trays: readonly TrayOfModel[]): Fastener[] {
  const newestFirst = [...trays].sort((a, b) =>
    isAfter(a.startedAt, b.startedAt) ? -1 : isAfter(b.startedAt, a.startedAt) ? 1 : 0
  );
  const map = new Map<string, Fastener>();
  for (const { label, tray } of newestFirst)
    for (const { part } of tray) {
      const key = [part.step, plain(part.name), plain(part.place)].join('|');
      const newer = map.get(key);
      const found = {
        ...(part.place ? { place: part.place } : {}),
        ...(part.size ? { size: part.size } : {}),
        ...(part.length === undefined ? {} : { length: part.length }),
        ...(part.head ? { head: part.head } : {}),
        ...(part.tool ? { tool: part.tool } : {}),
        ...(part.step ? { step: part.step } : {})
      };
      map.set(
        key,
        newer
          ? { ...found, ...newer, seen: newer.seen + 1 }
          : { name: part.name, count: part.count ?? 1, from: label, seen: 1, ...found }
      );
    }
  return [...map.values()].filter((f) => f.size || f.head || f.length !== undefined || f.tool);
}

/** The map's entries for some jobs; those that came off for no job in particular are of none. */
export const fastenersOf = (map: readonly Fastener[], jobs: readonly string[]): Fastener[] =>
  map.filter((f) => f.step !== undefined && jobs.includes(f.step));

/** "4 × leg bolt, M8 × 40 mm, 13 mm hexagon, long extension; port aft". */
export const fastenerSaid = (f: Fastener): string =>
  [
    f.count > 1 ? `${f.count} × ${f.name}` : f.name,
    [f.size, f.length === undefined ? undefined : `${Math.round(f.length * 1e4) / 10} mm`].filter(Boolean).join(' × '),
    f.head,
    f.tool,
    f.place
  ]
    .filter(Boolean)
    .join(', ');

/** What to carry for them: heads and tools, once each. */
export const socketsOf = (list: readonly Fastener[]): string[] => [
  ...new Set(list.flatMap((f) => [f.head, f.tool]).filter((t): t is string => t !== undefined))
];
