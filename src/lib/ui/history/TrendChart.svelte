<script lang="ts">
  import { lineName, sayTrend } from '$core/history/trend-words.ts';
  import type { Trend } from '$core/history/trends.ts';
  import { say, show, shownNumber, type System } from '$core/units/index.ts';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import { format, parseISO } from 'date-fns';

  /** One quantity over the assessments of an engine, a line for each cylinder. */
  let { trend, units }: { trend: Trend; units: System } = $props();
  const W = 460;
  const H = 180;
  const box = { left: 44, right: 400, top: 12, bottom: 150 };
  const value = (si: number): number => shownNumber(si, trend.dimension, units);
  const unit = $derived(show(0, trend.dimension, units).unit);
  const points = $derived(trend.lines.flatMap((l) => l.points));
  const moments = $derived(points.map((p) => Date.parse(p.at)).sort((a, b) => a - b));
  const x = $derived(scaleLinear([moments[0]!, moments.at(-1)!], [box.left + 8, box.right - 8]));
  const dates = $derived([moments[0]!, (moments[0]! + moments.at(-1)!) / 2, moments.at(-1)!]);
  const y = $derived.by(() => {
    const v = points.map((p) => value(p.value));
    if (trend.limit !== undefined && trend.lines.some((l) => l.change?.forecast)) v.push(value(trend.limit));
    const room = Math.max((Math.max(...v) - Math.min(...v)) * 0.15, Math.abs(Math.max(...v)) * 0.05, 0.01);
    return scaleLinear([Math.min(...v) - room, Math.max(...v) + room], [box.bottom, box.top]).nice(4);
  });
  const path = $derived(
    line<{ at: string; value: number }>(
      (p) => x(Date.parse(p.at)),
      (p) => y(value(p.value))
    )
  );
  /** A line is told from the next by its dash, not by colour alone. */
  const dashes = ['', '7 3', '2 3', '9 3 2 3', '1 4', '12 4'];
  const name = (l: Trend['lines'][number]): string => lineName(l);
  /** Beside its line there is room for the cylinder or bank only. */
  const brief = (l: Trend['lines'][number]): string => lineName({ ...l, method: '' });
  /** The limit, where it lies in the picture or near it. */
  const limit = $derived.by(() => {
    if (trend.limit === undefined) return undefined;
    const at = value(trend.limit);
    const [low, high] = y.domain() as [number, number];
    return at >= low && at <= high ? at : undefined;
  });
  /** Where each line's name stands: at its end, and under the name above it where the two would cover one another. */
  const nameAt = $derived.by(() => {
    const ends = trend.lines
      .map((l, k) => ({ k, at: y(value(l.points.at(-1)!.value)) + 4 }))
      .sort((a, b) => a.at - b.at);
    const out = new Map<number, number>();
    let last = -Infinity;
    for (const { k, at } of ends) out.set(k, (last = Math.max(at, last + 15)));
    return out;
  });
  const sentences = $derived(sayTrend(trend, units));
  const says = $derived(
    trend.lines
      .map(
        (l) =>
          `${name(l) || trend.label}: ${l.points.map((p) => `${say(p.value, trend.dimension, units)} in ${format(parseISO(p.at), 'MMM yyyy')}`).join(', ')}`
      )
      .join('; ')
  );
</script>

<figure class="panel p-3">
  <figcaption class="font-semibold">{trend.label}{unit ? `, ${unit}` : ''}</figcaption>
  <svg viewBox="0 0 {W} {H}" class="w-full" role="img" aria-label="{trend.label}. {says}">
    {#each y.ticks(4) as t (t)}
      <line x1={box.left} x2={box.right} y1={y(t)} y2={y(t)} stroke="currentColor" stroke-opacity="0.25" />
      <text x={box.left - 6} y={y(t) + 4} text-anchor="end" font-size="14" fill="currentColor">{t}</text>
    {/each}
    {#each dates as t (t)}<text x={x(t)} y={H - 8} text-anchor="middle" font-size="14" fill="currentColor"
        >{format(t, 'MMM yy')}</text
      >{/each}
    {#if limit !== undefined}
      <line x1={box.left} x2={box.right} y1={y(limit)} y2={y(limit)} stroke="currentColor" stroke-dasharray="3 3" />
      <text x={box.right} y={y(limit) + 4} font-size="14" fill="currentColor">limit</text>
    {/if}
    {#each trend.lines as l, k (name(l))}
      <path
        d={path([...l.points]) ?? ''}
        fill="none"
        class="stroke-primary"
        stroke-width="2"
        stroke-dasharray={dashes[k % dashes.length]}
      />
      {#each l.points as p (p.at)}<circle
          cx={x(Date.parse(p.at))}
          cy={y(value(p.value))}
          r="3.5"
          class="fill-primary"
        />{/each}
      <text x={box.right} y={nameAt.get(k)} font-size="14" fill="currentColor">{brief(l)}</text>
    {/each}
  </svg>
  <p class="sr-only">{says}</p>
  {#if sentences.length}
    <ul class="mt-2 space-y-1 text-sm">
      {#each sentences as s (s)}<li>{s}</li>{/each}
    </ul>
  {/if}
</figure>
