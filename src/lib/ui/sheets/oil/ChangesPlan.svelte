<script lang="ts">
  import { changes } from '$core/stations/oil/changes.ts';
  import { leftAfter } from '$core/physics/residue.ts';
  import { useSession } from '../../session/session.svelte.ts';

  /** How many oil changes until the water is out: made, still to make, litres and money. */
  const session = useSession();
  const p = $derived(changes(session.judgement.context));
  const rows = $derived(
    Array.from({ length: Math.max(4, p.made + p.open) }, (_, k) => ({ n: k + 1, left: leftAfter(k + 1, p.share) }))
  );
  const percent = (x: number): string => `${(100 * x).toFixed(x < 0.01 ? 2 : 1)} %`;
</script>

<ol class="mt-2 space-y-1" aria-label="Share left after each change">
  {#each rows as r (r.n)}
    <li class="grid grid-cols-[6rem_1fr_5rem] items-center gap-2 text-sm">
      <span class={r.n <= p.made ? 'font-semibold' : ''}>change {r.n}{r.n <= p.made ? ', made' : ''}</span>
      <span class="relative h-4 border border-line bg-base-100" aria-hidden="true"
        ><span
          class="absolute inset-y-0 left-0 {r.n <= p.made ? 'bg-primary' : 'bg-base-300'}"
          style:width="{Math.max(0.5, 100 * r.left)}%"
        ></span></span
      >
      <span class="text-right tabular-nums">{percent(r.left)} left</span>
    </li>
  {/each}
</ol>
<p class="mt-2">
  {p.open ? `${p.open} more to get under ${percent(p.target)}` : `Under ${percent(p.target)}`}{p.litres !== undefined &&
  p.open
    ? `: ${p.litres.toFixed(1)} L of cheap oil, about ${Math.round(p.cost!)} cr`
    : ''}. {percent(p.share)} stays behind each time{p.measured
    ? ', measured here'
    : ', the usual; measure what comes out'}.
</p>
