<script lang="ts">
  import CalibrationTable from '$lib/ui/practice/CalibrationTable.svelte';
  import { adviceWords } from '$lib/ui/practice/words.ts';

  /** Engines whose truth is hidden: ready exercises, sets of a teacher, five minutes, and what one's word is worth. */
  let { data, form } = $props();
</script>

<svelte:head><title>Practice · Indaga</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-3">
  <div class="max-w-prose">
    <h1>Practice</h1>
    <p>
      Made-up engines with something wrong that nobody tells you. Look, measure, mend; say what it is and what it will
      cost; then see. Nothing here is ever among the yard’s engines.
    </p>
  </div>
  <a class="btn btn-outline btn-primary" href="/practice/five">Five minutes: what now?</a>
</div>
{#if !data.who}<p class="mt-2 border-l-4 border-warning pl-3">
    Put your name in the field above first: exercises are kept by it.
  </p>{/if}

<div class="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1fr)_22rem]">
  <section aria-labelledby="ready-title">
    <h2 id="ready-title" class="text-xl">Ready exercises, in rising difficulty</h2>
    <ol class="mt-2 divide-y divide-line border-y border-line">
      {#each data.ready as e (e.id)}
        <li class="grid grid-cols-[2rem_minmax(0,1fr)_auto] items-center gap-x-3 py-2">
          <span class="sounding text-2xl" aria-hidden="true">{e.number}</span>
          <div>
            <h3 class="font-semibold">{e.title}</h3>
            <p class="text-sm">{e.told} <span class="opacity-80">Advice: {adviceWords[e.advice]}.</span></p>
          </div>
          <form method="POST" action="?/begin">
            <input type="hidden" name="id" value={e.id} />
            <button
              class="btn btn-primary {e.open ? '' : 'btn-outline'}"
              aria-label="{e.open ? 'Go on with' : 'Begin'}: {e.title}"
              >{e.open ? 'Go on' : e.done ? `Again (${e.done} done)` : 'Begin'}</button
            >
          </form>
        </li>
      {/each}
    </ol>
  </section>
  <div class="space-y-4">
    <section class="panel p-3" aria-labelledby="set-title">
      <h2 id="set-title" class="text-xl">A set of your teacher</h2>
      <form method="POST" action="?/open" class="mt-2 flex items-end gap-2">
        <label class="grow"
          ><span class="label-caps">Its code</span><input
            class="input w-full uppercase"
            name="code"
            placeholder="7K3M-0QDC"
            autocomplete="off"
            value={form?.typed ?? ''}
            aria-invalid={form?.says ? 'true' : undefined}
            aria-describedby={form?.says ? 'code-error' : undefined}
          /></label
        ><button class="btn btn-primary">Open it</button>
      </form>
      {#if form?.says}<p id="code-error" class="mt-1 font-medium text-error" role="alert">{form.says}</p>{/if}
      {#if data.sets.length}<p class="mt-2 text-sm">
          Yours: {#each data.sets as code, k (code)}{k ? ', ' : ''}<a class="plain-link" href="/practice/sets/{code}"
              >{code}</a
            >{/each}
        </p>{/if}
      <details class="mt-2">
        <summary class="plain-link tap cursor-pointer">Make a set</summary>
        <form method="POST" action="?/make" class="mt-1 space-y-2">
          <label class="block"
            ><span class="label-caps">Engines</span><input
              class="input w-full"
              name="count"
              inputmode="numeric"
              value={form?.count ?? '4'}
            /></label
          >
          <label class="block"
            ><span class="label-caps">Difficulty</span><select class="select w-full" name="difficulty"
              >{#each data.choices.difficulties as [id, label] (id)}<option value={id}>{label}</option>{/each}</select
            ></label
          >
          <label class="block"
            ><span class="label-caps">Theme</span><select class="select w-full" name="theme"
              >{#each data.choices.themes as [id, label] (id)}<option value={id}>{label}</option>{/each}</select
            ></label
          >
          <label class="block"
            ><span class="label-caps">Advice</span><select class="select w-full" name="advice"
              >{#each data.choices.advice as a (a)}<option value={a}>{adviceWords[a]}</option>{/each}</select
            ></label
          >
          {#if form?.made}<p class="font-medium text-error" role="alert">{form.made}</p>{/if}
          <button class="btn btn-outline btn-primary">Make it: its code says everything</button>
        </form>
      </details>
    </section>
    <section class="panel p-3" aria-labelledby="worth-title">
      <h2 id="worth-title" class="text-xl">What your word is worth</h2>
      {#if data.calibration.exercises}
        <CalibrationTable calibration={data.calibration} />
      {:else}<p class="mt-1 text-sm">After your first debrief: how often your “likely” was true.</p>{/if}
    </section>
  </div>
</div>
