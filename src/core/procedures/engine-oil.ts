import { known } from '../engine/profile.ts';
import { chosenSchool, sayChoice, school, schoolSaid } from '../house-rules/rules.ts';
import { about, figures } from './about.ts';
import { bottlesFor } from './figures.ts';
import type { Figure, Procedure } from './procedure.ts';
import type { Context } from '../findings/context.ts';

/** What is poured first: the fill by the manual, less what is known to have stayed behind. */
function pour(c: Context): Figure | undefined {
  const { profile } = c.survey.engine;
  const renewed = c.record.value('oil.filter') !== 'no';
  const fill =
    (renewed ? known(profile.sumpWithFilter) : undefined) ??
    known(profile.sumpWithoutFilter) ??
    known(profile.sumpWithFilter);
  if (fill === undefined) return undefined;
  const out = about(c).number('oil.drained');
  const first = out !== undefined && out < fill ? out : 0.9 * fill;
  return {
    label: 'Poured first',
    dimension: 'tank',
    value: first,
    low: Math.min(first, 0.9 * fill),
    high: fill,
    because: `The fill is ${about(c).say(fill, 'tank')}${out === undefined ? '; nine tenths, then by the stick' : `; ${about(c).say(out, 'tank')} came out, the rest stayed behind`}.`
  };
}

function bottles(c: Context): Figure | undefined {
  const fill = known(c.survey.engine.profile.sumpWithFilter) ?? known(c.survey.engine.profile.sumpWithoutFilter);
  const bottle = about(c).number('oil.bottle');
  return fill === undefined || bottle === undefined
    ? undefined
    : {
        label: 'Bottles',
        dimension: 'count',
        value: bottlesFor(fill, bottle),
        because: `${about(c).say(fill, 'tank')} from bottles of ${about(c).say(bottle, 'volume')}.`
      };
}

/** Rise on the stick for each litre, from what lies between the marks. */
function rise(c: Context): Figure | undefined {
  const gap = about(c).number('oil.markGap');
  const volume = about(c).number('oil.markVolume');
  return gap === undefined || volume === undefined || volume <= 0
    ? undefined
    : {
        label: 'A tenth of a litre moves the stick by',
        dimension: 'level',
        value: (gap * 1e-4) / volume,
        because: `${about(c).say(volume, 'volume')} lie between the marks.`
      };
}

/** Engine oil change (C: common practice; the maker’s manual stands above it). */
export const engineOil: Procedure = {
  id: 'engine-oil',
  title: 'Engine oil change',
  means: 'Warm, measured out, filter, measured in, two dips.',
  minutes: 30,
  jobs: ['oil-filter', 'oil-level'],
  fits: (e) => e.profile.strokes !== 'two',
  hazards: ['hot', 'waste', 'carbon-monoxide'],
  tools: ['drain pan or suction pump', 'filter wrench', 'measuring jug'],
  parts: ['engine oil', 'oil filter', 'drain washer'],
  wrong: [
    'Old filter’s seal left on the block: two seals, and the oil is out in a minute.',
    'Filled to the mark by the first dip: it is over by what had not run down.',
    'Drained with the engine tilted: the rest stays.'
  ],
  proof: { station: 'oil', text: 'two dips that agree between the marks; filter and plug dry after a run' },
  handOver: 'Fuel or metal in the oil is looked for before the oil is changed again.',
  steps: (c) => {
    const warmDip = school(c.rules, 'oilLevel') === 'warm';
    const suction = school(c.rules, 'oilOut') === 'suction';
    return [
      {
        id: 'warm',
        text: 'Warmed up on water, then off; upright, let the head drain.',
        careful: ['carbon-monoxide', 'hot'],
        act: 'start',
        wait: 10,
        items: ['cooling.source']
      },
      {
        id: 'out',
        text: suction
          ? 'Drawn out by the dipstick tube until it gurgles, pipe moved to the corners; measured.'
          : 'Drained upright by the plug until it drips; measured.',
        because: `${schoolSaid(c.rules, 'oilOut')}. What came out is written down: more than went in is fuel, less is burnt or lost.`,
        careful: ['hot', 'waste'],
        wait: suction ? 5 : 10,
        items: ['oil.look', 'oil.drained'],
        branch: [{ seen: 'Cream or water', then: 'Where from, before fresh oil goes in.', job: 'water-in' }]
      },
      {
        id: 'filter',
        text: `Filter off, its old seal with it, seat wiped; the new one oiled on its seal, by hand to contact, then as it says on it, else ${sayChoice(chosenSchool(c.rules, 'oilFilter'))}.`,
        careful: ['hot'],
        renew: ['oil filter'],
        items: ['oil.filter']
      },
      ...(suction
        ? []
        : [
            {
              id: 'plug',
              text: 'Drain plug with a fresh washer.',
              renew: ['drain washer'],
              items: ['oil.washer'] as const,
              torque: ['torque.sump'] as const
            }
          ]),
      {
        id: 'in',
        text: 'Poured in by the cup, each counted.',
        because: 'The first dip after filling misleads: the cups count.',
        ...figures(pour(c), bottles(c), rise(c)),
        items: ['oil.poured']
      },
      {
        id: 'run',
        proves: true,
        text: 'A minute at idle on water: lamp out, filter and plug dry; off.',
        careful: ['carbon-monoxide', 'propeller'],
        act: 'start',
        items: ['run.lamp']
      },
      {
        id: 'dip',
        text: warmDip
          ? 'Warm, upright and level, five minutes after it was stopped: dip until two dips agree; temperature noted.'
          : 'Upright and level, half an hour or cold: dip until two dips agree; temperature noted.',
        because: `${schoolSaid(c.rules, 'oilLevel')}. The manual says which its marks are for.`,
        wait: warmDip ? 5 : 30,
        items: ['oil.dip', 'oil.waited']
      },
      { id: 'hours', text: 'Hours and date on the filter and in the record.', careful: ['waste'] }
    ];
  }
};
