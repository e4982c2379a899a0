<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import type { BenchPlan, PlanRow } from '$core/schedule/plan-bench.ts';
  import { scaleLinear } from 'd3-scale';

  import Pin from '@lucide/svelte/icons/pin';
  import { momentOf } from './axis.ts';

  /** The bench over time: a lane for each engine, hands as bars, what goes on by itself as a thin line behind them. */
  interface Props {
    plan: BenchPlan;
    chosen?: string | undefined;
    onchoose: (id: string) => void;
    onpin: (row: PlanRow, at: Date) => void;
    onrelease: (row: PlanRow) => void;
  }
  let { plan, chosen, onchoose, onpin, onrelease }: Props = $props();
  const PER_HOUR = 190;
  const LANE = 52;
  const STEP = 15;
  const end = $derived(Math.max(60, ...plan.rows.map((r) => r.until)));
  const x = $derived(scaleLinear([0, end], [0, (end / 60) * PER_HOUR]));
  // In the order the plan was made from and not in the plan's: a better plan moves bars, never lanes, and takes no focus.
  const stable = $derived(plan.rows.toSorted((a, b) => a.place - b.place));
  const lanes = $derived([...new Map(stable.map((r) => [r.engine, r.tag]))]);
  const days = $derived(plan.openings.filter((o) => o.work <= end));
  let moved = $state<{ id: string; by: number }>();
  let from: { x: number; id: string; pointer: number } | undefined;

  /** Hands are told apart by pattern as well as by name. */
  const people = $derived([...new Set(plan.rows.flatMap((r) => (r.person ? [r.person] : [])))].toSorted());
  const patterns = [
    'none',
    'repeating-linear-gradient(45deg, var(--weave) 0 2px, transparent 2px 9px)',
    'repeating-linear-gradient(0deg, var(--weave) 0 2px, transparent 2px 7px)',
    'radial-gradient(var(--weave) 1.4px, transparent 1.6px) 0 0 / 8px 8px',
    'repeating-linear-gradient(-45deg, var(--weave) 0 2px, transparent 2px 6px)'
  ];
  const patternOf = (person: string | undefined): string =>
    person ? patterns[people.indexOf(person) % patterns.length]! : 'none';
  const at = (r: PlanRow): number => Math.max(0, r.start + (moved?.id === r.id ? moved.by : 0));
  const when = (r: PlanRow): string => sayDate(momentOf(plan.openings, at(r)), 'EEE d MMM HH:mm');
  const said = (r: PlanRow): string =>
    `${r.tag}: ${r.title}, ${r.minutes} min${r.person ? `, ${r.person}` : ''}, about ${when(r)}${r.wait ? `, then ${r.wait} min by itself` : ''}${r.pinned ? ', pinned' : ''}${moved?.id === r.id ? ', moving: Enter pins it here' : ''}`;

  function down(e: PointerEvent, r: PlanRow): void {
    onchoose(r.id);
    from = { x: e.clientX, id: r.id, pointer: e.pointerId };
    (e.currentTarget as HTMLElement).setPointerCapture(e.pointerId);
  }
  function move(e: PointerEvent, r: PlanRow): void {
    if (from?.id !== r.id) return;
    const by = Math.round(x.invert(e.clientX - from.x) / STEP) * STEP;
    if (by || moved) moved = { id: r.id, by };
  }
  function up(r: PlanRow): void {
    from = undefined;
    if (moved?.id === r.id && moved.by) onpin(r, momentOf(plan.openings, at(r)));
    moved = undefined;
  }
  function key(e: KeyboardEvent, r: PlanRow): void {
    const by = moved?.id === r.id ? moved.by : 0;
    if (e.key === 'ArrowLeft') moved = { id: r.id, by: Math.max(-r.start, by - STEP) };
    else if (e.key === 'ArrowRight') moved = { id: r.id, by: by + STEP };
    else if (e.key === 'Enter' && moved?.id === r.id) up(r);
    else if (e.key === 'Escape' && moved) moved = undefined;
    else if (e.key === 'Delete' || e.key === 'Backspace') onrelease(r);
    else return;
    e.preventDefault();
    onchoose(r.id);
  }
</script>

{#if people.length > 1}
  <ul class="mb-1 flex flex-wrap gap-x-4 text-sm" aria-label="Hands">
    {#each people as p (p)}<li class="flex items-center gap-1.5">
        <span class="weave inline-block h-5 w-8 border border-line bg-base-300" style:background-image={patternOf(p)}
        ></span>{p}
      </li>{/each}
    <li class="flex items-center gap-1.5">
      <span class="inline-block w-8 border-t-2 border-dashed border-base-content/60"></span>goes on by itself
    </li>
  </ul>
{/if}
<div class="weave relative flex border border-line bg-base-100">
  <div class="w-24 shrink-0 border-r border-line bg-base-200 pt-8 sm:w-32">
    {#each lanes as [engine, tag] (engine)}
      <p class="flex items-center border-t border-line px-2 font-label font-semibold" style:height="{LANE}px">
        <a class="truncate hover:underline" href="/surveys/{engine}/jobs">{tag}</a>
      </p>
    {/each}
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="min-w-0 flex-1 overflow-x-auto" tabindex="0" role="region" aria-label="Bench over the days ahead">
    <div class="relative" style:width="{x(end) + 12}px" style:height="{lanes.length * LANE + 32}px">
      {#each days as d, k (d.work)}
        <div
          class="absolute inset-y-0 border-l-2 border-line {k % 2 ? 'bg-base-200/60' : ''}"
          style:left="{x(d.work)}px"
          style:width="{x(Math.min(end + 13, d.work + d.minutes)) - x(d.work)}px"
        >
          <p class="truncate px-1.5 pt-1 text-sm">{sayDate(d.wall * 60_000, 'EEE d MMM')}</p>
        </div>
      {/each}
      {#each lanes as [engine], lane (engine)}
        <div class="absolute inset-x-0 border-t border-line" style:top="{32 + lane * LANE}px"></div>
        {#each stable.filter((r) => r.engine === engine) as r (r.id)}
          {#if r.until > r.end}<span
              class="absolute border-t-2 border-dashed border-base-content/60"
              aria-hidden="true"
              style:left="{x(r.end)}px"
              style:width="{x(r.until) - x(r.end)}px"
              style:top="{32 + lane * LANE + LANE / 2}px"
            ></span>{/if}
          <button
            type="button"
            class="absolute flex items-center gap-1 overflow-hidden border px-1 text-left text-sm leading-[1.05] {chosen ===
            r.id
              ? 'border-primary bg-primary text-primary-content'
              : r.minutes
                ? 'border-line bg-base-300'
                : 'border-dashed border-line bg-base-100'}"
            class:z-10={moved?.id === r.id}
            style:left="{x(at(r))}px"
            style:width="{Math.max(14, x(Math.max(r.end - r.start, 1)) - 1)}px"
            style:top="{32 + lane * LANE + 4}px"
            style:height="{LANE - 8}px"
            style:background-image={chosen === r.id ? 'none' : patternOf(r.person)}
            style:touch-action="pan-y"
            aria-label={said(r)}
            aria-pressed={chosen === r.id}
            title={said(r)}
            onpointerdown={(e) => down(e, r)}
            onpointermove={(e) => move(e, r)}
            onpointerup={() => up(r)}
            onpointercancel={() => ((from = undefined), (moved = undefined))}
            onkeydown={(e) => key(e, r)}
            onclick={() => onchoose(r.id)}
            >{#if r.pinned}<Pin size={14} aria-hidden="true" class="shrink-0" />{/if}<span
              class="line-clamp-2 bg-inherit"
              data-hand={people.length > 1 ? r.person?.slice(0, 2) : undefined}>{r.title}</span
            ></button
          >
        {/each}
      {/each}
    </div>
  </div>
</div>

<style>
  /* Whose hand it is stands in the name of the button, spelled out. */
  [data-hand]::before {
    content: attr(data-hand) '\00a0 ';
    font-family: var(--font-label);
    font-weight: 700;
  }
  .weave {
    --weave: color-mix(in oklab, var(--color-base-content) 16%, transparent);
  }
</style>
