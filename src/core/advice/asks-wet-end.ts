import type { Context } from '../findings/context.ts';
import { onsetOf } from '../findings/onset.ts';
import { school } from '../house-rules/rules.ts';
import { isAfter } from '../units/instant.ts';
import { placeIds } from '../stations/look/places.ts';
import type { ItemId } from '../stations/items.ts';
import {
  caseAir,
  caseResult,
  caseStages,
  stageIds,
  stageTest,
  turnedAt,
  openedAt
} from '../stations/gear/case-test.ts';
import type { CaseStage } from '../stations/gear/case-test.ts';
import { caseEmpty, leakPlace, withoutMagnet } from '../stations/gear/case-state.ts';
import { bubblesAtHousing, crackDepth, crackedThrough, dyeAsked, type CrackPlace } from '../stations/gear/crack.ts';
import {
  FAR_UNDER,
  drainedShare,
  foundEmpty,
  oilLost,
  oilLow,
  washersFirst,
  washersTried,
  waterSeen
} from '../stations/gear/water.ts';
import { wetSinceFill } from '../stations/gear/wet.ts';
import { lockTree } from '../stations/turn/lock.ts';
import { askedAfter } from '../findings/asked-after.ts';
import { asked, goOn, job, look, repeat, type Asks, type AskRule } from './ask.ts';

/** Drained and not filled since: what was seen stands, whatever was done to the case meanwhile. */
const drain = look('Drain and measure the gear oil, look for metal', ['gear.look', 'gear.drained'], 15, {
  open: (c) => !caseEmpty(c) && !asked(c, 'gear.look') && !asked(c, 'gear.drained')
});
/** When oil, or cream, was first seen at a hub that had been dry. */
const hubWet = (c: Context): string | undefined =>
  onsetOf(c.record.all('look.hub'), (v) => v === 'oil' || v === 'cream');
const wholeCase = look('Case test, low stage first, shafts turned', ['gear.casePressure', 'gear.pressureTest'], 20);
/** Water came in, oil out at the hub, or it was opened, after the last test: that says how the case was then. Or it was broken off, and the case filled. */
const testedBefore = (c: Context): boolean => {
  const read = c.record.all('gear.casePressure').at(-1)?.at;
  const since = [wetSinceFill(c), hubWet(c), openedAt(c), oilLost(c)];
  const gone = caseResult(c).verdict === undefined;
  return read !== undefined && (gone || since.some((at) => at !== undefined && isAfter(at, read)));
};
/** Its shafts turn at every stage: of a leg that is locked it waits until that is free. */
const caseTest: AskRule = {
  ...wholeCase,
  open: (c, f) => lockTree(c)?.found?.id !== 'leg' && (wholeCase.open(c, f) || testedBefore(c))
};

/** Without a magnet of its own, one is drawn through the oil that came out. */
const magnet = look(
  (c) =>
    withoutMagnet(c)
      ? 'A magnet drawn through the oil that came out: what hangs on it'
      : 'Wipe the magnet and name what is on it',
  ['gear.magnet'],
  3,
  {
    open: (c) =>
      !asked(c, 'gear.magnet') ||
      (c.record.value('gear.magnet') === 'not-fitted' && c.record.value('gear.look') === 'metallic')
  }
);
/** Oil that shimmers is asked of the magnet: of this oil, not of what hung there before it was seen. */
function shimmersSince(c: Context): boolean {
  const oil = c.record.last('gear.look');
  const seen = c.record.all('gear.magnet').findLast((r) => r.value !== 'unknown');
  return oil?.value === 'metallic' && !(seen && isAfter(seen.at, oil.at));
}

/** Soap was put on since the last stage was begun, or nobody has worked on the case since it was. */
function soapedAtLast(c: Context): boolean {
  const soaped = c.record.all('gear.caseBubbles').at(-1)?.at;
  const read = c.record.all('gear.casePressure').at(-1)?.at;
  return soaped !== undefined && !(read && c.worked('gear').some((w) => isAfter(w, soaped) && isAfter(read, w)));
}

type NextStep = { readonly title: string; readonly minutes: number };
type StageStep = NextStep & { readonly stage: CaseStage };

/** What a stage that does not stand as held asks for; nothing once it has said what it can. */
function stepAt(c: Context, stage: CaseStage): NextStep | undefined {
  const t = stageTest(c, stage);
  const label = caseStages[stage].label.toLowerCase();
  if (!t) return { title: `Case test: the ${label} stage now`, minutes: 10 };
  if (t.onLimit) {
    // Soap that was put on before this stage says nothing of it.
    const soaped = c.record.all('gear.caseBubbles').some((r) => isAfter(r.at, t.readings[0]!.at));
    if (soaped) return undefined;
    return stage === 'vacuum'
      ? { title: 'Case test: low pressure on again, soapy water over every seal and plug', minutes: 5 }
      : { title: `Case test: soapy water over every seal and plug at the ${label} stage`, minutes: 5 };
  }
  if ((t.verdict === 'hold' || t.verdict === 'begun') && t.left) {
    const minutes = Math.ceil(t.minutes + (t.holdFor ?? 10));
    return { title: `Case test: the ${label} stage again, held for ${minutes} minutes`, minutes };
  }
  if (t.verdict === 'hold' || t.verdict === 'begun') {
    const minutes = Math.max(1, Math.ceil(t.holdFor ?? 10));
    return {
      title: `Case test: hold the ${label} stage ${minutes} more ${minutes === 1 ? 'minute' : 'minutes'}`,
      minutes
    };
  }
  if (!turnedAt(c, stage)) return { title: `Case test: turn both shafts at the ${label} stage`, minutes: 2 };
  return { title: `Case test: the ${label} stage again`, minutes: 10 };
}

/** What a case test asks for next: one stage that has said what it can keeps none of the others waiting. */
function nextStage(c: Context): StageStep | undefined {
  const { open } = caseResult(c);
  // What is on is held to its end before another stage is put on, in their order.
  const on = open.filter((s) => ['hold', 'begun'].includes(String(stageTest(c, s)?.verdict)) && !stageTest(c, s)!.left);
  for (const stage of new Set([...on, ...open])) {
    const step = stepAt(c, stage);
    if (step) return { ...step, stage };
  }
  return undefined;
}
const stage = goOn(
  (c) => nextStage(c)?.title,
  'gear',
  (c) => nextStage(c)?.minutes ?? 10,
  {
    open: (c) => caseResult(c).verdict !== 'leaked' && nextStage(c) !== undefined,
    items: ['gear.casePressure', 'gear.caseTurned', 'gear.caseBubbles']
  }
);
/** What one stage cannot tell yet; its sentence speaks of the step only where that is a step of this stage. */
const ofStage = (id: CaseStage): readonly AskRule[] => [
  { ...capacity, only: ['cannot-tell'] },
  { ...stage, only: ['cannot-tell'], open: (c, f) => nextStage(c)?.stage === id && stage.open(c, f) }
];
/** A test that was begun; one that nobody began is asked for as a whole. */
const begunStage: AskRule = {
  ...stage,
  open: (c) => ['begun', 'said'].includes(String(caseResult(c).verdict)) && nextStage(c) !== undefined
};

/** What a leak is comes from how far it falls and how much air is in the case. */
const capacity = goOn('Enter the gear case’s oil capacity, from the manual', 'gear', 1, {
  open: (c) =>
    caseAir(c) === undefined && stageIds.some((s) => ['hold', 'held'].includes(String(stageTest(c, s)?.verdict)))
});

/** Places of the look-over that nobody has been asked about. */
const unlooked = (c: Context): readonly ItemId[] =>
  placeIds.map((p) => `look.${p}` as const).filter((item) => c.record.asked(item) === undefined);

const drainedFirst = (c: Context): boolean => school(c.rules, 'gearCheck') === 'full';

/** How deep a crack goes, before anybody pays for it: dye, then the whole test where that does not say (C). */
const howDeep = (place: CrackPlace, dye: 'gear.dyeCase' | 'gear.dyeSkeg', title: string): readonly AskRule[] => [
  look(title, [dye], 10, {
    only: ['fault'],
    open: (c) => crackDepth(c, place) === 'untold' && !dyeAsked(c, place)
  }),
  ...[drain, capacity, begunStage, caseTest].map((r): AskRule => ({
    ...r,
    only: ['fault'],
    open: (c, f) => crackDepth(c, place) === 'untold' && !bubblesAtHousing(c) && r.open(c, f)
  })),
  job('crack', { only: ['fault'], open: (c, f) => crackedThrough(c) && job('crack').open(c, f) })
];

/** What the look at the leg and the gear case ask for, in the trade's order. C: common practice. */
export const wetEndAsks: Asks = {
  'look.left': [
    goOn('Look at what is left of the look-over', 'look', 2, {
      late: 'release',
      items: unlooked,
      open: (c) => unlooked(c).length > 0
    })
  ],
  // Drained, it is tested before it is filled: what is at the hub came out at a seal.
  'look.hub': [
    look('Lower gear plug a crack open', ['gear.first'], 4, {
      open: (c) => !asked(c, 'gear.first') || !askedAfter(c, 'gear.first', hubWet(c))
    }),
    drain,
    capacity,
    begunStage,
    caseTest
  ],
  'look.case': [
    look('Lower gear plug a crack open', ['gear.first'], 4),
    // It weeps: wiped, waited for, seen again; then the case says whether it is tight.
    look('Wiped dry and waited: does it weep again, and where from?', ['look.case'], 10, {
      only: ['watch'],
      open: (c) => c.record.all('look.case').filter((r) => r.value === 'weeping').length < 2
    }),
    ...[begunStage, caseTest].map((r): AskRule => ({ ...r, only: ['watch'], late: 'release' })),
    ...howDeep('case', 'gear.dyeCase', 'Dye on the line along the case, on bare metal')
  ],
  'look.skeg': howDeep('skeg', 'gear.dyeSkeg', 'Dye on the crack of the skeg, both its ends'),
  'gear.forecast': [look('Enter the coldest night of the forecast', ['safe.forecast'], 1)],
  'gear.water': [
    look('Lower gear plug a crack open, after use', ['gear.first'], 4, { late: 'release', open: washersTried }),
    { ...drain, open: (c, f) => !washersTried(c) && drain.open(c, f) },
    // Of a house that takes the washers for it first: renewed with the refill, and looked at again.
    job('gear-refill', {
      open: (c, f) => washersFirst(c) && !washersTried(c) && waterSeen(c) && job('gear-refill').open(c, f)
    }),
    capacity,
    begunStage,
    { ...caseTest, open: (c, f) => !(washersFirst(c) && waterSeen(c)) && caseTest.open(c, f) },
    job('gear-refill', { only: ['watch'] })
  ],
  'gear.test-open': [capacity, stage],
  'gear.case-low': ofStage('low'),
  'gear.case-high': ofStage('high'),
  'gear.case-vacuum': ofStage('vacuum'),
  // Soaped before this leak was read, it says nothing of it.
  'gear.test': [
    look('Soapy water: where it bubbles', ['gear.caseBubbles'], 5, { only: ['fault'], open: (c) => !soapedAtLast(c) })
  ],
  // Enough for a stand run; before it goes back the oil is seen and measured.
  'gear.crack': [
    look('Drain and measure the gear oil, look for metal', ['gear.drained', 'gear.look', 'gear.magnet'], 20, {
      late: 'release',
      open: (c) => c.record.value('run.outcome') === 'ran' && !drainedFirst(c)
    }),
    // Of a house that never runs on a crack of the plug.
    { ...drain, open: (c, f) => drainedFirst(c) && drain.open(c, f) }
  ],
  // Read again once it was seen to bubble, the gauge has said what it can: what was seen stands.
  'gear.bubbles': [
    goOn('A fresh washer for each gear plug, then the same stage again', 'gear', 15, {
      open: (c) => leakPlace(c) === 'plugs' && !asked(c, 'gear.washers'),
      items: ['gear.washers', 'gear.casePressure', 'gear.caseBubbles']
    }),
    repeat('Case test: the stage again at which it bubbles, shafts turned', 'gear', 15, {
      items: ['gear.casePressure', 'gear.caseTurned'],
      open: (c) => {
        const seen = c.record.last('gear.caseBubbles');
        return !c.record.all('gear.casePressure').some((r) => seen !== undefined && isAfter(r.at, seen.at));
      }
    })
  ],
  // What was opened is tested by the work's own proof, where that is the test.
  'gear.test-opened': [{ ...caseTest, late: 'start' }],
  'gear.test-seals': [job('reseal', { only: ['fault'] })],
  'gear.test-inwards': [job('reseal', { only: ['fault'] })],
  'gear.test-hidden': [job('reseal', { only: ['fault'] })],
  'gear.test-not-seals': [
    look('A fingernail over both shafts, where the lips run', ['gear.shaftGroove'], 10, { only: ['fault'] }),
    look('Dye over the bare metal of the case', ['gear.dyeCase'], 15, { only: ['fault'] })
  ],
  'gear.test-nowhere': [
    goOn('The tester’s fitting, a fresh washer for each plug, then the same stage again', 'gear', 15, {
      open: (c) => !asked(c, 'gear.washers'),
      items: ['gear.washers', 'gear.casePressure', 'gear.caseBubbles']
    }),
    goOn('The tester’s fitting under soap, then the same stage again, the case under water', 'gear', 15, {
      items: ['gear.casePressure', 'gear.caseBubbles']
    })
  ],
  'gear.test-plugs': [
    goOn('A fresh washer for each gear plug, then the same stage again', 'gear', 15, {
      only: ['fault'],
      items: ['gear.washers', 'gear.casePressure', 'gear.caseBubbles']
    })
  ],
  'gear.test-housing': [job('crack', { only: ['fault'] })],
  // Both plugs out before anything is said of seals.
  'gear.nothing': [
    look('Drain and measure the gear oil, look for metal', ['gear.look', 'gear.drained', 'gear.magnet'], 15, {
      open: (c) => (!asked(c, 'gear.look') && !asked(c, 'gear.drained')) || foundEmpty(c)
    }),
    { ...caseTest, open: (c, f) => oilLost(c) !== undefined && caseTest.open(c, f) }
  ],
  'gear.amount': [
    // Run dry, it is metal that says how far it went.
    { ...magnet, only: ['fault'] },
    {
      ...caseTest,
      open: (c, f) => oilLow(c) && caseTest.open(c, f),
      only: ['watch', 'fault']
    },
    goOn('Let it drain longer, tilted a little at the end', 'gear', 15, {
      items: ['gear.drained'],
      only: ['watch'],
      // More than it holds has come out whole.
      open: (c) => {
        const share = drainedShare(c) ?? 1;
        return share >= FAR_UNDER && share < 1 && !asked(c, 'gear.refill') && !asked(c, 'gear.casePressure');
      }
    })
  ],
  // Behind it is what the case has to say.
  'gear.slots': [
    job('gear-plugs', {
      late: true,
      open: (c, f) =>
        c.record.value('gear.slots') === 'stuck' && !asked(c, 'gear.first') && job('gear-plugs').open(c, f)
    })
  ],
  'gear.metal': [
    { ...magnet, open: (c, f) => magnet.open(c, f) || shimmersSince(c) },
    job('metal', { only: ['fault'] })
  ],
  'gear.unseen-oil': [
    look('Lower gear plug a crack open', ['gear.first'], 4, {
      late: 'release',
      open: (c) => !caseEmpty(c) && !asked(c, 'gear.first')
    }),
    look('Look at the gear oil that came out', ['gear.look'], 1, {
      late: 'release',
      open: (c) => caseEmpty(c) && !asked(c, 'gear.look')
    })
  ],
  'gear.unseen-magnet': [{ ...magnet, late: 'release' }],
  // It ran hot or low: what was torn off meanwhile hangs on the magnet.
  'gear.burnt': [magnet],
  'gear.burnt-again': [magnet, job('metal')],
  'gear.stand-fill': [job('gear-refill')],
  'gear.poured': [
    goOn('Go on filling from the lowest plug, bubble-free', 'gear', 5, {
      only: ['cannot-tell'],
      items: ['gear.poured', 'gear.levelHole']
    })
  ]
};
