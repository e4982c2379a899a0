<script lang="ts">
  import type { Item } from '$core/items/item.ts';
  import type { System } from '$core/units/index.ts';
  import { onMount } from 'svelte';
  import type { ReadMore } from '../session/session.svelte.ts';
  import { instrumentsWanted } from './wanted.svelte.ts';

  /** One tap takes what the item's instrument shows now; nothing is there where instruments are not switched on. */
  interface Props {
    item: Extract<Item, { kind: 'quantity' }>;
    units: System;
    ontake: (value: number, more: ReadMore) => void;
  }
  let props: Props = $props();
  onMount(() => instrumentsWanted.restore());
</script>

{#if instrumentsWanted.on}{#await import('./TakeLive.svelte') then { default: TakeLive }}<TakeLive
      {...props}
    />{/await}{/if}
