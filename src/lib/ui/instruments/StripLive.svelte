<script lang="ts">
  import { signals } from '$core/instruments/signals.ts';
  import { say } from '$core/units/index.ts';
  import { useSession } from '../session/session.svelte.ts';
  import { onMount, untrack } from 'svelte';
  import { FRESH, liveInstruments, type Shown } from './live.svelte.ts';
  import { Recorder } from './recorder.svelte.ts';
  import type { StripProps } from './strip-props.ts';
  import { scaleOf } from './scale.ts';
  import Ways from './Ways.svelte';

  /** What is live, and what may be armed: each instrument with its needle, and the words of what is recorded now. */
  let { record, units, names, arms, armed, stop }: StripProps = $props();
  const live = liveInstruments();
  const recorder = new Recorder(
    useSession(),
    live,
    untrack(() => record)
  );
  let now = $state(Date.now());
  onMount(() => {
    const tick = setInterval(() => (now = Date.now()), 500);
    return () => {
      clearInterval(tick);
      recorder.stop();
    };
  });
  $effect(() => live.use());
  const here = $derived(live.shown.filter((s) => names.includes(s.name)));
  const elsewhere = $derived(live.shown.length - here.length);
  const old = (s: Shown): boolean => now - s.at > FRESH;
  const value = (s: Shown): string => say(s.value, signals[s.name].dimension, units);
</script>

<p>
  <span class="text-sm" role="status"
    >{live.state === 'lost' ? 'connection lost, trying again' : live.state === 'connecting' ? 'connecting' : ''}
    {elsewhere ? `${elsewhere} more live` : ''}{live.bad ? `, ${live.bad} lines not usable` : ''}</span
  >
</p>
<ul class="mt-1 flex flex-wrap gap-2" aria-label="Live instruments">
  {#each here as s (s.name)}
    {@const scale = scaleOf(s.name)}
    <li class="min-w-40 grow border border-line bg-base-100 px-2 py-1 {old(s) ? 'border-dashed' : ''}">
      <p class="text-sm">{signals[s.name].label}{s.source === 'page' ? ' (stand-in)' : ''}</p>
      <p class="sounding text-2xl tabular-nums">{value(s)}</p>
      <div class="relative h-1.5 bg-base-300" aria-hidden="true">
        <div
          class="absolute inset-y-0 left-0 bg-primary"
          style:width="{100 * Math.min(1, Math.max(0, (s.value - scale.from) / (scale.to - scale.from)))}%"
        ></div>
      </div>
      <p class="text-sm tabular-nums">
        {old(s) ? `silent for ${Math.round((now - s.at) / 1000)} s` : `${s.rate} a second`}{s.others.length
          ? ', two of this name'
          : ''}
      </p>
    </li>
  {:else}
    <li class="text-sm">
      Nothing is heard yet. Switch a way in on below, or use the <a
        class="plain-link"
        href="/instruments"
        target="_blank"
        rel="noopener">stand-in instruments</a
      >.
    </li>
  {/each}
</ul>
<div class="mt-2 flex flex-wrap items-center gap-2">
  {#if recorder.arm}
    <p class="grow text-lg" role="status">
      <strong class="font-semibold text-primary">Armed: {armed(recorder.arm)}</strong>
      {recorder.taken ? `· ${recorder.taken} recorded` : ''}
    </p>
    <button type="button" class="btn btn-outline btn-primary" onclick={() => recorder.stop()}>Disarm</button>
  {:else}
    {#each arms as a (a.label)}
      <button type="button" class="btn btn-primary" disabled={Boolean(stop)} onclick={() => recorder.start(a.arm)}
        >{a.label}</button
      >
    {/each}
    {#if stop}<span class="text-sm">{stop}</span>{/if}
  {/if}
</div>
{#if recorder.says}<p class="mt-1 font-medium" role="alert">{recorder.says}</p>{/if}
<details class="mt-1">
  <summary class="plain-link tap cursor-pointer text-sm">Ways in</summary>
  <Ways {live} />
</details>
