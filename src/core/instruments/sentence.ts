/**
 * Line sentences of IEC 61162-1 (NMEA 0183): `$` talker and formatter, fields, `*` and the checksum.
 * Source (P): IEC 61162-1:2016, 7.2 and 7.3: start, address field, field delimiter, checksum as the exclusive or of all
 * characters between `$` (or `!`) and `*`, two hexadecimal digits, 82 characters with carriage return and line feed.
 */
export interface Sentence {
  /** Who speaks, two letters: "II" is integrated instrumentation, "YX" a transducer. Empty for proprietary sentences. */
  readonly talker: string;
  /** What it says, three letters: "XDR", "RPM". */
  readonly formatter: string;
  readonly fields: readonly string[];
}
export type BadSentence = 'cut' | 'no-checksum' | 'checksum' | 'too-long' | 'no-sentence';

/** Characters of the longest sentence without its line end, and of the longest that is still read (some devices overrun). */
const LONGEST = 80;
const TOLERATED = 160;

/** Exclusive or of the characters between the start and `*`. @example checksumOf('IIXDR,C,19.52,C,TempAir') */
export function checksumOf(body: string): number {
  let sum = 0;
  for (let k = 0; k < body.length; k++) sum ^= body.charCodeAt(k) & 0xff;
  return sum;
}

const hex = (sum: number): string => sum.toString(16).toUpperCase().padStart(2, '0');

/**
 * A line as a sentence, or why it is none. What stands before the start sign is left (a tag block, the tail of a cut
 * sentence); a sentence without its checksum is not taken.
 */
export function parseSentence(
  line: string
): { readonly ok: true; readonly sentence: Sentence } | { readonly ok: false; readonly why: BadSentence } {
  const no = (why: BadSentence): { readonly ok: false; readonly why: BadSentence } => ({ ok: false, why });
  const start = Math.max(line.lastIndexOf('$'), line.lastIndexOf('!'));
  if (start < 0) return no(line.includes('*') ? 'cut' : 'no-sentence');
  const text = line.slice(start).trimEnd();
  if (text.length > TOLERATED) return no('too-long');
  const star = text.lastIndexOf('*');
  if (star < 0) return no('no-checksum');
  const stated = /^\*([0-9a-f]{2})$/i.exec(text.slice(star));
  if (!stated) return no('cut');
  const body = text.slice(1, star);
  if (checksumOf(body) !== Number.parseInt(stated[1]!, 16)) return no('checksum');
  const [address = '', ...fields] = body.split(',');
  if (!/^[A-Z0-9]{4,6}$/.test(address)) return no('no-sentence');
  const own = address.startsWith('P');
  return {
    ok: true,
    sentence: { talker: own ? '' : address.slice(0, -3), formatter: own ? address : address.slice(-3), fields }
  };
}

const plain = /^[\x20-\x7e]*$/;
const reserved = /[$!*,\\^~]/;

/**
 * A sentence as it goes over the line, with its checksum, without the line end. Throws RangeError where a field holds a
 * reserved or unprintable character, or the sentence would be longer than the standard allows.
 * @example writeSentence('YX', 'XDR', ['P', '8.1', 'B', 'gauge']) // '$YXXDR,P,8.1,B,gauge*61'
 */
export function writeSentence(talker: string, formatter: string, fields: readonly string[]): string {
  if (!/^[A-Z]{2}$/.test(talker) || !/^[A-Z]{3}$/.test(formatter))
    throw new RangeError('needs a talker of two letters and a formatter of three');
  const odd = fields.find((f) => reserved.test(f) || !plain.test(f));
  if (odd !== undefined) throw new RangeError(`reserved character in “${odd}”`);
  const body = [`${talker}${formatter}`, ...fields].join(',');
  const line = `$${body}*${hex(checksumOf(body))}`;
  if (line.length > LONGEST) throw new RangeError(`longer than ${LONGEST} characters: ${line}`);
  return line;
}
