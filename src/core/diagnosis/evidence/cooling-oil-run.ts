import { isAfter, latestAt } from '../../units/instant.ts';
import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { school } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { banksApart, headClimbsYet, lastSeen } from '../../stations/cooling/seen.ts';
import { ranDry } from '../../stations/cooling/pump.ts';
import { HEAD_SPEAKS, unsettled } from '../../stations/cooling/analyse.ts';
import type { ItemId } from '../../stations/items.ts';
import { oilPressure } from '../../stations/oil/pressure.ts';
import { rivals } from '../../stations/oil/rivals.ts';
import { sumpEmpty } from '../../stations/oil/sump.ts';
import { laboratory } from '../../stations/oil/laboratory.ts';
import { thermostats } from '../../stations/cooling/thermostat.ts';
import { DIP_AGREES, dips, markGap } from '../../stations/oil/position.ts';
import { BANKS_APART } from '../../stations/run/banks.ts';
import { NEVER_WARM } from '../../stations/run/warming.ts';
import { runsOf } from '../../stations/run/runs.ts';
import { charging, CHARGING } from '../../stations/run/charging.ts';
import { lampSeen } from '../../stations/run/lamp.ts';
import { causeAt } from '../../stations/run/symptoms.ts';
import { leaning, past, seen, wordOf, type Measure } from './observed.ts';

const lastOf = (c: Context, ...items: readonly ItemId[]): string => latestAt(items.flatMap((i) => c.record.all(i)));

/** Years after which vanes are taken as set until somebody looks (C). */
const IMPELLER_YEARS = 2;
const runAt = (c: Context): string =>
  lastOf(c, 'run.temperature', 'run.log', 'run.stream', 'cooling.head', 'cooling.stream', 'run.outcome');
const stream =
  (word: 'weak' | 'none'): Measure =>
  (c) => {
    const { stream: s } = lastSeen(c);
    if (s === undefined || (word === 'weak' && s === 'none')) return undefined;
    return seen(s === word, runAt(c));
  };
/** What a temperature and its limit may be off, K (M). */
const THERMOMETER = 3;
/** A head that is not hot never clears the pump by itself: at most seven to one (M), and nothing while it is still cold. */
const NOT_HOT = -1.9;
const hot: Measure = (c, _k, found) => {
  const run = found.get('run.heat');
  const limit = judgedBy(c, 'cooling.hot', ownLimits.headHot);
  const { head } = lastSeen(c);
  if (run === 'fault') return seen(true, runAt(c));
  if (run === 'sound') return seen(false, runAt(c));
  if (head !== undefined) {
    const speaks = Math.min(1, Math.max(0, (head - HEAD_SPEAKS) / 20));
    // Stopped for its heat it was still on its way: where it stood then clears nothing.
    const least = run === 'watch' || unsettled(c)?.is === 'temperature' || headClimbsYet(c) ? 0 : NOT_HOT * speaks;
    const o = past(head, limit.value, THERMOMETER, runAt(c), { least });
    if (o.likelihood.present === 1 && o.likelihood.absent < 0.35) return o;
    if (run !== 'watch') return o;
  }
  return run === 'watch' ? leaning(1, 0.35, runAt(c)) : undefined;
};
const impellerOld: Measure = (c) => {
  const r = c.record.last('cooling.impellerAge');
  if (!r || typeof r.value !== 'number') return undefined;
  return past(r.value, judgedBy(c, 'cooling.impeller', IMPELLER_YEARS).value, 0.75, r.at);
};
const cold: Measure = (c) => {
  const { head } = lastSeen(c);
  const minutes = Math.max(0, ...runsOf(c).map((r) => r.minutes), known(c.record.value('run.minutes')) ?? 0);
  if (head === undefined) return undefined;
  // That it is cold counts only after it has run long enough to be warm.
  return past(-head, -NEVER_WARM.under, THERMOMETER, runAt(c), minutes >= NEVER_WARM.minutes ? {} : { most: 0 });
};
const banks: Measure = (c) => {
  const d = banksApart(c);
  return d && past(d.by, BANKS_APART, THERMOMETER, runAt(c));
};
/** A gauge that is close to the least that is wanted leans neither way. */
const gauged: Measure = (c) => {
  const read = oilPressure(c);
  return read && (read.verdict === 'low' || read.verdict === 'good')
    ? seen(read.verdict === 'low', read.at)
    : undefined;
};
const coolAgain: Measure = (c) => {
  const w = wordOf(c, 'run.second');
  // Found normal before the run in which the lamp came on, it says nothing of what made it come.
  const lamp = lampSeen(c);
  const began = c.record.all('run.event').findLast((r) => r.value === 'start' && !isAfter(r.at, lamp?.at))?.at;
  if (!w || (lamp?.came && began !== undefined && isAfter(began, w.at))) return undefined;
  return seen(w.value === 'normal', w.at);
};
/** The stream in tank or afloat, after it was poor on muffs. */
const tankFine: Measure = (c) => {
  const source = c.record.last('cooling.source');
  const poor = [...c.record.all('cooling.stream'), ...c.record.all('run.stream')].filter(
    (r) => r.value === 'weak' || r.value === 'none'
  );
  if (!source || (source.value !== 'tank' && source.value !== 'afloat') || !poor.length) return undefined;
  const { stream: now } = lastSeen(c);
  if (now === undefined) return undefined;
  const before = poor.some((r) => isAfter(source.at, r.at));
  // Poor in a tank from the start clears the muffs as well.
  return now === 'strong' ? (before ? seen(true, runAt(c)) : undefined) : seen(false, runAt(c));
};
const vanes: Measure = (c) => {
  const at = lastOf(c, 'cooling.set', 'cooling.cracked', 'cooling.missing', 'cooling.backward', 'cooling.vanes');
  // What they were like before it ran dry tells nothing.
  if (!at || ranDry(c)) return undefined;
  const set = known(c.record.value('cooling.set'));
  const broken =
    (known(c.record.value('cooling.cracked')) ?? 0) > 0 ||
    (known(c.record.value('cooling.missing')) ?? 0) > 0 ||
    (c.record.value('cooling.backward') === 'yes' && school(c.rules, 'backward') === 'renew');
  if (broken) return seen(true, at);
  if (set !== undefined) return past(set, judgedBy(c, 'cooling.set', ownLimits.vaneSet).value, 4, at);
  return known(c.record.value('cooling.cracked')) !== undefined ? seen(false, at) : undefined;
};
/** Any bank's that fails fails; good is only what every bank showed. */
const thermostat =
  (which: 'shut' | 'open'): Measure =>
  (c) => {
    const list = thermostats(c).filter((t) => t.is !== 'cannot-tell' && t.pan !== 'not-fitted');
    if (!list.length) return undefined;
    const at = lastOf(c, 'cooling.thermostatPan', 'cooling.thermostatOpens', 'cooling.thermostatStamp');
    if (list.some((t) => t.pan === which)) return seen(true, at);
    // The furthest off speaks; good is only what every bank showed.
    const off = list.flatMap((t) => (t.opens === undefined || t.stamp === undefined ? [] : [t.opens - t.stamp]));
    const furthest = which === 'shut' ? Math.max(...off) : Math.max(...off.map((x) => -x));
    const least = list.length === 1 && list[0]!.bank ? -0.7 : undefined;
    if (off.length) return past(furthest, ownLimits.thermostat, 1.5, at, least === undefined ? {} : { least });
    return least === undefined ? seen(false, at) : leaning(0.5, 1, at);
  };

const dipped =
  (mark: 'above' | 'below'): Measure =>
  (c) => {
    const d = dips(c);
    const at = d.last.at(-1)?.taken;
    // The stick of an empty sump is no reading of its oil.
    if (at === undefined || sumpEmpty(c)) return undefined;
    const is = (m: string): boolean => m === mark || (mark === 'below' && m === 'none');
    // Two measured ones: the surer the further off the mark.
    if (d.at !== undefined)
      return past(mark === 'above' ? d.at : -d.at, mark === 'above' ? markGap(c) : 0, DIP_AGREES, at);
    if (d.agree) return seen(is(d.position ?? ''), at);
    // One dip, or two that differ: it leans.
    return d.last.some((x) => is(x.mark)) ? leaning(1, 0.15, at) : leaning(0.3, 1, at);
  };
const dipMoves: Measure = (c) => {
  const d = dips(c);
  if (d.last.length < 2) return c.record.value('oil.level') === 'no' ? seen(true, lastOf(c, 'oil.level')) : undefined;
  return seen(!d.agree, d.last[1]!.taken);
};
const oilFuel: Measure = (c) => {
  const smell = wordOf(c, 'oil.smell');
  const look = wordOf(c, 'oil.look');
  const lab = laboratory(c);
  if (lab) {
    // The share’s interval against two and four per cent, not a yes or no beside it.
    const at = lastOf(c, 'oil.viscosity', 'oil.viscosityFresh');
    return past(lab.share, (ownLimits.dilutionWatch + ownLimits.dilutionFault) / 2, 0.008, at);
  }
  // Above the mark its rival is too much that was poured in: what was poured, drawn and marked weighs here as at the check.
  if (dips(c).position === 'above') {
    const { weights, dilution } = rivals(c);
    const odds = dilution / (1 - dilution);
    const at = lastOf(
      c,
      'oil.smell',
      'oil.look',
      'oil.lastMark',
      'oil.lastFill',
      'oil.lastFillMost',
      'oil.poured',
      'oil.drained'
    );
    return weights.length ? leaning(Math.min(1, odds), Math.min(1, 1 / odds), at) : undefined;
  }
  // A trace after short cold runs is usual: it leans, no more.
  if (smell?.value === 'faint') return look?.value === 'thin' ? seen(true, smell.at) : leaning(0.7, 1, smell.at);
  // A plain smell is a nose's word, not a measurement: it makes one think of fuel, and convicts nobody.
  if (smell?.value === 'fuel' && look?.value !== 'thin') return leaning(1, 0.3, smell.at);
  if (smell) return seen(smell.value === 'fuel' || smell.value === 'strong', smell.at);
  return look && (look.value === 'thin' ? seen(true, look.at) : leaning(0.5, 1, look.at));
};
/** Only what was read at speed says whether it charges. */
const charge: Measure = (c) => {
  const last = charging(c).findLast((x) => x.verdict !== 'cannot-tell' && x.rpm !== undefined);
  return last && past(-last.each, -CHARGING.low, 0.15, last.at);
};
const overcharge: Measure = (c) => {
  const last = charging(c).at(-1);
  return last && past(last.each, CHARGING.high, 0.15, last.at);
};

/** A lamp tells of heat only where the head can have been hot. */
const lamp =
  (which: 'heat' | 'no-heat'): Measure =>
  (c) => {
    const l = lampSeen(c);
    if (!l) return undefined;
    if (!l.came) return seen(false, l.at);
    // Its cause is written down: it points to nothing else any more.
    if (causeAt(c) !== '' && !isAfter(l.at, causeAt(c))) return undefined;
    return (l.notHeat !== undefined) === (which === 'no-heat') ? seen(true, l.at) : undefined;
  };

/** What somebody saw and stopped it for has signs of its own; that it was stopped says no more of how it ran. */
const seenAndStopped: ReadonlySet<unknown> = new Set(['temperature', 'stream', 'lamp', 'smoke', 'leak', 'noise']);
const ranBadly: Measure = (c) => {
  const outcome = wordOf(c, 'run.outcome');
  if (outcome?.value === 'ran') return seen(false, outcome.at);
  if (outcome?.value !== 'stopped' || seenAndStopped.has(wordOf(c, 'run.reason')?.value)) return undefined;
  // How it ran was said: that has signs of its own.
  const idles = wordOf(c, 'run.idles');
  return idles && idles.value !== 'even' ? undefined : seen(true, outcome.at);
};

/** A start with the lanyard out, put in since, says nothing of the rest. */
const noStart: Measure = (c) => {
  const failed = c.record.all('run.outcome').findLast((r) => r.value !== 'unknown');
  const lanyard = c.record.all('spark.lanyard').filter((r) => r.value !== 'unknown');
  const out = lanyard.some((r) => r.value === 'no');
  const put = out && lanyard.at(-1)?.value === 'yes' && isAfter(lanyard.at(-1)!.at, failed?.at);
  return failed?.value === 'failed' && put ? null : undefined;
};

export const coolingOilAndRunMeasures: Readonly<Record<string, Measure>> = {
  'stream-weak': stream('weak'),
  'stream-none': stream('none'),
  hot,
  cold,
  banks,
  'cool-again': coolAgain,
  'tank-fine': tankFine,
  vanes,
  'impeller-old': impellerOld,
  'thermostat-shut': thermostat('shut'),
  'thermostat-open': thermostat('open'),
  'oil-above': dipped('above'),
  'oil-below': dipped('below'),
  'oil-pressure': gauged,
  'dip-moves': dipMoves,
  'oil-fuel': oilFuel,
  charge,
  overcharge,
  lamp: lamp('heat'),
  'lamp-cold': lamp('no-heat'),
  'ran-badly': ranBadly,
  'no-start': noStart
};
