<script lang="ts">
  import { say } from '$core/units/index.ts';
  import { sayDate } from '$lib/ui/marks/day.ts';
  import Shape from '$lib/ui/marks/Shape.svelte';

  let { data } = $props();
  const units = $derived(data.prefs.units);
  const sides = $derived(data.hers ? [data.mine, data.hers] : []);
  const hours = (h: number | null): string => (h === null ? 'hours unknown' : `${h} engine hours`);
</script>

<svelte:head><title>Sister of {data.mine.tag} · Indaga</title></svelte:head>

<p class="no-print mb-1"><a class="plain-link tap" href="/engines/{data.mine.engineId}">{data.mine.tag}</a></p>
<h1>{data.mine.tag}{data.hers ? ` beside ${data.hers.tag}` : ''}</h1>
{#if data.hers && data.beside}
  <p class="max-w-3xl text-lg">{data.beside.sentence}</p>
  {#if data.others.length > 1}
    <form method="GET" class="no-print mt-2 flex flex-wrap items-end gap-2">
      <label
        ><span class="label-caps">Beside</span><select class="select w-full" name="of" value={data.hers.engineId}>
          {#each data.others as s (s.engineId)}<option value={s.engineId}
              >{s.tag}, {s.how === 'twin' ? 'its twin' : 'of the same model'}</option
            >{/each}
        </select></label
      >
      <button class="btn btn-outline btn-primary">Compare</button>
    </form>
  {/if}
  {#if data.beside.rows.length}
    <table class="mt-3 w-full max-w-3xl">
      <thead>
        <tr class="text-left"
          ><th scope="col">What</th>
          {#each sides as s (s.engineId)}<th scope="col" class="px-2 text-right">{s.tag}</th>{/each}</tr
        >
      </thead>
      <tbody>
        {#each data.beside.rows as r (r.id)}
          <tr class="border-t border-line align-top">
            <th scope="row" class="py-2 text-left font-normal"
              ><span class="flex items-center gap-2 font-semibold"
                ><Shape
                  condition={r.unlike ? 'cannot-tell' : r.weaker ? 'watch' : 'sound'}
                  size={18}
                  word={false}
                />{r.label}</span
              ><span class="block text-sm">{r.sentence}</span></th
            >
            {#each ['this', 'sister'] as const as side (side)}
              <td class="px-2 py-2 text-right whitespace-nowrap"
                ><span class="sounding text-xl">{say(r.values[side], r.dimension, units)}</span
                >{#if r.weaker === side}<span class="block text-sm font-semibold">weaker</span>{/if}</td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <div class="mt-4 grid max-w-3xl gap-4 sm:grid-cols-2">
    {#each sides as s (s.engineId)}
      <section aria-labelledby="care-{s.engineId}">
        <h2 id="care-{s.engineId}" class="text-lg">{s.tag}: {hours(s.hours)}</h2>
        <p class="text-sm">Assessed {sayDate(s.assessed, 'd MMM yyyy')}.</p>
        <ul class="list-disc pl-5">
          {#each s.due as d (d.id)}<li>{d.title}: {d.state}</li>{:else}<li>Nothing overdue or soon.</li>{/each}
        </ul>
        <a class="plain-link tap" href="/engines/{s.engineId}/care">Care of {s.tag}</a>
      </section>
    {/each}
  </div>
{:else}
  <p class="mt-2 max-w-3xl">
    No sister of it is in the yard: a twin of the same boat (its installation says port or starboard, and both name the
    boat), or another engine of that make and model. The sister is the best reference there is.
  </p>
{/if}
