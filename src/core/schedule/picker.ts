import { traitsOf } from '../jobs/register.ts';
import { arrives, type BenchEngine } from './bench.ts';

/** A stretch of waiting and what may be done in it. */
export interface Pause {
  readonly minutes: number;
  readonly cleanHands?: boolean;
  readonly quiet?: boolean;
  readonly lampOnly?: boolean;
  /** Not this engine: it is what is waited for. */
  readonly not?: string;
}

export interface Pick {
  readonly engine: string;
  readonly tag: string;
  readonly step: string;
  readonly title: string;
  readonly minutes: number;
  readonly because: string;
}

/**
 * Jobs that fit into a wait: nothing before them is open, the parts are here, and hands, noise and light allow. What
 * starts a wait of its own comes first, then what fills the time best.
 */
export function pickJobs(engines: readonly BenchEngine[], pause: Pause, now: Date): Pick[] {
  return engines
    .filter((e) => e.id !== pause.not)
    .flatMap((e) =>
      e.steps
        .filter((s) => s.state === 'open' && s.after.length === 0 && s.minutes <= pause.minutes)
        .filter((s) => {
          const t = traitsOf(s.id);
          return !(pause.cleanHands && t.dirty) && !(pause.quiet && t.noisy) && !(pause.lampOnly && t.daylight);
        })
        .filter((s) =>
          e.parts.filter((l) => l.step === s.id).every((l) => (arrives(l, now) ?? Infinity) * 60_000 <= now.getTime())
        )
        .map((s) => {
          const lines = e.parts.filter((l) => l.step === s.id && l.state === 'arrived');
          return {
            engine: e.id,
            tag: e.tag,
            step: s.id,
            title: s.title,
            minutes: s.minutes,
            wait: s.wait,
            because: [
              s.wait >= 60 ? 'sets a long wait going' : '',
              lines.length
                ? `${lines.map((l) => l.name).join(', ')} here`
                : s.parts.length
                  ? `parts: ${s.parts.join(', ')}`
                  : 'needs no parts'
            ]
              .filter(Boolean)
              .join('; ')
          };
        })
    )
    .sort((a, b) => Number(b.wait >= 60) - Number(a.wait >= 60) || b.minutes - a.minutes)
    .map(({ wait: _wait, ...p }) => p);
}
