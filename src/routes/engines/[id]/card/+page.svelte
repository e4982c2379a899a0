<script lang="ts">
  import { cardIds } from '$core/engine/card.ts';
  import { cardLines } from '$core/engine/card-file.ts';
  import { limitIds } from '$core/engine/limits.ts';
  import { fastenerSaid } from '$core/tray/fasteners.ts';
  import { enhance } from '$app/forms';
  import CardLine from '$lib/ui/survey/CardLine.svelte';
  import CardOffer from '$lib/ui/survey/CardOffer.svelte';
  import LimitLine from '$lib/ui/survey/LimitLine.svelte';
  import EngineTabs from '$lib/ui/survey/EngineTabs.svelte';
  import { provideSession, Session } from '$lib/ui/session/session.svelte.ts';
  import { onMount } from 'svelte';

  /** The engine's card: what its work keeps asking for, each with where it comes from; filled as the work goes. */
  let { data, form } = $props();
  const session = $derived.by(() => new Session(data.session));
  provideSession(() => session);
  const engine = $derived(session.survey.engine);
  const tag = $derived(engine.identity.tag ?? 'no tag');
  const name = $derived([engine.identity.maker, engine.identity.model].filter(Boolean).join(' '));
  const lines = $derived(cardLines(engine, session.units));
  onMount(() => session.resume());
</script>

<svelte:head><title>Card · {tag} · Indaga</title></svelte:head>

<div class="no-print mb-2 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>Card of {tag}</h1>
    <p class="text-sm">
      {name || 'unknown make'}. Written once, asked for at every job; nothing here has to be filled.
    </p>
  </div>
  <EngineTabs base="/surveys/{session.surveyId}" engine="/engines/{session.engineId}" />
</div>
{#if form?.message}<p class="no-print mb-2 border-l-4 border-error pl-3 font-medium text-error" role="alert">
    {form.message}
  </p>{:else if form?.taken}<p class="no-print mb-2 border-l-4 border-success pl-3" role="status">
    {form.taken === 1 ? 'One entry was' : `${form.taken} entries were`} taken over, each with where it comes from.
  </p>{/if}

<div class="no-print mb-3 flex flex-wrap gap-2">
  <button type="button" class="btn btn-primary" disabled={!lines.length} onclick={() => window.print()}
    >Print the pocket card</button
  >
  <a class="btn btn-outline btn-primary" href="/engines/{session.engineId}/card.json" download>Save it as a file</a>
  <form
    method="POST"
    action="?/read"
    enctype="multipart/form-data"
    use:enhance
    class="flex w-full flex-wrap gap-2 sm:w-auto"
  >
    <input
      type="file"
      name="file"
      accept=".json,application/json"
      class="file-input min-w-0 flex-1"
      aria-label="Card from a file"
    />
    <button class="btn btn-outline btn-primary">Lay it beside</button>
  </form>
</div>

<div class="no-print grid gap-4 lg:grid-cols-2">
  {#if form?.card && form.text}
    <div class="lg:col-span-2">
      <CardOffer
        card={form.card}
        text={form.text}
        title="From the file: {[form.card.maker, form.card.model].filter(Boolean).join(' ') || 'model not named'}"
      />
    </div>
  {/if}
  {#each data.sisters as s (s.engineId)}
    <div class="lg:col-span-2">
      <CardOffer card={s.card} text={s.text} title="Same model as {s.card.from ?? 'another engine'}: take its card?" />
    </div>
  {/each}
  <section class="panel p-3" aria-labelledby="card-own">
    <h2 id="card-own">Oils, plugs, numbers</h2>
    {#each cardIds as id (id)}<CardLine {id} />{/each}
  </section>
  <section class="panel p-3" aria-labelledby="card-manual">
    <h2 id="card-manual">The manual’s own values</h2>
    <p class="text-sm">They win over every limit we bring.</p>
    {#each limitIds as id (id)}<LimitLine {id} />{/each}
  </section>
</div>

<section class="pocket mt-4" aria-labelledby="pocket">
  <h2 id="pocket">{tag}{name ? ` · ${name}` : ''}</h2>
  {#if lines.length}
    <dl class="pocket-lines">
      {#each lines as l (l.path)}
        <div class="border-t border-line py-0.5">
          <dt class="label-caps inline">{l.label}</dt>
          <dd class="inline break-words"><strong>{l.said}</strong> <span class="text-sm">{l.source}</span></dd>
        </div>
      {/each}
    </dl>
  {:else}<p>Nothing is known of this engine’s card yet.</p>{/if}
  {#if data.fasteners.length}
    <h3 class="mt-2">Fasteners of this model</h3>
    <ul class="pocket-lines">
      {#each data.fasteners as f, k (k)}<li class="border-t border-line py-0.5">
          {fastenerSaid(f)} <span class="text-sm">{f.from}</span>
        </li>{/each}
    </ul>
  {/if}
  <p class="mt-2 text-sm">The manual stands above this card. A guess is a guess.</p>
</section>

<style>
  .pocket-lines {
    columns: 2;
    column-gap: 1.5rem;
  }
  .pocket-lines > * {
    break-inside: avoid;
  }
  @media (max-width: 40rem) {
    .pocket-lines {
      columns: 1;
    }
  }
  @media print {
    /* A6, folded once into a breast pocket. */
    .pocket {
      width: 148mm;
      font-size: 8.5pt;
      line-height: 1.25;
      border: 0.3mm solid currentColor;
      padding: 4mm;
    }
  }
</style>
