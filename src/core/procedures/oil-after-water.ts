import { changes } from '../stations/oil/changes.ts';
import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** Oil changes after water got in (C: common practice; the maker’s manual stands above it). */
export const oilAfterWater: Procedure = {
  id: 'oil-after-water',
  title: 'Water in the engine oil: changed until it is out',
  means: 'Cheap oil, short and warm, measured each time, until what is left is little enough.',
  minutes: 60,
  jobs: ['oil-changes', 'sump-water'],
  fits: (e) => e.profile.strokes !== 'two',
  hazards: ['hot', 'waste', 'carbon-monoxide'],
  tools: ['drain pan', 'measuring jug', 'clear jar'],
  parts: ['cheap oil of the right grade', 'drain washers', 'oil filter at the first and the last'],
  wrong: [
    'Run on the first change before the way in was found.',
    'Long run on creamed oil: bearings.',
    'Last fill of cheap oil left in.'
  ],
  proof: { station: 'oil', text: 'oil clear, what is left under the house’s share' },
  handOver: 'Water that comes again is a gasket or a cracked block: it is looked for, not changed away.',
  steps: (c) => {
    const state = changes(c);
    const a = about(c);
    return [
      {
        id: 'source',
        text: 'How did it get in: drowned, gasket, cracked jacket, the tilt? The way in is shut first.',
        items: ['oil.look']
      },
      {
        id: 'out',
        text: 'Cold, upright, an hour’s rest: the plug a crack, the water first; then all of it, measured.',
        careful: ['waste'],
        wait: 60,
        items: ['oil.sump', 'oil.drained']
      },
      {
        id: 'filter',
        text: 'Filter off and emptied; a cheap one on.',
        renew: ['oil filter', 'drain washer'],
        items: ['oil.filter']
      },
      {
        id: 'fill',
        text: 'Cheap oil of the right grade in, measured.',
        items: ['oil.poured'],
        figures: [
          {
            label: 'Changes still to make',
            dimension: 'count',
            value: state.open,
            because: `${state.measured ? 'Measured here: ' : 'From memory: '}${Math.round(100 * state.share)} % stays behind each time; the house wants ${Math.round(1000 * state.target) / 10} % or less left (each change leaves its share of what was there).`
          },
          ...(state.litres === undefined
            ? []
            : [
                {
                  label: 'Oil for them',
                  dimension: 'tank' as const,
                  value: state.litres / 1000,
                  because: 'Changes times the fill.'
                },
                {
                  label: 'At the house’s price',
                  dimension: 'money' as const,
                  value: state.cost ?? 0,
                  because: 'Cheap oil; the last fill is the right one.'
                }
              ])
        ]
      },
      {
        id: 'warm',
        text: 'A short run, warmed but not loaded, on water; off while it is hot.',
        careful: ['carbon-monoxide', 'propeller'],
        act: 'start',
        items: ['run.minutes']
      },
      {
        id: 'again',
        text: 'Drained hot, measured, into a jar: clear, or cloud? Again, until the count is through.',
        careful: ['hot'],
        items: ['oil.drained', 'oil.look'],
        branch: [{ seen: 'Cloud after the last', then: 'Water still comes in: gasket or jacket.', job: 'water-in' }]
      },
      {
        id: 'last',
        text: 'The right oil, a new filter, two dips.',
        renew: ['oil filter'],
        items: ['oil.poured', 'oil.dip']
      },
      {
        id: 'dry',
        text: 'Half an hour’s run, warm, to dry what is left; looked at again the next day.',
        careful: ['carbon-monoxide', 'propeller'],
        act: 'start',
        wait: a.four ? 720 : 60,
        items: ['run.longRun']
      }
    ];
  }
};
