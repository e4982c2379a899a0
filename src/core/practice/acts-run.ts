import { mendedAfter, RUN_AGAIN } from '../jobs/work.ts';
import { SHOWN } from '../stations/run/symptoms.ts';
import { plain, type Act } from './act.ts';
import type { Eye } from './eye.ts';
import { ZERO_CELSIUS as ZERO_C } from '../units/factors.ts';
/** How fast a head nears its end temperature, min, and where a sound one ends, °C (M). */
const WARMING = 4;
const SETTLES = 68;
/** When a lamp that tells of heat comes on, min (M). */
const WARM_BY = 7;

/** Whether the stream is poor, on what the engine is run on. */
function streamIs(eye: Eye, muffs: boolean): 'strong' | 'weak' | 'none' {
  const there = (word: 'none' | 'weak'): boolean =>
    muffs ? eye.shows(`stream-${word}`) : eye.besides(`stream-${word}`, 'muffs');
  return there('none') ? 'none' : there('weak') ? 'weak' : 'strong';
}

/** Ends a run: what came of it, how long it ran. */
function end(eye: Eye, outcome: string, minutes: number, reason?: string): void {
  eye.note('run.event', 'stop');
  eye.note('run.outcome', outcome);
  eye.note('run.minutes', minutes);
  if (reason) eye.note('run.reason', reason);
}

/** What it is run on: muffs the first time, where they are to blame for something, else a tank. */
const source = (eye: Eye): void =>
  eye.note('cooling.source', eye.has('muffs') && !eye.read('run.event') ? 'muffs' : 'tank');

/** The first run, watched: whoever sees no water or a head that races stops it, as the sheet says. */
export function run(eye: Eye): void {
  const { profile } = eye.survey.engine;
  const { draws } = eye.truth;
  const first = !eye.read('run.event');
  const muffs = eye.has('muffs') && first;
  if (eye.last('cooling.source') !== (muffs ? 'muffs' : 'tank')) source(eye);
  eye.crank();
  if (profile.starting === 'electric' && eye.shows('starter-dead')) {
    eye.note('run.outcome', 'failed');
    return;
  }
  if (eye.truly('no-start') || eye.truly('none-all') || eye.shows('locked')) {
    eye.note('run.outcome', 'failed');
    return;
  }
  eye.note('run.event', 'start');
  const early = eye.shows('lamp-cold');
  eye.note('run.lamp', early ? 'came' : 'none');
  eye.wait(0.2);
  if (profile.indicator !== 'not-fitted') {
    const stream = streamIs(eye, muffs);
    eye.note('run.stream', stream);
    if (stream === 'none') return end(eye, 'stopped', 0.6, 'stream');
  } else eye.note('run.exhaust', 'yes');
  if (early) return end(eye, 'stopped', 0.6, 'lamp');
  eye.note('run.rpm', 1100);
  const hot = eye.besides('hot', 'other-spot') && (muffs || eye.besides('hot', 'muffs'));
  const cold = !hot && eye.shows('never-warm');
  const last = hot ? draws.between('hot', 108, 140) : cold ? 36 : SETTLES;
  const banked = profile.layout === 'v';
  const differ = banked && eye.truly('banks-differ') ? draws.between('banks', 16, 25) : 0;
  for (let minute = 1; minute <= 12; minute++) {
    eye.wait(1);
    const head = ZERO_C + last - (last - 18) * Math.exp(-minute / WARMING);
    const spot = banked ? 'head-port' : 'head';
    eye.note('run.temperature', head + draws.normal(`t|${minute}`, 0.5), { conditions: { spot } });
    if (banked) eye.note('run.temperature', head + differ, { conditions: { spot: 'head-starboard' } });
    if (head + differ > ZERO_C + 88) return end(eye, 'stopped', minute, 'temperature');
    if (minute === WARM_BY && eye.shows('lamp')) {
      eye.note('run.lamp', 'came');
      return end(eye, 'stopped', minute, 'lamp');
    }
    if (minute === 6 && eye.shows('dies')) {
      end(eye, 'died', 6);
      eye.note('fuel.dies', 'minutes');
      return;
    }
    if (minute === 3 && eye.shows('ran-badly')) return end(eye, 'stopped', 3, 'other');
  }
  if (profile.starting !== 'rope') {
    eye.note('run.rpm', 2000);
    eye.note('run.volts', eye.shows('overcharges') ? 15.9 : eye.shows('no-charge') ? 12.2 : 14.1);
  }
  eye.note('run.event', 'stop');
  eye.note('run.outcome', 'ran');
  eye.note('run.minutes', 15);
  eye.note('fuel.dies', 'no');
  const idles = (['kicks', 'dies-hot', 'spits', 'shakes'] as const).find((s) => eye.shows(s));
  eye.note('run.idles', idles === 'dies-hot' ? 'hot' : (idles ?? 'even'));
  const noise = (['head', 'valves', 'leg'] as const).find((s) => eye.shows(`noise-${s}`));
  eye.note('run.noise', noise ?? 'none');
  eye.note('run.gears', eye.shows('gear-slips') || eye.shows('gear-missing') ? 'fails' : 'both');
  after(eye);
}

const after = (eye: Eye): void => eye.look(['run.plugAfter', 'run.smoke', 'run.leaks']);

/** The same spot with another thermometer. */
const second = (eye: Eye): void =>
  eye.note('run.second', eye.shows('cool-again') && !eye.truly('hot') ? 'normal' : 'same');

/** Work was done since it ran badly: that is what somebody writes down as its cause. Who only looked has found none. */
const worked = (eye: Eye): boolean => {
  const ends = eye.survey.readings.filter((r) => r.what === 'run.outcome');
  const shows = SHOWN.some(
    ([what, fine]) => what !== 'run.lamp' && ![undefined, ...fine].some((x) => x === eye.last(what))
  );
  const at = (shows ? ends.at(-1) : (ends.findLast((r) => r.value !== 'ran') ?? ends.at(-1)))?.at;
  return at !== undefined && mendedAfter(eye.survey, at, [RUN_AGAIN]);
};

export const runActs: readonly Act[] = [
  {
    id: 'run',
    station: 'run',
    items: [
      'run.event',
      'run.outcome',
      'run.temperature',
      'run.stream',
      'run.lamp',
      'run.idles',
      'run.noise',
      'run.minutes',
      'run.volts',
      'run.rpm',
      'run.gears',
      'run.exhaust',
      'cooling.stream',
      'cooling.head',
      'fuel.dies'
    ],
    routine: true,
    take: run
  },
  { id: 'source', station: 'cooling', items: ['cooling.source'], take: source, routine: true },
  { id: 'in-tank', station: 'cooling', items: [], take: run },
  { id: 'charge', station: 'run', items: [], take: run },
  {
    id: 'mist',
    station: 'run',
    items: ['run.air'],
    take: (eye) => eye.note('run.air', eye.shows('air-drawn') ? 'changes' : 'same')
  },
  { id: 'run-again', station: 'run', items: ['run.plugAfter', 'run.smoke', 'run.leaks'], take: after },
  { id: 'second-thermometer', station: 'run', items: ['run.second'], take: second },
  {
    id: 'drop',
    station: 'run',
    items: ['run.drop'],
    take: (eye) =>
      eye.cylinders.forEach((k) => eye.note('run.drop', eye.shows('no-drop', k) ? 'same' : 'falls', { cylinder: k }))
  },
  plain('long-run', 'run', ['run.longRun']),
  plain('hand-over', 'run', ['run.tight', 'run.counters']),
  {
    id: 'cause',
    station: 'run',
    items: ['run.cause'],
    take: (eye) => eye.note('run.cause', worked(eye) ? 'found and cured' : 'unknown')
  }
];
