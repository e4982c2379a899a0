import type { Advice } from './advice.ts';
import type { SuspectView } from '../diagnosis/suspects.ts';

/** A suspect moves when its word changes, or its odds by this factor (M: under it nobody would notice). */
const MOVED = Math.log(2);

const odds = (s: SuspectView | undefined): number => {
  const p = Math.min(0.9999, Math.max(0.001, s?.probability ?? 0.02));
  return Math.log(p / (1 - p));
};

/**
 * What an entry changed, in sentences: which suspects moved, and which reading did it. A reading that was taken back is
 * named as gone, a new one as new, one that turned round as both.
 */
export function changesBetween(before: Advice, after: Advice): string[] {
  const was = new Map(before.suspects.map((s) => [s.id, s]));
  const is = new Map(after.suspects.map((s) => [s.id, s]));
  const words = (s: SuspectView | undefined): string => s?.chance ?? 'unlikely';
  const moved = [...new Set([...was.keys(), ...is.keys()])]
    .map((id) => ({ id, by: odds(is.get(id)) - odds(was.get(id)) }))
    .filter(({ id, by }) => Math.abs(by) >= MOVED || words(is.get(id)) !== words(was.get(id)))
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .slice(0, 3);
  const out = moved.map(({ id, by }) => {
    const [then, now] = [was.get(id), is.get(id)];
    const label = (now ?? then)!.label;
    const said = (s: SuspectView | undefined): Map<string, string> => new Map(s?.evidence.map((w) => [w.sign, w.says]));
    const [old, fresh] = [said(then), said(now)];
    const gone = [...old].filter(([sign, says]) => fresh.get(sign) !== says).map(([, says]) => `no longer: ${says}`);
    const come = [...fresh].filter(([sign, says]) => old.get(sign) !== says).map(([, says]) => says);
    const because = [...come, ...gone].slice(0, 2);
    const way =
      words(then) === words(now)
        ? `${by > 0 ? 'more' : 'less'} likely than before`
        : `was ${words(then)}, now ${words(now)}`;
    return `${label.charAt(0).toUpperCase()}${label.slice(1)}: ${way}${because.length ? ` (${because.join('; ')})` : ''}.`;
  });
  return out;
}
