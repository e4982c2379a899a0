<script lang="ts">
  /** A drawn jar: what stands in it, layer over layer. Shares from 0 to 1; decorative beside its words. */
  let { layers, label }: { layers: readonly { share: number; tint: string; words: string }[]; label: string } =
    $props();
  const stacked = $derived.by(() => {
    let under = 0;
    return [...layers].reverse().map((l) => {
      const at = under;
      under += l.share;
      return { ...l, from: at };
    });
  });
</script>

<figure class="flex items-center gap-4">
  <svg
    viewBox="0 0 90 140"
    class="h-36 shrink-0"
    role="img"
    aria-label="{label}: {layers.map((l) => `${Math.round(l.share * 100)} % ${l.words}`).join(', ')}"
  >
    {#each stacked as l (l.words)}
      <rect x="14" y={128 - (l.from + l.share) * 100} width="62" height={l.share * 100} fill={l.tint} />
      {#if l.from > 0}<path d="M14 {128 - l.from * 100}h62" stroke="var(--color-base-content)" stroke-width="1" />{/if}
    {/each}
    <path
      d="M22 8h46v10l8 8v98q0 6-6 6H20q-6 0-6-6V26l8-8z"
      fill="none"
      stroke="var(--color-base-content)"
      stroke-width="2"
    />
    {#each [0.25, 0.5, 0.75] as t (t)}<path d="M66 {128 - t * 100}h9" stroke="var(--color-base-content)" />{/each}
  </svg>
  <figcaption class="text-sm">
    {#each layers as l (l.words)}<span class="block"
        ><span aria-hidden="true" class="mr-2 inline-block h-3 w-3 border border-base-content" style:background={l.tint}
        ></span>{l.words}{l.share < 1 ? `, ${Math.round(l.share * 100)} %` : ''}</span
      >{/each}
  </figcaption>
</figure>
