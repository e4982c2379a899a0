import type { Conditions } from '../record/reading.ts';
import type { ItemId } from '../stations/items.ts';
import { plain, type Act } from './act.ts';
import type { Eye } from './eye.ts';

const routine = { routine: true } as const;

/** Out when the first spark was tried, and put in once somebody has asked. */
const lanyardOut = (eye: Eye): boolean =>
  eye.has('lanyard') && eye.last('spark.lanyard') === undefined && !eye.read('spark.result');

/** What a cylinder truly gives, through the tester at its lead, where its plug has no part, in the shade, with the lanyard in. */
const trueSpark = (eye: Eye, cylinder: number): 'good' | 'weak' | 'none' =>
  eye.truly('none-all', 'plug') || eye.truly(`none.${cylinder}`, 'plug')
    ? 'none'
    : eye.truly(`weak.${cylinder}`, 'plug')
      ? 'weak'
      : 'good';

/** Minutes in which what dies when it is warm still is (M). */
const HOT_FOR = 30;
/** It died so short a time ago that it is still hot. */
const stillHot = (eye: Eye): boolean => {
  const died = eye.survey.readings.findLast((r) => r.what === 'run.outcome' && r.value === 'died');
  return died !== undefined && eye.ended - Date.parse(died.at) < HOT_FOR * 60_000;
};

function spark(eye: Eye): void {
  const out = lanyardOut(eye);
  if (eye.last('spark.lanyard') === 'no' || (eye.read('spark.result') && !out)) eye.note('spark.lanyard', 'yes');
  // The first look may be in the sun; whoever repeats it does so in the shade.
  const sun = eye.has('sunlight') && !eye.read('spark.result');
  const hot = stillHot(eye);
  const conditions: Conditions = {
    path: 'tester',
    light: sun ? 'sun' : 'shade',
    ...(hot ? { engine: 'warm' as const } : {}),
    ...eye.crank(eye.read('spark.result'))
  };
  for (const cylinder of eye.cylinders) {
    const fails = hot && cylinder === 1 && eye.shows('spark-warm');
    const is = fails ? 'none' : trueSpark(eye, cylinder);
    const seen = out ? 'none' : sun && is === 'good' && eye.shows('weak', cylinder) ? 'weak' : is;
    eye.note('spark.result', seen, { cylinder, conditions });
  }
}

function lanyard(eye: Eye): void {
  if (eye.has('lanyard') && eye.last('spark.lanyard') === undefined) {
    eye.note('spark.lanyard', 'no');
    spark(eye);
  } else eye.note('spark.lanyard', 'yes');
}

const bolt = (eye: Eye): void =>
  eye.cylinders.forEach((cylinder) => {
    const is = trueSpark(eye, cylinder);
    if (is === 'good') return;
    eye.note('spark.result', eye.shows('bolt-only') ? 'good' : is, {
      cylinder,
      conditions: { path: 'bolt', light: 'shade' }
    });
  });

const each =
  (...items: readonly ItemId[]) =>
  (eye: Eye): void =>
    eye.cylinders.forEach((k) => eye.look(items, k));

function coilLook(eye: Eye): void {
  for (const cylinder of eye.cylinders) {
    eye.note('spark.leadLook', eye.shows('lead-damaged', cylinder) ? 'damaged' : 'whole', { cylinder });
    eye.note('spark.coilLook', eye.shows('coil-damaged', cylinder) ? 'cracked' : 'whole', { cylinder });
    eye.note('spark.stray', 'none', { cylinder });
  }
}

function pointsLook(eye: Eye): void {
  for (const cylinder of eye.cylinders) {
    const grey = eye.shows('points-oxidised', cylinder);
    const look = eye.shows('points-pitted', cylinder) ? 'pitted' : grey ? 'grey' : 'clean';
    eye.note('spark.pointsLook', look, { cylinder });
  }
  eye.look(['spark.rubBlock']);
}

/** Resistances of the coils at bench temperature; one that is out stands a good third off its like, Ω. */
function windings(eye: Eye): void {
  const { draws } = eye.truth;
  const faulty = eye.cylinders.find((k) => eye.has('coil', k));
  // Cold first; whoever measures again does so warm, as soon as it dies.
  const warm = eye.read('spark.primary');
  const temperature = warm ? 343 : 293;
  for (const cylinder of eye.cylinders) {
    const off = eye.shows('winding-out') && cylinder === (faulty ?? 1) ? 1.45 : 1;
    // Copper rises by 0.39 % a kelvin (P: IEC 60028); a winding that fails warm rises by far more.
    const copper = 1 + 0.0039 * (temperature - 293);
    const fails = warm && eye.shows('winding-hot') && cylinder === 1 ? 1.3 : 1;
    const value = 0.52 * off * copper * fails * (1 + draws.normal(`primary|${cylinder}`, 0.01));
    eye.note('spark.primary', value, { cylinder, conditions: { temperature } });
  }
}

/** A part changed with a good one: the fault moves with it where the part of a poor cylinder is to blame. Behind the tester no plug is. */
const swap = (id: string, item: ItemId, part: 'lead' | 'coil' | undefined): Act => ({
  id,
  station: 'spark',
  items: [item],
  take: (eye) => {
    const poor = eye.cylinders.filter((k) => trueSpark(eye, k) !== 'good');
    eye.note(item, part && poor.some((k) => eye.has(part, k)) ? 'moves' : 'stays');
  }
});

export const sparkActs: readonly Act[] = [
  { id: 'spark', station: 'spark', items: ['spark.result'], take: spark, ...routine },
  { id: 'lanyard', station: 'spark', items: ['spark.lanyard'], take: lanyard },
  plain('brisk', 'spark', ['spark.brisk']),
  { id: 'shade', station: 'spark', items: [], take: spark },
  plain('supply', 'spark', ['spark.supply']),
  { id: 'bolt', station: 'spark', items: [], take: bolt },
  plain('ground-wire', 'spark', ['spark.groundWire']),
  plain('stop-wire', 'spark', ['spark.stopWire']),
  swap('plug-swap', 'spark.plugSwap', undefined),
  { id: 'coil-look', station: 'spark', items: ['spark.leadLook', 'spark.coilLook', 'spark.stray'], take: coilLook },
  swap('lead-swap', 'spark.leadSwap', 'lead'),
  swap('coil-swap', 'spark.coilSwap', 'coil'),
  plain('points-clean', 'spark', ['spark.pointsClean']),
  { id: 'points-look', station: 'spark', items: ['spark.pointsLook', 'spark.rubBlock'], take: pointsLook },
  plain('condenser', 'spark', ['spark.condenserSwap']),
  plain('key', 'spark', ['spark.keyLook']),
  {
    id: 'timing',
    station: 'spark',
    items: ['spark.timing'],
    take: (eye) => eye.note('spark.timing', eye.shows('timing-off') ? 14 : 5)
  },
  { id: 'windings', station: 'spark', items: ['spark.primary'], take: windings },
  plain('peak-volts', 'spark', ['spark.chargeTest', 'spark.triggerTest']),
  plain('pack', 'spark', ['spark.packSwap']),
  { id: 'steady', station: 'spark', items: ['spark.steady'], take: each('spark.steady') },
  { id: 'colour', station: 'spark', items: ['spark.colour'], take: each('spark.colour') }
];
