import type { BadSentence } from './sentence.ts';
import { readLine, type BadValue, type Sample } from './signals.ts';

/** Characters kept of a line that does not end; more is no sentence. */
const MOST = 1024;

/** Puts lines together from pieces as they come over a wire; a line may be cut anywhere. */
export class LineBuffer {
  private rest = '';

  /** Takes a piece, gives the lines that are whole now. */
  push(piece: string): string[] {
    const parts = (this.rest + piece).split(/\r\n|\n|\r/);
    this.rest = parts.pop() ?? '';
    if (this.rest.length > MOST) {
      parts.push(this.rest);
      this.rest = '';
    }
    return parts.filter((l) => l.trim() !== '');
  }

  /** What stands without its line end: a datagram, the end of a file. */
  flush(): string[] {
    const line = this.rest;
    this.rest = '';
    return line.trim() ? [line] : [];
  }
}

/** The lines of a text that is whole: a datagram, what a page posted. */
export function linesOf(text: string): string[] {
  const buffer = new LineBuffer();
  return [...buffer.push(text), ...buffer.flush()];
}

/** What came over a source so far. Bad lines are counted and shown, never guessed at. */
export interface LineCounts {
  readonly good: number;
  readonly other: number;
  readonly bad: Readonly<Record<BadSentence | BadValue, number>>;
}

const none = (): Record<BadSentence | BadValue, number> => ({
  cut: 0,
  'no-checksum': 0,
  checksum: 0,
  'too-long': 0,
  'no-sentence': 0,
  unit: 0,
  range: 0,
  figure: 0
});

/** Reads the lines of one source and counts what it could not use. */
export class SourceReader {
  private good = 0;
  private other = 0;
  private readonly bad = none();

  read(line: string): readonly Sample[] {
    const result = readLine(line);
    // A sentence that begins within another: the first was cut.
    if (line.indexOf('$') !== line.lastIndexOf('$')) this.bad.cut += 1;
    if (result.kind === 'bad') this.bad[result.why] += 1;
    else if (result.kind === 'other') this.other += 1;
    else {
      this.good += 1;
      for (const why of result.bad) this.bad[why] += 1;
      return result.samples;
    }
    return [];
  }

  get counts(): LineCounts {
    return { good: this.good, other: this.other, bad: { ...this.bad } };
  }
}

/** Lines and values that could not be used, all kinds together. */
export const badOf = (c: LineCounts): number => Object.values(c.bad).reduce((s, n) => s + n, 0);
