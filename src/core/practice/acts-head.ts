import { expectedBumps } from '../stations/turn/analyse.ts';
import type { ItemId } from '../stations/items.ts';
import { plain, type Act } from './act.ts';
import type { Eye } from './eye.ts';
import { passesOf } from './water.ts';

const routine = { routine: true } as const;

/** Water runs out the first time, and no more comes the next. */
function holes(eye: Eye): void {
  const wet = eye.waterInside();
  eye.note('turn.water', wet ? 'some' : 'none');
  if (wet) eye.note('turn.water', 'none');
}

/** Piston depths scatter by this much between repeats, m (M: a vernier in a plug hole). */
const DEPTH_SCATTER = 0.03e-3;

/** How it turns by hand; what only liquid held comes free once that is out. */
function turnsLike(eye: Eye, smooth: 'free' | 'bumps'): string {
  const there = (sign: string): boolean => (eye.waterInside() ? eye.shows(sign) : eye.besides(sign, 'liquid'));
  return (['locked', 'gritty', 'stiff'] as const).find(there) ?? smooth;
}

function turn(eye: Eye): void {
  const out = eye.last('turn.plugs') === 'out' || eye.read('plugs.read');
  if (eye.last('turn.plugs') !== (out ? 'out' : 'in')) eye.note('turn.plugs', out ? 'out' : 'in');
  const smooth = out || eye.shows('no-bumps') ? 'free' : 'bumps';
  const result = turnsLike(eye, smooth);
  for (let k = 0; k < 2; k++) eye.note('turn.result', result);
  eye.note(
    'turn.feel',
    (['noise', 'tight'] as const).filter((x) => eye.shows(x))
  );
}

function bumps(eye: Eye): void {
  const expected = expectedBumps(eye.survey.engine.profile.strokes, eye.cylinders.length);
  eye.note('turn.plugs', 'in');
  eye.note('turn.result', eye.shows('no-bumps') ? 'free' : 'bumps');
  if (expected !== undefined) eye.note('turn.bumps', Math.max(0, expected - (eye.shows('bumps-few') ? 1 : 0)));
}

/** Faults that sit in the gears, or anywhere in the leg: with these out of it, it comes free or smooth. */
const inGears = ['gears-worn', 'dog'];
const inLeg = [...inGears, 'leg-locked', 'splines', 'seal-driveshaft'];

/** What is taken out of it, one after the other, until it comes free or smooth. */
function outOfIt(eye: Eye, ask: 'lock' | 'rough'): void {
  const [was, is] = ask === 'lock' ? (['still', 'free'] as const) : (['still', 'smooth'] as const);
  const there = (list: readonly string[]): boolean => list.some((x) => eye.has(x));
  const head = ask === 'rough' && there(['bearings', 'rod-bent']);
  const gears = !head && there(inGears);
  const pinion = ask === 'lock' && eye.has('pinion');
  const items = ask === 'lock' ? (['turn.lockNeutral', 'turn.lockPinion', 'turn.lockLeg'] as const) : roughItems;
  eye.note(items[0], gears ? is : was);
  if (gears) return;
  eye.note(items[1], pinion ? is : was);
  if (!pinion) eye.note(items[2], !head && there(inLeg) ? is : was);
}
const roughItems = ['turn.roughNeutral', 'turn.roughPinion', 'turn.roughLeg'] as const;

function depths(eye: Eye): void {
  for (let n = 0; n < 3; n++)
    for (const cylinder of eye.cylinders) {
      const low = eye.shows('depth-low', cylinder) ? eye.truth.draws.between(`bent|${cylinder}`, 0.8e-3, 3e-3) : 0;
      const slip = eye.truth.draws.normal(`depth|${cylinder}|${eye.survey.readings.length}|${n}`, DEPTH_SCATTER);
      eye.note('turn.depth', 0.06 + low + slip, { cylinder });
    }
  // One piston is laid beside the maker's figure.
  if (eye.cylinders.length === 1) eye.note('turn.depthRight', 0.06);
}

function plugs(eye: Eye): void {
  eye.look(['plugs.order']);
  const failed = eye.last('run.outcome') === 'failed';
  for (const cylinder of eye.cylinders) {
    // New or cleaned plugs tell nothing of the engine until it has run on them.
    const fresh = eye.doneSince('plugs', 'run.event');
    const seen = fresh
      ? []
      : (['oily', 'fuel', 'water', 'white', 'black'] as const).filter((x) => eye.shows(`plug-${x}`, cylinder));
    const bad =
      !fresh && eye.shows('plug-bad', cylinder)
        ? [eye.truth.draws.pick(`bad|${cylinder}`, ['cracked', 'bridged'])]
        : [];
    // After a start that failed the plugs tell whether fuel came.
    const usual = failed ? (eye.shows('no-fuel') ? 'dry' : 'fuel') : 'normal';
    const read = [...seen, ...bad];
    eye.note('plugs.read', read.length ? read : [usual], { cylinder });
  }
}

function boreLight(eye: Eye): void {
  for (const cylinder of eye.cylinders) {
    const seen = eye.shows('crown-holed', cylinder)
      ? 'holed'
      : eye.shows('hole-scored', cylinder)
        ? 'scored'
        : eye.answer('plugs.hole', cylinder);
    const dry = seen === 'water' && !eye.waterInside(cylinder);
    eye.note('plugs.hole', dry ? 'clean' : seen, { cylinder });
  }
}

/** Volts under the starter, and its speed, 1/min. */
function starter(eye: Eye): void {
  const { draws } = eye.truth;
  // Whoever repeats it takes another battery, charged.
  const charged = eye.read('plugs.volts');
  const dead = eye.shows('starter-dead') && !(charged && eye.has('battery') && !eye.has('starter-motor'));
  const motor = eye.has('starter-motor') || eye.has('starter-cable');
  const slow = charged ? motor && eye.shows('starter-slow') : eye.shows('starter-slow');
  const low = eye.shows('volts-low') && !charged;
  eye.note('plugs.volts', low ? draws.between('volts', 8.4, 9.2) : draws.between('volts', 10.6, 11.6));
  eye.note('plugs.starterCircuit', dead ? 'nothing' : slow ? 'slow' : 'turns');
  const direct = eye.shows('direct-dead') && !(charged && !eye.has('starter-motor'));
  eye.note('plugs.starterDirect', direct ? 'nothing' : 'turns');
  if (!dead) eye.note('plugs.rpm', slow ? draws.between('rpm', 90, 150) : draws.between('rpm', 260, 420));
}

/** One pass of water-displacing oil, turned and blown dry: water, then drops, then nothing but oil. */
function displace(eye: Eye): void {
  const { made, needed } = passesOf(eye.truth, eye.written);
  const left = needed - made - 1;
  eye.note('turn.pass', left > 1 ? 'water' : left > 0 ? 'drops' : 'clear');
  eye.note('turn.dried', left > 0 ? 'part' : 'yes');
}

/** Plugs out where they were in, and turned again: what the hand feels then. */
function plugsOut(eye: Eye): void {
  eye.note('turn.plugs', 'out');
  const result = turnsLike(eye, 'free');
  eye.note('turn.result', result);
}

const SAFE = [
  'safe.lanyard',
  'safe.battery',
  'safe.propeller',
  'safe.secured',
  'safe.place',
  'safe.rinsed',
  'safe.forecast',
  'safe.altitude'
] as const satisfies readonly ItemId[];

/** Made safe, and what the night will be like. */
function makeSafe(eye: Eye): void {
  for (const item of SAFE) {
    if (item === 'safe.forecast') eye.note(item, eye.truth.coldest);
    else eye.look([item]);
  }
}

export const headActs: readonly Act[] = [
  { id: 'safe', station: 'safe', items: SAFE, take: makeSafe, ...routine },
  plain(
    'look',
    'look',
    [
      'look.cowl',
      'look.wiring',
      'look.hoses',
      'look.bulb',
      'look.strainer',
      'look.mounts',
      'look.swivel',
      'look.linkage',
      'look.anodes',
      'look.propeller',
      'look.hub',
      'look.skeg',
      'look.case'
    ],
    routine
  ),
  plain('hub-twist', 'look', ['look.twist'], routine),
  { id: 'turn', station: 'turn', items: ['turn.result', 'turn.feel'], take: turn, ...routine },
  { id: 'plugs-out', station: 'turn', items: ['turn.plugs'], take: plugsOut },
  { id: 'bumps', station: 'turn', items: ['turn.bumps'], take: bumps },
  { id: 'holes', station: 'turn', items: ['turn.water'], take: holes },
  { id: 'dried', station: 'turn', items: ['turn.dried', 'turn.pass'], take: displace },
  plain('assembled', 'turn', ['turn.assembled']),
  {
    id: 'lock',
    station: 'turn',
    items: ['turn.lockNeutral', 'turn.lockPinion', 'turn.lockLeg'],
    take: (eye) => outOfIt(eye, 'lock')
  },
  { id: 'rough', station: 'turn', items: roughItems, take: (eye) => outOfIt(eye, 'rough') },
  { id: 'depth', station: 'turn', items: ['turn.depth'], take: depths },
  plain('shift', 'turn', ['turn.neutral', 'turn.forward', 'turn.reverse', 'turn.reverseLock'], routine),
  plain('start-lock', 'turn', ['turn.startLock']),
  plain('shift-rod', 'turn', ['turn.shiftRod']),
  plain('belt', 'turn', ['turn.belt']),
  { id: 'plugs', station: 'plugs', items: ['plugs.order', 'plugs.read'], take: plugs, ...routine },
  { id: 'plug-wet', station: 'plugs', items: [], take: plugs },
  {
    id: 'bore-light',
    station: 'plugs',
    items: ['plugs.hole'],
    take: boreLight
  },
  {
    id: 'starter',
    station: 'plugs',
    items: ['plugs.volts', 'plugs.starterCircuit', 'plugs.starterDirect', 'plugs.rpm'],
    take: starter
  },
  plain('volts-walk', 'plugs', ['plugs.voltsEnd']),
  plain('rope', 'plugs', ['plugs.rope'])
];
