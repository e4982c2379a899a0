import { describe } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { story } from './story.ts';

const four = { strokes: 'four', cylinders: 2, sumpWithFilter: 2.6e-3, layout: 'inline' } as const;
const twin = { strokes: 'two', cylinders: 2, ignition: 'cdi', starting: 'rope', shift: 'shift' } as const;

describe('oil over the mark on a tilted engine', () => {
  story(
    () => new Bench(four),
    [
      {
        entered: 'two dips above the mark, noted afterwards that it hung tilted',
        by: (b) => b.read('oil.dip', 'above').read('oil.dip', 'above').read('oil.level', 'no'),
        finds: ['oil.level:cannot-tell'],
        holds: ['oil'],
        notSays: /overfilled|diluted|dilution|Draw/
      },
      {
        entered: 'levelled, not dipped again',
        by: (b) => b.read('oil.level', 'yes'),
        holds: ['oil'],
        finds: ['oil.level:cannot-tell'],
        notSays: /Two dips agree/
      },
      {
        entered: 'waited, dipped twice, between the marks',
        by: (b) => b.read('oil.waited', 15).read('oil.dip', 'between').read('oil.dip', 'between'),
        is: { oil: 'sound' },
        holds: []
      }
    ]
  );
});

describe('a nose on the dipstick', () => {
  story(
    () => new Bench(four).read('oil.dip', 'between').read('oil.dip', 'between'),
    [
      {
        entered: 'a faint smell of fuel, level right',
        by: (b) => b.read('oil.smell', 'faint'),
        is: { oil: 'sound' },
        notSays: /Change it/
      },
      {
        entered: 'a plain smell: a question, no job',
        by: (b) => b.read('oil.smell', 'fuel'),
        is: { oil: 'cannot-tell' },
        notSays: /dilution|Change it/
      },
      {
        entered: 'the laboratory finds it as thick as fresh',
        by: (b) => b.read('oil.viscosity', 10.4).read('oil.viscosityFresh', 10.5),
        is: { oil: 'sound' },
        notSays: /It smells of fuel/
      },
      {
        entered: 'a later sample lost three parts in ten: that is fuel, measured',
        by: (b) => b.read('oil.viscosity', 7.3),
        finds: ['oil.laboratory:fault'],
        says: /of fuel in the oil by its viscosity/
      }
    ]
  );
});

describe('gritty, and where', () => {
  story(
    () => new Bench(twin).read('turn.plugs', 'out').read('turn.result', 'gritty'),
    [
      {
        entered: 'gritty',
        by: (b) => b,
        is: { turn: 'fault' },
        holds: ['locked'],
        says: /neutral first, then the leg off/
      },
      {
        entered: 'rough in neutral all the same',
        by: (b) => b.read('turn.roughNeutral', 'still'),
        notSays: /sits in/,
        holds: ['locked']
      },
      {
        entered: 'smooth with the leg off: the power head is not to blame',
        by: (b) => b.read('turn.roughLeg', 'smooth'),
        finds: ['turn.rough-leg:fault'],
        notSays: /bores or bearings of the power head|Oil it/,
        holds: ['locked']
      }
    ]
  );
});

describe('put together, and stiff', () => {
  story(
    () => new Bench(twin).read('turn.plugs', 'out').read('turn.result', 'free'),
    [
      {
        entered: 'after the pump went back it binds',
        by: (b) => b.read('turn.assembled', 'binds'),
        holds: ['assembled'],
        finds: ['turn.assembled:fault'],
        says: /undo what was done last/
      },
      {
        entered: 'undone, as easy as before',
        by: (b) => b.read('turn.assembled', 'same'),
        holds: [],
        is: { turn: 'sound' }
      }
    ]
  );
});

describe('vacuum on two tanks', () => {
  const inHg = 3386.389;
  story(
    () => new Bench({ ...twin, supply: 'bulb', fuelSystem: 'carburettor' }),
    [
      {
        entered: 'three inches at idle, the portable tank only',
        by: (b) => b.read('fuel.vacuumPortable', 1 * inHg),
        finds: ['fuel.vacuum:cannot-tell'],
        notSays: /nothing holds the fuel back/
      },
      {
        entered: 'six inches at speed on its own tank: the boat’s side',
        by: (b) => b.read('fuel.vacuumSpeed', 6 * inHg),
        finds: ['fuel.vacuum-tank-side:fault'],
        says: /on the boat’s side/,
        notSays: /engine’s filter/
      },
      {
        entered: 'with the cap open it falls: the vent',
        by: (b) => b.read('fuel.vacuumOpen', 1.2 * inHg),
        finds: ['fuel.vacuum-vent:fault'],
        notSays: /pick-up, anti-siphon/
      },
      {
        entered: 'a figure within the gauge’s error of the limit is not called',
        by: (b) => b.read('fuel.vacuumSpeed', 4.1 * inHg).read('fuel.vacuumOpen', 'unknown'),
        finds: ['fuel.vacuum:cannot-tell'],
        notFinds: ['fuel.vacuum:fault']
      }
    ]
  );
});

describe('two banks, one thermostat in the pan', () => {
  story(
    () => new Bench({ strokes: 'four', cylinders: 6, layout: 'v', thermostat: 'fitted' }),
    [
      {
        entered: 'port opens at its stamp',
        by: (b) => b.read('cooling.thermostatPan', 'good', { conditions: { bank: 'port' } }),
        finds: ['cooling.thermostat.port:sound', 'cooling.thermostat-other:cannot-tell'],
        is: { cooling: 'cannot-tell' }
      },
      {
        entered: 'starboard never opens: its own fault, whatever port did',
        by: (b) => b.read('cooling.thermostatPan', 'shut', { conditions: { bank: 'starboard' } }),
        finds: ['cooling.thermostat.port:sound', 'cooling.thermostat.starboard:fault'],
        says: /starboard bank’s thermostat never opens/,
        notSays: /port bank’s thermostat never/
      }
    ]
  );
});

describe('a gnawed lead', () => {
  const look = { conditions: { path: 'tester', light: 'shade' } } as const;
  story(
    () => new Bench(twin),
    [
      {
        entered: 'lead of 2 seen gnawed, nothing else looked at',
        by: (b) => b.read('spark.leadLook', 'damaged', { cylinder: 2 }),
        finds: ['spark.damaged-lead.2:fault'],
        notSays: /coil|lanyard/i
      },
      {
        entered: '1 sparks, 2 none: the lead explains it, nothing is swapped',
        by: (b) =>
          b
            .read('spark.result', 'good', { cylinder: 1, ...look })
            .read('spark.result', 'none', { cylinder: 2, ...look }),
        finds: ['spark.explained.2:fault'],
        notFinds: ['spark.none'],
        says: /explains it/,
        notSays: /[Ss]wap the plug/
      },
      {
        entered: 'lead renewed, ticked; weak at 2, in sunlight: not proved',
        by: (b) =>
          b
            .wait(0.5)
            .done('lead')
            .wait(0.1)
            .read('spark.result', 'weak', { cylinder: 2, conditions: { path: 'tester', light: 'sun' } }),
        finds: ['spark.sun.2:cannot-tell'],
        notFinds: ['spark.explained', 'spark.damaged-lead'],
        notSays: /explains it/
      },
      {
        entered: 'in the shade: good',
        by: (b) => b.wait(0.1).read('spark.result', 'good', { cylinder: 2, ...look }),
        is: { spark: 'sound' },
        notSays: /lead|coil/i
      }
    ]
  );
});

describe('a tank that is pumped up', () => {
  story(
    () => new Bench({ ...twin, supply: 'pressurised' }),
    [
      {
        entered: 'half a pound: it lifts nothing',
        by: (b) => b.read('fuel.tankPressure', 0.5 * PSI),
        finds: ['fuel.tank-pressure:fault'],
        says: /Cap seal first/
      },
      {
        entered: 'three pounds after a new seal',
        by: (b) => b.read('fuel.tankPressure', 3 * PSI),
        finds: ['fuel.tank-pressure:sound']
      }
    ]
  );
});
