import type { Said } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import { saidId } from '../stations/said.ts';
import { strainer } from './asks-cooling.ts';
import { carburetted, hasBulb } from './asks-fuel.ts';
import { oilWay } from '../stations/fuel/oil-way.ts';
import { sparkSeen } from '../stations/spark/seen.ts';
import { beltJumped } from '../stations/turn/belt.ts';
import { stationOf, type ItemId } from '../stations/items.ts';
import { asked, look, type AskRule, type Asks } from './ask.ts';

const where =
  (fits: (c: Context) => boolean) =>
  (r: AskRule): AskRule => ({ ...r, open: (c, f) => fits(c) && r.open(c, f) });
const vented = where((c) => c.survey.engine.profile.supply !== 'pressurised');
const withBulb = where(hasBulb);
const premixed = where((c) => oilWay(c) === 'fuel');
const sumped = where((c) => c.survey.engine.profile.strokes === 'four');
const injected = where((c) => !carburetted(c));
/** Why it does not start was seen: no spark, or valves that open at the wrong moment. Fuel is looked at after that. */
const unexplained = where((c) => !beltJumped(c) && !sparkSeen(c).some((s) => s.result === 'none' && !s.slow && !s.sun));
const electric = where((c) => c.survey.engine.profile.starting !== 'rope');
const roped = where((c) => c.survey.engine.profile.starting !== 'electric');

/** A look before it is run: once, and no more once something was mended where it looks. */
const first = (title: string, items: readonly [ItemId, ...ItemId[]], minutes: number): AskRule =>
  look(title, items, minutes, {
    open: (c) => !items.some((i) => c.record.all(i).length > 0) && c.worked(stationOf(items[0])).length === 0
  });

const tank = first('Look into the tank', ['fuel.level'], 1);
const vent = vented(first('Tank vent', ['fuel.vent'], 1));
const twist = first('Twist the propeller against the flywheel', ['look.twist'], 2);
const screen = first('Cooling water: intake screens', ['cooling.screen'], 2);
const dip = sumped(first('Dip the engine oil, level, twice', ['oil.dip'], 3));
/** Whether it still does so, asked once it has run and before it goes back. */
const still = (title: string, item: ItemId, minutes: number): AskRule =>
  look(title, [item], minutes, {
    needs: 'start',
    late: 'release',
    open: (c) => !!c.record.last('run.outcome') && !asked(c, item)
  });
const howItRuns = still('How it runs: evenly, or as it was said', 'run.idles', 5);

/**
 * What a complaint asks for, in the trade's order (C): the looks that cost minutes and need no running first, then, before it goes
 * back, whether it still does so. What was looked at in vain asks nothing more: the run shows it.
 */
const bySaid: Readonly<Record<Said, readonly AskRule[]>> = {
  'no-start': [
    unexplained(tank),
    first('Wiring, fuse and connectors', ['look.wiring'], 2),
    unexplained(injected(first('Key on: is the fuel pump heard?', ['fuel.railPump'], 1)))
  ],
  dies: [
    tank,
    vent,
    withBulb(first('Squeeze the bulb', ['fuel.bulb'], 2)),
    first('Fuel filters', ['fuel.filter'], 5),
    still('Run it for ten minutes: whether it still dies', 'fuel.dies', 10)
  ],
  'dies-warm': [vent, still('Run it warm for half an hour: whether it still dies', 'run.longRun', 30), howItRuns],
  idles: [howItRuns],
  shakes: [first('Propeller: bent, nicked', ['look.propeller'], 1), howItRuns],
  // Before anybody pulls at its rope.
  kicks: [first('Flywheel: its mark against the crank', ['spark.keyLook'], 5), howItRuns],
  power: [twist, first('Fuel filters', ['fuel.filter'], 5), vent],
  thrust: [
    twist,
    first('Shift by hand: forward', ['turn.forward'], 3),
    still('Shift each way, running', 'run.gears', 2)
  ],
  gears: [
    first('Throttle and shift linkage', ['look.linkage'], 2),
    first('Shift by hand: forward', ['turn.forward'], 3),
    first('Shift by hand: reverse', ['turn.reverse'], 3),
    still('Shift each way, running', 'run.gears', 2)
  ],
  hot: [
    screen,
    { ...first('Water strainer under the cowl', ['look.strainer'], 2), open: strainer.open },
    still('Run it warm, lamp and horn watched', 'run.lamp', 15)
  ],
  stream: [
    screen,
    first('Indicator outlet and its line', ['cooling.outlet'], 3),
    still('The stream, running', 'run.stream', 3)
  ],
  smoke: [
    premixed(first('How the fuel in the tank is mixed', ['fuel.tankOil'], 2)),
    dip,
    still('Smoke, once it is warm', 'run.smoke', 10)
  ],
  oil: [dip],
  'gear-oil': [first('Gear oil: lower plug a crack', ['gear.first'], 4)],
  starter: [
    electric(first('Starter through its own circuit', ['plugs.starterCircuit'], 2)),
    roped(first('Rope starter: catches and returns', ['plugs.rope'], 1))
  ],
  charge: [
    first('Wiring, fuse and connectors', ['look.wiring'], 2),
    still('Volts at the battery, at 1500 1/min or more', 'run.volts', 3)
  ],
  leaks: [
    first('Fuel hoses under the cowl', ['look.hoses'], 2),
    first('Hose and couplings, every joint wiped and watched', ['fuel.hose', 'fuel.couplings'], 5),
    still('Leaks, running', 'run.leaks', 3)
  ],
  noise: [first('Turn it by hand', ['turn.result'], 2), howItRuns]
};

export const saidAsks: Asks = Object.fromEntries(
  (Object.entries(bySaid) as [Said, readonly AskRule[]][]).map(([id, rules]) => [saidId(id), rules])
);
