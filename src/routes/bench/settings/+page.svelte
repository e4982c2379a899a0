<script lang="ts">
  let { data, form } = $props();
  const b = $derived(data.bench);
  const hm = (m: number): string => `${Math.floor(m / 60)}:${String(m % 60).padStart(2, '0')}`;
  const names = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
  const order = [1, 2, 3, 4, 5, 6, 0];
  const errors = $derived((form?.errors ?? {}) as Record<string, string>);
  const value = (key: string, now: string): string => form?.typed?.[key] ?? now;
  const days = $derived(form?.days ?? b.days);
</script>

<svelte:head><title>Who works, and with what · Indaga</title></svelte:head>

{#snippet wrong(key: string)}{#if errors[key]}<p class="font-medium text-error" role="alert" id="{key}-wrong">
      {errors[key]}
    </p>{/if}{/snippet}

<h1>Who works, and with what</h1>
<p class="mb-3 max-w-2xl text-sm">
  The bench is planned for these hands and these things. Somebody who leaves is taken off the list; what was put to them
  goes to anybody.
</p>
<form method="POST" class="panel max-w-2xl space-y-4 p-4">
  <label class="block"
    ><span class="label-caps">People, one to a line</span><textarea
      class="textarea w-full"
      name="people"
      rows="4"
      aria-invalid={errors.people ? 'true' : undefined}>{value('people', b.people.join('\n'))}</textarea
    ></label
  >
  {@render wrong('people')}
  <div class="grid gap-3 sm:grid-cols-3">
    {#each [['stand', 'Stands'], ['tank', 'Test tanks'], ['hose', 'Hoses']] as const as [key, label] (key)}
      <div>
        <label class="block"
          ><span class="label-caps">{label}</span><input
            class="input w-full"
            name={key}
            inputmode="numeric"
            value={value(key, String(b[key]))}
            aria-invalid={errors[key] ? 'true' : undefined}
          /></label
        >
        {@render wrong(key)}
      </div>
    {/each}
  </div>
  <fieldset>
    <legend class="label-caps">Days that are worked</legend>
    <div class="flex flex-wrap gap-x-4">
      {#each order as d (d)}<label class="flex min-h-11 items-center gap-2"
          ><input type="checkbox" class="checkbox" name="days" value={d} checked={days.includes(d)} />{names[d]}</label
        >{/each}
    </div>
    {@render wrong('days')}
  </fieldset>
  <div class="grid gap-3 sm:grid-cols-2">
    {#each [['from', 'From', b.from], ['to', 'To', b.to]] as const as [key, label, now] (key)}
      <div>
        <label class="block"
          ><span class="label-caps">{label}</span><input
            class="input w-full"
            name={key}
            value={value(key, hm(now))}
            placeholder="8:30"
            aria-invalid={errors[key] ? 'true' : undefined}
          /></label
        >
        {@render wrong(key)}
      </div>
    {/each}
  </div>
  <label class="block"
    ><span class="label-caps">Days off, one to a line (2026-12-24)</span><textarea
      class="textarea w-full"
      name="closed"
      rows="2"
      aria-invalid={errors.closed ? 'true' : undefined}>{value('closed', (b.closed ?? []).join('\n'))}</textarea
    ></label
  >
  {@render wrong('closed')}
  <div class="flex gap-2">
    <button class="btn btn-primary">Keep, and plan anew</button><a class="btn btn-outline btn-primary" href="/bench"
      >Leave it</a
    >
  </div>
</form>
