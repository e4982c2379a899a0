import type { CaseKind } from '../engine/case-kind.ts';
import { known } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import { curesOf, type SuspectKind } from './knowledge/shape.ts';
import { metByReading, readAgain } from './met.ts';

type Letter = 'L' | 'D' | 'N' | 'S';
const letters: Readonly<Record<CaseKind, Letter>> = {
  'long-stored': 'L',
  drowned: 'D',
  neglected: 'N',
  'spring-return': 'S',
  'lay-up': 'S',
  'new-engine': 'S',
  'fitted-head': 'S',
  'single-job': 'S'
};
const ofTheHead = new Set(['power-head', 'ignition', 'engine-oil']);

/** Years a long-stored engine has stood when nobody says otherwise; the priors of that kind are written for it (M). */
const USUAL_YEARS = 5;
/** A job just done leaves this share of the odds (M). */
const MENDED = 0.08;

function kindOf(c: Context, suspect: SuspectKind): Letter {
  const { kind } = c.survey.assessment;
  if (c.survey.engine.history.submerged === 'yes') return 'D';
  // A new head on an old leg: the leg is as old as ever.
  if (kind === 'fitted-head' && !ofTheHead.has(suspect.system)) return 'N';
  return letters[kind];
}

/** Probability of a suspect before anything was looked at: kind of case, years, salt, how it was laid up. M throughout. */
export function priorOf(c: Context, suspect: SuspectKind, done: ReadonlySet<string>): number {
  const mended = curesOf(suspect).some((job) => done.has(job)) || metByReading(c, suspect) || readAgain(c, suspect);
  const after = Math.max(0, ...Object.entries(suspect.afterWork ?? {}).map(([job, p]) => (done.has(job) ? p : 0)));
  if (after) return after;
  const own = c.rules.knowledge?.priors?.[suspect.id];
  const letter = kindOf(c, suspect);
  const base = Math.min(0.999, Math.max(0.0001, own ?? suspect.prior[letter]));
  if (own !== undefined || suspect.artefact) return mended ? base * MENDED : base;
  const { history } = c.survey.engine;
  const years = known(history.yearsIdle);
  const usual = letter === 'L' ? 1 + USUAL_YEARS / 5 : 1;
  const aged = years === undefined || !suspect.years ? 1 : ((1 + years / 5) / usual) ** suspect.years;
  const salt =
    history.water === 'salt' ||
    history.water === 'brackish' ||
    (history.kept === 'mooring' && history.water !== 'fresh');
  const laid = history.laidUp === 'yes' ? 0.6 : history.laidUp === 'no' ? 1.25 : 1;
  const odds = (base / (1 - base)) * aged * (salt ? (suspect.salt ?? 1) : 1) * laid * (mended ? MENDED : 1);
  return Math.min(0.97, odds / (1 + odds));
}
