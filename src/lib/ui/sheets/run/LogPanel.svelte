<script lang="ts">
  import { clock as serverClock } from '$lib/ui/session/clock.ts';
  import { spots } from '$core/stations/run/runs.ts';
  import { say } from '$core/units/index.ts';
  import { onDestroy } from 'svelte';
  import { useSession } from '../../session/session.svelte.ts';
  import { LogImport } from './log-import.svelte.ts';
  import LogPlanForm from './LogPlanForm.svelte';

  /** A logger's file: its rows, what it leaves open, how it would be read, then the whole file with progress. */
  const session = useSession();
  const entry = new LogImport();
  let done = $state('');
  onDestroy(() => entry.cancel());
  const table = $derived(entry.looked?.table);
  const temperature = (k: number): string => say(k, 'temperature', session.units);
  const range = (values: readonly (number | null)[]): string => {
    const good = values.filter((v) => v !== null);
    const [low, high] = [Math.min(...good), Math.max(...good)];
    return low === high ? temperature(low) : `${temperature(low)} to ${temperature(high)}`;
  };

  /** A length of time as it is said, so that a wrong unit is seen at once: "14 h 3 min", "14 min 3 s". */
  const duration = (s: number): string =>
    s < 60
      ? `${Number(s.toFixed(1))} s`
      : s < 3600
        ? `${Math.floor(s / 60)} min${s % 60 >= 1 ? ` ${Math.floor(s % 60)} s` : ''}`
        : `${Math.floor(s / 3600)} h ${Math.floor((s % 3600) / 60)} min`;

  async function take(): Promise<void> {
    const name = entry.file?.name ?? '';
    const logs = await entry.read();
    if (!logs) return;
    const at = serverClock.date().toISOString();
    for (const { spot, log } of logs)
      session.read('run.log', log, { at, conditions: { spot }, typed: name.slice(0, 200) });
    const [first] = logs;
    done = `${name}: ${first!.log.rows} rows read${first!.log.unread ? `, ${first!.log.unread} could not be` : ''}, kept as ${logs
      .map((l) => `${l.log.seconds.length}${logs.length > 1 ? ` (${spots[l.spot]})` : ''}`)
      .join(' and ')}.`;
  }
</script>

<p class="text-sm">
  Any table with a time and a temperature. What the file does not say (unit, clock, place of the probe) is asked once
  for each logger. Up to 2000 rows are kept as they are; more are averaged into 2000, and the hottest row is kept
  beside.
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
{#if entry.state === 'looking' || entry.state === 'reading'}
  <div class="mt-2 flex items-center gap-3" role="status">
    <progress class="progress w-48" max="1" value={entry.share} aria-label="Reading the logger’s file"></progress>
    <span class="tabular-nums"
      >{entry.state === 'looking' ? 'Looking at' : 'Reading'}
      {entry.file?.name}: {Math.round(100 * entry.share)} %, {entry.rows} rows</span
    >
    <button type="button" class="btn btn-outline btn-primary" onclick={() => entry.cancel()}>Cancel</button>
  </div>
{/if}
{#if entry.state === 'asking' && table && entry.plan}
  <div class="mt-2 overflow-x-auto border border-line" role="region" aria-label="First rows of {entry.file?.name}">
    <table class="w-full text-sm">
      <caption class="sr-only">First and last rows of {entry.file?.name}</caption>
      <thead
        ><tr
          >{#each table.header as h, k (k)}<th scope="col" class="px-2 py-1 text-left">{h}</th>{/each}</tr
        ></thead
      >
      <tbody>
        {#each table.first.slice(0, 3) as row, k (k)}<tr class="border-t border-line"
            >{#each row as cell, i (i)}<td class="px-2 py-1 tabular-nums">{cell}</td>{/each}</tr
          >{/each}
        {#each table.last.slice(-1) as row, k (k)}<tr class="border-t-2 border-line"
            >{#each row as cell, i (i)}<td class="px-2 py-1 tabular-nums">{cell}</td>{/each}</tr
          >{/each}
      </tbody>
    </table>
  </div>
  {#if entry.again}<p class="mt-2 text-sm">Columns and clock as you said for the last file of this logger.</p>{/if}
  <LogPlanForm {table} plan={entry.plan} questions={entry.questions} onchange={(plan) => entry.say(plan)} />
  {#if entry.questions.length === 0}
    <p class="mt-3 font-medium" role="status">
      {#if entry.preview.length}
        It would be read as: {entry.preview.map((l) => `${spots[l.spot]} ${range(l.log.temperature)}`).join(', ')} over {duration(
          Math.max(...entry.preview.map((l) => l.log.seconds.at(-1) ?? 0))
        )}, {table.rows} rows.
      {:else}Read so, its first and last rows hold no time with a temperature.{/if}
    </p>
  {/if}
  <div class="mt-2 flex gap-2">
    <button type="button" class="btn btn-primary" onclick={take}>Read it</button>
    <button type="button" class="btn btn-outline btn-primary" onclick={() => entry.cancel()}>Leave it</button>
  </div>
{/if}
{#if entry.message}<p class="mt-2 font-medium text-error" role="alert">{entry.message}</p>{/if}
{#if done}<p class="mt-2" role="status">{done}</p>{/if}
