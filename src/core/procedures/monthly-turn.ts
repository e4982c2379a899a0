import { known } from '../engine/profile.ts';
import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** The monthly turn of an engine that stands (C: common practice; the maker’s manual stands above it). */
export const monthlyTurn: Procedure = {
  id: 'monthly-turn',
  title: 'Turned by hand, an engine that stands',
  means: 'So that vanes do not set, rings do not stick, and a leak is seen while it is small.',
  minutes: 10,
  jobs: [],
  hazards: ['propeller', 'flywheel', 'backfire'],
  tools: ['plug wrench', 'oil can'],
  parts: [],
  wrong: [
    'Turned backward: the vanes fold and set.',
    'Starter used, oil in the bores: a bent rod.',
    'The same vane stands bent again: turned by a third more than a whole turn.'
  ],
  proof: { station: 'turn', text: 'smooth, as last month' },
  handOver: 'Tighter than last month is an assessment, not another pull.',
  steps: (c) => {
    const a = about(c);
    const oil = known(c.record.value('plugs.oil')) ?? 0;
    return [
      {
        id: 'safe',
        text: 'Lanyard out, in neutral, nobody at the propeller; covers and nests looked at.',
        careful: ['propeller'],
        items: ['safe.lanyard']
      },
      {
        id: 'plugs',
        text:
          oil > 0 ? 'Oil stands in the bores: plugs out first.' : 'Plugs in or out, both count; out after damp months.',
        because:
          oil > 0
            ? `${a.say(oil, 'volume')} in a bore was recorded.`
            : 'Which of the two is written down: it feels different.',
        items: ['turn.plugs']
      },
      {
        id: 'turn',
        text: 'At the wheel, only its way, one turn and a third more.',
        because: 'The third leaves other vanes bent than last month.',
        turns: { way: a.way, from: 'above' },
        careful: ['flywheel', 'backfire'],
        items: ['turn.result'],
        branch: [{ seen: 'Tight or gritty', then: 'No further: assessed.' }]
      },
      {
        id: 'shift',
        text: 'Shift moved through its gears while the propeller is turned.',
        careful: ['propeller'],
        items: ['turn.neutral']
      },
      { id: 'drips', text: 'Under it: oil, fuel, water? Charge of the battery.', items: ['safe.battery'] },
      { id: 'label', text: 'Date and name on its label.' }
    ];
  }
};
