<script lang="ts">
  import { replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import { sums, type SumField, type SumId } from '$core/sums/index.ts';
  import { parseQuantity } from '$core/units/index.ts';
  import { untrack } from 'svelte';

  /** A reference sum: what is typed stands in the address, so that it can be kept and sent. */
  let { data } = $props();
  const units = $derived(data.prefs.units);
  const id = $derived(page.params.sum as SumId);
  const sum = $derived(sums[id]);
  const first = (f: SumField): string =>
    page.url.searchParams.get(f.id) ?? (f.optional ? '' : f.standard[data.prefs.units]);
  let typed = $state<Record<string, string>>(
    untrack(() => Object.fromEntries(sums[page.params.sum as SumId].fields.map((f) => [f.id, first(f)])))
  );
  const parsed = $derived(
    sum.fields.map((f) => {
      const text = (typed[f.id] ?? '').trim();
      return { f, result: text || !f.optional ? parseQuantity(text, f.dimension, units) : undefined };
    })
  );
  const answer = $derived.by(() => {
    if (parsed.some((p) => p.result && !p.result.ok)) return undefined;
    try {
      return {
        ok: true as const,
        ...sum.run(Object.fromEntries(parsed.map(({ f, result }) => [f.id, result?.ok ? result.si : undefined])), units)
      };
    } catch (e) {
      if (e instanceof RangeError) return { ok: false as const, message: e.message };
      throw e;
    }
  });

  function link(): void {
    replaceState(`?${new URLSearchParams(Object.entries(typed).filter(([, v]) => v))}`, {});
  }
</script>

<svelte:head><title>{sum.title} · Reference · Indaga</title></svelte:head>
<p class="mb-1"><a class="plain-link tap" href="/reference">Reference</a></p>
<h1>{sum.title}</h1>
<p>{sum.about}</p>
<div class="mt-3 grid gap-5 md:grid-cols-[minmax(0,22rem)_1fr]">
  <form method="GET" class="panel space-y-1 p-4">
    {#each parsed as { f, result } (f.id)}
      <div>
        <label class="label-caps mb-1 block" for="sum-{f.id}">{f.label}</label>
        <input
          id="sum-{f.id}"
          name={f.id}
          class="input w-full"
          autocomplete="off"
          placeholder={f.optional ? 'may stay empty' : f.standard[units]}
          value={typed[f.id] ?? ''}
          oninput={(e) => {
            typed[f.id] = e.currentTarget.value;
            link();
          }}
          aria-invalid={result && !result.ok ? 'true' : undefined}
          aria-describedby="sum-{f.id}-error"
        />
        <p id="sum-{f.id}-error" class="min-h-6 text-sm font-medium text-error">
          {result && !result.ok ? result.message : ''}
        </p>
      </div>
    {/each}
    <noscript><button class="btn btn-primary">Work it out</button></noscript>
  </form>
  <section aria-labelledby="answer-title">
    <h2 id="answer-title" class="sr-only">Answer</h2>
    <div aria-live="polite" class="min-h-36">
      {#if answer?.ok}
        <p class="sounding text-4xl">{answer.figure}</p>
        <p class="mt-1 max-w-prose">{answer.says}</p>
      {:else if answer}<p class="font-medium text-error">{answer.message}</p>
      {:else}<p>Waiting for a number that can be read.</p>{/if}
    </div>
    {#if answer?.ok && answer.rows}
      <table class="mt-2 border-collapse">
        <tbody>
          {#each answer.rows as [label, value] (label)}<tr class="border-b border-line"
              ><th scope="row" class="py-1 pr-6 text-left font-normal">{label}</th><td class="sounding py-1">{value}</td
              ></tr
            >{/each}
        </tbody>
      </table>
    {/if}
    <p class="mt-4 text-sm">{sum.formula}</p>
    <p class="text-sm">{sum.source}</p>
  </section>
</div>
