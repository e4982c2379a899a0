import { describe, expect, it } from 'vitest';
import { allItems, itemIds, type ItemId } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { kinds } from '../profiles.ts';

/** Answers that may leave everything as it was: what says that all is well, how a thing was tried, and what is not done yet. */
const quiet: Readonly<Partial<Record<ItemId, readonly string[]>>> = {
  'safe.lanyard': ['out'],
  'safe.battery': ['off'],
  'safe.propeller': ['off'],
  'safe.secured': ['yes'],
  'safe.rinsed': ['yes', 'kept', 'no'],
  'turn.plugs': ['in', 'out'],
  'turn.water': ['none', 'oil'],
  'turn.soaked': ['yes', 'no'],
  'turn.lockNeutral': ['free', 'still'],
  'turn.lockPinion': ['free', 'still'],
  'turn.lockLeg': ['free', 'still'],
  'turn.roughNeutral': ['smooth', 'still'],
  'turn.roughPinion': ['smooth', 'still'],
  'turn.roughLeg': ['smooth', 'still'],
  'turn.assembled': ['same'],
  'turn.neutral': ['spins'],
  'turn.forward': ['follows'],
  'turn.reverse': ['follows'],
  'turn.reverseLock': ['rises'],
  'turn.startLock': ['locks'],
  'turn.shiftRod': ['follows'],
  // Asked by the drowned hold, which stands until they are told to be over.
  'turn.pass': ['water', 'drops', 'clear'],
  'turn.dried': ['yes', 'part', 'no'],
  'plugs.order': ['yes', 'no'],
  'plugs.hole': ['clean'],
  'plugs.rope': ['good'],
  'plugs.starterCircuit': ['turns'],
  'plugs.starterDirect': ['turns'],
  'plugs.voltsEnd': ['through'],
  'spark.lanyard': ['yes', 'no'],
  'spark.brisk': ['yes', 'no'],
  'spark.colour': ['blue'],
  'spark.steady': ['steady'],
  'spark.stray': ['none'],
  'spark.coilLook': ['whole'],
  'spark.leadLook': ['whole'],
  'spark.stopWire': ['still'],
  'spark.supply': ['yes'],
  'spark.groundWire': ['still'],
  'spark.plugSwap': ['stays'],
  'spark.leadSwap': ['stays'],
  'spark.coilSwap': ['stays'],
  'spark.pointsClean': ['still'],
  'spark.pointsLook': ['clean'],
  'spark.rubBlock': ['greased'],
  'spark.condenserSwap': ['still'],
  'spark.keyLook': ['sound'],
  'spark.packSwap': ['still'],
  'spark.chargeTest': ['within'],
  'spark.triggerTest': ['within'],
  // Heard beside a measured cylinder (places.test.ts); alone it says nothing.
  'compression.crankcase': ['held'],
  'gear.explained': ['no'],
  // Of a line that was seen; alone they say nothing.
  'cooling.passages': ['free'],
  'gear.dyeCase': ['paint', 'metal'],
  'gear.dyeSkeg': ['paint', 'metal'],
  'gear.caseTurned': ['yes', 'no'],
  'gear.caseOpen': ['yes', 'no'],
  'gear.levelHole': ['bubbleFree', 'bubbles', 'no'],
  'gear.refill': ['no'],
  'gear.slots': ['good'],
  'gear.washers': ['yes', 'no'],
  'oil.level': ['yes'],
  'oil.smell': ['oil'],
  'oil.lastMark': ['between', 'above', 'not-dipped'],
  'oil.look': ['dark'],
  'oil.sump': ['drained', 'no'],
  'oil.filter': ['renewed', 'no'],
  'oil.washer': ['yes', 'no'],
  'run.event': ['start', 'stop'],
  'run.exhaust': ['yes'],
  'run.lamp': ['none'],
  'run.smoke': ['none', 'first'],
  'run.leaks': ['none'],
  'run.noise': ['none'],
  'run.air': ['same'],
  'run.gears': ['both'],
  'run.idles': ['even'],
  'run.drop': ['falls'],
  'run.second': ['same', 'normal'],
  'run.plugAfter': ['dry'],
  'run.longRun': ['yes', 'no'],
  'run.tight': ['yes', 'no'],
  'run.counters': ['reset', 'not-proved', 'no']
};

const acted = (b: Bench): string => {
  const a = b.assessed();
  return JSON.stringify([
    a.findings.map((f) => [f.id, f.condition]),
    a.holds.map((h) => [h.id, h.standing]),
    a.steps.map((s) => s.id),
    a.gates.map((g) => [g.id, g.passes])
  ]);
};

const answers = itemIds.flatMap((id) => {
  const item = allItems[id];
  if (item.kind !== 'choice' && item.kind !== 'several') return [];
  return item.options.map(({ value }) => ({ id, value, several: item.kind === 'several', own: item.perCylinder }));
});

describe('one answer, and nothing else known: what is not as it should be is heard', () => {
  it('on engines of every kind, dry and drowned', () => {
    const unheard = new Set<string>();
    const heard = new Set<string>();
    for (const profile of kinds.filter((k) => k.cylinders !== undefined))
      for (const kind of ['long-stored', 'drowned', 'neglected'] as const) {
        const engine = new Bench(profile, kind);
        const before = acted(engine);
        for (const { id, value, several, own } of answers) {
          if (heard.has(`${id} ${value}`)) continue;
          if (value === 'unknown' || value === 'not-fitted' || quiet[id]?.includes(value)) continue;
          const { when } = allItems[id];
          if (when && !when(profile)) continue;
          const b = engine.fork().read(id, (several ? [value] : value) as never, own ? { cylinder: 1 } : {});
          (acted(b) === before ? unheard : heard).add(`${id} ${value}`);
        }
      }
    expect([...unheard].filter((x) => !heard.has(x))).toEqual([]);
  });
});
