import { isAfter } from '../../units/instant.ts';
import { cylindersOf, listed, type Context } from '../../findings/context.ts';
import { known } from '../../engine/profile.ts';
import type { Because, Finding } from '../../findings/finding.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { depthsFound } from './depths-found.ts';
import { exposure } from './exposure.ts';
import { lockTree } from './lock.ts';
import { plugsAt, plugsWhenTurned } from './plugs-out.ts';
import { shifting } from './shifting.ts';
import { roughTree } from './rough.ts';

/**
 * Compression bumps over two full turns: a two-stroke compresses each cylinder every turn, a four-stroke every other.
 * Cylinders that come up together are felt as one, so fewer is not yet a fault. C: common practice.
 */
export function expectedBumps(strokes: string | undefined, cylinders: number | undefined): number | undefined {
  if (cylinders === undefined) return undefined;
  if (strokes === 'two') return 2 * cylinders;
  return strokes === 'four' ? cylinders : undefined;
}

/** Turned smoothly: with bumps, or without them while the plugs were out. */
export const smooth: ReadonlySet<string> = new Set(['bumps', 'free']);

interface Turn {
  readonly result: string;
  readonly at: string;
}

export interface Turning {
  readonly turns: readonly Turn[];
  /** Smooth turns since the last one that was not. */
  readonly smoothSince: number;
  readonly everBad: boolean;
  /** Smooth again at least the house's hours after the first smooth turn that followed a bad one. */
  readonly provedNextDay: boolean;
}

/** Locked with the plugs in, smooth with them out, and liquid seen to come out: that was the lock, and no rust. */
const liquidLock = (c: Context, t: Turn, next: Turn | undefined): boolean =>
  t.result === 'locked' &&
  plugsAt(c, t.at) === 'in' &&
  next !== undefined &&
  smooth.has(next.result) &&
  plugsAt(c, next.at) === 'out' &&
  c.record.all('turn.water').some((r) => isAfter(r.at, t.at) && ['some', 'much', 'oil'].includes(String(r.value)));

/** The history of hand turns, as the holds need it. */
export function turning(c: Context): Turning {
  const turns = c.record
    .all('turn.result')
    .filter((r) => r.value !== 'unknown')
    .map((r) => ({ result: r.value as string, at: r.at }));
  const lastBad = turns.findLastIndex((t, k) => !smooth.has(t.result) && !liquidLock(c, t, turns[k + 1]));
  const soak = c.record.last('turn.soaked');
  const since = turns
    .slice(lastBad + 1)
    .filter((t) => smooth.has(t.result))
    .filter((t) => soak?.value !== 'yes' || isAfter(t.at, soak.at));
  const first = since[0];
  const last = since[since.length - 1];
  const hours = first && last ? (Date.parse(last.at) - Date.parse(first.at)) / 3.6e6 : 0;
  return {
    turns,
    smoothSince: turns.slice(lastBad + 1).filter((t) => smooth.has(t.result)).length,
    everBad: lastBad >= 0,
    provedNextDay: since.length > 0 && hours >= ruleNumber(c.rules, 'nextDay')
  };
}

const beltWords = { cracked: 'cracked, frayed or swollen', slack: 'slack, or it has jumped', oily: 'oily' } as const;

/** Soaked after the first smooth turn would be hiding what the oil covers. */
const soakedSince = (c: Context): boolean => c.record.value('turn.soaked') === 'yes';

/** Grit, noise or play: where it sits, from what was taken out of it; the bores are not blamed before. */
function rough(c: Context, out: Out, why: Because, felt: readonly string[] = []): void {
  const tree = roughTree(c);
  const is = felt.length
    ? `It turns, with ${listed(felt.map((f) => (f === 'tight' ? 'a tight spot' : f)))}`
    : 'It turns gritty';
  const found = tree?.found;
  if (found && found.id !== 'head')
    out.add(
      `rough-${found.id}`,
      'fault',
      `${is}: it sits in the ${found.label}, not in the power head.${found.id === 'pinion' ? '' : ' Gear oil and magnet say more; no running in gear before.'}`,
      why
    );
  else if (found)
    out.add(
      felt.length ? 'feel' : 'gritty',
      felt.length ? 'watch' : 'fault',
      `${is}, and with the leg off all the same: ${found.label}. Oil it, and turn it again the next day before believing it.`,
      why
    );
  else if (felt.length)
    out.add('feel', 'watch', `${is}. Find out where before it is cranked: neutral first, then the leg.`, why);
  else
    out.add(
      'gritty',
      'fault',
      'It turns gritty: gear case, bearings or bores. In neutral first, then with the leg off; oil it, and turn it again the next day before believing it.',
      why
    );
}

/** Put together and turned: stiffer than before is a thing done wrong, and it is found before it is spun. */
function assembled(c: Context, out: Out): void {
  const said = c.record.value('turn.assembled');
  if (said !== 'stiffer' && said !== 'binds') return;
  out.add(
    'assembled',
    said === 'binds' ? 'fault' : 'watch',
    `It turns ${said === 'binds' ? 'until it binds' : 'stiffer than before'} since it was put together: undo what was done last and look, key, O-ring, washer, shim. Nothing spins before.`,
    practice([`turned after assembly: ${said}`], 'what turned easily before and does not now was put together wrong.')
  );
}

/** What the hand says about it before anything is cranked. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('turn');
  const { record } = c;
  const { turns, everBad, smoothSince, provedNextDay } = turning(c);
  const plugs = record.value('turn.plugs');
  const feel = record.last('turn.feel')?.value;
  const felt = Array.isArray(feel) ? feel : [];
  const last = turns[turns.length - 1];
  const inputs = [`turns recorded: ${turns.map((t) => t.result).join(', ') || 'none'}`, `plugs: ${plugs ?? 'unknown'}`];
  if (last) {
    const why = practice(
      inputs,
      'plugs out, neutral, starter pinion, leg off; only then the bores are blamed. Soak, wait a day, no force.'
    );
    if (last.result === 'locked') {
      const tree = lockTree(c)!;
      const left = tree.parts.filter((p) => p.state === 'open').map((p) => p.label);
      const words = tree.found
        ? `It was ${tree.found.label}${tree.found.by === 'elimination' ? ', by elimination' : ''}.`
        : `It may be ${listed(left)}. ${tree.next?.item === 'turn.plugs' ? 'Take the plugs out first: liquid in a cylinder locks it.' : 'Go on in order; no force.'}`;
      const reach = known(record.value('turn.reach'));
      const stops = reach
        ? ` It turns ${Math.round(reach)}° and stops there: something lies in its way, liquid or a part, rather than rust all round.`
        : '';
      // What is not the power head's is no reason to soak it.
      const elsewhere = tree.found && tree.found.id !== 'head' ? tree.found.id : undefined;
      out.add(
        elsewhere ? `locked-${elsewhere}` : 'locked',
        tree.found || plugs === 'out' ? 'fault' : 'cannot-tell',
        `It is locked.${stops} ${words}`,
        why
      );
    } else if (last.result === 'gritty') rough(c, out, why);
    else if (last.result === 'stiff')
      out.add('stiff', 'watch', 'It turns stiff. Oil the bores, soak, and turn it again tomorrow; no force.', why);
    else if (last.result === 'free' && plugsWhenTurned(c, last.at) !== 'out')
      out.add(
        'nobumps',
        'cannot-tell',
        'It turns free without bumps. With the plugs in that is no compression; with them out it means nothing. Record where the plugs were.',
        why
      );
    else if ((everBad || soakedSince(c)) && !provedNextDay)
      out.add(
        'again',
        'watch',
        `It turns free now, but ${everBad ? 'it did not before' : 'it was soaked'}. Oil hides grit: turn it again tomorrow before it counts.`,
        {
          ...why,
          limit: `${ruleNumber(c.rules, 'nextDay')} h between two smooth turns (house rule)`
        }
      );
    else if (felt.some((f) => f !== 'tight')) rough(c, out, why, felt);
    else if (felt.length)
      out.add(
        'feel',
        'watch',
        `It turns, with ${felt.map((f) => (f === 'tight' ? 'a tight spot' : f)).join(' and ')}. Find out why before it is cranked.`,
        why
      );
    else
      out.add(
        'free',
        'sound',
        smoothSince > 1 ? `It turns free, ${smoothSince} turns running.` : 'It turns free.',
        why
      );
  }

  // Felt, and how it turns not said: what was felt counts all the same.
  if (!last && felt.length)
    out.add(
      'feel',
      'watch',
      `Felt in it: ${listed(felt.map((f) => (f === 'tight' ? 'a tight spot' : f)))}. Turn it by hand once more and say how it turns; nothing is cranked before.`,
      practice(inputs, 'what the hand feels is found before anything spins.')
    );

  const expected = expectedBumps(c.survey.engine.profile.strokes, cylindersOf(c).length || undefined);
  const counted = record.last('turn.bumps');
  const bumps = counted?.value;
  if (counted && typeof bumps === 'number' && expected !== undefined && plugsWhenTurned(c, counted.at) === 'in') {
    const why = practice(
      [`bumps counted: ${bumps}`, `expected: ${expected}`],
      'each cylinder of a two-stroke compresses every turn, of a four-stroke every second turn; cylinders that rise together are felt as one.'
    );
    if (bumps < expected)
      out.add(
        'bumps',
        'cannot-tell',
        `${bumps} bumps in two turns where ${expected} are expected. The compression check will say which cylinder.`,
        why
      );
    else out.add('bumps', 'sound', `All ${expected} bumps are there.`, why);
  }

  assembled(c, out);
  const water = record.value('turn.water');
  if (water === 'some' || water === 'much')
    out.add(
      'water',
      'fault',
      'Water still comes out of the plug holes. Keep turning by hand until no more comes.',
      practice([`out of the plug holes: ${water}`], 'plug holes lowest, turned by hand until dry.')
    );

  const exposed = exposure(c);
  if (exposed && exposed.spent > 1)
    out.add(
      'exposed',
      'watch',
      `It lay ${Math.round(exposed.inAir)} h in air before oil took the water’s place, ${exposed.spent >= 2 ? `${Math.round(exposed.spent)} times` : 'longer than'} what the house allows: rust has begun. Bearings, rings and starter are soaked, turned again tomorrow, and looked at.`,
      practice(
        [
          `water: ${c.survey.engine.history.water ?? 'unknown, taken as salt'}`,
          `in air: ${exposed.inAir.toFixed(1)} h`,
          exposed.stoppedAt ? 'displaced since' : 'not displaced yet'
        ],
        'air does it, salt does it faster; under fresh water it waits.',
        { limit: `${ruleNumber(c.rules, exposed.salt ? 'drownedSalt' : 'drownedFresh')} h (house rule)` }
      )
    );
  const belt = record.value('turn.belt');
  if (belt && belt !== 'sound' && belt !== 'renewed') {
    const meets = c.survey.engine.profile.interference !== 'no';
    out.add(
      'belt',
      'fault',
      `The timing belt is ${beltWords[belt]}: renew it${meets ? ' before the engine is cranked; a slip bends valves' : ''}.`,
      practice(
        [`timing belt: ${belt}`, `valves meet pistons: ${c.survey.engine.profile.interference ?? 'unknown'}`],
        'a belt that is suspect is renewed before anything turns it.'
      )
    );
  } else if (belt)
    out.add(
      'belt',
      'sound',
      belt === 'renewed'
        ? 'The timing belt is new and its marks are in line.'
        : 'The timing belt is sound, its marks in line.',
      practice([`timing belt: ${belt}`], 'teeth, back, edges and marks.')
    );
  shifting(c, out);
  depthsFound(c, out);
  return out.list;
}

type Out = ReturnType<typeof findingsOf>;
