<script lang="ts">
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/against.ts';
  import { allItems, type ItemId } from '$core/stations/items.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import type { Item } from '$core/items/item.ts';
  import type { Conditions, Instrument, Reading } from '$core/record/reading.ts';
  import { say } from '$core/units/index.ts';
  import ItemInput from '../form/ItemInput.svelte';
  import { useSession } from '../session/session.svelte.ts';

  /** Items asked of every cylinder, as a table: one row a cylinder, one column an item. Repeats stand under their field. */
  interface Props {
    what: readonly ItemId[];
    caption: string;
    conditions?: Conditions | undefined;
    instrument?: Instrument | undefined;
    heads?: Readonly<Partial<Record<ItemId, string>>>;
  }
  let { what, caption, conditions, instrument, heads = {} }: Props = $props();
  const session = useSession();
  const shown = $derived(
    what.filter((id) => (allItems[id].when?.(session.survey.engine.profile) ?? true) || session.record.all(id).length)
  );
  const cylinders = $derived(
    Array.from({ length: cylinderCount(session.survey.engine.profile) ?? 1 }, (_, k) => k + 1)
  );
  const more = (cylinder: number) => ({
    cylinder,
    ...(conditions ? { conditions } : {}),
    ...(instrument ? { instrument } : {})
  });
  const said = (id: ItemId, r: Reading): string => {
    const at = r.conditions?.temperature;
    return `${sayValue(allItems[id], r.value, session.units)}${at ? ` at ${say(at, 'temperature', session.units)}` : ''}`;
  };
  const labelled = (id: ItemId, cylinder: number): Item => ({
    ...allItems[id],
    ask: undefined as unknown as string,
    label: cylinders.length > 1 ? `${allItems[id].label}, cylinder ${cylinder}` : allItems[id].label
  });
</script>

{#if shown.length}
  <table class="w-full table-fixed border-collapse">
    <caption class="sr-only">{caption}</caption>
    <thead>
      <tr class="text-left">
        <th scope="col" class="label-caps w-12 py-1">Cyl.</th>
        {#each shown as id (id)}<th scope="col" class="label-caps px-1 py-1 align-bottom"
            >{heads[id] ?? allItems[id].label}</th
          >{/each}
      </tr>
    </thead>
    <tbody>
      {#each cylinders as c (c)}
        <tr class="border-t border-line align-top">
          <th scope="row" class="sounding py-2 text-left text-xl">{c}</th>
          {#each shown as id (id)}
            {@const item = allItems[id]}
            {@const now = session.current(id, c)}
            {@const taken = item.repeated ? session.record.all(id, { cylinder: c }) : []}
            <td class="px-1 py-1">
              <ItemInput
                item={labelled(id, c)}
                name="{id}.{c}"
                value={item.repeated ? undefined : now?.value}
                typed={item.repeated ? '' : (now?.typed ?? '')}
                units={session.units}
                compact
                disabled={Boolean(refusal(session.judgement.holds, id))}
                draftKey="{session.surveyId}:{id}:{c}"
                oncommit={(value, typed) => session.read(id, value, { ...more(c), typed })}
                onpreview={(value) =>
                  (session.preview = value === undefined ? undefined : session.reading(id, value, more(c)))}
              />
              {#each taken as r (r.id)}
                <button
                  type="button"
                  class="mt-1 inline-flex min-h-8 items-center text-sm underline decoration-dotted"
                  aria-label="{said(id, r)}: take back {item.label} of cylinder {c}"
                  onclick={() => session.correct(r, undefined)}>{said(id, r)}</button
                >
              {/each}
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
