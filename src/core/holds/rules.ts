import { drowned } from '../record/drowned.ts';
import type { Context } from '../findings/context.ts';
import { cylindersSaid } from '../findings/context.ts';
import { sources } from '../stations/cooling/source.ts';
import { fuelAge, fuelCleared, watered } from '../stations/fuel/age.ts';
import { caseDangers } from '../stations/gear/case-state.ts';
import { drainedShare, FAR_UNDER, oilLowEver, washersFirst, waterCured, waterEver } from '../stations/gear/water.ts';
import { dips } from '../stations/oil/position.ts';
import { smooth, turning } from '../stations/turn/analyse.ts';
import { oilShutIn, plugsAt, waterComes, waterIn } from '../stations/turn/plugs-out.ts';
import { isAfter } from '../units/instant.ts';
import { pistonDepths } from '../stations/turn/depths.ts';
import { school } from '../house-rules/rules.ts';
import type { HoldRule, Need } from './hold.ts';
import { runTrouble, unexplained } from './run-trouble.ts';

const fourStroke = (c: Context): boolean => c.survey.engine.profile.strokes === 'four';
const smoothTurns = (c: Context): number => turning(c).smoothSince;

const fuelNeeds = (c: Context): Need[] => {
  const { open } = fuelCleared(c);
  const fresh = (['tank', 'line', 'bowl'] as const).some((k) => c.record.value(`fuel.${k}`) === 'fresh');
  return [
    {
      text: open.length ? `${open.join(', ')}: drained or not fitted` : 'tank, line and bowl drained',
      done: open.length === 0,
      station: 'fuel'
    },
    { text: 'fresh fuel recorded', done: fresh, station: 'fuel' }
  ];
};

/** Turned smoothly with the plugs out: that they went back in later takes nothing away. */
const turnedOpen = (c: Context): boolean =>
  turning(c).turns.some((t) => smooth.has(t.result) && plugsAt(c, t.at) === 'out') && smoothTurns(c) >= 1;

/** By the house's rule it may be spun with its old oil, but not started on it. */
const spunFirst = (c: Context): boolean =>
  drowned(c) && school(c.rules, 'drownedSpin') === 'before' && c.record.value('oil.sump') !== 'drained';

/** Passes of water-displacing oil until nothing but oil comes. */
const dried = (c: Context): boolean =>
  c.record.value('turn.dried') === 'yes' || c.record.last('turn.pass')?.value === 'clear';

const caseWords = {
  cracked: {
    because: 'The case may be cracked: its oil goes out and water in.',
    need: 'case test held at every stage'
  },
  pressure: {
    because: 'The case stands under test pressure: turning it blows a seal.',
    need: 'pressure let off, the fitting out'
  },
  empty: {
    because: 'The gear case is drained: gears and bearings would run dry.',
    need: 'refilled, for a stand run or for service'
  }
} as const;

/** Drained, and neither poured nor dipped since. */
function sumpEmpty(c: Context): boolean {
  const drained = c.record.all('oil.drained').findLast((r) => r.value !== 'unknown');
  if (!drained) return false;
  const since = (['oil.poured', 'oil.dip', 'oil.dipAt'] as const).some((what) =>
    c.record.all(what).some((r) => r.value !== 'unknown' && r.value !== 'none' && isAfter(r.at, drained.at))
  );
  return !since;
}

/** The holds of the trade, most dangerous first. */
export const holdRules: readonly HoldRule[] = [
  {
    id: 'drowned-running',
    title: 'Drowned while running: no spin at all',
    blocks: ['crank', 'start', 'release'],
    raised: (c) =>
      drowned(c) && c.survey.engine.history.runningWhenSunk === 'yes'
        ? 'A rod bent by water passes a compression test and then comes through the side.'
        : undefined,
    needs: (c) => {
      const depths = pistonDepths(c);
      return [
        { text: 'two slow, smooth hand turns recorded', done: smoothTurns(c) >= 2, station: 'turn' },
        depths.low.length
          ? {
              text: `piston ${depths.low.join(', ')} stands low: this hold does not lift, it goes to a specialist`,
              done: false,
              never: true as const
            }
          : { text: 'every piston’s depth at top recorded and agreeing', done: depths.agree === true, station: 'turn' }
      ];
    }
  },
  {
    id: 'drowned',
    title: 'Drowned: no cranking with plugs in, no start',
    blocks: ['crank', 'start', 'release'],
    raised: (c) => (drowned(c) ? 'Starting a drowned engine first is what kills it.' : undefined),
    needs: (c) => [
      { text: 'plugs out', done: c.record.value('turn.plugs') === 'out' || turnedOpen(c), station: 'turn' },
      { text: 'turned by hand, smooth', done: smoothTurns(c) >= 1, station: 'turn' },
      {
        text: 'no more water from the plug holes',
        done: ['none', 'oil'].includes(String(c.record.value('turn.water'))),
        station: 'turn'
      },
      ...(!fourStroke(c)
        ? [{ text: 'water displaced with oil until clear', done: dried(c), station: 'turn' as const }]
        : school(c.rules, 'drownedSpin') === 'after'
          ? [
              {
                text: 'sump drained and changed before it spins',
                done: c.record.value('oil.sump') === 'drained',
                station: 'oil' as const
              }
            ]
          : []),
      ...fuelNeeds(c)
    ]
  },
  {
    id: 'locked',
    title: 'Locked, gritty or noisy: no cranking',
    blocks: ['crank', 'start', 'release'],
    raised: (c) => {
      const t = turning(c);
      const feel = c.record.last('turn.feel')?.value;
      if (Array.isArray(feel) && feel.some((f) => f === 'noise' || f === 'play'))
        return 'It turned with noise or play.';
      return t.everBad && !t.provedNextDay
        ? `It was ${t.turns.findLast((x) => x.result !== 'bumps' && x.result !== 'free')?.result} when turned by hand.`
        : undefined;
    },
    needs: (c) => {
      const t = turning(c);
      const feel = c.record.last('turn.feel')?.value;
      return [
        {
          text: 'free without grit, noise or play',
          done: t.smoothSince > 0 && !(Array.isArray(feel) && feel.some((f) => f !== 'tight')),
          station: 'turn'
        },
        { text: 'free again the next day: oil hides grit', done: t.provedNextDay, station: 'turn' }
      ];
    }
  },
  {
    id: 'assembled',
    title: 'Binds since it was put together: no cranking',
    blocks: ['crank', 'start', 'release'],
    raised: (c) =>
      c.record.value('turn.assembled') === 'binds' ? 'What binds by hand breaks under the starter.' : undefined,
    needs: () => [{ text: 'taken apart again, and turned by hand as easily as before', done: false, station: 'turn' }]
  },
  {
    id: 'liquid',
    title: 'Water in a cylinder: no cranking with it inside',
    blocks: ['crank', 'start', 'release'],
    raised: (c) => {
      if (drowned(c)) return undefined;
      const wet = waterIn(c);
      if (!wet.length && !waterComes(c)) return undefined;
      return `${wet.length ? `There is water in ${cylindersSaid(wet)}` : 'Water still comes out of the plug holes'}: it does not compress, and bends the rod.`;
    },
    needs: (c) => [
      {
        text: 'plugs out, turned by hand with the holes lowest, and every hole looked into and dry',
        done: waterIn(c).length === 0 && !waterComes(c),
        station: 'plugs'
      }
    ]
  },
  {
    id: 'bore-oil',
    title: 'Oil in the bores with the plugs in: no cranking',
    blocks: ['crank', 'start'],
    raised: (c) =>
      oilShutIn(c) ? 'Oil does not compress: what was put into the bores must come out first.' : undefined,
    needs: () => [{ text: 'plugs out, turned by hand until no more oil comes', done: false, station: 'turn' }]
  },
  {
    id: 'belt',
    title: 'Timing belt suspect: no cranking',
    blocks: ['crank', 'start', 'release'],
    raised: (c) => {
      const { profile } = c.survey.engine;
      const belt = c.record.value('turn.belt');
      return belt && belt !== 'sound' && belt !== 'renewed' && profile.interference !== 'no'
        ? 'If it slips, pistons meet valves.'
        : undefined;
    },
    needs: () => [{ text: 'belt renewed, turned two turns by hand, marks in line', done: false, station: 'turn' }]
  },
  {
    id: 'water',
    title: 'No cooling water: no start of any length',
    blocks: ['start'],
    raised: (c) => {
      const source = c.record.value('cooling.source');
      if (source && sources[source].start) return undefined;
      return source
        ? `${source === 'port' ? 'A hose port leaves the pump dry' : 'No water is ready'}; a dry impeller fails in seconds.`
        : 'No source of cooling water is recorded; a dry impeller fails in seconds.';
    },
    needs: () => [{ text: 'muffs, tank or afloat recorded as the water for running', done: false, station: 'cooling' }],
    standing: (c) => c.record.value('cooling.source') === undefined
  },
  {
    id: 'fuel',
    title: 'Old or watered fuel aboard',
    blocks: ['start', 'release'],
    raised: (c) => {
      if (fuelNeeds(c).every((n) => n.done)) return undefined;
      const jar = c.record.value('fuel.jar');
      if (watered(c)) return 'There is water in the fuel.';
      if (jar === 'dark') return 'The fuel has turned to varnish.';
      return c.record.touched('fuel') && fuelAge(c).verdict === 'drain'
        ? 'The fuel is past the age at which it is drained.'
        : undefined;
    },
    needs: fuelNeeds
  },
  {
    id: 'oil',
    title: 'Engine oil out of range',
    blocks: ['start', 'release'],
    raised: (c) => {
      if (!fourStroke(c)) return undefined;
      if (c.record.value('oil.look') === 'milky' && c.record.value('oil.sump') !== 'drained')
        return 'The engine oil is milky.';
      const d = dips(c);
      if (sumpEmpty(c)) return 'The sump is drained, and nothing was poured in since.';
      if (spunFirst(c)) return 'The oil has not been changed since the water.';
      if (d.useless === 'tilted') return 'It was not level when it was dipped.';
      if (d.useless === 'early') return 'It was dipped before the oil had settled.';
      if (d.position === 'between') return undefined;
      return d.last.length ? 'No two dips agree between the marks.' : 'No dip is recorded.';
    },
    needs: (c) => [
      ...(spunFirst(c) ? [{ text: 'oil changed since the water', done: false, station: 'oil' as const }] : []),
      {
        text: 'two agreeing dips between the marks, engine level',
        done: dips(c).position === 'between',
        station: 'oil'
      }
    ],
    standing: (c) =>
      !spunFirst(c) &&
      !sumpEmpty(c) &&
      dips(c).last.length === 0 &&
      dips(c).useless === undefined &&
      (c.record.value('oil.look') !== 'milky' || c.record.value('oil.sump') === 'drained')
  },
  {
    id: 'gear-case',
    title: 'Gear case empty, cracked or under pressure',
    blocks: ['start', 'gear', 'release'],
    raised: (c) => caseDangers(c).map((d) => caseWords[d].because)[0],
    needs: (c) => caseDangers(c).map((d) => ({ text: caseWords[d].need, done: false, station: 'gear' }))
  },
  {
    id: 'gear-chips',
    title: 'Metal in the gear case',
    blocks: ['gear', 'release'],
    raised: (c) => {
      const m = c.record.value('gear.magnet');
      return (m === 'slivers' || m === 'pieces') && c.record.value('gear.explained') !== 'yes'
        ? `${m === 'pieces' ? 'Pieces' : 'Slivers'} on the magnet.`
        : undefined;
    },
    needs: () => [{ text: 'case opened and the metal explained', done: false, station: 'gear' }]
  },
  {
    id: 'gear-water',
    title: 'Gear oil: water or low',
    blocks: ['gear', 'release'],
    raised: (c) => {
      if (waterEver(c)) return waterCured(c) ? undefined : 'There is, or was, water in the gear oil.';
      if (!oilLowEver(c) || waterCured(c)) return undefined;
      const share = drainedShare(c);
      return share === undefined || share >= FAR_UNDER
        ? 'There is, or was, little or no oil in the case: what is missing went somewhere.'
        : `Only ${Math.round(100 * share)} % of its oil was in the case: what is missing went somewhere.`;
    },
    needs: (c) => {
      const refill = c.record.value('gear.refill');
      return [
        {
          text: 'refilled for a stand run, out of gear',
          done: refill === 'stand' || refill === 'service',
          station: 'gear'
        },
        {
          text: washersFirst(c)
            ? 'fresh washers, refilled for service, and clean and full at a later look'
            : 'resealed and case-tested, every stage of it, then refilled for service',
          done: waterCured(c),
          station: 'gear'
        }
      ];
    }
  },
  {
    id: 'run',
    title: 'First run stopped by lamp, stream or heat',
    blocks: ['release'],
    raised: (c) => runTrouble(c) ?? unexplained(c),
    needs: (c) => [
      { text: 'cause recorded', done: unexplained(c) === undefined, station: 'run' },
      { text: 'the check repeated and good', done: runTrouble(c) === undefined, station: 'run' }
    ]
  },
  {
    id: 'indoors',
    title: 'Indoors: no start',
    blocks: ['start'],
    raised: (c) => {
      const place = c.record.value('safe.place');
      if (place === 'indoors') return 'Carbon monoxide kills within minutes.';
      return place === undefined ? 'Where it will run is not recorded.' : undefined;
    },
    needs: () => [{ text: 'an outdoor place recorded', done: false, station: 'safe' }],
    standing: (c) => c.record.value('safe.place') === undefined
  }
];
