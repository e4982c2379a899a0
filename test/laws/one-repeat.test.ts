import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { compareAll } from '../../src/core/stations/compression/compare.ts';
import { singleRepeat } from '../../src/core/stations/compression/repeat.ts';
import { worked } from '../worked.ts';

describe('the compression sheet and the next step say the same', () => {
  it.each(worked)('%s', (_, survey) => {
    const a = assess(survey, new Date('2026-05-20T12:00:00.000Z'), 'us');
    const found = compareAll(a.context);
    if (!found?.rows.length) return;
    const again = a.moves.find(
      (m) => m.class === 4 && m.station === 'compression' && /^Compression again/.test(m.title)
    );
    // "No repeat is needed" beside a step that repeats it is two minds.
    expect([again?.title, again !== undefined && singleRepeat(a.context, found).kind === 'none']).toEqual([
      again?.title,
      false
    ]);
  });
});
