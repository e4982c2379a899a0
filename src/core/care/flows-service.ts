import { known } from '../engine/profile.ts';
import { chosenSchool, ruleNumber, sayChoice, school, schoolSaid } from '../house-rules/rules.ts';
import { say } from '../units/index.ts';
import type { Flow } from './flow.ts';

const fitted = (v: unknown): boolean => v === 'fitted' || v === undefined || v === 'unknown';

/** Twenty-minute jobs on an engine that is in use. Order and cautions: common practice (C). */
export const serviceFlows: readonly Flow[] = [
  {
    id: 'gear-oil',
    title: 'Gear oil change',
    means: 'Look first, drain, magnet, fresh washers, filled from below.',
    minutes: 20,
    hazards: ['leg', 'waste', 'propeller'],
    holds: ['gear-chips', 'gear-water'],
    tools: ['driver that fills the slot', 'drain pan', 'hand pump with thread adapter'],
    parts: ['one plug washer for each plug'],
    counts: ['gear-oil'],
    steps: (c) => {
      const { profile } = c.survey.engine;
      const plugs = [profile.plugDrain, profile.plugLevel, profile.plugVent].filter(fitted).length;
      const size = known(profile.gearCapacity);
      return [
        {
          id: 'first',
          text: 'Upright a while, then the lower plug a crack: what comes first?',
          because: 'Free water lies lowest. Churned water does not settle: none does not clear milky oil.',
          items: ['gear.first']
        },
        {
          id: 'drain',
          text: 'Lower plug out, then the vent; let it run, tilted a little at the end.',
          wait: 15,
          because: `${size ? `It holds ${say(size, 'volume', c.units)}; ` : ''}what is missing went somewhere.`,
          items: ['gear.look', 'gear.drained']
        },
        {
          id: 'magnet',
          text: 'Magnet wiped and photographed.',
          because: 'Paste is wear; slivers and pieces are opened and explained.',
          items: ['gear.magnet']
        },
        {
          id: 'fill',
          text: 'Filled from the lowest plug, slowly, until the level hole runs without bubbles.',
          items: ['gear.poured', 'gear.levelHole']
        },
        {
          id: 'shut',
          text: `Upper plug in first, then the pump out and the lower plug in quickly: ${plugs} fresh ${plugs === 1 ? 'washer' : 'washers'}.`,
          items: ['gear.washers', 'gear.refill'],
          torque: ['torque.gearPlugs']
        }
      ];
    }
  },
  {
    id: 'engine-oil',
    title: 'Engine oil change',
    means: 'Warm, measured out, filter, measured in, two dips.',
    minutes: 30,
    fits: (e) => e.profile.strokes !== 'two',
    hazards: ['hot', 'waste', 'carbon-monoxide'],
    holds: ['oil', 'indoors', 'water'],
    tools: ['drain pan or suction pump', 'filter wrench', 'measuring jug'],
    parts: ['oil filter', 'drain washer'],
    counts: ['engine-oil'],
    steps: (c) => {
      const { profile } = c.survey.engine;
      const amount = known(profile.sumpWithFilter) ?? known(profile.sumpWithoutFilter);
      return [
        { id: 'warm', text: 'Warmed up on water, then off; let the head drain.', wait: 10, items: ['cooling.source'] },
        { id: 'out', text: 'Drained or drawn out, and what came out measured.', items: ['oil.look', 'oil.drained'] },
        {
          id: 'filter',
          text: `Filter off with its old seal; the new one as it says on it, else ${sayChoice(chosenSchool(c.rules, 'oilFilter'))}.`,
          items: ['oil.filter']
        },
        { id: 'plug', text: 'Drain plug with a fresh washer.', items: ['oil.washer'], torque: ['torque.sump'] },
        {
          id: 'in',
          text: amount
            ? `${say(amount, 'tank', c.units)} in, less what stayed behind; counted.`
            : 'The amount of the manual in, counted.',
          because: 'The first dip after filling misleads: the cups count.',
          items: ['oil.poured']
        },
        {
          id: 'dip',
          text: 'Upright and level, wait, dip until two dips agree.',
          wait: 10,
          items: ['oil.dip', 'oil.waited']
        }
      ];
    }
  },
  {
    id: 'pump',
    title: 'Water pump',
    means: 'Leg down, kit or impeller by the house’s rule, turned in the engine’s direction, tried before it goes up.',
    minutes: 60,
    hazards: ['leg', 'propeller', 'eyes'],
    holds: ['water'],
    tools: ['spanners', 'soft mallet', 'eye guard'],
    parts: ['pump kit or impeller', 'O-rings'],
    counts: ['impeller'],
    steps: (c) => [
      { id: 'mark', text: 'Shift-rod joint marked, leg bolts out in order, leg down.', torque: ['torque.leg'] },
      {
        id: 'vanes',
        text: 'Impeller out: vanes counted, pieces found.',
        because: 'Missing pieces went downstream: find them.',
        items: ['cooling.vanes', 'cooling.set', 'cooling.cracked', 'cooling.missing', 'cooling.housing']
      },
      {
        id: 'renew',
        text: `${school(c.rules, 'pump') === 'kit' ? `Whole kit over ${ruleNumber(c.rules, 'kitAge')} years, at any wear mark, or when the age is unknown; else the impeller` : 'Impeller'}.`,
        because: schoolSaid(c.rules, 'pump'),
        items: ['cooling.impellerAge']
      },
      {
        id: 'build',
        text: `Turned in its direction into place, key in, washers as they came, ${school(c.rules, 'pumpGrease') === 'film' ? 'a film of grease on the vanes' : 'greased well'}, none on the shaft’s end face.`,
        items: ['cooling.assembled']
      },
      {
        id: 'drill',
        text: 'Drill test in a bucket: neutral, clamped, hands and sleeves clear, never backward.',
        items: ['cooling.drill']
      },
      { id: 'up', text: 'Leg up, tube into its grommet, shift tried each way.', items: ['cooling.tube'] }
    ]
  },
  {
    id: 'plugs',
    title: 'Spark plugs',
    means: 'Read in cylinder order, gap, tightened right.',
    minutes: 15,
    hazards: ['high-voltage', 'hot'],
    holds: ['drowned', 'drowned-running'],
    tools: ['plug wrench', 'gap gauge'],
    parts: ['spark plugs'],
    counts: ['plugs'],
    steps: () => [
      { id: 'out', text: 'Engine cold, leads off by the cap, plugs out and laid in cylinder order.' },
      { id: 'read', text: 'Each one read, each hole looked into.', items: ['plugs.read', 'plugs.hole'] },
      { id: 'gap', text: 'Gap of the new ones to the manual.', items: ['plugs.gap'] },
      {
        id: 'in',
        text: 'By hand to the seat, then to the torque; else a used gasket a quarter turn, a new one half to two thirds, a taper seat a sixteenth.',
        torque: ['torque.plug']
      }
    ]
  }
];
