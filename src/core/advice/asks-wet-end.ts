import { cylindersOf, type Context } from '../findings/context.ts';
import { windingRows } from '../stations/spark/windings.ts';
import { lineState } from '../stations/fuel/line.ts';
import { fuelTree, type FuelPart } from '../stations/fuel/symptoms.ts';
import { caseAir, caseResult, caseStages, stageIds, stageTest, turnedAt } from '../stations/gear/case-test.ts';
import { caseEmpty } from '../stations/gear/case-state.ts';
import { FAR_UNDER, drainedShare } from '../stations/gear/water.ts';
import { dips } from '../stations/oil/position.ts';
import { pumpWear } from '../stations/cooling/pump.ts';
import { thermostats } from '../stations/cooling/thermostat.ts';
import { lastSeen } from '../stations/cooling/seen.ts';
import { asked, goOn, job, look, repeat, trial, type Asks, type AskRule } from './ask.ts';

/** Drained and not filled since: what was seen stands, whatever was done to the case meanwhile. */
const drain = look('Drain and measure the gear oil, look at the magnet', ['gear.look', 'gear.drained'], 15, {
  open: (c) => !caseEmpty(c) && !asked(c, 'gear.look') && !asked(c, 'gear.drained')
});
const caseTest = look('Case test, low stage first, shafts turned', ['gear.casePressure', 'gear.pressureTest'], 20);

/** The stage of a case test that comes next, and what is to be done at it. */
function nextStage(c: Context): { title: string; minutes: number } | undefined {
  const { open } = caseResult(c);
  const stage = open[0];
  if (!stage) return undefined;
  const t = stageTest(c, stage);
  const label = caseStages[stage].label.toLowerCase();
  if (!t) return { title: `Case test: the ${label} stage now`, minutes: 10 };
  if (t.verdict === 'hold' || t.verdict === 'begun') {
    const minutes = Math.max(1, Math.ceil(t.holdFor ?? 10));
    return {
      title: `Case test: hold the ${label} stage ${minutes} more ${minutes === 1 ? 'minute' : 'minutes'}`,
      minutes
    };
  }
  if (!turnedAt(c, stage)) return { title: `Case test: turn both shafts at the ${label} stage`, minutes: 2 };
  return { title: `Case test: the ${label} stage again`, minutes: 10 };
}
const stage = goOn(
  (c) => nextStage(c)?.title,
  'gear',
  (c) => nextStage(c)?.minutes ?? 10,
  { open: (c) => caseResult(c).verdict !== 'leaked' }
);
/** A test that was begun; one that nobody began is asked for as a whole. */
const begunStage: AskRule = { ...stage, open: (c) => ['begun', 'said'].includes(String(caseResult(c).verdict)) };

/** What a leak is comes from how far it falls and how much air is in the case. */
const capacity = goOn('Enter the gear case’s oil capacity, from the manual', 'gear', 1, {
  open: (c) =>
    caseAir(c) === undefined && stageIds.some((s) => ['hold', 'held'].includes(String(stageTest(c, s)?.verdict)))
});

const screens = look('Intake screens', ['cooling.screen'], 2);
const outlet = look('Probe the stream outlet and its line', ['cooling.outlet'], 3);
const head = look('Temperature at the head', ['cooling.head', 'run.temperature'], 5, {
  open: (c) => lastSeen(c).head === undefined && !asked(c, 'cooling.head')
});
const pan = look('Thermostat in a pan', ['cooling.thermostatPan', 'cooling.thermostatOpens'], 25);
const panIfFitted: AskRule = {
  ...pan,
  open: (c, f) => c.survey.engine.profile.thermostat !== 'not-fitted' && pan.open(c, f)
};
/** A cause of the heat that is found already: it is mended before anything else is looked for. */
const heatExplained = (c: Context): boolean =>
  c.record.value('cooling.screen') === 'blocked' ||
  c.record.value('cooling.strainer') === 'blocked' ||
  c.record.value('cooling.outlet') === 'shut' ||
  c.record.value('cooling.outlet') === 'blocked' ||
  c.record.value('cooling.tube') === 'leaking' ||
  pumpWear(c).marks.length > 0 ||
  thermostats(c).some((t) => t.is === 'shut' || t.is === 'late');

const pumpOpen = look(
  'Open the water pump',
  ['cooling.set', 'cooling.cracked', 'cooling.missing', 'cooling.housing'],
  40
);
const heat: readonly AskRule[] = (
  [
    screens,
    look('Small strainer under the cowl', ['cooling.strainer'], 2),
    outlet,
    panIfFitted,
    pumpOpen
  ] as readonly AskRule[]
).map((r) => ({ ...r, open: (c, f) => !heatExplained(c) && r.open(c, f) }));

const portable = look('Line vacuum on a portable tank', ['fuel.vacuumPortable', 'fuel.portable'], 8, {
  needs: 'start'
});
const capOpen = look('Line vacuum with the fill cap open', ['fuel.vacuumOpen', 'fuel.vent'], 2);
const jar = look('Fuel into a clear jar', ['fuel.jar'], 4);
const hasBulb = (c: Context): boolean => !['gravity', 'pressurised'].includes(String(c.survey.engine.profile.supply));
/** A part of the line that was found blocked, closed or drawing air: it is mended, and the bulb squeezed again, before the search goes on. */
const lineFault = (c: Context): boolean =>
  lineState(c).some(
    ({ part, condition }) =>
      ['vent', 'pickup', 'hose', 'couplings', 'tap', 'filter'].includes(part.id) &&
      (condition === 'fault' || (condition === 'watch' && part.id !== 'hose'))
  );

/** As long as the search along the line has not found it. */
const notFound = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => fuelTree(c)?.found === undefined && !lineFault(c) && r.open(c, f)
});

const onChokeOnly = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => c.record.value('fuel.chokeOnly') === 'yes' && r.open(c, f)
});

/** As long as no answer has taken the part away that the look is for. */
const whilePossible = (part: FuelPart, r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => (fuelTree(c)?.parts.find((p) => p.id === part)?.state ?? 'open') === 'open' && r.open(c, f)
});

const starved: readonly AskRule[] = [
  whilePossible('empty', look('Look into the tank', ['fuel.level'], 1)),
  whilePossible(
    'vent',
    look('Tank vent', ['fuel.vent'], 1, {
      open: (c, f) => c.survey.engine.profile.supply !== 'pressurised' && look('', ['fuel.vent'], 1).open(c, f)
    })
  ),
  // On choke only it is lean behind the tank: where air gets in, then what is gummed.
  onChokeOnly(look('Hose and couplings, bubbles', ['fuel.hose', 'fuel.couplings'], 3)),
  onChokeOnly(look('Bowl off: gum, jets and passages', ['fuel.bowlLook', 'fuel.jets'], 15)),
  look('Squeeze the bulb', ['fuel.bulb'], 2, { open: (c, f) => hasBulb(c) && look('', ['fuel.bulb'], 2).open(c, f) }),
  look('Squeeze the bulb while it dies', ['fuel.revived'], 5, {
    needs: 'start',
    open: (c, f) => hasBulb(c) && look('', ['fuel.revived'], 2).open(c, f)
  }),
  look('Line vacuum at the pump, at speed', ['fuel.vacuumSpeed'], 8, {
    needs: 'start',
    open: (c, f) => hasBulb(c) && look('', ['fuel.vacuumSpeed'], 2).open(c, f)
  }),
  trial(fuelTree, { station: 'fuel' })
];

const dip = (how: string, kind: 'repeat' | 'continue' = 'repeat'): AskRule =>
  (kind === 'repeat' ? repeat : goOn)(`Dip again${how}`, 'oil', 3);

/** A coil that dies warm is told by two readings of one winding, cold and warm; either alone says nothing of that. */
const coldAndWarm: AskRule = {
  ...look('Coil resistance, cold and warm', ['spark.primary'], 10),
  title: (c) =>
    asked(c, 'spark.primary') ? 'Coil resistance again, warm, as soon as it dies' : 'Coil resistance, cold and warm',
  open: (c) =>
    !windingRows(c).some((w) => w.warmOverCold !== undefined) && c.record.last('spark.primary')?.value !== 'unknown'
};

const stoppedFor = (reasons: readonly string[], r: AskRule): AskRule => ({
  ...r,
  only: ['fault'],
  open: (c, f) => reasons.includes(String(c.record.value('run.reason'))) && !heatExplained(c) && r.open(c, f)
});

/** The work that each part found to starve it asks for. */
const starvedJobs = {
  empty: 'fuel-fill',
  vent: 'fuel-line',
  upstream: 'fuel-line',
  air: 'fuel-line',
  bulb: 'hoses',
  filter: 'fuel-line',
  pump: 'fuel-line',
  needle: 'bowl',
  jet: 'carburettor'
} as const;

/** What gear case, fuel, cooling, engine oil and the run ask for, in the trade's order. C: common practice. */
export const wetEndAsks: Asks = {
  'look.hub': [look('Lower gear plug a crack open', ['gear.first'], 4), drain],
  'look.case': [look('Lower gear plug a crack open', ['gear.first'], 4, { only: ['fault'] })],
  'gear.forecast': [look('Enter the coldest night of the forecast', ['safe.forecast'], 1)],
  'gear.water': [drain, capacity, begunStage, caseTest, job('gear-refill', { only: ['watch'] })],
  'gear.test-open': [capacity, stage],
  'gear.case-low': [
    { ...capacity, only: ['cannot-tell'] },
    { ...stage, only: ['cannot-tell'] }
  ],
  'gear.case-high': [
    { ...capacity, only: ['cannot-tell'] },
    { ...stage, only: ['cannot-tell'] }
  ],
  'gear.case-vacuum': [
    { ...capacity, only: ['cannot-tell'] },
    { ...stage, only: ['cannot-tell'] }
  ],
  'gear.test': [look('Soapy water: where it bubbles', ['gear.caseBubbles'], 5, { only: ['fault'] })],
  'gear.test-seals': [job('reseal', { only: ['fault'] })],
  'gear.test-plugs': [
    goOn('A fresh washer for each gear plug, then the same stage again', 'gear', 15, { only: ['fault'] })
  ],
  'gear.test-housing': [job('crack', { only: ['fault'] })],
  'gear.amount': [
    {
      ...caseTest,
      open: (c, f) => (drainedShare(c) ?? 1) < FAR_UNDER && caseTest.open(c, f),
      only: ['watch', 'fault']
    },
    goOn('Let it drain longer, tilted a little at the end', 'gear', 15, {
      only: ['watch'],
      open: (c) => (drainedShare(c) ?? 1) >= FAR_UNDER && !asked(c, 'gear.refill') && !asked(c, 'gear.casePressure')
    })
  ],
  'gear.metal': [look('Wipe the magnet and name what is on it', ['gear.magnet'], 3), job('metal', { only: ['fault'] })],
  'gear.poured': [goOn('Go on filling from the lowest plug, bubble-free', 'gear', 5, { only: ['cannot-tell'] })],

  'fuel.age': [
    { ...jar, only: ['cannot-tell', 'watch'] },
    job('fuel-drain', { only: ['cannot-tell', 'fault'], late: true })
  ],
  'fuel.jar': [job('fuel-drain', { only: ['fault', 'watch'], late: true })],
  'fuel.level': [job('fuel-fill')],
  'fuel.bulb': (
    [
      look('Tank vent', ['fuel.vent'], 1),
      look('Hose and couplings, bubbles', ['fuel.hose', 'fuel.couplings'], 3),
      look('Pick-up screen and anti-siphon valve', ['fuel.pickup'], 15),
      trial(fuelTree, { station: 'fuel' })
    ] as readonly AskRule[]
  ).map(notFound),
  'fuel.vacuum': [
    repeat('Line vacuum again, at speed', 'fuel', 5, { only: ['cannot-tell'], needs: 'start' }),
    { ...capOpen, only: ['fault'] },
    { ...portable, only: ['fault'] }
  ],
  'fuel.part-vent': [job('fuel-line')],
  'fuel.part-tap': [job('fuel-line')],
  ...Object.fromEntries(
    Object.entries(starvedJobs).map(([part, id]): [string, readonly AskRule[]] => [`fuel.starved-${part}`, [job(id)]])
  ),
  'fuel.dies': starved,

  'cooling.early': [goOn('Look for the stream again at thirty seconds', 'run', 1)],
  'cooling.stream': [
    screens,
    outlet,
    head,
    look('Stream into a timed bucket, beside its sister’s', ['cooling.bucket'], 5),
    { ...pumpOpen, only: ['fault'] }
  ],
  'cooling.outlet': [
    { ...outlet, only: ['cannot-tell'] },
    { ...screens, only: ['cannot-tell'] },
    { ...head, only: ['cannot-tell'] },
    job('outlet', { only: ['fault'] })
  ],
  'cooling.hot': heat,
  'cooling.rising': heat,
  'cooling.thermostat': [
    look('The stamp on the thermostat', ['cooling.thermostatStamp'], 1, { only: ['cannot-tell'] }),
    job('thermostat', { only: ['fault', 'watch'] })
  ],
  'cooling.thermostat-other': [
    look('The other bank’s thermostat in the pan', ['cooling.thermostatPan'], 15, { open: () => true })
  ],
  'cooling.pump': [job('pump', { only: ['fault'] })],
  'cooling.drill': [job('leg-water', { only: ['fault'] })],
  'cooling.tube': [job('leg-water', { only: ['fault'] })],
  'cooling.pieces': [job('pieces')],

  'oil.level': [dip(': upright, level, waited')],
  'oil.early': [dip(', when it has settled')],
  'oil.dip': [
    { ...dip(', until two agree'), only: ['cannot-tell'], open: (c) => dips(c).position !== 'above' },
    { ...look('Smell the stick, see how it runs off', ['oil.smell'], 1), only: ['cannot-tell'] },
    { ...look('How it runs off the stick', ['oil.look'], 1), only: ['cannot-tell'] },
    { ...look('What was poured in at the last change', ['oil.lastFill'], 2), only: ['cannot-tell'] },
    { ...look('Where it stood after that fill', ['oil.lastMark'], 1), only: ['cannot-tell'] },
    { ...look('Draw it off and measure it', ['oil.drained', 'oil.viscosity'], 15), only: ['cannot-tell'] },
    job('oil-level', { only: ['watch', 'fault'] })
  ],
  'oil.thin': [job('oil-level')],
  'oil.smell': [look('How it runs off the stick, between the fingers', ['oil.look'], 1, { only: ['cannot-tell'] })],
  'oil.laboratory': [
    look('The fresh oil’s viscosity, from its data sheet', ['oil.viscosityFresh'], 2, { only: ['cannot-tell'] })
  ],
  'oil.poured': [goOn('Wait, dip twice', 'oil', 5)],
  'oil.milky': [job('sump-water')],

  // One bank hotter: the same spot again, then what that bank has to itself.
  'run.banks': [
    look('Temperatures of both banks again, the same spots', ['run.second'], 3, { needs: 'start' }),
    look('Small strainer under the cowl', ['cooling.strainer'], 2),
    { ...panIfFitted, title: 'Thermostat of that bank in a pan' },
    pumpOpen
  ],
  'run.undercharge': [
    look('Battery and charging leads, main fuse', ['look.wiring'], 5, { only: ['fault'] }),
    job('charging')
  ],
  'run.overcharge': [job('charging')],
  'run.end': [goOn('Say how the run ended, and why', 'run', 1)],
  'run.heat': [...heat.map((r): AskRule => ({ ...r, only: ['fault', 'watch'] }))],
  'run.odd': [repeat('That temperature again, same spot', 'run', 2)],
  'run.charge': [goOn('Volts at the battery at 1500 rpm', 'run', 2)],
  'run.too-fast': [repeat('Run it again at idle, stream and head watched', 'run', 10)],
  'run.lamp': [look('A second thermometer, same spot', ['run.second'], 3), ...heat],
  'run.dies-warm': [coldAndWarm, look('Tank vent', ['fuel.vent'], 1)],
  'run.kicks': [
    look('Flywheel mark against the crank', ['spark.keyLook'], 5),
    look('Timing at idle by the marks', ['spark.timing'], 5)
  ],
  'run.died': starved,
  'run.spits': [
    look('Idle jet and passages', ['fuel.jets', 'fuel.bowlLook'], 20),
    look('Compression, every cylinder', ['compression.pressure'], 10)
  ],
  'run.shakes': [
    look('Spark, every cylinder', ['spark.result'], 6),
    look('Short the cylinders out one by one', ['run.drop'], 5, {
      needs: 'start',
      open: (c, f) => cylindersOf(c).length > 1 && look('', ['run.drop'], 5).open(c, f)
    }),
    look('Propeller', ['look.propeller'], 1),
    look('Mounts and clamp', ['look.mounts'], 1)
  ],
  'run.no-work': [
    look((_, f) => `Spark of cylinder ${f.cylinder}`, ['spark.result'], 2, { needs: 'crank' }),
    look((_, f) => `Compression of cylinder ${f.cylinder}`, ['compression.pressure'], 5, { needs: 'crank' }),
    look((_, f) => `Plug of cylinder ${f.cylinder}: wet or dry, its colour`, ['plugs.read'], 4),
    look('Bowl off: gum, jets and passages', ['fuel.bowlLook', 'fuel.jets'], 15)
  ],
  'run.steam': heat,
  'run.no-water': [screens, outlet, pumpOpen],
  'run.plug-wet': [look('Leak-down, the water jacket watched', ['compression.leakdown'], 12), job('water-in')],
  'run.failed': [
    look('Spark, every cylinder', ['spark.result'], 6),
    look('Plugs out: wet or dry', ['plugs.read'], 8),
    ...starved
  ],
  // What it was stopped for is looked into; written down is what came of that.
  'run.stopped': [
    ...heat.map((r): AskRule => stoppedFor(['temperature', 'lamp'], r)),
    ...[screens, outlet, pumpOpen].map((r): AskRule => stoppedFor(['stream'], r)),
    ...starved.map((r): AskRule => stoppedFor(['fuel'], r)),
    look('Find the cause, write it down', ['run.cause'], 10, { only: ['fault'], last: true })
  ]
};
