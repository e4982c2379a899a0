import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';

type Out = ReturnType<typeof findingsOf>;

/** It jumped out of gear after somebody had set the linkage. */
const slipsAfterSetting = (c: Context): boolean =>
  (['turn.forward', 'turn.reverse'] as const).some((item) => {
    const last = c.record.last(item);
    return last?.value === 'slips' && c.renewed(item).some((at) => isAfter(last.at, at));
  });

/** Neutral, forward, reverse and the reverse lock, as the propeller shows them. */
export function shifting(c: Context, out: Out): void {
  const { record } = c;
  const [neutral, forward, reverse, lock] = [
    record.value('turn.neutral'),
    record.value('turn.forward'),
    record.value('turn.reverse'),
    record.value('turn.reverseLock')
  ];
  const inputs = [
    `neutral ${neutral ?? '–'}, forward ${forward ?? '–'}, reverse ${reverse ?? '–'}, reverse lock ${lock ?? '–'}`
  ];
  const why = practice(
    inputs,
    'neutral spins freely, forward and reverse follow; on a manual tilt the lock rises in reverse.'
  );
  if (neutral === 'drives')
    out.add('shift', 'fault', 'It stays in gear in neutral: linkage or shift rod. Nobody starts it like this.', why);
  else if (neutral === 'drags')
    out.add(
      'shift',
      'watch',
      'The propeller drags in neutral: linkage out of adjustment, or thick oil in the cold.',
      why
    );
  const missing = [forward === 'no' && 'forward', reverse === 'no' && 'reverse'].filter(Boolean);
  if (missing.length)
    out.add(
      'gear',
      'fault',
      `No ${missing.join(' and no ')}: shift linkage first, then the joint of the shift rod, then the clutch dog.`,
      why
    );
  const slips = forward === 'slips' || reverse === 'slips';
  // What the propeller does says nothing of the gears where it slips on its own hub.
  if (slips && record.value('look.twist') === 'slips')
    out.add(
      'dog',
      'cannot-tell',
      'It slips in gear, but the propeller slips on its hub: that alone looks like this. Hub first, then try the gears again at the shaft.',
      why
    );
  else if (slips && slipsAfterSetting(c))
    out.add(
      'dog-worn',
      // A hub or a shear pin that slips looks like this: two minutes before a case is opened.
      record.asked('look.twist') ? 'fault' : 'cannot-tell',
      'It still jumps out of gear with the linkage set: the clutch dog is worn, if the propeller holds on its hub. It comes out with the gear it runs on.',
      why
    );
  else if (slips)
    out.add('dog', 'fault', 'It jumps out of gear when turned by hand: linkage first, then a worn clutch dog.', why);
  if (lock === 'no')
    out.add(
      'reverse-lock',
      'fault',
      'The reverse lock does not rise: the leg kicks up in reverse. Free and adjust it.',
      why
    );
}
