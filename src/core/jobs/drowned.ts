import { displaced, turnedDry } from '../stations/turn/hole-water.ts';
import { underWater, type JobRule } from './job.ts';

/** What water left behind, in the order things perish. */
export const drowned = {
  rinse: {
    title: 'Rinse the salt out',
    also: underWater,
    // Fresh water leaves no salt.
    unless: (c) => c.survey.engine.history.water === 'fresh',
    met: (c) => ['yes', 'kept'].includes(String(c.record.value('safe.rinsed'))),
    how: 'Fresh water over and through it, connectors too. If work cannot start within hours, keep it under fresh water rather than in air.',
    tools: ['hose'],
    consumables: ['fresh water'],
    minutes: 15,
    hazards: ['battery'],
    proof: { station: 'safe', text: 'rinsed recorded', reads: ['safe.rinsed'] },
    after: ['safe'],
    uses: ['hose'],
    dirty: true,
    phase: 'drowned'
  },
  'empty-cylinders': {
    title: 'Plugs out, holes lowest, turn until no more water comes',
    raisedBy: ['turn.water', 'plugs.hole-water'],
    also: underWater,
    met: turnedDry,
    how: 'Fuel off, stop circuit off. Lay a four-stroke only on the side its maker allows. Turn by hand, in its direction, until only oil comes.',
    tools: ['plug wrench', 'tray'],
    minutes: 20,
    hazards: ['backfire', 'lift'],
    proof: {
      station: 'turn',
      text: 'nothing more out of the plug holes',
      reads: ['turn.water', 'turn.pass', 'turn.dried']
    },
    after: ['rinse'],
    opens: ['cowl', 'plugs'],
    uses: ['stand'],
    dirty: true,
    phase: 'drowned'
  },
  'sump-water': {
    title: 'Drain the sump, change oil and filter, cheap oil first',
    raisedBy: ['oil.milky', 'oil.level-milky'],
    also: (c) => (c.survey.engine.profile.strokes === 'four' ? underWater(c) : undefined),
    met: (c) => c.record.value('oil.sump') === 'drained' && c.record.value('oil.look') !== 'milky',
    how: 'Before anything spins. What stays behind is about 15 % each time: two changes leave 2 %, three leave a third of a percent.',
    tools: ['drain pan', 'filter wrench'],
    parts: ['oil filter', 'drain washer'],
    consumables: ['engine oil for three changes'],
    minutes: 30,
    wait: 20,
    hazards: ['waste'],
    proof: {
      station: 'oil',
      text: 'sump drained, oil clean, two dips between the marks',
      reads: ['oil.look', 'oil.dip', 'oil.dipAt']
    },
    renews: ['oil.look', 'oil.smell'],
    after: ['empty-cylinders'],
    opens: ['sump'],
    dirty: true,
    torque: ['torque.sump'],
    oneTime: ['drain washer'],
    phase: 'drowned',
    counts: ['engine-oil']
  },
  displace: {
    title: 'Displace water with oil through plug holes and intake',
    also: underWater,
    met: displaced,
    how: 'Water-displacing oil in, turn, blow dry, repeat until clear. Air box and filter dried; connectors opened, dried, protected.',
    consumables: ['water-displacing oil', 'contact protection'],
    minutes: 30,
    wait: 30,
    hazards: ['eyes', 'air', 'chemicals'],
    proof: {
      station: 'turn',
      text: 'water displaced, turns smooth twice',
      reads: ['turn.result', 'turn.pass', 'turn.dried']
    },
    after: ['sump-water', 'empty-cylinders'],
    opens: ['cowl', 'plugs'],
    dirty: true,
    phase: 'drowned'
  }
} as const satisfies Readonly<Record<string, JobRule>>;
