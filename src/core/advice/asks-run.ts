import { LASHES } from '../stations/compression/lash.ts';
import { dayAfterDrying, drying, nextDayItems } from '../stations/run/dried.ts';
import { heatExplained } from '../stations/cooling/explained.ts';
import { askedAfter } from '../findings/asked-after.ts';
import { muffsTried } from '../stations/cooling/supply.ts';
import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { cylindersOf } from '../findings/context.ts';
import { byTime, isAfter, latestAt, type Instant } from '../units/instant.ts';
import { mendedAfter, RUN_AGAIN } from '../jobs/work.ts';
import { runsOf } from '../stations/run/runs.ts';
import { warmingOf } from '../stations/run/warming.ts';
import { judgedBy } from '../findings/limit.ts';
import { ownLimits } from '../engine/limits.ts';
import { plugAfterRun, plugsAfterRun } from '../findings/plug-after-run.ts';
import { hubSlip } from '../stations/look/hub-slip.ts';
import { noiseOf } from '../stations/run/noise.ts';
import { crankcase, noWorkAsks } from './asks-no-work.ts';
import { untilFound } from './until-found.ts';
import { stopsUnmended, smokesOfItsOil, symptoms, waterInside } from '../stations/run/symptoms.ts';
import type { ItemId } from '../stations/items.ts';
import { fuelTree } from '../stations/fuel/symptoms.ts';
import { goOn, job, look, repeat, type Asks, type AskRule } from './ask.ts';
import { beltLook, shiftRod, twist } from './asks-turn.ts';
import {
  heat,
  heatByHand,
  heatOpened,
  muffs,
  onThatWater,
  outlet,
  pumpAgain,
  pumpOpen,
  screens,
  unlessItWasMuffs
} from './asks-cooling.ts';
import { diesWarm } from './asks-dies-warm.ts';
import { failedAsks } from './asks-failed.ts';
import { dipIfFour, runHeatAsks } from './asks-run-heat.ts';
import { carburetted, died, four, starved } from './asks-fuel.ts';

/** What an injected engine has instead of jets. */
const injection: readonly AskRule[] = [
  look('Fuel rail: pump heard with the key on, then its pressure', ['fuel.railPump', 'fuel.rail'], 10),
  look('Injectors heard, one by one', ['fuel.injectors'], 5, { needs: 'start' })
];
/** While it idles, or at the next run: what draws air answers in seconds. */
const mist = look('Mist at the intake joints while it idles', ['run.air'], 3, { needs: 'start' });
const idleJet = look('Idle jet and passages', ['fuel.jets', 'fuel.bowlLook'], 20);
const jetsIfAny: AskRule = { ...idleJet, open: (c, f) => carburetted(c) && idleJet.open(c, f) };
const lashOfAll = look('Valve lash, cold, every cylinder', LASHES, 20);
const lashIfFour: AskRule = { ...lashOfAll, open: (c, f) => four(c) && lashOfAll.open(c, f) };
const drop = look('Short the cylinders out one by one', ['run.drop'], 5, { needs: 'start' });
/** An engine that starves does so on every cylinder. */
const oneByOne: AskRule = {
  ...drop,
  open: (c, f) => cylindersOf(c).length > 1 && !starves(c) && drop.open(c, f)
};

/** It was stopped and nobody can say how it ran: what its plugs, its cylinders and the figures say without words, before somebody else is asked (C). */
const badlyForAll: readonly AskRule[] = [
  {
    ...look('Plugs out of that run, and read', ['plugs.read'], 8),
    open: (c: Context) => !askedAfter(c, 'plugs.read', c.record.last('run.reason')?.at)
  },
  ...injection,
  jetsIfAny,
  oneByOne,
  look('Line vacuum at the pump, at speed', ['fuel.vacuumSpeed'], 8, { needs: 'start' }),
  look('Timing at idle by the marks', ['spark.timing'], 10, { needs: 'start' })
].map((r): AskRule => ({
  ...r,
  open: (c, f) => c.record.asked('run.idles')?.value === 'unknown' && r.open(c, f)
}));

/** What a run was stopped for is looked into until a cause of it is found, or work was done on it since: then it is run again. */
const stoppedFor = (reasons: readonly string[], r: AskRule): AskRule => ({
  ...r,
  only: ['fault'],
  open: (c, f) => {
    const stop = c.record.last('run.reason');
    const worked = (['cooling', 'fuel'] as const).flatMap((s) => c.worked(s));
    if (!stop || !reasons.includes(String(stop.value)) || heatExplained(c)) return false;
    return !worked.some((at) => isAfter(at, stop.at)) && r.open(c, f);
  }
});

const kickedAt = (c: Context): string | undefined => symptoms(c).find((s) => s.id === 'kicks')?.at;

/** It dies or runs on its choke only, whether or not it is known what starves it. */
const starves = (c: Context): boolean => fuelTree(c) !== undefined;

/** Of the run that showed it: once something was mended, it says nothing before the next. */
const plugAfter: AskRule = {
  ...look('A plug out after the run: water or oil on it?', ['run.plugAfter'], 3),
  open: (c, f) => {
    const ran = latestAt(c.record.all('run.outcome'));
    // Plugs that were read after it have been looked at.
    const read = c.record.all('plugs.read').some((r) => r.value !== 'unknown' && isAfter(r.at, ran));
    return !read && !mendedAfter(c.survey, ran, [RUN_AGAIN]) && look('', ['run.plugAfter'], 3).open(c, f);
  }
};
/** With no water on its plugs it is oil that is looked for, and the same air tells where from. */
const jacketTitle = (c: Context): string =>
  plugAfterRun(c) === 'dry'
    ? 'Leak-down of every cylinder: where its oil comes from, the jacket watched besides'
    : 'Leak-down, the water jacket watched';
/** Water that got in while it ran: a leak-down that was tight before it says nothing of that. With nothing mended since, one is enough. */
const jacket: AskRule = look(jacketTitle, ['compression.leakdown'], 12, {
  open: (c) => {
    const wets = plugsAfterRun(c).filter((r) => r.value === 'wet');
    const smoked = c.record.all('run.smoke').filter((r) => r.value === 'keeps');
    const closed = (at: Instant): boolean => c.renewed('run.plugAfter').some((w) => isAfter(w, at));
    // Any work may end smoke; water that was seen ends with work on its way in.
    const mended = (at: Instant): boolean => (wets.length ? closed(at) : mendedAfter(c.survey, at, [RUN_AGAIN]));
    const first = [...wets, ...smoked].filter((r) => !mended(r.at)).toSorted(byTime)[0]?.at;
    if (first === undefined) return false;
    return !c.record.all('compression.leakdown').some((r) => isAfter(r.at, first) && !mended(r.at));
  }
});
/** So much oil smokes by itself: the mixture is right before anything is opened for smoke. */
const thinned: AskRule = { ...job('mix'), open: (c, f) => !!smokesOfItsOil(c) && job('mix').open(c, f) };
const unlessRich = (r: AskRule): AskRule => ({ ...r, open: (c, f) => !smokesOfItsOil(c) && r.open(c, f) });

/** Work was done on the water after it was stopped for want of it, or for its heat. */
const waterWorkedOn = (c: Context): boolean => {
  const stop = c.record.last('run.reason');
  return stop !== undefined && c.worked('cooling').some((at) => isAfter(at, stop.at));
};
const idleIsFar = (f: Finding): boolean => (f.values as { far?: string } | undefined)?.far !== undefined;
/** Stopped for a noise that nobody placed. */
const whereItSounds: AskRule = look('Say where the noise came from: head, valves, flywheel, leg', ['run.noise'], 2, {
  only: ['fault'],
  open: (c) => {
    const noise = noiseOf(c);
    return !!noise && !noise.place && !c.record.all('run.noise').some((r) => !isAfter(noise.at, r.at));
  }
});
/** Where it comes from could not be told: what costs minutes and may tell it. */
const nobodyHeard: readonly AskRule[] = [
  look('Turned by hand: grit, play, a tight spot', ['turn.result', 'turn.feel'], 2),
  look('Magnet and oil of the gear case: metal?', ['gear.magnet', 'gear.look'], 6)
].map((r) => ({
  ...r,
  only: ['fault'],
  open: (c) => {
    const noise = noiseOf(c);
    if (!noise || noise.place || noise.explained || !c.record.all('run.noise').some((x) => !isAfter(noise.at, x.at)))
      return false;
    return !askedAfter(c, r.items as readonly ItemId[], noise.at);
  }
}));
/** Answers of a run that name no trouble. */
const SHOWS_NOTHING: ReadonlySet<unknown> = new Set(['none', 'dry', 'first', 'unknown', 'not-fitted']);
const SHOWS = ['run.plugAfter', 'run.leaks', 'run.noise', 'run.lamp', 'run.smoke'] as const;
/** Stopped, and what it showed was not said: how it ran tells where to look, and costs a word. */
const howItRan: AskRule = look('Say how it ran before it was stopped', ['run.idles'], 1, {
  only: ['fault'],
  open: (c) => {
    const reason = c.record.value('run.reason');
    if (reason !== undefined && reason !== 'other') return false;
    const began = c.record.all('run.event').findLast((r) => r.value === 'start')?.at;
    // What it showed was seen while it ran, or after it.
    if (symptoms(c).some((s) => isAfter(s.at, began))) return false;
    if (askedAfter(c, 'run.idles', began)) return false;
    // No stream, or a head over its limit, is why.
    const run = runsOf(c).at(-1);
    const hot = judgedBy(c, 'cooling.hot', ownLimits.headHot).value;
    if (run?.streams.at(-1)?.value === 'none' || (run?.hottest?.temperature ?? 0) >= hot) return false;
    // So is a head on its way past it.
    if (run && warmingOf(c, run)?.state === 'will-pass') return false;
    return !SHOWS.some((what) => c.record.all(what).some((r) => isAfter(r.at, began) && !SHOWS_NOTHING.has(r.value)));
  }
});

/** What it was stopped for by one word is told by another, in a word: which it was decides what is looked at. */
const ofWhat = (reason: string, title: string, item: 'run.leaks' | 'run.smoke'): AskRule =>
  look(title, [item], 1, {
    only: ['fault'],
    first: true,
    open: (c) => {
      const stop = c.record.last('run.reason');
      const began = c.record.all('run.event').findLast((r) => r.value === 'start')?.at;
      return stop?.value === reason && !askedAfter(c, item, began);
    }
  });

/** What a run asks for, in the trade's order. C: common practice. */
export const runAsks: Asks = {
  ...runHeatAsks,
  ...noWorkAsks,
  'run.undercharge': [
    look('Battery and charging leads, main fuse', ['look.wiring'], 5, { only: ['fault'] }),
    job('charging')
  ],
  'run.overcharge': [job('charging')],
  'run.stood': [
    repeat('Run it again, watched: it has stood since', 'run', 20, { needs: 'start', items: ['run.outcome'] })
  ],
  'run.reopened': [
    repeat('Run it again, watched: it was worked on since', 'run', 20, {
      needs: 'start',
      items: ['run.event', 'run.outcome'],
      late: 'release'
    })
  ],
  'run.drying': [
    goOn('Drop the oil while it is hot from that run, fresh oil in, dipped twice', 'oil', 30, {
      items: ['oil.drained', 'oil.poured'],
      open: (c) => drying(c) === 'oil'
    }),
    goOn('A long warm run, half an hour or more, watched to the end', 'run', 40, {
      items: ['run.longRun'],
      needs: 'start',
      open: (c) => drying(c) === 'long'
    }),
    goOn('Look at it again the next day: turned by hand, its oil or its plugs', 'turn', 15, {
      items: nextDayItems,
      from: dayAfterDrying,
      open: (c) => drying(c) === 'next-day'
    })
  ],
  'run.short': [
    goOn('Run it until its temperature has settled; say how long, and how warm it got', 'run', 12, {
      items: ['run.minutes', 'run.temperature'],
      needs: 'start'
    })
  ],
  'run.end': [goOn('Say how the run ended, and why', 'run', 1, { items: ['run.outcome', 'run.reason'] })],
  'run.idle': [
    repeat('Throttle linkage and stop screw; then its idle again, warm and in gear', 'run', 10, {
      only: ['watch'],
      items: ['run.idle'],
      open: (_, f) => idleIsFar(f)
    }),
    repeat('Set its idle warm, in gear, and read it again', 'run', 10, {
      only: ['watch'],
      items: ['run.idle'],
      late: 'release',
      open: (_, f) => !idleIsFar(f)
    })
  ],
  'run.charge': [goOn('Volts at the battery at 1500 rpm', 'run', 2, { items: ['run.volts'] })],
  'run.too-fast': [
    repeat('Run it again at idle, stream and head watched', 'run', 10, {
      // What it was stopped for is looked into first, and the run after that serves both.
      open: (c) => !stopsUnmended(c).some((s) => s.reason !== 'other')
    })
  ],
  'run.smoke': untilFound(
    plugAfter,
    dipIfFour,
    look('Mixture in use, oil in the fuel', ['fuel.mix', 'fuel.tankOil'], 3, {
      // Water was on a plug: that is what smokes.
      open: (c, f) => !four(c) && plugAfterRun(c) !== 'wet' && look('', ['fuel.mix', 'fuel.tankOil'], 3).open(c, f)
    }),
    thinned,
    unlessRich(jacket)
  ),
  'run.dies-warm': diesWarm,
  'run.kicks': untilFound(
    // The kick itself may have sheared it: what was seen of it before says nothing.
    look('Flywheel mark against the crank', ['spark.keyLook'], 5, {
      open: (c) => !askedAfter(c, 'spark.keyLook', kickedAt(c))
    }),
    look('Timing at idle by the marks', ['spark.timing'], 5),
    beltLook
  ),
  'run.died': untilFound(
    // It was said not to, before it did.
    look('How soon it died: at once, or after minutes', ['fuel.dies'], 1, {
      open: (c) => {
        const said = c.record.last('fuel.dies');
        // How long it ran says how soon.
        const ran = c.record.last('run.minutes');
        const began = c.record.all('run.event').findLast((r) => r.value === 'start')?.at;
        if (ran && ran.value !== 'unknown' && isAfter(ran.at, began)) return false;
        // That it died when it was warm says how.
        if (symptoms(c).some((s) => s.id === 'dies-warm')) return false;
        return said?.value === 'no' && isAfter(c.record.last('run.outcome')!.at, said.at);
      }
    }),
    // What starves it is found: that is what is mended.
    ...died.map((r): AskRule => ({ ...r, open: (c, f) => !fuelTree(c)?.found && r.open(c, f) }))
  ),
  'run.spits': untilFound(
    mist,
    jetsIfAny,
    ...injection,
    oneByOne,
    look('Compression, every cylinder', ['compression.pressure'], 10),
    look('Timing at idle by the marks', ['spark.timing'], 5),
    lashIfFour,
    crankcase
  ),
  'run.air': [job('intake-joint')],
  'run.shakes': untilFound(
    look('Spark, every cylinder', ['spark.result'], 6),
    oneByOne,
    look('Propeller', ['look.propeller'], 1),
    look('Mounts and clamp', ['look.mounts'], 1)
  ),
  'run.steam': untilFound(
    // Too little water steams, and water in a cylinder does: a plug tells the two apart before anything is opened.
    ...[...heatByHand, plugAfter, ...heatOpened].map((r): AskRule => ({
      ...r,
      open: (c, f) => !waterInside(c) && r.open(c, f)
    }))
  ),
  // What keeps the water from it, found: that is cleared before anything else is opened.
  'run.no-water': untilFound(
    ...[screens, outlet, pumpOpen, pumpAgain].map((r): AskRule => ({
      ...r,
      open: (c, f) => !heatExplained(c) && r.open(c, f)
    }))
  ),
  'run.plug-wet': [jacket, job('water-in')],
  'run.failed': failedAsks,
  'run.gears': [
    twist,
    look('Shift through by hand', ['turn.forward', 'turn.reverse', 'turn.neutral'], 2, {
      open: (c) =>
        !hubSlip(c, c.record.last('run.gears')?.at) && !askedAfter(c, 'turn.forward', c.record.last('run.gears')?.at)
    })
  ],
  'run.dog-worn': [twist, shiftRod, job('clutch-dog', { only: ['fault'] })],
  // What it was stopped for is looked into; written down is what came of that.
  'run.stopped': [
    howItRan,
    ofWhat('leak', 'Say what leaked: fuel, oil or water', 'run.leaks'),
    ofWhat('smoke', 'Say how it smoked: for the first minutes, or all the time', 'run.smoke'),
    whereItSounds,
    ...nobodyHeard,
    ...heat.map((r): AskRule => stoppedFor(['temperature'], unlessItWasMuffs(r))),
    ...[muffs, onThatWater, ...[screens, outlet, pumpOpen, pumpAgain].map(unlessItWasMuffs)].map((r): AskRule =>
      stoppedFor(['stream'], r)
    ),
    ...starved.map((r): AskRule => stoppedFor(['fuel'], r)),
    ...badlyForAll.map((r): AskRule => stoppedFor(['other'], r)),
    look('Find the cause, write it down', ['run.cause'], 10, {
      only: ['fault'],
      last: true,
      // Work where it was stopped for is that cause: the run is made again.
      open: (c) =>
        !c.record.asked('run.cause') &&
        // Found is not written down as well: it is mended, and the run made again.
        !(symptoms(c).some((s) => s.id === 'no-water') && heatExplained(c)) &&
        // Told from where it came, the noise asks for that itself.
        !(c.record.value('run.reason') === 'noise' && noiseOf(c)?.place) &&
        // So is other water than muffs, where the same run was good on it.
        (!/temperature|stream/.test(String(c.record.value('run.reason'))) ||
          (!waterWorkedOn(c) && muffsTried(c) !== 'fine'))
    })
  ]
};
