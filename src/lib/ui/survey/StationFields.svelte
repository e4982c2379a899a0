<script lang="ts">
  import type { LimitId } from '$core/engine/limits.ts';
  import { cylinderCount } from '$core/engine/profile.ts';
  import { allItems, itemsOf, type ItemId, type StationId } from '$core/stations/items.ts';
  import { drowned } from '$core/record/drowned.ts';
  import type { Conditions } from '$core/record/reading.ts';
  import ItemField from './ItemField.svelte';
  import { sayValue } from '$core/items/check-entry.ts';
  import { tick, untrack } from 'svelte';
  import LimitLine from './LimitLine.svelte';
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
      .filter(([k, item]) => only || !item.inWork || session.record.all(`${station}.${k}` as ItemId).length)
      .filter(([k, item]) => only || wet || !item.drowned || session.record.all(`${station}.${k}` as ItemId).length)
  );

  /** So few questions are no long form: nothing folds. */
  const SHORT = 6;
  const answer = (what: ItemId): string => {
    const now = session.current(what);
    return now ? sayValue(allItems[what], now.value, session.units) : '';
  };
  /** What was answered before the sheet was opened is one line; what is answered now stays open under the hand. */
  let folded = $state<ReadonlySet<string>>(
    untrack(() => {
      const answered = only
        ? []
        : shown.filter(([k, item]) => {
            const what = `${station}.${k}` as ItemId;
            // An answer of before the work since is asked anew.
            return !item.perCylinder && !item.repeated && !item.perBank && session.standing(what) !== undefined;
          });
      return new Set(shown.length > SHORT ? answered.map(([k]) => k) : []);
    })
  );
  async function open(key: string): Promise<void> {
    folded = new Set([...folded].filter((k) => k !== key));
    await tick();
    document.getElementById(`question-${key}`)?.querySelector<HTMLElement>('input, button, select, textarea')?.focus();
  }
</script>

<div class="@container">
  <div class="grid items-start gap-x-6 gap-y-3 {only ? '' : '@lg:grid-cols-2'}">
    {#each shown as [key, item] (key)}
      {@const what = `${station}.${key}` as ItemId}
      {#if folded.has(key)}
        <button
          type="button"
          class="flex min-h-11 w-full min-w-0 items-center gap-2 border-b border-line text-left hover:bg-base-200"
          onclick={() => open(key)}
        >
          <span class="label-caps min-w-0 flex-1 truncate">{item.label}</span>
          <span class="max-w-[55%] truncate font-medium">{answer(what)}</span>
          <span class="plain-link text-sm">change</span>
        </button>
      {:else}
        <div class="min-w-0 space-y-2" id="question-{key}">
          {#each item.perCylinder ? cylinders : [undefined] as cylinder (cylinder ?? 0)}<ItemField
              {what}
              {cylinder}
              {conditions}
            />{/each}
          {#if item.limit}<LimitLine id={item.limit as LimitId} />{/if}
        </div>
      {/if}
    {/each}
  </div>
</div>
