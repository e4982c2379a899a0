import { cylinderCount, known } from '../engine/profile.ts';
import { treatedAfter } from '../physics/flows.ts';
import { school, schoolSaid } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import { say } from '../units/index.ts';
import { BORE_OIL } from '../procedures/figures.ts';
import type { ProcedureStep } from '../procedures/procedure.ts';
import type { Flow } from './flow.ts';

function stabiliserStep(c: Context): ProcedureStep {
  const held = c.record.value('fuel.lineVolume');
  const flow = c.record.value('fuel.idleFlow');
  const minutes =
    typeof held === 'number' && typeof flow === 'number' && flow > 0
      ? Math.ceil(treatedAfter(held, flow * 3600))
      : undefined;
  const fixed = school(c.rules, 'stabiliser') === 'fixed';
  return {
    id: 'treat',
    act: 'start',
    text: `Stabilised fuel through the system: ${
      minutes === undefined
        ? 'ten minutes at idle, or as long as its volume needs'
        : fixed
          ? `five to ten minutes at idle by the house’s rule; ${minutes} min by its volume`
          : `${minutes} min at idle; the trade’s fixed time is five to ten`
    }.`,
    because: `On water, outdoors. ${schoolSaid(c.rules, 'stabiliser')}.${minutes === undefined ? ' What line and bowl hold, and what it burns, make it a figure.' : ''}`,
    items: ['fuel.lineVolume', 'fuel.idleFlow', 'fuel.stabilised']
  };
}

const injectedEngine = ({ survey }: Context): boolean =>
  survey.engine.profile.fuelSystem === 'electronic' || survey.engine.profile.fuelSystem === 'direct';

/** Whether this house puts measured oil into the bores of this engine, instead of spraying it in. */
export function measuredBores(c: Context): boolean {
  const chosen = school(c.rules, 'boreProtection');
  return chosen === 'measured' || (chosen === 'manual' && injectedEngine(c));
}

/** Oil for each bore, m³, where the manual is silent; nothing where its size is not known. */
export function boreDose(c: Context): number | undefined {
  const { profile } = c.survey.engine;
  const [swept, n] = [known(profile.displacement), cylinderCount(profile)];
  return swept && n ? (swept / n) * BORE_OIL.high : undefined;
}

function boreStep(c: Context): ProcedureStep {
  const dose = boreDose(c);
  const injected = injectedEngine(c);
  const measured = measuredBores(c);
  return {
    id: 'bores',
    text: measured
      ? `Plugs out, ${dose ? `about ${say(dose, 'volume', c.units)} of oil` : 'the manual’s oil'} into each cylinder, turned by hand, plugs in; label: DO NOT CRANK.`
      : 'Storage oil sprayed through the intake at idle until it smokes, then off; turned by hand.',
    because: `${schoolSaid(c.rules, 'boreProtection')}${injected ? '; this one is injected' : ''}.${measured && dose ? ' 2 mL for each 100 mL swept where the manual is silent (from memory).' : ''}`,
    items: ['plugs.oil']
  };
}

function bowlStep(c: Context): ProcedureStep[] {
  if (c.survey.engine.profile.fuelSystem !== 'carburettor') return [];
  const chosen = school(c.rules, 'stallOut');
  if (c.survey.engine.profile.supply === 'pressurised')
    return [{ id: 'bowl', text: 'Tank vented first: a pressurised tank pushes fuel out of anything that is opened.' }];
  return [
    {
      id: 'bowl',
      text:
        chosen === 'screw'
          ? 'Carburettor drained by its screw, warm, into a labelled can.'
          : chosen === 'run'
            ? 'Run dry at idle; choke at the end.'
            : 'Bowl left full of treated fuel.',
      because: schoolSaid(c.rules, 'stallOut'),
      items: ['fuel.bowl']
    }
  ];
}

/** Gear oil by the house's interval; water in it before frost is everybody's. */
function gearStep(c: Context): ProcedureStep {
  const chosen = school(c.rules, 'gearOil');
  return {
    id: 'gear',
    text:
      chosen === 'hours'
        ? 'Lower gear plug a crack: water or cream is changed before frost; clean oil stays until its hours are up.'
        : chosen === 'clean'
          ? 'Lower gear plug a crack: water or cream is changed before frost; clean oil is topped up, how much is noted.'
          : 'Gear oil before frost, whatever its age.',
    because: `A case that freezes with water in it cracks. ${schoolSaid(c.rules, 'gearOil')}.`,
    items: ['gear.look', 'gear.drained', 'gear.refill']
  };
}

const caps = {
  rules: 'Tank cap as the local fire rules say',
  loose: 'Tank cap loose, away from flame and from rain',
  closed: 'Tank cap closed, out of the sun'
} as const;

const tankStep = (c: Context): ProcedureStep => ({
  id: 'tank',
  text: `${caps[school(c.rules, 'tankCap')]}; hose off the engine, cap on its coupling.`,
  because: schoolSaid(c.rules, 'tankCap'),
  careful: ['vapour']
});

/** What the lay-up put into the bores is known to the spring that follows it; else it is asked. */
function springBores(c: Context): ProcedureStep {
  const oil = known(c.record.value('plugs.oil'));
  return {
    id: 'bores',
    text:
      oil !== undefined && oil > 0
        ? `${say(oil, 'volume', c.units)} of oil were put into each bore: plugs out and turned by hand until no more comes, before any starter.`
        : oil === 0
          ? 'No oil was put into the bores: turned by hand, its way, before any starter.'
          : 'Was oil put into the bores? Plugs out, turned by hand, before any starter.',
    because: 'Oil does not compress: cranked on it, a rod bends.',
    items: ['turn.plugs', 'turn.result', 'plugs.oil']
  };
}

/** Going into storage and coming out of it, by the kind of engine. */
export const seasonFlows: readonly Flow[] = [
  {
    id: 'lay-up',
    marks: 'flow',
    jobs: [],
    wrong: [
      'Run dry and called drained: a puddle stays.',
      'Oil in the bores and no label: somebody cranks it.',
      'Gear oil left until spring: the case cracks in the first frost.'
    ],
    proof: { station: 'look', text: 'upright, dry, labelled; each step ticked or left out with its reason' },
    handOver: 'Injection, catalysts and pressurised tanks follow the manual alone.',
    title: 'Lay-up',
    means: 'So that the next return is easy: fuel, flush, oils, bores, grease, battery, upright.',
    minutes: 90,
    hazards: ['carbon-monoxide', 'propeller', 'vapour', 'hot', 'battery', 'waste'],
    holds: ['indoors', 'water', 'oil', 'gear-water', 'gear-chips'],
    tools: ['muffs or tank', 'plug wrench', 'drain pan', 'grease gun'],
    parts: ['oil filter', 'plug washers', 'stabiliser', 'storage oil'],
    counts: ['monthly-turn'],
    steps: (c) => {
      const four = c.survey.engine.profile.strokes === 'four';
      return [
        stabiliserStep(c),
        {
          id: 'flush',
          text: 'Flushed with fresh water; out of salt at least ten minutes, thermostat open.'
        },
        ...(four
          ? [
              {
                id: 'oil',
                text: 'Warm oil change with its filter.',
                because: 'Acids of a season do not stay in over winter.',
                items: ['oil.drained', 'oil.filter', 'oil.dip'] as const
              }
            ]
          : []),
        gearStep(c),
        tankStep(c),
        ...bowlStep(c),
        boreStep(c),
        { id: 'grease', text: 'Grease: swivel, tilt, steering, propeller shaft.' },
        { id: 'battery', text: 'Battery out or off, charged, kept from frost.', items: ['safe.battery'] },
        {
          id: 'upright',
          text: 'Upright so that it drains, intake and outlet free of nests, covered so that it breathes.'
        },
        {
          id: 'turn',
          text: 'Turned by hand each month, in its direction.',
          because: 'So that the vanes do not take a set. It is on the care list from now on.'
        }
      ];
    }
  },
  {
    id: 'spring',
    marks: 'flow',
    jobs: [],
    wrong: [
      'Started first and looked at afterwards.',
      'A carburettor taken apart because it is spring.',
      'Old impeller trusted because it pumped last year.'
    ],
    proof: { station: 'run', text: 'first run clean: stream, no leaks, each gear' },
    handOver: 'What is found bad becomes an assessment.',
    title: 'Spring return',
    means: 'Levels, old fuel, first start. A sound engine must come out sound: nothing is invented.',
    minutes: 45,
    hazards: ['carbon-monoxide', 'propeller', 'vapour', 'battery'],
    holds: ['drowned', 'drowned-running', 'locked', 'water', 'fuel', 'oil', 'gear-water', 'indoors', 'run'],
    tools: ['plug wrench', 'muffs or tank', 'meter'],
    parts: [],
    counts: [],
    steps: (c) => {
      const four = c.survey.engine.profile.strokes === 'four';
      return [
        { id: 'place', text: 'Outdoors, lanyard, propeller clear.', items: ['safe.place', 'safe.propeller'] },
        {
          id: 'nests',
          text: 'Under the cowl: nests, chewed hoses; bulb and hoses bent.',
          items: ['look.cowl', 'fuel.bulb']
        },
        springBores(c),
        ...(four ? [{ id: 'dip', text: 'Engine oil: two dips that agree.', items: ['oil.dip'] as const }] : []),
        { id: 'gear', text: 'Lower gear plug a crack: what comes first?', items: ['gear.first'] },
        {
          id: 'fuel',
          text:
            c.record.value('fuel.stabilised') === 'yes'
              ? 'It stood with treated fuel: a jar sample first; clear and in one layer it is used up, else all of it out and fresh in.'
              : 'Last year’s fuel out of tank, line and bowl; fresh in.',
          items: ['fuel.jar', 'fuel.age', 'fuel.tank', 'fuel.line', 'fuel.bowl']
        },
        { id: 'water', text: 'Cooling water on before it starts.', items: ['cooling.source', 'cooling.impellerAge'] },
        {
          id: 'run',
          act: 'start',
          text: 'First run: stream within half a minute, no leaks, each gear.',
          items: ['run.outcome', 'run.stream']
        }
      ];
    }
  }
];
