<script lang="ts">
  import type { NextCheck } from '$core/moves/next-check.ts';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';

  let { next, base, current }: { next: NextCheck | undefined; base: string; current: string } = $props();
</script>

<section aria-label="Next check" class="border-t-2 border-primary bg-base-100 p-3">
  {#if next}
    <p class="label-caps">Next check</p>
    <p class="text-sm">{next.because}</p>
    {#if next.decide}
      <a class="action mt-2 w-full" href="{base}/suspects">{next.title} <ArrowRight size={18} aria-hidden="true" /></a>
    {:else if next.station === current}
      <p class="mt-1 font-semibold">{next.title} · {next.minutes} min. It is at this check.</p>
    {:else}
      <a class="action mt-2 w-full" href="{base}/{next.station}"
        >{next.title} · {next.minutes} min <ArrowRight size={18} aria-hidden="true" /></a
      >
    {/if}
  {:else}
    <p class="label-caps">Next check</p>
    <p>None is waiting. The job list and the gates say what is left.</p>
    <div class="mt-2 flex gap-2">
      <a class="action quiet grow" href="{base}/jobs">Job list</a><a class="action grow" href="{base}/ready"
        >Ready for service</a
      >
    </div>
  {/if}
</section>
