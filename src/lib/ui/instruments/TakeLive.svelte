<script lang="ts">
  import { signals } from '$core/instruments/signals.ts';
  import { signalOf, valueFor } from '$core/instruments/takes.ts';
  import type { Item } from '$core/items/item.ts';
  import { say, type System } from '$core/units/index.ts';
  import type { ReadMore } from '../session/session.svelte.ts';
  import { onMount } from 'svelte';
  import { liveInstruments } from './live.svelte.ts';
  import { nameOf } from './recorder.svelte.ts';

  /** One tap takes what the item's instrument shows now; nothing is there while it is silent. */
  interface Props {
    item: Extract<Item, { kind: 'quantity' }>;
    units: System;
    ontake: (value: number, more: ReadMore) => void;
  }
  let { item, units, ontake }: Props = $props();
  const live = liveInstruments();
  const name = $derived(signalOf(item));
  let now = $state(Date.now());
  onMount(() => {
    const tick = setInterval(() => (now = Date.now()), 500);
    return () => clearInterval(tick);
  });
  $effect(() => live.use());
  const shown = $derived(name ? live.fresh(name, now) : undefined);
  const value = $derived(shown ? valueFor(item, shown.value) : undefined);
</script>

{#if shown && value !== undefined}
  <button
    type="button"
    class="chip soft mb-1"
    onclick={() => ontake(value, { instrument: { name: nameOf(shown.name, shown.source) }, sentence: shown.sentence })}
    >{item.label}: take {say(value, item.dimension, units)}
    <span class="text-sm">off {signals[shown.name].label}</span></button
  >
{/if}
