<script lang="ts">
  import { cardItems, cardSources, sourceSaid, type CardId, type CardSource } from '$core/engine/card.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import type { Item } from '$core/items/item.ts';
  import ItemInput from '../form/ItemInput.svelte';
  import { useSession } from '../session/session.svelte.ts';

  /** One entry of the card: what it is, where it comes from, and the place to write or correct it. */
  let { id }: { id: CardId } = $props();
  const session = useSession();
  const item = $derived(cardItems[id] as Item);
  const entry = $derived(session.survey.engine.card?.[id]);
  let source = $state<CardSource>();
  let page = $state<string>();
  const chosen = $derived(source ?? entry?.source ?? 'manual');

  function save(value: unknown): void {
    if (value === '') return session.fact(`card.${id}`, null);
    const at = (page ?? entry?.page ?? '').trim();
    session.fact(`card.${id}`, { value, source: chosen, ...(at && chosen === 'manual' ? { page: at } : {}) });
  }
  /** Where it comes from, said after it was written. */
  function resave(): void {
    if (entry) save(entry.value);
  }
</script>

<details class="border-t border-line text-sm">
  <summary class="flex min-h-[44px] cursor-pointer flex-wrap items-center gap-x-2">
    <span class="label-caps">{item.label}</span>
    <span class="min-w-0 break-words"
      >{entry ? `${sayValue(item, entry.value, session.units)} · ${sourceSaid(entry)}` : 'not noted'}</span
    >
  </summary>
  <div class="flex flex-wrap items-end gap-2 pb-3">
    <div class="min-w-56 grow">
      <ItemInput
        {item}
        name="card.{id}"
        value={entry?.value}
        units={session.units}
        draftKey="{session.engineId}:card.{id}"
        oncommit={save}
      />
    </div>
    <label
      ><span class="label-caps">From</span><select
        class="select w-full"
        value={chosen}
        onchange={(e) => {
          source = e.currentTarget.value as CardSource;
          resave();
        }}
        >{#each Object.entries(cardSources) as [value, label] (value)}<option {value}>{label}</option>{/each}</select
      ></label
    >
    {#if chosen === 'manual'}<label class="w-24"
        ><span class="label-caps">Page</span><input
          class="input w-full"
          maxlength="60"
          value={page ?? entry?.page ?? ''}
          onchange={(e) => {
            page = e.currentTarget.value;
            resave();
          }}
        /></label
      >{/if}
  </div>
</details>
