<script lang="ts">
  let { data } = $props();
  const count = $derived(data.groups.reduce((n, g) => n + g.list.length, 0));
</script>

<svelte:head><title>What can be wrong · Reference · Indaga</title></svelte:head>
<p class="mb-1"><a class="plain-link tap" href="/reference">Reference</a></p>
<div class="flex flex-wrap items-end justify-between gap-3">
  <div class="max-w-2xl">
    <h1>What can be wrong</h1>
    <p>
      {data.total} suspects, wrong measurements among them: how each shows, what settles it, what cures it. Strengths are
      estimates, from memory; a shop may set its own, and only the differences are kept.
    </p>
  </div>
  <form method="GET" role="search" class="flex gap-2">
    <label
      ><span class="sr-only">Search suspects, signs and cures</span><input
        class="input w-64"
        name="q"
        value={data.search}
        placeholder="gasket, milky, weak stream"
        maxlength="80"
      /></label
    >
    <button class="btn btn-outline btn-primary">Search</button>
  </form>
</div>
{#if count === 0}
  <section class="panel mt-4 p-6">
    <h2>Nothing here is called “{data.search}”</h2>
    <p class="mt-1">
      Names, signs and cures are searched, every word of it. <a class="plain-link" href="/reference/knowledge"
        >Show all suspects</a
      >
    </p>
  </section>
{/if}
{#each data.groups as g (g.title)}
  <h2 class="mt-5 mb-1">{g.title}</h2>
  <ul class="panel px-3">
    {#each g.list as s (s.id)}
      <li class="grid gap-x-4 border-t border-line py-1.5 first:border-t-0 md:grid-cols-[16rem_1fr]">
        <p>
          <a class="plain-link tap font-medium" href="/reference/knowledge/{s.id}"
            >{s.label.charAt(0).toUpperCase()}{s.label.slice(1)}</a
          >
          {#if s.artefact}<span class="block text-sm">a wrong measurement, not a fault</span>{/if}
          {#if s.own}<span class="block text-sm font-semibold">with your own figures</span>{/if}
        </p>
        <p class="text-[0.95rem]">{s.shows.join('; ')}. <span class="opacity-85">{s.cure}</span></p>
      </li>
    {/each}
  </ul>
{/each}
