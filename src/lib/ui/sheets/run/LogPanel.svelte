<script lang="ts">
  import type { LogColumn, LogPlan } from '$core/stations/run/log-csv.ts';
  import { spotIds, spots, type Spot } from '$core/stations/run/runs.ts';
  import { onDestroy } from 'svelte';
  import { useSession } from '../../session/session.svelte.ts';
  import { LogImport } from './log-import.svelte.ts';

  /** A logger's CSV: its first rows, which column is what, then the whole file with progress. */
  const session = useSession();
  const entry = new LogImport();
  let spot = $state<Spot>('head');
  let done = $state('');
  onDestroy(() => entry.cancel());

  const columns: readonly (readonly [LogColumn, string])[] = [
    ['time', 'Time'],
    ['temperature', 'Temperature'],
    ['rpm', 'Engine speed']
  ];
  const set = (change: Partial<LogPlan>): void => void (entry.plan = { ...entry.plan!, ...change });
  function column(id: LogColumn, value: string): void {
    const { [id]: _old, ...rest } = entry.plan!.mapping;
    set({ mapping: value === '' ? rest : { ...rest, [id]: Number(value) } });
  }
  async function take(): Promise<void> {
    const name = entry.file?.name ?? '';
    const log = await entry.read();
    if (!log) return;
    session.read('run.log', log, { conditions: { spot }, typed: name.slice(0, 200) });
    done = `${name}: ${log.rows} rows read${log.unread ? `, ${log.unread} could not be` : ''}, kept as ${log.seconds.length}.`;
  }
</script>

<p class="text-sm">
  Any table with a time and a temperature: comma, semicolon or tab, decimal point or comma, °C, °F or K. Up to 2000 rows
  are kept as they are; more are averaged into 2000, and the hottest row is kept beside.
</p>
<label class="chip soft mt-2 cursor-pointer"
  ><span>Choose a logger’s file</span>
  <input
    type="file"
    accept=".csv,.txt,.tsv,text/csv,text/plain"
    class="sr-only"
    onchange={(e) => {
      const file = e.currentTarget.files?.[0];
      done = '';
      if (file) void entry.look(file);
      e.currentTarget.value = '';
    }}
  /></label
>
{#if entry.state === 'looking'}<p class="mt-2" role="status">Looking at {entry.file?.name}…</p>{/if}
{#if entry.state === 'asking' && entry.head && entry.plan}
  <div class="mt-2 overflow-x-auto border border-line" role="region" aria-label="First rows of {entry.file?.name}">
    <table class="w-full text-sm">
      <caption class="sr-only">First rows of {entry.file?.name}</caption>
      <thead
        ><tr
          >{#each entry.head.header as h, k (k)}<th scope="col" class="px-2 py-1 text-left">{h || `column ${k + 1}`}</th
            >{/each}</tr
        ></thead
      >
      <tbody
        >{#each entry.head.rows.slice(0, 4) as row, k (k)}<tr class="border-t border-line"
            >{#each row as cell, i (i)}<td class="px-2 py-1 tabular-nums">{cell}</td>{/each}</tr
          >{/each}</tbody
      >
    </table>
  </div>
  <div class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-3">
    {#each columns as [id, label] (id)}
      <label
        ><span class="label-caps">{label}</span>
        <select
          class="field"
          value={String(entry.plan.mapping[id] ?? '')}
          onchange={(e) => column(id, e.currentTarget.value)}
        >
          <option value="">not in this file</option>
          {#each entry.head.header as h, k (k)}<option value={String(k)}>{h || `column ${k + 1}`}</option>{/each}
        </select></label
      >
    {/each}
    <label
      ><span class="label-caps">Temperature in</span>
      <select class="field" value={entry.plan.unit} onchange={(e) => set({ unit: e.currentTarget.value as '°C' })}>
        {#each ['°C', '°F', 'K'] as u (u)}<option>{u}</option>{/each}
      </select></label
    >
    <label
      ><span class="label-caps">Decimal sign</span>
      <select class="field" value={entry.plan.decimal} onchange={(e) => set({ decimal: e.currentTarget.value as '.' })}>
        <option value=".">point, 21.5</option><option value=",">comma, 21,5</option>
      </select></label
    >
    <label
      ><span class="label-caps">A bare time is in</span>
      <select
        class="field"
        value={entry.plan.timeUnit}
        onchange={(e) => set({ timeUnit: e.currentTarget.value as 's' })}
      >
        <option value="s">seconds</option><option value="min">minutes</option><option value="h">hours</option><option
          value="ms">milliseconds</option
        >
      </select></label
    >
    <label class="col-span-2"
      ><span class="label-caps">Where its probe was</span>
      <select class="field" bind:value={spot}>
        {#each spotIds as s (s)}<option value={s}>{spots[s]}</option>{/each}
      </select></label
    >
  </div>
  <div class="mt-2 flex gap-2">
    <button type="button" class="action" onclick={take}>Read it</button>
    <button type="button" class="action quiet" onclick={() => entry.cancel()}>Leave it</button>
  </div>
{/if}
{#if entry.state === 'reading'}
  <div class="mt-2 flex items-center gap-3" role="status">
    <progress class="progress w-48" max="1" value={entry.share} aria-label="Reading the logger’s file"></progress>
    <span class="tabular-nums">{Math.round(100 * entry.share)} %, {entry.rows} rows</span>
    <button type="button" class="action quiet" onclick={() => entry.cancel()}>Cancel</button>
  </div>
{/if}
{#if entry.message}<p class="mt-2 font-medium text-error" role="alert">{entry.message}</p>{/if}
{#if done}<p class="mt-2" role="status">{done}</p>{/if}
