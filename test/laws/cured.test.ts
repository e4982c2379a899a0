import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import type { JobId } from '../../src/core/jobs/register.ts';
import type { ItemId } from '../../src/core/stations/items.ts';
import { stationOf } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { four, two } from '../stories/engines.ts';

type Read = readonly [ItemId, unknown, number?];

/** What was bad, the job that cures it, and the same looked at again and good. */
const cures: readonly (readonly [string, readonly Read[], JobId, readonly Read[], Profile?])[] = [
  ['wires chewed', [['look.wiring', 'chewed']], 'wiring', [['look.wiring', 'good']]],
  ['hoses hard', [['look.hoses', 'hard']], 'hoses', [['look.hoses', 'supple']]],
  ['strainer clogged', [['look.strainer', 'clogged']], 'strainer', [['look.strainer', 'clear']]],
  ['anodes gone', [['look.anodes', 'gone']], 'anodes', [['look.anodes', 'good']]],
  ['propeller bent', [['look.propeller', 'bent']], 'propeller', [['look.propeller', 'good']]],
  ['hub slips', [['look.twist', 'slips']], 'propeller', [['look.twist', 'holds']]],
  ['swivel stiff', [['look.swivel', 'stiff']], 'structure', [['look.swivel', 'free']]],
  ['plug oily', [['plugs.read', ['bridged'], 1]], 'plugs', [['plugs.read', ['normal'], 1]]],
  [
    'starter dead',
    [
      ['plugs.starterCircuit', 'nothing'],
      ['plugs.starterDirect', 'turns']
    ],
    'starter',
    [['plugs.starterCircuit', 'turns']]
  ],
  [
    'lead gnawed',
    [
      ['spark.lanyard', 'yes'],
      ['spark.result', 'none', 1],
      ['spark.leadLook', 'damaged', 1]
    ],
    'lead',
    [
      ['spark.leadLook', 'whole', 1],
      ['spark.result', 'good', 1]
    ]
  ],
  ['no lash', [['compression.lashEx', 0, 1]], 'lash', [['compression.lashEx', 0.25e-3, 1]], four],
  ['stays in gear in neutral', [['turn.neutral', 'drives']], 'linkage', [['turn.neutral', 'spins']]],
  ['no reverse', [['turn.reverse', 'no']], 'linkage', [['turn.reverse', 'follows']]],
  ['belt cracked', [['turn.belt', 'cracked']], 'belt', [['turn.belt', 'renewed']], { ...four, camDrive: 'belt' }],
  [
    'pieces on the magnet',
    [['gear.magnet', 'pieces']],
    'metal',
    [
      ['gear.explained', 'yes'],
      ['gear.magnet', 'clean']
    ]
  ],
  ['slots chewed', [['gear.slots', 'chewed']], 'gear-plugs', [['gear.slots', 'good']]],
  ['filter clogged', [['fuel.filter', 'clogged']], 'fuel-filter', [['fuel.filter', 'clean']]],
  ['vent closed', [['fuel.vent', 'closed']], 'fuel-open', [['fuel.vent', 'open']]],
  [
    'tank empty',
    [
      ['fuel.age', 1],
      ['fuel.level', 'empty']
    ],
    'fuel-fill',
    [['fuel.level', 'full']]
  ],
  [
    'bowl gummed',
    [
      ['fuel.age', 1],
      ['fuel.bowlLook', 'gummed']
    ],
    'carburettor',
    [
      ['fuel.age', 1],
      ['fuel.bowlLook', 'clean']
    ]
  ],
  [
    'too little oil',
    [['fuel.mix', 100]],
    'mix',
    [['fuel.mix', 50]],
    { ...two, lubrication: 'premix', premixRatio: 50 }
  ],
  [
    'oil tank empty',
    [['fuel.oilTank', 'empty']],
    'oil-tank',
    [['fuel.oilTank', 'full']],
    { ...two, lubrication: 'injection' }
  ],
  [
    'oil injection still',
    [['fuel.oilMoves', 'still']],
    'oil-feed',
    [['fuel.oilMoves', 'moves']],
    { ...two, lubrication: 'injection' }
  ],
  ['screens blocked', [['cooling.screen', 'blocked']], 'screen', [['cooling.screen', 'clear']]],
  ['thermostat shut', [['cooling.thermostatPan', 'shut']], 'thermostat', [['cooling.thermostatPan', 'good']]],
  [
    'vanes set',
    [
      ['cooling.opened', 'yes'],
      ['cooling.set', 35],
      ['cooling.housing', 'good']
    ],
    'pump',
    [
      ['cooling.opened', 'yes'],
      ['cooling.set', 0],
      ['cooling.housing', 'good']
    ]
  ],
  ['seal doubled', [['oil.filter', 'stuck']], 'oil-filter', [['oil.filter', 'renewed']], four],
  [
    'undercharging',
    [
      ['run.rpm', 2500],
      ['run.volts', 12.1],
      ['run.outcome', 'ran']
    ],
    'charging',
    [
      ['run.rpm', 2500],
      ['run.volts', 14.1],
      ['run.outcome', 'ran']
    ]
  ]
];

const take = (b: Bench, list: readonly Read[]): Bench =>
  list.reduce((x, [what, value, cylinder]) => x.read(what, value as never, cylinder ? { cylinder } : {}), b);

describe('what was cured is not found a second time, and its job is proved', () => {
  for (const [name, bad, job, good, profile = two] of cures)
    it(name, () => {
      const station = stationOf(bad[0]![0]);
      const worst = (b: Bench) =>
        b
          .judged()
          .findings.filter((f) => f.station === station && ['fault', 'watch', 'held'].includes(f.condition))
          .map((f) => f.id)
          .sort();
      const b = take(new Bench(profile), bad);
      expect(worst(b).length).toBeGreaterThan(0);
      const before = b.assessed();
      expect(before.steps.filter((s) => s.state === 'open').map((s) => s.id)).toContain(job);
      take(b.done(job), good);
      // Nothing is left of it that good readings alone would not show as well.
      const alone = new Set(worst(take(new Bench(profile), good)));
      expect(worst(b).filter((id) => !alone.has(id))).toEqual([]);
      const after = b.assessed();
      expect(after.steps.find((s) => s.id === job)).toMatchObject({ state: 'proved' });
      // Nor is its suspect held against the engine.
      const still = after.advice.suspects.filter(
        (s) => s.step === job && s.raised && !s.mended && s.chance === 'likely'
      );
      expect(still.map((s) => s.id)).toEqual([]);
      expect(after.moves.filter((m) => m.job === job && !m.waits).map((m) => m.title)).toEqual([]);
    });
});

describe('what is found again after its job is open again', () => {
  // Chewed slots are nobody's sign: that job waits for its proof.
  for (const [name, bad, job, , profile = two] of cures.filter(([, , id]) => id !== 'gear-plugs'))
    it(name, () => {
      const b = take(take(new Bench(profile), bad).done(job), bad);
      expect(b.assessed().steps.find((s) => s.id === job)).toMatchObject({ state: 'open' });
    });
});
