import { describe, expect, it } from 'vitest';
import { decide } from '../../src/core/decision/decide.ts';
import { surveyFileSchema } from '../../src/core/survey/schema.ts';
import { vignettes } from './index.ts';

describe('whole cases, and what a good technician concludes', () => {
  it.each(vignettes.map((v) => [v.name, v] as const))('%s', (_name, v) => {
    expect(surveyFileSchema.safeParse(v.survey.survey).error?.issues).toBeUndefined();
    const { advice, moves } = v.survey.assessed();
    const raised = advice.suspects.filter((s) => s.raised && !s.mended);
    const likely = raised.filter((s) => s.chance === 'likely').map((s) => s.id);
    if (v.suspect) expect([v.suspect, likely]).toEqual([v.suspect, expect.arrayContaining([v.suspect])]);
    if (!v.suspect && !v.next) expect(likely).toEqual([]);
    for (const id of v.not ?? []) expect(likely).not.toContain(id);
    // What is named first is what the case is about, or dearer to leave in.
    if (v.suspect) expect(likely.slice(0, 3)).toContain(v.suspect);
    // A good technician finds his own next step among the first two.
    if (v.next)
      expect(
        moves
          .slice(0, 2)
          .map((m) => m.title)
          .join(' | ')
      ).toMatch(v.next);
    if (v.decision) expect(v.decision).toContain(decide(v.survey.judged(), 3000).recommended);
    for (const s of raised) expect(s.evidence.length).toBeGreaterThan(0);
  });
  it('there are at least twenty of them, each of its own', () => {
    expect(vignettes.length).toBeGreaterThanOrEqual(20);
    expect(new Set(vignettes.map((v) => v.name)).size).toBe(vignettes.length);
  });
});
