import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';

const first = (b: Bench): string => b.assessed().moves[0]!.title;
const twin = {
  strokes: 'two',
  cylinders: 2,
  fuelSystem: 'carburettor',
  supply: 'bulb',
  indicator: 'fitted',
  gearCapacity: 400e-6
} as const;

describe('the next step is about what was just found', () => {
  it('what is not safe is made safe first, once hands were on it too', () => {
    const b = new Bench(twin).read('turn.result', 'bumps').read('safe.secured', 'no');
    const urgent = (): boolean => b.assessed().moves[0]!.class === 1;
    expect(first(b)).toBe('Make it safe');
    expect(urgent()).toBe(true);
    b.read('safe.secured', 'yes');
    expect(urgent()).toBe(false);
  });
  it('while it runs, lanyard and battery are in; a loose stand is a danger all the same', () => {
    const b = new Bench(twin)
      .read('safe.place', 'outdoors')
      .read('cooling.source', 'tank')
      .read('run.event', 'start')
      .read('run.stream', 'strong')
      .read('safe.lanyard', 'in');
    const urgent = (): string[] =>
      b
        .assessed()
        .moves.filter((m) => m.class === 1)
        .map((m) => m.title);
    expect(urgent()).not.toContain('Make it safe');
    b.read('safe.secured', 'no');
    expect(urgent()).toContain('Make it safe');
  });
  it('nothing at the gear plug: both plugs out; an empty case: the case test before it is filled', () => {
    const b = new Bench(twin).read('safe.secured', 'yes').read('turn.result', 'bumps').read('gear.first', 'nothing');
    expect(b.ids()).toContain('gear.nothing:cannot-tell');
    const titles = (): string[] => b.assessed().moves.map((m) => m.title);
    expect(titles()).toContain('Drain and measure the gear oil, look for metal');
    b.read('gear.look', 'none');
    expect(b.ids()).toContain('gear.amount:fault');
    expect(titles().indexOf('Case test, low stage first, shafts turned')).toBeGreaterThanOrEqual(0);
    expect(b.holds()).toContain('gear-water');
  });
  it('no stream past its half minute stops the run, whatever was looked at before and whatever the head reads', () => {
    const b = new Bench(twin)
      .read('safe.place', 'outdoors')
      .read('cooling.source', 'tank')
      .read('cooling.outlet', 'clear')
      .read('cooling.head', 330)
      .read('run.event', 'start')
      .read('run.stream', 'none');
    expect(first(b)).toBe('Stop it now');
    expect(b.said('cooling.stream')).toMatch(/Stop.*Blow its line through/);
  });
  it('spitting with everything looked at asks for its cause, and for the run again once that is found', () => {
    const b = new Bench({ ...twin, fuelSystem: 'electronic' });
    b.psi([[1, 120], [2, 121]]).psi([[1, 120], [2, 121]]).read('spark.timing', 5); // prettier-ignore
    b.read('run.outcome', 'ran').read('run.idles', 'spits').read('run.air', 'same');
    for (const cylinder of [1, 2])
      b.read('compression.crankcase', 'held', { cylinder }).read('run.drop', 'falls', { cylinder });
    const titles = (): string[] => b.assessed().moves.map((m) => m.title);
    expect(titles()).toContain('Fuel rail: pump heard with the key on, then its pressure');
    b.read('fuel.railPump', 'runs').read('fuel.rail', 250e3);
    for (const cylinder of [1, 2]) b.read('fuel.injectors', 'clicks', { cylinder });
    expect(titles()).toContain('Find the cause, write it down');
    b.read('run.cause', 'an intake gasket, renewed');
    expect(titles()).not.toContain('Find the cause, write it down');
    expect(b.assessed().steps.map((s) => s.id)).toContain('run-again');
  });
  it('more pressure on the gear case than its seals take comes off at once', () => {
    const b = new Bench(twin)
      .read('safe.secured', 'yes')
      .read('gear.casePressure', 250e3, { conditions: { stage: 'high' } });
    expect(first(b)).toBe('Let the pressure off the gear case');
  });
});

describe('fuel that burns, and fuel without its oil', () => {
  it('no start with a cracked hose, a weeping coupling or a carburettor that floods, until it was seen dry', () => {
    for (const [item, bad, good] of [
      ['look.hoses', 'cracked', 'supple'],
      ['fuel.couplings', 'leak', 'tight'],
      ['fuel.floods', 'yes', 'no']
    ] as const) {
      const b = new Bench(twin).read(item, bad as never);
      expect(b.holds(), item).toContain('fuel-escapes');
      b.read(item, 'unknown');
      expect(b.holds(), `${item} unknown`).toContain('fuel-escapes');
      // Good at one look with nothing done: of a crack or a needle one of the two is wrong, and a second good look settles it.
      b.read(item, good as never);
      expect(b.holds().includes('fuel-escapes'), `${item} once`).toBe(item !== 'fuel.couplings');
      b.read(item, good as never);
      expect(b.holds(), `${item} twice`).not.toContain('fuel-escapes');
    }
    const renewed = new Bench(twin).read('look.hoses', 'cracked').done('hoses').read('look.hoses', 'supple');
    expect(renewed.holds()).not.toContain('fuel-escapes');
  });
  it('premix: plain fuel after a good mixture holds the start; a little too lean does not, far too lean does', () => {
    const b = new Bench({ ...twin, lubrication: 'premix', premixRatio: 50 }).read('fuel.mix', 50);
    expect(b.holds()).not.toContain('premix');
    expect(b.read('fuel.tankOil', 'plain').holds()).toContain('premix');
    expect(b.read('fuel.mix', 60).holds()).not.toContain('premix');
    expect(b.ids()).toContain('fuel.mix:fault');
    expect(b.read('fuel.mix', 100).holds()).toContain('premix');
  });
  it('a bulb that goes soft slowly strips no carburettor: joints first; fuel that runs does', () => {
    const of = (value: 'slow' | 'yes'): Bench => new Bench(twin).read('fuel.floods', value);
    const jobs = (b: Bench): string[] => b.assessed().steps.map((s) => s.id);
    expect(jobs(of('slow'))).not.toContain('bowl');
    const asked = of('slow')
      .assessed()
      .moves.map((m) => m.title);
    expect(asked).toContain('Hose and couplings, every joint wiped and watched');
    expect(jobs(of('yes'))).toContain('bowl');
  });
  it('a reason that was tapped is no cause of a drip', () => {
    const b = new Bench(twin).read('run.leaks', 'fuel').read('run.cause', 'a leak');
    expect(b.holds()).toContain('fuel-escapes');
    expect(b.read('run.cause', 'a split hose at the filter, renewed').holds()).toContain('fuel-escapes');
    expect(b.read('fuel.bulb', 'unknown').holds()).toContain('fuel-escapes');
    expect(b.read('fuel.bulb', 'firm').holds()).not.toContain('fuel-escapes');
  });
  it('a job that is ticked is no dry joint', () => {
    const b = new Bench(twin).read('run.leaks', 'fuel').read('run.leakAt', 'hose').done('fuel-line');
    expect(b.holds()).toContain('fuel-escapes');
    expect(b.read('fuel.hose', 'supple').read('fuel.bulb', 'firm').holds()).not.toContain('fuel-escapes');
  });
  it('the needle under a hand pump: holds, cannot tell, leaks', () => {
    const pumped = (to: number): string[] =>
      new Bench(twin).read('fuel.needleFrom', 50e3).read('fuel.needleTo', to).read('fuel.needleTime', 1).ids();
    expect(pumped(50e3)).toContain('fuel.needle:sound');
    expect(pumped(47e3)).toContain('fuel.needle:cannot-tell');
    expect(pumped(10e3)).toContain('fuel.needle:fault');
  });
});
