export interface FontRun {
  readonly text: string;
  readonly font:
    | 'Barlow'
    | 'BarlowExt'
    | 'Greek'
    | 'Cyrillic'
    | 'CyrillicExt'
    | 'Devanagari'
    | 'Hebrew'
    | 'Arabic'
    | 'Signs';
}

const fonts: readonly (readonly [RegExp, FontRun['font']])[] = [
  [/[\u0590-\u05ff\ufb1d-\ufb4f]/, 'Hebrew'],
  [/[\u0600-\u06ff\u0750-\u077f\u08a0-\u08ff\ufb50-\ufdff\ufe70-\ufeff]/, 'Arabic'],
  [/[\u0100-\u024f\u1e00-\u1eff]/, 'BarlowExt'],
  [/[\u0370-\u03ff]/, 'Greek'],
  [/[\u0401\u0404\u0406\u0407\u0410-\u044f\u0451\u0454\u0456\u0457\u2116]/, 'Cyrillic'],
  [/[\u0400-\u052f]/, 'CyrillicExt'],
  [/[\u0900-\u097f]/, 'Devanagari'],
  [/[\u2190-\u2211\u2213\u2214\u2216-\u22ff]/, 'Signs']
];
/** Characters the Latin face has: Latin-1, general punctuation and a few signs. */
const latin = /[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u2000-\u206f\u20ac\u2122\u2212\u2215\n\t]/;

/** No word is this long: what is without a space for longer is cut, since a line breaker tries every place in it. */
const LONGEST_WORD = 80;
const unbroken = new RegExp(`\\S{${LONGEST_WORD}}(?=\\S)`, 'gu');

/**
 * Splits text into runs that each have a face with its letters: a PDF has no fallback of its own.
 * What no face here has (pictographs, East Asian scripts) becomes a small sign instead of nothing. The sign for ohm is the letter.
 */
export function inFonts(text: string): FontRun[] {
  const runs: { text: string; font: FontRun['font'] }[] = [];
  for (const { segment } of new Intl.Segmenter().segment(text.normalize('NFC').replace(unbroken, '$& '))) {
    const found = fonts.find(([re]) => re.test(segment))?.[1];
    const font = found ?? 'Barlow';
    const shown = found || [...segment].every((c) => latin.test(c)) ? segment : '¤';
    const last = runs.at(-1);
    // A space stays with the run before it, so that words of one script keep together.
    if (last && (last.font === font || (segment === ' ' && last.font !== 'BarlowExt'))) last.text += shown;
    else runs.push({ text: shown, font });
  }
  return runs;
}
