import { describe, expect, it } from 'vitest';
import { PSI } from '../units/factors.ts';
import { Bench } from '../../../test/case.ts';

const twin = {
  strokes: 'two',
  cylinders: 2,
  displacement: 300e-6,
  ignition: 'cdi',
  starting: 'rope',
  shift: 'shift',
  gearCapacity: 300e-6
} as const;

/** A low stage that loses two of its three pounds in ten minutes, bubbling at the propeller shaft. */
const leaks = (b: Bench): Bench =>
  b
    .read('gear.casePressure', 3 * PSI, { conditions: { stage: 'low' } })
    .wait(1 / 6)
    .read('gear.casePressure', 1 * PSI, { conditions: { stage: 'low' } })
    .read('gear.caseBubbles', ['propshaft']);
const step = (b: Bench, id: string) => b.assessed().steps.find((s) => s.id === id);
const suspect = (b: Bench, id: string) => b.assessed().advice.suspects.find((s) => s.id === id);

describe('a job whose proof failed', () => {
  const before = (): Bench => leaks(new Bench(twin).read('gear.first', 'milky').read('gear.look', 'milky'));

  it('is done and waits for its proof as long as nothing was measured since', () => {
    const b = before().done('reseal');
    expect(step(b, 'reseal')).toMatchObject({ state: 'done' });
    expect(b.assessed().moves[0]).toMatchObject({ kind: 'repeat', job: 'reseal' });
  });
  it('is open again, and is not the same work once more', () => {
    const b = leaks(before().done('reseal')).read('gear.caseOpen', 'yes');
    expect(step(b, 'reseal')).toMatchObject({ state: 'open', failed: 'sign' });
    expect(step(b, 'reseal')!.why[0]).toMatch(/shows again.*Not the same once more.*reversed or cocked/);
    expect(b.assessed().moves.find((m) => !m.waits)).toMatchObject({
      kind: 'job',
      job: 'reseal',
      title: expect.stringMatching(/^Once more: /) as string
    });
  });
  it('leaves what the work may have done or left before the part that was renewed', () => {
    const b = leaks(before().done('reseal'));
    const [wrong, groove, seal] = ['seal-wrong', 'shaft-groove', 'seal-propshaft'].map((id) => suspect(b, id)!);
    expect(wrong!.probability).toBeGreaterThan(seal!.probability);
    expect(groove!.probability).toBeGreaterThan(seal!.probability);
    expect([wrong!.mended, wrong!.again]).toEqual([false, true]);
  });
  it('a stage that was only begun again has failed nothing', () => {
    const b = before()
      .done('reseal')
      .read('gear.casePressure', 3 * PSI, { conditions: { stage: 'low' } });
    expect(step(b, 'reseal')!.failed).toBeUndefined();
  });
  it('marked done a second time it waits for its proof again', () => {
    const b = leaks(before().done('reseal')).done('reseal');
    expect(step(b, 'reseal')).toMatchObject({ state: 'done' });
  });
  it('work on one cylinder mends nothing on another', () => {
    const b = new Bench(twin)
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'good', { cylinder: 2 })
      .read('spark.result', 'none', { cylinder: 1 })
      .read('spark.leadLook', 'damaged', { cylinder: 1 })
      .done('lead')
      .read('spark.result', 'good', { cylinder: 1 })
      .read('spark.result', 'none', { cylinder: 2 })
      .read('spark.leadLook', 'damaged', { cylinder: 2 });
    expect(suspect(b, 'lead.2')).toMatchObject({ mended: false });
    expect(suspect(b, 'lead.2')!.probability).toBeGreaterThan(0.5);
    expect(step(b, 'lead')).toMatchObject({ state: 'open' });
    expect(step(b, 'lead')!.failed).toBeUndefined();
  });
});

it('dear work that nothing of its own can spoil is not done twice', () => {
  const slips = (b: Bench): Bench =>
    b
      .read('turn.forward', 'slips')
      .read('turn.reverse', 'slips')
      .read('look.twist', 'holds')
      .read('turn.shiftRod', 'follows');
  const b = slips(slips(new Bench(twin)).done('linkage'));
  expect(step(b, 'clutch-dog')).toMatchObject({ state: 'open' });
  // Put together again, the linkage is set anew before the case is blamed once more.
  slips(b.done('clutch-dog').wait(3).done('linkage'));
  const titles = b.assessed().moves.map((m) => m.title);
  expect(titles.filter((t) => /^Once more: gear case open/i.test(t))).toEqual([]);
  expect(titles.filter((t) => /^Stop: done and not cured: gear case open/i.test(t))).toHaveLength(1);
});
