import { drawing } from '../../../core/report/draw.ts';
import type { Figure } from '../../../core/report/figures.ts';

const escape = (s: string): string => s.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
const n = (x: number): string => x.toFixed(1);
const fills = { first: '#b9ced6', last: '#17567f' } as const;

/** The figure as SVG for paper: ink on white, the later reading darker. */
export function figureSvg(f: Figure): string {
  const d = drawing(f);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${d.width} ${d.height}" width="${d.width}" height="${d.height}">`,
    ...d.rules.map(
      (r) =>
        `<line x1="${n(r.x1)}" y1="${n(r.y1)}" x2="${n(r.x2)}" y2="${n(r.y2)}" stroke="#14273f" stroke-opacity="0.25" stroke-width="0.7"/>`
    ),
    ...d.rects.map(
      (r) =>
        `<rect x="${n(r.x)}" y="${n(r.y)}" width="${n(r.w)}" height="${n(r.h)}" fill="${fills[r.kind]}" stroke="#14273f" stroke-width="0.7"/>`
    ),
    ...d.paths.map((p) => `<path d="${p}" fill="none" stroke="#17567f" stroke-width="2"/>`),
    ...d.texts.map(
      (t) =>
        `<text x="${n(t.x)}" y="${n(t.y)}" text-anchor="${t.anchor}" font-family="Barlow" font-size="11" fill="#14273f">${escape(t.text)}</text>`
    ),
    '</svg>'
  ].join('');
}
