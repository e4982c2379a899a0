<script lang="ts">
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/against.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import type { Item } from '$core/items/item.ts';
  import { roundOf } from '$core/record/current.ts';
  import type { Conditions } from '$core/record/reading.ts';
  import { allItems, stationOf, type ItemId } from '$core/stations/items.ts';
  import ItemInput from '../form/ItemInput.svelte';
  import Take from '../instruments/Take.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import RepeatedChoice from './RepeatedChoice.svelte';

  /** One item of a check as a field that records what is entered; of one cylinder where it is asked of each. */
  let {
    what,
    cylinder,
    conditions,
    asksAnew
  }: {
    what: ItemId;
    cylinder?: number | undefined;
    conditions?: Conditions | undefined;
    /** Of a reading that stands: whether it is asked once more all the same. */
    asksAnew?: (id: string) => boolean;
  } = $props();
  const session = useSession();
  const item = $derived(allItems[what]);
  const several = $derived((cylinderCount(session.survey.engine.profile) ?? 1) > 1);
  const label: Item = $derived(
    cylinder === undefined || !several
      ? item
      : { ...item, ask: undefined, label: `${item.label}, cylinder ${cylinder}` }
  );
  const stop = $derived(refusal(session.judgement.holds, what) ?? '');
  const last = $derived(session.current(what, cylinder, conditions?.bank));
  const now = $derived.by(() => {
    const standing = session.standing(what, cylinder, conditions?.bank);
    return standing && asksAnew?.(standing.id) ? undefined : standing;
  });
  const round = $derived(session.roundOf(stationOf(what)));
  const where = $derived({
    ...(cylinder === undefined ? {} : { cylinder }),
    ...(conditions ? { conditions } : {})
  });
  const earlier = $derived.by(() => {
    const list = session.record.all(what, cylinder === undefined ? {} : { cylinder }).filter((r) => roundOf(r) < round);
    const old = last ?? list.at(-1);
    return old ? `before: ${sayValue(item, old.value, session.units)}` : '';
  });
  const taken = $derived(
    item.repeated && last
      ? `taken: ${session.record
          .all(what, { round, ...(cylinder === undefined ? {} : { cylinder }) })
          .map((r) => sayValue(item, r.value, session.units))
          .join(', ')}`
      : ''
  );
</script>

{#if item.sent && item.kind === 'quantity' && !stop}
  <Take
    item={label as Extract<Item, { kind: 'quantity' }>}
    units={session.units}
    ontake={(value, more) => session.read(what, value, { ...where, ...more })}
  />
{/if}
{#if item.repeated && item.kind === 'choice'}
  <RepeatedChoice {what} {item} {...cylinder === undefined ? {} : { cylinder }} disabled={Boolean(stop)} />
{:else}
  <ItemInput
    item={label}
    name={[what, cylinder, conditions?.bank].filter((x) => x !== undefined).join('.')}
    value={item.repeated ? undefined : now?.value}
    typed={item.repeated ? '' : now?.typed}
    units={session.units}
    note={[taken, now ? '' : earlier].filter(Boolean).join(' · ')}
    draftKey="{session.surveyId}:{what}:{cylinder ?? conditions?.bank ?? ''}"
    disabled={Boolean(stop)}
    oncommit={(value, typed) => session.read(what, value, { ...where, typed })}
    onpreview={(value) => (session.preview = value === undefined ? undefined : session.reading(what, value, where))}
  />
{/if}
