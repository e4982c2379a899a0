<script lang="ts">
  import { entryKinds } from '$core/record/entries.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import { allItems, stationOf, type ItemId } from '$core/stations/items.ts';
  import { sayDay } from '$lib/ui/marks/dates.ts';
  import { allAside, forgetAside, type Aside } from '$lib/ui/session/outbox-store.ts';
  import { onMount } from 'svelte';

  let { data } = $props();
  let list = $state.raw<readonly Aside[] | undefined>();

  const read = async (): Promise<void> => {
    list = await allAside();
  };
  onMount(() => void read());

  /** What it was, in the words of its field; of what is no reading, what it is called. */
  function said({ kept: { queued } }: Aside): string {
    if (queued.kind === 'fact') return `${queued.fact.path}: ${JSON.stringify(queued.fact.value)}`;
    const { type, body } = queued.entry;
    const label = entryKinds[type]?.label ?? 'entry';
    if (type !== 'reading') return label.charAt(0).toUpperCase() + label.slice(1);
    const item = Object.hasOwn(allItems, body.what) ? allItems[body.what] : undefined;
    const where = body.cylinder === undefined ? '' : `, cylinder ${body.cylinder}`;
    return item
      ? `${item.label}${where}: ${sayValue(item, body.value, data.prefs.units)}`
      : `${body.what}${where}: ${JSON.stringify(body.value)}`;
  }
  function where({ kept: { surveyId, queued } }: Aside): string {
    const what = queued.kind === 'entry' && queued.entry.type === 'reading' ? queued.entry.body.what : undefined;
    const known = what !== undefined && Object.hasOwn(allItems, what);
    return `/surveys/${surveyId}${known ? `/${stationOf(what as ItemId)}` : ''}`;
  }
  async function forget(x: Aside): Promise<void> {
    await forgetAside(x.key);
    await read();
  }
</script>

<svelte:head><title>Not taken · Indaga</title></svelte:head>

<h1>Not taken by the server</h1>
<p class="max-w-3xl">
  What was entered in this browser and could not be kept, with the reason. It counts nowhere; enter it again where it
  belongs, or forget it.
</p>
{#if list === undefined}
  <p class="mt-3" role="status">Looking in this browser…</p>
{:else if !list.length}
  <p class="panel mt-3 max-w-3xl p-4">Nothing: all that was entered here has been taken, or still waits to be sent.</p>
{:else}
  <ul class="mt-3 max-w-3xl space-y-3">
    {#each list as x (x.key)}
      <li class="panel p-4">
        <p class="font-semibold break-words" dir="auto">{said(x)}</p>
        <p class="text-sm">{sayDay(x.at, 'd MMM yyyy HH:mm', data.prefs)}</p>
        <p class="mt-1 break-words text-error">{x.message}</p>
        <p class="mt-2 flex flex-wrap gap-2">
          <a class="btn btn-sm btn-outline btn-primary" href={where(x)}>Enter it again there</a>
          <button type="button" class="btn btn-sm btn-ghost" onclick={() => void forget(x)}
            >Forget it<span class="sr-only">: {said(x)}</span></button
          >
        </p>
      </li>
    {/each}
  </ul>
{/if}
<p class="mt-4"><a class="plain-link tap" href="/settings">Settings of this browser</a></p>
