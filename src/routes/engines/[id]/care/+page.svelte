<script lang="ts">
  import DueRow from '$lib/ui/care/DueRow.svelte';
  import { format } from 'date-fns';

  let { data, form } = $props();
  const errors = $derived((form && 'errors' in form ? form.errors : {}) as Record<string, string>);
  const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
  const base = $derived(`/engines/${data.care.engineId}`);
</script>

<svelte:head><title>Care · {data.care.tag} · Indaga</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>Care of {data.care.tag}</h1>
    <p class="text-sm">
      {data.hours === null ? 'Engine hours unknown' : `${data.hours} engine hours`}; {data.rate === null
        ? 'how much it runs is unknown: only the calendar counts'
        : `about ${data.rate} h a month`}. <a class="plain-link" href={base}>Change on the engine’s page</a>
    </p>
  </div>
  <div class="flex flex-wrap gap-2">
    <a class="btn btn-outline btn-primary" href="{base}/care/care.ics" download>Into a calendar</a>
    <a class="btn btn-outline btn-primary" href="{base}/outings">Outings</a>
    <a class="btn btn-outline btn-primary" href="{base}/year">The year</a>
    <a class="btn btn-outline btn-primary" href="{base}/history">History</a>
    <a class="btn btn-outline btn-primary" href="{base}/tag">Tag to print</a>
  </div>
</div>
<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_22rem]">
  <section aria-labelledby="due-title">
    <h2 id="due-title">What falls due</h2>
    <ul class="mt-1">
      {#each data.care.due as d (d.id)}<li><DueRow due={d} /></li>{/each}
    </ul>
  </section>
  <div class="space-y-4">
    <section class="panel p-3" aria-labelledby="flow-title">
      <h2 id="flow-title">Do one of these now</h2>
      <p class="text-sm">One page each, with only its own holds. What is read joins the engine’s record.</p>
      <ul class="mt-1">
        {#each data.flows as f (f.id)}
          <li class="border-t border-line py-2">
            <form method="POST" action="?/begin" class="flex items-center justify-between gap-3">
              <input type="hidden" name="flow" value={f.id} />
              <p><strong>{f.title}</strong><span class="block text-sm">{f.means}</span></p>
              <button
                class="btn btn-outline btn-primary whitespace-nowrap"
                aria-label="Begin: {f.title}, {f.minutes} min">{f.minutes} min</button
              >
            </form>
          </li>
        {/each}
      </ul>
    </section>
    <form method="POST" action="?/done" class="panel space-y-2 p-3" aria-labelledby="else-title">
      <h2 id="else-title">Done already, elsewhere or before</h2>
      <label class="block"
        ><span class="label-caps">What</span><select class="select w-full" name="what" value={typed.what ?? ''}>
          <option value="">choose</option>
          {#each data.care.due.filter((d) => data.known.includes(d.id)) as d (d.id)}<option value={d.id}
              >{d.title}</option
            >{/each}
        </select></label
      >
      {#if errors.what}<p class="font-medium text-error" role="alert">{errors.what}</p>{/if}
      <div class="grid grid-cols-2 gap-2">
        <label class="block"
          ><span class="label-caps">On</span><input
            class="input w-full"
            type="date"
            name="on"
            value={typed.on ?? format(new Date(), 'yyyy-MM-dd')}
          /></label
        >
        <label class="block"
          ><span class="label-caps">At engine hours</span><input
            class="input w-full"
            name="hours"
            value={typed.hours ?? ''}
            placeholder="unknown"
            maxlength="40"
          /></label
        >
      </div>
      {#each ['on', 'hours'] as key (key)}{#if errors[key]}<p class="font-medium text-error" role="alert">
            {errors[key]}
          </p>{/if}{/each}
      <button class="btn btn-primary">Keep</button>
      {#if form && 'saved' in form}<p class="text-sm" role="status">Kept.</p>{/if}
    </form>
  </div>
</div>
