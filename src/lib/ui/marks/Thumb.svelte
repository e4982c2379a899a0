<script lang="ts">
  /** A small picture that opens the whole one. */
  let { photo, alt, side = 72 }: { photo: string; alt: string; side?: number } = $props();
</script>

<a href="/photos/{photo}" target="_blank" rel="noopener" class="block"
  ><img
    src="/photos/{photo}?size=thumb"
    {alt}
    width={side}
    height={side}
    style:width="{side}px"
    style:height="{side}px"
    class="border border-line object-cover"
  /></a
>
