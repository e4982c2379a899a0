<script lang="ts">
  import { onMount, type Snippet } from 'svelte';

  /** A part that is drawn, and fetched, when somebody is about to see it: it lies below what a page is opened for. */
  interface Props {
    /** Room it keeps until then, so that nothing moves. */
    height: string;
    children: Snippet;
  }
  let { height, children }: Props = $props();
  let place: HTMLElement;
  let seen = $state(false);
  onMount(() => {
    const watch = new IntersectionObserver(([e]) => e?.isIntersecting && (seen = true), { rootMargin: '160px' });
    watch.observe(place);
    return () => watch.disconnect();
  });
</script>

<div bind:this={place} style:min-height={seen ? undefined : height}>
  {#if seen}{@render children()}{/if}
</div>
