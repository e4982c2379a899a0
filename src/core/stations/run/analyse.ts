import { ZERO_CELSIUS } from '../../units/factors.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { Finding } from '../../findings/finding.ts';
import { say } from '../../units/index.ts';
import { known } from '../../engine/profile.ts';
import { isAfter } from '../../units/instant.ts';
import type { Condition } from '../../findings/finding.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { compareRuns } from './compare.ts';
import { charging, CHARGING, CHARGING_RPM } from './charging.ts';
import { fuelTree } from '../fuel/symptoms.ts';
import { lastSeen, thermometersDiffer } from '../cooling/seen.ts';
import { sources, speedCap } from '../cooling/source.ts';
import { aloneAt } from './odd.ts';
import { items } from './readings.ts';
import { idling, started } from './start-and-idle.ts';
import { lampSeen } from './lamp.ts';
import { causeAt, lapsed, symptoms, symptomWords } from './symptoms.ts';
import { sayValue } from '../../items/check-entry.ts';
import { mainTrack, runsOf } from './runs.ts';
import { bankDifference, BANKS_APART, clock, NEVER_WARM, warmingOf, type WarmState } from './warming.ts';
import { sayLimit } from '../../findings/limit.ts';

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
type Out = ReturnType<typeof findingsOf>;

/** A run that was stopped, or whose entries ceased, and nobody said how it went. */
function ended(c: Context, out: Out): void {
  const run = runsOf(c).findLast((r) => !r.logged && r.stoppedAt);
  if (!run) return;
  const said = c.record.last('run.outcome');
  if (said && Date.parse(said.at) >= run.startedAt.getTime()) return;
  out.add(
    'end',
    'cannot-tell',
    run.silent
      ? `Nothing was entered after ${clock(run.minutes * 60)}: how did this run end?`
      : `It was stopped after ${clock(run.minutes * 60)}: say how it went, and why it was stopped.`,
    practice([`${run.label}: its end is not recorded`], 'a run that nobody watched proves nothing.')
  );
}

/** The temperatures of the latest run, and what changed since the one before. */
function heat(c: Context, out: Out): void {
  const runs = runsOf(c);
  const run = runs.at(-1);
  const warming = run && warmingOf(c, run);
  if (!run || !warming) return;
  const fit = warming.heating.fit;
  const t = (k: number): string => say(k, 'temperature', c.units);
  const base = {
    inputs: [
      `${run.label}: ${warming.track.samples.length} temperatures at one spot, ${run.minutes.toFixed(0)} min`,
      ...(run.hottest ? [`hottest: ${t(run.hottest.temperature)} at ${clock(run.hottest.seconds)}`] : []),
      ...(run.gap ? [`longest gap in the log: ${Math.round(run.gap / 60)} min`] : [])
    ],
    limit: sayLimit(warming.limit, c.units),
    provenance: 'P' as const,
    source: 'First-order heating; interval by profile likelihood, time constant searched'
  };
  const doubted = warming.state === 'over' && thermometersDiffer(c);
  // It is over: where it would have ended is no question any more once it was read warm at its end.
  const last = warming.track.samples.at(-1);
  const through =
    warming.state === 'few' &&
    run.stoppedAt !== undefined &&
    last !== undefined &&
    last.seconds >= NEVER_WARM.minutes * 60 &&
    last.temperature >= NEVER_WARM.under;
  out.add(
    'heat',
    doubted ? 'cannot-tell' : through ? 'sound' : gravity[warming.state],
    through
      ? `Read ${t(last.temperature)} after ${clock(last.seconds)}, under the limit of ${sayLimit(warming.limit, c.units)}.`
      : `${warming.sentence}${doubted ? ' A second thermometer read normal: one of them is wrong.' : ''}`,
    {
      ...base,
      ...(fit
        ? {
            value: `plateau ${t(fit.plateau)}, time constant ${Math.round(fit.tau)} s`,
            uncertainty: `${t(fit.low)} to ${fit.high === undefined ? 'no upper limit yet' : t(fit.high)} (95 %); readings scatter ${fit.sigma.toFixed(1)} K`
          }
        : {}),
      formula: 'T(t) = T_a + (T_∞ − T_a)·(1 − e^(−t/τ))'
    }
  );
  const alone = aloneAt(warming.track.samples).size;
  if (alone)
    out.add(
      'odd',
      'cannot-tell',
      `${alone === 1 ? 'One temperature stands' : `${alone} temperatures stand`} far off the readings beside ${alone === 1 ? 'it' : 'them'} and ${alone === 1 ? 'is' : 'are'} left out of the curve. Take ${alone === 1 ? 'it' : 'them'} back if it was a slip.`,
      { ...base, provenance: 'M', source: 'From memory: no head jumps 25 K within a minute and back' }
    );
  const banks = bankDifference(run);
  if (banks && Math.abs(banks.port - banks.starboard) > BANKS_APART)
    out.add(
      'banks',
      'watch',
      `The ${banks.port > banks.starboard ? 'port' : 'starboard'} bank runs ${say(Math.abs(banks.port - banks.starboard) + ZERO_CELSIUS, 'temperature', 'metric').replace(' °C', ' K')} hotter: strainer, passages or thermostat of that bank. One cured fault does not clear the other.`,
      { ...base, limit: `${BANKS_APART} K between banks (from memory)`, provenance: 'M', source: 'From memory' }
    );
  const hottest = run.hottest?.temperature;
  if (
    c.survey.engine.profile.thermostat === 'fitted' &&
    hottest !== undefined &&
    hottest < NEVER_WARM.under &&
    run.minutes >= NEVER_WARM.minutes
  )
    out.add(
      'cold',
      'watch',
      `After ${run.minutes.toFixed(0)} minutes it is only ${t(hottest)}: it never got warm. A thermostat that stays open, or none in it; run cold it fouls its plugs, and a four-stroke thins its oil.`,
      {
        ...base,
        limit: `${t(NEVER_WARM.under)} within ${NEVER_WARM.minutes} min (from memory)`,
        provenance: 'M',
        source: 'From memory'
      }
    );
  const earlier = runs.slice(0, -1).findLast((r) => mainTrack(r));
  if (earlier) {
    const beside = compareRuns(c, earlier, run);
    // That two runs cannot be compared is no doubt about either.
    if (beside.verdict !== 'cannot-tell')
      out.add('beside', beside.verdict === 'hotter' ? 'watch' : 'sound', beside.sentence, {
        ...base,
        inputs: [`${earlier.label} and ${run.label}`]
      });
  }
}

/** Faster than its water allows: muffs fill a pump at idle only, a tank is drawn down and aerated. */
function tooFast(c: Context, out: Out): void {
  const source = c.record.value('cooling.source');
  const cap = source ? speedCap(source) : undefined;
  const run = runsOf(c).at(-1);
  if (!source || cap === undefined || !run) return;
  const most = Math.max(0, ...run.rpm.map((r) => r.rpm));
  if (most <= cap) return;
  out.add(
    'too-fast',
    'fault',
    `${run.stoppedAt ? 'It was run at' : 'Throttle down now:'} ${Math.round(most)} rpm on ${source === 'muffs' ? 'muffs' : 'a tank'}, which allow ${sources[source].throttle}. The pump may have run dry: watch stream and head on the next run, at idle.`,
    practice([`${run.label}: up to ${Math.round(most)} rpm`, `water: ${source}`], 'the source caps the throttle.', {
      limit: `${cap} rpm (common practice, from memory)`
    })
  );
}

/** What the battery shows while it runs, where that says anything. */
function charge(c: Context, out: Out): void {
  const last = charging(c).at(-1);
  if (!last || last.verdict === 'under' || last.verdict === 'over') return;
  const good = last.verdict === 'good';
  out.add(
    'charge',
    good ? 'sound' : 'cannot-tell',
    good
      ? `It charges: ${last.volts.toFixed(1)} V at ${Math.round(last.rpm!)} rpm.`
      : `${last.volts.toFixed(1)} V ${last.rpm === undefined ? 'with the speed not noted' : `at ${Math.round(last.rpm)} rpm`}: whether it charges is judged at ${CHARGING_RPM} rpm and over.`,
    practice(
      [`volts: ${last.volts.toFixed(1)}`, `speed: ${last.rpm ?? 'not noted'}`],
      'volts at the battery, at speed.',
      {
        limit: `${CHARGING.low.toFixed(1)} to ${CHARGING.high.toFixed(1)} V (common practice, from memory)`
      }
    )
  );
}

/** Whether the latest run went on until the engine was warm: by its minutes, its log, a temperature that settled or a warm head. */
function warmedThrough(c: Context, minutes: number | undefined): boolean {
  const run = runsOf(c).at(-1);
  const warming = run && warmingOf(c, run);
  const long = Math.max(minutes ?? 0, run?.minutes ?? 0) >= NEVER_WARM.minutes;
  const warm = (lastSeen(c).head ?? 0) >= NEVER_WARM.under;
  return long || warm || warming?.state === 'settles' || warming?.state === 'steady';
}

const lampWords = {
  open: 'The lamp or horn came on: stop, record the cause, repeat.',
  'too-soon':
    'The lamp or horn came on before a head can be hot: oil, its sender or a wire, and no heat. Stop, record the cause, repeat.',
  cool: 'The lamp or horn came on while two thermometers found the head cool: oil, its sender or a wire, and no heat. Record the cause, repeat.'
} as const;

/** What the first run showed. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('run');
  const { record } = c;
  const reason = record.value('run.reason');
  // A reason for stopping, given later than how it went, says that it was stopped.
  const stopped = reason && isAfter(record.last('run.reason')!.at, record.last('run.outcome')?.at);
  const outcome = stopped ? 'stopped' : record.value('run.outcome');
  const lamp = record.value('run.lamp');
  const smoke = record.value('run.smoke');
  const leaks = record.value('run.leaks');
  const gears = record.value('run.gears');
  const since = causeAt(c);
  const cause = since
    ? record
        .all('run.cause')
        .findLast((r) => r.at === since)
        ?.value.trim()
    : undefined;
  const minutes = known(record.value('run.minutes'));
  const inputs = [
    `outcome: ${outcome ?? 'not run yet'}`,
    ...(minutes === undefined ? [] : [`ran for ${say(minutes, 'minutes', c.units)}`]),
    ...(lamp ? [`lamp or horn: ${lamp}`] : []),
    ...(smoke ? [`smoke: ${smoke}`] : []),
    ...(leaks ? [`leaks: ${leaks}`] : [])
  ];
  const why = practice(inputs, 'a first run outdoors on water, watched to the end.');
  if (outcome === 'failed')
    out.add(
      'failed',
      'fault',
      `It would not start${cause ? `: ${short(cause)}` : '. Spark and fuel again, in that order'}.`,
      why
    );
  if (outcome === 'stopped')
    out.add(
      'stopped',
      cause ? 'watch' : 'fault',
      cause
        ? `Stopped early: ${short(cause)}. Repeat it once the cause is cured.`
        : `Stopped early${reason && reason !== 'other' ? ` because of ${sayValue(items.reason, reason, c.units)}` : ''}: find the cause and record it before it is started again.`,
      why
    );
  if (lamp === 'came') {
    const { notHeat } = lampSeen(c)!;
    out.add(notHeat ? 'lamp-cool' : 'lamp', 'fault', lampWords[notHeat ?? 'open'], why);
  }
  if (smoke === 'keeps')
    out.add(
      'smoke',
      'fault',
      'Smoke that keeps coming: water or oil is getting in. Look at the plugs after running.',
      why
    );
  if (leaks && leaks !== 'none')
    out.add('leaks', 'fault', `It leaks ${leaks}: find the place before it runs again.`, why);
  const failed = gears === 'fails' ? c.record.last('run.gears') : undefined;
  if (failed && c.renewed('run.gears').some((at) => isAfter(failed.at, at)))
    out.add(
      'dog-worn',
      c.record.asked('look.twist') ? 'fault' : 'cannot-tell',
      'A gear is still missing or jumps out with the linkage set: hub or shear pin, the shift rod’s joint, then the clutch dog.',
      why
    );
  else if (failed) out.add('gears', 'fault', 'A gear is missing or jumps out: linkage or a worn clutch dog.', why);
  for (const s of symptoms(c)) {
    const { is, first } = symptomWords[s.id];
    out.add(
      s.id,
      'fault',
      `${is}${s.repeated ? '; not since, but no cause was found: it comes again' : ''}. ${s.explained ? 'A cause was found: make the same run again to see that it is gone.' : first}`,
      practice(
        [
          `last seen: ${s.at.slice(0, 16).replace('T', ' ')}`,
          `cause: ${s.explained ? 'recorded since' : 'not recorded'}`
        ],
        'what a run showed stays open until its cause is found and the same run is made again without it.'
      )
    );
  }
  for (const { id, is, first } of lapsed(c).filter((x) => !out.list.some((f) => f.id === `run.${x.id}`)))
    out.add(
      id,
      'fault',
      `${is}; not since, but no cause was found: it comes again. ${first}`,
      practice(['cause: not recorded'], 'what a run showed stays open until its cause is found.')
    );
  for (const k of cylindersOf(c))
    if (c.record.value('run.drop', k) === 'same')
      out.add(
        'no-work',
        'fault',
        `Cylinder ${k} does no work: shorted out, the speed stays the same. Its spark, its compression, then its fuel.`,
        practice([`cylinder ${k} shorted out: the speed stays the same`], 'what does no work is not missed.'),
        k
      );
  tooFast(c, out);
  started(c, out);
  idling(c, out);
  charge(c, out);
  ended(c, out);
  heat(c, out);
  if (record.value('run.plugAfter') === 'wet')
    out.add(
      'plug-wet',
      'fault',
      'Water on a plug after running: it is getting in. Gasket, exhaust cover or jacket; no more running.',
      practice(['a plug after running: water on it'], 'a plug that went in dry and comes out wet.')
    );
  // What it did after it had run well stands at the fuel check, and is no run that settled.
  if (outcome === 'ran' && fuelTree(c))
    out.add(
      'short-of-fuel',
      'watch',
      'It ran, and what it runs short of is still looked for at the fuel check: the run is made again once that is found.',
      why
    );
  else if (outcome === 'ran' && !warmedThrough(c, minutes) && out.list.every((f) => f.condition === 'sound'))
    out.add(
      'short',
      'cannot-tell',
      minutes === undefined
        ? 'It ran; how long, and how warm it got, is not written down. A run counts once its temperature has settled.'
        : `It ran for ${say(minutes, 'minutes', c.units)}: too short to have warmed through. Run it until its temperature has settled, ${NEVER_WARM.minutes} minutes and more.`,
      why
    );
  else if (outcome === 'ran' && out.list.every((f) => f.condition === 'sound'))
    out.add(
      'ran',
      'sound',
      `It ran and settled${minutes === undefined ? '' : `, ${say(minutes, 'minutes', c.units)}`}${smoke === 'first' ? '; smoke in the first minutes was preservation oil' : ''}.`,
      why
    );
  return out.list;
}

const short = (s: string): string => (s.length > 90 ? `${s.slice(0, 88).trimEnd()}…` : s).replace(/[.\s]+$/, '');
