import type { CaseKind } from '../engine/case-kind.ts';
import { systems, type SystemId } from '../diagnosis/knowledge/shape.ts';
import type { AdviceMode, Setup } from './exercise.ts';
import type { FaultCount, Wishes } from './truth.ts';

/** What a teacher chooses for a set; everything about its engines follows from it and its seed. */
export interface PracticeSet {
  /** 0 to 1,048,575. */
  readonly seed: number;
  /** Engines in it, 1 to 16. */
  readonly count: number;
  readonly difficulty: Difficulty;
  readonly theme: Theme;
  readonly advice: AdviceMode;
}

/** How much is wrong, and whether measurements may mislead. */
export const difficulties = {
  easy: { label: 'one fault, every reading honest', faults: 'one', artefacts: false },
  middle: { label: 'one fault, readings may mislead', faults: 'one', artefacts: true },
  hard: { label: 'as many faults as such engines have', faults: 'usual', artefacts: true },
  open: { label: 'one fault or none', faults: 'one', artefacts: true }
} as const satisfies Record<
  string,
  { readonly label: string; readonly faults: FaultCount; readonly artefacts: boolean }
>;
export type Difficulty = keyof typeof difficulties;
export const difficultyNames = Object.keys(difficulties) as Difficulty[];

export const themes = {
  any: { label: 'anything' },
  ...(Object.fromEntries(
    (Object.keys(systems) as SystemId[]).map((id) => [id, { label: systems[id].toLowerCase() }])
  ) as Record<SystemId, { readonly label: string }>),
  // Behind the others: a code counts its themes.
  drowned: { label: 'engines that sank' }
} as const;
export type Theme = keyof typeof themes;
export const themeNames = Object.keys(themes) as Theme[];
export const adviceModes = ['open', 'on-demand', 'shut'] as const satisfies readonly AdviceMode[];

/** Letters and figures that are not mistaken for each other when they are read aloud (P: Crockford's base 32). */
const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const LENGTH = 8;
/** Prime, so that one wrong letter and two letters in each other's place are noticed (P: modulo 31 check). */
const CHECK = 31;

const check = (digits: readonly number[]): number => digits.reduce((sum, d, k) => (sum + d * (k + 2)) % CHECK, 7);

/** The short code of a set: seven letters and a check, "7K3M-0QDC". Throws RangeError on what no set has. */
export function codeOf(set: PracticeSet): string {
  const whole = (n: number, most: number): boolean => Number.isInteger(n) && n >= 0 && n < most;
  if (!whole(set.seed, 2 ** 20) || !whole(set.count - 1, 16))
    throw new RangeError('a set has 1 to 16 engines and a seed under 1,048,576');
  let n = BigInt(set.seed);
  for (const [value, most] of parts(set)) n = n * BigInt(most) + BigInt(value);
  const digits: number[] = [];
  for (let k = 0; k < LENGTH - 1; k++) {
    digits.unshift(Number(n % 32n));
    n /= 32n;
  }
  const text = [...digits, check(digits)].map((d) => ALPHABET[d]!).join('');
  return `${text.slice(0, 4)}-${text.slice(4)}`;
}

const parts = (set: PracticeSet): readonly (readonly [number, number])[] => [
  [set.count - 1, 16],
  [difficultyNames.indexOf(set.difficulty), difficultyNames.length],
  [themeNames.indexOf(set.theme), 16],
  [adviceModes.indexOf(set.advice), 4]
];

/** A set from its code, as it may be typed: in any case, with or without its dash, O for 0, I and L for 1. Nothing for a mistyped one. */
export function setOf(code: string): PracticeSet | undefined {
  const text = code.toUpperCase().replace(/[\s-]/g, '').replaceAll('O', '0').replace(/[IL]/g, '1');
  if (text.length !== LENGTH) return undefined;
  const digits = [...text].map((c) => ALPHABET.indexOf(c));
  if (digits.includes(-1) || check(digits.slice(0, -1)) !== digits.at(-1)) return undefined;
  let n = digits.slice(0, -1).reduce((sum, d) => sum * 32n + BigInt(d), 0n);
  const take = (most: number): number => {
    const value = Number(n % BigInt(most));
    n /= BigInt(most);
    return value;
  };
  const advice = adviceModes[take(4)];
  const theme = themeNames[take(16)];
  const difficulty = difficultyNames[take(difficultyNames.length)];
  const count = take(16) + 1;
  const seed = Number(n);
  if (!advice || !theme || !difficulty || seed >= 2 ** 20) return undefined;
  return { seed, count, difficulty, theme, advice };
}

const kinds = ['long-stored', 'neglected', 'spring-return'] as const satisfies readonly CaseKind[];

/** The setup of one engine of a set, 1 to its count: the same on any installation. Throws RangeError outside of it. */
export function setupOf(set: PracticeSet, number: number): Setup {
  if (!Number.isInteger(number) || number < 1 || number > set.count)
    throw new RangeError(`no engine ${number} in this set`);
  const { faults, artefacts } = difficulties[set.difficulty];
  const wishes: Wishes = {
    faults: set.difficulty === 'open' && (set.seed + number) % 3 === 0 ? 'none' : faults,
    artefacts,
    leaks: false,
    kind: set.theme === 'drowned' ? 'drowned' : kinds[(set.seed + number) % kinds.length]!,
    ...(set.theme === 'any' || set.theme === 'drowned' ? {} : { system: set.theme })
  };
  return { seed: `${codeOf(set)}|${number}`, wishes, advice: set.advice };
}
