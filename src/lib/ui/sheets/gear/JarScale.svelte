<script lang="ts">
  import { allItems } from '$core/stations/items.ts';
  import type { Item } from '$core/items/item.ts';
  import { oilTints } from '../../survey/jars.ts';
  import { useSession } from '../../session/session.svelte.ts';

  /** The oil against a scale of drawn jars: the one that looks like it is tapped. */
  const session = useSession();
  const item = allItems['gear.look'] as Extract<Item, { kind: 'choice' }>;
  const now = $derived(session.current('gear.look')?.value);
</script>

<fieldset>
  <legend class="label-caps mb-1">The oil looks like</legend>
  <div class="flex flex-wrap gap-1.5">
    {#each item.options as o (o.value)}
      {@const tint = oilTints[o.value]}
      <button
        type="button"
        class="flex min-h-24 w-[4.9rem] flex-col items-center justify-end border px-1 py-1 {now === o.value
          ? 'border-2 border-primary bg-base-200'
          : 'border-line'}"
        aria-pressed={now === o.value}
        onclick={() => session.read('gear.look', o.value, { typed: o.value })}
      >
        <svg viewBox="0 0 40 50" class="h-12 w-10" aria-hidden="true">
          {#if o.value === 'none'}<path d="M6 44H34V46H6Z" fill="#d9a441" />{:else if tint}<path
              d="M6 14H34V46H6Z"
              fill={tint}
            />{/if}
          {#if o.value === 'metallic'}{#each [[12, 22], [20, 30], [28, 20], [15, 38], [26, 40], [22, 18]] as [x, y] (`${x}${y}`)}<path
                d="M{x} {y}l3 1l-1 2z"
                fill="#f3f0e4"
              />{/each}{/if}
          {#if o.value === 'creamy'}<path d="M6 14q7 -5 14 0t14 0v6H6Z" fill="#fffaf0" />{/if}
          <path d="M6 4V44Q6 47 9 47H31Q34 47 34 44V4" fill="none" stroke="currentColor" stroke-width="2" />
          {#if o.value === 'unknown'}<text x="20" y="33" text-anchor="middle" font-size="20" fill="currentColor">?</text
            >{/if}
        </svg>
        <span class="text-sm leading-tight">{o.label}</span>
      </button>
    {/each}
  </div>
</fieldset>
