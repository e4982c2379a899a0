import { cylindersOf, type Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { cranksWeakly } from '../stations/plugs/weak-cranking.ts';
import { isAfter, latestAt } from '../units/instant.ts';
import { groundAsked, groundUntried, pointsDone } from '../stations/spark/analyse.ts';
import { isSlow, sparkWork } from '../stations/spark/measure.ts';
import { timingFacts } from '../stations/spark/measured.ts';
import { accusedParts } from '../stations/spark/accused.ts';
import { onPlug, ownPartsTried } from '../stations/spark/own-parts.ts';
import { isolation, packUntried, pastPlug } from '../stations/spark/isolation.ts';
import { sparkSeen } from '../stations/spark/seen.ts';
import { windingRows } from '../stations/spark/windings.ts';
import { asked, at, job, look, repeat, trial, type Asks, type AskRule } from './ask.ts';
import { underLoad } from './asks-cranking.ts';
import { figures, sparkSeenAsks, windingAsks } from './asks-spark-seen.ts';

const several = (c: Context): boolean => cylindersOf(c).length > 1;

const spark = (how: string, minutes = 3): AskRule =>
  repeat(`Spark again${how}`, 'spark', minutes, { items: ['spark.result'] });
/** Cranked slowly at two looks at the same cylinder, with nothing done to starter or battery since: a third would be as slow. */
const slowTwice = (c: Context): boolean => {
  const mended = latestAt([...c.renewed('plugs.starterCircuit'), ...c.renewed('plugs.volts')].map((at) => ({ at })));
  return cylindersOf(c).some(
    (cylinder) =>
      c.record.all('spark.result', { cylinder }).filter((r) => isSlow(r) && isAfter(r.at, mended)).length > 1
  );
};
const coilLook = look(
  (c, f) => `Look at ${onPlug(c) ? 'coil and connector' : 'lead, cap and coil'}${at(f)}; arcs in the dark`,
  ['spark.leadLook', 'spark.coilLook', 'spark.stray'],
  2
);
/** All the cylinders of one bank: what feeds the bank comes before any single coil. */
const wholeBank = (f: Finding): boolean => (f.values as { shared?: string } | undefined)?.shared === 'bank';
/** The search is of what is dead: one that is weak beside it has trials of its own. */
const isolate = trial(isolation, {
  station: 'spark',
  needs: 'crank',
  open: (c, f) =>
    (f.cylinder === undefined || sparkSeen(c).some((s) => s.cylinder === f.cylinder && s.result === 'none')) &&
    isolation(c)?.next !== undefined
});
/** Of a single what it has to itself is looked at before a good one is put in its place. */
const lookBeforeSwap: AskRule = {
  ...coilLook,
  open: (c, f) => {
    const next = isolation(c)?.next?.item;
    return (next === 'spark.leadSwap' || next === 'spark.coilSwap') && coilLook.open(c, f);
  }
};
const guilty = (c: Context, f: Finding): boolean => accusedParts(c).some((a) => a.cylinder === f.cylinder && !a.doubt);
const swaps: readonly AskRule[] = (
  [
    coilLook,
    {
      ...look((_, f) => `Its lead against a bolt${at(f)}: does it spark?`, ['spark.result'], 2, {
        needs: 'crank',
        conditions: { path: 'bolt' }
      }),
      open: (c, f) =>
        !onPlug(c) &&
        !c.record
          .all('spark.result', f.cylinder === undefined ? {} : { cylinder: f.cylinder })
          .some((r) => r.conditions?.path === 'bolt')
    },
    isolate,
    {
      ...look((_, f) => `Swap its plug with a good one${at(f)}`, ['spark.plugSwap'], 3, {
        needs: 'crank',
        open: (c, f) =>
          !sparkSeen(c).some((s) => s.cylinder === f.cylinder && pastPlug(s)) && !asked(c, 'spark.plugSwap')
      }),
      only: ['fault', 'watch']
    }
  ] as readonly AskRule[]
).map((r) => ({
  ...r,
  // Found guilty by a trial: it is renewed, and nothing more is tried for it.
  open: (c, f) => !guilty(c, f) && (several(c) || r === isolate || r === coilLook) && r.open(c, f)
}));

/** Weak, with nothing dead beside it, and nothing found guilty yet. */
const poorOfSeveral = (c: Context): boolean =>
  several(c) && !sparkSeen(c).some((s) => s.result === 'none') && !accusedParts(c).length;
/** One by one, the cheap one first: what the fault moves with is the part, and nothing else is bought. */
const oneByOne: readonly AskRule[] = [
  {
    ...look((_, f) => `Swap its lead with a good one${at(f)}`, ['spark.leadSwap'], 5, { needs: 'crank' }),
    open: (c, f) => poorOfSeveral(c) && !onPlug(c) && !asked(c, 'spark.leadSwap') && !ownPartsTried(c, f.cylinder)
  },
  {
    ...look((_, f) => `Swap its coil with a good one${at(f)}`, ['spark.coilSwap'], 10, { needs: 'crank' }),
    open: (c, f) => poorOfSeveral(c) && !asked(c, 'spark.coilSwap') && !ownPartsTried(c, f.cylinder)
  },
  {
    ...look(
      (_, f) => `Trigger or sensor${at(f)}, against the manual and a good one`,
      ['spark.trigger', 'spark.triggerTest'],
      20
    ),
    open: (c, f) =>
      poorOfSeveral(c) &&
      ownPartsTried(c, f.cylinder) &&
      c.survey.engine.profile.ignition !== 'points' &&
      !asked(c, 'spark.triggerTest') &&
      !asked(c, 'spark.trigger')
  },
  {
    ...look('A known good power pack or control unit on it: does it get stronger?', ['spark.packSwap'], 30, {
      needs: 'crank'
    }),
    open: (c, f) =>
      poorOfSeveral(c) &&
      ownPartsTried(c, f.cylinder) &&
      c.survey.engine.profile.ignition !== 'points' &&
      !asked(c, 'spark.packSwap')
  }
];

/** Weak at one cylinder: what the eye finds, the points where it has them, then a swap. */
const pointsLook: AskRule = {
  ...look((_, f) => `Look at the points${at(f)}: clean, pitted, oily`, ['spark.pointsLook', 'spark.pointsOhms'], 10),
  open: (c, f) =>
    c.survey.engine.profile.ignition === 'points' &&
    !pointsDone(c) &&
    !asked(c, 'spark.pointsLook', f.cylinder) &&
    !asked(c, 'spark.pointsClean')
};
/** Points that were seen to be bad are cleaned before a lead is pulled for what they may do. */
const badPoints: AskRule = job('points', {
  only: ['fault', 'watch'],
  open: (c, f) =>
    timingFacts(c).some((x) => x.kind === 'points' && (f.cylinder === undefined || x.cylinder === f.cylinder)) &&
    job('points').open(c, f)
});
/** Whether a poor ground weakens it is told in minutes, before anything is cleaned for it. */
const brightMetal: AskRule = look('Tester on bright metal: does it get stronger?', ['spark.groundWire'], 3, {
  needs: 'crank'
});
/** A lone cylinder has no neighbour that sparks: what cylinders share is as suspect as what is its own. */
const alone = (r: AskRule): AskRule => ({ ...r, open: (c, f) => !several(c) && r.open(c, f) });
const condenser: AskRule = look('A known good condenser: does it get stronger?', ['spark.condenserSwap'], 20, {
  needs: 'crank',
  open: (c) => c.survey.engine.profile.ignition === 'points' && !asked(c, 'spark.condenserSwap') && !pointsDone(c)
});
const chargeCoil: AskRule = look('Charge coil: resistance and peak volts', ['spark.charge', 'spark.chargeTest'], 20, {
  open: (c) => c.survey.engine.profile.ignition === 'cdi' && !asked(c, 'spark.charge') && !asked(c, 'spark.chargeTest')
});
const weak: readonly AskRule[] = [
  badPoints,
  swaps[0]!,
  pointsLook,
  alone({ ...brightMetal, open: (c, f) => !groundAsked(c) && brightMetal.open(c, f) }),
  ...[condenser, chargeCoil].map(alone),
  ...swaps.slice(1),
  ...oneByOne
];

/** Work was done since a cylinder was looked at: what was seen there is how it was, and the same look comes before any other. */
const workedAt = (c: Context, f: Finding, work: readonly string[]): boolean => {
  const seen = latestAt(c.record.all('spark.result', f.cylinder === undefined ? {} : { cylinder: f.cylinder }));
  return work.some((at) => isAfter(at, seen));
};
/** Its plug took the fault along: the plugs that were renewed for that are proved by the spark themselves. */
const plugAccused = (c: Context, f: Finding): boolean =>
  c.record.all('spark.plugSwap').some((r) => r.value === 'moves' && (r.cylinder ?? f.cylinder) === f.cylinder);
const asItIsNow = (list: readonly AskRule[]): readonly AskRule[] => [
  {
    ...repeat((_, f) => `Spark again${at(f)}, after the work`, 'spark', 2, { items: ['spark.result'] }),
    // Work that is proved by the spark asks for that itself.
    open: (c, f) =>
      workedAt(c, f, sparkWork(c)) &&
      !workedAt(c, f, c.worked('spark')) &&
      !(plugAccused(c, f) && workedAt(c, f, c.renewed('spark.plugSwap'))) &&
      !cranksWeakly(c)
  },
  ...list.map((r): AskRule => ({ ...r, open: (c, f) => !workedAt(c, f, sparkWork(c)) && r.open(c, f) }))
];

/** A plug or a wire was mended since it was looked at: whether it sparks now comes before a common part is looked for. */
const mendedElsewhere = (c: Context, f: Finding): boolean =>
  workedAt(c, f, [...c.worked('plugs'), ...c.touched('look.wiring')]) && !workedAt(c, f, c.worked('spark'));
const afterMending = (...list: readonly AskRule[]): readonly AskRule[] => [
  {
    ...repeat('Spark again, after the work', 'spark', 3, { items: ['spark.result'] }),
    open: (c, f) => mendedElsewhere(c, f) && !cranksWeakly(c)
  },
  ...list.map((r): AskRule => ({ ...r, open: (c, f) => !mendedElsewhere(c, f) && r.open(c, f) }))
];

/** The work that a part found at fault asks for. */
const partJobs = {
  stop: 'stop-circuit',
  fuse: 'wiring',
  ground: 'ground',
  plug: 'plugs',
  lead: 'lead',
  points: 'points',
  condenser: 'points',
  coil: 'coil',
  key: 'flywheel-key',
  charge: 'coil',
  trigger: 'coil',
  pack: 'spark-common'
} as const;

/** Outside the manual, and nobody looked whether it sparks: that comes before anything is bought. */
const sparksAtAll = look('Spark at every cylinder, through the tester', ['spark.result'], 6, {
  needs: 'crank',
  only: ['cannot-tell']
});

/** Dear, and only left over: a known good one proves it before it is bought. */
const knownGood = look('A known good power pack or control unit on it: spark?', ['spark.packSwap'], 30, {
  needs: 'crank',
  open: packUntried
});

/** A coil at this temperature has run, K (M: 40 °C). */
const WARM = 313;

/** A coil that dies warm is told by two readings of one winding, cold and warm; either alone says nothing of that. */
export const coldAndWarm: AskRule = {
  ...look('Coil resistance, cold and warm', ['spark.primary'], 10),
  title: (c) => {
    const taken = c.record.all('spark.primary').flatMap((r) => r.conditions?.temperature ?? []);
    if (!asked(c, 'spark.primary')) return 'Coil resistance, cold and warm';
    return taken.length && Math.min(...taken) > WARM
      ? 'Coil resistance again, when it has cooled down'
      : 'Coil resistance again, warm, as soon as it dies';
  },
  open: (c) =>
    !windingRows(c).some((w) => w.warmOverCold !== undefined) && c.record.last('spark.primary')?.value !== 'unknown'
};

/** Work was done on the ignition after the last look: that is proved first. */
const workedSince = (c: Context): boolean => {
  const last = latestAt(c.record.all('spark.result'));
  return sparkWork(c).some((at) => isAfter(at, last));
};

/** What spark asks for, in the trade's order. C: common practice. */
export const sparkAsks: Asks = {
  'spark.lanyard': [spark(': lanyard in, switch on run', 2)],
  // Slow on a charged battery as well: it is the starter, its cables or the engine, and not the spark.
  'spark.slow': [
    { ...spark(', plugs out, on a charged battery'), open: (c) => !slowTwice(c) && !cranksWeakly(c) },
    underLoad
  ],
  'spark.fails-warm': [
    { ...coldAndWarm, open: (c, f) => coldAndWarm.open(c, f) && !workedSince(c) },
    {
      ...look((_, f) => `Swap its coil with a good one${at(f)}, while it is hot`, ['spark.coilSwap'], 15, {
        needs: 'crank'
      }),
      open: (c, f) => several(c) && !asked(c, 'spark.coilSwap', f.cylinder) && !workedSince(c)
    },
    look((_, f) => `Spark${at(f)} again, warm from a run`, ['spark.result'], 5, {
      needs: 'crank',
      late: 'release',
      only: ['watch'],
      conditions: { engine: 'warm' },
      open: () => true
    })
  ],
  'spark.fails-warm-all': [
    look('Charge coil: resistance and peak volts, cold and warm', ['spark.charge', 'spark.chargeTest'], 20, {
      open: (c) => c.survey.engine.profile.ignition === 'cdi' && !asked(c, 'spark.charge')
    }),
    look('Trigger or sensor, cold and warm', ['spark.trigger', 'spark.triggerTest'], 20, {
      open: (c) => c.survey.engine.profile.ignition !== 'points' && !asked(c, 'spark.trigger')
    }),
    look('Condenser: a known good one, while it is hot', ['spark.condenserSwap'], 20, {
      open: (c) => c.survey.engine.profile.ignition === 'points' && !asked(c, 'spark.condenserSwap')
    })
  ],
  'spark.sun': [spark(', in the shade', 2)],
  'spark.bolt-only': [spark(', through the tester', 3)],
  'spark.stop': [
    { ...spark(': lanyard in, switch on run', 2), items: ['spark.lanyard', 'spark.result'], only: ['cannot-tell'] },
    job('stop-circuit', { only: ['fault'] })
  ],
  'spark.all': [lookBeforeSwap, ...afterMending(isolate, job('spark-common'))],
  ...Object.fromEntries(
    Object.entries(partJobs).flatMap(([part, id]) => [
      [`spark.part-${part}`, [sparksAtAll, knownGood, ...(figures[part] ?? []), job(id, { only: ['fault'] })]],
      [`spark.own-${part}`, [sparksAtAll, knownGood, job(id, { only: ['fault'] })]]
    ])
  ),
  'spark.pair': [
    {
      ...look('Connectors and wires of that bank', ['look.wiring'], 3),
      open: (c, f) => wholeBank(f) && !asked(c, 'look.wiring')
    },
    { ...coilLook, open: (c, f) => !wholeBank(f) && coilLook.open(c, f) },
    isolate
  ],
  'spark.timing': [
    look('Flywheel mark against the crank', ['spark.keyLook'], 5, { only: ['watch'] }),
    repeat('Timing at idle again, the new key in', 'spark', 10, {
      items: ['spark.timing'],
      needs: 'start',
      only: ['cannot-tell'],
      open: (_, f) => (f.values as { through?: string } | undefined)?.through === 'renewed'
    })
  ],
  'spark.ground': asItIsNow([
    { ...brightMetal, open: (c, f) => groundUntried(c) && brightMetal.open(c, f) },
    job('ground')
  ]),
  'spark.none': asItIsNow([badPoints, ...swaps]),
  'spark.weak': asItIsNow(weak),
  // Good by the eye, and short by the gap: as weak as one that looks it.
  'spark.gap': asItIsNow(weak),
  'spark.weak-several': asItIsNow([brightMetal]),
  'spark.weak-ground': [job('ground')],
  'spark.weak-all': [
    {
      ...spark(', in the shade', 2),
      open: (_, f) => !(f.values as { shade?: boolean } | undefined)?.shade
    },
    { ...pointsLook, title: 'Look at the points: clean, pitted, oily' },
    brightMetal,
    chargeCoil
  ],
  'spark.explained': (['plug', 'lead', 'coil'] as const).map((part) => {
    const id = part === 'plug' ? 'plugs' : part;
    return job(id, { open: (c, f) => (f.values as { part?: string }).part === part && job(id).open(c, f) });
  }),
  ...sparkSeenAsks,
  'spark.stray-lead': [job('lead')],
  'spark.stray-cap': [job('lead')],
  'spark.unsteady': [repeat('Spark again, watched for a minute', 'spark', 3, { items: ['spark.steady'] })],
  ...windingAsks,
  'spark.hot-primary': [
    look((_, f) => `Swap its coil with a good one${at(f)}, while it is hot`, ['spark.coilSwap'], 15, {
      needs: 'crank',
      only: ['cannot-tell']
    })
  ],
  'spark.points': [job('points')],
  'spark.points-gap': [job('points')]
};
