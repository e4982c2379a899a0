<script lang="ts">
  import { factItem } from '$core/engine/fact.ts';
  import { allItems } from '$core/stations/items.ts';
  import { sightAt, unseen } from '$core/stations/look/analyse.ts';
  import { placeIds, places, type PlaceId } from '$core/stations/look/places.ts';
  import type { Condition } from '$core/findings/finding.ts';
  import EngineDrawing from '../drawing/EngineDrawing.svelte';
  import { geometryOf, placesOn } from '../drawing/geometry.ts';
  import ItemInput from '../form/ItemInput.svelte';
  import Shape from '../marks/Shape.svelte';
  import PhotoSlot from '../photos/PhotoSlot.svelte';
  import { useSession } from '../session/session.svelte.ts';

  /** The walk around the engine: places on the drawing, one open at a time, each with its answer, note and photographs. */
  const session = useSession();
  const profile = $derived(session.survey.engine.profile);
  const c = $derived(session.judgement.context);
  const spots = $derived(placesOn(profile));
  const height = $derived(geometryOf(profile).height);
  let at = $state<PlaceId>('cowl');
  const place = $derived(places[at]);
  const left = $derived(unseen(c));
  const step = $derived(placeIds.indexOf(at));

  const conditionOf = (p: PlaceId): Condition => {
    const value = session.record.asked(`look.${p}`)?.value;
    if (value === undefined) return 'not-looked-at';
    return value === 'unknown' ? 'cannot-tell' : (sightAt(c, p)?.is ?? 'sound');
  };
  const read = (what: `look.${PlaceId}` | `look.${PlaceId}Note`) => (value: unknown, typed: string) =>
    session.read(what, value, { typed });

  /** Places have letters: a number on a drawing of the engine is a cylinder. */
  const letterOf = (k: number): string => String.fromCharCode(65 + k);
  let sure = $state(false);

  /** One tap for the rest of an engine that looks well: only what nobody has answered. */
  function restSound(): void {
    for (const p of left) session.read(`look.${p}`, Object.keys(places[p].sights)[0]);
    sure = false;
  }
</script>

<div class="grid gap-4 sm:grid-cols-[13.5rem_minmax(0,1fr)]">
  <div class="relative order-last mx-auto w-52 self-start sm:order-none sm:mx-0 sm:w-full">
    <EngineDrawing {profile} class="w-full" />
    {#each placeIds as p, k (p)}
      {@const [x, y] = spots[p]}
      <button
        type="button"
        class="absolute inline-flex h-11 w-11 -translate-x-1/2 -translate-y-1/2 items-center justify-center"
        style:left="{x / 2}%"
        style:top="{(100 * y) / height}%"
        aria-label="{letterOf(k)}, {places[p].label}"
        aria-pressed={at === p}
        onclick={() => (at = p)}
      >
        <span
          class="inline-flex items-center gap-0.5 rounded-full border px-1 leading-none {at === p
            ? 'border-primary bg-primary text-primary-content'
            : 'border-base-content bg-base-100'}"
        >
          <span class="font-label text-sm font-semibold">{letterOf(k)}</span>
          {#if at !== p && conditionOf(p) !== 'not-looked-at'}<Shape condition={conditionOf(p)} />{/if}
        </span>
      </button>
    {/each}
  </div>
  <div class="min-w-0">
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h3 class="text-xl"><span class="sounding">{letterOf(step)}</span> {place.label}</h3>
      <div class="flex gap-1.5">
        <button
          type="button"
          class="btn btn-outline btn-primary"
          disabled={step === 0}
          onclick={() => (at = placeIds[step - 1]!)}>Back</button
        >
        <button
          type="button"
          class="btn btn-primary"
          disabled={step === placeIds.length - 1}
          onclick={() => (at = placeIds[step + 1]!)}>Next place</button
        >
      </div>
    </div>
    {#key at}
      <div class="mt-2 space-y-3">
        <ItemInput
          item={{ ...allItems[`look.${at}`], ask: place.ask }}
          name="look.{at}"
          value={session.current(`look.${at}`)?.value}
          units={session.units}
          oncommit={read(`look.${at}`)}
        />
        <ItemInput
          item={{ ...allItems[`look.${at}Note`], label: 'Note' }}
          name="look.{at}Note"
          value={session.current(`look.${at}Note`)?.value}
          units={session.units}
          draftKey="{session.surveyId}:look.{at}Note"
          oncommit={read(`look.${at}Note`)}
        />
        <PhotoSlot what="look.{at}Photo" label={place.label} />
      </div>
    {/key}
    <p class="mt-4 flex flex-wrap items-center gap-3 border-t border-line pt-3" aria-live="polite">
      {left.length ? `${left.length} of ${placeIds.length} places not answered yet.` : 'Every place is answered.'}
      {#if left.length && left.length < placeIds.length}
        {#if sure}
          <span class="font-medium"
            >Seen all of these: {left.map((p) => places[p].label.toLowerCase()).join(', ')}?</span
          >
          <button type="button" class="btn btn-primary" onclick={restSound}>Yes, seen and sound</button>
          <button type="button" class="btn btn-outline" onclick={() => (sure = false)}>No</button>
        {:else}
          <button type="button" class="btn btn-outline btn-primary" onclick={() => (sure = true)}
            >The rest looks sound</button
          >
        {/if}
      {/if}
    </p>
  </div>
</div>
<section class="mt-4 border-t border-line pt-3" aria-labelledby="plate-title">
  <h3 id="plate-title" class="mb-1 text-xl">Identity plate</h3>
  <p class="mb-2 text-sm">
    Parts hang on its numbers. Serial recorded: <strong class="font-semibold"
      >{session.survey.engine.identity.serial || 'none yet'}</strong
    >.
  </p>
  <PhotoSlot what="look.platePhoto" label="Identity plate" />
</section>
<section class="mt-4 space-y-3 border-t border-line pt-3" aria-label="Earlier hands and missing parts">
  {#each ['traces', 'absent'] as const as key (key)}
    <ItemInput
      item={factItem(`profile.${key}`)!}
      name="profile.{key}"
      value={profile[key]}
      units={session.units}
      oncommit={(value) => session.fact(`profile.${key}`, value)}
    />
  {/each}
</section>
