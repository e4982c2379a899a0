<script lang="ts">
  import type { SuspectView } from '$core/diagnosis/suspects.ts';
  import Chance from './Chance.svelte';
  import WeightBars from './WeightBars.svelte';

  /** A suspect: how likely in words, why, what would clear it, and what cures it. */
  let { suspect, base, open = false }: { suspect: SuspectView; base: string; open?: boolean } = $props();
  const s = $derived(suspect);
  const percent = (p: number): string => (p > 0.99 ? 'over 99 %' : p < 0.01 ? 'under 1 %' : `${Math.round(100 * p)} %`);
  const spoken = $derived(s.label.charAt(0).toUpperCase() + s.label.slice(1));
</script>

<article class="border-t border-line first:border-t-0">
  <details {open}>
    <summary class="flex min-h-[48px] cursor-pointer flex-wrap items-center justify-between gap-x-4 py-1.5">
      <span class="min-w-0 flex-1 text-lg leading-snug font-medium">{spoken}</span>
      <Chance chance={s.chance} artefact={s.artefact && !s.step} />
    </summary>
    <div class="space-y-2 pb-3 pl-1">
      {#if s.mended}<p class="font-medium text-success">
          Its job is done; what was read before that no longer counts.
        </p>{/if}
      {#if s.evidence.length}<WeightBars evidence={s.evidence} {base} />
      {:else}<p class="text-sm">
          No reading speaks for it or against it: it follows from the kind of case and its years.
        </p>{/if}
      <dl class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-[0.95rem]">
        {#if s.fits.length}<dt class="label-caps pt-0.5">Fits too</dt>
          <dd>{s.fits.join('; ')}</dd>{/if}
        {#if s.clears}<dt class="label-caps pt-0.5">Would clear it</dt>
          <dd>
            <a class="plain-link" href="{base}/{s.clears.station}">{s.clears.title}</a>: {s.clears.says}
          </dd>{/if}
        <dt class="label-caps pt-0.5">{s.artefact && !s.step ? 'Measure again' : 'Cure'}</dt>
        <dd>{s.cure}</dd>
        <dt class="label-caps pt-0.5">In figures</dt>
        <dd class="text-sm">
          {percent(s.probability)}; {percent(s.prior)} by {s.system.toLowerCase()} and kind of case alone. Estimates, from
          memory.
        </dd>
      </dl>
    </div>
  </details>
</article>
