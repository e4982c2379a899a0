<script lang="ts">
  import { untrack, type Snippet } from 'svelte';

  /** A part that folds: open from the start where there is something in it, and after that as the reader left it. */
  interface Props {
    title: string;
    note?: string;
    large?: boolean;
    open?: boolean;
    /** Drawn when it is first opened, for parts that few need. */
    lazy?: boolean;
    children: Snippet;
  }
  let { title, note = '', large = false, open = false, lazy = false, children }: Props = $props();
  let shown = $state(untrack(() => open));
  let drawn = $state(untrack(() => open || !lazy));
  $effect(() => {
    if (shown) drawn = true;
  });
</script>

<details class="panel px-3 {large ? 'mt-5' : 'mt-2'}" bind:open={shown}>
  <summary class="flex min-h-[44px] cursor-pointer items-center gap-2"
    ><span class={large ? 'text-xl font-semibold' : ''}>{title}</span>
    {#if note}<span class="text-sm">{note}</span>{/if}</summary
  >
  {#if drawn}{@render children()}{/if}
</details>
