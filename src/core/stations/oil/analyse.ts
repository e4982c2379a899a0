import type { Context } from '../../judgement.ts';
import type { Finding } from '../../survey/finding.ts';
import { findingsOf, practice } from '../finding.ts';

export interface Dips {
  readonly last: readonly string[];
  readonly agree: boolean;
  readonly position: string | undefined;
}

/** The last two dips of the latest round, and whether they agree. */
export function dips(c: Context): Dips {
  const round = c.record.round('oil.dip');
  const list = c.record
    .all('oil.dip', { round })
    .map((r) => r.value as string)
    .filter((v) => v !== 'unknown');
  const last = list.slice(-2);
  const agree = last.length === 2 && last[0] === last[1];
  return { last, agree, position: agree ? last[0] : undefined };
}

const words: Readonly<Record<string, string>> = {
  below: 'below the low mark',
  above: 'above the high mark',
  none: 'off the stick',
  between: 'between the marks'
};

/** Engine oil of a four-stroke; a two-stroke has none to dip. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('oil');
  const { record } = c;
  if (c.survey.engine.profile.strokes === 'two') return out.list;
  const d = dips(c);
  const look = record.value('oil.look');
  const inputs = [`dips: ${d.last.map((x) => words[x]).join(', ') || 'none'}`, `oil: ${look ?? 'not looked at'}`];
  const why = practice(
    inputs,
    'upright, level, wait, wipe, dip until two dips agree; the first after filling or trimming misleads.'
  );
  if (d.last.length === 1)
    out.add(
      'dip',
      'cannot-tell',
      `One dip says ${words[d.last[0]!]}. Wipe and dip again: only two that agree count.`,
      why
    );
  else if (d.last.length === 2 && !d.agree)
    out.add('dip', 'cannot-tell', 'The two last dips do not agree. Level it, wait, dip again.', why);
  else if (d.position === 'between') out.add('dip', 'sound', 'Two dips agree: between the marks.', why);
  else if (d.position === 'above')
    out.add(
      'dip',
      look === 'thin' ? 'fault' : 'cannot-tell',
      look === 'thin'
        ? 'Above the mark, thin and smelling of fuel: diluted. Change it, and run it loaded.'
        : 'Two dips agree above the mark: overfilled or diluted. Smell it and compare with what was filled before anything is taken apart.',
      why
    );
  else if (d.position)
    out.add('dip', 'fault', `Two dips agree: ${words[d.position]}. Fill by the tally, wait, dip twice.`, why);
  if (look === 'milky')
    out.add(
      'milky',
      'fault',
      'The engine oil is milky: water in it. Drain it before anything spins, and find the way in.',
      why
    );
  else if (look === 'thin' && d.position !== 'above')
    out.add('thin', 'watch', 'The oil is thin and smells of fuel: dilution. Change it before a long run.', why);
  else if (look === 'clean' && d.position === undefined && !d.last.length)
    out.add('look', 'sound', 'The engine oil looks clean; now dip it twice.', why);
  return out.list;
}
