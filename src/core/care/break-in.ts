import { known } from '../engine/profile.ts';
import { ruleNumber, school, schoolSaid } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import type { ProcedureStep } from '../procedures/procedure.ts';
import type { Flow } from './flow.ts';
import { headHoursNow } from './outings.ts';

export interface Stage {
  readonly id: string;
  /** Engine hours since new or rebuilt at which the stage ends. */
  readonly until: number;
  readonly text: string;
}

/** Where the manual gives no schedule (C, from memory): load that changes, never long at one speed, full throttle late. */
const byManual: readonly Stage[] = [
  { id: 'idle', until: 10 / 60, text: 'Ten minutes at idle and a little above, on water; stream and leaks watched.' },
  { id: 'half', until: 1, text: 'To the end of the first hour: at most half throttle, changed every few minutes.' },
  { id: 'three', until: 3, text: 'To three hours: at most three quarters; full for a minute now and then, then back.' },
  { id: 'five', until: 10, text: 'To ten hours: full throttle at most five minutes at a time.' }
];
const loadedSoon: readonly Stage[] = [
  { id: 'warm', until: 10 / 60, text: 'Ten minutes warming up at idle; no longer: rings do not seat at idle.' },
  {
    id: 'load',
    until: 1,
    text: 'First hour under load, half to three quarters, up and down, off the throttle between.'
  },
  { id: 'more', until: 5, text: 'To five hours: full throttle in short pulls, on mineral oil.' }
];

export const stagesOf = (c: Context): readonly Stage[] =>
  school(c.rules, 'breakIn') === 'load' ? loadedSoon : byManual;

/** The stage by engine hours since the head was new; nothing when it is through or the hours are not known. */
export const stageAt = (c: Context): Stage | undefined => {
  const { history } = c.survey.engine;
  const meter = known(history.hours);
  // A meter that has counted for another head says nothing of a fitted one.
  const counts = c.survey.assessment.kind !== 'fitted-head' || (meter ?? 0) <= ruleNumber(c.rules, 'firstOil');
  const hours = known(history.headHours) !== undefined || counts ? headHoursNow(c.survey.engine) : undefined;
  return hours === undefined ? undefined : stagesOf(c).find((s) => hours < s.until);
};

/** New engine, or a new or rebuilt head on an old leg. */
export const breakIn: Flow = {
  id: 'break-in',
  marks: 'flow',
  jobs: [],
  wrong: [
    'An hour at idle in a tub: rings do not seat.',
    'Full throttle at once: they seat and scuff.',
    'The first change forgotten.'
  ],
  proof: { station: 'run', text: 'levels kept, no smoke that stays, first change made' },
  handOver: 'The warranty’s schedule and its workshop come before this one.',
  title: 'Break-in',
  means: 'The right oil, the load pattern, levels each outing, an early first change.',
  minutes: 30,
  hazards: ['carbon-monoxide', 'propeller', 'hot'],
  holds: ['oil', 'water', 'indoors', 'gear-water', 'gear-chips'],
  tools: ['measuring jug', 'funnel'],
  parts: ['engine oil', 'oil filter for the first change'],
  counts: [],
  steps: (c) => {
    const { profile } = c.survey.engine;
    const { kind } = c.survey.assessment;
    const four = profile.strokes === 'four';
    const mineral = school(c.rules, 'breakIn') === 'load';
    const stages = stagesOf(c).map((s): ProcedureStep => ({
      id: s.id,
      act: 'start',
      text: s.text,
      because: `${schoolSaid(c.rules, 'breakIn')}. The manual’s schedule stands above this one.`
    }));
    return [
      ...(four
        ? [
            {
              id: 'oil',
              text: `${kind === 'new-engine' ? 'A new engine comes without engine oil: fill it.' : 'Filled with fresh oil.'} ${mineral ? 'Mineral oil' : 'The oil the manual names for break-in'}; two dips that agree.`,
              items: ['oil.dip'] as const
            }
          ]
        : [
            {
              id: 'mix',
              text: 'Break-in mixture: the manual’s ratio; where it is silent, twice the oil for the first tank, premix only.',
              items: ['fuel.mix'] as const
            }
          ]),
      { id: 'gear', text: 'Gear oil is in? Level looked at, not believed.', items: ['gear.first'] },
      ...(kind === 'fitted-head'
        ? [
            {
              id: 'leg',
              text: 'The leg is as old as ever: pump, gear oil, case as on any engine.',
              items: ['cooling.impellerAge', 'gear.look'] as const
            }
          ]
        : []),
      ...stages,
      { id: 'outing', text: 'Levels looked at before each outing, and what was added written down.' },
      {
        id: 'first',
        text: `First oil change at ${ruleNumber(c.rules, 'firstOil')} h${mineral && four ? ': the mineral oil out, from here the oil that the manual names' : ''}; gear oil with it.`,
        because: 'The metal of the first hours comes out with it. It stands on the care list.'
      }
    ];
  }
};
