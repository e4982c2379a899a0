<script lang="ts">
  import DueRow from '$lib/ui/care/DueRow.svelte';

  let { data } = $props();
  const groups = $derived(
    [
      ['overdue', 'Overdue'],
      ['soon', 'Within a month'],
      ['later', 'Later']
    ].map(([state, title]) => ({ state, title, lines: data.lines.filter((d) => d.state === state) }))
  );
</script>

<svelte:head><title>Care · Indaga</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>Care</h1>
    <p class="text-sm">What falls due on {data.engines} engines, by date and by hours, whichever comes first.</p>
  </div>
  <div class="flex flex-wrap gap-2">
    <a class="btn btn-outline btn-primary" href="/care/fleet">Many at once</a>
    <a class="btn btn-outline btn-primary" href="/care/care.ics" download>Into a calendar (iCalendar)</a>
  </div>
</div>
{#if !data.lines.length}
  <section class="panel p-6">
    <h2>Nothing has a date yet</h2>
    <p class="mt-1">A service that is recorded once has a next time. Until then nobody can say when it is due.</p>
  </section>
{/if}
{#each groups as g (g.state)}
  {#if g.lines.length}
    <section class="mb-5" aria-labelledby="care-{g.state}">
      <h2 id="care-{g.state}">{g.title}</h2>
      <ul class="mt-1">
        {#each g.lines as d (d.engineId + d.id)}<li>
            <DueRow due={d} tag={d.tag} href="/engines/{d.engineId}/care" />
          </li>{/each}
      </ul>
    </section>
  {/if}
{/each}
{#if data.unknown.length}
  <details>
    <summary class="plain-link tap cursor-pointer">Never recorded here: nobody can say when</summary>
    <ul class="list-disc pl-5">
      {#each data.unknown as u (u.engineId)}<li>
          <a class="plain-link" href="/engines/{u.engineId}/care">{u.tag}</a>: {u.titles.join(', ').toLowerCase()}.
        </li>{/each}
    </ul>
  </details>
{/if}
