import { drowned } from '../record/drowned.ts';
import { against } from '../holds/against.ts';
import { kindOf } from '../findings/finding.ts';
import { runsOut } from '../stations/fuel/escapes.ts';
import { overPressure } from '../stations/gear/case-test.ts';
import { caseDangers } from '../stations/gear/case-state.ts';
import { stationOf } from '../stations/items.ts';
import { stations } from '../stations/register.ts';
import { runningRun, streamEarly } from '../stations/run/runs.ts';
import { isAfter } from '../units/instant.ts';
import type { Move } from './move.ts';
import type { Position } from './position.ts';

/** Findings that stop a run at once, while it runs. */
const STOPS: ReadonlySet<string> = new Set([
  'run.heat',
  'run.lamp',
  'run.lamp-cool',
  'run.steam',
  'run.no-water',
  'run.leaks',
  'run.too-fast',
  'cooling.hot',
  'cooling.rising',
  'cooling.outlet'
]);

/** 1: it runs and must not, or something stands that hurts whoever touches it. */
export function dangers({ context: c, findings, holds }: Position): Move[] {
  const out: Move[] = [];
  const run = runningRun(c);
  if (run) {
    const last = run.streams.at(-1);
    const dry = last?.value === 'none' && !streamEarly(run);
    const stop = findings.find(
      (f) => STOPS.has(kindOf(f.id)) && (f.condition === 'fault' || (dry && f.station === 'cooling'))
    );
    const forbidden = against(holds, 'start').find((h) => !h.standing);
    const why = stop
      ? { id: stop.id, because: stop.sentence }
      : dry && c.survey.engine.profile.indicator !== 'not-fitted'
        ? {
            id: 'dry',
            because: 'No stream past its first half minute: no engine runs without it, whatever the head reads.'
          }
        : forbidden && { id: forbidden.id, because: `${forbidden.title}. ${forbidden.because}` };
    if (why)
      out.push({
        kind: 'stop',
        class: 1,
        id: `stop:${why.id}`,
        title: 'Stop it now',
        station: 'run',
        minutes: 1,
        because: why.because
      });
  }
  const fuel = runsOut(c);
  if (fuel)
    out.push({
      kind: 'make-safe',
      class: 1,
      id: 'safe:fuel',
      title:
        fuel === 'open'
          ? 'Shut the fuel off: tap shut, or the hose off the engine'
          : 'Drain the tank into a closed can, and keep away what can light it',
      station: 'fuel',
      items: fuel === 'open' ? ['fuel.shut'] : ['fuel.tank', 'fuel.shut'],
      minutes: fuel === 'open' ? 1 : 10,
      because:
        fuel === 'open'
          ? 'Fuel runs out of it: wiped up, aired, and no spark, battery clamp or flame near it meanwhile.'
          : 'It still runs though it was shut off: what is above the leak comes out, and burns.'
    });
  const tested = c.record.all('gear.casePressure').findLast((r) => typeof r.value === 'number');
  const over = tested && overPressure(c, tested.value as number, tested.conditions?.stage ?? 'high') !== undefined;
  // The place it leaks at is known, and is worked on next: nothing more is read at this pressure.
  const placed =
    findings.some((f) => f.condition === 'fault' && f.id.startsWith('gear.test-')) &&
    !c.worked('gear').some((at) => tested && isAfter(at, tested.at));
  if (
    caseDangers(c).includes('pressure') &&
    against(holds, 'gear').some((h) => h.id === 'gear-case') &&
    (over || placed || !testRuns(c))
  )
    out.push({
      kind: 'make-safe',
      class: 1,
      id: 'safe:pressure',
      title: 'Let the pressure off the gear case',
      station: 'gear',
      items: ['gear.caseOpen'],
      minutes: 1,
      because: over
        ? 'There is more pressure on the case than its seals are made for.'
        : 'The case stands under test pressure: turning it blows a seal.'
    });
  return out;
}

/** A case test is under way: a stage was read within the hour. */
function testRuns(c: Position['context']): boolean {
  const last = c.record.all('gear.casePressure').at(-1);
  return last !== undefined && !c.past(Date.parse(last.at) + 3_600_000);
}

/**
 * Once hands were on the engine, whether it is safe was settled one way or another: the question moves down. What nobody could tell
 * settles nothing.
 */
const beyondLooking = (c: Position['context']): boolean =>
  c.survey.readings.some((r) => !['safe', 'look'].includes(stationOf(r.what)) && r.value !== 'unknown' && !r.withdrawn);

export function makeSafe({ context: c, stations: states }: Position): Move[] {
  const safe = states.find((s) => s.id === 'safe');
  // While it runs its lanyard and battery are in: that is no danger then, a loose stand or a fouled propeller is.
  const loose = c.record.value('safe.secured') === 'no' || c.record.value('safe.propeller') === 'fouled';
  const bad = runningRun(c) && !loose ? undefined : safe?.findings.find((f) => f.id === 'safe.open');
  if (safe && !bad && !['not-looked-at', 'held'].includes(safe.condition)) return [];
  const first = stations.safe.first ?? stations.safe.title;
  const held = safe?.findings.find((f) => f.condition === 'held');
  return [
    {
      kind: 'make-safe',
      // A drowned engine’s protocol begins with it.
      class: bad || !(beyondLooking(c) || drowned(c)) ? 1 : 6,
      id: 'look:safe',
      title: stations.safe.title,
      station: 'safe',
      minutes: stations.safe.minutes,
      because: bad?.sentence ?? held?.sentence ?? first
    }
  ];
}
