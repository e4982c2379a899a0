<script lang="ts">
  import type { ItemId } from '$core/stations/items.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import type { Item } from '$core/items/item.ts';
  import type { Conditions } from '$core/record/reading.ts';
  import { lightFormat, parseISO } from 'date-fns';
  import X from '@lucide/svelte/icons/x';
  import { useSession } from '../session/session.svelte.ts';

  /** A choice that is recorded anew with each tap: turns, dips, sparks. */
  interface Props {
    what: ItemId;
    item: Extract<Item, { kind: 'choice' }>;
    cylinder?: number;
    legend?: string;
    disabled?: boolean;
    conditions?: Conditions;
    /** In one line with its legend, for a row a cylinder. */
    inline?: boolean;
  }
  let { what, item, cylinder, legend, disabled = false, conditions, inline = false }: Props = $props();
  const session = useSession();
  const taken = $derived(
    session.record.all(what, {
      round: session.roundOf(what.slice(0, what.indexOf('.')) as 'turn'),
      ...(cylinder === undefined ? {} : { cylinder })
    })
  );
</script>

<fieldset {disabled} class={inline ? 'relative border-b border-line py-[3px] sm:pl-28' : ''}>
  <legend class="label-caps {inline ? 'sm:absolute sm:top-3.5 sm:left-0' : 'mb-1'}"
    >{legend ?? item.ask ?? item.label}</legend
  >
  <div class="flex flex-wrap items-center gap-1.5">
    {#each item.options as option (option.value)}
      <button
        type="button"
        class="chip {option.value === 'unknown' ? 'soft' : ''}"
        aria-pressed={taken.at(-1)?.value === option.value}
        onclick={() =>
          session.read(what, option.value, {
            ...(cylinder === undefined ? {} : { cylinder }),
            ...(conditions ? { conditions } : {})
          })}
      >
        <span
          >{option.label}{#if option.hint}<small class="block text-sm opacity-90">{option.hint}</small>{/if}</span
        >
      </button>
    {/each}
    {#if taken.length}
      <ol class="ml-2 flex flex-wrap gap-x-3 text-sm" aria-label="Recorded so far">
        {#each taken as r (r.id)}
          <li class="inline-flex items-center gap-1">
            {lightFormat(parseISO(r.at), 'HH:mm')}
            {sayValue(item, r.value, session.units)}
            <button
              type="button"
              class="inline-flex h-11 w-8 items-center justify-center"
              aria-label="Take back {sayValue(item, r.value, session.units)}"
              onclick={() => session.correct(r, undefined)}><X size={15} aria-hidden="true" /></button
            >
          </li>
        {/each}
      </ol>
    {/if}
  </div>
</fieldset>
