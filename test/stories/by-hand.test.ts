import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { two } from './engines.ts';

/** Put right by hand and told as it is then, with no job ticked: that is the cure, and the same run comes next. */
const running = (b: Bench): Bench => b.read('run.event', 'start').read('run.stream', 'strong').wait(0.1);
const died = (): Bench =>
  running(new Bench(two)).read('run.event', 'stop').read('run.outcome', 'died').read('fuel.dies', 'minutes');
const failed = (): Bench => new Bench(two).read('run.event', 'start').read('run.outcome', 'failed');
const titles = (b: Bench): string[] =>
  b
    .assessed()
    .moves.filter((m) => m.class < 9)
    .map((m) => m.title);

describe('put right by hand', () => {
  it.each([
    ['fuel.vent', 'closed', 'open'],
    ['fuel.level', 'empty', 'full']
  ] as const)('%s, %s then %s: nothing more is looked for along its fuel', (item, was, now) => {
    const b = died()
      .read(item, was as never)
      .read(item, now as never);
    expect(b.ids()).not.toContain('fuel.dies:cannot-tell');
    expect(titles(b).join()).not.toMatch(/bulb|hose|pump it by hand/i);
  });

  it.each([
    ['fuel.shutoff', 'closed', 'open'],
    ['spark.lanyard', 'no', 'yes']
  ] as const)('%s, %s then %s, after a start that failed: it is tried again', (item, was, now) => {
    const b = failed()
      .read(item, was as never)
      .read(item, now as never);
    expect(b.said('run.failed')).toMatch(/try it again/);
    expect(titles(b).join()).not.toMatch(/wet or dry|Find the cause/);
  });

  it('good from the start it was no cause, and unknown between changes nothing', () => {
    expect(titles(died().read('fuel.vent', 'open')).join()).toMatch(/bulb/i);
    const b = died().read('fuel.vent', 'closed').read('fuel.vent', 'unknown').read('fuel.vent', 'open');
    expect(b.ids()).not.toContain('fuel.dies:cannot-tell');
  });

  it('died again after it, the search goes on', () => {
    const b = died().read('fuel.vent', 'closed').read('fuel.vent', 'open');
    running(b).read('run.event', 'stop').read('run.outcome', 'died').read('fuel.dies', 'minutes');
    expect(b.ids()).toContain('fuel.dies:cannot-tell');
  });
});

it('a vent found shut is opened before the age of the fuel is asked for', () => {
  const b = new Bench(two, 'neglected', { said: ['dies'] }).read('fuel.bulb', 'flat').read('fuel.vent', 'closed');
  const fuel = b.assessed().moves.filter((m) => m.station === 'fuel');
  expect(fuel[0]!.job).toBe('fuel-open');
});
