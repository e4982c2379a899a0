import { describe, expect, it } from 'vitest';
import type { Ask } from '../advice/asks.ts';
import type { SuspectView } from '../diagnosis/suspects.ts';
import { jobOf, type JobId } from '../jobs/register.ts';
import { DEAR } from '../jobs/dear.ts';
import { established } from './established.ts';

const suspect = (more: Partial<SuspectView>): SuspectView => ({
  id: 'x.2',
  label: 'x',
  system: 'power head',
  cylinders: [2],
  artefact: false,
  probability: 0.9,
  prior: 0.01,
  chance: 'likely',
  raised: true,
  mended: false,
  again: false,
  explains: ['compression.low.2'],
  settling: 'shows',
  evidence: [],
  fits: [],
  cure: 'x',
  step: 'valves',
  specialist: false,
  ...more
});
const low: Ask = { kind: 'repeat', finding: { id: 'compression.low.2', station: 'compression' } } as Ask;
const grounds = (more: Partial<SuspectView>, asks: readonly Ask[] = []): boolean => established(suspect(more), asks);
const dear: JobId = 'valves';
const cheap: JobId = 'lead';
const free: JobId = 'fuel-open';

describe('a suspect is ground for its job', () => {
  it('the jobs of this table are what it takes them for', () => {
    expect(jobOf(dear).minutes).toBeGreaterThan(DEAR);
    expect(jobOf(cheap).minutes).toBeLessThanOrEqual(DEAR);
    expect(jobOf(cheap).parts?.length).toBeGreaterThan(0);
    expect(jobOf(free).parts).toBeUndefined();
  });
  it('not before something points to it, nor once it was mended, nor without a job', () => {
    expect(grounds({})).toBe(true);
    expect(grounds({ raised: false })).toBe(false);
    expect(grounds({ mended: true })).toBe(false);
    const { step: _, ...without } = suspect({});
    expect(established(without, [])).toBe(false);
  });
  it('over four in five, and not at it', () => {
    expect(grounds({ probability: 0.801 })).toBe(true);
    expect(grounds({ probability: 0.8 })).toBe(false);
  });
  it('its settling look was made; for dear work, and a specialist’s, that look shows it', () => {
    expect(grounds({ step: cheap, settling: 'made' })).toBe(true);
    expect(grounds({ step: cheap, settling: 'open' })).toBe(false);
    expect(grounds({ step: dear, settling: 'made' })).toBe(false);
    expect(grounds({ step: dear, settling: 'open' })).toBe(false);
    expect(grounds({ step: cheap, settling: 'made', specialist: true })).toBe(false);
    expect(grounds({ step: cheap, settling: 'shows', specialist: true })).toBe(true);
  });

  const weight = (of: number, station: 'compression' | 'spark' = 'compression'): SuspectView['evidence'][number] => ({
    sign: 'low.2',
    says: 'low',
    station,
    weight: of,
    strength: 'strongly'
  });
  it('dear work, and a part that is bought, stand on no measurement that is still to be repeated', () => {
    const evidence = [weight(2)];
    expect(grounds({ evidence }, [low])).toBe(false);
    expect(grounds({ evidence, step: cheap }, [low])).toBe(false);
    expect(grounds({ evidence, step: free }, [low])).toBe(true);
    expect(grounds({ evidence, probability: 0.99 }, [low])).toBe(true);
  });
  it('nor on a finding that says itself that it settles nothing, while the look that would is open', () => {
    const evidence = [weight(2)];
    const unsure = { ...low, kind: 'look', finding: { ...low.finding, condition: 'cannot-tell' } } as Ask;
    expect(grounds({ evidence, step: cheap }, [unsure])).toBe(false);
    expect(grounds({ evidence, step: cheap }, [{ ...unsure, late: 'release' }])).toBe(true);
    expect(grounds({ evidence, step: cheap }, [{ ...unsure, kind: 'job' }])).toBe(true);
  });
  it('another kind of question, or of another check, or what it does not explain, doubts nothing of it', () => {
    const evidence = [weight(2)];
    expect(grounds({ evidence }, [{ ...low, kind: 'look' }])).toBe(true);
    expect(grounds({ evidence: [weight(2, 'spark')] }, [low])).toBe(true);
    expect(grounds({ evidence, explains: ['compression.low.3'] }, [low])).toBe(true);
  });
  it('what speaks against it stays when the doubted is left out', () => {
    expect(grounds({ evidence: [weight(-4)] }, [low])).toBe(true);
    expect(grounds({ evidence: [weight(-4), weight(2)] }, [low])).toBe(false);
  });

  it('a reading that may be wrong is taken again as soon as that is likely', () => {
    const again = { step: 'compression-repeat', artefact: true, probability: 0.6, settling: 'open' } as const;
    expect(grounds(again)).toBe(true);
    expect(grounds({ ...again, artefact: false })).toBe(true);
    expect(grounds({ ...again, chance: 'possible', probability: 0.95 })).toBe(false);
  });
  it('a false sensor that is bought is a part like any other', () => {
    expect(grounds({ step: cheap, artefact: true, probability: 0.6, settling: 'made' })).toBe(false);
    expect(grounds({ step: cheap, artefact: true, settling: 'made' })).toBe(true);
  });
});
