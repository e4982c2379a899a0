import { cylindersSaid, type Context } from '../findings/context.ts';
import { stillStands } from '../findings/unmended.ts';
import { allItems } from '../stations/items.ts';
import { sources } from '../stations/cooling/source.ts';
import { pumpBroken } from '../stations/cooling/pump.ts';
import { caseResult } from '../stations/gear/case-test.ts';
import { caseDangers, metalOnMagnet, metalSeen } from '../stations/gear/case-state.ts';
import {
  drainedShare,
  FAR_UNDER,
  oilLowEver,
  washersFirst,
  washersTried,
  waterCured,
  waterEver
} from '../stations/gear/water.ts';
import { burntCrowns, type Crown } from '../stations/plugs/crowns.ts';
import { accusedParts } from '../stations/spark/accused.ts';
import { symptoms } from '../stations/run/symptoms.ts';
import { dips } from '../stations/oil/position.ts';
import { pressureLacks } from '../stations/oil/pressure.ts';
import { sumpEmpty } from '../stations/oil/sump.ts';
import { isAfter } from '../units/instant.ts';
import type { HoldRule } from './hold.ts';
import { fourStroke, milkyNow, spunFirst } from './needs.ts';
import { fuelRules } from './fuel-rules.ts';
import { runRules } from './run-rules.ts';

const caseWords = {
  cracked: {
    because: 'The case may be cracked: its oil goes out and water in.',
    need: 'case test held at every stage',
    items: ['gear.casePressure']
  },
  pressure: {
    because: 'The case stands under test pressure: turning it blows a seal.',
    need: 'pressure let off, the fitting out',
    items: ['gear.caseOpen'],
    minutes: 1
  },
  empty: {
    because: 'The gear case was drained and is not full: gears and bearings would run dry.',
    need: 'refilled to the level hole, for a stand run or for service',
    items: ['gear.levelHole', 'gear.refill'],
    job: 'gear-refill'
  }
} as const;

/** The flywheel sits, or may sit, where it does not belong: seen at its mark, or kicked back and its key not looked at since. */
function flywheelOff(c: Context): 'shifted' | 'kicks' | undefined {
  if (accusedParts(c).some((a) => a.part === 'key')) return 'shifted';
  const kicked = symptoms(c).find((s) => s.id === 'kicks');
  const looked = c.record.last('spark.keyLook');
  return kicked && !(looked?.value === 'sound' && isAfter(looked.at, kicked.at)) ? 'kicks' : undefined;
}

/** Burnt by the eye, and not known to hold: tight by one test and burnt by one look is still open. */
const openCrowns = (c: Context): Crown[] => burntCrowns(c).filter((x) => !x.tight || !x.sure);

/** What forbids starting it, running it in gear or giving it back, most dangerous first. */
export const startRules: readonly HoldRule[] = [
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
    needs: () => [
      {
        text: 'muffs, tank or afloat recorded as the water for running',
        done: false,
        station: 'cooling',
        items: ['cooling.source']
      }
    ],
    standing: (c) => c.record.value('cooling.source') === undefined
  },
  {
    id: 'pump',
    title: 'The water pump is known not to pump: no start of any length',
    blocks: ['start'],
    curedBy: ['pump', 'leg-water'],
    raised: (c) => {
      const list = pumpBroken(c);
      return list.length ? `${list.join('. ')}.` : undefined;
    },
    needs: () => [
      {
        text: 'renewed or put together anew, and it pumps in the drill test',
        done: false,
        station: 'cooling',
        items: ['cooling.drill', 'cooling.assembled']
      }
    ]
  },
  ...fuelRules,
  {
    id: 'oil',
    title: 'Engine oil out of range',
    blocks: ['start', 'release'],
    curedBy: ['oil-level', 'oil-changes', 'water-in'],
    raised: (c) => {
      if (!fourStroke(c)) return undefined;
      if (milkyNow(c)) return 'The engine oil is milky.';
      const d = dips(c);
      const empty = sumpEmpty(c);
      if (empty)
        return empty === 'new'
          ? 'A new engine comes without engine oil, and none was poured in.'
          : 'The sump is drained, and nothing was poured in since.';
      if (spunFirst(c)) return 'The oil has not been changed since the water.';
      if (d.useless === 'tilted') return 'It was not level when it was dipped.';
      if (d.useless === 'early') return 'It was dipped before the oil had settled.';
      if (d.position === 'between') return undefined;
      return d.last.length ? 'No two dips agree between the marks.' : 'No dip is recorded.';
    },
    needs: (c) => [
      ...(spunFirst(c)
        ? [
            {
              text: 'oil changed since the water',
              done: false,
              station: 'oil' as const,
              items: ['oil.drained', 'oil.poured'] as const
            }
          ]
        : []),
      {
        text: 'two agreeing dips between the marks, engine level',
        done: dips(c).position === 'between',
        station: 'oil',
        items: ['oil.dip']
      }
    ],
    standing: (c) =>
      !spunFirst(c) && !sumpEmpty(c) && dips(c).last.length === 0 && dips(c).useless === undefined && !milkyNow(c)
  },
  {
    id: 'oil-pressure',
    title: 'Oil pressure low: no start',
    blocks: ['start', 'release'],
    curedBy: ['oil-pump'],
    raised: (c) => (pressureLacks(c) ? 'The gauge showed too little oil pressure: its bearings run dry.' : undefined),
    needs: () => [
      {
        text: 'why it is low found and mended, and the gauge in it at the next start',
        done: false,
        station: 'oil',
        items: ['oil.pressure'],
        job: 'oil-pump'
      }
    ]
  },
  {
    id: 'flywheel',
    title: 'Flywheel out of its place, or it may be',
    blocks: ['start', 'release'],
    curedBy: ['flywheel-key'],
    raised: (c) => {
      const off = flywheelOff(c);
      return off === 'shifted'
        ? 'The flywheel’s mark is shifted: it fires far from where it should, and kicks back.'
        : off && 'It kicked back, and its flywheel key was not looked at since.';
    },
    needs: (c) => [
      {
        text: flywheelOff(c) === 'shifted' ? 'key renewed, the mark where it belongs' : 'the flywheel’s mark looked at',
        done: false,
        station: 'spark',
        items: ['spark.keyLook']
      }
    ]
  },
  {
    id: 'drives',
    title: 'Drives in neutral: no start',
    blocks: ['start', 'release'],
    curedBy: ['structure', 'linkage', 'shift-joint', 'clutch-dog'],
    raised: (c) =>
      stillStands(c, 'turn.neutral', allItems['turn.neutral'], 'drives')
        ? 'It drives the propeller in neutral: boat or stand move off as it starts.'
        : undefined,
    needs: () => [
      { text: 'neutral set, the propeller free in it', done: false, station: 'turn', items: ['turn.neutral'] }
    ]
  },
  {
    id: 'gear-case',
    title: 'Gear case empty, cracked or under pressure',
    blocks: ['start', 'gear', 'release'],
    raised: (c) =>
      caseDangers(c)
        .map((d) => caseWords[d].because)
        .join(' ') || undefined,
    needs: (c) =>
      caseDangers(c).map((d) => {
        const { because: _because, need: text, ...how } = caseWords[d];
        return { text, done: false, station: 'gear', ...how };
      })
  },
  {
    id: 'stand-fill',
    title: 'Gear case filled for the stand only',
    blocks: ['gear', 'release'],
    curedBy: ['gear-refill'],
    raised: (c) =>
      c.record.last('gear.refill')?.value === 'stand' ? 'It was filled for a stand run, out of gear.' : undefined,
    needs: () => [{ text: 'refilled for service', done: false, station: 'gear', items: ['gear.refill'] }]
  },
  {
    id: 'gear-chips',
    title: 'Metal in the gear case',
    blocks: ['gear', 'release'],
    curedBy: ['metal'],
    raised: (c) => {
      const seen = metalOnMagnet(c) ? metalSeen(c) : undefined;
      return (
        seen && `${seen.what === 'pieces' ? 'Pieces' : 'Slivers'} ${seen.gone ? 'were seen on' : 'on'} the magnet.`
      );
    },
    needs: () => [
      { text: 'case opened and the metal explained', done: false, station: 'gear', items: ['gear.explained'] }
    ]
  },
  {
    id: 'crown',
    title: 'A crown seen burnt or holed: no start',
    blocks: ['start', 'release'],
    curedBy: ['overhaul'],
    raised: (c) => {
      const open = openCrowns(c);
      return open.length
        ? `The crown was seen burnt or holed in ${cylindersSaid(open.map((x) => x.cylinder))}: it lets go under load, and takes the bore with it.`
        : undefined;
    },
    needs: (c) =>
      openCrowns(c).map(({ cylinder, tight }) => ({
        text: `cylinder ${cylinder} tight by leak-down and looked into again, or its piston renewed`,
        done: false,
        station: tight ? 'plugs' : 'compression',
        items: [tight ? 'plugs.hole' : 'compression.leakdown']
      }))
  },
  {
    id: 'gear-water',
    title: 'Gear oil: water or low',
    blocks: ['gear', 'release'],
    curedBy: ['case-test', 'reseal', 'gear-refill', 'crack'],
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
          station: 'gear',
          items: ['gear.refill']
        },
        {
          text: washersFirst(c)
            ? washersTried(c)
              ? 'lower gear plug a crack open, after use'
              : 'fresh washers, refilled for service, and clean and full at a later look'
            : 'resealed and case-tested, every stage of it, then refilled for service',
          done: waterCured(c),
          station: 'gear',
          ...(washersTried(c) ? { minutes: 4 } : {}),
          items: washersTried(c)
            ? ['gear.first']
            : washersFirst(c) || caseResult(c).verdict === 'held'
              ? ['gear.refill']
              : ['gear.casePressure']
        }
      ];
    }
  },
  ...runRules,
  {
    id: 'indoors',
    title: 'Indoors: no start',
    blocks: ['start'],
    raised: (c) => {
      const place = c.record.value('safe.place');
      if (place === 'indoors') return 'Carbon monoxide kills within minutes.';
      return place === undefined ? 'Where it will run is not recorded.' : undefined;
    },
    needs: () => [{ text: 'an outdoor place recorded', done: false, station: 'safe', items: ['safe.place'] }],
    standing: (c) => c.record.value('safe.place') === undefined
  }
];
