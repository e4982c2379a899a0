import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { caseTest } from '../../../test/case-test.ts';
import { expectedBumps } from './turn/analyse.ts';
import { stations } from './register.ts';

const C = (t: number): number => t + 273.15;
const triple = { strokes: 'two', cylinders: 3, ignition: 'cdi' } as const;

describe('hand turn', () => {
  it('expects two bumps a cylinder of a two-stroke and one of a four-stroke', () => {
    expect(expectedBumps('two', 3)).toBe(6);
    expect(expectedBumps('four', 4)).toBe(4);
    expect(expectedBumps('unknown', 4)).toBeUndefined();
  });
  it('locked with plugs in is liquid until shown otherwise', () => {
    expect(new Bench().read('turn.plugs', 'in').read('turn.result', 'locked').said('turn.locked')).toMatch(
      /plugs out first/
    );
    expect(new Bench().read('turn.plugs', 'out').read('turn.result', 'locked').ids()).toContain('turn.locked:fault');
  });
  it('oil hides grit: free today counts tomorrow', () => {
    const b = new Bench().read('turn.result', 'gritty').read('turn.result', 'bumps');
    expect(b.ids()).toContain('turn.again:watch');
    expect(b.holds()).toEqual(['locked']);
    b.wait(14).read('turn.result', 'bumps');
    expect(b.ids()).toContain('turn.free:sound');
    expect(b.holds()).toEqual([]);
  });
  it('a piston low beyond the tolerance is named, one within it is not', () => {
    const depths = (low: number) =>
      new Bench({ cylinders: 3 })
        .read('turn.depth', 0.06, { cylinder: 1 })
        .read('turn.depth', low, { cylinder: 2 })
        .read('turn.depth', 0.06, { cylinder: 3 });
    expect(depths(0.0612).ids()).toContain('turn.depth.2:fault');
    expect(depths(0.06005).ids()).toContain('turn.depths:sound');
    // Within the tolerance as it stands, but not with its whole interval.
    expect(depths(0.0602).ids()).toContain('turn.depths:cannot-tell');
  });
});

describe('spark', () => {
  const all = (b: Bench, result: 'none' | 'good' | 'weak', more = {}) => {
    for (const cylinder of [1, 2, 3]) b.read('spark.result', result, { cylinder, ...more });
    return b;
  };
  it('none anywhere asks for the lanyard before any part', () => {
    const b = all(new Bench(triple), 'none');
    expect(b.ids()).toEqual(expect.arrayContaining(['spark.lanyard:cannot-tell']));
    expect(b.ids().some((i) => i.endsWith(':fault'))).toBe(false);
  });
  it('with the lanyard in, none anywhere is a common part, cheapest first', () => {
    const b = all(new Bench(triple).read('spark.lanyard', 'yes'), 'none');
    expect(b.said('spark.all')).toMatch(
      /stop wire and stop circuit, engine ground, charge coil, trigger and power pack/
    );
    expect(b.read('spark.stopWire', 'still').said('spark.all')).not.toMatch(/stop wire/);
  });
  it('none anywhere at slow cranking of an electronic ignition cannot tell', () => {
    expect(all(new Bench(triple).read('spark.lanyard', 'yes'), 'none', { conditions: { rpm: 180 } }).ids()).toContain(
      'spark.slow:cannot-tell'
    );
  });
  it('none on one cylinder is that cylinder’s own parts', () => {
    const b = all(new Bench(triple).read('spark.lanyard', 'yes'), 'good').read('spark.result', 'none', { cylinder: 2 });
    expect(b.said('spark.none')).toMatch(/cylinder 2 alone: its own plug, cap, lead/);
  });
  it('none on the only one that was looked at is no fault of its own yet, and nothing is swapped', () => {
    const b = new Bench(triple).read('spark.lanyard', 'yes').read('spark.result', 'none', { cylinder: 2 });
    expect(b.ids()).toContain('spark.undecided.2:cannot-tell');
    expect(b.ids().join()).not.toMatch(/spark.none/);
    const a = b.assessed();
    expect(a.steps.map((s) => s.id)).not.toContain('spark-own');
    expect(a.advice.suspects.filter((s) => s.raised && /^(lead|coil)\.2$/.test(s.id))).toEqual([]);
    expect(a.moves.slice(0, 3).map((m) => m.title)).toContain('Spark of the other cylinders');
  });
  it('what has to be drained is not filled first: one job brings the fresh fuel', () => {
    const jobs = (b: Bench): string[] => b.assessed().steps.map((s) => s.id);
    const unasked = new Bench(triple).read('fuel.level', 'empty');
    expect(jobs(unasked)).toEqual([]);
    const unknown = unasked.read('fuel.age', 'unknown');
    expect(jobs(unknown)).toContain('fuel-drain');
    expect(jobs(unknown)).not.toContain('fuel-fill');
    expect(jobs(new Bench(triple).read('fuel.age', 1).read('fuel.level', 'empty'))).toContain('fuel-fill');
  });
  it('it is said to be alone only where all the others were seen to spark', () => {
    const b = new Bench(triple).read('spark.lanyard', 'yes').read('spark.result', 'none', { cylinder: 2 });
    b.read('spark.result', 'good', { cylinder: 1 });
    expect(b.said('spark.none')).toMatch(/cylinder 2 while another has it/);
    expect(b.read('spark.result', 'good', { cylinder: 3 }).said('spark.none')).toMatch(/cylinder 2 alone/);
  });
  it('a whole bank dead is what feeds the bank; a dead pair is what they share', () => {
    const dead = (profile: object, cylinders: number[]) => {
      const b = new Bench({ strokes: 'two', cylinders: 6, ignition: 'cdi', ...profile }).read('spark.lanyard', 'yes');
      for (let c = 1; c <= ((profile as { cylinders?: number }).cylinders ?? 6); c++)
        b.read('spark.result', cylinders.includes(c) ? 'none' : 'good', { cylinder: c });
      return b.said('spark.pair');
    };
    expect(dead({ layout: 'v' }, [1, 3, 5])).toMatch(/one whole bank/);
    expect(dead({ layout: 'inline', cylinders: 4 }, [2, 3])).toMatch(/they share/);
    expect(dead({ layout: 'v' }, [1, 2, 3])).toBe('');
  });
  it('good to a bolt and none through the tester is the ground', () => {
    const b = new Bench({ ...triple, cylinders: 1 })
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'good', { cylinder: 1, conditions: { path: 'bolt' } })
      .read('spark.result', 'none', { cylinder: 1, conditions: { path: 'tester' } });
    expect(b.ids()).toContain('spark.ground.1:fault');
  });
  it('weak in sunlight is looked at again in shade', () => {
    const b = new Bench(triple).read('spark.lanyard', 'yes').read('spark.result', 'weak', {
      cylinder: 1,
      conditions: { light: 'sun' }
    });
    for (const cylinder of [2, 3]) b.read('spark.result', 'good', { cylinder });
    expect(b.ids()).toContain('spark.sun.1:cannot-tell');
    // Seen strong in shade before or after: what the sun washed out says nothing against it.
    expect(b.read('spark.result', 'good', { cylinder: 1, conditions: { light: 'shade' } }).ids()).toContain(
      'spark.good:sound'
    );
  });
  it('the gap asked follows the ignition, and the manual wins', () => {
    const gap = (ignition: 'points' | 'cdi') =>
      new Bench({ cylinders: 1, ignition })
        .read('spark.lanyard', 'yes')
        .read('spark.result', 'good', { cylinder: 1 })
        .read('spark.gap', 0.007, { cylinder: 1 });
    expect(gap('points').said('spark.gap')).toBe('');
    expect(gap('cdi').said('spark.gap')).toMatch(/jumps/);
  });
});

describe('gear oil', () => {
  it('compares what was drained with the capacity', () => {
    const b = (mL: number) => new Bench({ gearCapacity: 400e-6 }).read('gear.drained', mL * 1e-6);
    expect(b(395).ids()).toContain('gear.amount:sound');
    expect(b(250).ids()).toContain('gear.amount:watch');
    expect(b(520).ids()).toContain('gear.amount:cannot-tell');
    expect(new Bench().read('gear.drained', 3e-4).ids()).toContain('gear.amount:cannot-tell');
  });
  it('salt water at −1 °C does not freeze, fresh water does', () => {
    const b = (water: 'salt' | 'fresh') =>
      new Bench({}, 'neglected', { water }).read('safe.forecast', C(-1)).read('gear.first', 'water');
    expect(b('salt').ids()).toContain('gear.nofrost:watch');
    expect(b('fresh').ids()).toContain('gear.frost:fault');
  });
  it('grades metal by size and waits for it to be explained', () => {
    expect(new Bench().read('gear.magnet', 'paste').ids()).toContain('gear.metal:sound');
    const b = new Bench().read('gear.magnet', 'pieces');
    expect(b.holds()).toEqual(['gear-chips']);
    expect(b.read('gear.explained', 'yes').holds()).toEqual([]);
  });
  it('water is cured by a held case test and a refill for service, not by a refill alone', () => {
    const b = new Bench({ gearCapacity: 250e-6 }).read('gear.look', 'milky').read('gear.refill', 'service');
    expect(b.holds()).toEqual(['gear-water']);
    // Saying so is no proof: every stage is read.
    expect(b.read('gear.pressureTest', 'held').holds()).toEqual(['gear-water']);
    expect(b.said('gear.test-open')).toMatch(/“Held” was said.*low stage not read, high stage not read and vacuum/);
    expect(caseTest(b).holds()).toEqual([]);
  });
});

describe('fuel', () => {
  it('ages by kind and stabiliser, house numbers', () => {
    const verdict = (months: number, kind: 'ethanol' | 'plain', stabilised: 'yes' | 'no') =>
      new Bench()
        .read('fuel.kind', kind)
        .read('fuel.stabilised', stabilised)
        .read('fuel.age', months)
        .ids()
        .find((i) => i.startsWith('fuel.age'));
    expect(verdict(0.5, 'plain', 'no')).toBe('fuel.age:sound');
    expect(verdict(5, 'plain', 'no')).toBe('fuel.age:watch');
    expect(verdict(5, 'ethanol', 'no')).toBe('fuel.age:fault');
    expect(verdict(12, 'plain', 'yes')).toBe('fuel.age:sound');
    expect(verdict(20, 'plain', 'yes')).toBe('fuel.age:fault');
  });
  it('unknown age is cannot tell, never fresh', () => {
    expect(new Bench().read('fuel.age', 'unknown').ids()).toContain('fuel.age:cannot-tell');
  });
  it('half a percent of water is the most an ethanol blend holds', () => {
    expect(new Bench().read('fuel.jarWater', 0.004).ids()).toContain('fuel.jar:sound');
    expect(new Bench().read('fuel.jarWater', 0.03).ids()).toContain('fuel.jar:fault');
  });
  it('holds old fuel until tank, line and bowl are dealt with and fresh fuel is in', () => {
    const b = new Bench().read('fuel.age', 30);
    expect(b.holds()).toEqual(['fuel']);
    b.read('fuel.tank', 'fresh').read('fuel.line', 'drained');
    expect(b.holds()).toEqual(['fuel']);
    expect(b.read('fuel.bowl', 'not-fitted').holds()).toEqual([]);
  });
  it('asks one step more oil for the first tank after a year, premix only', () => {
    const p = { lubrication: 'premix', premixRatio: 50 } as const;
    expect(new Bench(p, 'long-stored', { yearsIdle: 9 }).read('fuel.mix', 50).said('fuel.mix')).toMatch(
      /40:1 is asked.*5 mL to every litre/
    );
    expect(new Bench(p, 'neglected', { yearsIdle: 0 }).read('fuel.mix', 50).ids()).toContain('fuel.mix:sound');
    expect(new Bench({ lubrication: 'sump' }).read('fuel.mix', 200).said('fuel.mix')).toBe('');
  });
});

describe('cooling', () => {
  const b = () => new Bench({ indicator: 'fitted' });
  it('weak with a cool head is the outlet; with a hot head the pump', () => {
    expect(b().read('cooling.stream', 'weak').read('cooling.head', C(60)).ids()).toContain(
      'cooling.outlet:cannot-tell'
    );
    expect(b().read('cooling.stream', 'weak').read('cooling.head', C(97)).ids()).toEqual(
      expect.arrayContaining(['cooling.hot:fault', 'cooling.stream:fault'])
    );
  });
  it('a cleared outlet does not close the matter', () => {
    expect(
      b()
        .read('cooling.stream', 'weak')
        .read('cooling.head', C(60))
        .read('cooling.outlet', 'blocked')
        .said('cooling.outlet-cleared')
    ).toMatch(/does not clear the other/);
  });
  it('a hose port allows no start, muffs only idle', () => {
    expect(b().read('cooling.source', 'port').holds()).toContain('water');
    expect(b().read('cooling.source', 'muffs').said('cooling.source')).toMatch(/idle only/);
  });
  it('missing vanes are looked for', () => {
    expect(b().read('cooling.missing', 2).said('cooling.pieces')).toMatch(/both pieces/);
  });
  it('the interval follows the climate', () => {
    const at = (stored: 'sun' | 'indoors') =>
      new Bench({}, 'neglected', { stored }).read('cooling.impellerAge', 1.5).ids();
    expect(at('sun')).toContain('cooling.pump:watch');
    expect(at('indoors')).toContain('cooling.pump-young:sound');
  });
});

describe('engine oil', () => {
  it('needs two dips that agree', () => {
    const b = new Bench({ strokes: 'four' }).read('oil.dip', 'between');
    expect(b.ids()).toContain('oil.dip:cannot-tell');
    expect(b.read('oil.dip', 'between').ids()).toContain('oil.dip:sound');
    expect(b.holds()).toEqual([]);
  });
  it('above the mark is overfilled or diluted until something separates them', () => {
    const b = new Bench({ strokes: 'four' }).read('oil.dip', 'above').read('oil.dip', 'above');
    expect(b.ids()).toContain('oil.dip:cannot-tell');
    expect(b.read('oil.look', 'thin').ids()).toContain('oil.dip:fault');
  });
  it('a two-stroke has none', () => {
    expect(new Bench({ strokes: 'two' }).judged().stations.map((s) => s.id)).not.toContain('oil');
  });
});

describe('the register', () => {
  it('has words, an analysis and items for every station, and every choice offers unknown', () => {
    for (const station of Object.values(stations)) {
      expect(station.how.length).toBeGreaterThan(1);
      for (const item of Object.values(station.items))
        if (item.kind === 'choice') expect(item.options.some((o) => o.value === 'unknown')).toBe(true);
    }
  });
  it('unknown everywhere blocks nothing and finds no fault', () => {
    const b = new Bench({ strokes: 'unknown', cylinders: 'unknown' });
    for (const [id, { items }] of Object.entries(stations))
      for (const [key, item] of Object.entries(items))
        if (item.kind !== 'text') b.read(`${id}.${key}` as 'gear.look', 'unknown');
    expect(b.ids().filter((i) => i.endsWith(':fault') || i.endsWith(':held'))).toEqual([]);
    expect(b.holds()).toEqual([]);
  });
});
