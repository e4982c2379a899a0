import type { SuspectView } from '../diagnosis/suspects.ts';
import type { Ask } from '../advice/asks.ts';
import { logOdds } from '../diagnosis/network.ts';
import { DEAR } from '../jobs/dear.ts';
import { isJobId, jobOf, traitsOf } from '../jobs/register.ts';

/** From this chance a suspect whose settling look was made is worked on (C; the figure M). */
const SURE = 0.8;
/** From this chance a suspect that its settling look shows is called almost certain, and not only likely (M). */
export const CERTAIN = 0.95;

/** A finding that says by itself that it settles nothing, and asks for the look that would. */
const unsettled = (a: Ask): boolean => a.finding.condition === 'cannot-tell' && a.kind !== 'job' && !a.late;

/** Its chance, 0–1, without what measurements that are still to be repeated say for it. */
function withoutDoubted(s: SuspectView, asks: readonly Ask[]): number {
  const doubted = new Set(
    asks
      .filter((a) => (a.kind === 'repeat' || unsettled(a)) && s.explains.includes(a.finding.id))
      .map((a) => a.finding.station)
  );
  const said = s.evidence.filter((w) => w.weight > 0 && doubted.has(w.station));
  return 1 / (1 + Math.exp(said.reduce((sum, w) => sum + w.weight, -logOdds(s.probability))));
}

/**
 * Whether a suspect is ground for its job: over the bar, with its settling look made; for dear work only where that look
 * shows it, and for dear work and whatever is bought only where no measurement that is still doubted is what took it there. A wrong measurement is measured again as soon as
 * it is likely. Before that the settling look is what is done. `asks`: what the findings ask for.
 */
export function established(s: SuspectView, asks: readonly Ask[]): boolean {
  if (!s.raised || s.mended || !s.step) return false;
  // What is only measured again costs nothing; a sensor that may be false is a part like any other.
  const buys = isJobId(s.step) && (jobOf(s.step).parts ?? []).length > 0;
  if ((s.artefact && !buys) || traitsOf(s.step).phase === 'repeat') return s.chance === 'likely';
  const minutes = isJobId(s.step) ? jobOf(s.step).minutes : 0;
  const dear = minutes > DEAR || s.specialist;
  return (
    s.probability > SURE &&
    (s.settling === 'shows' || (s.settling === 'made' && !dear)) &&
    (!(dear || buys) || withoutDoubted(s, asks) > SURE)
  );
}
