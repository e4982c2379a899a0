import { drying } from './dried.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { monthsSince, SEASON } from '../../findings/elapsed.ts';
import type { Condition } from '../../findings/finding.ts';
import { isInjected, known } from '../../engine/profile.ts';
import { isAfter, latestAt } from '../../units/instant.ts';
import { fuelTree, mendedSinceStarving } from '../fuel/symptoms.ts';
import { causeMended } from '../cooling/explained.ts';
import { lastSeen } from '../cooling/seen.ts';
import { thermometersDiffer } from './thermometers.ts';
import { speedCap } from '../cooling/source.ts';
import { charging } from './charging.ts';
import { compareRuns } from './compare.ts';
import { rodSeen } from '../turn/shift-rod.ts';
import type { RunAnalysed, RunBasis, RunFact, Watched } from './facts.ts';
import { mendedForStart } from './failed-start.ts';
import { lampOn, lampSeen } from './lamp.ts';
import { leakPlace, leakTraced } from './leak-place.ts';
import { movedWith } from './moved.ts';
import { noiseOf } from './noise.ts';
import { aloneAt } from './odd.ts';
import { mainTrack, runsOf, type Run } from './runs.ts';
import { idling, started } from './start-and-idle.ts';
import { sparkHeldHot } from './dies-warm.ts';
import { plugAfterRun } from '../../findings/plug-after-run.ts';
import { causeAt, lapsed, lampWorkedOn, smokesOfItsOil, symptoms } from './symptoms.ts';
import { hubSlip } from '../look/hub-slip.ts';
import { bankDifference, BANKS_APART } from './banks.ts';
import { NEVER_WARM, saidOf, warmingOf, type Warming, type WarmState } from './warming.ts';

const gravity: Readonly<Record<WarmState, Condition>> = {
  few: 'cannot-tell',
  odd: 'cannot-tell',
  over: 'fault',
  'will-pass': 'fault',
  'may-pass': 'watch',
  open: 'cannot-tell',
  settles: 'sound',
  steady: 'sound'
};

/** What the first run showed. */
export function analyse(c: Context): RunAnalysed {
  const basis = basisOf(c);
  const shown = shownIn(c, basis);
  const now = new Set(shown.map((f) => f.id ?? f.kind));
  const facts: RunFact[] = [
    ...shown,
    ...symptoms(c).map(({ id, at, explained, repeated }): RunFact => ({
      kind: 'symptom',
      id,
      condition: 'fault',
      values: {
        symptom: id,
        at,
        explained,
        repeated,
        ...(id === 'dies-warm' && sparkHeldHot(c) ? { sparks: true } : {})
      }
    })),
    ...lapsed(c)
      .filter((x) => !now.has(x.id))
      .map(({ id, was }): RunFact => ({ kind: 'lapsed', id, condition: 'fault', values: { lapsed: id, was } })),
    ...cylindersOf(c).flatMap((cylinder) => noWork(c, cylinder)),
    ...tooFast(c),
    ...started(c),
    ...idling(c),
    ...charge(c),
    ...ended(c),
    ...heat(c),
    ...(plugAfterRun(c) === 'wet' ? [{ kind: 'plug-wet', condition: 'fault', values: {} } as const] : [])
  ];
  return { basis, facts: [...facts, ...settled(c, basis, facts)] };
}

/** How it went, as it was told; a reason for stopping that was given later says that it was stopped. */
function basisOf({ record, survey }: Context): RunBasis {
  const { strokes = 'unknown' } = survey.engine.profile;
  const reason = record.last('run.reason');
  const stopped = reason && isAfter(reason.at, record.last('run.outcome')?.at);
  return {
    outcome: stopped ? 'stopped' : record.value('run.outcome'),
    minutes: known(record.value('run.minutes')),
    lamp: record.value('run.lamp'),
    smoke: record.value('run.smoke'),
    leaks: record.value('run.leaks'),
    strokes: strokes === 'unknown' ? undefined : strokes,
    injected: isInjected(survey.engine.profile)
  };
}

/** What it was stopped for is what it showed, and of that the cause was found. */
function shownExplained(c: Context): boolean {
  const shown = symptoms(c);
  return shown.length > 0 && shown.every((s) => s.explained);
}

/** What its answers say of it. */
function shownIn(c: Context, { outcome, lamp, smoke, leaks }: RunBasis): RunFact[] {
  const { record } = c;
  // What was written down before it was started again explains the run before.
  const told = latestAt([...record.all('run.outcome'), ...record.all('run.reason')]);
  const began = latestAt(record.all('run.event').filter((r) => r.value === 'start' && !isAfter(r.at, told)));
  const since = causeAt(c);
  const cause =
    since && !isAfter(began, since)
      ? record
          .all('run.cause')
          .findLast((r) => r.at === since)
          ?.value.trim()
      : undefined;
  const reason = record.value('run.reason');
  const found: RunFact[] = [];
  if (outcome === 'failed')
    found.push({
      kind: 'failed',
      condition: 'fault',
      values: { ...(cause === undefined ? {} : { cause }), ...(mendedForStart(c) ? { mended: true as const } : {}) }
    });
  if (outcome === 'stopped')
    found.push(
      cause
        ? { kind: 'stopped-found', id: 'stopped', condition: 'watch', values: { cause } }
        : ((!reason || reason === 'other') && shownExplained(c)) ||
            ((reason === 'lamp' || (!reason && lamp === 'came')) && lampWorkedOn(c)) ||
            ((reason === 'temperature' || reason === 'stream') && causeMended(c, record.last('run.reason')!.at)) ||
            (reason === 'leak' && leakTraced(c)) ||
            (reason === 'noise' && noiseOf(c)?.place !== undefined)
          ? { kind: 'stopped-shown', id: 'stopped', condition: 'watch', values: { place: placedOnly(c, reason) } }
          : { kind: 'stopped-open', id: 'stopped', condition: 'fault', values: reason ? { reason } : {} }
    );
  if (lampOn(c)) {
    const { notHeat } = lampSeen(c)!;
    const id = notHeat ? 'lamp-cool' : 'lamp';
    const worked = lampWorkedOn(c);
    const values = { ...(notHeat ? { notHeat } : {}), ...(worked ? { worked: true as const } : {}) };
    found.push({ kind: 'lamp', id, condition: worked ? 'watch' : 'fault', values });
  }
  if (smoke === 'keeps') {
    const rich = smokesOfItsOil(c);
    const plugs = plugAfterRun(c);
    found.push({
      kind: 'smoke',
      condition: 'fault',
      values: { ...(rich ? { rich } : {}), ...(plugs ? { plugs } : {}) }
    });
  }
  if (leaks && leaks !== 'none') {
    const mended = leakTraced(c) && !leakPlace(c);
    const values = { what: leaks, ...(mended ? { mended } : {}), ...(leakPlace(c) ? { placed: true as const } : {}) };
    found.push({ kind: 'leaks', condition: 'fault', values });
  }
  return [...found, ...leakAt(c), ...noise(c), ...air(c), ...gears(c)];
}

/** Stopped for a leak or a noise of which the place is known, and nothing was mended there yet. */
const placedOnly = (c: Context, reason: string | undefined): boolean =>
  (reason === 'leak' && leakPlace(c) !== undefined) || (reason === 'noise' && noiseOf(c)?.explained === false);

function leakAt(c: Context): RunFact[] {
  const place = leakPlace(c);
  const seen = c.record.last('run.leakAt');
  const at = seen?.value === 'unknown' ? undefined : seen?.value;
  const leaks = c.record.last('run.leaks');
  // A place that was seen after it was called dry leaks all the same.
  if (at !== undefined && (!leaks || (leaks.value === 'none' && isAfter(seen!.at, leaks.at))))
    return [{ kind: 'leak-untold', condition: 'cannot-tell', values: { at } }];
  return place ? [{ kind: 'leak-at', id: `leak-${place.job}`, condition: 'fault', values: place }] : [];
}

/** Heard, and told from where; what it was only stopped for is said of the stop. */
function noise(c: Context): RunFact[] {
  const heard = noiseOf(c);
  if (!heard?.place) return [];
  return [{ kind: 'noise', condition: 'fault', values: { place: heard.place, explained: heard.explained } }];
}

/** Shorted out, it is not missed; and the part with which that went over to its neighbour. */
function noWork(c: Context, cylinder: number): RunFact[] {
  if (c.record.value('run.drop', cylinder) !== 'same') return [];
  const part = movedWith(c, cylinder);
  return [
    { kind: 'no-work', cylinder, condition: 'fault', values: {} },
    ...(part ? [{ kind: 'moved', id: `moved-${part}`, cylinder, condition: 'fault', values: { part } } as const] : [])
  ];
}

const air = (c: Context): RunFact[] =>
  c.record.value('run.air') === 'changes' &&
  !c.renewed('run.air').some((at) => isAfter(at, c.record.last('run.air')?.at))
    ? [{ kind: 'air', condition: 'fault', values: {} }]
    : [];

function gears(c: Context): RunFact[] {
  if (c.record.value('run.gears') !== 'fails') return [];
  const failed = c.record.last('run.gears')!;
  const hub = hubSlip(c, failed.at);
  if (!c.renewed('run.gears').some((at) => isAfter(failed.at, at)))
    return [{ kind: 'gears', condition: 'fault', values: { ...(hub ? { hub } : {}) } }];
  const condition = c.record.asked('look.twist') && rodSeen(c) === 'follows' ? 'fault' : 'cannot-tell';
  return [{ kind: 'gears-again', id: 'dog-worn', condition, values: {} }];
}

/** How a logger's run went may be said before its file is read in, within this many ms (M: the same day's work). */
const SAME_DAY = 24 * 3.6e6;

/** A run that was stopped, or whose entries ceased, or that a logger recorded, and nobody said how it went. */
function ended(c: Context): RunFact[] {
  const run = runsOf(c).findLast((r) => r.stoppedAt);
  if (!run) return [];
  const said = c.record.last('run.outcome');
  const from = run.entered
    ? Math.min(run.startedAt.getTime(), Date.parse(run.entered) - SAME_DAY)
    : run.startedAt.getTime();
  if (said && Date.parse(said.at) >= from) return [];
  const values = { label: run.label, minutes: run.minutes, silent: run.silent === true };
  return [{ kind: 'end', condition: 'cannot-tell', values }];
}

/** The temperatures of the latest run, and what changed since the one before. */
function heat(c: Context): RunFact[] {
  const runs = runsOf(c);
  const run = runs.at(-1);
  const warming = run && warmingOf(c, run);
  if (!run || !warming) return [];
  const watched: Watched = {
    label: run.label,
    minutes: run.minutes,
    samples: warming.track.samples.length,
    ...(run.hottest ? { hottest: { temperature: run.hottest.temperature, seconds: run.hottest.seconds } } : {}),
    ...(run.gap ? { gap: run.gap } : {}),
    limit: warming.limit
  };
  const alone = aloneAt(warming.track.samples).size;
  const earlier = runs.slice(0, -1).findLast((r) => mainTrack(r));
  const beside = earlier && compareRuns(c, earlier, run);
  return [
    warmingFact(c, run, warming, watched),
    ...(alone ? [{ kind: 'odd', condition: 'cannot-tell', values: { run: watched, alone } } as const] : []),
    ...banks(c, run, watched),
    ...neverWarm(c, run, watched),
    // That two runs cannot be compared is no doubt about either.
    ...(beside && beside.verdict !== 'cannot-tell'
      ? [
          {
            kind: 'beside',
            condition: beside.verdict === 'hotter' && !beside.warmNow ? 'watch' : 'sound',
            values: { run: watched, beside, labels: [earlier.label, run.label] }
          } as const
        ]
      : [])
  ];
}

/** A head that is this far under its limit, K, and would not reach it in as many seconds more at its last rate, is through with warming (M). */
const ROOM = { kelvin: 10, seconds: 600 };

/** Read warm after the minutes a thermostat takes, well under its limit and not on the way to it. */
function warmAtItsEnd({ track, limit }: Warming): boolean {
  const [before, last] = track.samples.slice(-2);
  const end = last ?? before!;
  const rate = last && before ? (last.temperature - before.temperature) / (last.seconds - before.seconds) : 0;
  const room = limit.value - end.temperature;
  return (
    end.seconds >= NEVER_WARM.minutes * 60 &&
    end.temperature >= NEVER_WARM.under &&
    room >= ROOM.kelvin &&
    rate * ROOM.seconds < room
  );
}

function warmingFact(c: Context, run: Run, warming: Warming, watched: Watched): RunFact {
  const said = saidOf(warming);
  const last = warming.track.samples.at(-1);
  // It is over: where it would have ended is no question any more once it was read warm at its end.
  if (warming.state === 'few' && run.stoppedAt !== undefined && last && warmAtItsEnd(warming)) {
    const values = { run: watched, warming: said, at: last.temperature, seconds: last.seconds };
    return { kind: 'heat-through', id: 'heat', condition: 'sound', values };
  }
  const doubted = warming.state === 'over' && thermometersDiffer(c);
  return {
    kind: 'heat',
    condition: doubted ? 'cannot-tell' : gravity[warming.state],
    values: { run: watched, warming: said, doubted }
  };
}

function banks(c: Context, run: Run, watched: Watched): RunFact[] {
  const apart = bankDifference(c, run);
  if (!apart) return [];
  const by = Math.abs(apart.port - apart.starboard);
  const hotter = apart.port > apart.starboard ? 'port' : 'starboard';
  if (by <= BANKS_APART) return [];
  const { warming } = apart;
  return [
    { kind: 'banks', condition: warming ? 'cannot-tell' : 'watch', values: { run: watched, hotter, by, warming } }
  ];
}

function neverWarm(c: Context, run: Run, watched: Watched): RunFact[] {
  const hottest = run.hottest?.temperature;
  const cold =
    c.survey.engine.profile.thermostat === 'fitted' &&
    hottest !== undefined &&
    hottest < NEVER_WARM.under &&
    run.minutes >= NEVER_WARM.minutes &&
    // A second thermometer found it warm: the first one, or its place, was wrong.
    !thermometersDiffer(c);
  return cold ? [{ kind: 'cold', condition: 'watch', values: { run: watched, hottest } }] : [];
}

/** Faster than its water allows: muffs fill a pump at idle only, a tank is drawn down and aerated. */
function tooFast(c: Context): RunFact[] {
  const source = c.record.value('cooling.source');
  const cap = source ? speedCap(source) : undefined;
  const run = runsOf(c).at(-1);
  if (!source || cap === undefined || !run) return [];
  const most = Math.max(0, ...run.rpm.map((r) => r.rpm));
  if (most <= cap) return [];
  const values = { most, cap, source, stopped: run.stoppedAt !== undefined, label: run.label };
  return [{ kind: 'too-fast', condition: 'fault', values }];
}

/** What the battery shows while it runs, where that says anything; too little and too much are symptoms. */
function charge(c: Context): RunFact[] {
  const last = charging(c).at(-1);
  if (!last || last.verdict === 'under' || last.verdict === 'over') return [];
  const values = { volts: last.volts, ...(last.rpm === undefined ? {} : { rpm: last.rpm }) };
  return [
    last.verdict === 'good'
      ? { kind: 'charges', id: 'charge', condition: 'sound', values }
      : { kind: 'charge-open', id: 'charge', condition: 'cannot-tell', values }
  ];
}

/** Whether the latest run went on until the engine was warm: by its minutes, its log, a temperature that settled or a warm head. */
function warmedThrough(c: Context, minutes: number | undefined): boolean {
  const run = runsOf(c).at(-1);
  const warming = run && warmingOf(c, run);
  const long = Math.max(minutes ?? 0, run?.minutes ?? 0) >= NEVER_WARM.minutes;
  const warm = (lastSeen(c).head ?? 0) >= NEVER_WARM.under;
  return long || warm || warming?.state === 'settles' || warming?.state === 'steady';
}

/** What it comes to, where it ran and nothing that it showed is open. */
function settled(c: Context, { outcome, minutes, smoke }: RunBasis, facts: readonly RunFact[]): RunFact[] {
  if (outcome !== 'ran') return [];
  // What it did after it had run well stands at the fuel check, and is no run that settled.
  if (fuelTree(c)) return [{ kind: 'short-of-fuel', condition: 'watch', values: {} }];
  if (facts.some((f) => f.condition !== 'sound')) return [];
  const ranAt = c.record.last('run.outcome')!.at;
  // Laid up, it is worked on after its run, and runs in spring.
  const mended = [...c.reopened(), ...mendedSinceStarving(c)];
  if (c.survey.assessment.kind !== 'lay-up' && mended.some((at) => isAfter(at, ranAt)))
    return [{ kind: 'reopened', condition: 'cannot-tell', values: {} }];
  const months = monthsSince(c, ranAt);
  if (months >= SEASON) return [{ kind: 'stood', condition: 'cannot-tell', values: { months } }];
  const ran = minutes === undefined ? {} : { minutes };
  const left = drying(c);
  if (left && warmedThrough(c, minutes)) return [{ kind: 'drying', condition: 'cannot-tell', values: { left } }];
  return [
    warmedThrough(c, minutes)
      ? { kind: 'ran', condition: 'sound', values: { ...ran, smoked: smoke === 'first' } }
      : { kind: 'short', condition: 'cannot-tell', values: ran }
  ];
}
