import { cylindersOf, type Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { ruleNumber } from '../house-rules/rules.ts';
import { pistonDepths } from '../stations/turn/depths.ts';
import { lockTree } from '../stations/turn/lock.ts';
import type { AfterSetting, ThroughLinkage } from '../stations/turn/facts.ts';
import { isTight, roughTree } from '../stations/turn/rough.ts';
import { rodAsked } from '../stations/turn/shift-rod.ts';
import { lastSoak, soakOver } from '../stations/turn/soak.ts';
import { isAfter, latestAt } from '../units/instant.ts';
import { asked, at, goOn, job, look, repeat, trial, type AskRule, type Asks } from './ask.ts';
import { pumpOpen } from './asks-cooling.ts';

/** Whether it is the propeller on its hub, or a shear pin: before the gears are blamed. */
export const twist = look('Twist the propeller against the flywheel', ['look.twist'], 2);

/** What makes it stiff may stand in a hole, as water does; and what soaks it goes in there. Named as the check that it is. */
const plugsOut = look('Plugs out and read', ['plugs.read', 'plugs.hole'], 8, {
  station: 'plugs',
  open: (c) => !c.record.touched('plugs')
});

/** Oil hides grit: what turns smoothly today is turned again tomorrow. */
const nextDay = repeat('Turn it by hand again, a day later', 'turn', 2, {
  items: ['turn.result', 'turn.feel'],
  from: (c) => {
    const last = c.record.last('turn.result');
    return last && Date.parse(last.at) + ruleNumber(c.rules, 'nextDay') * 3_600_000;
  }
});

/** Soaked since it was last turned: the oil has its day, and then it is turned before anything more comes off for it. */
const soaking = (c: Context): boolean => {
  const soak = lastSoak(c);
  return soak !== '' && !c.record.all('turn.result').some((r) => isAfter(r.at, soak));
};
const afterSoak = repeat('Turn it by hand again, a day after the soak', 'turn', 2, {
  items: ['turn.result'],
  open: soaking,
  from: soakOver
});
/** Locked before its soak, and stiff after it: the oil works, and is given more time before anything else is. */
const easing: AskRule = {
  ...nextDay,
  title: 'More oil, no force: turn it by hand again, a day later',
  open: (c) => {
    const soak = lastSoak(c);
    const turned = c.record.all('turn.result').filter((r) => r.value !== 'unknown');
    const before = turned.findLast((r) => !isAfter(r.at, soak));
    return soak !== '' && before?.value === 'locked' && turned.at(-1)?.value === 'stiff';
  }
};
/** Rust was seen in a bore that no oil was given yet: that is the likelier end of the search, and costs ten minutes. */
const rustUnsoaked = (c: Context): boolean =>
  lastSoak(c) === '' && cylindersOf(c).some((cylinder) => c.record.value('plugs.hole', cylinder) === 'rust');
/** Rust in a hole is seen in minutes, before a leg comes off to see whether it is the leg. */
const beforeLeg: AskRule = {
  ...plugsOut,
  open: (c, f) => lockTree(c)?.next?.item === 'turn.lockLeg' && !soaking(c) && plugsOut.open(c, f)
};
/** While the oil has its day, what costs a minute goes on; the leg stays on. */
const lockTrial = trial(lockTree, {
  open: (c, f) => {
    const next = lockTree(c)?.next;
    if (!next || (soaking(c) && c.past(soakOver(c)!))) return false;
    return next.item !== 'turn.lockLeg' || (!soaking(c) && !rustUnsoaked(c) && !beforeLeg.open(c, f));
  }
});

/** A belt turns its valves, or nobody said what does. */
function beltDriven(c: Context): boolean {
  const { strokes, camDrive = 'unknown' } = c.survey.engine.profile;
  return strokes === 'four' && (camDrive === 'belt' || camDrive === 'unknown');
}

/** Where a belt drives its valves: jumped a tooth, it has spark, fuel and air, and fires at the wrong moment. */
export const beltLook = look('Timing belt and its marks', ['turn.belt'], 10, {
  open: (c, f) => c.survey.engine.profile.camDrive === 'belt' && look('', ['turn.belt'], 10).open(c, f)
});
export const depths = look('Every piston’s depth at top', ['turn.depth'], 10);
/** A tight spot may be a bent rod: what is measured through the plug holes comes before a leg is off. */
const depthsBeforeLeg: AskRule = {
  ...depths,
  open: (c, f) => {
    if (!isTight(c) || cylindersOf(c).length < 2) return false;
    const next = roughTree(c)?.next?.item;
    return (next === undefined || next === 'turn.roughLeg') && depths.open(c, f);
  }
};
/** A piston that stands low is what binds: the leg stays on while that is measured again. */
const whereRough = trial(roughTree, {
  open: (c) => roughTree(c)?.next !== undefined && !(isTight(c) && pistonDepths(c).low.length > 0)
});
const compression = look('Compression, every cylinder', ['compression.pressure'], 10);

interface BumpValues {
  readonly plugs?: 'in';
  readonly counted?: number;
  readonly expected?: number;
}
const valuesOf = (f: Finding): BumpValues => (f.values ?? {}) as BumpValues;

/** A stiff linkage is freed and shifted again before it is set: what is judged by its feel says little through it. */
const through = (f: Finding): string | undefined => (f.values as ThroughLinkage | undefined)?.linkage;
const free = job('structure', { open: (c, f) => through(f) === 'stiff' && job('structure').open(c, f) });
const shiftAgain = repeat('Shift through by hand again', 'turn', 2, {
  items: ['turn.neutral', 'turn.forward', 'turn.reverse'],
  open: (_, f) => through(f) === 'freed'
});
/** Dragging cold is shifted again while it is warm from its run. */
const dragsCold = (f: Finding): boolean => (f.values as { cold?: true } | undefined)?.cold === true;
const shiftWarm = repeat('Neutral again, warm from the run', 'turn', 2, {
  items: ['turn.neutral'],
  late: 'release',
  open: (c, f) => dragsCold(f) && !through(f) && c.record.value('run.outcome') === 'ran'
});
/** With the linkage set it is the joint of the shift rod, and only then the gear case. */
export const shiftRod = look('Shift rod: does it follow the lever?', ['turn.shiftRod'], 10, {
  open: (c) => !rodAsked(c)
});
const thoughSet = (f: Finding): boolean => (f.values as AfterSetting | undefined)?.set === true;
const setLinkage = [
  free,
  shiftAgain,
  { ...shiftRod, open: (c: Context, f: Finding) => thoughSet(f) && shiftRod.open(c, f) },
  shiftWarm,
  job('linkage', { open: (c, f) => !through(f) && !dragsCold(f) && job('linkage').open(c, f) })
];

/** An engine that does not turn is asked for nothing else of the kind before that. */
const beforeElse = (...list: readonly AskRule[]): readonly AskRule[] =>
  list.map((r) => ({ ...r, first: true as const }));

/** What turning by hand asks for, in the trade's order. C: common practice. */
export const turnAsks: Asks = {
  'turn.locked': beforeElse(
    look('Plugs out: liquid locks it like rust', ['turn.plugs'], 8, {
      open: (c) => c.record.value('turn.plugs') !== 'out' && !asked(c, 'turn.plugs')
    }),
    beforeLeg,
    lockTrial,
    afterSoak,
    job('soak', { open: (c, f) => lockTree(c)?.found?.id === 'head' && job('soak').open(c, f) })
  ),
  'turn.locked-liquid': [
    goOn('Plugs out, holes lowest: turn it again by hand', 'turn', 5, { items: ['turn.plugs', 'turn.result'] })
  ],
  'turn.locked-gears': [goOn('Neutral, propeller free: turn it again by hand', 'turn', 2, { items: ['turn.result'] })],
  // Turned again by hand, that is proved.
  'turn.locked-pinion': [job('pinion')],
  'turn.pinion': [job('pinion', { late: true })],
  // With the leg off the pump stands open on top of it: that is seen before the case is taken apart.
  'turn.locked-leg': [
    repeat('Turn it by hand again, after the work on the leg', 'turn', 2, {
      items: ['turn.result'],
      open: (c) => {
        const turned = latestAt(c.record.all('turn.result'));
        return [...c.worked('cooling'), ...c.worked('gear')].some((at) => isAfter(at, turned));
      }
    }),
    look('Lower gear plug a crack open', ['gear.first'], 4),
    { ...pumpOpen, minutes: 15 },
    job('metal')
  ],
  'turn.gritty': [trial(roughTree), afterSoak, job('soak')],
  'turn.feel': [depthsBeforeLeg, whereRough, afterSoak, job('feel')],
  'turn.feel-head': [job('overhaul')],
  'turn.rough-pinion': [job('feel')],
  'turn.rough-gears': [
    look('Lower gear plug a crack open', ['gear.first'], 4),
    look('Gear oil out: look, magnet', ['gear.magnet', 'gear.look'], 15)
  ],
  'turn.rough-leg': [
    look('Lower gear plug a crack open', ['gear.first'], 4),
    look('Gear oil out: look, magnet', ['gear.magnet', 'gear.look'], 15)
  ],
  'turn.stiff': beforeElse(plugsOut, easing, job('soak'), nextDay),
  'turn.again': [nextDay],
  'turn.assembled': [repeat('Undo what was done last, then turn it again', 'turn', 10, { items: ['turn.assembled'] })],
  // It stands among the decisive checks, behind what makes it safe to put a hand there.
  'turn.unturned': [look('Turn it by hand', ['turn.result'], 2, { late: 'release' })],
  'turn.nobumps': [
    look('Say whether the plugs were in', ['turn.plugs'], 1),
    repeat('Turn it by hand again, plugs in, and count the bumps', 'turn', 2, {
      items: ['turn.bumps'],
      // Said after it was turned, too: that turn is made once more.
      open: (c, f) => c.record.value('turn.plugs') === 'in' && valuesOf(f).counted === undefined
    }),
    repeat('Turn it by hand once more, the plugs out', 'turn', 2, {
      items: ['turn.result'],
      open: (c) => c.record.value('turn.plugs') === 'out'
    }),
    { ...beltLook, open: (c, f) => valuesOf(f).counted === 0 && beltDriven(c) && !asked(c, 'turn.belt') },
    // Nobody knows where the plugs were: that says nothing of compression.
    { ...compression, open: (c, f) => valuesOf(f).plugs === 'in' && compression.open(c, f) }
  ],
  'turn.bumps': [
    repeat('Count the bumps again, over two turns', 'turn', 2, {
      items: ['turn.bumps'],
      open: (c, f) => {
        const { counted = 0, expected = 0 } = valuesOf(f);
        return counted > expected && c.record.all('turn.bumps').filter((r) => r.value === counted).length < 2;
      }
    }),
    // They come out for it, and are read on the way.
    { ...plugsOut, open: (c, f) => compression.open(c, f) && plugsOut.open(c, f) },
    compression
  ],
  'turn.water': [goOn('Turn by hand, holes lowest, until no more water comes', 'turn', 5, { items: ['turn.water'] })],
  'turn.depth': [
    repeat((_, f) => `Piston depth${at(f)} again, its top found anew`, 'turn', 5, {
      items: ['turn.depth'],
      open: (_, f) => (f.values as { once?: boolean } | undefined)?.once === true
    })
  ],
  'turn.depth-odd': [
    repeat((_, f) => `Piston depth${at(f)} again, its top found anew`, 'turn', 5, {
      items: ['turn.depth'],
      open: (_, f) => (f.values as { again?: boolean } | undefined)?.again !== true
    })
  ],
  'turn.depths': [
    look('The depth that a straight rod gives: maker’s figure, or a sister engine', ['turn.depthRight'], 10, {
      open: (c) => pistonDepths(c).alone && !asked(c, 'turn.depthRight')
    }),
    repeat('Piston depths again', 'turn', 10, { items: ['turn.depth'], open: (c) => !pistonDepths(c).alone })
  ],
  'turn.shift': setLinkage,
  'turn.gear': setLinkage,
  'turn.shift-joint': [job('shift-joint')],
  'turn.gear-joint': [job('shift-joint')],
  'turn.shift-inside': [job('clutch-dog')],
  'turn.gear-inside': [job('clutch-dog')],
  'turn.start-lock': [job('neutral-switch')],
  'turn.joint': [job('shift-joint')],
  'turn.dog': [
    twist,
    repeat('Shift through by hand again', 'turn', 2, {
      items: ['turn.forward', 'turn.reverse'],
      open: (_, f) => (f.values as { why?: string } | undefined)?.why === 'hub-mended'
    }),
    job('propeller', { only: ['cannot-tell'] }),
    ...setLinkage.map((rule) => ({ ...rule, only: ['fault'] as const }))
  ],
  'turn.dog-worn': [twist, shiftRod, job('clutch-dog', { only: ['fault'] })],
  'turn.reverse-lock': setLinkage,
  'turn.belt': [job('belt')]
};
