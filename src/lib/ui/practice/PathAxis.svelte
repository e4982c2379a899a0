<script lang="ts">
  import { toLastMend, type PathStep } from '$core/practice/debrief.ts';
  import { scaleLinear } from 'd3-scale';
  import { sayMinutes } from './words.ts';

  /** Two ways through one engine on one time axis: mine above, that of the advice below. Only minutes of hands count. */
  let { mine, advised, dear }: { mine: readonly PathStep[]; advised: readonly PathStep[]; dear: readonly number[] } =
    $props();
  const WIDTH = 720;
  const total = (list: readonly PathStep[]): number => list.reduce((s, p) => s + p.minutes, 0);
  const most = $derived(Math.max(10, total(mine), total(advised)));
  const x = $derived(scaleLinear([0, most], [0, WIDTH]).nice());
  const bars = (list: readonly PathStep[]) => {
    let at = 0;
    return list.map((p, k) => {
      const from = at;
      at += p.minutes;
      return { ...p, k, from, to: at };
    });
  };
  const mended = $derived(toLastMend(advised));
  const rows = $derived([
    { y: 22, label: `You: ${sayMinutes(total(mine))}`, bars: bars(mine), mine: true },
    {
      y: 82,
      label:
        mended.length < advised.length
          ? `The advice: ${sayMinutes(total(mended))} to the last mend, ${sayMinutes(total(advised))} to the hand-over`
          : `The advice: ${sayMinutes(total(advised))}`,
      bars: bars(advised),
      mine: false
    }
  ]);
  const fill = (b: { kind: PathStep['kind']; k: number }, own: boolean): string =>
    own && dear.includes(b.k)
      ? 'var(--color-error)'
      : b.kind === 'work'
        ? 'var(--color-primary)'
        : 'var(--color-base-300)';
</script>

<div class="overflow-x-auto">
  <svg
    viewBox="-2 0 {WIDTH + 4} 150"
    class="w-full min-w-[36rem]"
    role="img"
    aria-label="{rows[0]!.label}. {rows[1]!.label}."
  >
    {#each rows as row (row.label)}
      <text x="0" y={row.y - 6} font-size="13" font-weight="600" fill="currentColor">{row.label}</text>
      {#each row.bars as b (b.k)}
        {#if b.to > b.from}
          <rect
            x={x(b.from)}
            y={row.y}
            width={Math.max(1.5, x(b.to) - x(b.from) - 1)}
            height="30"
            fill={fill(b, row.mine)}
            stroke="currentColor"
            stroke-width="0.6"
            opacity={!row.mine && b.k >= mended.length ? 0.45 : 1}
            ><title>{b.title}, {sayMinutes(b.minutes)}</title></rect
          >
          {#if x(b.to) - x(b.from) > 18}<text
              x={(x(b.from) + x(b.to)) / 2}
              y={row.y + 20}
              text-anchor="middle"
              font-size="12"
              fill={row.mine && dear.includes(b.k)
                ? 'var(--color-error-content)'
                : b.kind === 'work'
                  ? 'var(--color-primary-content)'
                  : 'currentColor'}>{b.k + 1}</text
            >{/if}
        {/if}
      {/each}
    {/each}
    <path d="M0 124 H{WIDTH}" stroke="currentColor" />
    {#each x.ticks(8) as t (t)}
      <path d="M{x(t)} 124 v5" stroke="currentColor" /><text
        x={x(t)}
        y="143"
        font-size="12"
        text-anchor={t === 0 ? 'start' : 'middle'}
        fill="currentColor">{t} min</text
      >
    {/each}
  </svg>
</div>
<p class="text-sm">Pale: looks. Dark: work. Red: the choices that cost most.</p>
<div class="mt-2 grid gap-4 sm:grid-cols-2">
  {#each rows as row (row.label)}
    <section aria-label={row.label}>
      <h3 class="label-caps">{row.label}</h3>
      <ol class="mt-1 list-decimal pl-6 text-sm">
        {#each row.bars as b (b.k)}<li class={row.mine && dear.includes(b.k) ? 'font-semibold text-error' : ''}>
            {b.title}, {sayMinutes(b.minutes)}
          </li>{:else}<li class="list-none">Nothing was done.</li>{/each}
      </ol>
    </section>
  {/each}
</div>
