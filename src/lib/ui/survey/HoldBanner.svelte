<script lang="ts">
  import { actions, type Hold } from '$core/holds/index.ts';
  import Shape from '../marks/Shape.svelte';

  /** Holds, on every view of the engine, each with what lifts it. */
  let {
    holds,
    base,
    onoverride
  }: { holds: readonly Hold[]; base?: string; onoverride?: (hold: string, reason: string) => void } = $props();
  let asked = $state<Hold>();
</script>

{#if holds.length}
  <section aria-label="Holds" class="grid border-2 border-hold bg-base-100 {holds.length > 1 ? 'lg:grid-cols-3' : ''}">
    {#each holds as hold, k (hold.id)}
      <details class="px-3 {k ? 'border-t border-hold/50 lg:border-t-0' : ''}">
        <summary class="flex min-h-[44px] cursor-pointer flex-wrap items-center gap-x-3 gap-y-0 py-1">
          <span class="flex min-w-0 items-center gap-2 text-hold"
            ><Shape condition="held" size={20} /><strong class={hold.override ? 'line-through decoration-2' : ''}
              >{hold.title}</strong
            ></span
          >
          {#if hold.override}<span class="text-sm">overridden: {hold.override.reason}</span>
          {:else}<span class="text-sm"
              ><span class="font-semibold">Lifts when:</span>
              {hold.needs
                .filter((n) => !n.done)
                .map((n) => n.text)
                .join('; ')}. <span class="plain-link whitespace-nowrap">more</span></span
            >{/if}
        </summary>
        <div class="flex flex-wrap items-end justify-between gap-3 pb-2">
          <div class="min-w-0">
            <p class="text-sm">
              {hold.because} <span class="text-hold">({hold.blocks.map((b) => actions[b]).join(', ')})</span>
            </p>
            <ul class="mt-1 space-y-0.5">
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
          </div>
          {#if onoverride && !hold.override}
            <button type="button" class="action hold" onclick={() => (asked = hold)}>Override with a reason</button>
          {/if}
        </div>
      </details>
    {/each}
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
