import { describe, expect, it } from 'vitest';
import { doBy } from '../../src/core/jobs/do-by.ts';
import { Bench } from '../case.ts';
import { two } from './engines.ts';

describe('an impeller of which nobody knows the age', () => {
  const ran = (stream: 'strong' | 'weak', kelvin: number): Bench =>
    new Bench(two)
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'tank')
      .read('run.event', 'start')
      .wait(0.02)
      .read('run.stream', stream)
      .wait(0.3)
      .read('run.temperature', kelvin)
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.minutes', 18);
  const dated = (b: Bench): string[] =>
    doBy(b.judged().context)
      .map((d) => d.id)
      .filter((id) => id === 'by-impeller');

  it('is a question until stream and head have answered it, and has a date then', () => {
    const before = new Bench(two).read('cooling.screen', 'clear');
    expect(before.ids()).toContain('cooling.pump:cannot-tell');
    expect(dated(before)).toEqual([]);
    const b = ran('strong', 335);
    expect(b.ids()).toContain('cooling.pump:sound');
    expect(dated(b)).toEqual(['by-impeller']);
  });
  it('a weak stream, a cold head or a hot one answers nothing', () => {
    for (const b of [ran('weak', 335), ran('strong', 300), ran('strong', 370)]) {
      expect(b.ids()).not.toContain('cooling.pump:sound');
      expect(dated(b)).toEqual([]);
    }
  });
  it('one that has stood for years is taken as set, whatever it pumped today', () => {
    const b = ran('strong', 335);
    b.survey = { ...b.survey, engine: { ...b.survey.engine, history: { yearsIdle: 9 } } };
    expect(b.ids()).toContain('cooling.pump:watch');
    expect(dated(b)).toEqual([]);
  });
  it('of a known age it is that age that counts', () => {
    expect(dated(ran('strong', 335).read('cooling.impellerAge', 1))).toEqual([]);
  });
});
