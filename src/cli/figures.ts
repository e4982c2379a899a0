import { PSI } from '../core/units/factors.ts';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { crank, type CrankingTest } from '../core/physics/cranking.ts';
import { holeArea } from '../core/physics/orifice.ts';

/** The figures of docs/cranking.md, drawn from the model itself, so that they cannot say something else. */
const reference: CrankingTest = {
  cylinder: { bore: 0.066, stroke: 0.06, rod: 0.12, closing: (95 * Math.PI) / 180, ratio: 6.5 },
  rpm: 300,
  pulls: 8,
  temperature: 293,
  heat: 217.167,
  gauge: 6e-6
};

interface Curve {
  readonly label: string;
  readonly points: readonly (readonly [number, number])[];
  readonly dashed?: boolean;
}

/** A plain line chart as SVG text; dark ink on paper, curves told apart by their labels and dashes. */
function chart(title: string, xLabel: string, yLabel: string, curves: readonly Curve[]): string {
  const [W, H] = [640, 360];
  const all = curves.flatMap((c) => c.points);
  const x = scaleLinear([0, Math.max(...all.map((p) => p[0]))], [56, W - 150]);
  const y = scaleLinear([0, Math.max(...all.map((p) => p[1])) * 1.06], [H - 48, 36]);
  const path = line<readonly [number, number]>()
    .x((p) => Math.round(10 * x(p[0])) / 10)
    .y((p) => Math.round(10 * y(p[1])) / 10);
  const ticks = [
    ...y
      .ticks(5)
      .map(
        (t) =>
          `<path d="M56 ${y(t).toFixed(1)}H${W - 150}" stroke="#b9ced6"/><text x="50" y="${(y(t) + 4).toFixed(1)}" text-anchor="end">${t}</text>`
      ),
    ...x.ticks(6).map((t) => `<text x="${x(t).toFixed(1)}" y="${H - 28}" text-anchor="middle">${t}</text>`)
  ];
  const drawn = curves.map((c) => {
    const end = c.points.at(-1)!;
    return `<path d="${path(c.points)}" fill="none" stroke="#17567f" stroke-width="2"${c.dashed ? ' stroke-dasharray="6 4"' : ''}/><text x="${(x(end[0]) + 8).toFixed(1)}" y="${(y(end[1]) + 4).toFixed(1)}">${c.label}</text>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" width="${W}" height="${H}" role="img" aria-label="${title}" font-family="sans-serif" font-size="13" fill="#14273f">
<rect width="${W}" height="${H}" fill="#f6f0df"/>
<text x="14" y="22" font-size="15" font-weight="bold">${title}</text>
${[...ticks, ...drawn].join('\n')}
<text x="56" y="${H - 8}">${xLabel}</text>
<text x="${W - 14}" y="22" text-anchor="end">${yLabel}</text>
</svg>
`;
}

const byPull = (test: CrankingTest): (readonly [number, number])[] => [
  [0, 0],
  ...crank(test).needle.map((p, k) => [k + 1, p / PSI] as const)
];

export const figures: Readonly<Record<string, () => string>> = {
  'cranking-leak.svg': () =>
    chart('A leak lowers the plateau and makes the first pull a larger share of it', 'pulls', 'needle, psi', [
      ...[0, 0.5, 1, 1.5, 2].map((mm) => ({
        label: mm ? `${mm} mm hole` : 'tight',
        points: byPull({ ...reference, leak: holeArea(mm * 1e-3) })
      }))
    ]),
  'cranking-gauge.svg': () =>
    chart('Volume behind the check valve only slows the build', 'pulls', 'needle, psi', [
      ...[1, 6, 20].map((mL) => ({ label: `${mL} mL gauge`, points: byPull({ ...reference, gauge: mL * 1e-6 }) }))
    ]),
  'cranking-dead-volume.svg': () =>
    chart('A leak and a dead volume draw nearly the same curve', 'pulls', 'needle, psi', [
      { label: 'tight, 5.3 mL adapter', points: byPull({ ...reference, dead: 5.3e-6 }) },
      { label: '1 mm hole, no adapter', points: byPull({ ...reference, leak: holeArea(1e-3) }), dashed: true }
    ]),
  'cranking-speed.svg': () =>
    chart('What one hole costs depends on how fast it is cranked', 'rpm', 'needle at rest, psi', [
      ...[0, 1, 2].map((mm) => ({
        label: mm ? `${mm} mm hole` : 'tight',
        points: Array.from({ length: 21 }, (_, k) => 100 + 20 * k).map(
          (rpm) => [rpm, crank({ ...reference, rpm, leak: holeArea(mm * 1e-3), pulls: 10 }).needle[9]! / PSI] as const
        )
      }))
    ])
};
