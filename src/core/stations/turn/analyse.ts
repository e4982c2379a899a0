import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { ranWellAfter } from '../../findings/ran.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { dayAfterDrying } from '../run/dried.ts';
import { beltWasOff } from './belt.ts';
import { depthFacts } from './depth-facts.ts';
import { pistonDepths } from './depths.ts';
import { holeWater } from './hole-water.ts';
import { exposure } from './exposure.ts';
import type { TurnAnalysed, TurnFact } from './facts.ts';
import { lockTree } from './lock.ts';
import { plugsWhenTurned } from './plugs-out.ts';
import { roughTree } from './rough.ts';
import { shiftFacts, shiftsOf } from './shifting.ts';
import { turning } from './turns.ts';
import { isAfter, latestAt } from '../../units/instant.ts';
import { soakedBefore } from './soak.ts';

/**
 * Compression bumps over two full turns: a two-stroke compresses each cylinder every turn, a four-stroke every other.
 * Cylinders that come up together are felt as one, so fewer is not yet a fault. C: common practice.
 */
export function expectedBumps(strokes: string | undefined, cylinders: number | undefined): number | undefined {
  if (cylinders === undefined) return undefined;
  if (strokes === 'two') return 2 * cylinders;
  return strokes === 'four' ? cylinders : undefined;
}

/** What the hand felt at the latest turn. */
function feltIn(c: Context): readonly string[] {
  const feel = c.record.last('turn.feel')?.value;
  return Array.isArray(feel) ? (feel as string[]) : [];
}

/** What the hand says about it before anything is cranked. */
export function analyse(c: Context): TurnAnalysed {
  const { turns } = turning(c);
  const { rows, right, limit, deviation } = pistonDepths(c);
  const felt = feltIn(c);
  const facts: TurnFact[] = [
    ...turnFacts(c, felt),
    // Felt, and how it turns not said: what was felt counts all the same.
    ...(!turns.length && felt.length
      ? [{ kind: 'felt-only', id: 'feel', condition: 'watch', values: { felt } } as const]
      : []),
    ...bumpFacts(c),
    ...assembled(c),
    ...water(c),
    ...exposed(c),
    ...belt(c),
    ...shiftFacts(c),
    ...depthFacts(c)
  ];
  // A belt on its marks and a shift that works turned nothing over: by themselves they make no engine one that turns. One that ran does.
  const unturned = !turns.length && !ranWellAfter(c) && facts.some((f) => f.condition === 'sound');
  const begun = felt.length > 0 || c.record.all('turn.bumps').some((r) => r.value !== 'unknown');
  return {
    basis: {
      turns: turns.map((t) => t.result),
      has: {
        neutral: c.survey.engine.profile.shift !== 'direct',
        pinion: c.survey.engine.profile.starting !== 'rope'
      },
      plugs: c.record.value('turn.plugs'),
      shifts: shiftsOf(c),
      depths: { rows, limit, deviation, ...(right === undefined ? {} : { right }) }
    },
    facts: unturned ? [...facts, { kind: 'unturned', condition: 'cannot-tell', values: begun ? { begun } : {} }] : facts
  };
}

/** What the latest turn by hand says; nothing before there was one. */
function turnFacts(c: Context, felt: readonly string[]): TurnFact[] {
  const { turns, everBad, smoothSince, provedNextDay } = turning(c);
  const last = turns.at(-1);
  if (!last) return [];
  if (last.result === 'locked') return [locked(c)];
  if (last.result === 'gritty')
    return [
      rough(
        c,
        felt.filter((f) => f !== 'tight'),
        true
      )
    ];
  if (last.result === 'stiff') return [{ kind: 'stiff', condition: 'watch', values: {} }];
  const heard = felt.some((f) => f !== 'tight') ? [rough(c, felt)] : [];
  const plugs = plugsWhenTurned(c, last.at);
  const counted = countedSince(c, last.at);
  // An engine that ran since has compression enough; a count is finer than the word "no bumps" before it.
  const ran = ranWellAfter(c, last.at);
  if (last.result === 'free' && plugs !== 'out' && !ran && !counted && !(plugs === 'in' && relieved(c))) {
    const valves = c.survey.engine.profile.strokes === 'four';
    const word = c.record.value('turn.plugs');
    const later = plugs ? undefined : word;
    const values = {
      ...(plugs ? { plugs } : {}),
      ...(later === 'in' || later === 'out' ? { later } : {}),
      ...(counted === undefined ? {} : { counted }),
      valves
    };
    // A tight spot is felt whether it bumps or not.
    const feels = heard.length || !felt.length ? heard : [tight(c, felt)];
    return [...feels, { kind: 'nobumps', condition: 'cannot-tell', values }];
  }
  // What is still heard is no engine that turns free now.
  if (heard.length) return heard;
  // Soaked for its rings by the job, it never turned badly: the gauge proves that.
  if ((everBad || c.record.value('turn.soaked') === 'yes') && !provedNextDay)
    return [{ kind: 'again', condition: 'watch', values: { everBad, hours: ruleNumber(c.rules, 'nextDay') } }];
  if (felt.length) return [tight(c, felt)];
  // Out of its way it turns; what had stuck sticks again.
  const stuck = c.record.all('turn.lockPinion').findLast((r) => r.value === 'free');
  const held = stuck && turns.some((t) => t.result === 'locked' && !isAfter(t.at, stuck.at));
  if (held && !c.renewed('turn.lockPinion').some((at) => !isAfter(stuck.at, at)))
    return [{ kind: 'pinion', condition: 'watch', values: {} }];
  return [{ kind: 'free', condition: 'sound', values: { running: smoothSince } }];
}

/** Locked, and by what. */
function locked(c: Context): TurnFact {
  const { found, parts, next } = lockTree(c)!;
  const reach = known(c.record.value('turn.reach'));
  // What is not the power head's is no reason to soak it.
  const elsewhere = found && found.id !== 'head' ? found.id : undefined;
  return {
    kind: 'locked',
    id: elsewhere ? `locked-${elsewhere}` : 'locked',
    condition: found || c.record.value('turn.plugs') === 'out' ? 'fault' : 'cannot-tell',
    values: {
      ...(found ? { part: found } : {}),
      left: parts.filter((p) => p.state === 'open').map((p) => p.label),
      plugsFirst: next?.item === 'turn.plugs',
      ...(reach ? { reach } : {})
    }
  };
}

/** Grit, noise or play: where it sits, from what was taken out of it; the bores are not blamed before. */
function rough(c: Context, felt: readonly string[], gritty = false): TurnFact {
  const rusty = gritty && !soakedBefore(c, latestAt(c.record.all('turn.result')));
  const found = roughTree(c)?.found;
  const values = { felt, ...(gritty ? { gritty: true as const } : {}), ...(found ? { part: found } : {}) };
  // Noise or play with all else out of it: oil hides it, and mends no bearing. Rust is noisy too, until it was soaked.
  if (found?.id === 'head' && felt.length && !rusty)
    return { kind: 'rough', id: 'feel-head', condition: 'fault', values };
  if (found && found.id !== 'head') return { kind: 'rough', id: `rough-${found.id}`, condition: 'fault', values };
  return felt.length && !gritty
    ? { kind: 'rough', id: 'feel', condition: 'watch', values }
    : { kind: 'rough', id: 'gritty', condition: 'fault', values };
}

/** A tight spot: what goes away with gears, pinion or leg was theirs; what stays is a crank or a rod until its pistons were measured. */
function tight(c: Context, felt: readonly string[]): TurnFact {
  const found = roughTree(c)?.found;
  const values = { felt, ...(found ? { part: found } : {}) };
  return found && found.id !== 'head'
    ? { kind: 'rough', id: `rough-${found.id}`, condition: 'fault', values }
    : { kind: 'tight', id: 'feel', condition: 'watch', values };
}

/** Its decompression lets the pressure out at the speed of a hand: no bump says nothing. */
const relieved = (c: Context): boolean => c.survey.engine.profile.decompression === 'fitted';

/** Bumps counted with the plugs in since it was turned. */
export function countedSince(c: Context, at: string): number | undefined {
  const counted = c.record.last('turn.bumps');
  if (!counted || typeof counted.value !== 'number' || isAfter(at, counted.at)) return undefined;
  return plugsWhenTurned(c, counted.at) === 'in' ? counted.value : undefined;
}

/** Bumps counted with the plugs in, against what its cylinders give. More than that is another engine, or more than two turns. */
function bumpFacts(c: Context): TurnFact[] {
  const expected = expectedBumps(c.survey.engine.profile.strokes, cylindersOf(c).length || undefined);
  const counted = c.record.last('turn.bumps');
  if (!counted || typeof counted.value !== 'number' || expected === undefined) return [];
  if (plugsWhenTurned(c, counted.at) !== 'in' || (counted.value < expected && relieved(c))) return [];
  // None at all is said with how it turned.
  if (!counted.value && c.record.last('turn.result')?.value === 'free') return [];
  const condition = counted.value === expected ? 'sound' : 'cannot-tell';
  return [{ kind: 'bumps', condition, values: { counted: counted.value, expected } }];
}

/** Put together and turned: stiffer than before is a thing done wrong, and it is found before it is spun. */
function assembled(c: Context): TurnFact[] {
  const said = c.record.value('turn.assembled');
  if (said !== 'stiffer' && said !== 'binds') return [];
  return [{ kind: 'assembled', condition: said === 'binds' ? 'fault' : 'watch', values: { said } }];
}

function water(c: Context): TurnFact[] {
  const last = holeWater(c);
  return last?.state === 'comes' ? [{ kind: 'water', condition: 'fault', values: { said: last.said } }] : [];
}

/** Longer in air than the house allows after it was under water. */
function exposed(c: Context): TurnFact[] {
  const e = exposure(c);
  // It ran warm, and turned freely the day after: what had begun to rust is worn off, and shows no more.
  const shown = dayAfterDrying(c);
  const turned = c.record.last('turn.result');
  const free = shown !== undefined && !!turned && Date.parse(turned.at) >= shown && turning(c).smoothSince > 0;
  if (!e || e.spent <= 1 || free) return [];
  const { spent, inAir, stoppedAt, salt } = e;
  return [
    {
      kind: 'exposed',
      condition: 'watch',
      values: {
        spent,
        inAir,
        ...(stoppedAt ? { stoppedAt } : {}),
        water: c.survey.engine.history.water,
        hours: ruleNumber(c.rules, salt ? 'drownedSalt' : 'drownedFresh')
      }
    }
  ];
}

function belt(c: Context): TurnFact[] {
  const is = c.record.value('turn.belt');
  // A chain or gears drive the valves: there is no belt to say anything of.
  const { interference } = c.survey.engine.profile;
  const stands = is !== undefined && is !== 'sound' && is !== 'renewed';
  if (!stands && beltWasOff(c)) return [{ kind: 'belt-was-off', condition: 'cannot-tell', values: { interference } }];
  if (!is || is === 'not-fitted') return [];
  if (is === 'sound' || is === 'renewed') return [{ kind: 'belt', condition: 'sound', values: { is } }];
  return [{ kind: 'belt-suspect', id: 'belt', condition: 'fault', values: { is, interference } }];
}
