<script lang="ts">
  import { enhance } from '$app/forms';
  import EngineDrawing from '$lib/ui/drawing/EngineDrawing.svelte';

  /** One sheet of readings, and the question that is asked all day: what now? */
  let { data, form } = $props();
  const answered = $derived(form && 'right' in form ? form : undefined);
</script>

<svelte:head><title>What now? · Practice · Indaga</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-3">
  <div>
    <p class="label-caps">Practice: five minutes</p>
    <h1>What now?</h1>
    <p>{data.kind}. This is what was read last, the newest first{data.done ? `; ${data.done} jobs are done` : ''}.</p>
  </div>
  <a class="btn btn-outline btn-primary" href="/practice">All exercises</a>
</div>
<div class="mt-3 grid gap-4 lg:grid-cols-[11rem_minmax(0,1fr)_24rem]">
  <div class="mx-auto hidden w-36 lg:block"><EngineDrawing profile={data.profile} class="w-full" /></div>
  <section aria-labelledby="read-title">
    <h2 id="read-title" class="sr-only">Readings</h2>
    <ul class="divide-y divide-line border-y border-line">
      {#each data.readings as r (r.id)}<li class="flex justify-between gap-4 py-1">
          <span>{r.label}</span><span class="text-right font-semibold">{r.value}</span>
        </li>{/each}
    </ul>
  </section>
  <section aria-labelledby="ask-title">
    <h2 id="ask-title" class="text-xl">What would you do next?</h2>
    <form method="POST" use:enhance class="mt-2 space-y-2">
      <input type="hidden" name="seed" value={data.seed} />
      {#each data.answers as a (a.id)}
        {@const right = answered?.right === a.id}
        {@const chosen = answered?.answer === a.id}
        <button
          class="chip w-full justify-start text-left {right && answered
            ? 'border-success font-semibold'
            : ''} {chosen && !right ? 'border-error line-through' : ''}"
          name="answer"
          value={a.id}
          disabled={Boolean(answered)}>{a.title}</button
        >
      {/each}
    </form>
    {#if form && 'says' in form && form.says}<p class="mt-2 font-medium text-error" role="alert">{form.says}</p>{/if}
    <div aria-live="polite">
      {#if answered}
        <p class="mt-3 text-lg font-semibold">
          {answered.answer === answered.right ? 'That is it.' : `First: ${answered.title}.`}
        </p>
        <p>{answered.because}</p>
        <a class="btn btn-primary mt-3" href="/practice/five?q={data.next}" data-sveltekit-reload>Another one</a>
      {/if}
    </div>
  </section>
</div>
