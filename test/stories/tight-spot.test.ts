import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves } from './all-good.ts';
import { two } from './engines.ts';
import { story } from './story.ts';

const tight = (b: Bench): Bench => b.read('turn.plugs', 'in').read('turn.result', 'bumps').read('turn.feel', ['tight']);
const depths = (b: Bench, third = 0.06): Bench =>
  b
    .read('turn.depth', 0.06, { cylinder: 1 })
    .read('turn.depth', 0.06, { cylinder: 2 })
    .read('turn.depth', third, { cylinder: 3 });

describe('a tight spot, and nobody said where the plugs were', () => {
  it('is felt all the same, beside the bumps that are missing', () => {
    const b = new Bench(two).read('turn.result', 'free').read('turn.feel', ['tight']);
    expect(b.ids()).toEqual(expect.arrayContaining(['turn.feel:watch', 'turn.nobumps:cannot-tell']));
  });
  it('work on the leg that left it as it was has failed, and is not proved over and over', () => {
    const b = tight(new Bench(two))
      .read('turn.roughNeutral', 'still')
      .read('turn.roughPinion', 'still')
      .read('turn.roughLeg', 'smooth')
      .done('metal')
      .wait(1)
      .read('turn.result', 'free')
      .read('turn.feel', ['tight'])
      .read('turn.roughNeutral', 'still')
      .read('turn.roughPinion', 'still')
      .read('turn.roughLeg', 'smooth')
      .read('turn.result', 'free')
      .read('turn.feel', ['tight']);
    expect(moves(b).join(' | ')).not.toMatch(/Prove it: turns free with the leg on/);
    expect(b.assessed().steps.find((s) => s.id === 'metal')).toMatchObject({ state: 'open', failed: 'finding' });
  });
});

describe('a tight spot in every turn', () => {
  story(
    () => new Bench(two).read('safe.secured', 'yes'),
    [
      {
        entered: 'felt',
        by: tight,
        finds: ['turn.feel:watch'],
        now: /^Rough, in neutral/,
        notJobs: ['overhaul', 'soak']
      },
      {
        entered: 'still there in neutral',
        by: (b) => b.read('turn.roughNeutral', 'still'),
        now: /^Rough, starter pinion back/
      },
      {
        entered: 'and with the pinion back: a rod is measured before a leg is off',
        by: (b) => b.read('turn.roughPinion', 'still'),
        now: /^Every piston’s depth at top \| Rough, leg off/
      },
      { entered: 'the depths agree', by: depths, now: /^Rough, leg off/ },
      {
        entered: 'gone with the leg off: the leg’s, and no bearing of the power head',
        by: (b) => b.read('turn.roughLeg', 'smooth'),
        finds: ['turn.rough-leg:fault'],
        notFinds: ['turn.feel'],
        now: /^Lower gear plug a crack open/,
        notJobs: ['overhaul', 'feel']
      }
    ]
  );

  it('a piston that stands low is measured again, and the leg stays on', () => {
    const b = tight(new Bench(two)).read('turn.roughNeutral', 'still').read('turn.roughPinion', 'still');
    depths(b, 0.0615);
    expect(moves(b).join(' | ')).toMatch(/Piston depth of cylinder 3 again/);
    expect(moves(b).join(' | ')).not.toMatch(/leg off/);
  });
  it('still there with everything else off is a crank or a rod: no overhaul on a feeling alone', () => {
    const b = depths(tight(new Bench(two)).read('turn.roughNeutral', 'still').read('turn.roughPinion', 'still'));
    b.read('turn.roughLeg', 'still');
    expect(b.ids()).toContain('turn.feel:watch');
    expect(b.said('turn.feel')).toMatch(/a specialist before it is cranked/);
    expect(jobs(b)).not.toContain('overhaul');
  });
});

describe('locked, and stiff the day after its soak', () => {
  const soaked = (): Bench =>
    new Bench(two, 'long-stored', { yearsIdle: 7 })
      .read('turn.plugs', 'out')
      .read('turn.result', 'locked')
      .read('plugs.hole', 'rust', { cylinder: 1 })
      .done('soak')
      .wait(26)
      .read('turn.result', 'stiff');
  const turns = (b: Bench): { kind: string; title: string }[] =>
    b.assessed().moves.filter((m) => /turn it by hand|two days running/.test(m.title));
  it('the oil works: more of it, and turned again a day later, not at once', () => {
    const [now] = turns(soaked());
    expect(now).toMatchObject({ kind: 'wait', title: 'More oil, no force: turn it by hand again, a day later' });
    expect(turns(soaked().wait(25))[0]).toMatchObject({ kind: 'repeat' });
  });
  it('its rusty bore is looked into before the soak counts as proved', () => {
    const b = soaked().wait(24).read('turn.result', 'bumps').wait(24).read('turn.result', 'bumps');
    expect(b.assessed().moves.map((m) => m.title)).toContain('Prove it: no more rust in the bore, by a light');
  });
});
