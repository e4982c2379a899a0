<script lang="ts">
  import { marks, markNames } from '$core/practice/statement.ts';

  /** What the trainee says before the truth is shown. */
  let { data, form } = $props();
  let find = $state('');
  const said = (id: string): string => {
    const kept: Readonly<Record<string, string>> = form?.marks ?? {};
    return Object.hasOwn(kept, id) ? kept[id]! : '';
  };
  let chosen = $state<Record<string, string>>({});
  const count = $derived(Object.values(chosen).filter((m) => m === 'likely' || m === 'possible').length);
</script>

<svelte:head><title>What is wrong · Practice · Indaga</title></svelte:head>
<form method="POST" class="grid gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
  <section aria-labelledby="marks-title">
    <h2 id="marks-title" class="text-2xl">What is wrong with it?</h2>
    <p>Mark what you think is there. What you leave counts as “no”.</p>
    <label class="mt-2 block max-w-sm"
      ><span class="label-caps">Find</span><input
        class="input w-full"
        type="search"
        placeholder="gasket, coil, seal"
        bind:value={find}
      /></label
    >
    {#each data.systems as system (system.id)}
      {@const shown = system.suspects.filter((s) => s.label.toLowerCase().includes(find.trim().toLowerCase()))}
      {#if system.suspects.length}
        <details class="mt-3" open={Boolean(find.trim()) || system.id === 'power-head'} hidden={!shown.length}>
          <summary class="tap cursor-pointer text-lg font-semibold">{system.title} ({system.suspects.length})</summary>
          <ul class="divide-y divide-line border-y border-line">
            {#each system.suspects as s (s.id)}
              <li
                class="flex flex-wrap items-center justify-between gap-x-3 py-1"
                hidden={!shown.some((x) => x.id === s.id)}
              >
                <span id="label-{s.id}"
                  >{s.label.charAt(0).toUpperCase()}{s.label.slice(1)}{s.artefact ? ' (how it was measured)' : ''}</span
                >
                <span class="flex gap-1.5" role="radiogroup" aria-labelledby="label-{s.id}">
                  {#each markNames as m (m)}
                    <label class="chip cursor-pointer"
                      ><input
                        type="radio"
                        class="sr-only"
                        name="mark:{s.id}"
                        value={m}
                        checked={said(s.id) === m}
                        onchange={() => (chosen[s.id] = m)}
                      />{marks[m].label}</label
                    >
                  {/each}
                </span>
              </li>
            {/each}
          </ul>
        </details>
      {/if}
    {/each}
  </section>
  <section class="panel h-fit space-y-3 p-3 lg:sticky lg:top-3" aria-labelledby="what-title">
    <h2 id="what-title" class="text-xl">And what now?</h2>
    <p class="text-sm" aria-live="polite">{count} marked as likely or possible.</p>
    <label class="block"
      ><span class="label-caps">What to do with the engine</span><select
        class="select w-full"
        name="option"
        value={form?.option ?? ''}
        ><option value="">not said</option>{#each data.options as [id, label] (id)}<option value={id}>{label}</option
          >{/each}</select
      ></label
    >
    <label class="block"
      ><span class="label-caps">What its faults cost in all, cr</span><input
        class="input w-full"
        name="cost"
        inputmode="decimal"
        value={form?.cost ?? ''}
        aria-invalid={form?.says ? 'true' : undefined}
        aria-describedby={form?.says ? 'cost-error' : undefined}
      /></label
    >
    {#if form?.says}<p id="cost-error" class="font-medium text-error" role="alert">{form.says}</p>{/if}
    <p class="text-sm">After this the exercise is over and the truth is shown.</p>
    <button class="btn btn-primary w-full">Say it, and see</button>
  </section>
</form>
