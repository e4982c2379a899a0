<script lang="ts">
  import { badOf } from '$core/instruments/lines.ts';
  import type { LiveInstruments } from './live.svelte.ts';

  /** The ways in: ports of the server, a serial device of this browser, a recording. Each is switched on by hand. */
  let { live }: { live: LiveInstruments } = $props();
  let speed = $state('1');
  /** The box shows how the way stands, also where it could not be opened. */
  async function turn(box: HTMLInputElement, id: string): Promise<void> {
    await live.switch(id, box.checked);
    box.checked = live.ways.find((w) => w.id === id)?.on ?? false;
  }
</script>

<ul class="divide-y divide-line">
  {#each live.ways.filter((w) => w.id !== 'page') as w (w.id)}
    <li class="flex flex-wrap items-center gap-x-3 py-1">
      <label class="flex min-h-11 grow cursor-pointer items-center gap-3"
        ><input type="checkbox" class="toggle" checked={w.on} onchange={(e) => void turn(e.currentTarget, w.id)} /><span
          >{w.label}</span
        ></label
      >
      <span class="text-sm tabular-nums"
        >{w.counts.good} read{badOf(w.counts) ? `, ${badOf(w.counts)} not usable` : ''}</span
      >
      {#if w.problem}<p class="w-full font-medium text-error" role="alert">{w.problem}</p>{/if}
    </li>
  {/each}
  <li class="flex flex-wrap items-center gap-2 py-1">
    {#if live.device}
      <span class="grow">{live.device} is open</span>
      <button type="button" class="btn btn-outline btn-primary" onclick={() => void live.closeDevice()}>Close it</button
      >
    {:else if live.serial}
      <span class="grow">Serial device at this computer</span>
      <button type="button" class="btn btn-outline btn-primary" onclick={() => void live.openDevice()}>Open one</button>
    {:else}
      <span>This browser has no serial port; a device at a UDP or TCP port works in any.</span>
    {/if}
  </li>
  <li class="flex flex-wrap items-center gap-2 py-1">
    {#if live.replaying}
      <span class="grow" role="status">Playing {live.replaying}</span>
      <button type="button" class="btn btn-outline btn-primary" onclick={() => live.endReplay()}>Stop it</button>
    {:else}
      <label class="chip soft cursor-pointer"
        ><span>Play a recording</span><input
          type="file"
          class="sr-only"
          accept=".txt,.log,.nmea,text/plain"
          onchange={(e) => {
            const file = e.currentTarget.files?.[0];
            if (file) void live.replay(file, Number(speed));
            e.currentTarget.value = '';
          }}
        /></label
      >
      <label class="flex items-center gap-2"
        ><span class="text-sm">Speed</span><select class="select w-24" bind:value={speed}
          >{#each ['1', '2', '5', '20'] as s (s)}<option value={s}>{s} ×</option>{/each}</select
        ></label
      >
    {/if}
  </li>
</ul>
{#if live.problem}<p class="font-medium text-error" role="alert">{live.problem}</p>{/if}
