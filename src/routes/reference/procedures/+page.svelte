<script lang="ts">
  let { data } = $props();
</script>

<svelte:head><title>Procedures · Reference · Indaga</title></svelte:head>

<p class="mb-1"><a class="plain-link tap" href="/reference">Reference</a></p>
<h1>Procedures</h1>
<p class="max-w-prose">
  Work step by step. On an engine’s job list each works out its own figures and ticks itself from what is read; here it
  stands to be read. Common practice; the maker’s manual stands above each.
</p>
<form class="mt-3 flex gap-2" role="search">
  <label class="min-w-0 flex-1 sm:max-w-md"
    ><span class="sr-only">Search the procedures</span><input
      class="input w-full"
      type="search"
      name="q"
      value={data.search}
      placeholder="title, tool, what goes wrong"
      maxlength="80"
    /></label
  >
  <button class="btn btn-primary">Search</button>
</form>
{#if data.list.length === 0}
  <div class="panel mt-3 p-6">
    <h2>None of the {data.total} holds these words</h2>
    <p class="mt-1"><a class="plain-link" href="/reference/procedures">All of them</a></p>
  </div>
{:else}
  <ul class="mt-3 border-t border-line">
    {#each data.list as p (p.id)}
      <li class="border-b border-line">
        <a
          class="grid gap-x-4 py-2 hover:bg-base-200 sm:grid-cols-[18rem_1fr_4rem]"
          href="/reference/procedures/{p.id}"
        >
          <span class="font-semibold">{p.title}</span><span>{p.means}</span><span
            class="sounding text-right whitespace-nowrap">{p.minutes} min</span
          >
        </a>
      </li>
    {/each}
  </ul>
{/if}
