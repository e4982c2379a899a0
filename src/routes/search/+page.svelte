<script lang="ts">
  let { data } = $props();
  const kinds = { engine: 'Engine', finding: 'Finding', note: 'Note', part: 'Part', decision: 'Decision' } as const;
  const href = (h: (typeof data.hits)[number]): string =>
    h.kind === 'engine' ? `/engines/${h.engineId}` : `/surveys/${h.surveyId}/${h.place}`;
  /** The words that were found stand between « and ». */
  const pieces = (s: string): { text: string; hit: boolean }[] =>
    s.split(/[«»]/).map((text, k) => ({ text, hit: k % 2 === 1 }));
</script>

<svelte:head><title>Search · Indaga</title></svelte:head>

<h1>Search</h1>
<form method="GET" class="mt-1 flex max-w-xl gap-2" role="search">
  <label class="flex-1"
    ><span class="sr-only">Words in engines, findings, notes, parts and decisions</span><input
      class="input w-full"
      name="q"
      value={data.q}
      maxlength="200"
      placeholder="milky, washers, a name, a serial…"
    /></label
  >
  <button class="btn btn-primary">Search</button>
</form>
{#if data.q && !data.hits.length}
  <section class="panel mt-4 p-6">
    <h2>Nothing holds all of “{data.q}”</h2>
    <p class="mt-1">Every word must occur; the beginning of a word is enough. Fewer words find more.</p>
  </section>
{:else if !data.q}<p class="mt-3 text-sm">
    Engines and owners, what was found, what people wrote, parts and decisions, in every assessment.
  </p>{/if}
<ol class="mt-3 max-w-3xl">
  {#each data.hits as h, k (k)}
    <li class="border-t border-line py-2">
      <a class="font-semibold hover:underline" href={href(h)}>{h.tag} · {kinds[h.kind]}</a>
      <p class="text-[0.95rem]">
        {#each pieces(h.snippet) as p, n (n)}{#if p.hit}<mark class="bg-base-300 px-0.5 text-base-content"
              >{p.text}</mark
            >{:else}{p.text}{/if}{/each}
      </p>
    </li>
  {/each}
</ol>
{#if data.waiting}<p class="mt-3 text-sm">{data.waiting} engines are still being read in.</p>{/if}
