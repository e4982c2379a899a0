<script lang="ts">
  import type { Decision } from '$core/decision/decide.ts';
  import { scaleLinear } from 'd3-scale';

  /** What it may cost: one mark of a hundred draws in each step, the owner's ceiling across it. */
  let { decision }: { decision: Decision } = $props();
  let measured = $state(0);
  const W = $derived(measured > 120 ? measured : 560);
  const H = 196;
  const d = $derived(decision);
  const top = $derived(
    Math.max(
      d.bins.at(-1)?.to ?? 1,
      (d.remaining ?? 0) * 1.08,
      (d.breakEven ?? 0) < 2 * d.cost.high ? (d.breakEven ?? 0) * 1.05 : 0
    )
  );
  const x = $derived(scaleLinear([0, top], [14, W - 14]));
  const y = $derived(scaleLinear([0, Math.max(1, ...d.bins.map((b) => b.n))], [H - 38, 34]));
  const cr = (n: number): string => `${Math.round(n / 5) * 5} cr`;
  const marks = $derived([
    ...(d.remaining === undefined ? [] : [{ at: d.remaining, text: `owner’s word ${cr(d.remaining)}`, dash: '' }]),
    ...(d.breakEven !== undefined && d.breakEven <= top
      ? [{ at: d.breakEven, text: `break-even ${cr(d.breakEven)}`, dash: '6 4' }]
      : [])
  ]);
</script>

<figure bind:clientWidth={measured}>
  <svg
    viewBox="0 0 {W} {H}"
    class="w-full"
    style:height="{H}px"
    role="img"
    aria-label="Distribution of the cost: {cr(d.cost.low)} to {cr(d.cost.high)} in eight of ten cases, {cr(
      d.cost.median
    )} in the middle"
  >
    {#each d.bins as b (b.from)}
      {#if b.n}<rect
          x={x(b.from) + 0.5}
          width={Math.max(1, x(b.to) - x(b.from) - 1)}
          y={y(b.n)}
          height={H - 38 - y(b.n)}
          fill={d.remaining !== undefined && b.from >= d.remaining ? 'var(--color-error)' : 'var(--color-primary)'}
          fill-opacity={b.from >= d.cost.low && b.to <= d.cost.high ? 0.9 : 0.5}
        />{/if}
    {/each}
    <path d="M14 {H - 38}H{W - 14}" stroke="var(--color-base-content)" />
    <g font-family="var(--font-label)" font-size="14" fill="var(--color-base-content)">
      {#each x.ticks(W < 420 ? 4 : 7) as t (t)}<text x={x(t)} y={H - 19} text-anchor="middle">{t}</text>{/each}
      <text x={W - 14} y={H - 4} text-anchor="end">cr, everything included</text>
      {#each marks as m, k (m.text)}
        <path
          d="M{x(m.at)} {14 + 16 * k}V{H - 38}"
          stroke="var(--color-warning)"
          stroke-width="2.5"
          stroke-dasharray={m.dash}
        />
        <text
          x={x(m.at) > W / 2 ? x(m.at) - 6 : x(m.at) + 6}
          y={14 + 16 * k}
          text-anchor={x(m.at) > W / 2 ? 'end' : 'start'}
          font-weight="600">{m.text}</text
        >
      {/each}
    </g>
  </svg>
  <figcaption class="text-sm">
    Eight of ten cases between {cr(d.cost.low)} and {cr(d.cost.high)}, the middle one {cr(d.cost.median)}; {Math.round(
      d.minutes.median / 30
    ) / 2} to {Math.round(d.minutes.high / 30) / 2} hours of hands. {d.draws.toLocaleString('en')} draws of what may be found,
    seed {d.seed}.
  </figcaption>
</figure>
