<script lang="ts">
  import { caseKinds } from '$core/engine/case-kind.ts';
  import { historyItems, identityItems, profileItems, type Profile } from '$core/engine/profile.ts';
  import type { Item } from '$core/items/item.ts';
  import EngineDrawing from '$lib/ui/drawing/EngineDrawing.svelte';
  import { clearDraft, readDraft, writeDraft } from '$lib/ui/form/drafts.ts';
  import ItemInput from '$lib/ui/form/ItemInput.svelte';
  import { enhance } from '$app/forms';
  import { preloadCode } from '$app/navigation';
  import { onMount, untrack } from 'svelte';

  let { data, form } = $props();
  const DRAFT = 'intake';
  let kind = $state(untrack(() => form?.typed?.kind ?? ''));
  let typed = $state<Record<string, string>>(untrack(() => form?.typed ?? {}));
  let drawn = $state<Profile>({});
  let sheet: HTMLFormElement;

  const first = ['strokes', 'cylinders', 'layout', 'fuelSystem', 'ignition', 'starting', 'leg', 'steering'] as const;
  const rest = (Object.keys(profileItems) as (keyof typeof profileItems)[]).filter(
    (k) => !(first as readonly string[]).includes(k)
  );
  const drowned = ['water', 'runningWhenSunk', 'hoursUnder', 'recoveredAt'] as const;
  const history = (Object.keys(historyItems) as (keyof typeof historyItems)[]).filter(
    (k) => !(drowned as readonly string[]).includes(k) && k !== 'submerged' && k !== 'said'
  );
  const who = ['tag', 'owner', 'maker', 'model', 'serial', 'boat'] as const;
  const whoRest = (Object.keys(identityItems) as (keyof typeof identityItems)[]).filter(
    (k) => !(who as readonly string[]).includes(k)
  );

  function changed(): void {
    const values = new FormData(sheet);
    kind = String(values.get('kind') ?? '');
    drawn = {
      strokes: values.get('profile.strokes') as Profile['strokes'],
      cylinders: Number(values.get('profile.cylinders')) || 'unknown',
      layout: values.get('profile.layout') as Profile['layout'],
      leg: (values.get('profile.leg') as Profile['leg']) ?? 'unknown',
      steering: values.get('profile.steering') as Profile['steering'],
      indicator: values.get('profile.indicator') as Profile['indicator']
    } as Profile;
    writeDraft(DRAFT, JSON.stringify([...values].filter(([, v]) => typeof v === 'string' && v !== '')));
  }

  onMount(() => {
    const kept = readDraft(DRAFT);
    if (kept && !form) {
      try {
        const pairs = JSON.parse(kept) as [string, string][];
        // Of a field with several answers each is a pair of its own.
        typed = pairs.reduce<Record<string, string>>(
          (all, [k, v]) => ({ ...all, [k]: all[k] ? `${all[k]}, ${v}` : v }),
          {}
        );
        kind = typed.kind ?? '';
      } catch {
        clearDraft(DRAFT);
      }
    }
    setTimeout(changed);
    // The first check is what comes next: its code is there before it is asked for.
    const ahead = setTimeout(() => {
      void preloadCode('/surveys/next/safe');
      void import('$lib/ui/sheets/FieldsSheet.svelte');
    }, 800);
    return () => clearTimeout(ahead);
  });
</script>

<svelte:head><title>Take in an engine · Indaga</title></svelte:head>

{#snippet field(group: 'identity' | 'profile' | 'history', key: string, item: Item)}
  {@const path = `${group}.${key}`}
  <ItemInput {item} name={path} typed={typed[path] ?? ''} units={data.prefs.units} error={form?.errors?.[path] ?? ''} />
{/snippet}

<form
  method="POST"
  enctype="multipart/form-data"
  bind:this={sheet}
  oninput={changed}
  use:enhance={() =>
    async ({ result, update }) => {
      if (result.type === 'redirect') clearDraft(DRAFT);
      // What was typed stays in its field, taken in or not.
      await update({ reset: false });
    }}
  class="grid gap-5 lg:grid-cols-[1fr_15rem]"
  novalidate
>
  <div class="space-y-5">
    <div>
      <h1>Take in an engine</h1>
      <p>
        A tag and the kind of case are enough to begin. Leave anything else empty or unknown; it can be filled in at the
        engine.
      </p>
      {#if form?.errors}<p class="mt-2 border-l-4 border-error pl-3 font-medium text-error" role="alert">
          Not taken in yet: {Object.keys(form.errors).length === 1
            ? 'one field needs'
            : `${Object.keys(form.errors).length} fields need`} another look. Everything you typed is still here.
        </p>{/if}
    </div>
    <fieldset>
      <legend class="label-caps mb-1">What kind of case is it?</legend>
      <div class="grid gap-1.5 sm:grid-cols-2 xl:grid-cols-3">
        {#each Object.entries(caseKinds).filter(([v]) => v !== 'single-job') as [value, k] (value)}
          <label class="chip items-start"
            ><input type="radio" class="sr-only" name="kind" {value} checked={kind === value} /><span
              ><strong>{k.label}</strong><small class="block text-sm">{k.means}</small></span
            ></label
          >
        {/each}
      </div>
      {#if form?.errors?.kind}<p class="mt-1 font-medium text-error" role="alert">{form.errors.kind}</p>{/if}
    </fieldset>
    {#if kind === 'drowned'}
      <section class="border-2 border-hold p-3" aria-label="Drowned">
        <p class="font-semibold text-hold">
          Do not start it, do not spin it. Battery off. The clock runs from the moment it came out of the water.
        </p>
        <input type="hidden" name="history.submerged" value="yes" />
        <div class="mt-3 grid gap-4 sm:grid-cols-2">
          {#each drowned as k (k)}{@render field('history', k, historyItems[k] as Item)}{/each}
        </div>
      </section>
    {/if}
    <section>
      <h2 class="mb-2">Identity</h2>
      <div class="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
        {#each who as k (k)}{@render field('identity', k, identityItems[k] as Item)}{/each}
        <div>
          <label
            ><span class="label-caps">Photograph of its identity plate</span><input
              type="file"
              name="plate"
              accept="image/*"
              capture="environment"
              class="file-input w-full"
              aria-invalid={form?.errors?.plate ? 'true' : undefined}
            /></label
          >
          {#if form?.errors?.plate}<p class="mt-1 font-medium text-error" role="alert">{form.errors.plate}</p>{/if}
        </div>
      </div>
    </section>
    <section>
      <h2 class="mb-2">What kind of engine</h2>
      <div class="grid gap-4 sm:grid-cols-2">
        {#each first as k (k)}{@render field('profile', k, profileItems[k] as Item)}{/each}
      </div>
    </section>
    <section>{@render field('history', 'said', historyItems.said as Item)}</section>
    <details class="panel p-3">
      <summary class="tap cursor-pointer font-semibold">More about it, its leg and its history</summary>
      <div class="mt-3 grid gap-4 sm:grid-cols-2">
        {#each whoRest as k (k)}{@render field('identity', k, identityItems[k] as Item)}{/each}
        {#each rest as k (k)}{@render field('profile', k, profileItems[k] as Item)}{/each}
        {#each history as k (k)}{@render field('history', k, historyItems[k] as Item)}{/each}
      </div>
    </details>
    <button class="btn btn-primary w-full sm:w-auto">Take it in and begin</button>
  </div>
  <aside class="hidden lg:block" aria-label="Drawing">
    <div class="panel sticky top-4 p-3">
      <EngineDrawing profile={drawn} class="mx-auto w-44" />
      <p class="mt-2 text-sm">Drawn from what you say. It will be the way around its checks.</p>
    </div>
  </aside>
</form>
