<script lang="ts">
  import { actions, type Hold } from '$core/holds/hold.ts';
  import Shape from '../marks/Shape.svelte';

  /** Holds, on every view of the engine, each with what lifts it. */
  let {
    holds,
    base,
    onoverride
  }: { holds: readonly Hold[]; base?: string; onoverride?: (hold: string, reason: string) => void } = $props();
  let asked = $state<Hold>();
  const lifts = (hold: Hold): string =>
    hold.needs
      .filter((n) => !n.done)
      .map((n) => n.text)
      .join('; ');
</script>

{#if holds.length}
  <section aria-label="Holds" class="border-2 border-hold bg-base-100">
    <details class="group px-3">
      <summary class="flex min-h-[40px] cursor-pointer items-center gap-x-4 overflow-hidden">
        {#each holds as hold, k (hold.id)}
          <span class="flex min-w-0 items-center gap-1.5 text-hold {k ? 'max-lg:hidden' : ''}"
            ><Shape condition="held" size={18} /><strong
              class="{holds.length > 1 ? 'truncate' : ''} {hold.override ? 'line-through decoration-2' : ''}"
              >{hold.title}</strong
            ></span
          >
          {#if hold.override}<span class="truncate text-sm {k ? 'max-lg:hidden' : ''}"
              >overridden: {hold.override.reason}</span
            >
          {:else if holds.length === 1}<span class="min-w-0 truncate text-sm max-sm:hidden"
              ><span class="font-semibold">Lifts when:</span> {lifts(hold)}</span
            >{/if}
        {/each}
        {#if holds.length > 1}<span class="text-hold lg:hidden">+{holds.length - 1}</span>{/if}
        <span class="plain-link ml-auto shrink-0 text-sm">what lifts {holds.length > 1 ? 'them' : 'it'}</span>
      </summary>
      <div class="grid gap-x-6 pb-2 {holds.length > 1 ? 'md:grid-cols-2 xl:grid-cols-3' : ''}">
        {#each holds as hold (hold.id)}
          <div class="flex min-w-0 flex-col border-t border-hold/50 py-2">
            <h3 class="text-hold {hold.override ? 'line-through decoration-2' : ''}">{hold.title}</h3>
            <p class="text-sm">
              {hold.because} <span class="text-hold">({hold.blocks.map((b) => actions[b]).join(', ')})</span>
            </p>
            <p class="mt-1 text-sm font-semibold">Lifts when:</p>
            <ul class="space-y-0.5">
              {#each hold.needs as need (need.text)}
                <li class="flex items-start gap-2 text-[0.95rem]">
                  <span aria-hidden="true" class="font-semibold">{need.done ? '✓' : '·'}</span>
                  <span class={need.done ? 'opacity-80' : 'font-medium'}>
                    <span class="sr-only">{need.done ? 'done:' : 'open:'}</span>
                    {#if need.station && base && !need.done}<a class="plain-link" href="{base}/{need.station}"
                        >{need.text}</a
                      >{:else}{need.text}{/if}
                  </span>
                </li>
              {/each}
            </ul>
            {#if onoverride && !hold.override}
              <button type="button" class="btn mt-2 self-start btn-outline btn-secondary" onclick={() => (asked = hold)}
                >Override with a reason</button
              >
            {/if}
          </div>
        {/each}
      </div>
    </details>
  </section>
{/if}
{#if asked && onoverride}
  {@const hold = asked}
  {#await import('./OverrideDialog.svelte') then { default: OverrideDialog }}
    <OverrideDialog
      title={hold.title}
      onclose={() => (asked = undefined)}
      onreason={(reason) => {
        onoverride(hold.id, reason);
        asked = undefined;
      }}
    />
  {/await}
{/if}
