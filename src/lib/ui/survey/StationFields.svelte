<script lang="ts">
  import type { LimitId } from '$core/engine/limits.ts';
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/index.ts';
  import { allItems, itemsOf, type ItemId, type StationId } from '$core/stations/items.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import { drowned } from '$core/record/drowned.ts';
  import { roundOf } from '$core/record/current.ts';
  import type { Conditions } from '$core/record/reading.ts';
  import type { Item } from '$core/items/item.ts';
  import ItemInput from '../form/ItemInput.svelte';
  import Take from '../instruments/Take.svelte';
  import LimitLine from './LimitLine.svelte';
  import RepeatedChoice from './RepeatedChoice.svelte';
  import { useSession } from '../session/session.svelte.ts';

  /** The fields of a check, as its items define them. `only` picks some, for worksheets with a form of their own. */
  let {
    station,
    only,
    conditions
  }: { station: StationId; only?: readonly string[] | undefined; conditions?: Conditions } = $props();
  const session = useSession();
  const items = $derived(Object.entries(itemsOf(station)).filter(([k]) => !only || only.includes(k)));
  const cylinders = $derived(
    Array.from({ length: cylinderCount(session.survey.engine.profile) ?? 1 }, (_, k) => k + 1)
  );
  const round = $derived(session.roundOf(station));

  function earlier(what: ItemId, cylinder?: number): string {
    const list = session.record.all(what, cylinder === undefined ? {} : { cylinder }).filter((r) => roundOf(r) < round);
    const last = list.at(-1);
    return last ? `before: ${sayValue(allItems[what], last.value, session.units)}` : '';
  }
  const held = (what: ItemId): string => refusal(session.judgement.holds, what) ?? '';
  const wet = $derived(drowned(session));
  const shown = $derived(
    items
      .filter(
        ([k, item]) =>
          item.kind !== 'photo' &&
          item.kind !== 'log' &&
          ((item.when?.(session.survey.engine.profile) ?? true) ||
            session.record.all(`${station}.${k}` as ItemId).length)
      )
      // Questions that only a drowned engine raises stay out of the way of the others.
      .filter(([k, item]) => only || wet || !item.drowned || session.record.all(`${station}.${k}` as ItemId).length)
  );
</script>

<div class="space-y-4">
  {#each shown as [key, item] (key)}
    {@const what = `${station}.${key}` as ItemId}
    {@const stop = held(what)}
    <div>
      {#each item.perCylinder ? cylinders : [undefined] as cylinder (cylinder ?? 0)}
        {@const now = session.current(what, cylinder, conditions?.bank)}
        {@const label =
          cylinder === undefined || cylinders.length === 1
            ? item
            : { ...item, ask: undefined, label: `${item.label}, cylinder ${cylinder}` }}
        <div class="mb-2">
          {#if item.sent && item.kind === 'quantity' && !stop}
            <Take
              item={label as Extract<Item, { kind: 'quantity' }>}
              units={session.units}
              ontake={(value, more) =>
                session.read(what, value, {
                  ...(cylinder === undefined ? {} : { cylinder }),
                  ...(conditions ? { conditions } : {}),
                  ...more
                })}
            />
          {/if}
          {#if item.repeated && item.kind === 'choice'}
            <RepeatedChoice {what} {item} disabled={Boolean(stop)} />
          {:else}
            <ItemInput
              item={label as Item}
              name={[what, cylinder, conditions?.bank].filter((x) => x !== undefined).join('.')}
              value={item.repeated ? undefined : now?.value}
              typed={item.repeated ? '' : now?.typed}
              units={session.units}
              note={[
                item.repeated && now
                  ? `taken: ${session.record
                      .all(what, { round, ...(cylinder === undefined ? {} : { cylinder }) })
                      .map((r) => sayValue(item, r.value, session.units))
                      .join(', ')}`
                  : '',
                now ? '' : earlier(what, cylinder)
              ]
                .filter(Boolean)
                .join(' · ')}
              draftKey="{session.surveyId}:{what}:{cylinder ?? conditions?.bank ?? ''}"
              disabled={Boolean(stop)}
              oncommit={(value, typed) =>
                session.read(what, value, {
                  ...(cylinder === undefined ? {} : { cylinder }),
                  ...(conditions ? { conditions } : {}),
                  typed
                })}
              onpreview={(value) =>
                (session.preview =
                  value === undefined
                    ? undefined
                    : session.reading(what, value, {
                        ...(cylinder === undefined ? {} : { cylinder }),
                        ...(conditions ? { conditions } : {})
                      }))}
            />
          {/if}
        </div>
      {/each}
      {#if item.limit}<LimitLine id={item.limit as LimitId} />{/if}
    </div>
  {/each}
</div>
