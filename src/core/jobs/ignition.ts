import { school } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import { accusedParts } from '../stations/spark/accused.ts';
import { mendedSinceSeen, ownPartsStay, poorEverywhere } from '../stations/spark/own-parts.ts';
import { groundUntried } from '../stations/spark/analyse.ts';
import { packUntried } from '../stations/spark/isolation.ts';
import { only, type JobRule } from './job.ts';

const POINTS = ['spark.pointsLook', 'spark.pointsClean', 'spark.pointsGap', 'spark.condenserSwap'] as const;
/** By its profile, or by what somebody found under its flywheel. */
const mayHavePoints = (c: Context): boolean =>
  ['points', 'unknown', undefined].includes(c.survey.engine.profile.ignition) ||
  POINTS.some((item) => c.record.all(item).some((r) => r.value !== 'unknown'));

/** Ignition. */
export const ignition = {
  'spark-repeat': {
    title: 'Look at the spark again, properly',
    raisedBy: ['spark.lanyard', 'spark.sun', 'spark.slow', 'spark.bolt-only'],
    how: 'Lanyard in, switch on run, plugs out, good battery, in the shade.',
    tools: ['spark tester'],
    minutes: 5,
    hazards: ['high-voltage', 'vapour'],
    proof: { station: 'spark', text: 'every cylinder looked at under these conditions', reads: ['spark.result'] },
    opens: ['cowl', 'plugs'],
    phase: 'repeat'
  },
  'stop-circuit': {
    title: 'Mend the stop circuit',
    raisedBy: [only('spark.stop', 'fault'), 'spark.part-stop'],
    how: 'Follow the stop wire from the engine to the switch: chafed, chewed, grounded. Mend it, then prove that it still stops the engine.',
    tools: ['meter', 'crimp tool'],
    parts: ['wire', 'sleeve'],
    seenRunning: true,
    minutes: 40,
    hazards: ['high-voltage'],
    proof: { station: 'spark', text: 'good spark on every cylinder with the stop wire on', reads: ['spark.result'] },
    renews: ['spark.stopWire'],
    spoiledBy: ['spark.all'],
    opens: ['cowl']
  },
  'spark-common': {
    title: 'Renew the power pack, proved by a known good one',
    yieldsTo: ['stop-circuit', 'ground', 'coil', 'points', 'wiring'],
    raisedBy: ['spark.part-pack', 'spark.own-pack'],
    unless: packUntried,
    renews: ['spark.packSwap'],
    how: 'Plugs and grounds of the box bright first. Then a known good one on the same engine: spark back on every cylinder proves it, before one is bought.',
    tools: ['meter', 'a known good pack'],
    parts: ['power pack or control unit'],
    seenRunning: true,
    minutes: 40,
    hazards: ['high-voltage'],
    proof: { station: 'spark', text: 'good spark on every cylinder', reads: ['spark.result'] },
    spoiledBy: ['spark.all'],
    opens: ['cowl'],
    special: ['a known good pack']
  },
  lead: {
    title: 'Renew plug lead and cap',
    raisedBy: [
      only('spark.damaged-lead', 'fault'),
      'spark.stray-lead',
      'spark.stray-cap',
      'spark.own-lead',
      'run.moved-lead',
      'spark.part-lead'
    ],
    renews: ['spark.leadLook', { item: 'spark.stray', answers: ['lead', 'cap'] }, 'spark.leadSwap'],
    how: 'Lead and cap together, pushed home at both ends, clear of hot and moving parts.',
    tools: ['spark tester'],
    parts: ['plug lead and cap'],
    minutes: 15,
    hazards: ['high-voltage'],
    proof: {
      station: 'spark',
      text: 'good spark on that cylinder, in shade',
      reads: ['spark.result'],
      wants: { 'spark.result': 'good' }
    },
    opens: ['cowl']
  },
  'spark-own': {
    title: 'Its own spark parts: a good one in the place of each',
    after: ['plugs'],
    yieldsTo: ['plugs', 'coil'],
    raisedBy: [
      'spark.none',
      'spark.weak',
      'spark.gap',
      'spark.unsteady',
      'spark.colour',
      'spark.misses',
      only('spark.voltage', 'watch')
    ],
    renews: ['spark.plugSwap', 'spark.leadSwap', 'spark.coilSwap'],
    once: true,
    // Each was tried, or one of them was found, or what they hang on; or all of them are poor alike.
    unless: (c) =>
      ownPartsStay(c) ||
      poorEverywhere(c) ||
      mendedSinceSeen(c) ||
      accusedParts(c).some((a) => a.cylinder !== undefined || a.doubt === undefined),
    how: 'On several cylinders swap with a good one: the fault that moves with the part is the part. On a single a known good part in its place. New plug if older than two seasons or wet with water.',
    tools: ['plug wrench', 'spark tester'],
    parts: ['spark plug', 'cap or lead if it moves'],
    minutes: 15,
    hazards: ['high-voltage'],
    proof: {
      station: 'spark',
      text: 'good spark on that cylinder',
      reads: ['spark.result'],
      wants: { 'spark.result': 'good' }
    },
    opens: ['cowl', 'plugs'],
    torque: ['torque.plug']
  },
  coil: {
    title: 'Renew the coil or winding',
    raisedBy: [
      ...['primary', 'secondary', 'charge', 'trigger'].flatMap((w) => [
        only(`spark.${w}`, 'fault'),
        only(`spark.hot-${w}`, 'fault', 'watch')
      ]),
      only('spark.damaged-coil', 'fault'),
      'run.moved-coil',
      ...['coil', 'charge', 'trigger'].flatMap((part) => [
        only(`spark.part-${part}`, 'fault'),
        only(`spark.own-${part}`, 'fault')
      ]),
      'spark.stray-coil'
    ],
    renews: [
      'spark.coilLook',
      { item: 'spark.stray', answers: ['coil'] },
      'spark.coilSwap',
      'spark.chargeTest',
      'spark.triggerTest'
    ],
    how: 'Measured cold and warm first, at a temperature noted. Puller bolts not too deep; coils under a flywheel crack.',
    tools: ['meter', 'flywheel puller'],
    parts: ['coil'],
    minutes: 45,
    hazards: ['high-voltage', 'flywheel'],
    proof: {
      station: 'spark',
      text: 'it sparks there; a winding that was measured is within the manual’s range, cold and warm',
      reads: ['spark.result', 'spark.primary', 'spark.secondary', 'spark.charge', 'spark.trigger']
    },
    opens: ['cowl', 'flywheel'],
    torque: ['torque.flywheel'],
    special: ['flywheel puller']
  },
  points: {
    title: 'Points and condenser: clean or renew, gap and time',
    raisedBy: [
      'spark.points',
      'spark.points-gap',
      'spark.rub-block',
      only('spark.timing', 'watch'),
      ...['points', 'condenser'].flatMap((part) => [`spark.part-${part}`, `spark.own-${part}`])
    ],
    unless: (c) => !mayHavePoints(c),
    renews: ['spark.pointsLook', 'spark.pointsOhms', 'spark.pointsGap', 'spark.rubBlock', 'spark.condenserSwap'],
    how: 'Paper, solvent, gap at the top of the cam, a smear on the rub block; pitted ones in sets with their condenser. Timing by the marks.',
    tools: ['feeler gauge', 'flywheel puller', 'timing light'],
    parts: ['points and condenser where pitted'],
    counts: ['points'],
    minutes: 45,
    hazards: ['flywheel', 'high-voltage'],
    proof: {
      station: 'spark',
      text: 'good spark in shade; gap, resistance and timing as asked',
      reads: ['spark.result', 'spark.pointsGap', 'spark.pointsOhms', 'spark.pointsLook']
    },
    spoiledBy: ['spark.all'],
    opens: ['cowl', 'flywheel'],
    torque: ['torque.flywheel'],
    special: ['flywheel puller', 'timing light']
  },
  ground: {
    title: 'Clean and tighten the engine ground',
    raisedBy: ['spark.ground', 'spark.part-ground', 'spark.weak-ground'],
    unless: groundUntried,
    yieldsTo: ['points'],
    how: 'Bright metal at both ends; clean the points where there are points.',
    tools: ['wire brush', 'spanners'],
    minutes: 20,
    renews: ['spark.groundWire'],
    proof: { station: 'spark', text: 'good through the tester', reads: ['spark.result'] },
    spoiledBy: ['spark.all'],
    opens: ['cowl']
  },
  plugs: {
    title: 'Clean or renew the plugs',
    renews: ['spark.result', 'spark.plugSwap'],
    wipes: [{ item: 'plugs.read', clean: ['normal', 'dry'] }],
    // A new plug that is cracked, or gapped wrong, is the work itself.
    tellsOfOthers: ['plugs.read', 'plugs.water'],
    raisedBy: [
      'plugs.read',
      'run.moved-plug',
      only('plugs.gap', 'watch', 'fault'),
      'plugs.cracked',
      'plugs.water',
      'spark.own-plug',
      'spark.part-plug'
    ],
    how: 'Renewed when older than two seasons, cracked, or wet with water; else cleaned and gapped to the manual. Torque where known.',
    tools: ['plug wrench', 'gap gauge'],
    parts: ['spark plugs'],
    minutes: 15,
    proof: { station: 'plugs', text: 'every plug reads and gaps as it should', reads: ['plugs.read', 'plugs.gap'] },
    proofAt: {
      spark: {
        station: 'spark',
        text: 'good spark on that cylinder, in shade',
        reads: ['spark.result'],
        wants: { 'spark.result': 'good' }
      }
    },
    opens: ['cowl', 'plugs'],
    torque: ['torque.plug'],
    counts: ['plugs']
  },
  advance: {
    title: 'Free the advance plate or timer base',
    raisedBy: [only('spark.timing', 'watch')],
    // Points set it where there are any; a shifted flywheel is put right first.
    unless: (c) => mayHavePoints(c) || accusedParts(c).some((a) => a.part === 'key'),
    how: 'By hand over its whole travel, one drop of oil, the linkage set after.',
    minutes: 30,
    hazards: ['flywheel'],
    proof: { station: 'spark', text: 'timing moves with the throttle', reads: ['spark.timing'] },
    opens: ['cowl', 'flywheel']
  },
  'flywheel-key': {
    title: 'Renew the flywheel key',
    raisedBy: ['spark.part-key'],
    renews: [{ item: 'run.noise', answers: ['flywheel'] }, 'spark.keyLook'],
    how: 'Flywheel off with its puller, taper and key way clean and dry, the right key, nut to its torque.',
    tools: ['flywheel puller', 'torque wrench'],
    parts: ['flywheel key'],
    bySchool: (c) =>
      school(c.rules, 'lostKey') === 'improvised'
        ? {
            how: 'Flywheel off with its puller, taper and key way clean and dry. No right key at hand: one cut from key steel of the same section, never harder; a date for the right one. Nut to its torque.',
            parts: ['key steel of its section', 'flywheel key']
          }
        : {},
    minutes: 50,
    hazards: ['flywheel'],
    proof: {
      station: 'spark',
      text: 'the mark where it belongs, timing as asked',
      reads: ['spark.keyLook', 'spark.timing']
    },
    spoiledBy: ['spark.all'],
    opens: ['cowl', 'flywheel'],
    torque: ['torque.flywheel'],
    special: ['flywheel puller']
  }
} as const satisfies Readonly<Record<string, JobRule>>;
