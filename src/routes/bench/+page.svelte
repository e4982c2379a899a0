<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { invalidateAll } from '$app/navigation';
  import type { BenchInput, BenchPlan, PlanRow } from '$core/schedule/plan-bench.ts';
  import type { Days } from '$core/schedule/today.ts';
  import { sayMinutes } from '$core/units/duration.ts';
  import { gapSaid, momentOf } from '$lib/ui/bench/axis.ts';
  import Deliveries from '$lib/ui/bench/Deliveries.svelte';
  import Picker from '$lib/ui/bench/Picker.svelte';
  import { Planning } from '$lib/ui/bench/planning.svelte.ts';
  import Timeline from '$lib/ui/bench/Timeline.svelte';
  import TodayList from '$lib/ui/bench/TodayList.svelte';

  import { onMount } from 'svelte';

  let { data, form } = $props();
  const input = $derived(JSON.parse(data.bench) as BenchInput);
  const first = $derived(JSON.parse(data.first) as { plan: BenchPlan; today: Days });
  const planning = new Planning();
  const made = $derived(planning.made ?? first);
  const plan = $derived(made.plan);
  let chosen = $state<string>();
  let live = $state(false);
  const row = $derived(plan.rows.find((r) => r.id === chosen));
  const pinned = $derived(input.pins.find((p) => p.engine === row?.engine && p.step === row?.step));
  const finish = $derived(plan.rows.length ? momentOf(plan.openings, plan.solution.cost.finish) : undefined);

  onMount(() => {
    live = true;
    return () => planning.stop();
  });
  // Whatever the plan rests on, a change of it is planned anew.
  $effect(() => {
    planning.made = undefined;
    if (input.engines.length) void planning.ask(input);
  });

  async function pin(r: PlanRow, more: Record<string, string>): Promise<void> {
    const body = new FormData();
    for (const [k, v] of Object.entries({ engine: r.engine, step: r.step, ...more })) body.set(k, v);
    await fetch('?/pin', { method: 'POST', body });
    await invalidateAll();
  }
</script>

<svelte:head><title>Bench · Indaga</title></svelte:head>

<div class="mb-1 flex flex-wrap items-center justify-between gap-x-3">
  <h1>Bench</h1>
  <div class="flex flex-wrap gap-2">
    <a class="btn btn-outline btn-primary" href="/bench/tonight">Leaving tonight</a>
    <a class="btn btn-outline btn-primary" href="/parts">Parts order</a>
    <a class="btn btn-outline btn-primary" href="/bench/settings">Who works, and with what</a>
  </div>
</div>
<p class="mb-1 min-h-8 text-sm leading-8 max-sm:leading-normal" role="status">
  {#if !plan.rows.length}Nothing is planned.
  {:else}{input.engines.length}
    {input.engines.length === 1 ? 'engine' : 'engines'}, {plan.rows.length} steps, over by
    <strong>{finish ? sayDate(finish, 'EEE d MMM') : ''}</strong>. {gapSaid(plan.solution.gap)}{/if}
  {#if planning.state === 'working'}
    <span class="whitespace-nowrap"
      >Looking for a better plan… {Math.round(planning.share * 100)} %
      <button type="button" class="plain-link tap px-1" onclick={() => planning.stop()}>Stop</button></span
    >
  {:else if planning.state === 'failed'}The planner stopped; this is the first plan.
  {/if}
</p>
{#if !data.chosen}<p class="mb-3 border-l-4 border-warning pl-3 text-sm">
    Nobody has said who works here; one pair of hands is assumed. <a class="plain-link" href="/bench/settings">Say it</a
    >
  </p>{/if}
{#if form?.message}<p class="mb-2 font-medium text-error" role="alert">{form.message}</p>{/if}

<TodayList today={made.today} />

{#if plan.late.length}<p class="mt-3 border-l-4 border-error pl-3">
    {#each plan.late as l, k (l.engine)}{k ? ' ' : ''}<strong>{l.tag}</strong> will be {sayMinutes(l.minutes)} later than
      promised: call the owner today.{/each}
  </p>{/if}

{#if plan.rows.length}
  <section class="mt-5" aria-labelledby="line-title">
    <h2 id="line-title">The days ahead</h2>
    <p class="text-sm">
      Drag a step to put it where you want it, or move it with the arrows and Enter; the rest is planned around it.
      Dashed: goes on by itself.
    </p>
    <div class="mt-1">
      {#if live}
        <Timeline
          {plan}
          {chosen}
          onchoose={(id) => {
            // A plan that changes under a hand is no help: the one that stands is worked on.
            planning.stop();
            chosen = id;
          }}
          onpin={(r, at) => void pin(r, { at: at.toISOString() })}
          onrelease={(r) => void pin(r, { off: '1' })}
        />
      {:else}
        <!-- Drawn by scripts only; the table below says the same without. Its room is kept. -->
        <div class="border border-line" style:height="{new Set(plan.rows.map((r) => r.engine)).size * 52 + 34}px"></div>
      {/if}
    </div>
    <div class="panel mt-2 min-h-20 p-3" aria-live="polite">
      {#if row}
        <h3 class="text-lg">{row.tag}: {row.title}</h3>
        <p class="text-sm">
          {row.minutes} min of hands{row.person ? `, ${row.person}` : ''}{row.wait
            ? `, then ${sayMinutes(row.wait)} by itself`
            : ''}{row.uses.length ? `; takes the ${row.uses.join(' and the ')}` : ''}; about {sayDate(
            row.begins,
            'EEE d MMM HH:mm'
          )}.
        </p>
        {#if live}<div class="mt-2 flex flex-wrap items-end gap-2">
            <label
              ><span class="label-caps">Who</span><select
                class="select w-full"
                value={pinned?.person ?? ''}
                onchange={(e) => {
                  const at = pinned?.at;
                  void pin(row, {
                    ...(at ? { at } : {}),
                    ...(e.currentTarget.value ? { person: e.currentTarget.value } : at ? {} : { off: '1' })
                  });
                }}
              >
                <option value="">anybody</option>
                {#each input.settings.people as p (p)}<option value={p}>{p}</option>{/each}
              </select></label
            >
            {#if row.pinned}<button
                type="button"
                class="btn btn-outline btn-primary"
                onclick={() => void pin(row, { off: '1' })}>Let it go</button
              >{/if}
            <a
              class="btn btn-outline btn-primary"
              href="/surveys/{row.engine}{row.step === 'checks'
                ? ''
                : row.step === 'run'
                  ? '/run'
                  : row.step === 'papers'
                    ? '/ready'
                    : '/jobs'}">Open it</a
            >
          </div>{/if}
      {:else}<p class="text-sm">Choose a step to see who does it and why it stands there.</p>{/if}
    </div>
  </section>
{:else}
  <section class="panel mt-3 p-6">
    <h2>Nothing is planned</h2>
    <p class="mt-1">
      {data.idle.length ? 'Every engine is back in service or waits for nobody here.' : 'No engine is in the yard yet.'}
      <a class="plain-link" href="/">Yard</a>
    </p>
  </section>
{/if}

<div class="mt-5 grid gap-5 lg:grid-cols-2">
  <Deliveries deliveries={data.deliveries} {form} />
  <Picker asked={data.asked} picks={data.picks} />
</div>

{#if plan.left.length || plan.notes.length || data.idle.length}
  <section class="panel mt-5 p-3" aria-labelledby="left-title">
    <h2 id="left-title">Not planned, and what was assumed</h2>
    <ul class="mt-1 list-disc pl-5">
      {#each plan.left as l (l.engine + l.title)}<li><strong>{l.tag}</strong>: {l.title}. {l.because}</li>{/each}
      {#each plan.notes as n (n)}<li>{n}</li>{/each}
      {#each data.idle as i (i.engineId)}<li>
          <a class="plain-link" href="/engines/{i.engineId}">{i.tag}</a>: {i.because}.
        </li>{/each}
    </ul>
  </section>
{/if}
{#if plan.rows.length}<details class="mt-5">
    <summary class="plain-link tap cursor-pointer">The plan as a table</summary>
    <div class="overflow-x-auto">
      <table class="mt-1 w-full text-left text-[0.95rem]">
        <thead
          ><tr class="label-caps"
            ><th class="p-1">About</th><th class="p-1">Engine</th><th class="p-1">Step</th><th class="p-1">Who</th><th
              class="p-1 text-right">Minutes</th
            ><th class="p-1 text-right">By itself</th></tr
          ></thead
        >
        <tbody>
          {#each plan.rows as r (r.id)}<tr class="border-t border-line"
              ><td class="p-1 whitespace-nowrap">{sayDate(r.begins, 'EEE d MMM HH:mm')}</td><td class="p-1">{r.tag}</td
              ><td class="p-1">{r.title}{r.pinned ? ' (pinned)' : ''}</td><td class="p-1">{r.person ?? ''}</td><td
                class="p-1 text-right">{r.minutes}</td
              ><td class="p-1 text-right">{r.wait ? sayMinutes(r.wait) : ''}</td></tr
            >{/each}
        </tbody>
      </table>
    </div>
  </details>{/if}
