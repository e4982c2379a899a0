<script lang="ts">
  import { allItems, type ItemId } from '$core/stations/items.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import type { Elimination } from '$core/findings/elimination.ts';
  import type { Item } from '$core/items/item.ts';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import ItemInput from '../form/ItemInput.svelte';
  import Shape from '../marks/Shape.svelte';
  import { useSession } from '../session/session.svelte.ts';

  /** Finding a part by taking possibilities away: what is left, what was tried, and the one thing to try next. */
  let { elimination, title }: { elimination: Elimination; title: string } = $props();
  const session = useSession();
  const done = $derived(elimination.trials.filter((t) => t.state === 'done'));
  const later = $derived(elimination.trials.filter((t) => t.state === 'later').length);
  const left = $derived(elimination.parts.filter((p) => p.state === 'open').length);
  const condition = { open: 'cannot-tell', cleared: 'sound', accused: 'fault' } as const;
  const word = { open: 'possible', cleared: 'cleared', accused: 'this one' } as const;
  const choiceOf = (id: ItemId): Item => allItems[id];

  function takeBack(id: ItemId): void {
    const now = session.record.asked(id);
    if (now) session.correct(now, undefined);
  }
</script>

<section class="panel mt-4 p-3" aria-labelledby="elimination-title">
  <h3 id="elimination-title" class="text-xl">{title}</h3>
  <ul class="mt-2 grid gap-x-4 gap-y-1 sm:grid-cols-2">
    {#each elimination.parts as p (p.id)}
      <li class="flex items-center gap-2 {p.state === 'cleared' ? 'opacity-80' : ''}">
        <Shape condition={condition[p.state]} />
        <span class={p.state === 'cleared' ? 'line-through' : p.state === 'accused' ? 'font-semibold' : ''}
          >{p.label}</span
        >
        <span class="label-caps ml-auto">{word[p.state]}</span>
      </li>
    {/each}
  </ul>
  <div aria-live="polite">
    {#if elimination.found}
      <p class="mt-3 border-l-4 border-primary bg-base-100 p-3 text-lg">
        <strong class="font-semibold">It is the {elimination.found.label.replace(/^(the|its|a) /, '')}</strong
        >{elimination.found.by === 'elimination' ? ': everything else is cleared. Prove it before it is bought.' : '.'}
      </p>
    {:else if !elimination.next}
      <p class="mt-3">Nothing here separates the {left} that are left. Known good parts, or a specialist.</p>
    {/if}
  </div>
  {#if elimination.next}
    {@const next = elimination.next}
    <div class="mt-3 border-l-4 border-primary bg-base-100 p-3">
      <p class="label-caps">
        Try next · {next.minutes} min · {left} left{later ? `, ${later} more to try if need be` : ''}
      </p>
      <p class="my-1">{next.why}</p>
      {#key next.item}
        <ItemInput
          item={choiceOf(next.item)}
          name="next-{next.item}"
          value={session.current(next.item)?.value}
          units={session.units}
          oncommit={(value, typed) => session.read(next.item, value, { typed })}
        />
      {/key}
    </div>
  {/if}
  {#if done.length}
    <ol class="mt-3 space-y-1 text-sm">
      {#each done as t, k (t.item)}
        <li class="flex flex-wrap items-center gap-x-2">
          <span class="sounding">{k + 1}</span>
          {allItems[t.item].label}:
          <strong class="font-semibold">{sayValue(allItems[t.item], t.answer, session.units)}</strong>
          <button
            type="button"
            class="tap inline-flex items-center gap-1 px-1 text-sm"
            aria-label="Take back: {allItems[t.item].label}"
            onclick={() => takeBack(t.item)}><Undo2 size={15} aria-hidden="true" /> take back</button
          >
        </li>
      {/each}
    </ol>
  {/if}
</section>
