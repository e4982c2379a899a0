<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import type { Days } from '$core/schedule/today.ts';
  import { isToday } from 'date-fns';

  /** What each person does on the day, in order; no clock times, an interruption would ruin them. */
  let { today }: { today: Days } = $props();
  const day = $derived(new Date(today.day * 60_000));
  const hours = (m: number): string =>
    m < 60 ? `${m} min` : `${Math.floor(m / 60)} h ${m % 60 ? `${m % 60} min` : ''}`;
  const place = (step: string): string =>
    step === 'checks' ? '' : step === 'run' ? '/run' : step === 'papers' ? '/ready' : '/jobs';
  /** So many stand open; the rest of the day is a tap away. */
  const SHOWN = 5;
  const busy = $derived(today.people.filter((p) => p.list.length));
</script>

{#snippet entry(t: Days['people'][number]['list'][number], k: number)}
  <li
    class="grid grid-cols-[1.8rem_1fr_auto] gap-x-2 border-t border-line py-1 {k
      ? ''
      : 'border-l-4 border-l-primary bg-base-100 pl-1'}"
  >
    <span class="sounding text-xl leading-6">{k + 1}</span>
    <span class="min-w-0 leading-snug"
      >{#if !k}<span class="label-caps">Now</span>{/if}
      <a class="hover:underline" href="/surveys/{t.engine}{place(t.step)}"><strong>{t.tag}</strong> · {t.title}</a
      >{#if t.uses.length}<span class="text-sm">&nbsp;· {t.uses.join(', ')}</span>{/if}
      {#if t.hint}<span class="block text-sm {k ? 'truncate' : ''}" title={t.hint}>{t.hint}</span>{/if}</span
    >
    <span class="sounding text-right">{t.minutes}<span class="unit">min</span></span>
  </li>
{/snippet}

<section aria-labelledby="today-title">
  <h2 id="today-title" class="text-2xl">
    {isToday(day) ? 'Today' : sayDate(day, 'EEEE d MMMM')}, in this order
  </h2>
  <div class="mt-2 grid gap-4 {busy.length > 1 ? 'md:grid-cols-2 xl:grid-cols-3' : ''}">
    {#each today.people as p (p.person)}
      <section class="panel self-start p-3" aria-label="{p.person}, list of the day">
        <h3 class="flex items-baseline justify-between text-lg">
          {p.person} <span class="text-sm font-normal">{p.list.length ? `${hours(p.minutes)} of hands` : ''}</span>
        </h3>
        {#if p.list.length}
          <ol class="mt-1">
            {#each p.list.slice(0, SHOWN) as t, k (t.id)}{@render entry(t, k)}{/each}
          </ol>
          {#if p.list.length > SHOWN}
            <details>
              <summary class="plain-link tap cursor-pointer text-sm">and {p.list.length - SHOWN} more</summary>
              <ol>
                {#each p.list.slice(SHOWN) as t, k (t.id)}{@render entry(t, k + SHOWN)}{/each}
              </ol>
            </details>
          {/if}
        {:else}<p class="mt-1 text-sm">Nothing that can be done: parts or waits hold everything up.</p>{/if}
      </section>
    {/each}
  </div>
</section>
