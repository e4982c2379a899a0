import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Figure } from './figures.ts';

/** Marks of a figure on a sheet of so many points: the screen and the paper draw the same ones. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly rects: readonly {
    readonly x: number;
    readonly y: number;
    readonly w: number;
    readonly h: number;
    readonly kind: 'first' | 'last';
  }[];
  readonly paths: readonly string[];
  readonly rules: readonly { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number }[];
  readonly texts: readonly {
    readonly x: number;
    readonly y: number;
    readonly anchor: 'start' | 'middle' | 'end';
    readonly text: string;
  }[];
}

const W = 480;
const H = 170;
const box = { left: 40, right: 470, top: 14, bottom: 144 };

export function drawing(f: Figure): Drawing {
  const values = f.kind === 'bars' ? f.bars.flatMap((b) => [b.first, b.last ?? b.first]) : f.points.map((p) => p[1]);
  const y = scaleLinear(
    [f.kind === 'bars' ? 0 : Math.min(...values) - 3, Math.max(...values) * 1.06 + 0.01],
    [box.bottom, box.top]
  ).nice(4);
  const ticks = y.ticks(4);
  const rules = ticks.map((t) => ({ x1: box.left, x2: box.right, y1: y(t), y2: y(t) }));
  const texts: Drawing['texts'][number][] = ticks.map((t) => ({
    x: box.left - 5,
    y: y(t) + 4,
    anchor: 'end',
    text: String(t)
  }));
  if (f.kind === 'bars') {
    // Even places, as a band scale lays them: a third of each is room.
    const step = (box.right - box.left) / f.bars.length;
    const half = (step * 0.65) / 2;
    const x = (label: string): number => box.left + step * (f.bars.findIndex((b) => b.label === label) + 0.175);
    const bar = (at: number, w: number, v: number, kind: 'first' | 'last') => ({
      x: at,
      y: y(v),
      w,
      h: box.bottom - y(v),
      kind
    });
    return {
      width: W,
      height: H,
      paths: [],
      rules,
      rects: f.bars.flatMap((b) => {
        const at = x(b.label);
        return b.last === undefined
          ? [bar(at + half / 2, half, b.first, 'first')]
          : [bar(at, half - 2, b.first, 'first'), bar(at + half + 2, half - 2, b.last, 'last')];
      }),
      texts: [
        ...texts,
        ...f.bars.map((b) => ({
          x: x(b.label) + half,
          y: box.bottom + 18,
          anchor: 'middle' as const,
          text: `cyl ${b.label}`
        }))
      ]
    };
  }
  const x = scaleLinear([0, f.points.at(-1)![0]], [box.left, box.right]);
  const path =
    line<readonly [number, number]>(
      (p) => x(p[0]),
      (p) => y(p[1])
    )([...f.points]) ?? '';
  return {
    width: W,
    height: H,
    rects: [],
    paths: [path],
    rules,
    texts: [
      ...texts,
      ...x.ticks(6).map((t) => ({ x: x(t), y: box.bottom + 18, anchor: 'middle' as const, text: `${t} min` }))
    ]
  };
}
