import { isAfter, latestAt } from '../../units/instant.ts';
import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { banksApart, lastSeen } from '../../stations/cooling/seen.ts';
import { fuelAge } from '../../stations/fuel/age.ts';
import { HEAD_SPEAKS } from '../../stations/cooling/analyse.ts';
import { metalExplained } from '../../stations/gear/case-state.ts';
import { caseResult, stageIds } from '../../stations/gear/case-test.ts';
import type { ItemId } from '../../stations/items.ts';
import { lineVacuum, VACUUM_GAUGE } from '../../stations/fuel/vacuum.ts';
import { rivals } from '../../stations/oil/rivals.ts';
import { laboratory } from '../../stations/oil/laboratory.ts';
import { thermostats } from '../../stations/cooling/thermostat.ts';
import { DIP_AGREES, dips, markGap } from '../../stations/oil/position.ts';
import { BANKS_APART, NEVER_WARM } from '../../stations/run/warming.ts';
import { runsOf } from '../../stations/run/runs.ts';
import { charging, CHARGING } from '../../stations/run/charging.ts';
import { leaning, past, seen, wordOf, type Measure } from './observed.ts';

const lastOf = (c: Context, ...items: readonly ItemId[]): string => latestAt(items.flatMap((i) => c.record.all(i)));
const list = (of: (c: Context) => unknown): Measure => {
  return (c) => {
    const value = of(c);
    return Array.isArray(value) ? seen(value.length > 0, c.survey.assessment.startedAt) : undefined;
  };
};

const gearLow: Measure = (c) => {
  const at = lastOf(c, 'gear.look', 'gear.first', 'gear.drained');
  const drained = known(c.record.value('gear.drained'));
  const holds = known(c.survey.engine.profile.gearCapacity);
  if (wordOf(c, 'gear.look')?.value === 'none' || wordOf(c, 'gear.first')?.value === 'nothing') return seen(true, at);
  return drained !== undefined && holds !== undefined ? past(-drained / holds, -0.8, 0.06, at) : undefined;
};

const caseLeaks: Measure = (c, _k, found) => {
  const { verdict } = caseResult(c);
  const stages = stageIds.map((s) => found.get(`gear.case-${s}`)).filter((x) => x !== undefined);
  const at = lastOf(c, 'gear.casePressure', 'gear.pressureTest');
  if (verdict === 'leaked' || stages.includes('fault')) return seen(true, at);
  const bubbles = c.record.last('gear.caseBubbles');
  if (Array.isArray(bubbles?.value) && bubbles.value.length) return seen(true, bubbles.at);
  if (verdict === 'held') return seen(false, at);
  // A stage that cannot tell yet is still under way: nothing is said until it is over.
  if (stages.includes('cannot-tell')) return undefined;
  // One stage that held leans: a lip can leak low and hold high.
  return stages.includes('sound') ? leaning(0.3, 1, at) : undefined;
};
const bubblesAt =
  (place: string): Measure =>
  (c) => {
    const r = c.record.last('gear.caseBubbles');
    return r && Array.isArray(r.value) && r.value.length
      ? seen((r.value as string[]).includes(place), r.at)
      : undefined;
  };
/** The case moved by more than this between the readings of a test, K (M: half a psi at 10 psi is 6 K). */
const DRIFT = 3;
const caseDrifts: Measure = (c) => {
  const read = c.record
    .all('gear.casePressure')
    .map((r) => r.conditions?.temperature)
    .filter((t) => t !== undefined);
  if (read.length < 2) return undefined;
  return seen(Math.max(...read) - Math.min(...read) > DRIFT, lastOf(c, 'gear.casePressure'));
};

const fuelOld: Measure = (c) => {
  const at = lastOf(c, 'fuel.jar', 'fuel.age', 'fuel.kind');
  const jar = wordOf(c, 'fuel.jar')?.value;
  if (jar === 'dark') return seen(true, at);
  const age = fuelAge(c);
  if (!age.assumed && age.verdict === 'drain') return seen(true, at);
  if (!age.assumed && age.verdict !== 'unknown') return seen(false, at);
  return jar === 'clear' ? leaning(0.3, 1, at) : undefined;
};
const mix: Measure = (c) => {
  const used = c.record.last('fuel.mix');
  const asked = known(c.survey.engine.profile.premixRatio);
  return used && typeof used.value === 'number' && asked !== undefined
    ? seen(used.value > 1.25 * asked, used.at)
    : undefined;
};
const vacuumAt = (c: Context): string => lastOf(c, 'fuel.vacuumSpeed', 'fuel.vacuumPortable', 'fuel.vacuumOpen');
const vacuum: Measure = (c) => {
  const read = lineVacuum(c);
  if (read?.own === undefined || read.verdict === 'contradicted') return undefined;
  // At idle a low figure says nothing: a blockage shows at speed.
  return past(read.own, read.limit.value, VACUUM_GAUGE, vacuumAt(c), read.atSpeed ? {} : { least: 0 });
};
/** How it runs on a portable tank, in words or by its vacuum there. */
const portableFine: Measure = (c) => {
  const w = wordOf(c, 'fuel.portable');
  const where = lineVacuum(c)?.where;
  if (where === 'tank-side' || where === 'vent') return seen(true, vacuumAt(c));
  if (where === 'engine-side') return seen(false, vacuumAt(c));
  return w && seen(w.value === 'fine', w.at);
};
/** Seen shut, or shown by the vacuum that falls with the cap open. */
const ventShut: Measure = (c) => {
  const w = wordOf(c, 'fuel.vent');
  if (w && w.value !== 'open') return seen(true, w.at);
  if (lineVacuum(c)?.where === 'vent') return seen(true, vacuumAt(c));
  return w && seen(false, w.at);
};
const dies: Measure = (c) => {
  const w = wordOf(c, 'fuel.dies');
  if (w) return seen(w.value !== 'no', w.at);
  const ran = wordOf(c, 'run.outcome');
  if (ran?.value === 'died') return seen(true, ran.at);
  return ran?.value === 'ran' && (known(c.record.value('run.minutes')) ?? 0) >= 5 ? seen(false, ran.at) : undefined;
};

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
    const least = run === 'watch' ? 0 : NOT_HOT * speaks;
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
const coolAgain: Measure = (c) => {
  const w = wordOf(c, 'run.second');
  return w && seen(w.value === 'normal', w.at);
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
  if (!at) return undefined;
  const set = known(c.record.value('cooling.set'));
  const broken =
    (known(c.record.value('cooling.cracked')) ?? 0) > 0 ||
    (known(c.record.value('cooling.missing')) ?? 0) > 0 ||
    c.record.value('cooling.backward') === 'yes';
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
    if (at === undefined) return undefined;
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

/** Metal that has been explained points to nothing any more. */
const gearMetal: Measure = (c) => {
  const w = wordOf(c, 'gear.magnet');
  if (!w) return undefined;
  const metal = w.value === 'slivers' || w.value === 'pieces';
  return metal && metalExplained(c) ? undefined : seen(metal, w.at);
};

/** Burnt, or full of metal that nobody has explained yet. */
const gearBurnt: Measure = (c) => {
  const w = wordOf(c, 'gear.look');
  if (!w || (w.value === 'metallic' && metalExplained(c))) return undefined;
  return seen(w.value === 'burnt' || w.value === 'metallic', w.at);
};

export const wetEndMeasures: Readonly<Record<string, Measure>> = {
  'odd-leg': list((c) => c.survey.engine.identity.legSigns),
  traces: list((c) => c.survey.engine.profile.traces),
  'gear-low': gearLow,
  'gear-metal': gearMetal,
  'gear-burnt': gearBurnt,
  case: caseLeaks,
  'case-drifts': caseDrifts,
  ...Object.fromEntries(
    ['propshaft', 'carrier', 'driveshaft', 'cover', 'shift', 'plugs', 'housing'].map((p) => [
      `bubbles-${p}`,
      bubblesAt(p)
    ])
  ),
  'fuel-old': fuelOld,
  mix,
  vacuum,
  'portable-fine': portableFine,
  'vent-shut': ventShut,
  dies,
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
  'dip-moves': dipMoves,
  'oil-fuel': oilFuel,
  charge,
  overcharge
};
