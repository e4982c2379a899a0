import type { Move } from '$core/moves/move.ts';
import type { Repeat } from '$core/stations/compression/facts.ts';
import { sayRepeat } from '$core/stations/compression/repeat-words.ts';
import type { System } from '$core/units/index.ts';

export interface Next {
  readonly sentence: string;
  readonly because: string;
}

type Act = 'read' | 'wet' | 'other';

/** What a repeat of the test is: a needle read again, oil in the bore, or no needle at all. */
function actOf({ kind }: Repeat): Act {
  switch (kind) {
    case 'wet-test':
      return 'wet';
    case 'leak-down':
    case 'leak-down-instead':
    case 'look-in':
    case 'heard':
    case 'tight':
    case 'none':
      return 'other';
    default:
      return 'read';
  }
}

const acts = (m: Move): Act =>
  !m.items?.includes('compression.pressure') ? 'other' : m.conditions?.bores === 'oiled' ? 'wet' : 'read';

/** The finding that asks for it stands beside the sheet, with its reasons. */
const BEFORE = 'It tells more than another reading of this test, and comes first.';

/**
 * What the sheet says is next, which is what the list of what to do now asks of this check first. Where that is a needle
 * read again, `repeat` says at which cylinder and why that one tells most.
 */
export function nextAtGauge(repeat: Repeat, moves: readonly Move[], units: System): Next {
  const first = moves.find(
    (m) => m.station === 'compression' && (m.kind === 'look' || m.kind === 'repeat') && !m.waits
  );
  const act = actOf(repeat);
  if (first && (acts(first) !== act || act === 'other')) return { sentence: `${first.title}.`, because: BEFORE };
  const said = sayRepeat(repeat, units);
  return { sentence: said.sentence, because: `Because ${said.because}.` };
}
