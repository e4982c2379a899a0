<script lang="ts">
  import type { Finding } from '$core/findings/finding.ts';
  import Shape from '../marks/Shape.svelte';

  /** A finding: condition, sentence, and its reason one tap away. */
  let { finding }: { finding: Finding } = $props();
  const b = $derived(finding.because);
  const provenance = { P: 'published', C: 'common practice', M: 'from memory, to be confirmed' } as const;
</script>

<article class="border-t border-line first:border-t-0">
  <details>
    <summary class="flex min-h-[44px] cursor-pointer gap-2 py-2">
      <span class="pt-0.5"><Shape condition={finding.condition} /></span>
      <span class="leading-snug"
        >{finding.sentence} <span class="plain-link text-sm whitespace-nowrap">because</span></span
      >
    </summary>
    <dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 pb-3 pl-[26px] text-sm">
      <dt class="label-caps">From</dt>
      <dd>{b.inputs.join('; ') || 'what was seen'}</dd>
      {#if b.value}<dt class="label-caps">Value</dt>
        <dd>{b.value}</dd>{/if}
      {#if b.uncertainty}<dt class="label-caps">Uncertain</dt>
        <dd>{b.uncertainty}</dd>{/if}
      {#if b.limit}<dt class="label-caps">Limit</dt>
        <dd>{b.limit}</dd>{/if}
      {#if b.school}<dt class="label-caps">School</dt>
        <dd>{b.school}</dd>{/if}
      {#if b.formula}<dt class="label-caps">Formula</dt>
        <dd>{b.formula}</dd>{/if}
      <dt class="label-caps">Source</dt>
      <dd>{b.source} ({provenance[b.provenance]})</dd>
    </dl>
  </details>
</article>
