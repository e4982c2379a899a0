<script lang="ts">
  import type { Condition } from '$core/findings/finding.ts';
  import EngineDrawing from '$lib/ui/drawing/EngineDrawing.svelte';
  import Shape from '$lib/ui/marks/Shape.svelte';
  import CalibrationTable from '$lib/ui/practice/CalibrationTable.svelte';
  import PathAxis from '$lib/ui/practice/PathAxis.svelte';
  import { sayMinutes } from '$lib/ui/practice/words.ts';

  /** The truth, the way there beside the advice's, what it cost to look elsewhere, and what one's word was worth. */
  let { data } = $props();
  const d = $derived(data.debrief);
  const barrels = $derived(
    Object.fromEntries(d.truth.flatMap((t) => t.cylinders.map((c) => [c, 'fault' as Condition])))
  );
  const saidWords: Readonly<Record<string, string>> = {
    likely: 'you said likely',
    possible: 'you said possible',
    no: 'you said no'
  };
  const verdict = $derived(
    !d.truth.length
      ? 'Nothing was wrong with it.'
      : d.truth.every((t) => t.said === 'likely')
        ? 'You named it.'
        : d.truth.some((t) => t.said === 'likely' || t.said === 'possible')
          ? 'You named a part of it.'
          : 'You did not name it.'
  );
</script>

<svelte:head><title>Debrief · Practice · Indaga</title></svelte:head>
<div class="grid gap-4 lg:grid-cols-[15rem_minmax(0,1fr)_20rem]">
  <div class="mx-auto w-44"><EngineDrawing profile={data.profile} {barrels} class="w-full" /></div>
  <section aria-labelledby="truth-title">
    <h2 id="truth-title" class="text-2xl">{verdict}</h2>
    <ul class="mt-2 space-y-1.5">
      {#each d.truth as t (t.id)}
        <li class="flex items-start gap-2">
          <span class="pt-1"><Shape condition={t.mended ? 'sound' : 'fault'} /></span>
          <span
            ><strong class="font-semibold">{t.label.charAt(0).toUpperCase()}{t.label.slice(1)}</strong>
            ({t.system.toLowerCase()}):
            {t.said ? saidWords[t.said] : 'you did not mark it'}; {t.mended ? 'mended' : 'still there'}.{t.hidden
              ? ' No look could have shown it.'
              : ''}</span
          >
        </li>
      {/each}
      {#each d.artefacts as a (a.label)}
        <li class="flex items-start gap-2">
          <span class="pt-1"><Shape condition={a.noticed ? 'sound' : 'watch'} /></span>
          <span
            ><strong class="font-semibold">{a.label.charAt(0).toUpperCase()}{a.label.slice(1)}</strong>: a reading that
            was not the engine. {a.noticed ? 'You noticed.' : 'It went unnoticed.'}</span
          >
        </li>
      {/each}
      {#each d.broken as b, k (k)}
        <li class="flex items-start gap-2">
          <span class="pt-1"><Shape condition="held" /></span><span
            ><strong class="font-semibold text-hold">Hold broken: {b.title}.</strong> {b.happened}</span
          >
        </li>
      {/each}
    </ul>
    {#if data.teaches}<p class="mt-3 border-l-4 border-primary pl-3 text-lg">{data.teaches}</p>{/if}
    {#if d.ended}<p class="mt-2 font-semibold text-error">{d.ended}</p>{/if}
  </section>
  <section class="panel h-fit p-3" aria-labelledby="sum-title">
    <h2 id="sum-title" class="sr-only">In figures</h2>
    <dl class="grid grid-cols-2 gap-x-3 gap-y-2">
      <div>
        <dt class="label-caps">Hands</dt>
        <dd class="sounding text-2xl">{sayMinutes(d.minutes)}</dd>
      </div>
      <div>
        <dt class="label-caps">More than needed</dt>
        <dd class="sounding text-2xl">{sayMinutes(d.regret)}</dd>
      </div>
      <div>
        <dt class="label-caps">Its faults cost</dt>
        <dd class="sounding text-2xl">{Math.round(d.cost.true)} cr</dd>
      </div>
      <div>
        <dt class="label-caps">You said</dt>
        <dd class="sounding text-2xl">{d.cost.said === undefined ? '–' : `${Math.round(d.cost.said)} cr`}</dd>
      </div>
      <div>
        <dt class="label-caps">Squared error</dt>
        <dd class="sounding text-2xl">{d.score.brier.toFixed(4)}</dd>
      </div>
      <div>
        <dt class="label-caps">Knowing nothing</dt>
        <dd class="sounding text-2xl">{d.score.baseline.toFixed(4)}</dd>
      </div>
    </dl>
    {#if d.asked}<p class="mt-2 text-sm">Advice was asked for {d.asked} {d.asked === 1 ? 'time' : 'times'}.</p>{/if}
  </section>
</div>
<section class="mt-6" aria-labelledby="way-title">
  <h2 id="way-title" class="text-xl">The way there</h2>
  <PathAxis mine={d.path} advised={d.advised} dear={d.dearest.map((r) => r.stride)} />
</section>
{#if d.dearest.length}
  <section class="mt-6" aria-labelledby="dear-title">
    <h2 id="dear-title" class="text-xl">What cost most</h2>
    <ol class="mt-1 list-decimal space-y-2 pl-6">
      {#each d.dearest as r (r.stride)}<li>
          <strong class="font-semibold">{r.title}, {sayMinutes(r.minutes)}.</strong>
          {r.because}
        </li>{/each}
    </ol>
  </section>
{:else if d.path.length}<p class="mt-4 border-l-4 border-success pl-3">No choice cost more than it had to.</p>{/if}
<section class="panel mt-6 max-w-xl p-3" aria-labelledby="worth-title">
  <h2 id="worth-title" class="text-xl">What your word is worth so far</h2>
  <CalibrationTable calibration={data.calibration} />
</section>
<p class="mt-4 flex gap-2">
  <a class="btn btn-primary" href={data.set ? `/practice/sets/${data.set}` : '/practice'}
    >{data.set ? 'Back to the set' : 'Another exercise'}</a
  >
</p>
