import type { History, Profile } from '../src/core/engine/profile.ts';
import type { CaseKind } from '../src/core/engine/case-kind.ts';
import type { Conditions, Reading } from '../src/core/record/reading.ts';
import { emptySurvey, type SurveyFile } from '../src/core/record/survey-file.ts';
import type { ItemId } from '../src/core/items/register.ts';
import { PSI } from '../src/core/units/factors.ts';

/** One thing entered: an item, its value, where and how it was read; minutes since the one before, one where left out. */
type Entry = readonly [
  what: ItemId,
  value: unknown,
  more?: Pick<Reading, 'cylinder' | 'conditions' | 'instrument'> & { readonly after?: number }
];
/** A stage of a story: what was done, in words and as entries, or a job marked done. */
export interface ToldStage {
  readonly entered: string;
  readonly entries: readonly Entry[];
  readonly done?: string;
}
export interface Story {
  readonly id: string;
  readonly title: string;
  readonly kind: CaseKind;
  readonly profile: Profile;
  readonly history?: History;
  readonly stages: readonly ToldStage[];
}

const safe: Entry[] = [
  ['safe.lanyard', 'out'],
  ['safe.battery', 'off'],
  ['safe.propeller', 'off'],
  ['safe.secured', 'yes'],
  ['safe.place', 'outdoors']
];
const direct = {
  name: 'screw-in gauge',
  range: 300 * PSI,
  accuracy: 0.02,
  resolution: PSI,
  adapterVolume: 0,
  valve: 'plug end'
} as const;
const hose = { ...direct, name: 'gauge on a long hose', adapterVolume: 8e-6, valve: 'gauge end' } as const;
const open: Conditions = { throttle: 'open', bores: 'dry', engine: 'cold' };
const psi = (
  cylinder: number,
  value: number,
  conditions: Conditions = open,
  instrument: Reading['instrument'] = direct
): Entry => ['compression.pressure', value * PSI, { cylinder, conditions, ...(instrument ? { instrument } : {}) }];
const spark = (
  cylinder: number,
  value: string,
  conditions: Conditions = { path: 'tester', light: 'shade', volts: 12.2, rpm: 450 }
): Entry => ['spark.result', value, { cylinder, conditions }];
const twin: Profile = {
  strokes: 'two',
  cylinders: 2,
  displacement: 0.3e-3,
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  starting: 'both',
  supply: 'bulb',
  shift: 'shift',
  indicator: 'fitted',
  thermostat: 'fitted',
  gearCapacity: 0.3e-3
};
const stage = (s: 'low' | 'high' | 'vacuum', p: number): Entry[] => [
  ['gear.casePressure', p, { conditions: { stage: s } }],
  ['gear.casePressure', p, { conditions: { stage: s }, after: 15 }],
  ['gear.casePressure', p, { conditions: { stage: s }, after: 15 }]
];

/** Short stories of the readings that are most often taken for the truth, told stage by stage. All of them made up. */
export const stories: readonly Story[] = [
  {
    id: 'wet',
    title: 'A wet reading beside a dry one',
    kind: 'long-stored',
    profile: twin,
    history: { yearsIdle: 6 },
    stages: [
      {
        entered: 'Made safe; it turns free. Compression 118 and 80, throttle open, dry.',
        entries: [...safe, ['turn.result', 'bumps'], psi(1, 118), psi(2, 80)]
      },
      { entered: 'Repeated in the other order: 79 and 117.', entries: [psi(2, 79), psi(1, 117)] },
      {
        entered: '3 mL of oil into cylinder 2: 104.',
        entries: [psi(2, 104, { throttle: 'open', bores: 'oiled', dose: 3e-6 })]
      },
      {
        entered: 'Leak-down of cylinder 2: 38 %, heard in the crankcase.',
        entries: [
          ['compression.leakdown', 0.38, { cylinder: 2 }],
          ['compression.escape', ['crankcase'], { cylinder: 2 }]
        ]
      }
    ]
  },
  {
    id: 'adapter',
    title: 'An adapter entered last',
    kind: 'neglected',
    profile: twin,
    stages: [
      {
        entered: 'Made safe; compression 119 and 116 with the gauge at the plug, twice.',
        entries: [...safe, ['turn.result', 'bumps'], psi(1, 119), psi(2, 116), psi(1, 118), psi(2, 117)]
      },
      {
        entered: 'Somebody measures again through a long hose: 92 and 90.',
        entries: [psi(1, 92, open, hose), psi(2, 90, open, hose)]
      }
    ]
  },
  {
    id: 'bolt',
    title: 'Spark to a bolt, none through the tester',
    kind: 'neglected',
    profile: twin,
    stages: [
      {
        entered: 'Made safe, lanyard in, switch on. 1 good through the tester, 2 none.',
        entries: [...safe, ['turn.result', 'bumps'], ['spark.lanyard', 'yes'], spark(1, 'good'), spark(2, 'none')]
      },
      {
        entered: '2 held against a bolt: it sparks.',
        entries: [spark(2, 'good', { path: 'bolt', light: 'shade', volts: 12.2, rpm: 450 })]
      },
      {
        entered: 'The tester’s clamp on bright metal: it sparks there too.',
        entries: [['spark.groundWire', 'returns']]
      },
      {
        entered: 'Ground cleaned, job ticked; through the tester again: good.',
        entries: [spark(2, 'good'), spark(1, 'good')],
        done: 'ground'
      }
    ]
  },
  {
    id: 'battery',
    title: 'A battery that tires through the test',
    kind: 'neglected',
    profile: { ...twin, cylinders: 4, layout: 'inline', displacement: 1.2e-3 },
    stages: [
      {
        entered: 'Made safe; 120, 118, 104, 92 while the battery falls from 11.6 to 9.4 V.',
        entries: [
          ...safe,
          ['turn.result', 'bumps'],
          ...[
            [1, 120, 11.6],
            [2, 118, 10.9],
            [3, 104, 10.1],
            [4, 92, 9.4]
          ].map(([k, p, volts]) => psi(k!, p!, { ...open, volts: volts! }))
        ]
      },
      {
        entered: 'On a charged battery: 120, 119, 118, 120.',
        entries: [
          [1, 120],
          [2, 119],
          [3, 118],
          [4, 120]
        ].map(([k, p]) => psi(k!, p!, { ...open, volts: 12.1 }))
      }
    ]
  },
  {
    id: 'lanyard',
    title: 'Looked at with the lanyard out',
    kind: 'spring-return',
    profile: twin,
    stages: [
      {
        entered: 'Made safe; no spark at 1 and 2, lanyard not looked at.',
        entries: [...safe, ['turn.result', 'bumps'], spark(1, 'none'), spark(2, 'none')]
      },
      { entered: 'The lanyard was out.', entries: [['spark.lanyard', 'no']] },
      {
        entered: 'Lanyard in, switch on: both good.',
        entries: [['spark.lanyard', 'yes'], spark(1, 'good'), spark(2, 'good')]
      }
    ]
  },
  {
    id: 'cold-head',
    title: 'A cold head, and a stream that does not come',
    kind: 'spring-return',
    profile: twin,
    stages: [
      {
        entered: 'Ready for a run in a tank; started, stream not there at twelve seconds.',
        entries: [
          ...safe,
          ['cooling.source', 'tank'],
          ['fuel.tank', 'fresh'],
          ['fuel.line', 'fresh'],
          ['fuel.bowl', 'fresh'],
          ['run.event', 'start'],
          ['run.stream', 'none', { after: 0.2 }]
        ]
      },
      {
        entered: 'Forty seconds: still none, the head at 24 °C.',
        entries: [
          ['run.stream', 'none', { after: 0.45 }],
          ['run.temperature', 297, { after: 0.02, conditions: { spot: 'head' } }]
        ]
      },
      {
        entered: 'Stopped; the outlet probed: it was blocked, now clear.',
        entries: [
          ['run.event', 'stop', { after: 0.1 }],
          ['run.outcome', 'stopped'],
          ['run.reason', 'stream'],
          ['cooling.outlet', 'blocked']
        ]
      }
    ]
  },
  {
    id: 'depths',
    title: 'Piston depths that scatter',
    kind: 'drowned',
    profile: twin,
    history: { submerged: 'yes', runningWhenSunk: 'yes', water: 'fresh' },
    stages: [
      {
        entered:
          'Battery off, plugs out, two slow turns, smooth, no more water. Depths: 62.0, 62.4, 61.8 at 1; 62.1, 61.7, 62.3 at 2.',
        entries: [
          ...safe,
          ['turn.plugs', 'out'],
          ['turn.result', 'free'],
          ['turn.result', 'free'],
          ['turn.water', 'none'],
          ...[62.0, 62.4, 61.8].map((d): Entry => ['turn.depth', d / 1000, { cylinder: 1 }]),
          ...[62.1, 61.7, 62.3].map((d): Entry => ['turn.depth', d / 1000, { cylinder: 2 }])
        ]
      },
      {
        entered:
          'Rounds taken back in a new look with a rod that seats: 62.00, 62.02, 62.01 at 1; 62.03, 62.01, 62.02 at 2.',
        entries: [
          ...[62.0, 62.02, 62.01].map((d): Entry => ['turn.depth', d / 1000, { cylinder: 1 }]),
          ...[62.03, 62.01, 62.02].map((d): Entry => ['turn.depth', d / 1000, { cylinder: 2 }])
        ]
      }
    ]
  },
  {
    id: 'case-test',
    title: 'A case test that is half done',
    kind: 'neglected',
    profile: twin,
    stages: [
      {
        entered: 'Made safe; water first, milky, 290 mL drained.',
        entries: [
          ...safe,
          ['turn.result', 'bumps'],
          ['gear.first', 'water'],
          ['gear.look', 'milky'],
          ['gear.drained', 0.29e-3],
          ['safe.forecast', 285]
        ]
      },
      { entered: 'Low stage held half an hour, shafts not turned.', entries: stage('low', 4 * PSI) },
      {
        entered: 'Shafts turned at the low stage.',
        entries: [['gear.caseTurned', 'yes', { conditions: { stage: 'low' } }]]
      },
      { entered: '“Held” is tapped.', entries: [['gear.pressureTest', 'held']] },
      {
        entered: 'High and vacuum read and turned as well.',
        entries: [
          ...stage('high', 10 * PSI),
          ['gear.caseTurned', 'yes', { conditions: { stage: 'high' } }],
          ...stage('vacuum', 25e3),
          ['gear.caseTurned', 'yes', { conditions: { stage: 'vacuum' } }],
          ['gear.caseOpen', 'yes']
        ]
      }
    ]
  }
];

/** A story as a survey after so many of its stages. */
export function told(story: Story, stages = story.stages.length): SurveyFile {
  let at = Date.parse('2026-05-02T08:00:00.000Z');
  let n = 0;
  const base = emptySurvey(story.kind, new Date(at).toISOString(), story.title);
  const readings: Reading[] = [];
  const steps: NonNullable<SurveyFile['steps']>[number][] = [];
  story.stages.slice(0, stages).forEach((s, k) => {
    if (s.done) {
      at += 600_000;
      steps.push({ id: `s${k}`, at: new Date(at).toISOString(), step: s.done, state: 'done' });
    }
    // What is measured again from scratch is a look of its own.
    const round = story.id === 'depths' && k > 0 ? { round: k + 1 } : {};
    for (const [what, value, more] of s.entries) {
      const { after = 1, ...rest } = more ?? {};
      at += after * 60_000;
      readings.push({ id: `r${++n}`, at: new Date(at).toISOString(), what, value, ...round, ...rest } as Reading);
    }
  });
  return {
    ...base,
    engine: { identity: { tag: story.id }, profile: story.profile, history: story.history ?? {} },
    readings,
    ...(steps.length ? { steps } : {})
  };
}
