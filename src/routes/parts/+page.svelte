<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { partStates } from '$core/record/work.ts';
  import { enhance } from '$app/forms';
  import PartForm from '$lib/ui/parts/PartForm.svelte';
  import TogetherPanel from '$lib/ui/parts/TogetherPanel.svelte';
  import { offerSaid } from '$core/parts/choose.ts';

  let { data, form } = $props();
  const words = { unknown: 'not looked for yet', ...partStates };
  const tone = { unknown: '', wanted: 'text-warning', ordered: '', arrived: 'text-success', 'not-needed': '' } as const;
  const open = $derived(
    data.orders.flatMap((o) => o.lines).filter((l) => l.state !== 'arrived' && l.state !== 'not-needed').length
  );
  const sum = $derived(
    data.orders
      .flatMap((o) => o.lines)
      .filter((l) => l.state === 'wanted' || l.state === 'ordered' || l.state === 'unknown')
      .reduce((s, l) => s + (l.offers?.[l.chosen ?? l.choice.take ?? -1]?.price ?? 0) * (l.quantity ?? 1), 0)
  );
  const priced = $derived(
    data.orders
      .flatMap((o) => o.lines)
      .filter((l) => l.state !== 'arrived' && l.state !== 'not-needed' && l.choice.take === undefined).length
  );
  const query = $derived(data.engine ? `?engine=${data.engine}` : '');
  const link = (key: string): string =>
    `?${data.engine ? `engine=${data.engine}&` : ''}edit=${encodeURIComponent(key)}`;
</script>

<svelte:head><title>Parts order · Indaga</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>Parts order</h1>
    <p class="text-sm">
      {data.engine ? (data.orders[0]?.tag ?? 'This engine') : 'The whole yard'}: {open}
      {open === 1 ? 'line' : 'lines'} open, {Math.round(sum)} cr as chosen{priced ? `, ${priced} without a price` : ''}.
      Ordered once, from whoever is better.
    </p>
  </div>
  <div class="no-print flex flex-wrap gap-2">
    {#if data.engine}<a class="btn btn-outline btn-primary" href="/parts">Whole yard</a>{/if}
    <a class="btn btn-outline btn-primary" href="/parts/order.csv{query}" download>CSV</a>
    <button type="button" class="btn btn-outline btn-primary" onclick={() => window.print()}>Print</button>
    <a class="btn btn-outline btn-primary" href="/bench">Bench</a>
  </div>
</div>
{#if form?.saved !== undefined}<p class="sr-only" role="status">Saved.</p>{/if}
{#if data.together.length || data.edit === 'pack'}
  <TogetherPanel
    list={data.together}
    supplies={data.supplies}
    form={form && 'pack' in form ? form : null}
    adding={data.edit === 'pack' || (form !== null && 'pack' in form)}
    addLink={link('pack')}
  />
{/if}
{#if !data.orders.length}
  <section class="panel p-6">
    <h2>No open job asks for a part</h2>
    <p class="mt-1">Parts come onto the order with the jobs that want them, and by hand from an engine’s own order.</p>
  </section>
{/if}
{#each data.orders as o (o.surveyId)}
  <section class="mb-5" aria-labelledby="o-{o.surveyId}">
    <div class="flex flex-wrap items-baseline justify-between gap-2">
      <h2 id="o-{o.surveyId}"><a class="hover:underline" href="/surveys/{o.surveyId}/jobs">{o.tag}</a></h2>
      <p class="text-sm">{o.serial ? `serial ${o.serial}` : 'serial not noted: the part number may need it'}</p>
    </div>
    <ul class="mt-1">
      {#each o.lines as l (l.key)}
        {@const editing =
          data.edit === `${o.surveyId}:${l.key}` || (form?.survey === o.surveyId && form?.key === l.key)}
        <li class="border-t border-line py-1.5">
          <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
            <p class="min-w-56 flex-1">
              <strong>{l.quantity && l.quantity > 1 ? `${l.quantity} × ` : ''}{l.name}</strong>{l.number
                ? ` · ${l.number}`
                : ''} <span class="block text-sm sm:inline">{l.job ?? 'by hand'}</span>
              {#if l.numbers.length}<span class="block text-sm">On its card: {l.numbers.join('; ')}</span>{/if}
            </p>
            <p class="text-sm font-medium {tone[l.state]}">
              {words[l.state]}{l.state === 'ordered'
                ? l.due
                  ? `, expected ${sayDate(l.due, 'EEE d MMM')}`
                  : ', nobody knows for when'
                : ''}
            </p>
            <form method="POST" action="?/state" use:enhance class="no-print flex gap-1">
              <input type="hidden" name="survey" value={o.surveyId} />
              <input type="hidden" name="key" value={l.key} />
              <input type="hidden" name="step" value={l.step ?? ''} />
              <input type="hidden" name="name" value={l.name} />
              {#if l.state !== 'arrived'}<button
                  class="btn btn-outline btn-primary px-3"
                  name="state"
                  value="arrived"
                  aria-label="{l.name} for {o.tag} is here">Here</button
                >{/if}
              {#if l.state === 'unknown'}<button
                  class="btn btn-outline btn-primary px-3"
                  name="state"
                  value="wanted"
                  aria-label="Order {l.name} for {o.tag}">Order</button
                >{/if}
              <a class="plain-link tap px-2 text-sm" href={link(`${o.surveyId}:${l.key}`)}
                >Change<span class="sr-only"> {l.name} for {o.tag}</span></a
              >
            </form>
          </div>
          {#if l.offers?.length}
            <div class="text-sm">
              {#each l.offers as offer, k (k)}
                <p class={k === (l.chosen ?? l.choice.take) ? 'font-semibold' : ''}>
                  {k === (l.chosen ?? l.choice.take) ? '→ ' : ''}{offerSaid(offer, data.prefs.units)}
                </p>
              {/each}
              <p>{l.choice.because} <span class="opacity-80">Judged by: {l.choice.school}.</span></p>
            </div>
          {/if}
          {#if editing}<PartForm surveyId={o.surveyId} line={l} form={form?.key === l.key ? form : null} />{/if}
        </li>
      {/each}
    </ul>
    {#if data.edit === `${o.surveyId}:new`}
      <div class="panel px-3 py-2"><PartForm surveyId={o.surveyId} form={form?.key === '' ? form : null} /></div>
    {:else}<p class="no-print">
        <a class="plain-link tap text-sm" href={link(`${o.surveyId}:new`)}>Add a line for {o.tag}</a>
      </p>{/if}
  </section>
{/each}
