import { complaintsOf } from '../stations/said.ts';
import { hasBulb as bulbFitted, isInjected, known } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import { ofThisPart } from '../findings/renewed.ts';
import { isAfter, latestAt } from '../units/instant.ts';
import { watered } from '../stations/fuel/age.ts';
import { lineState } from '../stations/fuel/line.ts';
import { mixtureAsked } from '../stations/fuel/mixture.ts';
import { oilTankAsked } from '../stations/fuel/oil-tank.ts';
import { oilWay } from '../stations/fuel/oil-way.ts';
import { fuelTree, missedSide, type FuelPart } from '../stations/fuel/symptoms.ts';
import { ofAnotherState, ranOnPortable, seenSinceVacuum } from '../stations/fuel/vacuum.ts';
import { hotUntil, runsAgain, sparkWhileHot } from '../stations/run/dies-warm.ts';
import { drained, onceMore } from './asks-fuel-water.ts';
import { injectionAsks } from './asks-injection.ts';
import { airPlace, renewLine, whereAsks } from './asks-fuel-where.ts';
import { asked, job, look, lookEach, repeat, trial, type Asks, type AskRule } from './ask.ts';

export const jar = look('Fuel into a clear jar', ['fuel.jar', 'fuel.jarWater'], 4);
/** What the jar shows has the fuel drained, however old it is. */
const jarIsBad = (c: Context): boolean => watered(c) || c.record.value('fuel.jar') === 'dark';
export const four = (c: Context): boolean => c.survey.engine.profile.strokes === 'four';
export const carburetted = (c: Context): boolean => !isInjected(c.survey.engine.profile);
export const hasBulb = (c: Context): boolean => bulbFitted(c.survey.engine.profile);
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

const bowlAndJets = lookEach(
  (c) => (asked(c, 'fuel.bowlLook') ? 'Jets and passages, each seen through' : 'Bowl off: gum, jets and passages'),
  ['fuel.bowlLook', 'fuel.jets'],
  15
);
/** A bowl without gum clears no jet: only one that is seen through is clear. Gum in it is stripped for, jets and all. */
const bowlOff: AskRule = {
  ...bowlAndJets,
  open: (c, f) => ofThisPart(c, 'fuel.bowlLook') !== 'gummed' && bowlAndJets.open(c, f)
};

/** What was only left over by elimination is looked at where it is, before it is mended. */
const seenAt: Partial<Record<FuelPart, readonly AskRule[]>> = {
  vent: [look('Tank vent', ['fuel.vent'], 1)],
  upstream: [look('Pick-up screen and anti-siphon valve', ['fuel.pickup'], 15)],
  air: [lookEach('Hose and couplings, bubbles', ['fuel.hose', 'fuel.couplings'], 3)],
  filter: [look('Fuel filters', ['fuel.filter'], 5)],
  pump: [look('Pump the fuel pump by hand', ['fuel.pump'], 10)],
  jet: [bowlOff]
};

/** Every trial of the search answered and nothing found: when the last of them was, or it was first said to die after them; undefined before that. */
function nothingFoundSince(c: Context): string | undefined {
  const tree = fuelTree(c);
  if (!tree || tree.next || tree.found) return undefined;
  const said = c.record.all('fuel.dies').find((r) => r.value === 'minutes' || r.value === 'seconds');
  return latestAt([...tree.trials.flatMap((t) => c.record.all(t.item)), ...(said ? [said] : [])]);
}

/** While it will not run and is still hot: cold it sparks again, and the look tells nothing. */
export const sparkWhileDead = (title: string, diedAt: (c: Context) => string | undefined): AskRule =>
  look(title, ['spark.result'], 3, {
    needs: 'crank',
    conditions: { engine: 'warm' },
    by: (c) => {
      const died = diedAt(c);
      return died === undefined ? undefined : Date.parse(hotUntil(died));
    },
    open: (c) => {
      const died = diedAt(c);
      return (
        died !== undefined &&
        !c.past(Date.parse(hotUntil(died))) &&
        !sparkWhileHot(c, died).length &&
        !runsAgain(c, died)
      );
    }
  });
/** An engine that ran so long is warm enough for what fails with heat, minutes (M). */
const WARM_AFTER = 10;
const lastDied = (c: Context): string | undefined =>
  c.record.all('run.outcome').findLast((r) => r.value === 'died')?.at;

/** Parts that another tank and its hose stand in for. */
const BOAT: ReadonlySet<FuelPart> = new Set(['empty', 'vent', 'upstream', 'air', 'bulb']);
/** Where all that is left lies behind that hose it can tell nothing; with nothing left it tells whether a look missed something. */
const onBoat = ({ parts }: NonNullable<ReturnType<typeof fuelTree>>): boolean => {
  const open = parts.filter((p) => p.state === 'open');
  return !open.length || open.some((p) => BOAT.has(p.id));
};

/** Tank and vent are seen in a minute: before whatever else may starve it. */
const tankAndVent: readonly AskRule[] = [
  whilePossible('empty', look('Look into the tank', ['fuel.level'], 1)),
  whilePossible(
    'vent',
    look('Tank vent', ['fuel.vent'], 1, {
      open: (c, f) => c.survey.engine.profile.supply !== 'pressurised' && look('', ['fuel.vent'], 1).open(c, f)
    })
  )
];
const furtherOn: readonly AskRule[] = [
  // On choke only it is lean behind the tank: where air gets in, then what is gummed.
  onChokeOnly(lookEach('Hose and couplings, bubbles', ['fuel.hose', 'fuel.couplings'], 3)),
  onChokeOnly(bowlOff),
  look('Squeeze the bulb', ['fuel.bulb'], 2, { open: (c, f) => hasBulb(c) && look('', ['fuel.bulb'], 2).open(c, f) }),
  look('Squeeze the bulb while it dies', ['fuel.revived'], 5, {
    needs: 'start',
    open: (c, f) => hasBulb(c) && look('', ['fuel.revived'], 2).open(c, f)
  }),
  whilePossible(
    'upstream',
    look('Line vacuum at the pump, at speed', ['fuel.vacuumSpeed'], 8, {
      needs: 'start',
      open: (c, f) => hasBulb(c) && look('', ['fuel.vacuumSpeed'], 2).open(c, f)
    })
  ),
  trial(fuelTree, { station: 'fuel' }),
  // Everything that was asked about is answered and nothing found: another tank and hose, all of it at once.
  look('Run it on a portable tank', ['fuel.portable'], 10, {
    needs: 'start',
    open: (c, f) => {
      const tree = fuelTree(c);
      return (
        hasBulb(c) && !!tree && !tree.next && !tree.found && onBoat(tree) && look('', ['fuel.portable'], 10).open(c, f)
      );
    }
  }),
  // It runs, on its choke, and nothing along the line is left: air gets in behind the carburettor.
  onChokeOnly(
    look('Mist at the intake joints while it idles', ['run.air'], 3, {
      needs: 'start',
      open: (c, f) => nothingFoundSince(c) !== undefined && look('', ['run.air'], 3).open(c, f)
    })
  ),
  // Which it lacks, fuel or spark, is seen while it dies.
  {
    ...repeat('Let it die again, a tester on one lead: fuel or spark?', 'run', 15, { needs: 'start' }),
    // Once: what dies again with everything answered is a question for somebody else. Its spark may have been seen as it died already.
    open: (c) => {
      const at = nothingFoundSince(c);
      const died = lastDied(c);
      const dies = c.record.value('fuel.dies');
      if (died === undefined && dies !== 'minutes' && dies !== 'seconds') return false;
      // That it is fuel was shown, and where it lies.
      if (missedSide(c) || at === undefined || (died !== undefined && sparkWhileHot(c, died).length > 0)) return false;
      return !c.record.all('run.outcome').some((r) => isAfter(r.at, at));
    }
  },
  // It died with the tester on: what that showed is written down, while it is still so.
  sparkWhileDead('Spark at once, while it will not run', (c) => {
    const at = nothingFoundSince(c);
    const died = lastDied(c);
    return at !== undefined && died !== undefined && isAfter(died, at) ? died : undefined;
  }),
  // No trial is left, and some parts are: they are looked at where they are before anybody gives up.
  ...Object.entries(seenAt).flatMap(([part, list]) =>
    list.map((r) =>
      whilePossible(part as FuelPart, { ...r, open: (c, f) => nothingFoundSince(c) !== undefined && r.open(c, f) })
    )
  )
];

export const starved: readonly AskRule[] = [...tankAndVent, ...furtherOn];

/** When it last died hot, and was not started since; nothing where it died too soon for that, or at once. */
function diedHot(c: Context): string | undefined {
  const died = lastDied(c);
  const ran = known(c.record.value('run.minutes'));
  if (died === undefined || c.record.value('fuel.dies') === 'seconds') return undefined;
  return ran === undefined || ran >= WARM_AFTER ? died : undefined;
}
/** Spark for as long as it is dead and hot; where it is said to die warm that comes first, else once tank and vent were seen. */
const sparkDead = sparkWhileDead('Spark at once, while it will not run', diedHot);
export const died: readonly AskRule[] = [
  { ...sparkDead, open: (c, f) => complaintsOf(c).includes('dies-warm') && sparkDead.open(c, f) },
  ...tankAndVent,
  sparkDead,
  ...furtherOn
];

/** The work that each part found to starve it asks for. */
const starvedJobs = {
  empty: 'fuel-fill',
  vent: 'fuel-open',
  upstream: 'pick-up',
  air: 'fuel-line',
  bulb: 'hoses',
  filter: 'fuel-filter',
  pump: 'fuel-pump',
  needle: 'bowl',
  jet: 'carburettor'
} as const;

/** A bulb that stays soft draws air or leaks at its valve: nothing upstream of it is blocked. */
const unlessSoft = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => c.record.value('fuel.bulb') !== 'soft' && r.open(c, f)
});

const hoseAndCouplings = lookEach('Hose and couplings, bubbles', ['fuel.hose', 'fuel.couplings'], 3);
const onlySoft = (r: AskRule): AskRule => ({
  ...r,
  open: (c, f) => c.record.value('fuel.bulb') === 'soft' && r.open(c, f)
});

/** Held back at the pump, and known from another tank on which side: that side is looked at, where its own vacuum was not read. */
const whereOnPortable =
  (ran: 'fine' | 'same') =>
  (r: AskRule): AskRule => ({
    ...r,
    only: ['fault'],
    open: (c, f) => ranOnPortable(c) === ran && !asked(c, 'fuel.vacuumPortable') && r.open(c, f)
  });

/** What the fuel check asks for, in the trade's order. C: common practice. */
export const fuelAsks: Asks = {
  ...whereAsks,
  ...Object.fromEntries(
    Object.entries(starvedJobs).map(([part, id]): [string, readonly AskRule[]] => [
      `fuel.starved-${part}`,
      part === 'air' ? [...seenAt.air!, airPlace, renewLine] : [...(seenAt[part as FuelPart] ?? []), job(id)]
    ])
  ),
  // What is drained for what the jar shows is as old as it likes.
  'fuel.age-unasked': [look('How old the fuel is, by whoever filled it', ['fuel.age'], 3), jar].map((r): AskRule => ({
    ...r,
    open: (c, f) => !jarIsBad(c) && r.open(c, f)
  })),
  'fuel.age': [
    look('How old the fuel is, by whoever filled it', ['fuel.age'], 3, { only: ['cannot-tell'] }),
    { ...jar, only: ['cannot-tell', 'watch'] },
    job('fuel-drain', { only: ['cannot-tell', 'fault'], late: true })
  ],
  'fuel.jar': [job('fuel-doubt', { only: ['watch'] }), job('fuel-drain', { only: ['fault'], late: true })],
  'fuel.left-old': [job('fuel-drain', { late: true })],
  'fuel.age-doubted': [repeat('Look into the tank again: fresh fuel, or the old', 'fuel', 1, { items: ['fuel.tank'] })],
  'fuel.level': [job('fuel-fill')],
  'fuel.needle': [
    repeat('The needle wet with fuel, pumped up again', 'fuel', 3, {
      only: ['cannot-tell'],
      items: ['fuel.needleFrom', 'fuel.needleTo', 'fuel.needleTime']
    }),
    job('bowl', { only: ['fault'] })
  ],
  'fuel.floods': [
    job('bowl', { only: ['fault'] }),
    lookEach('Hose and couplings, every joint wiped and watched', ['fuel.hose', 'fuel.couplings'], 5, {
      only: ['watch']
    }),
    look('Bowl or vapour separator off', ['fuel.bowlLook'], 15, { only: ['watch'] }),
    look('Needle shut under a hand pump: does it hold?', ['fuel.needleFrom', 'fuel.needleTo', 'fuel.needleTime'], 10, {
      only: ['watch']
    })
  ],
  'fuel.bulb': [
    repeat('Squeeze the bulb again, after the work', 'fuel', 2, { items: ['fuel.bulb'], only: ['cannot-tell'] }),
    ...(
      [
        unlessSoft(look('Tank vent', ['fuel.vent'], 1)),
        onlySoft(hoseAndCouplings),
        unlessSoft(look('Pick-up screen and anti-siphon valve', ['fuel.pickup'], 15)),
        trial(fuelTree, { station: 'fuel' }),
        // Sucked flat it lets no air in: what lies upstream comes before its joints.
        unlessSoft(hoseAndCouplings)
      ] as readonly AskRule[]
    ).map((r) => ({ ...notFound(r), only: ['watch', 'fault'] as const }))
  ],
  'fuel.vacuum': [
    repeat('Line vacuum again, at speed', 'fuel', 5, {
      items: ['fuel.vacuumSpeed'],
      only: ['cannot-tell'],
      needs: 'start'
    }),
    ...(
      [
        // By the gauge: that the vent looks open places no vacuum. A run on another tank has told the sides apart without it.
        look('Line vacuum with the fill cap open', ['fuel.vacuumOpen'], 2, {
          only: ['fault'],
          needs: 'start',
          open: (c) =>
            ranOnPortable(c) !== 'same' && (!asked(c, 'fuel.vacuumOpen') || ofAnotherState(c, 'fuel.vacuumOpen'))
        }),
        ...(seenAt.upstream ?? []).map(whereOnPortable('fine')),
        ...[...(seenAt.filter ?? []), ...(seenAt.air ?? [])].map(whereOnPortable('same')),
        look('Line vacuum on a portable tank', ['fuel.vacuumPortable'], 8, {
          only: ['fault'],
          needs: 'start',
          open: (c) => !asked(c, 'fuel.vacuumPortable') || ofAnotherState(c, 'fuel.vacuumPortable')
        })
      ] as readonly AskRule[]
    ).map(notFound)
  ],
  'fuel.vacuum-vent': [job('fuel-open')],
  'fuel.vacuum-tank-side': [job('pick-up')],
  'fuel.vacuum-engine-side': [
    look('Fuel filters', ['fuel.filter'], 5, { open: (c) => !seenSinceVacuum(c, 'fuel.filter') }),
    lookEach('Hose and couplings, bubbles', ['fuel.hose', 'fuel.couplings'], 3),
    job('fuel-filter'),
    job('fuel-line')
  ],
  'fuel.tank-pressure': [job('fuel-line')],
  'fuel.part-bowl-water': drained,
  'fuel.part-separator-water': drained,
  'fuel.part-filter-water': [
    onceMore('Filter once more: clean, and no water in its bowl', ['fuel.filter'], 'fuel.line', 5),
    job('fuel-drain')
  ],
  // Opened in a moment, and everything else along the line is measured after it.
  'fuel.part-vent': [job('fuel-open', { first: true })],
  'fuel.part-tap': [job('fuel-open', { first: true })],
  'fuel.dies': starved,
  ...injectionAsks,
  'fuel.oil-tank': [
    look('Look into the oil tank', ['fuel.oilTank'], 1, {
      only: ['cannot-tell'],
      late: 'start',
      open: (c) => !oilTankAsked(c)
    }),
    job('oil-tank', { only: ['fault', 'watch'] })
  ],
  'fuel.oil-feed': [
    look('Oil injection: whether its oil moves', ['fuel.oilMoves'], 3, {
      only: ['cannot-tell'],
      needs: 'start',
      late: 'release'
    }),
    job('oil-feed', { only: ['fault'] })
  ],
  'fuel.mix': [
    look('Whether it has an oil tank', ['fuel.oilTank'], 1, {
      only: ['cannot-tell'],
      late: 'start',
      open: (c) => oilWay(c) === 'unsaid' && !oilTankAsked(c)
    }),
    look('How much oil is in its fuel, by whoever mixed it', ['fuel.mix', 'fuel.tankOil'], 2, {
      only: ['cannot-tell'],
      late: 'start',
      open: (c) => !mixtureAsked(c) && (oilWay(c) !== 'unsaid' || oilTankAsked(c))
    }),
    job('mix', { only: ['fault'] })
  ]
};
