<script lang="ts">
  import { sayDay } from '$lib/ui/marks/dates.ts';

  let { data } = $props();
  const sample = '2026-11-03';
  const prefs = $derived(data.prefs);
  const groups = $derived([
    {
      name: 'units',
      title: 'Units',
      options: [
        ['us', 'psi, °F, fl oz, in'],
        ['metric', 'bar, °C, mL, mm']
      ]
    },
    {
      name: 'theme',
      title: 'Theme',
      options: [
        ['chart', 'Chart: for the yard and the sun'],
        ['night', 'Night watch: dark']
      ]
    },
    {
      name: 'dates',
      title: 'Dates',
      note: 'A field for a date follows the browser’s own language.',
      options: [
        ['units', `as the units: ${sayDay(sample, 'd MMM yyyy', { ...prefs, dates: 'units' })}`],
        ['day-first', sayDay(sample, 'd MMM yyyy', { ...prefs, dates: 'day-first' })],
        ['month-first', sayDay(sample, 'd MMM yyyy', { ...prefs, dates: 'month-first' })],
        ['iso', sayDay(sample, 'd MMM yyyy', { ...prefs, dates: 'iso' })]
      ]
    },
    {
      name: 'speak',
      title: 'Speak what was taken',
      note: 'For big figures at the stand: the browser says each reading as it is recorded.',
      options: [
        ['no', 'silent'],
        ['yes', 'spoken']
      ]
    }
  ] as const);
</script>

<svelte:head><title>Settings · Indaga</title></svelte:head>

<h1>Settings of this browser</h1>
<form method="POST" action="/preferences" class="panel mt-3 grid max-w-3xl gap-4 p-4 md:grid-cols-2">
  <input type="hidden" name="back" value={data.back} />
  {#if data.access}
    <p>
      <span class="label-caps">Who is working</span><br /><strong dir="auto">{prefs.who || 'nobody signed in'}</strong>
      <a class="plain-link tap" href="/people?back={encodeURIComponent(data.back)}">People and signing in</a>
    </p>
  {:else}
    <label class="block">
      <span class="label-caps">Who is working</span>
      <input class="input w-full" name="who" value={prefs.who} placeholder="name" maxlength="80" autocomplete="name" />
      <span class="text-sm">Stands beside what you record and sign.</span>
    </label>
  {/if}
  {#each groups as g (g.name)}
    <fieldset>
      <legend class="label-caps">{g.title}</legend>
      {#each g.options as [value, label] (value)}
        <label class="tap flex w-full gap-2"
          ><input class="radio radio-primary" type="radio" name={g.name} {value} checked={prefs[g.name] === value} />
          {label}</label
        >
      {/each}
      {#if 'note' in g}<p class="text-sm">{g.note}</p>{/if}
    </fieldset>
  {/each}
  <p class="flex gap-2 md:col-span-2">
    <button class="btn btn-primary">Save</button>
    <a class="btn btn-outline btn-primary" href={data.back}>Back without saving</a>
  </p>
</form>
<p class="mt-4">
  <a class="plain-link tap" href="/settings/not-taken">What the server did not take from this browser</a>
</p>
