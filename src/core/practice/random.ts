import { randomLcg, randomNormal } from 'd3-random';

/** FNV-1a over UTF-16 code units, finished by a mixing step so that names that differ by a digit draw far apart (P: Fowler, Noll & Vo). */
function hash(text: string): number {
  let h = 0x811c9dc5;
  for (let k = 0; k < text.length; k++) h = Math.imul(h ^ text.charCodeAt(k), 0x01000193);
  h ^= h >>> 16;
  h = Math.imul(h, 0x85ebca6b);
  h ^= h >>> 13;
  h = Math.imul(h, 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
}

/**
 * Draws by name: the same seed and name give the same number on any machine, in whatever order they are asked for. So what an
 * engine shows does not hang on the order in which somebody looks.
 */
export class Draws {
  constructor(readonly seed: string) {}

  /** Uniform in [0, 1). */
  level = (name: string): number => hash(`${this.seed}|${name}`) / 2 ** 32;
  /** Uniform between two numbers. */
  between = (name: string, low: number, high: number): number => low + (high - low) * this.level(name);
  /** Normal about zero with this standard deviation. */
  normal = (name: string, sd: number): number => randomNormal.source(randomLcg(this.level(name)))(0, sd)();
  /** One of a list, which must not be empty. */
  pick<T>(name: string, list: readonly T[]): T {
    if (!list.length) throw new RangeError(`${name}: nothing to pick from`);
    return list[Math.floor(this.level(name) * list.length)]!;
  }
}
