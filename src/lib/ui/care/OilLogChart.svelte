<script lang="ts">
  import type { MakingOil } from '$core/care/making-oil.ts';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';

  /** Dips over engine hours: each stretch a line of its own, the marks of the stick, and the slope they share. */
  let { oil, gap }: { oil: MakingOil; gap: number } = $props();
  const W = 520;
  const H = 210;
  const box = { left: 46, right: 470, top: 14, bottom: 168 };
  const mm = (si: number): number => 1000 * si;
  const end = $derived(Math.max(1, ...oil.dips.map((d) => d.hours)));
  const x = $derived(scaleLinear([0, end], [box.left + 8, box.right - 8]));
  const levels = $derived([0, mm(gap), ...oil.dips.map((d) => mm(d.level))]);
  const y = $derived(scaleLinear([Math.min(...levels) - 2, Math.max(...levels) + 2], [box.bottom, box.top]).nice(5));
  const stretches = $derived(
    [...new Set(oil.dips.map((d) => d.stretch))].map((s) => oil.dips.filter((d) => d.stretch === s))
  );
  const path = $derived(
    line<{ hours: number; level: number }>(
      (d) => x(d.hours),
      (d) => y(mm(d.level))
    )
  );
  /** The slopes that all stretches share, through the middle of this one: at idle and under load where they are told apart. */
  const fitted = (list: MakingOil['dips']): { hours: number; level: number }[] => {
    if (!oil.rate || list.length < 2) return [];
    const rise = (d: MakingOil['dips'][number]): number =>
      oil.byLoad
        ? oil.byLoad.idle.value * (d.idle ?? 0) + oil.byLoad.loaded.value * (d.hours - (d.idle ?? 0))
        : oil.rate!.value * d.hours;
    const middle = list.reduce((s, d) => s + d.level - rise(d), 0) / list.length;
    return list.map((d) => ({ hours: d.hours, level: middle + rise(d) }));
  };
  const says = $derived(
    oil.dips.map((d) => `${mm(d.level).toFixed(0)} millimetres at ${d.hours.toFixed(1)} hours`).join(', ')
  );
</script>

<figure class="mt-2 max-w-2xl">
  <figcaption class="label-caps">Level over the low mark, mm, by hours of this log</figcaption>
  <svg viewBox="0 0 {W} {H}" class="w-full" role="img" aria-label="Oil level by engine hours: {says}">
    {#each [{ at: 0, is: 'low' }, { at: mm(gap), is: 'full' }] as m (m.is)}
      <line x1={box.left} x2={box.right} y1={y(m.at)} y2={y(m.at)} stroke="currentColor" stroke-dasharray="6 4" />
      <text x={box.right + 4} y={y(m.at) + 5} font-size="14" fill="currentColor">{m.is}</text>
    {/each}
    {#each y.ticks(5) as t (t)}<text x={box.left - 6} y={y(t) + 5} text-anchor="end" font-size="14" fill="currentColor"
        >{t}</text
      >{/each}
    {#each x.ticks(5) as t (t)}<text x={x(t)} y={H - 20} text-anchor="middle" font-size="14" fill="currentColor"
        >{t}</text
      >{/each}
    <text x={box.right} y={H - 3} text-anchor="end" font-size="14" fill="currentColor">hours</text>
    {#each stretches as list, k (k)}
      <path d={path(fitted(list)) ?? ''} fill="none" class="stroke-primary" stroke-width="2.5" />
      {#each list as d, n (n)}<circle
          cx={x(d.hours)}
          cy={y(mm(d.level))}
          r="4"
          class="fill-base-100 stroke-primary"
          stroke-width="2"
        />{/each}
    {/each}
  </svg>
</figure>
