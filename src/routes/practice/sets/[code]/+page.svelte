<script lang="ts">
  import { invalidate } from '$app/navigation';
  import { navigating } from '$app/state';
  import { adviceWords, sayMinutes } from '$lib/ui/practice/words.ts';
  import { onMount } from 'svelte';

  /** A teacher's set: its engines, and who is where. */
  let { data, form } = $props();
  const numbers = $derived(Array.from({ length: data.set.count }, (_, k) => k + 1));
  const state = (n: number): 'open' | 'over' | undefined => {
    const mine = data.mine.filter((m) => m.number === n);
    return mine.some((m) => !m.over) ? 'open' : mine.length ? 'over' : undefined;
  };
  onMount(() => {
    // Asked again in the middle of a navigation, the page would stay where it is.
    const tick = setInterval(() => {
      if (!navigating.to) void invalidate('practice:board');
    }, 5000);
    return () => clearInterval(tick);
  });
</script>

<svelte:head><title>Set {data.code} · Practice · Indaga</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-3">
  <div>
    <p class="label-caps">A set to practise on</p>
    <h1 class="tabular-nums">{data.code}</h1>
    <p>
      {data.set.count}
      {data.set.count === 1 ? 'engine' : 'engines'}: {data.set.difficulty}; {data.set.theme}; advice {adviceWords[
        data.set.advice
      ]}. Give the code to whoever takes part; it makes the same engines on any installation.
    </p>
  </div>
  <a class="btn btn-outline btn-primary" href="/practice">All exercises</a>
</div>
{#if !data.who}<p class="mt-2 border-l-4 border-warning pl-3">
    Put your name in the field above first: the board goes by it.
  </p>{/if}
{#if form?.says}<p class="mt-2 font-medium text-error" role="alert">{form.says}</p>{/if}
<ol class="mt-3 flex flex-wrap gap-2" aria-label="Engines of the set">
  {#each numbers as n (n)}
    <li>
      <form method="POST">
        <button class="btn btn-primary {state(n) === 'over' ? 'btn-outline' : ''}" name="number" value={n}
          >Engine {n}{state(n) === 'open' ? ': go on' : state(n) === 'over' ? ': again' : ''}</button
        >
      </form>
    </li>
  {/each}
</ol>
<section class="mt-6" aria-labelledby="board-title">
  <div class="flex flex-wrap items-center justify-between gap-2">
    <h2 id="board-title" class="text-xl">The board</h2>
    <a class="btn btn-outline btn-primary" href="/practice/sets/{data.code}/board.csv" download>CSV</a>
  </div>
  <div class="overflow-x-auto">
    <table class="mt-2 w-full text-sm">
      <thead
        ><tr class="text-left"
          ><th scope="col" class="py-1 pr-3">Who</th><th scope="col" class="pr-3">Engine</th><th
            scope="col"
            class="pr-3">State</th
          ><th scope="col" class="pr-3 text-right">Hands</th><th scope="col" class="pr-3 text-right"
            >More than needed</th
          ><th scope="col" class="pr-3 text-right">Error, of knowing nothing</th><th scope="col" class="text-right"
            >Holds broken</th
          ></tr
        ></thead
      >
      <tbody aria-live="polite">
        {#each data.board as row, k (k)}
          <tr class="border-t border-line tabular-nums"
            ><th scope="row" class="py-1 pr-3 text-left font-semibold">{row.who}</th><td class="pr-3">{row.number}</td
            ><td class="pr-3">{row.over ? 'over' : `under way, ${row.deeds} ${row.deeds === 1 ? 'step' : 'steps'}`}</td
            >{#if row.result}<td class="pr-3 text-right">{sayMinutes(row.result.minutes)}</td><td
                class="pr-3 text-right">{sayMinutes(row.result.regret)}</td
              ><td class="pr-3 text-right"
                >{Math.round((100 * row.result.brier) / Math.max(1e-9, row.result.baseline))} %</td
              ><td class="text-right">{row.result.broken}</td>{:else}<td colspan="4"></td>{/if}</tr
          >
        {:else}<tr><td colspan="7" class="py-2">Nobody has begun.</td></tr>{/each}
      </tbody>
    </table>
  </div>
</section>
