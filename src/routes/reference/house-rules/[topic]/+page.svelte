<script lang="ts">
  import { say } from '$core/units/index.ts';

  let { data } = $props();
  const units = $derived(data.prefs.units);
  const hours = (minutes: number): string => say(minutes / 60, 'hours', units);
  const money = (x: number): string => say(x, 'money', units);
  const rows = $derived([
    {
      title: 'Work that is open',
      of: data.beside.map((s) => (s.jobs ? `${s.jobs} ${s.jobs === 1 ? 'job' : 'jobs'}, ${hours(s.minutes)}` : 'none'))
    },
    { title: 'What that costs, by what is established', of: data.beside.map((s) => money(s.cost)) },
    { title: `Care in a year of ${data.seasonHours} h`, of: data.beside.map((s) => hours(s.yearMinutes)) },
    { title: 'Hands for that', of: data.beside.map((s) => money(s.yearCost)) }
  ]);
</script>

<svelte:head><title>{data.title} · House rules · Indaga</title></svelte:head>
<p class="no-print mb-1"><a class="plain-link tap" href="/reference/house-rules">House rules</a></p>
<h1>{data.title}</h1>
<p class="max-w-3xl">Our default because: {data.why}</p>
{#if data.engines.length}
  <form method="GET" class="no-print my-3 flex flex-wrap items-end gap-2">
    <label class="grow sm:grow-0"
      ><span class="label-caps">On this engine</span>
      <select class="select w-full" name="survey" value={data.survey}>
        {#each data.engines as e (e.id)}<option value={e.id}>{e.tag}</option>{/each}
      </select></label
    >
    <button class="btn btn-outline btn-primary">Set side by side</button>
  </form>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="overflow-x-auto" role="region" aria-label="Schools side by side" tabindex="0">
    <table class="table w-full">
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">What</span></th>
          {#each data.beside as s (s.choice)}<th
              scope="col"
              class="align-bottom whitespace-normal text-base-content first-letter:uppercase"
              >{s.words}{#if s.chosen}<span class="block text-sm font-normal">this house</span>{/if}</th
            >{/each}
        </tr>
      </thead>
      <tbody>
        {#each rows as r (r.title)}
          <tr
            ><th scope="row" class="font-normal">{r.title}</th>
            {#each r.of as value, k (data.beside[k]!.choice)}<td class="sounding">{value}</td>{/each}</tr
          >
        {/each}
      </tbody>
    </table>
  </div>
  <div class="mt-4 grid gap-x-6 gap-y-4 md:grid-cols-2">
    {#each data.beside.filter((s) => !s.chosen) as s (s.choice)}
      <section aria-labelledby="school-{s.choice}">
        <h2 id="school-{s.choice}" class="text-lg first-letter:uppercase">{s.words}: what would be otherwise</h2>
        {#if s.differs.length}
          <ul class="list-disc pl-5">
            {#each s.differs as d (d)}<li class="wrap-anywhere">{d}</li>{/each}
          </ul>
        {:else}
          <p>On this engine nothing, as far as it has been looked at.</p>
        {/if}
      </section>
    {/each}
  </div>
  <p class="mt-3 max-w-3xl text-sm">
    Worked out anew under each school from what was read on this engine; parts by their usual prices, hands by the
    shop’s rate. Signed records keep the rules they were signed under.
  </p>
{:else}
  <p class="mt-3">No engine is in the yard yet: take one in, and its schools stand here side by side.</p>
{/if}
