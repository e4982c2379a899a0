<script lang="ts">
  import type { Decision } from '$core/decision/decide.ts';
  import { options, type OptionId } from '$core/record/options.ts';
  import Check from '@lucide/svelte/icons/check';

  /** What can be done, side by side, with what each is worth on average. */
  let { decision, chosen, onchoose }: { decision: Decision; chosen: OptionId; onchoose: (id: OptionId) => void } =
    $props();
  const values = $derived(decision.options.map((o) => o.value ?? 0));
  const span = $derived(Math.max(1, ...values.map(Math.abs)));
  const cr = (n: number): string => `${n < 0 ? '−' : ''}${Math.round(Math.abs(n) / 5) * 5} cr`;
</script>

<div role="radiogroup" aria-label="What to do" class="grid gap-2 sm:grid-cols-2">
  {#each decision.options as o (o.id)}
    <button
      type="button"
      role="radio"
      aria-checked={chosen === o.id}
      disabled={o.closed !== undefined}
      class="border p-2.5 text-left {chosen === o.id
        ? 'border-primary bg-base-100 outline-2 outline-primary'
        : 'border-line bg-base-100'} {o.closed ? 'opacity-70' : ''}"
      onclick={() => onchoose(o.id)}
    >
      <span class="flex items-center justify-between gap-2">
        <span class="font-label text-lg font-semibold">{options[o.id].label}</span>
        {#if decision.recommended === o.id}<span class="flex items-center gap-1 text-sm font-semibold text-primary"
            ><Check size={16} aria-hidden="true" /> advised</span
          >{/if}
      </span>
      {#if o.value !== undefined && !o.closed}
        <span class="mt-1 flex items-center gap-2">
          <svg viewBox="0 0 100 8" preserveAspectRatio="none" class="h-2 w-28" aria-hidden="true"
            ><rect width="100" height="8" fill="var(--color-base-300)" /><rect
              width={Math.max(0, (100 * o.value) / span)}
              height="8"
              fill="var(--color-primary)"
            /></svg
          ><span class="sounding">{cr(o.value)}</span><span class="text-sm">left to the owner on average</span>
        </span>
      {/if}
      <span class="mt-1 block text-[0.95rem] leading-snug">{o.closed ?? o.because}</span>
    </button>
  {/each}
</div>
